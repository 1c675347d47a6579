import type { Building } from '../building';
import { CaseSum, type Carried } from './carried';
import type { PlumbLevel } from './ledger';
import type { Node } from './node';
import type { LevelPlan } from './support/levelPlan';

/**
 * Force through a cut just below each level, case by case; a hanger pulls on what is above the cut and is counted against it. A level is
 * added up again only when something that its cut goes through was calculated, came or went.
 */
export class Plumb {
  private readonly kept = new Map<string, { readonly plan: LevelPlan; readonly sum: CaseSum }>();

  /**
   * @param carriedBy what a member carries; undefined when it was not calculated
   * @param fresh columns and walls that were calculated since the last time
   */
  read(
    building: Building,
    plans: Iterable<LevelPlan>,
    carriedBy: (id: string) => Carried | undefined,
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
    const above = new CaseSum();
    const addAll = (sum: CaseSum, list: readonly { readonly id: string }[]) => {
      for (const { id } of list) {
        const carried = carriedBy(id);
        if (carried) sum.add(carried);
      }
    };
    return levels.map(({ id, body }) => {
      const plan = planOf.get(id)!;
      let posts = this.kept.get(id);
      if (!posts || posts.plan !== plan || stale.has(id)) {
        this.kept.set(id, (posts = { plan, sum: new CaseSum() }));
        addAll(posts.sum, plan.columnsBelow);
        addAll(posts.sum, plan.wallsBelow);
      }
      addAll(above, plan.footings);
      addAll(above, plan.stripFootings);
      const sum = new CaseSum();
      sum.addSum(posts.sum);
      sum.addSum(above);
      for (const [hangerId, hanger] of hangers) {
        const pull = carriedBy(hangerId);
        if (pull && elevation(hanger.top) >= body.elevation && elevation(hanger.base) < body.elevation) sum.add(pull, -1);
      }
      return { level: id, name: body.name, elevation: body.elevation, byCase: sum.byCase() };
    });
  }
}
