import type { PadSide } from '../../padSides';
import type { PadInput } from '../../standard';

/** How the pressure and the projection of a side are printed. */
export const SIDE = { pressure: 'p', projection: 'a', clause: '9.8.2.1' } as const;

/** One way in which a pad bends, with the bars that hold it. */
export interface Direction {
  readonly id: 'x' | 'y';
  readonly title: string;
  /** Extent of the pad along the bars and across them; outline of the column along the bars. mm */
  readonly span: number;
  readonly across: number;
  readonly column: number;
  readonly d: number;
  /** The sides that the pressure bends. */
  readonly sides: readonly PadSide[];
}

/** Width of a column to whose face the pad bends, mm: of a round one that of the square of equal area. */
export const faceOf = ({ isRound }: PadInput, width: number) => (isRound ? Math.sqrt(Math.PI / 4) * width : width);
