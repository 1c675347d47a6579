/** Number of letters to insert, delete, replace or swap with their neighbour to turn one word into another (Damerau-Levenshtein). */
function editDistance(a: string, b: string): number {
  let beforeLast: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1];
      let least = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + (same ? 0 : 1));
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) least = Math.min(least, beforeLast[j - 2]! + 1);
      row.push(least);
    }
    beforeLast = last;
    last = row;
  }
  return last[b.length]!;
}

const plain = (word: string) => word.toLowerCase().replace(/[^a-z0-9]/g, '');

/** The known word that is most like one that is not known; null when none is like it. */
export function nearestKnown(word: string, known: readonly string[]): string | null {
  const typed = plain(word).slice(0, 60);
  let found: string | null = null;
  let least = Math.max(2, Math.floor(typed.length / 2)) + 1;
  for (const candidate of known) {
    const distance = editDistance(typed, plain(candidate));
    if (distance < least) [found, least] = [candidate, distance];
  }
  return found;
}
