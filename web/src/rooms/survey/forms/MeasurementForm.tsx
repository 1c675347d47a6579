import { formatQuantity, measure, planLength, pointAlong, roundedUp, type Beam, type Measurement, type Wall } from '@plinth/core';
import { QuantityField, SelectField, TextField } from '../../../parts/fields';
import { PanelHead } from '../../../parts/SidePanel';
import { useItems, useProject } from '../../../project/context';
import { useEdit } from '../../../project/useEdit';
import type { Of } from './common';

/** Widths that are used are rounded up to a multiple of this. */
const STEP = { SI: 100, US: 152.4 } as const;

/** A measurement that was kept: what it comes to, where it was read, and which dimension of a member it gives. */
export function MeasurementForm({ item }: { item: Of<'measurement'> }) {
  const { building, units } = useProject();
  const { patch } = useEdit();
  const [beams, trusses] = [useItems('beam'), useItems('truss')];
  const spans = [...beams, ...trusses];
  const walls = useItems('wall');
  const { put } = useEdit();
  const { body } = item;
  const set = (change: Partial<Measurement>, what: string) => patch(item, change, `${body.name}: ${what}`);
  const { parts, length, slope, area } = measure(body);
  const say = (mm: number) => formatQuantity(mm, 'length', units);
  const here = spans.filter((span) => span.body.level === body.level);
  const uses = [
    ...here.map((span) => ({ value: `${span.id} length`, label: `length of ${span.body.mark}` })),
    ...walls.map((wall) => ({ value: `${wall.id} length`, label: `length of ${wall.body.mark}` })),
    ...here.flatMap((span) =>
      span.body.strips.map((strip, i) => ({
        value: `${span.id} strips.${i}.width`,
        label: `width of ${strip.label || `strip ${i + 1}`} on ${span.body.mark}, rounded up`,
      })),
    ),
  ];
  const use = (choice: string): Promise<void> => {
    const [id, field] = choice.split(' ') as [string, string];
    const member = spans.find((span) => span.id === id) ?? walls.find((wall) => wall.id === id);
    if (!member) return Promise.resolve();
    const noted = [...member.body.measured.filter((entry) => entry.field !== field), { field, by: item.id, exact: length }];
    const strip = /^strips\.(\d+)\.width$/.exec(field);
    if (strip && 'strips' in member.body) {
      const width = roundedUp(length, STEP[units]);
      const exact = Math.abs(width - length) < 0.1 ? null : length;
      const strips = member.body.strips.map((old, i) =>
        i === Number(strip[1]) ? { ...old, widthStart: width, widthEnd: width, exactStart: exact, exactEnd: exact } : old,
      );
      return put(
        [{ ...member, body: { ...member.body, strips, measured: noted } } as Of<'beam'>],
        `${member.body.mark}: width from ${body.name}`,
      );
    }
    const { from } = member.body;
    if (planLength(member.body) === 0) throw new Error(`${member.body.mark} has no direction: draw it first`);
    const change: Partial<Beam & Wall> = { to: pointAlong({ from, to: far(member.body) }, length), measured: noted };
    return put([{ ...member, body: { ...member.body, ...change } } as Of<'beam'>], `${member.body.mark}: length from ${body.name}`);
  };
  const users = [...spans, ...walls].flatMap((member) =>
    member.body.measured
      .filter((entry) => entry.by === item.id)
      .map((entry) => `${entry.field === 'length' ? 'length' : 'strip'} of ${member.body.mark}`),
  );
  return (
    <div className="space-y-3">
      <PanelHead mark={body.name} what={`measurement, ${say(length)}`}>
        {body.source ? `from ${body.source}` : 'read off the plan, with no drawing beneath'}
      </PanelHead>
      <TextField label="Name" value={body.name} commit={(name) => set({ name }, `renamed to ${name}`)} />
      <table className="grid-table text-[13px]">
        <tbody>
          {parts.length > 1 ? (
            <tr>
              <td>{parts.map(say).join(' + ')}</td>
              <td className="num font-semibold">{say(length)}</td>
            </tr>
          ) : (
            <tr>
              <td>on plan</td>
              <td className="num font-semibold">{say(length)}</td>
            </tr>
          )}
          {body.pitch > 0 ? (
            <tr>
              <td>along the slope</td>
              <td className="num font-semibold">{say(slope)}</td>
            </tr>
          ) : null}
          {area !== null ? (
            <tr>
              <td>area on plan{body.pitch > 0 ? ', on the slope' : ''}</td>
              <td className="num font-semibold">
                {formatQuantity(area, 'floorArea', units)}
                {body.pitch > 0 ? `, ${formatQuantity(area / Math.cos(body.pitch), 'floorArea', units)}` : ''}
              </td>
            </tr>
          ) : null}
        </tbody>
      </table>
      <QuantityField
        label="Pitch: a rafter is longer than its plan"
        kind="angle"
        value={body.pitch}
        commit={(pitch) => set({ pitch }, 'pitch')}
      />
      {body.closed ? null : (
        <SelectField
          label="Use it as"
          value=""
          commit={use}
          options={[{ value: '', label: uses.length ? 'a dimension of…' : 'there is no member yet' }, ...uses]}
        />
      )}
      {users.length > 0 ? <p className="text-[13px]">Gives the {users.join(', ')}.</p> : null}
      <TextField label="Note" value={body.note} commit={(note) => set({ note }, 'note')} />
      <p className="text-[12px] text-soft">{building.levels.find(({ id }) => id === body.level)?.body.name}</p>
    </div>
  );
}

/** A point far along the line of a member, so that a length can be laid off. */
function far({ from, to }: Pick<Beam, 'from' | 'to'>) {
  const length = planLength({ from, to });
  const scale = 1e6 / length;
  return { x: from.x + (to.x - from.x) * scale, y: from.y + (to.y - from.y) * scale };
}
