import { liteAdaptor } from 'mathjax-full/js/adaptors/liteAdaptor.js';
import { RegisterHTMLHandler } from 'mathjax-full/js/handlers/html.js';
import { TeX } from 'mathjax-full/js/input/tex.js';
import { mathjax } from 'mathjax-full/js/mathjax.js';
import { SVG } from 'mathjax-full/js/output/svg.js';
import { formulaToTex, symbolToTex } from '@plinth/core/typeset';

const adaptor = liteAdaptor();
RegisterHTMLHandler(adaptor);
const document = mathjax.document('', { InputJax: new TeX({ packages: ['base'] }), OutputJax: new SVG({ fontCache: 'none' }) });
const cache = new Map<string, TypesetMath>();

export interface TypesetMath {
  readonly svg: string;
  /** In points. */
  readonly width: number;
  readonly height: number;
}

const EX = 4.6;

function typeset(tex: string): TypesetMath {
  const found = cache.get(tex);
  if (found) return found;
  const container = document.convert(tex, { display: false }) as never;
  const svg = adaptor.innerHTML(container).replaceAll('currentColor', '#23262b');
  const ex = (name: string) => Number(new RegExp(`${name}="([\\d.]+)ex"`).exec(svg)?.[1] ?? 10) * EX;
  const result = { svg, width: ex('width'), height: ex('height') };
  cache.set(tex, result);
  return result;
}

/** "symbol = formula" as SVG for paper. */
export function typesetStep(symbol: string, formula: string): TypesetMath {
  return typeset(`${symbolToTex(symbol)} = ${formulaToTex(formula)}`);
}
