import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Beam, type Item } from '../building';
import { ebbwickSailLoft, quillfernToolLibrary } from '../exchange';
import type { Entry } from '../sheet';
import { why, type Cause } from '../takedown';
import { runTool, TOOLS } from '../tool';
import { contextOf } from './context';
import { computeProject, ProjectEngine, sheetFor } from '.';

/** A text of a sheet with where it stands. */
interface Said {
  readonly where: string;
  readonly text: string;
}

function textsOf(entries: readonly Entry[], where: string): Said[] {
  const said = (...texts: (string | undefined)[]): Said[] => texts.flatMap((text) => (text ? [{ where, text }] : []));
  return entries.flatMap((entry) => {
    switch (entry.type) {
      case 'scope':
        return [...said(entry.title), ...textsOf(entry.entries, `${where}, ${entry.title}`)];
      case 'note':
        return said(entry.text);
      case 'assumption':
        return said(entry.text, entry.reason);
      case 'given':
        return said(entry.meaning, entry.source);
      case 'lookup':
        return said(entry.table, entry.row, entry.clause);
      case 'step':
        return said(entry.meaning, entry.clause);
      case 'branch':
        return said(entry.consequence, entry.clause);
      case 'conclusion':
        return said(entry.text);
      case 'verdict':
        return said(entry.check.name, entry.check.reason, entry.check.combination);
    }
  });
}

/** Every sheet of a building, by every method that it shows. */
function sheetsOf(items: readonly Item[]): { readonly where: string; readonly entries: readonly Entry[] }[] {
  const project = computeProject(items);
  const { standard, philosophy } = contextOf(project.building, project.takedown);
  return [...project.takedown.members.keys()].flatMap((id) =>
    standard.loads.compared(philosophy.id).flatMap((method) => {
      const sheet = sheetFor(project, id, method.id);
      return sheet ? [{ where: `${id} by ${method.id}`, entries: sheet.entries }] : [];
    }),
  );
}

const toolSheets = [...TOOLS.values()].map((tool) => ({ where: tool.id, entries: runTool(tool, tool.example).steps }));
const quillfern = sheetsOf(quillfernToolLibrary());
const all = [...quillfern, ...sheetsOf(ebbwickSailLoft()), ...toolSheets];

const METRIC = /\d ?(mm|cm|m|kN|kNm|MPa|kPa|kg)\b|\d ?(m²|kN\/m²)/;

