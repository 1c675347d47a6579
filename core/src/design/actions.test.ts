import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { item, readItems, type Item } from '../building';
import { STANDARDS } from '../standard';
import { loadCasesOf } from '../load';
import { bay } from './bay.test.data';
import { audit } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { computeProject, ProjectEngine, sheetFor } from './project';

const FAMILIES = ['european', 'american', 'british'] as const;
type Side = 'west' | 'east';
const sides = (more: object = {}) =>
  item('action', 'sides', {
    name: 'Wind',
    nature: 'wind',
    relation: 'alternatives',
    cases: [
      { id: 'west', name: 'from the west' },
      { id: 'east', name: 'from the east' },
    ],
    ...more,
  });
const gust = (id: string, loadCase: Side | null, force: number, more: object = {}) =>
  item('load', id, {
    label: id,
    on: 'B1',
    type: 'point',
    nature: 'wind',
    at: 2000,
    force,
    ...(loadCase ? { action: 'sides', loadCase } : {}),
    ...more,
  });

/** Uses of every check of every member, the worst of each name. */
function usesOf(items: readonly Item[]): Map<string, number> {
  const uses = new Map<string, number>();
  const { designs } = computeProject(items);
  const note = (id: string, checks: readonly { name: string; utilisation: number | null }[]) => {
    for (const { name, utilisation } of checks)
      uses.set(`${id} ${name}`, Math.max(uses.get(`${id} ${name}`) ?? 0, utilisation ?? Infinity));
  };
  for (const { id, results } of designs.members()) for (const { checks } of results) note(id, checks);
  for (const { id, checks } of designs.footings()) note(id, checks);
  return uses;
}

describe.each(FAMILIES)('wind from either side, %s', (family) => {
  const base = bay({ family, footing: { width: 2000, length: 2000, thickness: 500 } });
  const both = [...base, sides(), gust('w', 'west', 30_000), gust('e', 'east', -45_000, { at: 4000 })];
  const alone = (side: Side) =>
    both.filter(({ kind, body }) => kind !== 'load' || !('loadCase' in body) || body.loadCase === '' || body.loadCase === side);
  it('is as bad as the worse of the two, for every check of every member: neither cancels the other', () => {
    const [west, east, found] = [usesOf(alone('west')), usesOf(alone('east')), usesOf(both)];
    for (const [key, use] of found) {
      const expected = Math.max(west.get(key) ?? 0, east.get(key) ?? 0);
      if (Number.isFinite(expected)) expect(use / Math.max(expected, 1e-9), key).toBeCloseTo(1, 6);
    }
    expect([...found.keys()].sort()).toEqual([...new Set([...west.keys(), ...east.keys()])].sort());
  });
  it('is as one wind where both cases act together', () => {
    const together = both.map((one) => (one.id === 'sides' ? sides({ relation: 'together' }) : one));
    const one = [...base, gust('w', null, 30_000), gust('e', null, -45_000, { at: 4000 })];
    const [a, b] = [usesOf(together), usesOf(one)];
    expect([...a.keys()].sort()).toEqual([...b.keys()].sort());
    for (const [key, use] of a) if (Number.isFinite(use)) expect(use, key).toBeCloseTo(b.get(key)!, 9);
  });
  it('that acts both ways is the same whichever way it was typed, and as bad as the worse way', () => {
    const only = (force: number, direction: string) => usesOf([...base, sides({ direction }), gust('w', 'west', force)]);
    const [down, up, eitherDown, eitherUp] = [
      only(40_000, 'asGiven'),
      only(-40_000, 'asGiven'),
      only(40_000, 'bothWays'),
      only(-40_000, 'bothWays'),
    ];
    for (const [key, use] of eitherDown) {
      if (!Number.isFinite(use)) continue;
      expect(use, key).toBeCloseTo(eitherUp.get(key)!, 9);
      expect(use, key).toBeCloseTo(Math.max(down.get(key) ?? 0, up.get(key) ?? 0), 6);
    }
  });
  it('stands on sheets that re-evaluate, by the name of its case', () => {
    const result = computeProject(both);
    for (const id of [...result.designs.members().map(({ id }) => id), ...result.designs.footings().map(({ id }) => id)]) {
      const sheet = sheetFor(result, id);
      if (sheet) expect(audit(sheet.entries, evaluate)).toEqual([]);
    }
    expect(JSON.stringify(sheetFor(result, 'B1')!.entries)).toContain('Wind, from the');
  });
});

describe.each(FAMILIES)('permanent load in cases of its own, %s', (family) => {
  const own = item('action', 'cladding', {
    name: 'Cladding',
    nature: 'permanent',
    cases: [
      { id: 'north', name: 'north' },
      { id: 'south', name: 'south' },
    ],
  });
  const dead = (id: string, at: number, force: number, more: object = {}) =>
    item('load', id, { label: id, on: 'B1', type: 'point', nature: 'permanent', at, force, ...more });
  it('changes no check: pressing, lifting, near the supports', () => {
    for (const [north, south] of [
      [40_000, 25_000],
      [40_000, -25_000],
    ] as const) {
      const base = bay({ family, footing: { width: 2500, length: 2500, thickness: 600 } });
      const usual = usesOf([...base, dead('n', 1000, north), dead('s', 4500, south)]);
      const apart = usesOf([
        ...base,
        own,
        dead('n', 1000, north, { action: 'cladding', loadCase: 'north' }),
        dead('s', 4500, south, { action: 'cladding', loadCase: 'south' }),
      ]);
      expect([...apart.keys()]).toEqual([...usual.keys()]);
      for (const [key, use] of apart) if (Number.isFinite(use)) expect(use, key).toBeCloseTo(usual.get(key)!, 9);
    }
  });
  it('stands by its name in the takedown, and in the balance', () => {
    const { takedown } = computeProject([...bay({ family }), own, dead('n', 1000, 30_000, { action: 'cladding', loadCase: 'north' })]);
    expect(takedown.balance.find(({ loadCase }) => loadCase.name === 'Cladding, north')!.applied.force).toBeCloseTo(30_000, 6);
  });
});

