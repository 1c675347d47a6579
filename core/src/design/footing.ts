import type { Building, Footing, PlanPoint } from '../building';
import { PlinthError } from '../error';
import { askedOf, PAD_INPUTS } from '../input';
import { combinePressing, type Combination } from '../load';
import { formatQuantity, type UnitSystem } from '../quantity';
import { BARS, concrete as concreteById, REINFORCEMENT } from '../material';
import { findSection, isSection } from '../section';
import { byRule, compare, governing, Sheet, unproven, worstVerdict, type Assumption, type Check } from '../sheet';
import type { PadStrength } from '../standard';
import { quantitySaid, type MemberLedger } from '../takedown';
import { recordAxial } from './axialSheet';
import type { Context } from './context';
import { FIXING, fixedEndChecks } from './fixedEnds';
import { ECCENTRIC, eccentricChecks } from './offAxis';
import { COMBINATION, uncombinedChecks } from './uncombined';
import { reducedSums, reductionAssumption, reductionOf, type MemberReduction } from './reduction';
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

export interface Ground {
  readonly allowable: number;
  readonly basis: 'gross' | 'net';
  readonly soil: number;
  readonly concrete: number;
  readonly depth: number;
}

/** Pads from this to that are tried, mm. */
const SMALLEST = 400;
const LARGEST = 8000;
const THICKEST = 2000;

function groundOf(building: Building, footing: Footing): Ground {
  const { brief } = building;
  return {
    allowable: footing.bearing ?? brief.bearing,
    basis: brief.bearingBasis,
    soil: brief.soilUnitWeight,
    concrete: brief.concreteUnitWeight,
    depth: footing.foundingDepth ?? brief.foundingDepth,
  };
}

