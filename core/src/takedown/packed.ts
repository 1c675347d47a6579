import { Carried } from './carried';
import { caseSetOf, type CaseSet } from './caseSet';
import { Brought, Handed, KeptLedger, Left, Split, type Landed } from './landed';
import type { MemberLedger, Source } from './ledger';
import { NODE_KINDS } from './node';
import type { ArrivalShape } from './shape';

/**
 * Ledgers on their way from one thread to another: all their numbers in one list, each word once. Hundreds go with an edit and few are looked
 * at, so each is made from them when somebody asks. Nothing but these two functions knows what the numbers mean.
 */
export interface PackedLedgers {
  readonly ids: readonly string[];
  /** Where each ledger begins among the numbers. */
  readonly starts: Float64Array;
  readonly numbers: Float64Array;
  readonly words: readonly string[];
  /** Sets of cases, by the ids of their cases. */
  readonly cases: readonly (readonly string[])[];
}

/** How the source of what is brought is written; 0: a reaction handed on. */
const SOURCES = ['handed', 'strip', 'panel', 'ownWeight', 'load', 'settlement', 'member'] as const;
/** A word that is not there. */
const NONE = -1;
/** Leaves are in the message. */
const AS_KEPT = { bearers: [], handed: [] };

/** Writes ledgers number by number. */
class Packer {
  private numbers = new Float64Array(1024);
  private length = 0;
  private readonly known = new Map<string, number>();
  readonly words: string[] = [];
  readonly cases: CaseSet[] = [];

  get at(): number {
    return this.length;
  }

  done(): Float64Array {
    return this.numbers.slice(0, this.length);
  }

  put(value: number): void {
    if (this.length === this.numbers.length) {
      const longer = new Float64Array(2 * this.length);
      longer.set(this.numbers);
      this.numbers = longer;
    }
    this.numbers[this.length] = value;
    this.length += 1;
  }

  all(values: readonly number[]): void {
    this.put(values.length);
    for (let i = 0; i < values.length; i += 1) this.put(values[i]!);
  }

  word(word: string | null | undefined): void {
    if (word === null || word === undefined) {
      this.put(NONE);
      return;
    }
    let n = this.known.get(word);
    if (n === undefined) {
      n = this.words.length;
      this.known.set(word, n);
      this.words.push(word);
    }
    this.put(n);
  }

  /** A set of cases by its number in this message. */
  caseSet(cases: CaseSet): void {
    let n = this.cases.indexOf(cases);
    if (n < 0) n = this.cases.push(cases) - 1;
    this.put(n);
  }

  carried({ cases, values, pressed }: Carried): void {
    this.caseSet(cases);
    this.all(values);
    if (pressed === values) this.put(0);
    else {
      this.put(1);
      this.all(pressed);
    }
  }

  shape(shape: ArrivalShape): void {
    if (shape.type === 'point') {
      this.put(0);
      this.put(shape.at);
    } else {
      this.put(1);
      this.put(shape.from);
      this.put(shape.to);
      this.put(shape.start);
      this.put(shape.end);
    }
  }

  source(source: Source): void {
    this.put(SOURCES.indexOf(source.type));
    switch (source.type) {
      case 'strip':
        this.word(source.buildUp);
        return this.put(source.index);
      case 'panel':
        return this.word(source.panel);
      case 'ownWeight':
        return this.put(Number(source.allowance));
      case 'load':
        return this.word(source.load);
      case 'settlement':
        return this.put(source.support);
      case 'member':
        this.word(source.member);
        this.put(source.leave);
        return this.word(source.through);
    }
  }

  arrival(arrival: Landed): void {
    this.word(arrival.on);
    this.word(arrival.from);
    this.word(arrival.label);
    this.shape(arrival.shape);
    this.carried(arrival.carried);
    if (arrival instanceof Handed) {
      this.put(0);
      this.put(arrival.leave);
    } else {
      this.source(arrival.source);
      this.word(arrival.part);
    }
  }

