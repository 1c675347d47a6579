import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lateralBucklingFactor } from '../beam';
import { assemble } from '../building';
import { usualCases } from '../load';
import { steelGrade } from '../material';
import { findSection } from '../section';
import { STANDARDS } from '../standard';
import { momentGradientFactor as americanFactor } from '../standard/american/steel/flexure';
import { criticalMoment, momentGradientFactor as europeanFactor } from '../standard/european/steel/lateralTorsional';
import { takeDown } from '../takedown';
import { BeamModel } from '../analysis';
import { unbracedSegments } from './beamActions';
import { bay } from './bay.test.data';
import { computeProject } from './project';
import { isCheck } from '../sheet';

const SECTION = findSection('UB 457x191x67');
const [E, G] = [210_000, 81_000];
const once = {
  id: 'x',
  name: 'x',
  basis: 'factored',
  clause: '',
  purpose: 'strength',
  factors: { permanent: 1, 'imposed-B': 1 },
  cases: usualCases,
} as const;

/** A beam of 10 m over two supports with what holds it. */
function of(beam: object, supports: readonly [number, number] = [0, 10_000]) {
  const named = [
    { at: supports[0], by: 'C1' },
    { at: supports[1], by: 'C2' },
  ];
  const building = assemble(bay({ beam: { section: SECTION.designation, supports: named, restraint: 'points', ...beam }, length: 10_000 }));
  const takedown = takeDown(building, () => []);
  const item = building.beams.get('B1')!;
  const model = new BeamModel(item, takedown.members.get('B1')!.arrivals, 1e14, building.cases);
  const solution = model.solve(once);
  return { item, solution, segments: unbracedSegments(item, model.length, solution) };
}

describe('restraints of one flange', () => {
  it('bound the segments of that flange only', () => {
    const places = (beam: object, supports?: readonly [number, number]) =>
      of(beam, supports).segments.map(({ flange, from, to, peak }) => [flange ?? 'both', from, to, Math.sign(peak)]);
    // sagging all along: what holds the bottom flange is no help
    expect(places({ topPoints: [4000], bottomPoints: [7000] })).toEqual([
      ['top', 0, 4000, 1],
      ['top', 4000, 10_000, 1],
    ]);
    // the overhang hogs: its bottom flange runs from the support to its tip, that of the span from support to support
    expect(places({ topPoints: [3000] }, [0, 7000])).toEqual([
      ['top', 0, 3000, 1],
      ['bottom', 0, 7000, -1],
      ['top', 3000, 7000, 1],
      ['both', 7000, 10_000, -1],
    ]);
    expect(places({ restraint: 'floor', bottomPoints: [5000] }, [0, 7000])).toEqual([
      ['both', 5000, 7000, -1],
      ['both', 7000, 10_000, -1],
    ]);
  });
  it('a place that holds the flange in tension changes nothing, one in compression helps', () => {
    const use = (beam: object) =>
      computeProject(bay({ beam: { restraint: 'points', ...beam } }))
        .designs.member('B1')!
        .results[0]!.checks.find(isCheck('lateral-torsional-buckling'))!.utilisation!;
    const [free, top, bottom, both] = [{}, { topPoints: [3000] }, { bottomPoints: [3000] }, { restraintPoints: [3000] }].map(use);
    expect(bottom).toBeCloseTo(free!, 10);
    expect(top).toBeCloseTo(both!, 10);
    expect(top).toBeLessThan(0.8 * free!);
  });
  it('what the codes are given is on the safe side of a numerical solution with one flange held at the places', () => {
    const place = fc.integer({ min: 1, max: 9 }).map((n) => n * 1000);
    const drawn = fc.tuple(
      fc.constantFrom(7000, 8000, 9000),
      fc.uniqueArray(place, { minLength: 1, maxLength: 3 }),
      fc.uniqueArray(place, { maxLength: 2 }),
    );
    const { Iz, It, Iw, depth } = SECTION.properties;
    let most = 0;
    fc.assert(
      fc.property(drawn, ([second, topPoints, bottomPoints]) => {
        const { solution, segments } = of({ topPoints, bottomPoints, restraintPoints: [10_000] }, [0, second]);
        const exact = lateralBucklingFactor({
          length: 10_000,
          EIz: E * Iz,
          GIt: G * It,
          EIw: E * Iw,
          moment: (x) => solution.at('moment', x),
          held: [0, second, 10_000],
          heldLines: [...topPoints.map((at) => ({ at, above: depth / 2 })), ...bottomPoints.map((at) => ({ at, above: -depth / 2 }))],
        });
        for (const codes of [europeanFactor, americanFactor]) {
          const least = Math.min(
            ...segments.map((segment) => criticalMoment(SECTION, segment.to - segment.from, codes(segment), E, G) / Math.abs(segment.peak)),
          );
          most = Math.max(most, least / exact);
        }
      }),
      { numRuns: 60 },
    );
    expect(most).toBeLessThan(1.05);
  });
});

