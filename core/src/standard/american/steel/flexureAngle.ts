import { angleCriticalMoment, anglePrincipal, type AngleShape, type Section } from '../../../section';
import type { Sheet } from '../../../sheet';

/** Nominal moments of an angle about its principal axes, Nmm. */
export interface PrincipalMoments {
  readonly Mnw: number;
  readonly Mnz: number;
}

/** The lesser of 1.5 My and leg local buckling, F10.1, F10.3, with the toe of the longer leg in compression. S: mm3. */
function legMoment(S: number, { h, b, t }: AngleShape, E: number, Fy: number, axis: 'w' | 'z', sheet?: Sheet): number {
  const My = Fy * S;
  const ratio = Math.max(h, b) / t;
  const root = Math.sqrt(E / Fy);
  sheet?.given(`S_${axis}`, S, 'sectionModulus', `elastic modulus, ${axis === 'w' ? 'major' : 'minor'} principal axis`);
  sheet?.step(`M_y${axis}`, `F_y * S_${axis}`, { F_y: Fy, [`S_${axis}`]: S }, My, 'moment', 'F10.1', 'yield moment');
  const inputs = { [`M_y${axis}`]: My };
  if (ratio <= 0.54 * root) {
    sheet?.step(`M_l${axis}`, `1.5 * M_y${axis}`, inputs, 1.5 * My, 'moment', '(F10-1)');
    return 1.5 * My;
  }
  const isNoncompact = ratio <= 0.91 * root;
  const local = isNoncompact ? My * (2.43 - 1.72 * ratio * Math.sqrt(Fy / E)) : ((0.71 * E) / ratio ** 2) * S;
  const value = Math.min(1.5 * My, local);
  const given = { ...inputs, l_t: ratio, F_y: Fy, E, [`S_${axis}`]: S };
  sheet?.given('l_t', ratio, 'ratio', 'longer leg over thickness');
  if (isNoncompact)
    sheet?.step(
      `M_l${axis}`,
      `min(1.5 * M_y${axis}, M_y${axis} * (2.43 - 1.72 * l_t * sqrt(F_y / E)))`,
      { [`M_y${axis}`]: My, l_t: ratio, F_y: Fy, E },
      value,
      'moment',
      '(F10-6)',
    );
  else sheet?.step(`M_l${axis}`, `min(1.5 * M_y${axis}, 0.71 * E / l_t^2 * S_${axis})`, given, value, 'moment', '(F10-7)');
  return value;
}

/**
 * Nominal moments about the principal axes of a single angle without continuous restraint, AISC 360-16 F10 with F10.2(1). Lb: mm, 0: held along its length;
 * Cb at most 1.5. The longer leg is taken as pressed, which is the worse side. The sheet must know E, F_y.
 */
export function anglePrincipalMoments(section: Section, Lb: number, Cb: number, E: number, Fy: number, sheet?: Sheet): PrincipalMoments {
  const shape = section.shape as AngleShape;
  const { Wu, Wv, beta } = anglePrincipal(section);
  const w = legMoment(Wu, shape, E, Fy, 'w', sheet);
  const Mnz = legMoment(Wv, shape, E, Fy, 'z', sheet);
  if (Lb === 0) return { Mnw: w, Mnz };
  const My = Fy * Wu;
  const Mcr = angleCriticalMoment(section, Lb, Cb, E);
  const lateral = My / Mcr <= 1 ? Math.min(1.5 * My, (1.92 - 1.17 * Math.sqrt(My / Mcr)) * My) : (0.92 - (0.17 * Mcr) / My) * Mcr;
  if (sheet) {
    const { A, iv } = section.properties;
    sheet.given('A_g', A, 'area', 'gross area', section.designation);
    sheet.given('r_z', iv, 'sectionLength', 'radius of gyration, minor principal axis', section.designation);
    sheet.given('t_l', shape.t, 'sectionLength', 'thickness', section.designation);
    sheet.given('beta_w', beta, 'sectionLength', 'of unequal legs, the longer one pressed: counted against it', section.designation);
    sheet.given('L_b', Lb, 'length', 'length between braced points');
    sheet.given('C_b', Cb, 'ratio', 'moment gradient factor, at most 1.5', 'F10.2');
    sheet.step(
      'w',
      '4.4 * beta_w * r_z / (L_b * t_l)',
      { beta_w: beta, r_z: iv, L_b: Lb, t_l: shape.t },
      (4.4 * beta * iv) / (Lb * shape.t),
      'ratio',
      'F10.2(1)',
    );
    sheet.step(
      'M_cr',
      '9 * E * A_g * r_z * t_l * C_b / (8 * L_b) / (sqrt(1 + w^2) + w)',
      { E, A_g: A, r_z: iv, t_l: shape.t, C_b: Cb, L_b: Lb, w: (4.4 * beta * iv) / (Lb * shape.t) },
      Mcr,
      'moment',
      '(F10-4)',
    );
    if (My / Mcr <= 1)
      sheet.step('M_t', 'min(1.5 * M_yw, (1.92 - 1.17 * sqrt(M_yw / M_cr)) * M_yw)', { M_yw: My, M_cr: Mcr }, lateral, 'moment', '(F10-2)');
    else sheet.step('M_t', '(0.92 - 0.17 * M_cr / M_yw) * M_cr', { M_cr: Mcr, M_yw: My }, lateral, 'moment', '(F10-3)');
    sheet.step(
      'M_nw',
      'min(M_lw, M_t)',
      { M_lw: w, M_t: lateral },
      Math.min(w, lateral),
      'moment',
      'F10',
      'nominal moment, major principal axis',
    );
  }
  return { Mnw: Math.min(w, lateral), Mnz };
}

/**
 * Nominal moment about one geometric axis of an angle that bends about both principal axes, Nmm: where the ratios about them add up to 1, AISC 360-16 H2.
 * about: the horizontal axis, or the vertical one.
 */
export function angleGeometricMoment(
  section: Section,
  about: 'horizontal' | 'vertical',
  { Mnw, Mnz }: PrincipalMoments,
  sheet?: Sheet,
): number {
  const { alongU, alongV } = anglePrincipal(section);
  const [w, z] = about === 'horizontal' ? [alongU, alongV] : [alongV, alongU];
  const Mn = 1 / (w / Mnw + z / Mnz);
  if (sheet) {
    sheet.given('c_w', w, 'ratio', 'part of the moment about the major principal axis', 'statics');
    sheet.given('c_z', z, 'ratio', 'part about the minor', 'statics');
    sheet.given('M_nw1', Mnw, 'moment', 'nominal moment, major principal axis, from above');
    sheet.given('M_nz1', Mnz, 'moment', 'nominal moment, minor principal axis, from above');
    sheet.step(
      'M_n',
      '1 / (c_w / M_nw1 + c_z / M_nz1)',
      { c_w: w, M_nw1: Mnw, c_z: z, M_nz1: Mnz },
      Mn,
      'moment',
      'H2',
      'the ratios about both principal axes add up to 1',
    );
  }
  return Mn;
}
