/** The small family of errors that the core throws. Each message is written for the person who can act on it. */

/** Base of all errors of the core; `code` is stable and crosses the API. */
export abstract class PlinthError extends Error {
  abstract readonly code: 'bad-input' | 'unstable' | 'outside-scope';
  constructor(
    message: string,
    /** Dotted path of the input field at fault, when one field is. */
    readonly field?: string,
  ) {
    super(message);
    this.name = new.target.name;
  }
}

/** What was typed or sent cannot be used: says what is wrong and what a right value looks like. */
export class BadInput extends PlinthError {
  readonly code = 'bad-input';
}

/** The structure is a mechanism: it cannot stand as described. */
export class Unstable extends PlinthError {
  readonly code = 'unstable';
}

/** A formula was asked outside the range for which it is written; no number is given. */
export class OutsideScope extends PlinthError {
  readonly code = 'outside-scope';
}
