import { useMemo } from 'react';
import { useSearchParams } from 'react-router';

/**
 * What stands on a bench lives in the address, one entry of the browser's history for each change: a calculation can be linked to, and the
 * browser's own back undoes.
 */
export function useBenchInput<T>(initial: T): [T, (change: Partial<T>) => void] {
  const [params, setParams] = useSearchParams();
  const text = params.get('input');
  const input = useMemo(() => {
    if (!text) return initial;
    try {
      return { ...initial, ...(JSON.parse(text) as Partial<T>) };
    } catch {
      return initial;
    }
  }, [text, initial]);
  const change = (part: Partial<T>) =>
    setParams((before) => {
      const next = new URLSearchParams(before);
      next.set('input', JSON.stringify({ ...input, ...part }));
      return next;
    });
  return [input, change];
}
