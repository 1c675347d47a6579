import { planLength, pointAlong, project, type Beam, type PlanPoint } from '../building';
import { PlinthError } from '../error';
import { BalanceBook, resultantAt, resultantOf } from './balance';
import { addInto, scaled, type Arrival, type ByCase, type Leave, type LooseEnd, type MemberLedger, type Source } from './ledger';
import { shapeForce, shapeMoment, type ArrivalShape } from './shape';
import { LooseEnds, metres } from './looseEnd';
import type { Node } from './node';
import { leverOf, unitReactions } from './reactions';
import { piecesOn, spansBetween } from './span';
import { clipShape, mapShape } from './shape';
import type { Bearer, WallBearer } from './support/found';
import { cut, footShapes } from './wall/foot';

/** How far a member may stand from what it is said to rest on before that is a loose end, mm. */
export const REACH = 300;

/** What one member receives of another. */
export interface Handed {
  readonly to: string;
  readonly arrival: Arrival;
}

/** What comes of calculating one member: its part of the ledger, what others receive of it, its part of the balance. */
export interface Outcome extends Pick<MemberLedger, 'leaves' | 'sum' | 'adverse'> {
  readonly handed: readonly Handed[];
  readonly book: BalanceBook;
  readonly looseEnds: readonly LooseEnd[];
}

/** What the calculation of a member may look at. */
export interface Surroundings {
  readonly target: (id: string) => Node | undefined;
  /** A member of a ring hands on nothing. */
  readonly inLoop: boolean;
  /** How near counts as touching, mm. */
  readonly reach: number;
  readonly storey: number;
}

/** Of each arrival the reactions under each of its pieces. */
type Parts = readonly (readonly (readonly number[])[])[];

interface Carried {
  readonly byCase: ByCase;
  readonly adverse: ByCase;
}

function sumOf(arrivals: readonly Arrival[], shares: readonly number[]): Carried {
  const byCase: Record<string, number> = {};
  let allPress = true;
  for (let i = 0; i < arrivals.length; i += 1) {
    const arrival = arrivals[i]!;
    addInto(byCase, arrival.byCase, shares[i]!);
    if (arrival.adverse !== arrival.byCase) allPress = false;
  }
  if (allPress) return { byCase, adverse: byCase };
  const adverse: Record<string, number> = {};
  for (let i = 0; i < arrivals.length; i += 1) addInto(adverse, arrivals[i]!.adverse, shares[i]!);
  return { byCase, adverse };
}

/** Reactions by support instead of by arrival. */
function byColumn(rows: readonly (readonly number[])[], columns: number): number[][] {
  return Array.from({ length: columns }, (_, j) => rows.map((row) => row[j]!));
}

/** What reaches one support, of everything and of what presses alone. */
function reactionOf(arrivals: readonly Arrival[], shares: readonly number[]): Carried {
  const byCase: Record<string, number> = {};
  let allPress = true;
  for (let i = 0; i < arrivals.length; i += 1) {
    const arrival = arrivals[i]!;
    addInto(byCase, arrival.byCase, shares[i]!);
    if (shares[i]! < 0 || arrival.adverse !== arrival.byCase) allPress = false;
  }
  if (allPress) return { byCase, adverse: byCase };
  const adverse: Record<string, number> = {};
  for (let i = 0; i < arrivals.length; i += 1) press(adverse, arrivals[i]!, shares[i]!);
  return { byCase, adverse };
}

/** The same where each arrival comes in pieces, of which some press on the support and others lift it. */
function reactionByParts(arrivals: readonly Arrival[], shares: readonly number[], parts: Parts, j: number): Carried {
  const allPress = arrivals.every(
    ({ adverse, byCase }, i) => adverse === byCase && shares[i]! >= 0 && parts[i]!.every((row) => row[j]! >= 0),
  );
  if (allPress) return reactionOf(arrivals, shares);
  const byCase: Record<string, number> = {};
  const adverse: Record<string, number> = {};
  arrivals.forEach((arrival, i) => {
    addInto(byCase, arrival.byCase, shares[i]!);
    for (const row of parts[i]!) press(adverse, arrival, row[j]!);
  });
  return { byCase, adverse };
}

/** Adds what of an arrival presses on a support: where a load lifts the support, what relieves that load presses on it. */
function press(adverse: Record<string, number>, arrival: Arrival, share: number): void {
  for (const id in arrival.byCase)
    adverse[id] = (adverse[id] ?? 0) + share * (share >= 0 ? arrival.adverse[id]! : arrival.byCase[id]! - arrival.adverse[id]!);
}

/** Calculates one member from what arrives on it: what leaves at each support, and what lands where. */
export function calculate(
  node: Node,
  arrivals: readonly Arrival[],
  bearers: readonly (Bearer | WallBearer)[],
  around: Surroundings,
): Outcome {
  return new Calculation(node, arrivals, around).run(bearers);
}

