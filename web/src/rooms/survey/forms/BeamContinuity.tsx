import { planLength, type Beam } from '@plinth/core';
import { NumberField, QuantityField } from '../../../parts/fields';
import { PlacesField } from '../../../parts/PlacesField';
import { useEdit } from '../../../project/useEdit';
import type { Of } from './common';

type Stretch = Beam['stretches'][number];

/** Lengths of a beam that no stretch takes, shorter ones than 20 mm left out. */
function gaps(taken: readonly Stretch[], length: number): { readonly from: number; readonly to: number }[] {
  const sorted = [...taken].sort((a, b) => a.from - b.from);
  const starts = [0, ...sorted.map(({ to }) => to)];
  return starts.map((from, i) => ({ from, to: sorted[i]?.from ?? length })).filter(({ from, to }) => to - from >= 20);
}

/** Where the beam is released in bending, and where it is stiffer, or less stiff, than its section. */
export function BeamContinuity({ item }: { item: Of<'beam'> | Of<'truss'> }) {
  const { patch, quietly } = useEdit();
  const { body } = item;
  const length = planLength(body);
  const hinges = (places: number[]) => patch(item, { hinges: places }, `${body.mark}: hinges`);
  const stretches = (list: Stretch[]) => patch(item, { stretches: list }, `${body.mark}: stretches of other stiffness`);
  const change = (i: number, one: Partial<Stretch>) => stretches(body.stretches.map((old, j) => (j === i ? { ...old, ...one } : old)));
  const free = gaps(body.stretches, length)[0];
  return (
    <section aria-label="Continuity" className="mt-2">
      <PlacesField label="Hinges at" value={body.hinges} most={length} commit={hinges} />
      {body.hinges.length === 0 && !body.supports.some(({ fixed }) => fixed) ? (
        <p className="text-[12px] text-soft">Its ends turn freely; it runs through over inner supports.</p>
      ) : null}
      {body.stretches.length > 0 ? <h4 className="mt-2 text-[12px] text-soft">Stretches of other stiffness</h4> : null}
      {body.stretches.map((stretch, i) => (
        <div key={i} className="mt-2 grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2 border-l-2 border-rule pl-2">
          <QuantityField label="from" kind="length" value={stretch.from} commit={(from) => change(i, { from })} />
          <QuantityField label="to" kind="length" value={stretch.to} commit={(to) => change(i, { to })} />
          <NumberField label="times EI" value={stretch.factor} commit={(factor) => change(i, { factor })} />
          <button
            type="button"
            className="text-[12px] text-soft hover:text-oxide"
            onClick={() => quietly(stretches(body.stretches.filter((_, j) => j !== i)))}
          >
            Take away
          </button>
        </div>
      ))}
      {free ? (
        <button
          type="button"
          className="btn-line mt-1"
          // the first half of what is free, for its ends to be typed over
          onClick={() => quietly(stretches([...body.stretches, { from: free.from, to: (free.from + free.to) / 2, factor: 2 }]))}
        >
          Add a stretch of other stiffness
        </button>
      ) : null}
    </section>
  );
}
