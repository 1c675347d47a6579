import { ACI318 } from '../documents';
import { compare, type Check, type Sheet } from '../../../sheet';
import type { PadInput } from '../../standard';
import { evenPressure, recordPressure, recordProjection, worstSide, type PadSide } from '../../padSides';
import { PHI_SHEAR, PSI, rootPsi, SIDE, type Direction } from './padCommon';

const BEYOND = 'pad beyond d from the face';

/** One-way shear at d from the face of the column, ACI 318-19 22.5. */
export function oneWayShear(direction: Direction, input: PadInput, rho: number, combination: string, checks: Check[], sheet?: Sheet): void {
  const { span, across, column, d, sides } = direction;
  const fc = input.concrete.strength;
  const root = rootPsi(fc);
  const beyondD = ({ reach }: PadSide) => Math.max(0, reach - column / 2 - d);
  const side = worstSide(sides, (one) => evenPressure(one, beyondD(one), 'force') * beyondD(one));
  const beyond = beyondD(side);
  const qu = evenPressure(side, beyond, 'force');
  const Vu = qu * across * beyond;
  const vc = Math.min(8 * rho ** (1 / 3) * root, 5 * root) * PSI;
  const capacity = PHI_SHEAR * vc * across * d;
  if (sheet) {
    sheet.given('L_b', span, 'length', 'pad along the bars');
    sheet.given('L_t', across, 'length', 'pad across the bars');
    sheet.given('c', column, 'sectionLength', 'column outline along the bars');
    sheet.given('d', d, 'sectionLength', 'effective depth');
    sheet.given('rho_w', rho, 'ratio', 'bars over concrete area');
    sheet.given('phi', PHI_SHEAR, 'ratio', 'strength reduction factor', 'ACI 318-19 table 21.2.1');
    if (side.kind === 'even')
      sheet.step('a_v', 'max(0, (L_b - c) / 2 - d)', { L_b: span, c: column, d }, beyond, 'length', '13.2.7.2', BEYOND);
    else {
      recordProjection(side, column, SIDE, sheet);
      sheet.step('a_v', 'max(0, a_p - d)', { a_p: side.reach - column / 2, d }, beyond, 'length', '13.2.7.2', BEYOND);
      recordPressure(side, { symbol: 'a_v', value: beyond }, 'force', SIDE, sheet);
    }
    sheet.step('V_u', 'q_u * L_t * a_v', { q_u: qu, L_t: across, a_v: beyond }, Vu, 'force', '13.2.7.2');
    sheet.step(
      'v_c',
      'min(8 * rho_w^(1/3) * s_c, 5 * s_c) * psi',
      { rho_w: rho, s_c: root, psi: PSI },
      vc,
      'stress',
      'table 22.5.5.1(c), 22.5.5.1.1',
      'size effect neglected, 13.2.6.2',
    );
    sheet.step('V_c', 'phi * v_c * L_t * d', { phi: PHI_SHEAR, v_c: vc, L_t: across, d }, capacity, 'force', '22.5.5.1', 'design strength');
  }
  checks.push(
    compare(
      {
        id: 'one-way-shear',
        part: direction.id,
        name: `One-way shear, ${direction.title}`,
        clause: ACI318('22.5'),
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
