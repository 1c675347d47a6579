import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useProjectPart, useStore } from '../project/context';

/** Whether everything is saved; when it is not, how many edits wait here and what can be done about it. */
export function SaveBadge() {
  const store = useStore();
  const save = useProjectPart((state) => state.save);
  const unsent = useProjectPart((state) => state.unsent);
  const isKept = useProjectPart((state) => state.isKept);
  const [asks, setAsks] = useState(false);
  if (save !== 'not saved')
    return (
      <span role="status" className={save === 'saved' ? 'text-good' : 'font-semibold text-oxide'}>
        {save}
      </span>
    );
  return (
    <Popover.Root onOpenChange={() => setAsks(false)}>
      <Popover.Trigger asChild>
        <button type="button" className="font-semibold text-oxide underline decoration-dotted underline-offset-2">
          <span role="status">not saved{unsent > 0 ? ` (${unsent} ${unsent === 1 ? 'edit' : 'edits'})` : ''}</span>
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content side="top" align="end" sideOffset={6} className="z-30 w-80 border border-faint bg-panel p-3 text-[13px] shadow-lg">
          <p>
            The server cannot be reached. {unsent === 1 ? 'One edit is' : `${unsent} edits are`} kept in{' '}
            {isKept ? 'this browser, over a reload too, and sent as soon as it answers' : 'this window only: do not close it'}.
          </p>
          <div className="mt-3 flex gap-2">
            <button type="button" className="btn" onClick={store.sendNow}>
              Send now
            </button>
            <button type="button" className="btn-line" onClick={() => (asks ? void store.discardUnsent() : setAsks(true))}>
              {asks ? `Yes, give ${unsent === 1 ? 'it' : `all ${unsent}`} up for good` : unsent === 1 ? 'Give it up…' : 'Give them up…'}
            </button>
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
