import { useId, useState } from 'react';
import { catalogue, readShape, STANDARDS } from '@plinth/core';
import { useProject } from '../../project/context';

/** A section by its designation: typed or picked from the catalogue of the family; empty takes it away. */
export function SectionField({
  kind,
  value,
  commit,
}: {
  kind: 'beam' | 'column';
  value: string | null;
  commit: (section: string | null) => Promise<void>;
}) {
  const { brief } = useProject();
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const finish = async () => {
    if (text === null) return;
    try {
      const designation = text.trim() ? readShape(brief, text) : null;
      if (designation !== value) await commit(designation);
      setText(null);
      setError(null);
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  return (
    <div>
      <label htmlFor={id} className="block text-[12px] text-soft">
        Section of the {kind}
      </label>
      <input
        id={id}
        list={`${id}-list`}
        className="field font-semibold placeholder:font-normal placeholder:text-soft"
        placeholder="to be sized"
        autoComplete="off"
        value={text ?? value ?? ''}
        aria-invalid={error !== null}
        onChange={(event) => setText(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={() => void finish()}
        onKeyDown={(event) => {
          if (event.key === 'Enter') void finish();
          if (event.key === 'Escape' && text !== null) {
            event.stopPropagation();
            setText(null);
            setError(null);
          }
        }}
      />
      <datalist id={`${id}-list`}>
        {brief.ownShapes.map(({ name, designation }) => (
          <option key={designation} value={name}>
            {designation}
          </option>
        ))}
        {catalogue()
          .filter((section) => section.region === STANDARDS[brief.family].profile.materials)
          .map((section) => (
            <option key={section.designation} value={section.designation} />
          ))}
      </datalist>
      {error ? (
        <p role="alert" className="text-[12px] text-oxide">
          {error}
        </p>
      ) : null}
    </div>
  );
}
