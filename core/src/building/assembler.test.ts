import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BadInput } from '../error';
import { assemble, Assembler, defaultBrief, differenceOf, item, type Item } from '.';

const frame = [
  item('brief', 'brief', defaultBrief('Trial', 'european')),
  item('level', 'L1', { name: 'First', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
];
const beam = (id: string, x: number, more: object = {}) =>
  item('beam', id, {
    mark: id,
    level: 'L1',
    from: { x, y: 0 },
    to: { x, y: 5000 },
    ownWeight: 1,
    supportsFound: true,
    supports: [],
    ...more,
  });
const pad = (id: string, x: number) => item('footing', id, { mark: id, at: { x, y: 0 }, level: 'L0' });

describe('sorting items into a building', () => {
  it('keeps the very same maps of kinds on which nothing changed', () => {
    const assembler = new Assembler();
    const items = [...frame, beam('A', 0), beam('B', 1), pad('F', 0)];
    const first = assembler.assemble(items);
    const second = assembler.assemble(items.map((old) => (old.id === 'A' ? beam('A', 7) : old)));
    expect(second.footings).toBe(first.footings);
    expect(second.beams).not.toBe(first.beams);
    expect(first.beams.get('A')!.from.x).toBe(0);
    expect(second.beams.get('A')!.from.x).toBe(7);
    expect(differenceOf(first.beams, second.beams)).toEqual(['A']);
  });
  it('knows a difference only between a map and the one it was made from', () => {
    const assembler = new Assembler();
    const [a, b, c] = [1, 2, 3].map((x) => assembler.assemble([...frame, beam('A', x)]));
    expect(differenceOf(a!.beams, b!.beams)).toEqual(['A']);
    expect(differenceOf(b!.beams, c!.beams)).toEqual(['A']);
    expect(differenceOf(a!.beams, c!.beams)).toBeNull();
    expect(differenceOf(c!.beams, a!.beams)).toBeNull();
  });
  it('is as if a list that cannot be assembled had never come', () => {
    const assembler = new Assembler();
    const items = [...frame, beam('A', 0)];
    const first = assembler.assemble(items);
    expect(() => assembler.assemble([beam('A', 1)])).toThrow(BadInput);
    expect(assembler.assemble(items).beams).toBe(first.beams);
  });
  it('gives after any edits what it gives from nothing, in the same order', () => {
    const step = fc.record({
      at: fc.nat(11),
      kind: fc.constantFrom('change', 'gone', 'add', 'insert', 'away', 'back', 'turn'),
      x: fc.nat(99),
    });
    fc.assert(
      fc.property(fc.array(fc.array(step, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 12 }), (runs) => {
        let items: Item[] = [...frame, ...Array.from({ length: 6 }, (_, i) => beam(`B${i}`, i)), pad('F', 0)];
        let made = 0;
        const assembler = new Assembler();
        assembler.assemble(items);
        for (const steps of runs) {
          for (const { at, kind, x } of steps) {
            const place = frame.length + (at % Math.max(1, items.length - frame.length));
            const old = items[place];
            const next = items.slice();
            if (kind === 'add') next.push(beam(`N${made++}`, x));
            else if (kind === 'insert') next.splice(place, 0, x % 2 ? beam(`N${made++}`, x) : pad(`N${made++}`, x));
            else if (!old) continue;
            else if (kind === 'gone') next.splice(place, 1);
            else if (kind === 'turn') next[place] = pad(old.id, x);
            else next[place] = beam(old.id, x, kind === 'away' ? { status: 'removed' } : {});
            items = next;
          }
          const [kept, fresh] = [assembler.assemble(items), assemble(items)];
          for (const part of ['beams', 'footings'] as const) expect([...kept[part]]).toEqual([...fresh[part]]);
          expect(kept.removed).toEqual(fresh.removed);
        }
      }),
    );
  });
});
