import { AISC360 } from '../documents';
import type { Section } from '../../../section';
import type { SteelGrade } from '../../../material';
import { compare, unproven, type Check, type CheckName, type Sheet, type Clause } from '../../../sheet';
import type { Philosophy } from '../../standard';
import { availableStrength, COMPRESSION } from './available';
import { isSlenderInCompression, partsInCompression, type CompressionPart } from './slenderness';

/** Critical stress of columns, MPa, AISC 360-16 (E3-2), (E3-3). Fe: elastic buckling stress. */
export function criticalStress(Fe: number, Fy: number, sheet?: Sheet): number {
  const inelastic = Fy / Fe <= 2.25;
  sheet?.branch('F_y / F_e <= 2.25', { F_y: Fy, F_e: Fe }, inelastic, 'E3', inelastic ? 'inelastic buckling' : 'elastic buckling');
  const Fcr = inelastic ? 0.658 ** (Fy / Fe) * Fy : 0.877 * Fe;
  if (inelastic) sheet?.step('F_cr', '0.658^(F_y / F_e) * F_y', { F_y: Fy, F_e: Fe }, Fcr, 'stress', '(E3-2)');
  else sheet?.step('F_cr', '0.877 * F_e', { F_e: Fe }, Fcr, 'stress', '(E3-3)');
  return Fcr;
}

/** Elastic stress of flexural-torsional buckling of a singly symmetric shape, MPa, AISC 360-16 (E4-3). H: 1 - (x0^2 + y0^2) / r0^2. */
export function flexuralTorsionalStress(Ff: number, Fez: number, H: number): number {
  return ((Ff + Fez) / (2 * H)) * (1 - Math.sqrt(1 - (4 * Ff * Fez * H) / (Ff + Fez) ** 2));
}

