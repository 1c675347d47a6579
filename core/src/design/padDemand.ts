import type { Footing } from '../building';
import type { Check, Sheet } from '../sheet';
import type { PadInput } from '../standard';
import type { Ground } from './padBearing';

export interface PadSize {
  /** Along x and y, mm. */
  readonly width: number;
  readonly length: number;
}

/** What is asked of a pad: how large it has to be, what it does to the ground, and what its concrete has to carry. */
export interface PadDemand {
  /** Largest service load, N. */
  readonly service: number;
  /** Least size on a grid; sides that are given stay. Null: the soil can never carry it. */
  readonly size: (given: Pick<Footing, 'width' | 'length'>, step: number, thickness: number, ground: Ground) => PadSize | null;
  readonly bearing: (size: PadSize, thickness: number, ground: Ground, source: string, sheet?: Sheet) => PadBearing;
  readonly strength: (size: PadSize, thickness: number, ground: Ground, sheet?: Sheet) => PadFactored;
}

export interface PadBearing {
  /** Largest pressure, as the bearing is allowed: gross or net, MPa. */
  readonly pressure: number;
  /** The part of the sheet on which it stands. */
  readonly sheet: Sheet | undefined;
  /** Made, and recorded, when asked for. */
  readonly checks: () => Check[];
}

export interface PadFactored {
  /** Null: its concrete is not checked, and `checks` say why. */
  readonly factored: PadInput['factored'] | null;
  /** The load off the middle; left out: it stands in it. */
  readonly off?: NonNullable<PadInput['off']>;
  readonly checks: readonly Check[];
  readonly sheet: Sheet | undefined;
}