describe('sheets', () => {
  it('of a US project name no metric value', () => {
    const said = quillfern.flatMap(({ where, entries }) => textsOf(entries, where));
    expect(said.length).toBeGreaterThan(5000);
    expect(said.filter(({ text }) => METRIC.test(text))).toEqual([]);
  });
  it('of a US project name none where more is said than in Quillfern: assumptions, refusals, loose ends and reasons', () => {
    // posts on beams with a stiff bearing, walls that nobody weighed, pads by the rule of thumb and beyond it, and beneath what has no section; a
    // panel that reaches past what carries it
    const items = quillfernToolLibrary().map((one, i): Item => {
      if (one.kind === 'beam') return { ...one, body: { ...one.body, stiffBearing: 200, restraint: 'supports' } };
      if (one.kind === 'column') return i % 3 === 0 ? ({ ...one, body: { ...one.body, section: null } } as Item) : one;
      if (one.kind === 'footing') return { ...one, body: { ...one.body, method: 'ruleOfThumb', heated: i % 2 === 0, foundingDepth: 900 } };
      return one;
    });
    const level = items.find(({ kind }) => kind === 'level')!.id;
    const beam = items.find(({ kind }) => kind === 'beam')!;
    const ground = items.filter(({ kind }) => kind === 'level').at(-1)!.id;
    const corner = { x: 90_000, y: 90_000 };
    const more: Item[] = [
      item('wall', 'alone', {
        mark: 'AW',
        from: corner,
        to: { x: 95_000, y: 90_000 },
        base: ground,
        top: level,
        by: null,
        weight: 0.004,
        weightGiven: false,
      }),
      item('hanger', 'rod', {
        mark: 'RD',
        at: (beam.body as Beam).from,
        top: (beam.body as Beam).level,
        base: ground,
        by: beam.id,
        ownWeight: 0.1,
      }),
      item('footing', 'weak', { mark: 'WK', at: corner, level: ground, bearing: 0.005 }),
      item('footing', 'small', { mark: 'SM', at: { x: 80_000, y: 0 }, level: ground, method: 'ruleOfThumb' }),
      item('load', 'light', { label: 'light', on: 'small', type: 'point', nature: 'permanent', force: 20e3 }),
      item('load', 'heavy', { label: 'heavy', on: 'weak', type: 'point', nature: 'permanent', force: 90e6 }),
    ];
    const project = computeProject([...items, ...more]);
    const assumed = [...project.assumptions.values()].flat().flatMap(({ key, text, reason }) => [
      { where: key, text },
      { where: key, text: reason },
    ]);
    const ends = project.looseEnds.flatMap(({ key, title, why: reason, remedy }) =>
      [title, reason, remedy].map((text) => ({ where: key, text })),
    );
    const causes = (list: readonly Cause[], where: string): Said[] =>
      list.flatMap(({ label, detail, causes: inner }) => [{ where, text: label }, { where, text: detail }, ...causes(inner, where)]);
    const tree = [...project.takedown.members.keys()].flatMap((id) => causes(why(project.building, project.takedown, id, null), id));
    const sheets = sheetsOf([...items, ...more]).flatMap(({ where, entries }) => textsOf(entries, where));
    const said = [...assumed, ...ends, ...tree, ...sheets];
    for (const part of [
      'bears over a stiff length of 7',
      'square is taken',
      'that nobody has typed',
      'Rule of thumb for small houses',
      'even a pad of',
    ])
      expect(
        said.some(({ text }) => text.includes(part)),
        part,
      ).toBe(true);
    expect(said.filter(({ text }) => METRIC.test(text))).toEqual([]);
  });
  it('use the words of the field: no name of the program stands on one', () => {
    const said = all.flatMap(({ where, entries }) => textsOf(entries, where));
    expect(said.filter(({ text }) => /\b(roofImposed|asGiven|bothWays|6\.10ab|undefined|NaN|null)\b/.test(text))).toEqual([]);
    // as a rule two words run together, but for units and symbols
    expect(said.filter(({ text }) => /\b(?!kN|kPa|kWh)[a-z]{2,}[A-Z][a-z]{2,}/.test(text))).toEqual([]);
  });
  it('cite no standard of another family', () => {
    const european = [...sheetsOf(ebbwickSailLoft()), ...toolSheets.filter(({ where }) => where.startsWith('european.'))];
    const said = (list: typeof all) => list.flatMap(({ where, entries }) => textsOf(entries, where));
    // the one formula that is borrowed, for want of one in EN 1993-1-1: it is cited where it was published
    const isBorrowed = (text: string) => text === 'AISC 360-16 commentary (C-F1-5)';
    expect(said(european).filter(({ text }) => /\b(BS|AISC|ACI|ASCE) ?\d/.test(text) && !isBorrowed(text))).toEqual([]);
    const american = [...quillfern, ...toolSheets.filter(({ where }) => where.startsWith('american.'))];
    expect(said(american).filter(({ text }) => /\b(BS|EN) ?\d/.test(text))).toEqual([]);
  });
  it('write no formula that says nothing: a number for itself, the cosine of nothing, an inch', () => {
    const walk = (entries: readonly Entry[], where: string): string[] =>
      entries.flatMap((entry) => {
        if (entry.type === 'scope') return walk(entry.entries, where);
        if (entry.type === 'given') return entry.meaning.includes('one inch') ? [`${where}: ${entry.symbol}`] : [];
        if (entry.type !== 'step') return [];
        const isEmpty = Object.keys(entry.inputs).length === 0;
        const isFlat = entry.formula.includes('cos(theta)') && entry.inputs['theta'] === 0;
        return isEmpty || isFlat ? [`${where}: ${entry.symbol} = ${entry.formula}`] : [];
      });
    expect(all.flatMap(({ where, entries }) => walk(entries, where))).toEqual([]);
  });
});

