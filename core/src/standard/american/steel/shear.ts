import { AISC360 } from '../documents';
import type { Section } from '../../../section';
import type { Sheet, Clause } from '../../../sheet';
import { SHEAR, SHEAR_STOCKY_WEB, type Safety } from './available';
import { boxWidths } from './slenderness';

export interface ShearStrength {
  readonly nominal: number;
  readonly safety: Safety;
  readonly clause: Clause;
}

/** Web shear coefficient Cv1 of unstiffened webs without tension field, AISC 360-16 (G2-3), (G2-4). */
function webCoefficient(ratio: number, kv: number, E: number, Fy: number, sheet?: Sheet): number {
  const Cv = Math.min(1, (1.1 * Math.sqrt((kv * E) / Fy)) / ratio);
  sheet?.given('k_v', kv, 'ratio', 'web plate coefficient, no stiffeners');
  sheet?.step(
    'C_v',
    'min(1, 1.1 * sqrt(k_v * E / F_y) / lambda_w)',
    { k_v: kv, E, F_y: Fy, lambda_w: ratio },
    Cv,
    'ratio',
    '(G2-3), (G2-4)',
  );
  return Cv;
}

/** Shear buckling coefficient Cv2, AISC 360-16 (G2-9) to (G2-11). ratio: h/t or b/t of the part, printed as lambda_w. */
export function bucklingCoefficient(ratio: number, kv: number, E: number, Fy: number, sheet?: Sheet): number {
  const root = Math.sqrt((kv * E) / Fy);
  const inputs = { k_v: kv, E, F_y: Fy, lambda_w: ratio };
  sheet?.given('k_v', kv, 'ratio', 'plate coefficient, no stiffeners');
  if (ratio <= 1.37 * root) {
    const Cv = Math.min(1, (1.1 * root) / ratio);
    sheet?.step('C_v', 'min(1, 1.1 * sqrt(k_v * E / F_y) / lambda_w)', inputs, Cv, 'ratio', '(G2-9), (G2-10)');
    return Cv;
  }
  const Cv = (1.51 * kv * E) / (ratio ** 2 * Fy);
  sheet?.step('C_v', '1.51 * k_v * E / (lambda_w^2 * F_y)', inputs, Cv, 'ratio', '(G2-11)');
  return Cv;
}

/** 0.6 Fy Aw Cv, recorded. */
function nominalShear(Fy: number, Aw: number, Cv: number, clause: string, sheet?: Sheet): number {
  const Vn = 0.6 * Fy * Aw * Cv;
  sheet?.step('V_n', '0.6 * F_y * A_w * C_v', { F_y: Fy, A_w: Aw, C_v: Cv }, Vn, 'force', clause, 'nominal shear strength');
  return Vn;
}

/** Shear strength of a round hollow shape, AISC 360-16 G5, of the two buckling stresses the one that does not ask for the length: conservative. */
function roundShear(section: Section, E: number, Fy: number, sheet?: Sheet): ShearStrength {
  const { d, t } = section.shape as { d: number; t: number };
  const { A } = section.properties;
  const Fcr = Math.min(0.6 * Fy, (0.78 * E) / (d / t) ** 1.5);
  sheet?.given('A_g', A, 'area', 'gross area', section.designation);
  sheet?.step('F_cr', 'min(0.6 * F_y, 0.78 * E / (D / t)^1.5)', { F_y: Fy, E, D: d, t }, Fcr, 'stress', '(G5-2b)');
  sheet?.step('V_n', 'F_cr * A_g / 2', { F_cr: Fcr, A_g: A }, (Fcr * A) / 2, 'force', '(G5-1)', 'nominal shear strength');
  return { nominal: (Fcr * A) / 2, safety: SHEAR, clause: AISC360('G5') };
}

