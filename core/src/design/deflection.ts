import type { BeamSolution } from '../beam';
import type { Beam, Brief } from '../building';
import { isPermanent, type Combination, type LoadCase } from '../load';
import { byRule, compare, type Check, type Sheet } from '../sheet';
import type { BeamModel, Loading } from '../analysis';
import type { UnitSystem } from '../quantity';
import { bearingEnds, liesOnBearing } from './bearingEnds';
import { recordDeflection } from './effectsSheet';

/** A stretch of the beam whose deflection is judged, with its limits. */
interface Span {
  readonly from: number;
  readonly to: number;
  /** Length that the ratio is taken of. */
  readonly reference: number;
  readonly title: string;
  readonly overhangs: boolean;
}

function spansOf(beam: Beam, length: number): Span[] {
  const at = beam.supports.map((support) => support.at).sort((a, b) => a - b);
  const spans: Span[] = [];
  for (let i = 0; i + 1 < at.length; i += 1)
    spans.push({
      from: at[i]!,
      to: at[i + 1]!,
      reference: at[i + 1]! - at[i]!,
      title: at.length > 2 ? `span ${i + 1}` : 'span',
      overhangs: false,
    });
  const [first, last] = [at[0]!, at.at(-1)!];
  const seated = bearingEnds(beam);
  const hangsOver = (from: number, to: number) => to - from > 1 && !liesOnBearing(seated, from, to);
  if (hangsOver(0, first)) spans.unshift({ from: 0, to: first, reference: first, title: 'overhang at the start', overhangs: true });
  if (hangsOver(last, length))
    spans.push({ from: last, to: length, reference: length - last, title: 'overhang at the end', overhangs: true });
  return spans;
}

/** The part of a service combination that is variable, or the part that is not. */
function partOf(combination: Combination, cases: readonly LoadCase[], part: 'variable' | 'permanent'): Combination {
  const permanent = new Set(cases.filter((c) => isPermanent(c.nature)).map((c) => c.id));
  return {
    ...combination,
    name: `${combination.name}, ${part} part`,
    factors: Object.fromEntries(Object.entries(combination.factors).filter(([id]) => permanent.has(id) === (part === 'permanent'))),
  };
}

/** What a span may deflect under variable or total load: the smaller of a ratio of its length and what it may be at most. */
export interface DeflectionLimit {
  readonly ratio: number;
  /** Why that ratio. */
  readonly reason: string;
  /** mm, however long the span; null: no such limit. */
  readonly most: number | null;
}

/**
 * The limit of a span by what the beam serves. A beam that carries another member takes the stricter of that and of the brief's limit for
 * transfer; of an overhang ratios are taken of its own length, and those of spans count half as much.
 */
export function deflectionLimit(
  brief: Brief,
  serves: Beam['serves'],
  transfer: boolean,
  overhangs: boolean,
  load: 'variable' | 'total',
): DeflectionLimit {
  const { deflectionVariable, deflectionTotal, deflectionTransfer, deflectionBrittle, deflectionCrane, deflectionCantilever } = brief;
  const half = overhangs ? 0.5 : 1;
  const candidates: { ratio: number; reason: string }[] = [];
  if (load === 'total') candidates.push({ ratio: deflectionTotal * half, reason: 'total' });
  else if (overhangs) candidates.push({ ratio: deflectionCantilever, reason: 'overhang' });
  else if (serves === 'floor') candidates.push({ ratio: deflectionVariable, reason: 'floor' });
  if (load === 'variable' && serves === 'brittle') candidates.push({ ratio: deflectionBrittle * half, reason: 'brittle finishes' });
  if (load === 'variable' && serves === 'crane') candidates.push({ ratio: deflectionCrane * half, reason: 'crane runway' });
  if (transfer) candidates.push({ ratio: deflectionTransfer * half, reason: 'transfer' });
  const strictest = candidates.reduce((a, b) => (b.ratio > a.ratio ? b : a));
  return { ...strictest, most: load === 'variable' ? brief.deflectionMostVariable : brief.deflectionMostTotal };
}

