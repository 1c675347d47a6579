import { CASE_IDS } from '../load';
import { pressing, type ByCase } from './ledger';

/**
 * What is carried, case by case: of everything, and of what presses down alone. It stands there twice, by the names of the cases for those
 * who read it and in the order of `CASE_IDS` for those who sum it: sums over tens of thousands of arrivals are made number by number.
 */
export interface Carried {
  readonly byCase: ByCase;
  /** The very same as `byCase` where all of it presses. */
  readonly adverse: ByCase;
  /** Which cases there are: bit n for the nth. */
  readonly mask: number;
  readonly values: readonly number[];
  /** The very same as `values` where all of it presses. */
  readonly pressed: readonly number[];
}

const NUMBER_OF: ReadonlyMap<string, number> = new Map(CASE_IDS.map((id, n) => [id, n]));

function maskOf(byCase: ByCase): number {
  let mask = 0;
  for (const id in byCase) mask |= 1 << NUMBER_OF.get(id)!;
  return mask;
}

function numbers(byCase: ByCase): number[] {
  const values = zeros(maskOf(byCase));
  for (const id in byCase) values[NUMBER_OF.get(id)!] = byCase[id]!;
  return values;
}

/** Numbers that begin as fractions are kept as plain numbers by the machine. */
const ZEROS: readonly number[] = CASE_IDS.map(() => 0.5).map((half) => half - half);

/** Room for the cases of a mask: lists end with the last that there is. */
function zeros(mask: number): number[] {
  return ZEROS.slice(0, 32 - Math.clz32(mask));
}

/** Values by case with those that press, as given by name. */
export function carriedOf(byCase: ByCase, adverse: ByCase): Carried {
  const values = numbers(byCase);
  return { byCase, adverse, mask: maskOf(byCase), values, pressed: adverse === byCase ? values : numbers(adverse) };
}

const permanents = new Map<number, Carried>();

/** A permanent load of so much: members of one weight share it. */
export function permanentOf(value: number): Carried {
  let known = permanents.get(value);
  if (!known) {
    if (permanents.size > 4000) permanents.clear();
    const byCase = { permanent: value };
    permanents.set(value, (known = carriedOf(byCase, pressing(byCase))));
  }
  return known;
}

const shapes = new Map<
  number,
  { readonly at: readonly number[]; readonly ids: readonly string[]; readonly empty: Readonly<Record<string, number>> }
>();

/** Values under the names of their cases; all that have the same cases are laid out alike. */
function named(mask: number, values: readonly number[]): ByCase {
  let shape = shapes.get(mask);
  if (!shape) {
    const at = CASE_IDS.map((_, n) => n).filter((n) => mask & (1 << n));
    const ids = at.map((n) => CASE_IDS[n]!);
    shapes.set(mask, (shape = { at, ids, empty: Object.fromEntries(ids.map((id) => [id, 0.5])) }));
  }
  const { at, ids, empty } = shape;
  const byCase: Record<string, number> = { ...empty };
  for (let i = 0; i < at.length; i += 1) byCase[ids[i]!] = values[at[i]!]!;
  return byCase;
}

/** Adds up values by case. */
export class CaseSum {
  private mask = 0;
  private readonly values = zeros(-1);

  add({ mask, values }: Pick<Carried, 'mask' | 'values'>, times = 1): void {
    this.mask |= mask;
    add(this.values, values, mask, times);
  }

  addSum({ mask, values }: CaseSum): void {
    this.add({ mask, values });
  }

  byCase(): ByCase {
    return named(this.mask, this.values);
  }
}

function carriedFrom(mask: number, values: readonly number[], pressed: readonly number[]): Carried {
  const byCase = named(mask, values);
  return { byCase, adverse: pressed === values ? byCase : named(mask, pressed), mask, values, pressed };
}

/** Adds up what is carried, each so many times. */
export function sumOf(list: readonly Carried[], times: readonly number[]): Carried {
  let mask = 0;
  let allPress = true;
  for (let i = 0; i < list.length; i += 1) {
    const part = list[i]!;
    mask |= part.mask;
    if (part.pressed !== part.values) allPress = false;
  }
  const values = zeros(mask);
  for (let i = 0; i < list.length; i += 1) add(values, list[i]!.values, list[i]!.mask, times[i]!);
  if (allPress) return carriedFrom(mask, values, values);
  const pressed = zeros(mask);
  for (let i = 0; i < list.length; i += 1) add(pressed, list[i]!.pressed, list[i]!.mask, times[i]!);
  return carriedFrom(mask, values, pressed);
}

/** What reaches a support that takes such shares: what lifts it presses nowhere, and what relieves a load that lifts it presses on it. */
export function reactionOf(list: readonly Carried[], shares: readonly number[]): Carried {
  let allPress = true;
  for (let i = 0; i < list.length && allPress; i += 1) allPress = shares[i]! >= 0 && list[i]!.pressed === list[i]!.values;
  if (allPress) return sumOf(list, shares);
  return reactionByParts(list, shares, (i, press) => press(shares[i]!));
}

/**
 * The same where each arrival comes in pieces, of which some press on the support and others lift it.
 * @param shares of the whole arrivals
 * @param pieces calls `press` with the share of each piece of an arrival
 */
export function reactionByParts(
  list: readonly Carried[],
  shares: readonly number[],
  pieces: (i: number, press: (share: number) => void) => void,
): Carried {
  let mask = 0;
  for (const part of list) mask |= part.mask;
  const values = zeros(mask);
  const pressed = zeros(mask);
  for (let i = 0; i < list.length; i += 1) {
    const part = list[i]!;
    add(values, part.values, part.mask, shares[i]!);
    pieces(i, (share) => {
      for (let n = 0; n < part.values.length; n += 1)
        pressed[n]! += share * (share >= 0 ? part.pressed[n]! : part.values[n]! - part.pressed[n]!);
    });
  }
  return carriedFrom(mask, values, pressed);
}

function add(sum: number[], values: readonly number[], mask: number, times: number): void {
  for (let n = 0, rest = mask; rest !== 0; n += 1, rest >>= 1) if (rest & 1) sum[n]! += values[n]! * times;
}
