import type { SectionProperties } from './shape';

type Derived = 'cy' | 'shearCentreUp' | 'zj' | 'Iyz' | 'Iu' | 'Iv' | 'iu' | 'iv' | 'principal' | 'WelTop' | 'WelBottom';
type Own = Omit<SectionProperties, Derived> & Partial<Pick<SectionProperties, 'cy' | 'shearCentreUp' | 'zj' | 'Iyz'>>;

/** Adds what follows from the rest: principal axes, and for an outline that is the same above and below, its middle as centroid. */
export function about(own: Own): SectionProperties {
  const { Iy, Iz, A } = own;
  const { cy = own.depth / 2, shearCentreUp = 0, zj = 0, Iyz = 0 } = own;
  const middle = (Iy + Iz) / 2;
  const radius = Math.hypot((Iy - Iz) / 2, Iyz);
  // Iu = middle + radius about an axis turned so that 2 angle = atan2(-2 Iyz, Iy - Iz)
  const principal = radius < 1e-9 * middle ? 0 : 0.5 * Math.atan2(-2 * Iyz, Iy - Iz);
  const [Iu, Iv] = [middle + radius, middle - radius];
  return {
    ...own,
    cy,
    shearCentreUp,
    zj,
    Iyz,
    Iu,
    Iv,
    iu: Math.sqrt(Iu / A),
    iv: Math.sqrt(Iv / A),
    principal,
    WelTop: Iy / cy,
    WelBottom: Iy / (own.depth - cy),
  };
}
