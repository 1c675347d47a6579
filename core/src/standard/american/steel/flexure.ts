import type { SteelGrade } from '../../../material';
import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import type { Segment } from '../../standard';
import { boxWidths, flangeHold, isBuiltUpBox } from './slenderness';

/**
 * Lateral-torsional buckling modification factor Cb of a segment held at both ends, AISC 360-16 (F1-1); 1 for an overhang
 * with a free tip (F1(b)). Where the tension flange is held, scaled to the moment that presses the free one; the sheet must know M_s.
 */
export function momentGradientFactor(segment: Segment, sheet?: Sheet): number {
  const Mmax = segment.tensionFlangeHeld ? (segment.largest ?? Math.abs(segment.peak)) : Math.abs(segment.peak);
  if (Math.abs(segment.peak) < 1e-3 || segment.freeTip) {
    sheet?.step('C_b', '1', {}, 1, 'ratio', 'F1', 'moment gradient factor');
    return 1;
  }
  const [MA, MB, MC] = segment.quarters.map(Math.abs) as [number, number, number];
  const free = (12.5 * Mmax) / (2.5 * Mmax + 3 * MA + 4 * MB + 3 * MC);
  // holding the tension flange never lowers what the segment carries when free, nor what it carries under its peak all along
  const Cb = segment.tensionFlangeHeld ? Math.max(1, (free * Math.abs(segment.peak)) / Mmax) : free;
  if (sheet) {
    sheet.given('M_max', Mmax, 'moment', segment.tensionFlangeHeld ? 'largest moment of either sign' : 'largest moment in the segment');
    sheet.given('M_A', MA, 'moment', 'at a quarter');
    sheet.given('M_B', MB, 'moment', 'at the middle');
    sheet.given('M_C', MC, 'moment', 'at three quarters');
    const formula = '12.5 * M_max / (2.5 * M_max + 3 * M_A + 4 * M_B + 3 * M_C)';
    const inputs = { M_max: Mmax, M_A: MA, M_B: MB, M_C: MC };
    if (segment.tensionFlangeHeld) {
      sheet.note(
        'The held flange can only help: the factor of the segment without it, for the moment that presses the free flange; at least 1.',
      );
      sheet.step(
        'C_b',
        `max(1, ${formula} * abs(M_s) / M_max)`,
        { ...inputs, M_s: segment.peak },
        Cb,
        'ratio',
        '(F1-1)',
        'moment gradient factor',
      );
    } else sheet.step('C_b', formula, inputs, Cb, 'ratio', '(F1-1)', 'moment gradient factor');
  }
  return Cb;
}

/** Plastic moment, Nmm, AISC 360-16 (F2-1). Fy: MPa. */
export function plasticMoment(section: Section, Fy: number, sheet?: Sheet): number {
  const Zx = section.properties.Wply;
  sheet?.given('Z_x', Zx, 'sectionModulus', 'plastic section modulus', section.designation);
  sheet?.step('M_p', 'F_y * Z_x', { F_y: Fy, Z_x: Zx }, Fy * Zx, 'moment', '(F2-1)', 'plastic moment');
  return Fy * Zx;
}

