import { z } from 'zod';
import { quantity } from '../../quantity';
import { mayBeGone, text } from '../../schema';

const joint = text(24).default('').describe('mark of the joint that is chosen for it, such as J3; empty: none');
const contact = z
  .int()
  .min(1)
  .max(60)
  .default(1)
  .describe('which of several between the same two, counted along the member from its start; 1: the first');
// it may be gone, or lie elsewhere: what was said is then a loose end, and stops nobody from taking away what it names
const to = mayBeGone('id of the member that takes it');

/** How a support holds a beam. */
export const held = {
  holdsDown: z.boolean().default(false).describe('true when the connection can hold the beam down'),
  fixed: z
    .boolean()
    .default(false)
    .describe('true when the connection holds the beam against turning: the moment goes into what it rests on'),
  spring: quantity('lineLoad', 'force per length under which it goes down', { above: 0 })
    .nullable()
    .default(null)
    .describe('force per length under which it goes down; null: it does not'),
  settlement: quantity('sectionLength', 'how far it sinks below the others, downward')
    .default(0)
    .describe('how far it may sink below the other supports, downward; of one on a spring its foot. Read with the sign'),
};

/** What is said of a beam's connection, under what it joins: it holds whatever is drawn or moved elsewhere. */
export const beamConnectionSchema = z.strictObject({
  to,
  end: z.enum(['start', 'end', 'along']).describe('where on the beam: with its start, with its end, or along it'),
  contact,
  ...held,
  eccentricity: quantity('sectionLength', 'distance from the axis of the column at which it bears', { min: 0 })
    .nullable()
    .default(null)
    .describe('distance from the axis of the column at whose side it bears; null: the nominal one of simple construction'),
  joint,
});

/** What is said of the connection of a post at its foot, or of a hanger at its head. */
export const postConnectionSchema = z.strictObject({ to, end: z.enum(['foot', 'head']), contact, joint });

/** What is said of any connection. */
export type ConnectionSaid = Pick<z.output<typeof beamConnectionSchema>, 'to' | 'contact'> & { readonly end: string };
export type BeamConnection = z.output<typeof beamConnectionSchema>;
export type PostConnection = z.output<typeof postConnectionSchema>;

/** A connection of which nothing is said yet. */
export const newBeamConnection = (typed: z.input<typeof beamConnectionSchema>): BeamConnection => beamConnectionSchema.parse(typed);

/** Whether anything is said of how a connection holds its beam. */
export const saysHeld = ({ holdsDown, fixed, spring, settlement }: Pick<BeamConnection, keyof typeof held>): boolean =>
  holdsDown || fixed || spring !== null || settlement !== 0;

/** Whether anything is said of it at all. */
export const saysAnything = (one: BeamConnection): boolean => saysHeld(one) || one.eccentricity !== null || one.joint !== '';
