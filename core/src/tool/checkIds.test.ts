import { describe, expect, it } from 'vitest';
import { computeProject } from '../design';
import { ebbwickSailLoft, quillfernToolLibrary } from '../exchange';
import { checkKey, type Check } from '../sheet';
import { runTool, TOOLS } from '.';

/** Every list of checks of the tools' examples and of the demonstration buildings, each with the family that it is of. */
function lists(): { readonly family: string; readonly of: string; readonly checks: readonly Check[] }[] {
  const tools = [...TOOLS.values()].map((tool) => ({
    family: tool.id.split('.')[0]!,
    of: tool.id,
    checks: runTool(tool, tool.example).checks,
  }));
  const buildings = [ebbwickSailLoft(), quillfernToolLibrary()].flatMap((items) => {
    const { building, designs } = computeProject(items);
    const { family } = building.brief;
    return [
      ...designs.members().flatMap(({ mark, results }) => results.map(({ checks }) => ({ family, of: mark, checks }))),
      ...designs.footings().map(({ mark, checks }) => ({ family, of: mark, checks })),
    ];
  });
  return [...tools, ...buildings].filter(({ checks }) => checks.length > 0);
}

describe('checks', () => {
  it('are told apart by id and part: each once in a list, and no two of them go by one name', () => {
    const all = lists();
    expect(all.length).toBeGreaterThan(60);
    for (const { of, checks } of all) {
      expect(new Set(checks.map(checkKey)).size, of).toBe(checks.length);
      expect(new Set(checks.map(({ name }) => name)).size, of).toBe(checks.length);
      for (const check of checks) expect(checkKey(check), check.name).toMatch(/^[a-z0-9-]+(\/[a-z0-9-]+)?$/);
    }
  });
  it('of a family keep one name for one id and part', () => {
    const names = new Map<string, string>();
    for (const { family, of, checks } of lists())
      for (const check of checks) {
        const key = `${family} ${checkKey(check)}`;
        expect(names.get(key) ?? check.name, of).toBe(check.name);
        names.set(key, check.name);
      }
    expect(names.size).toBeGreaterThan(40);
  });
  it('cite a document of their own family, and a number in it; what is no standard says what it is', () => {
    const own: Record<string, RegExp> = {
      european: /^EN 199\d(-\d-\d)?$/,
      american: /^(AISC|ACI|ASCE) /,
      // its pads are designed to EN 1992-1-1, and it says so
      british: /^(BS |EN 1992)/,
    };
    const documents = new Set<string>();
    for (const { family, of, checks } of lists())
      for (const { name, clause } of checks) {
        documents.add(clause.document);
        expect(clause.number, `${of}, ${name}`).not.toBe('');
        expect(clause.number, `${of}, ${name}`).not.toMatch(/^(EN|AISC|ACI|ASCE|BS) /);
        if (clause.document !== '') expect(clause.document, `${of}, ${name}`).toMatch(own[family]!);
      }
    expect([...documents].sort()).toEqual(['', 'ACI 318-19', 'AISC 360-16', 'BS 5950-1', 'EN 1992-1-1', 'EN 1993-1-1', 'EN 1993-1-5']);
  });
});
