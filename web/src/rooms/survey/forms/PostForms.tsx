import { columnElevation, END_CONDITIONS, END_WORDS, formatQuantity, STANDARDS } from '@plinth/core';
import { AskedFields } from '../../../parts/AskedFields';
import { DrawingView } from '../../../parts/DrawingView';
import { CheckField, NumberField, OptionalQuantityField, QuantityField, SelectField, TextField } from '../../../parts/fields';
import { PlacesField } from '../../../parts/PlacesField';
import { PanelHead } from '../../../parts/SidePanel';
import { useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { SectionField } from '../../members/SectionField';
import { StandsOn } from '../TakenBy';
import { MaterialField, MaterialNote, type Of, OwnWeightField, ReductionField, STATUS } from './common';

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
      <MaterialField item={item} />
      <MaterialNote material={body.material} />
      {body.material === 'steel' ? (
        <SectionField
          kind="column"
          value={body.section}
          commit={(section) => patch(item, { section }, `${body.mark}: ${section ?? 'no section'}`)}
        />
      ) : null}
      <OwnWeightField item={item} />
      <StandsOn item={item} title="Stands on" />
      <ReductionField item={item} />
      <EffectiveLengths item={item} />
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

/** How its ends are held about each axis and where it is held between them, with the shape in which it buckles. */
function EffectiveLengths({ item }: { item: Of<'column'> }) {
  const { building, brief, units } = useProject();
  const { patch } = useEdit();
  const { body } = item;
  const storey = Math.abs(building.elevation(body.top) - building.elevation(body.base));
  const set = (change: Partial<typeof body>) => patch(item, change, `${body.mark}: effective length`);
  return (
    <section aria-label="Effective lengths" className="space-y-2">
      <h3 className="label">Effective lengths</h3>
      {storey > 0 ? (
        <DrawingView
          className="w-full"
          drawing={columnElevation({ column: body, storey, family: brief.family, units, width: 320, height: 190 })}
        />
      ) : null}
      <div className="grid grid-cols-2 gap-3">
        {(['Y', 'Z'] as const).map((axis) => (
          <div key={axis} className="space-y-1">
            <SelectField
              label={axis === 'Y' ? 'Ends, major axis' : 'Ends, minor axis'}
              value={body[`ends${axis}`]}
              commit={(ends) => set({ [`ends${axis}`]: ends } as Partial<typeof body>)}
              options={END_CONDITIONS.map((value) => ({ value, label: END_WORDS[value] }))}
            />
            {body[`ends${axis}`] === 'number' ? (
              <NumberField
                label={axis === 'Y' ? 'Factor, major axis' : 'Factor, minor axis'}
                value={body[`factor${axis}`]}
                commit={(factor) => set({ [`factor${axis}`]: factor } as Partial<typeof body>)}
              />
            ) : null}
            <PlacesField
              label="Held, above the base, at"
              value={body[`held${axis}`]}
              most={storey}
              commit={(places) => set({ [`held${axis}`]: places } as Partial<typeof body>)}
            />
          </div>
        ))}
      </div>
    </section>
  );
}

export function HangerForm({ item }: { item: Of<'hanger'> }) {
  const { patch } = useEdit();
  const { body } = item;
  return (
    <div className="space-y-3">
      <PanelHead mark={body.mark} what="hanger" />
      <StandsOn item={item} title="Hangs from" />
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
  const { brief } = useProject();
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
        <OptionalQuantityField
          label="Founding depth"
          kind="length"
          value={body.foundingDepth}
          empty="as in Brief"
          commit={(foundingDepth) => set({ foundingDepth }, 'founding depth')}
        />
        <div className="self-end">
          <CheckField
            label="inside a heated building"
            value={body.heated}
            commit={(heated) => set({ heated }, heated ? 'inside a heated building' : 'frost may reach it')}
          />
        </div>
      </div>
      <AskedFields kind="footing" standard={STANDARDS[brief.family]} outline={null} values={body} commit={set} />
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
