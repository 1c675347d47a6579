import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BeamModel } from '../analysis';
import { item, type Beam } from '../building';
import { usualCases, type Combination } from '../load';
import { audit, Sheet, type Entry } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import type { Arrival } from '../takedown';
import type { ArrivalShape } from '../takedown/shape';
import { recordOrdinates } from './ordinates';

const combination: Combination = {
  id: 'c',
  name: 'c',
  basis: 'factored',
  clause: 'c',
  factors: { permanent: 1.35, snow: 1.5 },
  cases: usualCases,
  purpose: 'strength',
};

function written(
  length: number,
  supports: readonly number[],
  loads: readonly (readonly [ArrivalShape, number, string?])[],
  hinges: number[] = [],
  fixed: readonly number[] = [],
) {
  const beam = item('beam', 'B', {
    mark: 'B',
    level: 'L',
    from: { x: 0, y: 0 },
    to: { x: length, y: 0 },
    ownWeight: 0,
    supports: supports.map((at) => ({ at, by: null, fixed: fixed.includes(at) })),
    hinges,
  }).body as Beam;
  const arrivals = loads.map(([shape, value, loadCase = 'permanent'], i): Arrival => ({
    id: `${i}`,
    label: '',
    source: { type: 'load', load: `${i}` },
    shape,
    byCase: { [loadCase]: value },
    adverse: { [loadCase]: Math.max(0, value) },
  }));
  const model = new BeamModel(beam, arrivals, 1e13, usualCases);
  const loading = { combination, present: model.parts.map(() => true) };
  const solution = model.solve(combination, loading.present);
  const sheet = new Sheet();
  recordOrdinates(model, loading, solution, 'SI', sheet);
  const values = new Map(
    sheet.entries.flatMap((entry: Entry) =>
      entry.type === 'step' || entry.type === 'given' ? [[entry.symbol, entry.value] as const] : [],
    ),
  );
  return { sheet, solution, values };
}

const spread = (from: number, to: number, start: number, end: number): ArrivalShape => ({ type: 'distributed', from, to, start, end });

