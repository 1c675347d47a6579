import { formatQuantity, isClosedMoment, unitLabel } from '@plinth/core';
import { useProject } from '../../project/context';

/** Each case in force, and in moment about both axes of the plan: what is applied is what arrives, but for lines of action that move at connections. */
export function BalanceTable() {
  const { computed, units } = useProject();
  const force = (value: number) => formatQuantity(value, 'force', units, { bare: true });
  const moment = (value: number) => formatQuantity(value, 'moment', units, { bare: true, figures: 4 });
  return (
    <>
      <table className="grid-table">
        <thead>
          <tr>
            <th rowSpan={2}>Case</th>
            <th className="num" colSpan={4}>
              force [{unitLabel('force', units)}]
            </th>
            {['x', 'y'].map((axis) => (
              <th key={axis} className="num" colSpan={3}>
                moment about {axis} [{unitLabel('moment', units)}]
              </th>
            ))}
          </tr>
          <tr>
            <th className="num">Applied</th>
            <th className="num">To the ground</th>
            <th className="num">Lands nowhere</th>
            <th className="num">Gap</th>
            {['x', 'y'].flatMap((axis) =>
              ['Applied', 'Moved', 'Gap'].map((title) => (
                <th key={axis + title} className="num">
                  {title}
                </th>
              )),
            )}
          </tr>
        </thead>
        <tbody>
          {computed.balance.map((line) => (
            <tr key={line.loadCase.id}>
              <td>{line.loadCase.name}</td>
              <td className="num">{force(line.applied.force)}</td>
              <td className="num">{force(line.delivered.force)}</td>
              <td className={`num ${Math.abs(line.lost.force) > 1 ? 'font-semibold text-oxide' : ''}`}>{force(line.lost.force)}</td>
              <td className="num">{force(Math.abs(line.gap.force) < 1 ? 0 : line.gap.force)}</td>
              {(['aboutX', 'aboutY'] as const).flatMap((axis) => [
                <td key={`${axis}a`} className="num">
                  {moment(line.applied[axis])}
                </td>,
                <td key={`${axis}m`} className="num">
                  {moment(line.offsets[axis])}
                </td>,
                <td key={`${axis}g`} className="num">
                  {moment(isClosedMoment(line, axis) ? 0 : line.gap[axis])}
                </td>,
              ])}
            </tr>
          ))}
        </tbody>
      </table>
      {computed.balance.length === 0 ? (
        <p className="text-soft">Nothing is applied yet.</p>
      ) : (
        <p className="text-[12px] text-soft">
          Moments about the origin of the plan. Moved: what connections shift, where a line of action does not stay what it was; the gap is
          what is applied less all that arrives, lands nowhere or moves.
        </p>
      )}
    </>
  );
}
