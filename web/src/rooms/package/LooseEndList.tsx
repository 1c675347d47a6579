import { useState } from 'react';
import { caseIn, dismissalKey, formatQuantity, type JudgedLooseEnd } from '@plinth/core';
import { useItems, useProject, useView } from '../../project/context';
import { whoAmI } from '../../project/journal';
import { freshId, useEdit } from '../../project/useEdit';
import { ReasonForm } from './ReasonForm';

/** Loose ends, those still open first; each can be dismissed with a reason that prints. */
export function LooseEndList() {
  const { computed } = useProject();
  const open = computed.looseEnds.filter((end) => !end.dismissed);
  const dismissed = computed.looseEnds.filter((end) => end.dismissed);
  return (
    <>
      {open.length === 0 ? <p className="text-soft">None{dismissed.length ? ' that is open' : ''}.</p> : null}
      <ul>
        {open.map((end) => (
          <OpenEnd key={end.key} end={end} />
        ))}
      </ul>
      {dismissed.length ? (
        <>
          <h3 className="label mt-3">Dismissed</h3>
          <ul>
            {dismissed.map((end) => (
              <DismissedEnd key={end.key} end={end} />
            ))}
          </ul>
        </>
      ) : null}
    </>
  );
}

function OpenEnd({ end }: { end: JudgedLooseEnd }) {
  const { building, units } = useProject();
  const { select } = useView();
  const { put } = useEdit();
  const [writing, setWriting] = useState(false);
  const dismiss = (reason: string) =>
    put(
      [{ id: freshId('answer'), kind: 'answer', body: { key: dismissalKey(end), reason, by: whoAmI() } }],
      `Dismissed: ${end.title}`.slice(0, 200),
      reason,
    );
  const lost = Object.entries(end.byCase).filter(([, value]) => Math.abs(value) > 0.5);
  return (
    <li className="border-b border-rule py-1.5">
      <button type="button" className="text-left font-semibold text-oxide" onClick={() => select(end.item)}>
        {end.title}
      </button>
      <span className="ml-2">{end.why}</span> <span className="text-soft">{end.remedy}</span>
      {lost.length ? (
        <span className="ml-2 text-[13px]">
          {lost.map(([caseId, value]) => `${caseIn(building.cases, caseId).name} ${formatQuantity(value, 'force', units)}`).join(' · ')}
        </span>
      ) : null}{' '}
      {writing ? null : (
        <button type="button" className="btn-line no-print" onClick={() => setWriting(true)}>
          Dismiss…
        </button>
      )}
      {writing ? (
        <ReasonForm label="Why it may be left so; this prints" button="Dismiss" commit={dismiss} close={() => setWriting(false)} />
      ) : null}
    </li>
  );
}

function DismissedEnd({ end }: { end: JudgedLooseEnd }) {
  const { remove, quietly } = useEdit();
  const answers = useItems('answer');
  const again = () => {
    const ids = answers.filter(({ body }) => body.key === dismissalKey(end)).map(({ id }) => id);
    quietly(remove(ids, `Open again: ${end.title}`.slice(0, 200)));
  };
  return (
    <li className="border-b border-rule py-1">
      {end.title}{' '}
      <span className="text-soft">
        {end.dismissed!.reason} ({end.dismissed!.by})
      </span>{' '}
      <button type="button" className="btn-line no-print" onClick={again}>
        Open it again
      </button>
    </li>
  );
}
