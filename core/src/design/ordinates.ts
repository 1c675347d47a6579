import type { BeamModel, Loading } from '../analysis';
import type { BeamLoad, BeamSolution, DistributedLoad, PointLoad, Reaction } from '../beam';
import { formatQuantity, type UnitSystem } from '../quantity';
import type { Sheet } from '../sheet';

/** So many different loads are written out; under more the ordinates are given. */
const WRITTEN = 12;
const NEAR = 1e-6;

/** A place of the beam whose moment or shear is written. */
interface Ordinate {
  readonly effect: 'moment' | 'shear';
  readonly symbol: string;
  readonly at: number;
  /** Just left of it, or right of it. */
  readonly side: -1 | 1;
  readonly meaning: string;
}

type Written = PointLoad | DistributedLoad;

/** Loads of one kind in one place added up; those that come to nothing left out. */
function gathered(loads: readonly BeamLoad[]): Written[] {
  const found = new Map<string, Written>();
  for (const load of loads) {
    if (load.type === 'moment') continue;
    const key = load.type === 'point' ? `${load.at}` : `${load.from} ${load.to}`;
    const known = found.get(key);
    if (!known) found.set(key, load);
    else if (known.type === 'point' && load.type === 'point') found.set(key, { ...known, force: known.force + load.force });
    else if (known.type === 'distributed' && load.type === 'distributed')
      found.set(key, { ...known, start: known.start + load.start, end: known.end + load.end });
  }
  return [...found.values()].filter((load) =>
    load.type === 'point' ? load.force !== 0 : load.to > load.from && (load.start !== 0 || load.end !== 0),
  );
}

/** A sum that is written as a formula while it is reckoned. */
class Sum {
  value = 0;
  formula = '';
  readonly inputs: Record<string, number> = {};

  add(term: string, value: number, inputs: Readonly<Record<string, number>>, sign: 1 | -1 = 1): void {
    this.formula += this.formula === '' ? (sign < 0 ? `-${term}` : term) : ` ${sign < 0 ? '-' : '+'} ${term}`;
    this.value += sign * value;
    Object.assign(this.inputs, inputs);
  }
}

/** A load with its number, its resultant and where that acts, mm. */
interface Numbered {
  readonly load: Written;
  readonly n: number;
  readonly force: number;
  readonly at: number;
}

/** Gives a load, and of a spread one the resultant. */
function recordLoad(load: Written, n: number, sheet: Sheet): Numbered {
  if (load.type === 'point') {
    sheet.given(`W_${n}`, load.force, 'force', 'factored load at a point');
    sheet.given(`z_${n}`, load.at, 'length', 'where it acts, from the start');
    return { load, n, force: load.force, at: load.at };
  }
  const { from, to, start, end } = load;
  const even = Math.abs(start - end) <= 1e-9 * Math.max(Math.abs(start), Math.abs(end));
  sheet.given(`w_${n}`, start, 'lineLoad', even ? 'factored load, even' : 'factored load where it begins');
  if (!even) sheet.given(`v_${n}`, end, 'lineLoad', 'factored load where it ends, straight between');
  sheet.given(`c_${n}`, from, 'length', 'from');
  sheet.given(`e_${n}`, to, 'length', 'to');
  const ends = { [`c_${n}`]: from, [`e_${n}`]: to };
  const [force, b] = [((start + end) / 2) * (to - from), to - from];
  const intensity = even ? { [`w_${n}`]: start } : { [`w_${n}`]: start, [`v_${n}`]: end };
  const mean = even ? `w_${n}` : `(w_${n} + v_${n}) / 2`;
  sheet.step(`W_${n}`, `${mean} * (e_${n} - c_${n})`, { ...intensity, ...ends }, force, 'force', 'statics', 'resultant');
  const at = even ? (from + to) / 2 : from + (b * (start + 2 * end)) / (3 * (start + end));
  sheet.step(
    `z_${n}`,
    even ? `(c_${n} + e_${n}) / 2` : `c_${n} + (e_${n} - c_${n}) * (w_${n} + 2 * v_${n}) / (3 * (w_${n} + v_${n}))`,
    even ? ends : { ...intensity, ...ends },
    at,
    'length',
    'statics',
    'where it acts',
  );
  return { load, n, force, at };
}

