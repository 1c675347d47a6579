import type { ReactNode } from 'react';
import {
  caseIdOfLoad,
  caseIn,
  faceWeight,
  formatQuantity,
  itemName,
  markOf,
  measure,
  planLength,
  shapeName,
  type Item,
  type Made,
  type PlanPoint,
  type Wall,
} from '@plinth/core';
import { QuantityField, SelectField, TextField } from '../../parts/fields';
import { useProject } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import type { Of } from './forms/common';
import { RestsOn, TakenBy } from './TakenBy';

/** Cells that many kinds have, for one item. */
function useCells(item: Item) {
  const { building } = useProject();
  const { patch } = useEdit();
  const name = itemName(item);
  const change = (body: object, what: string) => patch(item, body as Partial<Item['body']>, `${name}${what}`);
  const coordinate = (value: number, label: string, commit: (value: number) => Promise<void>) => (
    <td className="num w-16">
      <QuantityField quiet kind="position" label={`${label} of ${name}`} value={value} commit={commit} />
    </td>
  );
  const named = (label: string, value: string, field: string, width: string) => (
    <td className={width}>
      <TextField quiet label={label} value={value} commit={(text) => change({ [field]: text }, ` renamed to ${text}`)} />
    </td>
  );
  const level = (field: string, value: string, label: string, what: string) => (
    <td className="w-28">
      <SelectField
        quiet
        label={`${label} of ${name}`}
        value={value}
        commit={(chosen) => change({ [field]: chosen }, what)}
        options={building.levels.map((entry) => ({ value: entry.id, label: entry.body.name }))}
      />
    </td>
  );
  return {
    name,
    change,
    mark: () => named('Mark', name, 'mark', 'w-20 font-semibold'),
    named,
    onLevel: (value: string) => level('level', value, 'Level', ' moved to another level'),
    end: (field: 'base' | 'top', value: string) => level(field, value, field, ': level changed'),
    /** The two coordinates of a post or pad. */
    at: (at: PlanPoint) => (
      <>
        {coordinate(at.x, 'x', (x) => change({ at: { ...at, x } }, ' moved'))}
        {coordinate(at.y, 'y', (y) => change({ at: { ...at, y } }, ' moved'))}
      </>
    ),
    /** The four coordinates of something with two ends. */
    ends: ({ from, to }: { readonly from: PlanPoint; readonly to: PlanPoint }) => (
      <>
        {coordinate(from.x, 'start x', (x) => change({ from: { ...from, x } }, ' moved'))}
        {coordinate(from.y, 'start y', (y) => change({ from: { ...from, y } }, ' moved'))}
        {coordinate(to.x, 'end x', (x) => change({ to: { ...to, x } }, ' moved'))}
        {coordinate(to.y, 'end y', (y) => change({ to: { ...to, y } }, ' moved'))}
      </>
    ),
    levelName: (id: string): ReactNode => <td>{building.levels.find((entry) => entry.id === id)?.body.name}</td>,
  };
}

/** The section of a member of steel, or what it is made of instead. */
function SectionCell({ material, section }: Made) {
  const { brief } = useProject();
  return (
    <td className="whitespace-nowrap">
      {section ? (
        <span title={section}>{shapeName(brief, section)}</span>
      ) : (
        <span className="text-soft">{material === 'steel' ? 'to be sized' : material === 'concrete' ? 'concrete' : 'load only'}</span>
      )}
    </td>
  );
}

/** Length and bearers of what spans. */
function Span({ item, children }: { item: Of<'beam'> | Of<'truss'>; children?: ReactNode }) {
  const { units } = useProject();
  const cells = useCells(item);
  const { body } = item;
  return (
    <>
      {cells.mark()}
      {cells.onLevel(body.level)}
      {cells.ends(body)}
      <td className="num">{formatQuantity(planLength(body), 'length', units, { bare: true })}</td>
      {children}
      <td className="whitespace-nowrap">
        <RestsOn id={item.id} />
      </td>
    </>
  );
}

export function BeamCells({ item }: { item: Of<'beam'> }) {
  return (
    <Span item={item}>
      <SectionCell {...item.body} />
    </Span>
  );
}

export function TrussCells({ item }: { item: Of<'truss'> }) {
  return <Span item={item} />;
}

export function ColumnCells({ item }: { item: Of<'column'> }) {
  const cells = useCells(item);
  const { body } = item;
  return (
    <>
      {cells.mark()}
      {cells.at(body.at)}
      {cells.end('base', body.base)}
      {cells.end('top', body.top)}
      <SectionCell {...body} />
      <td className="w-40">
        <TakenBy item={item} />
      </td>
    </>
  );
}

