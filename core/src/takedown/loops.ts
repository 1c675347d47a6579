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
