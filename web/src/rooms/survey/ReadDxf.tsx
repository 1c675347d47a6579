import { marksOf, PLACED } from '@plinth/core';
import { useEffect, useMemo, useState } from 'react';
import type * as DxfDoor from '@plinth/core/dxf';
import type { DxfDrawing, LayerKind, LayerKinds } from '@plinth/core/dxf';
import { Question } from '../../parts/Question';
import { NumberField } from '../../parts/fields';
import { useProject } from '../../project/context';
import { freshId, nextMark, useEdit } from '../../project/useEdit';

const KINDS: readonly { readonly value: LayerKind; readonly label: string }[] = [
  { value: 'beam', label: 'beams' },
  { value: 'truss', label: 'trusses' },
  { value: 'wall', label: 'walls' },
  { value: 'column', label: 'columns' },
  { value: 'panel', label: 'panels' },
  { value: 'opening', label: 'openings in panels' },
  { value: 'footing', label: 'pads' },
  { value: 'stripFooting', label: 'strip footings' },
  { value: 'hanger', label: 'hangers' },
  { value: 'gridline', label: 'gridlines' },
];

/** Says what each layer of a DXF becomes, then puts the members on the level. */
export function ReadDxf({ dxf, level, close }: { dxf: DxfDrawing; level: string; close: () => void }) {
  const { building } = useProject();
  const { put, quietly } = useEdit();
  const [door, setDoor] = useState<typeof DxfDoor | null>(null);
  const [kinds, setKinds] = useState<LayerKinds>({});
  const [scale, setScale] = useState(dxf.unit ?? 1);
  useEffect(() => {
    void import('@plinth/core/dxf').then((opened) => {
      setDoor(opened);
      setKinds(opened.suggestedKinds(dxf.layers.map(({ name }) => name)));
    });
  }, [dxf]);
  // a large drawing is read again only when something is chosen otherwise
  const read = useMemo(() => {
    if (!door) return null;
    const marks = marksOf(building);
    const labels = building.gridlines.map(({ body }) => body.label);
    return door.membersOfDxf(
      dxf,
      kinds,
      scale,
      { building, level },
      {
        id: (kind) => freshId(kind),
        mark: (kind, wanted) => {
          const taken = kind === 'gridline' ? labels : marks;
          const mark = wanted && wanted.length <= 24 && !taken.includes(wanted) ? wanted : nextMark(PLACED[kind].prefix, taken);
          taken.push(mark);
          return mark;
        },
      },
    );
  }, [door, building, dxf, kinds, scale, level]);
  if (!read) return null;
  const { items, left } = read;
  const name = building.levels.find(({ id }) => id === level)?.body.name ?? '';
  return (
    <Question title={`Read a DXF into ${name}`} close={close}>
      <p className="text-[13px] text-soft">
        A straight line becomes a beam, a wall, a strip footing or a gridline; a circle or a closed outline a post or a pad; a closed
        outline a panel, or an opening in the panels read with it. What rests on what is found from the plan.
      </p>
      <div className="my-2 w-48">
        <NumberField label="A drawing unit, mm" value={scale} commit={setScale} />
      </div>
      <table className="grid-table">
        <thead>
          <tr>
            <th>Layer</th>
            <th className="num">Lines</th>
            <th>Becomes</th>
          </tr>
        </thead>
        <tbody>
          {dxf.layers.map(({ name: layer }) => (
            <tr key={layer}>
              <td>{layer}</td>
              <td className="num">{dxf.lines.filter((line) => line.layer === layer).length}</td>
              <td>
                <select
                  className="field"
                  aria-label={`Layer ${layer} becomes`}
                  value={kinds[layer] ?? ''}
                  onChange={(event) => {
                    const kind = event.target.value as LayerKind | '';
                    setKinds((before) => {
                      const next: Record<string, LayerKind> = { ...before };
                      if (kind) next[layer] = kind;
                      else delete next[layer];
                      return next;
                    });
                  }}
                >
                  <option value="">nothing</option>
                  {KINDS.map(({ value, label }) => (
                    <option key={value} value={value}>
                      {label}
                    </option>
                  ))}
                </select>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {left.length > 0 ? <p className="mt-2 text-[13px] text-soft">Left out: {left.join('; ')}.</p> : null}
      <div className="mt-4 flex gap-2">
        <button
          type="button"
          className="btn btn-main"
          disabled={items.length === 0}
          onClick={() => {
            close();
            quietly(put(items, `${items.length} items read from a DXF`));
          }}
        >
          {items.length === 0 ? 'Nothing to put in' : `Put in ${items.length} items`}
        </button>
        <button type="button" className="btn" onClick={close}>
          Cancel
        </button>
      </div>
    </Question>
  );
}
