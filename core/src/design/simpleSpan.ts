import type { BeamModel, LoadPart } from '../analysis';
import type { Effect } from '../beam';
import type { Sheet } from '../sheet';

/** A load of a part of a simple beam for which a formula is printed: all along it, or at a point. N/mm, N, mm. */
type SimpleLoad = { readonly type: 'along'; readonly w: number } | { readonly type: 'point'; readonly at: number; readonly force: number };

/** So many loads of one part are written out; of more the sum is given. */
const WRITTEN = 6;
const NEAR = 1e-6;

/** Whether a beam spans from end to end between two supports, as one learns it first. */
export function isSimpleSpan({ beam, length, isHeld }: BeamModel): boolean {
  if (isHeld || beam.stretches.length > 0 || beam.supports.some(({ spring }) => spring !== null)) return false;
  const [first, last, ...others] = beam.supports.map(({ at }) => at);
  return (
    others.length === 0 && first !== undefined && last !== undefined && first <= NEAR && last >= length - NEAR && beam.hinges.length === 0
  );
}

/** The loads of a part where each is a simple one; null where one is not, or there are too many to write out. */
function simpleLoads({ loads }: LoadPart, length: number): readonly SimpleLoad[] | null {
  let w = 0;
  const points: SimpleLoad[] = [];
  for (const { shape, value } of loads) {
    if (shape.type === 'point') points.push({ type: 'point', at: Math.min(shape.at, length), force: value });
    else if (shape.from <= NEAR && shape.to >= length - NEAR && Math.abs(shape.start - shape.end) <= 1e-9 * Math.abs(shape.start))
      w += shape.start * value;
    else return null;
  }
  if (points.length > WRITTEN) return null;
  return [...(w === 0 ? [] : [{ type: 'along', w } as const]), ...points];
}

/** Whether each load of a part has its formula on a simple span. */
export const isWrittenOut = (part: LoadPart, length: number): boolean => simpleLoads(part, length) !== null;

/** What a load does at a place, with the formula that says so. */
interface Done {
  readonly formula: string;
  readonly value: number;
}

/**
 * Effects at a place x of a simply supported beam of span L, of a load w all along it and of a point load P at a: statics, Euler-Bernoulli beam. Left of a
 * point load, or right of it, another formula holds: `isLeft` says which.
 */
const ALONG: Readonly<Record<Effect, (w: number, x: number, L: number, EI: number, n: number, at: string) => Done>> = {
  moment: (w, x, L, _, n, at) => ({ formula: `w_${n} * ${at} * (L - ${at}) / 2`, value: (w * x * (L - x)) / 2 }),
  shear: (w, x, L, _, n, at) => ({ formula: `w_${n} * (L / 2 - ${at})`, value: w * (L / 2 - x) }),
  deflection: (w, x, L, EI, n, at) => ({
    formula: `w_${n} * ${at} * (L^3 - 2 * L * ${at}^2 + ${at}^3) / (24 * EI)`,
    value: (w * x * (L ** 3 - 2 * L * x ** 2 + x ** 3)) / (24 * EI),
  }),
};
const POINT: Readonly<
  Record<Effect, (P: number, a: number, x: number, L: number, EI: number, n: number, at: string, isLeft: boolean) => Done>
> = {
  moment: (P, a, x, L, _, n, at, isLeft) =>
    isLeft
      ? { formula: `P_${n} * b_${n} * ${at} / L`, value: (P * (L - a) * x) / L }
      : { formula: `P_${n} * a_${n} * ${right(at)} / L`, value: (P * a * (L - x)) / L },
  shear: (P, a, _x, L, _, n, _at, isLeft) =>
    isLeft ? { formula: `P_${n} * b_${n} / L`, value: (P * (L - a)) / L } : { formula: `-P_${n} * a_${n} / L`, value: (-P * a) / L },
  deflection: (P, a, x, L, EI, n, at, isLeft) =>
    isLeft
      ? {
          formula: `P_${n} * b_${n} * ${at} * (L^2 - b_${n}^2 - ${at}^2) / (6 * L * EI)`,
          value: (P * (L - a) * x * (L ** 2 - (L - a) ** 2 - x ** 2)) / (6 * L * EI),
        }
      : {
          formula: `P_${n} * a_${n} * ${right(at)} * (L^2 - a_${n}^2 - ${right(at)}^2) / (6 * L * EI)`,
          value: (P * a * (L - x) * (L ** 2 - a ** 2 - (L - x) ** 2)) / (6 * L * EI),
        },
};

