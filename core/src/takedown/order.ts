import type { Building } from '../building';

/** Which members each member hands its load to. Nulls (rests on nothing) are left out. */
export function supportGraph(building: Building): Map<string, string[]> {
  const graph = new Map<string, string[]>();
  const present = (id: string | null): id is string =>
    id !== null &&
    (building.beams.has(id) || building.columns.has(id) || building.walls.has(id) || building.hangers.has(id) || building.footings.has(id));
  for (const [id, beam] of building.beams) graph.set(id, [...new Set(beam.supports.map((support) => support.by).filter(present))]);
  for (const members of [building.columns, building.walls, building.hangers])
    for (const [id, member] of members) graph.set(id, present(member.by) ? [member.by] : []);
  for (const id of building.footings.keys()) graph.set(id, []);
  return graph;
}

/** Groups of members that rest on each other in a ring (Tarjan's strongly connected components, without recursion). */
export function findLoops(graph: ReadonlyMap<string, readonly string[]>): string[][] {
  const index = new Map<string, number>();
  const low = new Map<string, number>();
  const onStack = new Set<string>();
  const stack: string[] = [];
  const loops: string[][] = [];
  for (const root of graph.keys()) {
    if (index.has(root)) continue;
    const work: { id: string; next: number }[] = [{ id: root, next: 0 }];
    while (work.length > 0) {
      const frame = work.at(-1)!;
      if (frame.next === 0) {
        index.set(frame.id, index.size);
        low.set(frame.id, index.get(frame.id)!);
        stack.push(frame.id);
        onStack.add(frame.id);
      }
      const targets = graph.get(frame.id)!;
      if (frame.next < targets.length) {
        const target = targets[frame.next++]!;
        if (!index.has(target)) work.push({ id: target, next: 0 });
        else if (onStack.has(target)) low.set(frame.id, Math.min(low.get(frame.id)!, index.get(target)!));
        continue;
      }
      work.pop();
      const parent = work.at(-1);
      if (parent) low.set(parent.id, Math.min(low.get(parent.id)!, low.get(frame.id)!));
      if (low.get(frame.id) === index.get(frame.id)) {
        const component: string[] = [];
        let id: string;
        do {
          id = stack.pop()!;
          onStack.delete(id);
          component.push(id);
        } while (id !== frame.id);
        if (component.length > 1 || targets.includes(frame.id)) loops.push(component.sort());
      }
    }
  }
  return loops;
}

/** B2 before B10. */
const byMark = new Intl.Collator('en', { numeric: true });

/**
 * The order of calculation: a member only after everything that lands on it; among those that are ready the highest first,
 * then by mark. Members of loops do not hand on to anything here, so that all others can still be calculated.
 */
export function calculationOrder(
  graph: ReadonlyMap<string, readonly string[]>,
  inLoop: ReadonlySet<string>,
  elevation: (id: string) => number,
  mark: (id: string) => string,
): string[] {
  const waiting = new Map<string, number>();
  for (const id of graph.keys()) waiting.set(id, 0);
  for (const [id, targets] of graph) if (!inLoop.has(id)) for (const target of targets) waiting.set(target, waiting.get(target)! + 1);
  const order: string[] = [];
  let ready = [...waiting].filter(([, count]) => count === 0).map(([id]) => id);
  while (ready.length > 0) {
    ready.sort((a, b) => elevation(b) - elevation(a) || byMark.compare(mark(a), mark(b)));
    // finish a whole storey before going down, so that the numbers follow the work
    const top = elevation(ready[0]!);
    const now = ready.filter((id) => elevation(id) === top);
    const next = ready.filter((id) => elevation(id) !== top);
    for (const id of now) {
      order.push(id);
      if (inLoop.has(id)) continue;
      for (const target of graph.get(id)!) {
        const left = waiting.get(target)! - 1;
        waiting.set(target, left);
        if (left === 0) next.push(target);
      }
    }
    ready = next;
  }
  return order;
}
