import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BeamModel } from '../analysis';
import { assemble, defaultBrief, item, type Item } from '../building';
import { ebbwickSailLoft as ebbwick, tallowWharf } from '../exchange';
import { sectionProperties, findSection } from '../section';
import { bay } from './bay.test.data';
import { isCheck, entriesOf, worstVerdict } from '../sheet';
import { arrivalTotal, takeDown } from '../takedown';
import {
  bearingPressure,
  computeProject,
  dismissalKey,
  ProjectEngine,
  allAssumptions,
  contextOf,
  lightest,
  ruleOfThumbPad,
  sheetFor,
  trySections,
  unbracedSegments,
  type ProjectResult,
} from '.';

describe('a beam, by hand', () => {
  // own weight 54.1 kg/m; floor 4.5 and office 9.0 kN/m over 6 m
  const project = computeProject(bay());
  const beam = project.designs.member('B1')!;
  const find = (name: string) => beam.results[0]!.checks.find(isCheck(name))!;
  it('takes the worse of 6.10a and 6.10b', () => {
    const g = 4.5 + 0.0541 * 9.80665;
    const w = Math.max(1.35 * g + 1.5 * 0.7 * 9, 0.925 * 1.35 * g + 1.5 * 9);
    expect(find('bending').demand! / 1e6).toBeCloseTo((w * 36) / 8, 6);
    expect(find('shear').demand! / 1e3).toBeCloseTo(w * 3, 6);
    expect(find('bending').combination).toContain('6.10b');
  });
  it('deflects 5wL4/384EI under variable load, against L/360', () => {
    const { Iy } = findSection('UB 406x178x54').properties;
    expect(find('deflection-variable').demand!).toBeCloseTo((5 * 9 * 6000 ** 4) / (384 * 210_000 * Iy), 6);
    expect(find('deflection-variable').capacity!).toBeCloseTo(6000 / 360, 9);
  });
  it('held by the floor does not buckle; unheld it does, and then carries less', () => {
    expect(beam.results[0]!.checks.map(({ id }) => id)).not.toContain('lateral-torsional-buckling');
    const free = computeProject(bay({ beam: { restraint: 'supports' } })).designs.member('B1')!;
    expect(free.results[0]!.checks.find(isCheck('lateral-torsional-buckling'))!.utilisation!).toBeGreaterThan(find('bending').utilisation!);
    const held = computeProject(bay({ beam: { restraint: 'points', restraintPoints: [2000, 4000] } })).designs.member('B1')!;
    expect(held.results[0]!.checks.find(isCheck('lateral-torsional-buckling'))!.utilisation!).toBeLessThan(
      free.results[0]!.checks.find(isCheck('lateral-torsional-buckling'))!.utilisation!,
    );
  });
  it('records what it assumes, and an answer closes one', () => {
    const open = allAssumptions(project.assumptions)
      .filter((assumption) => !assumption.answer)
      .map((assumption) => assumption.key);
    expect(open).toEqual(
      expect.arrayContaining(['project:stability', 'B1:restraint-floor', 'B1:web-connection', 'C1:effective-length', 'F1:bearing']),
    );
    const answered = computeProject(bay({ extra: [item('answer', 'a', { key: 'B1:restraint-floor', reason: 'shown', by: 'Ada' })] }));
    expect(allAssumptions(answered.assumptions).find((assumption) => assumption.key === 'B1:restraint-floor')!.answer).toEqual({
      reason: 'shown',
      by: 'Ada',
    });
  });
  it('a beam that runs on over a support is checked with its variable load arranged at its worst', () => {
    const over = computeProject(
      bay({
        beam: {
          supports: [
            { at: 0, by: 'C1' },
            { at: 5000, by: 'C2' },
          ],
        },
      }),
    );
    const combinations = over.designs.member('B1')!.results[0]!.checks.map((check) => check.combination);
    expect(combinations.some((name) => name?.endsWith('variable on span 1'))).toBe(true);
    expect(beam.results[0]!.checks.some((check) => check.combination?.includes('variable on'))).toBe(false);
  });
  it('what is taken down but not designed stays open by name', () => {
    const wall = item('wall', 'W', {
      mark: 'W',
      from: { x: 1000, y: 0 },
      to: { x: 4000, y: 0 },
      base: 'L1',
      top: 'L1',
      weight: 0,
      by: 'B1',
    });
    const rod = item('hanger', 'R', { mark: 'R', at: { x: 2000, y: 0 }, top: 'L1', base: 'L0', by: 'B1', ownWeight: 0 });
    const keys = allAssumptions(computeProject(bay({ extra: [wall, rod] })).assumptions).map((assumption) => assumption.key);
    expect(keys).toEqual(expect.arrayContaining(['W:not-designed', 'R:not-designed']));
  });
  it('a beam that carries a column takes the transfer limit, and its web is checked under it', () => {
    const post = (ownWeight: string) =>
      item('column', 'P', {
        mark: 'P',
        at: { x: 3000, y: 0 },
        base: 'L1',
        top: 'L2',
        by: 'B1',
        section: 'UC 152x152x23',
        ownWeight: 0,
        note: ownWeight,
      });
    const pressed = item('load', 'q', { label: 'tank', on: 'P', type: 'point', nature: 'permanent', force: '200 kN' });
    const project = (beam: object) =>
      computeProject(bay({ beam, extra: [item('level', 'L2', { name: 'Roof', elevation: 6000 }), post(''), pressed] })).designs.member(
        'B1',
      )!;
    const web = (beam: object) => project(beam).results[0]!.checks.find(isCheck('web-under-a-force-through-its-flange'))!;
    expect(project({}).results[0]!.checks.find(isCheck('deflection-variable'))!.capacity).toBeCloseTo(12, 9);
    // 1.35 * 200 kN and what the post weighs; the allowance of its section is taken down with it
    expect(web({}).demand! / 1e3).toBeGreaterThan(270);
    expect(web({}).reason).toBe('under P');
    // a base plate spreads the force
    expect(web({ stiffBearing: '150 mm' }).capacity!).toBeGreaterThan(1.2 * web({}).capacity!);
  });
  it('without a section, or with one that is not known, it is unproven with the reason', () => {
    const none = computeProject(bay({ beam: { section: null } }));
    expect(none.designs.member('B1')).toMatchObject({ verdict: 'unproven', reason: 'No section is chosen.' });
    expect(none.looseEnds.map((end) => end.title)).toContain('B1 has no section');
    const old = computeProject(bay({ beam: { section: null, status: 'existing' } }));
    expect(old.designs.member('B1')).toMatchObject({ verdict: 'unproven', reason: expect.stringContaining('does not prove') });
    expect(old.looseEnds.map((end) => end.title)).toContain('The section of B1 is not known');
    expect(computeProject(bay({ beam: { section: 'UB 1x2x3' } })).designs.member('B1')!.reason).toContain('not in the catalogue');
    expect(computeProject(bay({ beam: { grade: 'S999' } })).designs.member('B1')!.reason).toContain('not known');
  });
});

