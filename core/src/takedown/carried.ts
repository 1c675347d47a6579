import { CASE_IDS } from '../load';
import type { ByCase } from './ledger';

/** Of a mask of cases the names of those there are, and an object that has them, from which others are copied. */
interface Layout {
  readonly ids: readonly string[];
  readonly empty: Readonly<Record<string, number>>;
}

const NUMBER_OF: ReadonlyMap<string, number> = new Map(CASE_IDS.map((id, n) => [id, n]));
const layouts = new Map<number, Layout>();

function layoutOf(mask: number): Layout {
  let layout = layouts.get(mask);
  if (!layout) {
    const ids = CASE_IDS.filter((_, n) => mask & (1 << n));
    layouts.set(mask, (layout = { ids, empty: Object.fromEntries(ids.map((id) => [id, 0.5])) }));
  }
  return layout;
}

/** Values under the names of their cases; all that have the same cases are laid out alike. */
function named(mask: number, values: readonly number[]): ByCase {
  const { ids, empty } = layoutOf(mask);
  const byCase: Record<string, number> = { ...empty };
  for (let i = 0; i < ids.length; i += 1) byCase[ids[i]!] = values[i]!;
  return byCase;
}

/**
 * What is carried, case by case: of everything, and of what presses down alone. Tens of thousands are summed number by number and few
 * are ever read by name, so the names are put to the numbers when somebody asks.
 */
export class Carried {
  #byCase: ByCase | undefined = undefined;
  #adverse: ByCase | undefined = undefined;

  /**
   * @param mask which cases there are: bit n for the nth of `CASE_IDS`
   * @param values one number for each case there is, in their order
   * @param pressed the very same as `values` where all of it presses
   */
  constructor(
    readonly mask: number,
    readonly values: readonly number[],
    readonly pressed: readonly number[],
  ) {}

  get byCase(): ByCase {
    return (this.#byCase ??= named(this.mask, this.values));
  }

  /** The part of each value that presses; the very same as `byCase` where all of it does. */
  get adverse(): ByCase {
    return (this.#adverse ??= this.pressed === this.values ? this.byCase : named(this.mask, this.pressed));
  }

  get allPresses(): boolean {
    return this.pressed === this.values;
  }

  get isNothing(): boolean {
    for (const value of this.values) if (value !== 0) return false;
    return true;
  }
}

/** Numbers that begin as fractions are kept as plain numbers by the machine. */
const ZEROS: readonly number[] = CASE_IDS.map(() => 0.5).map((half) => half - half);
const ALL = 2 ** CASE_IDS.length - 1;

function zeros(mask: number): number[] {
  let count = 0;
  for (let rest = mask; rest !== 0; rest &= rest - 1) count += 1;
  return ZEROS.slice(0, count);
}

/** A load given by name; what is below nothing relieves. */
export function carriedOf(byCase: ByCase): Carried {
  let mask = 0;
  for (const id in byCase) mask |= 1 << NUMBER_OF.get(id)!;
  const values = zeros(mask);
  const { ids } = layoutOf(mask);
  let presses = true;
  for (let i = 0; i < ids.length; i += 1) {
    values[i] = byCase[ids[i]!]!;
    if (values[i]! < 0) presses = false;
  }
  return new Carried(mask, values, presses ? values : values.map((value) => Math.max(0, value)));
}

const permanents = new Map<number, Carried>();

/** A permanent load of so much: members of one weight share it. */
export function permanentOf(value: number): Carried {
  let known = permanents.get(value);
  if (!known) {
    if (permanents.size > 4000) permanents.clear();
    permanents.set(value, (known = carriedOf({ permanent: value })));
  }
  return known;
}

/** Adds up values by case. */
export class CaseSum {
  private mask = 0;
  private readonly values = zeros(ALL);

  add({ mask, values }: Pick<Carried, 'mask' | 'values'>, times = 1): void {
    this.mask |= mask;
    add(this.values, ALL, values, mask, times);
  }

  addSum({ values, mask }: CaseSum): void {
    this.mask |= mask;
    add(this.values, ALL, values, ALL, 1);
  }

  byCase(): ByCase {
    return named(
      this.mask,
      this.values.filter((_, n) => this.mask & (1 << n)),
    );
  }
}

/** Something that lies on a member and carries so much for each unit of its shape. */
interface Laid {
  readonly carried: Carried;
}

function maskOf(list: readonly Laid[]): number {
  let mask = 0;
  for (let i = 0; i < list.length; i += 1) mask |= list[i]!.carried.mask;
  return mask;
}

/** Adds up what is carried, each so many times. */
export function sumOf(list: readonly Laid[], times: readonly number[]): Carried {
  const mask = maskOf(list);
  const values = zeros(mask);
  let allPress = true;
  for (let i = 0; i < list.length; i += 1) {
    const { carried } = list[i]!;
    add(values, mask, carried.values, carried.mask, times[i]!);
    if (carried.pressed !== carried.values) allPress = false;
  }
  if (allPress) return new Carried(mask, values, values);
  const pressed = zeros(mask);
  for (let i = 0; i < list.length; i += 1) add(pressed, mask, list[i]!.carried.pressed, list[i]!.carried.mask, times[i]!);
  return new Carried(mask, values, pressed);
}

/** What reaches a support that takes such shares: what lifts it presses nowhere, and what relieves a load that lifts it presses on it. */
export function reactionOf(list: readonly Laid[], shares: readonly number[]): Carried {
  let allPress = true;
  for (let i = 0; i < list.length && allPress; i += 1) allPress = shares[i]! >= 0 && list[i]!.carried.allPresses;
  if (allPress) return sumOf(list, shares);
  return reactionByParts(list, shares, (i, press) => press(shares[i]!));
}

/**
 * The same where each arrival comes in pieces, of which some press on the support and others lift it.
 * @param shares of the whole arrivals
 * @param pieces calls `press` with the share of each piece of an arrival
 */
export function reactionByParts(
  list: readonly Laid[],
  shares: readonly number[],
  pieces: (i: number, press: (share: number) => void) => void,
): Carried {
  const mask = maskOf(list);
  const values = zeros(mask);
  const pressed = zeros(mask);
  for (let i = 0; i < list.length; i += 1) {
    const { carried: part } = list[i]!;
    const relieving = part.allPresses ? null : part.values.map((value, n) => value - part.pressed[n]!);
    add(values, mask, part.values, part.mask, shares[i]!);
    pieces(i, (share) => {
      if (share >= 0) add(pressed, mask, part.pressed, part.mask, share);
      else if (relieving) add(pressed, mask, relieving, part.mask, share);
    });
  }
  return new Carried(mask, values, pressed);
}

/** Adds the values of some cases, so many times, to sums of those and others. */
function add(sum: number[], sumMask: number, values: readonly number[], mask: number, times: number): void {
  if (mask === sumMask) {
    for (let n = 0; n < values.length; n += 1) sum[n]! += values[n]! * times;
    return;
  }
  let from = 0;
  let to = 0;
  for (let rest = sumMask; from < values.length; rest &= rest - 1) {
    if (mask & rest & -rest) {
      sum[to]! += values[from]! * times;
      from += 1;
    }
    to += 1;
  }
}
