import { formatQuantity, newStrip, planLength, roundedUp, type Beam } from '@plinth/core';
import { QuantityField, SelectField, TextField } from '../../../parts/fields';
import { useItems, useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import type { Of } from './common';

/** The strips of floor or roof that a beam or truss carries. */
export function Strips({ item }: { item: Of<'beam'> | Of<'truss'> }) {
  const { patch, quietly } = useEdit();
  const buildUps = useItems('buildUp').map(({ id, body }) => ({ value: id, label: body.name }));
  const { body } = item;
  const length = planLength(body);
  const set = (change: Pick<Beam, 'strips'>, what: string) => patch(item, change, `${body.mark}: ${what}`);
  const strip = (i: number, change: Partial<Beam['strips'][number]>) =>
    set({ strips: body.strips.map((old, j) => (j === i ? { ...old, ...change } : old)) }, 'strip changed');
  return (
    <section aria-label="Strips">
      <h3 className="label">Carries strips of</h3>
      {body.strips.map((entry, i) => (
        <div key={i} className="mt-2 grid grid-cols-2 gap-x-3 gap-y-1 border-l-2 border-rule pl-2">
          <SelectField label="Build-up" value={entry.buildUp} commit={(buildUp) => strip(i, { buildUp })} options={buildUps} />
          <TextField label="Name" value={entry.label} commit={(label) => strip(i, { label })} />
          <QuantityField label="from" kind="length" value={entry.from} commit={(from) => strip(i, { from })} />
          <QuantityField label="to" kind="length" value={entry.to} commit={(to) => strip(i, { to })} />
          <QuantityField
            label="width at start"
            kind="length"
            value={entry.widthStart}
            commit={(widthStart) => strip(i, { widthStart, exactStart: null })}
          />
          <QuantityField
            label="width at end"
            kind="length"
            value={entry.widthEnd}
            commit={(widthEnd) => strip(i, { widthEnd, exactEnd: null })}
          />
          <RoundUp strip={entry} commit={(change) => strip(i, change)} />
          <QuantityField label="pitch" kind="angle" value={entry.pitch} commit={(pitch) => strip(i, { pitch })} />
          <button
            type="button"
            className="self-end text-left text-[12px] text-soft hover:text-oxide"
            onClick={() => quietly(set({ strips: body.strips.filter((_, j) => j !== i) }, 'strip taken away'))}
          >
            Take away
          </button>
        </div>
      ))}
      {buildUps.length ? (
        <button
          type="button"
          className="btn-line mt-1"
          onClick={() =>
            quietly(
              set(
                {
                  strips: [
                    ...body.strips,
                    newStrip({ buildUp: buildUps[0]!.value, from: 0, to: length, widthStart: 1000, widthEnd: 1000 }),
                  ],
                },
                'strip added',
              ),
            )
          }
        >
          Add a strip
        </button>
      ) : (
        <p className="text-[13px] text-soft">Strips need a load build-up: write one in Brief.</p>
      )}
    </section>
  );
}

/** Rounds the widths of a strip up, and keeps the exact ones beside them. */
function RoundUp({ strip, commit }: { strip: Beam['strips'][number]; commit: (change: Partial<Beam['strips'][number]>) => Promise<void> }) {
  const { units } = useProject();
  const { quietly } = useEdit();
  const { widthStart, widthEnd, exactStart, exactEnd } = strip;
  const say = (mm: number) => formatQuantity(mm, 'length', units);
  if (exactStart !== null || exactEnd !== null)
    return (
      <p className="col-span-2 text-[12px] text-soft">
        rounded up from {say(exactStart ?? widthStart)}
        {exactEnd !== null && exactEnd !== exactStart ? ` and ${say(exactEnd)}` : ''}{' '}
        <button
          type="button"
          className="btn-line"
          onClick={() =>
            quietly(commit({ widthStart: exactStart ?? widthStart, widthEnd: exactEnd ?? widthEnd, exactStart: null, exactEnd: null }))
          }
        >
          use the exact width
        </button>
      </p>
    );
  const step = units === 'SI' ? 100 : 152.4;
  const [start, end] = [roundedUp(widthStart, step), roundedUp(widthEnd, step)];
  if (Math.abs(start - widthStart) < 0.1 && Math.abs(end - widthEnd) < 0.1) return null;
  return (
    <button
      type="button"
      className="btn-line col-span-2 text-left text-[12px]"
      onClick={() =>
        quietly(
          commit({
            widthStart: start,
            widthEnd: end,
            exactStart: start === widthStart ? null : widthStart,
            exactEnd: end === widthEnd ? null : widthEnd,
          }),
        )
      }
    >
      round up to {say(start)}
      {end === start ? '' : ` and ${say(end)}`}, the exact width on record
    </button>
  );
}
