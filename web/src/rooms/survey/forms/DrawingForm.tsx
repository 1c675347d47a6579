import { useMemo, useState } from 'react';
import { formatQuantity, scaleByRatio, type LaidDrawing } from '@plinth/core';
import { CheckField, NumberField, QuantityField, TextField } from '../../../parts/fields';
import { PanelHead } from '../../../parts/SidePanel';
import { useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { useOpened } from '../drawings';
import type { Of } from './common';

/** A drawing under the plan: its scale by ratio and paper, its place, its fading. By two points it is scaled on the plan. */
export function DrawingForm({ item }: { item: Of<'drawing'> }) {
  const { building, units } = useProject();
  const { patch, remove, quietly } = useEdit();
  const { body } = item;
  // a PDF says how large its paper is; a picture does not: A3
  const [paper, setPaper] = useState(body.format === 'pdf' ? (body.width / 72) * 25.4 : 420);
  /** The ratio that the scale comes to on such paper, while nobody types another. */
  const [typed, setTyped] = useState<number | null>(null);
  const ratio = typed ?? (body.scale * body.width) / paper;
  const set = (change: Partial<LaidDrawing>, what: string) => patch(item, change, `${body.name}: ${what}`);
  return (
    <div className="space-y-3">
      <PanelHead mark={body.name} what="drawing">
        under {building.levels.find((level) => level.id === body.level)?.body.name};{' '}
        {formatQuantity(body.width * body.scale, 'length', units)} by {formatQuantity(body.height * body.scale, 'length', units)} on plan
      </PanelHead>
      {body.format === 'dxf' ? <Layers item={item} /> : null}
      <section aria-label="Scale">
        <h3 className="label">Scale</h3>
        <p className="text-[13px] text-soft">{body.scaleSource}</p>
        {body.format === 'dxf' ? (
          <NumberField
            label="A drawing unit, mm"
            value={body.scale}
            commit={(scale) => set({ scale, scaleSource: `typed: a unit is ${scale} mm` }, 'scale set')}
          />
        ) : (
          <div className="grid grid-cols-[5rem_1fr_auto] items-end gap-2">
            <NumberField
              label="1 :"
              value={+ratio.toPrecision(4)}
              commit={(value) => {
                if (!(value > 0)) throw new Error('a number greater than 0');
                setTyped(value);
              }}
            />
            <QuantityField label="width of the paper" kind="sectionLength" value={paper} commit={setPaper} />
            <button
              type="button"
              className="btn"
              onClick={() => {
                const source = `1:${+ratio.toPrecision(4)} on ${Math.round(paper)} mm of paper`;
                quietly(
                  set({ scale: scaleByRatio(ratio, paper, body.width), scaleSource: source }, 'scale set').then(() => setTyped(null)),
                );
              }}
            >
              Set scale
            </button>
          </div>
        )}
        <p className="text-[13px] text-soft">
          Or press K on the plan, click two points of the drawing whose distance is written on it, and type that distance. A print that was
          scanned or fitted to a page has no ratio to trust. J brings a point of it to its place on plan, Q squares a sheet that lies askew.
        </p>
      </section>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField label="Middle, x" kind="position" value={body.at.x} commit={(x) => set({ at: { ...body.at, x } }, 'moved')} />
        <QuantityField label="Middle, y" kind="position" value={body.at.y} commit={(y) => set({ at: { ...body.at, y } }, 'moved')} />
        <QuantityField label="Turned by" kind="angle" value={body.turn} commit={(turn) => set({ turn }, 'turned')} />
        <NumberField label="Strength, 0.05 to 1" value={body.opacity} commit={(opacity) => set({ opacity }, 'faded')} />
      </div>
      <CheckField label="locked in its place" value={body.locked} commit={(locked) => set({ locked }, locked ? 'locked' : 'unlocked')} />
      <TextField label="Name" value={body.name} commit={(name) => set({ name }, `renamed to ${name}`)} />
      <button type="button" className="btn" onClick={() => quietly(remove([item.id], `${body.name} taken away`))}>
        Take the drawing away
      </button>
    </div>
  );
}

/** The layers of a DXF, each shown or not. */
function Layers({ item }: { item: Of<'drawing'> }) {
  const { patch } = useEdit();
  const { body } = item;
  const file = useOpened(useMemo(() => [item], [item])).get(item.id);
  if (!file) return <p className="text-soft">Reading the drawing…</p>;
  if ('failed' in file) return <p className="text-oxide">{file.failed}</p>;
  if (!('dxf' in file)) return null;
  return (
    <section aria-label="Layers">
      <h3 className="label">Layers</h3>
      {file.dxf.layers.map(({ name }) => (
        <CheckField
          key={name}
          label={name}
          value={!body.hiddenLayers.includes(name)}
          commit={(shown) =>
            patch(
              item,
              { hiddenLayers: shown ? body.hiddenLayers.filter((other) => other !== name) : [...body.hiddenLayers, name] },
              `${body.name}: layer ${name} ${shown ? 'shown' : 'hidden'}`.slice(0, 200),
            )
          }
        />
      ))}
    </section>
  );
}