class Calculation {
  private readonly book = new BalanceBook();
  private readonly ends: LooseEnds;
  private readonly handed: Handed[] = [];
  /** Total of each arrival's unit shape, and the sum of all. */
  private readonly shares: readonly number[];
  private readonly carried: Carried;

  constructor(
    private readonly node: Node,
    private readonly arrivals: readonly Arrival[],
    private readonly around: Surroundings,
  ) {
    this.ends = new LooseEnds(node.id);
    const shares: number[] = [];
    for (const { shape } of arrivals) shares.push(shapeForce(shape));
    this.shares = shares;
    this.carried = sumOf(arrivals, shares);
  }

  run(bearers: readonly (Bearer | WallBearer)[]): Outcome {
    const leaves = this.leaves(bearers);
    const { byCase: sum, adverse } = this.carried;
    return { leaves, sum, adverse, handed: this.handed, book: this.book, looseEnds: this.ends.list };
  }

  private leaves(bearers: readonly (Bearer | WallBearer)[]): Leave[] {
    switch (this.node.kind) {
      case 'beam':
        return this.beam(this.node.body, bearers as readonly Bearer[]);
      case 'wall':
        return this.wall(this.node, bearers as readonly WallBearer[]);
      case 'column':
      case 'hanger':
        return this.post(this.node.body.at, bearers[0] as Bearer);
      case 'footing':
      case 'stripFooting':
        return this.ground();
    }
  }

  private ground(): Leave[] {
    for (const { byCase, shape } of this.arrivals) this.book.add('delivered', byCase, resultantOf(this.node.place, shape));
    const { byCase, adverse } = this.carried;
    return [{ to: 'ground', at: 0, byCase, adverse, shares: this.shares, holdsDown: false }];
  }

  private receiver(to: string | null): Node | undefined {
    return to === null || this.around.inLoop ? undefined : this.around.target(to);
  }

  /** Force at a point handed to a member that may be a point or a line. Null when nothing takes it. */
  private handOver(leave: number, to: string | null, point: PlanPoint, { byCase, adverse }: Carried): string | null {
    const target = this.receiver(to);
    const from = resultantAt(point);
    if (!target) {
      this.book.add('lost', byCase, from);
      return null;
    }
    const { node } = this;
    const { place } = target;
    const at = 'at' in place ? 0 : Math.min(target.length, Math.max(0, project(place, point)));
    const landed = 'at' in place ? place.at : pointAlong(place, at);
    const distance = Math.hypot(point.x - landed.x, point.y - landed.y);
    const reach = Math.max(REACH, this.around.reach);
    if (distance > reach) {
      this.book.add('lost', byCase, from);
      this.ends.add(
        'apart',
        target.id,
        `${node.mark} is ${metres(distance)} m away from ${target.mark}, on which it is said to rest`,
        `More than ${reach} mm apart they do not meet, and the load is not handed on.`,
        'Move one of them, or name another support.',
        byCase,
      );
      return null;
    }
    this.give(target, leave, '0', node.mark, { type: 'member', member: node.id, leave }, { type: 'point', at }, byCase, adverse);
    this.book.shift(byCase, from, resultantAt(landed));
    return to;
  }

  private give(
    target: Node,
    leave: number,
    key: string,
    label: string,
    source: Source,
    shape: ArrivalShape,
    byCase: ByCase,
    adverse: ByCase,
  ): void {
    const id = `${target.id}/${this.node.id}.${leave}.${key}`;
    this.handed.push({ to: target.id, arrival: { id, label, source, shape, byCase, adverse } });
  }

  private restsOnNothing(where: string, at: number, byCase: ByCase): void {
    if (this.around.inLoop) return;
    const { mark, kind } = this.node;
    const what =
      kind === 'wall'
        ? `${mark} stops above nothing`
        : kind === 'hanger'
          ? `${mark} hangs from nothing`
          : `${mark} rests on nothing${where}`;
    const remedy =
      kind === 'wall' ? 'Continue it below, or draw the beam or footing that carries it.' : 'Draw or name what takes its load.';
    this.ends.add('no-support', at || '', what, 'Its load lands nowhere.', remedy, byCase);
  }

  private post(at: PlanPoint, bearer: Bearer | undefined): Leave[] {
    const { byCase, adverse } = this.carried;
    const by = bearer?.by ?? null;
    const to = this.handOver(0, by, at, this.carried);
    if (to === null && (by === null || !this.around.target(by))) this.restsOnNothing('', 0, byCase);
    return [{ to, at: 0, byCase, adverse, shares: this.shares, holdsDown: true }];
  }

