import { newBeamConnection, saysAnything, type BeamConnection, type ConnectionSaid } from './schema/connection';

/** Where on the supported member a connection lies: at an end of a beam, along it, at the foot of a post or wall, at the head of a hanger. */
export type ConnectionEnd = 'start' | 'end' | 'along' | 'foot' | 'head';

/** Which of the connections between two items one is. */
export interface Contact {
  readonly end: ConnectionEnd;
  /** 1 for the first of that kind between the two, counted along the member. */
  readonly contact: number;
}

/** A beam that rests no further than this from its end rests there with its end, mm: drawn to the axis, to a face, or past it on its bearing. */
const AT_END = 300;

/** Which end of a beam lies at a place. at, length: mm */
function endAt(at: number, length: number): BeamConnection['end'] {
  if (at <= AT_END && at < length / 2) return 'start';
  return length - at <= AT_END ? 'end' : 'along';
}

/** A beam supported nearer to its end than this ends there, at the side of a column; one that runs further is over it, and bears centrally. mm */
const AT_SIDE = 50;

/** Whether a beam ends at a place, so that it bears on a column off its axis. at, length: mm from its start */
export const endsAt = (at: number, length: number): boolean => at < AT_SIDE || at >= length - AT_SIDE;

/**
 * Which connection each place is at which a beam rests: told by what carries it there and by the end, so that it stays the same when anything else is
 * drawn, moved or taken away.
 * @param places in order along the beam, mm from its start
 * @param length of the beam, mm
 */
export function contactsOf(
  places: readonly { readonly by: string | null; readonly at: number }[],
  length: number,
): (Contact & { readonly end: BeamConnection['end'] })[] {
  const seen: Record<string, number> = {};
  return places.map(({ by, at }) => {
    const end = endAt(at, length);
    const key = `${end} ${by ?? ''}`;
    return { end, contact: (seen[key] = (seen[key] ?? 0) + 1) };
  });
}

/** The name of a connection: ids of the supported member and of what carries it, the end, and a number from the second of a kind on. */
export function connectionKey(supported: string, supporting: string, { end, contact }: Contact): string {
  return `${supported}>${supporting}:${end}${contact > 1 ? contact : ''}`;
}

/** What was said of a connection; undefined: nothing. */
export function saidOf<S extends ConnectionSaid>(said: readonly S[], by: string | null, { end, contact }: Contact): S | undefined {
  return said.find((one) => one.to === by && one.end === end && one.contact === contact);
}

/** Whether a connection of which something is said is among those that a beam has. @param contacts of the places, in their order */
export function isAmong(
  { to, end, contact }: ConnectionSaid,
  places: readonly { readonly by: string | null }[],
  contacts: readonly Contact[],
): boolean {
  return places.some(({ by }, i) => by === to && contacts[i]!.end === end && contacts[i]!.contact === contact);
}

/** What the two pieces of a split beam keep of what is said: each its end; of a connection along it nobody knows here on which piece it lies. */
export function splitConnections(said: readonly BeamConnection[]): readonly [BeamConnection[], BeamConnection[]] {
  return [said.filter(({ end }) => end !== 'end'), said.filter(({ end }) => end !== 'start')];
}

/** What one of two joined beams brings to the whole. @param atStart whether its start is an end of the whole. turned: it runs the other way */
export function broughtConnections(
  said: readonly BeamConnection[],
  { atStart, atEnd, turned }: { readonly atStart: boolean; readonly atEnd: boolean; readonly turned: boolean },
): BeamConnection[] {
  const outer = { start: atStart, end: atEnd, along: false };
  const other = { start: 'end', end: 'start', along: 'along' } as const;
  return said.map((one) => ({ ...one, end: !outer[one.end] ? 'along' : turned ? other[one.end] : one.end }));
}

/** Connections of two lists, each once: the first that names it. */
export function togetherConnections(...lists: readonly (readonly BeamConnection[])[]): BeamConnection[] {
  return lists.flat().filter((one, i, all) => all.findIndex((other) => saidOf([other], one.to, one) !== undefined) === i);
}

/** The list with something else said of one connection; one of which nothing is said any more is not in it. */
export function withSaid(
  said: readonly BeamConnection[],
  to: string,
  { end, contact }: Contact & { readonly end: BeamConnection['end'] },
  change: Partial<Omit<BeamConnection, 'to' | 'end' | 'contact'>>,
): BeamConnection[] {
  const known = saidOf(said, to, { end, contact });
  const now = { ...(known ?? newBeamConnection({ to, end, contact })), ...change };
  const list = known ? said.map((one) => (one === known ? now : one)) : [...said, now];
  return list.filter((one) => one !== now || saysAnything(now));
}
