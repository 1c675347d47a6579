import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { Assembler, assemble, tallowOf, tallowWharf, TakedownEngine, type Building, type Item, type LiftingRules } from '../core/src';
import { philosophyOf, STANDARDS } from '../core/src/standard';
import { figure, median, timed, type Figure } from './figure';
import { Pace } from './kernel';

function liftingOf(building: Building): LiftingRules {
  return philosophyOf(STANDARDS[building.brief.family], building.brief.combinationRule).rules.lifting;
}

/** Fresh takedowns of a generated block, ms each: supports found, panels shared, every member, every case. */
function full(items: readonly Item[], runs: number, pace?: Pace): number[] {
  return Array.from({ length: runs }, () => {
    pace?.take();
    const start = performance.now();
    const building = assemble(items);
    new TakedownEngine(liftingOf(building)).run(building);
    return performance.now() - start;
  });
}

function membersOf(items: readonly Item[]): number {
  return items.filter((item) => ['beam', 'column', 'wall', 'footing'].includes(item.kind)).length;
}

export function takedownFull(): Figure {
  const items = tallowWharf(tallowOf(10_000));
  const cases = new TakedownEngine(() => []).run(assemble(items)).cases.length;
  const pace = new Pace();
  const value = Math.min(...full(items, 15, pace));
  return timed('takedown.full', value, 170, pace, `${membersOf(items)} members, ${cases} cases, ${items.length} items`);
}

/** The first takedown in a fresh process: nothing is warm. */
export function takedownCold(): Figure {
  const items = tallowWharf(tallowOf(10_000));
  const start = performance.now();
  const building = assemble(items);
  new TakedownEngine(liftingOf(building)).run(building);
  const value = performance.now() - start;
  const pace = new Pace();
  for (let i = 0; i < 9; i += 1) pace.take();
  return timed('takedown.cold', value, 600, pace, `${membersOf(items)} members`);
}

/** A layer changed that lies on every storey: everything that it reaches is calculated again. */
export function takedownLayer(): Figure {
  const items = tallowWharf(tallowOf(10_000));
  const assembler = new Assembler();
  const engine = new TakedownEngine(liftingOf(assemble(items)));
  engine.run(assembler.assemble(items));
  const pace = new Pace();
  const times = Array.from({ length: 15 }, (_, n) => {
    const changed = items.map((item) =>
      item.kind === 'buildUp'
        ? {
            ...item,
            body: {
              ...item.body,
              layers: item.body.layers.map((layer, i) => (i === 0 ? { ...layer, load: layer.load * (1 + n / 100) } : layer)),
            },
          }
        : item,
    );
    pace.take();
    const start = performance.now();
    engine.run(assembler.assemble(changed));
    return performance.now() - start;
  });
  return timed('takedown.layer', median(times), 45, pace, `${engine.news.all ? 'all' : engine.news.fresh.length} members calculated again`);
}

/** The worst of three edits of a building that the engine holds: a column moved, a beam added, a layer changed. */
export function takedownEdit(): Figure {
  const items = tallowWharf(tallowOf(10_000));
  const assembler = new Assembler();
  const engine = new TakedownEngine(liftingOf(assemble(items)));
  engine.run(assembler.assemble(items));
  const column = items.findIndex((item) => item.kind === 'column' && item.body.base === 'L20');
  const sample = items.find((item) => item.kind === 'beam' && item.id.startsWith('S-1-1-20'))!;
  const shop = items.findIndex((item) => item.id === 'shop');
  const pace = new Pace();
  let added: readonly Item[] = items;
  const edits: Record<string, (n: number) => readonly Item[]> = {
    'column moved': (n) =>
      items.map((item, i) =>
        i === column && item.kind === 'column'
          ? { ...item, body: { ...item.body, at: { x: item.body.at.x + 2 + n, y: item.body.at.y } } }
          : item,
      ),
    'beam added': (n) => {
      const at = { from: { x: 7500, y: 4400 + n }, to: { x: 15_000, y: 4400 + n } };
      if (sample.kind === 'beam') added = [...added, { ...sample, id: `new${n}`, body: { ...sample.body, mark: `N${n}`, ...at } }];
      return added;
    },
    'layer changed': (n) =>
      items.map((item, i) =>
        i === shop && item.kind === 'buildUp'
          ? { ...item, body: { ...item.body, layers: item.body.layers.map((layer) => ({ ...layer, load: layer.load * (1 + n / 100) })) } }
          : item,
      ),
  };
  const found = Object.entries(edits).map(([name, make]) => {
    const times = Array.from({ length: 21 }, (_, n) => {
      const changed = make(n + 1);
      pace.take();
      const start = performance.now();
      engine.run(assembler.assemble(changed));
      return performance.now() - start;
    });
    return { name, time: median(times) };
  });
  const worst = found.reduce((a, b) => (b.time > a.time ? b : a));
  return timed('takedown.edit', worst.time, 16, pace, found.map(({ name, time }) => `${name} ${time.toFixed(1)}`).join(', '));
}

const ROUNDS = 5;

/**
 * Exponent of growth from 1,000 to 100,000 members: of the time that the same number of members takes, in many small buildings one after the other and
 * in few large ones, with all that belongs to it. Garbage is collected now and then, so that no single run of a small building shows what it
 * costs; as long as the runs are as many as make the same members, each pays for its own. The two are measured in turn, so that a slow moment of the
 * machine tells on both, and neither finds the other in memory; the figure is that of the middle round.
 */
export function takedownGrowth(): Figure {
  const collect = garbageCollector();
  const measure = (members: number, runs: number) => {
    collect();
    const items = tallowWharf(tallowOf(members));
    const times = full(items, runs);
    return { time: times.reduce((sum, time) => sum + time, 0) / runs, members: membersOf(items) };
  };
  const rounds = Array.from({ length: ROUNDS }, () => {
    const [small, large] = [measure(1000, 260), measure(100_000, 3)];
    return { small, large, exponent: Math.log(large.time / small.time) / Math.log(large.members / small.members) };
  });
  const { exponent, small, large } = rounds.sort((a, b) => a.exponent - b.exponent)[(ROUNDS - 1) / 2]!;
  return figure(
    'takedown.growth',
    exponent,
    '',
    1.1,
    `${small.time.toFixed(1)} ms for ${small.members}, ${large.time.toFixed(0)} ms for ${large.members} members; rounds ${rounds.map((round) => round.exponent.toFixed(2)).join(', ')}`,
  );
}

/** Collects garbage at once, also when the process was not started for it. */
function garbageCollector(): () => void {
  setFlagsFromString('--expose-gc');
  return runInNewContext('gc') as () => void;
}

/** Memory that a takedown of 100,000 members holds, with its items, GB. */
export function takedownMemory(): Figure {
  const collect = garbageCollector();
  collect();
  const before = process.memoryUsage().heapUsed;
  const items = tallowWharf(tallowOf(100_000));
  const engine = new TakedownEngine(() => []);
  const takedown = engine.run(assemble(items));
  collect();
  const used = (process.memoryUsage().heapUsed - before) / 1e9;
  return figure('takedown.memory', used, 'GB', 0.45, `${takedown.members.size} members`);
}
