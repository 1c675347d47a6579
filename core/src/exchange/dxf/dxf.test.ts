import { describe, expect, it } from 'vitest';
import { assemble } from '../../building';
import { ebbwickSailLoft } from '..';
import { membersOfDxf, planDxf, readDxf, suggestedKinds, writeDxf } from '.';

/** Pairs of group code and value, as a DXF has them. */
const pairs = (...list: readonly (readonly [number, string | number])[]) => list.map(([code, value]) => `${code}\n${value}`).join('\n');
const file = (entities: string, blocks = '', units = 4) =>
  [
    pairs([0, 'SECTION'], [2, 'HEADER'], [9, '$INSUNITS'], [70, units], [0, 'ENDSEC']),
    pairs([0, 'SECTION'], [2, 'BLOCKS']),
    blocks,
    pairs([0, 'ENDSEC'], [0, 'SECTION'], [2, 'ENTITIES']),
    entities,
    pairs([0, 'ENDSEC'], [0, 'EOF']),
  ]
    .filter(Boolean)
    .join('\n');
const line = (layer: string, x1: number, y1: number, x2: number, y2: number) =>
  pairs([0, 'LINE'], [8, layer], [10, x1], [20, y1], [11, x2], [21, y2]);

describe('reading a DXF', () => {
  it('gives lines by layer, the unit, and the extent', () => {
    const dxf = readDxf(file([line('WALL', 0, 0, 5, 0), line('GLASS', 5, 0, 5, 3)].join('\n'), '', 6));
    expect(dxf.unit).toBe(1000);
    expect(dxf.layers.map(({ name }) => name)).toEqual(['GLASS', 'WALL']);
    expect(dxf.lines[0]).toMatchObject({ layer: 'WALL', closed: false });
    expect(dxf.lines[0]!.points.map(({ x, y }) => [x, y])).toEqual([
      [0, 0],
      [5, 0],
    ]);
    expect(dxf.box).toEqual({ left: 0, low: 0, right: 5, high: 3 });
  });
  it('cuts circles, arcs and bulges into chords that lie on them', () => {
    const dxf = readDxf(
      file(
        [
          pairs([0, 'CIRCLE'], [8, 'C'], [10, 10], [20, 20], [40, 4]),
          pairs([0, 'ARC'], [8, 'A'], [10, 0], [20, 0], [40, 2], [50, 350], [51, 10]),
          // a half circle of radius 1 below the line from (0,0) to (2,0): bulge 1 turns anticlockwise
          pairs([0, 'LWPOLYLINE'], [8, 'P'], [90, 2], [70, 0], [10, 0], [20, 0], [42, 1], [10, 2], [20, 0]),
        ].join('\n'),
      ),
    );
    const [circle, arc, half] = dxf.lines;
    expect(circle!.centre).toMatchObject({ x: 10, y: 20 });
    for (const p of circle!.points) expect(Math.hypot(p.x - 10, p.y - 20)).toBeCloseTo(4, 9);
    // through east, twenty degrees in all
    for (const p of arc!.points) expect(Math.hypot(p.x, p.y)).toBeCloseTo(2, 9);
    expect(arc!.points.every((p) => p.x > 1.9)).toBe(true);
    for (const p of half!.points) expect(Math.hypot(p.x - 1, p.y)).toBeCloseTo(1, 9);
    expect(Math.min(...half!.points.map((p) => p.y))).toBeCloseTo(-1, 2);
  });
  it('puts blocks where they are inserted, turned and scaled, on the layer of the insertion', () => {
    const block = pairs([0, 'BLOCK'], [8, '0'], [2, 'DOOR'], [70, 0], [10, 1], [20, 0], [3, 'DOOR']);
    const end = pairs([0, 'ENDBLK'], [8, '0']);
    const insert = pairs([0, 'INSERT'], [8, 'DOORS'], [2, 'DOOR'], [10, 100], [20, 50], [41, 2], [42, 2], [50, 90]);
    const dxf = readDxf(file(insert, [block, line('0', 1, 0, 4, 0), end].join('\n')));
    expect(dxf.lines[0]!.layer).toBe('DOORS');
    // 3 long from the base point, doubled, turned to the north
    const [a, b] = dxf.lines[0]!.points;
    expect([a!.x, a!.y, b!.x, b!.y].map((v) => +v.toFixed(9))).toEqual([100, 50, 100, 56]);
  });
  it('names what it does not read', () => {
    const dxf = readDxf(file([line('A', 0, 0, 1, 1), pairs([0, 'SOLID'], [8, 'A'], [10, 0], [20, 0])].join('\n')));
    expect(dxf.unread).toEqual({ SOLID: 1 });
  });
  it.each([
    ['words', 'not a drawing', 'cannot be read as a DXF'],
    ['nothing', '', 'cannot be read as a DXF'],
    ['a DXF without lines', file(pairs([0, 'POINT'], [8, 'A'], [10, 0], [20, 0])), 'no line'],
  ])('refuses %s in words', (_, text, message) => {
    expect(() => readDxf(text)).toThrow(message);
  });
});

