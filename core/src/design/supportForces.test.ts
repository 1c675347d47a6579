import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { item, type Item } from '../building';
import { combinePressing, combineRelieving } from '../load';
import { audit } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { bay } from './bay.test.data';
import { computeProject, contextOf, sheetFor, supportForces } from '.';

const forcesOf = (items: readonly Item[], id: string) => {
  const project = computeProject(items);
  const context = contextOf(project.building, project.takedown);
  return { project, context, supports: supportForces(context, id) };
};

describe('forces of a beam at its supports', () => {
  it('simple span: w L / 2 at each, one set each, by hand', () => {
    const { supports } = forcesOf(bay(), 'B1');
    // (6.10b): 0.925 x 1.35 on 1.5 kN/m2 x 3 m and 54.1 kg/m, 1.5 on 3 kN/m2 x 3 m
    const w = 0.925 * 1.35 * (4.5 + 0.0541 * 9.80665) + 1.5 * 9;
    expect(supports.map(({ by, at }) => [by, at])).toEqual([
      ['C1', 0],
      ['C2', 6000],
    ]);
    for (const { sets } of supports) {
      expect(sets).toHaveLength(1);
      expect(sets[0]!.forces.Vz / 1e3).toBeCloseTo(3 * w, 2);
      expect(sets[0]!.forces).toMatchObject({ N: 0, Vy: 0, T: 0, Mz: 0 });
    }
  });
  it('fixed at both ends: w L2 / 12, clockwise at one and anticlockwise at the other, with the shear of the same set', () => {
    const { supports, project } = forcesOf(
      bay({
        beam: {
          supports: [
            { at: 0, by: 'C1', fixed: true },
            { at: 6000, by: 'C2', fixed: true },
          ],
        },
      }),
      'B1',
    );
    const w = 0.925 * 1.35 * (4.5 + 0.0541 * 9.80665) + 1.5 * 9;
    const moments = supports.map(({ sets }) => sets.map(({ forces }) => forces.My / 1e6));
    expect(moments).toEqual([[expect.closeTo((-w * 36) / 12, 2)], [expect.closeTo((w * 36) / 12, 2)]]);
    for (const { sets } of supports) for (const { forces } of sets) expect(forces.Vz / 1e3).toBeCloseTo(3 * w, 2);
    const { entries } = sheetFor(project, 'B1')!;
    expect(audit(entries, evaluate)).toEqual([]);
    expect(JSON.stringify(entries)).toContain('Forces at its supports');
  });
  it('an overhang lifts the far support: both the largest and the least stand there, each under its own set', () => {
    const overhang = bay({
      q: '0 kN/m2',
      extra: [
        item('load', 'tip', { label: 'tip', on: 'B1', type: 'point', nature: 'imposed', use: 'A', at: 6000, force: 60_000 }),
        item('load', 'bay', { label: 'bay', on: 'B1', type: 'point', nature: 'imposed', use: 'B', at: 2000, force: 20_000 }),
      ],
      beam: {
        supports: [
          { at: 0, by: 'C1', holdsDown: true },
          { at: 4000, by: 'C2' },
        ],
      },
    });
    const { supports } = forcesOf(overhang, 'B1');
    const [far] = supports;
    const values = far!.sets.map(({ forces }) => forces.Vz / 1e3);
    // the tip load takes 60 x 2 / 4 from it
    expect(Math.max(...values)).toBeGreaterThan(15);
    expect(Math.min(...values)).toBeLessThan(-25);
    expect(new Set(far!.sets.map(({ combination }) => combination)).size).toBe(far!.sets.length);
  });
  it('are those that the takedown hands on, whatever the loads', () => {
    const load = fc.record({
      at: fc.integer({ min: 0, max: 100 }),
      force: fc.integer({ min: -40, max: 60 }).filter((force) => force !== 0),
      nature: fc.constantFrom('permanent' as const, 'imposed' as const, 'snow' as const, 'wind' as const),
    });
    fc.assert(
      fc.property(
        fc.array(load, { minLength: 1, maxLength: 4 }),
        fc.constantFrom([0, 6000], [0, 4000], [0, 3000, 6000], [500, 3000, 5500]),
        fc.constantFrom('european' as const, 'american' as const),
        (loads, places, family) => {
          const items = bay({
            family,
            q: '0 kN/m2',
            beam: { supports: places.map((at, i) => ({ at, by: i % 2 === 0 ? 'C1' : 'C2', holdsDown: true })) },
            extra: loads.map(({ at, force, nature }, i) =>
              item('load', `P${i}`, {
                label: `P${i}`,
                on: 'B1',
                type: 'point',
                nature,
                ...(nature === 'imposed' ? { use: 'B' as const } : {}),
                at: at * 60,
                force: force * 1000,
              }),
            ),
          });
          const { supports, project, context } = forcesOf(items, 'B1');
          const { strength } = context.combinations(context.philosophy);
          project.takedown.members.get('B1')!.leaves.forEach(({ byCase, adverse }, i) => {
            const values = supports[i]!.sets.map(({ forces }) => forces.Vz);
            const most = Math.max(...strength.map((combination) => combinePressing(byCase, adverse, combination)));
            const least = Math.min(...strength.map((combination) => combineRelieving(byCase, adverse, combination)));
            // wind comes over the whole beam at once; the takedown leaves out whatever of it helps, and is no less
            const hasWind = loads.some(({ nature }) => nature === 'wind');
            for (const [value, bound] of [
              [Math.max(...values), most],
              [-Math.min(...values), -least],
            ] as const) {
              if (bound <= 1) continue;
              expect(value).toBeLessThanOrEqual(bound * (1 + 1e-9));
              if (!hasWind) expect(Math.abs(value / bound - 1)).toBeLessThan(1e-6);
            }
          });
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('force of a column at its foot', () => {
  it('what stands on it with its own weight, by hand; with wind that lifts also the least, on a sheet that re-evaluates', () => {
    const { supports } = forcesOf(bay(), 'C1');
    const w = 0.925 * 1.35 * (4.5 + 0.0541 * 9.80665) + 1.5 * 9;
    const own = 0.925 * 1.35 * 0.03 * 9.80665 * 3;
    expect(supports).toHaveLength(1);
    expect(supports[0]).toMatchObject({ by: 'F1', at: 0 });
    expect(supports[0]!.sets).toHaveLength(1);
    expect(supports[0]!.sets[0]!.forces.N / 1e3).toBeCloseTo(3 * w + own, 1);
    const lifted = bay({
      extra: [item('load', 'suction', { label: 'suction', on: 'B1', type: 'line', nature: 'wind', from: 0, to: 6000, intensity: -12 })],
    });
    const { project, supports: feet } = forcesOf(lifted, 'C1');
    const forces = feet[0]!.sets.map(({ forces: { N } }) => N / 1e3);
    expect(Math.max(...forces)).toBeCloseTo(3 * w + own, 1);
    // permanent load once, 1.5 times what lifts, nothing imposed
    expect(Math.min(...forces)).toBeCloseTo(3 * (4.5 + 0.0541 * 9.80665) + 0.03 * 9.80665 * 3 - 1.5 * 36, 1);
    const sheet = sheetFor(project, 'C1')!;
    expect(audit(sheet.entries, evaluate)).toEqual([]);
    expect(JSON.stringify(sheet.entries)).toContain('Force at its foot');
  });
  it('is the largest and the least of what the takedown hands to the pad, whatever the loads', () => {
    const force = fc.integer({ min: -40, max: 40 });
    fc.assert(
      fc.property(force, force, force, fc.constantFrom('european' as const, 'american' as const), (g, q, wind, family) => {
        const load = (id: string, nature: 'permanent' | 'imposed' | 'wind', kN: number) =>
          item('load', id, {
            label: id,
            on: 'B1',
            type: 'point',
            nature,
            ...(nature === 'imposed' ? { use: 'B' as const } : {}),
            at: 2000,
            force: kN * 1000,
          });
        const items = bay({ family, q: '0 kN/m2', extra: [load('g', 'permanent', g), load('q', 'imposed', q), load('w', 'wind', wind)] });
        const { supports, project, context } = forcesOf(items, 'C1');
        const { strength } = context.combinations(context.philosophy);
        const { sum, adverse } = project.takedown.members.get('C1')!;
        const values = supports[0]!.sets.map(({ forces: { N } }) => N);
        const most = Math.max(...strength.map((combination) => combinePressing(sum, adverse, combination)));
        const least = Math.min(...strength.map((combination) => combineRelieving(sum, adverse, combination)));
        if (most > 1) expect(Math.max(...values) / most).toBeCloseTo(1, 6);
        if (least < -1) expect(Math.min(...values) / least).toBeCloseTo(1, 6);
      }),
      { numRuns: 60 },
    );
  });
});
