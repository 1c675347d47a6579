import { describe, expect, it } from 'vitest';
import { movedItem, PLACED, isPlaced, type ItemKind, assemble, defaultBrief, item, readItem, type Item } from '@plinth/core';
import { copiedItem, copiedItems, footingsUnder, makeItem, onLevel } from './make';
import { surveyKind } from './kinds';
import { TOOLS } from './tools';
import { handlesOf, withHandleMoved } from './boardGeometry';
import { gridStep, snapTargets, snapTo, typedEnd } from './snap';
import { isFree } from './tools';

const building = assemble([
  item('brief', 'brief', defaultBrief('Trial', 'european')),
  item('level', 'L2', { name: 'Roof', elevation: 6000 }),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('buildUp', 'floor', { name: 'Floor', layers: [], variable: [] }),
  item('beam', 'B1', { mark: 'B1', level: 'L1', from: { x: 0, y: 0 }, to: { x: 6000, y: 0 }, ownWeight: 0, supports: [] }),
  item('beam', 'B2', { mark: 'B2', level: 'L1', from: { x: 2000, y: -1500 }, to: { x: 2000, y: 2500 }, ownWeight: 0, supports: [] }),
  item('beam', 'R1', { mark: 'R1', level: 'L2', from: { x: 500, y: 500 }, to: { x: 900, y: 900 }, ownWeight: 0, supports: [] }),
  item('column', 'C1', { mark: 'C1', at: { x: 6000, y: 0 }, base: 'L0', top: 'L1', by: null, ownWeight: 0 }),
]);
const targets = snapTargets(building, ['L1']);
const snap = (x: number, y: number, more: Partial<{ from: { x: number; y: number }; ortho: boolean }> = {}) =>
  snapTo(targets, { x, y }, 150, 100, more.from ?? null, more.ortho ?? false);

describe('the cursor catches', () => {
  it('an end before a crossing, a crossing before a middle, a line before the grid', () => {
    expect(snap(5900, 60)).toEqual({ kind: 'end', point: { x: 6000, y: 0 } });
    expect(snap(2060, 90)).toEqual({ kind: 'crossing', point: { x: 2000, y: 0 } });
    expect(snap(3080, -40)).toEqual({ kind: 'middle', point: { x: 3000, y: 0 } });
    expect(snap(4120, 90)).toEqual({ kind: 'line', point: { x: 4100, y: 0 } });
    expect(snap(4120, 1030)).toEqual({ kind: 'grid', point: { x: 4100, y: 1000 } });
  });
  it('no grid where something is read off a drawing', () => {
    expect(snapTo(targets, { x: 4123.4, y: 1031 }, 150, null)).toEqual({ kind: 'free', point: { x: 4123, y: 1031 } });
    expect(snapTo(targets, { x: 4123, y: 90 }, 150, null)).toEqual({ kind: 'line', point: { x: 4123, y: 0 } });
    expect([isFree('measure', 0), isFree('scale', 1), isFree('bring', 0), isFree('bring', 1), isFree('beam', 0)]).toEqual([
      true,
      true,
      true,
      false,
      false,
    ]);
  });
  it('nothing of another level', () => {
    expect(snap(510, 510).kind).toBe('grid');
    expect(snapTo(snapTargets(building, ['L2']), { x: 510, y: 510 }, 150, 100).kind).toBe('end');
  });
  it('square to where it came from, at the distance of what it caught', () => {
    expect(snap(5950, 800, { from: { x: 1000, y: 700 }, ortho: true })).toEqual({ kind: 'grid', point: { x: 6000, y: 700 } });
    expect(snap(1100, 2900, { from: { x: 1000, y: 700 }, ortho: true }).point).toEqual({ x: 1000, y: 2900 });
  });
  it('a grid that grows with the distance one looks from', () => {
    expect([gridStep(4, 'SI'), gridStep(60, 'SI'), gridStep(700, 'SI')]).toEqual([10, 100, 1000]);
    expect(gridStep(160, 'US')).toBe(304.8);
  });
});