/** Nominal moment for lateral-torsional buckling of a compact-web doubly symmetric I, or of a channel, Nmm, AISC 360-16 F2.2. Lb: mm. */
export function lateralTorsionalI(section: Section, Lb: number, Cb: number, Mp: number, E: number, Fy: number, sheet?: Sheet): number {
  const { Iz: Iy, Iw: Cw, Wely: Sx, It: J, iz: ry } = section.properties;
  const shape = section.shape as { h: number; tf: number };
  const h0 = shape.h - shape.tf;
  const rts = Math.sqrt(Math.sqrt(Iy * Cw) / Sx);
  const Lp = 1.76 * ry * Math.sqrt(E / Fy);
  // c of a channel, (F2-8b); 1 for an I
  const isChannel = section.shape.outline === 'channel';
  const c = isChannel ? (h0 / 2) * Math.sqrt(Iy / Cw) : 1;
  const j = (J * c) / (Sx * h0);
  const Lr = 1.95 * rts * (E / (0.7 * Fy)) * Math.sqrt(j + Math.sqrt(j ** 2 + 6.76 * ((0.7 * Fy) / E) ** 2));
  if (sheet) {
    sheet.given('I_y', Iy, 'secondMoment', 'minor axis', section.designation);
    sheet.given('C_w', Cw, 'warpingConstant', 'warping constant', section.designation);
    sheet.given('S_x', Sx, 'sectionModulus', 'elastic section modulus', section.designation);
    sheet.given('J', J, 'torsionConstant', 'torsion constant', section.designation);
    sheet.given('r_y', ry, 'sectionLength', 'radius of gyration', section.designation);
    sheet.given('L_b', Lb, 'length', 'length between braced points');
    sheet.step('h_0', 'd - t_f', { d: shape.h, t_f: shape.tf }, h0, 'sectionLength', 'F2.2', 'between flange centroids');
    sheet.step('r_ts', 'sqrt(sqrt(I_y * C_w) / S_x)', { I_y: Iy, C_w: Cw, S_x: Sx }, rts, 'sectionLength', '(F2-7)');
    sheet.step('L_p', '1.76 * r_y * sqrt(E / F_y)', { r_y: ry, E, F_y: Fy }, Lp, 'length', '(F2-5)');
    if (isChannel) sheet.step('c', 'h_0 / 2 * sqrt(I_y / C_w)', { h_0: h0, I_y: Iy, C_w: Cw }, c, 'ratio', '(F2-8b)');
    else sheet.step('c', '1', {}, 1, 'ratio', '(F2-8a)');
    sheet.step(
      'L_r',
      '1.95 * r_ts * E / (0.7 * F_y) * sqrt(J * c / (S_x * h_0) + sqrt((J * c / (S_x * h_0))^2 + 6.76 * (0.7 * F_y / E)^2))',
      { r_ts: rts, E, F_y: Fy, J, c, S_x: Sx, h_0: h0 },
      Lr,
      'length',
      '(F2-6)',
    );
  }
  if (Lb <= Lp) {
    sheet?.branch('L_b <= L_p', { L_b: Lb, L_p: Lp }, true, 'F2.2(a)', 'lateral-torsional buckling does not apply');
    sheet?.step('M_n', 'M_p', { M_p: Mp }, Mp, 'moment', 'F2.2(a)');
    return Mp;
  }
  if (Lb <= Lr) {
    const Mn = Math.min(Mp, Cb * (Mp - (Mp - 0.7 * Fy * Sx) * ((Lb - Lp) / (Lr - Lp))));
    sheet?.branch('L_b <= L_r', { L_b: Lb, L_r: Lr }, true, 'F2.2(b)', 'inelastic buckling');
    sheet?.step(
      'M_n',
      'min(M_p, C_b * (M_p - (M_p - 0.7 * F_y * S_x) * (L_b - L_p) / (L_r - L_p)))',
      { M_p: Mp, C_b: Cb, F_y: Fy, S_x: Sx, L_b: Lb, L_p: Lp, L_r: Lr },
      Mn,
      'moment',
      '(F2-2)',
    );
    return Mn;
  }
  const slender = Lb / rts;
  const Fcr = ((Cb * Math.PI ** 2 * E) / slender ** 2) * Math.sqrt(1 + 0.078 * j * slender ** 2);
  const Mn = Math.min(Mp, Fcr * Sx);
  sheet?.branch('L_b <= L_r', { L_b: Lb, L_r: Lr }, false, 'F2.2(c)', 'elastic buckling');
  sheet?.step(
    'F_cr',
    'C_b * pi^2 * E / (L_b / r_ts)^2 * sqrt(1 + 0.078 * J * c / (S_x * h_0) * (L_b / r_ts)^2)',
    { C_b: Cb, E, L_b: Lb, r_ts: rts, J, c, S_x: Sx, h_0: h0 },
    Fcr,
    'stress',
    '(F2-4)',
  );
  sheet?.step('M_n', 'min(M_p, F_cr * S_x)', { M_p: Mp, F_cr: Fcr, S_x: Sx }, Mn, 'moment', '(F2-3)');
  return Mn;
}

/**
 * Nominal moment of a doubly symmetric I with a compact web whose overhang has a free tip, or whose load stands on the top flange, Nmm. F1 and
 * F2 are for loads at the shear centre between braced points; here the elastic critical moment is that of a numerical solution of the whole member,
 * and F2.2 is read at the length at which a segment under uniform moment has it: a rational analysis, so that yielding, residual stress and
 * the plateau are those of F2.
 * @param segment has its `critical` solution
 */