export function HangerCells({ item }: { item: Of<'hanger'> }) {
  const cells = useCells(item);
  const { body } = item;
  return (
    <>
      {cells.mark()}
      {cells.at(body.at)}
      {cells.end('top', body.top)}
      {cells.end('base', body.base)}
      <td className="w-40">
        <TakenBy item={item} />
      </td>
    </>
  );
}

/** What the face of a wall weighs by its build-up. */
function FaceWeight({ wall }: { wall: Wall }) {
  const { building, units } = useProject();
  const name = building.buildUps.get(wall.buildUp!)?.name;
  return <span title={name}>{formatQuantity(faceWeight(building, wall), 'areaLoad', units, { bare: true })}</span>;
}

export function WallCells({ item }: { item: Of<'wall'> }) {
  const cells = useCells(item);
  const { body } = item;
  return (
    <>
      {cells.mark()}
      {cells.ends(body)}
      <td className="num w-24">
        {body.buildUp === null ? (
          <QuantityField
            quiet
            kind="areaLoad"
            label={`Weight of the face of ${cells.name}`}
            value={body.weight}
            commit={(weight) => cells.change({ weight, weightGiven: true }, ': weight changed')}
          />
        ) : (
          <FaceWeight wall={body} />
        )}
      </td>
      <td className="w-60">
        <TakenBy item={item} />
      </td>
    </>
  );
}

export function FootingCells({ item }: { item: Of<'footing'> }) {
  const cells = useCells(item);
  const { body } = item;
  return (
    <>
      {cells.mark()}
      {cells.at(body.at)}
      {cells.onLevel(body.level)}
      <td>{body.method === 'full' ? 'full check' : 'rule of thumb'}</td>
    </>
  );
}

export function StripFootingCells({ item }: { item: Of<'stripFooting'> }) {
  const cells = useCells(item);
  return (
    <>
      {cells.mark()}
      {cells.ends(item.body)}
      {cells.onLevel(item.body.level)}
    </>
  );
}

export function GridlineCells({ item }: { item: Of<'gridline'> }) {
  const cells = useCells(item);
  return (
    <>
      {cells.named('Label', item.body.label, 'label', 'w-20 font-semibold')}
      {cells.ends(item.body)}
    </>
  );
}

export function PanelCells({ item }: { item: Of<'panel'> }) {
  const { building, computed, units } = useProject();
  const cells = useCells(item);
  const { body } = item;
  const sharing = computed.takedown.panels.get(item.id);
  const on = [...new Set(sharing?.shares.map(({ member }) => markOf(building, member)))];
  return (
    <>
      {cells.mark()}
      {cells.onLevel(body.level)}
      <td className="w-40">
        <SelectField
          quiet
          label={`Build-up of ${cells.name}`}
          value={body.buildUp}
          commit={(value) => cells.change({ buildUp: value }, ': build-up changed')}
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

export function DrawingCells({ item }: { item: Of<'drawing'> }) {
  const cells = useCells(item);
  const { body } = item;
  return (
    <>
      <td className="w-56 font-semibold">{body.name}</td>
      {cells.levelName(body.level)}
      <td>{body.scaleSource}</td>
      <td>{body.opacity}</td>
    </>
  );
}

export function MeasurementCells({ item }: { item: Of<'measurement'> }) {
  const { units } = useProject();
  const cells = useCells(item);
  const { body } = item;
  return (
    <>
      <td className="w-40 font-semibold">{body.name}</td>
      {cells.levelName(body.level)}
      <td className="num">{formatQuantity(measure(body).length, 'length', units, { bare: true })}</td>
      <td>{body.source}</td>
    </>
  );
}

export function NoteCells({ item }: { item: Of<'note'> }) {
  const { building } = useProject();
  const cells = useCells(item);
  const { body } = item;
  return (
    <>
      <td className="font-semibold">{body.text}</td>
      {cells.levelName(body.level)}
      <td>{body.on ? markOf(building, body.on) : ''}</td>
    </>
  );
}

export function LoadCells({ item }: { item: Of<'load'> }) {
  const { building, units } = useProject();
  const cells = useCells(item);
  const { body } = item;
  return (
    <>
      {cells.named('Name of the load', body.label, 'label', 'w-44')}
      <td>{markOf(building, body.on)}</td>
      <td>{caseIn(building.cases, caseIdOfLoad(body)).name}</td>
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
