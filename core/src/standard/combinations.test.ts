import { describe, expect, it } from 'vitest';
import { caseOf, uncombined, type Combination, type LoadCase, type Nature, type ServiceLevel } from '../load';
import { findTool, runTool } from '../tool';
import { STANDARDS } from '.';

/** Columns of the tables below: permanent, imposed B and E, imposed on a roof, snow, wind, seismic, accidental. Temperature has a table of its own. */
const CASES: readonly LoadCase[] = [
  caseOf('permanent'),
  caseOf('imposed', 'B'),
  caseOf('imposed', 'E'),
  ...(['roofImposed', 'snow', 'wind', 'seismic', 'accidental'] as const).map((nature) => caseOf(nature)),
];

const rowsOf = (combinations: readonly Combination[]) =>
  [...new Set(combinations.map(({ factors }) => CASES.map(({ id }) => +(factors[id] ?? 0).toFixed(5)).join(' ')))].sort();
const table = (text: string) =>
  [
    ...new Set(
      text
        .trim()
        .split('\n')
        .map((line) => line.trim().split(/\s+/).map(Number).join(' ')),
    ),
  ].sort();

/** EN 1990 with the UK annex, written by hand: psi0, psi1, psi2 of B 0.7 0.5 0.3, of E 1 0.9 0.8, of snow and wind 0.5 0.2 0, of roofs 0.7 0 0. */
const EVENTS = `
  1  0.5  0.9  0  0    0    0  1
  1  0.3  0.8  0  0.2  0    0  1
  1  0.3  0.8  0  0    0.2  0  1
  1  0.3  0.8  0  0    0    1  0`;
const leading = (G: number) => `
  ${G}  1.5   1.5  0    0.75  0.75  0  0
  ${G}  1.05  1.5  0    1.5   0.75  0  0
  ${G}  1.05  1.5  0    0.75  1.5   0  0
  ${G}  1.5   1.5  1.5  0     0     0  0`;
const EUROPEAN = {
  '6.10': leading(1.35) + leading(1) + EVENTS,
  // (6.10a): nothing leads
  '6.10ab': `
  1.35  1.05  1.5  0     0.75  0.75  0  0
  1.35  1.05  1.5  1.05  0     0     0  0${leading(1.24875)}${leading(1)}${EVENTS}`,
  lifting: leading(1.1) + EVENTS,
  characteristic: `
  1  1    1  0  0.5  0.5  0  0
  1  0.7  1  0  1    0.5  0  0
  1  0.7  1  0  0.5  1    0  0
  1  1    1  1  0    0    0  0`,
  frequent: `
  1  0.5  0.9  0  0    0    0  0
  1  0.3  0.8  0  0.2  0    0  0
  1  0.3  0.8  0  0    0.2  0  0`,
  quasiPermanent: `
  1  0.3  0.8  0  0    0    0  0`,
};

/** EN 1990 by its recommended values: psi0 of wind 0.6, of roofs 0; xi 0.85, so that 0.85 * 1.35 = 1.1475. */
const leadingRecommended = (G: number) => `
  ${G}  1.5   1.5  0    0.75  0.9  0  0
  ${G}  1.05  1.5  0    1.5   0.9  0  0
  ${G}  1.05  1.5  0    0.75  1.5  0  0
  ${G}  1.5   1.5  1.5  0     0    0  0`;
const RECOMMENDED = {
  '6.10': leadingRecommended(1.35) + leadingRecommended(1) + EVENTS,
  '6.10ab': `
  1.35  1.05  1.5  0  0.75  0.9  0  0
  1.35  1.05  1.5  0  0     0    0  0${leadingRecommended(1.1475)}${leadingRecommended(1)}${EVENTS}`,
};

