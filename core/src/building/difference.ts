/** Of a map that was made from another: which it was made from, and what is not alike. */
interface Note {
  readonly stamp: number;
  readonly from: number;
  readonly ids: readonly string[];
}

const notes = new WeakMap<object, Note>();
let stamps = 0;

/** Notes that a map is another one but for these ids: set anew, added at the end, or gone. */
export function noteDifference(after: ReadonlyMap<string, unknown>, before: ReadonlyMap<string, unknown>, ids: readonly string[]): void {
  let known = notes.get(before);
  // stamps, not the map itself: a note must not keep what came before alive
  if (!known) notes.set(before, (known = { stamp: ++stamps, from: 0, ids: [] }));
  notes.set(after, { stamp: ++stamps, from: known.stamp, ids });
}

/** The ids in which a map is not like another, as far as that was noted; null: compare them. */
export function differenceOf(before: ReadonlyMap<string, unknown>, after: ReadonlyMap<string, unknown>): readonly string[] | null {
  const note = notes.get(after);
  return note && note.from !== 0 && note.from === notes.get(before)?.stamp ? note.ids : null;
}
