import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item } from '../building';
import { solveBeam } from '../beam';
import { computeProject } from '../design';
import { ebbwickSailLoft } from '../exchange/demonstration/ebbwick';
import { caseOf, NATURES, usualCases, type Combination } from '../load';
import { formatQuantity } from '../quantity';
import { findSection, sectionProperties, shapeOutlines } from '../section';
import type { Arrival } from '../takedown';
import type { ArrivalShape } from '../takedown/shape';
import {
  beamDiagram,
  beamElevation,
  fitView,
  planExtent,
  viewOf,
  footingDrawing,
  planDrawing,
  riverDrawing,
  riverLayout,
  sectionDrawing,
  toPlan,
  toScreen,
  toSvg,
  wallElevation,
  zoomed,
  type AreaMark,
  type Drawing,
} from '.';

const project = computeProject(ebbwickSailLoft());
const { building, takedown } = project;

const polygonArea = (points: readonly (readonly [number, number])[]) =>
  Math.abs(points.reduce((sum, [x, y], i) => sum + x * points[(i + 1) % points.length]![1] - points[(i + 1) % points.length]![0] * y, 0)) /
  2;

function expectDrawn(drawing: Drawing): void {
  const svg = toSvg(drawing);
  expect(svg).not.toMatch(/NaN|Infinity|undefined/);
  expect(svg.startsWith('<svg')).toBe(true);
  for (const mark of drawing.marks)
    if (mark.type === 'text') expect(mark.x >= -1 && mark.x <= drawing.width + 1, `"${mark.text}" stands outside`).toBe(true);
}

describe('sections', () => {
  it.each(['UB 457x191x82', 'PFC 200x90x30', 'SHS 150x150x8', 'CHS 168.3x5'])(
    '%s is drawn from its dimensions: the outline has the area of the section',
    (name) => {
      const { shape } = findSection(name);
      const [outer, hole] = shapeOutlines(shape);
      const drawn = polygonArea(outer!) - (hole ? polygonArea(hole) : 0);
      expect(drawn / sectionProperties(shape).A).toBeCloseTo(1, 1.9);
      expectDrawn(sectionDrawing(findSection(name), 'SI', 200, 200));
    },
  );
});

describe('axes of a section', () => {
  /** Area, centroid and second moments of a drawn polygon about a direction through its centroid, by Green's theorem. */
  const about = (points: readonly (readonly [number, number])[], dx: number, dy: number) => {
    let [a, sx, sy] = [0, 0, 0];
    const edges = points.map((p, i) => [p, points[(i + 1) % points.length]!] as const);
    for (const [[x1, y1], [x2, y2]] of edges) {
      const cross = x1 * y2 - x2 * y1;
      a += cross / 2;
      sx += (cross * (x1 + x2)) / 6;
      sy += (cross * (y1 + y2)) / 6;
    }
    const [cx, cy] = [sx / a, sy / a];
    let [along, across, mixed] = [0, 0, 0];
    for (const edge of edges) {
      const [[u1, v1], [u2, v2]] = edge.map(([x, y]) => [(x - cx) * dx + (y - cy) * dy, (y - cy) * dx - (x - cx) * dy] as const) as [
        readonly [number, number],
        readonly [number, number],
      ];
      const cross = u1 * v2 - u2 * v1;
      along += (cross * (v1 * v1 + v1 * v2 + v2 * v2)) / 12;
      across += (cross * (u1 * u1 + u1 * u2 + u2 * u2)) / 12;
      mixed += (cross * (u1 * v2 + 2 * u1 * v1 + 2 * u2 * v2 + u2 * v1)) / 24;
    }
    return { cx, cy, along: along / Math.sign(a), across: across / Math.sign(a), mixed };
  };
  const axesOf = (drawing: Drawing) => {
    const at = new Map<string, { x1: number; y1: number; dx: number; dy: number }>();
    drawing.marks.forEach((mark, i) => {
      const letter = drawing.marks[i + 1];
      if (mark.type !== 'line' || mark.points.length !== 2 || letter?.type !== 'text' || letter.text.length !== 1) return;
      const [[x1, y1], [x2, y2]] = mark.points as [[number, number], [number, number]];
      const length = Math.hypot(x2 - x1, y2 - y1);
      at.set(letter.text, { x1, y1, dx: (x2 - x1) / length, dy: (y2 - y1) / length });
    });
    return at;
  };

  it.each([
    ['L 200x150x15', 'yzuv'],
    ['L 150x150x12', 'yzuv'],
    ['L8X6X3/4', 'xywz'],
    ['PFC 200x75x23', 'yz'],
    ['W16X31', 'xy'],
    ['own I 600x250x10x20 bottom 180x15', 'yz'],
  ])('of %s pass the centroid of what is drawn; an angle is strongest about the first principal one', (name, letters) => {
    const drawing = sectionDrawing(findSection(name), 'SI', 300, 250, { axes: true });
    expectDrawn(drawing);
    const outline = (drawing.marks.find((mark) => mark.type === 'area') as AreaMark).points;
    const axes = axesOf(drawing);
    expect([...axes.keys()].join('')).toBe(letters);
    for (const [letter, { x1, y1, dx, dy }] of axes) {
      const { cx, cy, along, across, mixed } = about(outline, dx, dy);
      // 0.3 px: the outline's curves are drawn in short straight pieces
      expect(Math.abs((cx - x1) * dy - (cy - y1) * dx), `${letter} misses the centroid`).toBeLessThan(0.3);
      if (letters.length < 4) continue;
      if (letter === letters[2]) expect(along).toBeGreaterThan(across);
      if (letter === letters[2] || letter === letters[3]) expect(Math.abs(mixed)).toBeLessThan(0.005 * Math.max(along, across));
      else expect(Math.abs(mixed)).toBeGreaterThan(0.1 * Math.min(along, across));
    }
  });
});

