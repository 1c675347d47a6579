import { KIND_WORD, PART, standing, STANDING_KINDS, type Building, type ItemKind, type StandingKind } from '@plinth/core';

/** Everything of some kinds that could be named as a support, for a list. */
export function supportOptions(building: Building, self: string, kinds: readonly ItemKind[]): { value: string; label: string }[] {
  const { trusses } = building;
  const options = STANDING_KINDS.flatMap((kind) =>
    [...standing(building, kind)].flatMap(([id, { mark }]) => {
      const own: StandingKind = trusses.has(id) ? 'truss' : kind;
      return id === self || !kinds.includes(own) ? [] : [{ value: id, label: `${mark} (${KIND_WORD[own]})` }];
    }),
  );
  return [{ value: '', label: 'nothing' }, ...options.sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))];
}

/** Which items are shown: of every status, or of one. */
export type StatusFilter = 'every' | 'new' | 'existing' | 'removed';

/** What has no status, such as a gridline, is shown always. */
export function hasStatus(body: object, wanted: StatusFilter): boolean {
  return wanted === 'every' || !('status' in body) || body.status === wanted;
}

/** The building with only those members of it that have a status: what the plan draws. */
export function ofStatus(building: Building, wanted: StatusFilter): Building {
  if (wanted === 'every') return building;
  const some = STANDING_KINDS.map((kind) => [
    PART[kind],
    new Map<string, object>([...standing(building, kind)].filter(([, body]) => hasStatus(body, wanted))),
  ]);
  return { ...building, ...(Object.fromEntries(some) as Partial<Building>), removed: wanted === 'removed' ? building.removed : [] };
}
