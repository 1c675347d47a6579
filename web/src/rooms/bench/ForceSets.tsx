import { useState } from 'react';
import {
  caseOf,
  FORCE_COLUMNS,
  FORCES_GIVEN,
  GIVEN_WORDS,
  middleOf,
  readForceSets,
  type ForceSet,
  type ForcesGiven,
  type UnitSystem,
} from '@plinth/core';
import { forceOptions, usualOf } from '../../parts/caseOptions';
import { CheckField, QuantityField, SelectField, TextField } from '../../parts/fields';
import { Question } from '../../parts/Question';
import { METHODS } from './methods';

interface Given {
  readonly given: ForcesGiven;
  readonly sets: readonly ForceSet[];
  readonly shown: number;
  readonly combinedBy: string;
}

/** End forces as an analysis gives them: what kind they are, and one set after the other. */
export function ForceSets({
  given,
  sets,
  shown,
  combinedBy,
  change,
  units,
}: Given & { change: (part: Partial<Given>) => void; units: UnitSystem }) {
  const [pasting, setPasting] = useState(false);
  const set = sets[shown]!;
  const put = (part: Partial<ForceSet>) => change({ sets: sets.map((old, i) => (i === shown ? { ...old, ...part } : old)) });
  // what is caused by it follows its name
  const rename = (name: string) =>
    change({
      sets: sets.map((old, i) => {
        if (i === shown) return { ...old, name };
        return old.notionalOf && old.notionalOf === set.name ? { ...old, notionalOf: name } : old;
      }),
    });
  // what may cause it: named, and no notional load itself
  const named = sets.filter((other) => other !== set && !other.notionalOf && other.name).map(({ name }) => name);
  const causes = [...new Set([...named, ...(set.notionalOf ? [set.notionalOf] : [])])].map((name) => ({ value: name, label: name }));
  const moments = (name: 'major' | 'minor', title: string) => (
    <fieldset>
      <legend className="label">{title}</legend>
      <div className="grid grid-cols-3 gap-2">
        {(['start', 'middle', 'end'] as const).map((at) => (
          <QuantityField
            key={at}
            label={at}
            kind="moment"
            value={at === 'middle' ? middleOf(set[name]) : set[name][at]}
            commit={(value) => put({ [name]: { ...set[name], [at]: value } } as Partial<ForceSet>)}
          />
        ))}
      </div>
    </fieldset>
  );
  return (
    <section aria-label="Forces" className="space-y-3">
      <SelectField
        label="Forces are given as"
        value={given}
        commit={(value) => change({ given: value as ForcesGiven })}
        options={FORCES_GIVEN.map((value) => ({ value, label: GIVEN_WORDS[value].title }))}
      />
      {given === 'cases' ? null : (
        <SelectField label="Combined by" value={combinedBy} commit={(value) => change({ combinedBy: value })} options={METHODS} />
      )}
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 text-[13px]">
        {sets.map((entry, i) => (
          <button
            key={i}
            type="button"
            aria-pressed={i === shown}
            className={i === shown ? 'font-bold' : 'text-oxide underline'}
            onClick={() => change({ shown: i })}
          >
            {entry.name || `set ${i + 1}`}
          </button>
        ))}
      </div>
      <p className="flex flex-wrap gap-x-4 text-[13px]">
        <button
          type="button"
          className="btn-line"
          onClick={() => change({ sets: [...sets, { ...set, name: `set ${sets.length + 1}` }], shown: sets.length })}
        >
          Add a set
        </button>
        {sets.length > 1 ? (
          <button
            type="button"
            className="btn-line"
            onClick={() => change({ sets: sets.filter((_, i) => i !== shown), shown: Math.max(0, shown - 1) })}
          >
            Take it away
          </button>
        ) : null}
        <button type="button" className="btn-line" onClick={() => setPasting(true)}>
          Paste rows…
        </button>
      </p>
      <div className={given === 'cases' ? 'grid grid-cols-2 gap-2' : ''}>
        <TextField label="Name of the set" value={set.name} commit={rename} />
        {given === 'cases' && !set.notionalOf ? (
          <SelectField
            label="Load case"
            value={caseOf(set.nature, set.use).id}
            commit={(value) => {
              const { nature, use } = usualOf(value);
              put({ nature, use: use ?? set.use });
            }}
            options={forceOptions}
          />
        ) : null}
        {given === 'cases' && !set.notionalOf ? (
          <TextField
            label="Part of the action"
            placeholder="one by itself"
            value={set.action ?? ''}
            commit={(action) => put({ action: action.trim() || undefined })}
          />
        ) : null}
      </div>
      {given === 'cases' && (causes.length > 0 || set.notionalOf) ? (
        <SelectField
          label="Notional load of"
          value={set.notionalOf ?? ''}
          commit={(value) => put({ notionalOf: value || undefined })}
          options={[{ value: '', label: 'a load by itself' }, ...causes]}
        />
      ) : null}
      {given === 'envelope' || (given === 'cases' && set.notionalOf) ? null : (
        <CheckField
          label="acts the other way as well, all its forces turned round together"
          value={set.bothWays ?? false}
          commit={(bothWays) => put({ bothWays })}
        />
      )}
      <QuantityField label="Axial force, compression positive" kind="force" value={set.axial} commit={(axial) => put({ axial })} />
      {moments('major', 'Moment, major axis')}
      {moments('minor', 'Moment, minor axis')}
      <fieldset>
        <legend className="label">Shear and torque</legend>
        <div className="grid grid-cols-3 gap-2">
          <QuantityField label="along" kind="force" value={set.shear} commit={(shear) => put({ shear })} />
          <QuantityField label="across" kind="force" value={set.shearAcross} commit={(shearAcross) => put({ shearAcross })} />
          <QuantityField label="torque" kind="moment" value={set.torsion} commit={(torsion) => put({ torsion })} />
        </div>
      </fieldset>
      {pasting ? <PasteRows units={units} close={() => setPasting(false)} take={(found) => change({ sets: found, shown: 0 })} /> : null}
    </section>
  );
}

