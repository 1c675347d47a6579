import { checkKey, isCheck, type Check } from '../sheet';
import { findTool, runTool } from '../tool';

const FIRST: Readonly<Record<string, string>> = { european: '6.10', recommended: '6.10', american: 'LRFD', british: 'BS5950' };

/** Input of a family's tool with what the tables of values leave out: the usual method, and moments given over the length that buckles. */
export function completed(family: string, input: object): object {
  const { lengthY = 0, lengthZ = 0, lengthT = 0, unbraced = 0 } = input as Record<string, number>;
  return { philosophy: FIRST[family], length: unbraced || Math.max(lengthY, lengthZ, lengthT), ...input };
}

/** The checks of a family's tool for any member. */
export function checksOf(family: string, input: object): readonly Check[] {
  return runTool(findTool(`${family}.steel.member`), completed(family, input)).checks;
}

/** What a check is measured by: its capacity, or its demand where that is a sum of ratios. */
export function measured(checks: readonly Check[], name: string): number {
  const check = checks.find(isCheck(name));
  if (!check) throw new Error(`no check "${name}" among ${checks.map((c) => `${checkKey(c)} (${c.verdict})`).join(', ')}`);
  return (check.kind === 'ratio' ? check.demand : check.capacity) ?? Number.NaN;
}
