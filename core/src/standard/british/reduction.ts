import type { ImposedReduction, ReducibleFloor, ReductionRole, Use } from '../../load';
import type { Sheet } from '../../sheet';

/** Uses whose imposed load may be reduced, BS 6399-1 6.1: not storage, plant or vehicles. */
const REDUCIBLE: readonly Use[] = ['A', 'B', 'C', 'D'];

/** Reduction by area, BS 6399-1 table 3: between the rows by proportion. @param area mm2 @returns part of the load that is left */
export function leftByArea(area: number): number {
  return 1 - Math.min(0.25, (0.05 * area) / 50e6);
}

/** Reduction by the number of floors, BS 6399-1 table 2. @returns part of the load that is left */
export function leftByFloors(n: number): number {
  return n <= 1 ? 1 : n <= 5 ? 1 - 0.1 * (n - 1) : n <= 10 ? 0.6 : 0.5;
}

/** Reduction of imposed floor load, BS 6399-1 6: beams by area; columns and footings by area or by floors, whichever is less. */
export function imposedReduction(floors: readonly ReducibleFloor[], role: ReductionRole, sheet?: Sheet): ImposedReduction | null {
  const counted = floors.filter(({ use, force, area }) => REDUCIBLE.includes(use) && force > 0 && area > 0);
  if (counted.length === 0) return null;
  const area = counted.reduce((sum, floor) => sum + floor.area, 0);
  const n = new Set(counted.map(({ level }) => level)).size;
  const posts = role === 'column' || role === 'footing';
  const byArea = leftByArea(area);
  const byFloors = posts ? leftByFloors(n) : 1;
  const left = Math.min(byArea, byFloors);
  if (sheet) {
    sheet.given('A', area, 'floorArea', 'floors that may be reduced, carried by it');
    sheet.given('A_50', 50e6, 'floorArea', 'area for each twentieth', 'BS 6399-1 table 3');
    sheet.step('r_A', '1 - min(0.25, 0.05 * A / A_50)', { A: area, A_50: 50e6 }, byArea, 'ratio', 'BS 6399-1 table 3', 'left by area');
    if (posts) {
      sheet.given('n', n, 'count', 'floors that bring such load');
      sheet.lookup('r_n', byFloors, 'ratio', 'table 2', `${n} floors`, 'BS 6399-1 6.2');
      sheet.step('r', 'min(r_A, r_n)', { r_A: byArea, r_n: byFloors }, left, 'ratio', 'BS 6399-1 6.1', 'one of the two, not both');
    }
  }
  if (left >= 1) return null;
  const isByFloors = posts && byFloors < byArea;
  return {
    factors: Object.fromEntries([...new Set(counted.map(({ use }) => use))].map((use) => [use, left])),
    title: isByFloors
      ? `${((1 - left) * 100).toFixed(0)} % off, ${n} floors`
      : `${((1 - left) * 100).toFixed(0)} % off, ${(area / 1e6).toFixed(0)} m2`,
    clause: isByFloors ? 'BS 6399-1 table 2' : 'BS 6399-1 table 3',
    notWithPsi: false,
    assumption: 'The imposed load was not determined for a known use: load that was does not qualify.',
  };
}
