import type { Building, Footing } from '../building';
import type { Sheet } from '../sheet';

export interface Ground {
  readonly allowable: number;
  readonly basis: 'gross' | 'net';
  readonly soil: number;
  readonly concrete: number;
  readonly depth: number;
}

/** Pads from this to that are tried, mm. */
const SMALLEST = 400;
export const LARGEST = 20_000;

export function groundOf(building: Building, footing: Footing): Ground {
  const { brief } = building;
  return {
    allowable: footing.bearing ?? brief.bearing,
    basis: brief.bearingBasis,
    soil: brief.soilUnitWeight,
    concrete: brief.concreteUnitWeight,
    depth: footing.foundingDepth ?? brief.foundingDepth,
  };
}

/** Weight of a pad and of the backfill on it, N. */
export function weightOf(width: number, length: number, thickness: number, ground: Ground): { padWeight: number; backfill: number } {
  const area = width * length;
  return { padWeight: area * thickness * ground.concrete, backfill: area * Math.max(0, ground.depth - thickness) * ground.soil };
}

export const NET_PRESSURE = 'net pressure: soil taken out is deducted';

/** Records the sizes of a pad and what it weighs, W_p and W_b. */
export function recordWeights(width: number, length: number, thickness: number, ground: Ground, sheet: Sheet): void {
  const { padWeight, backfill } = weightOf(width, length, thickness, ground);
  sheet.given('B_x', width, 'length', 'pad along x');
  sheet.given('B_y', length, 'length', 'pad along y');
  sheet.given('h', thickness, 'sectionLength', 'thickness');
  sheet.given('D', ground.depth, 'length', 'founding depth');
  sheet.given('gamma_c', ground.concrete, 'unitWeight', 'concrete');
  sheet.given('gamma_s', ground.soil, 'unitWeight', 'soil and backfill');
  const sides = { B_x: width, B_y: length, h: thickness };
  sheet.step('W_p', 'B_x * B_y * h * gamma_c', { ...sides, gamma_c: ground.concrete }, padWeight, 'force', 'weight', 'pad');
  sheet.step(
    'W_b',
    'B_x * B_y * max(0, D - h) * gamma_s',
    { ...sides, D: ground.depth, gamma_s: ground.soil },
    backfill,
    'force',
    'weight',
    'backfill on the pad',
  );
}

/** Pressure on the soil, MPa: all that presses on it (gross), less the weight of the soil that was there (net). */
export function bearingPressure(load: number, width: number, length: number, thickness: number, ground: Ground, sheet?: Sheet): number {
  const { padWeight, backfill } = weightOf(width, length, thickness, ground);
  const gross = (load + padWeight + backfill) / (width * length);
  const net = gross - ground.depth * ground.soil;
  if (sheet) {
    sheet.given('N_s', load, 'force', 'service load of the column');
    recordWeights(width, length, thickness, ground, sheet);
    sheet.step(
      'q',
      '(N_s + W_p + W_b) / (B_x * B_y)',
      { N_s: load, W_p: padWeight, W_b: backfill, B_x: width, B_y: length },
      gross,
      'bearing',
      'statics',
      'gross pressure',
    );
    if (ground.basis === 'net')
      sheet.step('q_n', 'q - D * gamma_s', { q: gross, D: ground.depth, gamma_s: ground.soil }, net, 'bearing', 'statics', NET_PRESSURE);
  }
  return ground.basis === 'gross' ? gross : net;
}

interface GivenSides {
  readonly width: number | null;
  readonly length: number | null;
}

/**
 * Least pad on a grid of sizes that is allowed, square where neither side is given; a given side stays, and sides that are both given are not changed.
 * @param isAllowed true of every larger pad where it is of one
 * @returns sides in mm; null when none is allowed
 */
export function leastPad(
  given: GivenSides,
  step: number,
  isAllowed: (width: number, length: number) => boolean,
): { width: number; length: number } | null {
  if (given.width && given.length) return { width: given.width, length: given.length };
  const sidesOf = (count: number) => ({ width: given.width ?? count * step, length: given.length ?? count * step });
  const fits = (count: number) => isAllowed(sidesOf(count).width, sidesOf(count).length);
  // the least number of steps is found by halving, however small a step may be
  let [least, most] = [Math.ceil(SMALLEST / step), Math.floor(LARGEST / step)];
  if (least > most || !fits(most)) return null;
  for (let halvings = 0; halvings < 64 && least < most; halvings++) {
    const middle = Math.floor((least + most) / 2);
    if (fits(middle)) most = middle;
    else least = middle + 1;
  }
  return sidesOf(most);
}

/** Least pad on a grid of sizes whose pressure is allowed. @returns sides in mm; null when the soil can never carry it */
export function sizeByBearing(
  load: number,
  given: GivenSides,
  step: number,
  thickness: number,
  ground: Ground,
): { width: number; length: number } | null {
  return leastPad(given, step, (width, length) => bearingPressure(load, width, length, thickness, ground) <= ground.allowable);
}
