import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { casesById, casesOfAction, usualCases, type Combination, type LoadCases } from '../load';
import { withSums, withValues, type Arrival, type MemberLedger } from '../takedown';
import { ColumnModel, type ColumnForces, type ColumnWeights, type OffAxisBearing } from '.';
import { combinationOf } from './combinationOf.test.data';

interface Beam {
  readonly byCase: Readonly<Record<string, number>>;
  readonly adverse?: Readonly<Record<string, number>>;
  readonly arm: number;
  readonly axis?: 'major' | 'minor';
  readonly level?: string;
}

/** A column under beams, kN by case, that bear off its axis by arms in mm. */
function model(beams: readonly Beam[], cases: LoadCases = usualCases, reduction: ConstructorParameters<typeof ColumnModel>[3] = null) {
  const kN = (byCase: Readonly<Record<string, number>>) =>
    Object.fromEntries(Object.entries(byCase).map(([id, value]) => [id, 1e3 * value]));
  const arrivals = beams.map(({ byCase, adverse }, i): Arrival => {
    const pressing = adverse ?? Object.fromEntries(Object.entries(byCase).map(([id, value]) => [id, Math.max(0, value)]));
    return withValues(
      { id: `a${i}`, label: '', source: { type: 'load', load: 'l' }, shape: { type: 'point', at: 0 } } as unknown as Arrival,
      kN(byCase),
      kN(pressing),
    );
  });
  const total = (of: 'byCase' | 'adverse') => {
    const sum: Record<string, number> = {};
    for (const arrival of arrivals) for (const id in arrival[of]) sum[id] = (sum[id] ?? 0) + arrival[of][id]!;
    return sum;
  };
  const base = { id: 'C', kind: 'column', mark: 'C', inLoop: false, arrivals, leaves: [], transfer: false } as unknown as MemberLedger;
  const bearings: OffAxisBearing[] = beams.flatMap(({ arm, axis = 'minor', level = 'L1' }, arrival) =>
    arm === 0 ? [] : [{ arrival, arm, axis, level }],
  );
  return new ColumnModel(withSums(base, total('byCase'), total('adverse')), bearings, cases, reduction);
}

const ALL = combinationOf({ permanent: 1.35, 'imposed-B': 1.5, 'imposed-C': 1.5, wind: 0.75 });
const unasked = (): ColumnWeights => {
  throw new Error('weights were not needed');
};
const sums = (column: ColumnModel, combination: Combination, weights: () => ColumnWeights = unasked) =>
  column.loadings(combination, weights).map((loading) => ({ name: loading.combination.name, ...column.forces(loading) }));

describe('a column under beams that bear off its axis', () => {
  it('edge column: all adds to all, by hand', () => {
    // 1.35 x 60 + 1.5 x 40 = 141 kN; 141 x 0.1 = 14.1 kNm
    const [one, ...more] = sums(model([{ byCase: { permanent: 60, 'imposed-B': 40 }, arm: 100 }]), ALL);
    expect(more).toEqual([]);
    expect(one!.name).toBe('c');
    expect(one!.axial / 1e3).toBeCloseTo(141, 9);
    expect(one!.moments!.minor / 1e6).toBeCloseTo(14.1, 9);
    expect(one!.moments!.major).toBe(0);
  });
  it('dead load on one side, another use on the other: the moment without the use counts, with the axial force that goes with it', () => {
    const column = model([
      { byCase: { permanent: 60 }, arm: 100 },
      { byCase: { 'imposed-C': 50 }, arm: -100 },
    ]);
    // most: N = 81 + 75 = 156, M = 8.1 - 7.5 = 0.6; without: N = 81, M = 8.1
    const found = sums(column, ALL, () => ({ pressed: 1e-6, drawn: 1e-6, major: 1e-7, minor: 1e-7 }));
    const rounded = found.map(({ name, axial, moments }) => [name, +(axial / 1e3).toFixed(6), +(moments!.minor / 1e6).toFixed(6)]);
    expect(rounded).toContainEqual(['c', 156, 0.6]);
    expect(rounded).toContainEqual([expect.stringMatching(/^c, without imposed, C/), 81, 8.1]);
  });
  it('cases of one action that act together are there or not as a whole', () => {
    const actions = casesOfAction('fit', {
      name: 'Fit-out',
      nature: 'imposed',
      use: 'B',
      relation: 'together',
      direction: 'asGiven',
      cases: [
        { id: 'l', name: 'left' },
        { id: 'r', name: 'right' },
      ],
    });
    const cases = casesById([...usualCases.values(), ...actions]);
    const together = combinationOf({ permanent: 1.35, 'fit/l': 1.5, 'fit/r': 1.5 }, { cases });
    const column = model(
      [
        { byCase: { permanent: 60, 'fit/l': 40 }, arm: 100 },
        { byCase: { permanent: 60, 'fit/r': 40 }, arm: -100 },
      ],
      cases,
    );
    expect(sums(column, together).map(({ axial, moments }) => [axial / 1e3, moments!.minor])).toEqual([[282, 0]]);
  });
  it('of winds one acts; one that lifts does not go with what presses', () => {
    const actions = casesOfAction('wind', {
      name: 'Wind',
      nature: 'wind',
      relation: 'alternatives',
      direction: 'asGiven',
      cases: [
        { id: 'e', name: 'east' },
        { id: 'w', name: 'west' },
      ],
    });
    const cases = casesById([...usualCases.values(), ...actions]);
    const column = model([{ byCase: { permanent: 20, 'wind/e': 60, 'wind/w': -60 }, arm: 100 }], cases);
    const found = sums(column, combinationOf({ permanent: 1, 'wind/e': 1.5, 'wind/w': 1.5 }, { cases }), () => ({
      pressed: 1e-6,
      drawn: 1e-6,
      major: 1e-7,
      minor: 1e-7,
    }));
    // 20 + 90 = 110 kN and 11 kNm; 20 - 90 = -70 kN and -7 kNm; never 20
    expect(found.map(({ axial, moments }) => [axial / 1e3, moments!.minor / 1e6]).sort((a, b) => a[0]! - b[0]!)).toEqual([
      [-70, -7],
      [110, 11],
    ]);
  });
  it('a reduction of imposed load takes from the axial force, not beside a psi', () => {
    const column = model([{ byCase: { permanent: 60, 'imposed-B': 40 }, arm: 100 }], usualCases, {
      less: { 'imposed-B': 12_000 },
      notWithPsi: true,
    });
    const factors = { permanent: 1.35, 'imposed-B': 1.5 };
    expect(sums(column, combinationOf(factors))[0]!.axial / 1e3).toBeCloseTo(81 + 1.5 * 28, 9);
    expect(sums(column, combinationOf(factors, { accompanying: ['imposed-B'] }))[0]!.axial / 1e3).toBeCloseTo(81 + 60, 9);
    expect(column.distinct([combinationOf(factors), combinationOf(factors, { accompanying: ['imposed-B'] })])).toHaveLength(2);
    expect(column.distinct([combinationOf(factors), combinationOf(factors)])).toHaveLength(1);
  });
});

