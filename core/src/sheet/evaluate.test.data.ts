import { all, create } from 'mathjs';
import type { Evaluate } from './audit';

// comparisons of branches, min and max are meant exactly
const math = create(all, { relTol: 1e-15, absTol: 0 });
const compiled = new Map<string, { evaluate: (scope: object) => unknown }>();
/** Only the symbols given are known, beside pi; a formula that uses another fails. */
export const evaluate: Evaluate = (formula, symbols) => {
  const code = compiled.get(formula) ?? math.parse(formula).compile();
  compiled.set(formula, code);
  for (const node of math.parse(formula).filter((n) => n.type === 'SymbolNode')) {
    const { name } = node as unknown as { name: string };
    if (!(name in symbols) && !['pi', 'sqrt', 'min', 'max', 'abs', 'cos'].includes(name))
      throw new Error(`${name} is not an input of the step`);
  }
  return code.evaluate({ ...symbols }) as number | boolean;
};
