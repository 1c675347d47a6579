import type { BeamModel, Loading } from '../analysis';
import type { BeamSolution, Effect, Extreme } from '../beam';
import { actingName } from '../load';
import type { UnitSystem } from '../quantity';
import { formatQuantity } from '../quantity';
import type { Sheet } from '../sheet';
import { recordOrdinates } from './ordinates';
import { isSimpleSpan, isWrittenOut, SimpleSpanSheet } from './simpleSpan';

const SYMBOLS = { moment: 'M', shear: 'V', deflection: 'd' } as const;

/** Loads of a beam that act in a loading, each with its factor. */
export function acting(model: BeamModel, loading: Loading) {
  return model.partsUnder(loading).map(({ part, i, factor }) => {
    const where = `${part.span !== null && model.spans.length > 1 ? ` on span ${part.span + 1}` : ''}${part.presses ? '' : ', what relieves'}`;
    const { arrival } = part.loads[0]!;
    if (arrival.source.type === 'settlement') return { part, i, factor, title: arrival.label };
    return { part, i, factor, title: `${actingName(part.loadCase, part.sense)}${where}` };
  });
}

/**
 * Effects of a beam at places, each from what every part of the load does there by itself with its factor: in linear analysis the sum of the parts. On a
 * simple span each part is a formula of its loads; elsewhere it is given by the solution of the beam.
 */
function recordSums(
  model: BeamModel,
  loading: Loading,
  effects: readonly { readonly effect: Effect; readonly at: number; readonly side: -1 | 1; readonly title: string }[],
  EI: number,
  sheet: Sheet,
): void {
  const there = acting(model, loading);
  there.forEach(({ factor, title }, n) =>
    sheet.given(`gamma_${n + 1}`, factor, 'ratio', `factor of load ${n + 1}: ${title}`, loading.combination.clause),
  );
  const formulas = isSimpleSpan(model) ? new SimpleSpanSheet(model, sheet, EI) : null;
  for (const { effect, at, side, title } of effects) {
    const alone = model.partsAt(effect, at, side);
    const kind = effect === 'moment' ? 'moment' : effect === 'shear' ? 'force' : 'sectionLength';
    const symbol = SYMBOLS[effect];
    const x = { symbol: `x_${symbol}`, at, side };
    formulas?.place(x.symbol, at, effect);
    const inputs: Record<string, number> = {};
    const terms: string[] = [];
    let sum = 0;
    there.forEach(({ part, i, factor, title: load }, n) => {
      const value = alone[i]!;
      if (value === 0) return;
      const gamma = `gamma_${n + 1}`;
      let written = formulas?.write(part, load, effect, symbol, x) ?? null;
      if (!written) {
        const name = `${symbol}_${formulas?.next() ?? n + 1}`;
        sheet.given(name, value, kind, `of load ${n + 1} ${title}, unfactored`, 'beam solution');
        written = { [name]: value };
      }
      const names = Object.keys(written);
      Object.assign(inputs, { ...written, [gamma]: factor });
      terms.push(`${gamma} * ${names.length === 1 ? names[0]! : `(${names.join(' + ')})`}`);
      sum += factor * Object.values(written).reduce((total, one) => total + one, 0);
    });
    if (terms.length > 0) sheet.step(symbol, terms.join(' + '), inputs, sum, kind, 'statics', `${effect} ${title}`);
  }
}

/** The largest moment and shear of a beam under a loading, from its parts. */
export function recordEffects(
  model: BeamModel,
  loading: Loading,
  solution: BeamSolution,
  EI: number,
  units: UnitSystem,
  sheet: Sheet,
): void {
  const effects = (['moment', 'shear'] as const).map((effect) => {
    const { max, min } = solution.extremes(effect);
    const { at, value }: Extreme = Math.abs(max.value) >= Math.abs(min.value) ? max : min;
    const near = (side: -1 | 1) => Math.abs(solution.at(effect, at, side) - value);
    return { effect, at, side: near(-1) <= near(1) ? (-1 as const) : (1 as const), title: `at ${formatQuantity(at, 'length', units)}` };
  });
  recordSums(model, loading, effects, EI, sheet.scope('Largest moment and shear'));
  const simple = isSimpleSpan(model) && acting(model, loading).every(({ part }) => isWrittenOut(part, model.length));
  if (!simple) recordOrdinates(model, loading, solution, units, sheet.scope('By statics from the factored loads'));
}

/** The deflection of a beam at a place under a loading, from its parts, recorded as d. The sheet must know EI. */
export function recordDeflection(model: BeamModel, loading: Loading, at: number, EI: number, units: UnitSystem, sheet: Sheet): void {
  recordSums(model, loading, [{ effect: 'deflection', at, side: 1, title: `at ${formatQuantity(at, 'length', units)}` }], EI, sheet);
}
