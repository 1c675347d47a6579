import type { AngleShape, Section, TeeShape } from '../../../section';
import type { Sheet } from '../../../sheet';
import type { Compactness } from './slenderness';

/**
 * Tee bent in the plane of its stem, nominal moments, Nmm, AISC 360-16 F9: yielding, lateral-torsional buckling, flange or stem local
 * buckling. sagging: the flange, on top, is in compression and the stem in tension. Lb: mm.
 */
export function teeYielding(section: Section, sagging: boolean, Fy: number, sheet?: Sheet): number {
  const { Wply: Zx, Wely: Sx } = section.properties;
  sheet?.given('S_x', Sx, 'sectionModulus', 'elastic modulus of the stem’s tip', section.designation);
  if (!sagging) {
    sheet?.step('M_p', 'F_y * S_x', { F_y: Fy, S_x: Sx }, Fy * Sx, 'moment', '(F9-4)', 'stem in compression');
    return Fy * Sx;
  }
  sheet?.given('Z_x', Zx, 'sectionModulus', 'plastic modulus', section.designation);
  const Mp = Math.min(Fy * Zx, 1.6 * Fy * Sx);
  sheet?.step('M_p', 'min(F_y * Z_x, 1.6 * F_y * S_x)', { F_y: Fy, Z_x: Zx, S_x: Sx }, Mp, 'moment', '(F9-2)', 'stem in tension');
  return Mp;
}

/** @see teeYielding. Cb is not used by F9. */
export function teeLateralTorsional(
  section: Section,
  sagging: boolean,
  Lb: number,
  Mp: number,
  E: number,
  Fy: number,
  sheet?: Sheet,
): number {
  const { Iz: Iy, It: J, iz: ry, Wely: Sx } = section.properties;
  const { h: d } = section.shape as TeeShape;
  const My = Fy * Sx;
  const B = ((sagging ? 2.3 : -2.3) * d * Math.sqrt(Iy / J)) / Lb;
  const Mcr = ((1.95 * E) / Lb) * Math.sqrt(Iy * J) * (B + Math.sqrt(1 + B ** 2));
  if (sheet) {
    sheet.given('I_y', Iy, 'secondMoment', 'minor axis', section.designation);
    sheet.given('J', J, 'torsionConstant', 'torsion constant', section.designation);
    sheet.given('S_x', Sx, 'sectionModulus', 'elastic modulus of the stem’s tip', section.designation);
    sheet.given('L_b', Lb, 'length', 'length between braced points');
    sheet.step(
      'B_t',
      `${sagging ? '' : '-'}2.3 * d / L_b * sqrt(I_y / J)`,
      { d, L_b: Lb, I_y: Iy, J },
      B,
      'ratio',
      sagging ? '(F9-11)' : '(F9-12)',
    );
    sheet.step(
      'M_cr',
      '1.95 * E / L_b * sqrt(I_y * J) * (B_t + sqrt(1 + B_t^2))',
      { E, L_b: Lb, I_y: Iy, J, B_t: B },
      Mcr,
      'moment',
      '(F9-10)',
    );
    sheet.step('M_y', 'F_y * S_x', { F_y: Fy, S_x: Sx }, My, 'moment', '(F9-3)');
  }
  if (!sagging) {
    const Mn = Math.min(My, Mcr);
    sheet?.step('M_n', 'min(M_y, M_cr)', { M_y: My, M_cr: Mcr }, Mn, 'moment', '(F9-13)');
    return Mn;
  }
  const Lp = 1.76 * ry * Math.sqrt(E / Fy);
  const Lr = ((1.95 * E) / Fy) * (Math.sqrt(Iy * J) / Sx) * Math.sqrt((2.36 * Fy * d * Sx) / (E * J) + 1);
  if (sheet) {
    sheet.given('r_y', ry, 'sectionLength', 'radius of gyration', section.designation);
    sheet.step('L_p', '1.76 * r_y * sqrt(E / F_y)', { r_y: ry, E, F_y: Fy }, Lp, 'length', '(F9-8)');
    sheet.step(
      'L_r',
      '1.95 * E / F_y * sqrt(I_y * J) / S_x * sqrt(2.36 * F_y * d * S_x / (E * J) + 1)',
      { E, F_y: Fy, I_y: Iy, J, S_x: Sx, d },
      Lr,
      'length',
      '(F9-9)',
    );
  }
  if (Lb <= Lp) {
    sheet?.branch('L_b <= L_p', { L_b: Lb, L_p: Lp }, true, 'F9.2(a)', 'lateral-torsional buckling does not apply');
    sheet?.step('M_n', 'M_p', { M_p: Mp }, Mp, 'moment', 'F9.2(a)');
    return Mp;
  }
  if (Lb <= Lr) {
    const Mn = Mp - (Mp - My) * ((Lb - Lp) / (Lr - Lp));
    sheet?.branch('L_b <= L_r', { L_b: Lb, L_r: Lr }, true, 'F9.2(a)', 'inelastic buckling');
    sheet?.step(
      'M_n',
      'M_p - (M_p - M_y) * (L_b - L_p) / (L_r - L_p)',
      { M_p: Mp, M_y: My, L_b: Lb, L_p: Lp, L_r: Lr },
      Mn,
      'moment',
      '(F9-6)',
    );
    return Mn;
  }
  sheet?.branch('L_b <= L_r', { L_b: Lb, L_r: Lr }, false, 'F9.2(a)', 'elastic buckling');
  sheet?.step('M_n', 'min(M_p, M_cr)', { M_p: Mp, M_cr: Mcr }, Math.min(Mp, Mcr), 'moment', '(F9-7)');
  return Math.min(Mp, Mcr);
}

