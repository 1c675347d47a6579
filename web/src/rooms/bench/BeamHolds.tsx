import { SERVICE_LEVEL_LABEL, STANDARDS, type TypedBeam } from '@plinth/core';
import { NumberField, OptionalQuantityField, QuantityField, SelectField } from '../../parts/fields';
import { PlacesField } from '../../parts/PlacesField';

/** Places that hold both flanges, or one. */
export function HeldAt({ input, change }: { input: Required<TypedBeam>; change: (part: Partial<TypedBeam>) => void }) {
  const { restraint, length: most } = input;
  if (restraint === 'supports') return null;
  const bottom = (
    <PlacesField
      label={restraint === 'floor' ? 'Bottom flange held at' : 'Only the bottom flange at'}
      value={input.bottomPoints}
      most={most}
      commit={(bottomPoints) => change({ bottomPoints })}
    />
  );
  if (restraint === 'floor') return bottom;
  return (
    <>
      <PlacesField label="Held at" value={input.restraintPoints} most={most} commit={(restraintPoints) => change({ restraintPoints })} />
      <div className="grid grid-cols-2 gap-2">
        <PlacesField label="Only the top flange at" value={input.topPoints} most={most} commit={(topPoints) => change({ topPoints })} />
        {bottom}
      </div>
    </>
  );
}

/** What a typed beam may deflect, as a part of its span and at most, and the curve that it is made with. */
export function DeflectionLimits({ input, change }: { input: Required<TypedBeam>; change: (part: Partial<TypedBeam>) => void }) {
  const levels = STANDARDS[input.family].loads.philosophies[0]!.rules.serviceLevels;
  return (
    <fieldset className="space-y-2">
      <legend className="label">Deflection</legend>
      {levels.length > 1 ? (
        <SelectField
          label="Looked at under"
          value={input.deflectionCombination}
          commit={(level) => change({ deflectionCombination: level as TypedBeam['deflectionCombination'] })}
          options={levels.map((level) => ({ value: level, label: SERVICE_LEVEL_LABEL[level] }))}
        />
      ) : null}
      <div className="grid grid-cols-2 gap-2">
        <SelectField
          label="It spares"
          value={input.serves}
          commit={(serves) => change({ serves: serves as TypedBeam['serves'] })}
          options={[
            { value: 'floor', label: 'a floor or roof' },
            { value: 'brittle', label: 'brittle finishes, span/480' },
            { value: 'crane', label: 'a crane runway, span/600' },
          ]}
        />
        <QuantityField
          label="Precamber"
          kind="sectionLength"
          value={input.precamber}
          commit={(precamber) => {
            if (precamber < 0) throw new Error('must be at least 0');
            change({ precamber });
          }}
        />
        <NumberField label="Variable: span over" value={input.limitVariable} commit={(limitVariable) => change({ limitVariable })} />
        <NumberField label="All load: span over" value={input.limitTotal} commit={(limitTotal) => change({ limitTotal })} />
        <OptionalQuantityField
          label="Variable: at most"
          kind="sectionLength"
          empty="any"
          value={input.mostVariable}
          commit={(mostVariable) => change({ mostVariable })}
        />
        <OptionalQuantityField
          label="All load: at most"
          kind="sectionLength"
          empty="any"
          value={input.mostTotal}
          commit={(mostTotal) => change({ mostTotal })}
        />
      </div>
    </fieldset>
  );
}
