import type { Check } from '../sheet';
import { findTool, runTool } from '../tool';

/** The checks of a family's tool for any member. */
export function checksOf(family: string, input: object): readonly Check[] {
  return runTool(findTool(`${family}.steel.member`), input).checks;
}

/** What a check is measured by: its capacity, or its demand where that is a sum of ratios. */
export function measured(checks: readonly Check[], name: string): number {
  const check = checks.find((candidate) => candidate.name === name);
  if (!check) throw new Error(`no check "${name}" among ${checks.map((c) => `${c.name} (${c.verdict})`).join(', ')}`);
  return (check.kind === 'ratio' ? check.demand : check.capacity) ?? Number.NaN;
}