describe('overhangs and load on the top flange, American', () => {
  const american = (beam: object) =>
    computeProject(bay({ family: 'american', beam: { restraint: 'supports', ...beam } }))
      .designs.member('B1')!
      .results[0]!.checks.find(isCheck('lateral-torsional-buckling'))!;
  it('load on the top flange lowers the strength, and both are proved', () => {
    const [centre, top] = [american({}), american({ loadHeight: 'top' })];
    expect(top.verdict).not.toBe('unproven');
    expect(top.capacity!).toBeLessThan(0.95 * centre.capacity!);
    expect(top.capacity!).toBeGreaterThan(0.4 * centre.capacity!);
  });
  it('a free tip is weaker than one that is held', () => {
    const supports = [
      { at: 0, by: 'C1' },
      { at: 2400, by: 'C2' },
    ];
    const [free, held] = [american({ supports }), american({ supports, restraint: 'points', restraintPoints: [6000] })];
    expect(free.verdict).not.toBe('unproven');
    expect(free.utilisation!).toBeGreaterThan(held.utilisation!);
  });
  it('with the critical moment of forks under uniform moment gives what F2 gives', () => {
    const { american: standard } = STANDARDS;
    const section = findSection('W18X50');
    const grade = steelGrade('A992');
    const { Iz: Iy, It: J, Iw: Cw } = section.properties;
    for (const L of [1500, 3000, 5000, 9000]) {
      const exact = (Math.PI / L) * Math.sqrt(grade.E * Iy * grade.G * J + ((Math.PI * grade.E) / L) ** 2 * Iy * Cw);
      const capacity = (freeTip: boolean) => {
        const segment = {
          from: 0,
          to: L,
          quarters: [1e6, 1e6, 1e6] as const,
          peak: 1e6,
          tensionFlangeHeld: false,
          freeTip,
          critical: () => exact / 1e6,
        };
        const actions = { basis: 'factored' as const, combination: 'x', moment: 1e6, shear: 0, segments: [segment] };
        return standard.steel
          .beam({ section, grade, actions }, standard.loads.philosophies[0]!)
          .find(isCheck('lateral-torsional-buckling'))!.capacity!;
      };
      expect(Math.abs(capacity(true) / capacity(false) - 1), `${L} mm`).toBeLessThan(0.01);
    }
  });
});

describe('a channel as a beam', () => {
  const design = (beam: object) =>
    computeProject(bay({ beam: { section: 'PFC 200x90x30', restraint: 'supports', ...beam } })).designs.member('B1')!;
  it('is unproven until somebody says that it cannot twist, which is recorded', () => {
    const lateral = (beam: object) => design(beam).results[0]!.checks.find(isCheck('lateral-torsional-buckling'))!;
    expect(lateral({}).verdict).toBe('unproven');
    expect(lateral({}).reason).toContain('a channel twists');
    const held = design({ untwisted: true });
    expect(lateral({ untwisted: true }).capacity).toBeGreaterThan(0);
    expect(held.assumptions.map(({ key }) => key)).toContain('untwisted');
    expect(
      computeProject(bay({ beam: { untwisted: true } }))
        .designs.member('B1')!
        .assumptions.map(({ key }) => key),
    ).not.toContain('untwisted');
  });
});
