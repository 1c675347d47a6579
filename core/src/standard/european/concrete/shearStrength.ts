import type { Sheet } from '../../../sheet';
import type { ConcreteAnnex } from '../annex';

/** k of EN 1992-1-1 6.2.2(1), d in mm: the standard's 200 carries mm. */
const sizeFactor = (d: number) => Math.min(2, 1 + Math.sqrt(200 / d));

/** Least shear strength vmin, MPa, EN 1992-1-1 (6.3N): the standard's 0.035 carries MPa. */
const leastShear = (d: number, fck: number) => 0.035 * sizeFactor(d) ** 1.5 * Math.sqrt(fck);

/** Concrete shear strength without links, MPa, EN 1992-1-1 (6.2), (6.47): 100 is the standard's, strengths in MPa. */
export function shearStrength(annex: ConcreteAnnex, d: number, rho: number, fck: number): number {
  return Math.max((0.18 / annex.gammaC) * sizeFactor(d) * (100 * Math.min(0.02, rho) * fck) ** (1 / 3), leastShear(d, fck));
}

export function recordShearStrength(annex: ConcreteAnnex, sheet: Sheet | undefined, d: number, rho: number, fck: number): void {
  if (!sheet) return;
  sheet.step('k', 'min(2, 1 + sqrt(200 / d))', { d }, sizeFactor(d), 'ratio', '6.2.2(1)', 'd in mm');
  sheet.step('v_min', '0.035 * k^1.5 * sqrt(f_ck)', { k: sizeFactor(d), f_ck: fck }, leastShear(d, fck), 'stress', '(6.3N)', 'f_ck in MPa');
  sheet.step(
    'v_Rdc',
    'max(0.18 / gamma_C * k * (100 * min(0.02, rho) * f_ck)^(1/3), v_min)',
    { gamma_C: annex.gammaC, k: sizeFactor(d), rho, f_ck: fck, v_min: leastShear(d, fck) },
    shearStrength(annex, d, rho, fck),
    'stress',
    '(6.2)',
    'f_ck in MPa',
  );
}
