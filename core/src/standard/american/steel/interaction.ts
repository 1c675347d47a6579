import { AISC360 } from '../documents';
import type { Section } from '../../../section';
import { compare, type Check, type Sheet } from '../../../sheet';
import type { MomentShape, Philosophy } from '../../standard';

/**
 * Factor of P-delta between braced points, AISC 360-16 Appendix 8 (A-8-3). axial: compression, N; length: between braced points in the plane
 * of bending, mm. alpha is 1.0 (LRFD) or 1.6 (ASD). Null when the member buckles under the axial force alone.
 */
export function momentAmplifier(
  moment: MomentShape,
  axial: number,
  E: number,
  I: number,
  length: number,
  philosophy: Philosophy,
  sheet?: Sheet,
): number | null {
  const alpha = philosophy.basis === 'factored' ? 1 : 1.6;
  const straight = (moment.start + moment.end) / 2;
  const isStraight = Math.abs(moment.middle - straight) <= 1e-6 * Math.abs(moment.peak);
  const [larger, smaller] = Math.abs(moment.start) >= Math.abs(moment.end) ? [moment.start, moment.end] : [moment.end, moment.start];
  // M1/M2 is positive in reverse curvature: the two end moments have opposite signs as they are drawn
  const Cm = isStraight && larger !== 0 ? 0.6 + 0.4 * (smaller / larger) : 1;
  const Pe1 = (Math.PI ** 2 * E * I) / length ** 2;
  const left = 1 - (alpha * axial) / Pe1;
  if (sheet) {
    if (isStraight && larger !== 0) {
      sheet.given('M_1', smaller, 'moment', 'smaller end moment, with the sign of the diagram');
      sheet.given('M_2', larger, 'moment', 'larger end moment');
      sheet.step(
        'C_m',
        '0.6 + 0.4 * M_1 / M_2',
        { M_1: smaller, M_2: larger },
        Cm,
        'ratio',
        '(A-8-4)',
        'M_1/M_2 of the clause is negative in single curvature',
      );
    } else sheet.step('C_m', '1', {}, 1, 'ratio', 'A-8.2.1(b)', 'load between the supports');
    sheet.given('alpha', alpha, 'ratio', alpha === 1 ? 'LRFD' : 'ASD', 'A-8.2.1');
    sheet.given('I_b', I, 'secondMoment', 'in the plane of bending');
    sheet.given('L_1', length, 'length', 'effective length in the plane of bending, no sway');
    sheet.step('P_e1', 'pi^2 * E * I_b / L_1^2', { E, I_b: I, L_1: length }, Pe1, 'force', '(A-8-5)');
  }
  if (left <= 0) return null;
  const B1 = Math.max(1, Cm / left);
  sheet?.step(
    'B_1',
    'max(1, C_m / (1 - alpha * P_r / P_e1))',
    { C_m: Cm, alpha, P_r: axial, P_e1: Pe1 },
    B1,
    'ratio',
    '(A-8-3)',
    'amplifies the moment',
  );
  return B1;
}

interface Input {
  readonly section: Section;
  readonly combination: string;
  /** Required and available axial strength, magnitudes, N; pressed or drawn. */
  readonly Pr: number;
  readonly Pc: number;
  readonly isPressed: boolean;
  /** Required (amplified) and available moments, magnitudes, Nmm. */
  readonly Mrx: number;
  readonly Mcx: number;
  readonly Mry: number;
  readonly Mcy: number;
}

/** Bending and axial force together, AISC 360-16 H1.1, H1.2: doubly and singly symmetric shapes; H2: angles. */
export function combined({ section, combination, Pr, Pc, isPressed, Mrx, Mcx, Mry, Mcy }: Input, sheet?: Sheet): Check {
  const name = { id: 'bending-and-axial-force', name: 'Bending and axial force' } as const;
  // H2: of unsymmetric shapes the ratios are added up, the largest of each taken at one place
  const isUnsymmetric = section.shape.outline === 'angle';
  const clause = isUnsymmetric ? AISC360('H2') : isPressed ? AISC360('H1.1') : AISC360('H1.2');
  const p = Pr === 0 ? 0 : Pr / Pc;
  const bending = (Mrx > 0 ? Mrx / Mcx : 0) + (Mry > 0 ? Mry / Mcy : 0);
  const isHeavy = p >= 0.2;
  const sum = isUnsymmetric ? p + bending : isHeavy ? p + (8 / 9) * bending : p / 2 + bending;
  if (sheet) {
    const inputs: Record<string, number> = {};
    if (Pr > 0) {
      sheet.given('P_a', Pr, 'force', `required axial strength, ${combination}`);
      sheet.given('P_b', Pc, 'force', 'available axial strength, from above');
      Object.assign(inputs, { P_a: Pr, P_b: Pc });
      if (!isUnsymmetric) sheet.branch('P_a / P_b >= 0.2', { P_a: Pr, P_b: Pc }, isHeavy, clause, isHeavy ? '(H1-1a)' : '(H1-1b)');
    }
    const terms: string[] = [];
    if (Mrx > 0) {
      sheet.given('M_rx', Mrx, 'moment', 'required moment, major axis, amplified');
      sheet.given('M_cx', Mcx, 'moment', 'available moment, major axis, from above');
      Object.assign(inputs, { M_rx: Mrx, M_cx: Mcx });
      terms.push('M_rx / M_cx');
    }
    if (Mry > 0) {
      sheet.given('M_ry', Mry, 'moment', 'required moment, minor axis, amplified');
      sheet.given('M_cy', Mcy, 'moment', 'available moment, minor axis, from above');
      Object.assign(inputs, { M_ry: Mry, M_cy: Mcy });
      terms.push('M_ry / M_cy');
    }
    const moments = terms.join(' + ') || '0';
    const axialPart = Pr > 0 ? 'P_a / P_b / 2 + ' : '';
    sheet.step(
      'R',
      isUnsymmetric ? `${Pr > 0 ? 'P_a / P_b + ' : ''}${moments}` : isHeavy ? `P_a / P_b + 8 / 9 * (${moments})` : `${axialPart}${moments}`,
      inputs,
      sum,
      'ratio',
      isUnsymmetric ? '(H2-1)' : isHeavy ? '(H1-1a)' : '(H1-1b)',
    );
    sheet.given('R_max', 1, 'ratio', 'at most');
  }
  return compare(
    {
      id: name.id,
      name: name.name,
      clause,
      mode: 'instability',
      kind: 'ratio',
      demand: sum,
      demandSymbol: 'R',
      capacity: 1,
      capacitySymbol: 'R_max',
      combination,
    },
    sheet,
  );
}
