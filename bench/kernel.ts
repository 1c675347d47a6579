/** What the kernel takes on the machine for which the limits of time are written, ms. */
const REFERENCE = 28;

/** A fixed piece of work like that of the program, ms: objects and lists are made, put in order and added up. */
function once(): number {
  const start = performance.now();
  let seed = 12345;
  const next = () => (seed = (Math.imul(seed, 1103515245) + 12345) >>> 0) / 2 ** 32;
  const things = Array.from({ length: 12_000 }, (_, i) => ({ id: `m${i}`, at: next(), values: [next(), next(), next()] }));
  things.sort((a, b) => a.at - b.at);
  const byId = new Map(things.map((thing) => [thing.id, thing]));
  let sum = 0;
  for (let i = 0; i < things.length; i += 1) for (const value of byId.get(`m${i}`)!.values) sum += value;
  if (!(sum > 0)) throw new Error('the kernel of the benchmark adds up to nothing');
  return performance.now() - start;
}

/**
 * How slow this machine is just now beside the one for which the limits are written: the kernel is timed between the rounds of a figure, and the limits of
 * time grow with it. Never below 1: a quick machine is no excuse.
 */
export class Pace {
  private readonly times: number[] = [];

  constructor() {
    for (let i = 0; i < 3; i += 1) once();
  }

  /** Times the kernel once more. */
  take(): void {
    this.times.push(once());
  }

  /** Median of what was taken over the reference, at least 1. */
  get factor(): number {
    if (this.times.length === 0) this.take();
    const sorted = [...this.times].sort((a, b) => a - b);
    return Math.max(1, sorted[Math.floor(sorted.length / 2)]! / REFERENCE);
  }
}
