import { planLength, project, type Building } from '../building';
import { formatQuantity } from '../quantity';
import { addInto, arrivalTotal, pathOf, totalOf, type ByCase, type Leave, type MemberLedger, type Takedown } from '../takedown';
import { Pencil, type Drawing } from './drawing';
import { byNature, drawStripes } from './stripes';

export interface RiverInput {
  readonly building: Building;
  readonly takedown: Takedown;
  readonly selected: string | null;
  /** Factor of each case: 1 for all shows them unfactored; those of a combination show it. */
  readonly factor: (caseId: string) => number;
  readonly width: number;
  readonly height: number;
}

/** Where a member stands in the river. Beams and walls are bars from x1 to x2 at y; columns and hangers shafts from y to foot. */
export interface RiverNode {
  readonly id: string;
  readonly kind: MemberLedger['kind'];
  readonly x1: number;
  readonly x2: number;
  readonly y: number;
  readonly foot: number;
  /** x at a distance along the member. */
  readonly along: (at: number) => number;
}

const BAR = 8;
const LEFT = 12;
const TOP = 34;
const FOOT = 60;

/**
 * Places every member: levels one below the other, the ground's columns side by side in the order of their place on plan,
 * everything else over what it rests on. Beams of one level that carry each other, or would lie in one place, take lanes.
 */
export function riverLayout({
  building,
  takedown,
  width,
  height,
}: Pick<RiverInput, 'building' | 'takedown' | 'width' | 'height'>): Map<string, RiverNode> {
  const nodes = new Map<string, RiverNode>();
  const { levels } = building;
  if (levels.length === 0) return nodes;
  const pitch = (height - TOP - FOOT) / Math.max(1, levels.length - 1);
  const levelY = new Map(levels.map((level, i) => [level.id, TOP + i * pitch]));
  const y = (level: string) => levelY.get(level) ?? TOP;

  const roots = takedown.order.filter((id) =>
    takedown.members.get(id)!.leaves.every((leave) => leave.to === 'ground' || leave.to === null),
  );
  const placeOf = (id: string) =>
    building.footings.get(id)?.at ?? building.columns.get(id)?.at ?? lineOf(building, id)?.from ?? building.hangers.get(id)!.at;
  roots.sort((a, b) => placeOf(a).x - placeOf(b).x || placeOf(a).y - placeOf(b).y);
  const slot = (width - 2 * LEFT) / Math.max(1, roots.length);
  // a beam of which one end only is in the picture is as long as there is room for
  const lone = Math.max(40, Math.min(160, 0.25 * slot));
  const rootX = new Map(roots.map((id, i) => [id, LEFT + (i + 0.5) * slot]));

  const target = (leave: Leave | undefined, atPoint: { x: number; y: number }): number | undefined => {
    const node = leave?.to ? nodes.get(leave.to) : undefined;
    if (!node) return undefined;
    const line = lineOf(building, node.id);
    return node.along(line ? project(line, atPoint) : 0);
  };
  for (const id of [...takedown.order].reverse()) {
    const ledger = takedown.members.get(id)!;
    const fallback = rootX.get(id) ?? LEFT + slot / 2;
    const { kind } = ledger;
    if (kind === 'footing' || kind === 'column' || kind === 'hanger') {
      const member = building.footings.get(id) ?? building.columns.get(id) ?? building.hangers.get(id)!;
      const x = target(ledger.leaves[0], member.at) ?? fallback;
      const top = 'top' in member ? y(member.top) : y(member.level);
      const foot = 'base' in member ? y(member.base) : top;
      nodes.set(id, { id, kind, x1: x, x2: x, y: top, foot, along: () => x });
      continue;
    }
    const line = lineOf(building, id)!;
    const length = planLength(line);
    const direction = { x: (line.to.x - line.from.x) / (length || 1), y: (line.to.y - line.from.y) / (length || 1) };
    const pointAt = (at: number) => ({ x: line.from.x + at * direction.x, y: line.from.y + at * direction.y });
    const ends =
      kind === 'wall'
        ? [0, length].map((at) => ({ at, x: target(ledger.leaves[0], pointAt(at)) }))
        : ledger.leaves.map((leave) => ({ at: leave.at, x: target(leave, pointAt(leave.at)) }));
    const known = ends.filter((end): end is { at: number; x: number } => end.x !== undefined);
    const a = known[0] ?? { at: 0, x: fallback };
    const b = known.at(-1) ?? a;
    // two supports over one place would leave no bar to see
    const rate =
      Math.abs(b.at - a.at) < 1
        ? lone / Math.max(length, 1)
        : Math.abs(b.x - a.x) < 24
          ? (24 / (b.at - a.at)) * (b.x < a.x ? -1 : 1)
          : (b.x - a.x) / (b.at - a.at);
    const along = (at: number) => a.x + rate * (at - a.at);
    const levelId = building.walls.get(id)?.base ?? (building.beams.get(id) ?? building.stripFootings.get(id))!.level;
    const bar = y(levelId) + (kind === 'wall' ? -0.34 * pitch : 0);
    const within = (x: number) => Math.min(width - 4, Math.max(4, x));
    nodes.set(id, {
      id,
      kind,
      x1: within(Math.min(along(0), along(length))),
      x2: within(Math.max(along(0), along(length))),
      y: bar,
      foot: bar + BAR,
      along: (at) => within(along(at)),
    });
  }
  for (const [id, lane] of lanesOf(building, takedown, nodes, pitch)) {
    const node = nodes.get(id)!;
    nodes.set(id, { ...node, y: node.y + lane, foot: node.foot + lane });
  }
  return nodes;
}

