import { useState } from 'react';
import { formatQuantity, levelNameOf, memberSchedule, numbersOf, shapeName, unitLabel, type VerdictWord } from '@plinth/core';
import { StateWord, UtilisationBar } from '../../parts/Ladder';
import { LongTable } from '../../parts/LongTable';
import { saveText } from '../../parts/saveText';
import { useProject, useView } from '../../project/context';
import { BulkEdit } from './BulkEdit';
import { MemberPanel } from './MemberPanel';
import { NotDesignedList } from '../../parts/NotDesignedList';
import { Rationalise } from './Rationalise';
import { GROUPINGS, levelIdOf, scheduleEntries, type GroupHead, type Grouping, type MemberRow } from './schedule';
import { SizeAll } from './SizeAll';

type Filter = 'all' | VerdictWord;

const GROUPED: Record<Grouping, string> = {
  order: 'in the order of calculation',
  level: 'by level',
  role: 'by role',
  section: 'by section',
};

/** Schedule of beams and columns, with what governs each; many are changed at once. */
export function MembersRoom() {
  const { building, computed, units } = useProject();
  const { selected, level } = useView();
  const [filter, setFilter] = useState<Filter>('all');
  const [grouping, setGrouping] = useState<Grouping>('order');
  const [onlyLevel, setOnlyLevel] = useState(false);
  const [few, setFew] = useState(false);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const rows: MemberRow[] = computed.takedown.order
    .flatMap((id) => computed.designs.member(id) ?? [])
    .map((member) => ({ member, ledger: computed.takedown.members.get(member.id)! }));
  const shown = rows.filter(
    ({ member }) => (filter === 'all' || member.verdict === filter) && (!onlyLevel || !level || levelIdOf(building, member.id) === level),
  );
  const entries = scheduleEntries(building, shown, grouping);
  // what is no longer shown is not changed
  const chosen = new Set(shown.filter(({ member }) => picked.has(member.id)).map(({ member }) => member.id));
  const mass = rows.reduce((sum, { ledger }) => sum + massOf(ledger), 0);
  if (rows.length === 0 && building.beams.size + building.columns.size === 0)
    return (
      <div className="p-10">
        <h1 className="text-xl font-bold">Members</h1>
        <p className="mt-2 max-w-lg">
          There are no beams and columns yet. Place them in Survey; here they get their sections and are checked.
        </p>
      </div>
    );
  const save = () => {
    const ids = entries.flatMap((entry) => (entry.type === 'row' ? [entry.row.member.id] : []));
    saveText('members.csv', 'text/csv', memberSchedule({ building, takedown: computed.takedown, designs: computed.designs }, ids));
  };
  return (
    <>
      <div className="flex min-w-0 flex-1 flex-col px-4 pt-2">
        <div className="flex items-baseline gap-4">
          <h1 className="text-[17px] font-bold">Members</h1>
          <span className="flex-1 truncate text-[13px] text-soft">
            {rows.length} beams, trusses and columns; own weight {formatQuantity(mass, 'force', units)}
          </span>
          <SizeAll />
          <button type="button" className="btn text-[13px] whitespace-nowrap" aria-expanded={few} onClick={() => setFew(!few)}>
            Few sizes…
          </button>
          <button type="button" className="btn text-[13px] whitespace-nowrap" onClick={save}>
            Save as CSV
          </button>
        </div>
        <div className="flex items-baseline gap-4 pt-1 pb-1 text-[13px]">
          <label>
            <span className="sr-only">Order of the schedule</span>
            <select
              className="border border-faint bg-transparent px-1"
              value={grouping}
              onChange={(event) => setGrouping(event.target.value as Grouping)}
            >
              {GROUPINGS.map((value) => (
                <option key={value} value={value}>
                  {GROUPED[value]}
                </option>
              ))}
            </select>
          </label>
          <label>
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
          <label className="whitespace-nowrap">
            <input type="checkbox" className="accent-oxide" checked={onlyLevel} onChange={(event) => setOnlyLevel(event.target.checked)} />{' '}
            only the level of the plumb
          </label>
          {computed.pending > 0 ? (
            <span className="text-soft" role="status">
              {computed.pending} members and pads are still being checked…
            </span>
          ) : null}
        </div>
        {few ? <Rationalise shown={shown.map(({ member }) => member)} close={() => setFew(false)} /> : null}
        {chosen.size > 0 ? <BulkEdit chosen={chosen} clear={() => setPicked(new Set())} /> : null}
        <Schedule entries={entries} selected={selected} chosen={chosen} pick={setPicked} />
        {shown.length === 0 ? <p className="py-3 text-soft">No member is in this state.</p> : null}
        <NotDesignedList />
      </div>
      <MemberPanel />
    </>
  );
}

/** Own weight of a member, N. */
function massOf(ledger: MemberRow['ledger']): number {
  return ledger.arrivals
    .filter((arrival) => arrival.source.type === 'ownWeight')
    .reduce(
      (sum, arrival) =>
        sum + (arrival.byCase['permanent'] ?? 0) * (arrival.shape.type === 'point' ? 1 : arrival.shape.to - arrival.shape.from),
      0,
    );
}

