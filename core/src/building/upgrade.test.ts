import { describe, expect, it } from 'vitest';
import { defaultBrief, MODEL_VERSION, upgradeBody, item, readItem } from '.';

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
});
