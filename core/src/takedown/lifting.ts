import { quantityIn } from './inUnits';
import type { Building } from '../building';
import { caseIn, combineWorst, isPermanent, type Combination } from '../load';
import type { KeptLedger, Left } from './landed';
import type { LooseEnd } from './ledger';

/**
 * Supports that a beam lifts off, hangers that would have to push, pads that would rise: judged combination by combination,
 * load that helps left out (variable) or reduced (permanent), arrival by arrival.
 */
export function liftedSupports(
  building: Building,
  ledger: KeptLedger,
  ledgers: ReadonlyMap<string, KeptLedger>,
  combinations: readonly Combination[],
): readonly LooseEnd[] {
  let lifts = false;
  for (const leave of ledger.leaves) if (canLift(ledger, leave)) lifts = true;
  if (!lifts) return NONE;
  const ends: LooseEnd[] = [];
  ledger.leaves.forEach((leave, j) => {
    if (!canLift(ledger, leave)) return;
    // permanent load source by source; of variable load what lifts, span by span
    const shares = [
      ...ledger.arrivals.flatMap((arrival, i) =>
        Object.entries(arrival.byCase)
          .map(([id, value]) => ({ loadCase: caseIn(building.cases, id), value: value * leave.shares[i]! }))
          .filter(({ loadCase }) => isPermanent(loadCase.nature)),
      ),
      ...Object.entries(leave.byCase)
        .map(([id, value]) => ({ loadCase: caseIn(building.cases, id), value: value - leave.adverse[id]! }))
        .filter(({ loadCase }) => !isPermanent(loadCase.nature)),
    ];
    let worst: { value: number; name: string } | undefined;
    for (const combination of combinations) {
      const value = combineWorst(shares, combination, -1);
      if (value < -1e-6 && (!worst || value < worst.value)) worst = { value, name: combination.name };
    }
    if (!worst) return;
    const where = ledgers.get(leave.to!)?.mark ?? 'the ground';
    const hanger = building.hangers.has(leave.to!);
    ends.push({
      key: `lifting:${ledger.id}:${j}`,
      item: ledger.id,
      title: hanger ? `${where} would be in compression` : `${ledger.mark} lifts off ${where} by ${quantityIn(-worst.value, 'force')}`,
      why: `${worst.name}: load on one side of a support lifts the other end${hanger ? ', and a hanger cannot push' : ', and nothing is said to hold it down'}.`,
      remedy: hanger ? 'Use a member that can take compression.' : 'Hold it down there and say so at the support, or weigh it down.',
      byCase: {},
    });
  });
  return ends;
}

const NONE: readonly never[] = [];

function canLift(ledger: KeptLedger, leave: Left): boolean {
  return leave.to !== null && !leave.holdsDown && !presses(ledger, leave);
}

/** True when nothing that arrives lifts this support: then no combination does. */
function presses({ arrivals }: KeptLedger, leave: Left): boolean {
  const { values, pressed } = leave.carried;
  if (pressed === values) return true;
  for (let n = 0; n < values.length; n += 1) if (values[n]! < pressed[n]! - 1e-9) return false;
  // from here on the shares of the arrivals are wanted, which are made when they are asked for
  const { shares } = leave;
  for (let i = 0; i < arrivals.length; i += 1) {
    const { carried: part } = arrivals[i]!;
    // where nothing relieves, the share alone decides
    if (part.allPresses && shares[i]! >= 0) continue;
    for (const value of part.values) if (value * shares[i]! < 0) return false;
  }
  return true;
}
