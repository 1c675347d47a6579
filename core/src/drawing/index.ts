export {
  Pencil,
  type AreaMark,
  type BandMark,
  type Drawing,
  type Fill,
  type LineMark,
  type Mark,
  type Pen,
  type TextMark,
} from './drawing';
export { arrowPoints, bandPath, PAPER, PATTERNS, pointList, toSvg, type Palette } from './svg';
export { beamDiagram, type BeamDiagramInput } from './beamDiagram';
export { sectionDrawing } from './sectionDrawing';
export { builtUpDrawing, type BuiltUpDrawingInput } from './builtUpDrawing';
export { memberElevation, type MemberElevationInput } from './memberElevation';
export { footingDrawing } from './footingDrawing';
export { extentOf, fitView, planExtent, toPlan, toScreen, viewOf, zoomed, type PlanExtent, type PlanView } from './planView';
export { wallElevation, type WallElevationInput } from './wallElevation';
export { modelOf, type Model, type ModelBox, type ModelFace } from './model';
export { planDrawing, type PlanInput } from './plan';
export { gather, gatheredRiver, type Gathering } from './gathered';
export { riverDrawing, riverLayout, type RiverInput, type RiverNode } from './river';
export { costCurve, tonnes } from './costCurve';
export { beamElevation, type BeamElevationInput } from './beamElevation';
export { columnElevation, type ColumnElevationInput } from './columnElevation';
export { memberDiagrams, type MemberDiagrams } from './memberDiagrams';
