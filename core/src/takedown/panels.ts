import { overlappingOpenings, withJoinedOpenings, type Building, type ExtraLoad, type Named, type Panel } from '../building';
import { caseIdOfLoad, type BuildUp } from '../load';
import { BookKeeper, type BalanceBook } from './balance';
import { carriedOf, type Carried } from './carried';
import { withOneMore } from './few';
import { Brought, type Landed } from './landed';
import { scaled, type LooseEnd, type Source } from './ledger';
import { shapeForce, shapeMoment, type ArrivalShape } from './shape';
import { lengthIn, quantityIn } from './inUnits';
import { LooseEnds } from './looseEnd';
import type { Bearing, PanelSharing } from './panel/share';
import { sharePanel, sharePatch } from './panel/sharePanel';
import { intensityOf } from './intensity';
import type { BookEntry } from './shelf';
import { clipShape } from './shape';
import { lineFinder, type Finder } from './support/finder';
import type { LevelPlan } from './support/levelPlan';
import type { Segment } from './support/line';

/** What a panel puts on members, and what that adds to the balance. */
export interface PanelWeight {
  /** Extra loads on parts of it. */
  readonly areas: readonly Named<ExtraLoad>[];
  readonly buildUp: BuildUp | undefined;
  /** What it puts on members, ready to land there. */
  readonly landings: readonly Landed[];
  readonly book: BalanceBook;
  readonly looseEnds: readonly LooseEnd[];
}

/** A panel as the engine holds it: how it lies on what is near it, and what it weighs. */
export interface HeldPanel {
  readonly id: string;
  readonly body: Panel;
  readonly near: readonly Bearing[];
  readonly sharing: PanelSharing;
  weight: PanelWeight | null;
  /** Where its book stands; null as long as it has none. */
  entry: BookEntry | null;
}

/**
 * How the panels of a level lie on its beams and walls.
 * @param before what was found last: a panel with the same outline and the same lines near it is not looked at again
 */
export function sharePanels(level: LevelPlan, reach: number, before?: readonly HeldPanel[]): readonly HeldPanel[] {
  const shared: HeldPanel[] = [];
  if (level.panels.length === 0) return shared;
  const bearings: Bearing[] = [...level.beams];
  for (const wall of level.wallsBelow) if (wall.body.bears !== 'no') bearings.push(wall);
  const finder = lineFinder(bearings);
  const known = before && new Map(before.map((panel) => [panel.id, panel]));
  for (const { id, body } of level.panels) {
    const near = nearPanel(finder, body.outline, reach);
    const old = known?.get(id);
    shared.push(
      old?.body === body && sameBearings(old.near, near)
        ? old
        : { id, body, near, sharing: sharePanel(withJoinedOpenings(body), near, reach), weight: null, entry: old?.entry ?? null },
    );
  }
  return shared;
}

function sameBearings(a: readonly Bearing[], b: readonly Bearing[]): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i += 1) if (a[i]!.line !== b[i]!.line || a[i]!.id !== b[i]!.id || a[i]!.rank !== b[i]!.rank) return false;
  return true;
}

function nearPanel(finder: Finder<Bearing>, outline: Panel['outline'], reach: number): readonly Bearing[] {
  let [west, south, east, north] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y } of outline) {
    if (x < west) west = x;
    if (x > east) east = x;
    if (y < south) south = y;
    if (y > north) north = y;
  }
  return finder.near(west, south, east, north, reach);
}

/**
 * Puts the loads of a panel's build-up, and extra loads on parts of it, on its shares; keeps its balance, with what nothing carries as
 * loose ends.
 */
export function weighPanel(
  building: Building,
  { id, body, near, sharing }: HeldPanel,
  areas: readonly Named<ExtraLoad>[],
  reach: number,
): PanelWeight {
  const weighing = new Weighing(id, near);
  const buildUp = building.buildUps.get(body.buildUp);
  if (buildUp)
    weighing.lay(sharing, intensityOf(buildUp, body.pitch), `${body.mark} ${buildUp.name}`, { type: 'panel', panel: id }, body.mark, '');
  for (const { id: load, body: extra } of areas) {
    if (extra.type !== 'area') {
      weighing.stray(load, extra, body);
      continue;
    }
    const patch = sharePatch(withJoinedOpenings(body), extra.outline, near, reach);
    const carried = carriedOf({ [caseIdOfLoad(extra)]: extra.pressure });
    weighing.lay(patch, carried, extra.label, { type: 'load', load }, `${extra.label} on ${body.mark}`, load);
    for (const { kind, text } of patch.doubts) weighing.doubt(kind, load, `${extra.label} on ${body.mark}: ${text}`);
  }
  for (const { kind, text } of sharing.doubts) weighing.doubt(kind, '', `${body.mark}: ${text}`);
  if (overlappingOpenings(body)) weighing.doubt('openings', '', `${body.mark}: openings lie over each other`);
  const { keeper, landings, ends } = weighing;
  return { areas, buildUp, landings, book: keeper.book, looseEnds: ends.list };
}

const FEW = ['0', '1', '2', '3', '4', '5'] as const;

class Weighing {
  readonly keeper = new BookKeeper();
  landings: readonly Landed[] = [];
  readonly ends: LooseEnds;

  constructor(
    private readonly panel: string,
    private readonly near: readonly Bearing[],
  ) {
    this.ends = new LooseEnds(panel);
  }

