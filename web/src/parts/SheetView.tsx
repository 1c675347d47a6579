import { useEffect, useRef } from 'react';
import {
  formatNumber,
  formatQuantity,
  sharesInOneLine,
  substitute,
  symbolKinds,
  type Entry,
  type Kind,
  type SymbolKinds,
  type UnitSystem,
} from '@plinth/core';
import { StateWord } from './Ladder';
import { setCondition, setStep, setSymbol } from './mathematics';

const show = (value: number, kind: Kind, units: UnitSystem) =>
  kind === 'ratio' ? formatNumber(value, 4) : formatQuantity(value, kind, units);

/** A formula; one that is too wide for its column scrolls, and can be scrolled by the keyboard. */
function Mathematics({ html, label }: { html: string; label: string }) {
  const ref = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    const element = ref.current!;
    const observer = new ResizeObserver(() => {
      if (element.scrollWidth > element.clientWidth) element.tabIndex = 0;
      else element.removeAttribute('tabindex');
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [html]);
  return (
    <span
      ref={ref}
      className="inline-block max-w-full overflow-x-auto align-middle"
      role="img"
      aria-label={label}
      dangerouslySetInnerHTML={{ __html: html }}
    />
  );
}

function Line({ clause, children }: { clause?: string; children: React.ReactNode }) {
  return (
    <div className="grid grid-cols-[1fr_7.5rem] gap-3 py-[3px]">
      <div className="min-w-0">{children}</div>
      <div className="text-[12px] font-sans text-soft">{clause}</div>
    </div>
  );
}

function EntryView({ entry, kinds, units }: { entry: Entry; kinds: SymbolKinds; units: UnitSystem }) {
  switch (entry.type) {
    case 'scope': {
      const shares = sharesInOneLine(entry.entries, units);
      if (shares)
        return (
          <Line clause="statics">
            <b className="font-semibold">{entry.title}:</b> {shares.terms} = <b className="font-semibold">{shares.result}</b>
          </Line>
        );
      return (
        <section className="mt-3">
          <h4 className="font-sans font-semibold">{entry.title}</h4>
          <div className="border-l border-rule pl-3">
            <Entries entries={entry.entries} outer={kinds} units={units} />
          </div>
        </section>
      );
    }
    case 'given':
    case 'lookup':
      return (
        <Line clause={entry.type === 'given' ? entry.source : entry.clause}>
          <Mathematics html={setSymbol(entry.symbol)} label={entry.symbol} /> ={' '}
          <b className="font-semibold">{show(entry.value, entry.kind, units)}</b>{' '}
          <span className="text-soft">{entry.type === 'given' ? entry.meaning : `${entry.table}, ${entry.row}`}</span>
        </Line>
      );
    case 'step': {
      const [numbers, result] = [substitute(entry.formula, entry.inputs, kinds, units), show(entry.value, entry.kind, units)];
      return (
        <Line clause={entry.clause}>
          <Mathematics html={setStep(entry.symbol, entry.formula)} label={`${entry.symbol} = ${entry.formula}`} />
          <div>
            {numbers === result ? '' : `= ${numbers} `}= <b className="font-semibold">{result}</b>{' '}
            {entry.meaning ? <span className="text-soft">{entry.meaning}</span> : null}
          </div>
        </Line>
      );
    }
    case 'branch':
      return (
        <Line clause={entry.clause}>
          <Mathematics html={setCondition(entry.condition)} label={entry.condition} /> {entry.holds ? 'holds' : 'does not hold'}:{' '}
          {entry.consequence}
        </Line>
      );
    case 'assumption':
      return (
        <Line>
          <b className="font-semibold text-oxide">Assumed:</b> {entry.text} <span className="text-soft">{entry.reason}</span>
        </Line>
      );
    case 'verdict':
      return (
        <Line>
          <b className="font-semibold">{entry.check.name}:</b> {entry.check.utilisation?.toFixed(2)}{' '}
          <StateWord state={entry.check.verdict} />{' '}
          {entry.check.verdict === 'unproven' ? <span className="text-soft">{entry.check.reason}</span> : null}
        </Line>
      );
    case 'conclusion':
      return (
        <Line>
          <b className="font-semibold">{entry.text}</b>
        </Line>
      );
    case 'note':
      return (
        <Line>
          <i className="text-soft">{entry.text}</i>
        </Line>
      );
  }
}

function Entries({ entries, outer, units }: { entries: readonly Entry[]; outer: SymbolKinds; units: UnitSystem }) {
  const kinds = symbolKinds(entries, outer);
  return entries.map((entry, i) => <EntryView key={i} entry={entry} kinds={kinds} units={units} />);
}

/** A calculation sheet: symbol, formula, substitution, result, with the clause in the margin. */
export default function SheetView({ entries, units }: { entries: readonly Entry[]; units: UnitSystem }) {
  return (
    <div className="font-serif text-[14px] leading-snug">
      <Entries entries={entries} outer={new Map()} units={units} />
    </div>
  );
}
