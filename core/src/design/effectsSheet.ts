import type { BeamModel, Loading } from '../analysis';
import type { BeamSolution, Extreme } from '../beam';
import { actingName } from '../load';
import { formatQuantity, type UnitSystem } from '../quantity';
import type { Sheet } from '../sheet';

/**
 * The largest moment and shear of a beam under a loading, each from what every part of the load does there by itself with its factor: in linear analysis
 * the sum of the parts.
 */
export function recordEffects(model: BeamModel, loading: Loading, solution: BeamSolution, units: UnitSystem, sheet: Sheet): void {
  const scope = sheet.scope('Largest moment and shear');
  const { combination, present } = loading;
  const there = model.parts.flatMap((part, i) => {
    const factor = combination.factors[part.loadCase.id] ?? 0;
    return factor === 0 || (!part.isPermanent && !present[i]) ? [] : [{ ...part, i, factor }];
  });
  there.forEach(({ loadCase, sense, span, presses, factor }, n) => {
    const where = `${span !== null && model.spans.length > 1 ? ` on span ${span + 1}` : ''}${presses ? '' : ', what relieves'}`;
    scope.given(`gamma_${n + 1}`, factor, 'ratio', `factor of load ${n + 1}: ${actingName(loadCase, sense)}${where}`, combination.clause);
  });
  for (const [effect, symbol] of [
    ['moment', 'M'],
    ['shear', 'V'],
  ] as const) {
    const { max, min } = solution.extremes(effect);
    const { at, value }: Extreme = Math.abs(max.value) >= Math.abs(min.value) ? max : min;
    const near = (side: -1 | 1) => Math.abs(solution.at(effect, at, side) - value);
    const alone = model.partsAt(effect, at, near(-1) <= near(1) ? -1 : 1);
    const kind = effect === 'moment' ? 'moment' : 'force';
    const place = formatQuantity(at, 'length', units);
    const inputs: Record<string, number> = {};
    const terms: string[] = [];
    let sum = 0;
    there.forEach(({ i, factor }, n) => {
      const part = alone[i]!;
      if (part === 0) return;
      const [name, gamma] = [`${symbol}_${n + 1}`, `gamma_${n + 1}`];
      scope.given(name, part, kind, `of load ${n + 1} at ${place}, unfactored`, 'beam solution');
      Object.assign(inputs, { [name]: part, [gamma]: factor });
      terms.push(`${gamma} * ${name}`);
      sum += factor * part;
    });
    if (terms.length > 0) scope.step(symbol, terms.join(' + '), inputs, sum, kind, 'statics', `largest ${effect}, at ${place}`);
  }
}
