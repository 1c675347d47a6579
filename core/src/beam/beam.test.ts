import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BeamSystem, firstMoment, scaleLoad, solveBeam, totalForce, type BeamLoad, type LineBeam } from '.';

const EI = 2e13;
const L = 6000;
const simple: LineBeam = { length: L, EI, supports: [{ at: 0 }, { at: L }] };
const relative = (got: number, expected: number) => Math.abs(got - expected) / Math.max(1e-12, Math.abs(expected));

describe('closed forms', () => {
  it('simple span, uniform load: wL2/8, wL/2, 5wL4/384EI', () => {
    const s = solveBeam(simple, [{ type: 'distributed', from: 0, to: L, start: 20, end: 20 }]);
    expect(relative(s.extremes('moment').max.value, (20 * L ** 2) / 8)).toBeLessThan(1e-12);
    expect(s.extremes('moment').max.at).toBeCloseTo(L / 2, 6);
    expect(s.reactions[0]!.force).toBeCloseTo(60_000, 6);
    expect(relative(s.extremes('deflection').max.value, (5 * 20 * L ** 4) / (384 * EI))).toBeLessThan(1e-12);
  });
  it('simple span, eccentric point load: Pab/L, and the largest sag at sqrt((L2-b2)/3)', () => {
    const [P, a] = [50_000, 4000];
    const b = L - a;
    const s = solveBeam(simple, [{ type: 'point', at: a, force: P }]);
    expect(relative(s.extremes('moment').max.value, (P * a * b) / L)).toBeLessThan(1e-12);
    const sag = (P * b * (L ** 2 - b ** 2) ** 1.5) / (9 * Math.sqrt(3) * L * EI);
    expect(relative(s.extremes('deflection').max.value, sag)).toBeLessThan(1e-12);
    expect(s.extremes('deflection').max.at).toBeCloseTo(Math.sqrt((L ** 2 - b ** 2) / 3), 5);
  });
  it('simple span, triangular load: wL2/(9 sqrt 3) at L/sqrt 3', () => {
    const s = solveBeam(simple, [{ type: 'distributed', from: 0, to: L, start: 0, end: 30 }]);
    expect(relative(s.extremes('moment').max.value, (30 * L ** 2) / (9 * Math.sqrt(3)))).toBeLessThan(1e-12);
    expect(s.extremes('moment').max.at).toBeCloseTo(L / Math.sqrt(3), 5);
    expect(relative(s.extremes('deflection').max.value, (0.00652183 * 30 * L ** 4) / EI)).toBeLessThan(2e-4);
  });
  it('cantilever to the right and to the left: PL3/3EI, wL4/8EI', () => {
    const right = solveBeam({ length: L, EI, supports: [{ at: 0, fixed: true }] }, [{ type: 'point', at: L, force: 1000 }]);
    expect(relative(right.extremes('deflection').max.value, (1000 * L ** 3) / (3 * EI))).toBeLessThan(1e-12);
    expect(right.reactions[0]).toEqual({ at: 0, force: 1000, moment: 1000 * L });
    const left = solveBeam({ length: L, EI, supports: [{ at: L, fixed: true }] }, [
      { type: 'distributed', from: 0, to: L, start: 5, end: 5 },
    ]);
    expect(relative(left.extremes('deflection').max.value, (5 * L ** 4) / (8 * EI))).toBeLessThan(1e-12);
    expect(left.extremes('deflection').max.at).toBe(0);
    expect(left.extremes('moment').min.value).toBeCloseTo((-5 * L ** 2) / 2, 3);
    expect(left.reactions[0]!.moment).toBeCloseTo((-5 * L ** 2) / 2, 3);
  });
  it('propped cantilever, uniform load: 3wL/8, wL2/8, 9wL2/128', () => {
    const s = solveBeam({ length: L, EI, supports: [{ at: 0, fixed: true }, { at: L }] }, [
      { type: 'distributed', from: 0, to: L, start: 10, end: 10 },
    ]);
    expect(s.reactions[1]!.force).toBeCloseTo((3 * 10 * L) / 8, 6);
    expect(relative(s.reactions[0]!.moment, (10 * L ** 2) / 8)).toBeLessThan(1e-11);
    expect(relative(s.extremes('moment').max.value, (9 * 10 * L ** 2) / 128)).toBeLessThan(1e-11);
  });
  it('fixed at both ends, point load: Pab2/L2', () => {
    const [P, a] = [40_000, 2000];
    const s = solveBeam(
      {
        length: L,
        EI,
        supports: [
          { at: 0, fixed: true },
          { at: L, fixed: true },
        ],
      },
      [{ type: 'point', at: a, force: P }],
    );
    expect(relative(s.reactions[0]!.moment, (P * a * (L - a) ** 2) / L ** 2)).toBeLessThan(1e-11);
    expect(relative(-s.reactions[1]!.moment, (P * a ** 2 * (L - a)) / L ** 2)).toBeLessThan(1e-11);
  });
  it('two equal spans: 10wl/8 at the middle, hogging wl2/8', () => {
    const l = L / 2;
    const s = solveBeam({ length: L, EI, supports: [{ at: 0 }, { at: l }, { at: L }] }, [
      { type: 'distributed', from: 0, to: L, start: 12, end: 12 },
    ]);
    expect(relative(s.reactions[1]!.force, (10 * 12 * l) / 8)).toBeLessThan(1e-11);
    expect(relative(s.extremes('moment').min.value, (-12 * l ** 2) / 8)).toBeLessThan(1e-11);
    expect(s.contraflexures().length).toBe(2);
    expect(s.contraflexures()[0]).toBeCloseTo(0.75 * l, 5);
  });
  it('overhang lifts the far support: -Pa/L', () => {
    const s = solveBeam({ length: 8000, EI, supports: [{ at: 0 }, { at: 6000 }] }, [{ type: 'point', at: 8000, force: 9000 }]);
    expect(s.reactions.map((r) => Math.round(r.force))).toEqual([-3000, 12000]);
    // tip sag P a2 (L + a) / 3EI
    expect(relative(s.at('deflection', 8000), (9000 * 2000 ** 2 * 8000) / (3 * EI))).toBeLessThan(1e-11);
  });
  it('a hinge gives no moment: two propped halves', () => {
    const s = solveBeam(
      {
        length: 2 * L,
        EI,
        supports: [
          { at: 0, fixed: true },
          { at: 2 * L, fixed: true },
        ],
        hinges: [L],
      },
      [{ type: 'point', at: L, force: 8000 }],
    );
    expect(s.at('moment', L)).toBeCloseTo(0, 6);
    expect(relative(s.reactions[0]!.moment, 4000 * L)).toBeLessThan(1e-11);
    expect(relative(s.at('deflection', L), (4000 * L ** 3) / (3 * EI))).toBeLessThan(1e-10);
  });
  it('end moment on a simple span: ML/3EI at the near end', () => {
    const s = solveBeam(simple, [{ type: 'moment', at: 0, moment: 3e7 }]);
    expect(s.reactions.map((r) => Math.round(r.force))).toEqual([-5000, 5000]);
    expect(relative(s.at('slope', 0), (3e7 * L) / (3 * EI))).toBeLessThan(1e-11);
  });
});

