import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, placedItem, type Item, type Wall } from '../building';
import { FAMILIES, profileOf, type Family } from '../family';
import { computeProject, ProjectEngine } from './project';

/** A wall 3 m high and 6 m long on a beam, with a post on the middle of its head. */
const building = (family: Family, wall: Partial<Wall> = {}): Item[] => [
  item('brief', 'brief', defaultBrief('Smithy', family)),
  item('level', 'L2', { name: 'Roof', elevation: 6000 }),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('column', 'P', { mark: 'P', at: { x: 3000, y: 0 }, base: 'L2', top: 'L3', by: 'W', ownWeight: 0 }),
  item('level', 'L3', { name: 'Ridge', elevation: 8000 }),
  item('load', 'q', { label: 'q', on: 'P', type: 'point', nature: 'snow', force: '60 kN' }),
  item('wall', 'W', { mark: 'W', from: { x: 0, y: 0 }, to: { x: 6000, y: 0 }, base: 'L1', top: 'L2', by: 'B', weight: 0, ...wall }),
  item('beam', 'B', {
    mark: 'B',
    level: 'L1',
    from: { x: 0, y: 0 },
    to: { x: 6000, y: 0 },
    ownWeight: 0,
    supports: [
      { at: 0, by: 'C1' },
      { at: 6000, by: 'C2' },
    ],
  }),
  ...[0, 6000].flatMap((x, i) => [
    item('column', `C${i + 1}`, { mark: `C${i + 1}`, at: { x, y: 0 }, base: 'L0', top: 'L1', by: `F${i + 1}`, ownWeight: 0 }),
    item('footing', `F${i + 1}`, { mark: `F${i + 1}`, at: { x, y: 0 }, level: 'L0' }),
  ]),
];
/** Where the snow on the post lies on the beam. */
const onBeam = (items: readonly Item[]) => {
  const shapes = computeProject(items)
    .takedown.members.get('B')!
    .arrivals.filter(({ byCase }) => (byCase['snow'] ?? 0) > 0)
    .map(({ shape }) => shape);
  expect(shapes.length).toBe(1);
  return shapes[0] as Extract<(typeof shapes)[number], { type: 'distributed' }>;
};
const keys = (items: readonly Item[]) =>
  computeProject(items)
    .assumptions.get('W')!
    .map(({ key }) => key.slice(2));
const spreadText = (items: readonly Item[]) =>
  computeProject(items)
    .assumptions.get('W')!
    .find(({ key }) => key.includes('spread'))!;

describe('how a point load spreads down a wall', () => {
  it.each(FAMILIES)('a new wall of %s takes it from the family', (family) => {
    const { angle, depth } = profileOf(family).wallSpread;
    const points = [
      { x: 0, y: 0 },
      { x: 6000, y: 0 },
    ];
    const made = placedItem(assemble(building(family)), 'wall', 'new', 'W9', 'L2', points);
    expect(made.body).toMatchObject({ spreadAngle: angle, spreadDepth: depth, spread: 'angle' });
    expect(keys(building(family, { spreadAngle: angle, spreadDepth: depth }))).toContain('spread-angle');
  });
  it('by hand: 60 degrees to the horizontal, 3 m down; two down to one across, to half of 3 m; 45 degrees', () => {
    const european = onBeam(building('european', { spreadAngle: Math.PI / 6 }));
    // 3 m x 0.57735 each way
    expect([european.from, european.to]).toEqual([expect.closeTo(1267.95, 1), expect.closeTo(4732.05, 1)]);
    const american = onBeam(building('american', { spreadAngle: Math.atan(0.5), spreadDepth: 'half' }));
    expect([american.from, american.to]).toEqual([expect.closeTo(2250, 6), expect.closeTo(3750, 6)]);
    const usual = onBeam(building('european'));
    expect([usual.from, usual.to]).toEqual([expect.closeTo(0, 6), expect.closeTo(6000, 6)]);
  });
  it('a narrower cone presses more on the middle of what is below, and never less in all', () => {
    const peak = (angle: number, depth: Wall['spreadDepth']) => {
      const { start, end, from, to } = onBeam(building('european', { spreadAngle: angle, spreadDepth: depth }));
      expect(((start + end) / 2) * (to - from)).toBeCloseTo(1, 9);
      return Math.max(start, end);
    };
    for (const angle of [0.1, 0.3, 0.5, 0.7]) {
      expect(peak(angle, 'half')).toBeGreaterThan(peak(angle, 'whole'));
      expect(peak(angle, 'whole')).toBeGreaterThan(peak(angle + 0.1, 'whole'));
    }
  });
  it('a stored wall keeps its angle, as an open assumption that names that of the family and says which is wider', () => {
    const stored = spreadText(building('european'));
    expect(stored).toMatchObject({ key: 'W:spread-angle-45-whole', answer: null });
    expect(stored.text).toContain('45 degrees from the vertical');
    expect(stored.reason).toMatch(/Eurocodes, UK annexes: 30 degrees \(EN 1996-1-1 6\.1\.3\)\. This is wider/);
    expect(spreadText(building('european', { spreadAngle: 0.3 })).reason).not.toContain('wider');
    const american = spreadText(building('american'));
    expect(american.reason).toMatch(
      /26\.6 degrees, down to half the height of the wall and no wider below \(TMS 402 5\.1\.3\)\. This is wider/,
    );
    // as wide as the family's at the top, but all the way down
    expect(spreadText(building('american', { spreadAngle: Math.atan(0.5) })).reason).toContain('This is wider');
  });
  it('is judged anew when the project works by other codes', () => {
    const engine = new ProjectEngine();
    const at30 = (family: Family) => building(family, { spreadAngle: Math.PI / 6 });
    const european = at30('european');
    engine.run(european);
    const british = [at30('british')[0]!, ...european.slice(1)];
    expect([...engine.run(british).assumptions].sort()).toEqual([...computeProject(british).assumptions].sort());
    expect(keys(european)).toContain('spread-angle');
    expect(keys(british)).toContain('spread-angle-30-whole');
  });
});
