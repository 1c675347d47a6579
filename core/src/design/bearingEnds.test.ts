import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import { computeProject } from '.';
import { bearingEnds } from './bearingEnds';

const at = (x: number, y = 0) => ({ x, y });
/** A beam of 6 m between two columns, drawn so far past each; the columns at their places. */
function bay(past: number, more: object = {}): Item[] {
  return [
    item('brief', 'brief', { ...defaultBrief('Bay', 'european') }),
    item('level', 'L1', { name: 'Floor', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    item('buildUp', 'floor', {
      name: 'Floor',
      layers: [{ name: 'slab', load: 0.004 }],
      variable: [{ name: 'office', load: 0.003, nature: 'imposed', use: 'B' }],
    }),
    ...[0, 6000].flatMap((x) => [
      item('footing', `F${x}`, { mark: `F${x}`, at: at(x), level: 'L0' }),
      item('column', `C${x}`, { mark: `C${x}`, at: at(x), base: 'L0', top: 'L1', by: `F${x}`, ownWeight: 0.3 }),
    ]),
    item('beam', 'B', {
      mark: 'B',
      level: 'L1',
      from: at(-past),
      to: at(6000 + past),
      section: 'UB 356x127x39',
      ownWeight: 0.4,
      supportsFound: true,
      supports: [],
      strips: [{ buildUp: 'floor', from: past, to: 6000 + past, widthStart: 2500, widthEnd: 2500 }],
      ...more,
    }),
  ];
}
const beamOf = (items: Item[]) => computeProject(items).designs.member('B')!;
const worst = (items: Item[]) => Math.max(...beamOf(items).results[0]!.checks.map(({ utilisation }) => utilisation ?? Infinity));

describe('a beam drawn past its bearing point', () => {
  it('by up to its bearing length is no cantilever: the same checks, whatever holds it', () => {
    for (const restraint of ['supports', 'floor']) {
      const without = worst(bay(0, { restraint }));
      for (const past of [10, 75, 150]) expect(Math.abs(worst(bay(past, { restraint })) / without - 1)).toBeLessThan(0.01);
      const names = (past: number) => beamOf(bay(past, { restraint })).results[0]!.checks.map(({ name }) => name);
      // under a floor the moment of the bearing end, next to nothing, is the only one that hogs
      if (restraint === 'supports') expect(names(75)).toEqual(names(0));
    }
  });
  it('says so as an assumption, to be confirmed', () => {
    const texts = beamOf(bay(75)).assumptions.map(({ text }) => text);
    expect(texts).toContain('The last 75 mm at its start lie on the bearing and are no cantilever.');
    expect(beamOf(bay(0)).assumptions.some(({ key }) => key.startsWith('bearing-end'))).toBe(false);
  });
  it('by more is one; a longer seat takes more', () => {
    expect(beamOf(bay(400)).results[0]!.checks.some(({ reason }) => reason?.includes('overhang'))).toBe(true);
    expect(beamOf(bay(250, { seat: 300 })).results[0]!.checks.some(({ reason }) => reason?.includes('overhang'))).toBe(false);
  });
  it('only its outermost supports have such ends, and one support alone has none', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 6000 }), { minLength: 1, maxLength: 5 }), (places) => {
        const supports = places.map((place) => ({ at: place, by: null, holdsDown: false, fixed: false, spring: null, settlement: 0 }));
        const ends = bearingEnds({ from: at(0), to: at(6000), supports, seat: null });
        for (const { from, to } of ends) expect(places.some((place) => place > from + 1e-9 && place < to - 1e-9)).toBe(false);
        if (places.length === 1) expect(ends).toEqual([]);
      }),
    );
  });
});
