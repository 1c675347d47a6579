import type { Building, Footing, PlanPoint } from '../building';
import { PlinthError } from '../error';
import { askedOf, PAD_INPUTS } from '../input';
import type { Combination } from '../load';
import { formatQuantity, type UnitSystem } from '../quantity';
import { BARS, concrete as concreteById, REINFORCEMENT } from '../material';
import { findSection, isSection } from '../section';
import { byRule, governing, Sheet, unproven, worstVerdict, type Assumption, type Check } from '../sheet';
import type { PadStrength, Philosophy } from '../standard';
import { quantitySaid, type MemberLedger } from '../takedown';
import { concentricDemand } from './concentricPad';
import type { Context } from './context';
import { eccentricDemand } from './eccentricPad';
import { FIXING, fixedEndChecks } from './fixedEnds';
import { neglectedAssumption } from './neglectedOffset';
import { groundOf, LARGEST, weightOf } from './padBearing';
import { distanceOff, placedLoads } from './padLoads';
import { COMBINATION, uncombinedChecks } from './uncombined';
import { reductionAssumption, reductionOf, type MemberReduction } from './reduction';
import { ruleOfThumbPad } from './ruleOfThumb';
import { recordTakedown } from './takedownSheet';
import type { DesignOf } from './designOf';

export interface FootingDesign extends DesignOf<'footing'> {
  /** mm; sized here or as typed. Zero when nothing could be sized. */
  readonly width: number;
  readonly length: number;
  readonly thickness: number;
  readonly sized: boolean;
  /** Outline through which the load enters, mm. */
  /** What stands on it: its outline, mm along x and y, and where its axis stands from the middle of the pad, mm. */
  readonly column: { readonly width: number; readonly depth: number; readonly isRound: boolean; readonly offset: PlanPoint };
  /** Weight of pad and of backfill on it, N, and pressure on the soil under the governing service combination, MPa. */
  readonly padWeight: number;
  readonly backfillWeight: number;
  readonly pressure: number;
  /** Underside below ground, mm. */
  readonly foundingDepth: number;
  readonly allowable: number;
  readonly bars: PadStrength['bars'];
  readonly barId: string;
  readonly checks: readonly Check[];
  /** Reduction of imposed load in its design, and what it takes away. */
  readonly reduction: MemberReduction | null;
}

interface ColumnOutline {
  /** Along x and y, mm. */
  readonly width: number;
  readonly depth: number;
  readonly isRound: boolean;
  readonly known: boolean;
  /** Of its axis from the middle of the pad, mm. */
  readonly offset: PlanPoint;
}

const UNKNOWN_OUTLINE = { width: 200, depth: 200, isRound: false, known: false };

/** The outline of what stands on the footing, mm: its section's, turned as the column is, or a fifth of a metre when none is chosen. */
function columnOutline(building: Building, ledger: MemberLedger, footing: Footing): ColumnOutline {
  const from = ledger.arrivals
    .map((arrival) => (arrival.source.type === 'member' ? building.columns.get(arrival.source.member) : undefined))
    .find((column) => column);
  const [first] = placedLoads(building, footing, ledger);
  const offset = from ? { x: from.at.x - footing.at.x, y: from.at.y - footing.at.y } : { x: first?.x ?? 0, y: first?.y ?? 0 };
  if (!from?.section || !isSection(from.section)) return { ...UNKNOWN_OUTLINE, offset };
  const { shape, properties } = findSection(from.section);
  const { width, depth } = properties;
  const isRound = shape.outline === 'tube';
  // not turned its depth lies along y; turned by a right angle along x; in between the smaller of both counts
  const [along, across] = [Math.abs(Math.cos(from.turn)), Math.abs(Math.sin(from.turn))];
  if (across < 0.02) return { width, depth, isRound, known: true, offset };
  if (along < 0.02) return { width: depth, depth: width, isRound, known: true, offset };
  const least = Math.min(width, depth);
  return { width: least, depth: least, isRound, known: true, offset };
}

/** Thicker pads are not tried, mm. */
const THICKEST = 2000;

/** Rows that are not verified whatever the thickness. */
const PENDING: ReadonlySet<string> = new Set(['bearing', ...[FIXING, COMBINATION].map(({ id }) => id)]);

interface Trial {
  readonly width: number;
  readonly length: number;
  readonly thickness: number;
  readonly checks: Check[];
  readonly bars: PadStrength['bars'];
  /** Largest under service loads, MPa. */
  readonly pressure: number;
}