describe('the sheet', () => {
  it('runs from the layers of a strip to the load that the takedown carries', () => {
    const project = computeProject(bay());
    const steps = entriesOf(sheetFor(project, 'B1')!.entries, 'step');
    const strip = project.takedown.members.get('B1')!.arrivals.find((arrival) => arrival.source.type === 'strip')!;
    expect(steps.find((step) => step.symbol === 'W_1')!.value).toBeCloseTo(arrivalTotal(strip)['permanent']!, 6);
    // 1.5 kN/m2 x 3 m x 6 m
    expect(steps.find((step) => step.symbol === 'W_1')!.value).toBeCloseTo(27_000, 6);
  });
  it('is there for walls and hangers too, and says that they are not designed', () => {
    const wall = item('wall', 'W', {
      mark: 'W',
      from: { x: 1000, y: 0 },
      to: { x: 4000, y: 0 },
      base: 'L0',
      top: 'L1',
      weight: 0.004,
      by: 'B1',
    });
    const sheet = sheetFor(computeProject(bay({ extra: [wall] })), 'W')!;
    expect(entriesOf(sheet.entries, 'note')[0]!.text).toContain('not designed');
    expect(entriesOf(sheet.entries, 'step').at(-1)!.value).toBeCloseTo(0.004 * 3000 * 3000, 6);
    expect(entriesOf(sheet.entries, 'step')[0]).toMatchObject({ symbol: 'G', value: 0.004 * 3000 * 3000 });
  });
});

