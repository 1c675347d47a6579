import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BadInput } from '../error';
import { DISPLAY, KINDS, echoQuantity, formatNumber, formatQuantity, parseQuantity, quantity } from '.';

describe('parseQuantity', () => {
  // expected values by hand: 1 ft = 304.8 mm, 1 in = 25.4 mm, 1 lbf = 4.4482216152605 N
  it.each([
    ['3.2', 'length', 'SI', 3200],
    ['3200mm', 'length', 'SI', 3200],
    [`10'6"`, 'length', 'US', 3200.4],
    [`10'-6 1/2"`, 'length', 'US', 3213.1],
    [`10'6`, 'length', 'US', 3200.4],
    ['14 ft 6 in', 'length', 'SI', 4419.6],
    ['1/4 in', 'sectionLength', 'SI', 6.35],
    ['2 1/4 in', 'sectionLength', 'US', 57.15],
    ['1/4', 'ratio', 'SI', 0.25],
    ['3*0.85', 'length', 'SI', 2550],
    ['3 m + 200 mm', 'length', 'SI', 3200],
    ['(1.2+0.3)*2', 'length', 'SI', 3000],
    ['7.5 m / 2', 'length', 'US', 3750],
    ['-0.3', 'position', 'SI', -300],
    ['285 plf', 'lineLoad', 'SI', 4.15926],
    ['3.2 kN/m', 'lineLoad', 'US', 3.2],
    ['1.5', 'areaLoad', 'SI', 0.0015],
    ['1.5 kN/m2', 'areaLoad', 'US', 0.0015],
    ['1.5 kN/m²', 'areaLoad', 'US', 0.0015],
    ['0.6kPa*2', 'areaLoad', 'SI', 0.0012],
    ['40 psf', 'areaLoad', 'SI', 0.0019152],
    ['50 ksi', 'stress', 'SI', 344.738],
    ['10 kip-ft', 'moment', 'SI', 13558179.5],
    ['10 kN*m', 'moment', 'SI', 1e7],
    ['24 kN/m^3', 'unitWeight', 'SI', 24e-6],
    ['150 pcf', 'unitWeight', 'SI', 2.3563e-5],
    ['12.5 cm2', 'area', 'SI', 1250],
    ['30 deg', 'angle', 'SI', 0.5235988],
    ['2e3 N', 'force', 'SI', 2000],
  ] as const)('reads %s as a %s (%s)', (text, kind, system, expected) => {
    const value = parseQuantity(text, kind, system);
    expect(Math.abs(value / expected - 1)).toBeLessThan(2e-6 + (kind === 'unitWeight' ? 1e-4 : 0) + (kind === 'areaLoad' ? 5e-5 : 0));
  });

  it.each([
    ['', 'length', 'nothing was typed'],
    ['abc', 'length', 'not a unit'],
    ['3 +', 'length', 'cannot read'],
    ['3 kN', 'length', 'not in a unit of this quantity'],
    ['3 m + 2 kN', 'length', 'unlike'],
    ['1/0', 'length', 'finite'],
    ['4 # 2', 'force', 'cannot read'],
    ['5..2', 'force', 'cannot read'],
  ] as const)('refuses "%s" as a %s, in words', (text, kind, part) => {
    expect(() => parseQuantity(text, kind, 'SI')).toThrow(BadInput);
    expect(() => parseQuantity(text, kind, 'SI')).toThrow(part);
  });

  it('refuses a bare number where no unit system is in force', () => {
    expect(() => parseQuantity('3', 'length', null)).toThrow('has no unit');
  });

  it('reads back every echoed value in every kind and system', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.constantFrom('SI' as const, 'US' as const),
        fc.double({ min: 1e-3, max: 1e6, noNaN: true }),
        (kind, system, shown) => {
          const value = shown * DISPLAY[system][kind].factor;
          expect(parseQuantity(echoQuantity(value, kind, system), kind, system) / value).toBeCloseTo(1, 5);
        },
      ),
    );
  });

  it('reads back every shown unit label', () => {
    for (const system of ['SI', 'US'] as const)
      for (const kind of KINDS) {
        const unit = DISPLAY[system][kind];
        if (!unit.label) continue;
        expect(parseQuantity(`2 ${unit.typed}`, kind, system) / unit.factor).toBeCloseTo(2, 9);
      }
  });
});

describe('formatting', () => {
  it('rounds sensibly and never shows noise', () => {
    expect(formatNumber(12.000000001)).toBe('12.00');
    expect(formatNumber(123456)).toBe('123\u2009456');
    expect(formatNumber(-0.00000001)).toBe('0');
    expect(formatNumber(Number.NaN)).toBe('—');
    expect(formatNumber(-3.14159, 3)).toBe('\u22123.14');
  });
  it('shows the unit of the system', () => {
    expect(formatQuantity(12345, 'force', 'SI')).toBe('12.35 kN'.replace('12.35', '12.35'));
    expect(formatQuantity(4448.2216, 'force', 'US')).toBe('1.00 kip');
    expect(formatQuantity(3200, 'length', 'SI')).toBe('3.200 m');
  });
});

describe('quantity schema', () => {
  const span = quantity('length', 'span', { above: 0 });
  it('takes core numbers and text with units, and names its limits in plain units', () => {
    expect(span.parse(6000)).toBe(6000);
    expect(span.parse('6 m')).toBe(6000);
    expect(span.safeParse(0).error!.issues[0]!.message).toBe('must lie between 0.001 m and 500 m, got 0 mm');
    expect(span.safeParse('six').error!.issues[0]!.message).toContain('not a unit');
    expect(span.safeParse(Number.POSITIVE_INFINITY).success).toBe(false);
  });
});
