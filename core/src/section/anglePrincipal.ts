import type { Section } from './catalogue';
import type { AngleShape } from './shape';

/** What bending about an angle's principal axes is checked with. mm units. */
export interface AnglePrincipal {
  /** Elastic moduli of the corner that is farthest from the major and from the minor principal axis. */
  readonly Wu: number;
  readonly Wv: number;
  /** Parts of a moment about the horizontal axis that bend it about the major and the minor principal axis; of one about the vertical axis the other way round. */
  readonly alongU: number;
  readonly alongV: number;
  /** Magnitude of beta_w of unequal legs: (integral of v (u2 + v2) dA) / Iu - 2 v0; 0 for equal legs. */
  readonly beta: number;
}

const known = new WeakMap<Section, AnglePrincipal>();
/** Two-point Gauss of [-1, 1]: exact for cubics. */
const GAUSS = [-1 / Math.sqrt(3), 1 / Math.sqrt(3)] as const;

/** Bending properties of an angle about its principal axes; corners sharp, fillets left out of beta. */
export function anglePrincipal(section: Section): AnglePrincipal {
  let found = known.get(section);
  if (!found) known.set(section, (found = principalOf(section)));
  return found;
}

function principalOf({ shape, properties }: Section): AnglePrincipal {
  const { h, b, t } = shape as AngleShape;
  const { cz, cy, Iu, Iv, principal, shearCentre, shearCentreUp } = properties;
  const [cos, sin] = [Math.cos(principal), Math.sin(principal)];
  /** From the corner of the legs, right and up, to the principal axes. */
  const turned = (x: number, z: number) => {
    const [dx, dz] = [x - cz, z - (h - cy)];
    return { u: dx * cos + dz * sin, v: dz * cos - dx * sin };
  };
  const corners = [turned(0, 0), turned(b, 0), turned(b, t), turned(0, h), turned(t, h)];
  const farthest = (of: 'u' | 'v') => Math.max(...corners.map((corner) => Math.abs(corner[of])));
  let third = 0;
  for (const [x0, x1, z0, z1] of [
    [0, t, 0, h],
    [t, b, 0, t],
  ] as const)
    for (const i of GAUSS)
      for (const j of GAUSS) {
        const { u, v } = turned((x0 + x1) / 2 + (i * (x1 - x0)) / 2, (z0 + z1) / 2 + (j * (z1 - z0)) / 2);
        third += (v * (u ** 2 + v ** 2) * (x1 - x0) * (z1 - z0)) / 4;
      }
  const v0 = shearCentreUp * cos - shearCentre * sin;
  return {
    Wu: Iu / farthest('v'),
    Wv: Iv / farthest('u'),
    alongU: Math.abs(cos),
    alongV: Math.abs(sin),
    beta: h === b ? 0 : Math.abs(third / Iu - 2 * v0),
  };
}

/**
 * Elastic critical moment of an angle about its major principal axis under uniform moment, Nmm, with the longer leg pressed, which is the worse side:
 * AISC 360-16 (F10-4) with its bracket turned over, elastic theory. Cb: factor of the gradient.
 */
export function angleCriticalMoment(section: Section, Lb: number, Cb: number, E: number): number {
  const { A, iv } = section.properties;
  const { t } = section.shape as AngleShape;
  const w = (4.4 * anglePrincipal(section).beta * iv) / (Lb * t);
  return (9 * E * A * iv * t * Cb) / (8 * Lb) / (Math.sqrt(1 + w ** 2) + w);
}