describe('unbraced segments', () => {
  const context = (beam: object, length = 8000) => {
    const building = assemble(bay({ beam, length }));
    const takedown = takeDown(building, () => []);
    const model = new BeamModel(building.beams.get('B1')!, takedown.members.get('B1')!.arrivals, 1e13, building.cases);
    const solution = model.solve({
      id: 'x',
      name: 'x',
      basis: 'factored',
      clause: '',
      cases: building.cases,
      purpose: 'strength',
      factors: { permanent: 1, 'imposed-B': 1 },
    });
    return unbracedSegments(building.beams.get('B1')!, model.length, solution);
  };
  const overhang = {
    supports: [
      { at: 0, by: 'C1' },
      { at: 6000, by: 'C2' },
    ],
  };
  it('run from held place to held place; a free tip is told', () => {
    const segments = context({ ...overhang, restraint: 'supports' });
    expect(segments.map(({ from, to, freeTip }) => [from, to, freeTip])).toEqual([
      [0, 6000, false],
      [6000, 8000, true],
    ]);
    expect(
      context({ ...overhang, restraint: 'points', restraintPoints: [3000, 8000] }).map(({ from, to, freeTip }) => [from, to, freeTip]),
    ).toEqual([
      [0, 3000, false],
      [3000, 6000, false],
      [6000, 8000, false],
    ]);
  });
  it('a floor leaves only what hogs, with the bottom flange in compression', () => {
    const segments = context({ ...overhang, restraint: 'floor' });
    expect(segments.every((segment) => segment.peak < 0 && segment.tensionFlangeHeld)).toBe(true);
    expect(segments.map(({ from, to }) => [from, to])).toEqual([
      [0, 6000],
      [6000, 8000],
    ]);
    expect(
      context({
        restraint: 'floor',
        supports: [
          { at: 0, by: 'C1' },
          { at: 8000, by: 'C2' },
        ],
      }),
    ).toEqual([]);
  });
});

describe('American members', () => {
  it('show both philosophies, each on its own loads', () => {
    const { results } = computeProject(bay({ family: 'american' })).designs.member('B1')!;
    expect(results.map((result) => result.philosophy)).toEqual(['LRFD', 'ASD']);
    const [lrfd, asd] = results.map((result) => result.checks.find(isCheck('bending-yielding'))!);
    const g = 4.5 + (findSection('W16X26').mass * 9806.65) / 1000;
    expect(lrfd!.demand! / 1e6).toBeCloseTo(((1.2 * g + 1.6 * 9) * 36) / 8, 4);
    expect(asd!.demand! / 1e6).toBeCloseTo(((g + 9) * 36) / 8, 4);
  });
  it('a project that works by ASD lists it first', () => {
    const { results } = computeProject(bay({ family: 'american', brief: { combinationRule: 'ASD' } })).designs.member('B1')!;
    expect(results.map((result) => result.philosophy)).toEqual(['ASD', 'LRFD']);
  });
  it('a family refuses the philosophy of another', () => {
    expect(() => computeProject(bay({ family: 'american', brief: { combinationRule: '6.10' } }))).toThrow('has no philosophy "6.10"');
  });
});

