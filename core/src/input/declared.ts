import { z } from 'zod';
import { quantity, type Kind, type QuantityLimits } from '../quantity';
import type { Section } from '../section';

/** Of which shapes something is asked. */
type Outline = Section['shape']['outline'];

interface Common {
  /** On screen and in the head of a schedule. */
  readonly title: string;
  /** What it means, for who reads the interface. */
  readonly says: string;
  /** Shapes of which it is asked; left out: all. */
  readonly outlines?: readonly Outline[];
  /** What is taken for true once it is typed, to be confirmed by somebody; left out: nothing. */
  readonly assumption?: { readonly text: string; readonly reason: string };
}

/** Yes or no; no where nothing is typed. */
export interface Flag extends Common {
  readonly type: 'flag';
  readonly empty: false;
}

/** A quantity in core units. */
export interface Amount extends Common {
  readonly type: 'amount';
  readonly kind: Kind;
  readonly limits: QuantityLimits;
  /** Where nothing is typed. */
  readonly empty: number;
}

/**
 * An input that some limit state asks of a member, declared once: schema, interface, calculation, schedule and forms take it from here. Which families
 * read it follows from their limit states.
 */
export type DeclaredInput = Flag | Amount;
export type DeclaredInputs = Readonly<Record<string, DeclaredInput>>;

export const flag = (declared: Omit<Flag, 'type' | 'empty'>): Flag => ({ type: 'flag', empty: false, ...declared });
export const amount = (declared: Omit<Amount, 'type'>): Amount => ({ type: 'amount', ...declared });

/** What somebody typed, by input. */
export type AskedOf<D extends DeclaredInputs> = { readonly [K in keyof D]: D[K] extends Flag ? boolean : number };

type FieldsOf<D extends DeclaredInputs> = {
  [K in keyof D]: D[K] extends Flag ? z.ZodDefault<z.ZodBoolean> : z.ZodDefault<ReturnType<typeof quantity>>;
};

/** The inputs as fields of a schema. */
export function fieldsOf<D extends DeclaredInputs>(declared: D): FieldsOf<D> {
  const fields = Object.entries(declared).map(([name, input]) => [
    name,
    input.type === 'flag'
      ? z.boolean().default(false).describe(input.says)
      : quantity(input.kind, input.says, input.limits).default(input.empty).describe(input.says),
  ]);
  return Object.fromEntries(fields) as FieldsOf<D>;
}

/** What stands in each where nothing is typed. */
export function emptyOf<D extends DeclaredInputs>(declared: D): AskedOf<D> {
  return Object.fromEntries(Object.entries(declared).map(([name, { empty }]) => [name, empty])) as AskedOf<D>;
}

/** The inputs among the fields of something; what has not the field has what stands where nothing is typed. */
export function askedOf<D extends DeclaredInputs>(declared: D, body: object): AskedOf<D> {
  const typed = body as Readonly<Record<string, unknown>>;
  return Object.fromEntries(Object.entries(declared).map(([name, { empty }]) => [name, typed[name] ?? empty])) as AskedOf<D>;
}

/** The inputs that are not among those that a family reads. */
export const unreadOf = <D extends DeclaredInputs>(declared: D, reads: readonly string[]): (keyof D & string)[] =>
  Object.keys(declared).filter((name) => !reads.includes(name));

/** Whether an input is asked of a shape. */
export const isAskedOf = ({ outlines }: DeclaredInput, outline: Outline): boolean => !outlines || outlines.includes(outline);
