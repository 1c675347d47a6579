import { BadInput } from '../error';
import { caseOf } from '../load';
import { steelGrade, type SteelGrade } from '../material';
import { formatQuantity, GRAVITY, type UnitSystem } from '../quantity';
import { catalogue, type Section } from '../section';
import { byRule, compare, failureLadder, worstVerdict, type Check, type Sheet } from '../sheet';
import { philosophyOf, type BeamActions, type Philosophy, type Segment, type Standard } from '../standard';

/** The situation that a chart is made for: a beam on two supports under an even load of floor. */
export interface SpanChartInput {
  readonly philosophy: string;
  readonly grade: string;
  readonly families: readonly string[];
  /** Permanent load beside the beam's own weight, N/mm. */
  readonly permanent: number;
  /** Spans, mm, and imposed loads of a floor of use B, N/mm: rows and columns. */
  readonly spans: readonly number[];
  readonly imposed: readonly number[];
  /** Deflection as span over so much, under imposed and under all service load. */
  readonly limitVariable: number;
  readonly limitTotal: number;
  /** No deeper than this, mm; null: any depth. */
  readonly maxDepth: number | null;
}

/** The lightest section, and what governs it; null when none of the families carries. */
export interface ChartCell {
  readonly section: string;
  readonly mass: number;
  readonly governing: string;
}

export interface ChartRow {
  readonly span: number;
  readonly cells: readonly { readonly imposed: number; readonly held: ChartCell | null; readonly free: ChartCell | null }[];
}

/** What the chart is for and what it leaves out: printed with it. */
export function chartConditions(
  standard: Standard,
  { grade, permanent, limitVariable, limitTotal }: SpanChartInput,
  units: UnitSystem,
): string[] {
  return [
    `One span on two supports, load spread evenly along it: own weight, ${formatQuantity(permanent, 'lineLoad', units)} permanent, and the imposed load of a floor of use B.`,
    `${standard.title}, steel ${grade}. Deflection at most span/${limitVariable} under imposed load and span/${limitTotal} under all of it, without precamber.`,
    'Held: the floor holds the top flange along the beam. Free: held sideways and against twisting at the supports only, load at mid-depth.',
    'Left out: bearing at the supports, connections, vibration, fire, openings in the web, construction before the floor holds anything.',
  ];
}

/** Every check of one section on one span. The sheet records the loads and all checks. */
export function chartChecks(
  standard: Standard,
  philosophy: Philosophy,
  grade: SteelGrade,
  section: Section,
  span: number,
  permanent: number,
  imposed: number,
  isHeld: boolean,
  limits: { readonly variable: number; readonly total: number },
  sheet?: Sheet,
): Check[] {
  const cases = [caseOf('permanent'), caseOf('imposed', 'B')];
  const own = section.mass * GRAVITY;
  sheet?.given('g', permanent + own, 'lineLoad', 'permanent load with own weight');
  sheet?.given('q', imposed, 'lineLoad', 'imposed load');
  sheet?.given('L', span, 'length', 'span');
  const checks: Check[] = [];
  // two loads alone: the heaviest combination governs everything
  let worst: { w: number; factors: readonly [number, number]; name: string } | null = null;
  for (const { factors, name } of philosophy.rules.strength(cases)) {
    const [G, Q] = [factors[cases[0]!.id] ?? 0, factors[cases[1]!.id] ?? 0];
    const w = G * (permanent + own) + Q * imposed;
    if (!worst || w > worst.w) worst = { w, factors: [G, Q], name };
  }
  const { w, factors, name } = worst!;
  const [moment, shear] = [(w * span ** 2) / 8, (w * span) / 2];
  if (sheet) {
    sheet.given('gamma_G', factors[0], 'ratio', name);
    sheet.given('gamma_Q', factors[1], 'ratio', name);
    sheet.step(
      'w',
      'gamma_G * g + gamma_Q * q',
      { gamma_G: factors[0], g: permanent + own, gamma_Q: factors[1], q: imposed },
      w,
      'lineLoad',
      'combination',
    );
    sheet.step('M', 'w * L^2 / 8', { w, L: span }, moment, 'moment', 'statics');
    sheet.step('V', 'w * L / 2', { w, L: span }, shear, 'force', 'statics');
  }
  const segment: Segment = {
    from: 0,
    to: span,
    peak: moment,
    quarters: [0.75 * moment, moment, 0.75 * moment],
    ends: [0, 0],
    freeTip: false,
    tensionFlangeHeld: false,
  };
  const actions: BeamActions = {
    basis: philosophy.basis,
    combination: name,
    moment,
    shear,
    range: [0, moment],
    segments: isHeld ? [] : [segment],
  };
  checks.push(...standard.steel.beam({ section, grade, actions }, philosophy, sheet?.scope('Strength')));
  const E = standard.steel.youngsModulus(grade);
  const EI = E * section.properties.Iy;
  for (const [id, title, load, formula, limit] of [
    ['deflection-variable', 'Deflection, variable', imposed, 'q', limits.variable],
    ['deflection-total', 'Deflection, total', permanent + own + imposed, '(g + q)', limits.total],
  ] as const) {
    const inner = sheet?.scope(title);
    const sag = (5 * load * span ** 4) / (384 * EI);
    inner?.given('E', E, 'stress', "Young's modulus");
    inner?.given('I', section.properties.Iy, 'secondMoment', 'major axis', section.designation);
    inner?.given('n', limit, 'ratio', 'span over');
    inner?.step(
      'delta',
      `5 * ${formula} * L^4 / (384 * E * I)`,
      { q: imposed, g: permanent + own, L: span, E, I: section.properties.Iy },
      sag,
      'sectionLength',
      'elastic',
    );
    inner?.step('delta_max', 'L / n', { L: span, n: limit }, span / limit, 'sectionLength', 'limit');
    checks.push(
      compare(
        {
          id,
          name: title,
          clause: byRule(`L/${limit}`),
          mode: 'service',
          kind: 'sectionLength',
          demand: sag,
          demandSymbol: 'delta',
          capacity: span / limit,
          capacitySymbol: 'delta_max',
        },
        inner,
      ),
    );
  }
  return checks;
}