  ledger(ledger: KeptLedger): void {
    this.put(NODE_KINDS.indexOf(ledger.kind));
    this.word(ledger.mark);
    this.put(Number(ledger.inLoop));
    this.put(Number(ledger.transfer));
    this.put(ledger.arrivals.length);
    for (const arrival of ledger.arrivals) this.arrival(arrival);
    const splits = [...new Set(ledger.leaves.map(({ split }) => split))];
    this.put(splits.length);
    for (const { a, b, solved } of splits) {
      this.put(a);
      this.put(b);
      this.put(solved?.length ?? NONE);
      for (const shares of solved ?? []) this.all(shares);
    }
    this.put(ledger.leaves.length);
    for (const { to, at, carried, split, place, holdsDown } of ledger.leaves) {
      this.word(to);
      this.put(at);
      this.carried(carried);
      this.put(splits.indexOf(split));
      this.put(place);
      this.put(Number(holdsDown));
    }
  }
}

/** @param ledgers of a takedown */
export function packLedgers(ledgers: readonly MemberLedger[]): PackedLedgers {
  const packer = new Packer();
  const starts = new Float64Array(ledgers.length);
  ledgers.forEach((ledger, i) => {
    starts[i] = packer.at;
    packer.ledger(ledger as KeptLedger);
  });
  return {
    ids: ledgers.map(({ id }) => id),
    starts,
    numbers: packer.done(),
    words: packer.words,
    cases: packer.cases.map((one) => one.ids),
  };
}

/** Reads a ledger number by number, in the order in which it was written. */
class Unpacker {
  constructor(
    private readonly packed: PackedLedgers,
    private at: number,
  ) {}

  take(): number {
    const value = this.packed.numbers[this.at]!;
    this.at += 1;
    return value;
  }

  all(): number[] {
    return this.list(() => this.take());
  }

  list<T>(each: () => T): T[] {
    return Array.from({ length: this.take() }, each);
  }

  wordOrNull(): string | null {
    const n = this.take();
    return n === NONE ? null : this.packed.words[n]!;
  }

  word(): string {
    return this.wordOrNull()!;
  }

  carried(): Carried {
    const cases = caseSetOf(this.packed.cases[this.take()]!);
    const values = this.all();
    return new Carried(cases, values, this.take() === 0 ? values : this.all());
  }

  shape(): ArrivalShape {
    if (this.take() === 0) return { type: 'point', at: this.take() };
    const [from, to, start, end] = [this.take(), this.take(), this.take(), this.take()];
    return { type: 'distributed', from, to, start, end };
  }

  source(type: (typeof SOURCES)[number]): Source {
    switch (type) {
      case 'strip':
        return { type, buildUp: this.word(), index: this.take() };
      case 'panel':
        return { type, panel: this.word() };
      case 'ownWeight':
        return { type, allowance: this.take() === 1 };
      case 'load':
        return { type, load: this.word() };
      case 'settlement':
        return { type, support: this.take() };
      default: {
        const [member, leave, through] = [this.word(), this.take(), this.wordOrNull()];
        return through === null ? { type: 'member', member, leave } : { type: 'member', member, leave, through };
      }
    }
  }

  arrival(): Landed {
    const [on, from, label] = [this.word(), this.word(), this.word()];
    const shape = this.shape();
    const carried = this.carried();
    const type = SOURCES[this.take()]!;
    if (type === 'handed') return new Handed(on, from, label, this.take(), shape, carried);
    const source = this.source(type);
    return new Brought(on, from, this.word(), label, source, shape, carried);
  }

  ledger(id: string): KeptLedger {
    const kind = NODE_KINDS[this.take()]!;
    const mark = this.word();
    const [inLoop, transfer] = [this.take() === 1, this.take() === 1];
    const arrivals = this.list(() => this.arrival());
    const splits = this.list(() => {
      const [a, b, solved] = [this.take(), this.take(), this.take()];
      return new Split(arrivals, a, b, solved === NONE ? null : Array.from({ length: solved }, () => this.all()));
    });
    const leaves = this.list(() => {
      const to = this.wordOrNull();
      const at = this.take();
      const carried = this.carried();
      const split = splits[this.take()]!;
      return new Left(to, at, carried, split, this.take(), this.take() === 1);
    });
    return new KeptLedger(id, kind, mark, inLoop, arrivals, transfer, null, leaves, AS_KEPT);
  }
}

/** @param i which of the ledgers */
export function unpackLedger(packed: PackedLedgers, i: number): MemberLedger {
  return new Unpacker(packed, packed.starts[i]!).ledger(packed.ids[i]!);
}
