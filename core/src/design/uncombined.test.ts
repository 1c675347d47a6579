import { describe, expect, it } from 'vitest';
import { item, type Item } from '../building';
import { LOAD_NATURES, type Nature } from '../load';
import { findSection } from '../section';
import { findTool, runTool } from '../tool';
import { bay } from './bay.test.data';
import { computeProject, reactionsOf, sheetFor } from '.';
import { checkKey, isCheck } from '../sheet';

const FAMILIES = ['european', 'american', 'british'] as const;
const load = (nature: Nature, force = '900 kN'): Item =>
  item('load', 'P', {
    label: 'P',
    on: 'B1',
    type: 'point',
    at: 3000,
    force,
    nature,
    ...(nature === 'imposed' ? { use: 'B' } : {}),
  } as never);
const ROW = 'combination-of-loads';

interface Row {
  readonly name: string;
  readonly id: string;
  readonly part?: string | undefined;
  readonly demand: number | null;
  readonly verdict: string;
  readonly reason?: string | undefined;
}

/** Every list of checks of a bay: of each member by each philosophy, and of each pad. */
function listsOf(items: readonly Item[]): Map<string, readonly Row[]> {
  const { designs } = computeProject(items);
  const lists = new Map<string, readonly Row[]>();
  for (const { id, results } of designs.members()) for (const { philosophy, checks } of results) lists.set(`${id} ${philosophy}`, checks);
  for (const { id, checks } of designs.footings()) lists.set(id, checks);
  return lists;
}

describe('load of any nature', () => {
  const pads = { width: 2500, length: 2500, thickness: 600 };
  it.each(FAMILIES.flatMap((family) => LOAD_NATURES.map((nature) => [family, nature] as const)))(
    '%s, %s: is in some check of all that it goes through, or a row says that it is not',
    (family, nature) => {
      const without = listsOf(bay({ family, footing: pads }));
      const loaded = listsOf(bay({ family, footing: pads, extra: [load(nature)] }));
      expect([...loaded.keys()]).toEqual([...without.keys()]);
      for (const [key, rows] of loaded) {
        const before = without.get(key)!;
        const grows = rows.some((row) => {
          const { demand } = row;
          const was = before.find(isCheck(checkKey(row)))?.demand;
          return demand !== null && was !== null && was !== undefined && demand > was * 1.001;
        });
        const said = rows.find(isCheck(ROW));
        expect(grows || said?.verdict === 'unproven', `${key}: ${JSON.stringify(rows.map(checkKey))}`).toBe(true);
        expect(before.some(isCheck(ROW))).toBe(false);
      }
    },
  );
  it('of an accident is in the checks by LRFD, and not by ASD, which says so; bearing says so too', () => {
    const lists = listsOf(bay({ family: 'american', footing: pads, extra: [load('accidental')] }));
    const row = (key: string) => lists.get(key)!.find(isCheck(ROW));
    expect(row('B1 LRFD')).toBeUndefined();
    expect(row('B1 ASD')!.reason).toBe(
      'accidental load is in no combination for strength (ASCE 7-16 2.4): checks of strength leave it out',
    );
    expect(row('C1 ASD')).toBeDefined();
    expect(row('F1')!.reason).toContain('bearing and the size of the pad leave it out');
  });
  it('that no combination has stands on the sheet', () => {
    const result = computeProject(bay({ family: 'british', extra: [load('seismic')] }));
    for (const id of ['B1', 'C1', 'F1'])
      expect(JSON.stringify(sheetFor(result, id)!.entries)).toContain('seismic load is in no combination for');
    expect(result.designs.member('B1')!.verdict).toBe('unproven');
  });
  it('that is typed as a case of end forces is refused at its field', () => {
    const run = (nature: Nature) =>
      runTool(findTool('british.steel.memberForces'), {
        section: 'UC 203x203x60',
        grade: 'S275',
        lengthY: 3000,
        lengthZ: 3000,
        length: 3000,
        unbraced: 3000,
        given: 'cases',
        philosophy: 'BS5950',
        sets: [
          { name: 'G', nature: 'permanent', axial: 100e3 },
          { name: 'E', nature, axial: 50e3 },
        ],
      });
    expect(() => run('wind')).not.toThrow();
    expect(() => run('seismic')).toThrow('BS 5950-1 table 2 has no combination with seismic load');
  });
});

describe('an accident by EN 1990 (6.11b), by hand', () => {
  it('the design value beside permanent load and the frequent value of what leads', () => {
    // a column under 100 permanent, 80 imposed (offices), 300 of the accident: 100 + 300 + 0.5 x 80 = 440 against 1.35 x 100 + 1.5 x 80 = 255
    const items: Item[] = [
      ...bay({}).filter(({ id }) => ['brief', 'L1', 'L0', 'F1'].includes(id)),
      item('column', 'C', { mark: 'C', at: { x: 0, y: 0 }, base: 'L0', top: 'L1', by: 'F1', section: 'UC 203x203x46', ownWeight: 0 }),
      ...(
        [
          ['permanent', 100],
          ['imposed', 80],
          ['accidental', 300],
        ] as const
      ).map(([nature, kN]) =>
        item('load', nature, {
          label: nature,
          on: 'C',
          type: 'point',
          nature,
          force: kN * 1000,
          ...(nature === 'imposed' ? { use: 'B' } : {}),
        } as never),
      ),
    ];
    const result = computeProject(items);
    const buckling = result.designs.member('C')!.results[0]!.checks.find(isCheck('flexural-buckling/minor'))!;
    // and the column's own weight, which the takedown of its section brings
    const own = findSection('UC 203x203x46').mass * 9.80665 * 3000;
    expect(buckling.demand).toBeCloseTo(440e3 + own, 0);
    expect(buckling.combination).toContain('6.11b');
    // what the ground settles under: 100 + 0.3 x 80; the accident is not in it
    const { purposes, rows } = reactionsOf(result, null);
    expect(purposes).toEqual(['strength', 'service', 'quasi-permanent']);
    expect(rows[0]!.extremes.map((found) => Math.round(found!.most.value))).toEqual(
      [440e3, 180e3, 124e3].map((force) => Math.round(force + own)),
    );
  });
});