/** Rows of a spreadsheet or CSV instead of the sets that are there. */
function PasteRows({ units, close, take }: { units: UnitSystem; close: () => void; take: (sets: readonly ForceSet[]) => void }) {
  const [text, setText] = useState('');
  const { sets, faults } = text.trim() ? readForceSets(text, units) : { sets: [], faults: [] };
  return (
    <Question title="Paste end forces" close={close}>
      <p className="text-[13px] text-soft">
        Copied rows of a spreadsheet, or CSV. The first row names the columns: {FORCE_COLUMNS.join(', ')}. Bare numbers are in{' '}
        {units === 'SI' ? 'kN and kNm' : 'kip and kip-ft'}; compression and sagging are positive; a middle moment that is left out lies half
        way between the ends. They replace the sets that are there.
      </p>
      <label className="mt-2 block text-[12px] text-soft">
        Rows
        <textarea
          className="field h-40 w-full font-mono text-[12px] text-ink"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      {faults.length > 0 ? (
        <ul className="mt-1 text-[13px] text-oxide" role="alert">
          {faults.slice(0, 20).map(({ row, message }) => (
            <li key={row}>
              row {row}: {message}
            </li>
          ))}
        </ul>
      ) : null}
      <div className="mt-3 flex gap-2">
        <button
          type="button"
          className="btn btn-main"
          disabled={sets.length === 0}
          onClick={() => {
            take(sets);
            close();
          }}
        >
          {sets.length === 0 ? 'Take them' : sets.length === 1 ? 'Take the one set' : `Take ${sets.length} sets`}
        </button>
        <button type="button" className="btn" onClick={close}>
          Cancel
        </button>
      </div>
    </Question>
  );
}
