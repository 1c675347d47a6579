import { describe, expect, it } from 'vitest';
import type { Item } from '../building';
import { bay } from './bay.test.data';
import { requireRead } from './unreadFields';

type Family = 'european' | 'american' | 'british';

const project = (family: Family) => new Map((bay({ family }) as Item[]).map((item) => [item.id, item]));
const beamIn = (items: ReadonlyMap<string, Item>) =>
  [...items.values()].find((item) => item.kind === 'beam')! as Extract<Item, { kind: 'beam' }>;
const untwisted = (beam: Extract<Item, { kind: 'beam' }>, more: object = {}): Item => ({
  ...beam,
  body: { ...beam.body, untwisted: true, ...more },
});

/** Writes items to a project. */
const write = (items: ReadonlyMap<string, Item>, ...written: Item[]) => {
  const after = new Map(items);
  for (const item of written) after.set(item.id, item);
  requireRead(
    after,
    (id) => items.get(id),
    written.map(({ id }) => id),
  );
  return after;
};

describe('a field of an item that the codes of the project do not read', () => {
  it('is refused by name when somebody types it', () => {
    const items = project('british');
    expect(() => write(items, untwisted(beamIn(items)))).toThrow('"channel held against twisting" is not used by BS 5950-1');
    expect(() => write(items, { ...untwisted(beamIn(items)), id: 'another' })).toThrow('is not used by');
  });
  it.each(['european', 'american'] as const)('is taken where it is read: %s', (family) => {
    const items = project(family);
    expect(write(items, untwisted(beamIn(items))).size).toBe(items.size);
  });
  it('stays through a change of family, edits of other fields, and in a copy', () => {
    const items = project('european');
    const brief = [...items.values()].find((item) => item.kind === 'brief')!;
    const held = write(items, untwisted(beamIn(items)));
    const british = write(held, { ...brief, body: { ...brief.body, family: 'british', combinationRule: 'BS5950' } } as Item);
    const edited = write(british, untwisted(beamIn(items), { note: 'looked at' }));
    const copied = write(edited, { ...beamIn(edited), id: 'copy' });
    // taken off it stays off
    const off = write(copied, beamIn(items), { ...beamIn(items), id: 'copy' });
    expect(() => write(off, untwisted(beamIn(items)))).toThrow('is not used by');
  });
});
