import { describe, expect, it } from 'vitest';
import { computeProject, notDesigned, ProjectEngine, trySections, contextOf, waysOf } from '../design';
import { GRAVITY } from '../quantity';
import { findSection } from '../section';
import { totalOf } from '../takedown';
import { become, defaultBrief, item, readItem, requireConsistent, upgradeItem, type Item } from '.';

/** A beam on two columns on two pads, 6 m long, with 10 kN/m on it. */
const frame = (beam: object, column: object = {}): Item[] => [
  item('brief', 'brief', defaultBrief('Shed', 'european')),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('beam', 'B', {
    mark: 'B1',
    level: 'L1',
    from: { x: 0, y: 0 },
    to: { x: 6000, y: 0 },
    ownWeight: '2 kN/m',
    supports: [
      { at: 0, by: 'C1' },
      { at: 6000, by: 'C2' },
    ],
    ...beam,
  }),
  ...[1, 2].flatMap((n) => [
    item('column', `C${n}`, {
      mark: `C${n}`,
      at: { x: (n - 1) * 6000, y: 0 },
      base: 'L0',
      top: 'L1',
      by: `F${n}`,
      ownWeight: '1 kN/m',
      ...column,
    }),
    item('footing', `F${n}`, { mark: `F${n}`, at: { x: (n - 1) * 6000, y: 0 }, level: 'L0' }),
  ]),
  item('load', 'q', { label: 'q', on: 'B', type: 'line', nature: 'imposed', use: 'A', from: 0, to: 6000, intensity: 10 }),
];
/** The same with a truss in place of the beam. */
const withTruss = (): Item[] => frame({}).map((one) => (one.kind === 'beam' ? become(one, 'truss') : one));

const onPad = (items: readonly Item[]) => totalOf(computeProject(items).takedown.members.get('F1')!.sum);
/** What arrives at a pad by hand, N: half of the beam and its load, and the column. */
const byHand = (beam: number, column: number) => (beam * 6000 + 10 * 6000) / 2 + column * 3000;

describe('what a member is made of', () => {
  it('is steel where nothing is said, whatever version wrote it', () => {
    const [, , , beam] = frame({});
    expect(beam!.body).toMatchObject({ material: 'steel', section: null });
    const { material: _, ...old } = beam!.body as unknown as Record<string, unknown>;
    for (const version of [1, 2, 3, 4]) expect(upgradeItem({ ...beam, body: old }, version)).toEqual(beam);
  });
  it.each(['concrete', 'loadOnly'] as const)('%s: a section or a grade of steel is refused at its field', (material) => {
    const refused = (body: object) => () => readItem({ ...frame({})[3], body: { ...frame({})[3]!.body, material, ...body } });
    expect(refused({})).not.toThrow();
    expect(refused({ section: 'UB 457x191x67' })).toThrow('take the section away');
    expect(refused({ grade: 'S275' })).toThrow('take the grade away');
  });
  it('tells its weight: of steel that of the section, or an allowance; of anything else what is typed', () => {
    const section = 'UB 457x191x67';
    expect(onPad(frame({ section }))).toBeCloseTo(byHand(findSection(section).mass * GRAVITY, 1), 6);
    for (const body of [{}, { material: 'concrete' }, { material: 'loadOnly' }]) expect(onPad(frame(body))).toBeCloseTo(byHand(2, 1), 6);
    expect(onPad(frame({ material: 'loadOnly' }, { material: 'loadOnly' }))).toBeCloseTo(byHand(2, 1), 6);
    const label = (body: object) => computeProject(frame(body)).takedown.members.get('B')!.arrivals[0]!.label;
    expect([label({}), label({ material: 'concrete' }), label({ material: 'loadOnly' })]).toEqual([
      'own weight, allowance',
      'own weight',
      'own weight',
    ]);
  });
  it('of concrete is not verified, and says so as a loose end', () => {
    const { designs, looseEnds } = computeProject(frame({ material: 'concrete' }, { material: 'concrete' }));
    for (const id of ['B', 'C1', 'C2']) {
      expect(designs.member(id)).toMatchObject({ verdict: 'unproven', results: [] });
      expect(looseEnds.find(({ item: on }) => on === id)?.title).toContain('is of concrete, and is not verified');
    }
  });
  it('load only: no verdict, no loose end, listed as not designed, and its assumptions stand open', () => {
    const { building, designs, looseEnds, assumptions } = computeProject(frame({ material: 'loadOnly' }));
    expect(designs.has('B')).toBe(false);
    expect(designs.members().map(({ id }) => id)).toEqual(['C1', 'C2']);
    expect(notDesigned(building)).toEqual([{ id: 'B', kind: 'beam', mark: 'B1', what: 'beam, load only' }]);
    expect(looseEnds.filter(({ item: on }) => on === 'B')).toEqual([]);
    expect(assumptions.get('B')!.map(({ key, answer }) => [key, answer])).toEqual([['B:load-only', null]]);
    // how it is held decides what it hands on: that is assumed of whatever material
    const fixed = frame({ material: 'loadOnly', supports: [{ at: 0, by: 'C1', fixed: true }] });
    expect(
      computeProject(fixed)
        .assumptions.get('B')!
        .map(({ key }) => key),
    ).toEqual(['B:load-only', 'B:fixed-0']);
  });
  it('nothing but steel is sized, or asked what if', () => {
    for (const material of ['concrete', 'loadOnly']) {
      const { building, takedown } = computeProject(frame({ material }, { material }));
      for (const id of ['B', 'C1']) {
        expect(trySections(contextOf(building, takedown), id)).toEqual([]);
        expect(waysOf(building, id)).toEqual([]);
      }
    }
  });
  it('is changed back and forth like any edit: what an engine that goes on says is what a new one says', () => {
    const engine = new ProjectEngine();
    let items = frame({ section: 'UB 457x191x67' });
    const steps: ((one: Item) => Item)[] = [
      (one) =>
        one.kind === 'beam' || one.kind === 'column'
          ? ({ ...one, body: { ...one.body, material: 'loadOnly', section: null, grade: null } } as Item)
          : one,
      (one) => (one.kind === 'column' ? ({ ...one, body: { ...one.body, material: 'steel', section: 'UC 203x203x46' } } as Item) : one),
      (one) => (one.kind === 'beam' ? become(one, 'truss') : one),
      (one) => (one.kind === 'truss' ? { ...one, body: { ...one.body, ownWeight: 5 } } : one),
      (one) => (one.kind === 'truss' ? become(one, 'beam') : one),
      (one) => (one.kind === 'beam' ? ({ ...one, body: { ...one.body, section: 'UB 457x191x67' } } as Item) : one),
    ];
    engine.run(items);
    for (const step of steps) {
      items = items.map(step);
      const [going, anew] = [engine.run(items), computeProject(items)];
      const plain = ({ designs, assumptions, openAssumptions, looseEnds, building, takedown }: typeof anew) => ({
        verdicts: [...designs.all.values()].map(({ id, kind, verdict }) => [id, kind, verdict]).sort(),
        assumptions: [...assumptions].map(([id, list]) => [id, list.map(({ key }) => key)]).sort(),
        openAssumptions,
        looseEnds: looseEnds.map(({ key }) => key).sort(),
        notDesigned: notDesigned(building),
        onPad: takedown.members.get('F1')!.sum,
        spans: [...building.beams.keys()].sort(),
      });
      expect(plain(going)).toEqual(plain(anew));
    }
  });
});

