import { expect, it, vi } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import { computeProject, sheetFor, waysOf } from '../design';
import { ebbwickSailLoft } from '../exchange';
import { COMBINATION_RULES, FAMILIES, profileOf, type Family } from '../family';
import { audit } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { runTool, TOOLS } from '../tool';
import { STANDARDS } from '.';
import { createFamily } from './createFamily';

// a family is added by a line in each of the two lists, and by nothing else
vi.mock('../family/list', async (original) => {
  const { PROFILES } = await original<{ PROFILES: object }>();
  const { TRIAL_PROFILE } = await import('./trialFamily.test.data');
  return { PROFILES: { ...PROFILES, trial: TRIAL_PROFILE } };
});
vi.mock('./list', async (original) => {
  const { STANDARDS } = await original<{ STANDARDS: object }>();
  const { TRIAL_ANNEX } = await import('./trialFamily.test.data');
  const { createEuropean } = await import('./european');
  return { STANDARDS: { ...STANDARDS, trial: createEuropean('trial' as Family, TRIAL_ANNEX) } };
});

const TRIAL = 'trial' as Family;
/** Clauses, editions and grades of the families that are there. */
const OF_OTHERS = /BS \d|AISC|ASCE|ACI|\bUK\b|\bNA\.|recommended|British|American|S355|S275(?!H)|A992|A36|B500B.*Grade/;

/** The one formula that every family takes from the same commentary, and cites. */
const BORROWED = 'AISC 360-16 commentary (C-F1-5)';

/** The demonstration building by the trial family: its own steel, concrete and rule. */
function loft(): Item[] {
  return ebbwickSailLoft().map((one) => {
    if (one.kind === 'brief') {
      const { name, ...rest } = defaultBrief('Sail loft', TRIAL);
      return item('brief', 'brief', { ...rest, name, bearingSource: 'assumed' });
    }
    return 'grade' in one.body && one.body.grade ? ({ ...one, body: { ...one.body, grade: null } } as Item) : one;
  });
}

it('is offered wherever families are', () => {
  expect(FAMILIES).toContain(TRIAL);
  expect(COMBINATION_RULES).toContain('6.10');
  expect(profileOf(TRIAL).title).toBe('Trial code');
  expect(STANDARDS[TRIAL].title).toBe('Trial code');
});

it('a project by it is taken down, designed and has sheets that close; nothing of another family stands on them', () => {
  const project = computeProject(loft());
  const sheets = [...project.takedown.members.keys()].flatMap((id) => sheetFor(project, id) ?? []);
  expect(sheets.length).toBeGreaterThan(40);
  const texts = sheets.map(({ entries }) => JSON.stringify(entries));
  for (const { entries } of sheets) expect(audit(entries, evaluate)).toEqual([]);
  expect(texts.flatMap((text) => text.replaceAll(BORROWED, '').match(OF_OTHERS)?.[0] ?? [])).toEqual([]);
  // and what it says itself does: partial factors of its annex, its grade
  for (const own of ['trial annex 2', 'trial annex 6', 'S235', '1.57'])
    expect(
      texts.some((text) => text.includes(own)),
      own,
    ).toBe(true);
  const carried = project.designs.members().flatMap(({ results }) => results.flatMap(({ checks }) => checks));
  expect(carried.some(({ verdict }) => verdict !== 'unproven')).toBe(true);
  expect(waysOf(project.building, project.designs.members().map(({ id }) => id)[0]!).length).toBeGreaterThan(3);
});

it('its calculations run on examples of its own', () => {
  const own = [...TOOLS.values()].filter(({ id }) => id.startsWith('trial.'));
  expect(own.map(({ id }) => id.replace('trial.', 'european.')).sort()).toEqual(
    [...TOOLS.keys()].filter((id) => id.startsWith('european.')).sort(),
  );
  for (const tool of own) {
    const reply = runTool(tool, tool.example);
    expect(JSON.stringify([tool.title, tool.example, reply]).match(OF_OTHERS), tool.id).toBeNull();
    for (const check of reply.checks) expect(check.verdict, `${tool.id}, ${check.name}`).not.toBe('unproven');
  }
});

it('what a family does not have is not verified, by the same words everywhere, and stands among what is not covered', () => {
  const bare = createFamily(TRIAL, { editions: [], loads: STANDARDS[TRIAL].loads, notCovered: [] });
  expect(bare.notCovered).toEqual(['strength of steel', 'strength of concrete']);
  const [philosophy] = bare.loads.philosophies as [(typeof bare.loads.philosophies)[number]];
  const { steel, concrete } = bare;
  const open = [
    ...[steel.beam, steel.column, steel.member, steel.webForce].flatMap((check) => check({} as never, philosophy)),
    ...concrete.pad({} as never).checks,
  ];
  for (const { verdict, utilisation, reason } of open) {
    expect(verdict).toBe('unproven');
    expect(utilisation ?? null).toBeNull();
    expect(reason).toMatch(/^Trial code: strength of (steel|concrete) is not written here$/);
  }
});
