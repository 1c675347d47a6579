import { useMemo, useState } from 'react';
import { catalogue, findSection, formatQuantity, readOwnDesignation, unitLabel, type Kind, type UnitSystem } from '@plinth/core';
import { OptionalQuantityField, SelectField, TextField } from '../../parts/fields';
import { LongTable } from '../../parts/LongTable';
import { UnitsProvider } from '../../project/context';
import { SectionPage } from './SectionPage';
import { useBenchInput } from './useBenchInput';

interface Input {
  readonly family: string;
  readonly chosen: string;
  readonly minDepth: number | null;
  readonly maxDepth: number | null;
  readonly maxWidth: number | null;
  readonly maxMass: number | null;
  readonly units: UnitSystem;
}

const INITIAL: Input = {
  family: 'UB',
  chosen: 'UB 457x191x67',
  minDepth: null,
  maxDepth: null,
  maxWidth: null,
  maxMass: null,
  units: 'SI',
};

/** The catalogue, filtered, and one shape with all that is known of it. */
export function SectionsBench() {
  const [input, change] = useBenchInput(INITIAL);
  const { units } = input;
  const families = useMemo(() => [...new Set(catalogue().map(({ family }) => family))], []);
  const rows = useMemo(
    () =>
      catalogue().filter(
        ({ family, properties, mass }) =>
          (input.family === 'all' || family === input.family) &&
          (input.minDepth === null || properties.depth >= input.minDepth) &&
          (input.maxDepth === null || properties.depth <= input.maxDepth) &&
          (input.maxWidth === null || properties.width <= input.maxWidth) &&
          (input.maxMass === null || mass <= input.maxMass),
      ),
    [input],
  );
  const chosen = findSection(input.chosen);
  const limit = (name: 'minDepth' | 'maxDepth' | 'maxWidth' | 'maxMass', label: string, kind: Kind = 'sectionLength') => (
    <div className="w-24">
      <OptionalQuantityField
        label={label}
        kind={kind}
        value={input[name]}
        empty="any"
        commit={(value) => change({ [name]: value } as Partial<Input>)}
      />
    </div>
  );
  const number = (value: number, kind: Kind) => formatQuantity(value, kind, units, { bare: true });
  return (
    <UnitsProvider units={units}>
      <div className="flex min-w-0 flex-1 flex-col px-4 pt-2">
        <div className="flex items-end gap-3">
          <h1 className="text-[17px] font-bold">Sections</h1>
          <div className="w-32">
            <SelectField
              label="Family"
              value={input.family}
              commit={(family) =>
                change({ family, chosen: catalogue().find((entry) => family === 'all' || entry.family === family)!.designation })
              }
              options={[{ value: 'all', label: 'all families' }, ...families.map((value) => ({ value, label: value }))]}
            />
          </div>
          {limit('minDepth', 'Depth from')}
          {limit('maxDepth', 'to')}
          {limit('maxWidth', 'Width to')}
          {limit('maxMass', 'Mass to', 'massPerLength')}
          <span className="flex-1" />
          <div className="w-20">
            <SelectField
              label="Units"
              value={units}
              commit={(next) => change({ units: next as UnitSystem })}
              options={[
                { value: 'SI', label: 'SI' },
                { value: 'US', label: 'US' },
              ]}
            />
          </div>
        </div>
        <p className="mt-1 text-[12.5px] text-soft">
          {rows.length} of {catalogue().length} shapes. Properties are computed from dimensions; every row weighs what its area says within
          1.5 %.
        </p>
        <LongTable
          label="Catalogue"
          count={rows.length}
          chosen={rows.findIndex(({ designation }) => designation === input.chosen)}
          head={
            <tr>
              <th>Section</th>
              <th className="num">Mass [{unitLabel('massPerLength', units)}]</th>
              <th className="num">Depth [{unitLabel('sectionLength', units)}]</th>
              <th className="num">Width [{unitLabel('sectionLength', units)}]</th>
              <th className="num">A [{unitLabel('area', units)}]</th>
              <th className="num">
                {units === 'US' ? 'Ix' : 'Iy'} [{unitLabel('secondMoment', units)}]
              </th>
              <th className="num">
                {units === 'US' ? 'Zx' : 'Wply'} [{unitLabel('sectionModulus', units)}]
              </th>
            </tr>
          }
          row={(index, measure) => {
            const { designation, mass, properties } = rows[index]!;
            return (
              <tr
                key={designation}
                ref={measure}
                data-index={index}
                aria-selected={designation === input.chosen}
                className="cursor-pointer"
                onClick={() => change({ chosen: designation })}
              >
                <td>
                  <button type="button" className="font-semibold" onClick={() => change({ chosen: designation })}>
                    {designation}
                  </button>
                </td>
                <td className="num">{number(mass, 'massPerLength')}</td>
                <td className="num">{number(properties.depth, 'sectionLength')}</td>
                <td className="num">{number(properties.width, 'sectionLength')}</td>
                <td className="num">{number(properties.A, 'area')}</td>
                <td className="num">{number(properties.Iy, 'secondMoment')}</td>
                <td className="num">{number(properties.Wply, 'sectionModulus')}</td>
              </tr>
            );
          }}
        />
        <OwnShape value={input.chosen} commit={(designation) => change({ chosen: designation })} />
      </div>
      <SectionPage key={chosen.designation} section={chosen} units={units} />
    </UnitsProvider>
  );
}

/** An own shape by what it is and its dimensions; its designation can be used wherever a section is asked for. */
function OwnShape({ value, commit }: { value: string; commit: (designation: string) => void }) {
  const [kept, setKept] = useState('own I 600x250x10x20');
  return (
    <div className="my-2 grid grid-cols-[22rem_1fr] items-end gap-4 border-t border-rule pt-2">
      <TextField
        label="A shape of your own: I, C, T, L, box or tube, dimensions in mm"
        value={value.startsWith('own ') ? value : kept}
        commit={(designation) => {
          const own = readOwnDesignation(designation);
          setKept(own);
          commit(own);
        }}
      />
      <p className="text-[12px] text-soft">
        I, C, T: depth x width x web x flange, and r10 for a root radius or, of an I, bottom 180x15 for another bottom flange; L: legs and
        thickness; box: depth x width x wall; tube: diameter x wall. With “own” before it, it can be used wherever a section is asked for.{' '}
        <button type="button" className="btn-line" onClick={() => commit(kept)}>
          Show {kept}
        </button>
      </p>
    </div>
  );
}
