import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, type Item } from '../building';
import { ebbwickSailLoft, quillfernToolLibrary, tallowWharf } from '../exchange';
import { takeDown, tributaryArea } from '.';

const areaOf = (items: readonly Item[], id: string) => {
  const building = assemble(items);
  return tributaryArea(
    building,
    takeDown(building, () => []),
    id,
  ).map(({ level, area }) => [level, +(area / 1e6).toFixed(6)]);
};
const post = (id: string, x: number, y: number): Item[] => [
  item('footing', `F${id}`, { mark: `F${id}`, at: { x, y }, level: 'L0' }),
  item('column', `C${id}`, { mark: `C${id}`, at: { x, y }, base: 'L0', top: 'L1', by: `F${id}`, ownWeight: 0 }),
];
const frame = (...more: Item[]): Item[] => [
  item('brief', 'brief', defaultBrief('Store', 'european')),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('buildUp', 'deck', { name: 'Deck', layers: [{ name: 'slab', load: '3 kN/m2' }], variable: [] }),
  ...more,
];
const beam = (id: string, from: { x: number; y: number }, to: { x: number; y: number }, by: readonly string[], width = 0): Item => {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return item('beam', id, {
    mark: id,
    level: 'L1',
    from,
    to,
    ownWeight: 0,
    supports: by.map((support, i) => ({ at: (length * i) / (by.length - 1), by: support })),
    strips: width === 0 ? [] : [{ buildUp: 'deck', from: 0, to: length, widthStart: width, widthEnd: width }],
  });
};

describe('the area whose load a member takes', () => {
  it('of posts at the corners of a bay is a quarter each, of imposed load or not', () => {
    const items = frame(
      ...post('1', 0, 0),
      ...post('2', 6000, 0),
      ...post('3', 0, 4000),
      ...post('4', 6000, 4000),
      beam('B1', { x: 0, y: 0 }, { x: 6000, y: 0 }, ['C1', 'C2']),
      beam('B2', { x: 0, y: 4000 }, { x: 6000, y: 4000 }, ['C3', 'C4']),
      item('panel', 'P', {
        mark: 'P',
        level: 'L1',
        outline: [
          { x: 0, y: 0 },
          { x: 6000, y: 0 },
          { x: 6000, y: 4000 },
          { x: 0, y: 4000 },
        ],
        buildUp: 'deck',
        direction: Math.PI / 2,
      }),
    );
    for (const id of ['C1', 'C4', 'F2']) expect(areaOf(items, id)).toEqual([['L1', 6]]);
    expect(areaOf(items, 'B1')).toEqual([['L1', 12]]);
  });
  it('of a beam over three supports is the part of its reactions: 3/8, 5/4, 3/8 of a span', () => {
    const items = frame(
      ...post('1', 0, 0),
      ...post('2', 5000, 0),
      ...post('3', 10_000, 0),
      beam('B', { x: 0, y: 0 }, { x: 10_000, y: 0 }, ['C1', 'C2', 'C3'], 2000),
    );
    expect(['C1', 'C2', 'C3'].map((id) => areaOf(items, id)[0]![1])).toEqual([3.75, 12.5, 3.75]);
  });
  it('goes through a wall to the beam beneath it', () => {
    const items = frame(
      ...post('1', 0, 0),
      ...post('2', 6000, 0),
      item('level', 'L2', { name: 'Roof', elevation: 6000 }),
      beam('B', { x: 0, y: 0 }, { x: 6000, y: 0 }, ['C1', 'C2']),
      item('wall', 'W', {
        mark: 'W',
        from: { x: 0, y: 0 },
        to: { x: 6000, y: 0 },
        base: 'L1',
        top: 'L2',
        by: 'B',
        weight: 0,
        bears: 'yes',
      }),
      item('stripFooting', 'S', { mark: 'S', from: { x: 0, y: 2000 }, to: { x: 6000, y: 2000 }, level: 'L0' }),
      item('wall', 'V', {
        mark: 'V',
        from: { x: 0, y: 2000 },
        to: { x: 6000, y: 2000 },
        base: 'L0',
        top: 'L2',
        by: 'S',
        weight: 0,
        bears: 'yes',
      }),
      item('panel', 'P', {
        mark: 'P',
        level: 'L2',
        outline: [
          { x: 0, y: 0 },
          { x: 6000, y: 0 },
          { x: 6000, y: 2000 },
          { x: 0, y: 2000 },
        ],
        buildUp: 'deck',
        direction: Math.PI / 2,
      }),
    );
    expect(areaOf(items, 'W')).toEqual([['L2', 6]]);
    expect(areaOf(items, 'B')).toEqual([['L2', 6]]);
    expect(areaOf(items, 'F1')).toEqual([['L2', 3]]);
    expect(areaOf(items, 'S')).toEqual([['L2', 6]]);
  });
  it.each([
    ['Ebbwick', ebbwickSailLoft()],
    ['Quillfern', quillfernToolLibrary()],
    ['a block of storeys', tallowWharf({ baysX: 2, baysY: 3, storeys: 4, irregularity: 0.5 })],
  ])('of %s: what reaches the ground is all that lies on its members, level by level', (_, items) => {
    const building = assemble(items);
    const takedown = takeDown(building, () => []);
    const sum = (ids: Iterable<string>) => {
      const total = new Map<string, number>();
      for (const id of ids)
        for (const { level, area } of tributaryArea(building, takedown, id)) total.set(level, (total.get(level) ?? 0) + area / 1e6);
      return total;
    };
    const laid = new Map<string, number>();
    const lay = (level: string, area: number) => laid.set(level, (laid.get(level) ?? 0) + area / 1e6);
    for (const [id, { whole, orphans }] of takedown.panels) {
      expect(orphans).toEqual([]);
      lay(building.panels.get(id)!.level, whole.area);
    }
    for (const { level, strips } of building.beams.values())
      for (const { from, to, widthStart, widthEnd } of strips) lay(level, ((to - from) * (widthStart + widthEnd)) / 2);
    const ground = sum([...building.footings.keys(), ...building.stripFootings.keys()]);
    expect([...ground.keys()].sort()).toEqual([...laid.keys()].sort());
    for (const [level, area] of laid) expect(ground.get(level), level).toBeCloseTo(area, 3);
  });
});
