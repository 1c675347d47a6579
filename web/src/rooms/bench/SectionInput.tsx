import { useId } from 'react';
import { catalogue, readDesignation, OWN_EXAMPLE } from '@plinth/core';
import { TextField } from '../../parts/fields';

/** A section by its designation: rolled, or an own shape by its dimensions. What is not known is said at the field. */
export function SectionInput({
  label = 'Section',
  value,
  commit,
}: {
  label?: string;
  value: string;
  commit: (designation: string) => void;
}) {
  const id = useId();
  return (
    <div>
      <TextField
        label={label}
        value={value}
        list={`${id}-list`}
        className="font-semibold"
        commit={(text) => commit(readDesignation(text))}
      />
      <datalist id={`${id}-list`}>
        {catalogue().map(({ designation }) => (
          <option key={designation} value={designation} />
        ))}
      </datalist>
      <p className="mt-0.5 text-[11.5px] text-soft">
        of the catalogue, or your own: {OWN_EXAMPLE}, with “bottom 180x15” when its flanges are unequal
      </p>
    </div>
  );
}
