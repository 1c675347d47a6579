import { BeamModel } from '../analysis';
import { type Beam } from '../building';
import { PlinthError } from '../error';
import { askedOf, BEAM_INPUTS } from '../input';
import { GRAVITY } from '../quantity';
import { findSection, isSection, type Section } from '../section';
import { governing, Sheet, worstVerdict, type Check } from '../sheet';
import { type Philosophy } from '../standard';
import { withValues, type Arrival, type MemberLedger } from '../takedown';
import { beamActions } from './beamActions';
import { beamAssumptions } from './beamAssumptions';
import { deflectionChecks } from './deflection';
import { reducedArrivals, reductionAssumption, reductionOf } from './reduction';
import { mergeWorst, withoutSection, type MemberDesign, type PhilosophyResult } from './result';
import type { Context } from './context';
import { gradeFor } from './grade';
import { noteRefusal } from './refusal';
import { noteUnread } from './unreadFields';
import { loadPathChecks } from './loadPath';
import { recordSupportForces } from './supportForces';
import { recordEffects } from './effectsSheet';
import { recordTakedown } from './takedownSheet';
import { standingLoads, webChecks } from './standing';

/** The arrivals of a beam of such a length with its own weight changed to that of a section, or added where nothing was allowed for it. */
export function withOwnWeight(arrivals: readonly Arrival[], section: Section, length: number): Arrival[] {
  const own = { permanent: section.mass * GRAVITY };
  if (!arrivals.some(({ source }) => source.type === 'ownWeight')) {
    const shape: Arrival['shape'] = { type: 'distributed', from: 0, to: length, start: 1, end: 1 };
    const source: Arrival['source'] = { type: 'ownWeight', allowance: false };
    return [{ id: 'own', label: 'own weight', source, shape, byCase: own, adverse: own }, ...arrivals];
  }
  return arrivals.map((arrival) => (arrival.source.type === 'ownWeight' ? withValues(arrival, own, own) : arrival));
}

/** One section tried on one beam by one philosophy. Without a sheet nothing is recorded. */
export function checkBeam(
  context: Context,
  beam: Beam,
  ledger: MemberLedger,
  arrivals: readonly Arrival[],
  section: Section,
  philosophy: Philosophy,
  sheet?: Sheet,
): Check[] {
  const { building, takedown, standard } = context;
  const grade = gradeFor(building, beam, section);
  const EI = standard.steel.youngsModulus(grade) * section.properties.Iy;
  const model = new BeamModel(beam, arrivals, EI, building.cases);
  const worst = new Map<string, Check>();
  const loadings = model.everyLoading(context.combinations(philosophy).strength);
  const prepared = loadings.map((loading) => ({ loading, combination: loading.combination, ...beamActions(model, loading) }));
  const asked = askedOf(BEAM_INPUTS, beam);
  if (sheet) noteUnread(standard, 'beam', beam, sheet);
  for (const { actions } of prepared) mergeWorst(worst, standard.steel.beam({ section, grade, actions, asked }, philosophy));
  if (sheet && loadings.some(({ present }) => present.includes(false)))
    sheet.note(`Variable load is left out wherever it helps, for each effect on its own (${standard.loads.arrangementClause}).`);
  if (sheet) {
    // every combination that governs some check is printed whole; the others cannot be worse anywhere
    const governingNames = new Set([...worst.values()].map((check) => check.combination));
    const printed = prepared.filter(({ combination }) => governingNames.has(combination.name));
    for (const { actions, combination, loading, solution } of printed.length ? printed : prepared.slice(0, 1)) {
      const scope = sheet.scope(`${combination.name} (${combination.clause})`);
      recordEffects(model, loading, solution, EI, building.brief.units, scope);
      standard.steel.beam({ section, grade, actions, asked }, philosophy, scope);
    }
  }
  const { deflection } = context.combinations(philosophy);
  const deflections = deflectionChecks(model, deflection, takedown.cases, building.brief, ledger.transfer, EI, sheet?.scope('Deflection'));
  if (sheet) recordSupportForces(context, ledger.id, context.combinations(philosophy).strength, sheet.scope('Forces at its supports'));
  const standing = standingLoads(context, model);
  const webs =
    standing.length === 0 && beam.seat === null ? [] : webChecks(standing, { section, grade, model, loadings }, context, philosophy, sheet);
  return [...worst.values(), ...webs, ...deflections, ...loadPathChecks(context, ledger, philosophy, 'torsion', sheet)];
}

