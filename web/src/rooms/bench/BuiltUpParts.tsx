import { formatQuantity, readDesignation, unitLabel, type UnitSystem } from '@plinth/core';
import { QuantityField, SelectField, TextField } from '../../parts/fields';
import { withoutPart, type PartRow } from './builtUp';

export function above(value: number): number {
  if (!(value > 0)) throw new Error('must be greater than 0');
  return value;
}

/** The parts, a row each. */
export function BuiltUpParts({
  parts,
  middles,
  units,
  commit,
}: {
  parts: readonly PartRow[];
  /** How high the middle of each part is, by name, mm. */
  middles: ReadonlyMap<string, number>;
  units: UnitSystem;
  commit: (parts: readonly PartRow[]) => void;
}) {
  const set = (index: number, part: Partial<PartRow>) => commit(parts.map((row, i) => (i === index ? { ...row, ...part } : row)));
  /** Holes in a part, and what lies on it, follow its name. */
  const rename = (index: number, name: string) => {
    const old = parts[index]!.name;
    commit(
      parts.map((row, i) => {
        if (i === index) return { ...row, name };
        const { stacked } = row;
        return {
          ...row,
          ...(row.holeIn === old ? { holeIn: name } : {}),
          ...(stacked?.part === old ? { stacked: { ...stacked, part: name } } : {}),
        };
      }),
    );
  };
  /** Where a part is: by its middle, or on another. */
  const place = (index: number, value: string) => {
    const row = parts[index]!;
    const [side, ...rest] = value.split(' ');
    if (side === 'middle') set(index, { stacked: undefined, z: middles.get(row.name) ?? row.z });
    else set(index, { stacked: { side: side as 'on' | 'under', part: rest.join(' ') } });
  };
  const placesOf = (row: PartRow) => [
    { value: 'middle', label: 'by its middle' },
    ...parts
      .filter((other) => other !== row && other.kind !== 'hole')
      .flatMap(({ name }) => (['on', 'under'] as const).map((side) => ({ value: `${side} ${name}`, label: `${side} ${name}` }))),
  ];
  return (
    <table className="grid-table no-print mt-2" aria-label="Parts">
      <thead>
        <tr>
          <th>Part</th>
          <th>What</th>
          <th className="num" colSpan={2}>
            Size [{unitLabel('sectionLength', units)}], or shape
          </th>
          <th>Turned</th>
          <th>Placed</th>
          <th className="num">x [{unitLabel('sectionLength', units)}]</th>
          <th className="num">z up [{unitLabel('sectionLength', units)}]</th>
          <th className="num">Yield [{unitLabel('stress', units)}]</th>
          <th className="num">Modulus [{unitLabel('stress', units)}]</th>
          <th>
            <span className="sr-only">Take away</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {parts.map((row, i) => (
          <tr key={i}>
            <td className="min-w-28">
              <TextField quiet label={`Name of part ${i + 1}`} value={row.name} commit={(name) => rename(i, name)} />
            </td>
            <td className="w-[4.75rem]">
              <SelectField
                quiet
                label={`What part ${i + 1} is`}
                value={row.kind}
                commit={(kind) =>
                  set(i, {
                    kind: kind as PartRow['kind'],
                    holeIn: kind === 'hole' ? (parts.find((other) => other !== row && other.kind !== 'hole')?.name ?? '') : '',
                  })
                }
                options={['plate', 'shape', 'hole'].map((value) => ({ value, label: value }))}
              />
            </td>
            {row.kind === 'shape' ? (
              <td colSpan={2}>
                <TextField
                  quiet
                  label={`Shape of part ${i + 1}`}
                  value={row.section}
                  commit={(text) => set(i, { section: readDesignation(text) })}
                />
              </td>
            ) : (
              <>
                <td className="w-16">
                  <QuantityField
                    quiet
                    label={`Width of part ${i + 1}`}
                    kind="sectionLength"
                    value={row.width}
                    commit={(width) => set(i, { width: above(width) })}
                  />
                </td>
                <td className="w-16">
                  <QuantityField
                    quiet
                    label={`Height of part ${i + 1}`}
                    kind="sectionLength"
                    value={row.height}
                    commit={(height) => set(i, { height: above(height) })}
                  />
                </td>
              </>
            )}
            <td className="text-center">
              <input
                type="checkbox"
                className="accent-oxide"
                aria-label={`Part ${i + 1} is turned by a right angle`}
                checked={row.turned}
                onChange={(event) => set(i, { turned: event.target.checked })}
              />
            </td>
            <td className="min-w-28">
              <SelectField
                quiet
                label={`How part ${i + 1} is placed`}
                value={row.stacked ? `${row.stacked.side} ${row.stacked.part}` : 'middle'}
                commit={(value) => place(i, value)}
                options={placesOf(row)}
              />
            </td>
            <td className="w-16">
              <QuantityField quiet label={`x of part ${i + 1}`} kind="sectionLength" value={row.x} commit={(x) => set(i, { x })} />
            </td>
            <td className="w-16">
              {row.stacked ? (
                <span className="block text-right text-soft">
                  {middles.has(row.name) ? formatQuantity(middles.get(row.name)!, 'sectionLength', units, { bare: true }) : '—'}
                </span>
              ) : (
                <QuantityField quiet label={`z of part ${i + 1}`} kind="sectionLength" value={row.z} commit={(z) => set(i, { z })} />
              )}
            </td>
            {row.kind === 'hole' ? (
              <td colSpan={2}>
                <SelectField
                  quiet
                  label={`Part ${i + 1} is a hole in`}
                  value={row.holeIn}
                  commit={(holeIn) => set(i, { holeIn })}
                  options={parts.filter((other) => other.kind !== 'hole').map(({ name }) => ({ value: name, label: `in ${name}` }))}
                />
              </td>
            ) : (
              <>
                <td className="w-16">
                  <QuantityField
                    quiet
                    label={`Yield strength of part ${i + 1}`}
                    kind="stress"
                    value={row.fy}
                    commit={(fy) => set(i, { fy: above(fy) })}
                  />
                </td>
                <td className="w-16">
                  <QuantityField
                    quiet
                    label={`Modulus of part ${i + 1}`}
                    kind="stress"
                    value={row.E}
                    commit={(E) => set(i, { E: above(E) })}
                  />
                </td>
              </>
            )}
            <td>
              <button
                type="button"
                className="text-[12px] whitespace-nowrap text-soft hover:text-oxide"
                aria-label={`Take away part ${i + 1}`}
                onClick={() => commit(withoutPart(parts, i, middles))}
              >
                Take away
              </button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
