import { describe, expect, it } from 'vitest';
import { STANDARDS } from '../standard';
import { defaultBrief, item, readItem, readItems, requireConsistent, upgradeItem, type Item } from '.';
import { FAMILIES, profileOf } from '../family';
import { z } from 'zod';
import { id, isLoose, referenceFields } from '../schema';
import { ITEM_SCHEMAS } from './item';

const at = { x: 0, y: 0 };
const column = (body: object = {}) => item('column', 'C', { mark: 'C1', at, base: 'L0', top: 'L1', by: null, ownWeight: 0.3, ...body });
const building = (...more: Item[]): Item[] => [
  item('brief', 'brief', defaultBrief('A shed', 'european')),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('level', 'L1', { name: 'First', elevation: 3000 }),
  ...more,
];
const mapOf = (items: readonly Item[]) => new Map(items.map((entry) => [entry.id, entry]));
const plain = (items: readonly Item[]) => JSON.parse(JSON.stringify(items)) as unknown[];

describe('what holds at every door', () => {
  it('lets a sound project pass', () => {
    expect(() => readItems(plain(building(column({ heldY: [1500] }))))).not.toThrow();
  });
  it.each([
    ['an id that stands twice', building(column(), { ...column(), kind: 'column' } as Item), 'two items have the id "C"'],
    ['two briefs', building(item('brief', 'other', defaultBrief('Other', 'european'))), 'one brief, not two'],
    ['no brief', building().slice(1), 'needs a brief'],
    ['a reference to nothing', building(column({ by: 'F9' })), 'refers to "F9"'],
    ['a reference to another kind', building(column({ by: 'L1' })), 'is a level'],
    ['a base above the top', building(column({ base: 'L1', top: 'L0' })), 'its base (First) must lie below its top (Ground)'],
    ['a base at the top', building(column({ base: 'L1' })), 'must lie below'],
    ['a restraint above the top', building(column({ heldZ: [1000, 3500] })), 'lies above its top'],
    ['two levels at one elevation', building(item('level', 'L2', { name: 'Other', elevation: 3000 })), 'same elevation'],
  ] as const)('refuses %s', (_, items, message) => {
    expect(() => readItems(plain(items))).toThrow(message);
  });
  it('refuses a permanent action whose cases would be absent, or turned round', () => {
    const dead = (more: object) =>
      item('action', 'D', { name: 'Cladding', nature: 'permanent', cases: [{ id: '1', name: 'one' }], ...more });
    expect(() => readItems(plain(building(dead({}))))).not.toThrow();
    expect(() => readItems(plain(building(dead({ relation: 'alternatives' }))))).toThrow(
      'Cladding is permanent: its cases act all at once',
    );
    expect(() => readItems(plain(building(dead({ direction: 'bothWays' }))))).toThrow('Cladding is permanent: it acts as it is given');
  });
  it('refuses combination rules of another family, and knows those of each', () => {
    const brief = { ...defaultBrief('A shed', 'american'), combinationRule: '6.10' as const };
    expect(() => readItems(plain([item('brief', 'brief', brief)]))).toThrow('must be LRFD or ASD');
    for (const family of FAMILIES) {
      const { philosophies } = STANDARDS[family].loads;
      expect([...profileOf(family).rules].sort()).toEqual(philosophies.map(({ id }) => id).sort());
      for (const { rules } of philosophies) expect(rules.serviceLevels).toEqual(profileOf(family).serviceLevels);
    }
  });
  it('leaves alone what was stored before, until it or its levels are written again', () => {
    const items = mapOf(building(column({ base: 'L1', top: 'L0' })));
    expect(() => requireConsistent(items, new Set(['brief']))).not.toThrow();
    for (const id of ['C', 'L1']) expect(() => requireConsistent(items, new Set([id]))).toThrow('must lie below');
  });
  it('finds what still refers to an item that was deleted', () => {
    const items = mapOf(building(column()));
    items.delete('L1');
    expect(() => requireConsistent(items, new Set(['L1']))).toThrow('refers to "L1"');
  });
  it('refuses unknown fields by name, nested too, but drops those of files from before that rule', () => {
    const wall = {
      id: 'W',
      kind: 'wall',
      body: {
        mark: 'W1',
        from: at,
        to: { x: 4000, y: 0, z: 0 },
        base: 'L0',
        top: 'L1',
        by: null,
        weight: 0.004,
        thicknes: 215,
        openings: [{ from: 500, to: 1400, head: 2100, lintel: 1 }],
      },
    };
    expect(() => readItem(wall)).toThrow('"thicknes" is not a field here: did you mean "thickness"?');
    expect(() => readItem(wall)).toThrow('"lintel" is not a field here');
    expect(() => readItem(upgradeItem(wall, 1))).not.toThrow();
    expect(() => readItem(upgradeItem(wall, 2))).toThrow('thicknes');
    expect(() => readItem({ id: 'W', kind: 'wal', body: {} })).toThrow('did you mean "wall"?');
  });
  it('every field that holds the id of another item says of which kinds it may be', () => {
    const pattern = /A-Za-z0-9_-\]\{1,40\}/;
    const bare = (schema: z.ZodType, path: string): string[] => {
      const { def } = schema._zod as unknown as {
        def: { type: string; innerType?: z.ZodType; element?: z.ZodType; shape?: Record<string, z.ZodType> };
      };
      if (def.innerType) return bare(def.innerType, path);
      if (def.type === 'array') return bare(def.element!, `${path}.*`);
      if (def.type === 'object') return Object.entries(def.shape!).flatMap(([field, inner]) => bare(inner, `${path}.${field}`));
      if (isLoose(schema)) return [];
      return def.type === 'string' && pattern.test(JSON.stringify(z.toJSONSchema(schema))) && referenceFields(schema).length === 0
        ? [path]
        : [];
    };
    expect(bare(z.strictObject({ of: id }), 'trial')).toEqual(['trial.of']);
    for (const [kind, schema] of Object.entries(ITEM_SCHEMAS)) expect(bare(schema, kind)).toEqual([]);
  });
});
