import type { SteelAnnex } from '../annex';
import { IMPERFECTION, type Curve } from './curve';
import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import type { Axis } from '../../standard';

/**
 * Buckling curve about an axis, EN 1993-1-1 table 6.2; grades up to S450. Catalogued hollow shapes are hot-finished; own ones are taken
 * as cold-formed.
 */
export function bucklingCurve(section: Section, axis: Axis): Curve {
  const { shape, product, region } = section;
  if (shape.outline === 'box' || shape.outline === 'tube') return region === 'own' ? 'c' : 'a';
  if (shape.outline === 'channel' || shape.outline === 'tee') return 'c';
  if (shape.outline === 'angle') return 'b';
  if (product === 'welded' || shape.outline === 'unequalI') {
    const tf = shape.outline === 'unequalI' ? Math.max(shape.tf, shape.tfBottom) : shape.tf;
    if (tf <= 40) return axis === 'y' ? 'b' : 'c';
    return axis === 'y' ? 'c' : 'd';
  }
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

/** Flexural buckling resistance of a strut, N, EN 1993-1-1 6.3.1. A: mm2, effective in class 4; I: mm4; Lcr: mm; E, fy: MPa. */
export function flexuralBuckling(annex: SteelAnnex, { A, I, Lcr, E, fy, curve }: Strut, sheet?: Sheet): number {
  sheet?.given('I', I, 'secondMoment', 'second moment of area about the axis of buckling');
  sheet?.given('L_cr', Lcr, 'length', 'buckling length');
  const Ncr = (Math.PI ** 2 * E * I) / Lcr ** 2;
  sheet?.step('N_cr', 'pi^2 * E * I / L_cr^2', { E, I, L_cr: Lcr }, Ncr, 'force', '6.3.1.2(1)', 'elastic critical force');
  return bucklingResistance(annex, A, fy, Ncr, curve, sheet);
}

/** Torsional buckling resistance of a doubly symmetric I, N, EN 1993-1-1 6.3.1.4, with the curve of the minor axis. Aeff: mm2, in class 4. */
export function torsionalBuckling(
  annex: SteelAnnex,
  section: Section,
  LT: number,
  E: number,
  G: number,
  fy: number,
  sheet?: Sheet,
  Aeff = section.properties.A,
): number {
  const { A, Iy, Iz, It, Iw } = section.properties;
  const i0squared = (Iy + Iz) / A;
  sheet?.given('I_y', Iy, 'secondMoment', 'major axis', section.designation);
  sheet?.given('I_z', Iz, 'secondMoment', 'minor axis', section.designation);
  sheet?.given('I_T', It, 'torsionConstant', 'torsion constant', section.designation);
  sheet?.given('I_w', Iw, 'warpingConstant', 'warping constant', section.designation);
  sheet?.given('G', G, 'stress', 'shear modulus', 'EN 1993-1-1 3.2.6');
  sheet?.given('L_T', LT, 'length', 'length between restraints against twisting');
  sheet?.given('A_g', A, 'area', 'gross area', section.designation);
  sheet?.step('i_02', '(I_y + I_z) / A_g', { I_y: Iy, I_z: Iz, A_g: A }, i0squared, 'area', '6.3.1.4', 'polar radius of gyration, squared');
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
  return bucklingResistance(annex, Aeff, fy, Ncr, bucklingCurve(section, 'z'), sheet);
}

/**
 * Elastic critical force of torsional-flexural buckling of a shape with one axis of symmetry, N: flexure about that axis, Nf, joined with
 * torsion, NT, EN 1993-1-1 6.3.1.4 with EN 1993-1-3 (6.35). offset: shear centre from centroid, mm; i0: polar radius about the shear centre, mm.
 */
export function torsionalFlexuralForce(Nf: number, NT: number, offset: number, i0: number, sheet?: Sheet): number {
  const beta = 1 - (offset / i0) ** 2;
  const ratio = NT / Nf;
  const Ncr = (Nf / (2 * beta)) * (1 + ratio - Math.sqrt((1 - ratio) ** 2 + 4 * (offset / i0) ** 2 * ratio));
  sheet?.step('beta_TF', '1 - (y_0 / i_0)^2', { y_0: offset, i_0: i0 }, beta, 'ratio', 'EN 1993-1-3 (6.35)');
  sheet?.step(
    'N_crTF',
    'N_crF / (2 * beta_TF) * (1 + N_crT / N_crF - sqrt((1 - N_crT / N_crF)^2 + 4 * (y_0 / i_0)^2 * N_crT / N_crF))',
    { N_crF: Nf, beta_TF: beta, N_crT: NT, y_0: offset, i_0: i0 },
    Ncr,
    'force',
    'EN 1993-1-3 (6.35)',
    'elastic critical force, torsional-flexural',
  );
  return Ncr;
}

/** Smallest root of the cubic of buckling of an outline without an axis of symmetry, N; offsets along the principal axes u and v, mm. */
export function generalCriticalForce(Nu: number, Nv: number, NT: number, u0: number, v0: number, i0: number): number {
  const residual = (N: number) => (N - Nu) * (N - Nv) * (N - NT) - N ** 2 * (N - Nv) * (u0 / i0) ** 2 - N ** 2 * (N - Nu) * (v0 / i0) ** 2;
  let [low, high] = [0, Math.min(Nu, Nv, NT)];
  // negative at no force, and not negative at the smallest of the three
  for (let i = 0; i < 200 && high - low > 1e-12 * high; i += 1) {
    const middle = (low + high) / 2;
    if (residual(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Lengths of a strut, mm: about y, about z and for twisting. */
interface Lengths {
  readonly y: number;
  readonly z: number;
  readonly T: number;
}

/**
 * Torsional or torsional-flexural buckling resistance of a channel, tee, angle or I of unequal flanges, N, EN 1993-1-1 6.3.1.4. Aeff: mm2, in class 4.
 */
export function torsionalFlexuralBuckling(
  annex: SteelAnnex,
  section: Section,
  lengths: Lengths,
  E: number,
  G: number,
  fy: number,
  sheet?: Sheet,
  Aeff = section.properties.A,
): number {
  const Ncr = torsionalFlexuralCritical(section, lengths, E, G, sheet);
  return bucklingResistance(annex, Aeff, fy, Ncr, bucklingCurve(section, 'z'), sheet);
}

/** Its elastic critical force, N; of an angle the shorter axis takes the longer of the lengths of bending. */
export function torsionalFlexuralCritical(section: Section, lengths: Lengths, E: number, G: number, sheet?: Sheet): number {
  const { A, Iy, Iz, Iu, Iv, It, Iw, shearCentre, shearCentreUp, principal } = section.properties;
  const { outline } = section.shape;
  const i0 = Math.sqrt((Iy + Iz) / A + shearCentre ** 2 + shearCentreUp ** 2);
  const NT = (G * It + (Math.PI ** 2 * E * Iw) / lengths.T ** 2) / i0 ** 2;
  if (sheet) {
    sheet.given('I_y', Iy, 'secondMoment', 'about y', section.designation);
    sheet.given('I_z', Iz, 'secondMoment', 'about z', section.designation);
    sheet.given('I_T', It, 'torsionConstant', 'torsion constant', section.designation);
    sheet.given('I_w', Iw, 'warpingConstant', 'warping constant', section.designation);
    sheet.given('G', G, 'stress', 'shear modulus', 'EN 1993-1-1 3.2.6');
    sheet.given('L_T', lengths.T, 'length', 'length between restraints against twisting');
    sheet.given('A_g', A, 'area', 'gross area', section.designation);
    sheet.given('y_s', shearCentre, 'sectionLength', 'shear centre from the centroid, along y', section.designation);
    sheet.given('z_s', shearCentreUp, 'sectionLength', 'shear centre from the centroid, along z', section.designation);
    sheet.step(
      'i_0',
      'sqrt((I_y + I_z) / A_g + y_s^2 + z_s^2)',
      { I_y: Iy, I_z: Iz, A_g: A, y_s: shearCentre, z_s: shearCentreUp },
      i0,
      'sectionLength',
      'EN 1993-1-3 (6.33b)',
      'polar radius about the shear centre',
    );
    sheet.step(
      'N_crT',
      '(G * I_T + pi^2 * E * I_w / L_T^2) / i_0^2',
      { G, I_T: It, E, I_w: Iw, L_T: lengths.T, i_0: i0 },
      NT,
      'force',
      'EN 1993-1-3 (6.33a)',
    );
  }
  let Ncr: number;
  if (outline === 'angle') {
    const L = Math.max(lengths.y, lengths.z);
    const [Nu, Nv] = [(Math.PI ** 2 * E * Iu) / L ** 2, (Math.PI ** 2 * E * Iv) / L ** 2];
    const [cos, sin] = [Math.cos(principal), Math.sin(principal)];
    const u0 = shearCentre * cos + shearCentreUp * sin;
    const v0 = -shearCentre * sin + shearCentreUp * cos;
    Ncr = generalCriticalForce(Nu, Nv, NT, u0, v0, i0);
    if (sheet) {
      sheet.given('I_u', Iu, 'secondMoment', 'strong principal axis', section.designation);
      sheet.given('I_v', Iv, 'secondMoment', 'weak principal axis', section.designation);
      sheet.given('L_cr', L, 'length', 'buckling length, the longer of the two');
      sheet.given('u_0', u0, 'sectionLength', 'shear centre along u', section.designation);
      sheet.given('v_0', v0, 'sectionLength', 'shear centre along v', section.designation);
      sheet.step('N_cru', 'pi^2 * E * I_u / L_cr^2', { E, I_u: Iu, L_cr: L }, Nu, 'force', '6.3.1.2(1)');
      sheet.step('N_crv', 'pi^2 * E * I_v / L_cr^2', { E, I_v: Iv, L_cr: L }, Nv, 'force', '6.3.1.2(1)');
      sheet.given('N_cr', Ncr, 'force', 'smallest root of the cubic below', '6.3.1.4');
      const inputs = { N_cr: Ncr, N_cru: Nu, N_crv: Nv, N_crT: NT, u_0: u0, v_0: v0, i_0: i0 };
      sheet.branch(
        'abs((1 - N_cru / N_cr) * (1 - N_crv / N_cr) * (1 - N_crT / N_cr) - (1 - N_crv / N_cr) * (u_0 / i_0)^2 - (1 - N_cru / N_cr) * (v_0 / i_0)^2) <= 0.000001 * N_cru / N_cr * N_crT / N_cr',
        inputs,
        true,
        'elastic theory',
        'the root fulfils the equation of torsional-flexural buckling',
      );
    }
  } else {
    // a channel bends about y as it twists, a tee or an I of unequal flanges about z
    const about = outline === 'channel' ? 'y' : 'z';
    const [I, L, offset] = about === 'y' ? [Iy, lengths.y, shearCentre] : [Iz, lengths.z, shearCentreUp];
    const Nf = (Math.PI ** 2 * E * I) / L ** 2;
    sheet?.given('L_cr', L, 'length', `buckling length about ${about}`);
    sheet?.step(
      'N_crF',
      `pi^2 * E * I_${about} / L_cr^2`,
      { E, [`I_${about}`]: I, L_cr: L },
      Nf,
      'force',
      '6.3.1.2(1)',
      `flexure about ${about}`,
    );
    sheet?.step(
      'y_0',
      about === 'y' ? 'y_s' : 'z_s',
      about === 'y' ? { y_s: offset } : { z_s: offset },
      offset,
      'sectionLength',
      'offset of the shear centre',
    );
    const joined = torsionalFlexuralForce(Nf, NT, offset, i0, sheet);
    Ncr = Math.min(joined, NT);
    sheet?.step('N_cr', 'min(N_crTF, N_crT)', { N_crTF: joined, N_crT: NT }, Ncr, 'force', '6.3.1.4(2)');
  }
  return Ncr;
}

/** Buckling resistance from an elastic critical force, N, EN 1993-1-1 6.3.1.1. A: mm2, effective in class 4; fy: MPa. */
export function bucklingResistance(annex: SteelAnnex, A: number, fy: number, Ncr: number, curve: Curve, sheet?: Sheet): number {
  const lambda = Math.sqrt((A * fy) / Ncr);
  sheet?.step('lambda', 'sqrt(A * f_y / N_cr)', { A, f_y: fy, N_cr: Ncr }, lambda, 'ratio', '6.3.1.2(1)', 'non-dimensional slenderness');
  const chi = reductionFactor(lambda, curve, sheet);
  sheet?.given('gamma_M1', annex.gammaM1, 'ratio', 'partial factor', annex.partialFactors);
  const NbRd = (chi * A * fy) / annex.gammaM1;
  sheet?.step(
    'N_bRd',
    'chi * A * f_y / gamma_M1',
    { chi, A, f_y: fy, gamma_M1: annex.gammaM1 },
    NbRd,
    'force',
    '(6.47)',
    'buckling resistance',
  );
  return NbRd;
}
