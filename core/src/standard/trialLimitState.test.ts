import { describe, expect, it, vi } from 'vitest';
import { assemble, item, readItem, type Item } from '../building';
import { computeProject, inputsOf, isReadBy, requireRead, sheetFor } from '../design';
import { cellsOf, ebbwickSailLoft, quillfernToolLibrary, readSchedule, scheduleCsv } from '../exchange';
import type { LimitState } from './limitState';
import { audit, compare, type Check } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { runTool, TOOLS } from '../tool';
import { STANDARDS, type PadInput, type SteelBeamInput } from '.';

// a limit state with an input of its own is added by its clause, a line in the list of limit states and one in the list of inputs, and by nothing else
vi.mock('../input/list', async (original) => {
  const { BEAM_INPUTS, PAD_INPUTS } = await original<Record<'BEAM_INPUTS' | 'PAD_INPUTS', object>>();
  const { amount, flag } = await import('../input/declared');
  return {
    BEAM_INPUTS: {
      ...BEAM_INPUTS,
      pinDepth: amount({
        title: 'depth of the trial pin',
        says: 'depth of a made-up pin at its end; 0: there is none',
        kind: 'sectionLength',
        limits: { min: 0, max: 500 },
        empty: 0,
        assumption: { text: 'The trial pin is there.', reason: 'Made up.' },
      }),
    },
    PAD_INPUTS: { ...PAD_INPUTS, onSalt: flag({ title: 'trial salt', says: 'true: it lies on made-up salt' }) },
  };
});

const { pin, salt, withOne } = vi.hoisted(() => {
  /** A module with one limit state more in its list. */
  const withOne = (one: LimitState<never>) => async (original: () => Promise<Record<string, unknown>>) => {
    const all = await original();
    const name = Object.keys(all).find((key) => key.endsWith('LIMIT_STATES'))!;
    return { ...all, [name]: [...(all[name] as LimitState<never>[]), one] };
  };
  /** Shear over what a pin of some depth takes: d times the width of the flange times a tenth of the yield strength. */
  const pinCheck = (V: number, d: number, b: number, fy: number, combination: string) => ({
    id: 'trial-pin',
    name: 'Trial pin',
    clause: { document: 'trial', number: '1' },
    mode: 'ductile' as const,
    kind: 'force' as const,
    demand: V,
    demandSymbol: 'V_t',
    capacity: d * b * fy * 0.1,
    capacitySymbol: 'V_pin',
    combination,
  });
  return {
    withOne,
    pin: {
      id: 'trial-pin',
      reads: ['pinDepth'],
      check: (context, sheet) => {
        const { section, grade, actions, asked } = (context as { input: SteelBeamInput }).input;
        const d = (asked as unknown as { pinDepth: number } | undefined)?.pinDepth ?? 0;
        if (d === 0) return null;
        const [b, fy] = [section.properties.width, grade.yield[0]!.fy];
        const inner = sheet?.scope('Trial pin');
        inner?.given('V_t', actions.shear, 'force', 'shear');
        inner?.given('d_t', d, 'sectionLength', 'depth of the pin');
        inner?.given('b_t', b, 'sectionLength', 'width');
        inner?.given('f_t', fy, 'stress', 'yield strength');
        inner?.step('V_pin', 'd_t * b_t * f_t * 0.1', { d_t: d, b_t: b, f_t: fy }, d * b * fy * 0.1, 'force', 'trial 1');
        return compare(pinCheck(actions.shear, d, b, fy, actions.combination), inner);
      },
    } as LimitState<never>,
    salt: {
      id: 'trial-salt',
      reads: ['onSalt'],
      check: (context) => {
        const { asked, factored } = (context as { input: PadInput }).input;
        return (asked as unknown as { onSalt: boolean }).onSalt
          ? ({
              id: 'trial-salt',
              name: 'Trial salt',
              clause: { document: 'trial', number: '2' },
              mode: 'brittle',
              kind: 'force',
              demand: factored.force,
              capacity: null,
              utilisation: null,
              verdict: 'unproven',
              combination: factored.combination,
              reason: 'made up',
            } satisfies Check)
          : null;
      },
    } as LimitState<never>,
  };
});
vi.mock('./european/steel/beamLimitStates', async (original) => withOne(pin)(original as never));
vi.mock('./american/steel/beamLimitStates', async (original) => withOne(pin)(original as never));
vi.mock('./european/concrete/padLimitStates', async (original) => withOne(salt)(original as never));

/** A building with something typed of the items of a kind. */
const typed = (items: readonly Item[], kind: Item['kind'], change: object): Item[] =>
  items.map((one) => (one.kind === kind ? ({ ...one, body: { ...one.body, ...change } } as unknown as Item) : one));
const buildings = [
  ['european', ebbwickSailLoft],
  ['american', quillfernToolLibrary],
] as const;

