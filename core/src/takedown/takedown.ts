import { planLength, pointAlong, project, type Building, type PlanPoint } from '../building';
import { PlinthError } from '../error';
import { areaLoads, caseOf, type Combination, type LoadCase } from '../load';
import { GRAVITY } from '../quantity';
import { findSection } from '../section';
import { BalanceBook, resultantAt, resultantOf, type Place, type Resultant } from './balance';
import {
  addInto,
  pressing,
  scaled,
  shapeForce,
  type Arrival,
  type ArrivalShape,
  type ByCase,
  type Leave,
  type LooseEnd,
  type MemberLedger,
  type Source,
  type Takedown,
} from './ledger';
import { calculationOrder, findLoops, supportGraph } from './order';
import { liftedSupports } from './lifting';
import { plumbOf } from './plumb';
import { unitReactions } from './reactions';
import { clipShape, mapShape, spreadAlongWall } from './spread';

/** How far a member may stand from what it is said to rest on before that is a loose end, mm. */
export const REACH = 300;

/** Uniform own weight, N/mm: of the chosen section, or the visible allowance. */
function ownWeight(member: { section: string | null; ownWeight: number }): { weight: number; allowance: boolean } {
  if (member.section === null) return { weight: member.ownWeight, allowance: true };
  try {
    return { weight: findSection(member.section).mass * GRAVITY, allowance: false };
  } catch {
    return { weight: member.ownWeight, allowance: true };
  }
}

interface Draft {
  readonly id: string;
  readonly kind: MemberLedger['kind'];
  readonly mark: string;
  readonly place: Place;
  /** Length along which positions are measured; 0 for a point. */
  readonly length: number;
  readonly arrivals: Arrival[];
  transfer: boolean;
}

/**
 * Takes every load of a building down to the ground, each case for itself and unfactored. Variable load travels unreduced,
 * tagged by its case and traceable arrival by arrival.
 * @param lifting combinations in which lifting of supports is judged; they come from the family
 */
export function takeDown(building: Building, lifting: (cases: readonly LoadCase[]) => Combination[]): Takedown {
  return new Engine(building).run(lifting);
}

/** What goes on from one member to the next, N by case. */
interface Carried {
  readonly byCase: ByCase;
  readonly adverse: ByCase;
}

function sumOf(arrivals: readonly Arrival[]): Carried {
  const byCase: Record<string, number> = {};
  const adverse: Record<string, number> = {};
  for (const { shape, byCase: values, adverse: pressed } of arrivals) {
    const force = shapeForce(shape);
    addInto(byCase, values, force);
    addInto(adverse, pressed, force);
  }
  return { byCase, adverse };
}

class Engine {
  private readonly drafts = new Map<string, Draft>();
  private readonly ledgers = new Map<string, MemberLedger>();
  private readonly looseEnds: LooseEnd[] = [];
  private readonly book = new BalanceBook();
  private readonly inLoop = new Set<string>();

  constructor(private readonly building: Building) {}

  run(lifting: (cases: readonly LoadCase[]) => Combination[]): Takedown {
    this.draftMembers();
    this.applyLoads();
    const graph = supportGraph(this.building);
    for (const loop of findLoops(graph)) this.reportLoop(loop);
    const order = calculationOrder(
      graph,
      this.inLoop,
      (id) => this.elevation(id),
      (id) => this.drafts.get(id)!.mark,
    );
    order.forEach((id, i) => this.calculate(this.drafts.get(id)!, i + 1));
    const balance = this.book.cases();
    const cases = balance.map((line) => line.loadCase);
    this.looseEnds.push(...liftedSupports(this.building, this.ledgers, lifting(cases)));
    return { cases, members: this.ledgers, order, looseEnds: this.looseEnds, balance, plumb: plumbOf(this.building, this.ledgers) };
  }

  private elevation(id: string): number {
    const b = this.building;
    const level =
      b.beams.get(id)?.level ?? b.columns.get(id)?.top ?? b.walls.get(id)?.top ?? b.hangers.get(id)?.base ?? b.footings.get(id)?.level;
    return level === undefined ? 0 : b.elevation(level);
  }

  private draftMembers(): void {
    const { beams, columns, walls, hangers, footings } = this.building;
    const draft = (id: string, kind: Draft['kind'], mark: string, place: Place, length: number) =>
      this.drafts.set(id, { id, kind, mark, place, length, arrivals: [], transfer: false });
    for (const [id, m] of beams) draft(id, 'beam', m.mark, m, planLength(m));
    for (const [id, m] of columns) draft(id, 'column', m.mark, m, 0);
    for (const [id, m] of walls) draft(id, 'wall', m.mark, m, planLength(m));
    for (const [id, m] of hangers) draft(id, 'hanger', m.mark, m, 0);
    for (const [id, m] of footings) draft(id, 'footing', m.mark, m, 0);
  }

