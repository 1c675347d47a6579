import { about } from './principal';
import { integrate, plasticModulus } from './slices';
import type { ChannelShape, IShape, SectionProperties } from './shape';

/**
 * Properties of an I or channel whose flanges taper, mm units, without root fillets and rounded toes, which nearly balance each other.
 * Torsion, warping and the shear centre with the mean thickness.
 */
export function tapered({ outline, h, b, tw, tf, taper }: IShape | ChannelShape): SectionProperties {
  const { slope, at } = taper!;
  const isI = outline === 'I';
  const sides = isI ? 2 : 1;
  // one side's flange, from the web's face to its tip; x from the middle of the web, or from its back
  const [from, to] = isI ? [tw / 2, b / 2] : [tw, b];
  const thick = (x: number) => tf + slope * (at - x);
  const over = (f: (x: number, t: number) => number) => integrate((s) => f(from + s, thick(from + s)), to - from, []);
  const area = 2 * sides * over((_, t) => t);
  const A = area + h * tw;
  const Iy = (tw * h ** 3) / 12 + 2 * sides * over((_, t) => t * ((h - t) / 2) ** 2 + t ** 3 / 12);
  const cz = isI ? b / 2 : ((h * tw ** 2) / 2 + 2 * over((x, t) => x * t)) / A;
  const Iz = isI
    ? (h * tw ** 3) / 12 + 4 * over((x, t) => x ** 2 * t)
    : (h * tw ** 3) / 12 + h * tw * (tw / 2 - cz) ** 2 + 2 * over((x, t) => (x - cz) ** 2 * t);
  const Wply = (tw * h ** 2) / 4 + 2 * sides * over((_, t) => (t * (h - t)) / 2);
  const Wplz = isI ? (h * tw ** 2) / 4 + 4 * over((x, t) => x * t) : plasticModulus((x) => (x < tw ? h : 2 * thick(x)), b, [tw]).modulus;
  const It = (h * tw ** 3) / 3 + (2 * sides * over((_, t) => t ** 3)) / 3;
  let Iw = (Iz * (h - tf) ** 2) / 4;
  let shearCentre = 0;
  if (!isI) {
    const [b0, h0] = [b - tw / 2, h - tf];
    shearCentre = -(cz - tw / 2 + (3 * b0 ** 2 * tf) / (6 * b0 * tf + h0 * tw));
    Iw = ((h0 ** 2 * b0 ** 3 * tf) / 12) * ((2 * h0 * tw + 3 * b0 * tf) / (h0 * tw + 6 * b0 * tf));
  }
  return about({
    A,
    Iy,
    Iz,
    Wely: Iy / (h / 2),
    Welz: Iz / (isI ? b / 2 : b - cz),
    Wply,
    Wplz,
    iy: Math.sqrt(Iy / A),
    iz: Math.sqrt(Iz / A),
    It,
    Iw,
    cz,
    shearCentre,
    depth: h,
    width: b,
  });
}
