import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, type Item } from '../building';
import { TakedownEngine } from '.';

const at = (x: number, y: number) => ({ x, y });
const base = (rule: 'posts' | 'members') => [
  item('brief', 'brief', { ...defaultBrief('Trial', 'european'), transferRule: rule }),
  item('level', 'L2', { name: 'Roof', elevation: 6000 }),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
];
const beam = (id: string, from: readonly [number, number], to: readonly [number, number], more: object = {}) =>
  item('beam', id, { mark: id, level: 'L1', from: at(...from), to: at(...to), ownWeight: 1, supportsFound: true, supports: [], ...more });
const column = (id: string, x: number, y: number, bottom = 'L0', top = 'L1') =>
  item('column', id, { mark: id, at: at(x, y), base: bottom, top, by: null, supportsFound: true, ownWeight: 0.3 });
const wall = (id: string, y: number) =>
  item('wall', id, {
    mark: id,
    from: at(0, y),
    to: at(6000, y),
    base: 'L1',
    top: 'L2',
    weight: 0.004,
    by: null,
    supportsFound: true,
    bears: 'yes',
  });
/** M carries a beam, P a post, W a wall, each on columns of its own. */
const floor = (more: object = {}): Item[] => [
  ...[0, 5000, 10_000].flatMap((y) => [column(`A${y}`, 0, y), column(`B${y}`, 6000, y)]),
  beam('M', [0, 0], [6000, 0], more),
  beam('S', [3000, 0], [3000, 5000]),
  beam('P', [0, 5000], [6000, 5000]),
  column('post', 2000, 5000, 'L1', 'L2'),
  beam('W', [0, 10_000], [6000, 10_000]),
  wall('wall', 10_000),
];
const engine = new TakedownEngine(() => []);
const transfers = (items: readonly Item[]) => {
  const { members } = engine.run(assemble(items));
  return ['M', 'P', 'W', 'S'].filter((id) => members.get(id)!.transfer);
};

describe('a transfer beam', () => {
  it('carries a column, post or wall from above; by the other rule any member', () => {
    // one engine, so that the rule changes under what it remembers
    expect(transfers([...base('posts'), ...floor()])).toEqual(['P', 'W']);
    expect(transfers([...base('members'), ...floor()])).toEqual(['M', 'P', 'W']);
    expect(transfers([...base('posts'), ...floor()])).toEqual(['P', 'W']);
  });
  it('is what the beam itself says first', () => {
    expect(transfers([...base('posts'), ...floor({ transfer: 'yes' })])).toEqual(['M', 'P', 'W']);
    expect(transfers([...base('members'), ...floor({ transfer: 'no' })])).toEqual(['P', 'W']);
  });
});
