import { useRef, useState } from 'react';
import {
  findSection,
  formatQuantity,
  OWN_EXAMPLE,
  ownShapesCsv,
  readOwnDesignation,
  readOwnShapes,
  type Item,
  type ReadOwnShapes,
  type UnitSystem,
} from '@plinth/core';
import { toast } from 'sonner';
import { NumberField, TextField } from '../../parts/fields';
import { Question } from '../../parts/Question';
import { saveText } from '../../parts/saveText';
import { useEdit } from '../../project/useEdit';

type BriefItem = Extract<Item, { kind: 'brief' }>;
type Own = BriefItem['body']['ownShapes'];

/** Shapes that no catalogue has, typed or read from CSV, from which members are sized too; and what products cost against each other. */
export function OwnShapes({ item, units }: { item: BriefItem; units: UnitSystem }) {
  const { patch, quietly } = useEdit();
  const { ownShapes, priceHollow, priceWelded } = item.body;
  const input = useRef<HTMLInputElement>(null);
  const [read, setRead] = useState<ReadOwnShapes | null>(null);
  const keep = (shapes: Own, what: string) => patch(item, { ownShapes: shapes }, `Own shapes: ${what}`);
  const change = (index: number, part: Partial<Own[number]>) =>
    keep(
      ownShapes.map((shape, i) => (i === index ? { ...shape, ...part } : shape)),
      'changed',
    );
  return (
    <section className="mt-8 max-w-5xl" aria-label="Own shapes">
      <h2 className="label">Own shapes and prices</h2>
      {ownShapes.length === 0 ? (
        <p className="mt-1 text-soft">
          None. A shape of your own is written by its dimensions, such as {OWN_EXAMPLE} (with “bottom 180x15” when its flanges are unequal),
          anywhere a section is asked for; those listed here are also tried when members are sized.
        </p>
      ) : (
        <table className="grid-table mt-1">
          <thead>
            <tr>
              <th>Name</th>
              <th>Dimensions</th>
              <th className="num">Mass</th>
              <th className="num">Depth</th>
              <th className="num">Major second moment</th>
              <th>
                <span className="sr-only">Take away</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {ownShapes.map(({ name, designation }, i) => {
              const { mass, properties } = findSection(designation);
              return (
                <tr key={i}>
                  <td className="w-48">
                    <TextField quiet label={`Name of own shape ${i + 1}`} value={name} commit={(to) => change(i, { name: to })} />
                  </td>
                  <td className="w-72">
                    <TextField
                      quiet
                      label={`Dimensions of own shape ${i + 1}`}
                      value={designation}
                      commit={(to) => change(i, { designation: readOwnDesignation(to) })}
                    />
                  </td>
                  <td className="num">{formatQuantity(mass, 'massPerLength', units)}</td>
                  <td className="num">{formatQuantity(properties.depth, 'sectionLength', units)}</td>
                  <td className="num">{formatQuantity(properties.Iy, 'secondMoment', units)}</td>
                  <td className="num">
                    <button
                      type="button"
                      className="text-[12px] text-soft hover:text-oxide"
                      onClick={() =>
                        quietly(
                          keep(
                            ownShapes.filter((_, j) => j !== i),
                            `${name} taken away`,
                          ),
                        )
                      }
                    >
                      Take away
                    </button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <button
          type="button"
          className="btn"
          onClick={() => quietly(keep([...ownShapes, { name: `PG${ownShapes.length + 1}`, designation: OWN_EXAMPLE }], 'one added'))}
        >
          Add a shape
        </button>
        <button type="button" className="btn" onClick={() => input.current?.click()}>
          Read shapes from CSV…
        </button>
        {ownShapes.length > 0 ? (
          <button type="button" className="btn" onClick={() => saveText('own-shapes.csv', 'text/csv', ownShapesCsv(ownShapes))}>
            Save them as CSV
          </button>
        ) : null}
        <div className="w-52">
          <NumberField
            label="Hollow: price of a kg over rolled"
            value={priceHollow}
            commit={(value) => patch(item, { priceHollow: value }, 'Brief: price of hollow shapes')}
          />
        </div>
        <div className="w-52">
          <NumberField
            label="Welded: price of a kg over rolled"
            value={priceWelded}
            commit={(value) => patch(item, { priceWelded: value }, 'Brief: price of welded shapes')}
          />
        </div>
      </div>
      <input
        ref={input}
        type="file"
        accept=".csv,.tsv,.txt,text/csv"
        className="sr-only"
        tabIndex={-1}
        aria-label="Own shapes to read"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (!file) return;
          if (file.size > 1e6) toast.error('The file is larger than 1 MB.');
          else quietly(file.text().then((text) => setRead(readOwnShapes(text, units))));
        }}
      />
      {read ? (
        <Question title="Read own shapes" close={() => setRead(null)}>
          <p>
            {read.shapes.length === 0
              ? 'No row can be read.'
              : `${read.shapes.length} ${read.shapes.length === 1 ? 'shape' : 'shapes'}: ${read.shapes.map(({ name }) => name).join(', ')}.`}
          </p>
          {read.faults.length > 0 ? (
            <ul className="mt-2 text-[13px] text-oxide" role="alert">
              {read.faults.slice(0, 40).map(({ row, message }) => (
                <li key={row}>
                  row {row}: {message}
                </li>
              ))}
            </ul>
          ) : null}
          <div className="mt-4 flex gap-2">
            <button
              type="button"
              className="btn btn-main"
              disabled={read.shapes.length === 0}
              onClick={() => {
                const names = new Set(read.shapes.map(({ name }) => name));
                quietly(keep([...ownShapes.filter(({ name }) => !names.has(name)), ...read.shapes], `${read.shapes.length} read`));
                setRead(null);
              }}
            >
              Put them in
            </button>
            <button type="button" className="btn" onClick={() => setRead(null)}>
              Cancel
            </button>
          </div>
        </Question>
      ) : null}
    </section>
  );
}
