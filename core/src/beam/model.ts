/** A support of a line beam. Fixed supports hold rotation; all supports hold both upward and downward. */
export interface BeamSupport {
  readonly at: number;
  readonly fixed?: boolean;
  /** What it yields under, N/mm; left out: it does not. */
  readonly spring?: number | undefined;
  /** What it turns under, Nmm/rad; left out: it turns freely, or not at all where it is fixed. */
  readonly rotationSpring?: number | undefined;
  /** How far it sinks, mm, downward; what stands on a spring sinks with the spring's foot. */
  readonly settlement?: number | undefined;
}

/** A part of a beam that is stiffer, or less stiff, than the rest. */
export interface BeamStretch {
  /** mm from the left end. */
  readonly from: number;
  readonly to: number;
  /** Its EI as a multiple of that of the beam. */
  readonly factor: number;
}

/** A straight beam. */
export interface LineBeam {
  /** mm */
  readonly length: number;
  /** E times I, Nmm2, where no stretch has another. */
  readonly EI: number;
  readonly supports: readonly BeamSupport[];
  /** Positions of internal hinges, mm. */
  readonly hinges?: readonly number[] | undefined;
  /** Stretches of another stiffness, which do not overlap. */
  readonly stretches?: readonly BeamStretch[] | undefined;
}

export interface Reaction {
  readonly at: number;
  /** N, upward positive. */
  readonly force: number;
  /** Nmm, anticlockwise positive (it opposes a clockwise load); 0 where it turns freely. */
  readonly moment: number;
}

/** A stretch of beam without a break: polynomials in the distance from `from`. */
export interface Piece {
  readonly from: number;
  readonly to: number;
  /** N, positive when the part to the left pushes up. */
  readonly shear: readonly number[];
  /** Nmm, sagging positive. */
  readonly moment: readonly number[];
  /** rad, positive when falling to the right. */
  readonly slope: readonly number[];
  /** mm, downward positive. */
  readonly deflection: readonly number[];
}

export interface Extreme {
  readonly value: number;
  readonly at: number;
}

export interface Extremes {
  readonly max: Extreme;
  readonly min: Extreme;
}

export type Effect = 'shear' | 'moment' | 'deflection';
