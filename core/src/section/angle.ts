import { fillet } from './fillet';
import { about } from './principal';
import { plasticModulus } from './slices';
import type { AngleShape, SectionProperties } from './shape';

/** Properties of an angle, corner at the lower left, mm units. Its shear centre lies where the middle lines of the legs meet. */
export function angle({ h, b, t, r, toe }: AngleShape): SectionProperties {
  const f = fillet(r);
  const g = fillet(toe);
  // pieces measured from the corner: right x, up z; toes are rounded on their inner side
  const root = t + f.centroid;
  const toes: readonly (readonly [number, number])[] = [
    [t - g.centroid, h - g.centroid],
    [b - g.centroid, t - g.centroid],
  ];
  const upright = h * t;
  const flat = (b - t) * t;
  const A = upright + flat + f.area - 2 * g.area;
  const firstX = upright * (t / 2) + flat * ((b + t) / 2) + f.area * root - toes.reduce((sum, [x]) => sum + g.area * x, 0);
  const firstZ = upright * (h / 2) + flat * (t / 2) + f.area * root - toes.reduce((sum, [, z]) => sum + g.area * z, 0);
  const [x0, z0] = [firstX / A, firstZ / A];
  const Iy =
    (t * h ** 3) / 12 +
    upright * (h / 2 - z0) ** 2 +
    ((b - t) * t ** 3) / 12 +
    flat * (t / 2 - z0) ** 2 +
    f.second +
    f.area * (root - z0) ** 2 -
    toes.reduce((sum, [, z]) => sum + g.second + g.area * (z - z0) ** 2, 0);
  const Iz =
    (h * t ** 3) / 12 +
    upright * (t / 2 - x0) ** 2 +
    (t * (b - t) ** 3) / 12 +
    flat * ((b + t) / 2 - x0) ** 2 +
    f.second +
    f.area * (root - x0) ** 2 -
    toes.reduce((sum, [x]) => sum + g.second + g.area * (x - x0) ** 2, 0);
  // the fillet fills its corner, a toe's rounding lies in the opposite one: both products have one sign
  const Iyz =
    upright * (t / 2 - x0) * (h / 2 - z0) +
    flat * ((b + t) / 2 - x0) * (t / 2 - z0) +
    f.product +
    f.area * (root - x0) * (root - z0) -
    toes.reduce((sum, [x, z]) => sum + g.product + g.area * (x - x0) * (z - z0), 0);
  const filletAt = (from: number) => (from >= 0 && from < r ? r - Math.sqrt(r * r - (r - from) ** 2) : 0);
  const rounding = (toTip: number) => (toTip < toe ? toe - Math.sqrt(toe * toe - (toe - toTip) ** 2) : 0);
  // material across at a distance from the heel: the other leg within its thickness, then this leg
  const profile = (own: number, other: number) => (x: number) =>
    x < t ? other - rounding(t - x) : t + filletAt(x - t) - rounding(own - x);
  const breaks = (own: number) => [t - toe, t, t + r, own - toe];
  const alpha = 0.0768 + 0.0479 * (r / t);
  const D = 2 * (3 * r + 2 * t - Math.sqrt(2) * (2 * r + t));
  const It = (b * t ** 3) / 3 + ((h - t) * t ** 3) / 3 + alpha * D ** 4 - 0.21 * t ** 4;
  const Iw = (t ** 3 * ((h - t / 2) ** 3 + (b - t / 2) ** 3)) / 36;
  return about({
    A,
    Iy,
    Iz,
    Wely: Iy / (h - z0),
    Welz: Iz / (b - x0),
    Wply: plasticModulus(profile(h, b), h, breaks(h)).modulus,
    Wplz: plasticModulus(profile(b, h), b, breaks(b)).modulus,
    iy: Math.sqrt(Iy / A),
    iz: Math.sqrt(Iz / A),
    It,
    Iw,
    cz: x0,
    cy: h - z0,
    shearCentre: t / 2 - x0,
    shearCentreUp: t / 2 - z0,
    Iyz,
    depth: h,
    width: b,
  });
}
