import { useSearchParams } from 'react-router';
import { useProject } from '../../project/context';
import { LedgerPanel } from './LedgerPanel';
import { Order } from './Order';
import { Reactions } from './Reactions';
import { River } from './River';

const VIEWS = [
  { id: 'river', title: 'River' },
  { id: 'reactions', title: 'Reactions' },
  { id: 'order', title: 'Order' },
] as const;
type View = (typeof VIEWS)[number]['id'];

/** The way down: as a river, as the reactions at the ground or at any level, as the order of calculation; and the ledger beside it. */
export function DescentRoom() {
  const { computed } = useProject();
  const [params, setParams] = useSearchParams();
  const view = VIEWS.find(({ id }) => id === params.get('view'))?.id ?? 'river';
  const show = (id: View) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        next.set('view', id);
        return next;
      },
      { replace: true },
    );

  if (computed.takedown.members.size === 0)
    return (
      <div className="p-10">
        <h1 className="text-xl font-bold">Descent</h1>
        <p className="mt-2 max-w-lg">
          There is nothing to take down yet. Write levels and load build-ups in Brief, then place columns, beams and footings in Survey; the
          load river appears here as you type.
        </p>
      </div>
    );

  const views = (
    <div className="no-print flex gap-1 text-[13px]" role="tablist" aria-label="Views of the descent">
      {VIEWS.map(({ id, title }) => (
        <button
          key={id}
          type="button"
          role="tab"
          aria-selected={view === id}
          className={`px-1.5 ${view === id ? 'border-b-2 border-oxide font-semibold' : 'text-soft hover:text-ink'}`}
          onClick={() => show(id)}
        >
          {title}
        </button>
      ))}
    </div>
  );
  return (
    <>
      {view === 'river' ? <River views={views} /> : view === 'reactions' ? <Reactions views={views} /> : <Order views={views} />}
      <LedgerPanel />
    </>
  );
}
