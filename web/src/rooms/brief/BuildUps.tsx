import { memo } from 'react';
import {
  areaLoads,
  caseIn,
  formatQuantity,
  unitLabel,
  USE_LABEL,
  USES,
  VARIABLE_NATURES,
  type BuildUp,
  type Item,
  type Layer,
  type LoadCases,
  type UnitSystem,
  type Use,
} from '@plinth/core';
import { CheckField, QuantityField, SelectField, TextField } from '../../parts/fields';
import { caseOptions, caseValue } from '../../parts/caseOptions';
import { NatureMark } from '../../parts/NatureMark';
import { useItems, useProject } from '../../project/context';
import { freshId, useEdit } from '../../project/useEdit';

type BuildUpItem = Extract<Item, { kind: 'buildUp' }>;
type VariableLoad = BuildUp['variable'][number];

/** Sums of a build-up by case on plan, for its head line. */
function sums(buildUp: BuildUp, cases: LoadCases, units: UnitSystem): string {
  const byCase = new Map<string, number>();
  for (const { caseId, intensity } of areaLoads(buildUp)) {
    const { name } = caseIn(cases, caseId);
    byCase.set(name, (byCase.get(name) ?? 0) + intensity);
  }
  return [...byCase]
    .map(([label, value]) => `${label} ${formatQuantity(value, 'areaLoad', units, { figures: 3, bare: true })}`)
    .join(' · ');
}

/** Load build-ups layer by layer: what each layer weighs, what it hangs on, what is an allowance. */
export function BuildUps({ units }: { units: UnitSystem }) {
  const items = [...useItems('buildUp')].sort((a, b) => a.body.name.localeCompare(b.body.name));
  const { put, quietly } = useEdit();
  const add = () =>
    quietly(
      put(
        [{ id: freshId('buildup'), kind: 'buildUp', body: { name: `Build-up ${items.length + 1}`, layers: [], variable: [] } }],
        'Build-up added',
      ),
    );
  return (
    <section className="mt-8 mb-10 max-w-5xl" aria-label="Load build-ups">
      <h2 className="label">
        Load build-ups <span className="unit">[{unitLabel('areaLoad', units)}]</span>
      </h2>
      {items.length === 0 ? (
        <p className="mt-1 text-soft">
          None yet. A build-up is what a floor or roof weighs, layer by layer, and what stands on it; strips of beams refer to it.
        </p>
      ) : null}
      {items.map((item) => (
        <BuildUpForm key={item.id} item={item} units={units} />
      ))}
      <button type="button" className="btn mt-3" onClick={add}>
        Add a build-up
      </button>
    </section>
  );
}

