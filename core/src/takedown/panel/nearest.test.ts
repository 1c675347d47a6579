import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PlanPoint } from '../../building';
import { shapeForce, shapeMoment } from '../shape';
import { nearest, segment } from '../support/line';
import { contains, crossesItself, tidyRing } from './polygon';
import type { Bearing, PanelSharing } from './share';
import { line, P, panel, rectangle } from './sample.test.data';
import { sharePanel, sharePatch } from './sharePanel';

const around = (ring: readonly PlanPoint[], name = 'E'): Bearing[] =>
  ring.map((p, i) => line(`${name}${i}`, p.x, p.y, ring[(i + 1) % ring.length]!.x, ring[(i + 1) % ring.length]!.y));
const areaOn = (sharing: PanelSharing, id: string) =>
  sharing.shares.filter((s) => s.member === id).reduce((sum, s) => sum + shapeForce(s.shape), 0) / 1e6;
const areas = (sharing: PanelSharing, ids: readonly string[]) => ids.map((id) => Number(areaOn(sharing, id).toFixed(6)));
const lost = (sharing: PanelSharing) => sharing.orphans.reduce((sum, o) => sum + o.region.area, 0) / 1e6;

/** Where a parabola about the inward corner of arms 2 m wide meets the diagonal: x = 1 + (x - 2)^2 / 4. */
const c = 4 - 2 * Math.sqrt(2);
const u = 2 - c;
/** Under the parabola from there to the corner, and between it and the diagonal, twice: what is nearest to the corner. */
const under = u + u ** 3 / 12;
const corner = 2 * (u - u ** 2 / 2 - u ** 3 / 12);

