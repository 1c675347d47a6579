import { describe, expect, it } from 'vitest';
import { item, requireConsistent } from '../building';
import { findSection } from '../section';
import { isCheck, entriesOf } from '../sheet';
import { bay } from './bay.test.data';
import { computeProject, sheetFor } from '.';

// a floor of 1.5 kN/m2 and an office of 3 kN/m2 over 6 m on strips 3 m wide
const section = 'UB 406x178x54';
const { Iy } = findSection(section).properties;
const ofUniform = (load: number, length = 6000) => (5 * load * length ** 4) / (384 * 210_000 * Iy);
const permanent = 4.5 + (findSection(section).mass * 1e3 * 9.80665) / 1e3;

function checksOf(more: Parameters<typeof bay>[0]) {
  const checks = computeProject(bay({ ...more, beam: { section, ...more?.beam } })).designs.member('B1')!.results[0]!.checks;
  return (name: string) => checks.find(isCheck(name));
}

describe('deflection limits by what a beam serves', () => {
  it.each([
    ['floor', 360],
    ['brittle', 480],
    ['crane', 600],
  ] as const)('%s: span over %i under variable load', (serves, ratio) => {
    const check = checksOf({ beam: { serves } })('deflection-variable')!;
    expect(check.capacity).toBeCloseTo(6000 / ratio, 9);
    expect(check.demand).toBeCloseTo(ofUniform(9), 4);
    // under total load the brief's limit stays
    expect(checksOf({ beam: { serves } })('deflection-total')!.capacity).toBeCloseTo(6000 / 250, 9);
  });
  it('what it may sag at most, however long, where that is less', () => {
    const find = checksOf({ brief: { deflectionMostVariable: 12, deflectionMostTotal: 40 } });
    expect(find('deflection-variable')!.capacity).toBe(12);
    expect(find('deflection-variable')!.clause).toEqual({ document: '', number: 'at most, however long' });
    expect(find('deflection-total')!.capacity).toBeCloseTo(24, 9);
    const sheet = sheetFor(computeProject(bay({ beam: { section }, brief: { deflectionMostVariable: 12 } })), 'B1')!;
    expect(entriesOf(sheet.entries, 'step').map((step) => step.formula)).toContain('min(L_s / n_d, delta_max)');
  });
  it('an overhang takes its own length over its own limit, and half the ratios of spans', () => {
    const overhang = (serves: string, brief: object = {}) =>
      computeProject([
        ...bay({
          beam: {
            section,
            serves,
            supports: [
              { at: 0, by: 'C1' },
              { at: 4000, by: 'C3' },
            ],
          },
          brief,
        }),
        item('footing', 'F3', { mark: 'F3', at: { x: 4000, y: 0 }, level: 'L0' }),
        item('column', 'C3', {
          mark: 'C3',
          at: { x: 4000, y: 0 },
          base: 'L0',
          top: 'L1',
          by: 'F3',
          section: 'UC 152x152x30',
          ownWeight: 0.3,
        }),
        item('load', 'tip', { label: 'tip', on: 'B1', type: 'point', nature: 'imposed', use: 'B', at: 6000, force: '60 kN' }),
      ])
        .designs.member('B1')!
        .results[0]!.checks.find(isCheck('deflection-variable'))!;
    expect(overhang('floor').capacity).toBeCloseTo(2000 / 180, 9);
    expect(overhang('floor').reason).toBe('overhang at the end');
    expect(overhang('crane').capacity).toBeCloseTo(2000 / 300, 9);
    expect(overhang('floor', { deflectionCantilever: 240 }).capacity).toBeCloseTo(2000 / 240, 9);
  });
});

describe('precamber', () => {
  it('is taken off what the beam sags under total load, not under variable', () => {
    const find = checksOf({ beam: { precamber: 2 } });
    const total = ofUniform(9 + permanent);
    expect(find('deflection-total')!.demand).toBeCloseTo(total - 2, 2);
    expect(find('deflection-variable')!.demand).toBeCloseTo(ofUniform(9), 4);
    expect(find('precamber')!.demand).toBe(2);
    expect(find('precamber')!.capacity).toBeCloseTo(ofUniform(permanent), 3);
  });
  it('of more than permanent load takes out leaves the beam humped: short', () => {
    expect(checksOf({ beam: { precamber: 30 } })('precamber')!.verdict).toBe('short');
    // and it is judged upward as well as downward
    expect(checksOf({ beam: { precamber: 60 } })('deflection-total')!.demand).toBeGreaterThan(60 - ofUniform(9 + permanent) - 1e-6);
  });
  it('is left out where there is more than one span, and says so', () => {
    const items = [
      ...bay({
        beam: {
          section,
          precamber: 5,
          supports: [
            { at: 0, by: 'C1' },
            { at: 3000, by: 'C3' },
            { at: 6000, by: 'C2' },
          ],
        },
      }),
      item('footing', 'F3', { mark: 'F3', at: { x: 3000, y: 0 }, level: 'L0' }),
      item('column', 'C3', {
        mark: 'C3',
        at: { x: 3000, y: 0 },
        base: 'L0',
        top: 'L1',
        by: 'F3',
        section: 'UC 152x152x30',
        ownWeight: 0.3,
      }),
    ];
    const project = computeProject(items);
    expect(project.designs.member('B1')!.results[0]!.checks.map(({ id }) => id)).not.toContain('precamber');
    expect(JSON.stringify(sheetFor(project, 'B1')!.entries)).toContain('Precamber is counted for beams of one span');
  });
});

describe('the combination under which deflection is looked at', () => {
  const under = (deflectionCombination: string, family: 'european' | 'american' = 'european') =>
    computeProject(bay({ family, beam: family === 'european' ? { section } : {}, brief: { deflectionCombination } }))
      .designs.member('B1')!
      .results[0]!.checks.filter(({ id }) => id.startsWith('deflection'));
  it('takes the value of offices by EN 1990: 1, psi1 of 0.5, psi2 of 0.3', () => {
    for (const [level, psi, name] of [
      ['characteristic', 1, 'characteristic'],
      ['frequent', 0.5, 'frequent'],
      ['quasiPermanent', 0.3, 'quasi-permanent'],
    ] as const) {
      const [variable, total] = under(level);
      expect(variable!.demand).toBeCloseTo(ofUniform(psi * 9), 4);
      expect(total!.demand).toBeCloseTo(ofUniform(psi * 9 + permanent), 3);
      expect(total!.combination).toContain(name);
    }
  });
  it('changes no pad: bearing stays under the characteristic one', () => {
    const pads = ['characteristic', 'quasiPermanent'].map(
      (deflectionCombination) => computeProject(bay({ brief: { deflectionCombination } })).designs.footing('F1')!.pressure,
    );
    expect(pads[0]).toBe(pads[1]);
  });
  it('is that of the family: another one is refused, and a project that comes from other codes has the usual one', () => {
    const items = bay({ family: 'american', brief: { deflectionCombination: 'frequent' } });
    expect(() => requireConsistent(new Map(items.map((entry) => [entry.id, entry])))).toThrow(
      'Deflection combination must be characteristic by ASCE 7, AISC 360, ACI 318, got "frequent"',
    );
    expect(under('frequent', 'american')).toEqual(under('characteristic', 'american'));
  });
});
