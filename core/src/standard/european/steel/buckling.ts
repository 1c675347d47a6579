import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import type { Axis } from '../../standard';
import { GAMMA_M1 } from './bending';

export type Curve = 'a0' | 'a' | 'b' | 'c' | 'd';

/** Imperfection factors alpha, EN 1993-1-1 table 6.1. */
export const IMPERFECTION: Record<Curve, number> = { a0: 0.13, a: 0.21, b: 0.34, c: 0.49, d: 0.76 };

/** Buckling curve of a rolled or hot-finished shape about an axis, EN 1993-1-1 table 6.2; grades up to S450. */
export function bucklingCurve(section: Section, axis: Axis): Curve {
  const { shape } = section;
  if (shape.outline === 'box' || shape.outline === 'tube') return 'a';
  if (shape.outline === 'channel') return 'c';
  if (shape.h / shape.b > 1.2) {
    if (shape.tf <= 40) return axis === 'y' ? 'a' : 'b';
    return axis === 'y' ? 'b' : 'c';
  }
  if (shape.tf <= 100) return axis === 'y' ? 'b' : 'c';
  return 'd';
}

/** Reduction factor chi of a buckling curve, EN 1993-1-1 6.3.1.2(1); 1 up to a slenderness of 0.2. */
export function reductionFactor(slenderness: number, curve: Curve, sheet?: Sheet): number {
  const alpha = IMPERFECTION[curve];
  const stocky = slenderness <= 0.2;
  sheet?.lookup('alpha', alpha, 'ratio', 'table 6.1', `curve ${curve}`, 'table 6.1');
  sheet?.branch(
    'lambda <= 0.2',
    { lambda: slenderness },
    stocky,
    '6.3.1.2(4)',
    stocky ? 'buckling need not be considered' : 'buckling reduces the resistance',
  );
  if (stocky) {
    sheet?.step('chi', '1', {}, 1, 'ratio', '6.3.1.2(4)');
    return 1;
  }
  const Phi = 0.5 * (1 + alpha * (slenderness - 0.2) + slenderness ** 2);
  sheet?.step('Phi', '0.5 * (1 + alpha * (lambda - 0.2) + lambda^2)', { alpha, lambda: slenderness }, Phi, 'ratio', '6.3.1.2(1)');
  const chi = Math.min(1, 1 / (Phi + Math.sqrt(Phi ** 2 - slenderness ** 2)));
  sheet?.step('chi', 'min(1, 1 / (Phi + sqrt(Phi^2 - lambda^2)))', { Phi, lambda: slenderness }, chi, 'ratio', '(6.49)');
  return chi;
}

export interface Strut {
  readonly A: number;
  readonly I: number;
  readonly Lcr: number;
  readonly E: number;
  readonly fy: number;
  readonly curve: Curve;
}

/** Flexural buckling resistance of a strut of class 1 to 3, N, EN 1993-1-1 6.3.1. A: mm2; I: mm4; Lcr: mm; E, fy: MPa. */
export function flexuralBuckling({ A, I, Lcr, E, fy, curve }: Strut, sheet?: Sheet): number {
  sheet?.given('I', I, 'secondMoment', 'second moment of area about the axis of buckling');
  sheet?.given('L_cr', Lcr, 'length', 'buckling length');
  const Ncr = (Math.PI ** 2 * E * I) / Lcr ** 2;
  sheet?.step('N_cr', 'pi^2 * E * I / L_cr^2', { E, I, L_cr: Lcr }, Ncr, 'force', '6.3.1.2(1)', 'elastic critical force');
  return bucklingResistance(A, fy, Ncr, curve, sheet);
}

/** Torsional buckling resistance of a doubly symmetric I, N, EN 1993-1-1 6.3.1.4, with the curve of the minor axis. */
export function torsionalBuckling(section: Section, LT: number, E: number, G: number, fy: number, sheet?: Sheet): number {
  const { A, Iy, Iz, It, Iw } = section.properties;
  const i0squared = (Iy + Iz) / A;
  sheet?.given('I_y', Iy, 'secondMoment', 'major axis', section.designation);
  sheet?.given('I_z', Iz, 'secondMoment', 'minor axis', section.designation);
  sheet?.given('I_T', It, 'torsionConstant', 'torsion constant', section.designation);
  sheet?.given('I_w', Iw, 'warpingConstant', 'warping constant', section.designation);
  sheet?.given('G', G, 'stress', 'shear modulus', 'EN 1993-1-1 3.2.6');
  sheet?.given('L_T', LT, 'length', 'length between restraints against twisting');
  sheet?.step('i_02', '(I_y + I_z) / A', { I_y: Iy, I_z: Iz, A }, i0squared, 'area', '6.3.1.4', 'polar radius of gyration, squared');
  const Ncr = (G * It + (Math.PI ** 2 * E * Iw) / LT ** 2) / i0squared;
  sheet?.step(
    'N_cr',
    '(G * I_T + pi^2 * E * I_w / L_T^2) / i_02',
    { G, I_T: It, E, I_w: Iw, L_T: LT, i_02: i0squared },
    Ncr,
    'force',
    '6.3.1.4',
    'elastic critical force in torsion',
  );
  return bucklingResistance(A, fy, Ncr, bucklingCurve(section, 'z'), sheet);
}

function bucklingResistance(A: number, fy: number, Ncr: number, curve: Curve, sheet?: Sheet): number {
  const lambda = Math.sqrt((A * fy) / Ncr);
  sheet?.step('lambda', 'sqrt(A * f_y / N_cr)', { A, f_y: fy, N_cr: Ncr }, lambda, 'ratio', '6.3.1.2(1)', 'non-dimensional slenderness');
  const chi = reductionFactor(lambda, curve, sheet);
  sheet?.given('gamma_M1', GAMMA_M1, 'ratio', 'partial factor', 'EN 1993-1-1 NA.2.15');
  const NbRd = (chi * A * fy) / GAMMA_M1;
  sheet?.step('N_bRd', 'chi * A * f_y / gamma_M1', { chi, A, f_y: fy, gamma_M1: GAMMA_M1 }, NbRd, 'force', '(6.47)', 'buckling resistance');
  return NbRd;
}
