import { useId, useRef, useState, type KeyboardEvent } from 'react';
import { echoQuantity, parseQuantity, unitLabel, type Kind } from '@plinth/core';
import { useUnits } from '../project/context';

interface Common<T> {
  readonly label: string;
  readonly value: T;
  /** Makes the change; what it throws is shown at the field, and what was typed stays. */
  readonly commit: (value: T) => Promise<void> | void;
  /** The label stands elsewhere (a column's header, a row) and is only said to screen readers. */
  readonly quiet?: boolean;
  readonly className?: string;
}

/** The shared behaviour of a field that is typed into: Enter and leaving commit, Escape backs out, errors stand beneath. */
function useTyped<T>(shown: string, read: (text: string) => T, value: T, commit: Common<T>['commit']) {
  const [text, setText] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const busy = useRef(false);

  const finish = async () => {
    if (text === null || busy.current) return;
    busy.current = true;
    try {
      const next = read(text);
      if (next !== value) await commit(next);
      setText(null);
      setError(null);
    } catch (problem) {
      setError((problem as Error).message);
    } finally {
      busy.current = false;
    }
  };
  const keys = (event: KeyboardEvent<HTMLInputElement | HTMLTextAreaElement>) => {
    if (event.key === 'Enter' && !event.shiftKey) {
      event.preventDefault();
      void finish();
    } else if (event.key === 'Escape' && text !== null) {
      event.stopPropagation();
      setText(null);
      setError(null);
    }
  };
  return { text: text ?? shown, error, change: setText, finish, keys };
}

function Labelled({
  id,
  label,
  unit,
  quiet,
  error,
  children,
}: {
  id: string;
  label: string;
  unit?: string;
  quiet?: boolean;
  error: string | null;
  children: React.ReactNode;
}) {
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={quiet ? 'sr-only' : 'block text-[12px] text-soft'}>
        {label}
        {unit ? <span className="text-soft"> [{unit}]</span> : null}
      </label>
      {children}
      {error ? (
        <p id={`${id}-error`} role="alert" className="text-[12px] text-oxide">
          {error}
        </p>
      ) : null}
    </div>
  );
}

/** A quantity as people type it: bare numbers in the project's unit, or with any unit, or arithmetic. */
export function QuantityField({ label, kind, value, commit, quiet, className }: Common<number> & { kind: Kind }) {
  const units = useUnits();
  const id = useId();
  const typed = useTyped(echoQuantity(value, kind, units), (text) => parseQuantity(text, kind, units), value, commit);
  return (
    <Labelled id={id} label={label} unit={unitLabel(kind, units)} quiet={quiet} error={typed.error}>
      <input
        id={id}
        className={`field text-right ${className ?? ''}`}
        inputMode="text"
        autoComplete="off"
        value={typed.text}
        aria-invalid={typed.error !== null}
        aria-describedby={typed.error ? `${id}-error` : undefined}
        onChange={(event) => typed.change(event.target.value)}
        onBlur={() => void typed.finish()}
        onKeyDown={typed.keys}
        onFocus={(event) => event.target.select()}
      />
    </Labelled>
  );
}

/** A quantity that may be left empty, which means something of its own ("sized", "as in the brief"). */
export function OptionalQuantityField({ label, kind, value, commit, quiet, empty }: Common<number | null> & { kind: Kind; empty: string }) {
  const units = useUnits();
  const id = useId();
  const typed = useTyped(
    value === null ? '' : echoQuantity(value, kind, units),
    (text) => (text.trim() ? parseQuantity(text, kind, units) : null),
    value,
    commit,
  );
  return (
    <Labelled id={id} label={label} unit={unitLabel(kind, units)} quiet={quiet} error={typed.error}>
      <input
        id={id}
        className="field text-right placeholder:text-soft"
        placeholder={empty}
        autoComplete="off"
        value={typed.text}
        aria-invalid={typed.error !== null}
        aria-describedby={typed.error ? `${id}-error` : undefined}
        onChange={(event) => typed.change(event.target.value)}
        onBlur={() => void typed.finish()}
        onKeyDown={typed.keys}
      />
    </Labelled>
  );
}

export function TextField({
  label,
  value,
  commit,
  quiet,
  className,
  placeholder,
  list,
}: Common<string> & { placeholder?: string; list?: string }) {
  const id = useId();
  const typed = useTyped(value, (text) => text.trim(), value, commit);
  return (
    <Labelled id={id} label={label} quiet={quiet} error={typed.error}>
      <input
        id={id}
        className={`field placeholder:text-soft ${className ?? ''}`}
        placeholder={placeholder}
        list={list}
        autoComplete="off"
        value={typed.text}
        aria-invalid={typed.error !== null}
        aria-describedby={typed.error ? `${id}-error` : undefined}
        onChange={(event) => typed.change(event.target.value)}
        onBlur={() => void typed.finish()}
        onKeyDown={typed.keys}
      />
    </Labelled>
  );
}

export function NumberField({ label, value, commit, quiet }: Common<number>) {
  const id = useId();
  const read = (text: string) => {
    const number = Number(text);
    if (!text.trim() || !Number.isFinite(number)) throw new Error(`"${text}" is not a number`);
    return number;
  };
  const typed = useTyped(String(value), read, value, commit);
  return (
    <Labelled id={id} label={label} quiet={quiet} error={typed.error}>
      <input
        id={id}
        className="field text-right"
        inputMode="decimal"
        autoComplete="off"
        value={typed.text}
        aria-invalid={typed.error !== null}
        aria-describedby={typed.error ? `${id}-error` : undefined}
        onChange={(event) => typed.change(event.target.value)}
        onBlur={() => void typed.finish()}
        onKeyDown={typed.keys}
      />
    </Labelled>
  );
}

export interface Option {
  readonly value: string;
  readonly label: string;
}

export function SelectField({ label, value, commit, quiet, options }: Common<string> & { options: readonly Option[] }) {
  const id = useId();
  const [error, setError] = useState<string | null>(null);
  const choose = async (next: string) => {
    try {
      await commit(next);
      setError(null);
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  return (
    <Labelled id={id} label={label} quiet={quiet} error={error}>
      <select id={id} className="field" value={value} aria-invalid={error !== null} onChange={(event) => void choose(event.target.value)}>
        {options.some((option) => option.value === value) ? null : <option value={value}>{value || 'choose'}</option>}
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    </Labelled>
  );
}

export function CheckField({ label, value, commit }: Common<boolean>) {
  const [error, setError] = useState<string | null>(null);
  return (
    <label className="flex items-center gap-1.5 text-[13px]">
      <input
        type="checkbox"
        className="accent-oxide"
        checked={value}
        onChange={(event) =>
          void Promise.resolve(commit(event.target.checked)).then(
            () => setError(null),
            (problem: Error) => setError(problem.message),
          )
        }
      />
      {label}
      {error ? (
        <span role="alert" className="text-oxide">
          {error}
        </span>
      ) : null}
    </label>
  );
}