/**
 * An independent route: Macaulay's brackets. EI v = c0 + c1 x - sum R<x-a>3/6 + loads; the unknown reactions and
 * constants come from v = 0 at the supports and from the two equations of equilibrium.
 */
function macaulay(beam: LineBeam, loads: readonly BeamLoad[]): number[] {
  const power = (x: number, n: number) => (x > 0 ? x ** n : 0);
  const s = beam.supports.map((support) => support.at / beam.length);
  const n = s.length;
  const rows: number[][] = [];
  const loadTerm = (x: number) =>
    loads.reduce((sum, load) => {
      if (load.type === 'point') return sum + (load.force * power(x - load.at / beam.length, 3)) / 6;
      if (load.type === 'moment') return sum - (load.moment / beam.length) * (power(x - load.at / beam.length, 2) / 2);
      const [a, b] = [load.from / beam.length, load.to / beam.length];
      const k = (load.end - load.start) / (b - a);
      const part =
        load.start * (power(x - a, 4) / 24) + k * (power(x - a, 5) / 120) - load.end * (power(x - b, 4) / 24) - k * (power(x - b, 5) / 120);
      return sum + part * beam.length;
    }, 0);
  for (const x of s) rows.push([...s.map((a) => -power(x - a, 3) / 6), 1, x, -loadTerm(x)]);
  const W = loads.reduce((sum, load) => sum + totalForce(load), 0);
  const M = loads.reduce((sum, load) => sum + firstMoment(load), 0) / beam.length;
  rows.push([...s.map(() => 1), 0, 0, W], [...s, 0, 0, M]);
  for (let k = 0; k < n + 2; k += 1) {
    const p = rows.slice(k).reduce((best, row, i) => (Math.abs(row[k]!) > Math.abs(rows[best]![k]!) ? k + i : best), k);
    [rows[k], rows[p]] = [rows[p]!, rows[k]!];
    for (let i = 0; i < n + 2; i += 1) {
      if (i === k) continue;
      const f = rows[i]![k]! / rows[k]![k]!;
      for (let j = k; j <= n + 2; j += 1) rows[i]![j]! -= f * rows[k]![j]!;
    }
  }
  return rows.slice(0, n).map((row, i) => row[n + 2]! / row[i]!);
}

