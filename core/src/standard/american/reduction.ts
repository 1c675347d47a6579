import type { ImposedReduction, ReducibleFloor, ReductionRole, Use } from '../../load';
import type { Sheet } from '../../sheet';

const FT2 = 304.8 ** 2;
/** 100 psf, N/mm2. */
const HEAVY = (100 * 4.4482216152605) / FT2;
/** Not reduced: where people gather (4.7.5), vehicles heavier than passenger cars. */
const NEVER: readonly Use[] = ['C', 'G'];
/** Live load element factor, ASCE 7-16 table 4.7-1, without cantilever slabs at the member. */
const ELEMENT: Record<ReductionRole, number> = { beam: 2, cantilever: 1, column: 4, footing: 4 };

/**
 * Factor on live load, ASCE 7-16 (4.7-1), with its limits of 4.7.2. 1 where the influence area is less than 400 ft2.
 * @param area tributary area, mm2
 * @param element live load element factor K_LL
 * @param floors number of floors that the member carries
 */
export function liveLoadFactor(area: number, element: number, floors: number, sheet?: Sheet): number {
  sheet?.given('A_T', area, 'floorArea', 'tributary area');
  sheet?.given('K_LL', element, 'ratio', 'live load element factor', 'ASCE 7-16 table 4.7-1');
  const influence = element * area;
  sheet?.step('A_I', 'K_LL * A_T', { K_LL: element, A_T: area }, influence, 'floorArea', '4.7.2', 'influence area');
  sheet?.given('A_400', 400 * FT2, 'floorArea', 'least influence area', '4.7.2');
  sheet?.branch('A_I < A_400', { A_I: influence, A_400: 400 * FT2 }, influence < 400 * FT2, '4.7.2', 'no reduction');
  if (influence < 400 * FT2) return 1;
  const least = floors >= 2 ? 0.4 : 0.5;
  sheet?.lookup('r_min', least, 'ratio', '4.7.2', floors >= 2 ? 'two or more floors' : 'one floor', '4.7.2');
  sheet?.given('A_225', 225 * FT2, 'floorArea', 'square of the 15 ft of the formula', '(4.7-1)');
  const factor = Math.max(least, 0.25 + Math.sqrt((225 * FT2) / influence));
  sheet?.step(
    'r',
    'max(r_min, 0.25 + sqrt(A_225 / A_I))',
    { r_min: least, A_225: 225 * FT2, A_I: influence },
    factor,
    'ratio',
    '(4.7-1)',
    'factor on live load',
  );
  return factor;
}

/**
 * Reduction of live load, ASCE 7-16 4.7: by influence area; heavy load and garages only over two floors or more and by a fifth at most
 * (4.7.3, 4.7.4); places where people gather never (4.7.5). Null when nothing qualifies or nothing is gained.
 */
export function imposedReduction(floors: readonly ReducibleFloor[], role: ReductionRole, sheet?: Sheet): ImposedReduction | null {
  const counted = floors.filter(({ use, force, area }) => !NEVER.includes(use) && force > 0 && area > 0);
  if (counted.length === 0) return null;
  const area = counted.reduce((sum, floor) => sum + floor.area, 0);
  const levels = new Set(counted.map((floor) => floor.level)).size;
  const factor = liveLoadFactor(area, ELEMENT[role], levels, sheet);
  const factors: Partial<Record<Use, number>> = {};
  for (const use of new Set(counted.map((floor) => floor.use))) {
    const heavy = use === 'F' || counted.some((floor) => floor.use === use && floor.intensity > HEAVY * (1 + 1e-9));
    const limited = !heavy ? factor : levels >= 2 ? Math.max(0.8, factor) : 1;
    if (heavy)
      sheet?.note(`Use ${use} is heavy or a garage: ${levels >= 2 ? 'reduced by a fifth at most (4.7.3, 4.7.4)' : 'not reduced'}.`);
    if (limited < 1) factors[use] = limited;
  }
  if (Object.keys(factors).length === 0) return null;
  return {
    factors,
    title: `live load times ${Math.min(...Object.values(factors)).toFixed(2)}, ${(area / FT2).toFixed(0)} ft2 on ${levels} ${levels === 1 ? 'floor' : 'floors'}`,
    clause: 'ASCE 7-16 4.7',
    notWithPsi: false,
    assumption: `No cantilever slab is at the member: its live load element factor is ${ELEMENT[role]} (table 4.7-1).`,
  };
}
