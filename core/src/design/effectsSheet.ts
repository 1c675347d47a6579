import type { BeamModel, Loading } from '../analysis';
import type { BeamSolution, Extreme } from '../beam';
import { caseFromId, caseLabel } from '../load';
import { formatQuantity, type UnitSystem } from '../quantity';
import type { Sheet } from '../sheet';

/**
 * The largest moment and shear of a beam under a loading, each from what every part of the load does there by itself with its factor: in linear analysis
 * the sum of the parts.
 */
export function recordEffects(model: BeamModel, loading: Loading, solution: BeamSolution, units: UnitSystem, sheet: Sheet): void {
  const scope = sheet.scope('Largest moment and shear');
  const { combination, present } = loading;
  for (const [effect, symbol] of [
    ['moment', 'M'],
    ['shear', 'V'],
  ] as const) {
    const { max, min } = solution.extremes(effect);
    const { at, value }: Extreme = Math.abs(max.value) >= Math.abs(min.value) ? max : min;
    const near = (side: -1 | 1) => Math.abs(solution.at(effect, at, side) - value);
    const side = near(-1) <= near(1) ? -1 : 1;
    const alone = model.partsAt(effect, at, side);
    const kind = effect === 'moment' ? 'moment' : 'force';
    const place = formatQuantity(at, 'length', units);
    const inputs: Record<string, number> = {};
    const terms: string[] = [];
    let sum = 0;
    model.parts.forEach(({ caseId, isPermanent, span, presses }, i) => {
      const factor = combination.factors[caseId] ?? 0;
      const part = alone[i]!;
      if (factor === 0 || part === 0 || (!isPermanent && !present[i])) return;
      const n = terms.length + 1;
      const where = `${span !== null && model.spans.length > 1 ? ` on span ${span + 1}` : ''}${presses ? '' : ', what relieves'}`;
      const [name, gamma] = [`${symbol}_${n}`, `gamma_${symbol}${n}`];
      scope.given(name, part, kind, `${caseLabel(caseFromId(caseId))}${where}, unfactored, at ${place}`, 'beam solution');
      scope.given(gamma, factor, 'ratio', 'its factor', combination.clause);
      Object.assign(inputs, { [name]: part, [gamma]: factor });
      terms.push(`${gamma} * ${name}`);
      sum += factor * part;
    });
    if (terms.length > 0) scope.step(symbol, terms.join(' + '), inputs, sum, kind, 'statics', `largest ${effect}, at ${place}`);
  }
}