/** Symbol of the distance of a place from the end of the span. */
const right = (at: string) => at.replace('x', 'y');

interface Numbered {
  readonly load: SimpleLoad;
  readonly n: number;
}

/** Writes the parts of an effect of a simple beam as formulas of their loads. Every load is given once, with a number of its own. */
export class SimpleSpanSheet {
  private count = 0;
  private readonly known = new Map<LoadPart, readonly Numbered[] | null>();

  /** @param model a simple span @param EI given as `EI` where deflection is asked for */
  constructor(
    private readonly model: BeamModel,
    private readonly sheet: Sheet,
    private readonly EI: number,
  ) {
    sheet.given('L', model.length, 'length', 'span');
  }

  /** A place at which an effect is looked at. */
  place(symbol: string, at: number, effect: Effect): void {
    const { length: L } = this.model;
    this.sheet.given(symbol, at, 'length', `where the ${effect} is looked at, from the start`);
    this.sheet.step(right(symbol), `L - ${symbol}`, { L, [symbol]: at }, L - at, 'length', 'geometry', 'and from the end');
  }

  /** A number that no load has. */
  next(): number {
    this.count += 1;
    return this.count;
  }

  private given(part: LoadPart, title: string): readonly Numbered[] | null {
    const known = this.known.get(part);
    if (known !== undefined) return known;
    const found =
      simpleLoads(part, this.model.length)?.map((load) => {
        const n = this.next();
        if (load.type === 'along') this.sheet.given(`w_${n}`, load.w, 'lineLoad', `${title}, all along`, 'takedown');
        else {
          this.sheet.given(`P_${n}`, load.force, 'force', `${title}, at a point`, 'takedown');
          this.sheet.given(`a_${n}`, load.at, 'length', `where P_${n} stands, from the start`);
          const { length: L } = this.model;
          this.sheet.step(`b_${n}`, `L - a_${n}`, { L, [`a_${n}`]: load.at }, L - load.at, 'length', 'geometry', 'and from the end');
        }
        return { load, n };
      }) ?? null;
    this.known.set(part, found);
    return found;
  }

  /**
   * Writes what each load of a part does at a place.
   * @param title what the part is
   * @param x symbol of the place, given before, and its value, mm
   * @returns the symbols of what was written, with their values; null where no formula is written for its loads
   */
  write(
    part: LoadPart,
    title: string,
    effect: Effect,
    symbol: string,
    x: { readonly symbol: string; readonly at: number; readonly side: -1 | 1 },
  ): Readonly<Record<string, number>> | null {
    const loads = this.given(part, title);
    if (!loads || loads.length === 0) return null;
    const { length: L } = this.model;
    const kind = effect === 'moment' ? 'moment' : effect === 'shear' ? 'force' : 'sectionLength';
    const written: Record<string, number> = {};
    for (const { load, n } of loads) {
      const isLeft = load.type === 'point' && (x.at < load.at || (x.at === load.at && x.side < 0));
      const { formula, value } =
        load.type === 'along'
          ? ALONG[effect](load.w, x.at, L, this.EI, n, x.symbol)
          : POINT[effect](load.force, load.at, x.at, L, this.EI, n, x.symbol, isLeft);
      const own = load.type === 'along' ? { [`w_${n}`]: load.w } : { [`P_${n}`]: load.force, [`a_${n}`]: load.at, [`b_${n}`]: L - load.at };
      const all: Record<string, number> = { ...own, L, [x.symbol]: x.at, [right(x.symbol)]: L - x.at, EI: this.EI };
      const inputs = Object.fromEntries(Object.entries(all).filter(([name]) => new RegExp(`\\b${name}\\b`).test(formula)));
      this.sheet.step(`${symbol}_${n}`, formula, inputs, value, kind, 'statics', `${effect}, unfactored`);
      written[`${symbol}_${n}`] = value;
    }
    return written;
  }
}
