import { levelNameOf, shapeName, type Building, type MemberDesign, type MemberLedger } from '@plinth/core';

export interface MemberRow {
  readonly member: MemberDesign;
  readonly ledger: MemberLedger;
}

export const GROUPINGS = ['order', 'level', 'role', 'section'] as const;
export type Grouping = (typeof GROUPINGS)[number];

/** What heads the rows of one group, with how many there are and the worst of them. */
export interface GroupHead {
  readonly title: string;
  readonly rows: readonly MemberRow[];
  readonly worst: number | null;
}

export type ScheduleEntry = { readonly type: 'head'; readonly head: GroupHead } | { readonly type: 'row'; readonly row: MemberRow };

/** What a member is, as a schedule groups it. */
export function roleOf({ member, ledger }: MemberRow): string {
  if (member.kind === 'column') return 'columns';
  if (member.kind === 'truss') return 'trusses';
  return ledger.transfer ? 'transfer beams' : 'beams';
}

/** Level at which a member is listed: of a beam its own, of a column its top. */
export const levelIdOf = (building: Building, id: string): string => building.beams.get(id)?.level ?? building.columns.get(id)?.top ?? '';

/** Rows in the order of calculation, or gathered under heads; within a group they keep that order. Levels come from the top down. */
export function scheduleEntries(building: Building, rows: readonly MemberRow[], by: Grouping): ScheduleEntry[] {
  if (by === 'order') return rows.map((row) => ({ type: 'row', row }));
  const groups = new Map<string, MemberRow[]>();
  for (const row of rows) {
    const key =
      by === 'level'
        ? levelIdOf(building, row.member.id)
        : by === 'role'
          ? roleOf(row)
          : row.member.section
            ? shapeName(building.brief, row.member.section)
            : 'no section yet';
    const group = groups.get(key);
    if (group) group.push(row);
    else groups.set(key, [row]);
  }
  const keys = [...groups.keys()];
  if (by === 'level') keys.sort((a, b) => building.elevation(b) - building.elevation(a));
  else if (by === 'section') keys.sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  return keys.flatMap((key): ScheduleEntry[] => {
    const of = groups.get(key)!;
    const worst = of.reduce<number | null>((most, { member }) => {
      const use = member.governing?.utilisation;
      return typeof use === 'number' && (most === null || use > most) ? use : most;
    }, null);
    const title = by === 'level' ? levelNameOf(building, of[0]!.member.id) : key;
    return [{ type: 'head', head: { title, rows: of, worst } }, ...of.map((row): ScheduleEntry => ({ type: 'row', row }))];
  });
}
