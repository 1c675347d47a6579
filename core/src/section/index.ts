export type { BoxShape, ChannelShape, IShape, SectionProperties, Shape, TubeShape } from './shape';
export { sectionProperties } from './properties';
export { catalogue, findSection, massRatio, STEEL_DENSITY, type Section } from './catalogue';
