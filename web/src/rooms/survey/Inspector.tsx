import {
  formatQuantity,
  NATURE_LABEL,
  NATURES,
  planLength,
  pointAlong,
  USE_LABEL,
  USES,
  type Beam,
  type ExtraLoad,
  type Item,
  type Nature,
  type Use,
} from '@plinth/core';
import { CheckField, NumberField, OptionalQuantityField, QuantityField, SelectField, TextField } from '../../parts/fields';
import { PanelHead, SidePanel } from '../../parts/SidePanel';
import { useItems, useProject, useProjectState, useView } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { SectionField } from '../members/SectionField';
import { candidatesAt, supportOptions } from './place';

type Of<K extends Item['kind']> = Extract<Item, { kind: K }>;

const STATUS = ['new', 'existing', 'removed'].map((value) => ({ value, label: value }));

/** Every property of the selected item, beside the plan. */
export function Inspector() {
  const { items } = useProjectState();
  const { selected } = useView();
  const stored = selected ? items.get(selected) : undefined;
  if (!stored)
    return (
      <SidePanel label="Selected member">
        <p className="text-soft">Choose a member on the plan or in the schedule to see and edit all of it here.</p>
      </SidePanel>
    );
  const item = { id: stored.id, kind: stored.kind, body: stored.body } as Item;
  return (
    <SidePanel label="Selected member">
      <Form key={item.id} item={item} />
    </SidePanel>
  );
}

function Form({ item }: { item: Item }) {
  switch (item.kind) {
    case 'beam':
      return <BeamForm item={item} />;
    case 'column':
      return <ColumnForm item={item} />;
    case 'wall':
    case 'hanger':
      return <PlainForm item={item} />;
    case 'footing':
      return <FootingForm item={item} />;
    case 'load':
      return <LoadForm item={item} />;
    default:
      return null;
  }
}

function BeamForm({ item }: { item: Of<'beam'> }) {
  const { building, units } = useProject();
  const { patch, quietly } = useEdit();
  const buildUps = useItems('buildUp').map(({ id, body }) => ({ value: id, label: body.name }));
  const { body } = item;
  const length = planLength(body);
  const supports = supportOptions(building, item.id, ['beam', 'column', 'wall', 'hanger', 'footing']);
  const set = (change: Partial<Beam>, what: string) => patch(item, change, `${body.mark}: ${what}`);
  const support = (i: number, change: Partial<Beam['supports'][number]>) =>
    set({ supports: body.supports.map((old, j) => (j === i ? { ...old, ...change } : old)) }, 'support changed');
  const strip = (i: number, change: Partial<Beam['strips'][number]>) =>
    set({ strips: body.strips.map((old, j) => (j === i ? { ...old, ...change } : old)) }, 'strip changed');
  const findSupports = () => {
    const found = body.supports.map((old) => ({
      ...old,
      by: candidatesAt(building, body.level, pointAlong(body, old.at), item.id)[0]?.id ?? old.by,
    }));
    quietly(set({ supports: found }, 'supports found by place'));
  };
  return (
    <div className="space-y-3">
      <PanelHead mark={body.mark} what={`${body.role}, ${formatQuantity(length, 'length', units)}`}>
        {building.levels.find((level) => level.id === body.level)?.body.name}
      </PanelHead>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Taken down as"
          value={body.role}
          commit={(role) => set({ role: role as Beam['role'] }, `is a ${role}`)}
          options={[
            { value: 'beam', label: 'beam' },
            { value: 'truss', label: 'truss, as a simple beam' },
          ]}
        />
        <SelectField
          label="Status"
          value={body.status}
          commit={(status) => set({ status: status as Beam['status'] }, `is ${status}`)}
          options={STATUS}
        />
      </div>
      {body.role === 'beam' ? (
        <SectionField
          kind="beam"
          value={body.section}
          commit={(section) => set({ section }, section ? `section ${section}` : 'section taken away')}
        />
      ) : null}
      <QuantityField
        label="Own weight allowed while no section is chosen"
        kind="lineLoad"
        value={body.ownWeight}
        commit={(ownWeight) => set({ ownWeight }, 'own weight allowance')}
      />

      <section aria-label="Supports">
        <h3 className="label">Rests on</h3>
        {body.supports.map((entry, i) => (
          <div key={i} className="mt-1 grid grid-cols-[5rem_1fr_auto] items-end gap-2">
            <QuantityField label="at" kind="length" value={entry.at} commit={(at) => support(i, { at })} />
            <SelectField label="member" value={entry.by ?? ''} commit={(by) => support(i, { by: by || null })} options={supports} />
            <button
              type="button"
              className="text-[12px] text-soft hover:text-oxide"
              onClick={() => quietly(set({ supports: body.supports.filter((_, j) => j !== i) }, 'support taken away'))}
            >
              Take away
            </button>
            <div className="col-span-3">
              <CheckField label="holds down" value={entry.holdsDown} commit={(holdsDown) => support(i, { holdsDown })} />
            </div>
          </div>
        ))}
        <div className="mt-1 flex gap-4">
          <button
            type="button"
            className="btn-line"
            onClick={() => quietly(set({ supports: [...body.supports, { at: length, by: null, holdsDown: false }] }, 'support added'))}
          >
            Add a support
          </button>
          <button type="button" className="btn-line" onClick={findSupports}>
            Find them by place
          </button>
        </div>
      </section>

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
              commit={(widthStart) => strip(i, { widthStart })}
            />
            <QuantityField label="width at end" kind="length" value={entry.widthEnd} commit={(widthEnd) => strip(i, { widthEnd })} />
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
                      { buildUp: buildUps[0]!.value, from: 0, to: length, widthStart: 1000, widthEnd: 1000, pitch: 0, label: '' },
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

      <section aria-label="Restraint" className="space-y-1">
        <h3 className="label">Compression flange</h3>
        <SelectField
          label="Held sideways by"
          value={body.restraint}
          commit={(restraint) => set({ restraint: restraint as Beam['restraint'] }, 'restraint')}
          options={[
            { value: 'supports', label: 'its supports only' },
            { value: 'points', label: 'points along it' },
            { value: 'floor', label: 'the floor on its top flange (assumed)' },
          ]}
        />
        {body.restraint === 'points' ? <PointsField item={item} /> : null}
      </section>
      <TextField label="Note" value={body.note} commit={(text) => set({ note: text }, 'note')} />
    </div>
  );
}

