import { useEffect, useMemo, useState } from 'react';
import { useLocation } from 'react-router';
import { allAssumptions, clauseText, formatQuantity, numbersOf, shapeName, STANDARDS, type RecordedAssumption } from '@plinth/core';
import { StateWord } from '../../parts/Ladder';
import { NotDesignedList } from '../../parts/NotDesignedList';
import { LongTable } from '../../parts/LongTable';
import { LooseEndList } from './LooseEndList';
import { BalanceTable } from './BalanceTable';
import { Journal } from './Journal';
import { ReasonForm } from './ReasonForm';
import { useItems, useProject, useProjectPart, useStore, useView } from '../../project/context';
import { freshId, useEdit } from '../../project/useEdit';
import { whoAmI } from '../../project/journal';

/** What is handed over: basis, balance, schedules, assumptions, loose ends, journal; as print, PDF and files. */
export function PackageRoom() {
  const { building, computed, brief, units } = useProject();
  const { id } = useStore();
  const version = useProjectPart((state) => state.version);
  const { openSheet } = useView();
  const { hash } = useLocation();
  const standard = STANDARDS[brief.family];
  const listed = computed.takedown.order.filter((memberId) => computed.designs.has(memberId));
  const assumptions = useMemo(() => allAssumptions(computed.assumptions), [computed.assumptions]);
  const open = assumptions.filter((assumption) => !assumption.answer);
  const confirmed = assumptions.filter((assumption) => assumption.answer);
  useEffect(() => {
    if (hash) document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [hash]);
  return (
    <div className="print-flow min-w-0 flex-1 overflow-y-auto px-8 py-4">
      <div className="flex items-baseline justify-between">
        <h1 className="text-xl font-bold">
          {brief.name} <span className="text-[14px] font-normal text-soft">calculation package, journal entry {version}</span>
        </h1>
        <Exports id={id} />
      </div>
      <p className="mt-2 max-w-4xl border border-oxide px-3 py-2 text-[13px]">
        Design aid. Every number here must be confirmed by a licensed engineer against the codes in force where the building stands. Not
        covered: {standard.notCovered.join('; ')}.
      </p>

      <section className="mt-5 max-w-4xl" aria-label="Balance">
        <h2 className="label">Balance</h2>
        <BalanceTable />
        <Horizontal />
      </section>

      <section id="loose-ends" className="mt-6 max-w-5xl scroll-mt-4" aria-label="Loose ends">
        <h2 className="label">Loose ends</h2>
        <LooseEndList />
      </section>

      <section id="assumptions" className="mt-6 max-w-5xl scroll-mt-4" aria-label="Assumptions">
        <h2 className="label">Assumptions still open</h2>
        {open.length === 0 ? <p className="text-soft">None: every assumption has been confirmed.</p> : null}
        {group(open).map((entry) => (
          <OpenAssumption key={entry.text} {...entry} />
        ))}
        {confirmed.length ? (
          <>
            <h2 className="label mt-4">Confirmed</h2>
            <ul>
              {confirmed.map((assumption) => (
                <ConfirmedAssumption key={assumption.key} assumption={assumption} />
              ))}
            </ul>
          </>
        ) : null}
      </section>

      <section className={`print-flow mt-6 flex max-w-5xl flex-col ${listed.length > 60 ? 'h-[620px]' : ''}`} aria-label="Schedule">
        <h2 className="label">Schedule</h2>
        <LongTable
          label="Schedule of members and pads"
          count={listed.length}
          chosen={-1}
          head={
            <tr>
              <th className="num">No.</th>
              <th>Mark</th>
              <th>Section or size</th>
              <th>Governs</th>
              <th>Clause</th>
              <th className="num">Utilisation</th>
              <th>State</th>
              <th className="no-print">
                <span className="sr-only">Sheet</span>
              </th>
            </tr>
          }
          row={(index, measure) => {
            const memberId = listed[index]!;
            const design = computed.designs.get(memberId)!;
            const pad = computed.designs.footing(memberId);
            const section = computed.designs.member(memberId)?.section;
            return (
              <tr key={memberId} ref={measure} data-index={index}>
                <td className="num text-soft">{numbersOf(computed.takedown).get(memberId) || '—'}</td>
                <td className="font-semibold">{design.mark}</td>
                <td>
                  {pad
                    ? pad.width
                      ? `${formatQuantity(pad.width, 'length', units, { figures: 3, bare: true })} × ${formatQuantity(pad.length, 'length', units, { figures: 3 })}`
                      : '—'
                    : section
                      ? shapeName(brief, section)
                      : '—'}
                </td>
                <td>{design.governing?.name ?? design.reason}</td>
                <td className="text-soft">{design.governing ? clauseText(design.governing.clause) : null}</td>
                <td className="num font-semibold">{design.governing?.utilisation?.toFixed(2) ?? '—'}</td>
                <td>
                  <StateWord state={design.verdict} />
                </td>
                <td className="no-print">
                  <button type="button" className="btn-line" aria-label={`Sheet of ${design.mark}`} onClick={() => openSheet(memberId)}>
                    sheet
                  </button>
                </td>
              </tr>
            );
          }}
        />
        {building.beams.size + building.columns.size + building.footings.size === 0 ? <p className="text-soft">No member yet.</p> : null}
        <NotDesignedList />
      </section>
      <Journal id={id} version={version} />
    </div>
  );
}

function Exports({ id }: { id: string }) {
  const [setting, setSetting] = useState<AbortController | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const pdf = async (paper: 'A4' | 'Letter') => {
    const stop = new AbortController();
    setSetting(stop);
    setFailed(null);
    try {
      const response = await fetch(`/api/projects/${id}/package.pdf?paper=${paper}`, { signal: stop.signal });
      if (!response.ok) throw new Error(`The package could not be set (${response.status}).`);
      const url = URL.createObjectURL(await response.blob());
      const link = document.createElement('a');
      link.href = url;
      link.download = `${id}-package.pdf`;
      link.click();
      setTimeout(() => URL.revokeObjectURL(url), 60_000);
    } catch (error) {
      if (!stop.signal.aborted) setFailed((error as Error).message);
    } finally {
      setSetting(null);
    }
  };
  return (
    <div className="no-print flex items-center gap-2">
      {failed ? (
        <span role="alert" className="text-oxide">
          {failed}
        </span>
      ) : null}
      {setting ? (
        <>
          <span role="status" className="text-soft">
            Setting every sheet; this takes a while…
          </span>
          <button type="button" className="btn" onClick={() => setting.abort()}>
            Stop
          </button>
        </>
      ) : (
        <>
          <button type="button" className="btn btn-main" onClick={() => void pdf('A4')}>
            PDF, A4
          </button>
          <button type="button" className="btn" onClick={() => void pdf('Letter')}>
            PDF, Letter
          </button>
          <button type="button" className="btn" onClick={() => window.print()}>
            Print this
          </button>
        </>
      )}
      <a className="btn-line" href={`/api/projects/${id}/export`}>
        project file
      </a>
      <a className="btn-line" href={`/api/projects/${id}/reactions.csv`}>
        reactions, CSV
      </a>
      <a className="btn-line" href={`/api/projects/${id}/members.csv`}>
        members, CSV
      </a>
      <a className="btn-line" href={`/api/projects/${id}/order.csv`}>
        order, CSV
      </a>
    </div>
  );
}

/** Horizontal load is counted, and resisted by what somebody has named. */
function Horizontal() {
  const { building, computed, units } = useProject();
  const force = (value: number) => formatQuantity(value, 'force', units);
  const answer = building.answers.get('project:stability');
  const { horizontal } = computed.takedown;
  return (
    <p className="mt-1 text-[13px]">
      <b className="font-semibold">Horizontal</b>:{' '}
      {horizontal.length === 0
        ? 'none is applied here.'
        : horizontal.map(({ loadCase, east, north }) => `${loadCase.name} ${force(east)} east, ${force(north)} north`).join('; ') +
          '.'}{' '}
      <span className={answer ? 'text-soft' : 'text-oxide'}>
        {answer ? `Resisted by: ${answer.reason} (${answer.by}); not calculated here.` : 'What resists wind and sway has not been said.'}
      </span>
    </p>
  );
}

/** Marks that are named one by one. */
const NAMED = 60;

interface Group {
  readonly text: string;
  readonly reason: string;
  readonly list: readonly RecordedAssumption[];
}

/** Assumptions of one wording together: they are confirmed together or one by one. */
function group(list: readonly RecordedAssumption[]): Group[] {
  const groups = new Map<string, { text: string; reason: string; list: RecordedAssumption[] }>();
  for (const assumption of list) {
    const held = groups.get(assumption.text) ?? { text: assumption.text, reason: assumption.reason, list: [] };
    held.list.push(assumption);
    groups.set(assumption.text, held);
  }
  return [...groups.values()];
}

function OpenAssumption({ text, reason, list }: Group) {
  const { put } = useEdit();
  const [writing, setWriting] = useState(false);
  const marks = list.map((assumption) => assumption.mark);
  const confirm = (why: string) =>
    put(
      list.map((assumption) => ({ id: freshId('answer'), kind: 'answer', body: { key: assumption.key, reason: why, by: whoAmI() } })),
      `Confirmed: ${text} (${marks.length === 1 ? marks[0] : `${marks.length} places`})`.slice(0, 200),
      why,
    );
  return (
    <div className="border-b border-rule py-1.5">
      <p>
        <b className="font-semibold">{text}</b> <span className="text-soft">{reason}</span>
      </p>
      <p className="text-[13px] text-soft">
        {marks.length > NAMED ? `${marks.slice(0, NAMED).join(', ')} and ${marks.length - NAMED} more` : marks.join(', ')}{' '}
        {writing ? null : (
          <button type="button" className="btn-line no-print" onClick={() => setWriting(true)}>
            Confirm…
          </button>
        )}
      </p>
      {writing ? (
        <ReasonForm
          label="Why it may be taken so"
          button={`Confirm${list.length > 1 ? ` in ${list.length} places` : ''}`}
          commit={confirm}
          close={() => setWriting(false)}
        />
      ) : null}
    </div>
  );
}

function ConfirmedAssumption({ assumption }: { assumption: RecordedAssumption }) {
  const answers = useItems('answer');
  const { remove, quietly } = useEdit();
  const ids = answers.filter((answer) => answer.body.key === assumption.key).map((answer) => answer.id);
  return (
    <li className="border-b border-rule py-1">
      <b className="font-semibold">{assumption.mark}</b> {assumption.text}{' '}
      <span className="text-soft">
        {assumption.answer!.reason} ({assumption.answer!.by})
      </span>{' '}
      <button
        type="button"
        className="btn-line no-print"
        onClick={() => quietly(remove(ids, `Opened again: ${assumption.mark}, ${assumption.text}`.slice(0, 200)))}
      >
        open again
      </button>
    </li>
  );
}
