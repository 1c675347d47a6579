import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { item } from '../building';
import { caseIn, usualCases, type Combination } from '../load';
import { STANDARDS, philosophyOf } from '../standard';
import { findTool, runTool } from '../tool';
import { withValues, type Arrival } from '../takedown';
import { BeamModel } from '.';
import { checkKey, isCheck } from '../sheet';
import { combinationOf } from './combinationOf.test.data';

interface Load {
  readonly caseId: string;
  /** Parts of the length. */
  readonly from: number;
  readonly to: number;
  readonly value: number;
}

/** A beam on supports at places along it, under line loads. mm, N/mm. */
function model(length: number, supports: readonly number[], loads: readonly Load[], hinges: readonly number[] = []): BeamModel {
  const { body } = item('beam', 'B', {
    mark: 'B',
    level: 'L',
    from: { x: 0, y: 0 },
    to: { x: length, y: 0 },
    ownWeight: 0,
    supports: supports.map((at, i) => ({ at, by: `C${i}` })),
    hinges: [...hinges],
  });
  const arrivals = loads.map(({ caseId, from, to, value }, i): Arrival => {
    const shape = { type: 'distributed' as const, from: from * length, to: to * length, start: 1, end: 1 };
    return withValues(
      { id: `a${i}`, label: '', source: { type: 'load', load: `a${i}` }, shape } as unknown as Arrival,
      { [caseId]: value },
      {
        [caseId]: Math.max(0, value),
      },
    );
  });
  return new BeamModel(body as ConstructorParameters<typeof BeamModel>[0], arrivals, 1e13, usualCases);
}

const CASES = ['permanent', 'imposed-A', 'imposed-B', 'snow', 'wind'] as const;
const ALL = combinationOf({ permanent: 1.35, 'imposed-A': 1.5, 'imposed-B': 1.05, snow: 0.75, wind: 0.75 });

const loads = fc.array(
  fc.record({
    caseId: fc.constantFrom(...CASES),
    ends: fc.tuple(fc.integer({ min: 0, max: 8 }), fc.integer({ min: 0, max: 8 })).filter(([a, b]) => a !== b),
    value: fc.integer({ min: -8, max: 12 }).filter((value) => value !== 0),
  }),
  { minLength: 1, maxLength: 6 },
);
interface Drawn {
  readonly length: number;
  /** Parts of the length. */
  readonly supports: readonly number[];
  readonly hinges: readonly number[];
  readonly loads: readonly { readonly caseId: string; readonly ends: readonly [number, number]; readonly value: number }[];
}
const LINES: readonly (readonly [supports: readonly number[], hinges: readonly number[]])[] = [
  [[0, 1], []],
  [[0, 0.7], []],
  [[0, 0.5, 1], []],
  [[0.1, 0.6, 1], []],
  [[0, 0.3, 0.7, 1], []],
  [[0.15, 0.5, 0.85], []],
  [[0, 0.5, 1], [0.6]],
  [
    [0, 0.3, 0.7, 1],
    [0.2, 0.8],
  ],
];
const drawn: fc.Arbitrary<Drawn> = fc
  .record({ length: fc.integer({ min: 4000, max: 20_000 }), line: fc.constantFrom(...LINES), loads })
  .map(({ line: [supports, hinges], ...rest }) => ({ ...rest, supports, hinges }));
const built = ({ length, supports, hinges, loads: list }: Drawn) =>
  model(
    length,
    supports.map((part) => part * length),
    list.map(({ caseId, ends: [a, b], value }) => ({ caseId, from: Math.min(a, b) / 8, to: Math.max(a, b) / 8, value })),
    hinges.map((part) => part * length),
  );

/** Largest and least of an effect at each of a row of places. */
function envelope(
  beam: BeamModel,
  effect: 'moment' | 'shear' | 'deflection',
  list: readonly (readonly boolean[])[],
  combination: Combination,
) {
  const places = Array.from({ length: 41 }, (_, i) => (i * beam.length) / 40);
  const solved = list.map((present) => beam.solve(combination, present));
  return places.map((x) => {
    const values = solved.map((solution) => solution.at(effect, x));
    return [Math.min(...values), Math.max(...values)] as const;
  });
}

/** Least and largest of all places. */
const whole = (pairs: readonly (readonly [number, number])[]) =>
  [Math.min(...pairs.map(([least]) => least)), Math.max(...pairs.map(([, most]) => most))] as const;

