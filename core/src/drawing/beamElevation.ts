import { stretchesOf, type Beam } from '../building';
import { caseIn, NATURES, type Combination, type Nature } from '../load';
import { formatQuantity, type UnitSystem } from '../quantity';
import type { Arrival } from '../takedown';
import { Pencil, sideOf, type Drawing } from './drawing';

export interface BeamElevationInput {
  readonly beam: Beam;
  /** mm */
  readonly length: number;
  readonly arrivals: readonly Arrival[];
  /** What each support is called, in the order of the beam's supports; null: nothing. */
  readonly carriers: readonly (string | null)[];
  readonly combination: Combination;
  readonly units: UnitSystem;
  readonly width: number;
  readonly height: number;
}

/** As on the diagrams, so that they stand one above the other. */
const MARGIN = 28;
const DEEP = 9;

/**
 * A beam seen from its side, to scale along it: supports and what takes it there, hinges, what holds each flange sideways, and the loads of one
 * combination with its factors: spread loads as heights by nature, forces as arrows.
 */
export function beamElevation(input: BeamElevationInput): Drawing {
  const { beam, length, carriers, combination, units, width } = input;
  const pencil = new Pencil();
  const height = input.height + pencil.caption(MARGIN - 20, 10, `loads, ${combination.name}`, width - MARGIN + 8);
  const [left, right] = [MARGIN, width - MARGIN];
  const X = (x: number) => left + ((right - left) * Math.min(Math.max(x, 0), length)) / length;
  const axis = height - 46;
  const [top, bottom] = [axis - DEEP / 2, axis + DEEP / 2];
  spreadLoads(pencil, input, X, top - 8);
  pencil.rectangle(left, top, right - left, DEEP, 'steel', { pen: 'ink', width: 1 });
  for (const { from, to, factor } of stretchesOf(beam)) {
    const depth = DEEP + (factor >= 1 ? 5 : -4);
    pencil.rectangle(X(from), axis - depth / 2, X(to) - X(from), depth, 'steel', { pen: 'ink', width: 1 });
    pencil.text((X(from) + X(to)) / 2, bottom + 12, `${+factor.toFixed(2)} EI`, { size: 9, anchor: 'middle', pen: 'soft' });
  }
  forces(pencil, input, X, top - 8);
  for (const at of beam.hinges) pencil.circle(X(at), axis, 3.2, 'paper', 'ink');
  restraints(pencil, beam, length, X, top, bottom);
  beam.supports.forEach(({ at, fixed, spring, settlement }, i) => {
    if (fixed) pencil.built(X(at), top - 6, bottom + 8, sideOf(at, length));
    else pencil.support(X(at), bottom + 1);
    const anchor = X(at) < left + 30 ? 'start' : X(at) > right - 30 ? 'end' : 'middle';
    const moves = `${spring === null ? '' : ', yields'}${settlement === 0 ? '' : ', may sink'}`;
    const carrier = carriers[i] && `${carriers[i]}${moves}`;
    if (carrier)
      pencil.text(anchor === 'start' ? X(at) - 6 : anchor === 'end' ? X(at) + 6 : X(at), bottom + 19, carrier, { size: 10, anchor });
  });
  const places = [...new Set([0, ...beam.supports.map(({ at }) => at), length])].filter((at) => at <= length).sort((a, b) => a - b);
  for (let i = 0; i + 1 < places.length; i += 1)
    if (X(places[i + 1]!) - X(places[i]!) > 12)
      pencil.dimension(
        X(places[i]!),
        X(places[i + 1]!),
        height - 6,
        formatQuantity(places[i + 1]! - places[i]!, 'length', units, { figures: 4 }),
      );
  return { width, height, title: `${beam.mark}: elevation with supports, restraints and loads, ${combination.name}`, marks: pencil.marks };
}

/** Value of an arrival's nature under the combination: all of that nature's cases. */
function valueOf(arrival: Arrival, nature: Nature, { factors, cases }: Combination): number {
  let sum = 0;
  for (const [id, value] of Object.entries(arrival.byCase))
    if (factors[id] && caseIn(cases, id).nature === nature) sum += value * factors[id];
  return sum;
}

