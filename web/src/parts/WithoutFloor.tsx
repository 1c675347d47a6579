import { useMemo } from 'react';
import { contextOf, withoutFloor, type Building, type Takedown } from '@plinth/core';
import { StateWord } from './Ladder';

/** What a beam that counts on the floor comes to without it; nothing for any other. */
export function WithoutFloor({ building, takedown, id }: { building: Building; takedown: Takedown; id: string }) {
  const check = useMemo(() => withoutFloor(contextOf(building, takedown), id), [building, takedown, id]);
  if (!check) return null;
  return (
    <p className="mt-2 border-l-2 border-oxide pl-2 text-[12.5px]" aria-label="Without the floor">
      It counts on the floor to hold its top flange. Without it, held at its supports only: {check.name.toLowerCase()}{' '}
      <b className="font-semibold">{check.utilisation?.toFixed(2) ?? ''}</b> <StateWord state={check.verdict} />
      {check.verdict === 'unproven' ? `: ${check.reason}` : null}.
    </p>
  );
}
