import type { Item } from '@plinth/core';
import { SelectField, type Option } from '../../../parts/fields';
import { PanelHead } from '../../../parts/SidePanel';
import { useItems, useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import { footingsUnder } from '../make';
import { CopyForm, JoinButton, STATUS } from './common';

/** What several have in common is changed for all of them in one step; what differs says so until it is chosen. */
export function SeveralForm({ items }: { items: readonly Item[] }) {
  const { put, remove, quietly } = useEdit();
  const buildUps = useItems('buildUp').map(({ id, body }) => ({ value: id, label: body.name }));
  const names = items.map(({ body }) => ('mark' in body ? body.mark : 'label' in body ? body.label : 'name' in body ? body.name : 'note'));
  const panels = items.filter(({ kind }) => kind === 'panel');
  const walls = items.filter(({ kind }) => kind === 'wall');
  const withStatus = items.filter(({ body }) => 'status' in body);
  /** A field of those that have it, which may be fewer than are chosen. */
  const field = (some: readonly Item[], label: string, key: string, options: readonly Option[]) => {
    const values = new Set(some.map(({ body }) => (body as Record<string, unknown>)[key] as string));
    const value = values.size === 1 ? [...values][0]! : '';
    const change = (chosen: string) =>
      chosen === ''
        ? undefined
        : put(
            some.map((item) => ({ ...item, body: { ...item.body, [key]: chosen } }) as Item),
            `${some.length} items: ${label.toLowerCase()} ${options.find((option) => option.value === chosen)?.label ?? chosen}`.slice(
              0,
              200,
            ),
          );
    return (
      <SelectField
        label={some.length < items.length ? `${label} (${some.length} of them)` : label}
        value={value}
        commit={change}
        options={value === '' ? [{ value: '', label: 'they differ' }, ...options] : options}
      />
    );
  };
  return (
    <div className="space-y-3">
      <PanelHead mark={`${items.length} items`} what="drag to move, Del to remove" />
      <p className="text-[13px]">{names.join(', ')}</p>
      {withStatus.length > 0 ? field(withStatus, 'Status', 'status', STATUS) : null}
      {panels.length > 0 ? (
        <>
          {field(panels, panels.length < items.length ? 'Build-up of panels' : 'Build-up', 'buildUp', buildUps)}
          {field(panels, panels.length < items.length ? 'Panels carry' : 'Carries', 'span', [
            { value: 'oneWay', label: 'one way' },
            { value: 'twoWay', label: 'two ways' },
          ])}
        </>
      ) : null}
      {walls.length > 0
        ? field(walls, walls.length < items.length ? 'Do the walls carry load?' : 'Do they carry load?', 'bears', [
            { value: 'open', label: 'not answered' },
            { value: 'yes', label: 'they carry' },
            { value: 'no', label: 'they do not' },
          ])
        : null}
      {items.length === 2 ? <JoinButton items={items} /> : null}
      <FootingsButton items={items} />
      <button
        type="button"
        className="btn"
        onClick={() =>
          quietly(
            remove(
              items.map(({ id }) => id),
              `${items.length} items removed`,
            ),
          )
        }
      >
        Remove them
      </button>
      <CopyForm items={items} />
    </div>
  );
}

/** Draws what the ground needs under posts and walls that stand on nothing yet. */
function FootingsButton({ items }: { items: readonly Item[] }) {
  const { building, computed } = useProject();
  const { put, quietly } = useEdit();
  const made = footingsUnder(building, items, (id) => !computed.takedown.bearers.get(id)?.some(({ by }) => by !== null));
  if (made.length === 0) return null;
  return (
    <button type="button" className="btn" onClick={() => quietly(put(made, `${made.length} footings drawn`))}>
      Put a footing under the {made.length} that stand on nothing
    </button>
  );
}
