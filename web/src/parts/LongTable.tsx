import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';

/** Room for rows that are not drawn because they cannot be seen. */
function Spacer({ height }: { height: number }) {
  return height > 0 ? <tr aria-hidden="true" style={{ height }} /> : null;
}

/** True while the page is being printed: then every row is drawn. */
function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    const begin = () => flushSync(() => setPrinting(true));
    const end = () => setPrinting(false);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  return printing;
}

/** A table of any length in a region that scrolls: only rows that can be seen are drawn, but all of them when it is printed. */
export function LongTable({
  label,
  head,
  foot,
  count,
  chosen,
  row,
}: {
  label: string;
  head: ReactNode;
  foot?: ReactNode;
  count: number;
  /** Row that is brought into view; -1: none. */
  chosen: number;
  row: (index: number, measure: (element: HTMLTableRowElement | null) => void) => ReactNode;
}) {
  const region = useRef<HTMLDivElement>(null);
  const printing = usePrinting();
  const rows = useVirtualizer({ count, getScrollElement: () => region.current, estimateSize: () => 27, overscan: 12 });
  useEffect(() => {
    if (chosen >= 0) rows.scrollToIndex(chosen, { align: 'auto' });
  }, [chosen, rows]);
  const seen = rows.getVirtualItems();
  return (
    <div ref={region} className="print-flow min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label={label}>
      <table className="grid-table">
        <thead>{head}</thead>
        <tbody>
          {printing ? null : <Spacer height={seen[0]?.start ?? 0} />}
          {printing
            ? Array.from({ length: count }, (_, i) => row(i, () => undefined))
            : seen.map(({ index }) => row(index, rows.measureElement))}
          {printing ? null : <Spacer height={rows.getTotalSize() - (seen.at(-1)?.end ?? 0)} />}
        </tbody>
        {foot ? <tfoot>{foot}</tfoot> : null}
      </table>
    </div>
  );
}