/** Nominal shear strength along the depth, N, with its safety factors: I and channels AISC 360-16 G2.1, tees and angles G3, boxes G4, tubes G5. */
export function shearStrength(section: Section, E: number, Fy: number, sheet?: Sheet): ShearStrength {
  const { shape } = section;
  switch (shape.outline) {
    case 'tube':
      return roundShear(section, E, Fy, sheet);
    case 'box': {
      const { web: h, off } = boxWidths(section);
      const Aw = 2 * h * shape.t;
      sheet?.step('A_w', `2 * (H - ${off} * t) * t`, { H: shape.h, t: shape.t }, Aw, 'area', 'G4');
      sheet?.step('lambda_w', `(H - ${off} * t) / t`, { H: shape.h, t: shape.t }, h / shape.t, 'ratio', 'G4');
      const Cv = bucklingCoefficient(h / shape.t, 5, E, Fy, sheet);
      return { nominal: nominalShear(Fy, Aw, Cv, '(G4-1)', sheet), safety: SHEAR, clause: AISC360('G4') };
    }
    case 'tee':
    case 'angle': {
      const [b, t, formula, name] = shape.outline === 'tee' ? [shape.h, shape.tw, 'd', 't_w'] : [shape.h, shape.t, 'd', 't'];
      const Aw = b * t;
      sheet?.step('A_w', `${formula} * ${name}`, { [formula]: b, [name]: t }, Aw, 'area', 'G3');
      sheet?.step('lambda_w', `${formula} / ${name}`, { [formula]: b, [name]: t }, b / t, 'ratio', 'G3');
      const Cv = bucklingCoefficient(b / t, 1.2, E, Fy, sheet);
      return { nominal: nominalShear(Fy, Aw, Cv, '(G3-1)', sheet), safety: SHEAR, clause: AISC360('G3') };
    }
  }
  const isUnequal = shape.outline === 'unequalI';
  const k = isUnequal ? 0 : shape.tf + shape.r;
  const ratio = (isUnequal ? shape.h - shape.tf - shape.tfBottom : shape.h - 2 * k) / shape.tw;
  const Aw = shape.h * shape.tw;
  const clause = AISC360('G2.1');
  sheet?.step('A_w', 'd * t_w', { d: shape.h, t_w: shape.tw }, Aw, 'area', 'G2.1');
  if (isUnequal)
    sheet?.step(
      'lambda_w',
      '(d - t_f - t_fb) / t_w',
      { d: shape.h, t_f: shape.tf, t_fb: shape.tfBottom, t_w: shape.tw },
      ratio,
      'ratio',
      'G2.1',
    );
  else sheet?.step('lambda_w', '(d - 2 * k) / t_w', { d: shape.h, k, t_w: shape.tw }, ratio, 'ratio', 'G2.1');
  const isRolled = shape.outline === 'I' && section.product === 'rolled';
  const stocky = isRolled && ratio <= 2.24 * Math.sqrt(E / Fy);
  if (isRolled)
    sheet?.branch(
      'lambda_w <= 2.24 * sqrt(E / F_y)',
      { lambda_w: ratio, E, F_y: Fy },
      stocky,
      'G2.1(a)',
      stocky ? 'the web yields: phi 1.00, Omega 1.50' : 'phi 0.90, Omega 1.67',
    );
  if (stocky) {
    sheet?.step('C_v', '1', {}, 1, 'ratio', '(G2-2)');
    return { nominal: nominalShear(Fy, Aw, 1, '(G2-1)', sheet), safety: SHEAR_STOCKY_WEB, clause };
  }
  const Cv = webCoefficient(ratio, 5.34, E, Fy, sheet);
  return { nominal: nominalShear(Fy, Aw, Cv, '(G2-1)', sheet), safety: SHEAR, clause };
}

/** Nominal shear strength across the depth, N, AISC 360-16 G6; boxes by G4 turned, tubes by G5. */
export function shearStrengthAcross(section: Section, E: number, Fy: number, sheet?: Sheet): ShearStrength {
  const { shape } = section;
  if (shape.outline === 'tube') return roundShear(section, E, Fy, sheet);
  if (shape.outline === 'box') {
    const { flange: b, off } = boxWidths(section);
    const Aw = 2 * b * shape.t;
    sheet?.step('A_w', `2 * (B - ${off} * t) * t`, { B: shape.b, t: shape.t }, Aw, 'area', 'G4');
    sheet?.step('lambda_w', `(B - ${off} * t) / t`, { B: shape.b, t: shape.t }, b / shape.t, 'ratio', 'G4');
    const Cv = bucklingCoefficient(b / shape.t, 5, E, Fy, sheet);
    return { nominal: nominalShear(Fy, Aw, Cv, '(G4-1)', sheet), safety: SHEAR, clause: AISC360('G4') };
  }
  const clause = AISC360('G6');
  if (shape.outline === 'angle') {
    sheet?.step('A_w', 'b * t', { b: shape.b, t: shape.t }, shape.b * shape.t, 'area', 'G3');
    sheet?.step('lambda_w', 'b / t', { b: shape.b, t: shape.t }, shape.b / shape.t, 'ratio', 'G3');
    const Cv = bucklingCoefficient(shape.b / shape.t, 1.2, E, Fy, sheet);
    return { nominal: nominalShear(Fy, shape.b * shape.t, Cv, '(G3-1)', sheet), safety: SHEAR, clause: AISC360('G3') };
  }
  if (shape.outline === 'unequalI') {
    const { b, tf, bBottom, tfBottom } = shape;
    const Aw = b * tf + bBottom * tfBottom;
    const slender = Math.max(b / 2 / tf, bBottom / 2 / tfBottom);
    const inputs = { b_f: b, t_f: tf, b_fb: bBottom, t_fb: tfBottom };
    sheet?.step('A_w', 'b_f * t_f + b_fb * t_fb', inputs, Aw, 'area', 'G6');
    sheet?.step('lambda_w', 'max(b_f / 2 / t_f, b_fb / 2 / t_fb)', inputs, slender, 'ratio', 'G6', 'the more slender of the flanges');
    const Cv = bucklingCoefficient(slender, 1.2, E, Fy, sheet);
    return { nominal: nominalShear(Fy, Aw, Cv, '(G6-1)', sheet), safety: SHEAR, clause };
  }
  const flanges = shape.outline === 'tee' ? 1 : 2;
  const part = shape.outline === 'channel' ? shape.b : shape.b / 2;
  const Aw = flanges * shape.b * shape.tf;
  sheet?.step('A_w', `${flanges} * b_f * t_f`, { b_f: shape.b, t_f: shape.tf }, Aw, 'area', 'G6');
  if (shape.outline === 'channel') sheet?.step('lambda_w', 'b_f / t_f', { b_f: shape.b, t_f: shape.tf }, part / shape.tf, 'ratio', 'G6');
  else sheet?.step('lambda_w', 'b_f / 2 / t_f', { b_f: shape.b, t_f: shape.tf }, part / shape.tf, 'ratio', 'G6');
  const Cv = bucklingCoefficient(part / shape.tf, 1.2, E, Fy, sheet);
  return { nominal: nominalShear(Fy, Aw, Cv, '(G6-1)', sheet), safety: SHEAR, clause };
}