describe('a typed end', () => {
  const metres = (text: string) => Number(text) * 1000;
  it('a length goes towards the cursor, a length and an angle go there', () => {
    expect(typedEnd('4.5', { x: 0, y: 0 }, { x: 10, y: 0 }, metres)).toEqual({ x: 4500, y: 0 });
    const end = typedEnd('2 < 90', { x: 1000, y: 0 }, { x: 0, y: 0 }, metres);
    expect(end.x).toBeCloseTo(1000, 9);
    expect(end.y).toBeCloseTo(2000, 9);
  });
  it('an angle that is none is refused', () => {
    expect(() => typedEnd('2<north', { x: 0, y: 0 }, { x: 1, y: 0 }, metres)).toThrow('not an angle');
  });
});

describe('what is placed', () => {
  const at = [
    { x: 0, y: 0 },
    { x: 4000, y: 0 },
    { x: 4000, y: 6000 },
  ];
  it.each((Object.keys(PLACED) as ItemKind[]).filter(isPlaced))('a %s is an item that the model takes', (kind) => {
    // what can be placed has a tool, a schedule and a form
    expect(TOOLS.some(({ id }) => id === kind)).toBe(true);
    expect(surveyKind(kind)).toMatchObject({ add: expect.any(String) as string });
    const made = makeItem(building, kind, 'L1', at);
    expect(readItem(made)).toEqual(made);
    const moved = movedItem(made, 100, -50) as Extract<Item, { kind: 'beam' | 'column' | 'panel' }>;
    const first = 'from' in moved.body ? moved.body.from : 'at' in moved.body ? moved.body.at : moved.body.outline[0]!;
    expect(first).toEqual({ x: 100, y: -50 });
  });
  it('a panel spans its short way; marks go on; a column reaches up to its level', () => {
    expect(makeItem(building, 'panel', 'L1', at).body).toMatchObject({ direction: 0, buildUp: 'floor' });
    expect(makeItem(building, 'beam', 'L1', at).body).toMatchObject({ mark: 'B3', supportsFound: true });
    expect(makeItem(building, 'column', 'L1', at).body).toMatchObject({ base: 'L0', top: 'L1' });
    expect(makeItem(building, 'column', 'L0', at).body).toMatchObject({ base: 'L0', top: 'L1' });
  });
  it('gridlines are lettered upright and numbered across', () => {
    expect(makeItem(building, 'gridline', 'L1', [at[0]!, { x: 0, y: 9000 }]).body).toMatchObject({ label: 'A' });
    expect(makeItem(building, 'gridline', 'L1', [at[0]!, at[1]!]).body).toMatchObject({ label: '1' });
  });
  it('copies have marks of their own and find what they rest on', () => {
    const marks = ['B1', 'B2'];
    const source: Item = { id: 'B1', kind: 'beam', body: building.beams.get('B1')! };
    const copies = [copiedItem(source, marks, 0, 1000), copiedItem(source, marks, 0, 2000)];
    expect(copies.map(({ body }) => 'mark' in body && body.mark)).toEqual(['B3', 'B4']);
    expect(copies[1]!.body).toMatchObject({ from: { x: 0, y: 2000 }, supportsFound: true });
  });
  it('a level is copied with its storeys, and nothing below the ground', () => {
    const column: Item = { id: 'C1', kind: 'column', body: building.columns.get('C1')! };
    expect(onLevel(building, column, 'L1', 'L2')!.body).toMatchObject({ base: 'L1', top: 'L2' });
    expect(onLevel(building, column, 'L1', 'L0')).toBeNull();
  });
});

