import { describe, expect, it } from 'vitest';
import { ebbwickSailLoft, tallowWharf } from '../exchange';
import { assemble } from '../building';
import { heaviestOnGround, onlyMembers, pathOf, takeDown } from '.';

describe('the path of a load', () => {
  const takedown = takeDown(assemble(ebbwickSailLoft()), () => []);
  it('runs down to the ground, through a transfer girder and both its columns', () => {
    const path = pathOf(takedown, 'P3');
    for (const id of ['P3', 'TG1', 'C-A1', 'C-C1', 'F-A1', 'F-C1', 'T2']) expect(path.has(id)).toBe(true);
    expect(path.has('TG2')).toBe(false);
  });
  it('of a hanger goes up before it comes down', () => {
    const path = pathOf(takedown, 'R1');
    for (const id of ['GB1', 'T3', 'P5', 'C-C1', 'F-C1']) expect(path.has(id)).toBe(true);
  });
  it('is cut off above at a limit, never beneath', () => {
    const path = pathOf(takedown, 'F-C1', 3);
    expect(path.size).toBe(4);
    expect([...pathOf(takedown, 'T1', 0)]).toEqual(expect.arrayContaining(['T1', 'P1', 'P2', 'C-A1', 'F-A1']));
  });
  it('alone keeps the order and the ledgers', () => {
    const only = onlyMembers(takedown, pathOf(takedown, 'P3'));
    expect(only.order).toEqual(takedown.order.filter((id) => only.members.has(id)));
    expect(only.members.get('TG1')).toBe(takedown.members.get('TG1'));
  });
  it('finds the most loaded of what stands on the ground', () => {
    expect(heaviestOnGround(takedown)).toBe('F-C1');
    expect(heaviestOnGround({ members: new Map() })).toBeNull();
  });
});

describe('the generated block', () => {
  it.each([[{ baysX: 2, baysY: 2, storeys: 3, irregularity: 0 }], [{ baysX: 4, baysY: 3, storeys: 8, irregularity: 1 }]])(
    '%o stands: no loose end, every case closed',
    (size) => {
      const takedown = takeDown(assemble(tallowWharf(size)), () => []);
      expect(takedown.looseEnds.map((end) => end.title)).toEqual([]);
      for (const line of takedown.balance) {
        expect(Math.abs(line.gap.force)).toBeLessThan(1e-9 * line.applied.force);
        expect(line.delivered.force).toBeCloseTo(line.applied.force, 1);
      }
    },
  );
  it('is the same each time', () => {
    const size = { baysX: 3, baysY: 2, storeys: 4, irregularity: 0.7 };
    expect(tallowWharf(size)).toEqual(tallowWharf(size));
  });
  it('regular, its floors are their area, by hand: 15 m by 18 m, two floors of office less none', () => {
    const takedown = takeDown(assemble(tallowWharf({ baysX: 2, baysY: 2, storeys: 4, irregularity: 0 })), () => []);
    const load = (id: string) => takedown.balance.find((line) => line.loadCase.id === id)!.delivered.force / 1000;
    expect(load('imposed-B')).toBeCloseTo(2 * 270 * 3.3, 3);
    expect(load('imposed-D')).toBeCloseTo(270 * 4, 3);
    expect(load('snow')).toBeCloseTo(270 * 0.6, 3);
  });
});
