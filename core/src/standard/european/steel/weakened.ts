import type { SteelAnnex } from '../annex';
import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { shearArea } from './shear';

/** Parts of a shear area's strength that a shear takes, EN 1993-1-1 6.2.8(3): 0 where it is at most half the resistance; along the depth, and across. */
export interface ShearTaken {
  readonly along: number;
  readonly across: number;
}

/** rho of EN 1993-1-1 6.2.8(3). V, Vpl: N. */
export function shearTaken(V: number, Vpl: number): number {
  const ratio = Math.abs(V) / Vpl;
  return ratio > 0.5 ? (2 * ratio - 1) ** 2 : 0;
}

/** What a section is left with beside axial force and bending: areas, mm2, moduli, mm3, at the full yield strength. */
export interface Weakened {
  readonly A: number;
  /** Of the parts that lie across the depth, and along it. */
  readonly flanges: number;
  readonly webs: number;
  readonly Wply: number;
  readonly Wplz: number;
  readonly Wely: number;
  readonly Welz: number;
}

/** Areas of flanges and web of an I; of a box the walls across the depth and along it, each with its corners, as 6.2.9.1(5) counts them, mm2. */
function partsOf({ shape, properties }: Section): { readonly flanges: number; readonly webs: number } {
  if (shape.outline === 'I') return { flanges: 2 * shape.b * shape.tf, webs: properties.A - 2 * shape.b * shape.tf };
  if (shape.outline === 'box') return { flanges: 2 * shape.b * shape.t, webs: 2 * shape.h * shape.t };
  return { flanges: 0, webs: properties.A };
}

/** The section without any shear. */
export function unweakened(section: Section): Weakened {
  const { A, Wply, Wplz, Wely, Welz } = section.properties;
  return { A, ...partsOf(section), Wply, Wplz, Wely, Welz };
}

/**
 * A section whose shear areas have the reduced yield strength (1 - rho) f_y, as one whose shear areas are that much thinner, EN 1993-1-1 6.2.10(3):
 * of an I the web under shear along the depth (6.2.8(5)) and the flanges under shear across; of a box the walls parallel to each; of a tube 2/pi of the
 * whole wall. Other outlines lose the whole section's share, on the safe side. Null when a shear leaves nothing.
 */
export function weakenedSection(
  annex: SteelAnnex,
  section: Section,
  fy: number,
  { along, across }: ShearTaken,
  sheet?: Sheet,
): Weakened | null {
  const { shape, properties } = section;
  if (along === 0 && across === 0) return unweakened(section);
  if (along >= 1 || across >= 1) return null;
  const record = (left: Weakened, how: string): Weakened => {
    if (along > 0) sheet?.given('rho', along, 'ratio', 'of the shear area along the depth', '6.2.8(3)');
    if (across > 0) sheet?.given('rho_z', across, 'ratio', 'of the shear area across', '6.2.8(3)');
    sheet?.note(`Area and moduli are those of the section with its shear area weakened to (1 - rho) f_y, 6.2.10(3): ${how}.`);
    return left;
  };
  if (shape.outline === 'I') {
    const { h, b, tw, tf } = shape;
    const hw = h - 2 * tf;
    const web = hw * tw;
    const Iy = properties.Iy - along * ((tw * hw ** 3) / 12) - across * (2 * b * tf * ((h - tf) / 2) ** 2 + (2 * b * tf ** 3) / 12);
    const Iz = properties.Iz - along * ((hw * tw ** 3) / 12) - across * ((2 * tf * b ** 3) / 12);
    const flanges = 2 * b * tf;
    // of a rolled shape the shear area is larger than the web between its flanges
    const weakened = Math.max(web, Math.min(shearArea(annex, section, fy), properties.A - flanges));
    const A = properties.A - along * weakened - across * flanges;
    return record(
      {
        A,
        flanges: flanges * (1 - across),
        webs: A - flanges * (1 - across),
        Wply: properties.Wply - (along * web ** 2) / (4 * tw) - across * b * tf * (h - tf),
        Wplz: properties.Wplz - (along * hw * tw ** 2) / 4 - (across * tf * b ** 2) / 2,
        Wely: Iy / (h / 2),
        Welz: Iz / (b / 2),
      },
      'the web along the depth, the flanges across',
    );
  }
  if (shape.outline === 'box') {
    const { h, b, t } = shape;
    const share = (part: number, whole: number) => Math.min(1, part / whole);
    // the walls along the depth as flat plates between the others; the rest of each modulus is of the walls across
    const plasticWebs = share((2 * t * (h - 2 * t) ** 2) / 4, properties.Wply);
    const plasticWalls = share((2 * t * (b - 2 * t) ** 2) / 4, properties.Wplz);
    const elasticWebs = share((2 * t * (h - 2 * t) ** 3) / 12, properties.Iy);
    const elasticWalls = share((2 * t * (b - 2 * t) ** 3) / 12, properties.Iz);
    const left = (webs: number, walls: number) => 1 - along * webs - across * walls;
    const A = properties.A * left(h / (b + h), b / (b + h));
    const { flanges, webs } = partsOf(section);
    return record(
      {
        A,
        flanges: flanges * (1 - across),
        webs: webs * (1 - along),
        Wply: properties.Wply * left(plasticWebs, 1 - plasticWebs),
        Wplz: properties.Wplz * left(1 - plasticWalls, plasticWalls),
        Wely: properties.Wely * left(elasticWebs, 1 - elasticWebs),
        Welz: properties.Welz * left(1 - elasticWalls, elasticWalls),
      },
      'the walls parallel to each shear',
    );
  }
  const worst = Math.max(along, across);
  const factor = shape.outline === 'tube' ? 1 - (2 / Math.PI) * worst : 1 - worst;
  const { A, Wply, Wplz, Wely, Welz } = properties;
  return record(
    {
      A: A * factor,
      flanges: 0,
      webs: A * factor,
      Wply: Wply * factor,
      Wplz: Wplz * factor,
      Wely: Wely * factor,
      Welz: Welz * factor,
    },
    shape.outline === 'tube' ? 'two parts in pi of the wall' : 'all of this shape, on the safe side',
  );
}
