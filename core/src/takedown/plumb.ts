import type { Building } from '../building';
import { addInto, type MemberLedger, type PlumbLevel } from './ledger';

/** Force through a cut just below each level, case by case; a hanger pulls on what is above the cut and is counted against it. */
export function plumbOf(building: Building, ledgers: ReadonlyMap<string, MemberLedger>): PlumbLevel[] {
  const { levels, columns, walls, hangers, footings, stripFootings, elevation } = building;
  const cuts = levels.map(({ id, body }) => ({
    level: id,
    name: body.name,
    elevation: body.elevation,
    byCase: {} as Record<string, number>,
  }));
  const rank = new Map(levels.map(({ id }, i) => [id, i]));
  /** Adds a member to every cut from that of its top down to above its base. */
  const through = (id: string, member: { readonly base: string; readonly top: string }, sign: number) => {
    const sum = ledgers.get(id)?.sum;
    const base = elevation(member.base);
    if (sum)
      for (let i = rank.get(member.top) ?? cuts.length; i < cuts.length && cuts[i]!.elevation > base; i += 1)
        addInto(cuts[i]!.byCase, sum, sign);
  };
  for (const members of [columns, walls]) for (const [id, member] of members) through(id, member, 1);
  for (const [id, hanger] of hangers) through(id, hanger, -1);
  for (const members of [footings, stripFootings])
    for (const [id, { level }] of members) {
      const sum = ledgers.get(id)?.sum;
      if (sum) for (let i = rank.get(level) ?? cuts.length; i < cuts.length; i += 1) addInto(cuts[i]!.byCase, sum);
    }
  return cuts;
}
