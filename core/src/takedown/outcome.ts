import { planLength, pointAlong, project, stretchesOf, type Beam, type PlanPoint } from '../building';
import { PlinthError } from '../error';
import { BookKeeper, resultantOf, type BalanceBook } from './balance';
import { reactionByParts, reactionOf, sumOf, type Carried } from './carried';
import { Brought, Handed, leverShare, Left, Split, totalCarried, type Landed } from './landed';
import { addInto, scaled, type LooseEnd, type Source } from './ledger';
import { shapeForce, type ArrivalShape } from './shape';
import { lengthIn, quantityIn } from './inUnits';
import { LooseEnds } from './looseEnd';
import { withOneMore } from './few';
import type { Node } from './node';
import { leverOf, unitReactions, type Asked } from './reactions';
import { yields } from './settlement';
import { piecesOn, spansBetween } from './span';
import { clipShape, mapShape } from './shape';
import type { Bearer, WallBearer } from './support/found';
import { cut, footShapes } from './wall/foot';

/** How far a member may stand from what it is said to rest on before that is a loose end, mm. */
export const REACH = 300;

/** What comes of calculating one member: its part of the ledger and of the balance. */
export interface Outcome {
  /** Null where they follow from the bearers and what is handed to them. */
  readonly leaves: readonly Left[] | null;
  /** Bearers of a beam, in the order of its leaves. */
  readonly bearers: readonly Bearer[];
  /** The sum of what arrives, when it was needed. */
  readonly carried: Carried | null;
  /** What others receive of it. */
  readonly handed: readonly Landed[];
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
  /** Of a wall, through which load spreads, mm. */
  readonly height: number;
  /** Of a wall its own height, mm. */
  readonly high: number;
  /** E times I of a beam, Nmm2; null: no section is chosen. Asked where its supports yield or sink. */
  readonly stiffness: (body: Beam) => number | null;
  /** Of a level, mm. */
  readonly elevation: (level: string) => number;
}

type Elevation = Surroundings['elevation'];

/** Height at which a member hands on what it carries, mm; a hanger hangs from its top. Null for what stands in the ground. */
function footOf(node: Node, elevation: Elevation): number | null {
  switch (node.kind) {
    case 'beam':
      return elevation(node.body.level);
    case 'column':
    case 'wall':
      return elevation(node.body.base);
    case 'hanger':
      return elevation(node.body.top);
    case 'footing':
    case 'stripFooting':
      return null;
  }
}

/** Between which heights a member can take a load, mm. */
function bearingHeights(node: Node, elevation: Elevation): readonly [from: number, to: number] {
  switch (node.kind) {
    case 'beam':
    case 'footing':
    case 'stripFooting':
      return [elevation(node.body.level), elevation(node.body.level)];
    case 'hanger':
      return [elevation(node.body.base), elevation(node.body.base)];
    case 'column':
    case 'wall':
      return [elevation(node.body.base), elevation(node.body.top)];
  }
}

/** Of each arrival the reactions under each of its pieces. */
type Parts = readonly (readonly (readonly number[])[])[];

/** Reactions by support instead of by arrival. */
function byColumn(rows: readonly (readonly number[])[], columns: number): number[][] {
  return Array.from({ length: columns }, (_, j) => rows.map((row) => row[j]!));
}

/** Calculates one member from what arrives on it: what leaves at each support, and what lands where. */
export function calculate(
  node: Node,
  arrivals: readonly Landed[],
  bearers: readonly (Bearer | WallBearer)[],
  around: Surroundings,
): Outcome {
  return new Calculation(node, arrivals, around).run(bearers);
}

const NONE: readonly never[] = [];
const points = new Map<number, ArrivalShape>();

/** A point load at such a place: places repeat from storey to storey, and those that are alike share it. */
function pointAt(at: number): ArrivalShape {
  let known = points.get(at);
  if (!known) {
    if (points.size > 4000) points.clear();
    points.set(at, (known = { type: 'point', at }));
  }
  return known;
}

/** Shares of two supports, in lists that are used for one beam after another. */
const nearShares: number[] = [];
const farShares: number[] = [];
const BOTH = [nearShares, farShares] as const;
/** What takes each reaction of a beam, used likewise. */
const taken: (Node | null)[] = [];
const reactions: Carried[] = [];

