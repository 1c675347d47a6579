import type { ImposedReduction, ReducibleFloor, ReductionRole, Use } from '../../load';
import type { Sheet } from '../../sheet';

/** Uses whose imposed load may be reduced: EN 1991-1-1 6.3.1.2(10) and (11), categories A to D. */
const REDUCIBLE: readonly Use[] = ['A', 'B', 'C', 'D'];
const A0 = 1000e6;

/** Factor by area, EN 1991-1-1 UK annex (NA.1). @param area of floor that the member carries, mm2 */
export function reductionByArea(area: number, sheet?: Sheet): number {
  const alpha = Math.max(0.75, 1 - area / A0);
  sheet?.given('A_0', A0, 'floorArea', 'area of the annex', 'NA.2.5');
  sheet?.step('alpha_A', 'max(0.75, 1 - A / A_0)', { A: area, A_0: A0 }, alpha, 'ratio', 'EN 1991-1-1 (NA.1)', 'reduction by area');
  return alpha;
}

/** Factor by the number of storeys that bring imposed load, EN 1991-1-1 UK annex (NA.2). */
export function reductionByStoreys(n: number, sheet?: Sheet): number {
  if (n <= 5) {
    const alpha = 1.1 - n / 10;
    sheet?.step('alpha_n', '1.1 - n / 10', { n }, alpha, 'ratio', 'EN 1991-1-1 (NA.2)', 'reduction by storeys');
    return alpha;
  }
  const alpha = n <= 10 ? 0.6 : 0.5;
  sheet?.lookup('alpha_n', alpha, 'ratio', 'NA.2.6', n <= 10 ? '5 < n <= 10' : 'n > 10', 'EN 1991-1-1 (NA.2)');
  return alpha;
}

/**
 * Reduction of imposed floor load, EN 1991-1-1 6.3.1.2 with the UK annex: beams by area; columns and footings by area or by storeys,
 * whichever is less, never by both. Null when nothing qualifies or nothing is gained.
 */
export function imposedReduction(floors: readonly ReducibleFloor[], role: ReductionRole, sheet?: Sheet): ImposedReduction | null {
  const counted = floors.filter(({ use, force, area }) => REDUCIBLE.includes(use) && force > 0 && area > 0);
  if (counted.length === 0) return null;
  const area = counted.reduce((sum, floor) => sum + floor.area, 0);
  const n = new Set(counted.map((floor) => floor.level)).size;
  sheet?.given('A', area, 'floorArea', 'floors of categories A to D that it carries');
  const alphaA = reductionByArea(area, sheet);
  const posts = role === 'column' || role === 'footing';
  if (posts) sheet?.given('n', n, 'count', 'storeys that bring such load');
  const alphaN = posts ? reductionByStoreys(n, sheet) : 1;
  const alpha = Math.min(alphaA, alphaN);
  if (posts)
    sheet?.step(
      'alpha',
      'min(alpha_A, alpha_n)',
      { alpha_A: alphaA, alpha_n: alphaN },
      alpha,
      'ratio',
      'EN 1991-1-1 NA.2.6',
      'one of the two, not both',
    );
  if (alpha >= 1) return null;
  const byStoreys = posts && alphaN < alphaA;
  return {
    factors: Object.fromEntries([...new Set(counted.map(({ use }) => use))].map((use) => [use, alpha])),
    title: byStoreys ? `alpha_n = ${alpha.toFixed(2)}, ${n} storeys` : `alpha_A = ${alpha.toFixed(2)}, ${(area / 1e6).toFixed(0)} m2`,
    clause: byStoreys ? 'EN 1991-1-1 6.3.1.2(11), NA.2.6' : 'EN 1991-1-1 6.3.1.2(10), NA.2.5',
    notWithPsi: posts,
    assumption: 'The imposed load was not determined for a known use: load that was does not qualify.',
  };
}
