import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeProject, sheetFor } from '../design';
import { DEMONSTRATIONS } from '../exchange';
import { catalogue } from '../section';
import { audit, entriesOf, type Entry, type Step } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { formulaToTex, symbolToTex } from '../sheet/typeset';
import { findTool, inputSchema, runTool, TOOLS } from '.';

function noNaN(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} is ${value}`];
  if (value && typeof value === 'object') return Object.entries(value).flatMap(([key, inner]) => noNaN(inner, `${path}.${key}`));
  return [];
}

/** Where a value holds what JSON does not carry: maps, sets, functions. */
function lostInJson(value: unknown, path = 'result'): string[] {
  if (value instanceof Map || value instanceof Set || typeof value === 'function') return [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, entry]) => lostInJson(entry, `${path}.${key}`));
}

describe('every tool', () => {
  it.each([...TOOLS.values()].map((tool) => [tool.id, tool] as const))(
    '%s runs its example; its sheet re-evaluates; its schema is written',
    (_, tool) => {
      const reply = runTool(tool, tool.example);
      expect(audit(reply.steps, evaluate)).toEqual([]);
      expect(noNaN(reply)).toEqual([]);
      // what is answered is plain JSON: nothing is lost on the way out
      expect(lostInJson(reply.result)).toEqual([]);
      expect(reply.tool).toBe(tool.id);
      const schema = inputSchema(tool) as { type?: string; properties?: Record<string, { description?: string }> };
      expect(schema.type).toBe('object');
      expect(() => JSON.stringify(schema)).not.toThrow();
      expect(tool.id).toMatch(/^[a-z]+(\.[a-zA-Z]+)+$/);
    },
  );
  it('describes every field of a calculation with its unit', () => {
    const schema = inputSchema(findTool('european.steel.column')) as { properties: Record<string, { description?: string }> };
    expect(schema.properties['axial']!.description).toContain('a number in N');
    for (const [name, field] of Object.entries(schema.properties)) expect(field.description, name).toBeTruthy();
  });
  it('names every faulty field in words', () => {
    expect(() =>
      runTool(findTool('european.steel.column'), {
        section: 'UC 203x203x46',
        grade: 'S355',
        philosophy: '6.10',
        axial: '600 m',
        lengthY: 0,
        lengthZ: 'x',
      }),
    ).toThrow(
      /Axial: .*not in a unit.*Length Y must lie between 0.001 m and 500 m, got 0 mm.*Length Z: .*not a unit.*Length T is missing/s,
    );
    expect(() => findTool('no.such')).toThrow('there is no tool');
    expect(() =>
      runTool(findTool('european.steel.beam'), { section: 'UB 1x1', grade: 'S355', philosophy: '6.10', moment: 1, shear: 1, unbraced: 1 }),
    ).toThrow('not in the catalogue');
    expect(() => runTool(findTool('beam.line'), { length: '5 m', EI: 1e12, supports: [{ at: 0 }] })).toThrow('mechanism');
  });
});

describe('honest sheets on drawn inputs', () => {
  /** Whole units: what is drawn stays within what a double holds fully. */
  const moment = fc.integer({ min: -800_000_000, max: 800_000_000 });
  const length = fc.double({ min: 300, max: 14_000, noNaN: true });
  it.each([
    ['european', ['S235', 'S275', 'S355'], ['6.10', '6.10ab']],
    ['american', ['A992', 'A36'], ['LRFD', 'ASD']],
  ] as const)('%s beams and columns of every shape', (family, grades, philosophies) => {
    const shapes = catalogue().filter((section) => section.region === family);
    fc.assert(
      fc.property(
        fc.constantFrom(...shapes),
        fc.constantFrom(...grades),
        fc.constantFrom(...philosophies),
        moment,
        moment,
        length,
        length,
        (section, grade, philosophy, M, N, L1, L2) => {
          const beam = runTool(findTool(`${family}.steel.beam`), {
            section: section.designation,
            grade,
            philosophy,
            moment: M,
            shear: N / 400,
            unbraced: L1,
            quarters: [M / 2, M / 3, -M / 5],
          });
          expect(audit(beam.steps, evaluate)).toEqual([]);
          expect(noNaN(beam)).toEqual([]);
          const column = runTool(findTool(`${family}.steel.column`), {
            section: section.designation,
            grade,
            philosophy,
            axial: N / 100,
            lengthY: L1,
            lengthZ: L2,
            lengthT: L2,
          });
          expect(audit(column.steps, evaluate)).toEqual([]);
          expect(noNaN(column)).toEqual([]);
        },
      ),
      { numRuns: 250 },
    );
  });
  it.each([
    ['european', ['S275', 'S355'], ['6.10']],
    ['american', ['A992', 'A36'], ['LRFD', 'ASD']],
  ] as const)('%s members of every shape, rolled and written, under forces and moments of either sign', (family, grades, philosophies) => {
    const own = [
      'own I 900x250x6x12',
      'own I 600x300x12x20 bottom 180x15',
      'own I 900x200x8x14 bottom 400x20',
      'own I 600x300x5x8',
      'own I 500x400x10x10',
      'own box 400x200x6',
      'own tube 400x5',
      'own C 200x80x8x12',
      'own T 150x200x8x12',
    ];
    const shapes = [
      ...catalogue()
        .filter((section) => section.region === family)
        .map(({ designation }) => designation),
      ...own,
      ...own,
      ...own,
    ];
    const some = fc.oneof(fc.constant(0), fc.integer({ min: -90_000_000, max: 90_000_000 }));
    const force = fc.oneof(fc.constant(0), fc.integer({ min: -900_000, max: 900_000 }));
    fc.assert(
      fc.property(
        fc.constantFrom(...shapes),
        fc.constantFrom(...grades),
        fc.constantFrom(...philosophies),
        fc.tuple(some, some, some, some, some),
        fc.tuple(force, force, force),
        fc.tuple(length, length, fc.boolean(), fc.boolean()),
        (section, grade, philosophy, [a, b, c, d, e], [axial, shear, shearAcross], [L1, L2, isFree, untwisted]) => {
          const member = runTool(findTool(`${family}.steel.member`), {
            section,
            grade,
            philosophy,
            axial,
            shear,
            shearAcross,
            major: { start: a, middle: b, end: c },
            minor: { start: d, middle: (d + e) / 2, end: e },
            lengthY: L1,
            lengthZ: L2,
            lengthT: L2,
            length: L1,
            unbraced: isFree ? L2 : 0,
            throughShearCentre: untwisted,
          });
          expect(audit(member.steps, evaluate)).toEqual([]);
          expect(noNaN(member)).toEqual([]);
        },
      ),
      { numRuns: 500 },
    );
  });
  it('older British beams and struts of every rolled I and H, under any shear', () => {
    const shapes = catalogue().filter(
      ({ region, shape, product }) => region === 'european' && shape.outline === 'I' && product === 'rolled',
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...shapes),
        fc.constantFrom('S275', 'S355'),
        moment,
        length,
        fc.boolean(),
        (section, grade, M, L, destabilising) => {
          const beam = runTool(findTool('british.steel.segment'), {
            section: section.designation,
            grade,
            philosophy: 'BS5950',
            moment: M,
            shear: M / 500,
            effectiveLength: L,
            quarters: [M / 2, M / 3, -M / 5],
            destabilising,
          });
          const strut = runTool(findTool('british.steel.strut'), {
            section: section.designation,
            grade,
            philosophy: 'BS5950',
            axial: Math.abs(M) / 200 + 1,
            lengthX: L,
            lengthY: L,
          });
          for (const reply of [beam, strut]) {
            expect(audit(reply.steps, evaluate)).toEqual([]);
            expect(noNaN(reply)).toEqual([]);
          }
        },
      ),
      { numRuns: 150 },
    );
  });
  it.each([
    ['european', 'C30/37', 'B500B', ['10', '12', '16', '20']],
    ['american', '4000 psi', 'Grade 60', ['#4', '#5', '#8']],
  ] as const)('%s pads', (family, concrete, reinforcement, bars) => {
    fc.assert(
      fc.property(
        fc.constantFrom(...bars),
        fc.double({ min: 500, max: 4000, noNaN: true }),
        fc.double({ min: 500, max: 4000, noNaN: true }),
        fc.double({ min: 150, max: 1200, noNaN: true }),
        fc.integer({ min: -100_000, max: 5_000_000 }),
        (bar, width, len, thickness, force) => {
          const reply = runTool(findTool(`${family}.footing.pad`), {
            width,
            length: len,
            thickness,
            columnWidth: 200,
            columnDepth: 250,
            concrete,
            reinforcement,
            bar,
            cover: 50,
            philosophy: family === 'american' ? 'LRFD' : '6.10',
            force,
          });
          expect(audit(reply.steps, evaluate)).toEqual([]);
          expect(noNaN(reply)).toEqual([]);
        },
      ),
      { numRuns: 300 },
    );
  });
});

/** Braces as brackets, and a fraction as its two groups divided. */
function groups(text: string): string {
  let at = 0;
  const group = (): string => {
    at += 1;
    const inside = until('}');
    at += 1;
    return `(${inside})`;
  };
  const until = (end: string): string => {
    let out = '';
    while (at < text.length && text[at] !== end) {
      if (text.startsWith('\\frac', at)) {
        at += 5;
        out += `(${group()}/${group()})`;
      } else if (text[at] === '{') out += group();
      else out += text[at++];
    }
    return out;
  };
  return until('');
}

/** Reads TeX as it is set, back into arithmetic: only what a reader of the page sees counts. */
function readTex(tex: string, symbols: readonly string[]): string {
  let text = tex;
  const tokens = new Map<string, string>();
  [...symbols, 'pi']
    .map((symbol) => [symbolToTex(symbol), symbol] as const)
    .sort((a, b) => b[0].length - a[0].length)
    .forEach(([set, symbol], i) => {
      const token = `@${String.fromCharCode(0x100 + i)}`;
      tokens.set(token, symbol);
      // whole symbols only: the c of a command is not the symbol c
      text = text.replace(new RegExp(`(?<![\\\\A-Za-z])${set.replace(/[\\{}^]/g, '\\$&')}(?![A-Za-z])`, 'g'), `${token} `);
    });
  text = text
    .replaceAll('\\left|', ' abs(')
    .replaceAll('\\right|', ')')
    .replaceAll('\\left(', '(')
    .replaceAll('\\right)', ')')
    .replaceAll('\\cdot', '')
    .replaceAll('\\;', ' ');
  text = text
    .replaceAll('\\sqrt{', ' sqrt{')
    .replaceAll('\\min', ' min')
    .replaceAll('\\max', ' max')
    .replaceAll('\\cos', ' cos')
    .replaceAll('\\,', ' * ');
  text = groups(text);
  for (const [token, symbol] of tokens) text = text.split(token).join(symbol);
  return text;
}

describe('mathematics as it is set', () => {
  it('means what was computed: every formula of the demonstration sheets and of every tool is read back from its TeX', () => {
    const steps = new Map<string, Step>();
    const collect = (entries: readonly Entry[]) => entriesOf(entries, 'step').forEach((step) => steps.set(step.formula, step));
    for (const tool of TOOLS.values()) collect(runTool(tool, tool.example).steps);
    for (const demo of DEMONSTRATIONS) {
      const project = computeProject(demo.items());
      for (const id of [...project.designs.members().map(({ id }) => id), ...project.designs.footings().map(({ id }) => id)])
        collect(sheetFor(project, id)!.entries);
    }
    expect(steps.size).toBeGreaterThan(80);
    for (const { formula, inputs, value } of steps.values()) {
      const back = readTex(formulaToTex(formula), Object.keys(inputs));
      expect(Math.abs((evaluate(back, inputs) as number) / (value || 1) - (value ? 1 : 0)), `${formula} is set as ${back}`).toBeLessThan(
        1e-9,
      );
    }
  });
  it('conditions read back too: a relation never runs into the letter behind it', () => {
    const branches = new Map(
      [...TOOLS.values()]
        .flatMap((tool) => entriesOf(runTool(tool, tool.example).steps, 'branch'))
        .map((branch) => [branch.condition, branch]),
    );
    expect(branches.size).toBeGreaterThan(15);
    for (const { condition, inputs, holds } of branches.values()) {
      const tex = formulaToTex(condition).replaceAll('\\leq ', '<=').replaceAll('\\geq ', '>=');
      expect(evaluate(readTex(tex, Object.keys(inputs)), inputs), `${condition} is set as ${tex}`).toBe(holds);
    }
  });
});

describe('sheets of the demonstration buildings', () => {
  it.each(DEMONSTRATIONS.map((demo) => [demo.id, demo] as const))(
    '%s: every sheet re-evaluates from its givens, and every verdict of the project stands on one',
    (_, demo) => {
      const project = computeProject(demo.items());
      const faults: string[] = [];
      for (const id of project.takedown.order) {
        const sheet = sheetFor(project, id)!;
        faults.push(...audit(sheet.entries, evaluate).map((fault) => `${id}: ${fault}`));
        const printed = entriesOf(sheet.entries, 'verdict').map(({ check }) => `${check.name} ${check.utilisation?.toPrecision(9)}`);
        for (const check of project.designs.member(id)?.results[0]?.checks ?? project.designs.footing(id)?.checks ?? [])
          if (!printed.includes(`${check.name} ${check.utilisation?.toPrecision(9)}`))
            faults.push(`${id}: ${check.name} ${check.utilisation} is not on the sheet`);
      }
      expect(faults).toEqual([]);
      expect(
        noNaN([...project.designs.members(), ...project.designs.footings(), project.balance, project.looseEnds, project.assumptions]),
      ).toEqual([]);
    },
  );
});

describe('choosing, as tools', () => {
  const project = findTool('design.project').example as { items: readonly unknown[] };
  const run = (id: string, more: object) => runTool(findTool(id), { ...project, ...more }).result as never;
  interface Sized {
    chosen: { designation: string; mass: number; depth: number; verdict: string } | null;
    nextLess: { designation: string; mass: number; verdict: string; utilisation: number } | null;
    tried: readonly { designation: string; mass: number; depth: number; width: number; verdict: string }[];
  }
  it('the chosen is the first that carries, and what is less is short of something', () => {
    for (const by of ['mass', 'depth', 'width'] as const) {
      const { chosen, nextLess, tried }: Sized = run('design.size', { member: 'B1', by, families: ['UB', 'IPE'] });
      const enough = tried.filter(({ verdict }) => verdict === 'carries' || verdict === 'tight');
      expect(chosen!.designation).toBe(enough[0]!.designation);
      expect(enough.every((other) => other[by] >= enough[0]![by])).toBe(true);
      const at = (name: string) => tried.findIndex(({ designation }) => designation === name);
      expect(at(nextLess!.designation)).toBeLessThan(at(chosen!.designation));
      expect(nextLess!.verdict).toBe('short');
      expect(nextLess!.utilisation).toBeGreaterThan(1);
    }
  });
  it('says when nothing carries, and names a member that is not there', () => {
    const none: Sized = run('design.size', { member: 'B1', families: ['UB'], maxDepth: '130 mm' });
    expect([none.chosen, none.nextLess]).toEqual([null, null]);
    expect(none.tried.length).toBeGreaterThan(0);
    expect(() => run('design.size', { member: 'X9' })).toThrow('there is no beam or column "X9"');
    expect(() => run('design.rationalise', { members: ['B1'], families: ['UB'], maxDepth: '130 mm' })).toThrow('no size tried carries B1');
  });
  it('few sizes: a further size never weighs more, and one size for one member is its lightest', () => {
    const { sets }: { sets: readonly { steel: number; cost: number; sizes: readonly string[] }[] } = run('design.rationalise', {
      members: ['B1', 'C1', 'C2'],
      most: 3,
      charge: 10,
      families: ['UB', 'UC'],
    });
    for (let i = 1; i < sets.length; i += 1) expect(sets[i]!.steel).toBeLessThanOrEqual(sets[i - 1]!.steel);
    sets.forEach(({ steel, cost, sizes }) => expect(cost).toBeCloseTo(steel + 10 * sizes.length, 6));
    const alone: typeof sets = (run('design.rationalise', { members: ['B1'], most: 1, families: ['UB'] }) as { sets: typeof sets }).sets;
    const { chosen }: Sized = run('design.size', { member: 'B1', families: ['UB'] });
    expect(alone[0]!.sizes).toEqual([chosen!.designation]);
  });
});
