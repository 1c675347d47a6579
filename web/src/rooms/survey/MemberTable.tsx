import { useEffect, useRef } from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import {
  caseLabel,
  caseOf,
  formatQuantity,
  itemName,
  markOf,
  measure,
  planLength,
  unitLabel,
  type Beam,
  type Item,
  type Kind,
  shapeName,
} from '@plinth/core';
import { QuantityField, SelectField, TextField } from '../../parts/fields';
import { useItems, useProject, useView } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { hasStatus, supportOptions, type StatusFilter } from './place';

export const TABLES = [
  { kind: 'beam', title: 'Beams' },
  { kind: 'column', title: 'Columns' },
  { kind: 'wall', title: 'Walls' },
  { kind: 'panel', title: 'Panels' },
  { kind: 'hanger', title: 'Hangers' },
  { kind: 'footing', title: 'Pads' },
  { kind: 'stripFooting', title: 'Strips' },
  { kind: 'gridline', title: 'Grid' },
  { kind: 'load', title: 'Loads' },
  { kind: 'drawing', title: 'Drawings' },
  { kind: 'measurement', title: 'Measured' },
  { kind: 'note', title: 'Notes' },
] as const;
export type TableKind = (typeof TABLES)[number]['kind'];

type Member = Extract<Item, { kind: TableKind }>;

const levelOf = (item: Member): string[] => {
  switch (item.kind) {
    case 'beam':
    case 'panel':
    case 'footing':
    case 'stripFooting':
    case 'drawing':
    case 'measurement':
    case 'note':
      return [item.body.level];
    case 'gridline':
    case 'load':
      return [];
    default:
      return [item.body.top, item.body.base];
  }
};

/** Room for rows that are not drawn because they cannot be seen. */
function Spacer({ height }: { height: number }) {
  return height > 0 ? <tr aria-hidden="true" style={{ height }} /> : null;
}

/** All members of one kind, those of the shown level first; cells are edited in place. */
export function MemberTable({ kind, level, status }: { kind: TableKind; level: string; status: StatusFilter }) {
  const { units } = useProject();
  const { selected, select } = useView();
  const items = useItems(kind) as Member[];
  const { remove, quietly } = useEdit();
  const here = (item: Member) => (kind === 'load' || kind === 'gridline' || levelOf(item).includes(level) ? 0 : 1);
  const sorted = items
    .filter((item) => hasStatus(item.body, status))
    .sort((a, b) => here(a) - here(b) || itemName(a).localeCompare(itemName(b), 'en', { numeric: true }));
  const body = useRef<HTMLTableSectionElement>(null);
  const rows = useVirtualizer({
    count: sorted.length,
    getScrollElement: () => body.current?.closest<HTMLElement>('[role="region"]') ?? null,
    estimateSize: () => 34,
    overscan: 12,
  });
  // what is selected is brought into view, also when its row is not drawn yet
  const chosen = sorted.findIndex((item) => item.id === selected);
  useEffect(() => {
    if (chosen >= 0) rows.scrollToIndex(chosen, { align: 'auto' });
    // only a new choice scrolls, not each new row
  }, [chosen, rows]);
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
    panel: [head('Level'), head('Build-up'), head('Spans'), head('Area', 'floorArea'), head('Lies on')],
    stripFooting: [
      head('from x', 'position'),
      head('from y', 'position'),
      head('to x', 'position'),
      head('to y', 'position'),
      head('Level'),
    ],
    gridline: [head('from x', 'position'), head('from y', 'position'), head('to x', 'position'), head('to y', 'position')],
    drawing: [head('Level'), head('Scale set by'), head('Strength')],
    measurement: [head('Level'), head('On plan', 'length'), head('From')],
    note: [head('Level'), head('About')],
    load: [head('On'), head('Case'), head('Where'), head('Amount')],
  };
  const shownRows = rows.getVirtualItems();
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
      <tbody ref={body}>
        <Spacer height={shownRows[0]?.start ?? 0} />
        {shownRows.map(({ index }) => {
          const item = sorted[index]!;
          return (
            <tr
              key={item.id}
              data-index={index}
              ref={rows.measureElement}
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
                    quietly(remove([item.id], `${itemName(item)} removed`));
                  }}
                >
                  Remove
                </button>
              </td>
            </tr>
          );
        })}
        <Spacer height={rows.getTotalSize() - (shownRows.at(-1)?.end ?? 0)} />
      </tbody>
    </table>
  );
}