describe('pads', () => {
  it('bearing pressure by hand, gross and net', () => {
    // 200 kN on 1.2 x 1.2 x 0.4 m, 1.0 m deep: 138.9 + 10.0 + 10.8 = 159.7 kPa; net of 18 kPa of soil
    const ground = { allowable: 0, soil: 18e-6, concrete: 25e-6, depth: 1000 };
    expect(bearingPressure(200_000, 1200, 1200, 400, { ...ground, basis: 'gross' }) * 1000).toBeCloseTo(200 / 1.44 + 10 + 10.8, 9);
    expect(bearingPressure(200_000, 1200, 1200, 400, { ...ground, basis: 'net' }) * 1000).toBeCloseTo(200 / 1.44 + 2.8, 9);
  });
  it('are sized on service loads and strengthened for factored ones, from the same reactions', () => {
    const project = computeProject(bay());
    const pad = project.designs.footing('F1')!;
    const { sum } = project.takedown.members.get('F1')!;
    const service = sum['permanent']! + sum['imposed-B']!;
    const bearing = pad.checks.find(isCheck('bearing'))!;
    expect(bearing.combination).toContain('characteristic');
    expect(bearing.demand!).toBeCloseTo((service + pad.padWeight + pad.backfillWeight) / (pad.width * pad.length), 9);
    expect(pad.checks.find(isCheck('punching-at-the-column'))!.combination).toMatch(/6\.10[ab]/);
    // the next smaller pad of the grid would press too hard
    const smaller = (pad.width - 50) ** 2;
    expect((service + smaller * (pad.thickness * 25e-6 + Math.max(0, 1000 - pad.thickness) * 18e-6)) / smaller).toBeGreaterThan(0.15);
  });
  it('enter the balance with their backfill, on both sides', () => {
    const project = computeProject(bay());
    const weight = project.designs.footings().reduce((sum, pad) => sum + pad.padWeight + pad.backfillWeight, 0);
    const bare = project.takedown.balance.find((line) => line.loadCase.id === 'permanent')!;
    const whole = project.balance.find((line) => line.loadCase.id === 'permanent')!;
    expect(whole.applied.force - bare.applied.force).toBeCloseTo(weight, 6);
    expect(whole.delivered.force - bare.delivered.force).toBeCloseTo(weight, 6);
  });
  it('grow with the load that comes down', () => {
    const [light, heavy] = ['3 kN/m2', '8 kN/m2'].map((q) => computeProject(bay({ q })).designs.footing('F1')!.width);
    expect(heavy!).toBeGreaterThan(light!);
  });
  it('say when the soil cannot carry it, when nothing stands on them, and when the load is off the middle', () => {
    expect(computeProject(bay({ brief: { bearing: '12 kPa' } })).designs.footing('F1')!.reason).toContain('cannot carry');
    const empty = computeProject(bay({ extra: [item('footing', 'F9', { mark: 'F9', at: { x: 0, y: 9000 }, level: 'L0' })] }));
    expect(empty.designs.footing('F9')!.reason).toBe('Nothing stands on it.');
    const shifted = computeProject(
      bay({ extra: [] }).map((entry) =>
        entry.id === 'F1' ? item('footing', 'F1', { mark: 'F1', at: { x: 120, y: 0 }, level: 'L0' }) : entry,
      ),
    );
    const central = computeProject(bay({ extra: [] })).designs.footing('F1')!;
    const footing = shifted.designs.footing('F1')!;
    expect(footing.width).toBeGreaterThan(central.width);
    expect(footing.checks.find(isCheck('bearing'))!.utilisation).toBeLessThanOrEqual(1);
    expect(shifted.looseEnds.map(({ key }) => key)).not.toContain('eccentric:F1');
  });
  it('rule of thumb: 45 degrees, 150 mm at least, only within its limits', () => {
    const pad = (more: object) => ruleOfThumbPad({ load: 60_000, width: 750, column: 150, thickness: 300, ...more })[0]!;
    expect(pad({})).toMatchObject({ demand: 300, capacity: 300, verdict: 'tight' });
    expect(pad({ width: 300 }).demand).toBe(150);
    expect(pad({ load: 121_000 }).reason).toContain('above 120 kN');
    expect(pad({ width: 1400 }).reason).toContain('wider');
    const small = computeProject(bay({ length: 3000, q: '1.5 kN/m2', footing: { method: 'ruleOfThumb' } })).designs.footing('F1')!;
    expect(small.bars).toBeNull();
    expect(small.verdict).not.toBe('short');
    expect(small.thickness).toBeGreaterThanOrEqual((small.width - 157.6) / 2);
  });
});

describe('sizing', () => {
  const items = bay();
  const building = assemble(items);
  const takedown = takeDown(building, () => []);
  const context = contextOf(building, takedown);
  const list = trySections(context, 'B1');
  it('the lightest that carries is the lightest of all that a full design calls so', () => {
    const best = lightest(list)!;
    const full = list.filter(({ designation }) => {
      const design = computeProject(
        items.map((entry) => (entry.id === 'B1' ? ({ ...entry, body: { ...entry.body, section: designation } } as Item) : entry)),
      ).designs.member('B1')!;
      return worstVerdict(design.results[0]!.checks) === 'carries' || worstVerdict(design.results[0]!.checks) === 'tight';
    });
    expect(best.designation).toBe(full[0]!.designation);
  });
  it('keeps to the families and the depth that are allowed', () => {
    expect(new Set(trySections(context, 'B1', { families: ['HEA'] }).map((candidate) => candidate.family))).toEqual(new Set(['HEA']));
    expect(Math.max(...trySections(context, 'B1', { maxDepth: 260 }).map((candidate) => candidate.depth))).toBeLessThanOrEqual(260);
  });
  it('sizes columns by what is proved of them', () => {
    const best = lightest(trySections(context, 'C1'))!;
    expect(best.utilisation!).toBeLessThanOrEqual(1);
    expect(sectionProperties(findSection(best.designation).shape).A).toBeGreaterThan(0);
  });
});

