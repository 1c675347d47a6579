import { BadInput } from '../error';
import { itemName, type Item, type ItemKind } from '../building';
import { BEAM_INPUTS, isAskedOf, PAD_INPUTS, type DeclaredInput, type DeclaredInputs } from '../input';
import type { Sheet } from '../sheet';
import { STANDARDS, type Standard } from '../standard';

/** Kinds of item of which limit states ask something, and where a family says what it reads. */
const ASKED = {
  beam: { inputs: BEAM_INPUTS, reads: ({ steel }) => steel.beamReads },
  footing: { inputs: PAD_INPUTS, reads: ({ concrete }) => concrete.padReads },
} as const satisfies Partial<Record<ItemKind, { inputs: DeclaredInputs; reads: (standard: Standard) => readonly string[] }>>;

export type AskedKind = keyof typeof ASKED;

/** What limit states may ask of items of a kind. */
export const inputsOf = (kind: AskedKind): DeclaredInputs => ASKED[kind].inputs;

/** Whether a family reads an input of an item. */
export const isReadBy = (standard: Standard, kind: AskedKind, field: string): boolean => ASKED[kind].reads(standard).includes(field);

/** What is typed of an item: declared inputs that do not say what an empty one says. */
function typed(kind: AskedKind, body: object): [field: string, input: DeclaredInput][] {
  return Object.entries(inputsOf(kind)).filter(([field, { empty }]) => {
    const value = (body as Record<string, unknown>)[field];
    return value !== undefined && value !== empty;
  });
}

/** Says on a sheet what is typed and not read by a family. */
export function noteUnread(standard: Standard, kind: AskedKind, body: object, sheet: Sheet): void {
  for (const [field, { title }] of typed(kind, body))
    if (!isReadBy(standard, kind, field)) sheet.note(`"${title}" is typed and not used by ${standard.title}.`);
}

/** What is taken for true with what is typed, where the family reads it and it is asked of the shape. */
export function askedAssumptions(
  standard: Standard,
  kind: AskedKind,
  body: object,
  outline: Parameters<typeof isAskedOf>[1] | null,
): { readonly key: string; readonly text: string; readonly reason: string }[] {
  return typed(kind, body).flatMap(([field, input]) =>
    input.assumption && isReadBy(standard, kind, field) && (outline === null ? !input.outlines : isAskedOf(input, outline))
      ? [{ key: field, ...input.assumption }]
      : [],
  );
}

/**
 * Refuses by name what was typed into an input of a calculation that its family does not read.
 * @throws BadInput at the field
 */
export function requireAsked(standard: Standard, kind: AskedKind, body: object): void {
  for (const [field, { title }] of typed(kind, body))
    if (!isReadBy(standard, kind, field)) throw new BadInput(`"${title}" is not used by ${standard.title}: leave it out`, field);
}

const valueOf = (item: Pick<Item, 'body'> | undefined, field: string) => (item?.body as Record<string, unknown> | undefined)?.[field];

/**
 * Refuses what was typed into a field that the codes of the project do not read. A value that was there before stays: through a change of family and
 * its way back, through edits of other fields, and in a copy of an item that has it.
 * @param after the items of the project as written
 * @param before an item as it was; undefined when it is new
 * @param touched ids that were written
 * @throws BadInput naming the item and the field
 */
export function requireRead(
  after: ReadonlyMap<string, Item>,
  before: (id: string) => Pick<Item, 'body'> | undefined,
  touched: Iterable<string>,
): void {
  let standard: Standard | undefined;
  for (const id of touched) {
    const item = after.get(id);
    if (!item) continue;
    if (!(item.kind in ASKED)) continue;
    const kind = item.kind as AskedKind;
    for (const [field, { title }] of typed(kind, item.body)) {
      const value = valueOf(item, field);
      const was = before(id);
      if (was && valueOf(was, field) === value) continue;
      standard ??= standardOf(after);
      if (!standard || isReadBy(standard, kind, field)) continue;
      if (!was && hasOther(after, item, field, value, before)) continue;
      throw new BadInput(
        `${itemName(item)}: "${title}" is not used by ${standard.title}: leave it out, or work by codes that read it`,
        field,
      );
    }
  }
}

/** An item that was there before has the same value: the new one is taken for its copy. */
function hasOther(
  items: ReadonlyMap<string, Item>,
  item: Item,
  field: string,
  value: unknown,
  before: (id: string) => Pick<Item, 'body'> | undefined,
): boolean {
  for (const other of items.values())
    if (other.kind === item.kind && other.id !== item.id && valueOf(other, field) === value && valueOf(before(other.id), field) === value)
      return true;
  return false;
}

function standardOf(items: ReadonlyMap<string, Item>): Standard | undefined {
  for (const item of items.values()) if (item.kind === 'brief') return STANDARDS[item.body.family];
  return undefined;
}
