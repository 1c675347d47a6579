import type { Kind } from '../quantity';
import type { Entry, Sheet } from '../sheet';

/** Slendernesses, reductions, factors of the moment diagram, critical forces and moments: what an engineer compares first with a calculation of his own. */
const SYMBOLS: ReadonlySet<string> = new Set([
  'lambda',
  'lambda_LT',
  'lambda_0',
  'lambda_L0',
  'chi',
  'chi_LT',
  'k_c',
  'C_1',
  'C_b',
  'C_h',
  'm_LT',
  'M_cr',
  'N_cr',
  'F_e',
  'F_cr',
  'L_p',
  'L_r',
  'p_b',
  'p_c',
  'p_E',
]);

/** A value of a sheet that is asked for by itself. */
export interface Figure {
  /** Part of the sheet, such as the axis of a buckling. */
  readonly of: string;
  readonly symbol: string;
  readonly value: number;
  readonly kind: Kind;
}

/** The figures of a sheet in its order, of each part those that it works out; none without a sheet. */
export function figuresOf(sheet: Pick<Sheet, 'entries'> | undefined): Figure[] {
  const found: Figure[] = [];
  const look = (entries: readonly Entry[], of: string) => {
    for (const entry of entries) {
      if (entry.type === 'scope') look(entry.entries, of ? `${of}, ${entry.title}` : entry.title);
      else if ((entry.type === 'step' || entry.type === 'given') && SYMBOLS.has(entry.symbol))
        found.push({ of, symbol: entry.symbol, value: entry.value, kind: entry.kind });
    }
  };
  look(sheet?.entries ?? [], '');
  return found;
}
