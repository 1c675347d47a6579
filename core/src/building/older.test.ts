import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { computeProject, ProjectEngine } from '../design';
import { isClosedMoment } from '../takedown';
import { MODEL_VERSION, upgradeItem, type Item } from '.';
import { ITEM_SCHEMAS, itemSchema } from './item';

interface Older {
  readonly version: number;
  readonly buildings: Readonly<Record<string, readonly { readonly id: string; readonly kind: string; readonly body: object }[]>>;
}

const DIRECTORY = new URL('./older/', import.meta.url);

/** Buildings as programs of every version since the first wrote them: the demonstration buildings of that day. */
const OLDER = readdirSync(DIRECTORY)
  .sort()
  .map((file) => ({ file, ...(JSON.parse(readFileSync(new URL(file, DIRECTORY), 'utf8')) as Older) }));

describe('buildings of earlier versions', () => {
  it('stand here of every version', () => {
    expect(new Set(OLDER.map(({ version }) => version))).toEqual(new Set(Array.from({ length: MODEL_VERSION }, (_, i) => i + 1)));
  });
  it.each(
    OLDER.flatMap(({ file, version, buildings }) =>
      Object.entries(buildings).map(([name, items]) => [file, name, version, items] as const),
    ),
  )('%s, %s: is read, wants nothing, and is taken down and designed', (_file, _name, version, stored) => {
    const items = stored.map((raw) => upgradeItem(raw, version) as Item);
    for (const item of items) {
      // what is read is what the schema would read, with nothing left to fill in
      expect(itemSchema.parse(item), item.id).toEqual(item);
      expect(ITEM_SCHEMAS[item.kind].parse(item.body), item.id).toEqual(item.body);
    }
    const project = computeProject(items);
    expect(project.designs.members().length).toBeGreaterThan(10);
    for (const line of project.takedown.balance) {
      expect(Math.abs(line.gap.force)).toBeLessThan(1e-6);
      expect([isClosedMoment(line, 'aboutX'), isClosedMoment(line, 'aboutY')]).toEqual([true, true]);
    }
    // nothing that came since acts on it
    expect(project.takedown.cases.some(({ nature }) => nature === 'settlement')).toBe(false);
    expect(project.takedown.looseEnds.filter(({ key }) => /^(stiffness|connection):/.test(key))).toEqual([]);
    expect(new ProjectEngine().run(items).designs.members().length).toBe(project.designs.members().length);
  });
});
