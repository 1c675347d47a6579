import { echoQuantity, parseQuantity, unitLabel } from '@plinth/core';
import { useUnits } from '../project/context';
import { TextField } from './fields';

/** Distances along a member in one field, with blanks between them; empty where there may be none. */
export function PlacesField({
  label,
  value,
  most,
  commit,
  empty = 'none',
}: {
  label: string;
  value: readonly number[];
  /** Length of the member, mm: none lies beyond. */
  most: number;
  commit: (places: number[]) => Promise<void> | void;
  /** What an empty field means; null: it must not be empty. */
  empty?: string | null;
}) {
  const units = useUnits();
  return (
    <TextField
      label={`${label} [${unitLabel('length', units)}]`}
      placeholder={empty ?? undefined}
      value={value.map((place) => echoQuantity(place, 'length', units)).join(' ')}
      commit={(text) => {
        const places = text
          .split(/[;\s]+/)
          .filter(Boolean)
          .map((part) => parseQuantity(part, 'length', units));
        if (empty === null && places.length === 0) throw new Error('name at least one place');
        if (places.some((place) => place < 0 || place > most + 1e-6)) throw new Error('a place lies off the member');
        return commit([...new Set(places)].sort((a, b) => a - b));
      }}
    />
  );
}