describe('loadings of a beam', () => {
  it('are never below all subsets of what may be absent: the largest in every span, and nearly so at 41 places', () => {
    fc.assert(
      fc.property(drawn, (input) => {
        const beam = built(input);
        const free = beam.parts.flatMap(({ isPermanent }, i) => (isPermanent ? [] : [i]));
        fc.pre(free.length <= 8);
        const subsets = Array.from({ length: 2 ** free.length }, (_, n) =>
          beam.parts.map(({ isPermanent }, i) => isPermanent || (n & (1 << free.indexOf(i))) !== 0),
        );
        for (const effect of ['moment', 'shear', 'deflection'] as const) {
          const picked = beam.loadings(ALL, effect === 'deflection' ? 'deflection' : 'strength').map(({ present }) => present);
          const brute = envelope(beam, effect, subsets, ALL);
          const most = Math.max(...brute.flat().map(Math.abs));
          // where an extreme of one sense is of the other sense it is none
          const ours = picked.length > 0 ? envelope(beam, effect, picked, ALL) : brute.map(() => [0, 0] as const);
          const inSpans = beam.spans.map(({ from, to }) => {
            const within = (list: typeof brute) =>
              whole(list.filter((_, i) => (i * beam.length) / 40 >= from && (i * beam.length) / 40 <= to));
            return [within(brute), within(ours), 0.05] as const;
          });
          const everywhere = effect === 'shear' ? [] : brute.map((pair, i) => [pair, ours[i]!, 0.08] as const);
          [...inSpans, ...everywhere].forEach(([[least, largest], our, tolerance]) => {
            expect(Math.max(0, largest) - Math.max(0, our[1])).toBeLessThan(tolerance * most + 1e-6);
            expect(Math.max(0, -least) - Math.max(0, -our[0])).toBeLessThan(tolerance * most + 1e-6);
          });
        }
      }),
      { numRuns: 120 },
    );
  });
  it('mirror images have mirror images', () => {
    fc.assert(
      fc.property(drawn, ({ length, supports, hinges, loads: list }) => {
        const turned = {
          length,
          supports: supports.map((part) => 1 - part).reverse(),
          hinges: hinges.map((part) => 1 - part).reverse(),
          loads: list.map(({ ends: [a, b], ...rest }) => ({ ...rest, ends: [8 - a, 8 - b] as const })),
        };
        const [one, other] = [built({ length, supports, hinges, loads: list }), built(turned)].map((beam) =>
          envelope(
            beam,
            'moment',
            beam.loadings(ALL).map(({ present }) => present),
            ALL,
          ),
        );
        const scale = Math.max(1, ...one!.flat().filter(Number.isFinite).map(Math.abs));
        one!.forEach(([least, most], i) => {
          const [l, m] = other![40 - i]!;
          if (!Number.isFinite(least)) return expect(Number.isFinite(l)).toBe(false);
          expect((l - least) / scale).toBeCloseTo(0, 6);
          expect((m - most) / scale).toBeCloseTo(0, 6);
        });
      }),
      { numRuns: 80 },
    );
  });
  it('a load split into two of its case changes nothing', () => {
    fc.assert(
      fc.property(drawn, (input) => {
        const halves = {
          ...input,
          loads: input.loads.flatMap((load) => [0.25, 0.75].map((part) => ({ ...load, value: load.value * part }))),
        };
        const names = (beam: BeamModel) => beam.loadings(ALL).map(({ combination, present }) => [combination.name, present]);
        expect(names(built(halves))).toEqual(names(built(input)));
      }),
      { numRuns: 80 },
    );
  });
  it('are named by what is absent', () => {
    const two = (list: Load[]) => model(12_000, [0, 6000, 12_000], list);
    const along = (caseId: string, value: number): Load => ({ caseId, from: 0, to: 1, value });
    const names = (beam: BeamModel) => beam.loadings(ALL).map(({ combination }) => combination.name);
    expect(names(two([along('permanent', 5), along('imposed-A', 5)])).sort()).toEqual([
      'c',
      'c, variable on span 1',
      'c, variable on span 2',
    ]);
    expect(names(model(6000, [0, 6000], [along('permanent', 5), along('wind', -6), along('imposed-A', 5)])).sort()).toEqual([
      'c, without wind',
    ]);
    expect(names(model(6000, [0, 6000], [along('permanent', 5), along('wind', -12), along('imposed-A', 5)])).sort()).toEqual([
      'c, without imposed, A',
      'c, without wind',
    ]);
  });
  it('of a combination with favourable permanent load are those in which it is', () => {
    const along = (caseId: string, value: number): Load => ({ caseId, from: 0, to: 1, value });
    const beam = model(6000, [0, 6000], [along('permanent', 5), along('wind', -12), along('imposed-A', 5)]);
    const names = (permanent: Combination['permanent']) =>
      beam.loadings(combinationOf({ permanent: 1, 'imposed-A': 1.5, wind: 1.5 }, { permanent })).map(({ combination }) => combination.name);
    expect(names('favourable')).toEqual(['c, without imposed, A']);
    expect(names('unfavourable')).toEqual(['c, without wind']);
  });
});

