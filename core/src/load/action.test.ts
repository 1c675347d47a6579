import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  actingTerms,
  casesById,
  caseIdOfLoad,
  caseOf,
  casesOfAction,
  combinePressing,
  combineRelieving,
  isPermanent,
  lesserAlternatives,
  loadCasesOf,
  type ActionBody,
  type Combination,
  type LoadCase,
} from '.';

const action = (more: Partial<ActionBody> & Pick<ActionBody, 'name'>): ActionBody => ({
  nature: 'imposed',
  use: 'E',
  relation: 'together',
  direction: 'asGiven',
  cases: [{ id: '1', name: 'one' }],
  ...more,
});
const TWO = [
  { id: '1', name: 'one' },
  { id: '2', name: 'two' },
];
const ACTIONS = new Map<string, ActionBody>([
  ['sides', { ...action({ name: 'Wind', nature: 'wind', relation: 'alternatives', cases: TWO }), use: undefined }],
  ['gusts', { ...action({ name: 'Gusts', nature: 'wind', cases: TWO }), use: undefined }],
  ['crane', action({ name: 'Crane', relation: 'alternatives', cases: TWO })],
  ['store', action({ name: 'Store', cases: TWO })],
  ['shaker', action({ name: 'Shaker', direction: 'bothWays', cases: TWO })],
  ['either', action({ name: 'Either', relation: 'alternatives', direction: 'bothWays', cases: TWO })],
]);
const ALL = [...loadCasesOf(ACTIONS).values()].filter(
  ({ id, action: of }) => ACTIONS.has(of) || ['permanent', 'imposed-A', 'snow', 'wind'].includes(id),
);

/** One of what may act at once: which units, each in a sense. Written from the words of the model, not from the code. */
function* arrangements(cases: readonly LoadCase[]): Generator<Map<string, 1 | -1>> {
  const groups = new Map<string, (readonly [unit: string, sense: 1 | -1])[]>();
  const free: string[] = [];
  for (const { id, action: of, nature, relation, direction } of cases) {
    if (isPermanent(nature)) continue;
    const unit = relation === 'together' ? of : id;
    const exclusive = nature === 'wind' || nature === 'snow' || nature === 'seismic' ? nature : null;
    const group = exclusive ?? (relation === 'alternatives' || direction === 'bothWays' ? of : null);
    if (group === null) {
      if (!free.includes(id)) free.push(id);
      continue;
    }
    const list = groups.get(group) ?? [];
    for (const sense of direction === 'bothWays' ? ([1, -1] as const) : ([1] as const))
      if (!list.some(([name, way]) => name === unit && way === sense)) list.push([unit, sense]);
    groups.set(group, list);
  }
  const choices = [...groups.values()].map((list) => [null, ...list]);
  const walk = function* (i: number, chosen: Map<string, 1 | -1>): Generator<Map<string, 1 | -1>> {
    if (i === choices.length) {
      yield chosen;
      return;
    }
    for (const one of choices[i]!) yield* walk(i + 1, one ? new Map([...chosen, [one[0], one[1]]]) : chosen);
  };
  yield* walk(0, new Map(free.map((id) => [`free ${id}`, 1])));
}

describe('what of the actions of a project acts at once', () => {
  const values = fc.array(fc.tuple(fc.integer({ min: -20, max: 20 }), fc.integer({ min: 0, max: 9 })), {
    minLength: ALL.length,
    maxLength: ALL.length,
  });
  const factors = fc.array(fc.constantFrom(0, 0.5, 1, 1.5), { minLength: ALL.length, maxLength: ALL.length });
  it('presses, and relieves, as the worst of all arrangements does; its terms add up to it', () => {
    fc.assert(
      fc.property(values, factors, fc.boolean(), (drawn, list, lowered) => {
        const combination: Combination = {
          id: 'c',
          name: 'c',
          basis: 'factored',
          clause: '',
          purpose: 'strength',
          cases: casesById(ALL),
          factors: Object.fromEntries(ALL.map(({ id }, i) => [id, list[i]!])),
          ...(lowered ? { favourablePermanent: 0.4 } : {}),
        };
        const byCase = Object.fromEntries(ALL.map(({ id }, i) => [id, drawn[i]![0]]));
        // what presses, without what relieves: at least all of it, and more where a part relieves
        const adverse = Object.fromEntries(ALL.map(({ id }, i) => [id, Math.max(0, drawn[i]![0]) + drawn[i]![1]]));
        const bySense = (id: string, sense: 1 | -1, press: boolean) => {
          const [presses, relieves] = [adverse[id]!, byCase[id]! - adverse[id]!];
          // parts of a case may be absent by themselves
          return press ? Math.max(0, sense > 0 ? presses : -relieves) : Math.min(0, sense > 0 ? relieves : -presses);
        };
        for (const press of [true, false]) {
          let worst = press ? -Infinity : Infinity;
          for (const there of arrangements(ALL)) {
            let sum = 0;
            ALL.forEach(({ id, action: of, nature, relation }, i) => {
              if (isPermanent(nature)) {
                sum += (!press && byCase[id]! > 0 && lowered ? (list[i] ? 0.4 : 0) : list[i]!) * byCase[id]!;
                return;
              }
              const sense = there.get(`free ${id}`) ?? there.get(relation === 'together' ? of : id);
              if (sense) sum += list[i]! * bySense(id, sense, press);
            });
            worst = press ? Math.max(worst, sum) : Math.min(worst, sum);
          }
          const found = (press ? combinePressing : combineRelieving)(byCase, adverse, combination);
          expect(found).toBeCloseTo(worst, 9);
          const terms = actingTerms(byCase, adverse, combination, press ? 'pressing' : 'relieving');
          expect(terms.reduce((sum, { factor, value }) => sum + factor * value, 0)).toBeCloseTo(found, 9);
        }
      }),
      { numRuns: 60 },
    );
  });
  it('one number for all of it counts the largest of alternatives', () => {
    const cases = loadCasesOf(ACTIONS);
    const left = lesserAlternatives(
      { permanent: 1, 'sides/1': 5, 'sides/2': -8, 'gusts/1': 3, 'gusts/2': 4, 'crane/1': 2, 'crane/2': 1 },
      cases,
    );
    expect([...left].sort()).toEqual(['crane/2', 'gusts/1', 'gusts/2', 'sides/1']);
  });
});

describe('load cases', () => {
  it('of a load that names no action are those of its nature and use; names follow from the action', () => {
    expect(caseIdOfLoad({ nature: 'imposed', use: 'B', action: null, loadCase: '' })).toBe('imposed-B');
    expect(caseOf('imposed', 'B').name).toBe('imposed, B');
    const [one, two] = casesOfAction('sides', ACTIONS.get('sides')!);
    expect([one!.name, two!.name, one!.nature]).toEqual(['Wind, one', 'Wind, two', 'wind']);
    expect(caseIdOfLoad({ nature: 'wind', action: 'sides', loadCase: '2' })).toBe(two!.id);
    expect(casesOfAction('one', action({ name: 'Tank' }))[0]!.name).toBe('Tank');
  });
});
