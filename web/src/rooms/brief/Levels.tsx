import { unitLabel, type Item } from '@plinth/core';
import { QuantityField, TextField } from '../../parts/fields';
import { useItems, useUnits } from '../../project/context';
import { freshId, useEdit } from '../../project/useEdit';

/** The levels of the building, from the top: named and placed. */
export function Levels() {
  const units = useUnits();
  const levels = [...useItems('level')].sort((a, b) => b.body.elevation - a.body.elevation);
  const { patch, put, remove, quietly } = useEdit();
  const add = () => {
    const top = Math.max(0, ...levels.map((level) => level.body.elevation));
    const level: Item = {
      id: freshId('level'),
      kind: 'level',
      body: { name: `Level ${levels.length}`, elevation: levels.length ? top + 3000 : 0 },
    };
    quietly(put([level], 'Level added'));
  };
  return (
    <section className="not-drawn-unseen mt-8 max-w-xl" aria-label="Levels">
      <h2 className="label">Levels, from the top</h2>
      <table className="grid-table mt-1">
        <thead>
          <tr>
            <th>Name</th>
            <th className="num">Elevation above datum [{unitLabel('position', units)}]</th>
            <th>
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {levels.map((level) => (
            <tr key={level.id}>
              <td>
                <TextField
                  quiet
                  label={`Name of level ${level.body.name}`}
                  value={level.body.name}
                  commit={(name) => patch(level, { name }, `Level ${name} renamed`)}
                />
              </td>
              <td className="num w-40">
                <QuantityField
                  quiet
                  kind="position"
                  label={`Elevation of ${level.body.name}`}
                  value={level.body.elevation}
                  commit={(elevation) => patch(level, { elevation }, `Level ${level.body.name} moved`)}
                />
              </td>
              <td className="num">
                <button
                  type="button"
                  className="text-soft hover:text-oxide"
                  onClick={() => quietly(remove([level.id], `Level ${level.body.name} removed`))}
                >
                  Remove
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <button type="button" className="btn mt-2" onClick={add}>
        Add a level
      </button>
    </section>
  );
}
