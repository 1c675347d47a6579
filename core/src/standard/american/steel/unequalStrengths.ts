import { unequalParts, type Section, type UnequalIShape } from '../../../section';
import type { Sheet } from '../../../sheet';
import { flangeHold, type Compactness } from './slenderness';

/** What F4 and F5 use of a welded I of unequal flanges with one of them in compression: mm, mm2, mm3, mm4, Nmm, MPa. */
export interface Pressed {
  readonly side: 'top' | 'bottom';
  readonly bfc: number;
  readonly tfc: number;
  readonly tw: number;
  /** Twice the distance from the centroid, and from the plastic neutral axis, to the inside of the compression flange. */
  readonly hc: number;
  readonly hp: number;
  readonly Sxc: number;
  readonly Sxt: number;
  /** Second moment of the compression flange about the minor axis over that of the whole. */
  readonly share: number;
  readonly h0: number;
  readonly Mp: number;
  readonly FL: number;
  readonly aw: number;
  readonly rt: number;
  /** St Venant constant as F4 counts it. */
  readonly J: number;
  readonly web: Compactness;
  readonly flange: Compactness;
  readonly webLimits: readonly [compact: number, noncompact: number];
  readonly flangeLimits: readonly [compact: number, noncompact: number];
  readonly kc: number;
}

export function pressed(section: Section, side: 'top' | 'bottom', E: number, Fy: number): Pressed {
  const shape = section.shape as UnequalIShape;
  const { cy, Iz, Wply, Wely, It, WelTop, WelBottom } = section.properties;
  const { h, tw } = shape;
  const { hw, hs, IzTop, IzBottom, plasticAxis } = unequalParts(shape);
  const isTop = side === 'top';
  const [bfc, tfc] = isTop ? [shape.b, shape.tf] : [shape.bBottom, shape.tfBottom];
  const [Sxc, Sxt] = isTop ? [WelTop, WelBottom] : [WelBottom, WelTop];
  const hc = 2 * (isTop ? cy - tfc : h - cy - tfc);
  const hp = 2 * (isTop ? plasticAxis - tfc : h - plasticAxis - tfc);
  const Mp = Math.min(Fy * Wply, 1.6 * Fy * Wely);
  const root = Math.sqrt(E / Fy);
  const webNoncompact = 5.7 * root;
  // case 16; an axis in the flange leaves no web in compression, which is compact
  const webCompact = hp > 0 ? Math.min(webNoncompact, ((hc / hp) * root) / (0.54 * (Mp / (Fy * Wely)) - 0.09) ** 2) : webNoncompact;
  const FL = Sxt / Sxc >= 0.7 ? 0.7 * Fy : Math.max(0.5, Sxt / Sxc) * Fy;
  const share = (isTop ? IzTop : IzBottom) / Iz;
  const kc = flangeHold(hw / tw);
  const aw = (hc * tw) / (bfc * tfc);
  const slenderness = bfc / 2 / tfc;
  const flangeLimits = [0.38 * root, 0.95 * Math.sqrt((kc * E) / FL)] as const;
  const within = (ratio: number, [p, r]: readonly [number, number]): Compactness =>
    ratio <= p ? 'compact' : ratio <= r ? 'noncompact' : 'slender';
  return {
    side,
    bfc,
    tfc,
    tw,
    hc,
    hp,
    Sxc,
    Sxt,
    share,
    h0: hs,
    Mp,
    FL,
    aw,
    rt: bfc / Math.sqrt(12 * (1 + aw / 6)),
    J: share > 0.23 ? It : 0,
    web: within(hc / tw, [webCompact, webNoncompact]),
    flange: within(slenderness, flangeLimits),
    webLimits: [webCompact, webNoncompact],
    flangeLimits,
    kc,
  };
}