/** What takes a member, as found or named. */
function RestsOn({ id }: { id: string }) {
  const { building, computed } = useProject();
  const on = [...new Set(computed.takedown.bearers.get(id)?.map(({ by }) => (by === null ? '?' : markOf(building, by))))];
  return on.length > 0 && on.some((mark) => mark !== '?') ? <>{on.join(', ')}</> : <span className="text-oxide">nothing</span>;
}

/** What takes a post or a wall: found, or chosen from what there is. */
function TakenBy({
  item,
  kinds,
}: {
  item: Extract<Item, { kind: 'column' | 'hanger' | 'wall' }>;
  kinds: Parameters<typeof supportOptions>[2];
}) {
  const { building } = useProject();
  const { patch } = useEdit();
  const { mark, supportsFound, by } = item.body;
  const found = <RestsOn id={item.id} />;
  return (
    <div className="flex items-center gap-2">
      {supportsFound ? <span className="min-w-0 flex-1 truncate">{found}</span> : null}
      <SelectField
        quiet
        label={`What takes ${mark}`}
        value={supportsFound ? 'found' : (by ?? '')}
        commit={(value) =>
          patch(
            item as Extract<Item, { kind: 'column' }>,
            value === 'found' ? { supportsFound: true } : { supportsFound: false, by: value || null },
            `${mark} put on another support`,
          )
        }
        options={[{ value: 'found', label: 'found from the plan' }, ...supportOptions(building, item.id, kinds)]}
      />
    </div>
  );
}