describe('a floor beam under wind that lifts', () => {
  const beam = (wind: number, family = 'european', philosophy = '6.10') => {
    const line = (nature: string, intensity: number, more: object = {}) => ({
      name: nature,
      nature,
      type: 'line',
      at: 0,
      to: '6 m',
      intensity,
      ...more,
    });
    const european = family === 'european';
    return runTool(findTool('steel.beam.line'), {
      family,
      philosophy,
      section: european ? 'UB 457x191x67' : family === 'british' ? 'UB 457x191x67' : 'W18X50',
      grade: european ? 'S355' : family === 'british' ? 'S275' : 'A992',
      length: '6 m',
      supports: [0, '6 m'],
      restraint: 'floor',
      loads: [line('permanent', 5), line('imposed', 5, { use: 'B' }), ...(wind === 0 ? [] : [line('wind', wind)])],
    }).checks;
  };
  it('G 5, Q 5, wind -6 kN/m on 6 m of UB 457x191x67 with its own weight: 68.1 kNm by (6.10), not 47.9', () => {
    // (1.35 (5 + 67.1 x 9.80665 / 1000) + 1.5 x 5) 6^2 / 8
    const bending = beam(-6).find(isCheck('bending'))!;
    expect(bending.demand! / 1e6).toBeCloseTo(((1.35 * (5 + (67.1 * 9.80665) / 1000) + 7.5) * 36) / 8, 1);
    // and upwards: wind 1.5 x 6 less what is there, 15 kNm, nothing beside the bottom flange it presses over 6 m
    const lateral = beam(-6).find(isCheck('lateral-torsional-buckling'))!;
    expect(Math.abs(lateral.demand!) / 1e6).toBeCloseTo(((1.5 * 6 - (5 + (67.1 * 9.80665) / 1000)) * 36) / 8, 1);
  });
  it.each([
    ['european', '6.10'],
    ['european', '6.10ab'],
    ['american', 'LRFD'],
    ['american', 'ASD'],
    ['british', 'BS5950'],
  ])('never lowers a use: %s, %s', (family, philosophy) => {
    const without = beam(0, family, philosophy);
    for (const wind of [-1, -3, -6, -12, 4])
      for (const { utilisation, ...row } of without) {
        const name = checkKey(row);
        const found = beam(wind, family, philosophy).find(isCheck(name))!;
        expect(found.utilisation!, `${name}, wind ${wind}`).toBeGreaterThanOrEqual(utilisation! - 1e-9);
      }
  });
});

describe('sums by case', () => {
  it('one combination under all that it has is the sum of its parts', () => {
    const { rules } = philosophyOf(STANDARDS.european, '6.10');
    const [combination] = rules.strength(CASES.map((id) => caseIn(usualCases, id)));
    fc.assert(
      fc.property(drawn, (input) => {
        const beam = built(input);
        const x = beam.length * 0.37;
        const alone = beam.parts.map((_, i) => {
          const one = combinationOf({
            ...combination!.factors,
            permanent: beam.parts[i]!.isPermanent ? combination!.factors['permanent']! : 0,
          });
          return beam
            .solve(
              one,
              beam.parts.map((_part, j) => i === j),
            )
            .at('moment', x);
        });
        const permanents = beam.parts.filter(({ isPermanent }) => isPermanent).length;
        expect(permanents).toBeLessThanOrEqual(1);
        const whole = beam.solve(combination!).at('moment', x);
        const sum = alone.reduce((a, b) => a + b, 0);
        expect(sum).toBeCloseTo(whole, 3);
      }),
      { numRuns: 60 },
    );
  });
});
