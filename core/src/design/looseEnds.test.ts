import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import { caseOf } from '../load';
import { computeProject } from '.';

const rectangle = (x1: number, y1: number, x2: number, y2: number) => [
  { x: x1, y: y1 },
  { x: x2, y: y1 },
  { x: x2, y: y2 },
  { x: x1, y: y2 },
];
const base: Item[] = [
  item('brief', 'brief', defaultBrief('Trial', 'european')),
  item('level', 'L1', { name: 'Eaves', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('buildUp', 'roof', {
    name: 'Roof',
    layers: [{ name: 'tiles', load: '0.8 kN/m2' }],
    variable: [{ name: 'snow', load: '0.6 kN/m2', nature: 'snow' }],
  }),
];
const wall = (id: string, y: number) =>
  item('wall', id, {
    mark: id,
    from: { x: 0, y },
    to: { x: 6000, y },
    base: 'L0',
    top: 'L1',
    weight: 0.004,
    by: null,
    supportsFound: true,
    bears: 'yes',
  });
const strip = (id: string, y: number) => item('stripFooting', id, { mark: id, from: { x: 0, y }, to: { x: 6000, y }, level: 'L0' });
const half = (id: string, y1: number, y2: number, more: object = {}) =>
  item('panel', id, {
    mark: id,
    level: 'L1',
    outline: rectangle(0, y1, 6000, y2),
    buildUp: 'roof',
    direction: Math.PI / 2,
    pitch: '40 deg',
    ...more,
  });
const ridge = item('beam', 'RB', {
  mark: 'RB',
  level: 'L1',
  from: { x: 0, y: 3500 },
  to: { x: 6000, y: 3500 },
  ownWeight: 0.5,
  supportsFound: true,
  supports: [],
});
const kinds = (items: readonly Item[]) => computeProject([...base, ...items]).looseEnds.map(({ key }) => key.split(':')[0]);
const pair = [wall('W1', 0), strip('S1', 0), wall('W2', 7000), strip('S2', 7000), half('R1', 0, 3500), half('R2', 3500, 7000)];

describe('rafters', () => {
  it('without a ridge beam thrust, by w l / 2 tan of the pitch', () => {
    const found = computeProject([...base, ...pair]).looseEnds.filter(({ key }) => key.startsWith('thrust:'));
    expect(found.length).toBe(1);
    expect(found[0]!.title).toBe('R1 and R2 lean on each other without a ridge beam');
    // 0.8 / cos 40 = 1.0443 on plan; times 3.5 / (2 x 0.8391) = 2.18; snow 0.6 x 2.0856 = 1.25
    expect(found[0]!.why).toContain('3.50 m');
    expect(found[0]!.why).toContain('2.2 kN/m permanent and 1.3 kN/m variable');
  });
  it('on a ridge beam do not, nor do flat roofs or roofs side by side', () => {
    expect(kinds([...pair, ridge])).not.toContain('thrust');
    expect(
      kinds(
        pair.map((entry) =>
          entry.kind === 'panel' ? half(entry.id, entry.id === 'R1' ? 0 : 3500, entry.id === 'R1' ? 3500 : 7000, { pitch: 0 }) : entry,
        ),
      ),
    ).not.toContain('thrust');
    expect(kinds([wall('W1', 0), strip('S1', 0), half('R1', 0, 3500)])).not.toContain('thrust');
  });
});

describe('a wall lower than its storey', () => {
  const roofed = (height: number | null) =>
    kinds([...pair.filter(({ id }) => id !== 'W1'), { ...wall('W1', 0), body: { ...wall('W1', 0).body, height } } as Item, ridge]);
  it('is asked about where a floor or roof is taken to land on it, unless a floor may well fill the gap', () => {
    expect(roofed(1100)).toContain('low-wall');
    expect(roofed(2450)).not.toContain('low-wall');
    expect(roofed(null)).not.toContain('low-wall');
  });
  it('is not asked about while nothing comes down on it', () => {
    const alone = { ...wall('W1', 0), body: { ...wall('W1', 0).body, height: 1100 } } as Item;
    expect(kinds([alone, strip('S1', 0)])).not.toContain('low-wall');
  });
});

describe('the ground', () => {
  it('is missing while nothing reaches it, and strips under walls are ground enough', () => {
    expect(kinds([wall('W1', 0)])).toContain('no-footing');
    expect(kinds([wall('W1', 0), strip('S1', 0)])).not.toContain('no-footing');
  });
});

describe('openings that a note speaks of', () => {
  const note = (text: string, x = 3000) => item('note', 'n', { text, level: 'L1', at: { x, y: 1500 }, on: null });
  it('are missed where the panel has none there', () => {
    expect(kinds([...pair, note('Roof light over the bench')])).toContain('opening');
    expect(kinds([...pair, note('stair goes up here')])).toContain('opening');
    expect(kinds([...pair, note('upstairs neighbour')])).not.toContain('opening');
    expect(kinds([...pair, note('stair', 9000)])).not.toContain('opening');
  });
  it('are not missed where it has', () => {
    const open = half('R1', 0, 3500, { openings: [{ label: '', outline: rectangle(2500, 1000, 3500, 2000) }] });
    expect(kinds([...pair.filter(({ id }) => id !== 'R1'), open, note('roof light')])).not.toContain('opening');
  });
});

describe('members in one place', () => {
  const pad = (id: string, x: number) => item('footing', id, { mark: id, at: { x, y: 0 }, level: 'L0' });
  it('are named', () => {
    expect(kinds([pad('F1', 0), pad('F2', 10)])).toContain('twin');
    expect(kinds([pad('F1', 0), pad('F2', 1500)])).not.toContain('twin');
  });
});

describe('horizontal load', () => {
  const posts = [
    item('footing', 'F', { mark: 'F1', at: { x: 0, y: 0 }, level: 'L0' }),
    item('column', 'C', { mark: 'C1', at: { x: 0, y: 0 }, base: 'L0', top: 'L1', by: 'F', ownWeight: 1 }),
    item('load', 'w1', { label: 'wind on the gable', on: 'C', type: 'point', nature: 'wind', east: '12 kN', north: '-3 kN' }),
    item('load', 'w2', { label: 'wind on the side', on: 'C', type: 'point', nature: 'wind', east: '2 kN' }),
  ];
  it('is counted by case, and nothing resists it until somebody says what does', () => {
    const open = computeProject([...base, ...posts]);
    expect(open.takedown.horizontal).toEqual([{ loadCase: caseOf('wind'), east: 14_000, north: -3000 }]);
    expect(open.looseEnds.find(({ key }) => key === 'horizontal:brief')!.title).toContain('wind 14.00 kN east, -3.00 kN north');
    const answered = computeProject([
      ...base,
      ...posts,
      item('answer', 'a', { key: 'project:stability', reason: 'Masonry boxes at both ends.', by: 'Ada' }),
    ]);
    expect(answered.looseEnds.some(({ key }) => key.startsWith('horizontal'))).toBe(false);
  });
  it('changes nothing that goes down', () => {
    const sums = (items: readonly Item[]) => computeProject([...base, ...items]).takedown.members.get('F')!.sum;
    expect(sums(posts)).toEqual(sums(posts.slice(0, 2)));
  });
});

describe('a wall that braces', () => {
  const braced = (more: object) => {
    const one = wall('W3', 3000);
    return computeProject([...base, ...pair, { ...one, body: { ...one.body, ...more } } as Item]).looseEnds.filter(
      ({ key }) => key === 'braces-removed:W3',
    );
  };
  it('is a loose end with its caution as soon as it is to be removed, whether it carries or not', () => {
    for (const bears of ['yes', 'no']) {
      expect(braced({ braces: true, bears, status: 'existing' })).toEqual([]);
      expect(braced({ braces: false, bears, status: 'removed' })).toEqual([]);
      const [found] = braced({ braces: true, bears, status: 'removed' });
      expect(found!.title).toContain('W3 braces the outside walls');
      expect(found!.remedy).toContain('a licensed engineer must agree');
    }
  });
});
