import type { Building, Column } from '../building';
import { PlinthError } from '../error';
import { combine, combinePressing } from '../load';
import { findSection, type Section } from '../section';
import { governing, Sheet, worstVerdict, type Assumption, type Check } from '../sheet';
import type { Philosophy } from '../standard';
import type { MemberLedger } from '../takedown';
import { gradeFor } from './beam';
import { type Context } from './context';
import { reducedSums, reductionAssumption, reductionOf, type MemberReduction } from './reduction';
import { mergeWorst, type MemberDesign } from './result';
import { recordTakedown } from './takedownSheet';

export function columnAssumptions(column: Column): Assumption[] {
  return [
    {
      type: 'assumption',
      key: 'effective-length',
      text: `Effective lengths are ${column.factorY} (major) and ${column.factorZ} (minor axis) times the storey height.`,
      reason: 'Both ends are taken to be held in position; in a frame that sways the lengths are greater.',
    },
    {
      type: 'assumption',
      key: 'concentric',
      text: 'Load arrives on the column’s axis.',
      reason: 'Moments from off-centre beams stand in the ladder as unproven.',
    },
  ];
}

export function storeyHeight(building: Building, column: Column): number {
  return Math.abs(building.elevation(column.top) - building.elevation(column.base));
}

/** One section tried on one column by one philosophy. */
export function checkColumn(
  context: Context,
  column: Column,
  ledger: MemberLedger,
  section: Section,
  philosophy: Philosophy,
  reduction: MemberReduction | null,
  sheet?: Sheet,
): Check[] {
  const { building, standard } = context;
  const grade = gradeFor(building, column, section);
  const height = storeyHeight(building, column);
  const input = {
    section,
    grade,
    basis: philosophy.basis,
    lengthY: column.factorY * height,
    lengthZ: column.factorZ * height,
    lengthT: height,
  };
  const worst = new Map<string, Check>();
  // pressed as hard as can be; and, where load can lift it, as little as can be
  const prepared = context.combinations(philosophy).strength.flatMap((combination) => {
    const { sum, adverse } = reducedSums(ledger, reduction, combination);
    const [most, net] = [combinePressing(sum, adverse, combination), combine(ledger.sum, combination)];
    return (net < 0 ? [most, net] : [most]).map((axial) => ({ combination, axial }));
  });
  for (const { combination, axial } of prepared)
    mergeWorst(worst, standard.steelColumn({ ...input, axial, combination: combination.name, basis: combination.basis }, philosophy));
  if (sheet) {
    const names = new Set([...worst.values()].map((check) => check.combination));
    const printed = prepared.find(({ combination }) => names.has(combination.name)) ?? prepared[0];
    if (printed)
      standard.steelColumn(
        { ...input, axial: printed.axial, combination: printed.combination.name, basis: printed.combination.basis },
        philosophy,
        sheet.scope(`${printed.combination.name} (${printed.combination.clause})`),
      );
  }
  return [...worst.values()];
}

export function designColumn(context: Context, id: string): MemberDesign {
  const { building, takedown, standard, philosophy } = context;
  const column = building.columns.get(id)!;
  const ledger = takedown.members.get(id)!;
  const reduction = reductionOf(context, id);
  const assumptions = [...columnAssumptions(column), ...(reduction ? [reductionAssumption(reduction)] : [])];
  const base = { id, kind: 'column' as const, mark: column.mark, section: column.section, assumptions, reduction };
  const nothing = (reason: string): MemberDesign => ({
    ...base,
    grade: column.grade,
    results: [],
    verdict: 'unproven',
    governing: null,
    reason,
  });
  if (column.section === null) return nothing('No section is chosen.');
  if (storeyHeight(building, column) === 0) return nothing('The column has no height: its top and base are on one level.');
  try {
    const section = findSection(column.section);
    const results = standard
      .compared(philosophy.id)
      .map((p) => ({ philosophy: p.id, title: p.title, checks: checkColumn(context, column, ledger, section, p, reduction) }));
    const { checks } = results[0]!;
    return {
      ...base,
      grade: gradeFor(building, column, section).id,
      results,
      verdict: worstVerdict(checks),
      governing: governing(checks),
      reason: null,
    };
  } catch (error) {
    if (!(error instanceof PlinthError)) throw error;
    return nothing(error.message);
  }
}

export function columnSheet(context: Context, id: string, philosophy: Philosophy = context.philosophy): Sheet {
  const { building, takedown, standard } = context;
  const column = building.columns.get(id)!;
  const ledger = takedown.members.get(id)!;
  const sheet = new Sheet();
  sheet.note(`${standard.title}. Editions: ${standard.editions.join(', ')}. By ${philosophy.title}.`);
  for (const assumption of columnAssumptions(column)) sheet.assume(assumption.key, assumption.text, assumption.reason);
  recordTakedown(building, id, ledger, sheet);
  const reduction = reductionOf(context, id, sheet);
  if (reduction) {
    const { key, text, reason } = reductionAssumption(reduction);
    sheet.assume(key, text, reason);
  }
  if (column.section === null || storeyHeight(building, column) === 0)
    sheet.note('No section is chosen, or the column has no height: nothing is checked.');
  else checkColumn(context, column, ledger, findSection(column.section), philosophy, reduction, sheet);
  sheet.note(`Not covered: ${standard.notCovered.join('; ')}.`);
  return sheet;
}
