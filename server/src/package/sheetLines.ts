import type { Content } from 'pdfmake/interfaces';
import {
  formatNumber,
  formatQuantity,
  sharesInOneLine,
  substitute,
  symbolKinds,
  type Check,
  type Entry,
  type Kind,
  type SymbolKinds,
} from '@plinth/core';
import { typesetStep } from './mathematics';

/** A verdict with its utilisation. */
export const word = (check: Check) => (check.utilisation === null ? check.verdict : `${check.utilisation.toFixed(2)}  ${check.verdict}`);

const LETTERS: Record<string, string> = {
  alpha: 'α',
  beta: 'β',
  gamma: 'γ',
  delta: 'δ',
  epsilon: 'ε',
  eta: 'η',
  theta: 'θ',
  lambda: 'λ',
  mu: 'μ',
  nu: 'ν',
  rho: 'ρ',
  sigma: 'σ',
  phi: 'φ',
  chi: 'χ',
  psi: 'ψ',
  Phi: 'Φ',
  Omega: 'Ω',
};

/** A symbol alone as text with its subscript: lighter than mathematics where there is no formula. */
function symbolText(symbol: string): Content[] {
  const [head, sub] = symbol.split('_', 2) as [string, string | undefined];
  return [
    { text: LETTERS[head] ?? head, italics: true },
    ...(sub ? [{ text: sub, sub: { offset: '20%', fontSize: 7 } } as unknown as Content] : []),
  ];
}

/** A formula without fractions, roots and powers reads the same in a line of text; null when it needs to be set. */
function inlineFormula(formula: string): Content[] | null {
  const ratio = /^abs\((\w+)\) \/ (\w+)$/.exec(formula);
  if (ratio) return ['|', ...symbolText(ratio[1]!), '| / ', ...symbolText(ratio[2]!)];
  return /^[\w\s*+.()-]+$/.test(formula) && !/[a-z]\(/.test(formula) ? conditionText(formula) : null;
}

/** A condition, or a formula, in a line of text with its symbols and signs. */
function conditionText(text: string): Content[] {
  return text
    .split(/([A-Za-z]\w*)/)
    .filter(Boolean)
    .flatMap((part) =>
      /^[A-Za-z]/.test(part)
        ? part === 'sqrt'
          ? ['√']
          : part === 'abs'
            ? ['']
            : symbolText(part)
        : [part.replaceAll('<=', '≤').replaceAll(' * ', ' · ').replaceAll(' - ', ' − ')],
    );
}

/** A sheet's entries as lines: symbol and formula as mathematics, numbers with units, result, clause in the margin. */
export function sheetLines(entries: readonly Entry[], units: 'SI' | 'US', outer: SymbolKinds, depth = 0): Content[] {
  const kinds = symbolKinds(entries, outer);
  const lines: Content[] = [];
  const row = (left: Content, clause: string): Content =>
    ({
      columns: [
        { width: '*', stack: [left] },
        { width: 118, text: clause, style: 'clause' },
      ],
      columnGap: 8,
      margin: [depth * 10, 1, 0, 1],
    }) as unknown as Content;
  const value = (number: number, kind: Kind) => (kind === 'ratio' ? formatNumber(number, 4) : formatQuantity(number, kind, units));
  for (const entry of entries) {
    switch (entry.type) {
      case 'scope': {
        const shares = sharesInOneLine(entry.entries, units);
        if (shares) {
          lines.push(
            row({ text: [{ text: `${entry.title}: `, bold: true }, `${shares.terms} = `, { text: shares.result, bold: true }] }, 'statics'),
          );
          break;
        }
        lines.push(
          { text: entry.title, style: 'scope', margin: [depth * 10, 5, 0, 1] },
          ...sheetLines(entry.entries, units, kinds, depth + 1),
        );
        break;
      }
      case 'given':
      case 'lookup': {
        const text = entry.type === 'given' ? entry.meaning : `${entry.table}, ${entry.row}`;
        lines.push(
          row(
            {
              text: [
                ...symbolText(entry.symbol),
                { text: ` = ${value(entry.value, entry.kind)}   `, bold: true },
                { text, color: '#63666b' },
              ],
            },
            entry.type === 'given' ? (entry.source ?? '') : entry.clause,
          ),
        );
        break;
      }
      case 'step': {
        const numbers = substitute(entry.formula, entry.inputs, kinds, units);
        const shown = value(entry.value, entry.kind);
        const result: Content[] = [
          { text: numbers === shown ? '= ' : `= ${numbers} = ` },
          { text: shown, bold: true },
          entry.meaning ? { text: `   ${entry.meaning}`, color: '#63666b' } : '',
        ];
        const inline = inlineFormula(entry.formula);
        if (inline) {
          lines.push(row({ text: [...symbolText(entry.symbol), ' = ', ...inline, '  ', ...result] }, entry.clause));
          break;
        }
        const { svg, width, height } = typesetStep(entry.symbol, entry.formula);
        const fits = Math.min(1, 330 / width);
        const stack: Content[] = [{ svg, width: width * fits, height: height * fits }, { text: result }];
        lines.push(row({ stack }, entry.clause));
        break;
      }
      case 'branch': {
        lines.push(
          row(
            { text: [...conditionText(entry.condition), `   ${entry.holds ? 'holds' : 'does not hold'}: ${entry.consequence}`] },
            entry.clause,
          ),
        );
        break;
      }
      case 'assumption':
        lines.push({
          text: [{ text: 'Assumed: ', bold: true, color: '#a3431f' }, entry.text, ' ', { text: entry.reason, color: '#63666b' }],
          margin: [depth * 10, 1, 0, 1],
        });
        break;
      case 'verdict':
        lines.push({
          text: [
            { text: `${entry.check.name}: `, bold: true },
            { text: word(entry.check), bold: true },
            entry.check.reason ? `  (${entry.check.reason})` : '',
          ],
          margin: [depth * 10, 2, 0, 3],
        });
        break;
      case 'conclusion':
        lines.push({ text: entry.text, bold: true, margin: [depth * 10, 3, 0, 4] });
        break;
      case 'note':
        lines.push({ text: entry.text, italics: true, color: '#63666b', margin: [depth * 10, 1, 0, 1] });
        break;
    }
  }
  return lines;
}
