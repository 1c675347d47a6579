import {
  areAlternatives,
  isPermanent,
  NATURE_LABEL,
  LOAD_NATURES,
  USE_LABEL,
  USES,
  type Item,
  type LoadNature,
  type Nature,
  type Use,
} from '@plinth/core';
import { SelectField, TextField } from '../../parts/fields';
import { NatureMark } from '../../parts/NatureMark';
import { useItems } from '../../project/context';
import { freshId, useEdit } from '../../project/useEdit';

type ActionItem = Extract<Item, { kind: 'action' }>;
type ActionBody = ActionItem['body'];

/** The next key that no case of the action has: the journal and the loads know a case by it, whatever it is called later. */
function freshKey(cases: ActionBody['cases']): string {
  for (let n = cases.length + 1; ; n += 1) if (!cases.some(({ id }) => id === `${n}`)) return `${n}`;
}

/** Actions of the project beside the usual ones: several cases of wind or snow, equipment that stands here or there. */
export function Actions() {
  const items = [...useItems('action')].sort((a, b) => a.body.name.localeCompare(b.body.name));
  const { put, quietly } = useEdit();
  const add = () =>
    quietly(
      put(
        [
          {
            id: freshId('action'),
            kind: 'action',
            body: {
              name: `Action ${items.length + 1}`,
              nature: 'wind',
              relation: 'alternatives',
              direction: 'asGiven',
              cases: [{ id: '1', name: 'case 1' }],
            },
          },
        ],
        'Action added',
      ),
    );
  return (
    <section className="mt-8 max-w-5xl" aria-label="Actions">
      <h2 className="label">Actions</h2>
      <p className="mt-1 text-[13px] text-soft">
        Every nature of load, and every use of imposed load, is an action already. Add one where an action has several cases: wind from
        either side, drifted snow, a machine that stands here or there, or permanent load that is to be read by itself. It leads or
        accompanies as one; of wind, snow, temperature, seismic and accidental cases one acts at a time.
      </p>
      {items.map((item) => (
        <ActionForm key={item.id} item={item} />
      ))}
      <button type="button" className="btn mt-3" onClick={add}>
        Add an action
      </button>
    </section>
  );
}

function ActionForm({ item }: { item: ActionItem }) {
  const { body } = item;
  const { patch, remove, quietly } = useEdit();
  const set = (change: Partial<ActionBody>, what: string) => patch(item, change, `${body.name}: ${what}`);
  const isAlternative = areAlternatives(body.nature);
  return (
    <div className="mt-4" data-action={body.name}>
      <div className="flex items-baseline gap-4 border-b border-ink pb-0.5">
        <div className="w-56 font-semibold">
          <TextField quiet label="Name of the action" value={body.name} commit={(name) => set({ name }, `renamed to ${name}`)} />
        </div>
        <span className="flex flex-1 items-center gap-1">
          <NatureMark nature={body.nature} />
          <SelectField
            quiet
            label={`Nature of ${body.name}`}
            value={body.nature}
            commit={(value) =>
              set(
                {
                  nature: value as LoadNature,
                  use: value === 'imposed' ? (body.use ?? 'A') : undefined,
                  // permanent load is there all at once, in one sense
                  ...(isPermanent(value as Nature) ? { relation: 'together', direction: 'asGiven' } : {}),
                },
                `now ${NATURE_LABEL[value as Nature]}`,
              )
            }
            options={LOAD_NATURES.map((nature) => ({ value: nature, label: NATURE_LABEL[nature] }))}
          />
          {body.nature === 'imposed' ? (
            <SelectField
              quiet
              label={`Use of ${body.name}`}
              value={body.use ?? 'A'}
              commit={(use) => set({ use: use as Use }, 'use')}
              options={USES.map((use) => ({ value: use, label: `${use}: ${USE_LABEL[use]}` }))}
            />
          ) : null}
          {isPermanent(body.nature) ? (
            <span className="text-[13px] text-soft">all its cases at once, as they are typed</span>
          ) : (
            <>
              <SelectField
                quiet
                label={`Cases of ${body.name} act`}
                value={body.relation}
                commit={(relation) => set({ relation: relation as ActionBody['relation'] }, 'relation of its cases')}
                options={[
                  { value: 'alternatives', label: 'one case at a time' },
                  {
                    value: 'together',
                    label: isAlternative ? `all cases together, one ${NATURE_LABEL[body.nature]} action at a time` : 'all cases together',
                  },
                ]}
              />
              <SelectField
                quiet
                label={`Direction of ${body.name}`}
                value={body.direction}
                commit={(direction) => set({ direction: direction as ActionBody['direction'] }, 'direction')}
                options={[
                  { value: 'asGiven', label: 'as its loads are typed' },
                  { value: 'bothWays', label: 'as typed, or all turned round' },
                ]}
              />
            </>
          )}
        </span>
        <button
          type="button"
          className="text-[13px] text-soft hover:text-oxide"
          onClick={() => quietly(remove([item.id], `Action ${body.name} removed`))}
        >
          Remove
        </button>
      </div>
      <table className="grid-table">
        <tbody>
          {body.cases.map((one, i) => (
            <tr key={one.id}>
              <td className="w-64">
                <TextField
                  quiet
                  label={`Case ${i + 1} of ${body.name}`}
                  value={one.name}
                  commit={(name) =>
                    set({ cases: body.cases.map((old) => (old.id === one.id ? { ...old, name } : old)) }, `case ${one.name} is now ${name}`)
                  }
                />
              </td>
              <td className="num">
                {body.cases.length > 1 ? (
                  <button
                    type="button"
                    aria-label={`Take out ${one.name}`}
                    className="text-soft hover:text-oxide"
                    onClick={() => quietly(set({ cases: body.cases.filter(({ id }) => id !== one.id) }, `${one.name} taken out`))}
                  >
                    Take out
                  </button>
                ) : null}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <button
        type="button"
        className="btn-line mt-1 text-[13px]"
        onClick={() => {
          const id = freshKey(body.cases);
          quietly(set({ cases: [...body.cases, { id, name: `case ${id}` }] }, 'case added'));
        }}
      >
        Add a case
      </button>
    </div>
  );
}
