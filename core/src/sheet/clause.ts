/** Where a rule stands: the document, and the number in it. What is no standard's has no document, and says what it is instead. */
export interface Clause {
  /** The standard with its edition, as it is cited; empty: no standard. */
  readonly document: string;
  /** Clause, equation or table; without a document what the rule is, such as statics. */
  readonly number: string;
}

/** Cites clauses of one document. */
export const citing =
  (document: string) =>
  (number: string): Clause => ({ document, number });

/** What a rule is that stands in no standard. */
export const byRule = citing('');

/** A clause as it is printed; a line of a sheet may say in words where it comes from. */
export const clauseText = (clause: Clause | string): string =>
  typeof clause === 'string' ? clause : `${clause.document} ${clause.number}`.trim();
