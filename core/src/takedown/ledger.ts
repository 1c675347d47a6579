import type { LoadCase } from '../load';
import { shapeForce, type ArrivalShape } from './shape';
import type { PanelSharing } from './panel/share';
import type { Bearer, WallBearer } from './support/found';

/** Values by case id: N where they are forces. Permanent and variable never meet here. */
export type ByCase = Readonly<Record<string, number>>;

/** Where a load comes from, back to the layer of a build-up. */
export type Source =
  | { readonly type: 'strip'; readonly buildUp: string; readonly index: number }
  | { readonly type: 'panel'; readonly panel: string }
  | { readonly type: 'ownWeight'; readonly allowance: boolean }
  | { readonly type: 'load'; readonly load: string }
  | { readonly type: 'settlement'; readonly support: number }
  | { readonly type: 'member'; readonly member: string; readonly leave: number; readonly through?: string };

/** One thing that lands on a member. The shape times the value of a case is the load of that case. */
export interface Arrival {
  readonly id: string;
  readonly label: string;
  readonly source: Source;
  readonly shape: ArrivalShape;
  readonly byCase: ByCase;
  /** The part of each value that presses down; what relieves is left out. Like `byCase`, times the shape. */
  readonly adverse: ByCase;
}

/** The same arrival with other values: an arrival is not to be copied by its fields, some of which are made when they are asked for. */
export function withValues({ id, label, source, shape }: Arrival, byCase: ByCase, adverse: ByCase): Arrival {
  return { id, label, source, shape, byCase, adverse };
}

/** The same ledger with other sums: a ledger is not to be copied by its fields either. */
export function withSums({ id, kind, mark, inLoop, arrivals, leaves, transfer }: MemberLedger, sum: ByCase, adverse: ByCase): MemberLedger {
  return { id, kind, mark, inLoop, arrivals, leaves, transfer, sum, adverse };
}

/** What a member hands on at one of its supports. */
export interface Leave {
  /** The member that takes it; null when nothing does. */
  readonly to: string | null;
  /** mm from the member's start; 0 for columns. */
  readonly at: number;
  readonly byCase: ByCase;
  /** What presses down without what relieves: variable load may be absent where it would help. */
  readonly adverse: ByCase;
  /** Share of each arrival in this reaction: value by case is share times the arrival's total. Same order as arrivals. */
  readonly shares: readonly number[];
  readonly holdsDown: boolean;
}

export interface MemberLedger {
  readonly id: string;
  readonly kind: 'beam' | 'column' | 'wall' | 'hanger' | 'footing' | 'stripFooting';
  readonly mark: string;
  /** True for a member of a ring, which has no place in the order of calculation. */
  readonly inLoop: boolean;
  readonly arrivals: readonly Arrival[];
  readonly leaves: readonly Leave[];
  readonly sum: ByCase;
  /** Sum of what presses down, without what relieves. */
  readonly adverse: ByCase;
  /** A beam that carries another beam, a column or a wall: the stricter deflection limit applies. */
  readonly transfer: boolean;
}

export interface LooseEnd {
  /** Stable: what it is and where. */
  readonly key: string;
  readonly item: string;
  readonly title: string;
  readonly why: string;
  readonly remedy: string;
  /** Load that is lost here, by case, N. */
  readonly byCase: ByCase;
}

/** One line of a case's balance: force, N, and moments about the plan axes, Nmm. */
export interface BalanceLine {
  readonly force: number;
  /** Force times y, and force times x. */
  readonly aboutX: number;
  readonly aboutY: number;
}

export interface CaseBalance {
  readonly loadCase: LoadCase;
  readonly applied: BalanceLine;
  readonly delivered: BalanceLine;
  /** Load that lands on nothing. */
  readonly lost: BalanceLine;
  /** Moments from forces that change their line of action at connections. */
  readonly offsets: BalanceLine;
  /** Applied less all others: nothing, to rounding. */
  readonly gap: BalanceLine;
}

/** Horizontal load of one case, N: it is applied and counted; what resists it is not calculated here. */
export interface HorizontalLoad {
  readonly loadCase: LoadCase;
  readonly east: number;
  readonly north: number;
}

/** The force through a cut just below a level, hangers counted against it. */
export interface PlumbLevel {
  readonly level: string;
  readonly name: string;
  readonly elevation: number;
  readonly byCase: ByCase;
}

export interface Takedown {
  readonly cases: readonly LoadCase[];
  readonly members: ReadonlyMap<string, MemberLedger>;
  /** Ids in the order of calculation: a member only after everything that lands on it. */
  readonly order: readonly string[];
  readonly looseEnds: readonly LooseEnd[];
  readonly balance: readonly CaseBalance[];
  /** Horizontal load by case, where there is any. */
  readonly horizontal: readonly HorizontalLoad[];
  readonly plumb: readonly PlumbLevel[];
  /** What each member rests on, found or named. */
  readonly bearers: ReadonlyMap<string, readonly (Bearer | WallBearer)[]>;
  /** How each panel was shared. */
  readonly panels: ReadonlyMap<string, PanelSharing>;
}

/** Total of an arrival in each case, N. */
export function arrivalTotal(arrival: Arrival): Record<string, number> {
  return scaled(arrival.byCase, shapeForce(arrival.shape));
}

export function scaled(byCase: ByCase, factor: number): Record<string, number> {
  const result: Record<string, number> = {};
  for (const id in byCase) result[id] = byCase[id]! * factor;
  return result;
}

export function addInto(sum: Record<string, number>, byCase: ByCase, factor = 1): void {
  for (const id in byCase) sum[id] = (sum[id] ?? 0) + byCase[id]! * factor;
}

export function totalOf(byCase: ByCase): number {
  let sum = 0;
  for (const id in byCase) sum += byCase[id]!;
  return sum;
}

const numbers = new WeakMap<readonly string[], ReadonlyMap<string, number>>();

/** Each member's number in the order of calculation, from 1; 0 when it cannot be calculated. */
export function numbersOf({ order, members }: Pick<Takedown, 'order' | 'members'>): ReadonlyMap<string, number> {
  let known = numbers.get(order);
  if (!known) numbers.set(order, (known = new Map(order.map((id, i) => [id, members.get(id)!.inLoop ? 0 : i + 1]))));
  return known;
}
