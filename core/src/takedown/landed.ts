import { Carried, sumOf } from './carried';
import type { Arrival, ByCase, Leave, MemberLedger, Source } from './ledger';
import { shapeForce, shapeMoment, type ArrivalShape } from './shape';

/**
 * An arrival as the engine keeps it. There is one for each load on each of tens of thousands of members, and few are ever looked at: its
 * name and its values by case are made when somebody asks.
 */
export type Landed = Brought | Handed;

interface Landing extends Arrival {
  /** The member on which it lands. */
  readonly on: string;
  /** What brings it: a member, a panel, or a word for what the member itself brings. */
  readonly from: string;
  /** Which of several that have the same origin, as in the name of the arrival; empty: there is one. */
  readonly part: string;
  /** For each unit of its shape. */
  readonly carried: Carried;
  /** The member that brings it; null when none does. */
  readonly giver: string | null;
}

function nameOf({ on, from, part }: Landing): string {
  return part === '' ? `${on}/${from}` : `${on}/${from}.${part}`;
}

/** What a panel, a strip, a typed load or the member itself brings, or a wall in pieces. */
export class Brought implements Landing {
  constructor(
    readonly on: string,
    readonly from: string,
    readonly part: string,
    readonly label: string,
    readonly source: Source,
    readonly shape: ArrivalShape,
    readonly carried: Carried,
  ) {}

  get id(): string {
    return nameOf(this);
  }

  get byCase(): ByCase {
    return this.carried.byCase;
  }

  get adverse(): ByCase {
    return this.carried.adverse;
  }

  get giver(): string | null {
    return this.source.type === 'member' ? this.source.member : null;
  }
}

/** The reaction of a beam or a post at one of its supports: what is carried there, and where it lands. */
export class Handed extends Carried implements Landing {
  /** @param leave which of the supports of the member that brings it */
  constructor(
    readonly on: string,
    readonly from: string,
    readonly label: string,
    readonly leave: number,
    readonly shape: ArrivalShape,
    { cases, values, pressed }: Carried,
  ) {
    super(cases, values, pressed);
  }

  get carried(): Carried {
    return this;
  }

  get id(): string {
    return nameOf(this);
  }

  get part(): string {
    return `${this.leave}.0`;
  }

  get giver(): string {
    return this.from;
  }

  get source(): Source {
    return { type: 'member', member: this.from, leave: this.leave };
  }
}

/** How arrivals are shared between the supports of a member: all to the one there is, by the lever between two, or as solved. */
export class Split {
  #shares: readonly (readonly number[])[] | undefined = undefined;

  /**
   * @param a place of the first of two supports, mm, between which the lever shares; NaN: another way
   * @param b place of the second, mm
   * @param solved share of each arrival, support by support; null: another way
   */
  constructor(
    readonly arrivals: readonly Landed[],
    readonly a: number,
    readonly b: number,
    readonly solved: readonly (readonly number[])[] | null,
  ) {}

  /** Share of each arrival in the reaction at each support. */
  get shares(): readonly (readonly number[])[] {
    return (this.#shares ??= this.solved ?? this.found());
  }

  private found(): (readonly number[])[] {
    const { arrivals } = this;
    const whole = arrivals.map(({ shape }) => shapeForce(shape));
    if (Number.isNaN(this.a)) return [whole];
    const second = arrivals.map(({ shape }) => leverShare(shape, this));
    return [whole.map((force, i) => force - second[i]!), second];
  }
}

/** What of a unit shape goes to the second of two supports. */
export function leverShare(shape: ArrivalShape, { a, b }: { readonly a: number; readonly b: number }): number {
  return (shapeMoment(shape) - shapeForce(shape) * a) / (b - a);
}

/** What a member hands on at one support, as the engine keeps it. */
export class Left implements Leave {
  /** @param place which of the supports */
  constructor(
    readonly to: string | null,
    readonly at: number,
    readonly carried: Carried,
    readonly split: Split,
    readonly place: number,
    readonly holdsDown: boolean,
  ) {}

  get shares(): readonly number[] {
    return this.split.shares[this.place]!;
  }

  get byCase(): ByCase {
    return this.carried.byCase;
  }

  get adverse(): ByCase {
    return this.carried.adverse;
  }
}

/** What a ledger's leaves follow from, where they need not be kept: on what the member rests, and what it handed to each of them. */
export interface Usual {
  readonly bearers: readonly { readonly at: number; readonly holdsDown: boolean }[];
  readonly handed: readonly Landed[];
}

/** A member's ledger as the engine keeps it. */
export class KeptLedger implements MemberLedger {
  #carried: Carried | null;
  #leaves: readonly Left[] | null;
  readonly #bearers: Usual['bearers'];
  /** What it hands on, in order. */
  readonly handed: Usual['handed'];

  /**
   * @param carried the sum of what arrives, when it is at hand already
   * @param leaves null: as usual, each bearer takes in turn what is handed to it, of a beam by the lever between two; a pad hands all to the ground
   */
  constructor(
    readonly id: string,
    readonly kind: MemberLedger['kind'],
    readonly mark: string,
    readonly inLoop: boolean,
    readonly arrivals: readonly Landed[],
    readonly transfer: boolean,
    carried: Carried | null,
    leaves: readonly Left[] | null,
    { bearers, handed }: Usual,
  ) {
    this.#carried = carried;
    this.#leaves = leaves;
    this.#bearers = bearers;
    this.handed = handed;
  }

  get leaves(): readonly Left[] {
    return (this.#leaves ??= this.usualLeaves());
  }

  private usualLeaves(): Left[] {
    const { kind, arrivals, handed } = this;
    const bearers = this.#bearers;
    if (kind === 'beam') {
      const split = new Split(arrivals, bearers[0]!.at, bearers[1]!.at, null);
      return handed.map(({ on, carried }, j) => new Left(on, bearers[j]!.at, carried, split, j, bearers[j]!.holdsDown));
    }
    const isPost = kind === 'column' || kind === 'hanger';
    return [new Left(isPost ? (handed[0]?.on ?? null) : 'ground', 0, this.carried, new Split(arrivals, NaN, NaN, null), 0, isPost)];
  }

  /** True when nothing that leaves can lift: known without looking at each leave. */
  get surelyPresses(): boolean {
    if (this.#leaves) return false;
    if (this.kind !== 'beam') return this.carried.allPresses;
    for (const { carried } of this.handed) if (!carried.allPresses) return false;
    return true;
  }

  /** The sum of what arrives. */
  get carried(): Carried {
    return (this.#carried ??= totalCarried(this.arrivals));
  }

  get sum(): ByCase {
    return this.carried.byCase;
  }

  get adverse(): ByCase {
    return this.carried.adverse;
  }
}

export function totalCarried(arrivals: readonly Landed[]): Carried {
  return sumOf(
    arrivals,
    arrivals.map(({ shape }) => shapeForce(shape)),
  );
}