const anyBeam = fc
  .record({
    spans: fc.array(fc.double({ min: 2000, max: 9000, noNaN: true }), { minLength: 1, maxLength: 5 }),
    left: fc.oneof(fc.constant(0), fc.double({ min: 1, max: 2500, noNaN: true })),
    right: fc.oneof(fc.constant(0), fc.double({ min: 1, max: 2500, noNaN: true })),
  })
  .map(({ spans, left, right }): LineBeam => {
    let at = left;
    const supports = [{ at }, ...spans.map((span) => ({ at: (at += span) }))];
    return { length: at + right, EI, supports };
  });
const unit = fc.integer({ min: 0, max: 100_000 }).map((n) => n / 100_000);
/** Whole newtons: what is drawn stays within what a double holds fully. */
const force = fc.integer({ min: -100_000, max: 100_000 });
const anyLoads = (length: number) =>
  fc.array(
    fc.oneof(
      fc.record({ type: fc.constant('point' as const), at: unit.map((u) => u * length), force }),
      fc.record({ type: fc.constant('moment' as const), at: unit.map((u) => u * length), moment: force.map((f) => f * 1000) }),
      fc
        .tuple(unit, unit, force, force)
        .filter(([a, b]) => Math.abs(a - b) > 1e-3)
        .map(([a, b, p, q]) => ({
          type: 'distributed' as const,
          from: Math.min(a, b) * length,
          to: Math.max(a, b) * length,
          start: p / 1000,
          end: q / 1000,
        })),
    ),
    { minLength: 1, maxLength: 8 },
  ) as fc.Arbitrary<BeamLoad[]>;
const beamAndLoads = anyBeam.chain((beam) => anyLoads(beam.length).map((loads) => ({ beam, loads })));
const magnitude = (loads: readonly BeamLoad[], length: number) =>
  1 +
  loads.reduce(
    (sum, load) =>
      sum +
      (load.type === 'point'
        ? Math.abs(load.force)
        : load.type === 'moment'
          ? Math.abs(load.moment) / length
          : Math.max(Math.abs(load.start), Math.abs(load.end)) * (load.to - load.from)),
    0,
  );

