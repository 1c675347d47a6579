import type { ReducibleRoof, RoofReduction } from '../../load';
import type { Sheet } from '../../sheet';

const FT2 = 304.8 ** 2;
const PSF = 4.4482216152605 / FT2;
/** Reduced live load of a roof is never less, and only what is no more is reduced, N/mm2: 12 psf, 20 psf. */
const LEAST = 12 * PSF;
const ORDINARY = 20 * PSF;

/** Factor by tributary area, ASCE 7-16 4.8.2. @param area mm2 on plan */
export function roofAreaFactor(area: number, sheet?: Sheet): number {
  const factor = Math.min(1, Math.max(0.6, 1.2 - (0.001 * area) / FT2));
  sheet?.given('A_T', area, 'floorArea', 'tributary area of roofs', '4.8.2');
  sheet?.given('A_1', FT2, 'floorArea', 'one square foot');
  sheet?.step('R_1', 'min(1, max(0.6, 1.2 - 0.001 * A_T / A_1))', { A_T: area, A_1: FT2 }, factor, 'ratio', '4.8.2', 'by area');
  return factor;
}

/** Factor by pitch, ASCE 7-16 4.8.2: of the rise in inches to a foot. @param pitch rad */
export function roofPitchFactor(pitch: number): number {
  return Math.min(1, Math.max(0.6, 1.2 - 0.05 * 12 * Math.tan(pitch)));
}

/**
 * Reduction of the live load of ordinary roofs, ASCE 7-16 (4.8-1): by tributary area and by pitch, to no less than 12 psf. A roof whose live load is more
 * than 20 psf is no ordinary one and is not reduced, nor does its area count. Null when nothing is gained.
 */
export function roofReduction(roofs: readonly ReducibleRoof[], sheet?: Sheet): RoofReduction | null {
  const isOrdinary = ({ intensity, force, area }: ReducibleRoof) => intensity <= ORDINARY * (1 + 1e-9) && force > 0 && area > 0;
  const counted = roofs.filter(isOrdinary);
  if (counted.length === 0) return null;
  const area = counted.reduce((sum, roof) => sum + roof.area, 0);
  const R1 = roofAreaFactor(area, sheet);
  let n = 0;
  const factors = roofs.map((roof) => {
    if (!isOrdinary(roof)) return 1;
    n += 1;
    const R2 = roofPitchFactor(roof.pitch);
    const factor = Math.min(1, Math.max(LEAST / roof.intensity, R1 * R2));
    if (sheet) {
      const [theta, F, R, L, r] = [`theta_${n}`, `F_${n}`, `R_2${n}`, `L_${n}`, `r_${n}`];
      const rise = 12 * Math.tan(roof.pitch);
      sheet.given(theta, roof.pitch, 'angle', 'pitch of the roof');
      sheet.given(L, roof.intensity, 'areaLoad', 'live load of the roof, per area on plan');
      if (n === 1) sheet.given('L_min', LEAST, 'areaLoad', 'least live load of a roof', '4.8.2');
      sheet.step(F, `12 * sqrt(1 / cos(${theta})^2 - 1)`, { [theta]: roof.pitch }, rise, 'ratio', '4.8.2', 'rise in inches to a foot');
      sheet.step(R, `min(1, max(0.6, 1.2 - 0.05 * ${F}))`, { [F]: rise }, R2, 'ratio', '4.8.2', 'by pitch');
      const inputs = { L_min: LEAST, [L]: roof.intensity, R_1: R1, [R]: R2 };
      sheet.step(r, `min(1, max(L_min / ${L}, R_1 * ${R}))`, inputs, factor, 'ratio', '(4.8-1)', 'factor on the live load of the roof');
    }
    return factor;
  });
  if (factors.every((factor) => factor === 1)) return null;
  return {
    factors,
    title: `roof live load times ${Math.min(...factors).toFixed(2)}, ${(area / FT2).toFixed(0)} ft2`,
    clause: 'ASCE 7-16 4.8.2',
    assumption: 'The roof is an ordinary one: nobody gathers on it, nothing is planted or stored there.',
  };
}
