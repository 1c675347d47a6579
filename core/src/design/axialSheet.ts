import { actingName, actingTerms, isPermanent, type Combination } from '../load';
import { formatQuantity, type UnitSystem } from '../quantity';
import type { Sheet } from '../sheet';
import type { ByCase } from '../takedown';

/**
 * The largest axial force on a pad under a combination, from the force of each case with its factor, recorded as N. Of a variable case what presses counts,
 * and both ends of its range are told.
 * @param sums net values by case, and what presses without what relieves, N
 */
export function recordAxial(
  { sum, adverse }: { readonly sum: ByCase; readonly adverse: ByCase },
  combination: Combination,
  units: UnitSystem,
  sheet?: Sheet,
): void {
  if (!sheet) return;
  const say = (value: number) => formatQuantity(value, 'force', units);
  const terms = actingTerms(sum, adverse, combination, 'pressing').map(({ loadCase, sense: turned, factor, value }) => {
    const [net, presses] = [turned * sum[loadCase.id]!, turned > 0 ? adverse[loadCase.id]! : adverse[loadCase.id]! - sum[loadCase.id]!];
    const name = actingName(loadCase, turned);
    const relieves = net - presses;
    const isNet = isPermanent(loadCase.nature) || Math.abs(relieves) <= 1e-9 * Math.abs(presses);
    return { factor, value, text: isNet ? name : `${name}: from ${say(relieves)} to ${say(presses)} by where it lies` };
  });
  recordTerms(terms, combination, sheet.scope('Axial force'));
}

/** One unfactored axial force, its factor, and what it is. */
export interface AxialTerm {
  readonly factor: number;
  readonly value: number;
  readonly text: string;
}

/** An axial force N as the sum of terms. */
export function recordTerms(terms: readonly AxialTerm[], { clause, name }: Combination, scope: Sheet): void {
  if (terms.length === 0) return;
  const inputs: Record<string, number> = {};
  terms.forEach(({ factor, value, text }, i) => {
    scope.given(`N_${i + 1}`, value, 'force', text, 'takedown');
    scope.given(`gamma_${i + 1}`, factor, 'ratio', 'its factor', clause);
    Object.assign(inputs, { [`N_${i + 1}`]: value, [`gamma_${i + 1}`]: factor });
  });
  scope.step(
    'N',
    terms.map((_, i) => `gamma_${i + 1} * N_${i + 1}`).join(' + '),
    inputs,
    terms.reduce((total, { factor, value }) => total + factor * value, 0),
    'force',
    name,
  );
}