describe('two ways, any outline, by hand', () => {
  it('an L of arms 2 m wide: the inward corner takes what is nearest to it, at the ends of the two edges that meet there', () => {
    const ring = [P(0, 0), P(4000, 0), P(4000, 2000), P(2000, 2000), P(2000, 4000), P(0, 4000)];
    const sharing = sharePanel(panel(ring, { span: 'twoWay' }), around(ring), 200);
    expect(sharing.doubts).toEqual([]);
    const long = c ** 2 / 2 + under + 1.5;
    const expected = [long, 1, 1.5 + corner / 2, 1.5 + corner / 2, 1, long];
    areas(sharing, ['E0', 'E1', 'E2', 'E3', 'E4', 'E5']).forEach((area, i) => expect(area).toBeCloseTo(expected[i]!, 5));
    expect(lost(sharing)).toBe(0);
    // the corner's load stands on the last millimetre of the edge that ends there
    const tip = sharing.shares.find(({ member, shape }) => member === 'E2' && shape.type === 'distributed' && shape.to - shape.from < 2)!;
    expect(shapeForce(tip.shape) / 1e6).toBeCloseTo(corner / 2, 5);
    expect(shapeMoment(tip.shape) / shapeForce(tip.shape)).toBeCloseTo(1999.5, 6);
  });
  it('a beam inside divides it: 8 m by 4 m over a beam in the middle is two squares', () => {
    const ring = rectangle(0, 0, 8000, 4000);
    const bearings = [...around(ring), line('B', 4000, 0, 4000, 4000)];
    const sharing = sharePanel(panel(ring, { span: 'twoWay' }), bearings, 200);
    expect(areas(sharing, ['E0', 'E1', 'E2', 'E3', 'B'])).toEqual([8, 4, 8, 4, 8]);
    expect(sharing.doubts).toEqual([]);
    // from both sides 2 m at its middle, nothing at its ends
    const highest = Math.max(
      ...sharing.shares.flatMap(({ member, shape }) => (member === 'B' && shape.type === 'distributed' ? [shape.start, shape.end] : [])),
    );
    expect(highest).toBeCloseTo(2000, 6);
  });
  it('where a wall stands on a beam inside, the one of better rank takes what lands there', () => {
    const ring = rectangle(0, 0, 8000, 4000);
    const bearings = [...around(ring), line('B', 4000, 0, 4000, 4000, 1), line('W', 4000, 1000, 4000, 3000, 0)];
    const sharing = sharePanel(panel(ring, { span: 'twoWay' }), bearings, 200);
    // the wall has the middle 2 m, from 1 m deep to 2 m and back on both sides: 6 m2; the beam keeps the triangles at its ends
    expect(areas(sharing, ['E0', 'E1', 'E2', 'E3', 'B', 'W'])).toEqual([8, 4, 8, 4, 2, 6]);
  });
  it('a beam that reaches into it takes what is nearest to its tip there', () => {
    const ring = rectangle(0, 0, 8000, 4000);
    const sharing = sharePanel(panel(ring, { span: 'twoWay' }), [...around(ring), line('B', 0, 2000, 4000, 2000)], 200);
    // beside the beam 1 m each way, less the triangle at the wall; before its tip half of a lens between it and three edges
    const whole = ['E0', 'E1', 'E2', 'E3', 'B'].reduce((sum, id) => sum + areaOn(sharing, id), 0);
    expect(whole).toBeCloseTo(32, 9);
    // at the tip: |p - (4, 2)| = y, so y = 1 + (x - 4)^2 / 4, up to y = 2 at x = 6: twice the integral of 2 - 1 - v^2 / 4, v from 0 to 2
    const tip = 2 * (2 - 8 / 12);
    const beside = 2 * (4 - 0.5);
    expect(areaOn(sharing, 'B')).toBeCloseTo(beside + tip, 5);
  });
  it('an opening of 2 m in a square of 6 m, trimmed on all sides', () => {
    const hole = rectangle(2000, 2000, 4000, 4000);
    const bearings = [...around(rectangle(0, 0, 6000, 6000)), ...around(hole, 'T')];
    const slab = panel(rectangle(0, 0, 6000, 6000), { span: 'twoWay', openings: [{ label: '', outline: hole }] });
    const sharing = sharePanel(slab, bearings, 200);
    expect(sharing.doubts).toEqual([]);
    for (const i of [0, 1, 2, 3]) {
      expect(areaOn(sharing, `E${i}`)).toBeCloseTo(2 + 2 * (c ** 2 / 2 + under), 5);
      expect(areaOn(sharing, `T${i}`)).toBeCloseTo(2 + corner, 5);
    }
    // not trimmed its edges are free: shared all the same, and said to be unproven
    const free = sharePanel(slab, bearings.slice(0, 4), 200);
    expect(free.doubts.map(({ kind }) => kind)).toEqual(['free-edge']);
    expect(areas(free, ['E0', 'E1', 'E2', 'E3'])).toEqual([8, 8, 8, 8]);
  });
  it('a load on a part of an L goes where its part of the panel goes', () => {
    const ring = [P(0, 0), P(4000, 0), P(4000, 2000), P(2000, 2000), P(2000, 4000), P(0, 4000)];
    const slab = panel(ring, { span: 'twoWay' });
    // the end of one arm: 1 x 2 m in the triangle and two trapezia of its end
    const sharing = sharePatch(slab, rectangle(3000, 0, 4000, 2000), around(ring), 200);
    expect(areas(sharing, ['E0', 'E1', 'E2'])).toEqual([0.5, 1, 0.5]);
    const beside = sharePatch(slab, rectangle(1000, 1000, 3000, 3000), around(ring), 200);
    expect(beside.doubts[0]!.text).toContain('must lie inside it');
  });
});

/** Outlines seen whole from their middle, with inward corners, beams in them and an opening by chance. */
const slabs = fc
  .record({
    radii: fc.array(fc.integer({ min: 1500, max: 6000 }), { minLength: 4, maxLength: 9 }),
    beams: fc.array(fc.tuple(...[0, 1, 2, 3].map(() => fc.integer({ min: -5000, max: 5000 }))), { maxLength: 2 }),
    hole: fc.boolean(),
    trimmed: fc.boolean(),
    free: fc.boolean(),
  })
  .map(({ radii, beams, hole, trimmed, free }) => {
    const ring = radii.map((r, i) => {
      const angle = (2 * Math.PI * i) / radii.length;
      return P(Math.round(r * Math.cos(angle)), Math.round(r * Math.sin(angle)));
    });
    const opening = rectangle(-500, -400, 500, 400);
    const bearings = [
      ...around(ring).slice(free ? 1 : 0),
      ...(hole && trimmed ? around(opening, 'T') : []),
      ...beams.map(([x1, y1, x2, y2], i) => line(`B${i}`, x1!, y1!, x2!, y2!)),
    ];
    return { ring, openings: hole ? [{ label: '', outline: opening }] : [], bearings };
  })
  .filter(({ ring, openings }) => {
    const tidy = tidyRing(ring);
    return tidy.length > 2 && !crossesItself(tidy) && openings.every(({ outline }) => outline.every((p) => contains(tidy, p)));
  });

