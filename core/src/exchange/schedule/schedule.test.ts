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
  it('refuses nothing, and a table that names no row', () => {
    expect(() => read(items, 'beam', '')).toThrow('no row');
    expect(() => read(items, 'beam', 'level,section\nLoft,IPE 300')).toThrow('a column "mark" is needed');
  });
});
