import { EN1992_1_1 } from '../documents';
import { compare, type Check, type Sheet } from '../../../sheet';
import type { PadInput } from '../../standard';
import type { ConcreteAnnex } from '../annex';
import { recordShearStrength, shearStrength } from './shearStrength';

/** Perimeters between the face and 2d, round the corners, as far as they lie within the pad; the pressure inside helps. */
export function punch(
  annex: ConcreteAnnex,
  input: PadInput,
  p: number,
  d: number,
  rho: number,
  combination: string,
  checks: Check[],
  sheet?: Sheet,
): void {
  const { width, length, columnWidth: c1, columnDepth: c2, isRound, concrete } = input;
  const fck = concrete.strength;
  const N = input.factored.force;
  const reach = Math.min(2 * d, (width - c1) / 2, (length - c2) / 2);
  const u0 = isRound ? Math.PI * c1 : 2 * (c1 + c2);
  const area = isRound ? (Math.PI * c1 ** 2) / 4 : c1 * c2;
  const at = (a: number) => {
    const u = u0 + 2 * Math.PI * a;
    const inside = area + u0 * a + Math.PI * a ** 2;
    const V = Math.max(0, N - p * inside);
    const vRd = (shearStrength(annex, d, rho, fck) * 2 * d) / a;
    return { a, u, inside, V, v: V / (u * d), vRd };
  };
  let worst = at(reach);
  for (let i = 1; i <= 40; i += 1) {
    const trial = at((reach * i) / 40);
    if (trial.v / trial.vRd > worst.v / worst.vRd) worst = trial;
  }
  const nu = 0.6 * (1 - fck / 250);
  const fcd = fck / annex.gammaC;
  const vFace = (N - p * area) / (u0 * d);
  const vMax = annex.punchingAtColumn * nu * fcd;
  if (isRound) {
    sheet?.given('D_c', c1, 'sectionLength', 'diameter of the column');
    sheet?.step('u_0', 'pi * D_c', { D_c: c1 }, u0, 'sectionLength', '6.4.2', 'round the column');
    sheet?.step('A_0', 'pi * D_c^2 / 4', { D_c: c1 }, area, 'area', '6.4.4(2)');
  } else {
    sheet?.given('c_1', c1, 'sectionLength', 'column along x');
    sheet?.given('c_2', c2, 'sectionLength', 'column along y');
    sheet?.step('u_0', '2 * (c_1 + c_2)', { c_1: c1, c_2: c2 }, u0, 'sectionLength', '6.4.5(3)', 'round the column');
    sheet?.step('A_0', 'c_1 * c_2', { c_1: c1, c_2: c2 }, area, 'area', '6.4.4(2)');
  }
  sheet?.given('d', d, 'sectionLength', 'mean effective depth');
  sheet?.given('rho', rho, 'ratio', 'geometric mean of the bars both ways');
  const face = sheet?.scope('At the face of the column');
  face?.step('v_Ed', '(N_Ed - p * A_0) / (u_0 * d)', { N_Ed: N, p, A_0: area, u_0: u0, d }, vFace, 'stress', '6.4.5(3)');
  face?.step('nu', '0.6 * (1 - f_ck / 250)', { f_ck: fck }, nu, 'ratio', '(6.6N)', 'f_ck in MPa');
  face?.step('f_cd', 'f_ck / gamma_C', { f_ck: fck, gamma_C: annex.gammaC }, fcd, 'stress', 'alpha_cc 1.0 in shear');
  face?.step('v_Rdmax', `${annex.punchingAtColumn} * nu * f_cd`, { nu, f_cd: fcd }, vMax, 'stress', annex.punchingSource);
  checks.push(
    compare(
      {
        id: 'punching-at-the-column',
        name: 'Punching at the column',
        clause: EN1992_1_1('6.4.5(3)'),
        mode: 'brittle',
        kind: 'stress',
        demand: vFace,
        demandSymbol: 'v_Ed',
        capacity: vMax,
        capacitySymbol: 'v_Rdmax',
        combination,
      },
      face,
    ),
  );
  const ring = sheet?.scope('On the governing perimeter');
  ring?.given('a', worst.a, 'sectionLength', 'distance from the face: the worst of 40 perimeters up to 2d within the pad');
  ring?.step('u', 'u_0 + 2 * pi * a', { u_0: u0, a: worst.a }, worst.u, 'sectionLength', '6.4.2');
  ring?.step(
    'A_i',
    'A_0 + u_0 * a + pi * a^2',
    { A_0: area, u_0: u0, a: worst.a },
    worst.inside,
    'area',
    '6.4.4(2)',
    'area inside the perimeter',
  );
  ring?.step(
    'V_red',
    'max(0, N_Ed - p * A_i)',
    { N_Ed: N, p, A_i: worst.inside },
    worst.V,
    'force',
    '(6.48)',
    'the pressure inside is deducted',
  );
  ring?.step('v_Ed', 'V_red / (u * d)', { V_red: worst.V, u: worst.u, d }, worst.v, 'stress', '(6.49)');
  recordShearStrength(annex, ring, d, rho, fck);
  ring?.step('v_Rd', 'v_Rdc * 2 * d / a', { v_Rdc: shearStrength(annex, d, rho, fck), d, a: worst.a }, worst.vRd, 'stress', '(6.50)');
  checks.push(
    compare(
      {
        id: 'punching',
        name: 'Punching',
        clause: EN1992_1_1('6.4.4(2)'),
        mode: 'brittle',
        kind: 'stress',
        demand: worst.v,
        demandSymbol: 'v_Ed',
        capacity: worst.vRd,
        capacitySymbol: 'v_Rd',
        combination,
      },
      ring,
    ),
  );
}
