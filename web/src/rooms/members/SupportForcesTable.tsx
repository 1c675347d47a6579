import { formatQuantity, unitLabel, type EndForces, type UnitSystem } from '@plinth/core';
import { useAsked } from '../../parts/useAsked';

/** What a beam hands to its supports, or a column to what it stands on, for the connections there: sets that act at once, factored. */
export function SupportForcesTable({ id, of, units }: { id: string; of: 'beam' | 'column'; units: UnitSystem }) {
  const supports = useAsked(`support forces ${id}`, (engine) => engine.supportForces(id));
  if (!supports?.some(({ sets }) => sets.length > 0)) return null;
  const hasMoments = supports.some(({ sets }) => sets.some(({ forces }) => forces.My !== 0));
  const title = of === 'beam' ? 'Forces at its supports' : 'Force at its foot';
  const force = of === 'beam' ? ({ Vz }: EndForces) => Vz : ({ N }: EndForces) => N;
  const say = (value: number, kind: 'force' | 'moment') => formatQuantity(value, kind, units, { bare: true });
  return (
    <section aria-label={title} className="mt-3">
      <h3 className="label">{title}</h3>
      <table className="w-full text-[13px]">
        <thead>
          <tr className="text-left text-[12px] text-soft">
            <th scope="col" className="font-normal">
              on
            </th>
            <th scope="col" className="text-right font-normal">
              {of === 'beam' ? 'V' : 'N'} [{unitLabel('force', units)}]
            </th>
            {hasMoments ? (
              <th scope="col" className="text-right font-normal">
                M [{unitLabel('moment', units)}]
              </th>
            ) : null}
            <th scope="col" className="pl-2 font-normal">
              under
            </th>
          </tr>
        </thead>
        <tbody>
          {supports.flatMap(({ by, at, joint, sets }) =>
            sets.map(({ combination, forces }) => (
              <tr key={`${by} ${at} ${combination}`} className="border-t border-rule align-top">
                <th scope="row" className="text-left font-semibold">
                  {by ?? 'nothing'}
                  {joint === '' ? null : <span className="font-normal text-soft"> by {joint}</span>}
                </th>
                <td className="text-right whitespace-nowrap">{say(force(forces), 'force')}</td>
                {hasMoments ? <td className="text-right whitespace-nowrap">{say(forces.My, 'moment')}</td> : null}
                <td className="pl-2 text-[12px] text-soft">{combination}</td>
              </tr>
            )),
          )}
        </tbody>
      </table>
      <p className="text-[12px] text-soft">
        By the combinations for strength, for the connection{of === 'beam' ? 's' : ', imposed load unreduced'}; what lifts is negative
        {hasMoments ? ', moments clockwise positive, V and M of a row act at once' : ''}.
      </p>
    </section>
  );
}
