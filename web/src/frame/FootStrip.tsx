import { Link, useParams } from 'react-router';
import { caseLabel, formatQuantity } from '@plinth/core';
import { useProject, useProjectPart } from '../project/context';

/** Balance of every case, loose ends, open assumptions, and whether everything is saved: in every room. */
export function FootStrip() {
  const { computed, units } = useProject();
  const save = useProjectPart((state) => state.save);
  const { project } = useParams();
  const force = (value: number) => formatQuantity(value, 'force', units, { figures: 4, bare: true });
  const loose = computed.looseEnds.filter((end) => !end.dismissed).length;
  const open = computed.openAssumptions;
  return (
    <footer className="no-print flex h-8 shrink-0 items-center gap-4 overflow-hidden border-t border-rule bg-wash px-4 text-[12px] whitespace-nowrap">
      <b className="font-semibold">Balance [{units === 'SI' ? 'kN' : 'kip'}]</b>
      <ul className="flex min-w-0 flex-1 gap-3 overflow-x-auto" aria-label="Balance">
        {computed.balance.map((line) => {
          const lost = Math.abs(line.lost.force) > 1;
          return (
            <li
              key={line.loadCase.id}
              className={lost ? 'font-semibold text-oxide' : ''}
              title={`${caseLabel(line.loadCase)}: applied ${force(line.applied.force)}, to the ground ${force(line.delivered.force)}, lands nowhere ${force(line.lost.force)}`}
            >
              {caseLabel(line.loadCase)} {force(line.applied.force)}{' '}
              {lost ? `≠ ${force(line.delivered.force)}` : `= ${force(line.delivered.force)}`}
            </li>
          );
        })}
        {computed.balance.length === 0 ? <li className="text-soft">no load yet</li> : null}
      </ul>
      <Link to={`/projects/${project}/package#loose-ends`} className={loose ? 'font-semibold text-oxide' : 'text-soft'}>
        {loose} loose {loose === 1 ? 'end' : 'ends'}
      </Link>
      <Link to={`/projects/${project}/package#assumptions`} className={open ? '' : 'text-soft'}>
        {open} assumption{open === 1 ? '' : 's'} open
      </Link>
      {computed.pending > 0 ? <span className="text-soft">{computed.pending} still to be checked</span> : null}
      <span role="status" className={save === 'saved' ? 'text-good' : 'font-semibold text-oxide'}>
        {save}
      </span>
    </footer>
  );
}
