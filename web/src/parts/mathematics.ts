import { browserAdaptor } from 'mathjax-full/js/adaptors/browserAdaptor.js';
import { RegisterHTMLHandler } from 'mathjax-full/js/handlers/html.js';
import { TeX } from 'mathjax-full/js/input/tex.js';
import { mathjax } from 'mathjax-full/js/mathjax.js';
import { SVG } from 'mathjax-full/js/output/svg.js';
import { formulaToTex, symbolToTex } from '@plinth/core/typeset';

/** Loaded only with a sheet. */
const adaptor = browserAdaptor();
RegisterHTMLHandler(adaptor);
const page = mathjax.document('', { InputJax: new TeX({ packages: ['base'] }), OutputJax: new SVG({ fontCache: 'none' }) });
const cache = new Map<string, string>();

function typeset(tex: string): string {
  const found = cache.get(tex);
  if (found !== undefined) return found;
  // the words of the formula stand on what holds it
  const html = adaptor.innerHTML(page.convert(tex, { display: false }) as HTMLElement).replace('role=\"img\"', 'aria-hidden=\"true\"');
  cache.set(tex, html);
  return html;
}

export const setStep = (symbol: string, formula: string) => typeset(`${symbolToTex(symbol)} = ${formulaToTex(formula)}`);
export const setSymbol = (symbol: string) => typeset(symbolToTex(symbol));
export const setCondition = (condition: string) => typeset(formulaToTex(condition));
