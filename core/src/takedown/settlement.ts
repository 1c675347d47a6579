import type { Beam } from '../building';
import { caseOf } from '../load';
import { carriedOf } from './carried';
import { Brought, type Landed } from './landed';
import type { ArrivalShape } from './shape';
import { leverOf } from './reactions';
import type { Bearer } from './support/found';

/** Whether how a beam rests depends on its stiffness. */
export const yields = (supports: readonly Bearer[]): boolean =>
  supports.some(({ spring, settlement }) => spring !== null || settlement !== 0);

const SETTLEMENT = caseOf('settlement').id;
const WHOLE = carriedOf({ [SETTLEMENT]: 1 });

/**
 * What arrives on a beam, with one more for each support that sinks: no load, whose unit is the whole settlement of that support. Each may be there or not,
 * since it may sink less. None on a beam of two supports on which it turns freely: it only leans.
 */
export function withSettlements(
  { id, body, length }: { readonly id: string; readonly body: Beam; readonly length: number },
  supports: readonly Bearer[],
  arrivals: readonly Landed[],
): readonly Landed[] {
  if (!supports.some(({ settlement }) => settlement !== 0)) return arrivals;
  if (body.hinges.length === 0 && leverOf(supports, length)) return arrivals;
  const sinking = supports.flatMap(({ at, settlement }, support) => {
    if (settlement === 0) return [];
    const shape: ArrivalShape = { type: 'distributed', from: at, to: at, start: 0, end: 0 };
    return [
      new Brought(id, `settlement${support}`, '', `settlement of support ${support + 1}`, { type: 'settlement', support }, shape, WHOLE),
    ];
  });
  return [...arrivals, ...sinking];
}