/** Lowest root of AISC 360-16 (E4-4), MPa: shapes without an axis of symmetry; offsets over the polar radius, squared. */
export function unsymmetricStress(Fu: number, Fv: number, Fz: number, u2: number, v2: number): number {
  const residual = (F: number) => (F - Fu) * (F - Fv) * (F - Fz) - F ** 2 * (F - Fv) * u2 - F ** 2 * (F - Fu) * v2;
  let [low, high] = [0, Math.min(Fu, Fv, Fz)];
  for (let i = 0; i < 200 && high - low > 1e-12 * high; i += 1) {
    const middle = (low + high) / 2;
    if (residual(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Effective area under a critical stress, mm2, AISC 360-16 E7.1, E7.2; the gross area when no part is slender. */
export function effectiveArea(
  section: Section,
  slender: readonly CompressionPart[],
  Fcr: number,
  E: number,
  Fy: number,
  sheet?: Sheet,
): number {
  const Ag = section.properties.A;
  if (slender.length === 0) return Ag;
  const { shape } = section;
  if (shape.outline === 'tube') {
    const ratio = shape.d / shape.t;
    const Ae = ((0.038 * E) / (Fy * ratio) + 2 / 3) * Ag;
    sheet?.step('A_e', '(0.038 * E / (F_y * D / t) + 2 / 3) * A_g', { E, F_y: Fy, D: shape.d, t: shape.t, A_g: Ag }, Ae, 'area', '(E7-7)');
    return Ae;
  }
  const widths = slender.map((part, i) => effectiveWidth(part, i + 1, Fcr, E, Fy, sheet));
  const Ae = Ag - slender.reduce((sum, part, i) => sum + part.count * (part.width - widths[i]!) * part.thickness, 0);
  if (sheet) {
    const inputs: Record<string, number> = { A_g: Ag };
    slender.forEach((part, i) =>
      Object.assign(inputs, { [`w_${i + 1}`]: part.width, [`v_${i + 1}`]: widths[i]!, [`t_${i + 1}`]: part.thickness }),
    );
    const terms = slender.map(({ count }, i) => `${count} * (w_${i + 1} - v_${i + 1}) * t_${i + 1}`);
    sheet.step('A_e', `A_g - ${terms.join(' - ')}`, inputs, Ae, 'area', 'E7', 'effective area');
  }
  return Ae;
}

/** Effective width of the nth slender part under a critical stress, mm, AISC 360-16 (E7-2), (E7-3). */
function effectiveWidth(part: CompressionPart, n: number, Fcr: number, E: number, Fy: number, sheet?: Sheet): number {
  const limit = part.noncompact * Math.sqrt(E / Fy);
  const isFull = part.ratio <= limit * Math.sqrt(Fy / Fcr);
  const Fel = ((part.c2 * limit) / part.ratio) ** 2 * Fy;
  const share = Math.sqrt(Fel / Fcr);
  const width = isFull ? part.width : part.width * Math.min(1, (1 - part.c1 * share) * share);
  if (!sheet) return width;
  sheet.given(`w_${n}`, part.width, 'sectionLength', `width of a ${part.title}, ${part.count} in the section`);
  sheet.given(`t_${n}`, part.thickness, 'sectionLength', 'its thickness');
  if (isFull) {
    sheet.step(`v_${n}`, `w_${n}`, { [`w_${n}`]: part.width }, width, 'sectionLength', '(E7-2)', 'effective width');
    return width;
  }
  sheet.given(`s_${n}`, part.ratio, 'ratio', 'its slenderness, from above');
  sheet.given(`l_${n}`, part.noncompact, 'ratio', 'its limit as a multiple of sqrt(E / F_y), from above');
  sheet.step(
    `e_${n}`,
    `(${part.c2} * l_${n} * sqrt(E / F_y) / s_${n})^2 * F_y`,
    { [`l_${n}`]: part.noncompact, E, F_y: Fy, [`s_${n}`]: part.ratio },
    Fel,
    'stress',
    '(E7-5)',
    'elastic local buckling stress',
  );
  sheet.step(
    `v_${n}`,
    `w_${n} * min(1, (1 - ${part.c1} * sqrt(e_${n} / F_cr)) * sqrt(e_${n} / F_cr))`,
    { [`w_${n}`]: part.width, [`e_${n}`]: Fel, F_cr: Fcr },
    width,
    'sectionLength',
    '(E7-3)',
    'effective width',
  );
  return width;
}

export interface CompressionInput {
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly Fy: number;
  /** Required compression, N, positive. */
  readonly axial: number;
  readonly combination: string;
  readonly lengthY: number;
  readonly lengthZ: number;
  readonly lengthT: number;
}

export interface Compression {
  readonly checks: readonly Check[];
  /** The least available strength, N; null when it is not proved. */
  readonly available: number | null;
}

/** Compression with its buckling, AISC 360-16 E3, E4, E5 (concentric), E7. Lengths: effective, mm. */
export function compression(input: CompressionInput, philosophy: Philosophy, sheet?: Sheet): Compression {
  const { section, grade, Fy, axial, combination } = input;
  const { E, G } = grade;
  const { A, Iy: Ix, Iz: Iy, It: J, Iw: Cw, iy: rx, iz: ry, iv, Iu, Iv, principal, shearCentre, shearCentreUp } = section.properties;
  const { shape } = section;
  sheet?.given('P_r', axial, 'force', `required compressive strength, ${combination}`);
  sheet?.given('A_g', A, 'area', 'gross area', section.designation);
  if (shape.outline === 'tube' && shape.d / shape.t >= (0.45 * E) / Fy)
    return {
      available: null,
      checks: [
        unproven(
          { id: 'flexural-buckling', name: 'Flexural buckling' },
          AISC360('E7.2'),
          'instability',
          'the wall is beyond D/t of 0.45 E/Fy, which is not covered',
          sheet,
        ),
      ],
    };
  const local = sheet?.scope('Local slenderness');
  const slender = partsInCompression(section).filter((part) => isSlenderInCompression(part, E, Fy, shape.outline === 'tube', local));
  const checks: Check[] = [];
  let available = Infinity;
  const strength = (name: CheckName, clause: Clause, Fe: number, inner?: Sheet) => {
    const Fcr = criticalStress(Fe, Fy, inner);
    const Ae = effectiveArea(section, slender, Fcr, E, Fy, inner);
    const Pn = Fcr * Ae;
    if (slender.length) inner?.step('P_n', 'F_cr * A_e', { F_cr: Fcr, A_e: Ae }, Pn, 'force', '(E7-1)', 'nominal compressive strength');
    else inner?.step('P_n', 'F_cr * A_g', { F_cr: Fcr, A_g: A }, Pn, 'force', '(E3-1)', 'nominal compressive strength');
    const capacity = availableStrength(Pn, COMPRESSION, philosophy, { nominal: 'P_n', available: 'P_c' }, 'force', inner);
    available = Math.min(available, capacity);
    checks.push(
      compare(
        {
          id: name.id,
          part: name.part,
          name: name.name,
          clause,
          mode: 'instability',
          kind: 'force',
          demand: axial,
          demandSymbol: 'P_r',
          capacity,
          capacitySymbol: 'P_c',
          combination,
        },
        inner,
      ),
    );
  };
  const flexural = (part: 'major' | 'minor' | 'weakest', Lc: number, r: number) => {
    const title = `Flexural buckling, ${part} axis`;
    const inner = sheet?.scope(title);
    inner?.given('L_c', Lc, 'length', 'effective length');
    inner?.given('r', r, 'sectionLength', 'radius of gyration', section.designation);
    const Fe = (Math.PI ** 2 * E) / (Lc / r) ** 2;
    inner?.step('F_e', 'pi^2 * E / (L_c / r)^2', { E, L_c: Lc, r }, Fe, 'stress', '(E3-4)', 'elastic buckling stress');
    strength({ id: 'flexural-buckling', part, name: title }, slender.length ? AISC360('E7') : AISC360('E3'), Fe, inner);
    return Fe;
  };
  if (shape.outline === 'angle') flexural('weakest', Math.max(input.lengthY, input.lengthZ), iv);
  else {
    flexural('major', input.lengthY, rx);
    flexural('minor', input.lengthZ, ry);
  }
  if (shape.outline === 'box' || shape.outline === 'tube') return { checks, available };
  if (shape.outline === 'angle' && Math.max(shape.h, shape.b) / shape.t <= 0.71 * Math.sqrt(E / Fy)) return { checks, available };

  const Lz = input.lengthT;
  const title = shape.outline === 'I' ? 'Torsional buckling' : 'Flexural-torsional buckling';
  const inner = sheet?.scope(title);
  if (inner) {
    inner.given('L_cz', Lz, 'length', 'effective length for twisting');
    inner.given('C_w', Cw, 'warpingConstant', 'warping constant', section.designation);
    inner.given('J', J, 'torsionConstant', 'torsion constant', section.designation);
    inner.given('G', G, 'stress', 'shear modulus', 'AISC 360-16');
    inner.given('I_x', Ix, 'secondMoment', 'major axis', section.designation);
    inner.given('I_y', Iy, 'secondMoment', 'minor axis', section.designation);
  }
  if (shape.outline === 'I') {
    const Fe = ((Math.PI ** 2 * E * Cw) / Lz ** 2 + G * J) / (Ix + Iy);
    inner?.step(
      'F_e',
      '(pi^2 * E * C_w / L_cz^2 + G * J) / (I_x + I_y)',
      { E, C_w: Cw, L_cz: Lz, G, J, I_x: Ix, I_y: Iy },
      Fe,
      'stress',
      '(E4-2)',
      'elastic torsional buckling stress',
    );
    strength({ id: 'torsional-buckling', name: title }, AISC360('E4'), Fe, inner);
    return { checks, available };
  }
  const r02 = (Ix + Iy) / A + shearCentre ** 2 + shearCentreUp ** 2;
  const Fez = ((Math.PI ** 2 * E * Cw) / Lz ** 2 + G * J) / (A * r02);
  if (inner) {
    inner.given('x_0', shearCentre, 'sectionLength', 'shear centre from the centroid, across', section.designation);
    inner.given('y_0', shearCentreUp, 'sectionLength', 'shear centre from the centroid, along the depth', section.designation);
    inner.step(
      'r_02',
      '(I_x + I_y) / A_g + x_0^2 + y_0^2',
      { I_x: Ix, I_y: Iy, A_g: A, x_0: shearCentre, y_0: shearCentreUp },
      r02,
      'area',
      '(E4-9)',
    );
    inner.step(
      'F_ez',
      '(pi^2 * E * C_w / L_cz^2 + G * J) / (A_g * r_02)',
      { E, C_w: Cw, L_cz: Lz, G, J, A_g: A, r_02: r02 },
      Fez,
      'stress',
      '(E4-7)',
    );
  }
  let Fe: number;
  if (shape.outline === 'angle') {
    const L = Math.max(input.lengthY, input.lengthZ);
    const [Fu, Fv] = [(Math.PI ** 2 * E * Iu) / A / L ** 2, (Math.PI ** 2 * E * Iv) / A / L ** 2];
    const [cos, sin] = [Math.cos(principal), Math.sin(principal)];
    const u2 = (shearCentre * cos + shearCentreUp * sin) ** 2 / r02;
    const v2 = (shearCentreUp * cos - shearCentre * sin) ** 2 / r02;
    Fe = unsymmetricStress(Fu, Fv, Fez, u2, v2);
    if (inner) {
      inner.given('F_eu', Fu, 'stress', 'flexure about the strong principal axis', '(E4-5)');
      inner.given('F_ev', Fv, 'stress', 'flexure about the weak principal axis', '(E4-6)');
      inner.given('a_u', u2, 'ratio', 'offset of the shear centre along u over the polar radius, squared');
      inner.given('a_v', v2, 'ratio', 'the same along v');
      inner.given('F_e', Fe, 'stress', 'lowest root of (E4-4)', '(E4-4)');
      inner.branch(
        'abs((1 - F_eu / F_e) * (1 - F_ev / F_e) * (1 - F_ez / F_e) - (1 - F_ev / F_e) * a_u - (1 - F_eu / F_e) * a_v) <= 0.000001 * F_eu / F_e * F_ez / F_e',
        { F_eu: Fu, F_e: Fe, F_ev: Fv, F_ez: Fez, a_u: u2, a_v: v2 },
        true,
        '(E4-4)',
        'the root fulfils the equation',
      );
    }
  } else {
    // a channel is symmetric about x: (E4-3) with F_ex in the place of F_ey
    const isChannel = shape.outline === 'channel';
    const [Lc, r] = isChannel ? [input.lengthY, rx] : [input.lengthZ, ry];
    const Ff = (Math.PI ** 2 * E) / (Lc / r) ** 2;
    const H = 1 - (shearCentre ** 2 + shearCentreUp ** 2) / r02;
    Fe = flexuralTorsionalStress(Ff, Fez, H);
    if (inner) {
      inner.given('L_c', Lc, 'length', `effective length about the axis of symmetry`);
      inner.given('r', r, 'sectionLength', 'radius of gyration about it', section.designation);
      inner.step('F_ef', 'pi^2 * E / (L_c / r)^2', { E, L_c: Lc, r }, Ff, 'stress', isChannel ? '(E4-5)' : '(E4-6)');
      inner.step('H_s', '1 - (x_0^2 + y_0^2) / r_02', { x_0: shearCentre, y_0: shearCentreUp, r_02: r02 }, H, 'ratio', '(E4-8)');
      inner.step(
        'F_e',
        '(F_ef + F_ez) / (2 * H_s) * (1 - sqrt(1 - 4 * F_ef * F_ez * H_s / (F_ef + F_ez)^2))',
        { F_ef: Ff, F_ez: Fez, H_s: H },
        Fe,
        'stress',
        '(E4-3)',
      );
    }
  }
  strength({ id: 'torsional-flexural-buckling', name: title }, AISC360('E4'), Fe, inner);
  return { checks, available };
}
