import { describe, expect, it } from 'vitest';
import type { TypedBeam } from '@plinth/core';
import { BEAM_STARTS } from './beamStarts';
import { byOtherCodes } from './otherCodes';

const DECIDED = ['philosophy', 'limitVariable', 'limitTotal'] as const;

describe('a bench by other codes', () => {
  it('begins by them when nothing was typed', () => {
    expect(byOtherCodes(BEAM_STARTS.european, BEAM_STARTS, 'american', DECIDED)).toBe(BEAM_STARTS.american);
    expect(byOtherCodes(BEAM_STARTS.american, BEAM_STARTS, 'british', DECIDED)).toBe(BEAM_STARTS.british);
  });
  it('keeps what was typed, and takes what the codes decide', () => {
    const typed = { ...BEAM_STARTS.european, length: 9000, restraint: 'supports' as const, limitVariable: 500 };
    expect(byOtherCodes<Required<TypedBeam>>(typed, BEAM_STARTS, 'american', DECIDED)).toEqual({
      ...typed,
      family: 'american',
      philosophy: 'LRFD',
      grade: 'A992',
      limitTotal: 240,
    });
    const there = byOtherCodes<Required<TypedBeam>>(typed, BEAM_STARTS, 'british', DECIDED);
    expect(there).toMatchObject({ length: 9000, grade: 'S275', philosophy: 'BS5950', limitVariable: 500 });
    expect(byOtherCodes(there, BEAM_STARTS, 'european', DECIDED)).toEqual(typed);
  });
  it('gives a hollow section a grade of its product', () => {
    const typed = { ...BEAM_STARTS.european, section: 'SHS 150x150x8' };
    expect(byOtherCodes<Required<TypedBeam>>(typed, BEAM_STARTS, 'american', DECIDED).grade).toMatch(/^A500/);
  });
});