describe('a project that is edited', () => {
  it('gives what a fresh computation gives, and keeps the design of what was not touched', () => {
    const engine = new ProjectEngine();
    let items: Item[] = ebbwick();
    const first = new Map(engine.run(items).designs.all);
    items = items.map((entry) =>
      entry.kind === 'buildUp' && entry.id === 'gallery-floor'
        ? { ...entry, body: { ...entry.body, layers: entry.body.layers.map((layer) => ({ ...layer, load: layer.load * 1.5 })) } }
        : entry,
    );
    const second = engine.run(items);
    const fresh = computeProject(items);
    expect(
      second.designs
        .members()
        .map(({ id }) => id)
        .sort(),
    ).toEqual(
      fresh.designs
        .members()
        .map(({ id }) => id)
        .sort(),
    );
    for (const [id, design] of fresh.designs.all) expect(second.designs.get(id)).toEqual(design);
    expect(second.looseEnds).toEqual(fresh.looseEnds);
    expect(second.balance).toEqual(fresh.balance);
    // the gallery hangs from T3 and T4 and comes down on lines C and D
    expect(second.designs.member('GB1')).not.toBe(first.get('GB1'));
    expect(second.designs.member('TG1')).not.toBe(undefined);
    expect(second.designs.member('HB1')).toBe(first.get('HB1'));
    expect(second.designs.member('C-A1')).toBe(first.get('C-A1'));
  });
  it('after any edits it is what a fresh computation gives, also when the designs come bit by bit', () => {
    const start = tallowWharf({ baysX: 2, baysY: 2, storeys: 3, irregularity: 0.5 });
    const edit = fc.record({
      at: fc.nat(999),
      kind: fc.constantFrom('move', 'gone', 'grade', 'load', 'mark', 'answer', 'brief'),
      n: fc.nat(9),
      some: fc.nat(6),
    });
    fc.assert(
      fc.property(fc.array(edit, { minLength: 1, maxLength: 6 }), (edits) => {
        const engine = new ProjectEngine();
        let items: readonly Item[] = start;
        // what a screen holds that is told only what is news
        const screen = { designs: new Map(), assumptions: new Map(), ledgers: new Map(), panels: new Map() };
        const tell = (result: ProjectResult, loadsToo: boolean) => {
          const { takedown, redesigned, assumed } = result.news;
          const take = (into: Map<string, unknown>, from: ReadonlyMap<string, unknown>, ids: readonly string[] | null) => {
            for (const id of ids ?? new Set([...into.keys(), ...from.keys()]))
              if (from.has(id)) into.set(id, from.get(id));
              else into.delete(id);
          };
          take(screen.designs, result.designs.all, redesigned);
          take(screen.assumptions, result.assumptions, assumed);
          if (!loadsToo) return;
          take(screen.ledgers, result.takedown.members, takedown.all ? null : [...takedown.fresh, ...takedown.gone]);
          take(screen.panels, result.takedown.panels, takedown.all ? null : takedown.panels);
        };
        let now = engine.run(items);
        tell(now, true);
        for (const { at, kind, n, some } of edits) {
          items = editedAt(items, at, kind, n);
          let left = some;
          now = engine.run(items, () => left-- <= 0);
          tell(now, true);
        }
        while (now.pending > 0) {
          now = engine.goOn(() => false);
          tell(now, false);
        }
        const fresh = computeProject(items);
        const sorted = (map: ReadonlyMap<string, unknown>) => [...map].sort(([a], [b]) => (a < b ? -1 : 1));
        expect(sorted(now.designs.all)).toEqual(sorted(fresh.designs.all));
        expect(sorted(now.assumptions)).toEqual(sorted(fresh.assumptions));
        expect(sorted(now.building.beams)).toEqual(sorted(fresh.building.beams));
        expect(now.openAssumptions).toBe(allAssumptions(fresh.assumptions).filter(({ answer }) => !answer).length);
        expect(sorted(screen.designs)).toEqual(sorted(fresh.designs.all));
        expect(sorted(screen.assumptions)).toEqual(sorted(fresh.assumptions));
        expect(sorted(screen.ledgers)).toEqual(sorted(fresh.takedown.members));
        expect(sorted(screen.panels)).toEqual(sorted(fresh.takedown.panels));
        expect(now.balance).toEqual(fresh.balance);
        const keys = (ends: typeof now.looseEnds) => ends.map(({ key }) => key).sort();
        expect(keys(now.looseEnds)).toEqual(keys(fresh.looseEnds));
      }),
      { numRuns: 12 },
    );
  });
  it('an answer dismisses a loose end and stands beside it', () => {
    const items = ebbwick();
    const end = computeProject(items).looseEnds.find((entry) => entry.key === 'bears:W3')!;
    expect(end.dismissed).toBeNull();
    const answer = item('answer', 'a', { key: dismissalKey(end), reason: 'Opened up on site: no joists land on it.', by: 'Ada' });
    const judged = computeProject([...items, answer]).looseEnds.find((entry) => entry.key === end.key)!;
    expect(judged.dismissed).toEqual({ reason: 'Opened up on site: no joists land on it.', by: 'Ada' });
  });
});