describe.each(buildings)('a limit state of beams that is added to %s', (family, build) => {
  const beam = build().find(({ kind }) => kind === 'beam')!;
  it('is asked for: in the schema, with its default, by the interface and in the forms', () => {
    const { pinDepth: _, ...bare } = beam.body as unknown as Record<string, unknown>;
    expect(readItem({ ...beam, body: bare }).body).toMatchObject({ pinDepth: 0 });
    expect(readItem({ ...beam, body: { ...bare, pinDepth: '40 mm' } }).body).toMatchObject({ pinDepth: 40 });
    expect(() => readItem({ ...beam, body: { ...bare, pinDepth: '2 m' } })).toThrow('must lie between');
    // what forms and the Bench show is this list
    expect(Object.keys(inputsOf('beam'))).toContain('pinDepth');
    expect([isReadBy(STANDARDS[family], 'beam', 'pinDepth'), isReadBy(STANDARDS.british, 'beam', 'pinDepth')]).toEqual([true, false]);
  });
  it('is checked in the building, on a sheet that closes, with its assumption', () => {
    const items = typed(build(), 'beam', { pinDepth: 60 });
    const project = computeProject(items);
    const designed = project.designs.members().filter(({ kind, results }) => kind === 'beam' && results.length > 0);
    expect(designed.length).toBeGreaterThan(3);
    for (const { id, results } of designed) {
      for (const { checks } of results) expect(checks.filter((check) => check.id === 'trial-pin').length, id).toBe(1);
      expect(project.assumptions.get(id)!.map(({ key }) => key)).toContain(`${id}:pinDepth`);
    }
    const sheet = sheetFor(project, designed[0]!.id)!;
    expect(audit(sheet.entries, evaluate)).toEqual([]);
    expect(JSON.stringify(sheet.entries)).toContain('V_pin');
    // where nothing is typed there is no row
    expect(JSON.stringify([...computeProject(build()).designs.all.values()])).not.toContain('trial-pin');
  });
  it('stands in the calculations, and is refused by those that do not read it', () => {
    const tool = TOOLS.get(`${family}.steel.beam`)!;
    const ids = (input: object) => runTool(tool, { ...(tool.example as object), ...input }).checks.map(({ id }) => id);
    expect(ids({ pinDepth: '50 mm' })).toContain('trial-pin');
    expect(ids({})).not.toContain('trial-pin');
    const line = TOOLS.get('steel.beam.line')!;
    const along = { ...(line.example as object), family, pinDepth: '50 mm' };
    const british = { ...along, family: 'british', section: 'UB 457x191x67', grade: 'S275' };
    expect(() => runTool(line, british)).toThrow('"depth of the trial pin" is not used by BS 5950-1');
    const other = TOOLS.get('british.steel.beam')!;
    expect(() => runTool(other, { ...(other.example as object), pinDepth: '50 mm' })).toThrow('BS 5950-1');
  });
  it('has a column in the schedule, out and in', () => {
    const items = typed(build(), 'beam', { pinDepth: 60 });
    const building = assemble(items);
    const csv = scheduleCsv(building, items, 'beam');
    expect(csv.split('\n')[0]).toContain('depth of the trial pin');
    const back = readSchedule(assemble(build()), build(), 'beam', cellsOf(csv), { make: () => beam });
    expect(back.faults).toEqual([]);
    for (const { body } of back.items) expect((body as unknown as { pinDepth: number }).pinDepth).toBeCloseTo(60, 6);
  });
});

describe('a limit state of pads that is added to European', () => {
  const pads = (items: readonly Item[]) => computeProject(items).designs.footings();
  it('is asked for and checked, in the building and alone', () => {
    expect(item('footing', 'F', { mark: 'F', at: { x: 0, y: 0 }, level: 'L' }).body).toMatchObject({ onSalt: false });
    const there = pads(typed(ebbwickSailLoft(), 'footing', { onSalt: true })).filter(({ bars }) => bars !== null);
    expect(there.length).toBeGreaterThan(3);
    for (const { checks, verdict, mark } of there) {
      expect(
        checks.map(({ id }) => id),
        mark,
      ).toContain('trial-salt');
      expect(verdict, mark).toBe('unproven');
    }
    expect(JSON.stringify(pads(ebbwickSailLoft()))).not.toContain('trial-salt');
    const tool = TOOLS.get('european.footing.pad')!;
    expect(runTool(tool, { ...(tool.example as object), onSalt: true }).checks.map(({ id }) => id)).toContain('trial-salt');
  });
  it('is refused where the codes of the project do not read it, at the item and at the calculation', () => {
    const items = quillfernToolLibrary();
    const pad = items.find(({ kind }) => kind === 'footing')!;
    const after = new Map([...items, { ...pad, body: { ...pad.body, onSalt: true } } as unknown as Item].map((one) => [one.id, one]));
    const before = new Map(items.map((one) => [one.id, one]));
    expect(() => requireRead(after, (id) => before.get(id), [pad.id])).toThrow('"trial salt" is not used by');
    const tool = TOOLS.get('american.footing.pad')!;
    expect(() => runTool(tool, { ...(tool.example as object), onSalt: true })).toThrow();
  });
  it('has a column in the schedule of pads', () => {
    const items = ebbwickSailLoft();
    expect(scheduleCsv(assemble(items), items, 'footing').split('\n')[0]).toContain('trial salt');
  });
});
