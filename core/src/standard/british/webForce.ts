import { BS5950 } from './documents';
import { compare, type Check, type Sheet } from '../../sheet';
import { requireBasis, type Philosophy, type WebForceInput } from '../standard';
import { designStrength, rolledI } from './section';

/**
 * Web of a rolled I or H under a force through its flange, without stiffeners, BS 5950-1 4.5.2 bearing and 4.5.3 buckling; the flange is held against turning
 * and moving sideways relative to the other (4.5.3.1), which is for who uses it to see to. @throws OutsideScope for other shapes
 */
export function webUnderForce(input: WebForceInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, force, bearing, toEnd, basis, combination } = input;
  requireBasis(basis, philosophy.basis);
  const { h: D, tw: t, tf: T, r } = rolledI(section, sheet);
  const py = designStrength(section, grade, sheet);
  const k = T + r;
  const d = D - 2 * k;
  const epsilon = Math.sqrt(275 / py);
  const be = Math.max(0, toEnd - bearing / 2);
  const n = Math.min(5, 2 + (0.6 * be) / k);
  const Pbw = (bearing + n * k) * t * py;
  const full = ((25 * epsilon * t) / Math.sqrt((bearing + n * k) * d)) * Pbw;
  const isNear = toEnd < 0.7 * d;
  const Px = isNear ? full * ((toEnd + 0.7 * d) / (1.4 * d)) : full;
  if (sheet) {
    sheet.given('F_x', force, 'force', `force through the flange, ${combination}`);
    sheet.given('b_1', bearing, 'sectionLength', 'stiff bearing length', '4.5.1.3');
    sheet.given('b_e', be, 'sectionLength', 'from the stiff length to the nearer end');
    sheet.given('a_e', toEnd, 'sectionLength', 'from the force to the nearer end');
    sheet.step('k', 'T + r_t', { T, r_t: r }, k, 'sectionLength', '4.5.2.1');
    sheet.step('n', 'min(5, 2 + 0.6 * b_e / k)', { b_e: be, k }, n, 'ratio', '4.5.2.1');
    sheet.step('P_bw', '(b_1 + n * k) * t * p_y', { b_1: bearing, n, k, t, p_y: py }, Pbw, 'force', '4.5.2.1', 'bearing capacity');
    sheet.step('d', 'D - 2 * k', { D, k }, d, 'sectionLength', '4.5.3.1');
    sheet.step('epsilon', 'sqrt(275 / p_y)', { p_y: py }, epsilon, 'ratio', 'table 11');
    const inputs = { epsilon, t, b_1: bearing, n, k, d, P_bw: Pbw };
    sheet.branch('a_e < 0.7 * d', { a_e: toEnd, d }, isNear, '4.5.3.1', isNear ? 'near an end' : 'away from the ends');
    if (isNear)
      sheet.step(
        'P_x',
        '(a_e + 0.7 * d) / (1.4 * d) * 25 * epsilon * t / sqrt((b_1 + n * k) * d) * P_bw',
        { ...inputs, a_e: toEnd },
        Px,
        'force',
        '4.5.3.1',
        'buckling resistance',
      );
    else sheet.step('P_x', '25 * epsilon * t / sqrt((b_1 + n * k) * d) * P_bw', inputs, Px, 'force', '4.5.3.1', 'buckling resistance');
  }
  const common = { kind: 'force', demand: force, demandSymbol: 'F_x', combination } as const;
  return [
    compare(
      {
        ...common,
        id: 'web-bearing',
        name: 'Web bearing',
        clause: BS5950('4.5.2'),
        mode: 'ductile',
        capacity: Pbw,
        capacitySymbol: 'P_bw',
      },
      sheet,
    ),
    compare(
      {
        ...common,
        id: 'web-buckling',
        name: 'Web buckling',
        clause: BS5950('4.5.3'),
        mode: 'instability',
        capacity: Px,
        capacitySymbol: 'P_x',
      },
      sheet,
    ),
  ];
}
