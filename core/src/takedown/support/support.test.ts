import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, type Item } from '../../building';
import { ruleInWords, takeDown, type Takedown } from '..';

const frame = [
  item('brief', 'brief', defaultBrief('Trial', 'european')),
  item('level', 'L2', { name: 'Roof', elevation: 6000 }),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
];
const run = (...items: Item[]): Takedown => takeDown(assemble([...frame, ...items]), () => []);
const beam = (id: string, x1: number, y1: number, x2: number, y2: number, more: object = {}) =>
  item('beam', id, {
    mark: id,
    level: 'L1',
    from: { x: x1, y: y1 },
    to: { x: x2, y: y2 },
    ownWeight: 1,
    supportsFound: true,
    supports: [],
    ...more,
  });
const column = (id: string, x: number, y: number, base = 'L0', top = 'L1', more: object = {}) =>
  item('column', id, { mark: id, at: { x, y }, base, top, by: null, supportsFound: true, ownWeight: 0, ...more });
const pad = (id: string, x: number, y: number, level = 'L0') => item('footing', id, { mark: id, at: { x, y }, level });
const wall = (id: string, x1: number, y1: number, x2: number, y2: number, more: object = {}) =>
  item('wall', id, {
    mark: id,
    from: { x: x1, y: y1 },
    to: { x: x2, y: y2 },
    base: 'L0',
    top: 'L1',
    weight: 0.004,
    by: null,
    supportsFound: true,
    bears: 'yes',
    ...more,
  });
const strip = (id: string, x1: number, y1: number, x2: number, y2: number, level = 'L0') =>
  item('stripFooting', id, { mark: id, from: { x: x1, y: y1 }, to: { x: x2, y: y2 }, level });
const on = (t: Takedown, id: string) => t.bearers.get(id)!.map((bearer) => [bearer.by, 'at' in bearer ? Math.round(bearer.at) : null]);
const titles = (t: Takedown) => t.looseEnds.map((end) => end.title);

