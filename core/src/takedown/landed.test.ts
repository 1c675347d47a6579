import { describe, expect, it } from 'vitest';
import { assemble } from '../building';
import { ebbwickSailLoft, tallowOf, tallowWharf } from '../exchange';

import { packLedgers, shapeForce, takeDown, unpackLedger, type MemberLedger } from '.';

const takedowns = { Ebbwick: ebbwickSailLoft(), 'a block': tallowWharf(tallowOf(300)) };

/** All that can be read of a ledger. */
const read = (ledger: MemberLedger) => ({
  id: ledger.id,
  kind: ledger.kind,
  mark: ledger.mark,
  inLoop: ledger.inLoop,
  transfer: ledger.transfer,
  sum: ledger.sum,
  adverse: ledger.adverse,
  arrivals: ledger.arrivals.map(({ id, label, source, shape, byCase, adverse }) => ({ id, label, source, shape, byCase, adverse })),
  leaves: ledger.leaves.map(({ to, at, byCase, adverse, shares, holdsDown }) => ({ to, at, byCase, adverse, shares, holdsDown })),
});

describe.each(Object.entries(takedowns))('ledgers of %s', (_, items) => {
  const { members } = takeDown(assemble(items), () => []);

  it('come out of a message as they went in', () => {
    expect(members.size).toBeGreaterThan(20);
    const all = [...members.values()];
    const packed = structuredClone(packLedgers(all));
    all.forEach((ledger, i) => expect(read(unpackLedger(packed, i))).toEqual(read(ledger)));
  });
  it('name every arrival differently', () => {
    const ids = [...members.values()].flatMap(({ arrivals }) => arrivals.map(({ id }) => id));
    expect(new Set(ids).size).toBe(ids.length);
  });
  it('have for a sum what arrives, and share it out whole', () => {
    for (const { arrivals, sum, leaves, id } of members.values()) {
      const total: Record<string, number> = {};
      for (const { byCase, shape } of arrivals)
        for (const [key, value] of Object.entries(byCase)) total[key] = (total[key] ?? 0) + value * shapeForce(shape);
      expect(Object.keys(sum).sort()).toEqual(Object.keys(total).sort());
      for (const [key, value] of Object.entries(total)) expect(sum[key], `${id} ${key}`).toBeCloseTo(value, 3);
      if (leaves.length === 0) continue;
      arrivals.forEach(({ shape, label }, i) => {
        const shared = leaves.reduce((share, { shares }) => share + shares[i]!, 0);
        expect(shared, `${id} ${label}`).toBeCloseTo(shapeForce(shape), 3);
      });
    }
  });
});
