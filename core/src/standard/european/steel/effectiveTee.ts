import type { Section, TeeShape } from '../../../section';
import type { Sheet } from '../../../sheet';
import { hasEffectiveSection, outstandReduction, plateSlenderness, printReduction } from './effective';
import { classify } from './classification';

/** Whether bending of class 4 is written: of I and box, of angles, and of tees whose flange is stocky, which have the effective modulus below. fy: MPa. */
export function bendsInClass4(section: Section, fy: number): boolean {
  return hasEffectiveSection(section) || section.shape.outline === 'angle' || isTeeOfSlenderStem(section, fy);
}

/** Whether a tee of class 4 is so by its stem alone. */
function isTeeOfSlenderStem(section: Section, fy: number): boolean {
  return section.shape.outline === 'tee' && classify(section, fy, 'flange') < 4;
}

/**
 * Effective modulus of a tee whose stem buckles at its tip, mm3, EN 1993-1-5 4.3, 4.4, table 4.2: the stresses are those of the gross section, for its
 * flange is in tension. fy: MPa.
 */
export function teeEffectiveModulus({ shape, properties, designation }: Section, fy: number, sheet?: Sheet): number {
  const { h, tf, tw, r } = shape as TeeShape;
  const { A, Iy, cy } = properties;
  const epsilon = Math.sqrt(235 / fy);
  const c = h - tf - r;
  const psi = Math.max(-3, -(cy - tf - r) / (h - cy));
  const k = 0.57 - 0.21 * psi + 0.07 * psi ** 2;
  const slenderness = plateSlenderness(c / tw, epsilon, k);
  const rho = outstandReduction(slenderness);
  const pressed = psi < 0 ? c / (1 - psi) : c;
  const lost = (1 - rho) * pressed;
  const area = A - lost * tw;
  const middle = h - cy - lost / 2;
  const e = (lost * tw * middle) / area;
  const I = Iy - lost * tw * (middle ** 2 + lost ** 2 / 12) - area * e ** 2;
  const W = I / Math.max(h - cy - lost + e, cy - e);
  if (sheet) {
    sheet.given('A', A, 'area', 'gross area', designation);
    sheet.given('I_y', Iy, 'secondMoment', 'gross', designation);
    sheet.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, epsilon, 'ratio', 'table 5.2');
    sheet.step('c_s', 'h - t_f - r', { h, t_f: tf, r }, c, 'sectionLength', 'table 5.2', 'clear depth of the stem');
    const table = 'EN 1993-1-5 table 4.2';
    sheet.step(
      'psi',
      'max(-3, -(z_c - t_f - r) / (h - z_c))',
      { z_c: cy, t_f: tf, r, h },
      psi,
      'ratio',
      table,
      'stress at its root over that at its tip',
    );
    sheet.step('k_sigma', '0.57 - 0.21 * psi + 0.07 * psi^2', { psi }, k, 'ratio', table);
    sheet.step(
      'lambda_s',
      'c_s / t_w / (28.4 * epsilon * sqrt(k_sigma))',
      { c_s: c, t_w: tw, epsilon, k_sigma: k },
      slenderness,
      'ratio',
      'EN 1993-1-5 4.4(2)',
    );
    printReduction('rho_s', 'lambda_s', slenderness, rho, '0.188', {}, sheet);
    sheet.step(
      'g',
      psi < 0 ? '(1 - rho_s) * c_s / (1 - psi)' : '(1 - rho_s) * c_s',
      psi < 0 ? { rho_s: rho, c_s: c, psi } : { rho_s: rho, c_s: c },
      lost,
      'sectionLength',
      table,
      'length at the tip that is not effective',
    );
    sheet.step('A_eff', 'A - g * t_w', { A, g: lost, t_w: tw }, area, 'area', 'EN 1993-1-5 4.3');
    sheet.step(
      'e',
      'g * t_w * (h - z_c - g / 2) / A_eff',
      { g: lost, t_w: tw, h, z_c: cy, A_eff: area },
      e,
      'sectionLength',
      'EN 1993-1-5 4.3',
      'shift of the axis toward the flange',
    );
    sheet.step(
      'I_eff',
      'I_y - g * t_w * ((h - z_c - g / 2)^2 + g^2 / 12) - A_eff * e^2',
      { I_y: Iy, g: lost, t_w: tw, h, z_c: cy, A_eff: area, e },
      I,
      'secondMoment',
      'EN 1993-1-5 4.3',
    );
    sheet.step(
      'W_y',
      'I_eff / max(h - z_c - g + e, z_c - e)',
      { I_eff: I, h, z_c: cy, g: lost, e },
      W,
      'sectionModulus',
      'EN 1993-1-5 4.3',
      'effective section modulus',
    );
  }
  return W;
}