describe('diagrams on the beam', () => {
  const solution = solveBeam({ length: 6000, EI: 2e13, supports: [{ at: 0 }, { at: 6000 }] }, [
    { type: 'distributed', from: 0, to: 6000, start: 10, end: 10 },
  ]);
  const named = (effect: 'moment' | 'shear' | 'deflection', combination: string) =>
    beamDiagram({
      mark: 'B1',
      solution,
      supports: [0, 6000].map((at) => ({ at, fixed: false })),
      effect,
      combination,
      units: 'SI',
      width: 500,
      height: 120,
    });
  const draw = (effect: 'moment' | 'shear' | 'deflection') => named(effect, 'c');
  it('write a long name of a combination over several lines, all of it within the drawing', () => {
    const name = '6.10b: 1.249 G + 1.05 Q(C) + 1.5 Q(E) + 0.75 S + 1.5 W, with Wind on the loft, from the east, imposed, C on spans 1, 3';
    const [short, long] = [draw('moment'), named('moment', name)];
    const lines = long.marks.flatMap((mark) => (mark.type === 'text' && mark.pen === 'soft' && mark.y < 40 ? [mark.text] : []));
    expect(lines.join(' ')).toBe(`moment, ${name}`);
    expect(lines.length).toBeGreaterThan(1);
    expect(Math.max(...lines.map((line) => line.length)) * 4.9).toBeLessThanOrEqual(500);
    expect(long.height - short.height).toBe((lines.length - 1) * 12);
  });
  it('write the largest value where it occurs', () => {
    const label = draw('moment').marks.find((mark) => mark.type === 'text' && mark.bold)!;
    expect(label).toMatchObject({ text: '45.00 kNm at 3.00 m', x: 250 });
    expect(draw('shear').title).toContain('30.00 kN');
  });
  it('hang sagging moment below the axis and put positive shear above it', () => {
    const outline = (drawing: Drawing) => drawing.marks.find((mark): mark is AreaMark => mark.type === 'area')!.points;
    const moment = outline(draw('moment'));
    expect(Math.max(...moment.map(([, y]) => y))).toBeGreaterThan(moment[0]![1]);
    expect(Math.min(...moment.map(([, y]) => y))).toBeCloseTo(moment[0]![1], 6);
    const shear = outline(draw('shear'));
    expect(shear[1]![1]).toBeLessThan(shear[0]![1]);
  });
  it('are drawn without numbers that are none', () =>
    (['moment', 'shear', 'deflection'] as const).forEach((effect) => expectDrawn(draw(effect))));
});