/** A load whose ends have opposite signs has no resultant to write its moment by. */
const hasResultant = (load: Written) => load.type === 'point' || load.start * load.end >= 0;

/**
 * Moments and shears of a beam under one loading as a checker works them out: the factored loads, the reactions (of two supports by the lever, of more from
 * the solution of the beam, the last one from the sum), and at each place what lies to its left. For beams and loads for which no formula of a simple span
 * is printed.
 */
export function recordOrdinates(model: BeamModel, loading: Loading, solution: BeamSolution, units: UnitSystem, sheet: Sheet): void {
  const loads = gathered(model.loadsUnder(loading));
  const places = placesOf(model, solution, units);
  if (places.length === 0) return;
  if (loads.length > WRITTEN || !loads.every(hasResultant)) {
    sheet.note(`${loads.length} different loads: moments and shears are given from the solution of the beam.`);
    for (const { effect, symbol, at, side, meaning } of places)
      sheet.given(symbol, solution.at(effect, at, side), effect === 'moment' ? 'moment' : 'force', meaning, 'beam solution');
    return;
  }
  const numbered = loads.map((load, i) => recordLoad(load, i + 1, sheet));
  const held = recordReactions(model, solution, numbered, sheet);
  for (const place of places) recordOrdinate(place, held, numbered, sheet);
}

/**
 * Reactions, N, in the order of the supports: `R_1` and so on at `s_1`; of supports that hold the beam against turning the moment as well, `J_1`, positive
 * where it bends the beam so that it hogs to the right of it.
 */
function recordReactions(model: BeamModel, { reactions }: BeamSolution, loads: readonly Numbered[], sheet: Sheet): Reaction[] {
  const places = reactions.map(({ at }) => at);
  places.forEach((at, i) => sheet.given(`s_${i + 1}`, at, 'length', `support ${i + 1}, from the start`));
  const forces = reactions.map(({ force }) => force);
  const last = forces.length - 1;
  const byLever = last === 1 && model.beam.hinges.length === 0 && !model.isHeld;
  if (byLever) {
    const [s1, s2] = places as [number, number];
    const about = new Sum();
    for (const { n, force, at } of loads) about.add(`W_${n} * (z_${n} - s_1)`, force * (at - s1), { [`W_${n}`]: force, [`z_${n}`]: at });
    forces[1] = about.value / (s2 - s1);
    sheet.step(
      'R_2',
      `(${about.formula || 0}) / (s_2 - s_1)`,
      { ...about.inputs, s_1: s1, s_2: s2 },
      forces[1],
      'force',
      'statics',
      'reaction, by the lever',
    );
  } else for (let i = 0; i < last; i += 1) sheet.given(`R_${i + 1}`, forces[i]!, 'force', `reaction of support ${i + 1}`, 'beam solution');
  const rest = new Sum();
  for (const { n, force } of loads) rest.add(`W_${n}`, force, { [`W_${n}`]: force });
  const which = byLever ? 0 : last;
  forces.forEach((force, i) => {
    if (i !== which) rest.add(`R_${i + 1}`, force, { [`R_${i + 1}`]: force }, -1);
  });
  forces[which] = rest.value;
  if (rest.formula !== '')
    sheet.step(`R_${which + 1}`, rest.formula, rest.inputs, rest.value, 'force', 'statics', 'reaction, by vertical equilibrium');
  else sheet.given(`R_${which + 1}`, 0, 'force', 'reaction: no load');
  const isCantilever = last === 0;
  return reactions.map(({ at, moment }, i) => {
    const held = { at, force: forces[i]!, moment };
    if (Math.abs(moment) <= NEAR) return { ...held, moment: 0 };
    const meaning = `moment that holds the beam at support ${i + 1}`;
    if (!isCantilever) sheet.given(`J_${i + 1}`, moment, 'moment', meaning, 'beam solution');
    else {
      const about = new Sum();
      for (const { n, force, at: z } of loads)
        about.add(`W_${n} * (z_${n} - s_1)`, force * (z - at), { [`W_${n}`]: force, [`z_${n}`]: z, s_1: at });
      sheet.step('J_1', about.formula, about.inputs, about.value, 'moment', 'statics', `${meaning}, by equilibrium`);
      return { ...held, moment: about.value };
    }
    return held;
  });
}

