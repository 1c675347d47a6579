import { Fragment, useMemo, useState } from 'react';
import {
  halfEachWay,
  tributaryArea,
  wordOf,
  arrivalTotal,
  caseIn,
  formatQuantity,
  isPermanent,
  markOf,
  NATURE_LABEL,
  NATURES,
  numbersOf,
  unitLabel,
  type Arrival,
  type ByCase,
  type Cause,
  type LoadCases,
  type Nature,
} from '@plinth/core';
import { Ladders } from '../../parts/Ladder';
import { DrawingView } from '../../parts/DrawingView';
import { PanelHead, SidePanel } from '../../parts/SidePanel';
import { useAsked } from '../../parts/useAsked';
import { useProject, useView } from '../../project/context';

/** A column of variable load: a nature, or a case of an action of the project. */
interface Column {
  readonly nature: Nature;
  readonly label: string;
}

/** Sums of permanent load that is of no action, and of all other load by column. */
function split(
  byCase: ByCase,
  cases: LoadCases,
): { permanent: number; variable: ReadonlyMap<string, Column & { readonly value: number }> } {
  let permanent = 0;
  const variable = new Map<string, Column & { readonly value: number }>();
  for (const id in byCase) {
    const { nature, action, name } = caseIn(cases, id);
    const isUsual = action === id;
    if (isUsual && isPermanent(nature)) {
      permanent += byCase[id]!;
      continue;
    }
    const key = isUsual ? nature : id;
    const label = !isUsual ? name : nature === 'roofImposed' ? 'roof' : NATURE_LABEL[nature];
    variable.set(key, { nature, label, value: (variable.get(key)?.value ?? 0) + byCase[id]! });
  }
  return { permanent, variable };
}

/** Columns beside that of permanent load that a set of values has, in the order of the ledger. */
function columnsOf(list: readonly ByCase[], cases: LoadCases): [string, Column][] {
  const found = new Map<string, Column>();
  for (const byCase of list)
    for (const [key, { value, ...column }] of split(byCase, cases).variable) if (Math.abs(value) > 1e-6) found.set(key, column);
  return [...found].sort(([, a], [, b]) => NATURES.indexOf(a.nature) - NATURES.indexOf(b.nature));
}

function where(arrival: Arrival, units: 'SI' | 'US'): string {
  const at = (value: number) => formatQuantity(value, 'length', units, { figures: 3, bare: true });
  return arrival.shape.type === 'point' ? at(arrival.shape.at) : `${at(arrival.shape.from)}–${at(arrival.shape.to)}`;
}

/** The area of floors and roofs whose load a post, a wall or a footing takes. */
function Tributary({ id }: { id: string }) {
  const { building, computed, units } = useProject();
  const areas = useMemo(() => tributaryArea(building, computed.takedown, id), [building, computed.takedown, id]);
  if (areas.length === 0) return null;
  const say = (area: number) => formatQuantity(area, 'floorArea', units, { figures: 3 });
  const names = areas.map(({ level, area }) => `${building.levels.find((entry) => entry.id === level)?.body.name} ${say(area)}`);
  return (
    <p className="mt-1 text-[13px] text-soft">
      Takes the load of {say(areas.reduce((sum, { area }) => sum + area, 0))} of floor and roof
      {names.length > 1 ? `: ${names.slice(0, 6).join(', ')}${names.length > 6 ? ` and ${names.length - 6} levels more` : ''}` : ''}, by its
      share of reactions.
    </p>
  );
}

