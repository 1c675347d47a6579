import { describe, expect, it } from 'vitest';
import type { Item } from '../building';
import { ebbwickSailLoft } from '../exchange';
import { findSection } from '../section';
import { computeProject, contextOf, lightest, trySections } from '.';
import { sizeUnsized, type SizedBuilding, type SizingStep } from './sizeAll';

function run(items: readonly Item[]): { sized: SizedBuilding; steps: SizingStep[] } {
  const steps: SizingStep[] = [];
  const work = sizeUnsized(items);
  for (;;) {
    const next = work.next();
    if (next.done) return { sized: next.value, steps };
    steps.push(next.value);
  }
}

const without = (...ids: string[]) =>
  ebbwickSailLoft().map((entry) => (ids.includes(entry.id) ? ({ ...entry, body: { ...entry.body, section: null } } as Item) : entry));

describe('sizing all that has no section', () => {
  it('finds what carries with its own weight, from the top down, and leaves what was chosen alone', { timeout: 120_000 }, () => {
    const items = without('WB2', 'B6', 'P3');
    const { sized, steps } = run(items);
    expect(sized.members.map(({ mark }) => mark).sort()).toEqual(['B6', 'P3', 'WB2']);
    expect(sized.looseEnds).toEqual([]);
    // the post stands over a storey, and the walkway beam WB1 lands on B6: from the top down
    const order = steps.filter(({ pass }) => pass === 1).map(({ mark }) => mark);
    expect(order).toEqual(['P3', 'WB2', 'B6']);
    const section = new Map(sized.members.map((member) => [member.id, member.section]));
    const done = items.map((entry) =>
      section.has(entry.id) ? ({ ...entry, body: { ...entry.body, section: section.get(entry.id) } } as Item) : entry,
    );
    const result = computeProject(done);
    for (const { id, section: chosen } of sized.members) {
      const design = result.designs.member(id)!;
      expect(design.section).toBe(chosen);
      const proved = design.results[0]!.checks.filter((check) => check.utilisation !== null);
      expect(Math.max(...proved.map((check) => check.utilisation!))).toBeLessThanOrEqual(1);
    }
    // everything else is as it was
    expect(result.designs.member('TG1')!.section).toBe('UB 610x229x101');
  });
  it('is done at once where nothing is open, and says so where nothing carries', { timeout: 120_000 }, () => {
    expect(run(ebbwickSailLoft()).sized).toEqual({ members: [], passes: 0, looseEnds: [] });
    const heavy = without('HB1').map((entry) =>
      entry.id === 'hoist-lift' ? ({ ...entry, body: { ...entry.body, force: 60_000_000 } } as Item) : entry,
    );
    expect(run(heavy).sized.members).toEqual([{ id: 'HB1', mark: 'HB1', section: null }]);
  });
  it('leaves existing members of unknown section to whoever opens them up', () => {
    const items = without('B6').map((entry) =>
      entry.id === 'B6' ? ({ ...entry, body: { ...entry.body, status: 'existing' } } as Item) : entry,
    );
    expect(run(items).sized.members).toEqual([]);
    expect(computeProject(items).designs.member('B6')!.verdict).toBe('unproven');
  });
  it('comes to rest with each section the one that would be chosen for it alone, or heavier', { timeout: 120_000 }, () => {
    const open = ['OB1', 'B2', 'B3'];
    const items = without(...open);
    const { sized } = run(items);
    expect(sized.looseEnds).toEqual([]);
    const section = new Map(sized.members.map((member) => [member.id, member.section!]));
    expect([...section.keys()].sort()).toEqual([...open].sort());
    const done = items.map((entry) =>
      section.has(entry.id) ? ({ ...entry, body: { ...entry.body, section: section.get(entry.id) } } as Item) : entry,
    );
    const { building, takedown } = computeProject(done);
    for (const id of open) {
      const alone = lightest(trySections(contextOf(building, takedown), id))!;
      expect(findSection(section.get(id)!).mass).toBeGreaterThanOrEqual(alone.mass);
      // nothing pushed it up in this building: it is the very one
      expect(section.get(id)).toBe(alone.designation);
    }
  });
});