/** ASCE 7-16 2.3.1, 2.3.6, 2.5.2.1; 2.4.1, 2.4.5. Roof live load and snow each tried; the last lines are the office rule. */
const AMERICAN = {
  LRFD: `
  1.4  0    0    0    0    0    0  0
  1.2  1.6  1.6  0.5  0    0    0  0
  1.2  1.6  1.6  0    0.5  0    0  0
  1.2  1    1    1.6  0    0    0  0
  1.2  1    1    0    1.6  0    0  0
  1.2  0    0    1.6  0    0.5  0  0
  1.2  0    0    0    1.6  0.5  0  0
  1.2  1    1    0.5  0    1    0  0
  1.2  1    1    0    0.5  1    0  0
  0.9  0    0    0    0    1    0  0
  1.2  1    1    0    0.2  0    1  0
  0.9  0    0    0    0    0    1  0
  1.2  0.5  0.5  0    0.2  0    0  1
  0.9  0.5  0.5  0    0.2  0    0  1
  0.9  1.6  1.6  0.5  0    0    0  0
  0.9  1.6  1.6  0    0.5  0    0  0
  0.9  1    1    1.6  0    0    0  0
  0.9  1    1    0    1.6  0    0  0`,
  service: `
  1    0     0     0     0     0     0      0
  1    1     1     0     0     0     0      0
  1    0     0     1     0     0     0      0
  1    0     0     0     1     0     0      0
  1    0.75  0.75  0.75  0     0     0      0
  1    0.75  0.75  0     0.75  0     0      0
  1    0     0     0     0     0.6   0      0
  1    0.75  0.75  0.75  0     0.45  0      0
  1    0.75  0.75  0     0.75  0.45  0      0
  0.6  0     0     0     0     0.6   0      0
  1    0     0     0     0     0     0.7    0
  1    0.75  0.75  0     0.75  0     0.525  0
  0.6  0     0     0     0     0     0.7    0`,
};
const ASD = `${AMERICAN.service}
  0.6  1     1     0     0     0  0  0
  0.6  0     0     1     0     0  0  0
  0.6  0     0     0     1     0  0  0
  0.6  0.75  0.75  0.75  0     0  0  0
  0.6  0.75  0.75  0     0.75  0  0  0`;

/** BS 5950-1 table 2 and 2.5.1; seismic and accidental load in none. */
const BRITISH = {
  strength: `
  1.4  1.6  1.6  1.6  0    0    0  0
  1.4  1.6  1.6  0    1.6  0    0  0
  1.4  0    0    0    0    1.4  0  0
  1    1.6  1.6  1.6  0    0    0  0
  1    1.6  1.6  0    1.6  0    0  0
  1    0    0    0    0    1.4  0  0
  1.2  1.2  1.2  1.2  0    1.2  0  0
  1.2  1.2  1.2  0    1.2  1.2  0  0`,
  service: `
  1  1    1    1    0    0    0  0
  1  1    1    0    1    0    0  0
  1  0    0    0    0    1    0  0
  1  0.8  0.8  0.8  0    0.8  0  0
  1  0.8  0.8  0    0.8  0.8  0  0`,
};

const rules = (family: keyof typeof STANDARDS, id: string) => STANDARDS[family].loads.philosophies.find((p) => p.id === id)!.rules;

describe('combinations of every limit state against tables written by hand', () => {
  it.each(['6.10', '6.10ab'] as const)('EN 1990, strength, %s', (id) => {
    expect(rowsOf(rules('european', id).strength(CASES))).toEqual(table(EUROPEAN[id]));
    expect(rowsOf(rules('recommended', id).strength(CASES))).toEqual(table(RECOMMENDED[id]));
  });
  it.each(['characteristic', 'frequent', 'quasiPermanent'] as const satisfies readonly ServiceLevel[])(
    'EN 1990, serviceability, %s',
    (level) => {
      expect(rowsOf(rules('european', '6.10').service(CASES, level))).toEqual(table(EUROPEAN[level]));
    },
  );
  it('EN 1990, lifting: 1.1 of permanent load, 0.9 where it helps', () => {
    const found = rules('european', '6.10').lifting(CASES);
    expect(rowsOf(found)).toEqual(table(EUROPEAN.lifting));
    for (const { id, favourablePermanent } of found) expect(favourablePermanent).toBe(id.startsWith('EQU') ? 0.9 : undefined);
  });
  it('ASCE 7, strength by factored load, and by allowable stress', () => {
    expect(rowsOf(rules('american', 'LRFD').strength(CASES))).toEqual(table(AMERICAN.LRFD));
    expect(rowsOf(rules('american', 'ASD').strength(CASES))).toEqual(table(ASD));
  });
  it.each(['LRFD', 'ASD'])('ASCE 7, service, of a project by %s', (id) => {
    expect(rowsOf(rules('american', id).service(CASES))).toEqual(table(AMERICAN.service));
  });
  it('BS 5950-1, strength and service', () => {
    expect(rowsOf(rules('british', 'BS5950').strength(CASES))).toEqual(table(BRITISH.strength));
    expect(rowsOf(rules('british', 'BS5950').service(CASES))).toEqual(table(BRITISH.service));
  });
  it('EN 1990, temperature: psi0 0.6, psi1 0.5, psi2 0, by hand', () => {
    const cases = [caseOf('permanent'), caseOf('imposed', 'B'), caseOf('temperature')];
    const of = (combinations: readonly Combination[]) =>
      combinations.map(({ factors }) => cases.map(({ id }) => +(factors[id] ?? 0).toFixed(9)));
    const { strength, service } = rules('european', '6.10');
    expect(of(strength(cases)).slice(0, 2)).toEqual([
      [1.35, 1.5, 0.9],
      [1.35, 1.05, 1.5],
    ]);
    expect(of(service(cases, 'frequent'))).toEqual([
      [1, 0.5, 0],
      [1, 0.3, 0.5],
    ]);
    expect(of(service(cases, 'quasiPermanent'))).toEqual([[1, 0.3, 0]]);
  });
  it('an event alone: a combination that is named after what is not there is not made', () => {
    const names = (natures: readonly Nature[]) =>
      rules('european', '6.10')
        .strength(natures.map((nature) => caseOf(nature)))
        .map(({ name }) => name);
    expect(names(['permanent'])).toEqual(['6.10: 1.35 G']);
    expect(names(['permanent', 'accidental'])).toEqual(['6.10: 1.35 G', '6.11b: 1 G + 1 A']);
    expect(names(['permanent', 'seismic'])).toEqual(['6.10: 1.35 G', '6.12b: 1 G + 1 E']);
  });
});

