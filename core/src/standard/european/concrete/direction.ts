import type { PadInput } from '../../standard';

/** One way in which a pad bends, with the bars that hold it. */
export interface Direction {
  readonly id: 'x' | 'y';
  readonly title: string;
  /** Extent of the pad along the bars and across them; outline of the column along the bars. mm */
  readonly span: number;
  readonly across: number;
  readonly column: number;
  readonly d: number;
}

/** Width of a column to whose face the pad bends, mm: of a round one that of the square of equal area. */
export const faceOf = ({ isRound }: PadInput, width: number) => (isRound ? Math.sqrt(Math.PI / 4) * width : width);
