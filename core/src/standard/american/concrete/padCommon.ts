import type { PadSide } from '../../padSides';
import type { PadInput } from '../../standard';

/** Strength reduction factors, ACI 318-19 table 21.2.1. */
export const PHI_FLEXURE = 0.9;
export const PHI_SHEAR = 0.75;
/** One psi in MPa: ACI's formulas with a bare square root of f'c are in psi, and are kept so. */
export const PSI = 6.894757293168361e-3;
export const INCH = 25.4;

export const SIDE = { pressure: 'q_u', projection: 'a_p', clause: '13.2.7.1' } as const;

export interface Direction {
  readonly id: 'x' | 'y';
  readonly title: string;
  readonly span: number;
  readonly across: number;
  readonly column: number;
  readonly d: number;
  /** The sides that the pressure bends. */
  readonly sides: readonly PadSide[];
}

/** Square root of f'c for shear, psi, not above 100 psi, ACI 318-19 22.5.3.1. fc: MPa. */
export const rootPsi = (fc: number) => Math.min(100, Math.sqrt(fc / PSI));

/** Width of a column to whose face the pad bends, mm: of a round one that of the square of equal area, ACI 318-19 13.2.7.3. */
export const faceOf = ({ isRound }: PadInput, width: number) => (isRound ? Math.sqrt(Math.PI / 4) * width : width);
