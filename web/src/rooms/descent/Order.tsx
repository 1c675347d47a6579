import type { ReactNode } from 'react';
import { wordOf, formatQuantity, levelNameOf, markOf, numbersOf, unitLabel } from '@plinth/core';
import { LongTable } from '../../parts/LongTable';
import { useProject, useStore, useView } from '../../project/context';

/** Members from the top down, numbered as one would calculate them: each only after everything that lands on it. */
export function Order({ views }: { views: ReactNode }) {
  const { building, computed, units } = useProject();
  const { id } = useStore();
  const { selected, select } = useView();
  const { order, members, cases } = computed.takedown;
  const numbers = numbersOf(computed.takedown);
  const takers = (member: string) => [
    ...new Set(
      members.get(member)!.leaves.map(({ to }) => (to === null ? 'nothing' : to === 'ground' ? 'the ground' : markOf(building, to))),
    ),
  ];
  return (
    <div className="print-flow flex min-w-0 flex-1 flex-col px-4 pt-2 pb-2">
      <div className="flex items-baseline gap-4">
        <h1 className="text-[17px] font-bold whitespace-nowrap">Order of calculation</h1>
        <span className="min-w-0 flex-1 truncate text-[13px] text-soft">
          {building.brief.name}: whole load of each member, unfactored, {unitLabel('force', units)}
        </span>
        {views}
      </div>
      <LongTable
        label="Order of calculation"
        count={order.length}
        chosen={selected === null ? -1 : order.indexOf(selected)}
        head={
          <tr>
            <th className="num">No.</th>
            <th>Mark</th>
            <th>Kind</th>
            <th>Level</th>
            {cases.map((loadCase) => (
              <th key={loadCase.id} className="num">
                {loadCase.name}
              </th>
            ))}
            <th>Carried by</th>
          </tr>
        }
        row={(index, measure) => {
          const ledger = members.get(order[index]!)!;
          return (
            <tr
              key={ledger.id}
              ref={measure}
              data-index={index}
              aria-selected={ledger.id === selected}
              className="cursor-pointer"
              onClick={() => select(ledger.id)}
            >
              <td className="num text-soft">{numbers.get(ledger.id) || '—'}</td>
              <td className="font-semibold">
                <button type="button" onClick={() => select(ledger.id)}>
                  {ledger.mark}
                </button>
              </td>
              <td className={ledger.transfer ? 'font-semibold text-oxide' : 'text-soft'}>
                {`${ledger.transfer ? 'transfer ' : ''}${wordOf(building, ledger)}`}
              </td>
              <td>{levelNameOf(building, ledger.id)}</td>
              {cases.map((loadCase) => (
                <td key={loadCase.id} className="num">
                  {formatQuantity(ledger.sum[loadCase.id] ?? 0, 'force', units, { bare: true })}
                </td>
              ))}
              <td>{takers(ledger.id).join(', ')}</td>
            </tr>
          );
        }}
      />
      <div className="no-print flex items-baseline gap-4 pt-1 text-[12px] text-soft">
        <span className="flex-1">from the roof down; members that rest on each other in a ring have no number</span>
        <a className="btn-line" href={`/api/projects/${id}/order.csv`}>
          CSV
        </a>
        <button type="button" className="btn-line" onClick={() => window.print()}>
          print
        </button>
      </div>
    </div>
  );
}
