import type { ImposedReduction, LoadRules, ReducibleFloor, ReducibleRoof, ReductionRole, RoofReduction } from '../load';
import type { SteelGrade } from '../material';
import type { Section } from '../section';
import type { Assumption, Basis, Check, Sheet } from '../sheet';
import type { EffectiveLengths } from './effectiveLengths';
import type { AngleStrutInput, SteelBeamInput, SteelColumnInput, SteelMemberInput, WebForceInput } from './steelInput';
import type { PadInput, PadStrength } from './padInput';

/** A way of proving safety within a family: which loads it wants and how it is called on the sheet. */
export interface Philosophy {
  readonly id: string;
  readonly title: string;
  readonly basis: Basis;
  readonly rules: LoadRules;
}

/** Actions of a family: how they are combined, and where imposed load may be reduced. */
export interface LoadsCapability {
  readonly philosophies: readonly Philosophy[];
  /** Philosophies to be shown side by side for a member of a project that works by `chosen`. */
  readonly compared: (chosen: string) => readonly Philosophy[];
  /** Reduction of imposed floor load for one member; null when nothing qualifies or nothing is gained. */
  readonly imposedReduction: (floors: readonly ReducibleFloor[], role: ReductionRole, sheet?: Sheet) => ImposedReduction | null;
  /** Reduction of the imposed load of roofs on a member; left out: the standard has none. */
  readonly roofReduction?: (roofs: readonly ReducibleRoof[], sheet?: Sheet) => RoofReduction | null;
  /** Clause that wants variable load where it harms most. */
  readonly arrangementClause: string;
  /** Fields that its clauses do not read where another family's do. */
  readonly unread: { readonly floors: readonly 'intensity'[] };
}

/** Steel members. */
export interface SteelCapability {
  /** Young's modulus of its steel, MPa. */
  readonly youngsModulus: (grade: SteelGrade) => number;
  /** Declared inputs that its limit states of beams read. */
  readonly beamReads: readonly string[];
  readonly beam: (input: SteelBeamInput, philosophy: Philosophy, sheet?: Sheet) => Check[];
  readonly column: (input: SteelColumnInput, philosophy: Philosophy, sheet?: Sheet) => Check[];
  /** Any member under forces and moments that are already combined. */
  readonly member: (input: SteelMemberInput, philosophy: Philosophy, sheet?: Sheet) => Check[];
  /** Local slenderness in words, alone in bending about the major axis and alone in compression: class 1, or compact. */
  readonly localSlenderness: (section: Section, grade: SteelGrade) => { readonly bending: string; readonly compression: string };
  /** A single angle connected by one leg; null where the family has none written. Fields that its clauses do not read. */
  readonly angleStrut: {
    readonly check: (input: AngleStrutInput, philosophy: Philosophy, sheet?: Sheet) => Check[];
    readonly unread: readonly ('leg' | 'arrangement')[];
  } | null;
  /** A web under a force through its flange: yielding, crippling, buckling, without stiffeners. */
  readonly webForce: (input: WebForceInput, philosophy: Philosophy, sheet?: Sheet) => Check[];
  /** Clauses that the sheets cite for load entering a web through a flange. */
  readonly webClause: string;
  /** What the family's check of a member takes for granted, to be recorded wherever it is used. */
  readonly memberAssumptions: readonly Assumption[];
  /** Effective lengths of columns with ideal ends. */
  readonly effectiveLengths: EffectiveLengths;
  /** How far beyond a column's face a beam's reaction is taken to act in simple construction, mm, and where that is said. */
  readonly nominalEccentricity: { readonly beyondFace: number; readonly source: string };
  /** Fields that its clauses do not read where another family's do: its tools do not offer them and refuse them by name. */
  readonly unread: {
    readonly member: readonly ('lengthT' | 'throughShearCentre')[];
    readonly webForce: readonly ('moment' | 'opposed' | 'unbraced' | 'rotationHeld')[];
  };
}

/** Reinforced concrete: pads. */
export interface ConcreteCapability {
  /** Declared inputs that its limit states of pads read. */
  readonly padReads: readonly string[];
  readonly pad: (input: PadInput, sheet?: Sheet) => PadStrength;
  /** Thicknesses in which pads are built, mm: steps, the least of a reinforced one, the least of a plain one by the rule of thumb. */
  readonly padThickness: { readonly step: number; readonly least: number; readonly leastOfThumb: number };
  /** The philosophy whose loads concrete strength is designed for. */
  readonly philosophy: (chosen: string) => Philosophy;
}
