import { findSection, formatQuantity, isReadBy, isSection, planLength, roundedUp, STANDARDS, type Beam } from '@plinth/core';
import { CheckField, OptionalQuantityField, QuantityField, SelectField, TextField } from '../../../parts/fields';
import { PlacesField } from '../../../parts/PlacesField';
import { PanelHead } from '../../../parts/SidePanel';
import { useItems, useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { SectionField } from '../../members/SectionField';
import { BeamContinuity } from './BeamContinuity';
import { BeamSupports } from './BeamSupports';
import { STATUS, type Of, ReductionField } from './common';

export function BeamForm({ item }: { item: Of<'beam'> }) {
  const { building, units } = useProject();
  const { patch, quietly } = useEdit();
  const buildUps = useItems('buildUp').map(({ id, body }) => ({ value: id, label: body.name }));
  const { body } = item;
  const length = planLength(body);
  const set = (change: Partial<Beam>, what: string) => patch(item, change, `${body.mark}: ${what}`);
  const strip = (i: number, change: Partial<Beam['strips'][number]>) =>
    set({ strips: body.strips.map((old, j) => (j === i ? { ...old, ...change } : old)) }, 'strip changed');
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

      <BeamSupports item={item} />

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
              commit={(widthStart) => strip(i, { widthStart, exactStart: null })}
            />
            <QuantityField
              label="width at end"
              kind="length"
              value={entry.widthEnd}
              commit={(widthEnd) => strip(i, { widthEnd, exactEnd: null })}
            />
            <RoundUp strip={entry} commit={(change) => strip(i, change)} />
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
                      {
                        buildUp: buildUps[0]!.value,
                        from: 0,
                        to: length,
                        widthStart: 1000,
                        widthEnd: 1000,
                        exactStart: null,
                        exactEnd: null,
                        pitch: 0,
                        label: '',
                      },
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
        {body.section !== null &&
        isSection(body.section) &&
        findSection(body.section).shape.outline === 'channel' &&
        isReadBy(STANDARDS[building.brief.family], 'beam', 'untwisted') ? (
          <CheckField
            label="channel loaded through its shear centre, or held against twisting"
            value={body.untwisted}
            commit={(untwisted) => set({ untwisted }, untwisted ? 'held against twisting' : 'may twist')}
          />
        ) : null}
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
          <SelectField
            label="Transfer beam"
            value={body.transfer}
            commit={(transfer) => set({ transfer: transfer as Beam['transfer'] }, 'transfer beam')}
            options={[
              { value: 'auto', label: 'by what it carries' },
              { value: 'yes', label: 'yes' },
              { value: 'no', label: 'no' },
            ]}
          />
          <QuantityField
            label="Precamber"
            kind="sectionLength"
            value={body.precamber}
            commit={(precamber) => set({ precamber }, 'precamber')}
          />
        </div>
        <BeamContinuity item={item} />
        <ReductionField item={item} />
      </section>
      <TextField label="Note" value={body.note} commit={(text) => set({ note: text }, 'note')} />
    </div>
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

/** Rounds the widths of a strip up, and keeps the exact ones beside them. */
function RoundUp({ strip, commit }: { strip: Beam['strips'][number]; commit: (change: Partial<Beam['strips'][number]>) => Promise<void> }) {
  const { units } = useProject();
  const { quietly } = useEdit();
  const { widthStart, widthEnd, exactStart, exactEnd } = strip;
  const say = (mm: number) => formatQuantity(mm, 'length', units);
  if (exactStart !== null || exactEnd !== null)
    return (
      <p className="col-span-2 text-[12px] text-soft">
        rounded up from {say(exactStart ?? widthStart)}
        {exactEnd !== null && exactEnd !== exactStart ? ` and ${say(exactEnd)}` : ''}{' '}
        <button
          type="button"
          className="btn-line"
          onClick={() =>
            quietly(commit({ widthStart: exactStart ?? widthStart, widthEnd: exactEnd ?? widthEnd, exactStart: null, exactEnd: null }))
          }
        >
          use the exact width
        </button>
      </p>
    );
  const step = units === 'SI' ? 100 : 152.4;
  const [start, end] = [roundedUp(widthStart, step), roundedUp(widthEnd, step)];
  if (Math.abs(start - widthStart) < 0.1 && Math.abs(end - widthEnd) < 0.1) return null;
  return (
    <button
      type="button"
      className="btn-line col-span-2 text-left text-[12px]"
      onClick={() =>
        quietly(
          commit({
            widthStart: start,
            widthEnd: end,
            exactStart: start === widthStart ? null : widthStart,
            exactEnd: end === widthEnd ? null : widthEnd,
          }),
        )
      }
    >
      round up to {say(start)}
      {end === start ? '' : ` and ${say(end)}`}, the exact width on record
    </button>
  );
}