/** Web plastification factor for the moment at which a flange yields, (F4-9), (F4-10), (F4-16), (F4-17). S: of that flange. */
function plastification({ share, hc, tw, webLimits: [p, r], Mp }: Pressed, Fy: number, S: number): number {
  if (share <= 0.23) return 1;
  const full = Mp / (Fy * S);
  const ratio = hc / tw;
  return ratio <= p ? full : Math.min(full, full - (full - 1) * ((ratio - p) / (r - p)));
}

/** Bending strength reduction factor of a slender web, (F5-6). */
function reduction({ aw, hc, tw }: Pressed, E: number, Fy: number): number {
  const a = Math.min(10, aw);
  return Math.min(1, 1 - (a / (1200 + 300 * a)) * (hc / tw - 5.7 * Math.sqrt(E / Fy)));
}

/** Dimensions and factors on the sheet, so that what follows stands on something. */
export function record(section: Section, p: Pressed, E: number, Fy: number, sheet?: Sheet): void {
  if (!sheet) return;
  const { Wply, Wely, It } = section.properties;
  sheet.note(`The ${p.side} flange is pressed.`);
  sheet.given('b_fc', p.bfc, 'sectionLength', 'compression flange', section.designation);
  sheet.given('t_fc', p.tfc, 'sectionLength', 'its thickness', section.designation);
  sheet.given('h_c', p.hc, 'sectionLength', 'twice from the centroid to the inside of that flange', 'B4.1b');
  sheet.given('h_p', p.hp, 'sectionLength', 'twice from the plastic neutral axis', 'B4.1b');
  sheet.given('S_xc', p.Sxc, 'sectionModulus', 'to the compression flange', section.designation);
  sheet.given('S_xt', p.Sxt, 'sectionModulus', 'to the tension flange', section.designation);
  sheet.given('Z_x', Wply, 'sectionModulus', 'plastic section modulus', section.designation);
  sheet.given('S_x', Wely, 'sectionModulus', 'lesser elastic section modulus', section.designation);
  sheet.given('J', It, 'torsionConstant', 'torsion constant', section.designation);
  sheet.given('s_yc', p.share, 'ratio', 'I_yc / I_y', 'F4');
  sheet.step('M_p', 'min(F_y * Z_x, 1.6 * F_y * S_x)', { F_y: Fy, Z_x: Wply, S_x: Wely }, p.Mp, 'moment', 'F4.1', 'plastic moment');
  const ratio = p.Sxt / p.Sxc;
  if (ratio >= 0.7) sheet.step('F_L', '0.7 * F_y', { F_y: Fy }, p.FL, 'stress', '(F4-6a)');
  else sheet.step('F_L', 'max(0.5, S_xt / S_xc) * F_y', { S_xt: p.Sxt, S_xc: p.Sxc, F_y: Fy }, p.FL, 'stress', '(F4-6b)');
  sheet.step('lambda_w', 'h_c / t_w', { h_c: p.hc, t_w: p.tw }, p.hc / p.tw, 'ratio', 'table B4.1b case 16', `web: ${p.web}`);
  if (p.hp > 0)
    sheet.step(
      'l_pw',
      'min(5.7 * sqrt(E / F_y), h_c / h_p * sqrt(E / F_y) / (0.54 * M_p / (F_y * S_x) - 0.09)^2)',
      { E, F_y: Fy, h_c: p.hc, h_p: p.hp, M_p: p.Mp, S_x: Wely },
      p.webLimits[0],
      'ratio',
      'table B4.1b case 16',
    );
  else sheet.step('l_pw', '5.7 * sqrt(E / F_y)', { E, F_y: Fy }, p.webLimits[0], 'ratio', 'table B4.1b case 16', 'no web in compression');
  sheet.step('l_rw', '5.7 * sqrt(E / F_y)', { E, F_y: Fy }, p.webLimits[1], 'ratio', 'table B4.1b case 16');
}

