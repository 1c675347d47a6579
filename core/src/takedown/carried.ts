import { caseSetOf, NO_CASES, type CaseSet } from './caseSet';
import type { ByCase } from './ledger';

/**
 * What is carried, case by case: of everything, and of what presses down alone. Tens of thousands are summed number by number and few
 * are ever read by name, so the names are put to the numbers when somebody asks.
 */
export class Carried {
  #byCase: ByCase | undefined = undefined;
  #adverse: ByCase | undefined = undefined;

  /**
   * @param cases which cases there are
   * @param values one number for each case there is, in their order
   * @param pressed the very same as `values` where all of it presses
   */
  constructor(
    readonly cases: CaseSet,
    readonly values: readonly number[],
    readonly pressed: readonly number[],
  ) {}

  get byCase(): ByCase {
    return (this.#byCase ??= this.cases.named(this.values));
  }

  /** The part of each value that presses; the very same as `byCase` where all of it does. */
  get adverse(): ByCase {
    return (this.#adverse ??= this.pressed === this.values ? this.byCase : this.cases.named(this.pressed));
  }

  get allPresses(): boolean {
    return this.pressed === this.values;
  }

  get isNothing(): boolean {
    for (const value of this.values) if (value !== 0) return false;
    return true;
  }
}

/** Zeros, so many; numbers that begin as fractions are kept as plain numbers by the machine. */
const ZEROS: (readonly number[])[] = [];

function zeros({ size }: CaseSet): number[] {
  return (ZEROS[size] ??= Array.from({ length: size }, () => 0.5).map((half) => half - half)).slice();
}

const known = new Map<string, CaseSet>();

/** The set of one case: nearly every load has one. */
function caseSetOfOne(id: string): CaseSet {
  let found = known.get(id);
  if (!found) known.set(id, (found = caseSetOf([id])));
  return found;
}

/** A load given by name; what is below nothing relieves. */
export function carriedOf(byCase: ByCase): Carried {
  const given = Object.keys(byCase);
  const cases = given.length === 1 ? caseSetOfOne(given[0]!) : caseSetOf(given);
  const values = zeros(cases);
  let presses = true;
  for (let i = 0; i < values.length; i += 1) {
    values[i] = byCase[cases.ids[i]!]!;
    if (values[i]! < 0) presses = false;
  }
  return new Carried(cases, values, presses ? values : values.map((value) => Math.max(0, value)));
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
  private cases = NO_CASES;
  private values: number[] = [];

  add({ cases, values }: Pick<Carried, 'cases' | 'values'>, times = 1): void {
    const all = this.cases.union(cases);
    if (all !== this.cases) {
      const wider = zeros(all);
      add(wider, all, this.values, this.cases, 1);
      [this.cases, this.values] = [all, wider];
    }
    add(this.values, all, values, cases, times);
  }

  addSum({ values, cases }: CaseSum): void {
    this.add({ values, cases });
  }

  byCase(): ByCase {
    return this.cases.named(this.values);
  }
}

/** Something that lies on a member and carries so much for each unit of its shape. */
interface Laid {
  readonly carried: Carried;
}

function casesOf(list: readonly Laid[]): CaseSet {
  let cases = NO_CASES;
  for (let i = 0; i < list.length; i += 1) cases = cases.union(list[i]!.carried.cases);
  return cases;
}

/** Adds up what is carried, each so many times. */
export function sumOf(list: readonly Laid[], times: readonly number[]): Carried {
  const cases = casesOf(list);
  const values = zeros(cases);
  let allPress = true;
  for (let i = 0; i < list.length; i += 1) {
    const { carried } = list[i]!;
    add(values, cases, carried.values, carried.cases, times[i]!);
    if (carried.pressed !== carried.values) allPress = false;
  }
  if (allPress) return new Carried(cases, values, values);
  const pressed = zeros(cases);
  for (let i = 0; i < list.length; i += 1) add(pressed, cases, list[i]!.carried.pressed, list[i]!.carried.cases, times[i]!);
  return new Carried(cases, values, pressed);
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
  const cases = casesOf(list);
  const values = zeros(cases);
  const pressed = zeros(cases);
  for (let i = 0; i < list.length; i += 1) {
    const { carried: part } = list[i]!;
    const relieving = part.allPresses ? null : part.values.map((value, n) => value - part.pressed[n]!);
    add(values, cases, part.values, part.cases, shares[i]!);
    pieces(i, (share) => {
      if (share >= 0) add(pressed, cases, part.pressed, part.cases, share);
      else if (relieving) add(pressed, cases, relieving, part.cases, share);
    });
  }
  return new Carried(cases, values, pressed);
}

/** Adds the values of some cases, so many times, to sums of those and others. */
function add(sum: number[], all: CaseSet, values: readonly number[], cases: CaseSet, times: number): void {
  if (cases === all) {
    for (let n = 0; n < values.length; n += 1) sum[n]! += values[n]! * times;
    return;
  }
  const places = all.placesOf(cases);
  for (let n = 0; n < values.length; n += 1) sum[places[n]!]! += values[n]! * times;
}