/** The line on plan of a member that has one. */
function lineOf(building: Building, id: string) {
  return building.beams.get(id) ?? building.walls.get(id) ?? building.stripFootings.get(id);
}

/** Room that a mark takes behind its bar. */
const LABEL = 62;

/**
 * Depth below its level's line of each beam: those that others of the level rest on lie lower, and bars that would lie in
 * one place stand one below the other.
 */
function lanesOf(building: Building, takedown: Takedown, nodes: ReadonlyMap<string, RiverNode>, pitch: number): Map<string, number> {
  const lane = new Map<string, number>();
  const taken = new Map<string, [number, number][]>();
  let most = 0;
  for (const id of takedown.order) {
    const beam = building.beams.get(id);
    const node = nodes.get(id);
    if (!beam || !node) continue;
    const carried = takedown.members.get(id)!.arrivals.map((arrival) => (arrival.source.type === 'member' ? arrival.source.member : ''));
    // what is carried may be left out of the picture
    const above = carried.filter((other) => building.beams.get(other)?.level === beam.level).map((other) => (lane.get(other) ?? -1) + 1);
    let mine = Math.max(0, ...above);
    const spans = () => taken.get(`${beam.level} ${mine}`) ?? [];
    while (spans().some(([from, to]) => node.x1 < to && node.x2 + LABEL > from)) mine += 1;
    taken.set(`${beam.level} ${mine}`, [...spans(), [node.x1, node.x2 + LABEL]]);
    lane.set(id, mine);
    most = Math.max(most, mine);
  }
  const step = Math.min(30, (0.62 * pitch) / Math.max(1, most));
  return new Map([...lane].map(([id, n]) => [id, n * step]));
}

