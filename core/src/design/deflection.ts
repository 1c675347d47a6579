import type { BeamSolution } from '../beam';
import type { Beam, Brief } from '../building';
import { isPermanent, type Combination, type LoadCase } from '../load';
import { compare, type Check, type Sheet } from '../sheet';
import { arranged, type BeamModel } from './analysis';

interface Span {
  readonly from: number;
  readonly to: number;
  /** Length that the ratio is taken of: twice an overhang. */
  readonly reference: number;
  readonly title: string;
}

function spansOf(beam: Beam, length: number): Span[] {
  const at = beam.supports.map((support) => support.at).sort((a, b) => a - b);
  const spans: Span[] = [];
  for (let i = 0; i + 1 < at.length; i += 1)
    spans.push({ from: at[i]!, to: at[i + 1]!, reference: at[i + 1]! - at[i]!, title: at.length > 2 ? `span ${i + 1}` : 'span' });
  const [first, last] = [at[0]!, at.at(-1)!];
  if (first > 1) spans.unshift({ from: 0, to: first, reference: 2 * first, title: 'overhang at the start' });
  if (length - last > 1) spans.push({ from: last, to: length, reference: 2 * (length - last), title: 'overhang at the end' });
  return spans;
}

/** The part of a service combination that is variable. */
function variableOnly(combination: Combination, cases: readonly LoadCase[]): Combination {
  const permanent = new Set(cases.filter((c) => isPermanent(c.nature)).map((c) => c.id));
  return {
    ...combination,
    name: `${combination.name}, variable part`,
    factors: Object.fromEntries(Object.entries(combination.factors).filter(([id]) => !permanent.has(id))),
  };
}

interface Worst {
  readonly span: Span;
  readonly sag: number;
  readonly combination: Combination;
}

function worstOf(model: BeamModel, combinations: readonly Combination[], limit: number): Worst | undefined {
  let worst: Worst | undefined;
  for (const combination of model.distinct(combinations)) {
    for (const loaded of model.arrangements() ?? [undefined]) {
      const solution: BeamSolution = model.solve(combination, loaded);
      for (const span of spansOf(model.beam, model.length)) {
        const { max, min } = solution.extremes('deflection', span.from, span.to);
        const sag = Math.max(max.value, -min.value);
        if (!worst || (sag * limit) / span.reference > (worst.sag * limit) / worst.span.reference)
          worst = { span, sag, combination: arranged(combination, loaded) };
      }
    }
  }
  return worst;
}

/**
 * Deflection under variable and under total service load against span ratios of the brief, span by span; twice the length of
 * an overhang counts as its span. Elastic, without precamber.
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
  const lines = [
    {
      name: 'Deflection, variable',
      combinations: service.map((c) => variableOnly(c, cases)),
      ratio: transfer ? brief.deflectionTransfer : brief.deflectionVariable,
    },
    {
      name: 'Deflection, total',
      combinations: service,
      ratio: transfer ? Math.max(brief.deflectionTransfer, brief.deflectionTotal) : brief.deflectionTotal,
    },
  ];
  const checks: Check[] = [];
  for (const line of lines) {
    const worst = worstOf(model, line.combinations, line.ratio);
    if (!worst) continue;
    const { span, sag, combination } = worst;
    const limit = span.reference / line.ratio;
    const inner = sheet?.scope(line.name);
    inner?.given('EI', EI, 'stiffness', 'flexural stiffness');
    inner?.given('delta', sag, 'sectionLength', `largest deflection in the ${span.title}, ${combination.name}`, 'exact beam solution');
    inner?.given('L_s', span.reference, 'length', `reference length of the ${span.title}`);
    inner?.given('n_d', line.ratio, 'ratio', transfer ? 'limit of a beam that carries another member' : 'limit of the brief', 'brief');
    inner?.step('delta_lim', 'L_s / n_d', { L_s: span.reference, n_d: line.ratio }, limit, 'sectionLength', 'brief');
    checks.push(
      compare(
        {
          name: line.name,
          clause: transfer ? `L/${line.ratio}, transfer` : `L/${line.ratio}`,
          mode: 'service',
          kind: 'sectionLength',
          demand: sag,
          demandSymbol: 'delta',
          capacity: limit,
          capacitySymbol: 'delta_lim',
          combination: combination.name,
          reason: span.title,
        },
        inner,
      ),
    );
  }
  return checks;
}
