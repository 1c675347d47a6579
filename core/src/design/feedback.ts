import type { LooseEnd } from '../takedown';

/**
 * Something that design finds and the takedown depends on in turn, such as the weight of a section that carries its own weight. It is declared with what
 * counts as settled; `iterate` goes round until all that is declared has.
 */
export interface Feedback<State> {
  readonly id: string;
  /** What it is, as it begins a sentence. */
  readonly title: string;
  /** The value of each member that it concerns, by id; one that is not named is 0. */
  readonly read: (state: State) => ReadonlyMap<string, number>;
  /** Greatest change from one pass to the next that counts as none, as a part of the larger value. */
  readonly tolerance: number;
}

export interface Iterated<State> {
  readonly state: State;
  readonly passes: number;
  /** One for each feedback that had not settled in the last pass. */
  readonly looseEnds: readonly LooseEnd[];
}

/** The member whose value changed most, as a part of the larger one. */
function largestChange(
  before: ReadonlyMap<string, number>,
  after: ReadonlyMap<string, number>,
): { readonly id: string; readonly part: number } {
  let largest = { id: '', part: 0 };
  for (const id of new Set([...before.keys(), ...after.keys()])) {
    const [old, now] = [before.get(id) ?? 0, after.get(id) ?? 0];
    const part = old === now ? 0 : Math.abs(now - old) / Math.max(Math.abs(old), Math.abs(now));
    if (part > largest.part) largest = { id, part };
  }
  return largest;
}

/**
 * Passes over takedown and design until no feedback changes by more than its tolerance, or there were so many.
 * @param pass one pass from a state to the next; what it yields is yielded
 * @param nameOf what a member is called
 */
export function* iterate<State, Step>(
  first: State,
  feedbacks: readonly Feedback<State>[],
  pass: (state: State, number: number) => Generator<Step, State, void>,
  mostPasses: number,
  nameOf: (id: string) => string,
): Generator<Step, Iterated<State>, void> {
  let state = first;
  for (let passes = 1; ; passes += 1) {
    const next = yield* pass(state, passes);
    const open = feedbacks
      .map((feedback) => ({ feedback, change: largestChange(feedback.read(state), feedback.read(next)) }))
      .filter(({ feedback, change }) => change.part > feedback.tolerance);
    state = next;
    if (open.length === 0) return { state, passes, looseEnds: [] };
    if (passes < mostPasses) continue;
    const looseEnds = open.map(({ feedback: { id, title, tolerance }, change }): LooseEnd => ({
      key: `feedback:${id}`,
      item: change.id,
      title: `${title} has not settled in ${passes} passes`,
      why: `In the last it still changed by ${+(100 * change.part).toPrecision(2)} % at ${nameOf(change.id)}, and ${+(100 * tolerance).toPrecision(2)} % are allowed.`,
      remedy: 'Choose it for that member yourself, and go on from there.',
      byCase: {},
    }));
    return { state, passes, looseEnds };
  }
}
