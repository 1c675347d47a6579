import { describe, expect, it } from 'vitest';
import { findSection } from '../section';
import { bay } from './bay.test.data';
import { gradeFor } from './grade';
import { computeProject } from './project';
import { contextOf } from './context';
import { leastOf, nextLess, trySections, type Candidate } from './sizing';
import { waysOf, whatIf } from './whatIf';

const { building, takedown, designs } = computeProject(bay());
const outcome = (title: string) =>
  whatIf(
    building,
    takedown,
    'B1',
    waysOf(building, 'B1').find((way) => way.title.startsWith(title))!,
  );

describe('what if a member were otherwise', () => {
  it('asks each way once: as it is, restraint, grades, other rules, other codes', () => {
    expect(waysOf(building, 'B1').map(({ kind, title }) => `${kind}: ${title}`)).toEqual([
      'as it is: as it is',
      'restraint: held by its supports only',
      'grade: in S235',
      'grade: in S275',
      'philosophy: by limit state, expression 6.10',
      'family: by Eurocodes, recommended values',
      'family: by ASCE 7, AISC 360, ACI 318, LRFD',
      'family: by ASCE 7, AISC 360, ACI 318, ASD',
      'family: by BS 5950-1, older British practice',
    ]);
    expect(waysOf(building, 'C1').some(({ kind }) => kind === 'restraint')).toBe(false);
    expect(waysOf(building, 'nobody')).toEqual([]);
  });
  it('as it is gives what the design gives', () => {
    expect(outcome('as it is').present!.utilisation).toBeCloseTo(designs.member('B1')!.governing!.utilisation!, 12);
  });
  it('without the floor a beam needs more; other codes answer with their own shapes', () => {
    expect(outcome('held by its supports').lightest!.mass).toBeGreaterThan(outcome('as it is').lightest!.mass);
    expect(outcome('by ASCE 7').lightest!.family).toBe('W');
    expect(outcome('by BS 5950-1').lightest!.family).toBe('UB');
  });
  it('by another code gives what a project of that code gives', () => {
    const british = computeProject(bay({ family: 'british', brief: { grade: 'S355' } }));
    expect(outcome('by BS 5950-1').present!.utilisation).toBeCloseTo(british.designs.member('B1')!.governing!.utilisation!, 9);
  });
});

describe('choosing by cost, and from own shapes', () => {
  it('a dear hollow section is not taken though it is lighter', () => {
    const column = { section: 'UC 203x203x46' };
    const costs = (priceHollow: number) => {
      const result = computeProject(bay({ column, brief: { priceHollow } }));
      return leastOf(trySections(contextOf(result.building, result.takedown), 'C1'), 'cost')!;
    };
    expect(['SHS', 'CHS']).toContain(costs(1).family);
    expect(['UC', 'HEA', 'HEB']).toContain(costs(5).family);
    expect(costs(1.3).cost / costs(1.3).mass).toBeCloseTo(['SHS', 'CHS'].includes(costs(1.3).family) ? 1.3 : 1, 9);
  });
  it('own shapes of the brief are tried where they are asked for', () => {
    const ownShapes = [{ name: 'PG1', designation: 'own I 400x180x8x14' }];
    const result = computeProject(bay({ brief: { ownShapes } }));
    const context = contextOf(result.building, result.takedown);
    // plates come in the grade of rolled shapes
    expect(gradeFor(result.building, { grade: null }, findSection('own I 400x180x8x14')).id).toBe('S355');
    expect(trySections(context, 'B1', { families: ['own'] })).toMatchObject([{ designation: 'own I 400x180x8x14', verdict: 'carries' }]);
    expect(trySections(context, 'B1').some(({ family }) => family === 'own')).toBe(false);
  });
  it('an own shape that is none is refused in the brief', () => {
    expect(() => bay({ brief: { ownShapes: [{ name: 'X', designation: 'UB 406x178x54' }] } })).toThrow('write an own shape');
    expect(() => bay({ brief: { ownShapes: [{ name: 'X', designation: 'own I 20x180x8x14' }] } })).toThrow('write an own shape');
  });
});

describe('why not the next less', () => {
  const tried = (designation: string, mass: number, depth: number, isShort: boolean): Candidate => ({
    designation,
    family: 'W',
    mass,
    depth,
    width: 100,
    cost: mass,
    utilisation: isShort ? 1.2 : 0.9,
    verdict: isShort ? 'short' : 'carries',
    governing: designs.member('B1')!.governing,
  });
  const list = [
    tried('heavier', 60, 200, false),
    tried('chosen', 55, 400, false),
    tried('as heavy', 55, 300, true),
    tried('less', 54, 250, true),
  ];
  it('is really less, not one that weighs the same', () => {
    const chosen = leastOf(list, 'mass')!;
    expect(chosen.designation).toBe('chosen');
    expect(nextLess(list, chosen, 'mass')!.designation).toBe('less');
    expect(nextLess(list, chosen, 'depth')!.designation).toBe('as heavy');
    expect(nextLess([chosen, list[2]!], chosen, 'mass')).toBeNull();
  });
});
