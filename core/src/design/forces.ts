import type { Nature, Use } from '../load';
import type { Sheet } from '../sheet';

/** Moments at the start, in the middle and at the end of a length, Nmm, sagging positive. A middle that is left out lies on the straight line. */
export interface ThreeMoments {
  readonly start: number;
  readonly middle?: number;
  readonly end: number;
}

/** End forces of one member as a frame analysis gives them: all at once. N, Nmm; axial: compression positive. */
export interface ForceSet {
  readonly name: string;
  /** Case that brings them; read where sets are given by case. */
  readonly nature: Nature;
  readonly use?: Use | undefined;
  /** Name of the action that it is a part of: sets of one action are there all at once or not at all; empty: it is one by itself. Read of sets by case. */
  readonly action?: string | undefined;
  /** It acts the other way as well, with all its forces turned round together. */
  readonly bothWays?: boolean | undefined;
  /**
   * Name of the set whose vertical load causes it: a notional load, there whenever that set is and with its factor, to
   * either side. It has the nature and use of that set. Read of sets by case.
   */
  readonly notionalOf?: string | undefined;
  readonly axial: number;
  readonly major: ThreeMoments;
  readonly minor: ThreeMoments;
  readonly shear: number;
  readonly shearAcross: number;
  /** Torque, Nmm. */
  readonly torsion: number;
}

/** The forces of a set. */
export type Forces = Omit<ForceSet, 'name' | 'nature' | 'use' | 'action' | 'bothWays' | 'notionalOf'>;

/** Forces that act at once, with what they are. */
export interface NamedForces {
  readonly name: string;
  readonly clause: string;
  readonly forces: Forces;
  /** Where they come from, on the sheet. */
  readonly record?: (sheet: Sheet) => void;
}

/** Moment in the middle, Nmm: as typed, or on the straight line between the ends. */
export const middleOf = ({ start, middle, end }: ThreeMoments): number => middle ?? (start + end) / 2;
