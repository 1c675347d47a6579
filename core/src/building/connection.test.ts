import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { broughtConnections, connectionKey, contactsOf, saidOf, splitConnections, togetherConnections, withSaid } from './connection';
import { newBeamConnection } from './schema/connection';

const keys = (places: readonly (readonly [by: string, at: number])[], length: number) => {
  const list = places.map(([by, at]) => ({ by, at }));
  return contactsOf(list, length).map((contact, i) => connectionKey('B', list[i]!.by, contact));
};

describe('the name of a connection', () => {
  it('says what it joins, and where on the member', () => {
    expect(
      keys(
        [
          ['C1', 0],
          ['W', 2000],
          ['W', 4000],
          ['C2', 6000],
        ],
        6000,
      ),
    ).toEqual(['B>C1:start', 'B>W:along', 'B>W:along2', 'B>C2:end']);
    // drawn short of the axis, or past it on its bearing
    expect(
      keys(
        [
          ['C1', 150],
          ['C2', 5900],
        ],
        6000,
      ),
    ).toEqual(['B>C1:start', 'B>C2:end']);
    // one wall under all of it
    expect(
      keys(
        [
          ['W', 0],
          ['W', 3000],
        ],
        3000,
      ),
    ).toEqual(['B>W:start', 'B>W:end']);
    // so short that both ends are near
    expect(
      keys(
        [
          ['C1', 100],
          ['C2', 300],
        ],
        400,
      ),
    ).toEqual(['B>C1:start', 'B>C2:end']);
  });
  it('stays the same whatever else the member comes to rest on, and when it is drawn anew by less than a bearing', () => {
    const place = fc.tuple(fc.constantFrom('A', 'B', 'C'), fc.integer({ min: 400, max: 5600 }));
    fc.assert(
      fc.property(
        fc.array(place, { maxLength: 6 }),
        fc.integer({ min: 400, max: 5600 }),
        fc.integer({ min: -90, max: 90 }),
        (places, at, shift) => {
          const sorted = [...places].sort((a, b) => a[1] - b[1]);
          const before = keys([['S', 100], ...sorted, ['E', 5900]], 6000);
          const more = [...sorted, ['new', at] as const].sort((a, b) => a[1] - b[1]);
          const after = keys([['S', 100 + shift], ...more, ['E', 5900 + shift]], 6000);
          expect(after.filter((key) => key !== 'B>new:along')).toEqual(before);
          expect(new Set(after).size).toBe(after.length);
        },
      ),
    );
  });
});

describe('what is said of connections', () => {
  const said = [
    newBeamConnection({ to: 'C1', end: 'start', fixed: true }),
    newBeamConnection({ to: 'W', end: 'along', contact: 2, joint: 'J3' }),
  ];
  it('is changed where it is, added where nothing was said, and gone when nothing is left', () => {
    expect(withSaid(said, 'C1', { end: 'start', contact: 1 }, { fixed: false })).toEqual([said[1]]);
    expect(withSaid(said, 'C1', { end: 'start', contact: 1 }, { joint: 'J1' })[0]).toMatchObject({ fixed: true, joint: 'J1' });
    const more = withSaid(said, 'C2', { end: 'end', contact: 1 }, { settlement: 5 });
    expect(more).toHaveLength(3);
    expect(saidOf(more, 'C2', { end: 'end', contact: 1 })).toMatchObject({ settlement: 5, fixed: false });
    expect(saidOf(more, 'W', { end: 'along', contact: 1 })).toBeUndefined();
  });
  it('goes with the pieces of what is split, and the whole of what is joined', () => {
    const list = [...said, newBeamConnection({ to: 'C2', end: 'end', holdsDown: true })];
    const [first, second] = splitConnections(list);
    expect([first.map(({ to }) => to), second.map(({ to }) => to)]).toEqual([
      ['C1', 'W'],
      ['W', 'C2'],
    ]);
    const ends = (of: ReturnType<typeof broughtConnections>) => of.map(({ to, end }) => `${to} ${end}`);
    expect(ends(broughtConnections(list, { atStart: true, atEnd: false, turned: false }))).toEqual(['C1 start', 'W along', 'C2 along']);
    // it runs the other way, and its start is where the whole ends
    expect(ends(broughtConnections(list, { atStart: true, atEnd: false, turned: true }))).toEqual(['C1 end', 'W along', 'C2 along']);
    expect(togetherConnections(list, list)).toEqual(list);
  });
});