export function lateralTorsionalRational(
  section: Section,
  segment: Segment,
  where: string,
  Mp: number,
  { E, G }: SteelGrade,
  Fy: number,
  sheet?: Sheet,
): number {
  const { Iz: Iy, Iw: Cw, Wely: Sx, It: J } = section.properties;
  const shape = section.shape as { h: number; tf: number };
  const factor = segment.critical!(section, E, G);
  const Mcr = factor * Math.abs(segment.peak);
  const Fe = Mcr / Sx;
  const rts = Math.sqrt(Math.sqrt(Iy * Cw) / Sx);
  const j = (0.078 * J) / (Sx * (shape.h - shape.tf));
  const q = Fe / (Math.PI ** 2 * E);
  // (F2-4) solved for the length, with Cb = 1
  const Le = rts / Math.sqrt((Math.sqrt(j ** 2 + 4 * q ** 2) - j) / 2);
  if (sheet) {
    sheet.note(
      `Segment ${where}: a rational analysis of the whole member with its braces, its moments and load ${segment.loadOnTop ? 'on the top flange' : 'at the shear centre'}; warping is not held at the root of an overhang.`,
    );
    sheet.given(
      'mu_cr',
      factor,
      'ratio',
      'all moments times this: elastic buckling',
      'finite elements, lateral bending and warping torsion',
    );
    sheet.step(
      'M_cr',
      'mu_cr * abs(M_s)',
      { mu_cr: factor, M_s: segment.peak },
      Mcr,
      'moment',
      'rational analysis',
      'elastic critical moment',
    );
    sheet.given('S_x', Sx, 'sectionModulus', 'elastic section modulus', section.designation);
    sheet.given('E', E, 'stress', "Young's modulus");
    sheet.step('F_e', 'M_cr / S_x', { M_cr: Mcr, S_x: Sx }, Fe, 'stress', 'rational analysis');
    const h0 = shape.h - shape.tf;
    sheet.given('I_y', Iy, 'secondMoment', 'minor axis', section.designation);
    sheet.given('C_w', Cw, 'warpingConstant', 'warping constant', section.designation);
    sheet.given('J', J, 'torsionConstant', 'torsion constant', section.designation);
    sheet.step('h_0', 'd - t_f', { d: shape.h, t_f: shape.tf }, h0, 'sectionLength', 'F2.2', 'between flange centroids');
    sheet.step('r_ts', 'sqrt(sqrt(I_y * C_w) / S_x)', { I_y: Iy, C_w: Cw, S_x: Sx }, rts, 'sectionLength', '(F2-7)');
    sheet.step(
      'L_e',
      'r_ts / sqrt((sqrt((0.078 * J / (S_x * h_0))^2 + 4 * (F_e / (pi^2 * E))^2) - 0.078 * J / (S_x * h_0)) / 2)',
      { r_ts: rts, J, S_x: Sx, h_0: h0, F_e: Fe, E },
      Le,
      'length',
      '(F2-4) solved for the length',
      'segment under uniform moment with this stress',
    );
  }
  return lateralTorsionalI(section, Le, 1, Mp, E, Fy, sheet);
}

/** Nominal moment for flange local buckling of an I with a compact web, Nmm, AISC 360-16 F3.2. noncompactLimit: over sqrt(E/Fy). */
export function flangeLocalBucklingI(
  section: Section,
  state: 'noncompact' | 'slender',
  noncompactLimit: number,
  Mp: number,
  E: number,
  Fy: number,
  sheet?: Sheet,
): number {
  const shape = section.shape as { h: number; b: number; tf: number; tw: number; r: number };
  const Sx = section.properties.Wely;
  const lambda = shape.b / 2 / shape.tf;
  sheet?.given('S_x', Sx, 'sectionModulus', 'elastic section modulus', section.designation);
  sheet?.step('lambda_f', 'b_f / 2 / t_f', { b_f: shape.b, t_f: shape.tf }, lambda, 'ratio', 'B4.1');
  if (state === 'noncompact') {
    const [p, r] = [0.38 * Math.sqrt(E / Fy), noncompactLimit * Math.sqrt(E / Fy)];
    const Mn = Mp - (Mp - 0.7 * Fy * Sx) * ((lambda - p) / (r - p));
    sheet?.step('lambda_p', '0.38 * sqrt(E / F_y)', { E, F_y: Fy }, p, 'ratio', 'table B4.1b');
    sheet?.given('l_r', noncompactLimit, 'ratio', 'noncompact limit as a multiple of sqrt(E / F_y)', 'table B4.1b');
    sheet?.step('lambda_r', 'l_r * sqrt(E / F_y)', { l_r: noncompactLimit, E, F_y: Fy }, r, 'ratio', 'table B4.1b');
    sheet?.step(
      'M_n',
      'M_p - (M_p - 0.7 * F_y * S_x) * (lambda_f - lambda_p) / (lambda_r - lambda_p)',
      { M_p: Mp, F_y: Fy, S_x: Sx, lambda_f: lambda, lambda_p: p, lambda_r: r },
      Mn,
      'moment',
      '(F3-1)',
    );
    return Mn;
  }
  const h = shape.h - 2 * (shape.tf + shape.r);
  const kc = flangeHold(h / shape.tw);
  const Mn = (0.9 * E * kc * Sx) / lambda ** 2;
  sheet?.step(
    'k_c',
    'min(0.76, max(0.35, 4 / sqrt((d - 2 * k) / t_w)))',
    { d: shape.h, k: shape.tf + shape.r, t_w: shape.tw },
    kc,
    'ratio',
    'F3.2(b)',
  );
  sheet?.step('M_n', '0.9 * E * k_c * S_x / lambda_f^2', { E, k_c: kc, S_x: Sx, lambda_f: lambda }, Mn, 'moment', '(F3-2)');
  return Mn;
}

