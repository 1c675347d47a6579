import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveBeam, type BeamLoad, type BeamStretch, type BeamSupport } from '.';

const EI = 2e13;
const point = (at: number, force: number): BeamLoad => ({ type: 'point', at, force });
const even = (length: number, w: number): BeamLoad => ({ type: 'distributed', from: 0, to: length, start: w, end: w });

describe('stretches of another stiffness', () => {
  it('stepped cantilever, tip down by moment areas: P L3 / 3 EI less the root that is stiffer', () => {
    // root half k times as stiff: P/EI ((L^3 - (L/2)^3) / (3 k) + (L/2)^3 / 3), both ways round
    const [L, P, k] = [4000, 10e3, 4];
    const expected = (P / EI) * ((L ** 3 - (L / 2) ** 3) / (3 * k) + (L / 2) ** 3 / 3);
    const right = solveBeam({ length: L, EI, supports: [{ at: 0, fixed: true }], stretches: [{ from: 0, to: L / 2, factor: k }] }, [
      point(L, P),
    ]);
    expect(right.at('deflection', L, -1)).toBeCloseTo(expected, 9);
    const left = solveBeam({ length: L, EI, supports: [{ at: L, fixed: true }], stretches: [{ from: L / 2, to: L, factor: k }] }, [
      point(0, P),
    ]);
    expect(left.at('deflection', 0, 1)).toBeCloseTo(expected, 9);
    expect(left.reactions[0]!.force).toBeCloseTo(P, 6);
    expect(Math.abs(left.reactions[0]!.moment)).toBeCloseTo(P * L, 3);
  });
  it('simple span with a stiffer middle half, point load in the middle: by moment areas', () => {
    // M = P x / 2; d = 2 int_0^{L/2} M m / EI with m = x / 2: P / (2 EI) (int_0^{L/4} x^2 + int_{L/4}^{L/2} x^2 / k)
    const [L, P, k] = [8000, 24e3, 3];
    const third = (a: number, b: number) => (b ** 3 - a ** 3) / 3;
    const expected = (P / (2 * EI)) * (third(0, L / 4) + third(L / 4, L / 2) / k);
    const beam = { length: L, EI, supports: [{ at: 0 }, { at: L }], stretches: [{ from: L / 4, to: (3 * L) / 4, factor: k }] };
    expect(solveBeam(beam, [point(L / 2, P)]).at('deflection', L / 2, -1)).toBeCloseTo(expected, 9);
  });
  it('propped: a beam held at one end, its prop by the force method', () => {
    // prop force X: deflection of the tip of a stepped cantilever under w is taken back by X
    const [L, w, k] = [6000, 12, 2.5];
    const beam = { length: L, EI, stretches: [{ from: 0, to: 2000, factor: k }] };
    const cantilever = [{ at: 0, fixed: true }];
    const under = (load: BeamLoad) => solveBeam({ ...beam, supports: cantilever }, [load]).at('deflection', L, -1);
    // by hand: int over the root, EI k, and over the rest, of w x^2 / 2 times x, and of x^2; x from the tip
    const down = (w / 2 / EI) * (4000 ** 4 / 4 + (L ** 4 - 4000 ** 4) / 4 / k);
    const up = (1 / EI) * (4000 ** 3 / 3 + (L ** 3 - 4000 ** 3) / 3 / k);
    expect(under(even(L, w))).toBeCloseTo(down, 8);
    const propped = solveBeam({ ...beam, supports: [...cantilever, { at: L }] }, [even(L, w)]);
    expect(propped.reactions[1]!.force).toBeCloseTo(down / up, 5);
    expect(propped.reactions[0]!.force).toBeCloseTo(w * L - down / up, 5);
  });
  it('refuses what is none', () => {
    const beam = { length: 5000, EI, supports: [{ at: 0 }, { at: 5000 }] };
    const refused = (stretches: BeamStretch[]) => () => solveBeam({ ...beam, stretches }, []);
    expect(refused([{ from: 1000, to: 2000, factor: 0 }])).toThrow('stiffness greater than 0');
    expect(refused([{ from: 2000, to: 2000, factor: 2 }])).toThrow('ends before it starts');
    expect(refused([{ from: 4000, to: 5500, factor: 2 }])).toThrow('off the beam');
    expect(
      refused([
        { from: 1000, to: 3000, factor: 2 },
        { from: 2500, to: 4000, factor: 3 },
      ]),
    ).toThrow('over another');
  });
});

const drawn = fc.record({
  cuts: fc.uniqueArray(fc.integer({ min: 1, max: 19 }), { minLength: 2, maxLength: 4 }),
  factors: fc.array(fc.double({ min: 0.2, max: 8, noNaN: true }), { minLength: 2, maxLength: 2 }),
  system: fc.constantFrom<readonly BeamSupport[]>(
    [{ at: 0 }, { at: 1 }],
    [{ at: 0, fixed: true }],
    [{ at: 0.2 }, { at: 0.7 }],
    [{ at: 0, fixed: true }, { at: 0.6 }, { at: 1, fixed: true }],
    [{ at: 0.1 }, { at: 0.5, spring: 900 }, { at: 0.9 }],
  ),
});
const L = 10_000;
const beamOf = ({ cuts, factors, system }: { cuts: readonly number[]; factors: readonly number[]; system: readonly BeamSupport[] }) => {
  const at = [...cuts].sort((a, b) => a - b).map((place) => (place * L) / 20);
  return {
    length: L,
    EI,
    supports: system.map((support) => ({ ...support, at: support.at * L })),
    stretches: factors.flatMap((factor, i) => (at[2 * i + 1] === undefined ? [] : [{ from: at[2 * i]!, to: at[2 * i + 1]!, factor }])),
  };
};

describe('of any beam in stretches', () => {
  it('what a force at a does at b, it does at b to a', () => {
    fc.assert(
      fc.property(drawn, fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }), (given, i, j) => {
        const beam = beamOf(given);
        const [a, b] = [(i * L) / 40, (j * L) / 40];
        const one = solveBeam(beam, [point(a, 1e4)]).at('deflection', b, -1);
        const other = solveBeam(beam, [point(b, 1e4)]).at('deflection', a, -1);
        expect(one).toBeCloseTo(other, 6);
      }),
      { numRuns: 200 },
    );
  });
  it('all of one factor is the beam times that factor; slopes and deflections run on', () => {
    fc.assert(
      fc.property(drawn, fc.double({ min: 0.3, max: 5, noNaN: true }), (given, factor) => {
        const beam = beamOf(given);
        const loads = [even(L, 7), point(3700, 2e4)];
        const stretched = solveBeam({ ...beam, stretches: [{ from: 0, to: L, factor }] }, loads);
        const plain = solveBeam({ ...beam, EI: EI * factor, stretches: [] }, loads);
        for (const x of [0, 1300, 3700, 5000, 9900]) {
          expect(stretched.at('moment', x, 1)).toBeCloseTo(plain.at('moment', x, 1), 2);
          expect(stretched.at('deflection', x, 1)).toBeCloseTo(plain.at('deflection', x, 1), 7);
        }
        const { pieces } = solveBeam(beam, loads);
        pieces.slice(1).forEach((piece, k) => {
          const before = pieces[k]!;
          const end = (of: readonly number[]) => of.reduceRight((sum, c) => sum * (before.to - before.from) + c, 0);
          expect(end(before.deflection)).toBeCloseTo(piece.deflection[0]!, 6);
          expect(end(before.slope)).toBeCloseTo(piece.slope[0]!, 9);
        });
      }),
      { numRuns: 100 },
    );
  });
});
