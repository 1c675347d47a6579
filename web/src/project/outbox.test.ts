import { describe, expect, it } from 'vitest';
import { item } from '@plinth/core';
import { Outbox, type Unsent } from './outbox';

class Shelf {
  readonly kept = new Map<string, string>();
  full = false;
  get length() {
    return this.kept.size;
  }
  key(n: number) {
    return [...this.kept.keys()][n] ?? null;
  }
  getItem(key: string) {
    return this.kept.get(key) ?? null;
  }
  setItem(key: string, value: string) {
    if (this.full) throw new Error('full');
    this.kept.set(key, value);
  }
  removeItem(key: string) {
    this.kept.delete(key);
  }
}

const level = (name: string) => item('level', 'L1', { name, elevation: 3000 });
const command = (commandId: string, seen: number | null): Unsent => ({
  commandId,
  who: 'Ada',
  summary: commandId,
  reason: '',
  edits: [{ put: level(commandId) }],
  seen: { L1: seen },
});

describe('commands that wait for the server', () => {
  it('outlive the page, in the order in which they were made, each project for itself', () => {
    const shelf = new Shelf();
    const box = new Outbox('shed', shelf, 9);
    for (const id of ['first', 'second', 'third']) box.add(command(id, 1));
    new Outbox('barn', shelf, 3).add(command('other', 1));
    expect(new Outbox('shed', shelf).commands.map(({ commandId }) => commandId)).toEqual(['first', 'second', 'third']);
    expect(new Outbox('shed', shelf).commands[0]).toEqual(command('first', 1));
    // what comes after a reload goes behind
    const again = new Outbox('shed', shelf, 10_000_000);
    again.add(command('fourth', 1));
    expect(new Outbox('shed', shelf).commands.at(-1)!.commandId).toBe('fourth');
  });
  it('are on the revision that one’s own earlier command made, kept so too', () => {
    const shelf = new Shelf();
    const box = new Outbox('shed', shelf);
    box.add(command('first', null));
    box.add(command('second', null));
    box.acknowledge('first', new Map([['L1', 7]]));
    expect(box.commands).toEqual([command('second', 7)]);
    expect(new Outbox('shed', shelf).commands).toEqual([command('second', 7)]);
  });
  it('are forgotten when they are acknowledged or refused', () => {
    const shelf = new Shelf();
    const box = new Outbox('shed', shelf);
    box.add(command('first', 1));
    box.add(command('second', 1));
    box.drop('second');
    box.drop('nobody');
    box.acknowledge('first', new Map());
    expect([box.size, shelf.length]).toEqual([0, 0]);
  });
  it('say when the storage does not take them', () => {
    const shelf = new Shelf();
    shelf.full = true;
    const box = new Outbox('shed', shelf);
    box.add(command('first', 1));
    expect([box.size, box.isKept]).toEqual([1, false]);
  });
  it('what cannot be read is no command', () => {
    const shelf = new Shelf();
    shelf.setItem('plinth.unsent.shed.0000000000000001', '{"half');
    expect(new Outbox('shed', shelf).size).toBe(0);
    expect(shelf.length).toBe(0);
  });
});
