import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assemble, Assembler, defaultBrief, item, type Item } from '../building';
import { takeDown, TakedownEngine, totalOf, type Takedown } from '.';

const floor = (load: string) =>
  item('buildUp', 'floor', {
    name: 'Floor',
    layers: [{ name: 'slab', load: '2 kN/m2' }],
    variable: [{ name: 'office', load, nature: 'imposed', use: 'B' }],
  });
const frame = [
  item('brief', 'brief', defaultBrief('Trial', 'european')),
  ...['L3', 'L2', 'L1', 'L0'].map((id, i) => item('level', id, { name: id, elevation: (3 - i) * 3000 })),
];

/** A building of bays by bays and three storeys, everything found from the plan; some of it awry by chance. */
function storeys(bays: number, jitter: (n: number) => number): Item[] {
  const items: Item[] = [...frame, floor('3 kN/m2')];
  const levels = ['L0', 'L1', 'L2', 'L3'];
  let n = 0;
  const off = (reach = 150) => (jitter(n++) - 0.5) * reach;
  for (let i = 0; i <= bays; i += 1)
    for (let j = 0; j <= bays; j += 1) {
      const at = { x: i * 6000 + off(), y: j * 5000 + off() };
      items.push(item('footing', `F${i}${j}`, { mark: `F${i}${j}`, at, level: 'L0' }));
      for (let k = 0; k < 3; k += 1)
        items.push(
          item('column', `C${i}${j}${k}`, {
            mark: `C${i}${j}${k}`,
            at,
            base: levels[k]!,
            top: levels[k + 1]!,
            by: null,
            supportsFound: true,
            ownWeight: 0.5,
          }),
        );
    }
  for (let k = 1; k <= 3; k += 1)
    for (let i = 0; i <= bays; i += 1) {
      items.push(
        item('beam', `B${i}${k}`, {
          mark: `B${i}${k}`,
          level: levels[k]!,
          from: { x: i * 6000, y: 0 },
          to: { x: i * 6000, y: bays * 5000 + off(2000) },
          ownWeight: 0.6,
          supportsFound: true,
          supports: [],
        }),
      );
      if (i < bays)
        items.push(
          item('panel', `P${i}${k}`, {
            mark: `P${i}${k}`,
            level: levels[k]!,
            outline: [
              { x: i * 6000, y: off() },
              { x: (i + 1) * 6000 + off(1500), y: 0 },
              { x: (i + 1) * 6000, y: bays * 5000 },
              { x: i * 6000 + off(1500), y: bays * 5000 + off(600) },
            ],
            buildUp: 'floor',
            direction: off(500) / 1000,
            span: jitter(n) < 0.2 ? 'twoWay' : 'oneWay',
          }),
        );
    }
  items.push(
    item('wall', 'W', {
      mark: 'W',
      from: { x: 0, y: 700 },
      to: { x: 0, y: 4000 + off(4000) },
      base: 'L1',
      top: 'L2',
      weight: 0.004,
      by: null,
      supportsFound: true,
      bears: 'yes',
      openings: [{ from: 500, to: 1400, head: 2100 }],
      openingsRule: jitter(3) < 0.5 ? 'around' : 'ignored',
    }),
    item('load', 'tank', { label: 'tank', on: 'W', type: 'point', nature: 'imposed', use: 'E', at: 1200, force: '9 kN' }),
  );
  return items;
}

function expectClosed(t: Takedown): void {
  for (const line of t.balance) {
    const scale = Math.abs(line.applied.force) + Math.abs(line.delivered.force) + Math.abs(line.lost.force);
    expect(Math.abs(line.gap.force)).toBeLessThanOrEqual(1e-9 * scale + 1e-9);
    // only lines of action may move between members, never force
    expect(Math.abs(line.offsets.force)).toBeLessThanOrEqual(1e-9 * scale + 1e-9);
    const turn = 1e-9 * (scale * 30_000 + Math.abs(line.applied.aboutX) + Math.abs(line.applied.aboutY) + 1);
    expect(Math.abs(line.gap.aboutX)).toBeLessThanOrEqual(turn);
    expect(Math.abs(line.gap.aboutY)).toBeLessThanOrEqual(turn);
  }
}

