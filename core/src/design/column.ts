import { ColumnModel, type ColumnForces, type ColumnWeights } from '../analysis';
import type { Building, Column } from '../building';
import { PlinthError } from '../error';
import type { Combination } from '../load';
import { formatQuantity, type UnitSystem } from '../quantity';
import { findSection, isSection, type Section } from '../section';
import { governing, Sheet, worstVerdict, type Assumption, type Check } from '../sheet';
import type { Philosophy, Standard } from '../standard';
import { quantitySaid, type MemberLedger } from '../takedown';
import { ownWeightAllowance } from './spanAssumptions';
import { gradeFor } from './grade';
import { type Context } from './context';
import { loadPathChecks } from './loadPath';
import { noteRefusal } from './refusal';
import { effectiveLength, effectiveLengthWords, sways, type BucklingAxis } from './effectiveLength';
import { sideBeams } from './eccentricity';
import { neglectedOffsets } from './offAxis';
import { reductionAssumption, reductionOf, type MemberReduction } from './reduction';
import { mergeWorst, withoutSection, type MemberDesign } from './result';
import { recordColumnForces } from './columnForces';
import { recordFootForces } from './supportForces';
import { recordTakedown } from './takedownSheet';

const CONCENTRIC_ANGLE: Assumption = {
  type: 'assumption',
  key: 'concentric-angle',
  text: 'The compression acts through the centroid of the angle.',
  reason: 'An angle that is connected by one leg is not loaded so, and carries less.',
};

