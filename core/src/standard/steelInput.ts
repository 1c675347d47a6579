import type { AskedOfBeam } from '../input';
import type { SteelGrade } from '../material';
import type { Section } from '../section';
import type { Basis } from '../sheet';

/** A stretch of a beam between two places where its compression flange is held sideways, with the moments along it. */
export interface Segment {
  /** mm from the beam's start */
  readonly from: number;
  readonly to: number;
  /** Signed moments, Nmm, sagging positive: at quarter points, and the one of largest magnitude. */
  readonly quarters: readonly [number, number, number];
  readonly peak: number;
  /** Moments at its two ends, where they are known. */
  readonly ends?: readonly [number, number];
  /** The segment ends in a free tip that nothing holds sideways. */
  readonly freeTip: boolean;
  /** The tension flange is held along the segment and the other is not: `peak` is the largest moment that presses the free one. */
  readonly tensionFlangeHeld: boolean;
  /** The flange whose restraints bound the segment; left out: those of both, or of the one that is pressed. */
  readonly flange?: 'top' | 'bottom';
  /** The largest magnitude of either sign, Nmm, where the tension flange is held; left out: that of `peak`. */
  readonly largest?: number;
  /** Load stands on the top flange and moves with it; left out: it acts at the shear centre. */
  readonly loadOnTop?: boolean;
  /** What a numerical solution of lateral-torsional buckling multiplies the segment's moments by until it buckles, by section. */
  readonly critical?: (section: Section, E: number, G: number) => number;
}

/** Least and largest moment of a segment as far as they are known: at its ends, its quarters, and the peak. Nmm, sagging positive. */
export function segmentRange({ peak, quarters, ends = [0, 0] }: Segment): readonly [least: number, most: number] {
  return [Math.min(0, peak, ...quarters, ...ends), Math.max(0, peak, ...quarters, ...ends)];
}

/**
 * A segment once for each sense of bending that is in it, each with the largest moment of that sense; uniform where that is not the largest of all. For
 * shapes whose two sides are not alike.
 */
export function bySense(segment: Segment): Segment[] {
  const [least, most] = segmentRange(segment);
  const little = 1e-9 * Math.max(most, -least);
  return [most, least]
    .filter((peak) => Math.abs(peak) > little)
    .map((peak) => (peak === segment.peak ? segment : { ...segment, peak, quarters: [peak, peak, peak], ends: [peak, peak] }));
}

/** What one combination does to a beam: concurrent, and of one basis. Nmm, N. */
export interface BeamActions {
  readonly basis: Basis;
  readonly combination: string;
  readonly moment: number;
  readonly shear: number;
  /** The least and the largest moment along the beam, sagging positive; left out: either sign may come. */
  readonly range?: readonly [least: number, most: number];
  /** Segments in which the compression flange is not held along its length. */
  readonly segments: readonly Segment[];
}

/** Flanges that the moments press somewhere along a beam: what matters where the two are not alike. */
export function pressedFlanges({ range }: Pick<BeamActions, 'range'>): readonly ('top' | 'bottom')[] {
  const [least, most] = range ?? [-1, 1];
  const little = 1e-9 * Math.max(most, -least);
  const [sags, hogs] = [most > little, least < -little];
  return sags === hogs ? ['top', 'bottom'] : sags ? ['top'] : ['bottom'];
}

/** Whether bending about the axis called minor is bending about the stronger one, so that an open shape may lean over. Tubes never do. */
export function bucklesSideways({ shape, properties }: Section): boolean {
  return shape.outline !== 'tube' && properties.Iz > properties.Iy * (1 + 1e-6);
}

/** Least and largest moment of a shape, on the parabola through its start, middle and end. */
export function rangeOf(shape: MomentShape): readonly [least: number, most: number] {
  const { start, middle, end, peak } = shape;
  const bend = 2 * (start - 2 * middle + end);
  const turn = (3 * start - 4 * middle + end) / (2 * bend);
  const turned = turn > 0 && turn < 1 ? momentAt(shape, turn) : start;
  return [Math.min(start, middle, end, peak, turned), Math.max(start, middle, end, peak, turned)];
}

export interface SteelBeamInput {
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly actions: BeamActions;
  /** What limit states ask beside; left out: nothing is typed. */
  readonly asked?: AskedOfBeam;
}

