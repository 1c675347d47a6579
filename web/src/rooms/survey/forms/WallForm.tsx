import { useMemo } from 'react';
import {
  faceWeight,
  profileOf,
  type FamilyProfile,
  newWallOpening,
  formatQuantity,
  planLength,
  storeyOf,
  wallElevation,
  type Wall,
  type WallOpening,
} from '@plinth/core';
import { DrawingView } from '../../../parts/DrawingView';
import { CheckField, OptionalQuantityField, QuantityField, SelectField, type Option, TextField } from '../../../parts/fields';
import { PanelHead } from '../../../parts/SidePanel';
import { useItems, useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { StandsOn } from '../TakenBy';
import { STATUS, type Of } from './common';

/** A wall: does it carry, how load goes down through it, what stands in its way, and what takes it. */
type Rule = FamilyProfile['wallSpread'];

const degrees = (angle: number) => +((angle * 180) / Math.PI).toFixed(1);
const isNear = (a: number, b: number) => Math.abs(a - b) < 1e-3;

/** Which of the choices a wall has. */
function spreadOf({ spread, spreadAngle, spreadDepth }: Wall, rule: Rule): string {
  if (spread !== 'angle') return spread;
  if (isNear(spreadAngle, rule.angle) && spreadDepth === rule.depth) return 'family';
  return isNear(spreadAngle, Math.PI / 4) && spreadDepth === 'whole' ? 'usual' : 'typed';
}

/** The choices; one of these is what the wall has. */
function spreadOptions(wall: Wall, rule: Rule): Option[] {
  const chosen = spreadOf(wall, rule);
  const half = rule.depth === 'half' ? ', to half its height' : '';
  return [
    { value: 'family', label: `at ${degrees(rule.angle)}°${half}: ${rule.source}` },
    ...(spreadOf({ ...wall, ...spreadBy('usual', rule) } as Wall, rule) === 'usual'
      ? [{ value: 'usual', label: 'at 45°: usual in practice' }]
      : []),
    ...(chosen === 'typed' ? [{ value: 'typed', label: 'at an angle that was typed' }] : []),
    { value: 'whole', label: 'over the whole wall, in their line' },
    { value: 'even', label: 'evenly over the whole wall' },
  ];
}

/** What a choice makes of a wall. */
function spreadBy(choice: string, rule: Rule): Partial<Wall> {
  switch (choice) {
    case 'family':
      return { spread: 'angle', spreadAngle: rule.angle, spreadDepth: rule.depth };
    case 'usual':
      return { spread: 'angle', spreadAngle: Math.PI / 4, spreadDepth: 'whole' };
    default:
      return { spread: choice as Wall['spread'] };
  }
}

export function WallForm({ item }: { item: Of<'wall'> }) {
  const { building, computed, units } = useProject();
  const { patch, quietly } = useEdit();
  const { body } = item;
  const buildUps = useItems('buildUp').map(({ id, body }) => ({ value: id, label: body.name }));
  const rule = profileOf(building.brief.family).wallSpread;
  const set = (change: Partial<Wall>, what: string) => patch(item, change, `${body.mark}: ${what}`);
  const length = planLength(body);
  const ledger = computed.takedown.members.get(item.id);
  const elevation = useMemo(
    () =>
      ledger && building.walls.has(item.id)
        ? wallElevation({ building, takedown: computed.takedown, wall: item.id, width: 330, height: 250 })
        : null,
    [building, computed.takedown, item.id, ledger],
  );
  const opening = (i: number, change: Partial<WallOpening>) =>
    set({ openings: body.openings.map((old, j) => (j === i ? { ...old, ...change } : old)) }, 'opening changed');
  return (
    <div className="space-y-3">
      <PanelHead mark={body.mark} what={`wall, ${formatQuantity(length, 'length', units)}`}>
        {body.construction}
      </PanelHead>
      <fieldset className={`border px-3 py-2 ${body.bears === 'open' ? 'border-oxide' : 'border-rule'}`}>
        <legend className={`px-1 font-semibold ${body.bears === 'open' ? 'text-oxide' : ''}`}>Does {body.mark} carry load?</legend>
        <div className="flex gap-4 text-[13px]">
          {(
            [
              ['open', 'not answered'],
              ['yes', 'it carries'],
              ['no', 'it does not'],
            ] as const
          ).map(([value, label]) => (
            <label key={value} className="flex items-center gap-1">
              <input
                type="radio"
                name={`bears-${item.id}`}
                className="accent-oxide"
                checked={body.bears === value}
                onChange={() => quietly(set({ bears: value }, label))}
              />
              {label}
            </label>
          ))}
        </div>
        <TextField
          label="How one knows"
          value={body.bearsReason}
          placeholder="joists bear on it; it continues below"
          commit={(bearsReason) => set({ bearsReason }, 'reason')}
        />
        <CheckField label="braces the outside walls" value={body.braces} commit={(braces) => set({ braces }, 'bracing')} />
      </fieldset>
      {elevation ? <DrawingView drawing={elevation} /> : null}
      <StandsOn item={item} title="Stands on" />
      <div className="grid grid-cols-3 gap-3">
        {(['base', 'top'] as const).map((which) => (
          <SelectField
            key={which}
            label={which === 'base' ? 'Stands at' : 'Reaches'}
            value={body[which]}
            commit={(level) => set({ [which]: level }, which === 'base' ? 'stands elsewhere' : 'reaches elsewhere')}
            options={building.levels.map((entry) => ({ value: entry.id, label: entry.body.name }))}
          />
        ))}
        <OptionalQuantityField
          label="Height"
          kind="length"
          empty={formatQuantity(storeyOf(building, body), 'length', units, { bare: true })}
          value={body.height}
          commit={(height) => set({ height }, 'height')}
        />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Build-up"
          value={body.buildUp ?? ''}
          commit={(buildUp) => set({ buildUp: buildUp || null }, 'build-up')}
          options={[{ value: '', label: 'none: weight typed' }, ...buildUps]}
        />
        {body.buildUp === null ? (
          <QuantityField
            label="Weight of its face"
            kind="areaLoad"
            value={body.weight}
            commit={(weight) => set({ weight, weightGiven: true }, 'weight')}
          />
        ) : (
          <div>
            <span className="block text-[13px] text-soft">Weight of its face</span>
            <span className="block pt-1">{formatQuantity(faceWeight(building, body), 'areaLoad', units)}</span>
          </div>
        )}
        <QuantityField
          label="Thickness"
          kind="sectionLength"
          value={body.thickness}
          commit={(thickness) => set({ thickness }, 'thickness')}
        />
      </div>
      <TextField label="Construction" value={body.construction} commit={(construction) => set({ construction }, 'construction')} />
      <section aria-label="Spread">
        <h3 className="label">Point loads spread</h3>
        <SelectField
          label="How"
          value={spreadOf(body, rule)}
          commit={(chosen) => set(spreadBy(chosen, rule), 'spread')}
          options={spreadOptions(body, rule)}
        />
        {body.spread === 'angle' ? (
          <div className="mt-1 grid grid-cols-2 gap-3">
            <QuantityField
              label="Angle from the vertical"
              kind="angle"
              value={body.spreadAngle}
              commit={(spreadAngle) => set({ spreadAngle }, 'angle of spread')}
            />
            <SelectField
              label="It widens down to"
              value={body.spreadDepth}
              commit={(spreadDepth) => set({ spreadDepth: spreadDepth as Wall['spreadDepth'] }, 'how far down it spreads')}
              options={[
                { value: 'whole', label: 'its foot' },
                { value: 'half', label: 'half its height' },
              ]}
            />
          </div>
        ) : null}
      </section>
      <section aria-label="Openings">
        <h3 className="label">Openings</h3>
        {body.openings.map((entry, i) => (
          <div key={i} className="mt-1 grid grid-cols-5 gap-2 border-l-2 border-rule pl-2">
            <QuantityField label="from" kind="length" value={entry.from} commit={(from) => opening(i, { from })} />
            <QuantityField label="to" kind="length" value={entry.to} commit={(to) => opening(i, { to })} />
            <QuantityField label="sill" kind="length" value={entry.sill} commit={(sill) => opening(i, { sill })} />
            <QuantityField label="head" kind="length" value={entry.head} commit={(head) => opening(i, { head })} />
            <QuantityField label="lintel" kind="length" value={entry.bearing} commit={(bearing) => opening(i, { bearing })} />
            <button
              type="button"
              className="col-span-5 text-left text-[12px] text-soft hover:text-oxide"
              onClick={() => quietly(set({ openings: body.openings.filter((_, j) => j !== i) }, 'opening closed'))}
            >
              Close it
            </button>
          </div>
        ))}
        {body.openings.length > 0 ? (
          <p className="text-[12px] text-soft">
            From the start of the wall, at the left of its elevation, and above its foot; lintel: its bearing at each side.
          </p>
        ) : null}
        {body.openings.length > 0 ? (
          <SelectField
            label="Load over openings"
            value={body.openingsRule}
            commit={(openingsRule) => set({ openingsRule: openingsRule as Wall['openingsRule'] }, 'load over openings')}
            options={[
              { value: 'ignored', label: 'spreads as if the wall were whole' },
              { value: 'around', label: 'goes to the bearings of the lintel' },
            ]}
          />
        ) : null}
        <button
          type="button"
          className="btn-line mt-1"
          onClick={() => quietly(set({ openings: [...body.openings, newWallOpening(length / 2 - 450, length / 2 + 450)] }, 'opening made'))}
        >
          Add an opening
        </button>
      </section>
      <SelectField
        label="Status"
        value={body.status}
        commit={(status) => set({ status: status as Wall['status'] }, `is ${status}`)}
        options={STATUS}
      />
      <TextField label="Note" value={body.note} commit={(note) => set({ note }, 'note')} />
    </div>
  );
}