interface Worst {
  readonly span: Span;
  readonly limit: DeflectionLimit;
  /** What is allowed, mm. */
  readonly allowed: number;
  readonly sag: number;
  readonly loading: Loading;
}

/** Largest departure from the straight line over a span of a beam that was made with an upward curve, a parabola. */
function departure(solution: BeamSolution, { from, to }: Span, camber: number): { readonly at: number; readonly value: number } {
  const { max, min } = solution.extremes('deflection', from, to);
  if (camber === 0) return max.value >= -min.value ? max : { at: min.at, value: -min.value };
  let largest = { at: from, value: 0 };
  const look = (x: number) => {
    const t = (x - from) / (to - from);
    const value = Math.abs(solution.at('deflection', x) - 4 * camber * t * (1 - t));
    if (value > largest.value) largest = { at: x, value };
  };
  for (let i = 0; i <= STATIONS; i += 1) look(from + ((to - from) * i) / STATIONS);
  look(max.at);
  look(min.at);
  return largest;
}

/** Places at which a curved beam is looked at, beside where it sags most. */
const STATIONS = 40;

function worstOf(
  model: BeamModel,
  combinations: readonly Combination[],
  limitOf: (span: Span) => DeflectionLimit,
  camber: number,
): Worst | undefined {
  let worst: Worst | undefined;
  const spans = spansOf(model.beam, model.length).map((span) => {
    const limit = limitOf(span);
    return { span, limit, allowed: Math.min(span.reference / limit.ratio, limit.most ?? Infinity) };
  });
  for (const loading of model.everyLoading(combinations, 'deflection')) {
    const solution: BeamSolution = model.solve(loading.combination, loading.present);
    for (const { span, limit, allowed } of spans) {
      const sag = departure(solution, span, camber).value;
      if (!worst || sag / allowed > worst.sag / worst.allowed) worst = { span, limit, allowed, sag, loading };
    }
  }
  return worst;
}

/** How far a beam sags where it sags most, from its loads, less what it is curved up. */
function recordSag(model: BeamModel, { loading, sag, span }: Worst, camber: number, EI: number, units: UnitSystem, sheet: Sheet): void {
  const title = `largest deflection in the ${span.title}, ${loading.combination.name}`;
  const solution = model.solve(loading.combination, loading.present);
  const { at } = departure(solution, span, camber);
  const d = solution.at('deflection', at);
  if (d !== 0) recordDeflection(model, loading, at, EI, units, sheet);
  else sheet.given('d', d, 'sectionLength', 'nothing bends it', 'statics');
  if (camber === 0) sheet.step('delta', 'abs(d)', { d }, sag, 'sectionLength', 'statics', title);
  else {
    const [x, L] = [at - span.from, span.to - span.from];
    sheet.given('x_c', x, 'length', 'that place, from the start of the span');
    sheet.given('L_c', L, 'length', 'length of the curved span');
    const formula = 'abs(d - 4 * c_p * x_c / L_c * (1 - x_c / L_c))';
    sheet.step('delta', formula, { d, c_p: camber, x_c: x, L_c: L }, sag, 'sectionLength', 'statics', `${title}, precamber taken off`);
  }
}

/**
 * Deflection under variable and under total service load against the limits of the brief, span by span. Elastic. A precamber, of a beam of one
 * span without overhangs, is taken off what it sags under total load, and may not be more than permanent load takes out again.
 * @param transfer the beam carries another member: the stricter limit applies to both
 */
