import { describe, expect, it } from 'vitest';
import { assemble } from '../building';
import { ebbwickSailLoft } from '../exchange';
import { modelOf } from './model';

describe('the frame in space', () => {
  const model = modelOf(assemble(ebbwickSailLoft()));
  const box = (id: string) => model.boxes.find((entry) => entry.id === id)!;
  it('has every member once, and every panel with its openings', () => {
    const building = assemble(ebbwickSailLoft());
    const members = building.beams.size + building.columns.size + building.walls.size + building.hangers.size + building.footings.size;
    expect(new Set(model.boxes.map(({ id }) => id)).size).toBe(members);
    expect(model.faces.length).toBe(building.panels.size);
    expect(model.faces.find(({ id }) => id === 'L5')!.openings.length).toBe(1);
  });
  it('hangs a beam below its level, to the size of its section, along its line', () => {
    // UB 610x229x101 from A1 to C1 at +4.8 m: 602.6 deep
    const { centre, size, turn } = box('TG1');
    expect(centre[0]).toBeCloseTo(5.4, 9);
    expect(centre[2]).toBeCloseTo(4.8 - 0.3013, 3);
    expect(size[0]).toBeCloseTo(10.8, 9);
    expect(size[2]).toBeCloseTo(0.6026, 3);
    expect(turn).toBe(0);
    expect(box('B2').turn).toBeCloseTo(Math.PI / 2, 9);
  });
  it('stands posts between their levels, and knows its extent', () => {
    expect(box('P3').size[2]).toBeCloseTo(10.2 - 4.8, 9);
    expect(box('P3').centre[2]).toBeCloseTo(7.5, 9);
    // a wall 1.1 m high stands on its level, whatever the storey
    const building = assemble(ebbwickSailLoft());
    const low = modelOf({ ...building, walls: new Map([['W1', { ...building.walls.get('W1')!, height: 1100 }]]) });
    const parapet = low.boxes.find(({ id }) => id === 'W1')!;
    expect([parapet.size[2], parapet.centre[2]]).toEqual([expect.closeTo(1.1, 9), expect.closeTo(4.8 + 0.55, 9)]);
    expect(model.centre[0]).toBeGreaterThan(7);
    expect(model.reach).toBeGreaterThan(9);
    expect(
      modelOf({
        ...assemble(ebbwickSailLoft()),
        beams: new Map(),
        columns: new Map(),
        walls: new Map(),
        hangers: new Map(),
        footings: new Map(),
        panels: new Map(),
      }),
    ).toMatchObject({
      centre: [0, 0, 0],
      reach: 1,
    });
  });
});