describe('a plan as DXF', () => {
  it('is read again as what was written', () => {
    const square = [
      { x: 0, y: 0 },
      { x: 1000.5, y: 0 },
      { x: 1000.5, y: 2000 },
    ];
    const dxf = readDxf(
      writeDxf({
        lines: [{ layer: 'A', points: square, closed: true }],
        circles: [{ layer: 'B', at: { x: 3, y: 4 }, radius: 5 }],
        texts: [{ layer: 'B', at: { x: 3, y: 4 }, height: 100, text: 'C1', angle: Math.PI / 2 }],
      }),
    );
    expect(dxf.unit).toBe(1);
    expect(dxf.lines[0]!.points.map(({ x, y }) => ({ x, y }))).toEqual(square);
    expect(dxf.lines[0]!.closed).toBe(true);
    expect(dxf.lines[1]!.centre).toMatchObject({ x: 3, y: 4 });
    expect(dxf.texts[0]).toMatchObject({ text: 'C1', height: 100, angle: Math.PI / 2 });
  });
  it('of Ebbwick’s loft comes back as its members, mark by mark', () => {
    const building = assemble(ebbwickSailLoft());
    const dxf = readDxf(planDxf(building, 'loft'));
    let n = 0;
    const { items, left } = membersOfDxf(
      dxf,
      suggestedKinds(dxf.layers.map(({ name }) => name)),
      dxf.unit!,
      { building, level: 'loft' },
      { id: (kind) => `${kind}-${(n += 1)}`, mark: (_, wanted) => wanted ?? `X${n}` },
    );
    const beams = [...building.beams.values()].filter((beam) => beam.level === 'loft');
    for (const beam of beams) {
      const read = items.find((entry) => entry.kind === 'beam' && entry.body.mark === beam.mark);
      expect(read?.body).toMatchObject({ from: beam.from, to: beam.to, level: 'loft', supportsFound: true });
    }
    expect(items.filter((entry) => entry.kind === 'beam').length).toBe(beams.length);
    const panels = items.filter((entry) => entry.kind === 'panel');
    expect(panels.map((entry) => entry.body.mark).sort()).toEqual(['L1', 'L2', 'L3', 'L4', 'L5', 'L6']);
    expect(
      items
        .filter((entry) => entry.kind === 'gridline')
        .map((entry) => entry.body.label)
        .sort()
        .join(''),
    ).toBe('123ABCD');
    // the stair is cut out of its panel again, under its name
    for (const panel of building.panels.values()) {
      if (panel.level !== 'loft') continue;
      expect(panels.find((entry) => entry.body.mark === panel.mark)!.body.openings).toEqual(panel.openings);
    }
    expect(panels.flatMap((entry) => entry.body.openings.map(({ label }) => label))).toEqual(['stair']);
    expect(left).toEqual([]);
  });
});

describe('openings on a plan', () => {
  const rectangle = (x1: number, y1: number, x2: number, y2: number) => [
    { x: x1, y: y1 },
    { x: x2, y: y1 },
    { x: x2, y: y2 },
    { x: x1, y: y2 },
  ];
  const read = (...openings: { x: number; y: number }[][]) => {
    const outlines = [rectangle(0, 0, 4000, 3000), rectangle(4000, 0, 8000, 3000)];
    const dxf = readDxf(
      writeDxf({
        lines: [
          // an opening may be drawn before its panel
          ...openings.map((points) => ({ layer: 'STAIR VOID', points, closed: true })),
          ...outlines.map((points) => ({ layer: 'SLAB', points, closed: true })),
        ],
      }),
    );
    let n = 0;
    const { items, left } = membersOfDxf(
      dxf,
      suggestedKinds(dxf.layers.map(({ name }) => name)),
      1,
      { building: { brief: assemble(ebbwickSailLoft()).brief, levels: [], buildUps: new Map([['B', null as never]]) }, level: 'L' },
      { id: (kind) => `${kind}-${(n += 1)}`, mark: () => `P${n}` },
    );
    return { left, found: items.map((entry) => (entry.kind === 'panel' ? entry.body.openings.map(({ outline }) => outline) : [])) };
  };
  it('within a panel, with an edge on its edge, and over the edge between two', () => {
    const within = rectangle(1000, 1000, 2000, 2000);
    expect(read(within)).toEqual({ found: [[within], []], left: [] });
    const atEdge = rectangle(3000, 0, 4000, 900);
    expect(read(atEdge)).toEqual({ found: [[atEdge], []], left: [] });
    const { found, left } = read(rectangle(3500, 1000, 4200, 2000));
    const spans = found.map((list) =>
      list.map((ring) => [Math.min(...ring.map(({ x }) => x)), Math.max(...ring.map(({ x }) => x)), ring.length]),
    );
    expect(spans).toEqual([[[3500, 4000, 4]], [[4000, 4200, 4]]]);
    expect(left).toEqual([]);
  });
  it('are not suggested for those of walls', () => {
    expect(suggestedKinds(['FLOOR-OPENINGS', 'S-VOID', 'WALL-OPENING', 'A-DOOR-OPENINGS', 'A-WALL', 'PLINTH-PANEL-OPENING'])).toEqual({
      'FLOOR-OPENINGS': 'opening',
      'S-VOID': 'opening',
      'A-WALL': 'wall',
      'PLINTH-PANEL-OPENING': 'opening',
    });
  });
  it('beside the panels it is said', () => {
    expect(read(rectangle(9000, 0, 9900, 900))).toEqual({
      found: [[], []],
      left: ['openings that lie beside the panels read with them, wholly or in part: 1'],
    });
    expect(read(rectangle(7000, 0, 9000, 900)).left).toHaveLength(1);
  });
});