/** Inner supports that carry a moment, and where moment and shear are largest. */
function placesOf({ length }: BeamModel, solution: BeamSolution, units: UnitSystem): Ordinate[] {
  const written = (at: number) => formatQuantity(at, 'length', units);
  const places: Ordinate[] = [];
  solution.reactions.forEach(({ at }, i) => {
    if (!(at > 1 && at < length - 1)) return;
    // where the support is held against turning the moment is another on either side
    const [left, right] = [solution.at('moment', at, -1), solution.at('moment', at, 1)];
    const side = Math.abs(left) > Math.abs(right) * (1 + 1e-9) ? (-1 as const) : (1 as const);
    places.push({ effect: 'moment', symbol: `M_s${i + 1}`, at, side, meaning: `moment over support ${i + 1}` });
  });
  for (const effect of ['moment', 'shear'] as const) {
    const { max, min } = solution.extremes(effect);
    const { at, value } = Math.abs(max.value) >= Math.abs(min.value) ? max : min;
    if (value === 0 || (effect === 'moment' && places.some((place) => Math.abs(place.at - at) < NEAR))) continue;
    const near = (side: -1 | 1) => Math.abs(solution.at(effect, at, side) - value);
    places.push({
      effect,
      symbol: effect === 'moment' ? 'M_x' : 'V_x',
      at,
      side: at > NEAR && near(-1) <= near(1) ? -1 : 1,
      meaning: `largest ${effect}, at ${written(at)}`,
    });
  }
  return places;
}

function recordOrdinate(
  { effect, symbol, at: x, side, meaning }: Ordinate,
  reactions: readonly Reaction[],
  loads: readonly Numbered[],
  sheet: Sheet,
): void {
  const isMoment = effect === 'moment';
  const name = `x_${symbol.replace('_', '')}`;
  sheet.given(name, x, 'length', `where it is looked at, from the start`);
  const isLeft = (at: number) => at < x - NEAR || (!isMoment && side > 0 && Math.abs(at - x) <= NEAR);
  const sum = new Sum();
  reactions.forEach(({ at, force, moment }, i) => {
    if (isMoment && moment !== 0 && (isLeft(at) || (side > 0 && Math.abs(at - x) <= NEAR)))
      sum.add(`J_${i + 1}`, moment, { [`J_${i + 1}`]: moment }, -1);
    if (!isLeft(at)) return;
    const R = { [`R_${i + 1}`]: force };
    if (isMoment) sum.add(`R_${i + 1} * (${name} - s_${i + 1})`, force * (x - at), { ...R, [name]: x, [`s_${i + 1}`]: at });
    else sum.add(`R_${i + 1}`, force, R);
  });
  for (const { load, n, force, at } of loads) {
    const whole = { [`W_${n}`]: force };
    const [begins, ends] = load.type === 'point' ? [at, at] : [load.from, load.to];
    if (!isLeft(begins)) continue;
    if (isLeft(ends) || ends <= x + NEAR) {
      if (isMoment) sum.add(`W_${n} * (${name} - z_${n})`, force * (x - at), { ...whole, [name]: x, [`z_${n}`]: at }, -1);
      else sum.add(`W_${n}`, force, whole, -1);
      continue;
    }
    const { start, end, from, to } = load as DistributedLoad;
    const u = x - from;
    const inputs: Record<string, number> = { [`w_${n}`]: start, [name]: x, [`c_${n}`]: from };
    if (isMoment) sum.add(`w_${n} * (${name} - c_${n})^2 / 2`, (start * u ** 2) / 2, inputs, -1);
    else sum.add(`w_${n} * (${name} - c_${n})`, start * u, inputs, -1);
    if (Math.abs(start - end) <= 1e-9 * Math.max(Math.abs(start), Math.abs(end))) continue;
    const slope = (end - start) / (to - from);
    const more = { ...inputs, [`v_${n}`]: end, [`e_${n}`]: to };
    const rate = `(v_${n} - w_${n}) / (e_${n} - c_${n})`;
    if (isMoment) sum.add(`${rate} * (${name} - c_${n})^3 / 6`, (slope * u ** 3) / 6, more, -1);
    else sum.add(`${rate} * (${name} - c_${n})^2 / 2`, (slope * u ** 2) / 2, more, -1);
  }
  if (sum.formula !== '') sheet.step(symbol, sum.formula, sum.inputs, sum.value, isMoment ? 'moment' : 'force', 'statics', meaning);
}
