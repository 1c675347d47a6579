/** The outlines for which properties are computed. All dimensions in mm. */

/** Doubly symmetric rolled I or H: overall depth h, width b, web tw, flange tf, root radius r. */
export interface IShape {
  readonly outline: 'I';
  readonly h: number;
  readonly b: number;
  readonly tw: number;
  readonly tf: number;
  readonly r: number;
}

/** Parallel flange channel, web on the left: the same dimensions. */
export interface ChannelShape {
  readonly outline: 'channel';
  readonly h: number;
  readonly b: number;
  readonly tw: number;
  readonly tf: number;
  readonly r: number;
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

export type Shape = IShape | ChannelShape | BoxShape | TubeShape;

/** Section properties about the centroid: y is the major axis (horizontal), z the minor. mm units. */
export interface SectionProperties {
  readonly A: number;
  readonly Iy: number;
  readonly Iz: number;
  readonly Wely: number;
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
  /** Shear centre from the centroid along y, positive to the right. */
  readonly shearCentre: number;
  /** Overall depth and width. */
  readonly depth: number;
  readonly width: number;
}
