import type { ConcreteAnnex } from '../annex';
import { EN1992_1_1 } from '../documents';
import { compare, type Check, type Sheet } from '../../../sheet';
import type { PadInput } from '../../standard';
import { evenPressure, recordPressure, recordProjection, worstSide, type PadSide } from '../../padSides';
import { SIDE, type Direction } from './direction';
import { recordShearStrength, shearStrength } from './shearStrength';

const BEYOND = 'pad beyond d from the face';

/** Shear at d from the face of the column, EN 1992-1-1 6.2.2. */
export function beamShear(
  annex: ConcreteAnnex,
  direction: Direction,
  input: PadInput,
  rho: number,
  combination: string,
  checks: Check[],
  sheet?: Sheet,
): void {
  const { span, across, column, d, sides } = direction;
  const fck = input.concrete.strength;
  const beyondD = ({ reach }: PadSide) => Math.max(0, reach - column / 2 - d);
  const side = worstSide(sides, (one) => evenPressure(one, beyondD(one), 'force') * beyondD(one));
  const beyond = beyondD(side);
  const p = evenPressure(side, beyond, 'force');
  const V = p * across * beyond;
  const VRd = shearStrength(annex, d, rho, fck) * across * d;
  if (sheet) {
    sheet.given('L_b', span, 'length', 'pad along the bars');
    sheet.given('L_t', across, 'length', 'pad across the bars');
    sheet.given('c', column, 'sectionLength', 'column outline along the bars');
    sheet.given('d', d, 'sectionLength', 'effective depth');
    sheet.given('rho', rho, 'ratio', 'bars over concrete area');
    if (side.kind === 'even')
      sheet.step('a_v', 'max(0, (L_b - c) / 2 - d)', { L_b: span, c: column, d }, beyond, 'length', '6.2.1(8)', BEYOND);
    else {
      recordProjection(side, column, SIDE, sheet);
      sheet.step('a_v', 'max(0, a - d)', { a: side.reach - column / 2, d }, beyond, 'length', '6.2.1(8)', BEYOND);
      recordPressure(side, { symbol: 'a_v', value: beyond }, 'force', SIDE, sheet);
    }
    sheet.step('V_Ed', 'p * L_t * a_v', { p, L_t: across, a_v: beyond }, V, 'force', '6.2.1(8)');
    recordShearStrength(annex, sheet, d, rho, fck);
    sheet.step('V_Rdc', 'v_Rdc * L_t * d', { v_Rdc: shearStrength(annex, d, rho, fck), L_t: across, d }, VRd, 'force', '(6.2)');
  }
  checks.push(
    compare(
      {
        id: 'shear',
        part: direction.id,
        name: `Shear, bars ${direction.title}`,
        clause: EN1992_1_1('6.2.2'),
        mode: 'brittle',
        kind: 'force',
        demand: V,
        demandSymbol: 'V_Ed',
        capacity: VRd,
        capacitySymbol: 'V_Rdc',
        combination,
      },
      sheet,
    ),
  );
}
