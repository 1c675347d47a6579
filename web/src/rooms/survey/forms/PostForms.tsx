import { formatQuantity } from '@plinth/core';
import { NumberField, OptionalQuantityField, QuantityField, SelectField, TextField } from '../../../parts/fields';
import { PanelHead } from '../../../parts/SidePanel';
import { useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { SectionField } from '../../members/SectionField';
import { type Of, ReductionField, STATUS } from './common';

export function ColumnForm({ item }: { item: Of<'column'> }) {
  const { building, units } = useProject();
  const { patch } = useEdit();
  const { body } = item;
  return (
    <div className="space-y-3">
      <PanelHead
        mark={body.mark}
        what={`column, ${formatQuantity(Math.abs(building.elevation(body.top) - building.elevation(body.base)), 'length', units)}`}
      />
      <SelectField
        label="Status"
        value={body.status}
        commit={(status) => patch(item, { status: status as typeof body.status }, `${body.mark} is ${status}`)}
        options={STATUS}
      />
      <SectionField
        kind="column"
        value={body.section}
        commit={(section) => patch(item, { section }, `${body.mark}: ${section ?? 'no section'}`)}
      />
      <QuantityField
        label="Own weight allowed while no section is chosen"
        kind="lineLoad"
        value={body.ownWeight}
        commit={(ownWeight) => patch(item, { ownWeight }, `${body.mark}: own weight`)}
      />
      <ReductionField item={item} />
      <h3 className="label">Effective length over storey height</h3>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Major axis"
          value={body.factorY}
          commit={(factorY) => patch(item, { factorY }, `${body.mark}: effective length`)}
        />
        <NumberField
          label="Minor axis"
          value={body.factorZ}
          commit={(factorZ) => patch(item, { factorZ }, `${body.mark}: effective length`)}
        />
      </div>
      <SelectField
        label="Beams that end at it bear"
        value={body.beamsBear}
        commit={(beamsBear) => patch(item, { beamsBear: beamsBear as typeof body.beamsBear }, `${body.mark}: how beams bear`)}
        options={[
          { value: 'nominal', label: 'off its face, with their moments' },
          { value: 'central', label: 'on its axis' },
        ]}
      />
      <NumberField
        label="Turned, degrees anticlockwise; not turned its depth lies north"
        value={+((body.turn * 180) / Math.PI).toFixed(3)}
        commit={(degrees) => patch(item, { turn: (degrees * Math.PI) / 180 }, `${body.mark}: turned`)}
      />
      <TextField label="Note" value={body.note} commit={(note) => patch(item, { note }, `${body.mark}: note`)} />
    </div>
  );
}

export function HangerForm({ item }: { item: Of<'hanger'> }) {
  const { patch } = useEdit();
  const { body } = item;
  return (
    <div className="space-y-3">
      <PanelHead mark={body.mark} what="hanger" />
      <SelectField
        label="Status"
        value={body.status}
        commit={(status) => patch(item, { status: status as typeof body.status }, `${body.mark} is ${status}`)}
        options={STATUS}
      />
      <QuantityField
        label="Own weight"
        kind="lineLoad"
        value={body.ownWeight}
        commit={(ownWeight) => patch(item, { ownWeight }, `${body.mark}: own weight`)}
      />
      <TextField label="Note" value={body.note} commit={(note) => patch(item, { note }, `${body.mark}: note`)} />
    </div>
  );
}

export function FootingForm({ item }: { item: Of<'footing'> }) {
  const { patch } = useEdit();
  const { body } = item;
  const set = (change: Partial<typeof body>, what: string) => patch(item, change, `${body.mark}: ${what}`);
  return (
    <div className="space-y-3">
      <PanelHead mark={body.mark} what="pad footing" />
      <div className="grid grid-cols-2 gap-3">
        <OptionalQuantityField label="Along x" kind="length" value={body.width} empty="sized" commit={(width) => set({ width }, 'width')} />
        <OptionalQuantityField
          label="Along y"
          kind="length"
          value={body.length}
          empty="sized"
          commit={(length) => set({ length }, 'length')}
        />
        <OptionalQuantityField
          label="Thickness"
          kind="sectionLength"
          value={body.thickness}
          empty="sized"
          commit={(thickness) => set({ thickness }, 'thickness')}
        />
        <OptionalQuantityField
          label="Bearing"
          kind="bearing"
          value={body.bearing}
          empty="as in Brief"
          commit={(bearing) => set({ bearing }, 'bearing')}
        />
      </div>
      <SelectField
        label="Thickness and bars by"
        value={body.method}
        commit={(method) => set({ method: method as typeof body.method }, 'method')}
        options={[
          { value: 'full', label: 'the full check' },
          { value: 'ruleOfThumb', label: 'the small-house rule of thumb' },
        ]}
      />
      <SelectField
        label="Status"
        value={body.status}
        commit={(status) => set({ status: status as typeof body.status }, `is ${status}`)}
        options={STATUS}
      />
      <ReductionField item={item} />
      <TextField label="Note" value={body.note} commit={(note) => set({ note }, 'note')} />
    </div>
  );
}

export function StripFootingForm({ item }: { item: Of<'stripFooting'> }) {
  const { computed, units } = useProject();
  const { patch } = useEdit();
  const { body } = item;
  const ledger = computed.takedown.members.get(item.id);
  const length = Math.hypot(body.to.x - body.from.x, body.to.y - body.from.y);
  const total = Object.values(ledger?.sum ?? {}).reduce((sum, value) => sum + value, 0);
  return (
    <div className="space-y-3">
      <PanelHead mark={body.mark} what={`strip footing, ${formatQuantity(length, 'length', units)}`}>
        {length > 0 ? `${formatQuantity(total / length, 'lineLoad', units)} on average, unfactored, all cases` : ''}
      </PanelHead>
      <OptionalQuantityField
        label="Width"
        kind="length"
        value={body.width}
        empty="not chosen"
        commit={(width) => patch(item, { width }, `${body.mark}: width`)}
      />
      <SelectField
        label="Status"
        value={body.status}
        commit={(status) => patch(item, { status: status as typeof body.status }, `${body.mark} is ${status}`)}
        options={STATUS}
      />
      <p className="text-[13px] text-soft">Its load is taken down and listed. The strip itself is not designed here.</p>
      <TextField label="Note" value={body.note} commit={(note) => patch(item, { note }, `${body.mark}: note`)} />
    </div>
  );
}
