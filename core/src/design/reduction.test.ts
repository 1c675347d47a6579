import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import { audit, entriesOf } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { allAssumptions, computeProject, reactionsOf, sheetFor } from '.';

/** A tower of n storeys, one bay of 10 m x 8 m, its floors one way on two beams; a tank typed on one beam of each storey. */
function tower(n: number, brief: object = {}, more: object = {}): Item[] {
  const items: Item[] = [
    item('brief', 'brief', { ...defaultBrief('Tower', 'european'), combinationRule: '6.10', imposedReduction: 'code', ...brief }),
    item('buildUp', 'floor', {
      name: 'Floor',
      layers: [{ name: 'slab', load: '4 kN/m2' }],
      variable: [{ name: 'office', load: '3 kN/m2', nature: 'imposed', use: 'B' }],
    }),
  ];
  for (let k = 0; k <= n; k += 1) items.push(item('level', `L${k}`, { name: `L${k}`, elevation: k * 3500 }));
  const corner = [
    { x: 0, y: 0 },
    { x: 10_000, y: 0 },
    { x: 0, y: 8000 },
    { x: 10_000, y: 8000 },
  ];
  corner.forEach((at, i) => {
    items.push(item('footing', `F${i}`, { mark: `F${i}`, at, level: 'L0', ...more }));
    for (let k = 0; k < n; k += 1)
      items.push(
        item('column', `C${i}-${k}`, {
          mark: `C${i}-${k}`,
          at,
          base: `L${k}`,
          top: `L${k + 1}`,
          by: null,
          supportsFound: true,
          ownWeight: 0,
          section: 'UC 305x305x158',
        }),
      );
  });
  for (let k = 1; k <= n; k += 1) {
    [0, 8000].forEach((y, i) =>
      items.push(
        item('beam', `B${i}-${k}`, {
          mark: `B${i}-${k}`,
          level: `L${k}`,
          from: { x: 0, y },
          to: { x: 10_000, y },
          ownWeight: 0,
          supportsFound: true,
          supports: [],
          section: 'UB 457x191x82',
          restraint: 'floor',
          ...more,
        }),
      ),
    );
    items.push(
      item('panel', `P${k}`, {
        mark: `P${k}`,
        level: `L${k}`,
        outline: [corner[0]!, corner[1]!, corner[3]!, corner[2]!],
        buildUp: 'floor',
        direction: Math.PI / 2,
      }),
      item('load', `t${k}`, { label: 'tank', on: `B0-${k}`, type: 'point', nature: 'imposed', use: 'B', at: 5000, force: '20 kN' }),
    );
  }
  return items;
}

