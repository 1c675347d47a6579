import { describe, expect, it } from 'vitest';
import { iterate, type Feedback } from './feedback';

/** A base that turns less the more is pressed on it, and is pressed more the less it turns: made up, x becomes cos(x) times a gain. */
interface Base {
  readonly stiffness: number;
}
const stiffness = (tolerance: number): Feedback<Base> => ({
  id: 'base',
  title: 'The stiffness of the bases',
  read: ({ stiffness: value }) => new Map([['C1', value]]),
  tolerance,
});
function* turned(gain: number, { stiffness: value }: Base, pass: number): Generator<number, Base, void> {
  yield pass;
  return { stiffness: gain * Math.cos(value) };
}
const run = (gain: number, tolerance: number, most: number) => {
  const seen: number[] = [];
  const work = iterate(
    { stiffness: 1 },
    [stiffness(tolerance)],
    (state, pass) => turned(gain, state, pass),
    most,
    () => 'column C1',
  );
  for (;;) {
    const next = work.next();
    if (next.done) return { ...next.value, seen };
    seen.push(next.value);
  }
};

describe('feedback of design to the takedown', () => {
  it('goes round until what is declared has settled within its tolerance', () => {
    const { state, passes, looseEnds, seen } = run(1, 1e-6, 100);
    // the fixed point of cos
    expect(state.stiffness).toBeCloseTo(0.739085, 5);
    expect(looseEnds).toEqual([]);
    expect(seen).toEqual(Array.from({ length: passes }, (_, i) => i + 1));
    expect(run(1, 0.05, 100).passes).toBeLessThan(passes);
  });
  it('what goes to and fro is a loose end with its name, the member and how far it is out', () => {
    const { passes, looseEnds } = run(2, 1e-3, 12);
    expect(passes).toBe(12);
    expect(looseEnds).toHaveLength(1);
    expect(looseEnds[0]).toMatchObject({
      key: 'feedback:base',
      item: 'C1',
      title: 'The stiffness of the bases has not settled in 12 passes',
    });
    expect(looseEnds[0]!.why).toMatch(/still changed by \d+ % at column C1, and 0\.1 % are allowed/);
  });
  it('without feedback one pass is all', () => {
    const work = iterate({ stiffness: 1 }, [], (state, pass) => turned(1, state, pass), 9, String);
    work.next();
    expect(work.next()).toMatchObject({ done: true, value: { passes: 1, looseEnds: [] } });
  });
});
