import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import { isCheck } from '../sheet';
import { isClosedMoment } from '../takedown';
import { allAssumptions, computeProject } from '.';

/** A balcony that hangs out over a beam along the x axis. */
const balcony = (depth: number, cantilevers: boolean, turn = 0, back = 0): Item[] => {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const at = (x: number, y: number) => ({ x: x * cos - y * sin, y: x * sin + y * cos });
  const post = (id: string, x: number) => [
    item('footing', `F${id}`, { mark: `F${id}`, at: at(x, 0), level: 'L0' }),
    item('column', `C${id}`, { mark: `C${id}`, at: at(x, 0), base: 'L0', top: 'L1', by: null, supportsFound: true, ownWeight: 0 }),
  ];
  return [
    item('brief', 'brief', defaultBrief('Trial', 'european')),
    item('level', 'L1', { name: 'Floor', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    item('buildUp', 'slab', {
      name: 'Slab',
      layers: [{ name: 'concrete', load: '5 kN/m2' }],
      variable: [{ name: 'balcony', load: '4 kN/m2', nature: 'imposed', use: 'A' }],
    }),
    ...post('1', 0),
    ...post('2', 6000),
    item('beam', 'B', {
      mark: 'B',
      level: 'L1',
      from: at(0, 0),
      to: at(6000, 0),
      ownWeight: 0,
      section: 'UB 457x191x67',
      restraint: 'floor',
      supportsFound: true,
      supports: [],
    }),
    item('panel', 'P', {
      mark: 'P',
      level: 'L1',
      outline: [at(0, -back), at(6000, -back), at(6000, depth), at(0, depth)],
      buildUp: 'slab',
      direction: Math.PI / 2 + turn,
      cantilevers,
    }),
  ];
};
const eccentric = (items: Item[]) => computeProject(items).designs.member('B')!.results[0]!.checks.find(isCheck('eccentric-load'));

describe('a slab that cantilevers from one beam', () => {
  it('lands on it with all of its load; without the choice it lands nowhere', () => {
    const { takedown } = computeProject(balcony(1500, true));
    const own = takedown.members.get('B')!.arrivals.find(({ source }) => source.type === 'ownWeight')!.byCase['permanent']! * 6000;
    expect(takedown.members.get('B')!.sum['permanent']! - own).toBeCloseTo(5e3 * 9, 3);
    expect(takedown.looseEnds.filter(({ key }) => key.startsWith('panel-edge'))).toEqual([]);
    const without = computeProject(balcony(1500, false)).takedown;
    expect(without.members.get('B')!.sum['permanent']).toBeCloseTo(own, 3);
    expect(without.looseEnds.map(({ key }) => key)).toContain('panel-edge:P:one support');
  });
  it('twists it: the beam is not verified, and says by how much', () => {
    // 6.10b: 0.925 x 1.35 x 5 + 1.5 x 4, on 9 m2 at 0.75 m; 6.10a: 1.35 x 5 + 1.5 x 0.7 x 4
    const q = Math.max(0.925 * 1.35 * 5 + 1.5 * 4, 1.35 * 5 + 1.5 * 0.7 * 4);
    const row = eccentric(balcony(1500, true))!;
    expect(row.verdict).toBe('unproven');
    expect(Number(/P cantilevers from it and brings ([\d.]+) kNm/.exec(row.reason!)![1]) / (q * 9 * 0.75)).toBeCloseTo(1, 2);
    expect(allAssumptions(computeProject(balcony(1500, true)).assumptions).map(({ key }) => key)).toContain('P:cantilevers');
    // as far behind as before it is in equilibrium
    expect(eccentric(balcony(1500, true, 0, 1500))).toBeUndefined();
    expect(eccentric(balcony(1500, false))).toBeUndefined();
  });
  it('force and both moments balance, however it is turned', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 3000 }), fc.double({ min: -3, max: 3, noNaN: true }), (depth, turn) => {
        const { takedown } = computeProject(balcony(depth, true, turn));
        for (const line of takedown.balance) {
          expect(Math.abs(line.gap.force)).toBeLessThan(1e-6);
          expect(Math.abs(line.lost.force)).toBeLessThan(1e-6);
          expect([isClosedMoment(line, 'aboutX'), isClosedMoment(line, 'aboutY')]).toEqual([true, true]);
        }
      }),
      { numRuns: 20 },
    );
  });
});