/** Records the factor on the yield moment of a flange. @returns it */
function factorOf(p: Pressed, S: number, name: 'S_xc' | 'S_xt', E: number, Fy: number, sheet?: Sheet): number {
  const isCompression = name === 'S_xc';
  if (p.web === 'slender') {
    const R = reduction(p, E, Fy);
    sheet?.step('a_w', 'h_c * t_w / (b_fc * t_fc)', { h_c: p.hc, t_w: p.tw, b_fc: p.bfc, t_fc: p.tfc }, p.aw, 'ratio', '(F4-12)');
    sheet?.step(
      'R_f',
      'min(1, 1 - min(10, a_w) / (1200 + 300 * min(10, a_w)) * (lambda_w - l_rw))',
      { a_w: p.aw, lambda_w: p.hc / p.tw, l_rw: p.webLimits[1] },
      R,
      'ratio',
      '(F5-6)',
      'bending strength reduction factor, R_pg',
    );
    return R;
  }
  const R = plastification(p, Fy, S);
  const title = isCompression ? 'web plastification factor, R_pc' : 'web plastification factor, R_pt';
  if (p.share <= 0.23) sheet?.step('R_f', '1', {}, 1, 'ratio', isCompression ? '(F4-10)' : '(F4-17)', title);
  else if (p.hc / p.tw <= p.webLimits[0])
    sheet?.step(
      'R_f',
      `M_p / (F_y * ${name})`,
      { M_p: p.Mp, F_y: Fy, [name]: S },
      R,
      'ratio',
      isCompression ? '(F4-9a)' : '(F4-16a)',
      title,
    );
  else {
    const full = `M_p / (F_y * ${name})`;
    sheet?.step(
      'R_f',
      `min(${full}, ${full} - (${full} - 1) * (lambda_w - l_pw) / (l_rw - l_pw))`,
      { M_p: p.Mp, F_y: Fy, [name]: S, lambda_w: p.hc / p.tw, l_pw: p.webLimits[0], l_rw: p.webLimits[1] },
      R,
      'ratio',
      isCompression ? '(F4-9b)' : '(F4-16b)',
      title,
    );
  }
  return R;
}

/** Yielding of the compression flange, Nmm, (F4-1), (F5-1). */
export function compressionFlangeYielding(p: Pressed, E: number, Fy: number, sheet?: Sheet): number {
  const R = factorOf(p, p.Sxc, 'S_xc', E, Fy, sheet);
  const Mn = R * Fy * p.Sxc;
  sheet?.step('M_1', 'R_f * F_y * S_xc', { R_f: R, F_y: Fy, S_xc: p.Sxc }, Mn, 'moment', p.web === 'slender' ? '(F5-1)' : '(F4-1)');
  return Mn;
}

/** Yielding of the tension flange where its modulus is the lesser, Nmm, (F4-15), (F5-10); null where it is not. */
export function tensionFlangeYielding(p: Pressed, E: number, Fy: number, sheet?: Sheet): number | null {
  if (p.Sxt >= p.Sxc) return null;
  const isSlender = p.web === 'slender';
  const R = isSlender ? 1 : factorOf(p, p.Sxt, 'S_xt', E, Fy, sheet);
  const Mn = R * Fy * p.Sxt;
  if (isSlender) sheet?.step('M_n', 'F_y * S_xt', { F_y: Fy, S_xt: p.Sxt }, Mn, 'moment', '(F5-10)');
  else sheet?.step('M_n', 'R_f * F_y * S_xt', { R_f: R, F_y: Fy, S_xt: p.Sxt }, Mn, 'moment', '(F4-15)');
  return Mn;
}

