/**
 * Arrangements of free variable load on the spans of a continuous beam that between them hold the worst of every effect: all; each
 * alternate set; and for each inner support both its neighbours with every second span beyond them. Influence lines of a continuous beam
 * change their sign from span to span, so that no other arrangement is worse; with hinges that is not so, and all subsets are given.
 * @param spans number of spans, overhangs counted
 * @param hinged true when the beam has hinges
 * @returns for each arrangement which spans are loaded; null when there are too many to be tried (hinged, more than seven spans)
 */
export function arrangements(spans: number, hinged = false): readonly (readonly boolean[])[] | null {
  const all = new Array<boolean>(spans).fill(true);
  if (spans <= 1) return [all];
  if (hinged) {
    if (spans > 7) return null;
    return Array.from({ length: 2 ** spans - 1 }, (_, n) => all.map((_span, i) => ((n + 1) & (1 << i)) !== 0)).reverse();
  }
  const sets = [all, all.map((_, i) => i % 2 === 0), all.map((_, i) => i % 2 === 1)];
  // the spans at both sides of support k, and from them outward every second one
  for (let k = 0; k + 1 < spans; k += 1) sets.push(all.map((_, i) => (i <= k ? (k - i) % 2 === 0 : (i - k - 1) % 2 === 0)));
  const seen = new Set<string>();
  return sets.filter((set) => {
    const key = set.join();
    return seen.has(key) ? false : Boolean(seen.add(key));
  });
}

/** The spans of an arrangement in words. */
export function arrangementName(loaded: readonly boolean[]): string {
  if (loaded.every(Boolean)) return '';
  const numbers = loaded.flatMap((is, i) => (is ? [i + 1] : []));
  return `variable on ${numbers.length === 1 ? 'span' : 'spans'} ${numbers.join(', ')}`;
}
