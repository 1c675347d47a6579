import { clauseText, type Clause } from './clause';
import type { Kind } from '../quantity';
import type { Check } from './verdict';

/** A symbol that a formula may use and that no formula of the sheet computes: typed, measured, or handed down. */
export interface Given {
  readonly type: 'given';
  readonly symbol: string;
  readonly value: number;
  readonly kind: Kind;
  readonly meaning: string;
  readonly source?: string;
}

/** One line of computation: what stands here is what was computed. */
export interface Step {
  readonly type: 'step';
  readonly symbol: string;
  readonly formula: string;
  readonly inputs: Readonly<Record<string, number>>;
  readonly value: number;
  readonly kind: Kind;
  readonly clause: string;
  readonly meaning?: string;
}

/** A value read from a table of a standard. */
export interface Lookup {
  readonly type: 'lookup';
  readonly symbol: string;
  readonly value: number;
  readonly kind: Kind;
  readonly table: string;
  readonly row: string;
  readonly clause: string;
}

/** A condition that decided which way the calculation went on. */
export interface Branch {
  readonly type: 'branch';
  readonly condition: string;
  readonly inputs: Readonly<Record<string, number>>;
  readonly holds: boolean;
  readonly clause: string;
  readonly consequence: string;
}

/** Something taken for true that the calculation does not prove. `key` is stable within its item. */
export interface Assumption {
  readonly type: 'assumption';
  readonly key: string;
  readonly text: string;
  readonly reason: string;
}

export interface Verdict {
  readonly type: 'verdict';
  readonly check: Check;
}

/** What a whole sheet comes to, in words. */
export interface Conclusion {
  readonly type: 'conclusion';
  readonly text: string;
}

export interface Note {
  readonly type: 'note';
  readonly text: string;
}

export interface Scope {
  readonly type: 'scope';
  readonly title: string;
  readonly entries: readonly Entry[];
}

export type Entry = Given | Step | Lookup | Branch | Assumption | Verdict | Conclusion | Note | Scope;

/**
 * The recorder that is passed into a calculation. Formulas are written so that a reader of arithmetic can evaluate them
 * (`sqrt`, `min`, `max`, `pi`, `^`); symbols carry their subscript behind an underscore (`N_bRd`, `lambda_LT`).
 * Every symbol of a formula is a given, a look-up or an earlier step of this scope or of one around it: `audit` proves it.
 * Calls are written `sheet?.step(...)`, so that without a sheet nothing is evaluated.
 */
export class Sheet {
  readonly entries: Entry[] = [];

  given(symbol: string, value: number, kind: Kind, meaning: string, source?: string): void {
    this.entries.push({ type: 'given', symbol, value, kind, meaning, source });
  }

  step(
    symbol: string,
    formula: string,
    inputs: Record<string, number>,
    value: number,
    kind: Kind,
    clause: Clause | string,
    meaning?: string,
  ): void {
    const source = clauseText(clause);
    // a formula of no symbols is a number that the clause gives
    if (Object.keys(inputs).length === 0) this.entries.push({ type: 'given', symbol, value, kind, meaning: meaning ?? '', source });
    else this.entries.push({ type: 'step', symbol, formula, inputs, value, kind, clause: source, meaning });
  }

  lookup(symbol: string, value: number, kind: Kind, table: string, row: string, clause: Clause | string): void {
    this.entries.push({ type: 'lookup', symbol, value, kind, table, row, clause: clauseText(clause) });
  }

  branch(condition: string, inputs: Record<string, number>, holds: boolean, clause: Clause | string, consequence: string): void {
    this.entries.push({ type: 'branch', condition, inputs, holds, clause: clauseText(clause), consequence });
  }

  assume(key: string, text: string, reason: string): void {
    this.entries.push({ type: 'assumption', key, text, reason });
  }

  verdict(check: Check): void {
    this.entries.push({ type: 'verdict', check });
  }

  note(text: string): void {
    this.entries.push({ type: 'note', text });
  }

  /** Opens a part of the sheet with symbols of its own; it sees those of the parts around it. */
  scope(title: string): Sheet {
    const inner = new Sheet();
    this.entries.push({ type: 'scope', title, entries: inner.entries });
    return inner;
  }
}

/** All entries of one type, depth first. */
export function entriesOf<T extends Entry['type']>(entries: readonly Entry[], type: T): Extract<Entry, { type: T }>[] {
  const found: Extract<Entry, { type: T }>[] = [];
  for (const entry of entries) {
    if (entry.type === type) found.push(entry as Extract<Entry, { type: T }>);
    if (entry.type === 'scope') found.push(...entriesOf(entry.entries, type));
  }
  return found;
}
