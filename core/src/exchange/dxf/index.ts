export { readDxf, type DxfDrawing, type DxfLine, type DxfText } from './read';
export { writeDxf, type DxfSheet } from './write';
export {
  membersOfDxf,
  PLAN_LAYERS,
  planDxf,
  suggestedKinds,
  type LayerKind,
  type LayerKinds,
  type MembersOfDxf,
  type PlanKind,
} from './plan';
export { EBBWICK_PAPER, ebbwickSheets, laidSheet, type ArchitectSheet } from '../demonstration/ebbwickDrawings';
