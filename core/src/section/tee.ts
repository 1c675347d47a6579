import { fillet } from './fillet';
import { about } from './principal';
import { plasticModulus } from './slices';
import type { SectionProperties, TeeShape } from './shape';

/** Where half of a tee's area lies above, below its top face, mm, and its plastic modulus about that axis, mm3. */
export function plasticHalves({ h, b, tw, tf, r }: TeeShape): { readonly axis: number; readonly modulus: number } {
  const filletAt = (from: number) => (from >= 0 && from < r ? r - Math.sqrt(r * r - (r - from) ** 2) : 0);
  return plasticModulus((z) => (z < tf ? b : tw + 2 * filletAt(z - tf)), h, [tf, tf + r]);
}

/** Properties of a tee, flange on top, mm units. Its shear centre lies where flange and stem meet. */
export function tee({ h, b, tw, tf, r }: TeeShape): SectionProperties {
  const f = fillet(r);
  const stem = h - tf;
  const A = b * tf + stem * tw + 2 * f.area;
  const below = tf + f.centroid;
  const cy = (b * tf * (tf / 2) + stem * tw * (tf + stem / 2) + 2 * f.area * below) / A;
  const Iy =
    (b * tf ** 3) / 12 +
    b * tf * (cy - tf / 2) ** 2 +
    (tw * stem ** 3) / 12 +
    stem * tw * (tf + stem / 2 - cy) ** 2 +
    2 * (f.second + f.area * (below - cy) ** 2);
  const Iz = (tf * b ** 3 + stem * tw ** 3) / 12 + 2 * (f.second + f.area * (tw / 2 + f.centroid) ** 2);
  const across = plasticHalves({ outline: 'tee', h, b, tw, tf, r });
  const Wplz = (tf * b ** 2) / 4 + (stem * tw ** 2) / 4 + 2 * f.area * (tw / 2 + f.centroid);
  const alpha = -0.042 + 0.2204 * (tw / tf) + 0.1355 * (r / tf) - 0.0865 * ((r * tw) / tf ** 2) - 0.0725 * (tw / tf) ** 2;
  const D = ((tf + r) ** 2 + (r + 0.25 * tw) * tw) / (2 * r + tf);
  const It = (b * tf ** 3) / 3 + (stem * tw ** 3) / 3 + alpha * D ** 4 - 0.21 * tf ** 4 - 0.105 * tw ** 4;
  const Iw = (b ** 3 * tf ** 3) / 144 + ((h - tf / 2) ** 3 * tw ** 3) / 36;
  // integral of z (y2 + z2) dA, z upward from the centroid: of rectangles exactly, of the fillets as if at their centroids
  const rectangle = (width: number, top: number, bottom: number) => {
    const [up, down] = [cy - top, cy - bottom];
    return (width * (up ** 4 - down ** 4)) / 4 + (width ** 3 / 12) * ((up ** 2 - down ** 2) / 2);
  };
  const [zf, yf] = [cy - below, tw / 2 + f.centroid];
  const third = rectangle(b, 0, tf) + rectangle(tw, tf, h) + 2 * f.area * zf * (yf ** 2 + zf ** 2);
  return about({
    A,
    Iy,
    Iz,
    Wely: Iy / Math.max(cy, h - cy),
    Welz: Iz / (b / 2),
    Wply: across.modulus,
    Wplz,
    iy: Math.sqrt(Iy / A),
    iz: Math.sqrt(Iz / A),
    It,
    Iw,
    cz: b / 2,
    cy,
    shearCentre: 0,
    shearCentreUp: cy - tf / 2,
    zj: cy - tf / 2 - third / (2 * Iy),
    depth: h,
    width: b,
  });
}