describe('moments and shears by statics from the factored loads', () => {
  it('a triangle on a simple span: w L2 / (9 root 3), and a third of it to the near support, by hand', () => {
    // 12 kN/m at the far end, times 1.35
    const { values } = written(6000, [0, 6000], [[spread(0, 6000, 0, 12), 1]]);
    expect(values.get('R_1')! / 1e3).toBeCloseTo((1.35 * 12 * 6) / 6, 6);
    expect(values.get('R_2')! / 1e3).toBeCloseTo((1.35 * 12 * 6) / 3, 6);
    expect(values.get('M_x')! / 1e6).toBeCloseTo((1.35 * 12 * 36) / (9 * Math.sqrt(3)), 6);
    expect(values.get('V_x')! / 1e3).toBeCloseTo((-1.35 * 12 * 6) / 3, 6);
  });
  it('two spans under an even load: w L2 / 8 over the support, 5/4 w L on it, by hand', () => {
    const { values } = written(12_000, [0, 6000, 12_000], [[spread(0, 12_000, 10, 10), 1]]);
    expect(values.get('M_s2')! / 1e6).toBeCloseTo((-1.35 * 10 * 36) / 8, 6);
    expect(values.get('R_2')! / 1e3).toBeCloseTo(1.25 * 1.35 * 10 * 6, 6);
    expect(values.get('R_3')! / 1e3).toBeCloseTo(0.375 * 1.35 * 10 * 6, 6);
  });
  it('an overhang: P a over the support, and the far end lifted, by hand', () => {
    const { values } = written(8000, [0, 6000], [[{ type: 'point', at: 8000 }, 9000, 'snow']]);
    expect(values.get('R_2')! / 1e3).toBeCloseTo((1.5 * 9 * 8) / 6, 9);
    expect(values.get('R_1')! / 1e3).toBeCloseTo((-1.5 * 9 * 2) / 6, 9);
    expect(values.get('M_s2')! / 1e6).toBeCloseTo(-1.5 * 9 * 2, 9);
  });
  it('a cantilever, built in at either end: w L2 / 2 and w L, the moment that holds it by equilibrium', () => {
    const w = 1.35 * 10;
    for (const at of [0, 3000]) {
      const { sheet, values } = written(3000, [at], [[spread(0, 3000, 10, 10), 1]], [], [at]);
      expect(values.get('M_x')! / 1e6).toBeCloseTo((-w * 9) / 2, 9);
      expect(Math.abs(values.get('V_x')!) / 1e3).toBeCloseTo(w * 3, 9);
      expect(values.get('R_1')! / 1e3).toBeCloseTo(w * 3, 9);
      expect(values.get('J_1')! / 1e6).toBeCloseTo(((at === 0 ? 1 : -1) * w * 9) / 2, 9);
      expect(audit(sheet.entries, evaluate)).toEqual([]);
    }
  });
  it('built in at one end, propped at the other: w L2 / 8 and 3/8 w L, by hand', () => {
    const { sheet, values } = written(4000, [0, 4000], [[spread(0, 4000, 10, 10), 1]], [], [0]);
    expect(values.get('M_x')! / 1e6).toBeCloseTo((-1.35 * 10 * 16) / 8, 9);
    expect(values.get('R_2')! / 1e3).toBeCloseTo(0.375 * 1.35 * 10 * 4, 9);
    expect(audit(sheet.entries, evaluate)).toEqual([]);
  });
  it('of any beam they are those of its solution, on a sheet that re-evaluates', () => {
    const metres = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map((v) => v * 100);
    const beams = fc
      .tuple(
        metres(3, 5),
        metres(3, 5),
        metres(0, 2),
        metres(0, 2),
        fc.boolean(),
        fc.boolean(),
        fc.boolean(),
        fc.array(fc.boolean(), { minLength: 3, maxLength: 3 }),
      )
      .map(([one, two, before, after, isTwo, isHinged, isTurned, held]) => {
        const inOrder = isTwo ? [before, before + one, before + one + two] : [before, before + one];
        // supports stand in the order in which somebody named them
        const supports = isTurned ? [...inOrder].reverse() : inOrder;
        return {
          length: inOrder.at(-1)! + after,
          supports,
          hinges: isTwo && isHinged ? [before + one + 800] : [],
          fixed: inOrder.filter((_, i) => held[i]),
        };
      });
    const load = fc.tuple(
      fc.integer({ min: 0, max: 100 }),
      fc.integer({ min: 0, max: 100 }),
      fc.integer({ min: 0, max: 30 }),
      fc.integer({ min: 0, max: 30 }),
      fc.boolean(),
      fc.constantFrom('permanent', 'snow'),
    );
    fc.assert(
      fc.property(beams, fc.array(load, { minLength: 1, maxLength: 5 }), ({ length, supports, hinges, fixed }, list) => {
        const loads = list.map(([a, b, start, end, isPoint, loadCase]) => {
          const [from, to] = [(Math.min(a, b) / 100) * length, (Math.max(a, b) / 100) * length];
          return isPoint || to - from < 50
            ? ([{ type: 'point', at: from } as const, (start + 1) * 1000, loadCase] as const)
            : ([spread(from, to, start + 1, end), 1, loadCase] as const);
        });
        const { sheet, solution, values } = written(length, supports, loads, hinges, fixed);
        expect(audit(sheet.entries, evaluate)).toEqual([]);
        const largest = (effect: 'moment' | 'shear') => {
          const { max, min } = solution.extremes(effect);
          return Math.max(max.value, -min.value);
        };
        for (const [symbol, effect] of [
          ['M_x', 'moment'],
          ['V_x', 'shear'],
        ] as const) {
          const value = values.get(symbol);
          if (value !== undefined) expect(Math.abs(value)).toBeCloseTo(largest(effect), -1);
        }
        supports.forEach((at, i) => {
          const value = values.get(`M_s${i + 1}`);
          if (value !== undefined)
            expect(Math.min(...([-1, 1] as const).map((side) => Math.abs(value - solution.at('moment', at, side))))).toBeLessThan(
              1e-6 * largest('moment') + 1,
            );
        });
        solution.reactions.forEach(({ force }, i) => expect(values.get(`R_${i + 1}`)!).toBeCloseTo(force, 2));
      }),
      { numRuns: 200 },
    );
  });
  it('more loads than one writes out, or one that turns its sign, are said to be given', () => {
    const many = Array.from({ length: 20 }, (_, i) => [{ type: 'point', at: 200 * (i + 1) } as const, 1000] as const);
    const { sheet, values, solution } = written(6000, [0, 6000], many);
    expect(sheet.entries.some((entry) => entry.type === 'note' && entry.text.startsWith('20 different loads'))).toBe(true);
    expect(values.get('M_x')).toBe(solution.extremes('moment').max.value);
    expect(written(6000, [0, 6000], [[spread(0, 6000, -2, 5), 1]]).sheet.entries[0]).toMatchObject({ type: 'note' });
  });
});
