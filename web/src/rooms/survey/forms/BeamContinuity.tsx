import { planLength, type Beam } from '@plinth/core';
import { NumberField, QuantityField } from '../../../parts/fields';
import { PlacesField } from '../../../parts/PlacesField';
import { useEdit } from '../../../project/useEdit';
import type { Of } from './common';

type Stretch = Beam['stretches'][number];

/** Where the beam is released in bending, and where it is stiffer, or less stiff, than its section. */
export function BeamContinuity({ item }: { item: Of<'beam'> }) {
  const { patch, quietly } = useEdit();
  const { body } = item;
  const length = planLength(body);
  const hinges = (places: number[]) => patch(item, { hinges: places }, `${body.mark}: hinges`);
  const stretches = (list: Stretch[]) => patch(item, { stretches: list }, `${body.mark}: stretches of other stiffness`);
  const change = (i: number, one: Partial<Stretch>) => stretches(body.stretches.map((old, j) => (j === i ? { ...old, ...one } : old)));
  // after the last one, half of what is left
  const next = (): Stretch => {
    const from = Math.max(0, ...body.stretches.map(({ to }) => to));
    return { from, to: from + (length - from) / 2, factor: 2 };
  };
  const isFull = next().to - next().from < 10;
  return (
    <section aria-label="Continuity" className="mt-2">
      <PlacesField label="Hinges at" value={body.hinges} most={length} commit={hinges} />
      {body.hinges.length === 0 && !body.supports.some(({ fixed }) => fixed) ? (
        <p className="text-[12px] text-soft">Its ends turn freely; it runs through over inner supports.</p>
      ) : null}
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
      {isFull ? null : (
        <button type="button" className="btn-line mt-1" onClick={() => quietly(stretches([...body.stretches, next()]))}>
          Add a stretch of other stiffness
        </button>
      )}
    </section>
  );
}
