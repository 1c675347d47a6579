import { useEffect, useMemo, useRef } from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { itemName, unitLabel, type Kind } from '@plinth/core';
import { useItems, useProject, useView } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { surveyKind, type Member, type TableKind } from './kinds';
import { hasStatus, type StatusFilter } from './place';

/** The levels that an item belongs to; none: it is of the whole project. */
function levelsOf({ body }: Member): string[] {
  if ('level' in body) return [body.level];
  return 'base' in body ? [body.top, body.base] : [];
}

/** Room for rows that are not drawn because they cannot be seen. */
function Spacer({ height }: { height: number }) {
  return height > 0 ? <tr aria-hidden="true" style={{ height }} /> : null;
}

/** B2 before B10. */
const BY_NAME = new Intl.Collator('en', { numeric: true });

/** 0 for what belongs to the level that is shown, 1 for what stands elsewhere. */
function whereIs(item: Member, level: string): 0 | 1 {
  const levels = levelsOf(item);
  return levels.length === 0 || levels.includes(level) ? 0 : 1;
}

/** All members of one kind, those of the shown level first; cells are edited in place. */
export function MemberTable({ kind, level, status }: { kind: TableKind; level: string; status: StatusFilter }) {
  const { units } = useProject();
  const { heads, Cells, empty } = surveyKind(kind)!;
  const { selected, select } = useView();
  const items = useItems(kind) as Member[];
  const { remove, quietly } = useEdit();
  const here = (item: Member) => whereIs(item, level);
  const sorted = useMemo(
    () =>
      items
        .filter((item) => hasStatus(item.body, status))
        .map((item) => ({ item, away: whereIs(item, level), name: itemName(item) }))
        .sort((a, b) => a.away - b.away || BY_NAME.compare(a.name, b.name))
        .map(({ item }) => item),
    [items, level, status],
  );
  const body = useRef<HTMLTableSectionElement>(null);
  const rows = useVirtualizer({
    count: sorted.length,
    getScrollElement: () => body.current?.closest<HTMLElement>('[role="region"]') ?? null,
    estimateSize: () => 34,
    overscan: 12,
  });
  // what is selected is brought into view, also when its row is not drawn yet
  const chosen = sorted.findIndex((item) => item.id === selected);
  useEffect(() => {
    if (chosen >= 0) rows.scrollToIndex(chosen, { align: 'auto' });
    // only a new choice scrolls, not each new row
  }, [chosen, rows]);
  if (sorted.length === 0)
    return (
      <p className="py-4 text-soft">
        {empty ?? 'None yet. Add one with the button at the right, or draw it on the plan; its place is typed here or beside the plan.'}
      </p>
    );
  const head = (title: string, unit?: Kind) => (
    <th key={title} className={unit ? 'num' : ''}>
      {title}
      {unit ? ` [${unitLabel(unit, units)}]` : ''}
    </th>
  );
  const shownRows = rows.getVirtualItems();
  return (
    <table className="grid-table">
      <thead>
        <tr>
          <th>{kind === 'load' ? 'Load' : 'Mark'}</th>
          {heads.map(([title, unit]) => head(title, unit))}
          <th>
            <span className="sr-only">Remove</span>
          </th>
        </tr>
      </thead>
      <tbody ref={body}>
        <Spacer height={shownRows[0]?.start ?? 0} />
        {shownRows.map(({ index }) => {
          const item = sorted[index]!;
          return (
            <tr
              key={item.id}
              data-index={index}
              ref={rows.measureElement}
              aria-selected={item.id === selected}
              onClick={() => select(item.id)}
              className={here(item) ? 'text-soft' : ''}
            >
              <Cells item={item} />
              <td className="num">
                <button
                  type="button"
                  className="text-soft hover:text-oxide"
                  onClick={(event) => {
                    event.stopPropagation();
                    quietly(remove([item.id], `${itemName(item)} removed`));
                  }}
                >
                  Remove
                </button>
              </td>
            </tr>
          );
        })}
        <Spacer height={rows.getTotalSize() - (shownRows.at(-1)?.end ?? 0)} />
      </tbody>
    </table>
  );
}
