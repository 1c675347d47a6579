import type { Building } from '../building';
import { addInto, type MemberLedger, type PlumbLevel } from './ledger';

/** Force through a cut just below each level, case by case; a hanger pulls on what is above the cut and is counted against it. */
export function plumbOf(building: Building, ledgers: ReadonlyMap<string, MemberLedger>): PlumbLevel[] {
  const { levels, columns, walls, hangers, footings, elevation } = building;
  return levels.map(({ id, body }) => {
    const byCase: Record<string, number> = {};
    const z = body.elevation;
    const crosses = (member: { base: string; top: string }) => elevation(member.base) < z && elevation(member.top) >= z;
    for (const members of [columns, walls])
      for (const [key, member] of members) if (crosses(member)) addInto(byCase, ledgers.get(key)?.sum ?? {});
    // a hanger pulls on what is above the cut: its tension is counted against the cut's total
    for (const [key, member] of hangers) if (crosses(member)) addInto(byCase, ledgers.get(key)?.sum ?? {}, -1);
    for (const [key, footing] of footings) if (elevation(footing.level) >= z) addInto(byCase, ledgers.get(key)?.sum ?? {});
    return { level: id, name: body.name, elevation: z, byCase };
  });
}
