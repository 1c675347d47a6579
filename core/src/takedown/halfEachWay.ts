import { addInto, type ByCase, type MemberLedger } from './ledger';
import { shapeForce } from './shape';
import { piecesOn } from './span';

/**
 * What each support of a beam over several would take if all that lies up to the middle of the next span went to it, by case, N: the shares of a plan by
 * areas, beside the reactions of the continuous beam, which take more at the inner supports. The two add up to the same. Null: it has fewer than three supports.
 * @returns in the order of its leaves
 */
export function halfEachWay({ kind, arrivals, leaves }: Pick<MemberLedger, 'kind' | 'arrivals' | 'leaves'>): readonly ByCase[] | null {
  if (kind !== 'beam' || leaves.length < 3) return null;
  const order = leaves.map(({ at }, leave) => ({ at, leave })).sort((a, b) => a.at - b.at);
  const zones = order.map(({ at }, i) => ({
    from: i === 0 ? -Infinity : (order[i - 1]!.at + at) / 2,
    to: i === order.length - 1 ? Infinity : (at + order[i + 1]!.at) / 2,
  }));
  const shares: Record<string, number>[] = leaves.map(() => ({}));
  for (const { source, shape, byCase } of arrivals) {
    // a support that sinks brings no load
    if (source.type === 'settlement') continue;
    for (const { span, shape: piece } of piecesOn(zones, shape)) addInto(shares[order[span]!.leave]!, byCase, shapeForce(piece));
  }
  return shares;
}