/** Flange local buckling of a tee whose flange is in compression, Nmm, AISC 360-16 F9.3. */
export function teeFlangeBuckling(section: Section, state: Compactness, Mp: number, E: number, Fy: number, sheet?: Sheet): number {
  const { WelTop: Sxc, Wely: Sx } = section.properties;
  const { b, tf } = section.shape as TeeShape;
  const lambda = b / 2 / tf;
  if (state === 'compact') return Mp;
  sheet?.given('S_xc', Sxc, 'sectionModulus', 'elastic modulus of the flange', section.designation);
  if (state === 'noncompact') {
    const root = Math.sqrt(E / Fy);
    const Mn = Math.min(1.6 * Fy * Sx, Mp - (Mp - 0.7 * Fy * Sxc) * ((lambda - 0.38 * root) / (0.62 * root)));
    sheet?.given('S_x', Sx, 'sectionModulus', 'elastic modulus of the stem’s tip', section.designation);
    sheet?.step(
      'M_n',
      'min(1.6 * F_y * S_x, M_p - (M_p - 0.7 * F_y * S_xc) * (b_f / 2 / t_f - 0.38 * sqrt(E / F_y)) / (0.62 * sqrt(E / F_y)))',
      { F_y: Fy, S_x: Sx, M_p: Mp, S_xc: Sxc, b_f: b, t_f: tf, E },
      Mn,
      'moment',
      '(F9-14)',
    );
    return Mn;
  }
  const Mn = (0.7 * E * Sxc) / lambda ** 2;
  sheet?.step('M_n', '0.7 * E * S_xc / (b_f / 2 / t_f)^2', { E, S_xc: Sxc, b_f: b, t_f: tf }, Mn, 'moment', '(F9-15)');
  return Mn;
}

/** Local buckling of a tee's stem in compression, Nmm, AISC 360-16 F9.4. */
export function teeStemBuckling(section: Section, E: number, Fy: number, sheet?: Sheet): number {
  const { Wely: Sx } = section.properties;
  const { h: d, tw } = section.shape as TeeShape;
  const lambda = d / tw;
  const root = Math.sqrt(E / Fy);
  sheet?.given('S_x', Sx, 'sectionModulus', 'elastic modulus of the stem’s tip', section.designation);
  const inputs = { d, t_w: tw, F_y: Fy, E };
  let Fcr: number;
  if (lambda <= 0.84 * root) {
    Fcr = Fy;
    sheet?.step('F_cr', 'F_y', { F_y: Fy }, Fcr, 'stress', '(F9-17)');
  } else if (lambda <= 1.52 * root) {
    Fcr = (1.43 - 0.515 * lambda * Math.sqrt(Fy / E)) * Fy;
    sheet?.step('F_cr', '(1.43 - 0.515 * d / t_w * sqrt(F_y / E)) * F_y', inputs, Fcr, 'stress', '(F9-18)');
  } else {
    Fcr = (1.52 * E) / lambda ** 2;
    sheet?.step('F_cr', '1.52 * E / (d / t_w)^2', { E, d, t_w: tw }, Fcr, 'stress', '(F9-19)');
  }
  sheet?.step('M_n', 'F_cr * S_x', { F_cr: Fcr, S_x: Sx }, Fcr * Sx, 'moment', '(F9-16)');
  return Fcr * Sx;
}

