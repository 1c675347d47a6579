import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { isSection } from '@plinth/core';

/** What an address holds, as far as it can stand on the bench: of the kind that is wanted there, and sections that are known. */
function readInput<T extends object>(initial: T, text: string | null, older: Partial<T>): T {
  if (!text) return initial;
  try {
    const read = JSON.parse(text) as Record<string, unknown>;
    const input = { ...initial, ...Object.fromEntries(Object.entries(older).filter(([name]) => !(name in read))) } as Record<
      string,
      unknown
    >;
    for (const [name, begun] of Object.entries(initial)) {
      const value = read[name];
      const isSame =
        begun === null
          ? value === null || typeof value === 'number'
          : typeof value === typeof begun && Array.isArray(value) === Array.isArray(begun);
      if (!isSame || ((name === 'section' || name === 'chosen') && !isSection(String(value)))) continue;
      input[name] = value;
    }
    return input as T;
  } catch {
    return initial;
  }
}

const NOTHING = {};

/**
 * What stands on a bench lives in the address, one entry of the browser's history for each change: a calculation can be linked to, and the
 * browser's own back undoes.
 * @param older what an address from before a field was there says of it; it keeps its identity
 */
export function useBenchInput<T extends object>(initial: T, older: Partial<T> = NOTHING): [T, (change: Partial<T>) => void] {
  const [params, setParams] = useSearchParams();
  const text = params.get('input');
  const input = useMemo(() => readInput(initial, text, older), [text, initial, older]);
  const change = (part: Partial<T>) =>
    setParams((before) => {
      const next = new URLSearchParams(before);
      next.set('input', JSON.stringify({ ...input, ...part }));
      return next;
    });
  return [input, change];
}
