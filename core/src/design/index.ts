export { withoutFloor } from './beam';
export { Designs, type Design } from './designer';
export { gradeFor } from './grade';
export { notDesigned, notDesignedByWhat, type NotDesigned } from './notDesigned';
export { stiffnessBy } from './stiffness';
export { inputsOf, isReadBy, requireAsked, requireRead, type AskedKind } from './unreadFields';
export { contextOf, type Context } from './context';
export { beamActions, unbracedSegments } from './beamActions';
export { storeyHeight } from './column';
export { effectiveLength, endFactor, END_WORDS, type BucklingAxis, type EffectiveLength } from './effectiveLength';
export type { FootingDesign } from './footing';
export { bearingPressure, sizeByBearing, type Ground } from './padBearing';
export { compareMethods, methodsInWords, type MethodComparison } from './methods';
export { allAssumptions } from './assumed';
export { computeProject, ProjectEngine, sheetFor, type ProjectResult } from './project';
export { sizeUnsized, type SizedBuilding, type SizedMember, type SizingStep } from './sizeAll';
export { compareRevisions, type Comparison, type ItemDifference, type ReactionDifference } from './compare';
export { reactionsOf, type MostAndLeast, type ScheduledReaction, type ReactionSchedule } from './reactions';
export {
  inOrderOf,
  isEnough,
  leastOf,
  lightest,
  nextLess,
  priceOf,
  trySections,
  usualFamilies,
  type Candidate,
  type SizedBy,
  type SizingRequest,
} from './sizing';
export { byOtherCodes, waysOf, whatIf, type Otherwise, type Outcome } from './whatIf';
export { RULE_OF_THUMB, ruleOfThumbPad } from './ruleOfThumb';
export { dismissalKey, type JudgedLooseEnd, type MemberDesign, type PhilosophyResult, type RecordedAssumption } from './result';
export { groupMember, rationalise, type GroupMember, type SizeSet } from './rationalise';
export { lightestOf, type Sized, type SizingTask } from './lightestOf';
export { supportForces, type SupportForces } from './supportForces';
export { senseOf, senseOfColumn, type Sense } from './senseCheck';
export { chartChecks, chartConditions, longestSpan, spanChart, type ChartCell, type ChartRow, type SpanChartInput } from './spanChart';
export { TYPED_BEAM, typedBeam, typedBeamItems, typedBeamSheet, type TypedBeam, type TypedLoad } from './typedBeam';
export { actionsOf, forcedMember, FORCES_GIVEN, GIVEN_WORDS, type ForcedMember, type ForcesGiven } from './memberForces';
export { middleOf, type ForceSet, type ThreeMoments } from './forces';
export { proposalsFor, type Proposal } from './proposals';