describe('the plan', () => {
  it.each(building.levels.map((level) => [level.body.name, level.id] as const))('of %s is to one scale in both directions', (_, level) => {
    const drawing = planDrawing({ building, level, selected: null, transfers: new Set(), width: 800, height: 420 });
    expectDrawn(drawing);
    const scales = drawing.marks.flatMap((mark) => {
      const beam = mark.type === 'line' && mark.item ? building.beams.get(mark.item) : undefined;
      if (mark.type !== 'line' || !beam) return [];
      const [[x1, y1], [x2, y2]] = mark.points as [[number, number], [number, number]];
      return [Math.hypot(x2 - x1, y2 - y1) / Math.hypot(beam.to.x - beam.from.x, beam.to.y - beam.from.y)];
    });
    for (const scale of scales) expect(scale).toBeCloseTo(scales[0]!, 9);
  });
});

describe('a plan that is looked at closely', () => {
  const plan = (more: Partial<Parameters<typeof planDrawing>[0]> = {}) =>
    planDrawing({ building, level: 'loft', selected: null, transfers: new Set(), width: 800, height: 420, ...more });
  const items = (drawing: Drawing) => new Set(drawing.marks.flatMap((mark) => mark.item ?? []));
  it('draws nothing that cannot be seen', () => {
    const view = { x: 16_200, y: 7000, scale: 0.1 };
    const near = items(plan({ view }));
    expect(near.has('OB1')).toBe(true);
    expect(near.has('TG1')).toBe(false);
    expect(items(plan()).has('TG1')).toBe(true);
  });
  it('has the panels of its level with an arrow along their span, and what stands behind when asked', () => {
    const arrows = plan().marks.filter((mark) => mark.type === 'line' && mark.arrow === 'both' && mark.item === 'L1');
    expect(arrows).toHaveLength(1);
    const [[x1, y1], [x2, y2]] = (arrows[0] as unknown as { points: [[number, number], [number, number]] }).points;
    expect(x1).toBeCloseTo(x2, 6);
    expect(Math.abs(y1 - y2)).toBeGreaterThan(20);
    expect(plan({ ghosts: ['roof'] }).marks.length).toBeGreaterThan(plan().marks.length);
  });
  it('draws what exists dashed and what is removed dotted, whatever its kind, and says so', () => {
    const at = { x: 2000, y: 2000 };
    const corners = [at, { x: 5000, y: 2000 }, { x: 5000, y: 5000 }];
    const two = { from: at, to: { x: 5000, y: 2000 } };
    const of = (status: 'new' | 'existing' | 'removed') =>
      assemble([
        item('brief', 'brief', defaultBrief('Trial', 'european')),
        item('level', 'L1', { name: 'Floor', elevation: 3000 }),
        item('level', 'L0', { name: 'Ground', elevation: 0 }),
        item('buildUp', 'u', { name: 'Deck', layers: [] }),
        item('beam', 'B', { mark: 'B', level: 'L1', ...two, ownWeight: 0, supports: [], status }),
        item('column', 'C', { mark: 'C', at, base: 'L0', top: 'L1', by: null, ownWeight: 0, status }),
        item('hanger', 'R', { mark: 'R', at: corners[1]!, base: 'L0', top: 'L1', by: null, ownWeight: 0, status }),
        item('wall', 'W', { mark: 'W', ...two, base: 'L0', top: 'L1', weight: 0, by: null, status }),
        item('panel', 'P', { mark: 'P', level: 'L1', outline: corners, buildUp: 'u', status }),
        item('footing', 'F', { mark: 'F', at, level: 'L1', status }),
        item('stripFooting', 'S', { mark: 'S', ...two, level: 'L1', status }),
      ]);
    const dashes = (status: 'new' | 'existing' | 'removed') => {
      const { marks } = planDrawing({ building: of(status), level: 'L1', selected: null, transfers: new Set(), width: 800, height: 420 });
      const words = marks.flatMap((mark) => (mark.type === 'text' ? [mark.text] : []));
      const dashed = new Set(marks.flatMap((mark) => ('dash' in mark && mark.dash && mark.item ? [mark.item] : [])));
      return { dashed: [...dashed].sort().join(''), words };
    };
    expect(dashes('existing').dashed).toBe('BCFPRSW');
    expect(dashes('existing').words).toContain('dashed: existing');
    expect(dashes('new').dashed).toBe('');
    expect(dashes('new').words.some((word) => word.includes('existing') || word.includes('removed'))).toBe(false);
    expect(dashes('removed').words).toContain('dotted: removed');
  });
  it('shows a sheet whole while little is drawn on it, and the building once it stands', () => {
    const sheet = (at: { x: number; y: number }, level = 'loft') => {
      const [laid] = assemble([
        item('brief', 'brief', defaultBrief('Trial', 'european')),
        item('drawing', 'sheet', { name: 'A3', level, file: '0'.repeat(64), width: 420, height: 297, scale: 100, at }),
      ]).drawings;
      return laid!;
    };
    const empty: typeof building = { ...building, beams: new Map(), walls: new Map(), columns: new Map(), hangers: new Map() };
    const bare = { ...empty, footings: new Map(), stripFootings: new Map(), panels: new Map(), gridlines: [] };
    const middle = { x: 8000, y: 4500 };
    expect(planExtent({ ...bare, drawings: [sheet(middle)] }, 'loft')).toEqual({ left: -13000, right: 29000, low: -10350, high: 19350 });
    // of another level, or none: a room's worth of paper
    expect(planExtent({ ...bare, drawings: [sheet(middle, 'roof')] }, 'loft')).toEqual({ left: 0, right: 10000, low: 0, high: 8000 });
    const stands = planExtent(building);
    // 16 m and more of 42 m are built on: the margins of the sheet are only paper
    expect(stands.right - stands.left).toBeGreaterThan(0.4 * 42000);
    expect(planExtent({ ...building, drawings: [sheet(middle)] }, 'loft')).toEqual(stands);
    // a sheet that lies elsewhere is seen all the same
    expect(planExtent({ ...building, drawings: [sheet({ x: 500_000, y: 0 })] }, 'loft').right).toBe(521_000);
    const view = viewOf({ left: 0, right: 10_000, low: 0, high: 4000 }, 804, 404, 2);
    expect(view.scale).toBeCloseTo(0.08, 9);
  });
  it('goes from plan to screen and back, and keeps the place that it is zoomed about', () => {
    const view = fitView(building, 800, 420);
    const [x, y] = toScreen(view, 800, 420, { x: 5400, y: 4500 });
    const back = toPlan(view, 800, 420, x, y);
    expect([back.x, back.y]).toEqual([expect.closeTo(5400, 6), expect.closeTo(4500, 6)]);
    const closer = zoomed(view, 800, 420, x, y, 2);
    expect(closer.scale).toBeCloseTo(2 * view.scale, 12);
    const [sx, sy] = toScreen(closer, 800, 420, { x: 5400, y: 4500 });
    expect([sx, sy]).toEqual([expect.closeTo(x, 6), expect.closeTo(y, 6)]);
  });
});

