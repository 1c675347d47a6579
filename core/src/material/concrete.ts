/** Concrete and reinforcing bars. MPa, mm. */
import { BadInput } from '../error';

const PSI = 6.894757293168361e-3;

export interface Concrete {
  readonly id: string;
  readonly family: 'european' | 'american';
  /** Characteristic cylinder strength fck (EN), or specified strength f'c (ACI), MPa. */
  readonly strength: number;
  /** Mean tensile strength fctm, MPa, EN 1992-1-1 table 3.1; null where the family does not use it. */
  readonly fctm: number | null;
}

const european = (fck: number, cube: number): Concrete => ({
  id: `C${fck}/${cube}`,
  family: 'european',
  strength: fck,
  fctm: 0.3 * fck ** (2 / 3),
});
const american = (psi: number): Concrete => ({ id: `${psi} psi`, family: 'american', strength: psi * PSI, fctm: null });

export const CONCRETES: readonly Concrete[] = [
  european(20, 25),
  european(25, 30),
  european(28, 35),
  european(30, 37),
  european(32, 40),
  european(35, 45),
  european(40, 50),
  european(45, 55),
  european(50, 60),
  ...[2500, 3000, 3500, 4000, 4500, 5000, 6000].map(american),
];

/** @throws BadInput when the concrete is not known */
export function concrete(id: string): Concrete {
  const found = CONCRETES.find((candidate) => candidate.id === id);
  if (!found) throw new BadInput(`concrete "${id}" is not known; known are ${CONCRETES.map((c) => c.id).join(', ')}`, 'concrete');
  return found;
}

export interface Bar {
  readonly id: string;
  readonly family: 'european' | 'american';
  /** Nominal diameter, mm, and area, mm2. */
  readonly diameter: number;
  readonly area: number;
}

const INCH = 25.4;
const metric = (d: number): Bar => ({ id: `${d}`, family: 'european', diameter: d, area: (Math.PI * d * d) / 4 });
/** ASTM A615 nominal diameters (in) and areas (in2). */
const number = (n: number, d: number, area: number): Bar => ({
  id: `#${n}`,
  family: 'american',
  diameter: d * INCH,
  area: area * INCH ** 2,
});

export const BARS: readonly Bar[] = [
  ...[8, 10, 12, 16, 20, 25, 32, 40].map(metric),
  number(3, 0.375, 0.11),
  number(4, 0.5, 0.2),
  number(5, 0.625, 0.31),
  number(6, 0.75, 0.44),
  number(7, 0.875, 0.6),
  number(8, 1.0, 0.79),
  number(9, 1.128, 1.0),
];

/** Reinforcing steel: yield strength MPa and modulus. */
export const REINFORCEMENT = {
  B500B: { id: 'B500B', family: 'european' as const, fyk: 500, Es: 200_000 },
  'Grade 60': { id: 'Grade 60', family: 'american' as const, fyk: 60_000 * PSI, Es: 29_000_000 * PSI },
};
export type ReinforcementId = keyof typeof REINFORCEMENT;
