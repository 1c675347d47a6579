import { failureLadder, formatNumber, formatQuantity, type Check, type UnitSystem, type VerdictWord } from '@plinth/core';

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

/** Limit states from weakest to strongest; the unproven at the foot, with their reason. */
export function Ladder({ checks, units, title = 'Failure ladder' }: { checks: readonly Check[]; units: UnitSystem; title?: string }) {
  const value = (number: number | null, check: Check) =>
    number === null ? '—' : check.kind === 'ratio' ? formatNumber(number) : formatQuantity(number, check.kind, units);
  return (
    <section aria-label={title}>
      <div className="flex justify-between">
        <h3 className="label">{title}</h3>
        <span className="text-[12px] text-soft">weakest first</span>
      </div>
      <ol>
        {failureLadder(checks).map((check) => (
          <li key={check.name} className="pt-1.5" data-check={check.name}>
            <div className="flex items-baseline gap-2">
              <span className="flex-1">
                {check.name} <span className="text-[12px] text-soft">{MODE[check.mode]}</span>
              </span>
              <StateWord state={check.verdict} />
              <span className="w-10 text-right font-semibold">{check.utilisation === null ? '' : check.utilisation.toFixed(2)}</span>
            </div>
            <UtilisationBar value={check.utilisation} state={check.verdict} />
            <p className="text-[12px] text-soft">
              {check.verdict === 'unproven'
                ? check.reason
                : `${value(check.demand, check)} of ${value(check.capacity, check)} · ${check.clause}`}
            </p>
          </li>
        ))}
      </ol>
    </section>
  );
}
