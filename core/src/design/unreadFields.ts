import { BadInput } from '../error';
import { itemName, type Item, type ItemKind } from '../building';
import { STANDARDS, type Standard } from '../standard';

interface UnreadField {
  readonly kind: ItemKind;
  readonly field: string;
  /** Its name on screen. */
  readonly title: string;
  readonly isUnread: (standard: Standard) => boolean;
  /** Value that says nothing: what an item has when nobody typed it. */
  readonly empty: unknown;
}

/** Fields of items that some family of codes does not read. */
const FIELDS: readonly UnreadField[] = [
  {
    kind: 'beam',
    field: 'untwisted',
    title: 'held against twisting',
    isUnread: ({ steel }) => steel.unread.member.includes('throughShearCentre'),
    empty: false,
  },
];

/** Whether a family reads a field of an item. */
export const isReadBy = (standard: Standard, kind: ItemKind, field: string): boolean =>
  !FIELDS.some((one) => one.kind === kind && one.field === field && one.isUnread(standard));

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
    for (const { kind, field, title, isUnread, empty } of FIELDS) {
      if (item.kind !== kind) continue;
      const value = valueOf(item, field);
      const was = before(id);
      if (value === empty || (was && valueOf(was, field) === value)) continue;
      standard ??= standardOf(after);
      if (!standard || !isUnread(standard)) continue;
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
