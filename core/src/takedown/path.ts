import { arrivalTotal, totalOf, type Takedown } from './ledger';

/**
 * A member with all that stands beneath it, and of what it carries as much as the limit allows, what brings most first.
 * @param limit how many members at most, beside those beneath
 */
export function pathOf({ members }: Pick<Takedown, 'members'>, id: string, limit = 18): Set<string> {
  const path = new Set<string>();
  const down = [id];
  for (const next of down) {
    if (path.has(next)) continue;
    path.add(next);
    for (const { to } of members.get(next)?.leaves ?? []) if (to !== null && members.has(to)) down.push(to);
  }
  const waiting = new Map<string, number>();
  const look = (carrier: string) => {
    for (const arrival of members.get(carrier)?.arrivals ?? [])
      if (arrival.source.type === 'member' && !path.has(arrival.source.member)) {
        const { member } = arrival.source;
        waiting.set(member, (waiting.get(member) ?? 0) + Math.abs(totalOf(arrivalTotal(arrival))));
      }
  };
  look(id);
  for (let n = 0; n < limit && waiting.size > 0; n += 1) {
    let [next, most] = ['', -1];
    for (const [member, brings] of waiting) if (brings > most) [next, most] = [member, brings];
    waiting.delete(next);
    path.add(next);
    look(next);
  }
  return path;
}

/** The takedown of some members alone: what a drawing of their path needs. */
export function onlyMembers(takedown: Takedown, ids: ReadonlySet<string>): Takedown {
  return {
    ...takedown,
    order: takedown.order.filter((id) => ids.has(id)),
    members: new Map([...takedown.members].filter(([id]) => ids.has(id))),
  };
}

/** The member that hands most to the ground. Null when nothing reaches it. */
export function heaviestOnGround({ members }: Pick<Takedown, 'members'>): string | null {
  let best: string | null = null;
  let most = -Infinity;
  for (const [id, { leaves, sum }] of members)
    if (leaves.some(({ to }) => to === 'ground') && totalOf(sum) > most) {
      most = totalOf(sum);
      best = id;
    }
  return best;
}
