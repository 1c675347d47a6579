import type { Pace } from './kernel';

/** One measured figure. `reference` says what stands beside it in the same run, so that a slow machine is told from slow code. */
export interface Figure {
  readonly id: string;
  readonly value: number;
  readonly unit: string;
  readonly limit: number;
  readonly ok: boolean;
  readonly reference?: string;
}

export function figure(id: string, value: number, unit: string, limit: number, reference?: string): Figure {
  return { id, value: Number(value.toPrecision(4)), unit, limit, ok: value <= limit, reference };
}

/** A time of the computation, ms: its limit grows with how slow the machine is just now. */
export function timed(id: string, value: number, limit: number, pace: Pace, reference: string): Figure {
  const { factor } = pace;
  return figure(
    id,
    value,
    'ms',
    Number((limit * factor).toPrecision(4)),
    `${reference}; ${limit} ms on a machine ${factor.toFixed(2)} times as quick`,
  );
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)]!;
}

/** Median time of one call, ms, after warming up. */
export function timeOf(work: () => void, runs: number): number {
  for (let i = 0; i < runs; i += 1) work();
  const rounds = Array.from({ length: 9 }, () => {
    const start = performance.now();
    for (let i = 0; i < runs; i += 1) work();
    return (performance.now() - start) / runs;
  });
  return median(rounds);
}
