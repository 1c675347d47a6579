import { describe, expect, it } from 'vitest';
import { assemble } from '../building';
import { ebbwickSailLoft, tallowOf, tallowWharf } from '../exchange';
import { addInto, takeDown } from '../takedown';
import { gather, gatheredRiver } from './gathered';

describe('the gathered river', () => {
  const building = assemble(tallowWharf({ baysX: 3, baysY: 3, storeys: 6, irregularity: 0.4 }));
  const takedown = takeDown(building, () => []);
  const groups = gather({ building, takedown });
  it('holds every member once, and opens at the one that carries most', () => {
    expect(groups.flatMap(({ members }) => members).sort()).toEqual([...takedown.members.keys()].sort());
    for (const { heaviest, members } of groups) expect(members).toContain(heaviest);
  });
  it('passes on between its groups all that the balance delivers', () => {
    const ground: Record<string, number> = {};
    for (const { flows } of groups) addInto(ground, flows.get('ground') ?? {});
    for (const line of takedown.balance) expect(ground[line.loadCase.id] ?? 0).toBeCloseTo(line.delivered.force, 2);
  });
  it('lets each storey of columns bear what the cut below its level bears', () => {
    const cuts = new Map(takedown.plumb.map((cut) => [cut.level, cut.byCase]));
    for (const group of groups.filter(({ role }) => role === 'columns'))
      for (const id in group.sum) expect(group.sum[id]).toBeCloseTo(cuts.get(group.level)![id]!, 2);
  });
  it('is a picture with few marks, however many members there are', () => {
    const input = { selected: null, factor: () => 1, width: 800, height: 600 };
    const large = assemble(tallowWharf(tallowOf(4000)));
    const few = gatheredRiver({ ...input, building, takedown }).marks.length;
    const many = gatheredRiver({ ...input, building: large, takedown: takeDown(large, () => []) }).marks.length;
    expect(many).toBeLessThan((few * large.levels.length) / building.levels.length + 100);
  });
  it('names what lands nowhere', () => {
    const items = ebbwickSailLoft().filter((entry) => entry.id !== 'F-C1' && entry.id !== 'C-C1');
    const cut = assemble(items);
    const texts = gatheredRiver({
      building: cut,
      takedown: takeDown(cut, () => []),
      selected: null,
      factor: () => 1,
      width: 800,
      height: 600,
    }).marks.flatMap((mark) => (mark.type === 'text' ? [mark.text] : []));
    expect(texts.some((text) => text.includes('lands nowhere'))).toBe(true);
  });
});
