import { caseIn, formatQuantity, markOf, sumByCase, textInUnits, unitLabel, type Panel } from '@plinth/core';
import { CheckField, QuantityField, SelectField, TextField } from '../../../parts/fields';
import { PanelHead } from '../../../parts/SidePanel';
import { useItems, useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { STATUS, type Of } from './common';
import { CornersField } from './CornersField';

/** A floor or roof panel: what it is built of, how it spans, and who takes how much of it. */
export function PanelForm({ item }: { item: Of<'panel'> }) {
  const { building, computed, units } = useProject();
  const { patch, quietly } = useEdit();
  const buildUps = useItems('buildUp').map(({ id, body }) => ({ value: id, label: body.name }));
  const { body } = item;
  const sharing = computed.takedown.panels.get(item.id);
  const set = (change: Partial<Panel>, what: string) => patch(item, change, `${body.mark}: ${what}`);
  const area = (mm2: number) => formatQuantity(mm2, 'floorArea', units);
  const taken = new Map<string, number>();
  for (const { member, shape } of sharing?.shares ?? []) {
    const size = shape.type === 'point' ? 1 : ((shape.start + shape.end) / 2) * (shape.to - shape.from);
    taken.set(member, (taken.get(member) ?? 0) + size);
  }
  const lost = sharing?.orphans.reduce((sum, { region }) => sum + region.area, 0) ?? 0;
  return (
    <div className="space-y-3">
      <PanelHead mark={body.mark} what={`panel, ${sharing ? area(sharing.whole.area) : ''} on plan`}>
        {building.levels.find((level) => level.id === body.level)?.body.name}
      </PanelHead>
      <div>
        <SelectField label="Build-up" value={body.buildUp} commit={(buildUp) => set({ buildUp }, 'build-up')} options={buildUps} />
        <BuildUpLoads id={body.buildUp} pitch={body.pitch} />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Carries"
          value={body.span}
          commit={(span) => set({ span: span as Panel['span'] }, 'span')}
          options={[
            { value: 'oneWay', label: 'one way' },
            { value: 'twoWay', label: 'two ways' },
          ]}
        />
        <QuantityField
          label="Direction, from east"
          kind="angle"
          value={body.direction}
          commit={(direction) => set({ direction }, 'span turned')}
        />
        <QuantityField label="Pitch" kind="angle" value={body.pitch} commit={(pitch) => set({ pitch }, 'pitch')} />
        <SelectField
          label="Over inner supports"
          value={body.continuity}
          commit={(continuity) => set({ continuity: continuity as Panel['continuity'] }, 'continuity')}
          options={[
            { value: 'simple', label: 'simple spans' },
            { value: 'continuous', label: 'continuous' },
          ]}
        />
      </div>
      {body.span === 'oneWay' ? (
        <CheckField
          label="cantilevers where it has one support only"
          value={body.cantilevers}
          commit={(cantilevers) => set({ cantilevers }, cantilevers ? 'cantilevers' : 'does not cantilever')}
        />
      ) : null}
      <button
        type="button"
        className="btn-line"
        onClick={() => quietly(set({ direction: Math.abs(Math.sin(body.direction)) > 0.7 ? 0 : Math.PI / 2 }, 'span turned'))}
      >
        Turn the span arrow
      </button>
      {body.pitch > 0 ? (
        <p className="text-[13px] text-soft">
          On the slope it is {area((sharing?.whole.area ?? 0) / Math.cos(body.pitch))}: layers act on that, imposed load and snow on the
          plan.
        </p>
      ) : null}

      <section aria-label="Who takes it">
        <h3 className="label">
          Who takes it <span className="unit">[{unitLabel('floorArea', units)}]</span>
        </h3>
        <table className="grid-table">
          <tbody>
            {[...taken].map(([member, size]) => (
              <tr key={member}>
                <td>{markOf(building, member)}</td>
                <td className="num">{formatQuantity(size, 'floorArea', units, { bare: true })}</td>
              </tr>
            ))}
            {lost > 1 ? (
              <tr className="font-semibold text-oxide">
                <td>nothing</td>
                <td className="num">{formatQuantity(lost, 'floorArea', units, { bare: true })}</td>
              </tr>
            ) : null}
          </tbody>
        </table>
        {sharing?.doubts
          .map(({ text }) => textInUnits(text, units))
          .map((text) => (
            <p key={text} className="text-[13px] text-oxide">
              {text}
            </p>
          ))}
      </section>

      <CornersField title="Corners" corners={body.outline} commit={(outline) => set({ outline }, 'corners')} />

      {body.openings.length > 0 ? (
        <section aria-label="Openings">
          <h3 className="label">Openings</h3>
          {body.openings.map((opening, i) => (
            <div key={i} className="mt-1 grid grid-cols-[1fr_auto] items-end gap-2">
              <TextField
                label={`Opening ${i + 1}`}
                value={opening.label}
                placeholder="stair, roof light"
                commit={(label) => set({ openings: body.openings.map((old, j) => (j === i ? { ...old, label } : old)) }, 'opening named')}
              />
              <button
                type="button"
                className="text-[12px] text-soft hover:text-oxide"
                onClick={() => quietly(set({ openings: body.openings.filter((_, j) => j !== i) }, 'opening closed'))}
              >
                Close it
              </button>
              {body.span === 'oneWay' ? (
                <div className="col-span-2">
                  <CheckField
                    label="no trimmers: bridged by the strips beside it"
                    value={opening.bridged}
                    commit={(bridged) =>
                      set(
                        { openings: body.openings.map((old, j) => (j === i ? { ...old, bridged } : old)) },
                        bridged ? 'opening bridged' : 'opening not bridged',
                      )
                    }
                  />
                </div>
              ) : null}
              <div className="col-span-2">
                <CornersField
                  title="Its corners"
                  corners={opening.outline}
                  commit={(outline) =>
                    set({ openings: body.openings.map((old, j) => (j === i ? { ...old, outline } : old)) }, 'corners of an opening')
                  }
                />
              </div>
            </div>
          ))}
        </section>
      ) : null}
      <SelectField
        label="Status"
        value={body.status}
        commit={(status) => set({ status: status as Panel['status'] }, `is ${status}`)}
        options={STATUS}
      />
      <TextField label="Note" value={body.note} commit={(note) => set({ note }, 'note')} />
    </div>
  );
}

/** What stands on a panel by its build-up: each case with its load, imposed load with its category. */
function BuildUpLoads({ id, pitch }: { id: string; pitch: number }) {
  const { building, units } = useProject();
  const buildUp = building.buildUps.get(id);
  if (!buildUp) return null;
  const cases = [...sumByCase(buildUp, pitch)].map(
    ([name, load]) => `${caseIn(building.cases, name).name} ${formatQuantity(load, 'areaLoad', units, { figures: 3 })}`,
  );
  return <p className="text-[12px] text-soft">{cases.length > 0 ? `${cases.join(', ')}, on plan` : 'weighs nothing yet: see Brief'}</p>;
}