/** The cells of one row, by kind. */
function Cells({ item }: { item: Member }) {
  const { building, computed, units } = useProject();
  const { patch } = useEdit();
  const name = itemName(item);
  const levels = building.levels.map((entry) => ({ value: entry.id, label: entry.body.name }));
  const coordinate = (value: number, label: string, commit: (value: number) => Promise<void>) => (
    <td className="num w-16">
      <QuantityField quiet kind="position" label={`${label} of ${name}`} value={value} commit={commit} />
    </td>
  );
  /** The four coordinates of something with two ends. */
  const bothEnds = ({ from, to }: Pick<Beam, 'from' | 'to'>) => {
    const move = (change: Partial<Beam>) => patch(item as Extract<Item, { kind: 'beam' }>, change, `${name} moved`);
    return (
      <>
        {coordinate(from.x, 'start x', (x) => move({ from: { ...from, x } }))}
        {coordinate(from.y, 'start y', (y) => move({ from: { ...from, y } }))}
        {coordinate(to.x, 'end x', (x) => move({ to: { ...to, x } }))}
        {coordinate(to.y, 'end y', (y) => move({ to: { ...to, y } }))}
      </>
    );
  };
  const levelCell = (level: string) => (
    <td className="w-28">
      <SelectField
        quiet
        label={`Level of ${name}`}
        value={level}
        commit={(value) => patch(item as Extract<Item, { kind: 'beam' }>, { level: value }, `${name} moved to another level`)}
        options={levels}
      />
    </td>
  );
  const markCell =
    item.kind === 'load' || item.kind === 'gridline' ? (
      <td className={item.kind === 'load' ? 'w-44' : 'w-20 font-semibold'}>
        <TextField
          quiet
          label={item.kind === 'load' ? 'Name of the load' : 'Label'}
          value={item.body.label}
          commit={(label) => patch(item as Extract<Item, { kind: 'load' }>, { label }, `${name} renamed to ${label}`)}
        />
      </td>
    ) : (
      <td className="w-20 font-semibold">
        <TextField
          quiet
          label="Mark"
          value={name}
          commit={(value) => patch(item as Extract<Item, { kind: 'beam' }>, { mark: value }, `${name} renamed to ${value}`)}
        />
      </td>
    );
  switch (item.kind) {
    case 'beam': {
      const { body } = item;
      return (
        <>
          {markCell}
          {levelCell(body.level)}
          {bothEnds(body)}
          <td className="num">{formatQuantity(planLength(body), 'length', units, { bare: true })}</td>
          <td className="whitespace-nowrap">
            {body.section ? (
              <span title={body.section}>{shapeName(building.brief, body.section)}</span>
            ) : (
              <span className="text-soft">{body.role === 'truss' ? 'truss' : 'to be sized'}</span>
            )}
          </td>
          <td className="whitespace-nowrap">
            <RestsOn id={item.id} />
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
          {item.kind === 'column' ? (
            <td>
              {body.section ? (
                <span title={body.section}>{shapeName(building.brief, body.section)}</span>
              ) : (
                <span className="text-soft">to be sized</span>
              )}
            </td>
          ) : null}
          <td className="w-40">
            <TakenBy item={item} kinds={item.kind === 'column' ? ['beam', 'column', 'wall', 'footing', 'stripFooting'] : ['beam']} />
          </td>
        </>
      );
    }
    case 'wall': {
      const { body } = item;
      return (
        <>
          {markCell}
          {bothEnds(body)}
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
            <TakenBy item={item} kinds={['beam', 'wall', 'stripFooting']} />
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
          {levelCell(body.level)}
          <td>{body.method === 'full' ? 'full check' : 'rule of thumb'}</td>
        </>
      );
    }
    case 'panel': {
      const { body } = item;
      const sharing = computed.takedown.panels.get(item.id);
      const on = [...new Set(sharing?.shares.map(({ member }) => markOf(building, member)))];
      return (
        <>
          {markCell}
          {levelCell(body.level)}
          <td className="w-40">
            <SelectField
              quiet
              label={`Build-up of ${name}`}
              value={body.buildUp}
              commit={(value) => patch(item, { buildUp: value }, `${name}: build-up changed`)}
              options={[...building.buildUps].map(([value, { name: label }]) => ({ value, label }))}
            />
          </td>
          <td>{body.span === 'twoWay' ? 'two ways' : `one way, ${Math.round((body.direction * 180) / Math.PI)}°`}</td>
          <td className="num">{sharing ? formatQuantity(sharing.whole.area, 'floorArea', units, { bare: true }) : ''}</td>
          <td>
            {on.join(', ') || <span className="text-oxide">nothing</span>}
            {sharing?.orphans.length ? <span className="text-oxide"> and in part nothing</span> : null}
          </td>
        </>
      );
    }
    case 'stripFooting':
    case 'gridline': {
      const line = item as Extract<Item, { kind: 'stripFooting' }>;
      const { body } = line;
      return (
        <>
          {markCell}
          {bothEnds(body)}
          {item.kind === 'stripFooting' ? levelCell(body.level) : null}
        </>
      );
    }
    case 'drawing': {
      const { body } = item;
      return (
        <>
          <td className="w-56 font-semibold">{body.name}</td>
          <td>{building.levels.find((entry) => entry.id === body.level)?.body.name}</td>
          <td>{body.scaleSource}</td>
          <td>{body.opacity}</td>
        </>
      );
    }
    case 'measurement':
      return (
        <>
          <td className="w-40 font-semibold">{item.body.name}</td>
          <td>{building.levels.find((entry) => entry.id === item.body.level)?.body.name}</td>
          <td className="num">{formatQuantity(measure(item.body).length, 'length', units, { bare: true })}</td>
          <td>{item.body.source}</td>
        </>
      );
    case 'note':
      return (
        <>
          <td className="font-semibold">{item.body.text}</td>
          <td>{building.levels.find((entry) => entry.id === item.body.level)?.body.name}</td>
          <td>{item.body.on ? markOf(building, item.body.on) : ''}</td>
        </>
      );
    case 'load': {
      const { body } = item;
      return (
        <>
          {markCell}
          <td>{markOf(building, body.on)}</td>
          <td>{caseLabel(caseOf(body.nature, body.use))}</td>
          <td>
            {body.type === 'area'
              ? formatQuantity(measure({ points: body.outline, closed: true, pitch: 0 }).area ?? 0, 'floorArea', units)
              : body.type === 'point'
                ? `at ${formatQuantity(body.at, 'length', units)}`
                : `${formatQuantity(body.from, 'length', units)} to ${formatQuantity(body.to, 'length', units)}`}
          </td>
          <td>
            {body.type === 'area'
              ? formatQuantity(body.pressure, 'areaLoad', units)
              : body.type === 'point'
                ? formatQuantity(body.force, 'force', units)
                : formatQuantity(body.intensity, 'lineLoad', units)}
          </td>
        </>
      );
    }
  }
}
