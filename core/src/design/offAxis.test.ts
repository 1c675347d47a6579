import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import { allAssumptions, computeProject } from '.';
import { isCheck } from '../sheet';

const at = (x: number, y = 0) => ({ x, y });
const building = (...more: Item[]): Item[] => [
  item('level', 'L2', { name: 'Roof', elevation: 6000 }),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  ...more,
];
const brief = (more: object = {}) => item('brief', 'brief', { ...defaultBrief('Trial', 'european'), ...more });
const pad = (id: string, x: number, y = 0) => item('footing', id, { mark: id, at: at(x, y), level: 'L0' });
const column = (id: string, x: number, y: number, more: object = {}) =>
  item('column', id, {
    mark: id,
    at: at(x, y),
    base: 'L0',
    top: 'L1',
    by: null,
    supportsFound: true,
    ownWeight: 0.3,
    section: 'UC 152x152x23',
    ...more,
  });
const beam = (id: string, more: object = {}) =>
  item('beam', id, {
    mark: id,
    level: 'L1',
    from: at(0),
    to: at(6000),
    ownWeight: 0.4,
    section: 'UB 356x127x39',
    supportsFound: true,
    supports: [],
    ...more,
  });
const load = (on: string, force: number) =>
  item('load', `load-${on}`, { label: 'load', on, type: 'point', nature: 'permanent', at: 0, force });

describe('what stands beside an axis', () => {
  const standing = (off: number, tolerance = 25) =>
    computeProject(
      building(
        brief({ constructionTolerance: tolerance }),
        pad('F1', off),
        pad('F2', 6000),
        column('C1', 0, 0),
        column('C2', 6000, 0),
        beam('B'),
        column('P', 3000, off, { base: 'L1', top: 'L2' }),
        load('C1', 300e3),
      ),
    );
  const keys = (design: { readonly assumptions: readonly { readonly key: string }[] }) => design.assumptions.map(({ key }) => key);
  it('within the construction tolerance, or on it, is designed as if it stood on the axis, and that is an assumption', () => {
    for (const off of [0, 10, 25]) {
      const { designs, looseEnds } = standing(off);
      const [footing, beamOf] = [designs.footing('F1')!, designs.member('B')!];
      expect(footing.checks.some(({ verdict }) => verdict === 'unproven')).toBe(false);
      expect(beamOf.results[0]!.checks.some(isCheck('eccentric-load'))).toBe(false);
      expect([keys(footing).includes('off-middle'), keys(beamOf).includes('off-axis')]).toEqual([off > 0, off > 0]);
      expect(looseEnds.filter(({ key }) => key.startsWith('eccentric'))).toEqual([]);
    }
    expect(
      standing(10)
        .designs.footing('F1')!
        .assumptions.find(({ key }) => key === 'off-middle')!.text,
    ).toContain('C1 is 10 mm off the centre of the pad');
  });
  it('beyond it a pad is designed for it; a beam is not verified, and says which torsion it takes', () => {
    let last = 0;
    for (const off of [26, 120, 199]) {
      const { designs, looseEnds } = standing(off);
      const footing = designs.footing('F1')!;
      const bearing = footing.checks.find(isCheck('bearing'))!;
      expect(bearing.utilisation).toBeLessThanOrEqual(1);
      expect(footing.width).toBeGreaterThanOrEqual(last);
      expect(keys(footing)).not.toContain('off-middle');
      last = footing.width;
      const row = designs.member('B')!.results[0]!.checks.find(isCheck('eccentric-load'))!;
      // nothing but its own 0.9 kN stands there: 1.35 of it, at the offset
      const torsion = 1.35 * 3 * 22.6 * 9.80665e-3 * off * 1e-3;
      expect(Number(/brings ([\d.]+) kNm/.exec(row.reason!)![1])).toBeCloseTo(torsion, 1);
      expect(designs.member('B')!.verdict).toBe('unproven');
      expect(looseEnds.map(({ key }) => key)).toContain('eccentric:B');
      expect(looseEnds.map(({ key }) => key)).not.toContain('eccentric:F1');
    }
    expect(standing(60, 80).designs.footing('F1')!.verdict).not.toBe('unproven');
  });
  it('the matching tolerance only decides whether a support is found, never what is designed', () => {
    const design = (reach: number) => {
      const items = building(brief({ reach }), pad('F1', 60), column('C1', 0, 0), load('C1', 300e3));
      const { width, thickness, checks } = computeProject(items).designs.footing('F1')!;
      return { width, thickness, used: checks.map(({ id, utilisation }) => [id, utilisation]) };
    };
    expect(design(70)).toEqual(design(300));
    expect(design(50).width).toBe(0);
  });
  it('a column that stands off the axis of the one below bends that one: N e about the axis across the offset', () => {
    const stack = (x: number, y: number, more: object = {}) =>
      computeProject(
        building(
          brief(),
          pad('F1', 0),
          column('C1', 0, 0, { section: 'UC 203x203x46', ...more }),
          column('P', x, y, { base: 'L1', top: 'L2' }),
          load('P', 200e3),
        ),
      ).designs.member('C1')!;
    const nominal = (design: ReturnType<typeof stack>) => design.results[0]!.checks.find(isCheck('axial-force-and-nominal-moments'));
    expect(nominal(stack(20, 0))).toBeUndefined();
    expect(keys(stack(20, 0))).toContain('off-axis');
    const central = { beamsBear: 'central' };
    const [near, far] = [nominal(stack(60, 0, central))!, nominal(stack(120, 0, central))!];
    expect(far.demand!).toBeGreaterThan(near.demand!);
    // minor axis, elastic or plastic: 1.35 x 200 kN and its own, at 60 mm, over Wpl,z 231 cm3
    const N = 1.35 * (200e3 + 3000 * 22.6 * 9.80665e-3);
    expect((far.demand! - near.demand!) / ((1.5 * N * 60) / (231e3 * 355))).toBeCloseTo(1, 1);
    expect(stack(60, 0).results[0]!.checks.some(isCheck('eccentric-load'))).toBe(false);
    // north it bends about the major axis, turned by a right angle about the minor one
    const major = nominal(stack(0, 60, central))!;
    expect(major.demand!).toBeLessThan(near.demand!);
    expect(nominal(stack(0, 60, { ...central, turn: Math.PI / 2 }))!.demand!).toBeCloseTo(near.demand!, 6);
    // on the other side it is as large
    expect(nominal(stack(-60, 0, central))!.demand!).toBeCloseTo(near.demand!, 9);
  });
});