describe('what no combination has', () => {
  it('is named: events by BS 5950-1, accidents by allowable stress', () => {
    const left = (family: keyof typeof STANDARDS, id: string) =>
      uncombined(CASES, rules(family, id).strength(CASES)).map(({ nature }) => nature);
    expect(left('european', '6.10')).toEqual([]);
    expect(left('european', '6.10ab')).toEqual([]);
    expect(left('american', 'LRFD')).toEqual([]);
    expect(left('american', 'ASD')).toEqual(['accidental']);
    const warm = [...CASES, caseOf('temperature')];
    expect(uncombined(warm, rules('american', 'LRFD').strength(warm)).map(({ nature }) => nature)).toEqual(['temperature']);
    expect(uncombined(warm, rules('european', '6.10').strength(warm))).toEqual([]);
    expect(left('british', 'BS5950')).toEqual(['seismic', 'accidental']);
  });
});

describe('combinations of actions that are typed', () => {
  const run = (input: object) =>
    runTool(findTool('european.combinations'), { philosophy: '6.10', cases: [{ nature: 'permanent' }], ...input });
  const wind = (more: object = {}) => ({
    name: 'Wind',
    nature: 'wind',
    relation: 'alternatives',
    cases: [
      { id: 'W', name: 'from the west' },
      { id: 'E', name: 'from the east' },
    ],
    ...more,
  });
  it('have one factor for all cases of an action, and say which act one at a time', () => {
    const { result } = run({
      actions: [wind(), { name: 'Hoist', nature: 'imposed', use: 'E', direction: 'bothWays', cases: [{ id: 'h', name: 'load' }] }],
    });
    const { strength, cases } = result as unknown as {
      strength: Combination[];
      cases: { id: string; oneOf: string | null; unit: string; senses: number[] }[];
    };
    expect(strength.map(({ factors }) => factors)).toContainEqual({ permanent: 1.35, 'Hoist/h': 1.5, 'Wind/W': 0.75, 'Wind/E': 0.75 });
    expect(cases.map(({ id, unit, oneOf, senses }) => [id, unit, oneOf, senses])).toEqual([
      ['permanent', 'permanent', null, [1]],
      ['Wind/W', 'Wind/W', 'wind', [1]],
      ['Wind/E', 'Wind/E', 'wind', [1]],
      ['Hoist/h', 'Hoist', 'Hoist', [1, -1]],
    ]);
  });
  it('refuse what cannot be meant, at its field', () => {
    expect(() => run({ actions: [wind(), wind()] })).toThrow('two actions are called "Wind"');
    expect(() => run({ actions: [wind({ cases: [wind().cases[0], wind().cases[0]] })] })).toThrow('Wind has two cases "W"');
    expect(() => run({ actions: [wind({ nature: 'imposed' })] })).toThrow('Use is missing');
    expect(() => run({ actions: [wind({ use: 'B' })] })).toThrow('leave it out');
    expect(() => run({ cases: [] })).toThrow('name at least one case, or an action');
  });
});