export interface SteelColumnInput {
  readonly section: Section;
  readonly grade: SteelGrade;
  /** Compression positive, N. */
  readonly axial: number;
  readonly basis: Basis;
  readonly combination: string;
  /** Effective lengths for buckling about y (major), z (minor) and in torsion, mm. */
  readonly lengthY: number;
  readonly lengthZ: number;
  readonly lengthT: number;
  /**
   * Moments of beams that bear off the axis, Nmm, the larger end's, falling to nothing at the other or turning round there; about the
   * major axis with the combination's axial force. Left out: nothing bears on it, or all of it centrally.
   */
  readonly moments?: { readonly major: number; readonly minor: number };
}

/** Moments between two supports in one plane: signed, Nmm; ends, middle, and the largest magnitude. */
export interface MomentShape {
  readonly start: number;
  readonly middle: number;
  readonly end: number;
  readonly peak: number;
}

/** Moment at a part of a length, on the parabola through its start, middle and end. */
export const momentAt = ({ start, middle, end }: Pick<MomentShape, 'start' | 'middle' | 'end'>, x: number): number =>
  start * (1 - x) * (1 - 2 * x) + middle * 4 * x * (1 - x) + end * x * (2 * x - 1);

/** Moment of the largest magnitude between two parts of a length, signed, on the parabola through start, middle and end: its own turn counts. */
export function peakBetween(shape: Pick<MomentShape, 'start' | 'middle' | 'end'>, from = 0, to = 1): number {
  const { start, middle, end } = shape;
  const bend = 2 * (start - 2 * middle + end);
  const turn = (3 * start - 4 * middle + end) / (2 * bend);
  const places = turn > from && turn < to ? [from, to, turn] : [from, to];
  return places.map((x) => momentAt(shape, x)).reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
}

/** What one combination does to a member, all at once and of one basis. N, Nmm. */
export interface MemberActions {
  readonly basis: Basis;
  readonly combination: string;
  /** Compression positive. */
  readonly axial: number;
  readonly major: MomentShape;
  readonly minor: MomentShape;
  /** Along the depth, and across it. */
  readonly shear: number;
  readonly shearAcross: number;
  /** Torque about the member's axis, Nmm; left out: none. */
  readonly torsion?: number;
  /** Segments in which the compression flange is not held along its length. */
  readonly segments: readonly Segment[];
}

export interface SteelMemberInput {
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly actions: MemberActions;
  /** Effective lengths for buckling about y (major), z (minor) and in torsion, mm. */
  readonly lengthY: number;
  readonly lengthZ: number;
  readonly lengthT: number;
  /** Net area at holes, mm2; null where there are none. */
  readonly netArea: number | null;
  /** A channel loaded through its shear centre, or held against twisting: without that it is not proved in bending. */
  readonly untwisted: boolean;
}

/** A single angle in compression connected by one leg. N, mm. */
export interface AngleStrutInput {
  readonly section: Section;
  readonly grade: SteelGrade;
  /** Compression, positive. */
  readonly axial: number;
  /** Of the system: between the points where its axis meets those of what it is connected to. */
  readonly length: number;
  /** Which leg is connected; of equal legs either. */
  readonly leg: 'long' | 'short';
  readonly fastening: 'boltsOrWeld' | 'oneBolt';
  /** Of a planar truss or alone, or of a space truss; read where a family tells them apart. */
  readonly arrangement?: 'planar' | 'space';
  readonly basis: Basis;
  readonly combination: string;
}

/** A force that enters a web through a flange. N, mm. */
export interface WebForceInput {
  readonly section: Section;
  readonly grade: SteelGrade;
  /** Compression, positive. */
  readonly force: number;
  /** Stiff length along the member over which it enters. */
  readonly bearing: number;
  /** From the middle of that length to the nearer end of the member. */
  readonly toEnd: number;
  /** The largest bending moment there, Nmm, magnitude. */
  readonly moment: number;
  /** A like force stands against it at the other flange: the web is pressed from both sides. */
  readonly opposed?: boolean;
  /**
   * The loaded flange may move sideways from the other there: its longest unbraced length along either flange, mm, and whether it is held against
   * turning. Left out: it may not.
   */
  readonly sidesway?: { readonly unbraced: number; readonly rotationHeld: boolean };
  readonly basis: Basis;
  readonly combination: string;
}