  private loseAll(): void {
    for (const arrival of this.arrivals) this.book.add('lost', arrival.byCase, resultantOf(this.node.place, arrival.shape));
  }

  private beam(body: Beam, supports: readonly Bearer[]): Leave[] {
    const { node, arrivals } = this;
    let found: { readonly shares: readonly (readonly number[])[]; readonly parts: Parts | null };
    try {
      found = this.atSupports(body.hinges, supports);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      this.loseAll();
      const { byCase } = this.carried;
      if (supports.length === 0) this.restsOnNothing('', 0, byCase);
      else
        this.ends.add(
          'unstable',
          '',
          `${node.mark}: ${error.message}`,
          'It cannot be calculated, and its load lands nowhere.',
          'Give it the supports that it has.',
          byCase,
        );
      return [];
    }
    const { parts } = found;
    const leaves: Leave[] = [];
    for (let j = 0; j < supports.length; j += 1) {
      const support = supports[j]!;
      const shares = found.shares[j]!;
      const reaction = parts ? reactionByParts(arrivals, shares, parts, j) : reactionOf(arrivals, shares);
      const { byCase, adverse } = reaction;
      const to = this.handOver(j, support.by, pointAlong(body, support.at), reaction);
      if (to === null && (support.by === null || !this.around.target(support.by)))
        this.restsOnNothing(` at ${metres(support.at)} m`, Math.round(support.at), byCase);
      const hanger = to !== null && this.around.target(to)?.kind === 'hanger';
      leaves.push({ to, at: support.at, byCase, adverse, shares, holdsDown: support.holdsDown && !hanger });
    }
    return leaves;
  }

  /**
   * Of each support its share of each arrival; on a beam of several spans also of each piece of an arrival, since variable load may be there
   * on one span and not on the next.
   * @throws PlinthError when the beam cannot stand
   */
  private atSupports(
    hinges: readonly number[],
    supports: readonly Bearer[],
  ): { readonly shares: readonly (readonly number[])[]; readonly parts: Parts | null } {
    const { node, arrivals } = this;
    const { length } = node;
    const lever = hinges.length === 0 ? leverOf(supports, length) : null;
    if (lever?.wholeSpan) {
      const first: number[] = [];
      const second: number[] = [];
      for (let i = 0; i < arrivals.length; i += 1) {
        const share = (shapeMoment(arrivals[i]!.shape) - this.shares[i]! * lever.a) / (lever.b - lever.a);
        second.push(share);
        first.push(this.shares[i]! - share);
      }
      return { shares: [first, second], parts: null };
    }
    const spans = spansBetween(
      supports.map((support) => support.at),
      length,
    );
    if (spans.length <= 1) return { shares: byColumn(unitReactions(supports, hinges, length, arrivals), supports.length), parts: null };
    const pieces = arrivals.map((arrival) => piecesOn(spans, arrival.shape));
    const rows = unitReactions(supports, hinges, length, pieces.flat());
    let n = 0;
    const parts = pieces.map((list) => list.map(() => rows[n++]!));
    return { shares: supports.map((_, j) => parts.map((list) => list.reduce((sum, row) => sum + row[j]!, 0))), parts };
  }

