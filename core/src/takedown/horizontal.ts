import type { Building } from '../building';
import { caseIdOfLoad, caseIn, compareCases } from '../load';
import type { HorizontalLoad } from './ledger';

/** Horizontal parts of extra loads, summed by case. */
export function horizontalOf({ loads, cases }: Building): HorizontalLoad[] {
  const sums = new Map<string, HorizontalLoad>();
  for (const { body } of loads) {
    if (body.type !== 'point' || (body.east === 0 && body.north === 0)) continue;
    const loadCase = caseIn(cases, caseIdOfLoad(body));
    const sum = sums.get(loadCase.id) ?? { loadCase, east: 0, north: 0 };
    sums.set(loadCase.id, { loadCase, east: sum.east + body.east, north: sum.north + body.north });
  }
  return [...sums.values()].sort((a, b) => compareCases(a.loadCase, b.loadCase));
}
