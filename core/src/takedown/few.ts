/**
 * A list with one more. Lists of a few are made anew at their exact size, since a list that grows keeps room for a dozen more, and there
 * are tens of thousands of lists of two; longer ones grow in place.
 */
export function withOneMore<T>(list: readonly T[], entry: T): readonly T[] {
  switch (list.length) {
    case 0:
      return [entry];
    case 1:
      return [list[0]!, entry];
    case 2:
      return [list[0]!, list[1]!, entry];
    case 3:
      return [list[0]!, list[1]!, list[2]!, entry];
    default:
      // one of four or more was made here
      (list as T[]).push(entry);
      return list;
  }
}
