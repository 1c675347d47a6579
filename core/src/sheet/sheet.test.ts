import { describe, expect, it } from 'vitest';
import {
  audit,
  byRule,
  compare,
  failureLadder,
  governing,
  Sheet,
  substitute,
  symbolKinds,
  unproven,
  verdictOf,
  worstVerdict,
  type Evaluate,
} from '.';
import { formulaToTex, symbolToTex } from './typeset';

/** A small reader of arithmetic for these tests: numbers, declared names, and the operators of JavaScript. */
const evaluate: Evaluate = (formula, symbols) =>
  new Function(...Object.keys(symbols), `return ${formula.replaceAll('^', '**')}`)(...Object.values(symbols)) as number | boolean;

function honest(): Sheet {
  const sheet = new Sheet();
  sheet.given('a', 3, 'length', 'a');
  sheet.given('b', 4, 'length', 'b');
  sheet.step('c', 'a * b', { a: 3, b: 4 }, 12, 'area', '1');
  sheet.branch('c <= 20', { c: 12 }, true, '2', 'small');
  const inner = sheet.scope('inner');
  inner.step('d', 'c / 2', { c: 12 }, 6, 'area', '3');
  return sheet;
}

describe('audit', () => {
  it('finds nothing in an honest sheet', () => expect(audit(honest().entries, evaluate)).toEqual([]));
  it.each([
    [
      'a result that its formula does not give',
      (s: Sheet) => s.step('e', 'a + b', { a: 3, b: 4 }, 8, 'length', ''),
      'gives 7, the sheet says 8',
    ],
    [
      'an input that differs from what stands above',
      (s: Sheet) => s.step('e', 'a + b', { a: 3, b: 5 }, 8, 'length', ''),
      'b is used as 5 but stands above as 4',
    ],
    ['a symbol that nothing declares', (s: Sheet) => s.step('e', 'a + z', { a: 3, z: 1 }, 4, 'length', ''), 'nothing above declares it'],
    ['a symbol that is not among the inputs', (s: Sheet) => s.step('e', 'a + b', { a: 3 }, 7, 'length', ''), 'cannot be evaluated'],
    ['a symbol of a closed scope', (s: Sheet) => s.step('e', 'd * 1', { d: 6 }, 6, 'area', ''), 'nothing above declares it'],
    ['a branch that went the other way', (s: Sheet) => s.branch('a > b', { a: 3, b: 4 }, true, '', ''), 'is false, the sheet says true'],
    ['a number that is none', (s: Sheet) => s.given('e', Number.NaN, 'ratio', ''), 'is NaN'],
    [
      'a utilisation that was not computed',
      (s: Sheet) =>
        s.verdict({
          id: 'x',
          name: 'x',
          clause: byRule(''),
          mode: 'ductile',
          kind: 'force',
          demand: 1,
          capacity: 2,
          utilisation: 0.5,
          verdict: 'carries',
        }),
      'is not the last step U',
    ],
  ])('finds %s', (_, spoil, message) => {
    const sheet = honest();
    spoil(sheet);
    expect(audit(sheet.entries, evaluate).join()).toContain(message);
  });
});

describe('verdicts', () => {
  const check = (name: string, demand: number, capacity: number) =>
    compare({
      id: name,
      name,
      clause: byRule(''),
      mode: 'ductile',
      kind: 'force',
      demand,
      demandSymbol: 'D',
      capacity,
      capacitySymbol: 'C',
    });
  it('words at their limits', () =>
    expect([0.95, 0.951, 1, 1.001, null].map(verdictOf)).toEqual(['carries', 'tight', 'tight', 'short', 'unproven']));
  it('a demand against no capacity is short without a number; nothing against nothing carries', () => {
    expect(check('x', 5, 0)).toMatchObject({ verdict: 'short', utilisation: null });
    expect(check('x', 0, 0)).toMatchObject({ verdict: 'carries', utilisation: 0 });
  });
  it('a whole is short before it is unproven, and unproven before it carries', () => {
    const open = unproven({ id: 'u', name: 'u' }, byRule(''), 'ductile', 'not written');
    expect(worstVerdict([check('a', 1, 2), open])).toBe('unproven');
    expect(worstVerdict([check('a', 3, 2), open])).toBe('short');
    expect(worstVerdict([])).toBe('unproven');
  });
  it('the ladder has the weakest on top and what is unproven at its foot', () => {
    const ladder = failureLadder([
      check('a', 1, 2),
      unproven({ id: 'u', name: 'u' }, byRule(''), 'ductile', ''),
      check('b', 3, 2),
      check('none', 1, 0),
    ]);
    expect(ladder.map(({ id }) => id)).toEqual(['none', 'b', 'a', 'u']);
    expect(governing([check('a', 1, 2), check('b', 3, 2)])!.id).toBe('b');
  });
});

describe('print', () => {
  it('puts numbers with units in place of symbols', () => {
    const sheet = new Sheet();
    sheet.given('W_y', 1_831_000, 'sectionModulus', '');
    sheet.given('f_y', 275, 'stress', '');
    sheet.given('gamma_M0', 1, 'ratio', '');
    const kinds = symbolKinds(sheet.entries);
    expect(substitute('W_y * f_y / gamma_M0', { W_y: 1_831_000, f_y: 275, gamma_M0: 1 }, kinds, 'SI')).toBe(
      '1\u2009831 cm³ · 275.0 MPa / 1.000',
    );
    expect(substitute('sqrt(f_y^2) <= pi', { f_y: 275 }, kinds, 'SI')).toBe('√((275.0 MPa)²) ≤ π');
  });
  it('sets symbols and formulas as mathematics', () => {
    expect(symbolToTex('lambda_LT')).toBe('\\lambda_{\\mathrm{LT}}');
    expect(symbolToTex('N_bRd')).toBe('N_{\\mathrm{b,Rd}}');
    expect(formulaToTex('W_y * f_y / gamma_M0')).toContain('\\frac');
    expect(formulaToTex('min(1, 1 / x^2)')).toContain('\\min');
  });
});
