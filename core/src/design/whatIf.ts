import { defaultBrief, type Beam, type Building } from '../building';
import { gradesFor, isMadeIn, steelGrade } from '../material';
import { findSection } from '../section';
import { STANDARDS, type Standard } from '../standard';
import type { Takedown } from '../takedown';
import { gradeFor } from './grade';
import { contextOf } from './context';
import { lightest, trySections, type Candidate, type SizingRequest } from './sizing';

/** One way in which a member could be otherwise: only what differs is named. */
export interface Otherwise {
  readonly title: string;
  readonly kind: 'as it is' | 'restraint' | 'grade' | 'philosophy' | 'family';
  readonly request: SizingRequest;
  readonly family: Standard['id'];
  readonly philosophy: string;
}

/** What comes of it: the section that the member has now, and the lightest of the usual families. */
export interface Outcome extends Otherwise {
  /** Null: no section is chosen, or it is not made in that grade. */
  readonly present: Candidate | null;
  readonly lightest: Candidate | null;
}

const RESTRAINT: Record<Beam['restraint'], string> = {
  floor: 'the floor holds its top flange',
  supports: 'held by its supports only',
  points: 'held at the points named',
};

/** The ways that are worth asking about for a beam or column: as it is, held otherwise, of other grades, by other rules and other codes. */
export function waysOf(building: Building, id: string): Otherwise[] {
  const { brief } = building;
  const standard = STANDARDS[brief.family];
  const here = { family: brief.family, philosophy: brief.combinationRule };
  const beam = building.beams.get(id);
  const member = beam ?? building.columns.get(id);
  if (member?.material !== 'steel') return [];
  const product = member.section === null ? 'rolled' : findSection(member.section).product;
  const now = member.section === null ? (member.grade ?? brief.grade) : gradeFor(building, member, findSection(member.section)).id;
  const restraints = beam
    ? (['floor', 'supports', 'points'] as const).filter(
        (restraint) =>
          restraint !== beam.restraint &&
          (restraint !== 'points' || beam.restraintPoints.length + beam.topPoints.length + beam.bottomPoints.length > 0),
      )
    : [];
  return [
    { title: 'as it is', kind: 'as it is', request: {}, ...here },
    ...restraints.map((restraint): Otherwise => ({ title: RESTRAINT[restraint], kind: 'restraint', request: { restraint }, ...here })),
    ...gradesFor(standard.profile.materials, product)
      .filter((grade) => grade.id !== now)
      .map((grade): Otherwise => ({ title: `in ${grade.id}`, kind: 'grade', request: { grade: grade.id }, ...here })),
    ...standard.loads.philosophies
      .filter((philosophy) => philosophy.id !== brief.combinationRule)
      .map(({ id: philosophy, title }): Otherwise => ({
        title: `by ${title}`,
        kind: 'philosophy',
        request: {},
        family: brief.family,
        philosophy,
      })),
    ...Object.values(STANDARDS)
      .filter((other) => other.id !== brief.family)
      .flatMap((other) =>
        other.loads.compared(defaultBrief('', other.id).combinationRule).map((philosophy): Otherwise => ({
          title: `by ${other.title}${other.loads.compared('').length > 1 ? `, ${philosophy.id}` : ''}`,
          kind: 'family',
          request: {},
          family: other.id,
          philosophy: philosophy.id,
        })),
      ),
  ];
}

/** The building as it would be by other codes: their grades where the materials are others, their rule of combination; the loads stay. */
export function byOtherCodes(building: Building, family: Standard['id'], philosophy: string): Building {
  const { brief } = building;
  const combinationRule = philosophy as typeof brief.combinationRule;
  if (STANDARDS[family].profile.materials === STANDARDS[brief.family].profile.materials)
    return { ...building, brief: { ...brief, family, combinationRule } };
  const { grade, hollowGrade, roundGrade } = defaultBrief('', family);
  const own = <T extends { readonly grade: string | null }>(members: ReadonlyMap<string, T>): Map<string, T> =>
    new Map([...members].map(([id, member]) => [id, { ...member, grade: null }]));
  return {
    ...building,
    beams: own(building.beams),
    columns: own(building.columns),
    brief: { ...brief, family, combinationRule, grade, hollowGrade, roundGrade },
  };
}

/** What comes of one way for a member: its present section in it, and the lightest that carries. */
export function whatIf(building: Building, takedown: Takedown, id: string, way: Otherwise): Outcome {
  const other =
    way.family === building.brief.family && way.philosophy === building.brief.combinationRule
      ? building
      : byOtherCodes(building, way.family, way.philosophy);
  const context = contextOf(other, takedown);
  const section = (other.beams.get(id) ?? other.columns.get(id))?.section ?? null;
  const isMade =
    section !== null && (way.request.grade === undefined || isMadeIn(steelGrade(way.request.grade), findSection(section).product));
  return {
    ...way,
    present: isMade ? (trySections(context, id, { ...way.request, only: section })[0] ?? null) : null,
    lightest: lightest(trySections(context, id, way.request)),
  };
}
