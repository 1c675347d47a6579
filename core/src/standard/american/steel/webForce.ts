import { yieldStrength } from '../../../material';
import type { IShape } from '../../../section';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { requireBasis, type Philosophy, type WebForceInput } from '../../standard';
import { availableStrength, WEB_CRIPPLING, WEB_YIELDING } from './available';
import { recordShape } from './slenderness';

/** Nominal strength of web local yielding, N, AISC 360-16 (J10-2), and at an end (J10-3). lb: mm. */
export function webYielding({ tw, tf, r }: IShape, Fy: number, lb: number, atEnd: boolean, sheet?: Sheet): number {
  const k = tf + r;
  const Rn = Fy * tw * ((atEnd ? 2.5 : 5) * k + lb);
  sheet?.step(
    'R_n',
    `F_y * t_w * (${atEnd ? 2.5 : 5} * k + l_b)`,
    { F_y: Fy, t_w: tw, k, l_b: lb },
    Rn,
    'force',
    atEnd ? '(J10-3)' : '(J10-2)',
  );
  return Rn;
}

/** Nominal strength of web local crippling, N, AISC 360-16 (J10-4), and at an end (J10-5a), (J10-5b). lb: mm. */
export function webCrippling({ h: d, tw, tf }: IShape, Fy: number, E: number, lb: number, atEnd: boolean, sheet?: Sheet): number {
  const root = Math.sqrt((E * Fy * tf) / tw);
  const inputs = { t_w: tw, l_b: lb, d, t_f: tf, E, F_y: Fy };
  if (!atEnd) {
    const Rn = 0.8 * tw ** 2 * (1 + 3 * (lb / d) * (tw / tf) ** 1.5) * root;
    sheet?.step('R_n', '0.80 * t_w^2 * (1 + 3 * l_b / d * (t_w / t_f)^1.5) * sqrt(E * F_y * t_f / t_w)', inputs, Rn, 'force', '(J10-4)');
    return Rn;
  }
  if (lb / d <= 0.2) {
    const Rn = 0.4 * tw ** 2 * (1 + 3 * (lb / d) * (tw / tf) ** 1.5) * root;
    sheet?.step('R_n', '0.40 * t_w^2 * (1 + 3 * l_b / d * (t_w / t_f)^1.5) * sqrt(E * F_y * t_f / t_w)', inputs, Rn, 'force', '(J10-5a)');
    return Rn;
  }
  const Rn = 0.4 * tw ** 2 * (1 + ((4 * lb) / d - 0.2) * (tw / tf) ** 1.5) * root;
  sheet?.step(
    'R_n',
    '0.40 * t_w^2 * (1 + (4 * l_b / d - 0.2) * (t_w / t_f)^1.5) * sqrt(E * F_y * t_f / t_w)',
    inputs,
    Rn,
    'force',
    '(J10-5b)',
  );
  return Rn;
}

/**
 * Web of an I under a compressive force through one flange, without stiffeners, AISC 360-16 J10.2, J10.3. Sidesway buckling (J10.4) is
 * left out: the loaded flange must be held against moving sideways there.
 */
export function webUnderForce(input: WebForceInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, force, bearing, toEnd, combination } = input;
  requireBasis(input.basis, philosophy.basis);
  const name = 'Web under a force through its flange';
  const { shape } = section;
  if (shape.outline !== 'I')
    return [unproven(name, 'AISC 360-16 J10', 'instability', 'forces through the flange are written for webs of I shapes only', sheet)];
  recordShape(section, sheet);
  const Fy = yieldStrength(grade, 1);
  sheet?.given('F_y', Fy, 'stress', 'specified minimum yield stress', grade.standard);
  sheet?.given('E', grade.E, 'stress', 'modulus of elasticity', 'AISC 360-16');
  sheet?.given('l_b', bearing, 'sectionLength', 'length of bearing');
  sheet?.given('R_u', force, 'force', `force through the flange, ${combination}`);
  const row = (title: string, clause: string, mode: Check['mode'], capacity: number, inner?: Sheet) =>
    compare(
      { name: title, clause, mode, kind: 'force', demand: force, demandSymbol: 'R_u', capacity, capacitySymbol: 'R_c', combination },
      inner,
    );
  const yielding = sheet?.scope('Web local yielding');
  const Ry = webYielding(shape, Fy, bearing, toEnd <= shape.h, yielding);
  const crippling = sheet?.scope('Web local crippling');
  const Rc = webCrippling(shape, Fy, grade.E, bearing, toEnd < shape.h / 2, crippling);
  const symbols = { nominal: 'R_n', available: 'R_c' };
  return [
    row(
      `${name}: yielding`,
      'AISC 360-16 J10.2',
      'ductile',
      availableStrength(Ry, WEB_YIELDING, philosophy, symbols, 'force', yielding),
      yielding,
    ),
    row(
      `${name}: crippling`,
      'AISC 360-16 J10.3',
      'instability',
      availableStrength(Rc, WEB_CRIPPLING, philosophy, symbols, 'force', crippling),
      crippling,
    ),
  ];
}
