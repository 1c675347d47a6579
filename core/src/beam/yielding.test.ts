import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findTool, runTool } from '../tool';
import { solveBeam, type BeamLoad, type LineBeam } from '.';

const [L, EI, w] = [6000, 2e13, 12];
const along = (to: number): BeamLoad => ({ type: 'distributed', from: 0, to, start: w, end: w });

describe('supports that yield', () => {
  it('two springs: the beam goes down with them, and feels nothing of it', () => {
    const k = 5000;
    const s = solveBeam(
      {
        length: L,
        EI,
        supports: [
          { at: 0, spring: k },
          { at: L, spring: k },
        ],
      },
      [along(L)],
    );
    expect(s.reactions.map(({ force }) => force)).toEqual([expect.closeTo((w * L) / 2, 6), expect.closeTo((w * L) / 2, 6)]);
    expect(s.at('deflection', L / 2)).toBeCloseTo((5 * w * L ** 4) / (384 * EI) + (w * L) / 2 / k, 8);
    expect(s.at('moment', L / 2)).toBeCloseTo((w * L ** 2) / 8, 3);
  });
  it('a middle support on a spring: delta_0 over the flexibilities of beam and spring (force method)', () => {
    for (const k of [100, 5000, 1e6]) {
      const s = solveBeam({ length: 2 * L, EI, supports: [{ at: 0 }, { at: L, spring: k }, { at: 2 * L }] }, [along(2 * L)]);
      const [span, free] = [2 * L, (5 * w * (2 * L) ** 4) / (384 * EI)];
      expect(s.reactions[1]!.force).toBeCloseTo(free / (span ** 3 / (48 * EI) + 1 / k), 3);
    }
  });
  it('a middle support that sinks: 3 EI delta / L2 (three moments)', () => {
    const s = solveBeam({ length: 2 * L, EI, supports: [{ at: 0 }, { at: L, settlement: 10 }, { at: 2 * L }] }, []);
    expect(s.at('moment', L) / ((3 * EI * 10) / L ** 2)).toBeCloseTo(1, 9);
    expect(s.at('deflection', L)).toBeCloseTo(10, 9);
    expect(s.reactions.reduce((sum, { force }) => sum + force, 0)).toBeCloseTo(0, 6);
  });
  it('a fixed end that sinks beside a fixed one: 6 EI delta / L2', () => {
    const s = solveBeam(
      {
        length: L,
        EI,
        supports: [
          { at: 0, fixed: true },
          { at: L, fixed: true, settlement: 10 },
        ],
      },
      [],
    );
    expect(s.at('moment', 0) / ((-6 * EI * 10) / L ** 2)).toBeCloseTo(1, 9);
    expect(s.at('moment', L) / ((6 * EI * 10) / L ** 2)).toBeCloseTo(1, 9);
  });
  it('ends that turn under springs: w L2 / 12 over 1 + 2 EI / (k L)', () => {
    for (const k of [1e9, 1e10, 1e12]) {
      const ends = { rotationSpring: k };
      const s = solveBeam(
        {
          length: L,
          EI,
          supports: [
            { at: 0, ...ends },
            { at: L, ...ends },
          ],
        },
        [along(L)],
      );
      const expected = (w * L ** 2) / 12 / (1 + (2 * EI) / (k * L));
      expect(-s.at('moment', 0) / expected).toBeCloseTo(1, 8);
      expect(Math.abs(s.reactions[0]!.moment) / expected).toBeCloseTo(1, 8);
    }
  });
  it('a cantilever from one support that yields and turns: P L3 / 3 EI, P L2 / k_r, P / k', () => {
    const [P, k, kr] = [3000, 2000, 4e10];
    const s = solveBeam({ length: L, EI, supports: [{ at: 0, spring: k, rotationSpring: kr }] }, [{ type: 'point', at: L, force: P }]);
    expect(s.at('deflection', L)).toBeCloseTo((P * L ** 3) / (3 * EI) + (P * L ** 2) / kr + P / k, 6);
    expect(s.reactions[0]!.force).toBeCloseTo(P, 6);
  });
  it('an overhang beyond a spring, by statics and geometry', () => {
    const [P, k, a] = [4000, 3000, 1500];
    const s = solveBeam({ length: L + a, EI, supports: [{ at: 0 }, { at: L, spring: k }] }, [{ type: 'point', at: L + a, force: P }]);
    const R = (P * (L + a)) / L;
    expect(s.reactions[1]!.force).toBeCloseTo(R, 6);
    expect(s.at('deflection', L)).toBeCloseTo(R / k, 8);
    // tip: as on a rigid support, and the turn of the line through both supports
    expect(s.at('deflection', L + a)).toBeCloseTo((P * a ** 2 * (L + a)) / (3 * EI) + ((R / k) * (L + a)) / L, 6);
  });
});

