import { assemble, ebbwickSailLoft, packLedgers, takeDown } from '@plinth/core';
import { describe, expect, it } from 'vitest';
import type { ComputedChange, Delta } from './engine.worker';
import { HeldResult } from './held';

const none: Delta<never> = { set: [], gone: [] };
const design = (mark: string, kind = 'beam') => ({ id: mark, kind, mark }) as never;

type Ledgers = ComputedChange['takedown']['members'];

function change(more: Partial<Omit<ComputedChange, 'takedown'>> & { order?: readonly string[]; ledgers?: Ledgers } = {}): ComputedChange {
  const { order, ledgers, ...rest } = more;
  return {
    takedown: {
      cases: [],
      looseEnds: [],
      balance: [],
      horizontal: [],
      plumb: [],
      order: order ?? null,
      members: ledgers ?? { packed: packLedgers([]), gone: [] },
      bearers: none,
      panels: none,
    },
    designs: none,
    assumptions: none,
    openAssumptions: 0,
    balance: [],
    looseEnds: [],
    pending: 0,
    restsElsewhere: [],
    ...rest,
  };
}

describe('what the screen holds of a result', () => {
  it('puts changes in when they are shown, and not before', () => {
    const held = new HeldResult();
    held.take(change({ designs: { set: [['B1', design('B1')]], gone: [] }, order: ['B1'], restsElsewhere: null }));
    const first = held.show();
    expect(first.restsElsewhere).toBeNull();
    expect(first.computed.designs.members().map(({ id }) => id)).toEqual(['B1']);
    held.take(change({ designs: { set: [['B2', design('B2')]], gone: ['B1'] }, order: ['B2'], pending: 3 }));
    expect(held.pending).toBe(3);
    expect(first.computed.designs.has('B1')).toBe(true);
    const second = held.show();
    expect(second.computed.designs.members().map(({ mark }) => mark)).toEqual(['B2']);
    expect(second.computed.takedown.order).toEqual(['B2']);
    expect(second.computed.designs).not.toBe(first.computed.designs);
  });
  it('leaves what did not change the very same, and the order as it was', () => {
    const held = new HeldResult();
    held.take(change({ designs: { set: [['B1', design('B1')]], gone: [] }, order: ['B1'] }));
    const first = held.show();
    held.take(change());
    expect(held.show().computed.designs).toBe(first.computed.designs);
    held.take(change({ designs: { set: [['F1', design('F1', 'footing')]], gone: [] } }));
    const second = held.show();
    expect(second.computed.designs.member('B1')).toBe(first.computed.designs.member('B1'));
    expect(second.computed.takedown.order).toBe(first.computed.takedown.order);
    expect(second.computed.designs.footings().length).toBe(1);
  });
  it('names every member whose supports may be others since it was shown last', () => {
    const held = new HeldResult();
    held.take(change());
    held.show();
    held.take(change({ restsElsewhere: ['B1'] }));
    held.take(change({ restsElsewhere: ['B2'] }));
    expect([...held.show().restsElsewhere!]).toEqual(['B1', 'B2']);
    held.take(change({ restsElsewhere: null }));
    held.take(change({ restsElsewhere: ['B2'] }));
    expect(held.show().restsElsewhere).toBeNull();
    expect([...held.show().restsElsewhere!]).toEqual([]);
  });
  it('makes a ledger when somebody asks for it, once, and another only when another comes', () => {
    const [one, two] = [...takeDown(assemble(ebbwickSailLoft()), () => []).members.values()];
    const held = new HeldResult();
    held.take(change({ ledgers: { packed: packLedgers([one!, two!]), gone: [] } }));
    const first = held.show().computed.takedown.members;
    const shown = first.get(one!.id)!;
    expect(shown.sum).toEqual(one!.sum);
    held.take(change({ ledgers: { packed: packLedgers([two!]), gone: [] } }));
    const second = held.show().computed.takedown.members;
    expect(second).not.toBe(first);
    expect(second.get(one!.id)).toBe(shown);
    held.take(change({ ledgers: { packed: packLedgers([]), gone: [one!.id] } }));
    expect([...held.show().computed.takedown.members.keys()]).toEqual([two!.id]);
  });
});
