import type { Slot } from './slot';

/** Members that are to be calculated: each once, in no order. */
export class Stale {
  /** Those that became stale since the last run. */
  list: Slot[] = [];
  /** Who is told of those that become stale while others are calculated; they are not on the list then. */
  tell: ((slot: Slot) => void) | null = null;

  mark(slot: Slot | undefined): void {
    if (!slot || slot.stale) return;
    slot.stale = true;
    if (this.tell) this.tell(slot);
    else this.list.push(slot);
  }

  /** A new member, which is stale from the beginning. */
  add(slot: Slot): void {
    this.list.push(slot);
  }
}