const seeds = fc.array(
  fc.integer({ min: 0, max: 1000 }).map((n) => n / 1000),
  { minLength: 40, maxLength: 40 },
);
const jitterOf = (seed: readonly number[]) => (n: number) => seed[n % seed.length]!;
const EDITS = ['rename', 'reach', 'wall', 'move', 'nudge', 'layer', 'remove', 'add', 'shift', 'panel', 'level', 'load'] as const;

/** One edit of a project; the bodies of all other items stay the same objects. */
function edited(items: readonly Item[], kind: (typeof EDITS)[number], at: number): Item[] {
  const change = (id: string, make: (old: Item) => Item | null) =>
    items.flatMap((old) => {
      if (old.id !== id) return [old];
      const next = make(old);
      return next ? [next] : [];
    });
  const columns = items.filter((old) => old.kind === 'column');
  const panels = items.filter((old) => old.kind === 'panel');
  const column = columns[Math.floor(at * columns.length)];
  switch (kind) {
    case 'move':
      return change(column?.id ?? '', (old) =>
        old.kind === 'column' ? { ...old, body: { ...old.body, at: { x: old.body.at.x + at * 900, y: old.body.at.y } } } : old,
      );
    case 'nudge':
      // so little that what stands on it stands there still, or just does not
      return change(column?.id ?? '', (old) =>
        old.kind === 'column' ? { ...old, body: { ...old.body, at: { x: old.body.at.x + at * 250, y: old.body.at.y } } } : old,
      );
    case 'shift': {
      const beams = items.filter((old) => old.kind === 'beam');
      return change(beams[Math.floor(at * beams.length)]?.id ?? '', (old) => {
        if (old.kind !== 'beam') return old;
        const { from, to } = old.body;
        const aside = (at * 7919) % 700;
        return { ...old, body: { ...old.body, from: { x: from.x + aside, y: from.y }, to: { x: to.x + aside, y: to.y } } };
      });
    }
    case 'remove':
      return change(column?.id ?? '', () => null);
    case 'rename':
      return change(column?.id ?? '', (old) =>
        old.kind === 'column' ? { ...old, body: { ...old.body, mark: `Z${Math.floor(at * 100)}` } } : old,
      );
    case 'reach':
      return change('brief', (old) => (old.kind === 'brief' ? { ...old, body: { ...old.body, reach: 100 + at * 200 } } : old));
    case 'wall':
      return change('W', (old) =>
        old.kind === 'wall'
          ? { ...old, body: { ...old.body, to: { x: at * 300, y: 2000 + at * 3000 }, bears: at > 0.5 ? 'yes' : 'no' } }
          : old,
      );
    case 'layer':
      return change('floor', () => floor(`${(2 + at).toFixed(2)} kN/m2`));
    case 'add':
      return [
        ...items,
        item('beam', `N${items.length}`, {
          mark: `N${items.length}`,
          level: 'L2',
          from: { x: 0, y: 1000 + at * 3000 },
          to: { x: 6000, y: 2000 },
          ownWeight: 1,
          supportsFound: true,
          supports: [],
        }),
      ];
    case 'panel':
      return change(panels[Math.floor(at * panels.length)]?.id ?? '', (old) =>
        old.kind === 'panel' ? { ...old, body: { ...old.body, direction: at * 3 } } : old,
      );
    case 'level':
      return change('L2', (old) => (old.kind === 'level' ? { ...old, body: { ...old.body, elevation: 5500 + at * 900 } } : old));
    case 'load':
      return change('tank', (old) => (old.kind === 'load' ? { ...old, body: { ...old.body, force: at * 20_000 } } : old));
  }
}

/** What a person reads of a takedown, in an order that does not depend on how it came about. */
function read(t: Takedown) {
  return {
    order: t.order,
    members: [...t.members]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([id, m]) => [id, m.inLoop, m.transfer, m.sum, m.adverse, m.leaves.map((l) => [l.to, l.at, l.byCase])]),
    looseEnds: t.looseEnds.map((end) => [end.key, end.title, end.byCase]).sort(),
    balance: t.balance,
    plumb: t.plumb,
  };
}

