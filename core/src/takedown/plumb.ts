import type { Building } from '../building';
import { addInto, type MemberLedger, type PlumbLevel } from './ledger';
import type { Node } from './node';
import type { LevelPlan } from './support/levelPlan';

/**
 * Force through a cut just below each level, case by case; a hanger pulls on what is above the cut and is counted against it. A level is
 * added up again only when something that its cut goes through was calculated, came or went.
 */
export class Plumb {
  private readonly kept = new Map<string, { readonly plan: LevelPlan; readonly byCase: Readonly<Record<string, number>> }>();

  /** @param fresh members that were calculated since the last time */
  read(
    building: Building,
    plans: Iterable<LevelPlan>,
    ledgers: ReadonlyMap<string, MemberLedger>,
    fresh: readonly { readonly node: Node }[],
  ): PlumbLevel[] {
    const { levels, hangers, elevation } = building;
    const stale = new Set<string>();
    const rank = new Map(levels.map(({ id }, i) => [id, i]));
    for (const { node } of fresh) {
      if (node.kind !== 'column' && node.kind !== 'wall') continue;
      const { top, base } = node.body;
      for (let i = rank.get(top) ?? Infinity; i < (rank.get(base) ?? 0); i += 1) stale.add(levels[i]!.id);
    }
    const planOf = new Map([...plans].map((plan) => [plan.id, plan]));
    // what stands on the ground above a cut goes through it too
    const above: Record<string, number> = {};
    return levels.map(({ id, body }) => {
      const plan = planOf.get(id)!;
      let posts = this.kept.get(id);
      if (!posts || posts.plan !== plan || stale.has(id)) {
        const byCase: Record<string, number> = {};
        for (const list of [plan.columnsBelow, plan.wallsBelow])
          for (const entry of list) {
            const sum = ledgers.get(entry.id)?.sum;
            if (sum) addInto(byCase, sum);
          }
        this.kept.set(id, (posts = { plan, byCase }));
      }
      for (const list of [plan.footings, plan.stripFootings])
        for (const entry of list) {
          const sum = ledgers.get(entry.id)?.sum;
          if (sum) addInto(above, sum);
        }
      const byCase = { ...posts.byCase };
      addInto(byCase, above);
      for (const [hangerId, hanger] of hangers) {
        const sum = ledgers.get(hangerId)?.sum;
        if (sum && elevation(hanger.top) >= body.elevation && elevation(hanger.base) < body.elevation) addInto(byCase, sum, -1);
      }
      return { level: id, name: body.name, elevation: body.elevation, byCase };
    });
  }
}