const carries = (checks: readonly Check[]) => ['carries', 'tight'].includes(worstVerdict(checks));

/** Shapes of the families that a chart tries, by ascending mass. @throws BadInput when there are none */
function shapesOf(standard: Standard, { families, maxDepth }: Pick<SpanChartInput, 'families' | 'maxDepth'>): Section[] {
  const shapes = catalogue()
    .filter(
      ({ family, region, properties }) =>
        region === standard.profile.materials && families.includes(family) && (maxDepth === null || properties.depth <= maxDepth),
    )
    .sort((a, b) => a.mass - b.mass || a.properties.depth - b.properties.depth);
  if (shapes.length === 0)
    throw new BadInput(
      `no shape of ${families.map((family) => `"${family}"`).join(', ') || 'no family'} is that shallow, or the family is not one of ${standard.title}`,
      'families',
    );
  return shapes;
}

/** The lightest section for each span and load, held by the floor and free. */
export function spanChart(standard: Standard, input: SpanChartInput): ChartRow[] {
  const shapes = shapesOf(standard, input);
  const [philosophy, grade] = [philosophyOf(standard, input.philosophy), steelGrade(input.grade)];
  const limits = { variable: input.limitVariable, total: input.limitTotal };
  const lightest = (span: number, imposed: number, isHeld: boolean): ChartCell | null => {
    for (const section of shapes) {
      const checks = chartChecks(standard, philosophy, grade, section, span, input.permanent, imposed, isHeld, limits);
      if (carries(checks)) return { section: section.designation, mass: section.mass, governing: failureLadder(checks)[0]!.name };
    }
    return null;
  };
  return input.spans.map((span) => ({
    span,
    cells: input.imposed.map((imposed) => ({ imposed, held: lightest(span, imposed, true), free: lightest(span, imposed, false) })),
  }));
}

/** The longest span that a section carries, mm, to a millimetre; 0 when it carries none of a metre. */
export function longestSpan(standard: Standard, section: Section, imposed: number, isHeld: boolean, input: SpanChartInput): number {
  const [philosophy, grade] = [philosophyOf(standard, input.philosophy), steelGrade(input.grade)];
  const limits = { variable: input.limitVariable, total: input.limitTotal };
  const does = (span: number) => carries(chartChecks(standard, philosophy, grade, section, span, input.permanent, imposed, isHeld, limits));
  let [low, high] = [0, 1000];
  while (high < 60_000 && does(high)) [low, high] = [high, high * 1.5];
  while (high - low > 0.5) {
    const middle = (low + high) / 2;
    if (does(middle)) low = middle;
    else high = middle;
  }
  return Math.floor(low);
}
