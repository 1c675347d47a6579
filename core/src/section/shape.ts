/** The outlines for which properties are computed. All dimensions in mm. */

/** Flanges that grow thinner outwards: by `slope` per mm, and as thick as tf at `at` mm from the middle of the web (I) or its back (channel). */
export interface Taper {
  readonly slope: number;
  readonly at: number;
}

/** Doubly symmetric rolled I or H: overall depth h, width b, web tw, flange tf, root radius r. */
export interface IShape {
  readonly outline: 'I';
  readonly h: number;
  readonly b: number;
  readonly tw: number;
  readonly tf: number;
  readonly r: number;
  readonly taper?: Taper;
}

/** Welded I of unequal flanges, each centred on the web: top flange b by tf, bottom flange bBottom by tfBottom, overall depth h, web tw. */
export interface UnequalIShape {
  readonly outline: 'unequalI';
  readonly h: number;
  readonly b: number;
  readonly tf: number;
  readonly bBottom: number;
  readonly tfBottom: number;
  readonly tw: number;
}

/** Channel, web on the left: the same dimensions. */
export interface ChannelShape {
  readonly outline: 'channel';
  readonly h: number;
  readonly b: number;
  readonly tw: number;
  readonly tf: number;
  readonly r: number;
  readonly taper?: Taper;
}

/** Rectangular or square hollow: depth h, width b, wall t, outer and inner corner radius. */
export interface BoxShape {
  readonly outline: 'box';
  readonly h: number;
  readonly b: number;
  readonly t: number;
  readonly ro: number;
  readonly ri: number;
}

/** Circular hollow: outside diameter d, wall t. */
export interface TubeShape {
  readonly outline: 'tube';
  readonly d: number;
  readonly t: number;
}

/** Tee cut from an I, flange on top: overall depth h, width b, stem tw, flange tf, root radius r. */
export interface TeeShape {
  readonly outline: 'tee';
  readonly h: number;
  readonly b: number;
  readonly tw: number;
  readonly tf: number;
  readonly r: number;
}

/** Angle, corner at the lower left: vertical leg h (the longer), horizontal leg b, thickness t, root radius r, toe radius. */
export interface AngleShape {
  readonly outline: 'angle';
  readonly h: number;
  readonly b: number;
  readonly t: number;
  readonly r: number;
  readonly toe: number;
}

export type Shape = IShape | UnequalIShape | ChannelShape | BoxShape | TubeShape | TeeShape | AngleShape;

/** Section properties about the centroid: y is the major axis (horizontal), z the minor. mm units. */
export interface SectionProperties {
  readonly A: number;
  readonly Iy: number;
  readonly Iz: number;
  /** Elastic moduli of the more distant face; Wely to the top and bottom faces apart. */
  readonly Wely: number;
  readonly WelTop: number;
  readonly WelBottom: number;
  readonly Welz: number;
  readonly Wply: number;
  readonly Wplz: number;
  readonly iy: number;
  readonly iz: number;
  /** St Venant torsion constant. */
  readonly It: number;
  /** Warping constant; 0 for closed shapes, whose warping is neglected. */
  readonly Iw: number;
  /** Distance of the centroid from the left face (channels: from the back of the web). */
  readonly cz: number;
  /** Distance of the centroid below the top face. */
  readonly cy: number;
  /** Shear centre from the centroid along y, positive to the right, and along z, positive upward. */
  readonly shearCentre: number;
  readonly shearCentreUp: number;
  /**
   * Asymmetry of the outline about its major axis, mm: z_s less half of the integral of z (y2 + z2) dA over Iy, z upward from the centroid; what
   * is above is pressed. 0 for outlines that are the same above and below; not written for angles.
   */
  readonly zj: number;
  /** Product of inertia, positive where material lies up to the right and down to the left. */
  readonly Iyz: number;
  /** Principal second moments, largest first; their radii of gyration; angle from the y axis to the strong axis, rad, anticlockwise. */
  readonly Iu: number;
  readonly Iv: number;
  readonly iu: number;
  readonly iv: number;
  readonly principal: number;
  /** Overall depth and width. */
  readonly depth: number;
  readonly width: number;
}

/** How a section is made: which buckling curves and grades apply. */
export type Product = 'rolled' | 'welded' | 'hollow' | 'round';