/** Spread loads heaped on each other by nature, all to one scale; the largest is written. */
function spreadLoads(
  pencil: Pencil,
  { arrivals, combination, units, length }: BeamElevationInput,
  X: (x: number) => number,
  base: number,
): void {
  const spread = arrivals.flatMap(({ shape }) => (shape.type === 'distributed' ? [shape] : []));
  if (spread.length === 0) return;
  const places = [...new Set([0, length, ...spread.flatMap(({ from, to }) => [from, Math.min(to, length)])])].sort((a, b) => a - b);
  const stations = places.flatMap((from, i) =>
    i + 1 < places.length && places[i + 1]! - from > 1e-3 ? [[from, places[i + 1]!] as const] : [],
  );
  const intensity = (nature: Nature, x: number, inside: number) =>
    arrivals.reduce((sum, arrival) => {
      const { shape } = arrival;
      if (shape.type !== 'distributed' || inside <= shape.from || inside >= shape.to) return sum;
      const at =
        shape.to === shape.from ? shape.start : shape.start + ((shape.end - shape.start) * (x - shape.from)) / (shape.to - shape.from);
      return sum + at * valueOf(arrival, nature, combination);
    }, 0);
  const rows = stations.map(([from, to]) => {
    const middle = (from + to) / 2;
    return { from, to, values: NATURES.map((nature) => [intensity(nature, from, middle), intensity(nature, to, middle)] as const) };
  });
  const total = (values: readonly (readonly [number, number])[], end: 0 | 1) =>
    values.reduce((sum, value) => sum + Math.max(0, value[end]), 0);
  const most = rows.reduce((max, { values }) => Math.max(max, total(values, 0), total(values, 1)), 0);
  if (most <= 0) return;
  const tall = 24 / most;
  for (const { from, to, values } of rows) {
    let [a, b] = [0, 0];
    values.forEach(([start, end], n) => {
      const [up, down] = [Math.max(0, start), Math.max(0, end)];
      if (up + down === 0) return;
      pencil.area(
        [
          [X(from), base - a * tall],
          [X(from), base - (a + up) * tall],
          [X(to), base - (b + down) * tall],
          [X(to), base - b * tall],
        ],
        NATURES[n]!,
        { opacity: 0.75 },
      );
      a += up;
      b += down;
    });
    pencil.line(
      [
        [X(from), base],
        [X(from), base - a * tall],
        [X(to), base - b * tall],
        [X(to), base],
      ],
      'ink',
      { width: 0.7 },
    );
  }
  const worst = rows.reduce((best, row) =>
    Math.max(total(row.values, 0), total(row.values, 1)) > Math.max(total(best.values, 0), total(best.values, 1)) ? row : best,
  );
  // beside the arrows of forces, not on them
  const arrows = arrivals.flatMap(({ shape }) => (shape.type === 'point' ? [X(shape.at)] : []));
  const clear = (x: number) => Math.min(...arrows.map((arrow) => Math.abs(arrow - x)), 60);
  const [low, high] = [X(worst.from) + 34, X(worst.to) - 34];
  const tries = low > high ? [(low + high) / 2] : [0.5, 0.35, 0.65, 0.2, 0.8, 0, 1].map((part) => low + (high - low) * part);
  const at = tries.reduce((best, x) => (clear(best) >= 36 || clear(x) <= clear(best) ? best : x));
  pencil.text(at, base - 24 - 4, formatQuantity(most, 'lineLoad', units), {
    size: 11,
    bold: true,
    anchor: 'middle',
    halo: true,
  });
}

/** Forces as arrows; those far enough apart are written. */
function forces(pencil: Pencil, { arrivals, combination, units }: BeamElevationInput, X: (x: number) => number, base: number): void {
  const points = new Map<number, number>();
  for (const arrival of arrivals)
    if (arrival.shape.type === 'point') {
      const value = NATURES.reduce((sum, nature) => sum + valueOf(arrival, nature, combination), 0);
      const at = Math.round(arrival.shape.at);
      if (Math.abs(value) > 1e-6) points.set(at, (points.get(at) ?? 0) + value);
    }
  let written = -Infinity;
  for (const [at, value] of [...points].sort((a, b) => a[0] - b[0])) {
    const line: [number, number][] = [
      [X(at), base - 44],
      [X(at), base + 7],
    ];
    pencil.line(value > 0 ? line : line.reverse(), 'ink', { width: 1.4, arrow: 'end' });
    const text = formatQuantity(value, 'force', units, { figures: 3 });
    const half = text.length * 3.1;
    const x = Math.min(Math.max(X(at), half), X(Infinity) + MARGIN - half);
    if (x - half < written) continue;
    pencil.text(x, base - 48, text, { size: 11, bold: true, anchor: 'middle', halo: true });
    written = x + half + 4;
  }
}

/** A floor as hatching along the top flange; places that are held as crosses: on the axis for both flanges, else on the one that they hold. */
function restraints(pencil: Pencil, beam: Beam, length: number, X: (x: number) => number, top: number, bottom: number): void {
  if (beam.restraint === 'floor')
    for (let x = X(0) + 2; x < X(length) - 3; x += 8)
      pencil.line(
        [
          [x, top - 6],
          [x + 5, top - 1],
        ],
        'accent',
        { width: 1 },
      );
  const cross = (at: number, y: number) => {
    if (at > length) return;
    for (const sign of [1, -1])
      pencil.line(
        [
          [X(at) - 4, y - 4 * sign],
          [X(at) + 4, y + 4 * sign],
        ],
        'accent',
        { width: 1.6 },
      );
  };
  const points = beam.restraint === 'points';
  if (points) for (const at of beam.restraintPoints) cross(at, (top + bottom) / 2);
  if (points) for (const at of beam.topPoints) cross(at, top - 3);
  if (beam.restraint !== 'supports') for (const at of beam.bottomPoints) cross(at, bottom + 3);
}
