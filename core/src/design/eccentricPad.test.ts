import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import { audit, isCheck } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { computeProject, sheetFor } from '.';
import { contactPressure } from './contactPressure';

const at = (x: number, y = 0) => ({ x, y });
const column = (id: string, x: number, y: number) =>
  item('column', id, {
    mark: id,
    at: at(x, y),
    base: 'L0',
    top: 'L1',
    by: null,
    supportsFound: true,
    ownWeight: 0,
    section: 'UC 203x203x46',
  });
const load = (id: string, on: string, force: number, nature: 'permanent' | 'imposed' | 'wind' = 'permanent') =>
  item('load', id, { label: id, on, type: 'point', nature, at: 0, force });
const building = (footing: object, items: Item[], brief: object = {}, family: 'european' | 'american' = 'european'): Item[] => [
  item('brief', 'brief', { ...defaultBrief('Trial', family), reach: 1000, ...brief }),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('footing', 'F1', { mark: 'F1', at: at(0), level: 'L0', ...footing }),
  ...items,
];
const design = (...of: Parameters<typeof building>) => {
  const project = computeProject(building(...of));
  return { project, pad: project.designs.footing('F1')! };
};
const GIVEN = { width: 2000, length: 2400, thickness: 500 };
// concrete 25, soil 18 kN/m3, founding depth 1.2 m unless said
const weight = 2 * 2.4 * (0.5 * 25 + 0.7 * 18) * 1e3;
const ground = { bearingBasis: 'gross', concreteUnitWeight: 25e-6, soilUnitWeight: 18e-6, foundingDepth: 1200 } as const;
// its section weighs 46.1 kg/m
const own = 46.1 * 9.80665 * 3;