class Calculation {
  private readonly book = new BookKeeper();
  private readonly ends: LooseEnds;
  private handed: readonly Landed[] = NONE;
  private sum: Carried | null = null;

  constructor(
    private readonly node: Node,
    private readonly arrivals: readonly Landed[],
    private readonly around: Surroundings,
  ) {
    this.ends = new LooseEnds(node.id);
  }

  /** The sum of what arrives. */
  private get carried(): Carried {
    return (this.sum ??= totalCarried(this.arrivals));
  }

  run(bearers: readonly (Bearer | WallBearer)[]): Outcome {
    const leaves = this.leaves(bearers);
    const { sum: carried, handed } = this;
    const named = this.node.kind === 'beam' ? (bearers as readonly Bearer[]) : NONE;
    return { leaves, bearers: named, carried, handed, book: this.book.book, looseEnds: this.ends.list };
  }

  private leaves(bearers: readonly (Bearer | WallBearer)[]): Left[] | null {
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

  private ground(): null {
    for (const { shape, carried } of this.arrivals) this.book.add('delivered', carried, resultantOf(this.node.place, shape));
    return null;
  }

  private receiver(to: string | null): Node | undefined {
    return to === null || this.around.inLoop ? undefined : this.around.target(to);
  }

  /** Force at a point handed to a member that may be a point or a line. @returns that member; null when nothing takes it */
  private handOver(leave: number, to: string | null, point: PlanPoint, carried: Carried): Node | null {
    const target = this.receiver(to);
    const { x, y } = point;
    if (!target) {
      this.book.put('lost', carried, 1, x, y);
      return null;
    }
    const { node } = this;
    const impossible = this.cannotBear(target);
    if (impossible) {
      this.book.put('lost', carried, 1, x, y);
      this.ends.add(impossible.kind, target.id, impossible.title, impossible.why, impossible.remedy, carried.byCase);
      return null;
    }
    const { place } = target;
    const at = 'at' in place ? 0 : Math.min(target.length, Math.max(0, project(place, point)));
    const landed = 'at' in place ? place.at : pointAlong(place, at);
    const [dx, dy] = [x - landed.x, y - landed.y];
    const distance = Math.sqrt(dx * dx + dy * dy);
    const reach = Math.max(REACH, this.around.reach);
    if (distance > reach) {
      this.book.put('lost', carried, 1, x, y);
      this.ends.add(
        'apart',
        target.id,
        `${node.mark} is ${lengthIn(distance)} away from ${target.mark}, on which it is said to rest`,
        `More than ${quantityIn(reach, 'sectionLength')} apart they do not meet, and the load is not handed on.`,
        'Move one of them, or name another support.',
        carried.byCase,
      );
      return null;
    }
    this.handed = withOneMore(this.handed, new Handed(target.id, node.id, node.mark, leave, pointAt(at), carried));
    this.book.shift(carried, x, y, landed.x, landed.y);
    return target;
  }

  /** Why a member that was named, or drawn, as a support cannot be one: it lies at another height, or carries nothing. Null when it can. */
  private cannotBear(target: Node): { kind: string; title: string; why: string; remedy: string } | null {
    const { node, around } = this;
    if (target.kind === 'wall' && target.body.bears === 'no')
      return {
        kind: 'idle-support',
        title: `${node.mark} is said to rest on ${target.mark}, which is said to carry nothing`,
        why: 'One of the two is not so; until it is known which, the load is not handed on.',
        remedy: `Say that ${target.mark} carries load, or name another support.`,
      };
    const height = footOf(node, around.elevation);
    const [from, to] = bearingHeights(target, around.elevation);
    const reach = Math.max(REACH, around.reach);
    if (height === null || (height >= from - reach && height <= to + reach)) return null;
    return {
      kind: 'levels',
      title: `${node.mark} cannot rest on ${target.mark}: they do not meet in height`,
      why: `It would have to reach ${lengthIn(height > to ? height - to : from - height)} ${height > to ? 'down' : 'up'} to it; the load is not handed on.`,
      remedy: 'Name a support of its own level, or correct the levels of one of them.',
    };
  }

  private restsOnNothing(where: string, at: number, load: Carried): void {
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
    this.ends.add('no-support', at || '', what, 'Its load lands nowhere.', remedy, load.byCase);
  }

  private post(at: PlanPoint, bearer: Bearer | undefined): null {
    const by = bearer?.by ?? null;
    const to = this.handOver(0, by, at, this.carried);
    // what it hands on is the sum of what arrives
    if (to) this.sum = this.handed[0]!.carried;
    if (to === null && (by === null || !this.around.target(by))) this.restsOnNothing('', 0, this.carried);
    return null;
  }

  private loseAll(): void {
    for (const { shape, carried } of this.arrivals) this.book.add('lost', carried, resultantOf(this.node.place, shape));
  }

  private beam(body: Beam, supports: readonly Bearer[]): Left[] | null {
    const { node } = this;
    let found: ReturnType<Calculation['atSupports']>;
    try {
      found = this.atSupports(body, supports);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      this.loseAll();
      if (supports.length === 0) this.restsOnNothing('', 0, this.carried);
      else
        this.ends.add(
          'unstable',
          '',
          `${node.mark}: ${error.message}`,
          'It cannot be calculated, and its load lands nowhere.',
          'Give it the supports that it has, or say which of them is fixed.',
          this.carried.byCase,
        );
      return [];
    }
    const { parts, isLever, shares: shareOf } = found;
    if (supports.some(({ fixed }) => fixed)) this.bookFixingMoments(body, supports, shareOf);
    let isUsual = isLever;
    for (let j = 0; j < supports.length; j += 1) {
      const support = supports[j]!;
      const shares = shareOf[j]!;
      const reaction = parts ? this.reactionOnSpans(shares, parts, j) : reactionOf(this.arrivals, shares);
      const target = this.handOver(j, support.by, pointAlong(body, support.at), reaction);
      if (target === null && (support.by === null || !this.around.target(support.by)))
        this.restsOnNothing(` at ${lengthIn(support.at)}`, Math.round(support.at), reaction);
      if (target === null || target.kind === 'hanger') isUsual = false;
      taken[j] = target;
      reactions[j] = reaction;
    }
    if (isUsual) return null;
    const split = isLever ? new Split(this.arrivals, supports[0]!.at, supports[1]!.at, null) : new Split(this.arrivals, NaN, NaN, shareOf);
    return supports.map(
      ({ at, holdsDown }, j) => new Left(taken[j]?.id ?? null, at, reactions[j]!, split, j, holdsDown && taken[j]?.kind !== 'hanger'),
    );
  }

  /** What fixed ends take as a moment: each load acts in one place, and its reactions, which are as large, in others. */
  private bookFixingMoments(body: Beam, supports: readonly Bearer[], shareOf: readonly (readonly number[])[]): void {
    const places = supports.map(({ at }) => pointAlong(body, at));
    this.arrivals.forEach(({ shape, carried }, i) => {
      const whole = resultantOf(body, shape);
      const sum = (of: (place: PlanPoint) => number) => places.reduce((total, place, j) => total + shareOf[j]![i]! * of(place), 0);
      this.book.put('offsets', carried, 0, whole.x - sum(({ x }) => x), whole.y - sum(({ y }) => y));
    });
  }

  private reactionOnSpans(shares: readonly number[], parts: Parts, j: number): Carried {
    const allPress = this.arrivals.every(
      ({ carried }, i) => carried.allPresses && shares[i]! >= 0 && parts[i]!.every((row) => row[j]! >= 0),
    );
    if (allPress) return sumOf(this.arrivals, shares);
    return reactionByParts(this.arrivals, shares, (i, press) => {
      for (const row of parts[i]!) press(row[j]!);
    });
  }

  /**
   * Of each support its share of each arrival; on a beam of several spans also of each piece of an arrival, since variable load may be there
   * on one span and not on the next. The lists of shares are to be read before the next beam is looked at.
   * @throws PlinthError when the beam cannot stand
   */
  private atSupports(
    body: Beam,
    supports: readonly Bearer[],
  ): { readonly shares: readonly (readonly number[])[]; readonly parts: Parts | null; readonly isLever: boolean } {
    const { node, arrivals } = this;
    const { length } = node;
    const { hinges } = body;
    const lever = hinges.length === 0 ? leverOf(supports, length) : null;
    if (lever?.wholeSpan) {
      for (let i = 0; i < arrivals.length; i += 1) {
        const { shape } = arrivals[i]!;
        farShares[i] = leverShare(shape, lever);
        nearShares[i] = shapeForce(shape) - farShares[i]!;
      }
      return { shares: BOTH, parts: null, isLever: true };
    }
    const asked = (arrival: Landed): Asked => {
      const { shape } = arrival;
      if (arrival instanceof Handed || arrival.source.type !== 'settlement') return { shape };
      const { support } = arrival.source;
      return { sinks: support, by: supports[support]!.settlement };
    };
    const stretches = stretchesOf(body);
    const spans = spansBetween(
      supports.map((support) => support.at),
      length,
    );
    const EI = yields(supports) ? this.around.stiffness(body) : null;
    if (EI === null && yields(supports))
      this.ends.add(
        'stiffness',
        '',
        `${node.mark} rests on supports that yield or sink, and no section is chosen`,
        'What that does follows from its stiffness: until then its reactions are those of firm supports.',
        'Choose its section, or let it be sized.',
      );
    const solved = (shares: readonly (readonly number[])[], parts: Parts | null) => ({ shares, parts, isLever: false });
    if (spans.length <= 1)
      return solved(byColumn(unitReactions(supports, { hinges, stretches }, length, arrivals.map(asked), EI), supports.length), null);
    const pieces = arrivals.map((arrival) => {
      const one = asked(arrival);
      return 'sinks' in one ? [one] : piecesOn(spans, one.shape);
    });
    const rows = unitReactions(supports, { hinges, stretches }, length, pieces.flat(), EI);
    let n = 0;
    const parts = pieces.map((list) => list.map(() => rows[n++]!));
    return solved(
      supports.map((_, j) => parts.map((list) => list.reduce((sum, row) => sum + row[j]!, 0))),
      parts,
    );
  }

  private wall(node: Extract<Node, { kind: 'wall' }>, bearers: readonly WallBearer[]): Left[] {
    const total = this.carried;
    const nothing = (): Left[] => {
      this.loseAll();
      return [new Left(null, 0, total, new Split(this.arrivals, NaN, NaN, null), 0, false)];
    };
    const stretches = bearers.flatMap((bearer) => {
      const target = this.receiver(bearer.by);
      return target ? [{ ...bearer, target }] : [];
    });
    if (stretches.length === 0 || node.length === 0) {
      this.restsOnNothing('', 0, total);
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
      let parts: (ArrivalShape | null)[] = footShapes(node.body, arrival.shape, node.length, this.around.height, this.around.high);
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
            const label = `${node.mark}: ${arrival.label}`;
            const part = `${j}.${i}.${piece++}`;
            this.handed = withOneMore(this.handed, new Brought(target.id, node.id, part, label, source, shape, arrival.carried));
          }
        }
        parts = rest;
      });
      for (const part of parts) {
        if (!part || shapeForce(part) === 0) continue;
        const lost = resultantOf(node.place, part);
        this.book.add('lost', arrival.carried, lost);
        addInto(astray, arrival.byCase, lost.force);
        landedForce += lost.force;
        fx.x += lost.x;
        fy.x += lost.y;
      }
      const whole = resultantOf(node.place, arrival.shape);
      this.book.add('offsets', arrival.carried, {
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
    const split = new Split(this.arrivals, NaN, NaN, shares);
    return stretches.map(({ by, from }, j) => new Left(by, from, sumOf(this.arrivals, shares[j]!), split, j, false));
  }

  /** Of the arrival at hand: what reached past the end of the target and is booked as lost already. */
  private past = 0;
  private pastX = 0;
  private pastY = 0;

  /** A piece of foot laid on what is beneath. What reaches past its end by more than the reach is lost; less is gathered there. */
  private onto(node: Extract<Node, { kind: 'wall' }>, target: Node, shape: ArrivalShape, { label, carried }: Landed): ArrivalShape[] {
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
      this.book.add('lost', carried, resultant);
      this.past += resultant.force;
      this.pastX += resultant.x;
      this.pastY += resultant.y;
      this.ends.add(
        'past-end',
        `${target.id}:${label}`,
        `${node.mark}: ${label} reaches past the end of ${target.mark}`,
        'The part beyond the end lands on nothing.',
        `Shorten the wall, or lengthen ${target.mark}.`,
        scaled(carried.byCase, resultant.force),
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
      title: `${node.mark} stands ${lengthIn(apart)} beside ${target.mark}`,
      why: `More than ${quantityIn(reach, 'sectionLength')} off the line of what carries it its load is not handed on.`,
      remedy: 'Move one of them, or name another beam.',
    };
  }
}
