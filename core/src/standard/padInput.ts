import type { AskedOfPad } from '../input';
import type { Bar, Concrete } from '../material';
import type { Check } from '../sheet';

/** A concentrically loaded pad. mm, N, MPa. */
export interface PadInput {
  /** Along x and y. */
  readonly width: number;
  readonly length: number;
  readonly thickness: number;
  /** Outline through which the load enters, along x and y. */
  readonly columnWidth: number;
  readonly columnDepth: number;
  /** The column is round, of this diameter: both of the above. Left out: it is rectangular. */
  readonly isRound?: boolean;
  readonly concrete: Concrete;
  readonly bar: Bar;
  readonly fy: number;
  readonly cover: number;
  /** What limit states ask beside; left out: nothing is typed. */
  readonly asked?: AskedOfPad;
  /**
   * The column and its load off the middle of the pad, along x and y; left out: it stands in the middle. The whole base is in contact under it: who asks has
   * seen to that.
   */
  readonly off?: { readonly x: number; readonly y: number };
  /** Column load on the pad that the strength of concrete is designed for. */
  readonly factored: { readonly force: number; readonly combination: string };
}

/** A column that stands in the middle. */
export const CENTRAL = { x: 0, y: 0 } as const;

export interface PadStrength {
  readonly checks: Check[];
  /** Bars each way: number and area needed and given, mm2; null when the section cannot be reinforced enough. */
  readonly bars: { readonly alongX: BarLayer; readonly alongY: BarLayer } | null;
}

export interface BarLayer {
  readonly count: number;
  readonly spacing: number;
  readonly needed: number;
  readonly provided: number;
}
