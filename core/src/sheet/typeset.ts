import { parse, type MathNode } from 'mathjs/number';

/** Formulas of sheets as TeX. Loaded only with a sheet: it brings the reader of formulas with it. */

const GREEK = new Set([
  'alpha',
  'beta',
  'gamma',
  'delta',
  'epsilon',
  'eta',
  'theta',
  'lambda',
  'mu',
  'nu',
  'rho',
  'sigma',
  'tau',
  'phi',
  'chi',
  'psi',
  'Phi',
  'Omega',
  'Delta',
  'pi',
]);

/** `lambda_LT` becomes \lambda_{LT}; words are set upright. */
export function symbolToTex(symbol: string): string {
  const [head, sub] = symbol.split('_', 2) as [string, string | undefined];
  const base = GREEK.has(head)
    ? head === 'epsilon'
      ? '\\varepsilon'
      : `\\${head}`
    : head.length > 1 && /^[a-z]/.test(head)
      ? `\\mathrm{${head}}`
      : head;
  if (!sub) return base;
  // N_bRd reads as b,Rd: the standard's commas come back before a capital that follows small letters
  const text = sub.replace(/([a-z0-9])([A-Z])/g, '$1,$2');
  return `${base}_{\\mathrm{${text}}}`;
}

const ROOTS: Record<string, string> = { sqrt: '\\sqrt' };

function handler(node: MathNode, options: object): string | undefined {
  const inner = (child: MathNode) => child.toTex(options);
  const n = node as unknown as { type: string; name?: string; value?: number; op?: string; fn?: { name: string }; args?: MathNode[] };
  if (n.type === 'SymbolNode') return symbolToTex(n.name!);
  if (n.type === 'ConstantNode') return String(n.value);
  if (n.type === 'FunctionNode') {
    const name = n.fn!.name;
    const args = n.args!.map(inner);
    if (ROOTS[name]) return `${ROOTS[name]}{${args[0]}}`;
    if (name === 'abs') return `\\left|${args[0]}\\right|`;
    if (name === 'min' || name === 'max') return `\\${name}\\left(${args.join(',\\; ')}\\right)`;
    return `\\${name}\\left(${args.join(', ')}\\right)`;
  }
  if (n.type === 'OperatorNode' && n.op === '*') {
    const [left, right] = n.args!;
    return `${inner(left!)}\\,${/^[\d.]/.test(right!.toString()) ? '\\cdot ' : ''}${inner(right!)}`;
  }
  return undefined;
}

/** A formula or condition of a sheet as TeX. @throws when the formula cannot be read */
export function formulaToTex(formula: string): string {
  return parse(formula).toTex({ parenthesis: 'auto', handler });
}
