import type { ImposedReduction, LoadCase, Nature, ReducibleFloor, ReductionRole, Use } from '../../load';
import type { Sheet } from '../../sheet';
import type { Curve } from './steel/curve';

/** Factors of a variable action, EN 1990 table A1.1. */
export interface Psi {
  /** Combination value. */
  readonly psi0: number;
  /** Frequent value. */
  readonly psi1: number;
  /** Quasi-permanent value. */
  readonly psi2: number;
}

/** Natures of variable cases that have one set of psi each. */
export type NatureWithPsi = Extract<Nature, 'roofImposed' | 'snow' | 'wind' | 'temperature'>;

/** What an annex says of actions and their combination, EN 1990 annex A1. */
export interface ActionsAnnex {
  readonly psiOfUse: Readonly<Record<Use, Psi>>;
  readonly psiOfNature: Readonly<Record<NatureWithPsi, Psi>>;
  /** Partial factors of strength, table A1.2(B). */
  readonly gammaG: number;
  readonly gammaQ: number;
  /** Reduction of unfavourable permanent load in 6.10b. */
  readonly xi: number;
  /** Of permanent load in equilibrium, table A1.2(A): where it overturns, and where it holds. */
  readonly equilibrium: { readonly unfavourable: number; readonly favourable: number; readonly source: string };
}

/** Curves of lateral-torsional buckling for a kind of section, EN 1993-1-1 6.3.2. */
export interface LateralTorsionalCurves {
  /** Curve up to a ratio h/b, in rising order; the last holds beyond. */
  readonly byRatio: readonly (readonly [upTo: number, curve: Curve])[];
  readonly plateau: number;
  readonly beta: number;
  /** By the general case of 6.3.2.2, which has no correction for the moment diagram. */
  readonly isGeneral?: boolean;
}

/** What an annex says of steel, EN 1993-1-1 and EN 1993-1-5. */
export interface SteelAnnex {
  /** Partial factors: yielding, instability, fracture of the net section. */
  readonly gammaM0: number;
  readonly gammaM1: number;
  readonly gammaM2: number;
  /** Where they are said. */
  readonly partialFactors: string;
  /** Shear of webs over that of the plastic theory, EN 1993-1-5 5.1(2); grades up to S460. */
  readonly eta: number;
  readonly etaSource: string;
  readonly lateralTorsional: {
    readonly rolledI: LateralTorsionalCurves;
    readonly weldedI: LateralTorsionalCurves;
    readonly hotHollow: LateralTorsionalCurves;
    readonly coldHollow: LateralTorsionalCurves;
    readonly other: LateralTorsionalCurves;
    readonly otherWelded: LateralTorsionalCurves;
    readonly source: string;
    /** How the moment diagram counts in f of 6.3.2.3(2): by C1, or by the diagrams of table 6.6. */
    readonly correction: 'C1' | 'table 6.6';
    readonly correctionSource: string;
  };
}

/** What an annex says of concrete, EN 1992-1-1. */
export interface ConcreteAnnex {
  readonly gammaC: number;
  readonly gammaS: number;
  readonly partialFactors: string;
  /** Of the strength in bending and axial force, 3.1.6(1). */
  readonly alphaCC: number;
  readonly alphaCT: number;
  /** Of nu f_cd in punching at the column, 6.4.5(3). */
  readonly punchingAtColumn: number;
  readonly punchingSource: string;
}

/**
 * A national annex: what the Eurocodes leave to each country, as far as the clauses here read it. A family of the Eurocodes is made from one by
 * `createEuropean`; clauses get it as an argument and know no other.
 */
export interface Annex {
  readonly title: string;
  /** What stands beside the standards in the list of editions. */
  readonly edition: string;
  readonly actions: ActionsAnnex;
  readonly imposedReduction: (floors: readonly ReducibleFloor[], role: ReductionRole, sheet?: Sheet) => ImposedReduction | null;
  readonly steel: SteelAnnex;
  readonly concrete: ConcreteAnnex;
  /** What a user of it is to know, among what is not covered. */
  readonly cautions: readonly string[];
}

/** Factors of a variable case; permanent load is not combined, and seismic and accidental actions have combinations of their own. */
export function psiOf({ psiOfUse, psiOfNature }: ActionsAnnex, { nature, use }: LoadCase): Psi {
  if (nature === 'imposed') return psiOfUse[use ?? 'A'];
  if (nature === 'roofImposed' || nature === 'snow' || nature === 'wind' || nature === 'temperature') return psiOfNature[nature];
  throw new Error(`a ${nature} case has no psi`);
}
