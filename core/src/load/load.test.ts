import { describe, expect, it } from 'vitest';
import { entriesOf, Sheet } from '../sheet';
import {
  areaLoads,
  buildUpSchema,
  caseIn,
  usualCases,
  caseOf,
  combinePressing,
  combineWorst,
  compareCases,
  sumByCase,
  type Combination,
} from '.';

const roof = buildUpSchema.parse({
  name: 'Roof',
  layers: [
    { name: 'slates', load: '0.6 kN/m2' },
    { name: 'felt', load: '0.1 kN/m2' },
    { name: 'later panels', load: '0.15 kN/m2', nature: 'superimposed', allowance: true },
    { name: 'ducts', load: '0.2 kN/m2', nature: 'superimposed', carriedBy: 'joists' },
  ],
  variable: [{ name: 'snow', load: '0.75 kN/m2', nature: 'snow' }],
});

describe('build-ups', () => {
  it('add up by case, permanent and variable apart', () => {
    expect(sumByCase(roof).get('permanent')! * 1000).toBeCloseTo(0.7, 12);
    expect(sumByCase(roof).get('superimposed')! * 1000).toBeCloseTo(0.35, 12);
    expect(sumByCase(roof).get('snow')! * 1000).toBeCloseTo(0.75, 12);
  });
  it('on a pitch layers act per area of slope, snow per area of plan', () => {
    const sums = sumByCase(roof, Math.PI / 3);
    expect(sums.get('permanent')! * 1000).toBeCloseTo(1.4, 12);
    expect(sums.get('snow')! * 1000).toBeCloseTo(0.75, 12);
  });
  it('two layers of one name are told apart on the sheet', () => {
    const twice = buildUpSchema.parse({
      name: 'x',
      layers: [
        { name: 'board', load: 0.001 },
        { name: 'board', load: 0.002 },
      ],
    });
    const sheet = new Sheet();
    expect(sumByCase(twice, 0, sheet).get('permanent')).toBeCloseTo(0.003, 12);
    expect(
      entriesOf(sheet.entries, 'given')
        .filter((given) => given.symbol.startsWith('g_'))
        .map((given) => given.value),
    ).toEqual([0.001, 0.002]);
  });
  it('what hangs on the joists never loads the deck', () => {
    expect(areaLoads(roof, 0, 'deck').map((part) => part.name)).not.toContain('ducts');
    expect(areaLoads(roof, 0, 'joists').map((part) => part.name)).toContain('ducts');
  });
  it('an allowance stays visible as one', () => expect(areaLoads(roof).find((part) => part.name === 'later panels')!.allowance).toBe(true));
  it('a negative weight is refused', () =>
    expect(buildUpSchema.safeParse({ name: 'x', layers: [{ name: 'y', load: -1 }] }).success).toBe(false));
});

describe('cases and combinations', () => {
  it('a case is known by its id', () => {
    for (const loadCase of [caseOf('permanent'), caseOf('imposed', 'E'), caseOf('snow')])
      expect(caseIn(usualCases, loadCase.id)).toEqual(loadCase);
    expect([caseOf('snow'), caseOf('imposed', 'B'), caseOf('permanent')].sort(compareCases).map((c) => c.id)).toEqual([
      'permanent',
      'imposed-B',
      'snow',
    ]);
  });
  const combination: Combination = {
    id: 'c',
    name: 'c',
    basis: 'overturning',
    clause: '',
    purpose: 'lifting',
    factors: { permanent: 1.1, 'imposed-B': 1.5 },
    cases: usualCases,
    favourablePermanent: 0.9,
  };
  it('a case without a factor counts nothing', () => {
    const byCase = { permanent: 10, 'imposed-B': 4, wind: 100 };
    expect(combinePressing(byCase, byCase, combination)).toBeCloseTo(17, 12);
  });
  it('what helps is left out when variable, and reduced when permanent', () => {
    const shares = [
      { loadCase: caseOf('permanent'), value: 10 },
      { loadCase: caseOf('permanent'), value: -4 },
      { loadCase: caseOf('imposed', 'B'), value: 8 },
      { loadCase: caseOf('imposed', 'B'), value: -6 },
    ];
    expect(combineWorst(shares, combination, -1)).toBeCloseTo(0.9 * 10 - 1.1 * 4 - 1.5 * 6, 12);
    expect(combineWorst(shares, combination, 1)).toBeCloseTo(1.1 * 10 - 0.9 * 4 + 1.5 * 8, 12);
  });
});
