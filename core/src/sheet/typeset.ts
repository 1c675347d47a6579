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

const RELATION: Record<string, string> = { '<=': '\\leq', '>=': '\\geq', '<': '<', '>': '>', '==': '=' };

interface Node {
  readonly type: string;
  readonly name?: string;
  readonly value?: number;
  readonly op?: string;
  readonly fn?: { readonly name: string };
  readonly args?: readonly MathNode[];
  readonly content?: MathNode;
}

/**
 * Parentheses are kept as they are written, but for those that a fraction bar, a root or a raised exponent replaces: what is
 * read from the page must be what is computed.
 */
function handler(node: MathNode, options: object): string | undefined {
  const inner = (child: MathNode) => child.toTex(options);
  const bare = (child: MathNode) => {
    const { type, content } = child as unknown as Node;
    return inner(type === 'ParenthesisNode' ? content! : child);
  };
  const { type, name, value, op, fn, args = [], content } = node as unknown as Node;
  if (type === 'SymbolNode') return symbolToTex(name!);
  if (type === 'ConstantNode') return String(value);
  if (type === 'ParenthesisNode') return `\\left(${inner(content!)}\\right)`;
  if (type === 'FunctionNode') {
    const list = args.map(bare);
    if (fn!.name === 'sqrt') return `\\sqrt{${list[0]}}`;
    if (fn!.name === 'abs') return `\\left|${list[0]}\\right|`;
    return `\\${fn!.name}\\left(${list.join(',\\; ')}\\right)`;
  }
  if (type === 'OperatorNode' && args.length === 2) {
    const [left, right] = args as [MathNode, MathNode];
    if (op === '/') return `\\frac{${bare(left)}}{${bare(right)}}`;
    if (op === '^') {
      // a power of a power or of a function stands in brackets of its own
      const base =
        (left as unknown as Node).type === 'SymbolNode' ||
        (left as unknown as Node).type === 'ConstantNode' ||
        (left as unknown as Node).type === 'ParenthesisNode'
          ? inner(left)
          : `\\left(${inner(left)}\\right)`;
      return `{${base}}^{${bare(right)}}`;
    }
    // a space of their own: a letter that follows would become part of the command
    if (op && op in RELATION) return `${inner(left)} ${RELATION[op]} ${inner(right)}`;
    if (op === '*') return `${inner(left)}\\,${/^[\d.]/.test(right.toString()) ? '\\cdot ' : ''}${inner(right)}`;
  }
  return undefined;
}

/** A formula or condition of a sheet as TeX. @throws when the formula cannot be read */
export function formulaToTex(formula: string): string {
  return parse(formula).toTex({ parenthesis: 'keep', handler });
}
