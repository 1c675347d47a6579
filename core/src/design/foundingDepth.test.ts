import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, type Footing, type Item } from '../building';
import { cellsOf, readSchedule, scheduleCsv } from '../exchange';
import { computeProject } from './project';

/** A post of 200 kN on a pad of 1.5 m square, 0.4 m thick; soil 18 and concrete 24 kN/m3, the brief founds 1 m deep. */
const pad = (footing: Partial<Footing> = {}, brief: object = {}): Item[] => [
  item('brief', 'brief', {
    ...defaultBrief('Kiosk', 'european'),
    foundingDepth: '1 m',
    soilUnitWeight: '18 kN/m3',
    concreteUnitWeight: '24 kN/m3',
    ...brief,
  }),
  item('level', 'L1', { name: 'Roof', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('column', 'C', {
    mark: 'C',
    at: { x: 0, y: 0 },
    base: 'L0',
    top: 'L1',
    by: 'F',
    material: 'loadOnly',
    ownWeight: 0,
  }),
  item('load', 'q', { label: 'q', on: 'C', type: 'point', nature: 'permanent', force: '200 kN' }),
  item('footing', 'F', { mark: 'F', at: { x: 0, y: 0 }, level: 'L0', width: 1500, length: 1500, thickness: 400, ...footing }),
];
const design = (items: readonly Item[]) => computeProject(items).designs.footing('F')!;
const keys = (items: readonly Item[]) =>
  computeProject(items)
    .assumptions.get('F')!
    .map(({ key }) => key);

describe('the founding depth of a pad', () => {
  it('is that of the brief, or its own: backfill and pressure by hand', () => {
    // pad 1.5 x 1.5 x 0.4 x 24 = 21.6 kN; backfill 1.5 x 1.5 x (D - 0.4) x 18
    for (const [own, depth] of [
      [null, 1],
      [2000, 2],
      [600, 0.6],
      [300, 0.4],
    ] as const) {
      const { foundingDepth, padWeight, backfillWeight, pressure } = design(pad({ foundingDepth: own }));
      const backfill = 2.25 * (depth - 0.4) * 18;
      expect(foundingDepth).toBe(own ?? 1000);
      expect(padWeight / 1e3).toBeCloseTo(21.6, 9);
      expect(backfillWeight / 1e3).toBeCloseTo(backfill, 9);
      expect(pressure * 1e3).toBeCloseTo((200 + 21.6 + backfill) / 2.25, 9);
    }
  });
  it('is what net pressure deducts', () => {
    const { pressure } = design(pad({ foundingDepth: 2000 }, { bearingBasis: 'net' }));
    expect(pressure * 1e3).toBeCloseTo((200 + 21.6 + 2.25 * 1.6 * 18) / 2.25 - 2 * 18, 9);
  });
  it('is assumed to be deeper than frost reaches, or to lie inside a heated building', () => {
    const said = (items: readonly Item[]) => JSON.stringify(computeProject(items).assumptions.get('F'));
    expect(keys(pad())).toContain('F:frost');
    expect(said(pad({ foundingDepth: 600 }))).toContain('0.600 m below ground is deeper than frost reaches');
    expect(keys(pad({ heated: true }))).toContain('F:heated');
    expect(keys(pad({ heated: true }))).not.toContain('F:frost');
  });
  it('is closed in the balance, and goes out and comes back with the schedule', () => {
    const items = pad({ foundingDepth: 2000, heated: true });
    const { balance } = computeProject(items);
    expect(balance[0]!.applied.force / 1e3).toBeCloseTo(200 + 21.6 + 2.25 * 1.6 * 18, 6);
    expect(balance[0]!.gap.force).toBeCloseTo(0, 6);
    const csv = scheduleCsv(assemble(items), items, 'footing');
    const back = readSchedule(assemble(pad()), pad(), 'footing', cellsOf(csv), { make: () => pad()[5]! });
    expect(back.items[0]!.body).toMatchObject({ foundingDepth: 2000, heated: true });
  });
});
