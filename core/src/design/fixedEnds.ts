import { BeamModel, type EndSet } from '../analysis';
import type { Combination } from '../load';
import { formatQuantity } from '../quantity';
import { byRule, unproven, type Check, type Sheet } from '../sheet';
import type { Philosophy } from '../standard';
import type { MemberLedger } from '../takedown';
import type { Context } from './context';
import { stiffnessBy } from './stiffness';

export const FIXING = { id: 'moment-of-a-fixed-beam', name: 'Moment of a fixed beam' } as const;

/** A beam that is fixed to a member, and the largest moment that it brings of either sign. */
interface FixedBeam {
  readonly mark: string;
  /** The set of forces with it; null: nothing acts on it. */
  readonly worst: EndSet | null;
}

/** The beams that are fixed to a member. */
function fixedBeams(
  { building, takedown, standard }: Context,
  ledger: Pick<MemberLedger, 'arrivals'>,
  combinations: readonly Combination[],
): FixedBeam[] {
  const seen = new Set<string>();
  return ledger.arrivals.flatMap(({ source }) => {
    if (source.type !== 'member') return [];
    const { member, leave } = source;
    const beam = building.beams.get(member);
    const support = beam?.supports[leave];
    const key = `${member}.${leave}`;
    if (!beam || !support?.fixed || seen.has(key)) return [];
    seen.add(key);
    const model = new BeamModel(beam, takedown.members.get(member)!.arrivals, stiffnessBy(standard)(building, beam), building.cases);
    const sets = model.endSets(leave, combinations);
    const worst = sets.reduce<EndSet | null>((a, b) => (a && Math.abs(a.forces.My) >= Math.abs(b.forces.My) ? a : b), null);
    return [{ mark: beam.mark, worst }];
  });
}

/** A row that says what is missing on a member for each beam that is fixed to it: it takes their moments, and is not designed for them. */
export function fixedEndChecks(context: Context, ledger: Pick<MemberLedger, 'arrivals'>, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const found = fixedBeams(context, ledger, context.combinations(philosophy).strength);
  if (found.length === 0) return [];
  const { units } = context.building.brief;
  const named = found
    .map(({ mark, worst }) =>
      worst
        ? `${mark} is fixed to it and brings ${formatQuantity(Math.abs(worst.forces.My), 'moment', units)} (${worst.loading.combination.name})`
        : `${mark} is fixed to it`,
    )
    .join('; ');
  return [unproven(FIXING, byRule('statics'), 'ductile', `${named}: that moment is not designed for yet`, sheet)];
}
