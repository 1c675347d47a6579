/** Structural steel grades. Strengths in MPa, thickness in mm. */
import { BadInput } from '../error';

export interface SteelGrade {
  readonly id: string;
  readonly family: 'european' | 'american';
  readonly standard: string;
  /** Yield strength by nominal thickness: the first row whose `upTo` is not below the thickness applies. */
  readonly yield: readonly { readonly upTo: number; readonly fy: number }[];
  readonly fu: number;
  /** Young's modulus and shear modulus. */
  readonly E: number;
  readonly G: number;
  /** Which products the grade is made in. */
  readonly products: readonly ('rolled' | 'hollow' | 'round')[];
}

const KSI = 6.894757293168361;
const european = (id: string, fy: readonly number[], fu: number): SteelGrade => ({
  id,
  family: 'european',
  standard: 'EN 10025-2 table 7',
  yield: [16, 40, 63, 80, 100].map((upTo, i) => ({ upTo, fy: fy[i]! })),
  fu,
  E: 210_000,
  G: 81_000,
  products: ['rolled'],
});
const hollow = (id: string, fy: readonly number[], fu: number): SteelGrade => ({
  ...european(id, fy, fu),
  standard: 'EN 10210-1 table A.3',
  yield: [16, 40, 63].map((upTo, i) => ({ upTo, fy: fy[i]! })),
  products: ['hollow', 'round'],
});
const american = (id: string, standard: string, fy: number, fu: number, products: SteelGrade['products']): SteelGrade => ({
  id,
  family: 'american',
  standard,
  yield: [{ upTo: 100, fy: fy * KSI }],
  fu: fu * KSI,
  E: 29_000 * KSI,
  G: 11_200 * KSI,
  products,
});

export const STEEL_GRADES: readonly SteelGrade[] = [
  european('S235', [235, 225, 215, 215, 215], 360),
  european('S275', [275, 265, 255, 245, 235], 410),
  european('S355', [355, 345, 335, 325, 315], 470),
  hollow('S275H', [275, 265, 255], 410),
  hollow('S355H', [355, 345, 335], 470),
  american('A992', 'ASTM A992', 50, 65, ['rolled']),
  american('A36', 'ASTM A36', 36, 58, ['rolled']),
  american('A572-50', 'ASTM A572', 50, 65, ['rolled']),
  american('A500B', 'ASTM A500 grade B', 46, 58, ['hollow']),
  american('A500C', 'ASTM A500 grade C', 50, 62, ['hollow']),
  american('A500C-round', 'ASTM A500 grade C, round', 46, 62, ['round']),
  american('A53B', 'ASTM A53 grade B', 35, 60, ['round']),
];

/** @throws BadInput when the grade is not known */
export function steelGrade(id: string): SteelGrade {
  const grade = STEEL_GRADES.find((candidate) => candidate.id === id);
  if (!grade) throw new BadInput(`steel grade "${id}" is not known; known grades are ${STEEL_GRADES.map((g) => g.id).join(', ')}`, 'grade');
  return grade;
}

/** Yield strength, MPa, for a nominal thickness, mm. @throws BadInput when the grade is not given for that thickness */
export function yieldStrength(grade: SteelGrade, thickness: number): number {
  const row = grade.yield.find((candidate) => thickness <= candidate.upTo);
  if (!row) throw new BadInput(`${grade.id} has no yield strength for ${thickness} mm thickness (${grade.standard})`, 'grade');
  return row.fy;
}

/** Grades in which a product is made: hollow and round are hollow sections, welded ones are made of the plates of rolled grades. */
export function gradesFor(family: SteelGrade['family'], product: 'rolled' | 'hollow' | 'round' | 'welded'): SteelGrade[] {
  return STEEL_GRADES.filter((grade) => grade.family === family && isMadeIn(grade, product));
}

/** Whether a product is made in a grade. */
export function isMadeIn({ products }: SteelGrade, product: 'rolled' | 'hollow' | 'round' | 'welded'): boolean {
  return products.includes(product === 'welded' ? 'rolled' : product);
}
