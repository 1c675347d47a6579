import type { BeamModel, LoadPart } from '../analysis';
import type { Effect } from '../beam';
import type { Sheet } from '../sheet';

/** A load of a part of a simple beam for which a formula is printed: all along it, or at a point. N/mm, N, mm. */
type SimpleLoad = { readonly type: 'along'; readonly w: number } | { readonly type: 'point'; readonly at: number; readonly force: number };

/** So many loads of one part are written out; of more the sum is given. */
const WRITTEN = 6;
const NEAR = 1e-6;

/** Whether a beam spans from end to end between two supports, as one learns it first. */
export function isSimpleSpan({ beam, length }: BeamModel): boolean {
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

/**
 * What a load does at a place x, as the formula of a simply supported beam of span L. Statics; Euler-Bernoulli beam. `w`: load along; `P` at `a`. Left of a
 * point load, or right of it, another formula holds: `isLeft` says which.
 */
const FORMULAS: Readonly<
  Record<Effect, (w: string, P: string, a: string, x: string, isLeft: boolean) => { along: string; point: string }>
> = {
  moment: (w, P, a, x, isLeft) => ({
    along: `${w} * ${x} * (L - ${x}) / 2`,
    point: isLeft ? `${P} * (L - ${a}) * ${x} / L` : `${P} * ${a} * (L - ${x}) / L`,
  }),
  shear: (w, P, a, x, isLeft) => ({
    along: `${w} * (L / 2 - ${x})`,
    point: isLeft ? `${P} * (L - ${a}) / L` : `-${P} * ${a} / L`,
  }),
  deflection: (w, P, a, x, isLeft) => ({
    along: `${w} * ${x} * (L^3 - 2 * L * ${x}^2 + ${x}^3) / (24 * EI)`,
    point: isLeft
      ? `${P} * (L - ${a}) * ${x} * (L^2 - (L - ${a})^2 - ${x}^2) / (6 * L * EI)`
      : `${P} * ${a} * (L - ${x}) * (L^2 - ${a}^2 - (L - ${x})^2) / (6 * L * EI)`,
  }),
};

/** Writes the parts of an effect of a simple beam as formulas of their loads. Every load is given once, with a number of its own. */
export class SimpleSpanSheet {
  private count = 0;
  private readonly names = new Map<LoadPart, readonly { readonly load: SimpleLoad; readonly n: number }[] | null>();

  /** @param model a simple span @param EI given as `EI` where deflection is asked for */
  constructor(
    private readonly model: BeamModel,
    private readonly sheet: Sheet,
    private readonly EI: number,
  ) {
    sheet.given('L', model.length, 'length', 'span');
  }

  private given(part: LoadPart, title: string): readonly { readonly load: SimpleLoad; readonly n: number }[] | null {
    const known = this.names.get(part);
    if (known !== undefined) return known;
    const loads = simpleLoads(part, this.model.length);
    const found =
      loads?.map((load) => {
        this.count += 1;
        const n = this.count;
        if (load.type === 'along') this.sheet.given(`w_${n}`, load.w, 'lineLoad', `${title}, all along`, 'takedown');
        else {
          this.sheet.given(`P_${n}`, load.force, 'force', `${title}, at a point`, 'takedown');
          this.sheet.given(`a_${n}`, load.at, 'length', `where P_${n} stands, from the start`);
        }
        return { load, n };
      }) ?? null;
    this.names.set(part, found);
    return found;
  }

  /**
   * Writes what a part does at a place. @returns false where no formula is written for its loads
   * @param load what the part is @param x symbol of the place, given before, and its value, mm
   * @param value what the part does there, by the solution of the beam
   */
  write(
    part: LoadPart,
    load: string,
    effect: Effect,
    symbol: string,
    x: { readonly symbol: string; readonly at: number; readonly side: -1 | 1 },
    value: number,
  ): boolean {
    const loads = this.given(part, load);
    if (!loads || loads.length === 0) return false;
    const inputs: Record<string, number> = { L: this.model.length, [x.symbol]: x.at };
    if (effect === 'deflection') inputs['EI'] = this.EI;
    const terms = loads.map(({ load: one, n }) => {
      if (one.type === 'along') {
        inputs[`w_${n}`] = one.w;
        return FORMULAS[effect](`w_${n}`, '', '', x.symbol, true).along;
      }
      inputs[`P_${n}`] = one.force;
      inputs[`a_${n}`] = one.at;
      const isLeft = x.at < one.at || (x.at === one.at && x.side < 0);
      return FORMULAS[effect]('', `P_${n}`, `a_${n}`, x.symbol, isLeft).point;
    });
    const kind = effect === 'moment' ? 'moment' : effect === 'shear' ? 'force' : 'sectionLength';
    // a formula that needs no number that another one needs is not told of it
    const used = Object.fromEntries(
      Object.entries(inputs).filter(([name]) => terms.some((term) => new RegExp(`\\b${name}\\b`).test(term))),
    );
    this.sheet.step(symbol, terms.join(' + ').replaceAll('+ -', '- '), used, value, kind, 'statics', `${effect} of ${load}, unfactored`);
    return true;
  }
}
