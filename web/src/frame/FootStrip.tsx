import { Link, useParams } from 'react-router';
import { formatQuantity, NATURE_LABEL } from '@plinth/core';
import { useProject } from '../project/context';
import type { Computed } from '../project/engine.worker';
import { SaveBadge } from './SaveBadge';

type Line = Computed['balance'][number];

/** More cases than this do not stand beside each other. */
const SIDE_BY_SIDE = 5;

/** What the strip says of the balance: what does not close comes first, each case by itself; many imposed ones that close are added up. */
function entriesOf(balance: readonly Line[]) {
  const isLost = (line: Line) => Math.abs(line.lost.force) > 1;
  const groups = new Map<string, Line[]>();
  for (const line of [...balance.filter(isLost), ...balance.filter((other) => !isLost(other))]) {
    const { id, nature } = line.loadCase;
    // cases of wind or snow are alternatives: their sum is none
    const key = balance.length > SIDE_BY_SIDE && !isLost(line) && nature === 'imposed' ? nature : id;
    groups.set(key, [...(groups.get(key) ?? []), line]);
  }
  return [...groups].map(([key, lines]) => ({
    key,
    lines,
    label: lines.length > 1 ? `${NATURE_LABEL[lines[0]!.loadCase.nature]}, ${lines.length} cases` : lines[0]!.loadCase.name,
    applied: lines.reduce((sum, line) => sum + line.applied.force, 0),
    delivered: lines.reduce((sum, line) => sum + line.delivered.force, 0),
    lost: lines.some(isLost),
  }));
}

/** Balance of every case, loose ends, open assumptions, and whether everything is saved: in every room. */
export function FootStrip() {
  const { computed, units } = useProject();
  const { project } = useParams();
  const force = (value: number) => formatQuantity(value, 'force', units, { figures: 4, bare: true });
  const loose = computed.looseEnds.filter((end) => !end.dismissed).length;
  const open = computed.openAssumptions;
  return (
    <footer className="no-print flex h-8 shrink-0 items-center gap-4 overflow-hidden border-t border-rule bg-wash px-4 text-[12px] whitespace-nowrap">
      <b className="font-semibold">Balance [{units === 'SI' ? 'kN' : 'kip'}]</b>
      <ul className="flex min-w-0 flex-1 gap-3 overflow-x-auto" aria-label="Balance">
        {entriesOf(computed.balance).map(({ key, label, lines, applied, delivered, lost }) => (
          <li
            key={key}
            className={lost ? 'font-semibold text-oxide' : ''}
            title={lines
              .map(
                (line) =>
                  `${line.loadCase.name}: applied ${force(line.applied.force)}, to the ground ${force(line.delivered.force)}, lands nowhere ${force(line.lost.force)}`,
              )
              .join('\n')}
          >
            {label} {force(applied)} {lost ? '≠' : '='} {force(delivered)}
          </li>
        ))}
        {computed.balance.length === 0 ? <li className="text-soft">no load yet</li> : null}
      </ul>
      <Link to={`/projects/${project}/package#loose-ends`} className={loose ? 'font-semibold text-oxide' : 'text-soft'}>
        {loose} loose {loose === 1 ? 'end' : 'ends'}
      </Link>
      <Link to={`/projects/${project}/package#assumptions`} className={open ? '' : 'text-soft'}>
        {open} assumption{open === 1 ? '' : 's'} open
      </Link>
      {computed.pending > 0 ? <span className="text-soft">{computed.pending} still to be checked</span> : null}
      <SaveBadge />
    </footer>
  );
}
