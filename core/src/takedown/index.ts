export { takeDown, TakedownEngine, type BeamStiffness, type LiftingRules, type TakedownNews } from './engine';
export { SupportPlacer, withFoundSupports } from './foundSupports';
export { REACH } from './outcome';
export { heaviestOnGround, onlyMembers, pathOf } from './path';
export { freshProposals, proposeBeams, proposedMark, type ProposedBeam, type ProposedEnd } from './support/proposal';
export { NAMED, ruleInWords, type Bearer, type WallBearer } from './support/found';
export { contains, regionOf } from './panel/polygon';
export { sharePanel, trimmedArea } from './panel/sharePanel';
export { type Bearing, type Orphan, type PanelSharing } from './panel/share';
export { isClosedMoment } from './balance';
export { footShapes, pressure, widening } from './wall/foot';
export {
  addInto,
  arrivalTotal,
  numbersOf,
  scaled,
  totalOf,
  withSums,
  withValues,
  type Arrival,
  type BalanceLine,
  type ByCase,
  type CaseBalance,
  type HorizontalLoad,
  type Leave,
  type LooseEnd,
  type MemberLedger,
  type PlumbLevel,
  type Source,
  type Takedown,
} from './ledger';
export { packLedgers, unpackLedger, type PackedLedgers } from './packed';
export { why, type Cause } from './why';
export { quantitySaid, textInUnits } from './inUnits';
export { piecesOn, spansBetween, type SpanPiece } from './span';
export { halfEachWay } from './halfEachWay';
export { tributaryArea, type TributaryArea } from './tributary';
export { floorsByArrival, floorsOn, type FloorLoad } from './floors';
export { shapeForce, shapeMoment, type ArrivalShape } from './shape';
