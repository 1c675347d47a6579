import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Route, Stop } from './route';

class Member extends Stop<Member> {}

interface Told {
  readonly mark: string;
  readonly elevation: number;
  readonly targets: readonly string[];
}

/** A route over members that are told by name. */
class Trial {
  readonly route = new Route<Member>();
  private readonly members = new Map<string, Member>();

  constructor(private told: Record<string, Told>) {
    this.anew(told);
  }

  anew(told: Record<string, Told>): void {
    this.told = told;
    this.route.rebuild(
      Object.keys(told).map((id) => this.member(id)),
      this.ask,
    );
  }

  private readonly ask = ({ id }: Member) => {
    const { mark, elevation, targets } = this.told[id]!;
    return { mark, elevation, targets: targets.map((to) => this.member(to)) };
  };

  private member(id: string): Member {
    let member = this.members.get(id);
    if (!member) this.members.set(id, (member = new Member(id)));
    return member;
  }

  /** @returns names of those that were touched, or null */
  update(told: Record<string, Told>, changed: readonly string[], gone: readonly string[] = []): string[] | null {
    this.told = told;
    const away = gone.map((id) => this.member(id));
    for (const id of gone) this.members.delete(id);
    const touched = this.route.update(
      changed.map((id) => this.member(id)),
      away,
      this.ask,
    );
    return touched && [...touched].map(({ id }) => id);
  }

  get order(): string[] {
    return this.route.order.map(({ id }) => id);
  }

  givers(id: string): string[] {
    return this.member(id).givers.map((giver) => giver.id);
  }
}

const stop = (elevation: number, ...targets: string[]): Told => ({ mark: '', elevation, targets });
const named = (stops: Record<string, Told>): Record<string, Told> =>
  Object.fromEntries(Object.entries(stops).map(([id, entry]) => [id, { ...entry, mark: id }]));

describe('the order of calculation', () => {
  it('finishes a storey before the next, and within it those that others wait for first, by mark', () => {
    const route = new Trial(
      named({ B10: stop(3, 'T1'), B2: stop(3, 'C1'), T1: stop(3, 'C1'), C1: stop(3, 'F1'), R1: stop(6, 'B2'), F1: stop(0) }),
    );
    expect(route.order).toEqual(['R1', 'B2', 'B10', 'T1', 'C1', 'F1']);
    expect(route.givers('C1')).toEqual(['B2', 'T1']);
  });
  it('lets what hangs be calculated before what it hangs from, though that is higher', () => {
    const route = new Trial(named({ G1: stop(3, 'R1'), R1: stop(3, 'T1'), T1: stop(6, 'C1'), C1: stop(6), X1: stop(6) }));
    expect(route.order.indexOf('R1')).toBeLessThan(route.order.indexOf('T1'));
    expect(route.order[0]).toBe('X1');
  });
  it('names rings, and calculates all others', () => {
    const route = new Trial(named({ A: stop(3, 'B'), B: stop(3, 'A', 'C'), C: stop(3), D: stop(6, 'A') }));
    expect(route.route.loops).toEqual([['A', 'B']]);
    expect([...route.order].sort()).toEqual(['A', 'B', 'C', 'D']);
    expect(route.update(named({ A: stop(3), B: stop(3), C: stop(3), D: stop(6) }), ['D'])).toBeNull();
  });
  it('made anew after a ring was opened is what it is without one', () => {
    const ring = named({ A: stop(3, 'B'), B: stop(3, 'A', 'C'), C: stop(3), D: stop(6, 'A', 'C') });
    const open = named({ A: stop(3, 'B'), B: stop(3, 'C'), C: stop(3), D: stop(6, 'A', 'C') });
    const route = new Trial(ring);
    expect(route.givers('A')).toEqual(['D', 'B']);
    route.anew(open);
    const fresh = new Trial(open);
    expect(route.route.loops).toEqual([]);
    expect(route.order).toEqual(['D', 'A', 'B', 'C']);
    expect(route.order).toEqual(fresh.order);
    for (const id of route.order) expect(route.givers(id)).toEqual(fresh.givers(id));
    route.anew(ring);
    expect(route.route.loops).toEqual([['A', 'B']]);
    expect(route.givers('C')).toEqual(new Trial(ring).givers('C'));
  });
  it('kept up to any changes is what it would be made anew', () => {
    const number = fc.integer({ min: 0, max: 999 });
    fc.assert(
      fc.property(fc.array(fc.tuple(number, number, number, number), { minLength: 1, maxLength: 25 }), (edits) => {
        // members 0 to 19; each may hand to two with a greater number, so that there is no ring
        const make = (i: number, seed: number, shift: number): Told => ({
          mark: `${'ABC'[seed % 3]}${(i * 7 + shift) % 20}`,
          elevation: 6 - Math.floor((i + (shift % 3)) / 5),
          targets: [i + 1 + (seed % 4), i + 2 + (seed % 7)]
            .filter((to, n, list) => to < 20 && list.indexOf(to) === n)
            .map((to) => `m${to}`),
        });
        const stops: Record<string, Told> = {};
        for (let i = 0; i < 20; i += 1) stops[`m${i}`] = make(i, i * 31, 0);
        const route = new Trial(stops);
        const without = new Set<string>();
        for (const [which, seed, shift, remove] of edits) {
          const id = `m${which % 20}`;
          if (remove < 150 && !without.has(id) && without.size < 10) {
            without.add(id);
            const givers = Object.keys(stops).filter((other) => stops[other]!.targets.includes(id));
            delete stops[id];
            for (const giver of givers) stops[giver] = { ...stops[giver]!, targets: stops[giver]!.targets.filter((to) => to !== id) };
            expect(route.update(stops, givers, [id])).not.toBeNull();
          } else {
            without.delete(id);
            const entry = make(which % 20, seed, shift);
            stops[id] = { ...entry, targets: entry.targets.filter((to) => !without.has(to)) };
            expect(route.update(stops, [id])).not.toBeNull();
          }
          const anew = new Trial(stops);
          expect(route.order).toEqual(anew.order);
          for (const id of anew.order) expect(route.givers(id)).toEqual(anew.givers(id));
        }
      }),
    );
  });
  it('gives up where a change would close a ring', () => {
    const stops = named({ A: stop(3, 'B'), B: stop(3, 'C'), C: stop(3) });
    const route = new Trial(stops);
    expect(route.update({ ...stops, C: { mark: 'C', elevation: 3, targets: ['A'] } }, ['C'])).toBeNull();
  });
});