describe('loose ends', () => {
  it('are told in the units of the project, under the same keys', () => {
    const post = (id: string, x: number, y: number, off = 0) => [
      item('footing', `F${id}`, { mark: `F${id}`, at: { x: x + off, y }, level: 'L0' }),
      item('column', id, { mark: id, at: { x, y }, base: 'L0', top: 'L1', by: `F${id}`, section: 'W8X31', ownWeight: 0.3 }),
    ];
    const beam = (mark: string, from: [number, number], to: [number, number], supports?: { at: number; by: string }[]) =>
      item('beam', mark, {
        mark,
        level: 'L1',
        from: { x: from[0], y: from[1] },
        to: { x: to[0], y: to[1] },
        section: 'W16X26',
        ownWeight: 0.4,
        supportsFound: !supports,
        supports: supports ?? [],
      });
    const common = [
      item('level', 'L1', { name: 'Floor', elevation: 3000 }),
      item('level', 'L0', { name: 'Ground', elevation: 0 }),
      ...post('C1', 0, 0, 60),
      ...post('C2', 4000, 0),
      ...post('C3', 0, 5000),
      ...post('C4', 6000, 5000),
      // it overhangs and lifts; one stands away from what it is said to rest on; two lie in one place; one stops short
      beam(
        'B1',
        [0, 0],
        [6000, 0],
        [
          { at: 0, by: 'C1' },
          { at: 4000, by: 'C2' },
        ],
      ),
      beam(
        'B2',
        [0, 600],
        [4000, 600],
        [
          { at: 0, by: 'C1' },
          { at: 4000, by: 'C2' },
        ],
      ),
      beam('B3', [0, 5000], [6000, 5000]),
      beam('B4', [1000, 5000], [6000, 5000]),
      beam('B5', [3000, 4700], [3000, 1000]),
      item('load', 'tip', { label: 'tip', on: 'B1', type: 'point', nature: 'imposed', use: 'B', at: 6000, force: 90_000 }),
      item('load', 'long', { label: 'long', on: 'B3', type: 'line', nature: 'imposed', use: 'B', from: 0, to: 7000, intensity: 3 }),
      // a wall beside its footing, and one that is too low for what lands on it
      item('stripFooting', 'S', { mark: 'S', from: { x: 8000, y: 0 }, to: { x: 8000, y: 4000 }, level: 'L0' }),
      item('wall', 'W', {
        mark: 'W',
        from: { x: 8060, y: 0 },
        to: { x: 8060, y: 4000 },
        base: 'L0',
        top: 'L1',
        weight: 0.002,
        by: 'S',
        bears: 'yes',
        height: 1500,
      }),
      beam('B6', [8060, 2000], [6000, 5000]),
    ];
    // as an edit of a project that is held, and from nothing
    const engine = new ProjectEngine();
    const inUnits = (units: 'SI' | 'US', tolerance = 25) => {
      const items = [
        item('brief', 'brief', { ...defaultBrief('Dunlin hall', 'american'), units, constructionTolerance: tolerance }),
        ...common,
      ];
      const ends = engine.run(items).looseEnds;
      expect(ends).toEqual(computeProject(items).looseEnds);
      return ends;
    };
    const [metric, customary] = [inUnits('SI'), inUnits('US')];
    expect(metric.length).toBeGreaterThan(5);
    expect(customary.map(({ key }) => key)).toEqual(metric.map(({ key }) => key));
    const texts = (ends: typeof metric) => ends.flatMap(({ title, why, remedy }) => [title, why, remedy]);
    expect(texts(metric).some((text) => METRIC.test(text))).toBe(true);
    expect(texts(customary).filter((text) => METRIC.test(text))).toEqual([]);
    for (const text of [...texts(metric), ...texts(customary)]) expect(text).not.toContain('{{');
    const beside = (ends: typeof metric) => ends.filter(({ key }) => key === 'eccentric:S').length;
    expect([beside(inUnits('SI')), beside(inUnits('SI', 80)), beside(inUnits('SI'))]).toEqual([1, 0, 1]);
    expect(metric.some(({ key }) => key === 'low-wall:W')).toBe(true);
  });
});