describe('a building of panels and found supports', () => {
  it('straight, by hand: 60 m2 a storey, three storeys, all of it in the pads', () => {
    const t = takeDown(assemble(storeys(2, () => 0.5).filter((i) => i.id !== 'W' && i.id !== 'tank')), () => []);
    expectClosed(t);
    expect(t.looseEnds).toEqual([]);
    const line = t.balance.find((entry) => entry.loadCase.id === 'imposed-B')!;
    expect(line.delivered.force).toBeCloseTo(3 * 3 * 12 * 10 * 1000, 3);
    // a middle column of a continuous beam of two spans of 5 m: 1.25 x 5 m x 6 m of floor, three times
    expect(t.members.get('F11')!.sum['imposed-B']).toBeCloseTo(3 * 3 * 1.25 * 5 * 6 * 1000, 2);
    expect(t.members.get('F00')!.sum['imposed-B']).toBeCloseTo(3 * 3 * 0.375 * 5 * 3 * 1000, 2);
  });
  it('awry, it closes in force and in moment, case by case', () => {
    fc.assert(
      fc.property(seeds, (seed) => expectClosed(takeDown(assemble(storeys(2, jitterOf(seed))), () => []))),
      { numRuns: 60 },
    );
  });
  it('superposes: two loads together do what each does alone, on every member and at every support', () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 0, max: 5000 }), fc.integer({ min: -40, max: 90 }), (seed, at, kN) => {
        const plain = storeys(2, jitterOf(seed)).filter(({ id }) => id !== 'tank');
        const a = item('load', 'a', { label: 'a', on: 'B12', type: 'point', nature: 'imposed', use: 'E', at, force: `${kN} kN` });
        const b = item('load', 'b', {
          label: 'b',
          on: 'B03',
          type: 'line',
          nature: 'imposed',
          use: 'E',
          from: 500,
          to: 500 + at,
          intensity: 3,
        });
        const sums = (...more: Item[]) => takeDown(assemble([...plain, ...more]), () => []).members;
        const [none, one, two, both] = [sums(), sums(a), sums(b), sums(a, b)];
        const value = (members: Takedown['members'], id: string, leave: number | null) => {
          const ledger = members.get(id)!;
          return (leave === null ? ledger.sum : ledger.leaves[leave]!.byCase)['imposed-E'] ?? 0;
        };
        for (const [id, { leaves }] of both)
          for (const leave of [null, ...leaves.keys()]) {
            const [n, x, y, xy] = [none, one, two, both].map((members) => value(members, id, leave)) as [number, number, number, number];
            expect(Math.abs(xy - x - y + n)).toBeLessThanOrEqual(1e-9 * (Math.abs(x) + Math.abs(y) + 1) * 10);
          }
      }),
      { numRuns: 25 },
    );
  });
  it('takes a beam\u2019s load in parts as it takes it whole', () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 600, max: 5400 }), (seed, cutAt) => {
        const plain = storeys(2, jitterOf(seed));
        const part = (id: string, from: number, to: number) =>
          item('load', id, { label: id, on: 'B11', type: 'line', nature: 'imposed', use: 'E', from, to, intensity: 7 });
        const run = (...more: Item[]) => takeDown(assemble([...plain, ...more]), () => []);
        const [whole, parts] = [run(part('w', 500, 5500)), run(part('l', 500, cutAt), part('r', cutAt, 5500))];
        for (const [id, { sum }] of whole.members)
          for (const caseId in sum) expect(Math.abs(parts.members.get(id)!.sum[caseId]! - sum[caseId]!)).toBeLessThanOrEqual(1e-6);
      }),
      { numRuns: 25 },
    );
  });
  it('closes where an edge of a panel lies a hair off its neighbour', () => {
    // once found by chance: a sliver too narrow for a strip of its own
    const seed = [...Array<number>(21).fill(0), 0.991, 0.899, 0.409, 0.4, ...Array<number>(16).fill(0)].slice(0, 40);
    expectClosed(takeDown(assemble(storeys(2, jitterOf(seed))), () => []));
  });
  it('after a run that failed it begins from nothing, and says so', () => {
    let fails = false;
    const engine = new TakedownEngine(() => {
      if (fails) throw new RangeError('no combinations');
      return [];
    });
    const items = storeys(1, () => 0.5);
    engine.run(assemble(items));
    // a case that was not there asks for combinations again
    const snowy = [...items, item('load', 'snow', { label: 'drift', on: 'B01', type: 'point', nature: 'snow', at: 900, force: '3 kN' })];
    fails = true;
    expect(() => engine.run(assemble(snowy))).toThrow('no combinations');
    fails = false;
    const moved = edited(snowy, 'nudge', 0.3);
    expect(read(engine.run(assemble(moved)))).toEqual(read(takeDown(assemble(moved), () => [])));
    expect(engine.news.all).toBe(true);
    expect(engine.news.fresh.length).toBe(takeDown(assemble(moved), () => []).members.size);
  });
  it('after any edits it is what a fresh takedown gives', () => {
    const edits = fc.array(
      fc.tuple(
        fc.constantFrom(...EDITS),
        fc.integer({ min: 0, max: 999 }).map((n) => n / 1000),
      ),
      {
        minLength: 1,
        maxLength: 6,
      },
    );
    fc.assert(
      fc.property(seeds, edits, (seed, list) => {
        let items = storeys(1, jitterOf(seed));
        // with the assembler's notes of what is not alike, and by looking for it
        const assembler = new Assembler();
        const [told, untold] = [new TakedownEngine(() => []), new TakedownEngine(() => [])];
        told.run(assembler.assemble(items));
        untold.run(assemble(items));
        for (const [kind, at] of list) {
          items = edited(items, kind, at);
          const fresh = read(takeDown(assemble(items), () => []));
          expect(read(told.run(assembler.assemble(items)))).toEqual(fresh);
          expect(read(untold.run(assemble(items)))).toEqual(fresh);
        }
      }),
      { numRuns: 60 },
    );
  });
  it('calculates only what an edit touches', () => {
    const items = storeys(3, () => 0.5);
    const engine = new TakedownEngine(() => []);
    engine.run(assemble(items));
    const all = engine.news.fresh.length;
    expect(all).toBe(items.filter((i) => ['beam', 'column', 'footing', 'wall'].includes(i.kind)).length);
    engine.run(assemble(items));
    expect(engine.news.fresh.length).toBe(0);
    // a column under the first floor: itself, the beam above it and what that beam stands on, with their pads
    const moved = items.map((i) =>
      i.id === 'C110' && i.kind === 'column' ? { ...i, body: { ...i.body, at: { ...i.body.at, x: i.body.at.x + 50 } } } : i,
    );
    engine.run(assemble(moved));
    expect(engine.news.fresh.length).toBeLessThanOrEqual(10);
    expect(engine.news.fresh.length).toBeGreaterThan(0);
  });
  it('splitting a panel in two changes no reaction', () => {
    const whole = storeys(1, () => 0.5);
    const halves = whole.flatMap((i): Item[] => {
      if (i.kind !== 'panel') return [i];
      const [a, b, c, d] = i.body.outline as [
        { x: number; y: number },
        { x: number; y: number },
        { x: number; y: number },
        { x: number; y: number },
      ];
      const [p, q] = [
        { x: a.x, y: 1700 },
        { x: b.x, y: 1700 },
      ];
      return [
        { ...i, body: { ...i.body, outline: [a, b, q, p] } },
        { ...i, id: `${i.id}b`, body: { ...i.body, mark: `${i.body.mark}b`, outline: [p, q, c, d] } },
      ];
    });
    const [one, two] = [takeDown(assemble(whole), () => []), takeDown(assemble(halves), () => [])];
    for (const [id, m] of one.members) expect(totalOf(two.members.get(id)!.sum)).toBeCloseTo(totalOf(m.sum), 4);
  });
  it('moving the origin changes no reaction', () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: -50_000, max: 50_000 }), (seed, dx) => {
        const move = <T>(value: T): T =>
          Array.isArray(value)
            ? (value.map(move) as T)
            : value !== null && typeof value === 'object'
              ? 'x' in value && 'y' in value
                ? ({ ...value, x: (value as { x: number }).x + dx, y: (value as { y: number }).y - dx / 3 } as T)
                : (Object.fromEntries(Object.entries(value).map(([k, v]) => [k, move(v)])) as T)
              : value;
        const items = storeys(1, jitterOf(seed));
        const [one, two] = [takeDown(assemble(items), () => []), takeDown(assemble(move<Item[]>(items)), () => [])];
        for (const [id, m] of one.members) expect(totalOf(two.members.get(id)!.sum)).toBeCloseTo(totalOf(m.sum), 3);
      }),
      { numRuns: 60 },
    );
  });
});