describe('a wall in elevation', () => {
  const draw = (id: string) => wallElevation({ building, takedown: project.takedown, wall: id, width: 330, height: 250 });
  it('is to scale with its openings, and says what takes it', () => {
    const { marks } = draw('W1');
    const [face, door] = marks.filter((mark): mark is AreaMark => mark.type === 'area' && mark.points.length === 4);
    const size = ({ points }: AreaMark) => [points[1]![0] - points[0]![0], points[2]![1] - points[1]![1]] as const;
    const [wide, high] = size(face!);
    // 3.8 m by 2.7 m; the door 0.9 m by 2.1 m
    expect(wide / high).toBeCloseTo(3800 / 2700, 6);
    expect(size(door!)[0] / wide).toBeCloseTo(900 / 3800, 6);
    expect(size(door!)[1] / high).toBeCloseTo(2100 / 2700, 6);
    expect(marks.some((mark) => mark.type === 'text' && /^TB1 takes 39/.test(mark.text))).toBe(true);
    expectDrawn(draw('W1'));
  });
  it.each(['W1', 'W2', 'W3'])('%s has no number that is none', (id) => expectDrawn(draw(id)));
});

describe('the river', () => {
  const drawing = riverDrawing({ building, takedown, selected: null, factor: () => 1, width: 760, height: 600 });
  it('shows every member at or below its level, within the frame', () => {
    expectDrawn(drawing);
    const nodes = riverLayout({ building, takedown, width: 760, height: 600 });
    expect(nodes.size).toBe(takedown.members.size);
    for (const node of nodes.values()) expect(node.x1 >= 0 && node.x2 <= 760 && node.y >= 0 && node.foot <= 600).toBe(true);
  });
  it('bands are as wide as their force', () => {
    const width = (item: string) =>
      drawing.marks.reduce(
        (sum, mark) => (mark.type === 'band' && mark.item === item && mark.title?.startsWith(`${item}:`) ? sum + mark.width : sum),
        0,
      );
    const force = (item: string) => Object.values(takedown.members.get(item)!.sum).reduce((sum, value) => sum + value, 0);
    expect(width('C-C1') / width('C-A2')).toBeCloseTo(force('C-C1') / force('C-A2'), 2);
  });
  it('bars of one level do not lie on each other', () => {
    const bars = [...riverLayout({ building, takedown, width: 760, height: 600 }).values()].filter((node) => node.kind === 'beam');
    for (const a of bars)
      for (const b of bars)
        if (a.id < b.id && Math.abs(a.y - b.y) < 6) expect(a.x2 <= b.x1 || b.x2 <= a.x1, `${a.id} lies on ${b.id}`).toBe(true);
  });
  it('says so where there is no building', () => {
    const empty = { ...building, levels: [] };
    expect(riverLayout({ building: empty, takedown, width: 100, height: 100 }).size).toBe(0);
  });
});

