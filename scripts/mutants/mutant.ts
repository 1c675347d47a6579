/** One line of the program put back to what was wrong, and the test that must then fail. */
export interface Mutant {
  /** What it belongs to: an issue's part and point. */
  readonly point: string;
  /** What goes wrong with it. */
  readonly fault: string;
  readonly file: string;
  /** Text of the file, which stands in it once. */
  readonly now: string;
  readonly wrong: string;
  /** File of the tests that must fail; further words choose a test by its name. */
  readonly test: string;
  readonly named?: string;
}