describe('what a beam rests on', () => {
  it('columns under its line, in order, within reach', () => {
    const t = run(
      column('C1', 100, 150),
      column('C2', 6000, -50),
      column('C3', 3000, 0),
      column('far', 3000, 300),
      beam('B', 0, 0, 6000, 0),
    );
    expect(on(t, 'B')).toEqual([
      ['C1', 100],
      ['C3', 3000],
      ['C2', 6000],
    ]);
    expect(ruleInWords(t.bearers.get('B')![0]!, 'C1')).toBe('C1 stands under it');
  });
  it('the ends of two walls in its own line, as beside an opening between two nibs', () => {
    for (const gap of [0, 40, -60]) {
      const t = run(wall('W1', 0, 0, 1000, 0), wall('W2', 4000, 0, 5000, 0), beam('B', 1000 + gap, 0, 4000 - gap, 0));
      expect(on(t, 'B').map(([by]) => by)).toEqual(['W1', 'W2']);
      const loads = t.members.get('B')!.leaves.map(({ byCase }) => byCase['permanent']);
      expect(loads[0]).toBeCloseTo((3000 - 2 * gap) / 2, 6);
      expect(loads[1]).toBeCloseTo((3000 - 2 * gap) / 2, 6);
    }
    // beside it, or too far away, it is none
    expect(on(run(wall('W1', 0, 900, 1000, 900), beam('B', 1000, 0, 4000, 0)), 'B')).toEqual([]);
    expect(on(run(wall('W1', 0, 0, 500, 0), beam('B', 1000, 0, 4000, 0)), 'B')).toEqual([]);
  });
  it('a column that starts here carries nothing here; one that passes does', () => {
    const t = run(column('up', 0, 0, 'L1', 'L2'), column('through', 6000, 0, 'L0', 'L2'), beam('B', 0, 0, 6000, 0));
    expect(on(t, 'B')).toEqual([['through', 6000]]);
  });
  it('its end frames into another beam; the column at that place is preferred', () => {
    const t = run(
      beam('M', 0, 0, 8000, 0),
      beam('J', 3000, 0, 3000, 4000),
      beam('K', 5000, 60, 5000, 4000),
      column('C', 5000, 0),
      column('C1', 0, 0),
      column('C2', 3000, 4000),
    );
    expect(on(t, 'J')).toEqual([
      ['M', 0],
      ['C2', 4000],
    ]);
    expect(on(t, 'K')).toEqual([['C', 0]]);
    // a beam that carries a beam is a transfer beam by the other rule only
    expect(t.members.get('M')!.transfer).toBe(false);
  });
  it('walls are crossed, met with an end, or lain upon; a wall that carries nothing is passed by', () => {
    const t = run(
      wall('W1', 0, -1000, 0, 1000),
      wall('W2', 4000, -1000, 4000, 1000),
      wall('no', 2000, -1000, 2000, 1000, { bears: 'no' }),
      beam('B', 50, 0, 5000, 0),
      wall('W3', 0, 5000, 3000, 5000),
      beam('L', 500, 5000, 2500, 5000),
    );
    expect(on(t, 'B')).toEqual([
      ['W1', 0],
      ['W2', 3950],
    ]);
    expect(on(t, 'L')).toEqual([
      ['W3', 0],
      ['W3', 2000],
    ]);
  });
  it('what is said of a connection goes with what it joins, and is a loose end where they do not meet any more', () => {
    const items = (at: number, more: object = {}) => [
      pad('F1', 0, 0),
      column('C1', 0, 0),
      pad('F2', 6000, 0),
      column('C2', 6000, 0),
      beam('B', at, 0, 6000, 0, { connections: [{ to: 'C1', end: 'start', fixed: true, ...more }] }),
    ];
    const lost = (at: number, more: object = {}) => run(...items(at, more)).looseEnds.filter(({ key }) => key.startsWith('connection'));
    // with its end, or a little past it
    for (const at of [0, -150]) {
      expect(lost(at)).toEqual([]);
      expect(run(...items(at)).bearers.get('B')).toMatchObject([
        { by: 'C1', fixed: true },
        { by: 'C2', fixed: false },
      ]);
    }
    // drawn a metre longer, it runs over the column; or away from it
    for (const at of [-1000, 1000])
      expect(lost(at).map(({ title }) => title)).toEqual(['B: its connection at its start with C1 is not there any more']);
    expect(lost(0, { to: 'gone' })[0]!.title).toBe('B: its connection at its start with what carried it is not there any more');
    expect(lost(0, { end: 'along' })[0]!.why).toContain('It was said to be fixed.');
    expect(lost(0, { to: 'C2', end: 'end', joint: 'J3', eccentricity: 150 })).toEqual([]);
    // what is said of its end is not read at its start
    expect(run(...items(0, { end: 'end' })).bearers.get('B')).toMatchObject([{ fixed: false }, { fixed: false }]);
    const astray = run(
      ...items(0),
      wall('W', 3000, -500, 3000, 500),
      beam('B2', 0, 0, 6000, 0, { mark: 'B2', connections: [{ to: 'W', end: 'along', eccentricity: 80 }] }),
    );
    expect(titles(astray)).toContain('B2: the eccentricity of its connection along it with W is not read');
    // it runs over the column, or is said to bear centrally: the eccentricity is not read, and that is told
    const off = { end: 'start', eccentricity: 150 };
    const told = (list: Item[]) => titles(run(...list)).filter((title) => title.includes('eccentricity'));
    expect([told(items(0, off)), told(items(-150, off)).length]).toEqual([[], 1]);
    const central = items(0, off).map((entry) => (entry.id === 'C1' ? column('C1', 0, 0, 'L0', 'L1', { beamsBear: 'central' }) : entry));
    expect(told(central)).toEqual(['B: the eccentricity of its connection at its start with C1 is not read']);
    const post = (said: string) =>
      run(pad('F1', 0, 0), column('C1', 0, 0, 'L0', 'L1', { connections: [{ to: said, end: 'foot', joint: 'J1' }] }));
    expect(titles(post('F1')).filter((title) => title.includes('connection'))).toEqual([]);
    expect(titles(post('F9'))).toContain('C1: its connection at its foot with what carried it is not there any more');
  });
  it('of a named support says what it joins only what the support does not', () => {
    const named = {
      supportsFound: false,
      supports: [
        { at: 0, by: 'C1', fixed: true },
        { at: 6000, by: 'C2' },
      ],
    };
    const t = (said: object) =>
      titles(
        run(
          pad('F1', 0, 0),
          column('C1', 0, 0),
          pad('F2', 6000, 0),
          column('C2', 6000, 0),
          beam('B', 0, 0, 6000, 0, { ...named, connections: [said] }),
        ),
      );
    expect(t({ to: 'C1', end: 'start', joint: 'J1' }).filter((title) => title.includes('connection'))).toEqual([]);
    expect(t({ to: 'C1', end: 'start', fixed: true })).toContain('B: how it is held of its connection at its start with C1 is not read');
  });
  it('what is said of supports that are found is not ignored without a word', () => {
    const told = (support: object) =>
      titles(run(column('C1', 0, 0), column('C2', 6000, 0), beam('B', 0, 0, 6000, 0, { supports: [support] })));
    expect(told({ at: 0, by: 'C1', holdsDown: true })).toContain('B: how its supports are said to hold it is not read');
    expect(told({ at: 0, by: 'C1' }).filter((title) => title.includes('not read'))).toEqual([]);
  });
  it('a skew wall is met where the lines cross', () => {
    const t = run(wall('W', 0, -1000, 2000, 1000), column('C', 5000, 0), beam('B', 1000, 0, 5000, 0));
    expect(on(t, 'B')).toEqual([
      ['W', 0],
      ['C', 4000],
    ]);
  });
  it('hung from above by rods', () => {
    const t = run(
      beam('T', 0, 0, 6000, 0, { level: 'L2' }),
      column('C1', 0, 0, 'L0', 'L2'),
      column('C2', 6000, 0, 'L0', 'L2'),
      item('hanger', 'H', { mark: 'H', at: { x: 3000, y: 0 }, top: 'L2', base: 'L1', by: null, supportsFound: true, ownWeight: 0 }),
      beam('B', 0, 0, 3000, 0),
    );
    expect(on(t, 'B')).toEqual([
      ['C1', 0],
      ['H', 3000],
    ]);
    expect(t.bearers.get('H')![0]).toMatchObject({ by: 'T', rule: 'it hangs from {}' });
    expect(titles(t)).toEqual(expect.not.arrayContaining([expect.stringContaining('hangs from nothing')]));
  });
  it('of two that cross, the one with a free end goes over the other', () => {
    const t = run(
      column('C1', 0, 0),
      column('C2', 6000, 0),
      beam('M', 0, 0, 6000, 0),
      column('C3', 3000, 4000),
      beam('B', 3000, 4000, 3000, -1200),
    );
    expect(on(t, 'B')).toEqual([
      ['C3', 0],
      ['M', 4000],
    ]);
    // 5.2 m of 1 kN/m about C3: M takes 5.2 x 2.6 / 4
    expect(t.members.get('B')!.leaves[1]!.byCase['permanent']).toBeCloseTo(1 * 5200 * (2600 / 4000), 6);
  });
  it('where that does not decide, it is a loose end', () => {
    const t = run(
      ...[0, 6000].flatMap((x) => [column(`A${x}`, x, 0), column(`B${x}`, 3000, x - 3000)]),
      beam('M', 0, 0, 6000, 0),
      beam('N', 3000, -3000, 3000, 3000),
    );
    expect(titles(t)).toContain('M and N cross, and nothing says which carries the other');
  });
  it('ends that nearly touch, and two in one place, are loose ends', () => {
    const t = run(
      column('C1', 0, 0),
      column('C2', 6000, 0),
      beam('M', 0, 0, 6000, 0),
      column('C3', 3000, 4000),
      beam('B', 3000, 4000, 3000, 450),
      beam('M2', 0, 100, 6000, 100),
    );
    expect(titles(t)).toContain('B ends 0.35 m from M2 without resting on it');
    expect(titles(t)).toContain('M and M2 lie in one place');
  });
  it('what is held down stays held down when the support is found again', () => {
    const t = run(
      column('C1', 0, 0),
      column('C2', 6000, 0),
      beam('B', 0, 0, 6000, 0, { connections: [{ to: 'C1', end: 'start', holdsDown: true }] }),
    );
    expect(t.members.get('B')!.leaves.map((leave) => leave.holdsDown)).toEqual([true, false]);
  });
});

