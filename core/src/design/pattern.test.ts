import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import { usualCases } from '../load';
import { BeamModel } from '../analysis';
import { contextOf, computeProject, reactionsOf } from '.';
import { beamActions } from './beamActions';

const L = 6000;

/** A beam on posts at equal spans, with one imposed load of 10 kN/m along all of it, and as much permanent load as is asked for. */
function continuous(spans: number, more: { permanent?: string; overhang?: number; hinges?: number[] } = {}): Item[] {
  const length = spans * L + (more.overhang ?? 0);
  const posts = Array.from({ length: spans + 1 }, (_, i) => i);
  return [
    item('brief', 'brief', { ...defaultBrief('Trial', 'european'), combinationRule: '6.10' }),
    item('level', 'L1', { name: 'Floor', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    ...posts.flatMap((i) => [
      item('column', `C${i}`, { mark: `C${i}`, at: { x: i * L, y: 0 }, base: 'L0', top: 'L1', by: `F${i}`, ownWeight: 0 }),
      item('footing', `F${i}`, { mark: `F${i}`, at: { x: i * L, y: 0 }, level: 'L0' }),
    ]),
    item('beam', 'B', {
      mark: 'B',
      level: 'L1',
      from: { x: 0, y: 0 },
      to: { x: length, y: 0 },
      ownWeight: 0,
      supports: posts.map((i) => ({ at: i * L, by: `C${i}`, holdsDown: i > 0 })),
      hinges: more.hinges ?? [],
    }),
    item('load', 'q', { label: 'q', on: 'B', type: 'line', nature: 'imposed', use: 'B', from: 0, to: length, intensity: '10 kN/m' }),
    item('load', 'g', { label: 'g', on: 'B', type: 'line', nature: 'permanent', from: 0, to: length, intensity: more.permanent ?? 0 }),
  ];
}

/** Largest and smallest moment over all arrangements under 1.5 Q, as a part of w L2. */
function moments(items: Item[]): { sag: number; hog: number; model: BeamModel } {
  const { building, takedown } = computeProject(items);
  const model = new BeamModel(building.beams.get('B')!, takedown.members.get('B')!.arrivals, 1e13, building.cases);
  const context = contextOf(building, takedown);
  const { strength } = context.combinations(context.philosophy);
  let [sag, hog] = [0, 0];
  for (const loading of model.everyLoading(strength)) {
    const { max, min } = beamActions(model, loading).solution.extremes('moment');
    sag = Math.max(sag, max.value);
    hog = Math.min(hog, min.value);
  }
  const unit = 1.5 * 10 * L * L;
  return { sag: sag / unit, hog: hog / unit, model };
}

describe('variable load on continuous beams', () => {
  it('of two spans: 0.0957 in a span with it alone loaded, -0.125 over the support with both (tables of continuous beams)', () => {
    const { sag, hog } = moments(continuous(2));
    expect(sag).toBeCloseTo(0.0957, 4);
    expect(hog).toBeCloseTo(-0.125, 6);
  });
  it('of three spans: 0.1013 in the first with the last, -0.1167 over a support with both its neighbours', () => {
    const { sag, hog } = moments(continuous(3));
    expect(sag).toBeCloseTo(0.1013, 4);
    expect(hog).toBeCloseTo(-0.1167, 4);
  });
  it('never is worse in any other arrangement', () => {
    for (const spans of [2, 3, 4, 5]) {
      const { sag, hog, model } = moments(continuous(spans));
      const combination = {
        id: 'q',
        name: 'q',
        basis: 'factored',
        clause: '',
        factors: { 'imposed-B': 1.5 },
        cases: usualCases,
        purpose: 'strength',
      } as const;
      fc.assert(
        fc.property(fc.array(fc.boolean(), { minLength: model.parts.length, maxLength: model.parts.length }), (present) => {
          const { max, min } = model.solve(combination, present).extremes('moment');
          expect(max.value / (1.5 * 10 * L * L)).toBeLessThanOrEqual(sag + 1e-9);
          expect(min.value / (1.5 * 10 * L * L)).toBeGreaterThanOrEqual(hog - 1e-9);
        }),
      );
    }
  });
  it('presses on posts with the spans that do: 0.45, 1.2, 1.2, 0.45 of three, not 0.4 and 1.1', () => {
    const { rows } = reactionsOf(computeProject(continuous(3)), null);
    expect(rows.map(({ extremes: [, service] }) => +(service!.most.value / (10 * L)).toFixed(4))).toEqual([0.45, 1.2, 1.2, 0.45]);
    // and lifts an end post with the middle span alone: 0.05
    expect(rows.map(({ extremes: [, service] }) => +(service!.least.value / (10 * L)).toFixed(4))).toEqual([-0.05, -0.1, -0.1, -0.05]);
    // the sums by case are those of all spans
    expect(rows.map(({ byCase }) => +(byCase['imposed-B']! / (10 * L)).toFixed(4))).toEqual([0.4, 1.1, 1.1, 0.4]);
  });
  it('on an overhang lifts the far support, though one load lies along the whole beam', () => {
    // 2 m overhang: 10 x 2 x 1 / 6 = 3.333 kN up at the far end; EQU: 1.5 times that
    const { looseEnds } = computeProject(continuous(1, { overhang: 2000 }));
    expect(looseEnds.map(({ title }) => title)).toContain('B lifts off C0 by 5.00 kN');
    // 0.9 x 10 kN/m x (6 x 3 - 2 x 1) / 6 = 24 kN hold it down
    const held = computeProject(continuous(1, { overhang: 2000, permanent: '10 kN/m' }));
    expect(held.looseEnds.map(({ title }) => title).join()).not.toContain('lifts off');
  });
});
