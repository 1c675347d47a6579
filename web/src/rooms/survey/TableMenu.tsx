import { DropdownMenu } from 'radix-ui';
import { useRef, useState } from 'react';
import { cellsOf, isPlaced, isScheduled, readSchedule, scheduleCsv, type Item, type ReadSchedule, type ScheduledKind } from '@plinth/core';
import type { DxfDrawing } from '@plinth/core/dxf';
import { toast } from 'sonner';
import { Question } from '../../parts/Question';
import { saveText } from '../../parts/saveText';
import { useProject, useAllItems } from '../../project/context';
import { freshId, useEdit } from '../../project/useEdit';
import { ReadDxf } from './ReadDxf';
import { readDxfFile } from './drawings';
import { makeItem, newLoad } from './make';

/** Faults that are listed; the others are counted. */
const LISTED = 40;

/** Reads cells into a schedule after showing what would change; what the clipboard and files hold goes the same way. */
export function useScheduleReading(kind: string, level: string) {
  const { building } = useProject();
  const items = useAllItems();
  const [found, setFound] = useState<{ readonly kind: ScheduledKind; readonly read: ReadSchedule } | null>(null);
  const read = (source: string) => {
    if (!isScheduled(kind)) return;
    const make = (): Item => {
      const origin = { x: 0, y: 0 };
      if (kind === 'load') return newLoad(building, null) ?? fail('There is no member that a load could act on.');
      if (kind === 'panel' && building.buildUps.size === 0) fail('A panel needs a load build-up: write one in Brief.');
      if (!isPlaced(kind)) return fail('It is drawn on the plan.');
      return makeItem(building, kind, level, kind === 'panel' ? [origin, origin, origin] : [origin, origin]);
    };
    try {
      const all = [...items.values()].map(({ id, kind: of, body }) => ({ id, kind: of, body }) as Item);
      // every new row starts from the same item, under an id of its own
      const sample = make();
      const defaults = { make: () => ({ ...sample, id: freshId(kind) }) };
      setFound({ kind, read: readSchedule(building, all, kind, cellsOf(source), defaults) });
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  const question = found ? <Preview {...found} close={() => setFound(null)} /> : null;
  return { read, question };
}

function fail(message: string): never {
  throw new Error(message);
}

/** What would change, and what cannot be read, before anything is done. */
function Preview({
  read: { items, added, changed, same, faults, unknown },
  close,
}: {
  kind: ScheduledKind;
  read: ReadSchedule;
  close: () => void;
}) {
  const { put, quietly } = useEdit();
  const say = (count: number, what: string) => (count > 0 ? `${count} ${what}` : null);
  const parts = [say(added, 'new'), say(changed, 'changed'), say(same, 'as they are')].filter(Boolean);
  const summary = [say(added, 'added'), say(changed, 'changed')].filter(Boolean).join(', ');
  return (
    <Question title="Read into the schedule" close={close}>
      <p>{parts.length > 0 ? `${parts.join(', ')}.` : 'No row can be read.'}</p>
      {unknown.length > 0 ? <p className="text-soft">Columns that the schedule does not have: {unknown.join(', ')}.</p> : null}
      {faults.length > 0 ? (
        <>
          <p className="mt-2 text-oxide" role="alert">
            {faults.length === 1 ? 'One cell' : `${faults.length} cells`} cannot be read;{' '}
            {faults.length === 1 ? 'its row stays' : 'their rows stay'} out:
          </p>
          <ul className="mt-1 text-[13px]">
            {faults.slice(0, LISTED).map(({ row, column, message }, i) => (
              <li key={i}>
                row {row}, <b className="font-semibold">{column}</b>: {message}
              </li>
            ))}
            {faults.length > LISTED ? <li className="text-soft">and {faults.length - LISTED} more</li> : null}
          </ul>
        </>
      ) : null}
      <div className="mt-4 flex gap-2">
        <button
          type="button"
          className="btn btn-main"
          disabled={items.length === 0}
          onClick={() => {
            close();
            quietly(put(items, `Schedule read: ${summary}`));
          }}
        >
          {faults.length > 0 && items.length > 0 ? `Put in the ${items.length} that can be read` : 'Put them in'}
        </button>
        <button type="button" className="btn" onClick={close}>
          Cancel
        </button>
      </div>
    </Question>
  );
}

/** The schedule as a file, in and out. */
export function TableMenu({ kind, level, read }: { kind: string; level: string; read: (source: string) => void }) {
  const { building } = useProject();
  const items = useAllItems();
  const { quietly } = useEdit();
  const input = useRef<HTMLInputElement>(null);
  const [dxf, setDxf] = useState<DxfDrawing | null>(null);
  const choose = async (file: File) => {
    if (file.size > 50e6) throw new Error('The file is larger than 50 MB.');
    if (/\.dxf$/i.test(file.name)) setDxf(await readDxfFile(await file.text()));
    else read(await file.text());
  };
  const levelName = building.levels.find(({ id }) => id === level)?.body.name ?? '';
  const entry = 'cursor-pointer px-3 py-1 outline-none data-[highlighted]:bg-oxidewash data-[highlighted]:text-oxide';
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className="px-2 text-[13px] whitespace-nowrap text-soft hover:text-ink">Table ▾</DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" className="z-10 border border-faint bg-panel py-1 text-[13px] shadow-lg">
            <DropdownMenu.Item className={entry} onSelect={() => input.current?.click()}>
              Read CSV or DXF…
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className={entry}
              disabled={!isScheduled(kind)}
              onSelect={() => {
                const all = [...items.values()].map(({ id, kind: of, body }) => ({ id, kind: of, body }) as Item);
                if (isScheduled(kind)) saveText(`${kind}-schedule.csv`, 'text/csv', scheduleCsv(building, all, kind));
              }}
            >
              Save this schedule as CSV
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className={entry}
              onSelect={() =>
                quietly(
                  import('@plinth/core/dxf').then(({ planDxf }) =>
                    saveText(`plan-${levelName}.dxf`, 'image/vnd.dxf', planDxf(building, level)),
                  ),
                )
              }
            >
              Save the plan of {levelName} as DXF
            </DropdownMenu.Item>
            <p className="max-w-60 px-3 pt-1 text-[12px] text-soft">Rows copied in a spreadsheet are pasted into the table with Ctrl V.</p>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <input
        ref={input}
        type="file"
        accept=".csv,.tsv,.txt,text/csv,.dxf"
        className="sr-only"
        tabIndex={-1}
        aria-label="Schedule to read"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) quietly(choose(file));
        }}
      />
      {dxf ? <ReadDxf dxf={dxf} level={level} close={() => setDxf(null)} /> : null}
    </>
  );
}
