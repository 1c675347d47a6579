import { z } from 'zod';
import { refersTo, text } from '../schema';
import { isPermanent, LOAD_NATURES, NATURE_LABEL, NATURES, USES, type Nature, type Use } from './nature';

/** Whether the cases of an action act all at once, or one of them at a time. */
export const RELATIONS = ['together', 'alternatives'] as const;
export type Relation = (typeof RELATIONS)[number];

/** Whether an action acts as it is given, or the other way round as well. */
export const DIRECTIONS = ['asGiven', 'bothWays'] as const;
export type Direction = (typeof DIRECTIONS)[number];

/** An action of a project: it leads or accompanies as one, with one set of factors. */
export const actionSchema = z.strictObject({
  name: text(60, 1, 'an action needs a name').describe('what acts'),
  nature: z
    .enum(LOAD_NATURES)
    .describe('nature, which decides how it is combined; the cases of a permanent action act all at once, as they are given'),
  use: z.enum(USES).optional().describe('use of an imposed action'),
  relation: z
    .enum(RELATIONS)
    .default('together')
    .describe('together: all its cases act or none; alternatives: one of its cases acts at a time, or none'),
  direction: z.enum(DIRECTIONS).default('asGiven').describe('asGiven: as its loads are typed; bothWays: all of them may be turned round'),
  cases: z
    .array(
      z.strictObject({ id: text(24, 1, 'a case needs a key').describe('key'), name: text(60, 1, 'a case needs a name').describe('name') }),
    )
    .min(1, 'an action has one case at least')
    .max(40, 'an action has at most 40 cases')
    .describe('its load cases'),
});
export type ActionBody = z.output<typeof actionSchema>;

/**
 * What of an action cannot be meant, in words at its field; null when all can: cases are told apart by their keys, a use belongs to imposed actions only,
 * permanent load is there all at once and in one sense.
 */
export function actionFault({
  name,
  nature,
  use,
  relation,
  direction,
  cases,
}: ActionBody): { readonly field: string; readonly message: string } | null {
  const keys = new Set<string>();
  for (const [i, { id }] of cases.entries()) {
    if (keys.has(id)) return { field: `cases.${i}.id`, message: `${name} has two cases "${id}"` };
    keys.add(id);
  }
  if (nature !== 'imposed' && use !== undefined)
    return { field: 'use', message: `Use is read of imposed actions only, and ${name} is ${NATURE_LABEL[nature]}: leave it out` };
  if (!isPermanent(nature)) return null;
  if (relation !== 'together') return { field: 'relation', message: `${name} is ${NATURE_LABEL[nature]}: its cases act all at once` };
  if (direction !== 'asGiven') return { field: 'direction', message: `${name} is ${NATURE_LABEL[nature]}: it acts as it is given` };
  return null;
}

/** A load case: loads of one case rise and fall together. It belongs to one action, and has its nature. */
export interface LoadCase {
  readonly id: string;
  readonly name: string;
  readonly nature: Nature;
  readonly use?: Use;
  /** The action that it belongs to. */
  readonly action: string;
  readonly actionName: string;
  readonly relation: Relation;
  readonly direction: Direction;
}

const known = new Map<string, LoadCase>();

/** The case in which a load of this nature and use travels when no action is named: that of an action of its own. */
export function caseOf(nature: Nature, use?: Use): LoadCase {
  const [id, name, of] =
    nature === 'imposed'
      ? [`imposed-${use ?? 'A'}`, `imposed, ${use ?? 'A'}`, { use: use ?? ('A' as const) }]
      : [nature, NATURE_LABEL[nature], {}];
  let found = known.get(id);
  if (!found)
    known.set(id, (found = { id, name, nature, ...of, action: id, actionName: name, relation: 'together', direction: 'asGiven' }));
  return found;
}

/** Cases of loads that name no action, in the order in which tables list them. */
export const USUAL_CASES: readonly LoadCase[] = NATURES.flatMap((nature) =>
  nature === 'imposed' ? USES.map((use) => caseOf(nature, use)) : [caseOf(nature)],
);

/** Every case of a project's loads by its id. */
export type LoadCases = ReadonlyMap<string, LoadCase>;

/** The cases of an action of a project. An imposed action without a use is taken for domestic. */
export function casesOfAction(id: string, { name, nature, use, relation, direction, cases }: ActionBody): LoadCase[] {
  const of = nature === 'imposed' ? { use: use ?? ('A' as const) } : {};
  return cases.map((one) => ({
    id: caseIdOf(id, one.id),
    name: cases.length === 1 ? name : `${name}, ${one.name}`,
    nature,
    ...of,
    action: id,
    actionName: name,
    relation,
    direction,
  }));
}