describe('the loads of a beam seen from its side', () => {
  it.each(NATURES)('%s: spread loads and forces are drawn with their factors', (nature) => {
    const { id } = caseOf(nature, nature === 'imposed' ? 'B' : undefined);
    const arrival = (shape: ArrivalShape, value: number): Arrival => ({
      id: shape.type,
      label: '',
      source: { type: 'load', load: 'q' },
      shape,
      byCase: { [id]: value },
      adverse: { [id]: value },
    });
    const combination: Combination = {
      id: 'c',
      name: 'c',
      basis: 'factored',
      clause: '',
      factors: { [id]: 1.5 },
      cases: usualCases,
      purpose: 'strength',
    };
    const drawing = beamElevation({
      beam: [...building.beams.values()][0]!,
      length: 6000,
      arrivals: [arrival({ type: 'distributed', from: 0, to: 6000, start: 1, end: 1 }, 4), arrival({ type: 'point', at: 2000 }, 10e3)],
      carriers: [],
      combination,
      units: 'SI',
      width: 400,
      height: 120,
    });
    const texts = drawing.marks.flatMap((mark) => (mark.type === 'text' ? [mark.text] : []));
    expect(texts).toContain('6.000 kN/m');
    expect(texts).toContain('15.0 kN');
    expect(drawing.marks.some((mark) => mark.type === 'area' && mark.fill === nature)).toBe(true);
  });
});

describe('pads', () => {
  it('are drawn to scale with sizes, or say why not', () => {
    const design = project.designs.footing('F-C1')!;
    const drawing = footingDrawing(design, 1200, 'SI', 520, 230);
    expectDrawn(drawing);
    const texts = drawing.marks.flatMap((mark) => (mark.type === 'text' ? [mark.text] : []));
    expect(texts.filter((text) => text === formatQuantity(design.width, 'length', 'SI', { figures: 3 })).length).toBeGreaterThanOrEqual(2);
    expect(footingDrawing({ ...design, width: 0, reason: 'Nothing stands on it.' }, 1200, 'SI', 520, 230).marks[0]).toMatchObject({
      text: 'Nothing stands on it.',
    });
  });
  it('show the column where it stands on them, in section and in plan, and round where it is', () => {
    const design = project.designs.footing('F-C1')!;
    const of = (x: number, y: number, isRound = false) =>
      footingDrawing({ ...design, column: { width: 200, depth: 100, isRound, offset: { x, y } } }, 1200, 'SI', 520, 230).marks;
    const steel = (marks: ReturnType<typeof of>) =>
      marks.flatMap((mark) => (mark.type === 'area' && mark.fill === 'steel' ? [mark.points[0]!] : []));
    const [middle, beside] = [steel(of(0, 0)), steel(of(150, 80))];
    expect(middle).toHaveLength(2);
    const moved = beside.map(([x, y], i) => [x - middle[i]![0], y - middle[i]![1]] as const);
    // to the right in both; northwards is up in the plan
    expect(moved[0]![0]).toBeGreaterThan(0);
    expect(moved[0]![1]).toBeCloseTo(0, 9);
    expect(moved[1]![0]).toBeCloseTo(moved[0]![0], 9);
    expect(moved[1]![1] / moved[1]![0]).toBeCloseTo(-80 / 150, 9);
    expect(of(0, 0, true).some((mark) => mark.type === 'circle' && mark.fill === 'steel')).toBe(true);
  });
});