describe('two ways, any outline', () => {
  it('areas are all there, whatever the outline, the openings and the beams inside', () => {
    fc.assert(
      fc.property(slabs, ({ ring, openings, bearings }) => {
        const sharing = sharePanel(panel(ring, { span: 'twoWay', openings }), bearings, 50);
        const all = sharing.shares.reduce((sum, { shape }) => sum + shapeForce(shape), 0) + lost(sharing) * 1e6;
        expect(Math.abs(all - sharing.whole.area)).toBeLessThan(1e-9 * sharing.whole.area + 1e-3);
        for (const { shape } of sharing.shares) {
          if (shape.type !== 'distributed') throw new Error('a share is spread');
          expect(Math.min(shape.start, shape.end)).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: 150 },
    );
  });
  it('each part goes where a search place by place sends it', () => {
    fc.assert(
      fc.property(slabs, ({ ring, openings, bearings }) => {
        const sharing = sharePanel(panel(ring, { span: 'twoWay', openings }), bearings, 50);
        // beams outside the panel, and stretches of them, take nothing: only where all of a beam lies inside is the search this simple
        const inner = bearings.filter(({ id }) => id.startsWith('B'));
        fc.pre(inner.every(({ line: { from, to, length } }) => length > 400 && [from, to].every((p) => isDeepInside(ring, openings, p))));
        fc.pre(inner.every(({ line: beam }) => staysInside(ring, openings, beam.from, beam.to)));
        const step = 60;
        const found = new Map<string, number>();
        for (let x = -6000 + step / 2; x < 6000; x += step)
          for (let y = -6000 + step / 2; y < 6000; y += step) {
            const p = P(x, y);
            if (!contains(ring, p) || openings.some(({ outline }) => contains(outline, p))) continue;
            const near = bearings.map(({ id, line: at }) => ({ id, distance: nearest(at, p).distance }));
            const least = Math.min(...near.map(({ distance }) => distance));
            // what is nearest to a corner goes to both edges that meet there, half each
            const takers = near.filter(({ distance }) => distance < least + 1e-6);
            for (const { id } of takers) found.set(id, (found.get(id) ?? 0) + (step * step) / takers.length);
          }
        const whole = sharing.whole.area / 1e6;
        for (const { id } of bearings) expect(Math.abs(areaOn(sharing, id) - (found.get(id) ?? 0) / 1e6), id).toBeLessThan(0.02 * whole);
      }),
      { numRuns: 40 },
    );
  });
  it('a convex panel is shared alike by lines and by nearest places', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 71 }), { minLength: 3, maxLength: 8 }), (corners) => {
        const ring = [...corners]
          .sort((a, b) => a - b)
          .map((n) => P(Math.round(5000 * Math.cos((n * Math.PI) / 36)), Math.round(5000 * Math.sin((n * Math.PI) / 36))));
        fc.pre(tidyRing(ring).length > 2);
        const bearings = around(ring);
        const plain = sharePanel(panel(ring, { span: 'twoWay' }), bearings, 20);
        // a spur of a millimetre outwards at one corner makes it another outline of nearly the same shape: one with an inward corner
        const [a, b] = [ring[0]!, ring[1]!];
        const dent = P((a.x + b.x) / 2 - (b.y - a.y) * 1e-7, (a.y + b.y) / 2 + (b.x - a.x) * 1e-7);
        const dented = [a, dent, ...ring.slice(1)];
        const general = sharePanel(panel(dented, { span: 'twoWay' }), bearings, 20);
        for (const { id } of bearings) expect(areaOn(general, id)).toBeCloseTo(areaOn(plain, id), 3);
      }),
      { numRuns: 60 },
    );
  });
});

function isDeepInside(ring: readonly PlanPoint[], openings: readonly { outline: PlanPoint[] }[], p: PlanPoint): boolean {
  const far = (corners: readonly PlanPoint[]) =>
    corners.every((a, i) => nearest(segment({ from: a, to: corners[(i + 1) % corners.length]! }), p).distance > 120);
  return contains(ring, p) && far(ring) && openings.every(({ outline }) => !contains(outline, p) && far(outline));
}

function staysInside(ring: readonly PlanPoint[], openings: readonly { outline: PlanPoint[] }[], from: PlanPoint, to: PlanPoint): boolean {
  return Array.from({ length: 41 }, (_, i) => P(from.x + ((to.x - from.x) * i) / 40, from.y + ((to.y - from.y) * i) / 40)).every((p) =>
    isDeepInside(ring, openings, p),
  );
}