/** Whether frost may reach beneath a pad, to be confirmed by somebody. depth: of its underside below ground, mm. */
function frostAssumption({ heated }: Footing, depth: number, units: UnitSystem): Assumption {
  const said = formatQuantity(depth, 'length', units);
  return heated
    ? {
        type: 'assumption',
        key: 'heated',
        text: `It lies inside a heated building: frost does not reach it at ${said} below ground.`,
        reason: 'The building has to be heated every winter, the one in which it is built too; otherwise its depth is that of frost.',
      }
    : {
        type: 'assumption',
        key: 'frost',
        text: `${said} below ground is deeper than frost reaches, and below topsoil and made ground.`,
        reason: 'Depth of frost and of poor ground are matters of the place: the authority and the ground investigation say them.',
      };
}

const THUMB_OFF = { id: 'rule-of-thumb-eccentric', name: 'Rule of thumb' } as const;

function bearingUnproven(sheet?: Sheet): Check {
  return unproven(
    { id: 'bearing', name: 'Bearing' },
    byRule('allowable bearing'),
    'service',
    'the pressure under the moment of a fixed beam is not calculated yet',
    sheet,
  );
}

/** Sizes (where not typed) and checks one pad: bearing on service load, strength on factored load, from the same reactions. */
export function designFooting(context: Context, id: string, record = false): { design: FootingDesign; sheet: Sheet } {
  const { building, takedown, standard, philosophy } = context;
  const { brief } = building;
  const footing = building.footings.get(id)!;
  const ledger = takedown.members.get(id)!;
  const ground = groundOf(building, footing);
  const outline = columnOutline(building, ledger, footing);
  const sheet = new Sheet();
  const assumptions: Assumption[] = [
    {
      type: 'assumption',
      key: 'bearing',
      text: `The ground bears ${formatQuantity(ground.allowable, 'bearing', brief.units)}, ${ground.basis}.`,
      reason: brief.bearingSource || 'No source is given in the brief; to be confirmed by a ground investigation.',
    },
    {
      type: 'assumption',
      key: 'outline',
      text: outline.known
        ? 'Load enters the pad through the outline of the column; a base plate is not counted.'
        : `Nothing with a section stands on the pad: an outline ${quantitySaid(UNKNOWN_OUTLINE.width, 'sectionLength', brief.units)} square is taken.`,
      reason: 'Smaller than a base plate would be, so conservative for bending and punching.',
    },
    frostAssumption(footing, ground.depth, brief.units),
  ];
  const placed = placedLoads(building, footing, ledger);
  const far = placed.filter((load) => distanceOff(load) > brief.constructionTolerance);
  if (far.length === 0) {
    const offsets = placed.map((load) => ({ ...load, distance: distanceOff(load) }));
    assumptions.push(...neglectedAssumption('off-middle', offsets, 'the centre of the pad', brief));
  }
  // what a reduction takes has no place of its own
  const reduction = far.length > 0 ? null : reductionOf(context, id);
  if (reduction) assumptions.push(reductionAssumption(reduction));
  const barId = brief.bar;
  const base = {
    id,
    kind: 'footing' as const,
    mark: footing.mark,
    column: outline,
    allowable: ground.allowable,
    foundingDepth: ground.depth,
    barId,
    assumptions,
    reduction,
  };
  const nothing = (reason: string): { design: FootingDesign; sheet: Sheet } => {
    sheet.note(reason);
    return {
      design: {
        ...base,
        width: 0,
        length: 0,
        thickness: 0,
        sized: false,
        padWeight: 0,
        backfillWeight: 0,
        pressure: 0,
        bars: null,
        checks: [],
        verdict: 'unproven',
        governing: null,
        reason,
      },
      sheet,
    };
  };
  const concretePhilosophy = standard.concrete.philosophy(philosophy.id);
  const [inService, forStrength] = [context.combinations(philosophy).service, context.combinations(concretePhilosophy).strength];
  const demand =
    far.length > 0
      ? eccentricDemand(placed, inService, forStrength, brief)
      : concentricDemand(ledger, inService, forStrength, reduction, brief);
  if (!demand) return nothing(ledger.arrivals.length === 0 ? 'Nothing stands on it.' : 'No compression reaches it.');
  try {
    const bar = BARS.find((candidate) => candidate.id === barId);
    if (!bar) return nothing(`Bar "${barId}" of the brief is not known.`);
    const concrete = concreteById(brief.concrete);
    const fy = REINFORCEMENT[brief.reinforcement].fyk;
    const { cases } = takedown;
    const without = (combinations: readonly Combination[], of: Philosophy, purpose: 'service' | 'strength', what: string, inner?: Sheet) =>
      uncombinedChecks(ledger, combinations, cases, { source: of.rules.source, purpose, what }, inner);
    const attempt = (thickness: number, inner?: Sheet): Trial | null => {
      const size = demand.size(footing, brief.footingStep, thickness, ground);
      if (!size) return null;
      const bearing = demand.bearing(size, thickness, ground, brief.bearingSource || 'brief', inner);
      const fixed = fixedEndChecks(context, ledger, philosophy, bearing.sheet);
      const checks: Check[] = [
        ...without(inService, philosophy, 'service', 'bearing and the size of the pad', bearing.sheet),
        ...fixed,
        // the pressure says nothing of the edge where a moment is missing
        ...(fixed.length > 0 ? [bearingUnproven(bearing.sheet)] : bearing.checks()),
      ];
      const { pressure } = bearing;
      if (footing.method === 'ruleOfThumb') {
        checks.push(
          ...ruleOfThumbPad(
            { load: demand.service, width: Math.max(size.width, size.length), column: Math.min(outline.width, outline.depth), thickness },
            inner?.scope('Thickness'),
            brief.units,
          ),
        );
        if (far.length > 0)
          checks.push(unproven(THUMB_OFF, byRule('rule of thumb'), 'ductile', 'it is for a column in the middle of its pad', inner));
        return { ...size, thickness, checks, bars: null, pressure };
      }
      const strength = demand.strength(size, thickness, ground, inner);
      const missing = without(forStrength, concretePhilosophy, 'strength', 'the checks of its concrete', strength.sheet);
      // what is missing in both is told once
      if (!checks.some(({ id }) => id === COMBINATION.id)) checks.push(...missing);
      if (!strength.factored) return { ...size, thickness, checks: [...checks, ...strength.checks], bars: null, pressure };
      const pad = standard.concrete.pad(
        {
          ...size,
          thickness,
          columnWidth: outline.width,
          columnDepth: outline.depth,
          isRound: outline.isRound,
          concrete,
          bar,
          fy,
          cover: brief.cover,
          asked: askedOf(PAD_INPUTS, footing),
          factored: strength.factored,
          ...(strength.off && { off: strength.off }),
        },
        strength.sheet,
      );
      return { ...size, thickness, checks: [...checks, ...strength.checks, ...pad.checks], bars: pad.bars, pressure };
    };
    const passes = (trial: Trial) =>
      trial.checks.every((check) => check.verdict !== 'short' && (check.verdict !== 'unproven' || far.length > 0 || PENDING.has(check.id)));
    // thicknesses that are built belong to the codes, not to the units shown
    const { step, least, leastOfThumb } = standard.concrete.padThickness;
    const startThickness = footing.method === 'ruleOfThumb' ? leastOfThumb : least;
    let trial = footing.thickness === null ? null : attempt(footing.thickness);
    if (footing.thickness === null) {
      const faults = (candidate: Trial) => candidate.checks.filter((check) => check.verdict === 'short').length;
      const steps = Math.floor((THICKEST - startThickness) / step);
      for (let n = 0; n <= steps; n++) {
        const thickness = startThickness + n * step;
        const next = attempt(thickness);
        // the weight of a thicker pad may be more than the soil can still take: the best one so far stands
        if (!next) break;
        if (!trial || faults(next) < faults(trial)) trial = next;
        // the rule of thumb cannot be met by thickness when it lies outside its limits
        if (passes(next) || (footing.method === 'ruleOfThumb' && next.checks.some((check) => check.verdict === 'unproven'))) {
          trial = next;
          break;
        }
      }
    }
    if (!trial)
      return nothing(
        `The soil cannot carry it: even a pad of ${quantitySaid(LARGEST, 'length', brief.units)} exceeds the allowable bearing pressure${
          far.length > 0 ? ', or loses contact with the ground in part' : ''
        }.`,
      );
    if (record) {
      sheet.note(`${standard.title}. Editions: ${standard.editions.join(', ')}.`);
      for (const assumption of assumptions) sheet.assume(assumption.key, assumption.text, assumption.reason);
      recordTakedown(building, id, ledger, sheet);
      if (far.length === 0) reductionOf(context, id, sheet);
      attempt(trial.thickness, sheet);
      sheet.note(
        'Not covered: settlement, sliding, uplift; bearing capacity is declared, not derived. Ground needs the judgement of a licensed engineer.',
      );
    }
    const { width, length, thickness, checks, bars, pressure } = trial;
    const { padWeight, backfill } = weightOf(width, length, thickness, ground);
    return {
      design: {
        ...base,
        width,
        length,
        thickness,
        sized: footing.width === null || footing.length === null || footing.thickness === null,
        padWeight,
        backfillWeight: backfill,
        pressure,
        bars,
        checks,
        verdict: worstVerdict(checks),
        governing: governing(checks),
        reason: null,
      },
      sheet,
    };
  } catch (error) {
    if (!(error instanceof PlinthError)) throw error;
    return nothing(error.message);
  }
}
