import type { IShape, Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { outstandReduction, plateSlenderness, printReduction } from './effective';

/**
 * Effective modulus of an I or tee with slender flanges bent about its minor axis, mm3, EN 1993-1-5 4.3, 4.4, table 4.2: of each flange the half that is
 * pressed loses its tip, the stress falling to nothing at the web. fy: MPa.
 */
export function effectiveMinorModulus({ shape, properties, designation }: Section, fy: number, sheet?: Sheet): number {
  const { b, tw, tf, r } = shape as IShape;
  const flanges = shape.outline === 'tee' ? 1 : 2;
  const { A, Iz } = properties;
  const epsilon = Math.sqrt(235 / fy);
  const c = (b - tw - 2 * r) / 2;
  const slenderness = plateSlenderness(c / tf, epsilon, 0.57);
  const rho = outstandReduction(slenderness);
  const g = (1 - rho) * c;
  const lost = flanges * g * tf;
  const middle = b / 2 - g / 2;
  const area = A - lost;
  const e = (lost * middle) / area;
  const I = Iz - lost * (middle ** 2 + g ** 2 / 12) - area * e ** 2;
  const W = I / Math.max(b / 2 - g + e, b / 2 - e);
  if (sheet) {
    const clause = 'EN 1993-1-5 4.3';
    sheet.given('A', A, 'area', 'gross area', designation);
    sheet.given('I_z', Iz, 'secondMoment', 'gross, minor axis', designation);
    sheet.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, epsilon, 'ratio', 'table 5.2');
    sheet.step('c_f', '(b - t_w - 2 * r) / 2', { b, t_w: tw, r }, c, 'sectionLength', 'table 5.2', 'clear width of a flange part');
    sheet.step(
      'lambda_f',
      'c_f / t_f / (28.4 * epsilon * sqrt(0.57))',
      { c_f: c, t_f: tf, epsilon },
      slenderness,
      'ratio',
      'EN 1993-1-5 4.4(2), table 4.2',
      'no stress at the web',
    );
    printReduction('rho_f', 'lambda_f', slenderness, rho, '0.188', {}, sheet);
    sheet.step(
      'g',
      '(1 - rho_f) * c_f',
      { rho_f: rho, c_f: c },
      g,
      'sectionLength',
      'EN 1993-1-5 table 4.2',
      'of a tip that is not effective',
    );
    sheet.step('A_l', `${flanges} * g * t_f`, { g, t_f: tf }, lost, 'area', clause, 'not effective');
    sheet.step('e', 'A_l * (b / 2 - g / 2) / (A - A_l)', { A_l: lost, b, g, A }, e, 'sectionLength', clause, 'shift of the axis');
    sheet.step(
      'I_eff',
      'I_z - A_l * ((b / 2 - g / 2)^2 + g^2 / 12) - (A - A_l) * e^2',
      { I_z: Iz, A_l: lost, b, g, A, e },
      I,
      'secondMoment',
      clause,
    );
    sheet.step(
      'W_z',
      'I_eff / max(b / 2 - g + e, b / 2 - e)',
      { I_eff: I, b, g, e },
      W,
      'sectionModulus',
      clause,
      'effective section modulus',
    );
  }
  return W;
}