const CASES = ['permanent', 'imposed-B', 'imposed-C', 'wind', 'snow'] as const;
const DRAWN: Combination = combinationOf({ permanent: 1.2, 'imposed-B': 1.5, 'imposed-C': 1.05, wind: 0.9, snow: 0.75 });
const drawnBeams = fc.array(
  fc.record({
    byCase: fc.dictionary(fc.constantFrom(...CASES), fc.integer({ min: -40, max: 90 }), { minKeys: 1, maxKeys: 4 }),
    // of variable load more may press than what is left of it
    extra: fc.integer({ min: 0, max: 20 }),
    arm: fc.integer({ min: -150, max: 150 }).filter((arm) => arm !== 0),
    axis: fc.constantFrom('major' as const, 'minor' as const),
    level: fc.constantFrom('L1', 'L2'),
  }),
  { minLength: 1, maxLength: 5 },
);
const asBeams = (drawn: readonly { readonly extra: number; readonly byCase: Readonly<Record<string, number>> }[]): Beam[] =>
  (drawn as readonly (Beam & { readonly extra: number })[]).map(({ extra, ...beam }) => ({
    ...beam,
    adverse: Object.fromEntries(
      Object.entries(beam.byCase).map(([id, value]) => [id, id === 'permanent' ? Math.max(0, value) : Math.max(0, value) + extra]),
    ),
  }));
const WEIGHTS: ColumnWeights = { pressed: 1 / 400e3, drawn: 1 / 900e3, major: 1 / 60e6, minor: 1 / 20e6 };
const used = ({ axial, moments = { major: 0, minor: 0 } }: ColumnForces) =>
  (axial >= 0 ? axial * WEIGHTS.pressed : -axial * WEIGHTS.drawn) +
  Math.abs(moments.major) * WEIGHTS.major +
  Math.abs(moments.minor) * WEIGHTS.minor;

describe('what is picked', () => {
  it('is never below the worst of all that may be there or not', () => {
    fc.assert(
      fc.property(drawnBeams, (drawn) => {
        const column = model(asBeams(drawn));
        const variable = column.parts.flatMap(({ isPermanent }, i) => (isPermanent ? [] : [i]));
        let worst = 0;
        for (let bits = 0; bits < 2 ** variable.length; bits += 1) {
          const present = column.parts.map(({ isPermanent }, i) => isPermanent || Boolean(bits & (1 << variable.indexOf(i))));
          worst = Math.max(worst, used(column.forces({ combination: DRAWN, present })));
        }
        const found = column.loadings(DRAWN, () => WEIGHTS).map((loading) => used(column.forces(loading)));
        expect(Math.max(0, ...found)).toBeGreaterThanOrEqual(worst * (1 - 1e-9) - 1e-9);
      }),
      { numRuns: 400 },
    );
  });
  it('mirrored, is the mirror image; of a case split into two that act together, the same', () => {
    const sizes = (column: ColumnModel, combination = DRAWN) =>
      Math.max(0, ...column.loadings(combination, () => WEIGHTS).map((loading) => used(column.forces(loading))));
    const actions = casesOfAction('two', {
      name: 'Two',
      nature: 'imposed',
      use: 'B',
      relation: 'together',
      direction: 'asGiven',
      cases: [
        { id: 'a', name: 'a' },
        { id: 'b', name: 'b' },
      ],
    });
    const cases = casesById([...usualCases.values(), ...actions]);
    const factors = { ...DRAWN.factors, 'two/a': 1.5, 'two/b': 1.5 };
    fc.assert(
      fc.property(drawnBeams, fc.integer({ min: 1, max: 9 }), (drawn, tenths) => {
        const beams = asBeams(drawn);
        const whole = sizes(model(beams));
        expect(sizes(model(beams.map((beam) => ({ ...beam, arm: -beam.arm }))))).toBeCloseTo(whole, 9);
        const split = (byCase: Readonly<Record<string, number>>) => {
          const { 'imposed-B': value, ...rest } = byCase;
          return value === undefined ? rest : { ...rest, 'two/a': (value * tenths) / 10, 'two/b': value - (value * tenths) / 10 };
        };
        const parted = beams.map((beam) => ({ ...beam, byCase: split(beam.byCase), adverse: split(beam.adverse!) }));
        expect(sizes(model(parted, cases), combinationOf(factors, { cases }))).toBeCloseTo(whole, 9);
      }),
      { numRuns: 200 },
    );
  });
});