const lines = fc.record({
  spans: fc.array(fc.integer({ min: 2000, max: 8000 }), { minLength: 1, maxLength: 4 }),
  loads: fc.array(fc.record({ at: fc.double({ min: 0, max: 1, noNaN: true }), force: fc.integer({ min: -20, max: 40 }) }), {
    maxLength: 5,
  }),
  springs: fc.array(fc.integer({ min: 500, max: 50_000 }), { minLength: 5, maxLength: 5 }),
});
const build = (spans: readonly number[], more: (i: number, at: number) => object): LineBeam => {
  const places = spans.reduce<number[]>((list, span) => [...list, list.at(-1)! + span], [0]);
  return { length: places.at(-1)!, EI, supports: places.map((at, i) => ({ at, ...more(i, at) })) };
};

describe('whatever yields', () => {
  it('closes in force and moment, springs press by what they go down, and the mirror image is the mirror image', () => {
    fc.assert(
      fc.property(lines, ({ spans, loads, springs }) => {
        const beam = build(spans, (i) => ({ spring: springs[i]!, ...(i % 2 ? { settlement: 5 } : {}) }));
        const list = loads.map(({ at, force }): BeamLoad => ({ type: 'point', at: at * beam.length, force: force * 1e3 }));
        const s = solveBeam(beam, list);
        const [total, about] = list.reduce(
          ([t, m], load) => (load.type === 'point' ? [t + load.force, m + load.force * load.at] : [t, m]),
          [0, 0],
        );
        const scale = 1e-6 * (1e5 + Math.abs(total));
        expect(Math.abs(s.reactions.reduce((sum, { force }) => sum + force, 0) - total)).toBeLessThan(scale);
        expect(Math.abs(s.reactions.reduce((sum, { force, at }) => sum + force * at, 0) - about)).toBeLessThan(scale * beam.length);
        s.reactions.forEach(({ at, force }, i) => {
          const down = s.at('deflection', at) - (i % 2 ? 5 : 0);
          expect(Math.abs(force - springs[i]! * down)).toBeLessThan(1e-3 + 1e-6 * Math.abs(force));
        });
        const turned = solveBeam(
          { ...beam, supports: beam.supports.map((support) => ({ ...support, at: beam.length - support.at })).reverse() },
          list.map((load) => (load.type === 'point' ? { ...load, at: beam.length - load.at } : load)),
        );
        expect(Math.abs(turned.at('deflection', beam.length * 0.63) - s.at('deflection', beam.length * 0.37))).toBeLessThan(1e-6);
      }),
      { numRuns: 100 },
    );
  });
  it('supports that sink along a line bend nothing', () => {
    fc.assert(
      fc.property(lines, fc.integer({ min: -20, max: 20 }), fc.integer({ min: -10, max: 10 }), ({ spans }, start, slope) => {
        const beam = build(spans, (_, at) => ({ settlement: start + (slope * at) / 1000 }));
        const s = solveBeam(beam, []);
        const { max, min } = s.extremes('moment');
        expect(Math.max(max.value, -min.value)).toBeLessThan(1);
        expect(s.at('deflection', beam.length / 3)).toBeCloseTo(start + (slope * beam.length) / 3000, 6);
      }),
      { numRuns: 60 },
    );
  });
  it('what makes no sense is refused at its field', () => {
    const run = (support: object, more: object = {}) =>
      runTool(findTool('beam.line'), { length: 6000, EI: '40000 kN*m^2', supports: [{ at: 0 }, { at: 6000, ...support }], ...more });
    expect(() => run({ spring: 0 })).toThrow('spring must lie between');
    expect(() => run({ fixed: true, rotationSpring: '50 kNm' })).toThrow('is fixed, and cannot turn');
    expect(() => run({ rotationSpring: '50 kNm' }, { hinges: [6000] })).toThrow('has a hinge');
    const { result } = run({ spring: '8 kN/mm', settlement: '3 mm' }, { loads: [{ type: 'point', at: 3000, force: '40 kN' }] });
    expect((result as { reactions: { force: number }[] }).reactions[1]!.force).toBeCloseTo(20e3, 6);
  });
});