describe.each(FAMILIES)('a variable action that is added, %s', (family) => {
  const base = bay({
    family,
    footing: { width: 2500, length: 2500, thickness: 600 },
    beam: {
      supports: [
        { at: 500, by: 'C1' },
        { at: 6000, by: 'C2' },
      ],
    },
  });
  const load = fc.record({
    nature: fc.constantFrom('imposed', 'snow', 'wind', 'roofImposed'),
    use: fc.constantFrom('A', 'B', 'E'),
    at: fc.integer({ min: 0, max: 6000 }),
    force: fc.integer({ min: -30, max: 60 }).map((kN) => kN * 1000),
  });
  const added = fc.record({
    nature: fc.constantFrom('imposed', 'snow', 'wind', 'roofImposed'),
    relation: fc.constantFrom('together', 'alternatives'),
    direction: fc.constantFrom('asGiven', 'bothWays'),
    forces: fc.array(fc.tuple(fc.integer({ min: -60, max: 40 }), fc.integer({ min: 0, max: 6000 })), { minLength: 1, maxLength: 3 }),
  });
  const point = (id: string, nature: string, use: string, at: number, force: number, more: object = {}) =>
    item('load', id, { label: id, on: 'B1', type: 'point', nature, ...(nature === 'imposed' ? { use } : {}), at, force, ...more } as never);
  it('never lowers a use of any check: where it helps it may be absent', () => {
    fc.assert(
      fc.property(fc.array(load, { maxLength: 3 }), added, (loads, { nature, relation, direction, forces }) => {
        const before = [...base, ...loads.map(({ nature: own, use, at, force }, i) => point(`q${i}`, own, use, at, force))];
        const more = [
          item('action', 'new', {
            name: 'New',
            nature,
            ...(nature === 'imposed' ? { use: 'C' } : {}),
            relation,
            direction,
            cases: forces.map((_, i) => ({ id: `${i}`, name: `case ${i}` })),
          } as never),
          ...forces.map(([kN, at], i) => point(`n${i}`, nature, 'C', at, kN * 1000, { action: 'new', loadCase: `${i}` })),
        ];
        const [without, found] = [usesOf(before), usesOf([...before, ...more])];
        for (const [key, use] of without) {
          // a service check that is not asked for any more would be missing, not lower
          const now = found.get(key);
          expect(now === undefined ? -1 : now, key).toBeGreaterThanOrEqual(Math.min(use, 1e9) - 1e-6 * Math.max(1, use));
        }
      }),
      { numRuns: 60 },
    );
  });
});

it('an action leads as one: its cases have one factor, and the name of the combination says it once', () => {
  const cases = [...loadCasesOf(new Map([['sides', sides().body as never]])).values()].filter(
    ({ id, action }) => ['permanent', 'imposed-B'].includes(id) || action === 'sides',
  );
  for (const { loads } of Object.values(STANDARDS))
    for (const { rules } of loads.philosophies)
      for (const { factors, name } of [...rules.strength(cases), ...rules.service(cases), ...rules.lifting(cases)]) {
        expect(factors['sides/west'], name).toBe(factors['sides/east']);
        expect(name.match(/W\b/g)?.length ?? 0, name).toBeLessThanOrEqual(1);
      }
});

it('a change of the action alone is computed as from nothing', () => {
  const base = bay();
  const loads = [gust('w', 'west', 30_000), gust('e', 'east', -45_000, { at: 4000 })];
  const engine = new ProjectEngine();
  for (const more of [{}, { relation: 'together' }, { direction: 'bothWays' }, {}]) {
    const items = [...base, sides(more), ...loads];
    const [kept, fresh] = [engine.run(items), computeProject(items)];
    for (const { id, results } of fresh.designs.members()) expect(kept.designs.member(id)!.results, id).toEqual(results);
    for (const { id, checks } of fresh.designs.footings()) expect(kept.designs.footing(id)!.checks, id).toEqual(checks);
    expect(kept.looseEnds).toEqual(fresh.looseEnds);
  }
});

describe('what refers to an action', () => {
  const base = bay();
  const refused = (items: readonly Item[]) => () => readItems(items);
  it('has its nature and one of its cases', () => {
    expect(readItems([...base, sides(), gust('w', 'west', 1)]).length).toBe(base.length + 2);
    expect(refused([...base, sides(), gust('w', 'west', 1, { nature: 'snow' })])).toThrow('w is snow, and the action Wind is wind');
    expect(refused([...base, sides(), gust('w', 'west', 1, { loadCase: 'north' })])).toThrow('has no case "north": west, east');
    expect(refused([...base, sides(), gust('w', 'west', 1, { loadCase: '' })])).toThrow('of which one must be named');
    expect(refused([...base, sides(), gust('w', null, 1, { loadCase: 'west' })])).toThrow('name the action too');
    expect(refused([...base, gust('w', 'west', 1)])).toThrow('refers to "sides"');
  });
  it('and an action is told apart by its cases', () => {
    const twice = {
      cases: [
        { id: 'a', name: 'a' },
        { id: 'a', name: 'b' },
      ],
    };
    expect(refused([...base, sides(twice)])).toThrow('two cases "a"');
    expect(refused([...base, sides({ use: 'B' })])).toThrow('Use is read of imposed actions only');
  });
});
