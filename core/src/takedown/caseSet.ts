import { USUAL_CASES } from '../load';

const numbers = new Map<string, number>();
const ids: string[] = [];

/** The number of a load case, the same for its id as long as the program runs. */
function numberOf(id: string): number {
  let number = numbers.get(id);
  if (number === undefined) {
    numbers.set(id, (number = ids.length));
    ids.push(id);
  }
  return number;
}

/** The id of a load case by its number. */
export const caseIdAt = (number: number): string => ids[number]!;

// the usual ones first: they stand in the order of tables
for (const { id } of USUAL_CASES) numberOf(id);

/** The usual cases in the order of tables, after them the others by their ids: the same in every thread, whichever it met first. */
const compare = (a: number, b: number): number =>
  Math.min(a, b) < USUAL_CASES.length ? a - b : ids[a]! < ids[b]! ? -1 : Number(ids[a]! > ids[b]!);

/**
 * Load cases that have values, in an order that follows from their ids. There is one set of the same cases, so that sets are compared by identity; the union of two
 * and the places of one in another are found once.
 */
export class CaseSet {
  private readonly unions: (CaseSet | undefined)[] = [];
  private readonly placings: (readonly number[] | undefined)[] = [];
  private readonly places: (number | undefined)[] = [];
  readonly ids: readonly string[];
  /** The cases with a number each, from which objects by case are copied: all of one set are laid out alike. */
  private readonly layout: Readonly<Record<string, number>>;

  /** Made by `caseSetOf` alone. */
  constructor(
    private readonly index: number,
    readonly numbers: readonly number[],
  ) {
    this.ids = numbers.map(caseIdAt);
    this.layout = Object.fromEntries(this.ids.map((id) => [id, 0.5]));
    numbers.forEach((number, place) => (this.places[number] = place));
  }

  get size(): number {
    return this.numbers.length;
  }

  union(other: CaseSet): CaseSet {
    if (other === this || other.numbers.length === 0) return this;
    return (this.unions[other.index] ??= setOf([...this.numbers, ...other.numbers]));
  }

  /** Where each case of another set stands among those of this one, which has all of them. */
  placesOf(part: CaseSet): readonly number[] {
    return (this.placings[part.index] ??= part.numbers.map((number) => this.places[number]!));
  }

  /** Where a case stands among those of this set; undefined: it is not one of them. */
  placeOf(number: number): number | undefined {
    return this.places[number];
  }

  /** Values, one for each case in order, under the ids of the cases. */
  named(values: readonly number[]): Record<string, number> {
    const byCase: Record<string, number> = { ...this.layout };
    for (let i = 0; i < this.ids.length; i += 1) byCase[this.ids[i]!] = values[i]!;
    return byCase;
  }
}

const sets = new Map<string, CaseSet>();

function setOf(list: readonly number[]): CaseSet {
  const sorted = [...new Set(list)].sort(compare);
  const key = sorted.join();
  let found = sets.get(key);
  if (!found) sets.set(key, (found = new CaseSet(sets.size, sorted)));
  return found;
}

/** The set of some cases. */
export const caseSetOf = (caseIds: readonly string[]): CaseSet => setOf(caseIds.map(numberOf));

export const NO_CASES = caseSetOf([]);
