import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { audit } from '../sheet';
import { evaluate } from 'mathjs';
import { findTool, runTool } from '../tool';

const european = (more: object = {}) =>
  runTool(findTool('european.steel.angleStrut'), {
    section: 'L 100x100x10',
    grade: 'S275',
    philosophy: '6.10',
    axial: 100e3,
    length: 2400,
    fastening: 'boltsOrWeld',
    ...more,
  });
const american = (more: object = {}) =>
  runTool(findTool('american.steel.angleStrut'), {
    section: 'L4X4X3/8',
    grade: 'A36',
    philosophy: 'LRFD',
    axial: 100e3,
    length: '120 in',
    fastening: 'boltsOrWeld',
    ...more,
  });
const capacity = ({ checks }: ReturnType<typeof european>, n = 0) => checks[n]!.capacity!;

describe('an angle connected by one leg', () => {
  // apart, from published properties (A 19.2 cm2, i_v 1.95, i_y 3.04 cm): BB.1.2 with curve b
  it.each([
    [1500, 325.25e3, 349.83e3],
    [2400, 214.9e3, 271.24e3],
  ])('EN BB.1.2: L 100x100x10, S275, %i mm', (length, minor, parallel) => {
    const reply = european({ length });
    expect(Math.abs(capacity(reply) / minor - 1)).toBeLessThan(0.01);
    expect(Math.abs(capacity(reply, 1) / parallel - 1)).toBeLessThan(0.01);
    expect(capacity(reply, 2)).toBeCloseTo(capacity(reply, 1), 3);
  });
  // apart, from published properties (A_g 2.86 in2, r_x 1.23 in): E5(a)
  it.each([
    ['60 in', 246.2e3],
    ['120 in', 134.74e3],
  ])('AISC E5: L4X4X3/8, A36, %s', (length, nominal) => {
    expect(Math.abs(capacity(american({ length })) / 0.9 / nominal - 1)).toBeLessThan(0.01);
    expect(capacity(american({ length, philosophy: 'ASD' })) * 1.67).toBeCloseTo(capacity(american({ length })) / 0.9, 3);
  });
  it('AISC E5: the shorter leg, and space trusses, by hand', () => {
    const [E, Fy] = [29_000, 36];
    const nominal = (kl: number, A: number) => {
      const Fe = (Math.PI ** 2 * E) / kl ** 2;
      return (Fy / Fe <= 2.25 ? 0.658 ** (Fy / Fe) * Fy : 0.877 * Fe) * A * 4448.2216;
    };
    // L5X3-1/2X3/8: A 3.05, r_x 1.60, r_y 1.02, r_z 0.755 in
    const unequal = { section: 'L5X3-1/2X3/8', length: '60 in' };
    const long = nominal(72 + (0.75 * 60) / 1.02, 3.05);
    const short = nominal(Math.max(72 + (0.75 * 60) / 1.6 + 4 * ((5 / 3.5) ** 2 - 1), (0.95 * 60) / 0.755), 3.05);
    expect(Math.abs(capacity(american({ ...unequal, leg: 'long' })) / 0.9 / long - 1)).toBeLessThan(0.015);
    expect(Math.abs(capacity(american({ ...unequal, leg: 'short' })) / 0.9 / short - 1)).toBeLessThan(0.015);
    const space = nominal(60 + (0.8 * 60) / 1.23, 2.86);
    expect(Math.abs(capacity(american({ length: '60 in', arrangement: 'space' })) / 0.9 / space - 1)).toBeLessThan(0.01);
  });
  it('outside of the clauses says so instead of a number', () => {
    const verdict = ({ checks }: ReturnType<typeof european>) => [checks[0]!.verdict, checks[0]!.capacity];
    expect(verdict(european({ fastening: 'oneBolt' }))).toEqual(['unproven', null]);
    expect(verdict(european({ section: 'UC 152x152x23' }))).toEqual(['unproven', null]);
    expect(verdict(american({ fastening: 'oneBolt' }))).toEqual(['unproven', null]);
    expect(verdict(american({ length: '30 ft' }))).toEqual(['unproven', null]);
    expect(() => european({ arrangement: 'space' })).toThrow('"arrangement" is not used by Eurocode');
    expect(() => european({ leg: 'short' })).toThrow('"leg" is not used by');
    expect(() => european({ fastening: undefined })).toThrow('Fastening is missing');
    expect(() => findTool('british.steel.angleStrut')).toThrow('there is no tool');
  });
  it('its sheets re-evaluate, and longer never carries more', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 3000 }), fc.constantFrom('L 100x100x10', 'L 150x90x12', 'L 90x90x10'), (length, section) => {
        const [one, longer] = [european({ length, section }), european({ length: length + 50, section })];
        expect(audit(one.steps, evaluate)).toEqual([]);
        expect(capacity(longer)).toBeLessThanOrEqual(capacity(one));
      }),
      { numRuns: 60 },
    );
    for (const leg of ['long', 'short'])
      for (const section of ['L5X3-1/2X3/8', 'L4X4X3/8', 'L6X6X5/16'])
        expect(audit(american({ section, leg }).steps, evaluate)).toEqual([]);
  });
  it('checked as concentric, that is an assumption to be confirmed', () => {
    const { assumptions } = runTool(findTool('european.steel.column'), {
      section: 'L 100x100x10',
      grade: 'S275',
      philosophy: '6.10',
      axial: 100e3,
      lengthY: 2400,
      lengthZ: 2400,
      lengthT: 2400,
    });
    expect(assumptions.map(({ key }) => key)).toContain('concentric-angle');
  });
});
