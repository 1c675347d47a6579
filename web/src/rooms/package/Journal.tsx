import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { ApiItem } from '@plinth/api';
import { formatQuantity, unitLabel, type Comparison, type Item } from '@plinth/core';
import { NumberField } from '../../parts/fields';
import { api } from '../../project/api';
import { useProject, useStore } from '../../project/context';

/** Entries that are shown; older ones stay in the project. */
const SHOWN = 60;

/** Who did what, when and why; and what two entries do not have alike. */
export function Journal({ id, version }: { id: string; version: number }) {
  const { data } = useQuery({ queryKey: ['journal', id, version], queryFn: () => api.journal(id) });
  const entries = data ?? [];
  return (
    <section className="mt-6 mb-10 max-w-4xl" aria-label="Journal">
      <h2 className="label">Journal</h2>
      <Compare id={id} version={version} />
      <table className="grid-table">
        <thead>
          <tr>
            <th className="num">No.</th>
            <th>When</th>
            <th>Who</th>
            <th>What</th>
            <th>Why</th>
          </tr>
        </thead>
        <tbody>
          {entries.slice(0, SHOWN).map((entry) => (
            <tr key={entry.version}>
              <td className="num text-soft">{entry.version}</td>
              <td className="whitespace-nowrap text-soft">
                {new Date(entry.at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}
              </td>
              <td>{entry.who}</td>
              <td>{entry.summary}</td>
              <td className="text-soft">{entry.reason}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {version > SHOWN ? (
        <p className="text-[13px] text-soft">Older entries, {version - SHOWN}, are kept and can be compared by their number.</p>
      ) : null}
    </section>
  );
}

function Compare({ id, version }: { id: string; version: number }) {
  const { engine } = useStore();
  const [from, setFrom] = useState(1);
  const [to, setTo] = useState<number | null>(null);
  const [percent, setPercent] = useState(5);
  const [found, setFound] = useState<{
    readonly from: number;
    readonly to: number;
    readonly percent: number;
    readonly comparison: Comparison;
  } | null>(null);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const last = to ?? version;
  const entry = (set: (value: number) => void) => (value: number) => {
    if (!Number.isInteger(value) || value < 1 || value > version) throw new Error(`an entry from 1 to ${version}`);
    set(value);
  };
  const compare = async () => {
    setBusy(true);
    setFailed(null);
    try {
      const [before, after] = await Promise.all([api.revision(id, from), api.revision(id, last)]);
      const plain = (list: readonly ApiItem[]) => list.map(({ id: itemId, kind, body }) => ({ id: itemId, kind, body }) as Item);
      const comparison = await engine.compare(plain(before.list), plain(after.list), percent / 100);
      if ('failed' in comparison) setFailed(comparison.failed);
      else setFound({ from, to: last, percent, comparison });
    } catch (error) {
      setFailed((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="mb-3">
      <div className="no-print grid w-[560px] grid-cols-[1fr_1fr_1.6fr_auto] items-end gap-3">
        <NumberField label="Compare entry" value={from} commit={entry(setFrom)} />
        <NumberField label="with entry" value={last} commit={entry(setTo)} />
        <NumberField
          label="reactions moved by more than, %"
          value={percent}
          commit={(value) => {
            if (!(value >= 0 && value <= 1000)) throw new Error('a percentage from 0 to 1000');
            setPercent(value);
          }}
        />
        <button type="button" className="btn" disabled={busy} onClick={() => void compare()}>
          {busy ? 'Comparing…' : 'Compare'}
        </button>
      </div>
      {failed ? (
        <p role="alert" className="text-oxide">
          {failed}
        </p>
      ) : null}
      {found ? <Differences {...found} close={() => setFound(null)} /> : null}
    </div>
  );
}

function Differences({
  from,
  to,
  percent,
  comparison: { items, reactions, looked },
  close,
}: {
  from: number;
  to: number;
  percent: number;
  comparison: Comparison;
  close: () => void;
}) {
  const { units } = useProject();
  const force = (value: number) => formatQuantity(value, 'force', units, { bare: true });
  return (
    <section aria-label="Comparison" className="mt-2 border-l-2 border-oxide pl-3">
      <h3 className="font-semibold">
        From entry {from} to entry {to}{' '}
        <button type="button" className="btn-line no-print ml-2 text-[12px] font-normal" onClick={close}>
          put away
        </button>
      </h3>
      <h4 className="label mt-2">Items changed</h4>
      {items.length === 0 ? <p className="text-soft">None.</p> : null}
      <table className="grid-table text-[13px]">
        <tbody>
          {items.slice(0, 200).map((item) => (
            <tr key={item.id}>
              <td className="font-semibold">{item.name}</td>
              <td className="text-soft">{item.kind}</td>
              <td>{item.change}</td>
              <td>
                {item.fields.map(({ field, before, after }) => (
                  <span key={field} className="block">
                    {field}: <span className="text-soft">{before}</span> → {after}
                  </span>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {items.length > 200 ? <p className="text-soft">and {items.length - 200} more</p> : null}
      <h4 className="label mt-3">
        Reactions moved by more than {percent} %, unfactored <span className="unit">[{unitLabel('force', units)}]</span>
      </h4>
      {reactions.length === 0 ? <p className="text-soft">None of {looked}.</p> : null}
      {reactions.length > 0 ? (
        <table className="grid-table text-[13px]">
          <thead>
            <tr>
              <th>Of</th>
              <th>on</th>
              <th className="num">permanent</th>
              <th className="num">was</th>
              <th className="num">variable</th>
              <th className="num">was</th>
              <th className="num">moved</th>
            </tr>
          </thead>
          <tbody>
            {reactions.slice(0, 200).map(({ member, mark, to: on, before, after, moved }) => (
              <tr key={`${member}>${on}`}>
                <td className="font-semibold">{mark}</td>
                <td>{on}</td>
                <td className="num font-semibold">{force(after.permanent)}</td>
                <td className="num text-soft">{force(before.permanent)}</td>
                <td className="num font-semibold">{force(after.variable)}</td>
                <td className="num text-soft">{force(before.variable)}</td>
                <td className="num">{moved === null ? 'new' : `${(moved * 100).toFixed(moved < 0.1 ? 1 : 0)} %`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      {reactions.length > 200 ? <p className="text-soft">and {reactions.length - 200} more</p> : null}
    </section>
  );
}