const BuildUpForm = memo(function BuildUpForm({ item, units }: { item: BuildUpItem; units: UnitSystem }) {
  const { body } = item;
  const { building } = useProject();
  const { patch, remove, quietly } = useEdit();
  const natures = (use: Use | undefined) => caseOptions(building.actions, VARIABLE_NATURES, use);
  const layer = (i: number, change: Partial<Layer>) =>
    patch(
      item,
      { layers: body.layers.map((old, j) => (j === i ? { ...old, ...change } : old)) },
      `${body.name}: ${body.layers[i]!.name} changed`,
    );
  const load = (i: number, change: Partial<VariableLoad>) =>
    patch(
      item,
      { variable: body.variable.map((old, j) => (j === i ? { ...old, ...change } : old)) },
      `${body.name}: ${body.variable[i]!.name} changed`,
    );
  return (
    <div className="not-drawn-unseen mt-4" data-buildup={body.name}>
      <div className="flex items-baseline gap-4 border-b border-ink pb-0.5">
        <div className="w-56 font-semibold">
          <TextField
            quiet
            label="Name of the build-up"
            value={body.name}
            commit={(name) => patch(item, { name }, `Build-up renamed to ${name}`)}
          />
        </div>
        <span className="flex-1 text-[13px] text-soft">{sums(body, building.cases, units) || 'weighs nothing yet'}</span>
        <button
          type="button"
          className="text-[13px] text-soft hover:text-oxide"
          onClick={() => quietly(remove([item.id], `Build-up ${body.name} removed`))}
        >
          Remove
        </button>
      </div>
      <table className="grid-table">
        <tbody>
          {body.layers.map((entry, i) => (
            <tr key={i}>
              <td className="w-64">
                <TextField quiet label={`Layer ${i + 1} of ${body.name}`} value={entry.name} commit={(name) => layer(i, { name })} />
              </td>
              <td className="num w-28">
                <QuantityField
                  quiet
                  kind="areaLoad"
                  label={`Load of ${entry.name}`}
                  value={entry.load}
                  commit={(value) => layer(i, { load: value })}
                />
              </td>
              <td className="w-44">
                <span className="flex items-center gap-1">
                  <NatureMark nature={entry.nature} />
                  <SelectField
                    quiet
                    label={`Nature of ${entry.name}`}
                    value={entry.nature}
                    commit={(value) => layer(i, { nature: value as Layer['nature'] })}
                    options={[
                      { value: 'permanent', label: 'permanent' },
                      { value: 'superimposed', label: 'superimposed' },
                    ]}
                  />
                </span>
              </td>
              <td className="w-44">
                <SelectField
                  quiet
                  label={`What carries ${entry.name}`}
                  value={entry.carriedBy}
                  commit={(value) => layer(i, { carriedBy: value as Layer['carriedBy'] })}
                  options={[
                    { value: 'deck', label: 'lies on the deck' },
                    { value: 'joists', label: 'hangs on the joists' },
                  ]}
                />
              </td>
              <td>
                <CheckField label="allowance" value={entry.allowance} commit={(allowance) => layer(i, { allowance })} />
              </td>
              <td className="num">
                <button
                  type="button"
                  aria-label={`Take out ${entry.name}`}
                  className="text-soft hover:text-oxide"
                  onClick={() =>
                    quietly(patch(item, { layers: body.layers.filter((_, j) => j !== i) }, `${body.name}: ${entry.name} taken out`))
                  }
                >
                  Take out
                </button>
              </td>
            </tr>
          ))}
          {body.variable.map((entry, i) => (
            <tr key={`v${i}`}>
              <td>
                <TextField quiet label={`Variable load ${i + 1} of ${body.name}`} value={entry.name} commit={(name) => load(i, { name })} />
              </td>
              <td className="num">
                <QuantityField
                  quiet
                  kind="areaLoad"
                  label={`Load of ${entry.name}`}
                  value={entry.load}
                  commit={(value) => load(i, { load: value })}
                />
              </td>
              <td>
                <span className="flex items-center gap-1">
                  <NatureMark nature={entry.nature} />
                  <SelectField
                    quiet
                    label={`Nature of ${entry.name}`}
                    value={caseValue(entry)}
                    commit={(value) =>
                      load(i, natures(entry.use).find((option) => option.value === value)!.choice as Partial<VariableLoad>)
                    }
                    options={natures(entry.use)}
                  />
                </span>
              </td>
              <td>
                {entry.nature === 'imposed' && entry.action === null ? (
                  <SelectField
                    quiet
                    label={`Use of ${entry.name}`}
                    value={entry.use ?? 'A'}
                    commit={(value) => load(i, { use: value as Use })}
                    options={USES.map((use) => ({ value: use, label: `${use}: ${USE_LABEL[use]}` }))}
                  />
                ) : null}
              </td>
              <td />
              <td className="num">
                <button
                  type="button"
                  aria-label={`Take out ${entry.name}`}
                  className="text-soft hover:text-oxide"
                  onClick={() =>
                    quietly(patch(item, { variable: body.variable.filter((_, j) => j !== i) }, `${body.name}: ${entry.name} taken out`))
                  }
                >
                  Take out
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-1 flex gap-4 text-[13px]">
        <button
          type="button"
          className="btn-line"
          onClick={() =>
            quietly(
              patch(
                item,
                { layers: [...body.layers, { name: 'new layer', load: 0, nature: 'permanent', carriedBy: 'deck', allowance: false }] },
                `${body.name}: layer added`,
              ),
            )
          }
        >
          Add a layer
        </button>
        <button
          type="button"
          className="btn-line"
          onClick={() =>
            quietly(
              patch(
                item,
                { variable: [...body.variable, { name: 'imposed', load: 0, nature: 'imposed', use: 'A', action: null, loadCase: '' }] },
                `${body.name}: variable load added`,
              ),
            )
          }
        >
          Add a variable load
        </button>
      </div>
    </div>
  );
});
