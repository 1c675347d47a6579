import { about } from './principal';
import type { SectionProperties, Shape, UnequalIShape } from './shape';

/** Parts of a welded I of unequal flanges that its checks are made of. mm, mm2, mm4. */
export interface UnequalParts {
  /** Clear depth of the web. */
  readonly hw: number;
  /** Between the middles of the flanges. */
  readonly hs: number;
  /** Second moments of the flanges about the minor axis. */
  readonly IzTop: number;
  readonly IzBottom: number;
  /** Plastic neutral axis below the top face. */
  readonly plasticAxis: number;
}

/** Where half of the area lies above, from the top face, mm. */
function plasticAxis({ h, b, tf, bBottom, tfBottom, tw }: UnequalIShape): number {
  const hw = h - tf - tfBottom;
  const [top, web, bottom] = [b * tf, hw * tw, bBottom * tfBottom];
  const half = (top + web + bottom) / 2;
  if (half <= top) return half / b;
  if (half >= top + web) return h - half / bBottom;
  return tf + (half - top) / tw;
}

export function unequalParts(shape: UnequalIShape): UnequalParts {
  const { h, b, tf, bBottom, tfBottom } = shape;
  return {
    hw: h - tf - tfBottom,
    hs: h - (tf + tfBottom) / 2,
    IzTop: (tf * b ** 3) / 12,
    IzBottom: (tfBottom * bBottom ** 3) / 12,
    plasticAxis: plasticAxis(shape),
  };
}

/** The I with the same web whose flanges both have the lesser width and thickness; any other outline as it is. */
export function withThinnerFlange(shape: Shape): Shape {
  if (shape.outline !== 'unequalI') return shape;
  const { tw } = shape;
  const [b, tf] = [Math.min(shape.b, shape.bBottom), Math.min(shape.tf, shape.tfBottom)];
  return { outline: 'I', h: unequalParts(shape).hw + 2 * tf, b, tw, tf, r: 0 };
}

/** A flange's part of the torsion constant with its junction and less its ends, El Darwish and Johnston, no fillet, mm4. */
function junction(b: number, tf: number, tw: number): number {
  const alpha = -0.042 + 0.2204 * (tw / tf) - 0.0725 * (tw / tf) ** 2;
  const D = (tf ** 2 + 0.25 * tw ** 2) / tf;
  return (b * tf ** 3) / 3 + alpha * D ** 4 - 0.21 * tf ** 4;
}

/** Properties of a welded I of unequal flanges, welds left out, mm units. */
export function unequalI(shape: UnequalIShape): SectionProperties {
  const { h, b, tf, bBottom, tfBottom, tw } = shape;
  const { hw, hs, IzTop, IzBottom, plasticAxis: axis } = unequalParts(shape);
  // rectangles: width, and how far their edges lie below the top face
  const plates = [
    [b, 0, tf],
    [tw, tf, h - tfBottom],
    [bBottom, h - tfBottom, h],
  ] as const;
  const sum = (of: (width: number, from: number, to: number) => number) =>
    plates.reduce((total, [w, from, to]) => total + of(w, from, to), 0);
  const A = sum((w, from, to) => w * (to - from));
  const cy = sum((w, from, to) => (w * (to ** 2 - from ** 2)) / 2) / A;
  const Iy = sum((w, from, to) => (w * ((to - cy) ** 3 - (from - cy) ** 3)) / 3);
  const Iz = IzTop + IzBottom + (hw * tw ** 3) / 12;
  // first moments of what lies above and below the plastic neutral axis
  const Wply = sum((w, from, to) => {
    const [upper, lower] = [Math.max(0, axis - to), Math.max(0, from - axis)];
    return (w * (Math.max(0, axis - from) ** 2 - upper ** 2 + Math.max(0, to - axis) ** 2 - lower ** 2)) / 2;
  });
  // the shear centre divides the distance of the flanges as their stiffness against bending sideways
  const belowTop = tf / 2 + (hs * IzBottom) / (IzTop + IzBottom);
  const up = cy - belowTop;
  // integral of z (y2 + z2) dA, z upward from the centroid
  const third = sum((w, from, to) => {
    const [above, below] = [cy - from, cy - to];
    return (w * (above ** 4 - below ** 4)) / 4 + (w ** 3 / 12) * ((above ** 2 - below ** 2) / 2);
  });
  return about({
    A,
    Iy,
    Iz,
    Wely: Iy / Math.max(cy, h - cy),
    Welz: Iz / (Math.max(b, bBottom) / 2),
    Wply,
    Wplz: (tf * b ** 2 + tfBottom * bBottom ** 2 + hw * tw ** 2) / 4,
    iy: Math.sqrt(Iy / A),
    iz: Math.sqrt(Iz / A),
    It: junction(b, tf, tw) + junction(bBottom, tfBottom, tw) + (hw * tw ** 3) / 3,
    Iw: (hs ** 2 * IzTop * IzBottom) / (IzTop + IzBottom),
    cz: Math.max(b, bBottom) / 2,
    cy,
    shearCentre: 0,
    shearCentreUp: up,
    zj: up - third / (2 * Iy),
    depth: h,
    width: Math.max(b, bBottom),
  });
}
