import { DISPLAY, formatNumber, formatQuantity, type Kind, type UnitSystem } from '../quantity';
import type { Entry } from './sheet';

/** What a formula's symbols stand for, so that numbers can be put in their place with units. */
export type SymbolKinds = ReadonlyMap<string, Kind>;

/** Kinds of all symbols that a list of entries declares, on top of those around it. */
export function symbolKinds(entries: readonly Entry[], outer: SymbolKinds = new Map()): Map<string, Kind> {
  const kinds = new Map(outer);
  for (const entry of entries)
    if (entry.type === 'given' || entry.type === 'step' || entry.type === 'lookup') kinds.set(entry.symbol, entry.kind);
  return kinds;
}

const SUPERSCRIPT: Record<string, string> = { 2: '²', 3: '³', 4: '⁴' };

/** The formula with numbers in place of symbols, each in the reader's units: "1831 cm³ · 275 MPa / 1". */
export function substitute(formula: string, inputs: Readonly<Record<string, number>>, kinds: SymbolKinds, system: UnitSystem): string {
  return formula
    .replace(/[A-Za-z][A-Za-z0-9]*(?:_[A-Za-z0-9]+)?/g, (name, offset: number, whole: string) => {
      const value = inputs[name];
      if (value === undefined) return name === 'pi' ? 'π' : name === 'sqrt' ? '√' : name;
      const kind = kinds.get(name) ?? 'ratio';
      const text = kind === 'ratio' ? formatNumber(value, 4) : formatQuantity(value, kind, system);
      const squared = /^\s*\^/.test(whole.slice(offset + name.length));
      const fenced = (squared && DISPLAY[system][kind].label) || value < 0;
      return fenced ? `(${text})` : text;
    })
    .replace(/\^([234])(?![\d.])/g, (_, power: string) => SUPERSCRIPT[power]!)
    .replace(/\s*\*\s*/g, ' · ')
    .replace(/<=/g, '≤')
    .replace(/>=/g, '≥')
    .replace(/ - /g, ' − ');
}

/**
 * A part of a sheet that only sums shares of what lands (R = k_1 * W_1 + ...) as one line: share, whole and what it is.
 * Null for any other part.
 */
export function sharesInOneLine(entries: readonly Entry[], system: UnitSystem): { readonly terms: string; readonly result: string } | null {
  const last = entries.at(-1);
  if (last?.type !== 'step' || last.symbol !== 'R') return null;
  const terms: string[] = [];
  for (let i = 0; i + 1 < entries.length - 1; i += 2) {
    const [whole, share] = [entries[i]!, entries[i + 1]!];
    if (whole.type !== 'given' || share.type !== 'given' || !/^W_\d+$/.test(whole.symbol) || !/^k_\d+$/.test(share.symbol)) return null;
    terms.push(`${formatNumber(share.value, 4)} · ${formatQuantity(whole.value, 'force', system)} (${whole.meaning})`);
  }
  return { terms: terms.join(' + '), result: formatQuantity(last.value, 'force', system) };
}