  private loose(kind: string, item: string, title: string, why: string, remedy: string, byCase: ByCase = {}): void {
    this.looseEnds.push({
      key: `${kind}:${item}:${this.looseEnds.filter((e) => e.item === item).length}`,
      item,
      title,
      why,
      remedy,
      byCase,
    });
  }

  /** A primary load: applied to the balance, and laid on the member as far as the member reaches. */
  private apply(draft: Draft, label: string, source: Source, shape: ArrivalShape, byCase: ByCase): void {
    if (Object.values(byCase).every((value) => value === 0)) return;
    this.book.add('applied', byCase, resultantOf(draft.place, shape));
    this.land(draft, label, source, shape, byCase, resultantOf(draft.place, shape));
  }

  /** Lays a shape on a member. `from` is where the load acted before it landed; what reaches past the ends is lost there. */
  private land(
    draft: Draft,
    label: string,
    source: Source,
    shape: ArrivalShape,
    byCase: ByCase,
    from: Resultant,
    adverse = pressing(byCase),
  ): void {
    const slack = 1e-6;
    const { inside, outside } = draft.length === 0 ? { inside: shape, outside: [] } : clipShape(shape, draft.length + slack);
    let remaining = from;
    for (const part of outside) {
      const lost = resultantOf(draft.place, part);
      this.book.add('lost', byCase, lost);
      remaining = { force: remaining.force - lost.force, x: remaining.x - lost.x, y: remaining.y - lost.y };
      this.loose(
        'past-end',
        draft.id,
        `${label} reaches past the end of ${draft.mark}`,
        'The part beyond the end lands on nothing.',
        `Shorten the load, or lengthen ${draft.mark}.`,
        scaled(byCase, lost.force),
      );
    }
    if (!inside) return;
    this.book.shift(byCase, remaining, resultantOf(draft.place, inside));
    draft.arrivals.push({ id: `${draft.id}/${draft.arrivals.length}`, label, source, shape: inside, byCase, adverse });
  }

  private applyLoads(): void {
    const { beams, columns, walls, hangers, loads, buildUps, elevation } = this.building;
    const storey = (member: { base: string; top: string }) => Math.abs(elevation(member.top) - elevation(member.base));
    for (const [id, beam] of beams) {
      const draft = this.drafts.get(id)!;
      const own = ownWeight(beam);
      const whole = (value: number): ArrivalShape => ({ type: 'distributed', from: 0, to: draft.length, start: value, end: value });
      if (draft.length > 0)
        this.apply(
          draft,
          own.allowance ? 'own weight, allowance' : 'own weight',
          { type: 'ownWeight', allowance: own.allowance },
          whole(1),
          { permanent: own.weight },
        );
      beam.strips.forEach((strip, index) => {
        const buildUp = buildUps.get(strip.buildUp);
        if (!buildUp || !(strip.to > strip.from)) return;
        const byCase: Record<string, number> = {};
        for (const part of areaLoads(buildUp, strip.pitch)) addInto(byCase, { [part.loadCase.id]: part.intensity });
        this.apply(
          draft,
          strip.label || buildUp.name,
          { type: 'strip', buildUp: strip.buildUp, index },
          { type: 'distributed', from: strip.from, to: strip.to, start: strip.widthStart, end: strip.widthEnd },
          byCase,
        );
      });
    }
    for (const [id, column] of columns) {
      const own = ownWeight(column);
      this.apply(
        this.drafts.get(id)!,
        own.allowance ? 'own weight, allowance' : 'own weight',
        { type: 'ownWeight', allowance: own.allowance },
        { type: 'point', at: 0 },
        { permanent: own.weight * storey(column) },
      );
    }
    for (const [id, hanger] of hangers)
      this.apply(
        this.drafts.get(id)!,
        'own weight',
        { type: 'ownWeight', allowance: false },
        { type: 'point', at: 0 },
        { permanent: hanger.ownWeight * storey(hanger) },
      );
    for (const [id, wall] of walls) {
      const draft = this.drafts.get(id)!;
      if (draft.length > 0)
        this.apply(
          draft,
          'own weight',
          { type: 'ownWeight', allowance: false },
          { type: 'distributed', from: 0, to: draft.length, start: storey(wall), end: storey(wall) },
          { permanent: wall.weight },
        );
    }
    for (const { id, body } of loads) {
      const draft = this.drafts.get(body.on);
      if (!draft) {
        this.loose(
          'no-path',
          id,
          `${body.label} acts on a member that is not in the building`,
          'The load has no path.',
          'Put it on a member that stands.',
        );
        continue;
      }
      const loadCase = caseOf(body.nature, body.use);
      const isPoint = body.type === 'point' || draft.length === 0;
      const shape: ArrivalShape = isPoint
        ? { type: 'point', at: draft.length === 0 ? 0 : body.at }
        : { type: 'distributed', from: body.from, to: body.to, start: 1, end: 1 };
      if (!isPoint && !(body.to > body.from)) {
        this.loose(
          'no-length',
          id,
          `${body.label} on ${draft.mark} has no length`,
          'A line load needs an end beyond its start.',
          'Type where it starts and ends.',
        );
        continue;
      }
      this.apply(draft, body.label, { type: 'load', load: id }, shape, {
        [loadCase.id]: isPoint && body.type === 'line' ? body.intensity * (body.to - body.from) : isPoint ? body.force : body.intensity,
      });
    }
  }

