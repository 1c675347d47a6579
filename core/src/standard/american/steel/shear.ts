import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { SHEAR, SHEAR_STOCKY_WEB, type Safety } from './available';

/** Web shear coefficient of unstiffened webs without tension field, AISC 360-16 (G2-3), (G2-4). */
function webCoefficient(ratio: number, kv: number, E: number, Fy: number, names: { ratio: string }, sheet?: Sheet): number {
  const limit = 1.1 * Math.sqrt((kv * E) / Fy);
  const Cv = Math.min(1, limit / ratio);
  sheet?.given('k_v', kv, 'ratio', 'web plate coefficient, no stiffeners');
  sheet?.step(
    'C_v',
    `min(1, 1.1 * sqrt(k_v * E / F_y) / ${names.ratio})`,
    { k_v: kv, E, F_y: Fy, [names.ratio]: ratio },
    Cv,
    'ratio',
    '(G2-3), (G2-4)',
  );
  return Cv;
}

/**
 * Nominal shear strength along the depth, N, with its safety factors: I and channels AISC 360-16 G2.1, boxes G4.
 * Null for round shapes, whose strength depends on the distance of zero shear (G5).
 */
export function shearStrength(section: Section, E: number, Fy: number, sheet?: Sheet): { nominal: number; safety: Safety } | null {
  const { shape } = section;
  if (shape.outline === 'tube') return null;
  if (shape.outline === 'box') {
    const h = shape.h - 3 * shape.t;
    const Aw = 2 * h * shape.t;
    sheet?.step('A_w', '2 * (H - 3 * t) * t', { H: shape.h, t: shape.t }, Aw, 'area', 'G4');
    sheet?.step('lambda_w', '(H - 3 * t) / t', { H: shape.h, t: shape.t }, h / shape.t, 'ratio', 'G4');
    const ratio = h / shape.t;
    // Cv2 has a third branch beyond 1.37; no catalogued wall is that thin, and (G2-11) is above it there
    const kv = 5;
    const beyond = ratio > 1.37 * Math.sqrt((kv * E) / Fy);
    if (beyond) return null;
    const Cv = webCoefficient(ratio, kv, E, Fy, { ratio: 'lambda_w' }, sheet);
    const nominal = 0.6 * Fy * Aw * Cv;
    sheet?.step('V_n', '0.6 * F_y * A_w * C_v', { F_y: Fy, A_w: Aw, C_v: Cv }, nominal, 'force', '(G4-1)', 'nominal shear strength');
    return { nominal, safety: SHEAR };
  }
  const k = shape.tf + shape.r;
  const ratio = (shape.h - 2 * k) / shape.tw;
  const Aw = shape.h * shape.tw;
  sheet?.step('A_w', 'd * t_w', { d: shape.h, t_w: shape.tw }, Aw, 'area', 'G2.1');
  sheet?.step('lambda_w', '(d - 2 * k) / t_w', { d: shape.h, k, t_w: shape.tw }, ratio, 'ratio', 'G2.1');
  const stocky = shape.outline === 'I' && ratio <= 2.24 * Math.sqrt(E / Fy);
  if (shape.outline === 'I')
    sheet?.branch(
      'lambda_w <= 2.24 * sqrt(E / F_y)',
      { lambda_w: ratio, E, F_y: Fy },
      stocky,
      'G2.1(a)',
      stocky ? 'the web yields: phi 1.00, Omega 1.50' : 'phi 0.90, Omega 1.67',
    );
  if (stocky) {
    sheet?.step('C_v', '1', {}, 1, 'ratio', '(G2-2)');
    sheet?.step('V_n', '0.6 * F_y * A_w * C_v', { F_y: Fy, A_w: Aw, C_v: 1 }, 0.6 * Fy * Aw, 'force', '(G2-1)', 'nominal shear strength');
    return { nominal: 0.6 * Fy * Aw, safety: SHEAR_STOCKY_WEB };
  }
  const Cv = webCoefficient(ratio, 5.34, E, Fy, { ratio: 'lambda_w' }, sheet);
  const nominal = 0.6 * Fy * Aw * Cv;
  sheet?.step('V_n', '0.6 * F_y * A_w * C_v', { F_y: Fy, A_w: Aw, C_v: Cv }, nominal, 'force', '(G2-1)', 'nominal shear strength');
  return { nominal, safety: SHEAR };
}
