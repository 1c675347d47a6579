import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { item, type Item } from '../building';
import { usualCases } from '../load';
import { STANDARDS } from '../standard';
import { bay } from './bay.test.data';
import { compareMethods, equalRatio, methodsInWords } from './methods';
import { computeProject } from './project';

/** A beam of its own floor load, dead and live in a ratio; W18X50 held along its top. */
function beam(ratio: number, dead = 12): Item[] {
  const line = (id: string, nature: string, intensity: number) =>
    item('load', id, {
      label: id,
      on: 'B1',
      type: 'line',
      nature,
      ...(nature === 'imposed' ? { use: 'B' } : {}),
      from: 0,
      to: 8000,
      intensity,
    } as never);
  return [
    ...bay({ family: 'american', length: 8000, beam: { section: 'W18X50', restraint: 'floor', strips: [], ownWeight: 0 } }).filter(
      ({ kind }) => kind !== 'panel',
    ),
    line('g', 'permanent', dead),
    line('q', 'imposed', ratio * dead),
  ];
}

const comparisonOf = (items: readonly Item[]) => {
  const { designs, takedown } = computeProject(items);
  return compareMethods(STANDARDS.american, designs.member('B1')!.results, takedown.members.get('B1')!.sum, usualCases)!;
};

describe('LRFD beside ASD', () => {
  it('by hand: 1.2 + 1.6 r = k (1 + r), k = phi Omega', () => {
    const lrfd = [
      { dead: 1.4, live: 0 },
      { dead: 1.2, live: 1.6 },
    ];
    const asd = [
      { dead: 1, live: 0 },
      { dead: 1, live: 1 },
    ];
    expect(equalRatio(lrfd, asd, 0.9 * 1.67)).toBeCloseTo((0.9 * 1.67 - 1.2) / (1.6 - 0.9 * 1.67), 9);
    expect(equalRatio(lrfd, asd, 1.5)).toBeCloseTo(3, 9);
    expect(equalRatio(lrfd, asd, 1.7)).toBeNull();
    expect(equalRatio(lrfd, asd, 1.1)).toBeNull();
  });
  it('a beam is used alike by both at that ratio, more by ASD below it and more by LRFD above it', () => {
    const { equal, check } = comparisonOf(beam(1));
    expect(equal, check).toBeGreaterThan(2);
    const own = (50 * 4.4482216) / 304.8 / 12;
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 8, noNaN: true }), (r) => {
        // its own weight is dead load too
        const { uses, stricter, own: found } = comparisonOf(beam(r * (1 + own)));
        expect(found!).toBeCloseTo(r, 1);
        const [lrfd, asd] = uses;
        if (Math.abs(found! / equal! - 1) > 1e-3) expect(lrfd > asd).toBe((found! > equal! ? stricter.above : stricter.below) === 'LRFD');
      }),
      { numRuns: 40 },
    );
    const at = comparisonOf(beam(equal! * (1 + own)));
    expect(at.uses[0] / at.uses[1]).toBeCloseTo(1, 2);
    expect(methodsInWords(at)).toContain('below that ASD is stricter, above it LRFD');
  });
  it('says nothing of families with one method, nor of the own ratio where snow is on the member', () => {
    const { designs, takedown } = computeProject(bay());
    expect(compareMethods(STANDARDS.european, designs.member('B1')!.results, takedown.members.get('B1')!.sum, usualCases)).toBeNull();
    const snowy = [...beam(1), item('load', 's', { label: 's', on: 'B1', type: 'point', nature: 'snow', at: 4000, force: 1000 })];
    expect(comparisonOf(snowy).own).toBeNull();
  });
});
