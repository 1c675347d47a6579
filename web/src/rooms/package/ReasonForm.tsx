import { useState } from 'react';

/** One line for a reason that will be printed. What is refused is said here, and what was typed stays. */
export function ReasonForm({
  label,
  button,
  commit,
  close,
}: {
  label: string;
  button: string;
  commit: (reason: string) => Promise<void>;
  close: () => void;
}) {
  const [reason, setReason] = useState('');
  const [error, setError] = useState<string | null>(null);
  return (
    <>
      <form
        className="no-print mt-1 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          commit(reason).catch((problem: Error) => setError(problem.message));
        }}
      >
        <label className="flex-1 text-[12px] text-soft">
          {label}
          <input
            className="field text-ink"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            autoFocus
            onKeyDown={(event) => event.key === 'Escape' && close()}
          />
        </label>
        <button type="submit" className="btn btn-main">
          {button}
        </button>
        <button type="button" className="btn" onClick={close}>
          Not yet
        </button>
      </form>
      {error ? (
        <p role="alert" className="text-oxide">
          {error}
        </p>
      ) : null}
    </>
  );
}
