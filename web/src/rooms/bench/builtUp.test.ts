import { describe, expect, it } from 'vitest';
import { inUnits, middlesOf, newPart, solveBuiltUp, STARTS, withoutPart, type BuiltUpInput, type PartRow } from './builtUp';

const BUILT_UP = STARTS.SI;

const withPart = (input: BuiltUpInput, kind: PartRow['kind']): BuiltUpInput => ({
  ...input,
  parts: [...input.parts, newPart(kind, input, solveBuiltUp(input).parts)],
});

describe('the bench of built-up sections', () => {
  it('puts new parts where they make a section, whatever stands there', () => {
    let input: BuiltUpInput = BUILT_UP;
    for (const kind of ['plate', 'shape', 'plate', 'hole'] as const) {
      input = withPart(input, kind);
      expect(solveBuiltUp(input), kind).toHaveProperty('reply');
    }
    expect(new Set(input.parts.map(({ name }) => name)).size).toBe(7);
    const alone = (section: string): BuiltUpInput => ({
      ...BUILT_UP,
      parts: [{ ...BUILT_UP.parts[0]!, stacked: undefined, kind: 'shape', section, z: 100 }],
    });
    expect(solveBuiltUp(withPart(alone('UB 457x191x67'), 'hole'))).toHaveProperty('reply');
    expect(solveBuiltUp(withPart({ ...BUILT_UP, parts: [] }, 'plate'))).toHaveProperty('reply');
  });
  it('says what is wrong and still has the parts to draw; what is no section does not stop a part being added', () => {
    const over: BuiltUpInput = { ...BUILT_UP, parts: BUILT_UP.parts.map((part) => ({ ...part, stacked: undefined, z: 0 })) };
    expect(solveBuiltUp(over)).toMatchObject({ problem: expect.stringContaining('lie over each other'), parts: [{}, {}, {}] });
    const unknown: BuiltUpInput = { ...BUILT_UP, parts: [{ ...BUILT_UP.parts[0]!, stacked: undefined, kind: 'shape', section: 'UB 9x9' }] };
    expect(solveBuiltUp(unknown)).toMatchObject({ problem: expect.stringContaining('not in the catalogue'), parts: null });
    expect(withPart(unknown, 'hole').parts).toHaveLength(2);
  });
  it('begins in US units with round numbers of them and E of 29,000 ksi; what somebody typed stays', () => {
    const us = inUnits(BUILT_UP, 'US');
    expect(solveBuiltUp(us)).toHaveProperty('reply');
    for (const { width, height, E, fy } of us.parts) {
      for (const size of [width, height]) expect((size / 25.4) * 8).toBeCloseTo(Math.round((size / 25.4) * 8), 9);
      expect(E / 6.894757293168361).toBeCloseTo(29_000, 6);
      expect([36, 50]).toContain(Math.round(fy / 6.894757293168361));
    }
    // the plates lie on each other, and go on doing so
    const heights = (input: BuiltUpInput) => [...middlesOf(solveBuiltUp(input).parts).values()].map((height) => height / 25.4);
    expect(heights(us)).toEqual([expect.closeTo(16.5, 9), expect.closeTo(0, 9), expect.closeTo(-16.625, 9)]);
    const deeper = { ...us, parts: us.parts.map((row) => (row.name === 'web' ? { ...row, height: row.height + 4 * 25.4 } : row)) };
    expect(heights(deeper)[0]).toBeCloseTo(18.5, 9);
    // without the web they stay where they are
    const left = { ...us, parts: withoutPart(us.parts, 1, middlesOf(solveBuiltUp(us).parts)) };
    expect(heights(left)).toEqual([expect.closeTo(16.5, 9), expect.closeTo(-16.625, 9)]);
    expect(withPart(us, 'plate').parts.at(-1)).toMatchObject({ width: 203.2, E: us.parts[0]!.E });
    expect(inUnits(us, 'SI')).toEqual(BUILT_UP);
    const typed = { ...BUILT_UP, shear: 500e3 };
    expect(inUnits(typed, 'US')).toEqual({ ...typed, units: 'US' });
  });
});