/** Distances of lateral restraints, each a field of its own. */
function PointsField({ item }: { item: Of<'beam'> }) {
  const { patch, quietly } = useEdit();
  const { body } = item;
  const set = (restraintPoints: number[]) => patch(item, { restraintPoints }, `${body.mark}: restraints`);
  return (
    <div>
      {body.restraintPoints.map((at, i) => (
        <div key={i} className="grid grid-cols-[6rem_1fr] items-end gap-2">
          <QuantityField
            label={`restraint ${i + 1}, at`}
            kind="length"
            value={at}
            commit={(value) => set(body.restraintPoints.map((old, j) => (j === i ? value : old)))}
          />
          <button
            type="button"
            className="text-left text-[12px] text-soft hover:text-oxide"
            onClick={() => quietly(set(body.restraintPoints.filter((_, j) => j !== i)))}
          >
            Take away
          </button>
        </div>
      ))}
      <button type="button" className="btn-line" onClick={() => quietly(set([...body.restraintPoints, planLength(body) / 2]))}>
        Add a restraint
      </button>
    </div>
  );
}

function ColumnForm({ item }: { item: Of<'column'> }) {
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
      <TextField label="Note" value={body.note} commit={(note) => patch(item, { note }, `${body.mark}: note`)} />
    </div>
  );
}

function PlainForm({ item }: { item: Of<'wall'> | Of<'hanger'> }) {
  const { patch } = useEdit();
  const { body } = item;
  return (
    <div className="space-y-3">
      <PanelHead mark={body.mark} what={item.kind} />
      <SelectField
        label="Status"
        value={body.status}
        commit={(status) => patch(item as Of<'wall'>, { status: status as typeof body.status }, `${body.mark} is ${status}`)}
        options={STATUS}
      />
      {item.kind === 'wall' ? (
        <>
          <QuantityField
            label="Weight of its face"
            kind="areaLoad"
            value={item.body.weight}
            commit={(weight) => patch(item, { weight }, `${body.mark}: weight`)}
          />
          <TextField
            label="Construction"
            value={item.body.construction}
            commit={(construction) => patch(item, { construction }, `${body.mark}: construction`)}
          />
        </>
      ) : (
        <QuantityField
          label="Own weight"
          kind="lineLoad"
          value={item.body.ownWeight}
          commit={(ownWeight) => patch(item, { ownWeight }, `${body.mark}: own weight`)}
        />
      )}
      <TextField label="Note" value={body.note} commit={(note) => patch(item as Of<'wall'>, { note }, `${body.mark}: note`)} />
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
      <TextField label="Note" value={body.note} commit={(note) => set({ note }, 'note')} />
    </div>
  );
}

function LoadForm({ item }: { item: Of<'load'> }) {
  const { building } = useProject();
  const { patch } = useEdit();
  const { body } = item;
  const set = (change: Partial<ExtraLoad>, what: string) => patch(item, change, `${body.label}: ${what}`);
  return (
    <div className="space-y-3">
      <PanelHead mark={body.label} what="load" />
      <SelectField
        label="Acts on"
        value={body.on}
        commit={(on) => set({ on }, 'put on another member')}
        options={supportOptions(building, '', ['beam', 'column', 'wall', 'hanger', 'footing']).filter((option) => option.value)}
      />
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Shape"
          value={body.type}
          commit={(type) => set({ type: type as ExtraLoad['type'] }, 'shape')}
          options={[
            { value: 'point', label: 'point load' },
            { value: 'line', label: 'line load' },
          ]}
        />
        <SelectField
          label="Nature"
          value={body.nature}
          commit={(nature) => set({ nature: nature as Nature, use: nature === 'imposed' ? (body.use ?? 'A') : undefined }, 'nature')}
          options={NATURES.map((nature) => ({ value: nature, label: NATURE_LABEL[nature] }))}
        />
      </div>
      {body.nature === 'imposed' ? (
        <SelectField
          label="Use"
          value={body.use ?? 'A'}
          commit={(use) => set({ use: use as Use }, 'use')}
          options={USES.map((use) => ({ value: use, label: `${use}: ${USE_LABEL[use]}` }))}
        />
      ) : null}
      {body.type === 'point' ? (
        <div className="grid grid-cols-2 gap-3">
          <QuantityField label="at" kind="length" value={body.at} commit={(at) => set({ at }, 'moved')} />
          <QuantityField label="Force, downward" kind="force" value={body.force} commit={(force) => set({ force }, 'force')} />
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
