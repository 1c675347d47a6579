import { contactsOf, endsAt, isAmong, saidOf, saysHeld, type Beam, type BeamConnection, type PostConnection } from '../../building';
import { FIRM, type Bearer, type SupportDoubt } from './found';
import type { LevelPlan } from './levelPlan';

/** How a connection holds a beam. */
type Held = Pick<Bearer, 'holdsDown' | 'fixed' | 'spring' | 'settlement'>;
type Place = Pick<Bearer, 'by' | 'at'>;

/** A connection of which nothing is said. */
export const LOOSE: Held = { holdsDown: false, ...FIRM };

/** How each connection of a beam whose supports are found holds it. @param places in order along the beam. length: mm */
export function heldAs({ connections }: Pick<Beam, 'connections'>, places: readonly Place[], length: number): readonly Held[] {
  const contacts = contactsOf(places, length);
  return places.map(({ by }, i) => {
    const said = saidOf(connections, by, contacts[i]!);
    if (!said) return LOOSE;
    const { holdsDown, fixed, spring, settlement } = said;
    return { holdsDown, fixed, spring, settlement };
  });
}

const END_WORDS = { start: 'at its start', end: 'at its end', along: 'along it', foot: 'at its foot', head: 'at its head' } as const;

/** What was said of a connection, in words. */
function saidInWords(one: BeamConnection | PostConnection): string {
  const words: string[] = [];
  if ('fixed' in one) {
    if (one.fixed) words.push('to be fixed');
    if (one.holdsDown) words.push('to be held down');
    if (one.spring !== null) words.push('to yield');
    if (one.settlement !== 0) words.push('to sink');
    if (one.eccentricity !== null) words.push('to bear off the axis');
  }
  if (one.joint !== '') words.push(`to have joint ${one.joint}`);
  return words.length === 0 ? 'to be one' : words.join(' and ');
}

/** The mark of whatever lies, stands or ends at a level. */
function markAt(level: LevelPlan, id: string): string | null {
  const lists = [level.beams, level.columnsBelow, level.wallsBelow, level.footings, level.stripFootings, level.hangersBelow];
  for (const list of lists) for (const entry of list) if (entry.id === id) return entry.body.mark;
  return null;
}

interface Supported {
  readonly id: string;
  readonly body: { readonly mark: string; readonly connections: readonly (BeamConnection | PostConnection)[] };
}

/**
 * What was said of connections that are not there any more: the member would do otherwise without a word.
 * @param is whether it has such a connection
 */
export function lostConnections(
  level: LevelPlan,
  { id, body }: Supported,
  is: (said: BeamConnection | PostConnection) => boolean,
): SupportDoubt[] {
  return body.connections
    .filter((said) => !is(said))
    .map((said): SupportDoubt => ({
      kind: 'connection',
      item: id,
      title: `${body.mark}: its connection ${END_WORDS[said.end]} with ${markAt(level, said.to) ?? 'what carried it'} is not there any more`,
      why: `It was said ${saidInWords(said)}. It was moved, or what carries it was moved or taken away: it is calculated as if nobody had said so.`,
      remedy: 'Say it of the connection that it has now, and clear what was said of this one.',
    }));
}

/** Those of a beam, with what is said of connections that cannot have it. @param places on which it rests, in order. length: mm */
export function beamConnectionDoubts(
  level: LevelPlan,
  { id, body, line: { length } }: { readonly id: string; readonly body: Beam; readonly line: { readonly length: number } },
  places: readonly Place[],
): SupportDoubt[] {
  const { connections } = body;
  const contacts = contactsOf(places, length);
  const doubts = lostConnections(level, { id, body }, (said) => isAmong(said, places, contacts));
  const unread = (said: BeamConnection, what: string, why: string, remedy: string) =>
    doubts.push({
      kind: 'connection',
      item: id,
      title: `${body.mark}: ${what} of its connection ${END_WORDS[said.end]} with ${markAt(level, said.to) ?? said.to} is not read`,
      why,
      remedy,
    });
  for (const said of connections) {
    if (said.eccentricity !== null) {
      const column = level.columnsBelow.find(({ id }) => id === said.to);
      const place = places.find((_, i) => isAmong(said, [places[i]!], [contacts[i]!]));
      if (place && (!column || !endsAt(place.at, length)))
        unread(said, 'the eccentricity', 'It is that of a beam that ends at the side of a column.', 'Clear it.');
      else if (column?.body.beamsBear === 'central')
        unread(
          said,
          'the eccentricity',
          `Beams are said to bear centrally on ${column.body.mark}.`,
          'Clear it, or let them bear off its face.',
        );
    }
    if (saysHeld(said) && !body.supportsFound)
      unread(
        said,
        'how it is held',
        'Its supports are named, and say themselves how each holds it.',
        'Say it of the support, and clear it here.',
      );
  }
  if (body.supportsFound && body.supports.some(saysHeld))
    doubts.push({
      kind: 'connection',
      item: id,
      title: `${body.mark}: how its supports are said to hold it is not read`,
      why: 'They are found from the plan, and what is said of one that is found is said of its connection.',
      remedy: 'Say it of the connection, in its form; or name its supports.',
    });
  return doubts;
}