/**
 * Equal-leg angle bent about its geometric axis without lateral restraint along its length, nominal moment, Nmm, AISC 360-16 F10.2, F10.3.
 * toeCompressed: the free end of the vertical leg is in compression (here: hogging, the leg standing up: sagging). Lb: mm, 0: held.
 */
export function angleMoment(
  section: Section,
  toeCompressed: boolean,
  Lb: number,
  Cb: number,
  E: number,
  Fy: number,
  sheet?: Sheet,
): number {
  const { Wely: S } = section.properties;
  const { h: b, t } = section.shape as AngleShape;
  const isHeld = Lb === 0;
  const My = (isHeld ? 1 : 0.8) * Fy * S;
  sheet?.given('S', S, 'sectionModulus', 'elastic modulus, geometric axis', section.designation);
  sheet?.step('M_y', `${isHeld ? '' : '0.8 * '}F_y * S`, { F_y: Fy, S }, My, 'moment', isHeld ? 'F10.1' : 'F10.2(2)(i)', 'yield moment');
  let Mn = 1.5 * My;
  if (isHeld) sheet?.step('M_n1', '1.5 * M_y', { M_y: My }, Mn, 'moment', '(F10-1)');
  else {
    const root = Math.sqrt(1 + 0.88 * ((Lb * t) / b ** 2) ** 2);
    const Mcr = ((0.58 * E * b ** 4 * t * Cb) / Lb ** 2) * (root + (toeCompressed ? -1 : 1));
    Mn = My / Mcr <= 1 ? Math.min(1.5 * My, (1.92 - 1.17 * Math.sqrt(My / Mcr)) * My) : (0.92 - (0.17 * Mcr) / My) * Mcr;
    if (sheet) {
      sheet.given('L_b', Lb, 'length', 'length between braced points');
      sheet.step(
        'M_cr',
        `0.58 * E * d^4 * t * C_b / L_b^2 * (sqrt(1 + 0.88 * (L_b * t / d^2)^2) ${toeCompressed ? '-' : '+'} 1)`,
        { E, d: b, t, C_b: Cb, L_b: Lb },
        Mcr,
        'moment',
        toeCompressed ? '(F10-5a)' : '(F10-5b)',
      );
      if (My / Mcr <= 1)
        sheet.step('M_n1', 'min(1.5 * M_y, (1.92 - 1.17 * sqrt(M_y / M_cr)) * M_y)', { M_y: My, M_cr: Mcr }, Mn, 'moment', '(F10-2)');
      else sheet.step('M_n1', '(0.92 - 0.17 * M_cr / M_y) * M_cr', { M_cr: Mcr, M_y: My }, Mn, 'moment', '(F10-3)');
    }
  }
  // F10.3: the leg whose toe is in compression; the one along the axis of bending lies in compression all over
  const leg = toeCompressed ? b : (section.shape as AngleShape).b;
  const Sc = (isHeld ? 1 : 0.8) * (toeCompressed ? S : section.properties.WelBottom);
  const ratio = leg / t;
  const scale = Math.sqrt(E / Fy);
  if (ratio <= 0.54 * scale) {
    sheet?.step('M_n', 'M_n1', { M_n1: Mn }, Mn, 'moment', 'F10');
    return Mn;
  }
  const isNoncompact = ratio <= 0.91 * scale;
  const local = isNoncompact ? Fy * Sc * (2.43 - 1.72 * ratio * Math.sqrt(Fy / E)) : ((0.71 * E) / ratio ** 2) * Sc;
  if (sheet) {
    sheet.given('b_l', leg, 'sectionLength', toeCompressed ? 'vertical leg, its toe in compression' : 'horizontal leg, in compression');
    sheet.given(
      'S_c',
      Sc,
      'sectionModulus',
      `elastic modulus to its toe${isHeld ? '' : ', 0.80 of it without restraint along the length'}`,
      'F10.3',
    );
    const inputs = { F_y: Fy, S_c: Sc, b_l: leg, t, E };
    if (isNoncompact) sheet.step('M_n2', 'F_y * S_c * (2.43 - 1.72 * b_l / t * sqrt(F_y / E))', inputs, local, 'moment', '(F10-6)');
    else sheet.step('M_n2', '0.71 * E / (b_l / t)^2 * S_c', { E, b_l: leg, t, S_c: Sc }, local, 'moment', '(F10-7)');
  }
  sheet?.step('M_n', 'min(M_n1, M_n2)', { M_n1: Mn, M_n2: local }, Math.min(Mn, local), 'moment', 'F10');
  return Math.min(Mn, local);
}