/** The whole design of a beam: every philosophy that the project shows, and what it assumes. */
export function designBeam(context: Context, id: string): MemberDesign {
  const { building, takedown, standard, philosophy } = context;
  const beam = building.beams.get(id)!;
  const ledger = takedown.members.get(id)!;
  const reduction = reductionOf(context, id);
  const assumptions = [...beamAssumptions(building, beam, ledger, standard), ...(reduction ? [reductionAssumption(reduction)] : [])];
  const base = { id, kind: 'beam' as const, mark: beam.mark, section: beam.section, assumptions, reduction };
  const nothing = (reason: string): MemberDesign => ({
    ...base,
    grade: beam.grade,
    results: [],
    verdict: 'unproven',
    governing: null,
    reason,
  });
  if (beam.section === null) return nothing(withoutSection(beam));
  try {
    const section = findSection(beam.section);
    const arrivals = reducedArrivals(context, id, reduction);
    const results: PhilosophyResult[] = standard.loads
      .compared(philosophy.id)
      .map((p) => ({ philosophy: p.id, title: p.title, checks: checkBeam(context, beam, ledger, arrivals, section, p) }));
    const { checks } = results[0]!;
    return {
      ...base,
      grade: gradeFor(building, beam, section).id,
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

/** What is not proved before what is, then the larger utilisation. */
const byGravity = (a: Check, b: Check) =>
  Number(b.verdict === 'unproven') - Number(a.verdict === 'unproven') || (b.utilisation ?? 0) - (a.utilisation ?? 0);

/**
 * What it would come to if the floor did not hold a beam that counts on it: the worse of its checks of instability, held at its supports only.
 * Null where no floor is counted on, or nothing is checked.
 */
export function withoutFloor(context: Context, id: string, philosophy: Philosophy = context.philosophy): Check | null {
  const beam = context.building.beams.get(id);
  const ledger = context.takedown.members.get(id);
  if (!beam || !ledger || beam.restraint !== 'floor' || beam.section === null || !isSection(beam.section)) return null;
  const arrivals = reducedArrivals(context, id, reductionOf(context, id));
  const held = { ...beam, restraint: 'supports' as const };
  const checks = checkBeam(context, held, ledger, arrivals, findSection(beam.section), philosophy);
  return checks.filter(({ mode }) => mode === 'instability').sort(byGravity)[0] ?? null;
}

/** The calculation sheet of a beam: what lands on it, what it does, and every check by the philosophy given. */
export function beamSheet(context: Context, id: string, philosophy: Philosophy = context.philosophy): Sheet {
  const { building, takedown, standard } = context;
  const beam = building.beams.get(id)!;
  const ledger = takedown.members.get(id)!;
  const sheet = new Sheet();
  sheet.note(`${standard.title}. Editions: ${standard.editions.join(', ')}. By ${philosophy.title}.`);
  for (const assumption of beamAssumptions(building, beam, ledger, standard))
    sheet.assume(assumption.key, assumption.text, assumption.reason);
  const unheld = withoutFloor(context, id, philosophy);
  if (unheld)
    sheet.note(
      `Without the floor, held at its supports only: ${unheld.name.toLowerCase()} ${unheld.utilisation === null ? '' : `${unheld.utilisation.toFixed(2)}, `}${unheld.verdict}.`,
    );
  recordTakedown(building, id, ledger, sheet);
  const reduction = reductionOf(context, id, sheet);
  if (reduction) {
    const { key, text, reason } = reductionAssumption(reduction);
    sheet.assume(key, text, reason);
  }
  if (beam.section === null) {
    sheet.note(`${withoutSection(beam)} Nothing is checked.`);
    return sheet;
  }
  const { section } = beam;
  noteRefusal(sheet, () =>
    checkBeam(context, beam, ledger, reducedArrivals(context, id, reduction), findSection(section), philosophy, sheet),
  );
  sheet.note(`Not covered: ${standard.notCovered.join('; ')}.`);
  return sheet;
}