/** Nominal moment for flange local buckling of a box, Nmm, AISC 360-16 F7.2: noncompact by (F7-2), slender by an effective width. */
export function flangeLocalBucklingBox(
  section: Section,
  state: 'noncompact' | 'slender',
  Mp: number,
  E: number,
  Fy: number,
  sheet?: Sheet,
): number {
  const shape = section.shape as { h: number; b: number; t: number };
  const { Wely: S, A: Ag, Iy: Ix } = section.properties;
  const { flange: b, off } = boxWidths(section);
  if (state === 'noncompact') {
    const Mn = Math.min(Mp, Mp - (Mp - Fy * S) * (3.57 * (b / shape.t) * Math.sqrt(Fy / E) - 4.0));
    sheet?.given('S', S, 'sectionModulus', 'elastic section modulus', section.designation);
    sheet?.step(
      'M_n',
      `min(M_p, M_p - (M_p - F_y * S) * (3.57 * (B - ${off} * t) / t * sqrt(F_y / E) - 4.0))`,
      { M_p: Mp, F_y: Fy, S, B: shape.b, t: shape.t, E },
      Mn,
      'moment',
      '(F7-2)',
    );
    return Mn;
  }
  // (F7-4) of hollow structural sections, (F7-5) of built-up boxes
  const [k, clause] = isBuiltUpBox(section) ? [0.34, '(F7-5)'] : [0.38, '(F7-4)'];
  const be = Math.min(b, 1.92 * shape.t * Math.sqrt(E / Fy) * (1 - (k / (b / shape.t)) * Math.sqrt(E / Fy)));
  const lost = (b - be) * shape.t;
  const z = (shape.h - shape.t) / 2;
  const e = (lost * z) / (Ag - lost);
  const Ie = Ix - lost * (z ** 2 + shape.t ** 2 / 12) - (Ag - lost) * e ** 2;
  const Se = Ie / (shape.h / 2 + e);
  if (sheet) {
    sheet.given('A_g', Ag, 'area', 'gross area', section.designation);
    sheet.given('I_x', Ix, 'secondMoment', 'gross', section.designation);
    sheet.step('b_c', `B - ${off} * t`, { B: shape.b, t: shape.t }, b, 'sectionLength', 'B4.1b');
    sheet.step(
      'b_e',
      `min(b_c, 1.92 * t * sqrt(E / F_y) * (1 - ${k} / (b_c / t) * sqrt(E / F_y)))`,
      { b_c: b, t: shape.t, E, F_y: Fy },
      be,
      'sectionLength',
      clause,
      'effective width',
    );
    sheet.step('A_1', '(b_c - b_e) * t', { b_c: b, b_e: be, t: shape.t }, lost, 'area', 'F7.2(c)', 'of the flange, not effective');
    sheet.step(
      'e_s',
      'A_1 * (H - t) / 2 / (A_g - A_1)',
      { A_1: lost, H: shape.h, t: shape.t, A_g: Ag },
      e,
      'sectionLength',
      'F7.2(c)',
      'shift of the axis',
    );
    sheet.step(
      'S_e',
      '(I_x - A_1 * (((H - t) / 2)^2 + t^2 / 12) - (A_g - A_1) * e_s^2) / (H / 2 + e_s)',
      { I_x: Ix, A_1: lost, H: shape.h, t: shape.t, A_g: Ag, e_s: e },
      Se,
      'sectionModulus',
      'F7.2(c)',
      'effective section modulus',
    );
    sheet.step('M_n', 'F_y * S_e', { F_y: Fy, S_e: Se }, Fy * Se, 'moment', '(F7-3)');
  }
  return Fy * Se;
}