  lay(sharing: PanelSharing, carried: Carried, label: string, source: Source, title: string, place: string): void {
    const { keeper: book } = this;
    let { area: force, x, y } = sharing.whole;
    book.put('applied', carried, force, x, y);
    const { panel } = this;
    for (const { member, shape } of sharing.shares) {
      const line = this.lineOf(member);
      // nearly all lie within their member
      const within = shape.type !== 'point' && shape.from >= 0 && shape.to <= line.length;
      for (const landed of within ? [shape] : gathered(shape, line.length)) {
        const own = shapeForce(landed);
        const moment = shapeMoment(landed);
        force -= own;
        x -= own * line.from.x + moment * line.dx;
        y -= own * line.from.y + moment * line.dy;
        const part = FEW[this.landings.length] ?? `${this.landings.length}`;
        this.landings = withOneMore(this.landings, new Brought(member, panel, part, label, source, landed, carried));
      }
    }
    for (const { region, reason } of sharing.orphans) {
      const lost = { force: region.area, x: region.x, y: region.y };
      force -= lost.force;
      x -= lost.x;
      y -= lost.y;
      book.add('lost', carried, lost);
      const where = region.area > 0 ? ` near x ${lengthIn(region.x / region.area)}, y ${lengthIn(region.y / region.area)}` : '';
      this.ends.add(
        'panel-edge',
        place ? `${place}:${reason}` : reason,
        `${title}: ${quantityIn(region.area, 'floorArea')} ${REASONS[reason].title}`,
        `${REASONS[reason].why}${where}. Its load lands nowhere.`,
        REASONS[reason].remedy,
        scaled(carried.byCase, region.area),
      );
    }
    // nothing but lines of action may move: the force is all there, and rounding is not written down
    const { whole } = sharing;
    if (Math.abs(force) > 1e-6 * Math.abs(whole.area) + 1) {
      // shares that do not add up are no offset of a line of action: the difference is lost, and said
      book.put('lost', carried, force, x, y);
      this.ends.add(
        'unshared',
        place,
        `${title}: ${quantityIn(force, 'floorArea')} could not be shared`,
        'The shares of what carries it do not add up to its area: its outline or its openings are not what they seem.',
        'Draw its corners in order, and openings inside it that do not touch.',
        scaled(carried.byCase, force),
      );
      return;
    }
    const rounding = 1e-13 * (Math.abs(whole.x) + Math.abs(whole.y) + 1000 * whole.area);
    if (Math.abs(force) + Math.abs(x) + Math.abs(y) > rounding) book.put('offsets', carried, force, x, y);
  }

  /** A point or line load on a panel: no rule says yet how a slab spreads it, so that it is applied and reaches nothing. */
  stray(load: string, body: ExtraLoad, { outline, mark }: Panel): void {
    const force = body.type === 'point' ? body.force : body.intensity * Math.abs(body.to - body.from);
    const carried = carriedOf({ [caseIdOfLoad(body)]: force });
    const [x, y] = (['x', 'y'] as const).map((axis) => outline.reduce((sum, corner) => sum + corner[axis], 0) / outline.length) as [
      number,
      number,
    ];
    this.keeper.put('applied', carried, 1, x, y);
    this.keeper.put('lost', carried, 1, x, y);
    this.ends.add(
      'load-on-panel',
      load,
      `${body.label} stands on ${mark}, which is a panel`,
      'A point or line load on a panel is not spread yet: it lands on no beam or wall.',
      'Put it on the beam or wall that carries it, or type it as a load on a part of the panel.',
      carried.byCase,
    );
  }

  private lineOf(member: string): Segment {
    for (const { id, line } of this.near) if (id === member) return line;
    throw new RangeError(`${member} is not near the panel`);
  }

  doubt(kind: keyof typeof DOUBTS, place: string, title: string): void {
    this.ends.add(kind, place, title, DOUBTS[kind].why, DOUBTS[kind].remedy);
  }
}

const REASONS = {
  'no support': {
    title: 'span between nothing',
    why: 'No beam or wall of this level lies under these strips',
    remedy: 'Draw what carries it, turn its span arrow, or move its edge.',
  },
  'one support': {
    title: 'have only one support',
    why: 'Strips with one support would tip over it: an edge, or the side of an opening, is free',
    remedy: 'Put a beam or a trimmer under the free end.',
  },
  'free edge': {
    title: 'lie along an edge that nothing carries',
    why: 'The nearest edge is carried over a part of its length only',
    remedy: 'Draw the beam or wall along the whole edge.',
  },
} as const;

const DOUBTS = {
  openings: {
    why: 'They are counted as one: what lies in both is taken off once.',
    remedy: 'Draw one opening in their place, or move them apart.',
  },
  unequal: {
    why: 'Continuity would shift load to the inner support and lift the short span.',
    remedy: 'Say that the panel is continuous, or confirm that its joists stop at each support.',
  },
  outline: { why: 'Load cannot be laid on an area that is not one.', remedy: 'Draw its corners in order, and openings inside it.' },
  shape: { why: 'The nearest edge is not the way such a panel carries.', remedy: 'Divide it into simple panels, or span it one way.' },
  'free-edge': {
    why: 'A plate with a free edge carries otherwise than to its nearest edges.',
    remedy: 'Span it one way, or prove it apart.',
  },
} as const;

/** A shape on a line of given length: what reaches a little past an end is gathered at that end. */
export function gathered(shape: ArrivalShape, length: number): ArrivalShape[] {
  const { inside, outside } = clipShape(shape, length);
  const at = (part: ArrivalShape) => (part.type === 'point' ? part.at : part.from) < length / 2;
  const landed: ArrivalShape[] = inside ? [inside] : [];
  for (const part of outside) {
    const force = shapeForce(part);
    // a unit point load cannot carry a size: a very short stretch of the same total does
    const width = Math.min(1, length);
    const place = at(part) ? { from: 0, to: width } : { from: length - width, to: length };
    if (force !== 0) landed.push({ type: 'distributed', ...place, start: force / width, end: force / width });
  }
  return landed;
}
