import { ACI318 } from '../documents';
import { compare, type Check, type Sheet } from '../../../sheet';
import type { PadInput } from '../../standard';
import { PHI_SHEAR, PSI, rootPsi } from './padCommon';

/** Two-way shear at d/2 from the column, ACI 318-19 22.6. */
export function twoWayShear(input: PadInput, qu: number, d: number, combination: string, checks: Check[], sheet?: Sheet): void {
  const { columnWidth: c1, columnDepth: c2, isRound, width, length, concrete } = input;
  const root = rootPsi(concrete.strength);
  if (c1 + d > width || c2 + d > length) {
    sheet?.note('The critical perimeter lies outside the pad: the load is spread within its thickness.');
    return;
  }
  const inside = isRound ? (Math.PI * (c1 + d) ** 2) / 4 : (c1 + d) * (c2 + d);
  const Vu = input.factored.force - qu * inside;
  const b0 = isRound ? Math.PI * (c1 + d) : 2 * (c1 + d) + 2 * (c2 + d);
  const beta = Math.max(c1, c2) / Math.min(c1, c2);
  const vc = Math.min(4, 2 + 4 / beta, 2 + (40 * d) / b0) * root * PSI;
  const capacity = PHI_SHEAR * vc * b0 * d;
  if (sheet) {
    if (isRound) sheet.given('D_c', c1, 'sectionLength', 'diameter of the column');
    else {
      sheet.given('c_1', c1, 'sectionLength', 'column along x');
      sheet.given('c_2', c2, 'sectionLength', 'column along y');
    }
    sheet.given('d', d, 'sectionLength', 'mean effective depth');
    if (isRound) sheet.step('A_i', 'pi * (D_c + d)^2 / 4', { D_c: c1, d }, inside, 'area', '22.6.4.1', 'inside the critical perimeter');
    else sheet.step('A_i', '(c_1 + d) * (c_2 + d)', { c_1: c1, c_2: c2, d }, inside, 'area', '22.6.4.1', 'inside the critical perimeter');
    sheet.given('phi', PHI_SHEAR, 'ratio', 'strength reduction factor', 'ACI 318-19 table 21.2.1');
    sheet.step(
      'V_u',
      'P_u - q_u * A_i',
      { P_u: input.factored.force, q_u: qu, A_i: inside },
      Vu,
      'force',
      '13.2.7.2',
      'the pressure inside is deducted',
    );
    if (isRound) sheet.step('b_0', 'pi * (D_c + d)', { D_c: c1, d }, b0, 'sectionLength', '22.6.4.1');
    else sheet.step('b_0', '2 * (c_1 + d) + 2 * (c_2 + d)', { c_1: c1, c_2: c2, d }, b0, 'sectionLength', '22.6.4.1');
    if (isRound) sheet.step('beta', '1', {}, 1, 'ratio', '22.6.5.2', 'round');
    else sheet.step('beta', 'max(c_1, c_2) / min(c_1, c_2)', { c_1: c1, c_2: c2 }, beta, 'ratio', '22.6.5.2');
    sheet.step(
      'v_c',
      'min(4, 2 + 4 / beta, 2 + 40 * d / b_0) * s_c * psi',
      { beta, d, b_0: b0, s_c: root, psi: PSI },
      vc,
      'stress',
      'table 22.6.5.2',
      'size effect neglected, 13.2.6.2',
    );
    sheet.step('V_c', 'phi * v_c * b_0 * d', { phi: PHI_SHEAR, v_c: vc, b_0: b0, d }, capacity, 'force', '22.6.1.2', 'design strength');
  }
  checks.push(
    compare(
      {
        id: 'two-way-shear',
        name: 'Two-way shear',
        clause: ACI318('22.6'),
        mode: 'brittle',
        kind: 'force',
        demand: Vu,
        demandSymbol: 'V_u',
        capacity,
        capacitySymbol: 'V_c',
        combination,
      },
      sheet,
    ),
  );
}