/** The load river: from roof to ground each member a bar at its level, each load path a band as wide as its kN. */
export function riverDrawing(input: RiverInput): Drawing {
  const { building, takedown, selected, factor, width, height } = input;
  const pencil = new Pencil();
  const units = building.brief.units;
  const nodes = riverLayout(input);
  const path = selected && takedown.members.has(selected) ? pathOf(takedown, selected, Infinity) : null;
  const total = (byCase: ByCase) => byNature(byCase, factor, building.cases).reduce((sum, [, value]) => sum + value, 0);
  const heaviest = Math.max(1, ...[...takedown.members.values()].map((ledger) => Math.abs(total(ledger.sum))));
  const roots = [...nodes.values()].filter((node) => node.kind === 'footing' || node.kind === 'stripFooting').length || 1;
  // the widest band takes a bit over half of a ground column's place
  const scale = Math.min(54, (0.5 * (width - 2 * LEFT)) / roots) / heaviest;
  const { levels } = building;
  const pitch = (height - TOP - FOOT) / Math.max(1, levels.length - 1);
  levels.forEach((_, i) =>
    pencil.line(
      [
        [LEFT, TOP + i * pitch],
        [width - LEFT, TOP + i * pitch],
      ],
      'faint',
      { width: 0.7, dash: [2, 4] },
    ),
  );

  const stripes = (id: string, title: string, byCase: ByCase, x1: number, y1: number, x2: number, y2: number) => {
    drawStripes(pencil, byNature(byCase, factor, building.cases), scale, [x1, y1, x2, y2], {
      item: id,
      title,
      opacity: path && !path.has(id) ? 0.22 : 1,
    });
  };

  for (const [id, ledger] of takedown.members) {
    const node = nodes.get(id);
    if (!node) continue;
    if (node.kind === 'column')
      stripes(id, `${ledger.mark}: ${formatQuantity(total(ledger.sum), 'force', units)}`, ledger.sum, node.x1, node.y, node.x1, node.foot);
    if (node.kind === 'hanger')
      stripes(
        id,
        `${ledger.mark}: hung load ${formatQuantity(total(ledger.sum), 'force', units)}`,
        ledger.sum,
        node.x1,
        node.foot,
        node.x1,
        node.y,
      );
    for (const leave of ledger.leaves) {
      const to = leave.to ? nodes.get(leave.to) : undefined;
      if (!to || node.kind === 'column' || node.kind === 'hanger' || node.kind === 'footing') continue;
      const x1 = node.kind === 'wall' ? (node.x1 + node.x2) / 2 : node.along(leave.at);
      const line = building.beams.get(to.id) ?? building.walls.get(to.id);
      const from = building.beams.get(id);
      const x2 =
        from && line
          ? to.along(
              project(line, {
                x: from.from.x + (leave.at / (planLength(from) || 1)) * (from.to.x - from.from.x),
                y: from.from.y + (leave.at / (planLength(from) || 1)) * (from.to.y - from.from.y),
              }),
            )
          : line
            ? (to.x1 + to.x2) / 2
            : to.x1;
      stripes(
        id,
        `${ledger.mark} to ${takedown.members.get(to.id)!.mark}: ${formatQuantity(total(leave.byCase), 'force', units)}`,
        leave.byCase,
        x1,
        node.y + BAR,
        x2,
        to.kind === 'hanger' ? to.foot : to.y,
      );
    }
    // load that enters here from outside comes as a short band from above
    const own: Record<string, number> = {};
    for (const arrival of ledger.arrivals)
      if (arrival.source.type === 'strip' || arrival.source.type === 'load') addInto(own, arrivalTotal(arrival));
    if (totalOf(own) !== 0 && node.kind === 'beam')
      stripes(
        id,
        `on ${ledger.mark}: ${formatQuantity(total(own), 'force', units)}`,
        own,
        (node.x1 + node.x2) / 2,
        node.y - 17,
        (node.x1 + node.x2) / 2,
        node.y,
      );
  }

  const faded = (id: string) => (path && !path.has(id) ? 'soft' : 'ink');
  for (const [id, node] of nodes) {
    const ledger = takedown.members.get(id)!;
    const chosen = id === selected;
    if (node.kind === 'beam' || node.kind === 'wall') {
      pencil.rectangle(
        node.x1,
        node.y,
        Math.max(6, node.x2 - node.x1),
        BAR,
        chosen ? 'accent' : node.kind === 'wall' ? 'masonry' : 'paper',
        { pen: chosen ? 'accent' : faded(id), width: 1.2, item: id },
      );
      // a bar that reaches the edge has its mark at the other end
      const atEnd = node.x2 + LABEL < width;
      pencil.text(
        atEnd ? node.x2 + 5 : node.x1 - 5,
        node.y + BAR,
        ledger.transfer && node.kind === 'beam' ? `${ledger.mark} transfer` : ledger.mark,
        { size: 11, bold: true, pen: chosen ? 'accent' : faded(id), item: id, halo: true, anchor: atEnd ? 'start' : 'end' },
      );
    } else if (node.kind === 'column') {
      pencil.rectangle(node.x1 - 5, node.y - 2, 10, 4, chosen ? 'accent' : 'paper', {
        pen: chosen ? 'accent' : faded(id),
        width: 1.2,
        item: id,
      });
    } else if (node.kind === 'hanger') {
      pencil.line(
        [
          [node.x1, node.y],
          [node.x1, node.foot],
        ],
        chosen ? 'accent' : faded(id),
        { width: 1.2, dash: [5, 2], item: id, arrow: 'start' },
      );
    } else {
      const half = Math.max(14, (Math.abs(total(ledger.sum)) * scale) / 2 + 6);
      pencil.rectangle(node.x1 - half, node.y + 1, 2 * half, 11, 'concrete', { pen: chosen ? 'accent' : faded(id), width: 1.3, item: id });
      pencil.text(node.x1, node.y + 26, ledger.mark, {
        size: 11,
        bold: true,
        anchor: 'middle',
        pen: chosen ? 'accent' : faded(id),
        item: id,
      });
      pencil.text(node.x1, node.y + 40, formatQuantity(total(ledger.sum), 'force', units, { figures: 3, bare: true }), {
        size: 11,
        anchor: 'middle',
        pen: 'soft',
        item: id,
      });
    }
  }
  for (const [id, node] of nodes) {
    if (node.kind !== 'column' && node.kind !== 'hanger') continue;
    const ledger = takedown.members.get(id)!;
    const half = (Math.abs(total(ledger.sum)) * scale) / 2;
    const middle = node.kind === 'column' ? node.y + (node.foot - node.y) * 0.66 : (node.y + node.foot) / 2;
    pencil.text(node.x1 + half + 5, middle, ledger.mark, {
      size: 10.5,
      bold: true,
      pen: id === selected ? 'accent' : faded(id),
      item: id,
      halo: true,
    });
  }
  const grounds = TOP + (levels.length - 1) * pitch + 13;
  pencil.rectangle(LEFT, grounds, width - 2 * LEFT, 5, 'ground');
  return { width, height, title: 'Load river from roof to ground; band widths are proportional to force', marks: pencil.marks };
}
