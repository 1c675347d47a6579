import { describe, expect, it } from 'vitest';
import {
  assemble,
  become,
  defaultBrief,
  geometryOf,
  isLineItem,
  isOnLevel,
  item,
  levelOf,
  liesInside,
  markOf,
  marksOf,
  movedItem,
  PLACED,
  placedItem,
  splitLine,
  standingBody,
  type Item,
  type PlacedKind,
} from '../building';
import { ITEM_KINDS, STANDING } from '../building/item';
import { cellsOf, readSchedule, SCHEDULED, scheduleCsv } from '../exchange';
import { membersOfDxf, planDxf, PLAN_LAYERS, suggestedKinds } from '../exchange/dxf';
import { readDxf } from '../exchange/dxf/read';
import { modelOf } from './model';
import { DRAWN_BY, planDrawing } from './plan';
import { fitView } from './planView';

const BASE: Item[] = [
  item('brief', 'brief', defaultBrief('Shed', 'european')),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('buildUp', 'floor', { name: 'Floor', layers: [], variable: [] }),
];
const CORNERS = [
  { x: 1000, y: 1000 },
  { x: 5000, y: 1000 },
  { x: 5000, y: 4000 },
];
const placed = ITEM_KINDS.filter((kind): kind is PlacedKind => PLACED[kind] !== null);
const made = (kind: PlacedKind): Item => placedItem(assemble(BASE), kind, 'new', 'X1', 'L1', CORNERS);
const drawn = (items: readonly Item[]) => {
  const building = assemble(items);
  const view = fitView(building, 800, 600, 'L1');
  const input = { building, level: 'L1', selected: null, transfers: new Set<string>(), width: 800, height: 600, view };
  return planDrawing(input).marks.flatMap((mark) => ('item' in mark && mark.item === 'new' ? [mark] : []));
};

// what a kind has to be in every room is declared once: these hold for whatever kind is added
describe.each(placed)('a %s that is placed on a level', (kind) => {
  const one = made(kind);
  it('is drawn there, and goes out as a DXF and comes back', () => {
    expect(DRAWN_BY[kind]).not.toBeNull();
    expect(drawn([...BASE, one]).length).toBeGreaterThan(0);
    const building = assemble([...BASE, one]);
    const dxf = readDxf(planDxf(building, kind === 'hanger' ? 'L0' : 'L1'));
    expect(dxf.layers.map(({ name }) => name)).toContain(PLAN_LAYERS[kind]);
    let n = 0;
    const fresh = { id: () => `read-${(n += 1)}`, mark: (_: string, wanted: string | null) => wanted ?? 'none' };
    const { items } = membersOfDxf(dxf, suggestedKinds(dxf.layers.map(({ name }) => name)), dxf.unit!, { building, level: 'L1' }, fresh);
    expect(items.map((read) => [read.kind, read.body])).toEqual([[kind, one.body]]);
  });
  it('is moved with all its points, and caught by a box around it', () => {
    expect(geometryOf(kind)).not.toBeNull();
    const moved = movedItem(one, 100, -50);
    const points = (of: Item) => JSON.stringify(of.body).match(/"[xy]":-?\d+/g)!;
    expect(points(moved)).toEqual(
      points(one).map((text) => text.replace(/-?\d+$/, (value) => String(Number(value) + (text.startsWith('"x') ? 100 : -50)))),
    );
    expect(liesInside(kind, one.body, ({ x, y }) => x >= 1000 && x <= 5000 && y >= 1000 && y <= 4000)).toBe(true);
    expect(liesInside(kind, one.body, ({ x }) => x >= 3000)).toBe(false);
    expect(movedItem(moved, -100, 50)).toEqual(one);
  });
  it('has a schedule that goes out and comes back', () => {
    expect(SCHEDULED).toContain(kind);
    const items = [...BASE, one];
    const building = assemble(items);
    const back = readSchedule(building, items, kind, cellsOf(scheduleCsv(building, items, kind)), { make: () => one });
    expect([back.added, back.changed, back.same, back.faults, back.unknown]).toEqual([0, 0, 1, [], []]);
  });
  it('is found by its mark and level, and stands in space, when it stands in the building', () => {
    if (!STANDING.has(kind)) return;
    const building = assemble([...BASE, one]);
    expect([markOf(building, 'new'), marksOf(building)]).toEqual(['X1', ['X1']]);
    expect(isOnLevel(building, standingBody(building, 'new')!, levelOf(building, 'new')!)).toBe(true);
    const { boxes, faces } = modelOf(building);
    expect([...boxes, ...faces].map(({ id }) => id)).toEqual(['new']);
    // removed, it is drawn dotted and found nowhere
    const gone = { ...one, body: { ...one.body, status: 'removed' } } as Item;
    expect(marksOf(assemble([...BASE, gone]))).toEqual([]);
    expect(drawn([...BASE, gone]).length).toBeGreaterThan(0);
  });
  it('is split where it is a line, into pieces as long as it was', () => {
    if (!isLineItem(one)) return;
    const { put } = splitLine(one, 1500, [], { id: () => 'second', mark: () => 'X2' });
    expect(put.map(({ id, kind: of }) => [id, of])).toEqual([
      ['new', kind],
      ['second', kind],
    ]);
    const [a, b] = put.map(({ body }) => body as { from: { x: number }; to: { x: number } });
    expect([a!.from.x, a!.to.x, b!.from.x, b!.to.x]).toEqual([1000, 2500, 2500, 5000]);
  });
});

it('a truss is drawn as one, and as a beam once it is one', () => {
  const truss = made('truss') as Extract<Item, { kind: 'truss' }>;
  expect(drawn([...BASE, truss])).not.toEqual(drawn([...BASE, become(truss, 'beam')]));
  expect(modelOf(assemble([...BASE, truss])).boxes[0]!.size).not.toEqual(
    modelOf(assemble([...BASE, become(truss, 'beam')])).boxes[0]!.size,
  );
});
