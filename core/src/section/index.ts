export type {
  AngleShape,
  BoxShape,
  ChannelShape,
  IShape,
  Product,
  SectionProperties,
  Shape,
  TeeShape,
  TubeShape,
  UnequalIShape,
} from './shape';
export { sectionProperties } from './properties';
export { catalogue, findSection, isSection, massRatio, STEEL_DENSITY, type Section } from './catalogue';
export { OWN_EXAMPLE } from './own';
export { readDesignation, readOwnDesignation } from './readDesignation';
export { unequalParts, withThinnerFlange, type UnequalParts } from './unequalI';
export { angleCriticalMoment, anglePrincipal, type AnglePrincipal } from './anglePrincipal';
export { plasticHalves } from './tee';
export { integrate, plasticModulus } from './slices';
export { shapeOutlines } from './outline';
export * from './builtUp';