/** Compression flange local buckling, Nmm, F4.3, F5.3; null where the flange is compact. */
export function compressionFlangeBuckling(p: Pressed, E: number, Fy: number, sheet?: Sheet): number | null {
  if (p.flange === 'compact') return null;
  const isSlender = p.web === 'slender';
  const top = compressionFlangeYielding(p, E, Fy, sheet);
  const R = top / (Fy * p.Sxc);
  const lambda = p.bfc / 2 / p.tfc;
  const [lp, lr] = p.flangeLimits;
  // F5.3: the limit of a flange beside a slender web is that of F4, with its FL
  const low = isSlender ? 0.7 * top : p.FL * p.Sxc;
  const Mn =
    p.flange === 'noncompact'
      ? top - (top - low) * ((lambda - lp) / (lr - lp))
      : ((isSlender ? R : 1) * 0.9 * E * p.kc * p.Sxc) / lambda ** 2;
  if (sheet) {
    sheet.step('lambda_f', 'b_fc / 2 / t_fc', { b_fc: p.bfc, t_fc: p.tfc }, lambda, 'ratio', 'table B4.1b case 11');
    sheet.given('k_c', p.kc, 'ratio', '4 / sqrt(h / t_w), 0.35 to 0.76', 'table B4.1b note a');
    if (p.flange === 'noncompact') {
      sheet.step('l_pf', '0.38 * sqrt(E / F_y)', { E, F_y: Fy }, lp, 'ratio', 'table B4.1b case 11');
      sheet.step('l_rf', '0.95 * sqrt(k_c * E / F_L)', { k_c: p.kc, E, F_L: p.FL }, lr, 'ratio', 'table B4.1b case 11');
      if (isSlender) sheet.step('M_2', '0.7 * M_1', { M_1: top }, low, 'moment', '(F5-8)');
      else sheet.step('M_2', 'F_L * S_xc', { F_L: p.FL, S_xc: p.Sxc }, low, 'moment', '(F4-13)');
      sheet.step(
        'M_n',
        'M_1 - (M_1 - M_2) * (lambda_f - l_pf) / (l_rf - l_pf)',
        { M_1: top, M_2: low, lambda_f: lambda, l_pf: lp, l_rf: lr },
        Mn,
        'moment',
        isSlender ? '(F5-8)' : '(F4-13)',
      );
    } else {
      const factor = isSlender ? 'R_f * ' : '';
      const inputs = { E, k_c: p.kc, S_xc: p.Sxc, lambda_f: lambda, ...(isSlender ? { R_f: R } : {}) };
      sheet.step('M_n', `${factor}0.9 * E * k_c * S_xc / lambda_f^2`, inputs, Mn, 'moment', isSlender ? '(F5-9)' : '(F4-14)');
    }
  }
  return Mn;
}

