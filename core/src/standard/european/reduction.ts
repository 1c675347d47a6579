import type { ImposedReduction, ReducibleFloor, ReductionRole, Use } from '../../load';
import type { Sheet } from '../../sheet';
import type { Psi } from './annex';

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
export function reductionUK(floors: readonly ReducibleFloor[], role: ReductionRole, sheet?: Sheet): ImposedReduction | null {
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

/** Factor by area, EN 1991-1-1 (6.1), recommended: 5/7 psi_0 + A_0 / A with A_0 = 10 m2, at most 1, at least 0.6 in categories C and D. @param area mm2 */
export function recommendedByArea(area: number, use: Use, psi0: number): number {
  const alpha = Math.min(1, (5 / 7) * psi0 + 10e6 / area);
  return use === 'C' || use === 'D' ? Math.max(0.6, alpha) : alpha;
}

/** Factor by storeys of one category above a column, EN 1991-1-1 (6.2), recommended: (2 + (n - 2) psi_0) / n for more than two. */
export function recommendedByStoreys(n: number, psi0: number): number {
  return n > 2 ? (2 + (n - 2) * psi0) / n : 1;
}

/**
 * Reduction of imposed floor load by the values that EN 1991-1-1 recommends: of beams by the area of each category that they carry, 6.2.1(4); of
 * columns, walls and footings by the number of storeys of each category, 6.2.2(2). Null when nothing qualifies or nothing is gained.
 * @param psiOfUse psi of the same annex: psi_0 stands in both factors
 */
export const reductionRecommended =
  (psiOfUse: Readonly<Record<Use, Psi>>) =>
  (floors: readonly ReducibleFloor[], role: ReductionRole, sheet?: Sheet): ImposedReduction | null => {
    const posts = role === 'column' || role === 'footing';
    const counted = floors.filter(({ use, force, area }) => REDUCIBLE.includes(use) && force > 0 && area > 0);
    const said: string[] = [];
    const factors: Partial<Record<Use, number>> = {};
    for (const use of new Set(counted.map((floor) => floor.use))) {
      const of = counted.filter((floor) => floor.use === use);
      const { psi0 } = psiOfUse[use];
      const inner = sheet?.scope(`Category ${use}`);
      inner?.given('psi_0', psi0, 'ratio', 'combination value', 'EN 1990 table A1.1');
      if (posts) {
        const n = new Set(of.map((floor) => floor.level)).size;
        const alpha = recommendedByStoreys(n, psi0);
        inner?.given('n', n, 'count', 'storeys that bring such load');
        inner?.branch('n > 2', { n }, n > 2, 'EN 1991-1-1 (6.2)', n > 2 ? 'reduced by storeys' : 'not reduced');
        if (n > 2)
          inner?.step(
            'alpha_n',
            '(2 + (n - 2) * psi_0) / n',
            { n, psi_0: psi0 },
            alpha,
            'ratio',
            'EN 1991-1-1 (6.2)',
            'reduction by storeys',
          );
        if (alpha >= 1) continue;
        said.push(`alpha_n = ${alpha.toFixed(2)} for ${n} storeys of category ${use}`);
        factors[use] = alpha;
      } else {
        const area = of.reduce((sum, floor) => sum + floor.area, 0);
        const alpha = recommendedByArea(area, use, psi0);
        inner?.given('A', area, 'floorArea', `floors of category ${use} that it carries`);
        inner?.given('A_0', 10e6, 'floorArea', 'area of the standard', 'EN 1991-1-1 (6.1)');
        const formula = 'min(1, 5 / 7 * psi_0 + A_0 / A)';
        const isHeldUp = use === 'C' || use === 'D';
        inner?.step(
          'alpha_A',
          isHeldUp ? `max(0.6, ${formula})` : formula,
          { psi_0: psi0, A_0: 10e6, A: area },
          alpha,
          'ratio',
          'EN 1991-1-1 (6.1)',
          'reduction by area',
        );
        if (alpha >= 1) continue;
        said.push(`alpha_A = ${alpha.toFixed(2)} for ${(area / 1e6).toFixed(0)} m2 of category ${use}`);
        factors[use] = alpha;
      }
    }
    if (said.length === 0) return null;
    return {
      factors,
      title: said.join(', '),
      clause: posts ? 'EN 1991-1-1 6.3.1.2(11)' : 'EN 1991-1-1 6.3.1.2(10)',
      notWithPsi: posts,
      assumption: 'The imposed load was not determined for a known use: load that was does not qualify.',
    };
  };