describe('any beam', () => {
  it('agrees with Macaulay brackets on every reaction', () => {
    fc.assert(
      fc.property(beamAndLoads, ({ beam, loads }) => {
        const got = solveBeam(beam, loads).reactions;
        const size = magnitude(loads, beam.length);
        macaulay(beam, loads).forEach((expected, i) => expect(Math.abs(got[i]!.force - expected) / size).toBeLessThan(1e-7));
      }),
      { numRuns: 300 },
    );
  });
  it('closes in force and moment to 1e-12 of the load', () => {
    fc.assert(
      fc.property(beamAndLoads, ({ beam, loads }) => {
        const { reactions } = solveBeam(beam, loads);
        const size = magnitude(loads, beam.length);
        const up = reactions.reduce((sum, r) => sum + r.force, 0);
        const turn = reactions.reduce((sum, r) => sum + r.force * r.at, 0);
        expect(Math.abs(up - loads.reduce((sum, load) => sum + totalForce(load), 0)) / size).toBeLessThan(1e-12);
        expect(Math.abs(turn - loads.reduce((sum, load) => sum + firstMoment(load), 0)) / size / beam.length).toBeLessThan(1e-11);
      }),
      { numRuns: 300 },
    );
  });
  it('is exact between its breaks: no sampled value exceeds the extremes, ends are free, supports do not sink', () => {
    fc.assert(
      fc.property(beamAndLoads, ({ beam, loads }) => {
        const s = solveBeam(beam, loads);
        for (const effect of ['moment', 'shear', 'deflection'] as const) {
          const { max, min } = s.extremes(effect);
          const slack = 1e-9 * (Math.abs(max.value) + Math.abs(min.value));
          for (let i = 0; i <= 100; i += 1) {
            const value = s.at(effect, (beam.length * i) / 100);
            expect(value).toBeLessThanOrEqual(max.value + slack);
            expect(value).toBeGreaterThanOrEqual(min.value - slack);
          }
        }
        const sag = s.extremes('deflection');
        for (const support of beam.supports)
          expect(Math.abs(s.at('deflection', support.at))).toBeLessThan(1e-8 * (sag.max.value - sag.min.value) + 1e-12);
        const size = magnitude(loads, beam.length);
        const atRight = loads.reduce((sum, load) => sum + (load.type === 'moment' && load.at === beam.length ? load.moment : 0), 0);
        expect(Math.abs(s.at('moment', beam.length) + atRight) / size / beam.length).toBeLessThan(1e-9);
      }),
      { numRuns: 200 },
    );
  });
  it('is linear, and the same when mirrored', () => {
    fc.assert(
      fc.property(beamAndLoads, ({ beam, loads }) => {
        const system = new BeamSystem(beam);
        const one = system.solve(loads);
        const double = system.solve(loads.map((load) => scaleLoad(load, 2)));
        const mirror: LineBeam = { ...beam, supports: beam.supports.map((s) => ({ at: beam.length - s.at })) };
        const mirrored = solveBeam(
          mirror,
          loads.map((load): BeamLoad => {
            if (load.type === 'distributed')
              return { ...load, from: beam.length - load.to, to: beam.length - load.from, start: load.end, end: load.start };
            return load.type === 'point'
              ? { ...load, at: beam.length - load.at }
              : { ...load, at: beam.length - load.at, moment: -load.moment };
          }),
        );
        const size = magnitude(loads, beam.length);
        one.reactions.forEach((r, i) => {
          expect(Math.abs(double.reactions[i]!.force - 2 * r.force) / size).toBeLessThan(1e-9);
          expect(Math.abs(mirrored.reactions[i]!.force - r.force) / size).toBeLessThan(1e-8);
        });
        const [a, b] = [one.extremes('moment'), mirrored.extremes('moment')];
        expect(Math.abs(a.max.value - b.max.value) / size / beam.length).toBeLessThan(1e-8);
      }),
      { numRuns: 200 },
    );
  });
});

describe('what cannot be solved is said', () => {
  const load: BeamLoad = { type: 'point', at: 1000, force: 1 };
  it.each([
    [{ length: 0, EI, supports: [{ at: 0 }] }, 'no length'],
    [{ length: L, EI, supports: [] }, 'no support'],
    [{ length: L, EI, supports: [{ at: 0 }] }, 'mechanism'],
    [{ length: L, EI, supports: [{ at: 0 }, { at: 7000 }] }, 'lies off the beam'],
    [{ length: L, EI, supports: [{ at: 0 }, { at: 0.2 }] }, 'same place'],
    [{ length: L, EI, supports: [{ at: 0 }, { at: L }], hinges: [3000] }, 'mechanism'],
    [{ length: L, EI, supports: [{ at: 0 }, { at: 4000 }], hinges: [5000] }, 'mechanism'],
    [{ length: L, EI: 0, supports: [{ at: 0 }, { at: L }] }, 'EI'],
  ] as [LineBeam, string][])('%j', (beam, message) => {
    expect(() => solveBeam(beam, [load])).toThrow(message);
  });
  it('a load off the beam, one that ends before it starts, one that is no number', () => {
    expect(() => solveBeam(simple, [{ type: 'point', at: 7000, force: 1 }])).toThrow('load 1 lies off the beam');
    expect(() => solveBeam(simple, [{ type: 'distributed', from: 4000, to: 2000, start: 1, end: 1 }])).toThrow('ends before it starts');
    expect(() => solveBeam(simple, [{ type: 'point', at: 1, force: Number.NaN }])).toThrow('not a finite number');
  });
});