describe('a pad under a column off its middle', () => {
  it('presses on the ground as its resultant asks, pad and backfill in the middle: by hand', () => {
    const { pad } = design(GIVEN, [column('C1', 250, 0), load('G', 'C1', 400e3)], ground);
    const N = 400e3 + own;
    const e = (N * 250) / (N + weight);
    expect(pad.checks.find(isCheck('bearing'))!.demand! / (((N + weight) / 4.8e6) * (1 + (6 * e) / 2000))).toBeCloseTo(1, 4);
    expect(pad.checks.some(isCheck('contact'))).toBe(false);
    expect(pad.checks.find(isCheck('bending/x'))).toBeDefined();
  });
  it('beyond the kern only a part is in contact: the triangle, and no strength; beyond two thirds too little is; off the pad it overturns', () => {
    const far = design(GIVEN, [column('C1', 600, 0), load('G', 'C1', 400e3)], ground).pad;
    const N = 400e3 + own;
    const e = (N * 600) / (N + weight);
    expect(far.checks.find(isCheck('bearing'))!.demand! / ((2 * (N + weight)) / (3 * (1000 - e) * 2400))).toBeCloseTo(1, 4);
    expect(far.checks.find(isCheck('contact'))!.demand!).toBeCloseTo(1 - (3 * (1000 - e)) / 2000, 4);
    expect(far.checks.find(isCheck('strength-eccentric'))!.reason).toContain('no contact with the ground');
    const heavy = design(GIVEN, [column('C1', 950, 0), load('G', 'C1', 4000e3)], ground).pad;
    expect(heavy.checks.find(isCheck('contact'))!.verdict).toBe('short');
    const slim = { width: 1000, length: 1000, thickness: 300 };
    const over = design(slim, [column('C1', 600, 0), load('G', 'C1', 4000e3)], ground).pad;
    expect(over.checks.find(isCheck('bearing'))).toMatchObject({ verdict: 'short', utilisation: null });
    expect(over.checks.find(isCheck('bearing'))!.reason).toContain('overturns');
  });
  it('is sized so that the ground bears it, the whole base in contact under factored load; larger than 8 m where it has to be', () => {
    for (const family of ['european', 'american'] as const) {
      let last = 0;
      for (const x of [0, 100, 300, 600]) {
        const { pad } = design({}, [column('C1', x, 0), load('G', 'C1', 500e3)], {}, family);
        expect(pad.width).toBeGreaterThanOrEqual(last);
        last = pad.width;
        expect(pad.checks.find(isCheck('bearing'))!.utilisation!).toBeLessThanOrEqual(1);
        expect(pad.checks.some(isCheck('strength-eccentric'))).toBe(false);
        const within = contactPressure(pad.width, pad.length, { force: 500e3, x: (500e3 * x) / (500e3 + 0.5 * pad.padWeight), y: 0 });
        expect(within).not.toBeNull();
      }
    }
    const huge = design({}, [column('C1', 0, 0), load('G', 'C1', 12e6)], { bearing: 0.15 }).pad;
    expect(huge.width).toBeGreaterThan(8000);
  });
  it('of what may be there or not the worst acts: uplift of wind never helps, wherever it stands', () => {
    const pressure = (...loads: Item[]) =>
      design({ ...GIVEN, width: 3000, length: 3000 }, [column('C1', 200, 0), column('C2', -700, 300), ...loads], ground).pad.checks.find(
        isCheck('bearing'),
      )!.demand!;
    const dead = [load('G1', 'C1', 300e3), load('G2', 'C2', 200e3)];
    fc.assert(
      fc.property(fc.constantFrom('C1', 'C2'), fc.integer({ min: -150e3, max: 150e3 }), (on, force) => {
        const without = pressure(...dead);
        expect(pressure(...dead, load('W', on, force, 'wind'))).toBeGreaterThanOrEqual(without * (1 - 1e-9));
        expect(pressure(...dead, load('Q', on, Math.abs(force), 'imposed'))).toBeGreaterThanOrEqual(without * (1 - 1e-9));
      }),
      { numRuns: 15 },
    );
    // uplift beyond the kern on the far side presses the near edge harder
    const [far, light] = [column('C3', -900, 0), load('G3', 'C3', 10e3)];
    const withFar = (...loads: Item[]) =>
      design({ ...GIVEN, width: 3000, length: 3000 }, [column('C1', 200, 0), far, dead[0]!, light, ...loads], ground).pad.checks.find(
        isCheck('bearing'),
      )!.demand!;
    // by statics: (6 x 0.9 / 3 - 1) of 1.0 W at the edge
    expect(withFar(load('W', 'C3', -20e3, 'wind')) - withFar()).toBeCloseTo(((6 * 900) / 3000 - 1) * (20e3 / 9e6), 6);
    // several places: the ground is checked, the concrete says that it is not
    const { pad } = design(GIVEN, [column('C1', 200, 0), column('C2', -700, 300), ...dead], ground);
    expect(pad.checks.find(isCheck('strength-eccentric'))!.reason).toContain('several places');
  });
  it('is drawn with its load where that is, a beam that bears on it too', () => {
    const beam = item('beam', 'B', {
      mark: 'B',
      level: 'L0',
      from: at(150, -100),
      to: at(6000, -100),
      ownWeight: '40 kN/m',
      section: null,
      supports: [
        { at: 0, by: 'F1' },
        { at: 5850, by: null },
      ],
    });
    expect(design(GIVEN, [beam]).pad.column.offset).toEqual({ x: 150, y: -100 });
    expect(design(GIVEN, [column('C1', 200, 0), load('G', 'C1', 100e3)]).pad.column.offset).toEqual({ x: 200, y: 0 });
  });
  it('its sheet re-evaluates, and mirrors', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -900, max: 900 }),
        fc.integer({ min: -900, max: 900 }),
        fc.constantFrom<'european' | 'american'>('european', 'american'),
        fc.constantFrom('gross', 'net'),
        fc.boolean(),
        (x, y, family, bearingBasis, given) => {
          const items = (side: number) => [column('C1', side * x, side * y), load('G', 'C1', 400e3), load('Q', 'C1', 150e3, 'imposed')];
          const of = given ? GIVEN : {};
          const { project, pad } = design(of, items(1), { bearingBasis }, family);
          expect(audit(sheetFor(project, 'F1')!.entries, evaluate)).toEqual([]);
          const mirrored = design(of, items(-1), { bearingBasis }, family).pad;
          expect([mirrored.width, mirrored.thickness, mirrored.verdict]).toEqual([pad.width, pad.thickness, pad.verdict]);
          pad.checks.forEach(({ utilisation }, i) => {
            if (utilisation !== null) expect(mirrored.checks[i]!.utilisation! / utilisation).toBeCloseTo(1, 6);
          });
        },
      ),
      { numRuns: 40 },
    );
  });
});
