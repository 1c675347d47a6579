import { useState } from 'react';
import { waysOf, type Candidate, type Outcome, shapeName } from '@plinth/core';
import { useProject, useStore } from '../../project/context';
import { useEdit } from '../../project/useEdit';

/** The present section and the lightest that carries, were the member held otherwise, of another grade, or judged by other rules or codes. */
export function WhatIf({ id, kind }: { id: string; kind: 'beam' | 'column' }) {
  const store = useStore();
  const { quietly } = useEdit();
  const { building, computed } = useProject();
  const [found, setFound] = useState<{ of: unknown; rows: readonly Outcome[]; total: number } | null>(null);
  const isCurrent = found !== null && found.of === computed;
  const busy = isCurrent && found.rows.length < found.total;
  const ask = async () => {
    const ways = waysOf(building, id);
    const rows: Outcome[] = [];
    setFound({ of: computed, rows, total: ways.length });
    for (const way of ways) {
      rows.push(await store.engine.whatIf(id, way));
      setFound({ of: computed, rows: [...rows], total: ways.length });
    }
  };
  return (
    <section aria-label="What if" className="mt-4 border-t border-rule pt-2">
      <h3 className="label">What if</h3>
      {isCurrent ? (
        <>
          <table className="grid-table mt-1 text-[13px]">
            <thead>
              <tr>
                <th>This {kind}</th>
                <th className="num">Use now</th>
                <th>Lightest that carries</th>
              </tr>
            </thead>
            <tbody>
              {found.rows.map(({ title, kind: way, present, lightest }) => (
                <tr key={title} className={way === 'as it is' ? 'font-semibold' : ''}>
                  <td className={way === 'as it is' ? '' : 'text-soft'}>{title}</td>
                  <td className="num">{shownUse(present)}</td>
                  <td>{lightest ? shapeName(building.brief, lightest.designation) : 'none of the usual'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {busy ? (
            <p role="status" className="text-[12px] text-soft">
              {found.rows.length} of {found.total} tried…
            </p>
          ) : (
            <p className="text-[12px] text-soft">
              The loads stay as they were taken down. Codes of other materials are tried in their own usual grade; imposed loads are not
              changed to those of other codes.
            </p>
          )}
        </>
      ) : (
        <button type="button" className="btn-line mt-1" onClick={() => quietly(ask())}>
          Held otherwise, of another grade, by other rules or codes
        </button>
      )}
    </section>
  );
}

const shownUse = (candidate: Candidate | null) => (candidate === null ? '' : (candidate.utilisation?.toFixed(2) ?? 'unproven'));
