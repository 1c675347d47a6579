import type { Entry } from './sheet';

/** Evaluates a printed formula with the symbols given, and with no others. */
export type Evaluate = (formula: string, symbols: Record<string, number>) => number | boolean;

const close = (a: number, b: number) => a === b || Math.abs(a - b) <= 1e-9 * Math.max(Math.abs(a), Math.abs(b), 1e-12);

/**
 * Re-evaluates the printed chain from its givens and look-ups alone and reports every place where the sheet would lie:
 * a symbol that nothing above it declares, an input that differs from what stands above, a result or a branch that its
 * printed formula does not give, a utilisation that is not the last step. An empty list is the proof.
 */
export function audit(entries: readonly Entry[], evaluate: Evaluate, outer: ReadonlyMap<string, number> = new Map(), where = ''): string[] {
  const faults: string[] = [];
  const known = new Map(outer);
  const inputsOf = (inputs: Readonly<Record<string, number>>, place: string) => {
    const values: Record<string, number> = {};
    for (const [symbol, shown] of Object.entries(inputs)) {
      const value = known.get(symbol);
      if (value === undefined) faults.push(`${place}: ${symbol} is used but nothing above declares it`);
      else if (!close(value, shown)) faults.push(`${place}: ${symbol} is used as ${shown} but stands above as ${value}`);
      values[symbol] = value ?? shown;
    }
    return values;
  };
  const tryEvaluate = (formula: string, symbols: Record<string, number>, place: string) => {
    try {
      return evaluate(formula, symbols);
    } catch (error) {
      faults.push(`${place}: "${formula}" cannot be evaluated: ${(error as Error).message}`);
      return undefined;
    }
  };
  let utilisation: number | undefined;
  for (const entry of entries) {
    const place = `${where}${'symbol' in entry ? entry.symbol : entry.type}`;
    switch (entry.type) {
      case 'given':
      case 'lookup':
        if (!Number.isFinite(entry.value)) faults.push(`${place}: is ${entry.value}`);
        known.set(entry.symbol, entry.value);
        break;
      case 'step': {
        const value = tryEvaluate(entry.formula, inputsOf(entry.inputs, place), place);
        if (value !== undefined && !(typeof value === 'number' && close(value, entry.value)))
          faults.push(`${place}: printed formula "${entry.formula}" gives ${value}, the sheet says ${entry.value}`);
        known.set(entry.symbol, typeof value === 'number' ? value : entry.value);
        if (entry.symbol === 'U') utilisation = entry.value;
        break;
      }
      case 'branch': {
        const holds = tryEvaluate(entry.condition, inputsOf(entry.inputs, place), place);
        if (holds !== undefined && holds !== entry.holds)
          faults.push(`${place}: "${entry.condition}" is ${holds}, the sheet says ${entry.holds}`);
        break;
      }
      case 'verdict':
        if (
          entry.check.utilisation !== null &&
          entry.check.utilisation !== 0 &&
          (utilisation === undefined || !close(utilisation, entry.check.utilisation))
        )
          faults.push(`${place} ${entry.check.name}: utilisation ${entry.check.utilisation} is not the last step U (${utilisation})`);
        break;
      case 'scope':
        faults.push(...audit(entry.entries, evaluate, known, `${where}${entry.title} / `));
        break;
      case 'assumption':
      case 'conclusion':
      case 'note':
        break;
    }
  }
  return faults;
}