describe('reduction of imposed load in design', () => {
  const result = computeProject(tower(4));
  it('of a column by its storeys, floors alone: 0.7 of 4 x 20 m2 x 3 kN/m2, all of the tank', () => {
    const column = result.designs.member('C0-0')!;
    expect(column.reduction!.factors).toEqual({ B: expect.closeTo(0.7, 9) as number });
    expect(column.reduction!.less['imposed-B']).toBeCloseTo(0.3 * 240e3, 3);
    // 1.35 G + 1.5 (240 x 0.7 + 4 x 10): G = 4 x 20 x 4 kN and the columns
    const compression = column.results[0]!.checks.find((check) => check.demand !== null && check.kind === 'force')!;
    const own = (result.takedown.members.get('C0-0')!.sum['permanent']! - 320e3) / 1e3;
    expect(compression.demand! / 1e3).toBeCloseTo(1.35 * (320 + own) + 1.5 * (168 + 40), 3);
  });
  it('of a beam by its area: 1 - 40/1000 m2', () => {
    const beam = result.designs.member('B1-2')!;
    expect(beam.reduction!.factors['B']).toBeCloseTo(0.96, 12);
    const moment = beam.results[0]!.checks.find((check) => check.id.startsWith('bending'))!;
    // (1.35 x 16 + 1.35 own + 1.5 x 12 x 0.96) x 10^2 / 8 with 4 m of floor
    const own = 82 * 9.80665e-3;
    expect(moment.demand! / 1e6).toBeCloseTo(((1.35 * (16 + own) + 1.5 * 12 * 0.96) * 100) / 8, 0);
  });
  it('is never handed on: reactions and balance are whole', () => {
    const plain = computeProject(tower(4, { imposedReduction: 'none' }));
    expect(reactionsOf(result, null).rows.map((row) => row.byCase)).toEqual(reactionsOf(plain, null).rows.map((row) => row.byCase));
    expect(result.takedown.members.get('F0')!.sum['imposed-B']).toBeCloseTo(240e3 + 40e3, 3);
    expect(plain.designs.member('C0-0')!.reduction).toBeNull();
    expect(plain.designs.footing('F0')!.reduction).toBeNull();
  });
  it('makes pads no larger, and stands on the sheet once as an assumption with its line', () => {
    const plain = computeProject(tower(4, { imposedReduction: 'none' }));
    expect(result.designs.footing('F0')!.reduction!.factors).toEqual({ B: expect.closeTo(0.7, 9) as number });
    expect(result.designs.footing('F0')!.width).toBeLessThan(plain.designs.footing('F0')!.width);
    const sheet = sheetFor(result, 'C0-0')!;
    expect(entriesOf(sheet.entries, 'step').filter((step) => step.symbol === 'alpha_n').length).toBe(1);
    expect(allAssumptions(result.assumptions).filter((a) => a.key === 'C0-0:imposed-reduction').length).toBe(1);
  });
  it('is not used on a member that has none, nor beside psi', () => {
    const none = computeProject(tower(4, {}, { reduction: 'none' }));
    expect(none.designs.member('B1-2')!.reduction).toBeNull();
    expect(none.designs.footing('F0')!.reduction).toBeNull();
    // 6.10a reduces every variable load by psi0 = 0.7: alpha_n is not used there
    const two = computeProject(tower(4, { combinationRule: '6.10ab' }));
    const checks = two.designs.member('C0-0')!.results[0]!.checks.filter((check) => check.kind === 'force' && check.demand !== null);
    const own = (two.takedown.members.get('C0-0')!.sum['permanent']! - 320e3) / 1e3;
    const a = 1.35 * (320 + own) + 1.5 * 0.7 * 280;
    const b = 0.925 * 1.35 * (320 + own) + 1.5 * (168 + 40);
    expect(Math.max(...checks.map((check) => check.demand! / 1e3))).toBeCloseTo(Math.max(a, b), 3);
  });
  it('is not used beside an accident, where the main variable action is reduced by psi1: by hand', () => {
    const hit = item('load', 'hit', { label: 'hit', on: 'C0-0', type: 'point', nature: 'accidental', force: 900_000 });
    const { designs, takedown } = computeProject([...tower(4), hit]);
    const checks = designs.member('C0-0')!.results[0]!.checks.filter((check) => check.kind === 'force' && check.demand !== null);
    const dead = takedown.members.get('C0-0')!.sum['permanent']! / 1e3;
    // 240 of offices and 40 of the roof's use, all of it at 0.5; not 168 + 40
    const worst = checks.reduce((a, b) => (b.demand! > a.demand! ? b : a));
    expect(worst.combination).toContain('6.11b');
    expect(worst.demand! / 1e3).toBeCloseTo(dead + 900 + 0.5 * 280, 3);
  });
  it('is the same where the floor load comes in two cases of an action that act together', () => {
    for (const rule of [{}, { combinationRule: '6.10ab' }, { family: 'american', combinationRule: 'LRFD' }]) {
      const plain = tower(4, rule);
      const load = (name: string, size: string, loadCase: string) => ({
        name,
        load: size,
        nature: 'imposed' as const,
        use: 'B' as const,
        action: 'desks',
        loadCase,
      });
      const action = item('action', 'desks', {
        name: 'Desks',
        nature: 'imposed',
        use: 'B',
        cases: [
          { id: 'people', name: 'people' },
          { id: 'files', name: 'files' },
        ],
      });
      const split = [
        action,
        ...plain.map((one) =>
          one.kind === 'buildUp'
            ? item('buildUp', one.id, { ...one.body, variable: [load('a', '1 kN/m2', 'people'), load('b', '2 kN/m2', 'files')] })
            : one,
        ),
      ];
      const [one, two] = [computeProject(plain), computeProject(split)];
      for (const { id, results, reduction } of one.designs.members()) {
        const found = two.designs.member(id)!;
        expect(found.reduction?.factors, id).toEqual(reduction?.factors);
        results.forEach(({ checks }, i) =>
          checks.forEach(({ name, utilisation }, k) => {
            expect(found.results[i]!.checks[k]!.name).toBe(name);
            if (utilisation !== null) expect(found.results[i]!.checks[k]!.utilisation, `${id} ${name}`).toBeCloseTo(utilisation, 9);
          }),
        );
      }
      for (const { id, width } of one.designs.footings()) expect(two.designs.footing(id)!.width, id).toBe(width);
    }
  });
  it('counts an area once, however many uses stand on it', () => {
    const uses = tower(1).map((one) =>
      one.kind === 'buildUp'
        ? item('buildUp', one.id, {
            ...one.body,
            variable: [
              { name: 'a', load: '1 kN/m2', nature: 'imposed', use: 'B' },
              { name: 'b', load: '2 kN/m2', nature: 'imposed', use: 'D' },
            ],
          })
        : one,
    );
    // 40 m2 on a beam: 1 - 40/1000 m2, for both uses
    const { factors } = computeProject(uses).designs.member('B1-1')!.reduction!;
    expect(factors['B']).toBeCloseTo(0.96, 9);
    expect(factors['D']).toBeCloseTo(0.96, 9);
  });
  it('of a roof by area and pitch (ASCE 7 4.8), of this member alone, on a sheet that re-evaluates; by other codes not', () => {
    const roofed = (family: 'american' | 'european') =>
      tower(1, { family, combinationRule: family === 'american' ? 'LRFD' : '6.10' }).map((one) =>
        one.kind === 'buildUp'
          ? item('buildUp', one.id, { ...one.body, variable: [{ name: 'access', load: '20 psf', nature: 'roofImposed' }] })
          : one,
      );
    const result = computeProject(roofed('american'));
    // 40 m2 is 430.56 ft2: 1.2 - 0.43056
    const factor = 1.2 - 40e6 / 304.8 ** 2 / 1000;
    const { less, title } = result.designs.member('B1-1')!.reduction!;
    const whole = result.takedown.members.get('B1-1')!.sum['roofImposed']!;
    expect(less['roofImposed']! / whole).toBeCloseTo(1 - factor, 9);
    expect(title).toContain('roof live load times 0.77');
    expect(result.takedown.members.get('F0')!.sum['roofImposed']!).toBeCloseTo(whole / 2, 3);
    for (const id of ['B1-1', 'C0-0', 'F0']) expect(audit(sheetFor(result, id)!.entries, evaluate)).toEqual([]);
    const [plain, reduced] = [
      computeProject(
        roofed('american').map((one) =>
          one.kind === 'brief' ? { ...one, body: { ...one.body, imposedReduction: 'none' as const } } : one,
        ),
      ),
      result,
    ].map((one) => one.designs.member('B1-1')!.results[0]!.checks.find(({ id }) => id.startsWith('bending'))!.demand!);
    expect(reduced!).toBeLessThan(plain!);
    expect(computeProject(roofed('european')).designs.member('B1-1')!.reduction).toBeNull();
  });
});
