import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { computeProject } from '../design';
import { DEMONSTRATIONS, memberSchedule, orderCsv, reactionCsv, readProjectFile, writeCsv, writeProjectFile } from '.';

describe('project file', () => {
  it.each(DEMONSTRATIONS.map((demo) => [demo.id, demo] as const))('%s goes out to JSON and comes back equal', (_, demo) => {
    const items = demo.items();
    const text = JSON.stringify(writeProjectFile('x', items));
    const back = readProjectFile(JSON.parse(text));
    expect(JSON.stringify(writeProjectFile('x', back.items))).toBe(text);
    expect(back.items.length).toBe(items.length);
  });
  const file = () =>
    JSON.parse(JSON.stringify(writeProjectFile('x', DEMONSTRATIONS[0]!.items()))) as {
      format: string;
      version: number;
      items: { id: string; kind: string; body: Record<string, unknown> }[];
    };
  it.each([
    ['another format', (f: ReturnType<typeof file>) => (f.format = 'other'), 'not a project file'],
    ['a later version', (f: ReturnType<typeof file>) => (f.version = 99), 'of version "99"'],
    ['two items of one id', (f: ReturnType<typeof file>) => f.items.push(f.items[0]!), 'two items have the id'],
    [
      'a reference to nothing',
      (f: ReturnType<typeof file>) => (f.items.find((i) => i.id === 'TG1')!.body['level'] = 'attic'),
      'refers to "attic"',
    ],
    [
      'a reference to another kind',
      (f: ReturnType<typeof file>) => (f.items.find((i) => i.id === 'TG1')!.body['level'] = 'TG2'),
      'a level is wanted here',
    ],
    [
      'a field that cannot be',
      (f: ReturnType<typeof file>) => (f.items.find((i) => i.id === 'TG1')!.body['ownWeight'] = 'heavy'),
      '("TG1")',
    ],
    ['no brief', (f: ReturnType<typeof file>) => (f.items = f.items.filter((i) => i.kind !== 'brief')), 'needs a brief'],
  ])('refuses %s', (_, spoil, message) => {
    const spoiled = file();
    spoil(spoiled);
    expect(() => readProjectFile(spoiled)).toThrow(message);
  });
  it('refuses what is no file at all', () => {
    for (const raw of [null, 3, 'x', [], {}]) expect(() => readProjectFile(raw)).toThrow('not a project file');
  });
});

describe('CSV', () => {
  it('quotes what needs quoting and disarms formulas', () => {
    expect(
      writeCsv([
        ['a,b', 'say "so"', 3],
        ['=1+1', '-x', -2],
      ]),
    ).toBe('"a,b","say ""so""",3\r\n"\'=1+1","\'-x",-2\r\n');
  });
  it.each(['=1+1', '+1', '@SUM(A1)', "-1+cmd|' /C calc'!A1", '-x', ' =1', '\t=1', '＝1', '-2-3', '-1.5 kN/m+1'])('disarms %j', (text) => {
    expect(Papa.parse<string[]>(writeCsv([[text]])).data[0]![0]![0]).toBe("'");
  });
  it.each(['-2', '-2.5', '-1,5', '-3.2 kN', '-4 kN/m2', 'B1', '3 - 2'])('leaves %j alone', (text) => {
    expect(Papa.parse<string[]>(writeCsv([[text]])).data[0]![0]).toBe(text);
  });
  it('lists every footing with its cases apart, every level, and every member', () => {
    const project = computeProject(DEMONSTRATIONS[0]!.items());
    const rows = Papa.parse<string[]>(reactionCsv(project, null).trim()).data;
    const head = rows[0]!;
    expect(head).toContain('permanent [kN]');
    expect(head.slice(-2)).toEqual(['pad [kN]', 'backfill [kN]']);
    const snow = head.findIndex((title) => title === 'snow [kN]');
    // 16.2 m x 9 m x 0.62 kN/m2, none of it lost on the way
    expect(rows.slice(1, -1).reduce((sum, row) => sum + Number(row[snow]), 0)).toBeCloseTo(16.2 * 9 * 0.62, 2);
    expect(Number(rows.at(-1)![snow])).toBeCloseTo(16.2 * 9 * 0.62, 2);
    expect(reactionCsv(project, 'loft')).not.toContain('pad [kN]');
    expect(memberSchedule(project).trim().split('\r\n').length).toBe(1 + project.designs.members().length);
    const order = orderCsv(project).trim().split('\r\n');
    expect(order.length).toBe(1 + project.takedown.members.size);
    expect(order.slice(1).map((row) => Number(row.split(',')[0]))).toEqual(order.slice(1).map((_, i) => i + 1));
  });
});