/** What arrives at the selected member, from whom, case by case; what leaves, to whom; and why. */
export function LedgerPanel() {
  const { building, computed, units } = useProject();
  const { selected, select, openSheet } = useView();
  const [asked, setAsked] = useState<{ id: string; leave: number } | null>(null);
  const ledger = selected ? computed.takedown.members.get(selected) : undefined;
  const diagram = useAsked(`moment ${selected}`, (engine) =>
    ledger?.kind === 'beam' ? engine.diagrams(ledger.id, ['moment'], 330, 120) : Promise.resolve(undefined),
  );
  const causes = useAsked(`why ${asked?.id} ${asked?.leave}`, (engine) =>
    asked ? engine.causes(asked.id, asked.leave) : Promise.resolve(undefined),
  );
  if (!ledger)
    return (
      <SidePanel label="Ledger">
        <p className="text-soft">Choose a member of the river: its ledger stands here, with what arrives, what leaves, and why.</p>
      </SidePanel>
    );
  const totals = ledger.arrivals.map(arrivalTotal);
  const columns = columnsOf(totals, building.cases);
  const force = (value: number | undefined) =>
    value === undefined || Math.abs(value) < 0.5 ? '—' : formatQuantity(value, 'force', units, { bare: true });
  const cells = (byCase: ByCase) => {
    const { permanent, variable } = split(byCase, building.cases);
    return (
      <>
        <td className="num">{force(permanent)}</td>
        {columns.map(([key]) => (
          <td key={key} className="num">
            {force(variable.get(key)?.value)}
          </td>
        ))}
      </>
    );
  };
  const head = (first: string) => (
    <thead>
      <tr>
        <th className="label">{first}</th>
        <th className="num">permanent</th>
        {columns.map(([key, { label }]) => (
          <th key={key} className="num max-w-24 whitespace-normal">
            {label}
          </th>
        ))}
      </tr>
    </thead>
  );
  const member = computed.designs.member(ledger.id);
  const footing = computed.designs.footing(ledger.id);
  const reduction = member?.reduction ?? footing?.reduction;
  const results = member?.results ?? (footing ? [{ philosophy: '', checks: footing.checks }] : []);
  const number = numbersOf(computed.takedown).get(ledger.id);
  const going = (to: string | null) => (to === 'ground' ? 'the ground' : to === null ? 'nothing' : markOf(building, to));
  const open = asked?.id === ledger.id ? asked.leave : null;
  const halves = halfEachWay(ledger);
  return (
    <SidePanel label={`Ledger of ${ledger.mark}`}>
      <PanelHead
        mark={ledger.mark}
        what={`${ledger.transfer ? 'transfer ' : ''}${wordOf(building, ledger)}${number ? `, no. ${number}` : ''}`}
      >
        {member?.section ? `${member.section} · ${member.grade}` : (member?.reason ?? footing?.reason ?? '')}
      </PanelHead>
      {ledger.kind === 'beam' ? null : <Tributary id={ledger.id} />}
      <table className="grid-table mt-3 text-[13px]" aria-label="What arrives">
        {head('Arrives')}
        <tbody>
          {ledger.arrivals.map((arrival, i) => (
            <tr key={arrival.id}>
              <td>
                {arrival.source.type === 'member' ? (
                  <button
                    type="button"
                    className="text-left hover:text-oxide"
                    onClick={() => select((arrival.source as { member: string }).member)}
                  >
                    {arrival.label}
                  </button>
                ) : (
                  arrival.label
                )}
                {ledger.kind === 'beam' || ledger.kind === 'wall' ? (
                  <span className="ml-1 text-[11.5px] text-soft">{where(arrival, units)}</span>
                ) : null}
              </td>
              {cells(totals[i]!)}
            </tr>
          ))}
          <tr className="font-semibold">
            <td>Sum, {unitLabel('force', units)}</td>
            {cells(ledger.sum)}
          </tr>
          {reduction ? (
            <tr title={`${reduction.clause}. ${reduction.assumption}`}>
              <td>
                reduced in its own design, <span className="text-[11.5px] text-soft">{reduction.title}</span>
              </td>
              {cells(Object.fromEntries(Object.entries(reduction.less).map(([id, value]) => [id, -value])))}
            </tr>
          ) : null}
        </tbody>
      </table>
      <table className="grid-table mt-4 text-[13px]" aria-label="What leaves">
        {head('Leaves')}
        <tbody>
          {ledger.leaves.map((leave, j) => (
            <Fragment key={j}>
              <tr className={leave.to === null ? 'text-oxide' : ''}>
                <td>
                  {leave.to && leave.to !== 'ground' ? (
                    <button type="button" className="hover:text-oxide" onClick={() => select(leave.to)}>
                      to {going(leave.to)}
                    </button>
                  ) : (
                    `to ${going(leave.to)}`
                  )}{' '}
                  <button
                    type="button"
                    className="btn-line ml-1 text-[12px]"
                    aria-expanded={open === j}
                    aria-label={`Why: what ${ledger.mark} hands to ${going(leave.to)}`}
                    onClick={() => setAsked(open === j ? null : { id: ledger.id, leave: j })}
                  >
                    why?
                  </button>
                </td>
                {cells(leave.byCase)}
              </tr>
              {halves ? (
                <tr className="text-[12px] text-soft">
                  <td className="pl-4">half each way</td>
                  {cells(halves[j]!)}
                </tr>
              ) : null}
            </Fragment>
          ))}
        </tbody>
      </table>
      {halves ? (
        <p className="mt-1 text-[12px] text-soft">
          It runs on over its supports: the reactions are those of the continuous beam. Half each way is what lies up to the middle of each
          span.
        </p>
      ) : null}
      {open !== null && causes ? (
        <section aria-label="Why" className="mt-2 border-l-2 border-oxide bg-oxidewash px-2 py-1">
          <Causes causes={causes} depth={0} />
        </section>
      ) : null}
      {diagram?.drawings.length ? (
        <>
          <h3 className="label mt-4">Loads and moment</h3>
          {diagram.drawings.map((drawing) => (
            <DrawingView key={drawing.title} drawing={drawing} className="w-full" />
          ))}
        </>
      ) : null}
      {results.some(({ checks }) => checks.length > 0) ? (
        <div className="mt-3">
          <Ladders results={results} units={units} />
        </div>
      ) : null}
      <div className="mt-3 flex gap-2">
        <button type="button" className="btn" onClick={() => openSheet(ledger.id)}>
          Open the sheet
        </button>
      </div>
    </SidePanel>
  );
}

/** The tree behind a number; the first two storeys are open. */
function Causes({ causes, depth }: { causes: readonly Cause[]; depth: number }) {
  const { building, units } = useProject();
  const amount = (byCase: ByCase) => {
    const { permanent, variable } = split(byCase, building.cases);
    const parts: string[] = Math.abs(permanent) > 0.5 ? [`permanent ${formatQuantity(permanent, 'force', units)}`] : [];
    for (const { label, value } of variable.values())
      if (Math.abs(value) > 0.5) parts.push(`${label} ${formatQuantity(value, 'force', units)}`);
    return parts.join(', ');
  };
  return (
    <ul className={depth ? 'ml-3' : ''}>
      {causes
        .filter((cause) => amount(cause.byCase))
        .map((cause, i) => (
          <li key={i} className="text-[12.5px]">
            {cause.causes.length ? (
              <details open={depth < 1}>
                <summary>
                  <b className="font-semibold">{cause.label}</b> <span className="text-soft">{amount(cause.byCase)}</span>
                </summary>
                <Causes causes={cause.causes} depth={depth + 1} />
              </details>
            ) : (
              <span>
                {cause.label}{' '}
                <span className="text-soft">
                  {amount(cause.byCase)} · {cause.detail}
                </span>
              </span>
            )}
          </li>
        ))}
    </ul>
  );
}
