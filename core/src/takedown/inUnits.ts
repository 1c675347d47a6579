import { formatQuantity, type UnitSystem } from '../quantity';
import type { LooseEnd } from './ledger';

/** Kinds of quantities that loose ends speak of. */
type Written = 'length' | 'sectionLength' | 'floorArea' | 'force' | 'lineLoad';

/**
 * A quantity in the text of a loose end, until it is known in which units the project is written: what is found on a level is kept when they change.
 * @param value mm, mm2, N, or N/mm
 */
export const quantityIn = (value: number, kind: Written): string => `{{${kind} ${value}}}`;

export const lengthIn = (mm: number): string => quantityIn(mm, 'length');

const QUANTITY = /\{\{(length|sectionLength|floorArea|force|lineLoad) (-?[\d.]+(?:e[+-]?\d+)?)\}\}/g;

/** Decimals of SI units: places are named to the centimetre, gaps to the millimetre. */
const METRIC: Readonly<Record<Written, (value: number) => string>> = {
  length: (mm) => `${(mm / 1000).toFixed(2)} m`,
  sectionLength: (mm) => `${Math.round(mm)} mm`,
  floorArea: (mm2) => `${(mm2 / 1e6).toFixed(2)} m²`,
  force: (newtons) => `${(newtons / 1000).toFixed(2)} kN`,
  lineLoad: (load) => `${load.toFixed(1)} kN/m`,
};

/** A quantity in a sentence: fewer figures than in a calculation. */
export const quantitySaid = (value: number, kind: Written, units: UnitSystem): string =>
  units === 'SI' ? METRIC[kind](value) : formatQuantity(value, kind, units);

/** A text with its quantities in the units of a project. */
export function textInUnits(text: string, units: UnitSystem): string {
  if (!text.includes('{{')) return text;
  return text.replace(QUANTITY, (_, kind: Written, value: string) => quantitySaid(Number(value), kind, units));
}

/** A loose end with its quantities in the units of a project. */
export function endInUnits(end: LooseEnd, units: UnitSystem): LooseEnd {
  const [title, why, remedy] = [end.title, end.why, end.remedy].map((text) => textInUnits(text, units)) as [string, string, string];
  return title === end.title && why === end.why && remedy === end.remedy ? end : { ...end, title, why, remedy };
}
