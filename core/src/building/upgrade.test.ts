import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { ebbwickSailLoft, quillfernToolLibrary } from '../exchange';
import { defaultBrief, MODEL_VERSION, item, readItem, upgradeStored, type Beam } from '.';
import { ITEM_SCHEMAS } from './item';

/** The body that an item of a version has now. */
const upgradeBody = (kind: string, body: unknown, version: number) => upgradeStored({ kind, body }, version).body;

describe('items that an earlier version kept', () => {
  it('get the fields that came since, as if nothing was typed', () => {
    const now = item('beam', 'B', { mark: 'B', level: 'L', from: { x: 0, y: 0 }, to: { x: 1, y: 0 }, ownWeight: 1, supports: [] });
    if (now.kind !== 'beam') throw new Error('a beam was made');
    const { serves, precamber, ...old } = now.body;
    expect([serves, precamber]).toEqual(['floor', 0]);
    expect(upgradeBody('beam', old as typeof now.body, 1)).toEqual(now.body);
    expect(upgradeBody('beam', now.body, MODEL_VERSION)).toBe(now.body);
  });
  it('and keep those that they have', () => {
    const brief = readItem(item('brief', 'brief', { ...defaultBrief('Old', 'european'), deflectionCrane: 800 }));
    if (brief.kind !== 'brief') throw new Error('a brief was made');
    const { deflectionMostTotal, ...old } = brief.body;
    expect(deflectionMostTotal).toBeNull();
    expect(upgradeBody('brief', old as typeof brief.body, 1)).toEqual(brief.body);
  });
  it('loads of a build-up, and typed ones, are of the usual case of their nature, from every version', () => {
    const now = readItem(item('buildUp', 'b', { name: 'Roof', layers: [], variable: [{ name: 'snow', load: 0.0006, nature: 'snow' }] }));
    if (now.kind !== 'buildUp') throw new Error('a build-up was made');
    const old = { ...now.body, variable: [{ name: 'snow', load: 0.0006, nature: 'snow' }] };
    for (const version of [1, 2]) expect(upgradeBody('buildUp', old, version)).toEqual(now.body);
    const load = readItem(item('load', 'q', { label: 'q', on: 'B', type: 'point', nature: 'wind', force: 1 }));
    if (load.kind !== 'load') throw new Error('a load was made');
    const { action, loadCase, ...before } = load.body;
    expect([action, loadCase]).toEqual([null, '']);
    expect(upgradeBody('load', before, 2)).toEqual(load.body);
  });
  it('get them at any depth: a support of a beam, a layer, an opening, whatever the kind, as the schema reads them', () => {
    const beam = readItem(
      item('beam', 'B', {
        mark: 'B',
        level: 'L',
        from: { x: 0, y: 0 },
        to: { x: 1, y: 0 },
        ownWeight: 1,
        supports: [
          { at: 0, by: 'C', fixed: true },
          { at: 1, by: null },
        ],
        strips: [{ buildUp: 'b', from: 0, to: 1, widthStart: 1, widthEnd: 1 }],
      }),
    );
    if (beam.kind !== 'beam') throw new Error('a beam was made');
    const old = {
      ...beam.body,
      supports: [
        { at: 0, by: 'C', fixed: true },
        { at: 1, by: null },
      ],
      strips: [{ buildUp: 'b', from: 0, to: 1, widthStart: 1, widthEnd: 1 }],
    };
    for (const version of [1, 2, MODEL_VERSION]) expect(upgradeBody('beam', old, version)).toEqual(beam.body);
    expect((upgradeBody('beam', old, MODEL_VERSION) as Beam).supports.map(({ spring, settlement }) => [spring, settlement])).toEqual([
      [null, 0],
      [null, 0],
    ]);
    // every item of the demonstration buildings, stripped of all that has a value when nothing is typed
    let stripped = 0;
    for (const { kind, body } of [...ebbwickSailLoft(), ...quillfernToolLibrary()]) {
      const bare = strip(ITEM_SCHEMAS[kind], body);
      if (JSON.stringify(bare) !== JSON.stringify(body)) stripped += 1;
      expect(upgradeBody(kind, bare, MODEL_VERSION)).toEqual(body);
      expect(upgradeBody(kind, body, MODEL_VERSION)).toBe(body);
    }
    expect(stripped).toBeGreaterThan(50);
  });
});

/** A value without the fields that hold what stands there when nothing is typed. */
function strip(schema: z.ZodType, value: unknown): unknown {
  const { def } = schema._zod as unknown as { def: { type: string; innerType?: z.ZodType; element?: z.ZodType } };
  if (def.innerType) return strip(def.innerType, value);
  if (Array.isArray(value) && def.element) return value.map((entry) => strip(def.element!, entry));
  if (def.type !== 'object' || typeof value !== 'object' || value === null) return value;
  const { shape } = schema as unknown as { shape: Record<string, z.ZodType> };
  return Object.fromEntries(
    Object.entries(value).flatMap(([field, entry]) => {
      const empty = shape[field]!.safeParse(undefined);
      return empty.success && JSON.stringify(empty.data) === JSON.stringify(entry) ? [] : [[field, strip(shape[field]!, entry)]];
    }),
  );
}
