import { useMemo } from 'react';
import { notDesignedByWhat } from '@plinth/core';
import { useProject, useView } from '../project/context';

/** Marks that are named of each kind; the others are counted. */
const NAMED = 12;

/** What is taken down and has no verdict, kind by kind: nobody should look for it among what is checked. */
export function NotDesignedList() {
  const { building } = useProject();
  const { select } = useView();
  const entries = useMemo(() => notDesignedByWhat(building), [building]);
  if (entries.length === 0) return null;
  return (
    <section aria-label="Not designed here" className="border-t border-rule py-1 text-[12.5px] text-soft">
      <span className="font-semibold">Taken down, not designed here:</span>{' '}
      {entries.map(({ what, members }, i) => (
        <span key={what}>
          {i > 0 ? '; ' : ''}
          {what}{' '}
          {members.slice(0, NAMED).map(({ id, mark }, n) => (
            <span key={id}>
              {n > 0 ? ', ' : ''}
              <button type="button" className="hover:text-oxide hover:underline" onClick={() => select(id)}>
                {mark}
              </button>
            </span>
          ))}
          {members.length > NAMED ? ` and ${members.length - NAMED} more` : ''}
        </span>
      ))}
      .
    </section>
  );
}
