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

/** Compares marks by their letters, then by their numbers: B2 before B10. */
function markKey(mark: string): readonly [string, number, string] {
  const [, letters, digits, rest] = /^(\D*)(\d*)(.*)$/s.exec(mark)!;
  return [letters!, digits ? Number(digits) : -1, rest!];
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}

/** The place of each mark among all marks. */
function markRanks(ids: Iterable<string>, mark: (id: string) => string): Map<string, number> {
  const keyed = [...ids].map((id) => ({ id, key: markKey(mark(id)) }));
  keyed.sort(
    ({ id: ida, key: a }, { id: idb, key: b }) =>
      compareText(a[0], b[0]) || a[1] - b[1] || compareText(a[2], b[2]) || compareText(ida, idb),
  );
  return new Map(keyed.map(({ id }, i) => [id, i]));
}

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
  const rank = markRanks(graph.keys(), mark);
  const waiting = new Map<string, number>();
  for (const id of graph.keys()) waiting.set(id, 0);
  for (const [id, targets] of graph) if (!inLoop.has(id)) for (const target of targets) waiting.set(target, waiting.get(target)! + 1);
  // those that are ready, by their elevation: a whole storey is finished before the next, so that the numbers follow the work
  const ready = new Map<number, string[]>();
  const isReady = (id: string) => {
    const z = elevation(id);
    const list = ready.get(z);
    if (list) list.push(id);
    else ready.set(z, [id]);
  };
  for (const [id, count] of waiting) if (count === 0) isReady(id);
  const order: string[] = [];
  while (ready.size > 0) {
    const top = Math.max(...ready.keys());
    const now = ready.get(top)!.sort((a, b) => rank.get(a)! - rank.get(b)!);
    ready.delete(top);
    for (const id of now) {
      order.push(id);
      if (inLoop.has(id)) continue;
      for (const target of graph.get(id)!) {
        const left = waiting.get(target)! - 1;
        waiting.set(target, left);
        if (left === 0) isReady(target);
      }
    }
  }
  return order;
}
