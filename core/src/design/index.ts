export { contextOf, gradeFor, type Context } from './beam';
export { BeamModel, beamActions, unbracedSegments } from './analysis';
export { storeyHeight } from './column';
export { bearingPressure, sizeByBearing, type FootingDesign, type Ground } from './footing';
export { computeProject, ProjectEngine, sheetFor, type ProjectResult } from './project';
export { reactionsOf, type MostAndLeast, type ScheduledReaction, type ReactionSchedule } from './reactions';
export { lightest, trySections, usualFamilies, type Candidate, type SizingRequest } from './sizing';
export { RULE_OF_THUMB, ruleOfThumbPad } from './ruleOfThumb';
export { dismissalKey, type JudgedLooseEnd, type MemberDesign, type PhilosophyResult, type RecordedAssumption } from './result';