const caseIdOf = (action: string, key: string) => `${action}/${key}`;

/** How a load says in which case it acts. */
export interface LoadCaseReference {
  readonly nature: Nature;
  readonly use?: Use | undefined;
  /** An action of the project; null: the usual one of its nature and use. */
  readonly action: string | null;
  /** Key of a case of that action. */
  readonly loadCase: string;
}

/** Fields by which a load of a project says in which case it acts, beside its nature and use. */
export const caseFields = {
  action: refersTo(['action'], 'action of the project')
    .nullable()
    .default(null)
    .describe('action of the project that it belongs to; null: the usual one of its nature and use'),
  loadCase: text(24).default('').describe('key of a case of that action'),
};

/** The id of the case in which a load acts. */
export const caseIdOfLoad = ({ nature, use, action, loadCase }: LoadCaseReference): string =>
  action === null ? caseOf(nature, use).id : caseIdOf(action, loadCase);

export const casesById = (cases: readonly LoadCase[]): LoadCases => new Map(cases.map((one) => [one.id, one]));

/** Usual cases by their ids. */
export const usualCases: LoadCases = casesById(USUAL_CASES);

/** Usual cases and those of the actions of a project. */
export function loadCasesOf(actions: ReadonlyMap<string, ActionBody>): LoadCases {
  const cases = new Map(usualCases);
  for (const [id, action] of actions) for (const one of casesOfAction(id, action)) cases.set(one.id, one);
  return cases;
}

/** A case of a project by its id. */
export function caseIn(cases: LoadCases, id: string): LoadCase {
  const found = cases.get(id);
  if (!found) throw new Error(`no action of the project has the load case "${id}"`);
  return found;
}

/** Cases in the order in which every table and diagram lists them. */
export function compareCases(a: LoadCase, b: LoadCase): number {
  return NATURES.indexOf(a.nature) - NATURES.indexOf(b.nature) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
}

/** Natures of which several cases are alternatives: wind from the left and from the right, warming and cooling never act together, and cannot cancel. */
const ALTERNATIVES: ReadonlySet<Nature> = new Set(['wind', 'snow', 'temperature', 'seismic', 'accidental']);
export const areAlternatives = (nature: Nature): boolean => ALTERNATIVES.has(nature);

/** What of variable load is there or not as a whole: all cases of an action that act together, or one of alternatives. */
export const unitOf = ({ id, action, relation }: LoadCase): string => (relation === 'together' ? action : id);

/** Name of the group of alternatives that a case belongs to, of which one unit acts at a time, in one sense, or none; undefined: it is in none. */
export function groupOf({ action, nature, relation, direction }: LoadCase): string | undefined {
  if (areAlternatives(nature)) return nature;
  return relation === 'alternatives' || direction === 'bothWays' ? action : undefined;
}

/** Senses in which a case may act. */
export const sensesOf = ({ direction }: Pick<LoadCase, 'direction'>): readonly (1 | -1)[] => (direction === 'bothWays' ? [1, -1] : [1]);

/**
 * Ids of cases that are left out where one number is to stand for all that may act together: of alternatives all but those of the largest.
 * @param byCase their size
 */
export function lesserAlternatives(byCase: Readonly<Record<string, number>>, cases: LoadCases): ReadonlySet<string> {
  const groups = new Map<string, Map<string, { size: number; readonly ids: string[] }>>();
  for (const id in byCase) {
    const loadCase = caseIn(cases, id);
    const group = groupOf(loadCase);
    if (group === undefined) continue;
    const units = groups.get(group) ?? new Map<string, { size: number; readonly ids: string[] }>();
    groups.set(group, units);
    const unit = units.get(unitOf(loadCase)) ?? { size: 0, ids: [] };
    units.set(unitOf(loadCase), unit);
    unit.size += byCase[id]!;
    unit.ids.push(id);
  }
  const left = new Set<string>();
  for (const units of groups.values()) {
    const all = [...units.values()];
    const largest = all.reduce((a, b) => (Math.abs(b.size) > Math.abs(a.size) ? b : a));
    for (const { ids } of all.filter((unit) => unit !== largest)) for (const id of ids) left.add(id);
  }
  return left;
}

/** What acts, in words: an action of which all cases act together, or one case; turned round where it is. */
export const actingName = ({ name, actionName, relation }: LoadCase, sense: 1 | -1): string =>
  `${relation === 'together' ? actionName : name}${sense < 0 ? ' turned round' : ''}`;
