import type { IShape, Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { flangeHold } from './slenderness';

/** Dimensions and properties that F4 and F5 use of a doubly symmetric I. */
interface Web {
  readonly hc: number;
  readonly ratio: number;
  readonly h0: number;
  readonly aw: number;
  readonly rt: number;
}

function web(section: Section, sheet?: Sheet): Web {
  const { h, b, tw, tf, r } = section.shape as IShape;
  const hc = h - 2 * (tf + r);
  const aw = (hc * tw) / (b * tf);
  const rt = b / Math.sqrt(12 * (1 + aw / 6));
  if (sheet) {
    sheet.step('h_c', 'd - 2 * k', { d: h, k: tf + r }, hc, 'sectionLength', 'B4.1b', 'clear depth of the web');
    sheet.step('a_w', 'h_c * t_w / (b_f * t_f)', { h_c: hc, t_w: tw, b_f: b, t_f: tf }, aw, 'ratio', '(F4-12)');
    sheet.step('r_t', 'b_f / sqrt(12 * (1 + a_w / 6))', { b_f: b, a_w: aw }, rt, 'sectionLength', '(F4-11)');
  }
  return { hc, ratio: hc / tw, h0: h - tf, aw, rt };
}

/** Web plastification factor of a doubly symmetric I with a noncompact web, AISC 360-16 (F4-9b). */
export function webPlastification(section: Section, E: number, Fy: number, sheet?: Sheet): number {
  const { Wply: Zx, Wely: Sx } = section.properties;
  const { tw } = section.shape as IShape;
  const { hc, ratio } = web(section, sheet);
  const Myc = Fy * Sx;
  const Mp = Math.min(Fy * Zx, 1.6 * Fy * Sx);
  const [p, r] = [3.76 * Math.sqrt(E / Fy), 5.7 * Math.sqrt(E / Fy)];
  const R = Math.min(Mp / Myc, Mp / Myc - (Mp / Myc - 1) * ((ratio - p) / (r - p)));
  if (sheet) {
    sheet.given('Z_x', Zx, 'sectionModulus', 'plastic section modulus', section.designation);
    sheet.given('S_x', Sx, 'sectionModulus', 'elastic section modulus', section.designation);
    sheet.step('M_p', 'min(F_y * Z_x, 1.6 * F_y * S_x)', { F_y: Fy, Z_x: Zx, S_x: Sx }, Mp, 'moment', 'F4.1');
    sheet.step('M_y', 'F_y * S_x', { F_y: Fy, S_x: Sx }, Myc, 'moment', '(F4-4)');
    sheet.step(
      'R_pc',
      'min(M_p / M_y, M_p / M_y - (M_p / M_y - 1) * (h_c / t_w - 3.76 * sqrt(E / F_y)) / (1.94 * sqrt(E / F_y)))',
      { M_p: Mp, M_y: Myc, h_c: hc, t_w: tw, E, F_y: Fy },
      R,
      'ratio',
      '(F4-9b)',
      'web plastification factor',
    );
  }
  return R;
}

/** Bending strength reduction factor of a slender web, AISC 360-16 (F5-6). */
export function webReduction(section: Section, E: number, Fy: number, sheet?: Sheet): number {
  const { aw, hc, ratio } = web(section, sheet);
  // aw in (F5-6) is at most 10
  const a = Math.min(10, aw);
  const { tw } = section.shape as IShape;
  const R = Math.min(1, 1 - (a / (1200 + 300 * a)) * (ratio - 5.7 * Math.sqrt(E / Fy)));
  sheet?.step(
    'R_pg',
    'min(1, 1 - min(10, a_w) / (1200 + 300 * min(10, a_w)) * (h_c / t_w - 5.7 * sqrt(E / F_y)))',
    { a_w: aw, h_c: hc, t_w: tw, E, F_y: Fy },
    R,
    'ratio',
    '(F5-6)',
    'bending strength reduction factor',
  );
  return R;
}

/** Lateral-torsional buckling of a doubly symmetric I with a noncompact web, Nmm, AISC 360-16 F4.2. Lb: mm. */
export function lateralTorsionalNoncompactWeb(section: Section, Lb: number, Cb: number, E: number, Fy: number, sheet?: Sheet): number {
  const { Wely: Sx, It: J } = section.properties;
  const { h, tf } = section.shape as IShape;
  const Rpc = webPlastification(section, E, Fy, sheet);
  const { rt, h0 } = web(section);
  const top = Rpc * Fy * Sx;
  const FL = 0.7 * Fy;
  const Lp = 1.1 * rt * Math.sqrt(E / Fy);
  const j = J / (Sx * h0);
  const Lr = 1.95 * rt * (E / FL) * Math.sqrt(j + Math.sqrt(j ** 2 + 6.76 * (FL / E) ** 2));
  if (sheet) {
    sheet.given('J', J, 'torsionConstant', 'torsion constant', section.designation);
    sheet.given('L_b', Lb, 'length', 'length between braced points');
    sheet.step('h_0', 'd - t_f', { d: h, t_f: tf }, h0, 'sectionLength', 'F4.2');
    sheet.step('M_1', 'R_pc * F_y * S_x', { R_pc: Rpc, F_y: Fy, S_x: Sx }, top, 'moment', '(F4-1)', 'compression flange yields');
    sheet.step('L_p', '1.1 * r_t * sqrt(E / F_y)', { r_t: rt, E, F_y: Fy }, Lp, 'length', '(F4-7)');
    sheet.step(
      'L_r',
      '1.95 * r_t * E / (0.7 * F_y) * sqrt(J / (S_x * h_0) + sqrt((J / (S_x * h_0))^2 + 6.76 * (0.7 * F_y / E)^2))',
      { r_t: rt, E, F_y: Fy, J, S_x: Sx, h_0: h0 },
      Lr,
      'length',
      '(F4-8)',
    );
  }
  return threeRanges(
    { Lb, Lp, Lr, top, mid: FL * Sx, Cb },
    sheet,
    () => {
      const Fcr = ((Cb * Math.PI ** 2 * E) / (Lb / rt) ** 2) * Math.sqrt(1 + 0.078 * j * (Lb / rt) ** 2);
      sheet?.step(
        'F_cr',
        'C_b * pi^2 * E / (L_b / r_t)^2 * sqrt(1 + 0.078 * J / (S_x * h_0) * (L_b / r_t)^2)',
        { C_b: Cb, E, L_b: Lb, r_t: rt, J, S_x: Sx, h_0: h0 },
        Fcr,
        'stress',
        '(F4-5)',
      );
      const Mn = Math.min(top, Fcr * Sx);
      sheet?.step('M_n', 'min(M_1, F_cr * S_x)', { M_1: top, F_cr: Fcr, S_x: Sx }, Mn, 'moment', '(F4-3)');
      return Mn;
    },
    ['F4.2(a)', '(F4-2)'],
    { M_2: '0.7 * F_y * S_x', inputs: { F_y: Fy, S_x: Sx } },
  );
}

/** Lateral-torsional buckling of a doubly symmetric I with a slender web, Nmm, AISC 360-16 F5.2. Lb: mm. */
export function lateralTorsionalSlenderWeb(section: Section, Lb: number, Cb: number, E: number, Fy: number, sheet?: Sheet): number {
  const { Wely: Sx } = section.properties;
  const Rpg = webReduction(section, E, Fy, sheet);
  const { rt } = web(section);
  const top = Rpg * Fy * Sx;
  const Lp = 1.1 * rt * Math.sqrt(E / Fy);
  const Lr = Math.PI * rt * Math.sqrt(E / (0.7 * Fy));
  if (sheet) {
    sheet.given('S_x', Sx, 'sectionModulus', 'elastic section modulus', section.designation);
    sheet.given('L_b', Lb, 'length', 'length between braced points');
    sheet.step('M_1', 'R_pg * F_y * S_x', { R_pg: Rpg, F_y: Fy, S_x: Sx }, top, 'moment', '(F5-1)', 'compression flange yields');
    sheet.step('L_p', '1.1 * r_t * sqrt(E / F_y)', { r_t: rt, E, F_y: Fy }, Lp, 'length', '(F4-7)');
    sheet.step('L_r', 'pi * r_t * sqrt(E / (0.7 * F_y))', { r_t: rt, E, F_y: Fy }, Lr, 'length', '(F5-5)');
  }
  return threeRanges(
    { Lb, Lp, Lr, top, mid: 0.7 * top, Cb },
    sheet,
    () => {
      const Fcr = Math.min(Fy, (Cb * Math.PI ** 2 * E) / (Lb / rt) ** 2);
      sheet?.step('F_cr', 'min(F_y, C_b * pi^2 * E / (L_b / r_t)^2)', { F_y: Fy, C_b: Cb, E, L_b: Lb, r_t: rt }, Fcr, 'stress', '(F5-4)');
      const Mn = Rpg * Fcr * Sx;
      sheet?.step('M_n', 'R_pg * F_cr * S_x', { R_pg: Rpg, F_cr: Fcr, S_x: Sx }, Mn, 'moment', '(F5-2)');
      return Mn;
    },
    ['F5.2(a)', '(F5-3)'],
    { M_2: '0.7 * M_1', inputs: { M_1: top } },
  );
}

/** The three ranges of unbraced length that F4 and F5 share: none, a straight line to the elastic limit, elastic. */
function threeRanges(
  { Lb, Lp, Lr, top, mid, Cb }: { Lb: number; Lp: number; Lr: number; top: number; mid: number; Cb: number },
  sheet: Sheet | undefined,
  elastic: () => number,
  clauses: readonly [string, string],
  second: { M_2: string; inputs: Record<string, number> },
): number {
  if (Lb <= Lp) {
    sheet?.branch('L_b <= L_p', { L_b: Lb, L_p: Lp }, true, clauses[0], 'lateral-torsional buckling does not apply');
    sheet?.step('M_n', 'M_1', { M_1: top }, top, 'moment', clauses[0]);
    return top;
  }
  if (Lb <= Lr) {
    sheet?.branch('L_b <= L_r', { L_b: Lb, L_r: Lr }, true, clauses[1], 'inelastic buckling');
    sheet?.step('M_2', second.M_2, second.inputs, mid, 'moment', clauses[1]);
    const Mn = Math.min(top, Cb * (top - (top - mid) * ((Lb - Lp) / (Lr - Lp))));
    sheet?.step(
      'M_n',
      'min(M_1, C_b * (M_1 - (M_1 - M_2) * (L_b - L_p) / (L_r - L_p)))',
      { M_1: top, C_b: Cb, M_2: mid, L_b: Lb, L_p: Lp, L_r: Lr },
      Mn,
      'moment',
      clauses[1],
    );
    return Mn;
  }
  sheet?.branch('L_b <= L_r', { L_b: Lb, L_r: Lr }, false, clauses[1], 'elastic buckling');
  return elastic();
}

/** Flange local buckling beside a noncompact (F4.3) or slender (F5.3) web, Nmm. state: of the flange. */
export function flangeLocalBucklingSlenderWeb(
  section: Section,
  webState: 'noncompact' | 'slender',
  state: 'noncompact' | 'slender',
  limits: { readonly compact: number; readonly noncompact: number },
  E: number,
  Fy: number,
  sheet?: Sheet,
): number {
  const { Wely: Sx } = section.properties;
  const { b, tf, tw } = section.shape as IShape;
  const lambda = b / 2 / tf;
  const { hc, ratio } = web(section);
  const factor = webState === 'noncompact' ? webPlastification(section, E, Fy, sheet) : webReduction(section, E, Fy, sheet);
  const symbol = webState === 'noncompact' ? 'R_pc' : 'R_pg';
  const top = factor * Fy * Sx;
  // F4.3 falls to FL Sx, F5.3 to Rpg 0.7 Fy Sx
  const low = webState === 'noncompact' ? 0.7 * Fy * Sx : 0.7 * top;
  sheet?.given('S_x', Sx, 'sectionModulus', 'elastic section modulus', section.designation);
  sheet?.step('lambda_f', 'b_f / 2 / t_f', { b_f: b, t_f: tf }, lambda, 'ratio', 'B4.1');
  sheet?.step(
    'M_1',
    `${symbol} * F_y * S_x`,
    { [symbol]: factor, F_y: Fy, S_x: Sx },
    top,
    'moment',
    webState === 'noncompact' ? '(F4-1)' : '(F5-1)',
  );
  if (state === 'noncompact') {
    const [p, r] = [limits.compact * Math.sqrt(E / Fy), limits.noncompact * Math.sqrt(E / Fy)];
    const Mn = top - (top - low) * ((lambda - p) / (r - p));
    if (sheet) {
      sheet.given('l_p', limits.compact, 'ratio', 'compact limit as a multiple of sqrt(E / F_y)', 'table B4.1b');
      sheet.given('l_r', limits.noncompact, 'ratio', 'noncompact limit as a multiple of sqrt(E / F_y)', 'table B4.1b');
      if (webState === 'noncompact') sheet.step('M_2', '0.7 * F_y * S_x', { F_y: Fy, S_x: Sx }, low, 'moment', '(F4-13)');
      else sheet.step('M_2', '0.7 * M_1', { M_1: top }, low, 'moment', '(F5-8)');
      sheet.step(
        'M_n',
        'M_1 - (M_1 - M_2) * (lambda_f - l_p * sqrt(E / F_y)) / ((l_r - l_p) * sqrt(E / F_y))',
        { M_1: top, M_2: low, lambda_f: lambda, l_p: limits.compact, l_r: limits.noncompact, E, F_y: Fy },
        Mn,
        'moment',
        webState === 'noncompact' ? '(F4-13)' : '(F5-8)',
      );
    }
    return Mn;
  }
  const kc = flangeHold(ratio);
  const Mn = (webState === 'noncompact' ? 1 : factor) * ((0.9 * E * kc * Sx) / lambda ** 2);
  if (sheet) {
    sheet.given('h_c', hc, 'sectionLength', 'clear depth of the web');
    sheet.step('k_c', 'min(0.76, max(0.35, 4 / sqrt(h_c / t_w)))', { h_c: hc, t_w: tw }, kc, 'ratio', 'F4.3');
    if (webState === 'noncompact')
      sheet.step('M_n', '0.9 * E * k_c * S_x / lambda_f^2', { E, k_c: kc, S_x: Sx, lambda_f: lambda }, Mn, 'moment', '(F4-14)');
    else
      sheet.step(
        'M_n',
        'R_pg * 0.9 * E * k_c * S_x / lambda_f^2',
        { R_pg: factor, E, k_c: kc, S_x: Sx, lambda_f: lambda },
        Mn,
        'moment',
        '(F5-9)',
      );
  }
  return Mn;
}
