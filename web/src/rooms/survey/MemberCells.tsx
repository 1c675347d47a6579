import { caseIdOfLoad, caseIn, formatQuantity, itemName, markOf, measure, planLength, shapeName, type Beam, type Item } from '@plinth/core';
import { QuantityField, SelectField, TextField } from '../../parts/fields';
import { useProject } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { RestsOn, TakenBy } from './TakenBy';
import type { Member } from './tableKinds';

/** The cells of one row, by kind. */
export function MemberCells({ item }: { item: Member }) {
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
              commit={(weight) => patch(item, { weight, weightGiven: true }, `${name}: weight changed`)}
            />
          </td>
          <td className="w-60">
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
  }
}