export function deflectionChecks(
  model: BeamModel,
  service: readonly Combination[],
  cases: readonly LoadCase[],
  brief: Brief,
  transfer: boolean,
  EI: number,
  sheet?: Sheet,
): Check[] {
  const { serves, precamber } = model.beam;
  const spans = spansOf(model.beam, model.length);
  const cambered = precamber > 0 && spans.length === 1 && !spans[0]!.overhangs;
  const lines = [
    {
      id: 'deflection-variable',
      name: 'Deflection, variable',
      load: 'variable',
      combinations: service.map((c) => partOf(c, cases, 'variable')),
      camber: 0,
    },
    { id: 'deflection-total', name: 'Deflection, total', load: 'total', combinations: service, camber: cambered ? precamber : 0 },
  ] as const;
  const checks: Check[] = [];
  for (const { id, name, load, combinations, camber } of lines) {
    const worst = worstOf(model, combinations, (span) => deflectionLimit(brief, serves, transfer, span.overhangs, load), camber);
    if (!worst) continue;
    const { span, sag, limit, allowed } = worst;
    const { combination } = worst.loading;
    const byRatio = span.reference / limit.ratio;
    const inner = sheet?.scope(name);
    inner?.given('EI', EI, 'stiffness', 'flexural stiffness');
    if (camber > 0) inner?.given('c_p', camber, 'sectionLength', 'precamber, a parabola, taken off');
    if (inner) recordSag(model, worst, camber, EI, brief.units, inner);
    inner?.given('L_s', span.reference, 'length', `length of the ${span.title}`);
    inner?.given('n_d', limit.ratio, 'ratio', `limit: ${limit.reason}`, 'brief');
    if (limit.most === null || byRatio <= limit.most)
      inner?.step('delta_lim', 'L_s / n_d', { L_s: span.reference, n_d: limit.ratio }, allowed, 'sectionLength', 'brief');
    else {
      inner?.given('delta_max', limit.most, 'sectionLength', 'at most, however long the span', 'brief');
      inner?.step(
        'delta_lim',
        'min(L_s / n_d, delta_max)',
        { L_s: span.reference, n_d: limit.ratio, delta_max: limit.most },
        allowed,
        'sectionLength',
        'brief',
      );
    }
    const governs = limit.most !== null && limit.most < byRatio ? 'at most, however long' : `L/${limit.ratio}`;
    checks.push(
      compare(
        {
          id,
          name,
          clause: byRule(limit.reason === 'floor' || limit.reason === 'total' ? governs : `${governs}, ${limit.reason}`),
          mode: 'service',
          kind: 'sectionLength',
          demand: sag,
          demandSymbol: 'delta',
          capacity: allowed,
          capacitySymbol: 'delta_lim',
          combination: combination.name,
          reason: camber > 0 ? `${span.title}, precamber taken off` : span.title,
        },
        inner,
      ),
    );
  }
  if (cambered) checks.push(camberCheck(model, service, cases, spans[0]!, precamber, sheet?.scope('Precamber')));
  else if (precamber > 0) sheet?.note('Precamber is counted for beams of one span without overhangs only: it is left out here.');
  return checks;
}

/** A beam that is curved up more than permanent load takes out stays humped. */
function camberCheck(
  model: BeamModel,
  service: readonly Combination[],
  cases: readonly LoadCase[],
  { from, to, title }: Span,
  precamber: number,
  sheet?: Sheet,
): Check {
  let least = Infinity;
  let name = '';
  for (const combination of model.distinct(service.map((c) => partOf(c, cases, 'permanent')))) {
    const sag = model.solve(combination).at('deflection', (from + to) / 2);
    if (sag < least) [least, name] = [sag, combination.name];
  }
  const sag = Number.isFinite(least) ? Math.max(0, least) : 0;
  sheet?.given('c_p', precamber, 'sectionLength', 'precamber');
  sheet?.given('delta_g', sag, 'sectionLength', `deflection at the middle of the ${title}, ${name}`, 'exact beam solution');
  return compare(
    {
      id: 'precamber',
      name: 'Precamber',
      clause: byRule('at most what permanent load takes out'),
      mode: 'service',
      kind: 'sectionLength',
      demand: precamber,
      demandSymbol: 'c_p',
      capacity: sag,
      capacitySymbol: 'delta_g',
      combination: name,
      reason: title,
    },
    sheet,
  );
}