function Schedule({
  entries,
  selected,
  chosen,
  pick,
}: {
  entries: ReturnType<typeof scheduleEntries>;
  selected: string | null;
  chosen: ReadonlySet<string>;
  pick: (ids: ReadonlySet<string>) => void;
}) {
  const { units } = useProject();
  const { sheet } = useView();
  const [last, setLast] = useState<string | null>(null);
  const ids = entries.flatMap((entry) => (entry.type === 'row' ? [entry.row.member.id] : []));
  const set = (of: readonly string[], on: boolean) => {
    const next = new Set(chosen);
    for (const id of of)
      if (on) next.add(id);
      else next.delete(id);
    pick(next);
  };
  /** With Shift, all from the one ticked last. */
  const tick = (id: string, on: boolean, isRange: boolean) => {
    const [a, b] = [last === null ? -1 : ids.indexOf(last), ids.indexOf(id)];
    set(isRange && a >= 0 ? ids.slice(Math.min(a, b), Math.max(a, b) + 1) : [id], on);
    setLast(id);
  };
  const all = ids.length > 0 && ids.every((id) => chosen.has(id));
  return (
    <LongTable
      label="Schedule of members"
      count={entries.length}
      chosen={entries.findIndex((entry) => entry.type === 'row' && entry.row.member.id === selected)}
      head={
        <tr>
          <th>
            <input type="checkbox" className="accent-oxide" aria-label="Choose all shown" checked={all} onChange={() => set(ids, !all)} />
          </th>
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
          <th className="num">Use</th>
          <th>State</th>
        </tr>
      }
      row={(index, measure) => {
        const entry = entries[index]!;
        return entry.type === 'head' ? (
          <HeadRow key={`head ${entry.head.title}`} index={index} measure={measure} head={entry.head} chosen={chosen} set={set} />
        ) : (
          <Row
            key={entry.row.member.id}
            index={index}
            measure={measure}
            row={entry.row}
            isChosen={chosen.has(entry.row.member.id)}
            tick={tick}
          />
        );
      }}
    />
  );
}

type Measure = (element: HTMLTableRowElement | null) => void;

/** Title of a group with how many it has, the worst of them, and a tick for all. */
function HeadRow({
  index,
  measure,
  head,
  chosen,
  set,
}: {
  index: number;
  measure: Measure;
  head: GroupHead;
  chosen: ReadonlySet<string>;
  set: (ids: readonly string[], on: boolean) => void;
}) {
  const { sheet } = useView();
  const ids = head.rows.map(({ member }) => member.id);
  const all = ids.every((id) => chosen.has(id));
  return (
    <tr ref={measure} data-index={index} className="[&>td]:bg-wash">
      <td>
        <input
          type="checkbox"
          className="accent-oxide"
          aria-label={`Choose all of ${head.title}`}
          checked={all}
          onChange={() => set(ids, !all)}
        />
      </td>
      <th colSpan={sheet ? 7 : 8} scope="rowgroup" className="bg-wash! text-left font-semibold!">
        {head.title} <span className="font-normal text-soft">({ids.length})</span>
      </th>
      <td className="num font-semibold">{head.worst?.toFixed(2) ?? '—'}</td>
      <td className="text-soft">worst</td>
    </tr>
  );
}

function Row({
  index,
  measure,
  row: { member, ledger },
  isChosen,
  tick,
}: {
  index: number;
  measure: Measure;
  row: MemberRow;
  isChosen: boolean;
  tick: (id: string, on: boolean, isRange: boolean) => void;
}) {
  const { building, computed, units } = useProject();
  const { selected, select, sheet } = useView();
  const isConcrete = (building.beams.get(member.id) ?? building.columns.get(member.id))?.material === 'concrete';
  return (
    <tr
      ref={measure}
      data-index={index}
      aria-selected={member.id === selected}
      onClick={() => select(member.id)}
      className="cursor-pointer"
    >
      <td className="align-middle!" onClick={(event) => event.stopPropagation()}>
        <input
          type="checkbox"
          className="accent-oxide"
          aria-label={`Choose ${member.mark}`}
          checked={isChosen}
          onChange={(event) => tick(member.id, event.target.checked, (event.nativeEvent as MouseEvent).shiftKey)}
        />
      </td>
      <td className="num text-soft">{numbersOf(computed.takedown).get(ledger.id) || '—'}</td>
      <td className="whitespace-nowrap">
        <button type="button" className="font-semibold" onClick={() => select(member.id)}>
          {member.mark}
        </button>
        {ledger.transfer && member.kind === 'beam' ? <span className="ml-1 text-[12px] text-soft">transfer</span> : null}
      </td>
      <td className="text-soft">{levelNameOf(building, member.id)}</td>
      <td className="whitespace-nowrap">
        {member.section ? (
          <span title={member.section}>{shapeName(building.brief, member.section)}</span>
        ) : (
          <span className="text-soft">{member.kind === 'truss' ? 'truss' : isConcrete ? 'concrete' : '—'}</span>
        )}
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
}