describe('what posts and walls stand on', () => {
  it('a pad before a beam, a column that continues before either a beam or a wall', () => {
    const t = run(
      pad('F', 0, 0),
      column('C', 0, 50),
      column('D', 0, 0, 'L1', 'L2'),
      beam('B', -1000, 0, 1000, 0),
      column('E', 500, 0, 'L1', 'L2'),
    );
    expect(on(t, 'C')).toEqual([['F', 0]]);
    expect(on(t, 'D')).toEqual([['C', 0]]);
    expect(on(t, 'E')).toEqual([['B', 0]]);
  });
  it('a column over nothing is a loose end', () => {
    expect(
      titles(
        run(item('column', 'C', { mark: 'C', at: { x: 0, y: 0 }, base: 'L0', top: 'L1', by: null, supportsFound: true, ownWeight: 1 })),
      ),
    ).toEqual(['C rests on nothing']);
  });
  it('a wall stands partly on a wall, partly on a beam; what hangs over the gap is lost and named', () => {
    const upper = wall('U', 0, 0, 10_000, 0, { base: 'L1', top: 'L2' });
    const t = run(
      upper,
      wall('W', 0, 0, 4000, 0),
      strip('S', -200, 0, 4200, 0),
      beam('B', 5000, 0, 10_000, 0),
      column('C1', 5000, 0),
      column('C2', 10_000, 0),
      pad('F1', 5000, 0),
      pad('F2', 10_000, 0),
    );
    expect(t.bearers.get('U')).toEqual([
      { by: 'W', from: 0, to: 4000, rule: '{} continues beneath it' },
      { by: 'B', from: 5000, to: 10_000, rule: '{} runs beneath it' },
    ]);
    // 4 kN/m2 x 3 m: 12 kN/m; 1 m of it stands over the gap
    const balance = t.balance[0]!;
    expect(balance.lost.force).toBeCloseTo(12_000, 6);
    expect(balance.offsets.force).toBeCloseTo(0, 6);
    expect(titles(t)).toEqual(['U stands over a gap: part of it stops above nothing']);
    expect(t.members.get('S')!.sum['permanent']).toBeCloseTo(12 * 4000 + 12 * 4000, 4);
    expect(t.members.get('C1')!.sum['permanent']).toBeCloseTo((12 * 5000 + 5000) / 2, 4);
    expect(t.members.get('B')!.transfer).toBe(true);
  });
  it('a wall that stops above nothing asks for what carries it', () => {
    expect(titles(run(wall('W', 0, 0, 4000, 0, { base: 'L1', top: 'L2' })))).toEqual(['W stops above nothing']);
  });
  it('a door takes its weight out of the wall', () => {
    const openings = [{ from: 1000, to: 2000, sill: 0, head: 2100 }];
    const t = run(wall('W', 0, 0, 4000, 0, { openings }), strip('S', 0, 0, 4000, 0));
    expect(t.members.get('S')!.sum['permanent']).toBeCloseTo(0.004 * (4000 * 3000 - 1000 * 2100), 6);
  });
});
