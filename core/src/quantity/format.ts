import type { Kind, UnitSystem } from './kind';
import { DISPLAY } from './unit';

export interface FormatOptions {
  /** Significant figures at most; 4 unless said otherwise. */
  readonly figures?: number;
  /** Leave the unit out (it stands in the column's header). */
  readonly bare?: boolean;
}

/** A number rounded to significant figures and to at most `decimals`, grouped by thin spaces; never "-0", never "NaN". */
export function formatNumber(value: number, figures = 4, decimals = 6): string {
  if (!Number.isFinite(value)) return '—';
  if (value === 0) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(value)));
  const places = Math.max(0, Math.min(decimals, figures - 1 - magnitude));
  const text = Math.abs(value).toFixed(places);
  if (Number(text) === 0) return '0';
  const [whole, fraction] = text.split('.');
  const grouped = whole!.replace(/\B(?=(\d{3})+$)/g, '\u2009');
  return (value < 0 ? '\u2212' : '') + grouped + (fraction ? `.${fraction}` : '');
}

/** Shows a core value (N, mm, MPa, kg) in the units of the system, with its unit unless `bare`. */
export function formatQuantity(value: number, kind: Kind, system: UnitSystem, options: FormatOptions = {}): string {
  const unit = DISPLAY[system][kind];
  const text = formatNumber(value / unit.factor, options.figures ?? 4, unit.decimals);
  return options.bare || !unit.label ? text : `${text} ${unit.label}`;
}

/** The unit label of a kind in a system, for headers; empty for plain numbers. */
export function unitLabel(kind: Kind, system: UnitSystem): string {
  return DISPLAY[system][kind].label;
}

/** The text an input field echoes: full enough to be typed back without changing the value noticeably. */
export function echoQuantity(value: number, kind: Kind, system: UnitSystem): string {
  const shown = value / DISPLAY[system][kind].factor;
  return String(Number(shown.toPrecision(7)));
}
