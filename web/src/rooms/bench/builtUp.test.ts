import { describe, expect, it } from 'vitest';
import { BUILT_UP, newPart, solveBuiltUp, type BuiltUpInput, type PartRow } from './builtUp';

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
    const alone = (section: string): BuiltUpInput => ({ ...BUILT_UP, parts: [{ ...BUILT_UP.parts[0]!, kind: 'shape', section, z: 100 }] });
    expect(solveBuiltUp(withPart(alone('UB 457x191x67'), 'hole'))).toHaveProperty('reply');
    expect(solveBuiltUp(withPart({ ...BUILT_UP, parts: [] }, 'plate'))).toHaveProperty('reply');
  });
  it('says what is wrong and still has the parts to draw; what is no section does not stop a part being added', () => {
    const over: BuiltUpInput = { ...BUILT_UP, parts: BUILT_UP.parts.map((part) => ({ ...part, z: 0 })) };
    expect(solveBuiltUp(over)).toMatchObject({ problem: expect.stringContaining('lie over each other'), parts: [{}, {}, {}] });
    const unknown: BuiltUpInput = { ...BUILT_UP, parts: [{ ...BUILT_UP.parts[0]!, kind: 'shape', section: 'UB 9x9' }] };
    expect(solveBuiltUp(unknown)).toMatchObject({ problem: expect.stringContaining('not in the catalogue'), parts: null });
    expect(withPart(unknown, 'hole').parts).toHaveLength(2);
  });
});