  private reportLoop(loop: readonly string[]): void {
    for (const id of loop) this.inLoop.add(id);
    const marks = loop.map((id) => this.drafts.get(id)!.mark);
    const text = marks.length === 1 ? `${marks[0]} rests on itself` : `${marks.join(', ')} rest on each other in a ring`;
    this.loose(
      'loop',
      loop[0]!,
      text,
      'No order of calculation exists, and no load of these members reaches the ground.',
      'Let one of them rest on something else.',
    );
  }

  private calculate(draft: Draft, order: number): void {
    const { byCase: sum, adverse } = sumOf(draft.arrivals);
    const leaves =
      draft.kind === 'beam'
        ? this.beamLeaves(draft)
        : draft.kind === 'footing'
          ? this.footingLeaves(draft)
          : draft.kind === 'wall'
            ? this.wallLeaves(draft)
            : this.postLeaves(draft);
    this.ledgers.set(draft.id, {
      id: draft.id,
      kind: draft.kind,
      mark: draft.mark,
      order: this.inLoop.has(draft.id) ? 0 : order,
      arrivals: draft.arrivals,
      leaves,
      sum,
      adverse,
      transfer: draft.transfer,
    });
  }

  private footingLeaves(draft: Draft): Leave[] {
    const { byCase, adverse } = sumOf(draft.arrivals);
    this.book.add('delivered', byCase, resultantOf(draft.place, { type: 'point', at: 0 }));
    return [
      {
        to: 'ground',
        at: 0,
        byCase,
        adverse,
        shares: Float64Array.from(draft.arrivals, (arrival) => shapeForce(arrival.shape)),
        holdsDown: false,
      },
    ];
  }

  /** Force at a point handed to a member that may be a point, a beam or a wall. Null when nothing takes it. */
  private handOver(draft: Draft, leave: number, to: string | null, point: PlanPoint, { byCase, adverse }: Carried): string | null {
    const target = to === null || this.inLoop.has(draft.id) ? undefined : this.drafts.get(to);
    const from = resultantAt(point);
    if (!target) {
      this.book.add('lost', byCase, from);
      return null;
    }
    const kind = draft.kind === 'beam' || draft.kind === 'column' || draft.kind === 'wall';
    if (kind && target.kind === 'beam') target.transfer = true;
    const source: Source = { type: 'member', member: draft.id, leave };
    const along = 'at' in target.place ? 0 : project(target.place, point);
    const at = 'at' in target.place ? 0 : Math.min(target.length, Math.max(0, along));
    const landed = 'at' in target.place ? target.place.at : pointAlong(target.place, at);
    const distance = Math.hypot(point.x - landed.x, point.y - landed.y);
    if (distance > REACH) {
      this.book.add('lost', byCase, from);
      this.loose(
        'apart',
        draft.id,
        `${draft.mark} is ${(distance / 1000).toFixed(2)} m away from ${target.mark}, on which it is said to rest`,
        `More than ${REACH} mm apart they do not meet, and the load is not handed on.`,
        `Move one of them, or name another support.`,
        byCase,
      );
      return null;
    }
    this.land(target, draft.mark, source, { type: 'point', at }, byCase, from, adverse);
    return to;
  }

  private restsOnNothing(draft: Draft, where: string, byCase: ByCase): void {
    if (this.inLoop.has(draft.id)) return;
    const what =
      draft.kind === 'wall'
        ? `${draft.mark} stops above nothing`
        : draft.kind === 'hanger'
          ? `${draft.mark} hangs from nothing`
          : `${draft.mark} rests on nothing${where}`;
    this.loose(
      'no-support',
      draft.id,
      what,
      'Its load lands nowhere.',
      draft.kind === 'wall' ? 'Name the beam that carries it.' : 'Name what takes its load.',
      byCase,
    );
  }