describe('points that can be dragged', () => {
  const corners = [
    { x: 0, y: 0 },
    { x: 4000, y: 0 },
    { x: 4000, y: 3000 },
  ];
  const hole = corners.map(({ x, y }) => ({ x: x / 4 + 2000, y: y / 4 + 100 }));
  const panel = item('panel', 'P', { mark: 'P', level: 'L1', outline: corners, openings: [{ outline: hole }], buildUp: 'floor' });
  it('are the ends of a line, the corners of a panel and of its openings, the places of a measurement', () => {
    const beam = item('beam', 'B', { mark: 'B', level: 'L1', from: corners[0]!, to: corners[1]!, ownWeight: 0, supports: [] });
    expect(handlesOf(beam.body).map(({ point }) => point)).toEqual([corners[0], corners[1]]);
    expect(handlesOf(panel.body)).toHaveLength(6);
    const chain = item('measurement', 'm', { name: 'M', level: 'L1', points: corners });
    expect(handlesOf(chain.body)).toHaveLength(3);
    expect(withHandleMoved(chain, handlesOf(chain.body)[1]!.handle, 0, 500).body).toMatchObject({ points: [{}, { x: 4000, y: 500 }, {}] });
    expect(withHandleMoved(beam, { end: 'to' }, -1000, 0).body).toMatchObject({ from: corners[0], to: { x: 3000, y: 0 } });
    expect(handlesOf(item('column', 'C', { mark: 'C', at: corners[0]!, base: 'L0', top: 'L1', by: null, ownWeight: 0 }).body)).toEqual([]);
  });
  it('move alone: the other corners and the other rings stay', () => {
    const outer = withHandleMoved(panel, { ring: 'outline', corner: 2 }, 100, -200).body as typeof panel.body & { openings: unknown };
    expect(outer).toMatchObject({ outline: [corners[0], corners[1], { x: 4100, y: 2800 }], openings: [{ outline: hole }] });
    const inner = withHandleMoved(panel, { ring: 0, corner: 0 }, 10, 20).body;
    expect(inner).toMatchObject({ outline: corners, openings: [{ outline: [{ x: 2010, y: 120 }, hole[1], hole[2]] }] });
  });
});

describe('copies', () => {
  it('take the loads along that act on what is copied, each once', () => {
    const beam = item('beam', 'B1', { mark: 'B1', level: 'L1', from: { x: 0, y: 0 }, to: { x: 6000, y: 0 }, ownWeight: 0, supports: [] });
    const tank = item('load', 'tank', { label: 'tank', on: 'B1', type: 'point', nature: 'permanent', at: 1000, force: 5000 });
    const other = item('load', 'other', { label: 'other', on: 'B2', type: 'point', nature: 'permanent', at: 1000, force: 5000 });
    const loads = [tank, other].map(({ id, body }) => ({ id, body })) as Parameters<typeof copiedItems>[1];
    const copies = copiedItems([beam], loads, ['B1'], 0, 2000);
    expect(copies.map(({ kind }) => kind)).toEqual(['beam', 'load']);
    expect(copies[1]!.body).toMatchObject({ label: 'tank', on: copies[0]!.id, force: 5000 });
    expect(copies[1]!.id).not.toBe('tank');
    const both = copiedItems([tank, beam], loads, ['B1'], 0, 2000);
    expect(both).toHaveLength(2);
    expect(both[0]!.body).toMatchObject({ on: both[1]!.id });
  });
});

describe('footings under what stands on nothing', () => {
  it('are pads under columns and strips under walls, at the level where they stand, each under a mark of its own', () => {
    const column = item('column', 'C1', { mark: 'C1', at: { x: 6000, y: 0 }, base: 'L0', top: 'L1', by: null, ownWeight: 0 });
    const other = { ...column, id: 'C2' };
    const wall = item('wall', 'W', { mark: 'W', from: { x: 0, y: 0 }, to: { x: 5000, y: 0 }, base: 'L0', top: 'L1', weight: 0, by: null });
    const beam = item('beam', 'B', { mark: 'B', level: 'L1', from: { x: 0, y: 0 }, to: { x: 1, y: 0 }, ownWeight: 0, supports: [] });
    const made = footingsUnder(building, [column, other, wall, beam], (id) => id !== 'gone');
    expect(made.map(({ kind, body }) => [kind, (body as { mark: string }).mark, (body as { level: string }).level])).toEqual([
      ['footing', 'F1', 'L0'],
      ['footing', 'F2', 'L0'],
      ['stripFooting', 'SF1', 'L0'],
    ]);
    expect(made[2]!.body).toMatchObject({ from: { x: 0, y: 0 }, to: { x: 5000, y: 0 } });
    expect(footingsUnder(building, [column, wall], (id) => id === 'W')).toHaveLength(1);
  });
});