describe('a truss', () => {
  it('is a kind of its own, taken down as a simple beam of its own weight and not verified', () => {
    const project = computeProject(withTruss());
    expect(onPad(withTruss())).toBeCloseTo(byHand(2, 1), 6);
    expect(project.designs.member('B')).toMatchObject({ kind: 'truss', verdict: 'unproven', results: [] });
    expect(notDesigned(project.building)).toEqual([]);
    expect(project.assumptions.get('B')!.map(({ key }) => key)).toEqual(['B:own-weight', 'B:truss-as-beam']);
    expect(project.looseEnds.filter(({ item: on }) => on === 'B')).toEqual([]);
  });
  it('carries what a beam carries: columns, walls, hangers and loads may refer to it', () => {
    const project = withTruss();
    const all = [...project, item('hanger', 'R', { mark: 'R1', at: { x: 3000, y: 0 }, top: 'L1', base: 'L0', by: 'B', ownWeight: 0 })];
    expect(() => requireConsistent(new Map(all.map((one) => [one.id, one])))).not.toThrow();
  });
  it('was the role of a beam once: it becomes one when it is read, with all that it carried', () => {
    const beam = frame({})[3]!;
    const { material, section, grade, ...spanning } = beam.body as unknown as Record<string, unknown>;
    const old = { ...beam, body: { ...spanning, role: 'truss', section, grade } };
    const read = upgradeItem(old, 3) as Item;
    expect(read).toEqual(become(beam as Extract<Item, { kind: 'beam' }>, 'truss'));
    expect(readItem(read)).toEqual(read);
    expect(upgradeItem({ ...beam, body: { ...spanning, role: 'beam', section, grade } }, 3)).toEqual(beam);
    // what was never a role is refused, not dropped
    expect(() => readItem(upgradeItem({ ...beam, body: { ...spanning, role: 'arch' } }, 3))).toThrow('role');
  });
  it('and a beam turn into each other with what both have', () => {
    const beam = frame({ section: 'UB 457x191x67', hinges: [2000], note: 'over the door' })[3] as Extract<Item, { kind: 'beam' }>;
    const truss = become(beam, 'truss');
    expect(truss.body).toMatchObject({ mark: 'B1', hinges: [2000], note: 'over the door', supports: beam.body.supports });
    expect(truss.body).not.toHaveProperty('section');
    expect(become(truss as Extract<Item, { kind: 'truss' }>, 'beam')).toEqual({ ...beam, body: { ...beam.body, section: null } });
  });
});
