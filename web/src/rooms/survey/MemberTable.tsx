import { caseLabel, caseOf, formatQuantity, markOf, planLength, unitLabel, type Item, type Kind } from '@plinth/core';
import { QuantityField, SelectField, TextField } from '../../parts/fields';
import { useItems, useProject, useView } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { supportOptions } from './place';

export const TABLES = [
  { kind: 'beam', title: 'Beams' },
  { kind: 'column', title: 'Columns' },
  { kind: 'wall', title: 'Walls' },
  { kind: 'hanger', title: 'Hangers' },
  { kind: 'footing', title: 'Footings' },
  { kind: 'load', title: 'Loads' },
] as const;
export type TableKind = (typeof TABLES)[number]['kind'];

type Member = Extract<Item, { kind: TableKind }>;

const levelOf = (item: Member): string[] => {
  switch (item.kind) {
    case 'beam':
    case 'footing':
      return [item.body.level];
    case 'load':
      return [];
    default:
      return [item.body.top, item.body.base];
  }
};

/** Brings the row of what is selected into view. */
const intoView = (row: HTMLTableRowElement | null) => row?.scrollIntoView({ block: 'nearest' });

const markOfItem = (item: Member) => (item.kind === 'load' ? item.body.label : item.body.mark);

/** All members of one kind, those of the shown level first; cells are edited in place. */
export function MemberTable({ kind, level }: { kind: TableKind; level: string }) {
  const { units } = useProject();
  const { selected, select } = useView();
  const items = useItems(kind) as Member[];
  const { remove, quietly } = useEdit();
  const here = (item: Member) => (kind === 'load' || levelOf(item).includes(level) ? 0 : 1);
  const sorted = [...items].sort((a, b) => here(a) - here(b) || markOfItem(a).localeCompare(markOfItem(b), 'en', { numeric: true }));
  if (sorted.length === 0)
    return <p className="py-4 text-soft">None yet. Add one with the button at the right; its place is typed here or beside the plan.</p>;
  const head = (title: string, unit?: Kind) => (
    <th key={title} className={unit ? 'num' : ''}>
      {title}
      {unit ? ` [${unitLabel(unit, units)}]` : ''}
    </th>
  );
  const heads: Record<TableKind, React.ReactNode> = {
    beam: [
      head('Level'),
      head('from x', 'position'),
      head('from y', 'position'),
      head('to x', 'position'),
      head('to y', 'position'),
      head('length', 'length'),
      head('Section'),
      head('Rests on'),
    ],
    column: [head('x', 'position'), head('y', 'position'), head('From'), head('To'), head('Section'), head('Stands on')],
    wall: [
      head('from x', 'position'),
      head('from y', 'position'),
      head('to x', 'position'),
      head('to y', 'position'),
      head('face', 'areaLoad'),
      head('Stands on'),
    ],
    hanger: [head('x', 'position'), head('y', 'position'), head('Top'), head('Foot'), head('Hangs from')],
    footing: [head('x', 'position'), head('y', 'position'), head('Level'), head('Method')],
    load: [head('On'), head('Case'), head('Where'), head('Amount')],
  };
  return (
    <table className="grid-table">
      <thead>
        <tr>
          <th>{kind === 'load' ? 'Load' : 'Mark'}</th>
          {heads[kind]}
          <th>
            <span className="sr-only">Remove</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {sorted.map((item) => (
          <tr
            key={item.id}
            ref={item.id === selected ? intoView : undefined}
            aria-selected={item.id === selected}
            onClick={() => select(item.id)}
            className={here(item) ? 'text-soft' : ''}
          >
            <Cells item={item} />
            <td className="num">
              <button
                type="button"
                className="text-soft hover:text-oxide"
                onClick={(event) => {
                  event.stopPropagation();
                  quietly(remove([item.id], `${markOfItem(item)} removed`));
                }}
              >
                Remove
              </button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The cells of one row, by kind. */
function Cells({ item }: { item: Member }) {
  const { building, units } = useProject();
  const { patch } = useEdit();
  const name = markOfItem(item);
  const levels = building.levels.map((entry) => ({ value: entry.id, label: entry.body.name }));
  const coordinate = (value: number, label: string, commit: (value: number) => Promise<void>) => (
    <td className="num w-[4.5rem]">
      <QuantityField quiet kind="position" label={`${label} of ${name}`} value={value} commit={commit} />
    </td>
  );
  const markCell =
    item.kind === 'load' ? (
      <td className="w-44">
        <TextField
          quiet
          label="Name of the load"
          value={item.body.label}
          commit={(label) => patch(item, { label }, `Load renamed to ${label}`)}
        />
      </td>
    ) : (
      <td className="w-20 font-semibold">
        <TextField
          quiet
          label="Mark"
          value={item.body.mark}
          commit={(value) => patch(item as Extract<Item, { kind: 'beam' }>, { mark: value }, `${name} renamed to ${value}`)}
        />
      </td>
    );
  switch (item.kind) {
    case 'beam': {
      const { body } = item;
      const end = (which: 'from' | 'to', axis: 'x' | 'y') => (value: number) =>
        patch(item, { [which]: { ...body[which], [axis]: value } }, `${name} moved`);
      return (
        <>
          {markCell}
          <td className="w-28">
            <SelectField
              quiet
              label={`Level of ${name}`}
              value={body.level}
              commit={(value) => patch(item, { level: value }, `${name} moved to another level`)}
              options={levels}
            />
          </td>
          {coordinate(body.from.x, 'start x', end('from', 'x'))}
          {coordinate(body.from.y, 'start y', end('from', 'y'))}
          {coordinate(body.to.x, 'end x', end('to', 'x'))}
          {coordinate(body.to.y, 'end y', end('to', 'y'))}
          <td className="num">{formatQuantity(planLength(body), 'length', units, { bare: true })}</td>
          <td className="whitespace-nowrap">
            {body.section ?? <span className="text-soft">{body.role === 'truss' ? 'truss' : 'to be sized'}</span>}
          </td>
          <td>
            {body.supports.map((support) => (support.by ? markOf(building, support.by) : '?')).join(', ') || (
              <span className="text-oxide">nothing</span>
            )}
          </td>
        </>
      );
    }
    case 'column':
    case 'hanger': {
      const column = item as Extract<Item, { kind: 'column' }>;
      const { body } = column;
      return (
        <>
          {markCell}
          {coordinate(body.at.x, 'x', (x) => patch(column, { at: { ...body.at, x } }, `${name} moved`))}
          {coordinate(body.at.y, 'y', (y) => patch(column, { at: { ...body.at, y } }, `${name} moved`))}
          {(item.kind === 'column' ? (['base', 'top'] as const) : (['top', 'base'] as const)).map((which) => (
            <td key={which} className="w-28">
              <SelectField
                quiet
                label={`${which} of ${name}`}
                value={body[which]}
                commit={(value) => patch(column, { [which]: value }, `${name}: level changed`)}
                options={levels}
              />
            </td>
          ))}
          {item.kind === 'column' ? <td>{body.section ?? <span className="text-soft">to be sized</span>}</td> : null}
          <td className="w-40">
            <SelectField
              quiet
              label={`What takes ${name}`}
              value={body.by ?? ''}
              commit={(value) => patch(column, { by: value || null }, `${name} put on another support`)}
              options={supportOptions(building, item.id, item.kind === 'column' ? ['beam', 'column', 'footing'] : ['beam'])}
            />
          </td>
        </>
      );
    }
    case 'wall': {
      const { body } = item;
      const end = (which: 'from' | 'to', axis: 'x' | 'y') => (value: number) =>
        patch(item, { [which]: { ...body[which], [axis]: value } }, `${name} moved`);
      return (
        <>
          {markCell}
          {coordinate(body.from.x, 'start x', end('from', 'x'))}
          {coordinate(body.from.y, 'start y', end('from', 'y'))}
          {coordinate(body.to.x, 'end x', end('to', 'x'))}
          {coordinate(body.to.y, 'end y', end('to', 'y'))}
          <td className="num w-24">
            <QuantityField
              quiet
              kind="areaLoad"
              label={`Weight of the face of ${name}`}
              value={body.weight}
              commit={(weight) => patch(item, { weight }, `${name}: weight changed`)}
            />
          </td>
          <td className="w-40">
            <SelectField
              quiet
              label={`What takes ${name}`}
              value={body.by ?? ''}
              commit={(value) => patch(item, { by: value || null }, `${name} put on another support`)}
              options={supportOptions(building, item.id, ['beam'])}
            />
          </td>
        </>
      );
    }
    case 'footing': {
      const { body } = item;
      return (
        <>
          {markCell}
          {coordinate(body.at.x, 'x', (x) => patch(item, { at: { ...body.at, x } }, `${name} moved`))}
          {coordinate(body.at.y, 'y', (y) => patch(item, { at: { ...body.at, y } }, `${name} moved`))}
          <td className="w-28">
            <SelectField
              quiet
              label={`Level of ${name}`}
              value={body.level}
              commit={(value) => patch(item, { level: value }, `${name} moved to another level`)}
              options={levels}
            />
          </td>
          <td>{body.method === 'full' ? 'full check' : 'rule of thumb'}</td>
        </>
      );
    }
    case 'load': {
      const { body } = item;
      return (
        <>
          {markCell}
          <td>{markOf(building, body.on)}</td>
          <td>{caseLabel(caseOf(body.nature, body.use))}</td>
          <td>
            {body.type === 'point'
              ? `at ${formatQuantity(body.at, 'length', units)}`
              : `${formatQuantity(body.from, 'length', units)} to ${formatQuantity(body.to, 'length', units)}`}
          </td>
          <td>{body.type === 'point' ? formatQuantity(body.force, 'force', units) : formatQuantity(body.intensity, 'lineLoad', units)}</td>
        </>
      );
    }
  }
}