describe('what a careful reader of the survey asks', () => {
  const drawn = (more: object[]): Item[] => [
    item('brief', 'brief', defaultBrief('Trial', 'european')),
    item('level', 'L1', { name: 'Floor', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    item('buildUp', 'bare', { name: 'Bare', layers: [{ name: 'slab', load: 0.002 }] }),
    ...(more as Item[]),
  ];
  const wall = (id: string, y: number, more: object = {}) =>
    item('wall', id, {
      mark: id,
      from: { x: 0, y },
      to: { x: 4000, y },
      base: 'L0',
      top: 'L1',
      weight: 0.004,
      by: null,
      supportsFound: true,
      bears: 'yes',
      ...more,
    });
  const strip = (id: string, y: number) => item('stripFooting', id, { mark: id, from: { x: 0, y }, to: { x: 4000, y }, level: 'L0' });
  const panel = item('panel', 'P', {
    mark: 'P',
    level: 'L1',
    outline: [
      { x: 0, y: 0 },
      { x: 4000, y: 0 },
      { x: 4000, y: 6000 },
      { x: 0, y: 6000 },
    ],
    buildUp: 'bare',
    direction: Math.PI / 2,
  });
  const keys = (items: Item[]) => computeProject(items).looseEnds.map((end) => end.key);
  const base = [wall('W1', 0), wall('W2', 6000), strip('S1', 0), strip('S2', 6000), panel];
  it('a floor on which nobody walks', () => {
    expect(keys(drawn(base))).toEqual(['no-imposed:P']);
  });
  it('a wall about which nobody has answered; answered, it is settled', () => {
    expect(keys(drawn([...base, wall('W3', 3000, { bears: 'open' }), strip('S3', 3000)]))).toContain('bears:W3');
    expect(keys(drawn([...base, wall('W3', 3000), strip('S3', 3000)]))).not.toContain('bears:W3');
  });
  it('masonry without weight above a beam', () => {
    expect(keys(drawn([...base, wall('W4', 0, { weight: 0 })]))).toContain('no-weight:W4');
  });
  it('what walls and panels take for true stands open', () => {
    const open = allAssumptions(computeProject(drawn([...base, wall('W3', 3000, { spread: 'even' }), strip('S3', 3000)])).assumptions);
    const of = (mark: string) => open.filter((entry) => entry.mark === mark).map((entry) => entry.key.split(':')[1]);
    expect(of('W3')).toEqual(['not-designed', 'spread-even']);
    expect(of('P')).toEqual(['simple-spans']);
    expect(of('S1')).toEqual(['not-designed']);
  });
});

/** One edit of a project; the bodies of all other items stay the same objects. */
function editedAt(items: readonly Item[], at: number, kind: string, n: number): Item[] {
  const of = (wanted: Item['kind']) => {
    const list = items.filter((old) => old.kind === wanted);
    return list[at % Math.max(1, list.length)];
  };
  const put = (old: Item | undefined, change: object) =>
    items.map((entry) => (entry === old ? ({ ...entry, body: { ...entry.body, ...change } } as Item) : entry));
  const column = of('column');
  const beam = of('beam');
  switch (kind) {
    case 'move':
      return column?.kind === 'column' ? put(column, { at: { x: column.body.at.x + n * 30, y: column.body.at.y } }) : [...items];
    case 'gone':
      return items.filter((old) => old !== (n % 2 ? column : beam));
    case 'grade':
      return put(beam, { ownWeight: 0.5 + n / 10 });
    case 'load':
      return put(of('buildUp'), {
        variable: [{ name: 'load', load: 0.002 + n / 1000, nature: 'imposed', use: 'B', action: null, loadCase: '' }],
      });
    case 'mark':
      return put(n % 2 ? beam : column, { mark: `Z${n}` });
    case 'answer':
      return [
        ...items.filter((old) => old.id !== `a${n}`),
        item('answer', `a${n}`, { key: `${beam?.id}:simple`, reason: 'so', by: 'Ada' }),
      ];
    default:
      return put(of('brief'), { name: `Trial ${n}` });
  }
}