/** Pressure on the soil, MPa: all that presses on it (gross), less the weight of the soil that was there (net). */
export function bearingPressure(load: number, width: number, length: number, thickness: number, ground: Ground, sheet?: Sheet): number {
  const cover = Math.max(0, ground.depth - thickness);
  const padWeight = width * length * thickness * ground.concrete;
  const backfill = width * length * cover * ground.soil;
  const gross = (load + padWeight + backfill) / (width * length);
  const net = gross - ground.depth * ground.soil;
  if (sheet) {
    sheet.given('N_s', load, 'force', 'service load of the column');
    sheet.given('B_x', width, 'length', 'pad along x');
    sheet.given('B_y', length, 'length', 'pad along y');
    sheet.given('h', thickness, 'sectionLength', 'thickness');
    sheet.given('D', ground.depth, 'length', 'founding depth');
    sheet.given('gamma_c', ground.concrete, 'unitWeight', 'concrete');
    sheet.given('gamma_s', ground.soil, 'unitWeight', 'soil and backfill');
    sheet.step(
      'W_p',
      'B_x * B_y * h * gamma_c',
      { B_x: width, B_y: length, h: thickness, gamma_c: ground.concrete },
      padWeight,
      'force',
      'weight',
      'pad',
    );
    sheet.step(
      'W_b',
      'B_x * B_y * max(0, D - h) * gamma_s',
      { B_x: width, B_y: length, D: ground.depth, h: thickness, gamma_s: ground.soil },
      backfill,
      'force',
      'weight',
      'backfill on the pad',
    );
    sheet.step(
      'q',
      '(N_s + W_p + W_b) / (B_x * B_y)',
      { N_s: load, W_p: padWeight, W_b: backfill, B_x: width, B_y: length },
      gross,
      'bearing',
      'statics',
      'gross pressure',
    );
    if (ground.basis === 'net')
      sheet.step(
        'q_n',
        'q - D * gamma_s',
        { q: gross, D: ground.depth, gamma_s: ground.soil },
        net,
        'bearing',
        'statics',
        'net pressure: soil taken out is deducted',
      );
  }
  return ground.basis === 'gross' ? gross : net;
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
function columnOutline(building: Building, ledger: MemberLedger, middle: PlanPoint): ColumnOutline {
  const from = ledger.arrivals
    .map((arrival) => (arrival.source.type === 'member' ? building.columns.get(arrival.source.member) : undefined))
    .find((column) => column);
  const offset = from ? { x: from.at.x - middle.x, y: from.at.y - middle.y } : { x: 0, y: 0 };
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

function largest(
  ledger: MemberLedger,
  combinations: readonly Combination[],
  reduction: MemberReduction | null,
): { force: number; combination: Combination } | null {
  let best: { force: number; combination: Combination } | null = null;
  for (const combination of combinations) {
    // what counts permanent load as favourable presses less than what does not
    if (combination.permanent === 'favourable') continue;
    const { sum, adverse } = reducedSums(ledger, reduction, combination);
    const force = combinePressing(sum, adverse, combination);
    if (!best || force > best.force) best = { force, combination };
  }
  return best;
}

/**
 * Least pad on a grid of sizes whose pressure is allowed, square where neither side is given; a given side stays.
 * @returns sides in mm; null when the soil can never carry it
 */
export function sizeByBearing(
  load: number,
  given: { readonly width: number | null; readonly length: number | null },
  step: number,
  thickness: number,
  ground: Ground,
): { width: number; length: number } | null {
  // sides that are both given are checked, not changed
  if (given.width && given.length) return { width: given.width, length: given.length };
  const sidesOf = (count: number) => ({ width: given.width ?? count * step, length: given.length ?? count * step });
  const isAllowed = (count: number) => {
    const { width, length } = sidesOf(count);
    return bearingPressure(load, width, length, thickness, ground) <= ground.allowable;
  };
  // a larger pad presses less: the least number of steps is found by halving, however small a step may be
  let [least, most] = [Math.ceil(SMALLEST / step), Math.floor(LARGEST / step)];
  if (least > most || !isAllowed(most)) return null;
  for (let halvings = 0; halvings < 64 && least < most; halvings++) {
    const middle = Math.floor((least + most) / 2);
    if (isAllowed(middle)) most = middle;
    else least = middle + 1;
  }
  return sidesOf(most);
}

/** Rows that are not verified whatever the thickness. */
const PENDING: ReadonlySet<string> = new Set(['bearing', ...[ECCENTRIC, FIXING, COMBINATION].map(({ id }) => id)]);

interface Trial {
  readonly width: number;
  readonly length: number;
  readonly thickness: number;
  readonly checks: Check[];
  readonly bars: PadStrength['bars'];
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

/** Sizes (where not typed) and checks one pad: bearing on service load, strength on factored load, from the same reactions. */
export function designFooting(context: Context, id: string, record = false): { design: FootingDesign; sheet: Sheet } {
  const { building, takedown, standard, philosophy } = context;
  const { brief } = building;
  const footing = building.footings.get(id)!;
  const ledger = takedown.members.get(id)!;
  const ground = groundOf(building, footing);
  const outline = columnOutline(building, ledger, footing.at);
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
  const reduction = reductionOf(context, id);
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
  const service = largest(ledger, inService, reduction);
  const strength = largest(ledger, forStrength, reduction);
  if (!service || !strength || service.force <= 0)
    return nothing(ledger.arrivals.length === 0 ? 'Nothing stands on it.' : 'No compression reaches it.');
  try {
    const bar = BARS.find((candidate) => candidate.id === barId);
    if (!bar) return nothing(`Bar "${barId}" of the brief is not known.`);
    const concrete = concreteById(brief.concrete);
    const fy = REINFORCEMENT[brief.reinforcement].fyk;
    const attempt = (thickness: number, inner?: Sheet): Trial | null => {
      const size = sizeByBearing(service.force, footing, brief.footingStep, thickness, ground);
      if (!size) return null;
      const checks: Check[] = [];
      const bearing = inner?.scope(`Bearing on the soil, ${service.combination.name} (${service.combination.clause})`);
      recordAxial(reducedSums(ledger, reduction, service.combination), service.combination, brief.units, bearing);
      const pressure = bearingPressure(service.force, size.width, size.length, thickness, ground, bearing);
      bearing?.given('q_a', ground.allowable, 'bearing', `allowable bearing, ${ground.basis}`, brief.bearingSource || 'brief');
      const { cases } = takedown;
      checks.push(
        ...uncombinedChecks(
          ledger,
          inService,
          cases,
          { source: philosophy.rules.source, purpose: 'service', what: 'bearing and the size of the pad' },
          bearing,
        ),
      );
      const eccentric = [
        ...eccentricChecks(building, ledger, 'a pad with moment', bearing),
        ...fixedEndChecks(context, ledger, philosophy, bearing),
      ];
      // the mean pressure says nothing of the edge: it is no figure for an eccentric pad
      if (eccentric.length > 0)
        checks.push(
          ...eccentric,
          unproven(
            { id: 'bearing', name: 'Bearing' },
            byRule('allowable bearing'),
            'service',
            'the pressure under an eccentric load is not calculated yet',
            bearing,
          ),
        );
      else
        checks.push(
          compare(
            {
              id: 'bearing',
              name: 'Bearing',
              clause: byRule(`allowable bearing, ${ground.basis}`),
              mode: 'service',
              kind: 'bearing',
              demand: pressure,
              demandSymbol: ground.basis === 'gross' ? 'q' : 'q_n',
              capacity: ground.allowable,
              capacitySymbol: 'q_a',
              combination: service.combination.name,
            },
            bearing,
          ),
        );
      if (footing.method === 'ruleOfThumb') {
        checks.push(
          ...ruleOfThumbPad(
            { load: service.force, width: Math.max(size.width, size.length), column: Math.min(outline.width, outline.depth), thickness },
            inner?.scope('Thickness'),
            brief.units,
          ),
        );
        return { ...size, thickness, checks, bars: null };
      }
      const strengthSheet = inner?.scope(`Strength, ${strength.combination.name} (${strength.combination.clause})`);
      recordAxial(reducedSums(ledger, reduction, strength.combination), strength.combination, brief.units, strengthSheet);
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
          factored: { force: strength.force, combination: strength.combination.name },
        },
        strengthSheet,
      );
      const { source } = concretePhilosophy.rules;
      const without = uncombinedChecks(
        ledger,
        forStrength,
        cases,
        { source, purpose: 'strength', what: 'the checks of its concrete' },
        strengthSheet,
      );
      // what is missing in both is told once
      const missing = checks.some(({ id }) => id === COMBINATION.id) ? [] : without;
      return { ...size, thickness, checks: [...checks, ...pad.checks, ...missing], bars: pad.bars };
    };
    const passes = (trial: Trial) =>
      trial.checks.every((check) => check.verdict !== 'short' && (check.verdict !== 'unproven' || PENDING.has(check.id)));
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
        `The soil cannot carry it: even a pad of ${quantitySaid(LARGEST, 'length', brief.units)} presses harder than allowed.`,
      );
    if (record) {
      sheet.note(`${standard.title}. Editions: ${standard.editions.join(', ')}.`);
      for (const assumption of assumptions) sheet.assume(assumption.key, assumption.text, assumption.reason);
      recordTakedown(building, id, ledger, sheet);
      reductionOf(context, id, sheet);
      attempt(trial.thickness, sheet);
      sheet.note(
        'Not covered: settlement, sliding, eccentric load, uplift; bearing capacity is declared, not derived. Ground needs the judgement of a licensed engineer.',
      );
    }
    const { width, length, thickness, checks, bars } = trial;
    const area = width * length;
    return {
      design: {
        ...base,
        width,
        length,
        thickness,
        sized: footing.width === null || footing.length === null || footing.thickness === null,
        padWeight: area * thickness * ground.concrete,
        backfillWeight: area * Math.max(0, ground.depth - thickness) * ground.soil,
        pressure: bearingPressure(service.force, width, length, thickness, ground),
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
