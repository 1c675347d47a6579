import { describe, expect, it } from 'vitest';
import { assemble, item, type Item } from '../../building';
import { ebbwickSailLoft, quillfernToolLibrary } from '..';
import { cellsOf, readSchedule, SCHEDULED, scheduleCsv, type ScheduledKind } from '.';

let n = 0;
const made: Record<ScheduledKind, () => Item> = {
  beam: () =>
    item('beam', `new-${(n += 1)}`, {
      mark: 'x',
      level: 'loft',
      from: { x: 0, y: 0 },
      to: { x: 1, y: 0 },
      ownWeight: 0.5,
      supportsFound: true,
      supports: [],
    }),
} as Record<ScheduledKind, () => Item>;
const read = (items: readonly Item[], kind: ScheduledKind, source: string) =>
  readSchedule(assemble(items), items, kind, cellsOf(source), { make: made[kind] });

describe('a schedule', () => {
  it.each([
    ['Ebbwick', ebbwickSailLoft],
    ['Quillfern', quillfernToolLibrary],
  ])('of %s goes out as CSV and read back changes nothing, whatever the kind', (_, build) => {
    const items = build();
    for (const kind of SCHEDULED) {
      const count = items.filter((entry) => entry.kind === kind).length;
      if (count === 0) continue;
      const back = read(items, kind, scheduleCsv(assemble(items), items, kind));
      expect(back.faults, kind).toEqual([]);
      expect([back.added, back.changed, back.unknown], kind).toEqual([0, 0, []]);
      expect(back.same, kind).toBe(count);
    }
  });
  const items = ebbwickSailLoft();
  it('changes what is known by its mark, adds what is not, cell by cell', () => {
    const back = read(items, 'beam', 'mark,section,from x [mm]\nTG1,UB 610x229x125,\nNB1,IPE 300,2500\n');
    expect([back.added, back.changed, back.same, back.faults]).toEqual([1, 1, 0, []]);
    const [tg1, nb1] = back.items;
    const before = items.find((entry) => entry.id === 'TG1')!;
    expect(tg1!.id).toBe('TG1');
    expect(tg1!.body).toEqual({ ...before.body, section: 'UB 610x229x125' });
    expect(nb1!.body).toMatchObject({ mark: 'NB1', section: 'IPE 300', from: { x: 2500, y: 0 }, level: 'loft' });
  });
  it('takes what a spreadsheet puts on the clipboard, with no header, tabs, a comma for a point, and a unit in a cell', () => {
    const back = read(items, 'beam', 'NB1\tLoft\t3,5\t0\t3500mm\t4.5\t\t0.4\tnew\tpasted');
    expect(back.faults).toEqual([]);
    expect(back.items[0]!.body).toMatchObject({
      mark: 'NB1',
      level: 'loft',
      from: { x: 3500, y: 0 },
      to: { x: 3500, y: 4500 },
      section: null,
      ownWeight: 0.4,
      note: 'pasted',
    });
  });
  it('reads the unit of the header, in any system', () => {
    const back = read(items, 'beam', 'Mark,from x [ft],to x (in)\nNB1,10,240\n');
    const { from, to } = back.items[0]!.body as { from: { x: number }; to: { x: number } };
    expect(from.x).toBeCloseTo(3048, 6);
    expect(to.x).toBeCloseTo(6096, 6);
  });
  it('names every fault with its row and column, and reads the other rows', () => {
    const back = read(
      items,
      'beam',
      [
        'mark,level,from x [m],status,colour',
        'NB1,Attic,1,new,red',
        'NB2,Loft,far,new,red',
        ',Loft,1,new,red',
        'NB3,Loft,1,old,red',
        'NB4,Loft,1,exist,red',
        'NB4,Loft,2,new,red',
      ].join('\n'),
    );
    expect(back.faults.map(({ row, column }) => [row, column])).toEqual([
      [2, 'level'],
      [3, 'from x'],
      [4, 'mark'],
      [5, 'status'],
      [7, 'mark'],
    ]);
    expect(back.faults[0]!.message).toContain('levels are Roof, Gallery, Loft');
    expect(back.unknown).toEqual(['colour']);
    expect(back.items.map(({ body }) => (body as { mark: string; status: string }).status)).toEqual(['existing']);
  });
  it('lets a load name its member by mark', () => {
    const hoist = 'label,on,type,nature,use,at [m],force [kN]\nchain hoist and trolley,B1,point,permanent,,2.25,1.8\n';
    const back = read(items, 'load', hoist);
    expect(back.faults).toEqual([]);
    expect(back.items[0]!.body).toMatchObject({ on: 'B1', force: 1800 });
    expect(read(items, 'load', hoist.replace('B1', 'B99')).faults[0]!.message).toContain('no member "B99"');
  });
  it('reads openings of walls and panels, loads on areas, and writes them as they were', () => {
    const walls = 'mark,height [m],openings [m],spread,braces\nW1,2.4,0.5 1.4 0 2.1; 2 3.2 0.9 2.1 0.2,whole,yes\n';
    const wall = read(items, 'wall', walls);
    expect(wall.faults).toEqual([]);
    expect(wall.items[0]!.body).toMatchObject({
      height: 2400,
      spread: 'whole',
      braces: true,
      openings: [
        { from: 500, to: 1400, sill: 0, head: 2100, bearing: 150 },
        { from: 2000, to: 3200, sill: 900, head: 2100, bearing: 200 },
      ],
    });
    const panels = 'mark,openings [m]\nL1,stair: 1 1; 2 1; 2 3; 1 3 | : bridged: 3 1; 4 1; 4 2\n';
    const panel = read(items, 'panel', panels);
    expect(panel.faults).toEqual([]);
    expect((panel.items[0]!.body as { openings: unknown }).openings).toEqual([
      { label: 'stair', outline: [1, 2, 2, 1].map((x, i) => ({ x: 1000 * x, y: i < 2 ? 1000 : 3000 })), bridged: false },
      { label: '', outline: [3, 4, 4].map((x, i) => ({ x: 1000 * x, y: i < 2 ? 1000 : 2000 })), bridged: true },
    ]);
    const loads = 'label,on,type,nature,load on area [kN/m2],corners [m]\nhoist and trolley,L1,area,permanent,2.5,1 1; 3 1; 3 2\n';
    const changed = [...items.filter(({ id }) => id !== 'L1' && id !== 'W1'), ...wall.items, ...panel.items];
    const load = readSchedule(assemble(changed), changed, 'load', cellsOf(loads), {
      make: () => item('load', 'A1', { label: 'x', on: 'L1', type: 'point', nature: 'imposed', use: 'A' }),
    });
    expect(load.faults).toEqual([]);
    expect(load.items[0]!.body).toMatchObject({ on: 'L1', type: 'area', pressure: 0.0025, outline: [{ x: 1000, y: 1000 }, {}, {}] });
    changed.push(...load.items);
    for (const kind of ['wall', 'panel', 'load'] as const)
      expect(read(changed, kind, scheduleCsv(assemble(changed), changed, kind)), kind).toMatchObject({ changed: 0, added: 0, faults: [] });
  });
  it.each([
    ['wall', 'mark,openings [m]\nW1,1 2\n', 'from, to, sill and head'],
    ['wall', 'mark,openings [m]\nW1,3 2 0 2.1\n', 'ends beyond its start'],
    ['wall', 'mark,openings [m]\nW1,1 2 2.4 2.1\n', 'above its sill'],
    ['panel', 'mark,openings [m]\nL1,1 1 1; 2 2\n', 'a corner is two numbers'],
  ] as const)('says what is wrong with an opening of a %s', (kind, source, message) => {
    const { faults, items: read1 } = read(items, kind, source);
    expect(read1).toEqual([]);
    expect(faults[0]!.message).toContain(message);
  });
  it('refuses nothing, and a table that names no row', () => {
    expect(() => read(items, 'beam', '')).toThrow('no row');
    expect(() => read(items, 'beam', 'level,section\nLoft,IPE 300')).toThrow('a column "mark" is needed');
  });
});
