import { LOAD_NATURES, MEMBERS, USE_LABEL, USES, type ExtraLoad, type Use } from '@plinth/core';
import { caseOptions, caseValue } from '../../../parts/caseOptions';
import { QuantityField, SelectField } from '../../../parts/fields';
import { PanelHead } from '../../../parts/SidePanel';
import { useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { supportOptions } from '../place';
import type { Of } from './common';
import { CornersField } from './CornersField';

/** What a point or line load acts on; a load on an area acts on a panel. */
const LOADED = MEMBERS.filter((kind) => kind !== 'panel');

export function LoadForm({ item }: { item: Of<'load'> }) {
  const { building } = useProject();
  const { patch } = useEdit();
  const { body } = item;
  const natures = caseOptions(building.actions, LOAD_NATURES, body.use);
  const set = (change: Partial<ExtraLoad>, what: string) => patch(item, change, `${body.label}: ${what}`);
  return (
    <div className="space-y-3">
      <PanelHead mark={body.label} what="load" />
      <SelectField
        label="Acts on"
        value={body.on}
        commit={(on) => set({ on }, 'put on another member')}
        options={
          body.type === 'area'
            ? [...building.panels].map(([value, { mark }]) => ({ value, label: `${mark} (panel)` }))
            : supportOptions(building, '', LOADED).filter((option) => option.value)
        }
      />
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Shape"
          value={body.type}
          commit={(type) => set({ type: type as ExtraLoad['type'] }, 'shape')}
          options={[
            { value: 'point', label: 'point load' },
            { value: 'line', label: 'line load' },
            ...(body.type === 'area' ? [{ value: 'area', label: 'on an area of a panel' }] : []),
          ]}
        />
        <div className={body.action === null ? '' : 'col-span-2'}>
          <SelectField
            label="Nature"
            value={caseValue(body)}
            commit={(value) => set(natures.find((option) => option.value === value)!.choice, 'nature')}
            options={natures}
          />
        </div>
      </div>
      {body.nature === 'imposed' && body.action === null ? (
        <SelectField
          label="Use"
          value={body.use ?? 'A'}
          commit={(use) => set({ use: use as Use }, 'use')}
          options={USES.map((use) => ({ value: use, label: `${use}: ${USE_LABEL[use]}` }))}
        />
      ) : null}
      {body.type === 'area' ? (
        <>
          <QuantityField
            label="Load on its area, downward"
            kind="areaLoad"
            value={body.pressure}
            commit={(pressure) => set({ pressure }, 'load')}
          />
          <CornersField title="Corners" corners={body.outline} commit={(outline) => set({ outline }, 'corners')} />
        </>
      ) : body.type === 'point' ? (
        <div className="grid grid-cols-2 gap-3">
          <QuantityField label="at" kind="length" value={body.at} commit={(at) => set({ at }, 'moved')} />
          <QuantityField label="Force, downward" kind="force" value={body.force} commit={(force) => set({ force }, 'force')} />
          <QuantityField label="horizontal, east" kind="force" value={body.east} commit={(east) => set({ east }, 'horizontal force')} />
          <QuantityField label="horizontal, north" kind="force" value={body.north} commit={(north) => set({ north }, 'horizontal force')} />
        </div>
      ) : (
        <div className="grid grid-cols-3 gap-3">
          <QuantityField label="from" kind="length" value={body.from} commit={(from) => set({ from }, 'moved')} />
          <QuantityField label="to" kind="length" value={body.to} commit={(to) => set({ to }, 'moved')} />
          <QuantityField label="Load" kind="lineLoad" value={body.intensity} commit={(intensity) => set({ intensity }, 'load')} />
        </div>
      )}
    </div>
  );
}
