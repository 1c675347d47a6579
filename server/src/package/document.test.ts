import { describe, expect, it } from 'vitest';
import {
  allAssumptions,
  clauseText,
  computeProject,
  DEMONSTRATIONS,
  formatQuantity,
  reactionsOf,
  unitLabel,
  type Item,
} from '@plinth/core';
import { stacks } from '../store/commands';
import { CAUTION, packageDocument } from './document';

/** Every text of a document, in order; drawings by their titles. */
function textsOf(content: unknown): string[] {
  if (typeof content === 'string') return [content];
  if (Array.isArray(content)) return content.flatMap(textsOf);
  if (content && typeof content === 'object') {
    const node = content as Record<string, unknown>;
    if (typeof node['svg'] === 'string') return [/<title>(.*?)<\/title>/.exec(node['svg'])?.[1] ?? ''];
    return ['text', 'stack', 'columns', 'table', 'body', 'content'].flatMap((key) => (key in node ? textsOf(node[key]) : []));
  }
  return [];
}

describe.each(DEMONSTRATIONS.map((demo) => [demo.id, demo] as const))('the package of %s', (_, demo) => {
  const items: Item[] = demo.items();
  const project = computeProject(items);
  const text = textsOf(packageDocument(project, { paper: 'A4', version: 7 }).content).join('\n');
  it('opens with the caution, the codes and the journal entry it was made from', () => {
    expect(text).toContain(CAUTION);
    expect(text).toContain('journal entry 7');
    expect(text).toContain(project.building.brief.family === 'european' ? 'EN 1993-1-1:2005' : 'AISC 360-16');
  });
  it('has a page for every member and footing, with every check and its clause', () => {
    for (const design of [...project.designs.members(), ...project.designs.footings()]) {
      expect(text).toContain(design.mark);
      const checks = 'results' in design ? design.results.flatMap((result) => result.checks) : design.checks;
      for (const check of checks) {
        expect(text).toContain(check.name);
        expect(text).toContain(clauseText(check.clause));
        if (check.utilisation !== null) expect(text).toContain(check.utilisation.toFixed(2));
      }
    }
  });
  it('lists every assumption, open ones apart from those confirmed, and every loose end', () => {
    const [open, confirmed] = text.split('Assumptions confirmed');
    for (const assumption of allAssumptions(project.assumptions)) expect(assumption.answer ? confirmed : open).toContain(assumption.text);
    for (const end of project.looseEnds) expect(text).toContain(end.title);
  });
  it('schedules what reaches the ground and what goes through each level, with their sums', () => {
    const { units } = project.building.brief;
    const ground = reactionsOf(project, null);
    const levels = project.building.levels
      .map(({ id }) => reactionsOf(project, id))
      .filter(({ rows }) => rows.some(({ kind }) => !kind.endsWith('ooting')));
    const fits = levels.reduce((sum, { rows }) => sum + rows.length, 0) <= 600;
    if (!fits) expect(text).toContain('Reactions of levels');
    for (const { title, level, rows, sum } of fits ? [ground, ...levels] : [ground]) {
      expect(text).toContain(level === null ? 'Reactions at the ground' : `Reactions through ${title}`);
      for (const { mark } of rows) expect(text).toContain(mark);
      for (const value of Object.values(sum)) expect(text).toContain(formatQuantity(value, 'force', units, { bare: true }));
    }
  });
  it('prints the balance in force, and in moment about both axes of the plan', () => {
    const { units } = project.building.brief;
    expect(text).toContain(`moment, ${unitLabel('moment', units)}`);
    for (const { applied } of project.balance) {
      expect(text).toContain(formatQuantity(applied.force, 'force', units, { bare: true }));
      for (const axis of ['aboutX', 'aboutY'] as const)
        expect(text).toContain(formatQuantity(applied[axis], 'moment', units, { bare: true }));
    }
  });
  it('prints what was measured and noted on the plans', () => {
    for (const { body } of project.building.measurements) expect(text).toContain(body.name);
    for (const { body } of project.building.notes) expect(text).toContain(body.text);
    expect(text.includes('Notes on the plans')).toBe(project.building.notes.length > 0);
  });
  it('prints no number that is none', () => expect(text).not.toMatch(/NaN|undefined|Infinity/));
});

describe('what can be undone and redone', () => {
  const entry = (version: number, mode: 'do' | 'undo' | 'redo', target: number | null = null) => ({ version, mode, target });
  it.each([
    ['nothing was done', [], { undo: [], redo: [] }],
    ['two commands', [entry(1, 'do'), entry(2, 'do')], { undo: [1, 2], redo: [] }],
    ['one taken back', [entry(1, 'do'), entry(2, 'do'), entry(3, 'undo', 2)], { undo: [1], redo: [2] }],
    ['taken back and brought back', [entry(1, 'do'), entry(2, 'undo', 1), entry(3, 'redo', 1)], { undo: [1], redo: [] }],
    ['a new command forgets', [entry(1, 'do'), entry(2, 'undo', 1), entry(3, 'do')], { undo: [3], redo: [] }],
    ['both taken back', [entry(1, 'do'), entry(2, 'do'), entry(3, 'undo', 2), entry(4, 'undo', 1)], { undo: [], redo: [2, 1] }],
  ])('%s', (_, entries, expected) => expect(stacks(entries)).toEqual(expected));
});