  private wall(node: Extract<Node, { kind: 'wall' }>, bearers: readonly WallBearer[]): Leave[] {
    const total = this.carried;
    const nothing = (): Leave[] => {
      this.loseAll();
      return [{ to: null, at: 0, ...total, shares: this.shares, holdsDown: false }];
    };
    const stretches = bearers.flatMap((bearer) => {
      const target = this.receiver(bearer.by);
      return target ? [{ ...bearer, target }] : [];
    });
    if (stretches.length === 0 || node.length === 0) {
      this.restsOnNothing('', 0, total.byCase);
      return nothing();
    }
    for (const { target } of stretches) {
      const problem = this.standsOn(node, target);
      if (!problem) continue;
      this.ends.add(problem.kind, target.id, problem.title, problem.why, problem.remedy, total.byCase);
      return nothing();
    }
    const shares = stretches.map(() => new Array<number>(this.arrivals.length).fill(0));
    const astray: Record<string, number> = {};
    this.arrivals.forEach((arrival, i) => {
      const [fx, fy] = [{ x: 0 }, { x: 0 }];
      let landedForce = 0;
      let parts: (ArrivalShape | null)[] = footShapes(node.body, arrival.shape, node.length, this.around.storey);
      stretches.forEach(({ target, from, to }, j) => {
        const rest: (ArrivalShape | null)[] = [];
        let piece = 0;
        for (const part of parts) {
          if (!part) continue;
          const { before, within, after } = cut(part, from, to);
          rest.push(before, after);
          if (!within) continue;
          for (const shape of this.onto(node, target, within, arrival)) {
            const resultant = resultantOf(target.place, shape);
            landedForce += resultant.force;
            fx.x += resultant.x;
            fy.x += resultant.y;
            shares[j]![i]! += resultant.force;
            const source: Source = { type: 'member', member: node.id, leave: j, through: arrival.id };
            this.give(target, j, `${i}.${piece++}`, `${node.mark}: ${arrival.label}`, source, shape, arrival.byCase, arrival.adverse);
          }
        }
        parts = rest;
      });
      for (const part of parts) {
        if (!part || shapeForce(part) === 0) continue;
        const lost = resultantOf(node.place, part);
        this.book.add('lost', arrival.byCase, lost);
        addInto(astray, arrival.byCase, lost.force);
        landedForce += lost.force;
        fx.x += lost.x;
        fy.x += lost.y;
      }
      const whole = resultantOf(node.place, arrival.shape);
      this.book.add('offsets', arrival.byCase, {
        force: whole.force - landedForce - this.past,
        x: whole.x - fx.x - this.pastX,
        y: whole.y - fy.x - this.pastY,
      });
      [this.past, this.pastX, this.pastY] = [0, 0, 0];
    });
    if (Object.keys(astray).length > 0)
      this.ends.add(
        'wall-gap',
        '',
        `${node.mark} stands over a gap: part of it stops above nothing`,
        'Load that comes down there lands nowhere.',
        'Continue what carries it under the whole wall.',
        astray,
      );
    return stretches.map((stretch, j) => {
      const byCase: Record<string, number> = {};
      const adverse: Record<string, number> = {};
      this.arrivals.forEach((arrival, i) => {
        addInto(byCase, arrival.byCase, shares[j]![i]!);
        addInto(adverse, arrival.adverse, shares[j]![i]!);
      });
      return { to: stretch.by, at: stretch.from, byCase, adverse, shares: shares[j]!, holdsDown: false };
    });
  }

  /** Of the arrival at hand: what reached past the end of the target and is booked as lost already. */
  private past = 0;
  private pastX = 0;
  private pastY = 0;

  /** A piece of foot laid on what is beneath. What reaches past its end by more than the reach is lost; less is gathered there. */
  private onto(node: Extract<Node, { kind: 'wall' }>, target: Node, shape: ArrivalShape, { label, byCase }: Arrival): ArrivalShape[] {
    const place = target.place as Extract<Node, { kind: 'beam' }>['body'];
    const start = project(place, node.body.from);
    const ratio = (project(place, node.body.to) - start) / node.length;
    const mapped = mapShape(shape, start, ratio);
    const { reach } = this.around;
    const { inside, outside } = clipShape(mapped, target.length + 1e-6);
    const landed: ArrivalShape[] = inside ? [inside] : [];
    for (const part of outside) {
      const beyond = part.type === 'point' ? part.at : part.from < 0 ? part.from : part.to;
      const resultant = resultantOf(place, part);
      if (resultant.force === 0) continue;
      if (beyond >= -reach && beyond <= target.length + reach) {
        const width = Math.min(1, target.length);
        const from = beyond < 0 ? 0 : target.length - width;
        landed.push({ type: 'distributed', from, to: from + width, start: resultant.force / width, end: resultant.force / width });
        continue;
      }
      this.book.add('lost', byCase, resultant);
      this.past += resultant.force;
      this.pastX += resultant.x;
      this.pastY += resultant.y;
      this.ends.add(
        'past-end',
        `${target.id}:${label}`,
        `${node.mark}: ${label} reaches past the end of ${target.mark}`,
        'The part beyond the end lands on nothing.',
        `Shorten the wall, or lengthen ${target.mark}.`,
        scaled(byCase, resultant.force),
      );
    }
    return landed;
  }

  private standsOn(
    node: Extract<Node, { kind: 'wall' }>,
    target: Node,
  ): { kind: string; title: string; why: string; remedy: string } | null {
    const { place } = target;
    if ('at' in place)
      return {
        kind: 'wall-on-point',
        title: `${node.mark} stands on ${target.mark}, which is a point`,
        why: 'A wall needs a beam, a wall or a strip footing along its foot; its load lands nowhere.',
        remedy: 'Let it stand on something along its length.',
      };
    const off = (p: PlanPoint) => {
      const foot = pointAlong(place, project(place, p));
      return Math.hypot(p.x - foot.x, p.y - foot.y);
    };
    const apart = Math.max(off(node.body.from), off(node.body.to));
    const reach = Math.max(REACH, this.around.reach);
    if (apart <= reach && planLength(place) > 0) return null;
    return {
      kind: 'apart',
      title: `${node.mark} stands ${metres(apart)} m beside ${target.mark}`,
      why: `More than ${reach} mm off the line of what carries it its load is not handed on.`,
      remedy: 'Move one of them, or name another beam.',
    };
  }
}
