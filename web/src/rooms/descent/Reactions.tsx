import { useEffect, useState, type ReactNode } from 'react';
import { wordOf, formatQuantity, unitLabel, type MostAndLeast, type ReactionSchedule } from '@plinth/core';
import { LongTable } from '../../parts/LongTable';
import { useProject, useStore, useView } from '../../project/context';

/** What goes down through each member at the ground or at a level, by case and at its extremes. */
export function Reactions({ views }: { views: ReactNode }) {
  const { building, computed, units } = useProject();
  const { id, engine } = useStore();
  const { selected, select } = useView();
  const [level, setLevel] = useState<string | null>(null);
  const [schedule, setSchedule] = useState<ReactionSchedule | null>(null);
  useEffect(() => {
    let current = true;
    void engine.reactions(level).then((found) => current && setSchedule(found));
    return () => {
      current = false;
    };
  }, [engine, level, computed]);
  const { cases } = computed.takedown;
  const force = (value: number | undefined) => (value === undefined ? '—' : formatQuantity(value, 'force', units, { bare: true }));
  const query = level === null ? '' : `?level=${encodeURIComponent(level)}`;
  const rows = schedule?.rows ?? [];
  const purposes = schedule?.purposes ?? [];
  return (
    <div className="print-flow flex min-w-0 flex-1 flex-col px-4 pt-2 pb-2">
      <div className="flex items-baseline gap-4">
        <h1 className="text-[17px] font-bold whitespace-nowrap">Reactions</h1>
        <span className="min-w-0 flex-1 truncate text-[13px] text-soft">
          {building.brief.name}: through {schedule?.title ?? '…'}, {unitLabel('force', units)}, downward
        </span>
        {views}
        <label className="no-print text-[13px]">
          <span className="sr-only">Reactions of</span>
          <select className="field w-40" value={level ?? ''} onChange={(event) => setLevel(event.target.value || null)}>
            <option value="">the ground</option>
            {building.levels.map((entry) => (
              <option key={entry.id} value={entry.id}>
                below {entry.body.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      {rows.length === 0 && schedule ? (
        <p className="mt-4 text-soft">
          {level === null
            ? 'Nothing reaches the ground yet: draw pads or strip footings under what comes down.'
            : 'Nothing goes down through a cut below this level.'}
        </p>
      ) : (
        <LongTable
          label="Reaction schedule"
          count={rows.length}
          chosen={rows.findIndex((row) => row.member === selected)}
          head={
            <>
              <tr>
                <th colSpan={4} />
                <th colSpan={cases.length} className="num">
                  unfactored, by case
                </th>
                {purposes.map((purpose, i) => (
                  <th key={purpose} colSpan={whichOf(i).length} className="num whitespace-normal">
                    {purpose}
                  </th>
                ))}
              </tr>
              <tr>
                <th>Mark</th>
                <th>Kind</th>
                <th className="num">x [{unitLabel('position', units)}]</th>
                <th className="num">y [{unitLabel('position', units)}]</th>
                {cases.map((loadCase) => (
                  <th key={loadCase.id} className="num whitespace-normal">
                    {loadCase.name}
                  </th>
                ))}
                {purposes.flatMap((purpose, i) =>
                  whichOf(i).map((which) => (
                    <th key={`${purpose} ${which}`} className="num">
                      {which}
                    </th>
                  )),
                )}
              </tr>
            </>
          }
          foot={
            <tr className="font-semibold">
              <td colSpan={4}>Sum</td>
              {cases.map((loadCase) => (
                <td key={loadCase.id} className="num">
                  {force(schedule?.sum[loadCase.id] ?? 0)}
                </td>
              ))}
              <td colSpan={purposes.flatMap((_, i) => whichOf(i)).length} />
            </tr>
          }
          row={(index, measure) => {
            const row = rows[index]!;
            return (
              <tr
                key={row.member}
                ref={measure}
                data-index={index}
                aria-selected={row.member === selected}
                className="cursor-pointer"
                onClick={() => select(row.member)}
              >
                <td className="font-semibold whitespace-nowrap">
                  <button type="button" onClick={() => select(row.member)}>
                    {row.mark}
                  </button>
                </td>
                <td className="text-soft">{wordOf(building, { id: row.member, kind: row.kind })}</td>
                <td className="num">{formatQuantity(row.at.x, 'position', units, { bare: true })}</td>
                <td className="num">{formatQuantity(row.at.y, 'position', units, { bare: true })}</td>
                {cases.map((loadCase) => (
                  <td key={loadCase.id} className="num">
                    {force(row.byCase[loadCase.id] ?? 0)}
                  </td>
                ))}
                {row.extremes.flatMap((found, i) =>
                  whichOf(i).map((which) => <Extreme key={`${which} ${i}`} of={found?.[which]} force={force} strong={which === 'most'} />),
                )}
              </tr>
            );
          }}
        />
      )}
      <div className="no-print flex items-baseline gap-4 pt-1 text-[12px] text-soft">
        <span className="flex-1">
          most: variable load only where it presses; least: permanent load that presses at its favourable factor, variable load only where
          it lifts; the ground without pads and backfill
        </span>
        <a className="btn-line" href={`/api/projects/${id}/reactions.csv${query}`}>
          CSV
        </a>
        <button type="button" className="btn-line" onClick={() => window.print()}>
          print
        </button>
      </div>
    </div>
  );
}

/** What is shown of the extremes of each purpose: of the third, the quasi-permanent value, what the ground settles under. */
const whichOf = (purpose: number): readonly ('most' | 'least')[] => (purpose < 2 ? ['most', 'least'] : ['most']);

/** A value and, on the mouse, the combination that gives it; red where it lifts. */
function Extreme({
  of,
  force,
  strong,
}: {
  of: MostAndLeast['most'] | undefined;
  force: (value: number | undefined) => string;
  strong?: boolean;
}) {
  return (
    <td className={`num ${strong ? 'font-semibold' : ''} ${of && of.value < -1e-6 ? 'text-oxide' : ''}`} title={of?.combination}>
      {force(of?.value)}
    </td>
  );
}
