import type { PlanPoint } from '@plinth/core';
import { QuantityField } from '../../../parts/fields';
import { useEdit } from '../../../project/useEdit';

/** Fewer corners enclose nothing. */
const LEAST = 3;

/** The corners of an outline, each typed, added between two or taken away; on the plan they are dragged. */
export function CornersField({
  title,
  corners,
  commit,
}: {
  title: string;
  corners: readonly PlanPoint[];
  commit: (corners: PlanPoint[]) => Promise<void>;
}) {
  const { quietly } = useEdit();
  const set = (i: number, change: Partial<PlanPoint>) => commit(corners.map((corner, j) => (j === i ? { ...corner, ...change } : corner)));
  const between = (i: number): PlanPoint => {
    const [a, b] = [corners[i]!, corners[(i + 1) % corners.length]!];
    return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  };
  return (
    <details className="border-l-2 border-rule pl-2">
      <summary className="cursor-pointer text-[13px] text-soft">
        {title}: {corners.length}, dragged on the plan or typed here
      </summary>
      {corners.map((corner, i) => (
        <div key={i} className="mt-1 grid grid-cols-[1fr_1fr_auto_auto] items-end gap-2">
          <QuantityField label={`corner ${i + 1}, x`} kind="position" value={corner.x} commit={(x) => set(i, { x })} />
          <QuantityField label="y" kind="position" value={corner.y} commit={(y) => set(i, { y })} />
          <button
            type="button"
            className="text-[12px] text-soft hover:text-oxide"
            title="A new corner half way to the next"
            onClick={() => quietly(commit([...corners.slice(0, i + 1), between(i), ...corners.slice(i + 1)]))}
          >
            Add after
          </button>
          {corners.length > LEAST ? (
            <button
              type="button"
              className="text-[12px] text-soft hover:text-oxide"
              aria-label={`Take corner ${i + 1} away`}
              onClick={() => quietly(commit(corners.filter((_, j) => j !== i)))}
            >
              Take away
            </button>
          ) : (
            <span />
          )}
        </div>
      ))}
    </details>
  );
}
