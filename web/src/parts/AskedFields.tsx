import { inputsOf, isAskedOf, isReadBy, type AskedKind, type Section, type Standard } from '@plinth/core';
import { CheckField, QuantityField } from './fields';

interface Props {
  readonly kind: AskedKind;
  readonly standard: Standard;
  /** Shape of the member; null: none is known, or it has none. */
  readonly outline: Section['shape']['outline'] | null;
  readonly values: object;
  readonly commit: (change: Record<string, boolean | number>, what: string) => Promise<void> | void;
}

/** What limit states ask of an item, as its family and its shape need it: a field for each declared input. */
export function AskedFields({ kind, standard, outline, values, commit }: Props) {
  const fields = Object.entries(inputsOf(kind)).filter(
    ([name, input]) => isReadBy(standard, kind, name) && (outline === null ? !input.outlines : isAskedOf(input, outline)),
  );
  return fields.map(([name, input]) => {
    const value = (values as Record<string, unknown>)[name];
    return input.type === 'flag' ? (
      <CheckField
        key={name}
        label={input.title}
        value={value === true}
        commit={(chosen) => commit({ [name]: chosen }, `${input.title}: ${chosen ? 'yes' : 'no'}`)}
      />
    ) : (
      <QuantityField
        key={name}
        label={input.title}
        kind={input.kind}
        value={typeof value === 'number' ? value : input.empty}
        commit={(chosen) => commit({ [name]: chosen }, input.title)}
      />
    );
  });
}