/** Nominal moment for web local buckling of a box with noncompact webs, Nmm, AISC 360-16 (F7-6). */
export function webLocalBucklingBox(section: Section, Mp: number, E: number, Fy: number, sheet?: Sheet): number {
  const shape = section.shape as { h: number; t: number };
  const S = section.properties.Wely;
  const { web, off } = boxWidths(section);
  const Mn = Math.min(Mp, Mp - (Mp - Fy * S) * (0.305 * (web / shape.t) * Math.sqrt(Fy / E) - 0.738));
  sheet?.given('S', S, 'sectionModulus', 'elastic section modulus', section.designation);
  sheet?.step(
    'M_n',
    `min(M_p, M_p - (M_p - F_y * S) * (0.305 * (H - ${off} * t) / t * sqrt(F_y / E) - 0.738))`,
    { M_p: Mp, F_y: Fy, S, H: shape.h, t: shape.t, E },
    Mn,
    'moment',
    '(F7-6)',
  );
  return Mn;
}

/** Nominal moment for local buckling of a round hollow shape, Nmm, AISC 360-16 F8.2. */
export function localBucklingTube(section: Section, state: 'noncompact' | 'slender', E: number, Fy: number, sheet?: Sheet): number {
  const shape = section.shape as { d: number; t: number };
  const S = section.properties.Wely;
  const ratio = shape.d / shape.t;
  sheet?.given('S', S, 'sectionModulus', 'elastic section modulus', section.designation);
  const inputs = { E, D: shape.d, t: shape.t, S };
  if (state === 'noncompact') {
    const Mn = ((0.021 * E) / ratio + Fy) * S;
    sheet?.step('M_n', '(0.021 * E / (D / t) + F_y) * S', { ...inputs, F_y: Fy }, Mn, 'moment', '(F8-2)');
    return Mn;
  }
  const Mn = ((0.33 * E) / ratio) * S;
  sheet?.step('M_n', '0.33 * E / (D / t) * S', inputs, Mn, 'moment', '(F8-3), (F8-4)');
  return Mn;
}

/** Nominal moment for lateral-torsional buckling of a rectangular box bent about its major axis, Nmm, AISC 360-16 F7.4. Lb: mm. */
export function lateralTorsionalBox(section: Section, Lb: number, Cb: number, Mp: number, E: number, Fy: number, sheet?: Sheet): number {
  const { It: J, A: Ag, iz: ry, Wely: Sx } = section.properties;
  const Lp = (0.13 * E * ry * Math.sqrt(J * Ag)) / Mp;
  const Lr = (2 * E * ry * Math.sqrt(J * Ag)) / (0.7 * Fy * Sx);
  if (sheet) {
    sheet.given('J', J, 'torsionConstant', 'torsion constant', section.designation);
    sheet.given('A_g', Ag, 'area', 'gross area', section.designation);
    sheet.given('r_y', ry, 'sectionLength', 'radius of gyration', section.designation);
    sheet.given('S_x', Sx, 'sectionModulus', 'elastic section modulus', section.designation);
    sheet.given('L_b', Lb, 'length', 'length between braced points');
    sheet.step('L_p', '0.13 * E * r_y * sqrt(J * A_g) / M_p', { E, r_y: ry, J, A_g: Ag, M_p: Mp }, Lp, 'length', '(F7-12)');
    sheet.step(
      'L_r',
      '2 * E * r_y * sqrt(J * A_g) / (0.7 * F_y * S_x)',
      { E, r_y: ry, J, A_g: Ag, F_y: Fy, S_x: Sx },
      Lr,
      'length',
      '(F7-13)',
    );
  }
  if (Lb <= Lp) {
    sheet?.step('M_n', 'M_p', { M_p: Mp }, Mp, 'moment', 'F7.4(a)');
    return Mp;
  }
  if (Lb <= Lr) {
    const Mn = Math.min(Mp, Cb * (Mp - (Mp - 0.7 * Fy * Sx) * ((Lb - Lp) / (Lr - Lp))));
    sheet?.step(
      'M_n',
      'min(M_p, C_b * (M_p - (M_p - 0.7 * F_y * S_x) * (L_b - L_p) / (L_r - L_p)))',
      { M_p: Mp, C_b: Cb, F_y: Fy, S_x: Sx, L_b: Lb, L_p: Lp, L_r: Lr },
      Mn,
      'moment',
      '(F7-10)',
    );
    return Mn;
  }
  const Mn = Math.min(Mp, (2 * E * Cb * Math.sqrt(J * Ag)) / (Lb / ry));
  sheet?.step(
    'M_n',
    'min(M_p, 2 * E * C_b * sqrt(J * A_g) / (L_b / r_y))',
    { M_p: Mp, E, C_b: Cb, J, A_g: Ag, L_b: Lb, r_y: ry },
    Mn,
    'moment',
    '(F7-11)',
  );
  return Mn;
}
