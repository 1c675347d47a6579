import {
  checkKey,
  clauseText,
  failureLadder,
  formatNumber,
  formatQuantity,
  type Check,
  type UnitSystem,
  type VerdictWord,
} from '@plinth/core';

/** The word of a state with its weight; colour is never the only sign. */
export function StateWord({ state }: { state: VerdictWord }) {
  const look =
    state === 'short'
      ? 'font-bold text-oxide'
      : state === 'unproven'
        ? 'italic text-soft'
        : state === 'tight'
          ? 'font-semibold'
          : 'text-soft';
  return <span className={look}>{state}</span>;
}

/** A bar from 0 to 1.25 with a tick at 1. */
export function UtilisationBar({ value, state }: { value: number | null; state: VerdictWord }) {
  const share = value === null ? 0 : Math.min(1, value / 1.25);
  return (
    <div className="relative h-[3px] bg-wash" aria-hidden>
      <div className={`absolute inset-y-0 left-0 ${state === 'short' ? 'bg-oxide' : 'bg-ink'}`} style={{ width: `${share * 100}%` }} />
      <div className="absolute -inset-y-[2px] w-px bg-soft" style={{ left: '80%' }} />
    </div>
  );
}

const MODE: Record<Check['mode'], string> = { ductile: 'ductile', brittle: 'brittle', instability: 'buckles', service: 'service' };

/** What is asked of what there is, or why nothing is known of it. */
function balance(check: Check, units: UnitSystem): string {
  const value = (number: number | null) =>
    number === null ? '—' : check.kind === 'ratio' ? formatNumber(number) : formatQuantity(number, check.kind, units);
  return check.verdict === 'unproven' ? (check.reason ?? '') : `${value(check.demand)} of ${value(check.capacity)}`;
}

function Heading({ title }: { title: string }) {
  return (
    <div className="flex justify-between">
      <h3 className="label">{title}</h3>
      <span className="text-[12px] text-soft">weakest first</span>
    </div>
  );
}

/** Limit states from weakest to strongest; the unproven at the foot, with their reason. */
export function Ladder({ checks, units, title = 'Failure ladder' }: { checks: readonly Check[]; units: UnitSystem; title?: string }) {
  return (
    <section aria-label={title}>
      <Heading title={title} />
      <ol>
        {failureLadder(checks).map((check) => (
          <li key={checkKey(check)} className="pt-1.5" data-check={checkKey(check)}>
            <div className="flex items-baseline gap-2">
              <span className="flex-1">
                {check.name} <span className="text-[12px] text-soft">{MODE[check.mode]}</span>
              </span>
              <StateWord state={check.verdict} />
              <span className="w-10 text-right font-semibold">{check.utilisation === null ? '' : check.utilisation.toFixed(2)}</span>
            </div>
            <UtilisationBar value={check.utilisation} state={check.verdict} />
            <p className="text-[12px] text-soft">
              {balance(check, units)}
              {check.verdict === 'unproven' ? '' : ` · ${clauseText(check.clause)}`}
            </p>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Ladders by several philosophies side by side: a limit state stands where the weaker of them puts it. One alone is a ladder. */
export function Ladders({
  results,
  units,
}: {
  results: readonly { readonly philosophy: string; readonly checks: readonly Check[] }[];
  units: UnitSystem;
}) {
  if (results.length === 1) return <Ladder checks={results[0]!.checks} units={units} />;
  const title = `Failure ladder, ${results.map(({ philosophy }) => philosophy).join(' and ')}`;
  const rungs = failureLadder(results.flatMap(({ checks }) => checks)).filter(
    (check, i, all) => all.findIndex((other) => checkKey(other) === checkKey(check)) === i,
  );
  return (
    <section aria-label={title}>
      <Heading title="Failure ladder" />
      <table className="mt-1 w-full table-fixed text-left" aria-label={title}>
        <thead>
          <tr className="text-[12.5px]">
            {results.map(({ philosophy }) => (
              <th key={philosophy} scope="col" className="pr-3 font-semibold">
                {philosophy}
              </th>
            ))}
          </tr>
        </thead>
        {rungs.map(({ name, mode, ...rung }) => (
          <tbody key={checkKey(rung)} data-check={checkKey(rung)}>
            <tr>
              <th scope="rowgroup" colSpan={results.length} className="pt-2 font-normal">
                {name} <span className="text-[12px] text-soft">{MODE[mode]}</span>
              </th>
            </tr>
            <tr className="align-top">
              {results.map(({ philosophy, checks }) => {
                const check = checks.find((candidate) => checkKey(candidate) === checkKey(rung));
                return (
                  <td key={philosophy} className="pr-3">
                    {check ? (
                      <>
                        <span className="flex justify-between">
                          <StateWord state={check.verdict} />
                          <span className="font-semibold">{check.utilisation === null ? '' : check.utilisation.toFixed(2)}</span>
                        </span>
                        <UtilisationBar value={check.utilisation} state={check.verdict} />
                        <span className="block text-[12px] leading-snug text-soft">
                          {balance(check, units)}
                          {check.verdict === 'unproven' ? null : (
                            <>
                              <br />
                              {clauseText(check.clause)}
                            </>
                          )}
                        </span>
                      </>
                    ) : (
                      <span className="text-soft">not asked for</span>
                    )}
                  </td>
                );
              })}
            </tr>
          </tbody>
        ))}
      </table>
    </section>
  );
}
