import { Session, type Profiler } from 'node:inspector/promises';
import { setFlagsFromString } from 'node:v8';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { assemble } from '../building';
import { tallowWharf } from '../exchange';
import { philosophyOf, STANDARDS } from '../standard';
import { TakedownEngine } from '.';

/**
 * How much of its source a function went through: characters, each as often as it was run, whatever the machine. A range within another has its own
 * count; one of the same count is not told apart, so that lengths are summed and not ranges.
 */
function walked({ ranges }: Profiler.FunctionCoverage): number {
  const open: Profiler.CoverageRange[] = [];
  let sum = 0;
  for (const range of ranges) {
    while (open.length > 0 && open.at(-1)!.endOffset <= range.startOffset) open.pop();
    sum += (range.count - (open.at(-1)?.count ?? 0)) * (range.endOffset - range.startOffset);
    open.push(range);
  }
  return sum;
}

const stepsOf = (scripts: readonly Profiler.ScriptCoverage[]): number =>
  scripts
    .filter(({ url }) => url.includes('/core/src/takedown/'))
    .flatMap(({ functions }) => functions)
    .reduce((sum, one) => sum + walked(one), 0);

/** Counted steps of a fresh takedown of a block of so many bays each way and so many storeys, and its members. */
async function count(session: Session, bays: number, storeys: number): Promise<{ readonly members: number; readonly steps: number }> {
  const building = assemble(tallowWharf({ baysX: bays, baysY: bays, storeys, irregularity: 0.5 }));
  const engine = new TakedownEngine(philosophyOf(STANDARDS[building.brief.family], building.brief.combinationRule).rules.lifting);
  // what was counted before is taken out
  await session.post('Profiler.takePreciseCoverage');
  const { members } = engine.run(building);
  const { result } = await session.post('Profiler.takePreciseCoverage');
  return { members: members.size, steps: stepsOf(result) };
}

describe('steps of a takedown', () => {
  const session = new Session();
  beforeAll(async () => {
    // compiled for speed, functions within others are no longer counted
    setFlagsFromString('--no-opt');
    session.connect();
    await session.post('Profiler.enable');
    // once, before anything is compiled for speed: what is already is not counted
    await session.post('Profiler.startPreciseCoverage', { callCount: true, detailed: true });
  });
  afterAll(() => {
    session.disconnect();
    setFlagsFromString('--opt');
  });

  it('are the same number in every run of one building', async () => {
    // what is remembered of all buildings, such as shapes of loads, is met once
    await count(session, 4, 4);
    expect(await count(session, 4, 4)).toEqual(await count(session, 4, 4));
  });
  it.each<[string, [number, number], [number, number]]>([
    ['wider', [8, 6], [32, 6]],
    ['taller', [6, 6], [6, 96]],
  ])('grow with the members of a %s building by at most n^1.02', async (_, small, large) => {
    const [a, b] = [await count(session, ...small), await count(session, ...large)];
    expect(b.members).toBeGreaterThan(10 * a.members);
    expect(a.steps).toBeGreaterThan(1000 * a.members);
    expect(Math.log(b.steps / a.steps) / Math.log(b.members / a.members)).toBeLessThan(1.02);
  });
});