  private postLeaves(draft: Draft): Leave[] {
    const member = this.building.columns.get(draft.id) ?? this.building.hangers.get(draft.id)!;
    const carried = sumOf(draft.arrivals);
    const { byCase } = carried;
    const to = this.handOver(draft, 0, member.by, member.at, carried);
    if (to === null && (member.by === null || !this.drafts.has(member.by))) this.restsOnNothing(draft, '', byCase);
    return [{ to, at: 0, ...carried, shares: Float64Array.from(draft.arrivals, (arrival) => shapeForce(arrival.shape)), holdsDown: true }];
  }

  private loseAll(draft: Draft): void {
    for (const arrival of draft.arrivals) this.book.add('lost', arrival.byCase, resultantOf(draft.place, arrival.shape));
  }

  private beamLeaves(draft: Draft): Leave[] {
    const beam = this.building.beams.get(draft.id)!;
    let rows: Float64Array[];
    try {
      rows = unitReactions(beam, draft.length, draft.arrivals);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      this.loseAll(draft);
      const lost = sumOf(draft.arrivals).byCase;
      this.loose(
        'unstable',
        draft.id,
        `${draft.mark}: ${error.message}`,
        'It cannot be calculated, and its load lands nowhere.',
        'Give it the supports that it has.',
        lost,
      );
      return [];
    }
    return beam.supports.map((support, j) => {
      const shares = Float64Array.from(rows, (row) => row[j]!);
      const byCase: Record<string, number> = {};
      const adverse: Record<string, number> = {};
      draft.arrivals.forEach((arrival, i) => {
        const share = shares[i]!;
        addInto(byCase, arrival.byCase, share);
        // where a load lifts this support, what relieves that load presses on it
        for (const id in arrival.byCase)
          adverse[id] = (adverse[id] ?? 0) + share * (share >= 0 ? arrival.adverse[id]! : arrival.byCase[id]! - arrival.adverse[id]!);
      });
      const to = this.handOver(draft, j, support.by, pointAlong(beam, support.at), { byCase, adverse });
      if (to === null && (support.by === null || !this.drafts.has(support.by)))
        this.restsOnNothing(draft, ` at ${(support.at / 1000).toFixed(2)} m`, byCase);
      const hanger = to !== null && this.building.hangers.has(to);
      return { to, at: support.at, byCase, adverse, shares, holdsDown: support.holdsDown && !hanger };
    });
  }

  private wallLeaves(draft: Draft): Leave[] {
    const wall = this.building.walls.get(draft.id)!;
    const carried = sumOf(draft.arrivals);
    const total = carried.byCase;
    const leave = (to: string | null): Leave[] => [
      { to, at: 0, ...carried, shares: Float64Array.from(draft.arrivals, (arrival) => shapeForce(arrival.shape)), holdsDown: false },
    ];
    const target = wall.by === null || this.inLoop.has(draft.id) ? undefined : this.drafts.get(wall.by);
    if (!target || draft.length === 0) {
      this.loseAll(draft);
      this.restsOnNothing(draft, '', total);
      return leave(null);
    }
    if ('at' in target.place) {
      this.loseAll(draft);
      this.loose(
        'wall-on-point',
        draft.id,
        `${draft.mark} stands on ${target.mark}, which is a point`,
        'A wall needs a beam along its foot; its load lands nowhere.',
        'Let it stand on a beam.',
        total,
      );
      return leave(null);
    }
    const [start, end] = [project(target.place, wall.from), project(target.place, wall.to)];
    const [footStart, footEnd] = [pointAlong(target.place, start), pointAlong(target.place, end)];
    const apart = Math.max(
      Math.hypot(wall.from.x - footStart.x, wall.from.y - footStart.y),
      Math.hypot(wall.to.x - footEnd.x, wall.to.y - footEnd.y),
    );
    if (apart > REACH) {
      this.loseAll(draft);
      this.loose(
        'apart',
        draft.id,
        `${draft.mark} stands ${(apart / 1000).toFixed(2)} m beside ${target.mark}`,
        `More than ${REACH} mm off the line of the beam its load is not handed on.`,
        'Move one of them, or name another beam.',
        total,
      );
      return leave(null);
    }
    target.transfer = true;
    const ratio = (end - start) / draft.length;
    for (const arrival of draft.arrivals) {
      const spread = spreadAlongWall(arrival.shape, draft.length);
      const origin = resultantOf(draft.place, arrival.shape);
      this.land(
        target,
        `${draft.mark}: ${arrival.label}`,
        { type: 'member', member: draft.id, leave: 0, through: arrival.id },
        mapShape(spread, start, ratio),
        arrival.byCase,
        origin,
        arrival.adverse,
      );
    }
    return leave(wall.by);
  }
}
