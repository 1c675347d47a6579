import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BeamSystem } from '../../beam';
import { stripReactions } from './strip';

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

describe('a strip of floor on its supports, by hand', () => {
  it('a simple span gives half to each side', () => {
    expect(stripReactions(0, 5000, [0, 5000], false)).toEqual([2500, 2500]);
  });
  it('an overhang of 2 m beyond a span of 4 m lifts the far support by half a metre of load', () => {
    // 6 m of load at 3 m from the first support: 6 x 3 / 4 = 4.5 on the second
    const [a, b] = stripReactions(0, 6000, [0, 4000], false);
    expect(a).toBeCloseTo(1500, 9);
    expect(b).toBeCloseTo(4500, 9);
  });
  it('overhangs on both sides balance', () => {
    expect(stripReactions(-1000, 5000, [0, 4000], false)).toEqual([3000, 3000]);
  });
  it('a strip that begins behind its first support loads the nearer one more', () => {
    // loaded from 1 m to 4 m of a 4 m span: 3 m at 2.5 m
    const [a, b] = stripReactions(1000, 4000, [0, 4000], false);
    expect(b).toBeCloseTo((3000 * 2500) / 4000, 9);
    expect(a).toBeCloseTo(3000 - (3000 * 2500) / 4000, 9);
  });
  it('two equal spans: 3/8, 10/8, 3/8 when continuous, 4/8, 8/8, 4/8 when simple', () => {
    const spans = [0, 4000, 8000];
    [1500, 5000, 1500].forEach((want, i) => expect(stripReactions(0, 8000, spans, true)[i]).toBeCloseTo(want, 6));
    expect(stripReactions(0, 8000, spans, false)).toEqual([2000, 4000, 2000]);
  });
  it('three equal spans: 0.4, 1.1, 1.1, 0.4', () => {
    [400, 1100, 1100, 400].forEach((want, i) => expect(stripReactions(0, 3000, [0, 1000, 2000, 3000], true)[i]).toBeCloseTo(want, 6));
  });
});

describe('any strip', () => {
  const strips = fc
    .record({
      gaps: fc.array(fc.integer({ min: 1000, max: 8000 }), { minLength: 1, maxLength: 5 }),
      before: fc.integer({ min: -400, max: 2500 }),
      after: fc.integer({ min: -400, max: 2500 }),
    })
    .map(({ gaps, before, after }) => {
      const supports = [0];
      for (const gap of gaps) supports.push(supports.at(-1)! + gap);
      return { supports, from: -before, to: supports.at(-1)! + after };
    });
  it('carries its load and the first moment of it', () => {
    fc.assert(
      fc.property(strips, fc.boolean(), ({ supports, from, to }, continuous) => {
        const reactions = stripReactions(from, to, supports, continuous);
        expect(sum(reactions)).toBeCloseTo(to - from, 6);
        const moment = sum(reactions.map((r, i) => r * supports[i]!));
        expect(Math.abs(moment - ((to - from) * (to + from)) / 2)).toBeLessThan(1e-9 * 1e9);
      }),
    );
  });
  it('continuous, it is what the stiffness method gives', () => {
    fc.assert(
      fc.property(strips, ({ supports, from, to }) => {
        const start = Math.min(from, 0);
        const length = Math.max(to, supports.at(-1)!) - start;
        const beam = new BeamSystem({ length, EI: 1e13, supports: supports.map((at) => ({ at: at - start })), hinges: [] });
        const solved = beam.solve([{ type: 'distributed', from: from - start, to: to - start, start: 1, end: 1 }]).reactions;
        stripReactions(from, to, supports, true).forEach((r, i) => expect(Math.abs(r - solved[i]!.force)).toBeLessThan(1e-5 * length));
      }),
    );
  });
});
