import { useState } from 'react';
import { formatQuantity, numbersOf, unitLabel, type VerdictWord } from '@plinth/core';
import { StateWord, UtilisationBar } from '../../parts/Ladder';
import { LongTable } from '../../parts/LongTable';
import { useProject, useView } from '../../project/context';
import { MemberPanel } from './MemberPanel';
import { Rationalise } from './Rationalise';
import { SizeAll } from './SizeAll';

type Filter = 'all' | VerdictWord;

/** Schedule of beams and columns in the order of calculation, with what governs each. */
export function MembersRoom() {
  const { building, computed, units } = useProject();
  const { selected, select, level, sheet } = useView();
  const [filter, setFilter] = useState<Filter>('all');
  const [onlyLevel, setOnlyLevel] = useState(false);
  const [few, setFew] = useState(false);
  const rows = computed.takedown.order
    .filter((id) => computed.members.has(id))
    .map((id) => ({ member: computed.members.get(id)!, ledger: computed.takedown.members.get(id)! }));
  const levelOf = (id: string) => building.beams.get(id)?.level ?? building.columns.get(id)?.top ?? '';
  const shown = rows.filter(
    ({ member }) => (filter === 'all' || member.verdict === filter) && (!onlyLevel || !level || levelOf(member.id) === level),
  );
  const mass = rows.reduce((sum, { member }) => sum + massOf(member.id), 0);
  function massOf(id: string): number {
    const ledger = computed.takedown.members.get(id)!;
    return ledger.arrivals
      .filter((arrival) => arrival.source.type === 'ownWeight')
      .reduce(
        (sum, arrival) =>
          sum + (arrival.byCase['permanent'] ?? 0) * (arrival.shape.type === 'point' ? 1 : arrival.shape.to - arrival.shape.from),
        0,
      );
  }
  if (rows.length === 0)
    return (
      <div className="p-10">
        <h1 className="text-xl font-bold">Members</h1>
        <p className="mt-2 max-w-lg">
          There are no beams and columns yet. Place them in Survey; here they get their sections and are checked.
        </p>
      </div>
    );
  return (
    <>
      <div className="flex min-w-0 flex-1 flex-col px-4 pt-2">
        <div className="flex items-baseline gap-4">
          <h1 className="text-[17px] font-bold">Members</h1>
          <span className="flex-1 truncate text-[13px] text-soft">
            {rows.length} in the order of calculation; own weight {formatQuantity(mass, 'force', units)}
          </span>
          <SizeAll />
          <button type="button" className="btn text-[13px] whitespace-nowrap" aria-expanded={few} onClick={() => setFew(!few)}>
            Few sizes…
          </button>
          <label className="text-[13px] whitespace-nowrap">
            <input type="checkbox" className="accent-oxide" checked={onlyLevel} onChange={(event) => setOnlyLevel(event.target.checked)} />{' '}
            only the level of the plumb
          </label>
          <label className="text-[13px]">
            <span className="sr-only">State</span>
            <select
              className="border border-faint bg-transparent px-1"
              value={filter}
              onChange={(event) => setFilter(event.target.value as Filter)}
            >
              {(['all', 'short', 'unproven', 'tight', 'carries'] as const).map((value) => (
                <option key={value} value={value}>
                  {value === 'all' ? 'every state' : value} (
                  {value === 'all' ? rows.length : rows.filter(({ member }) => member.verdict === value).length})
                </option>
              ))}
            </select>
          </label>
        </div>
        {few ? <Rationalise shown={shown.map(({ member }) => member)} close={() => setFew(false)} /> : null}
        {computed.pending > 0 ? (
          <p className="text-[13px] text-soft">{computed.pending} members and pads are still being checked…</p>
        ) : null}
        <LongTable
          label="Schedule of members"
          count={shown.length}
          chosen={shown.findIndex(({ member }) => member.id === selected)}
          head={
            <tr>
              <th className="num">No.</th>
              <th>Mark</th>
              <th>Level</th>
              <th>Section</th>
              {sheet ? null : <th>Grade</th>}
              <th className="num">Load [{unitLabel('force', units)}]</th>
              <th>Governs</th>
              <th>
                <span className="sr-only">Bar</span>
              </th>
              <th className="num">Utilisation</th>
              <th>State</th>
            </tr>
          }
          row={(index, measure) => {
            const { member, ledger } = shown[index]!;
            return (
              <tr
                key={member.id}
                ref={measure}
                data-index={index}
                aria-selected={member.id === selected}
                onClick={() => select(member.id)}
                className="cursor-pointer"
              >
                <td className="num text-soft">{numbersOf(computed.takedown).get(ledger.id) || '—'}</td>
                <td className="whitespace-nowrap">
                  <button type="button" className="font-semibold" onClick={() => select(member.id)}>
                    {member.mark}
                  </button>
                  {ledger.transfer && member.kind === 'beam' ? <span className="ml-1 text-[12px] text-soft">transfer</span> : null}
                </td>
                <td className="text-soft">{building.levels.find((entry) => entry.id === levelOf(member.id))?.body.name}</td>
                <td className="whitespace-nowrap">
                  {member.section ?? <span className="text-soft">{building.beams.get(member.id)?.role === 'truss' ? 'truss' : '—'}</span>}
                </td>
                {sheet ? null : <td className="text-soft">{member.grade ?? ''}</td>}
                <td className="num">
                  {formatQuantity(
                    Object.values(ledger.sum).reduce((sum, value) => sum + value, 0),
                    'force',
                    units,
                    { bare: true, figures: 4 },
                  )}
                </td>
                <td className="w-full max-w-0 min-w-16">
                  {member.governing ? (
                    <span className="block truncate" title={member.governing.name}>
                      {member.governing.name}
                    </span>
                  ) : (
                    <span className="block max-w-[200px] truncate text-[12px] text-soft" title={member.reason ?? ''}>
                      {member.reason}
                    </span>
                  )}
                </td>
                <td className="align-middle!">
                  <div className={sheet ? 'w-12' : 'w-20'}>
                    <UtilisationBar value={member.governing?.utilisation ?? null} state={member.verdict} />
                  </div>
                </td>
                <td className="num font-semibold">{member.governing?.utilisation?.toFixed(2) ?? '—'}</td>
                <td>
                  <StateWord state={member.verdict} />
                </td>
              </tr>
            );
          }}
        />
        {shown.length === 0 ? <p className="py-3 text-soft">No member is in this state.</p> : null}
      </div>
      <MemberPanel />
    </>
  );
}