describe('a member whose load reaches nothing', () => {
  it('is not verified, however well it would carry', () => {
    const gone = computeProject(
      building(
        brief(),
        column('C1', 0, 0),
        pad('F1', 0),
        beam('B', {
          supportsFound: false,
          supports: [
            { at: 0, by: 'C1' },
            { at: 6000, by: null },
          ],
        }),
      ),
    );
    const check = gone.designs.member('B')!.results[0]!.checks.find(isCheck('support'))!;
    expect([check.verdict, gone.designs.member('B')!.verdict]).toEqual(['unproven', 'unproven']);
    expect(check.reason).toContain('at 6.00 m reaches nothing');
  });
});

describe('a round column on a pad', () => {
  it('punches as a circle: by hand', () => {
    const items = building(brief(), pad('F1', 0), column('C1', 0, 0, { section: 'CHS 219.1x8' }), load('C1', 600e3));
    const footing = computeProject(items).designs.footing('F1')!;
    const { demand, combination } = footing.checks.find(isCheck('punching-at-the-column'))!;
    // 1.35 or 1.25 (0.925 x 1.35) of 600 kN and the column's own 0.9; d is the mean of both layers of 12 mm bars under 50 mm of cover
    const factor = combination!.startsWith('6.10b') ? 0.925 * 1.35 : 1.35;
    const N = factor * (600e3 + footing.column.width * 0 + 3000 * 41.6 * 9.80665e-3);
    const d = footing.thickness - 50 - 12;
    const p = N / (footing.width * footing.length);
    const D = 219.1;
    expect(demand! / ((N - (p * Math.PI * D ** 2) / 4) / (Math.PI * D * d))).toBeCloseTo(1, 2);
  });
  it('one that is turned turns its outline on the pad', () => {
    const outline = (turn: number) => {
      const items = building(brief(), pad('F1', 0), column('C1', 0, 0, { section: 'UB 356x127x39', turn }), load('C1', 100e3));
      const { width, depth } = computeProject(items).designs.footing('F1')!.column;
      return [Math.round(width), Math.round(depth)];
    };
    expect(outline(0)).toEqual([126, 353]);
    expect(outline(Math.PI / 2)).toEqual([353, 126]);
    expect(outline(0.6)).toEqual([126, 126]);
  });
});

describe('what nobody typed, and what is only shown', () => {
  it('a wall of usual weight and allowances of self-weight are open assumptions', () => {
    const wall = (more: object) =>
      item('wall', 'W', { mark: 'W', from: at(0, 2000), to: at(4000, 2000), base: 'L0', top: 'L1', weight: 0.0042, by: null, ...more });
    const keys = (...more: Item[]) => allAssumptions(computeProject(building(brief(), ...more)).assumptions).map(({ key }) => key);
    expect(keys(wall({ weightGiven: false }))).toContain('W:weight');
    expect(keys(wall({}))).not.toContain('W:weight');
    expect(keys(beam('B', { section: null }), column('C', 0, 0, { section: null }))).toEqual(
      expect.arrayContaining(['B:own-weight', 'C:own-weight']),
    );
    expect(keys(beam('B'))).not.toContain('B:own-weight');
  });
  it('other units of display change no design', () => {
    for (const family of ['european', 'american', 'british'] as const) {
      const section = family === 'american' ? 'W8X31' : 'UC 203x203x46';
      const designs = (['SI', 'US'] as const).map((units) => {
        const own = item('brief', 'brief', { ...defaultBrief('Trial', family), units });
        const { designs } = computeProject(building(own, pad('F1', 0), column('C1', 0, 0, { section }), load('C1', 500e3)));
        const { width, length, thickness, bars, checks } = designs.footing('F1')!;
        return {
          width,
          length,
          thickness,
          bars,
          used: checks.map(({ utilisation }) => utilisation),
          column: designs.member('C1')!.results,
        };
      });
      expect(designs[0]).toEqual(designs[1]);
    }
  });
});