export function columnAssumptions(column: Column, standard: Standard, hasSideBeams: boolean, units: UnitSystem): Assumption[] {
  const bearing: Assumption =
    column.beamsBear === 'central'
      ? {
          type: 'assumption',
          key: 'concentric',
          text: 'Beams bear on the column’s axis.',
          reason: 'Chosen: no moments of beams that bear off its axis are counted.',
        }
      : {
          type: 'assumption',
          key: 'nominal-moments',
          text: `Beams that end at the column bear ${quantitySaid(standard.steel.nominalEccentricity.beyondFace, 'sectionLength', units)} off its face; lengths above and below share the moment evenly; a case of imposed load is on all floors or on none.`,
          reason: `Simple construction: connections without fixity, no sway, no pattern of loaded floors. ${standard.steel.nominalEccentricity.source}.`,
        };
  return [
    ...(hasSideBeams || column.beamsBear === 'central' ? [bearing] : []),
    {
      type: 'assumption',
      key: 'effective-length',
      text: `Effective lengths: ${effectiveLengthWords(column, 'Y', standard.id)} (major), ${effectiveLengthWords(column, 'Z', standard.id)} (minor axis).`,
      reason: sways(column)
        ? 'The ends hold what is stated against turning, and the frame stands on it when it sways.'
        : 'Both ends are taken to be held in position; in a frame that sways the lengths are greater.',
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
  const { building, takedown, standard } = context;
  const grade = gradeFor(building, column, section);
  const height = storeyHeight(building, column);
  const input = {
    section,
    grade,
    lengthY: effectiveLength(column, 'Y', height, standard.id).length,
    lengthZ: effectiveLength(column, 'Z', height, standard.id).length,
    lengthT: height,
  };
  const beams = sideBeams(building, takedown, standard, ledger.id, section);
  const model = new ColumnModel(ledger, beams, building.cases, reduction);
  const check = (forces: ColumnForces, { name, basis }: Pick<Combination, 'name' | 'basis'>, inner?: Sheet) =>
    standard.steel.column({ ...input, ...forces, combination: name, basis }, philosophy, inner);
  const loadings = model.everyLoading(context.combinations(philosophy).strength, () =>
    weightsOf((forces) => check(forces, { name: '', basis: philosophy.basis })),
  );
  const worst = new Map<string, Check>();
  for (const loading of loadings) mergeWorst(worst, check(model.forces(loading), loading.combination));
  if (sheet) {
    recordEffectiveLengths(column, height, standard, building.brief.units, sheet.scope('Effective lengths'));
    const names = new Set([...worst.values()].map(({ combination }) => combination));
    const printed = loadings.filter(({ combination: { name } }) => names.has(name));
    for (const loading of printed.length > 0 ? printed : loadings.slice(0, 1)) {
      const { combination } = loading;
      const scope = sheet.scope(`${combination.name} (${combination.clause})`);
      recordColumnForces(model, loading, beams, building.brief.units, scope);
      check(model.forces(loading), combination, scope);
    }
  }
  return [...worst.values(), ...loadPathChecks(context, ledger, philosophy, 'the moment of what hangs or stands beside its axis', sheet)];
}

/** A force and a moment small beside any section's, N and Nmm: checks in which nothing else acts are linear in them. */
const UNIT = { force: 1e3, moment: 1e6 };

/** How much of a column each force uses by itself. What is not proved weighs nothing. */
function weightsOf(check: (forces: ColumnForces) => readonly Check[]): ColumnWeights {
  const used = (forces: ColumnForces, size: number) => Math.max(0, ...check(forces).map(({ utilisation }) => utilisation ?? 0)) / size;
  return {
    pressed: used({ axial: UNIT.force }, UNIT.force),
    drawn: used({ axial: -UNIT.force }, UNIT.force),
    major: used({ axial: 0, moments: { major: UNIT.moment, minor: 0 } }, UNIT.moment),
    minor: used({ axial: 0, moments: { major: 0, minor: UNIT.moment } }, UNIT.moment),
  };
}

/** Which length buckles about each axis, and how its ends are held, on the sheet of a column. */
function recordEffectiveLengths(column: Column, height: number, standard: Standard, units: UnitSystem, sheet: Sheet): void {
  sheet.given('h', height, 'length', 'storey height');
  for (const axis of ['Y', 'Z'] as const satisfies readonly BucklingAxis[]) {
    const { from, to, factor, length, source } = effectiveLength(column, axis, height, standard.id);
    const name = axis === 'Y' ? 'y' : 'z';
    const whole = to - from === height;
    if (!whole)
      sheet.given(
        `l_${name}`,
        to - from,
        'length',
        `longest between places that are held, ${formatQuantity(from, 'length', units)} to ${formatQuantity(to, 'length', units)} above the base`,
      );
    sheet.given(`k_${name}`, factor, 'ratio', effectiveLengthWords(column, axis, standard.id), source);
    sheet.step(
      `L_${name}`,
      `k_${name} * ${whole ? 'h' : `l_${name}`}`,
      whole ? { [`k_${name}`]: factor, h: height } : { [`k_${name}`]: factor, [`l_${name}`]: to - from },
      length,
      'length',
      source,
      `effective length, buckling about the ${axis === 'Y' ? 'major' : 'minor'} axis`,
    );
  }
}

export function designColumn(context: Context, id: string): MemberDesign {
  const { building, takedown, standard, philosophy } = context;
  const column = building.columns.get(id)!;
  const ledger = takedown.members.get(id)!;
  const reduction = reductionOf(context, id);
  const { section } = column;
  const hasSideBeams =
    section !== null &&
    isSection(section) &&
    sideBeams(building, takedown, standard, id, findSection(section)).some(({ kind }) => kind === 'beam');
  const [text, reason] = ownWeightAllowance(column, building.brief.units);
  const assumptions = [
    ...columnAssumptions(column, standard, hasSideBeams, building.brief.units),
    ...neglectedOffsets(building, ledger),
    ...(column.section !== null && isSection(column.section) && findSection(column.section).shape.outline === 'angle'
      ? [CONCENTRIC_ANGLE]
      : []),
    ...(column.section === null ? [{ type: 'assumption' as const, key: 'own-weight', text, reason }] : []),
    ...(reduction ? [reductionAssumption(reduction)] : []),
  ];
  const base = { id, kind: 'column' as const, mark: column.mark, section: column.section, assumptions, reduction };
  const nothing = (reason: string): MemberDesign => ({
    ...base,
    grade: column.grade,
    results: [],
    verdict: 'unproven',
    governing: null,
    reason,
  });
  if (column.section === null) return nothing(withoutSection(column));
  if (storeyHeight(building, column) === 0) return nothing('The column has no height: its top and base are on one level.');
  try {
    const section = findSection(column.section);
    const results = standard.loads
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
  const { section } = column;
  const hasSideBeams =
    section !== null &&
    isSection(section) &&
    sideBeams(building, takedown, standard, id, findSection(section)).some(({ kind }) => kind === 'beam');
  for (const assumption of [
    ...columnAssumptions(column, standard, hasSideBeams, building.brief.units),
    ...neglectedOffsets(building, ledger),
  ])
    sheet.assume(assumption.key, assumption.text, assumption.reason);
  recordTakedown(building, id, ledger, sheet);
  const reduction = reductionOf(context, id, sheet);
  if (reduction) {
    const { key, text, reason } = reductionAssumption(reduction);
    sheet.assume(key, text, reason);
  }
  if (section === null || storeyHeight(building, column) === 0)
    sheet.note('No section is chosen, or the column has no height: nothing is checked.');
  else noteRefusal(sheet, () => checkColumn(context, column, ledger, findSection(section), philosophy, reduction, sheet));
  recordFootForces(context, id, context.combinations(philosophy).strength, sheet.scope('Force at its foot'));
  sheet.note(`Not covered: ${standard.notCovered.join('; ')}.`);
  return sheet;
}