/** Lateral-torsional buckling, Nmm, F4.2, F5.2. Lb: mm. */
export function lateralTorsionalUnequal(p: Pressed, Lb: number, Cb: number, E: number, Fy: number, sheet?: Sheet): number {
  const isSlender = p.web === 'slender';
  const top = compressionFlangeYielding(p, E, Fy, sheet);
  const R = top / (Fy * p.Sxc);
  const { rt, J, Sxc, h0, FL } = p;
  const j = J / (Sxc * h0);
  const Lp = 1.1 * rt * Math.sqrt(E / Fy);
  const Lr = isSlender
    ? Math.PI * rt * Math.sqrt(E / (0.7 * Fy))
    : 1.95 * rt * (E / FL) * Math.sqrt(j + Math.sqrt(j ** 2 + 6.76 * (FL / E) ** 2));
  const low = isSlender ? 0.7 * top : FL * Sxc;
  if (sheet) {
    if (!isSlender)
      sheet.step('a_w', 'h_c * t_w / (b_fc * t_fc)', { h_c: p.hc, t_w: p.tw, b_fc: p.bfc, t_fc: p.tfc }, p.aw, 'ratio', '(F4-12)');
    sheet.step('r_t', 'b_fc / sqrt(12 * (1 + a_w / 6))', { b_fc: p.bfc, a_w: p.aw }, rt, 'sectionLength', '(F4-11)');
    sheet.given('h_0', h0, 'sectionLength', 'between the middles of the flanges', 'F4.2');
    sheet.given('L_b', Lb, 'length', 'length between braced points');
    if (J === 0 && !isSlender) sheet.given('J', 0, 'torsionConstant', 'taken as nothing: I_yc / I_y is at most 0.23', 'F4.2');
    sheet.step('L_p', '1.1 * r_t * sqrt(E / F_y)', { r_t: rt, E, F_y: Fy }, Lp, 'length', '(F4-7)');
    if (isSlender) sheet.step('L_r', 'pi * r_t * sqrt(E / (0.7 * F_y))', { r_t: rt, E, F_y: Fy }, Lr, 'length', '(F5-5)');
    else
      sheet.step(
        'L_r',
        '1.95 * r_t * E / F_L * sqrt(J / (S_xc * h_0) + sqrt((J / (S_xc * h_0))^2 + 6.76 * (F_L / E)^2))',
        { r_t: rt, E, F_L: FL, J, S_xc: Sxc, h_0: h0 },
        Lr,
        'length',
        '(F4-8)',
      );
  }
  if (Lb <= Lp) {
    sheet?.branch('L_b <= L_p', { L_b: Lb, L_p: Lp }, true, isSlender ? 'F5.2(a)' : 'F4.2(a)', 'lateral-torsional buckling does not apply');
    sheet?.step('M_n', 'M_1', { M_1: top }, top, 'moment', isSlender ? 'F5.2(a)' : 'F4.2(a)');
    return top;
  }
  const clause = isSlender ? '(F5-3)' : '(F4-2)';
  sheet?.branch('L_b <= L_r', { L_b: Lb, L_r: Lr }, Lb <= Lr, clause, Lb <= Lr ? 'inelastic buckling' : 'elastic buckling');
  if (Lb <= Lr) {
    if (isSlender) sheet?.step('M_2', '0.7 * M_1', { M_1: top }, low, 'moment', clause);
    else sheet?.step('M_2', 'F_L * S_xc', { F_L: FL, S_xc: Sxc }, low, 'moment', clause);
    const Mn = Math.min(top, Cb * (top - (top - low) * ((Lb - Lp) / (Lr - Lp))));
    sheet?.step(
      'M_n',
      'min(M_1, C_b * (M_1 - (M_1 - M_2) * (L_b - L_p) / (L_r - L_p)))',
      { M_1: top, C_b: Cb, M_2: low, L_b: Lb, L_p: Lp, L_r: Lr },
      Mn,
      'moment',
      clause,
    );
    return Mn;
  }
  const elastic = (Cb * Math.PI ** 2 * E) / (Lb / rt) ** 2;
  const Fcr = isSlender ? elastic : elastic * Math.sqrt(1 + 0.078 * j * (Lb / rt) ** 2);
  const Mn = Math.min(top, (isSlender ? R : 1) * Fcr * Sxc);
  if (isSlender) {
    sheet?.step('F_cr', 'C_b * pi^2 * E / (L_b / r_t)^2', { C_b: Cb, E, L_b: Lb, r_t: rt }, Fcr, 'stress', '(F5-4)');
    sheet?.step('M_n', 'min(M_1, R_f * F_cr * S_xc)', { M_1: top, R_f: R, F_cr: Fcr, S_xc: Sxc }, Mn, 'moment', '(F5-2)');
  } else {
    sheet?.step(
      'F_cr',
      'C_b * pi^2 * E / (L_b / r_t)^2 * sqrt(1 + 0.078 * J / (S_xc * h_0) * (L_b / r_t)^2)',
      { C_b: Cb, E, L_b: Lb, r_t: rt, J, S_xc: Sxc, h_0: h0 },
      Fcr,
      'stress',
      '(F4-5)',
    );
    sheet?.step('M_n', 'min(M_1, F_cr * S_xc)', { M_1: top, F_cr: Fcr, S_xc: Sxc }, Mn, 'moment', '(F4-3)');
  }
  return Mn;
}

/** Compactness of both ways of bending together, the worse of each part, for a section's page. */
export function unequalCompactness(section: Section, E: number, Fy: number): readonly Compactness[] {
  return (['top', 'bottom'] as const).flatMap((side) => {
    const { web, flange } = pressed(section, side, E, Fy);
    return [web, flange];
  });
}
