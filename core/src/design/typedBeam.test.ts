import { describe, expect, it } from 'vitest';
import { findSection } from '../section';
import { contextOf, TYPED_BEAM, typedBeam, typedBeamItems, typedBeamSheet, withoutFloor, type TypedBeam } from '.';
import { isCheck } from '../sheet';

const beam: TypedBeam = {
  family: 'european',
  philosophy: '6.10',
  section: 'UB 406x178x54',
  grade: 'S355',
  length: 6000,
  supports: [0, 6000],
  hinges: [],
  restraint: 'floor',
  restraintPoints: [],
  loadHeight: 'centre',
  loads: [
    { name: 'floor', nature: 'permanent', use: 'B', type: 'line', at: 0, to: 6000, value: 9 },
    { name: 'offices', nature: 'imposed', use: 'B', type: 'line', at: 0, to: 6000, value: 12 },
  ],
  limitVariable: 360,
  limitTotal: 250,
};
const checks = (input: TypedBeam) => typedBeam(input).designs.member(TYPED_BEAM)!.results[0]!.checks;
const find = (input: TypedBeam, name: string) => checks(input).find(isCheck(name))!;

describe('a beam typed on the bench', () => {
  it('built in at one end: w L2 / 8 over it; where nothing supports it, nothing can be fixed', () => {
    const own = 0.0541 * 9.80665;
    const held = find({ ...beam, fixed: [0] }, 'bending');
    expect(held.demand! / 1e6).toBeCloseTo(((1.35 * (9 + own) + 18) * 36) / 8, 3);
    expect(find({ ...beam, fixed: [0, 6000] }, 'bending').demand! / 1e6).toBeCloseTo(((1.35 * (9 + own) + 18) * 36) / 12, 3);
    // the propped beam deflects w L4 / 185 EI
    const { Iy } = findSection(beam.section).properties;
    expect(
      Math.abs(find({ ...beam, fixed: [0] }, 'deflection-variable').demand! / ((12 * 6000 ** 4) / (184.6 * 210_000 * Iy)) - 1),
    ).toBeLessThan(2e-3);
    expect(() => typedBeam({ ...beam, fixed: [3000] })).toThrow('nothing supports it at 3 m');
  });
  it('deflection by what it is looked at: psi 0.3 of office load is left of the variable part; of codes that have no such value it is refused', () => {
    const share = (level: TypedBeam['deflectionCombination']) =>
      find({ ...beam, deflectionCombination: level! }, 'deflection-variable').demand!;
    expect(share('quasiPermanent') / share('characteristic')).toBeCloseTo(0.3, 9);
    expect(() => typedBeam({ ...beam, family: 'british', philosophy: 'BS5950', deflectionCombination: 'frequent' })).toThrow(
      'not under frequent',
    );
  });
  it('one span, by hand: (1.35 (9 + own) + 1.5 x 12) L2 / 8, and 5 q L4 / 384 EI', () => {
    const own = 0.0541 * 9.80665;
    expect(find(beam, 'bending').demand! / 1e6).toBeCloseTo(((1.35 * (9 + own) + 18) * 36) / 8, 3);
    const { Iy } = findSection(beam.section).properties;
    expect(find(beam, 'deflection-variable').demand!).toBeCloseTo((5 * 12 * 6000 ** 4) / (384 * 210_000 * Iy), 4);
    const { leaves } = typedBeam(beam).takedown.members.get(TYPED_BEAM)!;
    expect(leaves[0]!.byCase['imposed-B']! / 1e3).toBeCloseTo(36, 9);
  });
  it('is judged by its own limit states: what it rests on is not in question, and nothing of it is unproven', () => {
    const { verdict, results } = typedBeam(beam).designs.member(TYPED_BEAM)!;
    expect(verdict).toBe('carries');
    expect(results.flatMap((result) => result.checks.filter((check) => check.verdict === 'unproven'))).toEqual([]);
  });
  it('two spans: variable load on one of them alone is tried', () => {
    const two = { ...beam, length: 12_000, supports: [0, 6000, 12_000], loads: beam.loads.map((load) => ({ ...load, to: 12_000 })) };
    // q on one span alone: 0.0957 q L2 sagging, against 0.07 with both
    const own = 0.0541 * 9.80665;
    const sagging = (0.0703 * 1.35 * (9 + own) + 0.0957 * 18) * 36;
    const hogging = 0.125 * (1.35 * (9 + own) + 18) * 36;
    expect(find(two, 'bending').demand! / 1e6).toBeCloseTo(Math.max(sagging, hogging), 0);
    expect(find(two, 'deflection-variable').combination).toMatch(/span/);
  });
  it('an overhang whose tip nothing holds is proved by the solution of the whole beam; load on its top flange lowers it', () => {
    const over = {
      ...beam,
      restraint: 'supports' as const,
      length: 8000,
      supports: [0, 6000],
      loads: beam.loads.map((load) => ({ ...load, to: 8000 })),
    };
    const centre = find(over, 'lateral-torsional-buckling');
    const top = find({ ...over, loadHeight: 'top' }, 'lateral-torsional-buckling');
    expect(centre.verdict).not.toBe('unproven');
    expect(top.utilisation!).toBeGreaterThan(1.1 * centre.utilisation!);
    const american = { ...over, family: 'american' as const, philosophy: 'LRFD', grade: 'A992' };
    expect(find({ ...american, section: 'W16X36' }, 'lateral-torsional-buckling').verdict).not.toBe('unproven');
    // a web that is not compact has other formulas
    expect(find({ ...american, section: 'own I 900x250x6x16' }, 'lateral-torsional-buckling').verdict).toBe('unproven');
  });
  it.each(['european', 'american', 'british'] as const)(
    'one that counts on the floor says what it is without it, by %s codes',
    (family) => {
      const philosophy = { european: '6.10', american: 'ASD', british: 'BS5950' }[family];
      const grade = { european: 'S355', american: 'A992', british: 'S275' }[family];
      const held: TypedBeam = { ...beam, family, philosophy, grade };
      const of = (input: TypedBeam) => {
        const result = typedBeam(input);
        return { result, without: withoutFloor(contextOf(result.building, result.takedown), TYPED_BEAM) };
      };
      const { result, without } = of(held);
      const free = typedBeam({ ...held, restraint: 'supports' });
      const named = free.designs.member(TYPED_BEAM)!.results[0]!.checks.find(isCheck('lateral-torsional-buckling'))!;
      expect(without).toEqual(named);
      expect(without!.utilisation).toBeGreaterThan(0);
      const notes = (input: typeof result) =>
        JSON.stringify(typedBeamSheet(input, philosophy).entries).includes(
          `Without the floor, held at its supports only: lateral-torsional buckling ${named.utilisation!.toFixed(2)}`,
        );
      expect([notes(result), notes(free)]).toEqual([true, false]);
      expect(of({ ...held, restraint: 'supports' }).without).toBeNull();
    },
  );
  it('says what lies off the beam', () => {
    expect(() => typedBeamItems({ ...beam, supports: [] })).toThrow('at least one support');
    expect(() => typedBeamItems({ ...beam, supports: [0, 7000] })).toThrow('a support lies off');
    expect(() => typedBeamItems({ ...beam, loads: [{ ...beam.loads[0]!, to: 7000 }] })).toThrow('"floor" lies off');
    expect(() => typedBeamItems({ ...beam, loads: [{ ...beam.loads[0]!, at: 5000, to: 4000 }] })).toThrow('ends before it starts');
    expect(() => typedBeamItems({ ...beam, length: 0 })).toThrow('a length above 0');
  });
});
