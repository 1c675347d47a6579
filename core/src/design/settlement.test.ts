import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import type { Family } from '../family';
import { ebbwickSailLoft } from '../exchange';
import { findSection } from '../section';
import { audit, checkKey, entriesOf, isCheck } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { packLedgers, shapeForce, unpackLedger } from '../takedown';
import { COMBINATION } from './uncombined';
import { computeProject, lightest, ProjectEngine, sheetFor, supportForces, trySections } from '.';
import { contextOf } from './context';

const L = 6000;
const SECTION = { european: 'UB 305x165x40', recommended: 'UB 305x165x40', british: 'UB 305x165x40', american: 'W12X26' } as const;

interface Support {
  readonly settlement?: number;
  readonly spring?: number;
  readonly fixed?: boolean;
}

/** A beam over three columns, 2 x 6 m, with an even permanent load and, beside it, an imposed one. N/mm */
function twoSpans(
  supports: readonly [Support, Support, Support],
  { g = 8, q = 0, family = 'european' as Family, section = true, rule = null as '6.10' | null } = {},
): Item[] {
  const places = [0, L, 2 * L];
  return [
    item('brief', 'brief', { ...defaultBrief('Plover store', family), ...(rule ? { combinationRule: rule } : {}) }),
    item('level', 'L1', { name: 'Floor', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    ...places.flatMap((x, i) => [
      item('footing', `F${i}`, { mark: `F${i}`, at: { x, y: 0 }, level: 'L0' }),
      item('column', `C${i}`, { mark: `C${i}`, at: { x, y: 0 }, base: 'L0', top: 'L1', by: `F${i}`, ownWeight: 0 }),
    ]),
    item('beam', 'B', {
      mark: 'B',
      level: 'L1',
      from: { x: 0, y: 0 },
      to: { x: 2 * L, y: 0 },
      section: section ? SECTION[family] : null,
      ownWeight: 0,
      restraint: 'floor',
      supports: places.map((at, i) => ({ at, by: `C${i}`, holdsDown: true, ...supports[i] })),
    }),
    item('load', 'g', { label: 'dead', on: 'B', type: 'line', nature: 'permanent', from: 0, to: 2 * L, intensity: g }),
    ...(q > 0
      ? [item('load', 'q', { label: 'floor', on: 'B', type: 'line', nature: 'imposed', use: 'B', from: 0, to: 2 * L, intensity: q })]
      : []),
  ];
}

const firm: Support = {};
const I = findSection(SECTION.european).properties.Iy;
const EI = 210_000 * I;
const kN = (newtons: number | undefined) => (newtons ?? 0) / 1e3;
const bendingOf = (items: Item[]) => computeProject(items).designs.member('B')!.results[0]!.checks.find(isCheck('bending'))!;

describe('a support that sinks', () => {
  it('the middle one of two spans: 3 EI s / L2 over it (three moments), and what that takes from one support to the others', () => {
    const { takedown } = computeProject(twoSpans([firm, { settlement: 10 }, firm]));
    const pair = (3 * EI * 10) / L ** 3;
    const at = (id: string) => takedown.members.get(id)!;
    expect(kN(at('C0').sum['settlement'])).toBeCloseTo(kN(pair), 6);
    expect(kN(at('C1').sum['settlement'])).toBeCloseTo(kN(-2 * pair), 6);
    expect(kN(at('C2').sum['settlement'])).toBeCloseTo(kN(pair), 6);
    // it may be absent: of what relieves nothing presses
    expect(at('C1').adverse['settlement']).toBe(0);
    expect(kN(at('F0').adverse['settlement'])).toBeCloseTo(kN(pair), 6);
    // it is no load
    const line = takedown.balance.find(({ loadCase }) => loadCase.nature === 'settlement')!;
    expect(line.applied.force).toBe(0);
    expect(Math.abs(line.delivered.force)).toBeLessThan(1e-6);
    expect(Math.abs(line.gap.aboutY)).toBeLessThan(1);
    expect(takedown.looseEnds).toEqual([]);
  });
  it('an end one adds to the moment over the middle, 1.2 times, and the middle one takes nothing from it', () => {
    const own = findSection(SECTION.european).mass * 9.80665;
    const dead = (1.35 * (8 + own) * L ** 2) / 8;
    const brought = (1.5 * EI * 10) / L ** 2;
    const demand = (...supports: Parameters<typeof twoSpans>[0]) => bendingOf(twoSpans(supports, { rule: '6.10' })).demand! / 1e6;
    expect(demand(firm, firm, firm)).toBeCloseTo(dead / 1e6, 6);
    expect(demand({ settlement: 10 }, firm, firm)).toBeCloseTo((dead + 1.2 * brought) / 1e6, 6);
    expect(demand(firm, firm, { settlement: 10 })).toBeCloseTo((dead + 1.2 * brought) / 1e6, 6);
    // each end by itself, and both: twice as much
    expect(demand({ settlement: 10 }, firm, { settlement: 10 })).toBeCloseTo((dead + 2.4 * brought) / 1e6, 6);
    // the middle one need not sink with it
    expect(demand({ settlement: 10 }, { settlement: 10 }, firm)).toBeCloseTo((dead + 1.2 * brought) / 1e6, 6);
    expect(demand(firm, { settlement: 4 }, firm)).toBeCloseTo(dead / 1e6, 6);
  });
  it('deflections count from the sunk line: a span that leans sags no more for it', () => {
    const sag = (...supports: Parameters<typeof twoSpans>[0]) =>
      Math.max(
        ...computeProject(twoSpans(supports))
          .designs.member('B')!
          .results[0]!.checks.filter(({ id }) => id.startsWith('deflection-total'))
          .map(({ demand }) => demand!),
      );
    const still = sag(firm, firm, firm);
    // the moment over the middle falls straight to the ends: at most M L2 / (9 sqrt(3) EI), 0.19 of the way; an end that sinks lifts its span
    expect(sag(firm, { settlement: 20 }, firm)).toBeGreaterThan(still + 0.15 * 20);
    expect(sag(firm, { settlement: 20 }, firm)).toBeLessThan(still + 0.2 * 20);
    expect(sag({ settlement: 20 }, firm, firm)).toBeCloseTo(still, 9);
  });
  it('never helps, wherever it is and however far, and mirrors', () => {
    const sink = fc.integer({ min: -20, max: 20 });
    fc.assert(
      fc.property(sink, sink, sink, fc.integer({ min: 0, max: 20 }), (a, b, c, q) => {
        const uses = (...[one, two, three]: number[]) =>
          new Map(
            computeProject(twoSpans([{ settlement: one! }, { settlement: two! }, { settlement: three! }], { q }))
              .designs.member('B')!
              .results[0]!.checks.map((check) => [checkKey(check), check.utilisation]),
          );
        const [still, sunk, mirrored] = [uses(0, 0, 0), uses(a, b, c), uses(c, b, a)];
        for (const [name, use] of still)
          if (use !== null && sunk.get(name) !== null) expect(sunk.get(name)!, name).toBeGreaterThanOrEqual(use - 1e-9);
        for (const name of ['bending', 'shear']) expect(mirrored.get(name)!, name).toBeCloseTo(sunk.get(name)!, 9);
      }),
      { numRuns: 25 },
    );
  });
  it('on sheets that re-evaluate and say which support it is', () => {
    const project = computeProject(twoSpans([{ settlement: 10 }, firm, firm], { q: 6 }));
    for (const id of ['B', 'C0', 'F0']) {
      const sheet = sheetFor(project, id);
      if (sheet) expect(audit(sheet.entries, evaluate), id).toEqual([]);
    }
    expect(JSON.stringify(sheetFor(project, 'B')!.entries)).toContain('settlement of support 1');
    const sets = supportForces(contextOf(project.building, project.takedown), 'B')[1]!.sets;
    expect(Math.max(...sets.map(({ forces }) => forces.Vz))).toBeGreaterThan(0);
  });
  it('the reactions on a sheet are those that are handed on, case by case', () => {
    const settled = computeProject(twoSpans([{ settlement: 10 }, { spring: 4000, settlement: -5 }, firm], { q: 6 }));
    let seen = 0;
    for (const project of [settled, computeProject(ebbwickSailLoft())])
      for (const { id } of project.designs.members()) {
        const sheet = sheetFor(project, id);
        const { leaves } = project.takedown.members.get(id)!;
        const reactions = entriesOf(sheet?.entries ?? [], 'step')
          .filter(({ meaning }) => meaning === 'reaction, unfactored')
          .map(({ value }) => value);
        const handed = leaves.flatMap(({ byCase }) => Object.values(byCase));
        for (const value of reactions) {
          seen += 1;
          expect(Math.min(...handed.map((force) => Math.abs(force - value))), `${id}: ${value}`).toBeLessThan(1e-6 * (1 + Math.abs(value)));
        }
      }
    expect(seen).toBeGreaterThan(50);
  });
  it('is in no combination of families that leave its factor to the engineer: not verified', () => {
    for (const family of ['american', 'british'] as const) {
      const { designs } = computeProject(twoSpans([{ settlement: 10 }, firm, firm], { family }));
      const row = designs.member('B')!.results[0]!.checks.find(isCheck(COMBINATION.id))!;
      expect(row.reason).toContain('settlement load is in no combination');
    }
  });
  it('counts while the section is looked for: each is tried as it does when it is chosen', () => {
    const supports = [{ settlement: 25 }, { spring: 6000 }, firm] as const;
    const open = computeProject(twoSpans(supports, { q: 10, section: false }));
    const candidates = trySections(contextOf(open.building, open.takedown), 'B');
    const chosen = lightest(candidates)!;
    for (const designation of [chosen.designation, 'UB 305x165x40', 'UB 533x210x92']) {
      const items = twoSpans(supports, { q: 10 }).map((entry) =>
        entry.kind === 'beam' && entry.body.material === 'steel' ? { ...entry, body: { ...entry.body, section: designation } } : entry,
      );
      const { checks } = computeProject(items).designs.member('B')!.results[0]!;
      const tried = candidates.find((one) => one.designation === designation)!;
      expect(tried.utilisation, designation).toBeCloseTo(Math.max(...checks.map(({ utilisation }) => utilisation ?? 0)), 9);
    }
    // it tells: a stiffer one is used more by it than by the load
    const stiff = (settlement: number) => {
      const { building, takedown } = computeProject(twoSpans([{ settlement }, firm, firm], { section: false }));
      return trySections(contextOf(building, takedown), 'B').find((one) => one.designation === 'UB 533x210x92')!.utilisation!;
    };
    expect(stiff(25)).toBeGreaterThan(1.5 * stiff(0));
  });
  it('of a beam on two supports is nothing: it leans', () => {
    const items = twoSpans([firm, firm, { settlement: 10 }]).map((entry) =>
      entry.kind === 'beam' ? { ...entry, body: { ...entry.body, supports: [entry.body.supports[0]!, entry.body.supports[2]!] } } : entry,
    );
    const { takedown } = computeProject(items);
    expect(takedown.members.get('C0')!.sum['settlement']).toBeUndefined();
    expect(takedown.looseEnds).toEqual([]);
  });
  it('travels between threads as it is', () => {
    const ledger = computeProject(twoSpans([{ settlement: 10 }, firm, firm])).takedown.members.get('B')!;
    const back = unpackLedger(structuredClone(packLedgers([ledger])), 0);
    expect(back.arrivals.map(({ source, shape, byCase }) => ({ source, force: shapeForce(shape), byCase }))).toEqual(
      ledger.arrivals.map(({ source, shape, byCase }) => ({ source, force: shapeForce(shape), byCase })),
    );
    expect(back.leaves.map(({ shares }) => shares)).toEqual(ledger.leaves.map(({ shares }) => shares));
  });
});

describe('a support that yields', () => {
  it('the middle one of two spans: delta_0 over the flexibilities of beam and spring (force method)', () => {
    const own = findSection(SECTION.european).mass * 9.80665;
    for (const spring of [500, 5000, 50_000]) {
      const { takedown } = computeProject(twoSpans([firm, { spring }, firm]));
      const [span, free] = [2 * L, (5 * (8 + own) * (2 * L) ** 4) / (384 * EI)];
      const reaction = free / (span ** 3 / (48 * EI) + 1 / spring);
      expect(kN(takedown.members.get('C1')!.sum['permanent'])).toBeCloseTo(kN(reaction), 6);
    }
  });
  it('a stiffer section takes more to the ends, and an edit of it is seen by the columns', () => {
    const engine = new ProjectEngine();
    const middle = (section: string) => {
      const items = twoSpans([firm, { spring: 3000 }, firm]).map((entry) =>
        entry.kind === 'beam' && entry.body.material === 'steel' ? { ...entry, body: { ...entry.body, section } } : entry,
      );
      const { takedown } = engine.run(items);
      return takedown.members.get('C1')!.sum['permanent']! / takedown.members.get('B')!.sum['permanent']!;
    };
    const [slender, stiff, again] = [middle('UB 305x165x40'), middle('UB 533x210x92'), middle('UB 305x165x40')];
    expect(stiff).toBeLessThan(slender * 0.9);
    expect(again).toBeCloseTo(slender, 12);
  });
  it('without a section it holds firm for now, and that is a loose end', () => {
    const { takedown } = computeProject(twoSpans([firm, { spring: 500, settlement: 10 }, firm], { section: false }));
    expect(kN(takedown.members.get('C1')!.sum['permanent'])).toBeCloseTo(kN(1.25 * 8 * L), 6);
    expect(takedown.members.get('C1')!.sum['settlement']).toBe(0);
    expect(takedown.looseEnds.map(({ key }) => key)).toEqual(['stiffness:B']);
  });
  it('under a simple span the deflection goes down with it, on a sheet that re-evaluates', () => {
    const items = twoSpans([{ spring: 4000 }, firm, firm])
      .map((entry) =>
        entry.kind === 'beam'
          ? { ...entry, body: { ...entry.body, supports: entry.body.supports.slice(0, 2), to: { x: L, y: 0 } } }
          : entry,
      )
      .filter(({ id }) => id !== 'C2' && id !== 'F2');
    const loads = items.map((entry) =>
      entry.id === 'g' && entry.kind === 'load' ? { ...entry, body: { ...entry.body, to: L } as never } : entry,
    );
    const project = computeProject(loads);
    const own = findSection(SECTION.european).mass * 9.80665;
    const w = 8 + own;
    const total = project.designs.member('B')!.results[0]!.checks.find(({ id }) => id.startsWith('deflection-total'))!;
    expect(total.demand!).toBeGreaterThan((5 * w * L ** 4) / (384 * EI) + (w * L) / 4 / 4000 - 1e-6);
    expect(audit(sheetFor(project, 'B')!.entries, evaluate)).toEqual([]);
  });
});
