import { caseOf, type TypedBeam, type TypedLoad } from '@plinth/core';
import { loadOptions, usualLoad } from '../../parts/caseOptions';
import { QuantityField, SelectField, TextField } from '../../parts/fields';

/** The typed loads, each a row of its own. */
export function BeamLoads({ input, change }: { input: TypedBeam; change: (part: Partial<TypedBeam>) => void }) {
  const set = (index: number, part: Partial<TypedLoad>) =>
    change({ loads: input.loads.map((load, i) => (i === index ? { ...load, ...part } : load)) });
  const add = (type: TypedLoad['type']) =>
    change({
      loads: [
        ...input.loads,
        {
          name: `load ${input.loads.length + 1}`,
          nature: 'imposed',
          use: 'B',
          type,
          at: type === 'point' ? input.length / 2 : 0,
          to: input.length,
          value: type === 'point' ? 10e3 : 5,
        },
      ],
    });
  return (
    <fieldset>
      <legend className="label">Loads, unfactored; own weight is added</legend>
      {input.loads.map((load, i) => (
        <div key={i} className="mt-2 border-l-2 border-rule pl-2">
          <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
            <TextField label={`Load ${i + 1}`} value={load.name} commit={(name) => set(i, { name })} />
            <SelectField
              label="is"
              value={caseOf(load.nature, load.use).id}
              commit={(value) => {
                const { nature, use } = usualLoad(value);
                set(i, { nature, use: use ?? load.use });
              }}
              options={loadOptions}
            />
            <button
              type="button"
              className="text-[12px] text-soft hover:text-oxide"
              aria-label={`Take away load ${i + 1}`}
              onClick={() => change({ loads: input.loads.filter((_, j) => j !== i) })}
            >
              Take away
            </button>
          </div>
          <div className="grid grid-cols-3 gap-2">
            <QuantityField
              label={load.type === 'point' ? 'force' : 'intensity'}
              kind={load.type === 'point' ? 'force' : 'lineLoad'}
              value={load.value}
              commit={(value) => set(i, { value })}
            />
            <QuantityField label={load.type === 'point' ? 'at' : 'from'} kind="length" value={load.at} commit={(at) => set(i, { at })} />
            {load.type === 'line' ? <QuantityField label="to" kind="length" value={load.to} commit={(to) => set(i, { to })} /> : null}
          </div>
        </div>
      ))}
      <p className="mt-2 flex gap-4">
        <button type="button" className="btn-line" onClick={() => add('line')}>
          Add a line load
        </button>
        <button type="button" className="btn-line" onClick={() => add('point')}>
          Add a point load
        </button>
      </p>
    </fieldset>
  );
}
