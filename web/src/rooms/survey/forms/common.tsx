import { useState } from 'react';
import { beside, isLineItem, joinLines, joinPanels, marksOf, MATERIALS, type Item, type LineItem, type Made } from '@plinth/core';
import { NumberField, QuantityField, SelectField } from '../../../parts/fields';
import { useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { copiedItems } from '../make';

export type Of<K extends Item['kind']> = Extract<Item, { kind: K }>;

export const STATUS = ['new', 'existing', 'removed'].map((value) => ({ value, label: value }));

export const TRANSFER = [
  { value: 'auto', label: 'by what it carries' },
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
];

const MATERIAL_WORDS: Record<Made['material'], string> = {
  steel: 'steel',
  concrete: 'concrete',
  loadOnly: 'load only',
};

/** What follows for a member of another material than steel. */
export function MaterialNote({ material }: Pick<Made, 'material'>) {
  if (material === 'steel') return null;
  return (
    <p className="text-[13px] text-soft">
      {material === 'concrete'
        ? 'Members of concrete are not verified here: its loads are taken down.'
        : 'Its loads are taken down here; it is designed elsewhere and has no verdict.'}
    </p>
  );
}

/** Of what a member is made. What was chosen of a section goes with the steel; undo brings it back. */
export function MaterialField({ item }: { item: Of<'beam'> | Of<'column'> }) {
  const { patch } = useEdit();
  const { mark, material } = item.body;
  return (
    <SelectField
      label="Made of"
      value={material}
      commit={(chosen) => {
        const made = chosen as Made['material'];
        return patch(
          item as Of<'beam'>,
          made === 'steel' ? { material: made } : { material: made, section: null, grade: null },
          `${mark}: ${MATERIAL_WORDS[made]}`,
        );
      }}
      options={MATERIALS.map((value) => ({ value, label: MATERIAL_WORDS[value] }))}
    />
  );
}

/** Own weight: typed, or allowed while no section is chosen. */
export function OwnWeightField({ item }: { item: Of<'beam'> | Of<'truss'> | Of<'column'> | Of<'hanger'> }) {
  const { patch } = useEdit();
  const { body } = item;
  return (
    <QuantityField
      label={'material' in body && body.material === 'steel' ? 'Own weight allowed while no section is chosen' : 'Own weight'}
      kind="lineLoad"
      value={body.ownWeight}
      commit={(ownWeight) => patch(item as Of<'beam'>, { ownWeight }, `${body.mark}: own weight`)}
    />
  );
}

/** Copies what is chosen, once or in a row, each so far from the one before. */
export function CopyForm({ items }: { items: readonly Item[] }) {
  const { building, units } = useProject();
  const { put, quietly } = useEdit();
  const [dx, setDx] = useState(0);
  const [dy, setDy] = useState(units === 'SI' ? 1000 : 1219.2);
  const [times, setTimes] = useState(1);
  const copy = () => {
    const marks = marksOf(building);
    const copies = Array.from({ length: times }, (_, n) => copiedItems(items, building.loads, marks, (n + 1) * dx, (n + 1) * dy)).flat();
    quietly(put(copies, `${copies.length} ${copies.length === 1 ? 'copy' : 'copies'} made`));
  };
  return (
    <section aria-label="Copy" className="border-t border-rule pt-2">
      <h3 className="label">Copy</h3>
      <div className="grid grid-cols-[1fr_1fr_3.5rem_auto] items-end gap-2">
        <QuantityField label="along x" kind="position" value={dx} commit={setDx} />
        <QuantityField label="along y" kind="position" value={dy} commit={setDy} />
        <NumberField
          label="times"
          value={times}
          commit={(value) => {
            if (!Number.isInteger(value) || value < 1 || value > 200) throw new Error('a whole number from 1 to 200');
            setTimes(value);
          }}
        />
        <button type="button" className="btn" onClick={copy}>
          Copy
        </button>
      </div>
    </section>
  );
}

/** Whether imposed load may be reduced in the design of a member; shown only where the brief allows it at all. */
export function ReductionField({ item }: { item: Of<'beam'> | Of<'truss'> | Of<'column'> | Of<'footing'> }) {
  const { brief } = useProject();
  const { patch } = useEdit();
  if (brief.imposedReduction === 'none') return null;
  return (
    <SelectField
      label="Imposed floor load in its design"
      value={item.body.reduction}
      commit={(value) =>
        patch(item as Of<'beam'>, { reduction: value as Of<'beam'>['body']['reduction'] }, `${item.body.mark}: reduction of imposed load`)
      }
      options={[
        { value: 'brief', label: 'reduced as the code allows' },
        { value: 'none', label: 'in full' },
      ]}
    />
  );
}

/** A copy of a line beside itself, square to it. */
export function BesideForm({ item }: { item: LineItem }) {
  const { building, units } = useProject();
  const { put, quietly } = useEdit();
  const [distance, setDistance] = useState(units === 'SI' ? 1000 : 1219.2);
  const copy = () => {
    const [copied, ...loads] = copiedItems([item], building.loads, marksOf(building), 0, 0) as [LineItem, ...Item[]];
    const moved = { ...copied, body: { ...copied.body, ...beside(item.body, distance) } } as Item;
    quietly(put([moved, ...loads], 'Copied beside itself'));
  };
  return (
    <section aria-label="Beside" className="grid grid-cols-[1fr_auto] items-end gap-2">
      <QuantityField label="Beside itself: to the left, or - to the right" kind="position" value={distance} commit={setDistance} />
      <button type="button" className="btn" onClick={copy}>
        Copy beside
      </button>
    </section>
  );
}

/** Two lines that meet end to end, or two panels that touch, as one. */
export function JoinButton({ items }: { items: readonly Item[] }) {
  const { building, store } = useProject();
  const { quietly } = useEdit();
  const [a, b] = items;
  if (!a || !b) return null;
  const join = async () => {
    const joined =
      a.kind === 'panel' && b.kind === 'panel'
        ? joinPanels(a, b)
        : isLineItem(a) && isLineItem(b)
          ? joinLines(a, b, building.brief.reach, building.loads)
          : null;
    if (!joined) throw new Error('Two lines of one kind, or two panels, can be joined.');
    await store.edit('Two joined into one', [
      ...joined.put.map((item) => ({ put: item })),
      ...joined.removed.map((id) => ({ remove: id })),
    ]);
  };
  return (
    <button type="button" className="btn" onClick={() => quietly(join())}>
      Join the two
    </button>
  );
}
