import { findSection, formatQuantity, isSection, planLength, STANDARDS, type Beam } from '@plinth/core';
import { OptionalQuantityField, QuantityField, SelectField, TextField } from '../../../parts/fields';
import { AskedFields } from '../../../parts/AskedFields';
import { PlacesField } from '../../../parts/PlacesField';
import { PanelHead } from '../../../parts/SidePanel';
import { useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { SectionField } from '../../members/SectionField';
import { BeamContinuity } from './BeamContinuity';
import { BeamSupports } from './BeamSupports';
import { BecomeButton } from './BecomeButton';
import { MaterialField, MaterialNote, OwnWeightField, STATUS, TRANSFER, type Of, ReductionField } from './common';
import { Strips } from './Strips';

export function BeamForm({ item }: { item: Of<'beam'> }) {
  const { building, units } = useProject();
  const { patch } = useEdit();
  const { body } = item;
  const length = planLength(body);
  const set = (change: Partial<Beam>, what: string) => patch(item, change, `${body.mark}: ${what}`);
  return (
    <div className="space-y-3">
      <PanelHead mark={body.mark} what={`beam, ${formatQuantity(length, 'length', units)}`}>
        {building.levels.find((level) => level.id === body.level)?.body.name}
      </PanelHead>
      <div className="grid grid-cols-2 gap-3">
        <MaterialField item={item} />
        <SelectField
          label="Status"
          value={body.status}
          commit={(status) => set({ status: status as Beam['status'] }, `is ${status}`)}
          options={STATUS}
        />
      </div>
      {body.material === 'steel' ? (
        <SectionField
          kind="beam"
          value={body.section}
          commit={(section) => set({ section }, section ? `section ${section}` : 'section taken away')}
        />
      ) : null}
      <MaterialNote material={body.material} />
      <OwnWeightField item={item} />

      <BeamSupports item={item} />

      <Strips item={item} />

      {body.material === 'steel' ? <SteelFields item={item} /> : null}
      <SelectField
        label="Transfer beam"
        value={body.transfer}
        commit={(transfer) => set({ transfer: transfer as Beam['transfer'] }, 'transfer beam')}
        options={TRANSFER}
      />
      <BeamContinuity item={item} />
      <ReductionField item={item} />
      <TextField label="Note" value={body.note} commit={(text) => set({ note: text }, 'note')} />
      <BecomeButton item={item} kind="truss" />
    </div>
  );
}

/** What the checks of a steel beam ask for: how its flanges are held, where forces enter its web, what its deflection must spare. */
function SteelFields({ item }: { item: Of<'beam'> }) {
  const { building } = useProject();
  const { patch } = useEdit();
  const { body } = item;
  const set = (change: Partial<Beam>, what: string) => patch(item, change, `${body.mark}: ${what}`);
  return (
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
      <HeldPlaces item={item} />
      {body.restraint === 'floor' ? null : (
        <SelectField
          label="Load acts"
          value={body.loadHeight}
          commit={(loadHeight) => set({ loadHeight: loadHeight as Beam['loadHeight'] }, 'height of the load')}
          options={[
            { value: 'centre', label: 'at mid-depth, or is held in place' },
            { value: 'top', label: 'on the top flange, and can move with it' },
          ]}
        />
      )}
      <AskedFields
        kind="beam"
        standard={STANDARDS[building.brief.family]}
        outline={body.section !== null && isSection(body.section) ? findSection(body.section).shape.outline : null}
        values={body}
        commit={set}
      />
      <QuantityField
        label="Stiff length under each post that stands on it"
        kind="sectionLength"
        value={body.stiffBearing}
        commit={(stiffBearing) => set({ stiffBearing }, 'stiff bearing length')}
      />
      <OptionalQuantityField
        label="Stiff length of its seats"
        kind="sectionLength"
        empty="connected through its web"
        value={body.seat}
        commit={(seat) => set({ seat }, 'seats')}
      />
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Its deflection spares"
          value={body.serves}
          commit={(serves) => set({ serves: serves as Beam['serves'] }, 'what its deflection spares')}
          options={[
            { value: 'floor', label: 'a floor or roof' },
            { value: 'brittle', label: 'brittle finishes' },
            { value: 'crane', label: 'a crane runway' },
          ]}
        />
        <QuantityField
          label="Precamber"
          kind="sectionLength"
          value={body.precamber}
          commit={(precamber) => set({ precamber }, 'precamber')}
        />
      </div>
    </section>
  );
}

/** Places along the beam at which a flange is held sideways. */
function HeldPlaces({ item }: { item: Of<'beam'> }) {
  const { building, computed } = useProject();
  const { patch, quietly } = useEdit();
  const { body } = item;
  const most = planLength(body);
  // what rests on it between its ends may hold it too: for who knows the connection to say
  const meeting = [
    ...new Set(
      (computed.takedown.members.get(item.id)?.arrivals ?? []).flatMap(({ source, shape }) =>
        source.type === 'member' && building.beams.has(source.member) && shape.type === 'point' && shape.at > 1 && shape.at < most - 1
          ? [Math.round(shape.at)]
          : [],
      ),
    ),
  ].sort((a, b) => a - b);
  const set = (change: Partial<Beam>) => patch(item, change, `${body.mark}: restraints`);
  return (
    <>
      {body.restraint === 'points' ? (
        <>
          <PlacesField
            label="Both flanges held at"
            value={body.restraintPoints}
            most={most}
            commit={(restraintPoints) => set({ restraintPoints })}
          />
          {meeting.length > 0 ? (
            <button type="button" className="btn-line" onClick={() => quietly(set({ restraintPoints: meeting }))}>
              Both at the {meeting.length} places where beams meet it
            </button>
          ) : null}
          <PlacesField label="Only the top flange at" value={body.topPoints} most={most} commit={(topPoints) => set({ topPoints })} />
        </>
      ) : null}
      {body.restraint === 'supports' ? null : (
        <PlacesField
          label={body.restraint === 'floor' ? 'Bottom flange held at' : 'Only the bottom flange at'}
          value={body.bottomPoints}
          most={most}
          commit={(bottomPoints) => set({ bottomPoints })}
        />
      )}
    </>
  );
}
