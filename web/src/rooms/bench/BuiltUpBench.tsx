import { lazy, Suspense, useMemo } from 'react';
import {
  builtUpDrawing,
  describePlace,
  findTool,
  formatQuantity,
  fromTheSide,
  PlinthError,
  readParts,
  runTool,
  solveElastic,
  solvePlastic,
  unitLabel,
  type Part,
  type PlasticPlace,
  type ToolReply,
  type UnitSystem,
} from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';
import { QuantityField, SelectField, TextField } from '../../parts/fields';
import { UnitsProvider } from '../../project/context';
import { useBenchInput } from './useBenchInput';

const SheetView = lazy(() => import('../../parts/SheetView'));

interface PartRow {
  readonly name: string;
  readonly kind: 'plate' | 'shape' | 'hole';
  readonly width: number;
  readonly height: number;
  readonly section: string;
  readonly turned: boolean;
  readonly x: number;
  readonly z: number;
  readonly fy: number;
  readonly E: number;
  readonly holeIn: string;
}

interface Input {
  readonly parts: readonly PartRow[];
  readonly shear: number;
  readonly weldStrength: number;
  readonly axis: 'horizontal' | 'vertical';
  readonly units: UnitSystem;
}

const plate = (name: string, width: number, height: number, z: number, fy: number): PartRow => ({
  name,
  kind: 'plate',
  width,
  height,
  section: 'UB 305x165x40',
  turned: false,
  x: 0,
  z,
  fy,
  E: 210_000,
  holeIn: '',
});

const INITIAL: Input = {
  parts: [plate('top flange', 250, 25, 412.5, 345), plate('web', 10, 800, 0, 275), plate('bottom flange', 300, 30, -415, 345)],
  shear: 600e3,
  weldStrength: 233,
  axis: 'horizontal',
  units: 'SI',
};

interface AxisResult {
  readonly elasticAxis: number;
  readonly I: number;
  readonly yieldMoment: number;
  readonly yieldsFirst: string;
  readonly plasticAxis: number;
  readonly plasticPlace: PlasticPlace;
  readonly plasticMoment: number;
  readonly shapeFactor: number;
  readonly joints: readonly {
    at: number;
    above: readonly string[];
    below: readonly string[];
    flow: number;
    throat: number | null;
    leg: number | null;
  }[];
}

interface Solved {
  readonly reply: ToolReply;
  readonly parts: readonly Part[];
}

function solve(input: Input): Solved | string {
  const rows = input.parts.map((row) => ({
    name: row.name,
    ...(row.kind === 'shape' ? { section: row.section } : { width: row.width, height: row.height }),
    turned: row.turned,
    x: row.x,
    z: row.z,
    ...(row.kind === 'hole' ? { holeIn: row.holeIn } : { fy: row.fy, E: row.E }),
  }));
  try {
    const reply = runTool(findTool('section.builtUp'), {
      parts: rows,
      shear: input.axis === 'horizontal' ? input.shear : 0,
      shearAcross: input.axis === 'vertical' ? input.shear : 0,
      weld: { strength: input.weldStrength, runs: 2 },
    });
    const parts = readParts(
      rows.map((row) => {
        const host = 'holeIn' in row ? rows.find(({ name }) => name === row.holeIn) : row;
        return {
          name: row.name,
          ...('section' in row ? { section: row.section } : { plate: { width: row.width!, height: row.height! } }),
          turned: row.turned,
          x: row.x,
          z: row.z,
          fy: (host as { fy: number }).fy,
          E: (host as { E: number }).E,
          holeIn: 'holeIn' in row ? row.holeIn! : null,
        };
      }),
    );
    return { reply, parts: input.axis === 'vertical' ? parts.map(fromTheSide) : parts };
  } catch (error) {
    if (!(error instanceof PlinthError)) throw error;
    return error.message;
  }
}

/** Plates, rolled shapes and holes put together on a scaled drawing. */
export function BuiltUpBench() {
  const [input, change] = useBenchInput(INITIAL);
  const { units } = input;
  const solved = useMemo(() => solve(input), [input]);
  const set = (index: number, part: Partial<PartRow>) =>
    change({ parts: input.parts.map((row, i) => (i === index ? { ...row, ...part } : row)) });
  const above = (value: number) => {
    if (!(value > 0)) throw new Error('must be greater than 0');
    return value;
  };
  const add = (kind: PartRow['kind']) => {
    const n = input.parts.length + 1;
    const last = input.parts.at(-1);
    const solid = input.parts.find((row) => row.kind !== 'hole');
    change({
      parts: [
        ...input.parts,
        {
          ...plate(`${kind} ${n}`, kind === 'hole' ? 22 : 200, kind === 'hole' ? 22 : 20, last ? last.z + 60 : 0, last?.fy ?? 355),
          kind,
          holeIn: kind === 'hole' ? (solid?.name ?? '') : '',
        },
      ],
    });
  };
  return (
    <UnitsProvider units={units}>
      <div className="print-flow flex min-w-0 flex-1 flex-col overflow-y-auto px-6 py-3">
        <div className="no-print flex items-end gap-4">
          <h1 className="text-[17px] font-bold">Built-up section</h1>
          <span className="flex-1" />
          <div className="w-44">
            <SelectField
              label="Bending about the"
              value={input.axis}
              commit={(axis) => change({ axis: axis as Input['axis'] })}
              options={[
                { value: 'horizontal', label: 'horizontal axis' },
                { value: 'vertical', label: 'vertical axis' },
              ]}
            />
          </div>
          <div className="w-28">
            <QuantityField label="Shear" kind="force" value={input.shear} commit={(shear) => change({ shear })} />
          </div>
          <div className="w-36">
            <QuantityField
              label="Weld, design strength"
              kind="stress"
              value={input.weldStrength}
              commit={(weldStrength) => change({ weldStrength: above(weldStrength) })}
            />
          </div>
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
        {typeof solved === 'string' ? (
          <p role="alert" className="mt-3 text-oxide">
            {solved}
          </p>
        ) : (
          <DrawingView
            className="mt-1 w-full max-w-[820px]"
            drawing={builtUpDrawing({
              parts: solved.parts,
              elastic: solveElastic(solved.parts),
              plastic: solvePlastic(solved.parts),
              units,
              width: 760,
              height: 330,
            })}
          />
        )}
        <table className="grid-table no-print mt-2" aria-label="Parts">
          <thead>
            <tr>
              <th>Part</th>
              <th>What</th>
              <th className="num" colSpan={2}>
                Width and height [{unitLabel('sectionLength', units)}], or shape
              </th>
              <th>Turned</th>
              <th className="num">x, right [{unitLabel('sectionLength', units)}]</th>
              <th className="num">z, up [{unitLabel('sectionLength', units)}]</th>
              <th className="num">Yield [{unitLabel('stress', units)}]</th>
              <th className="num">Modulus [{unitLabel('stress', units)}]</th>
              <th>
                <span className="sr-only">Take away</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {input.parts.map((row, i) => (
              <tr key={i}>
                <td className="w-32">
                  <TextField quiet label={`Name of part ${i + 1}`} value={row.name} commit={(name) => set(i, { name })} />
                </td>
                <td className="w-24">
                  <SelectField
                    quiet
                    label={`What part ${i + 1} is`}
                    value={row.kind}
                    commit={(kind) =>
                      set(i, {
                        kind: kind as PartRow['kind'],
                        holeIn: kind === 'hole' ? (input.parts.find((other) => other !== row && other.kind !== 'hole')?.name ?? '') : '',
                      })
                    }
                    options={['plate', 'shape', 'hole'].map((value) => ({ value, label: value }))}
                  />
                </td>
                {row.kind === 'shape' ? (
                  <td colSpan={2}>
                    <TextField quiet label={`Shape of part ${i + 1}`} value={row.section} commit={(section) => set(i, { section })} />
                  </td>
                ) : (
                  <>
                    <td className="w-24">
                      <QuantityField
                        quiet
                        label={`Width of part ${i + 1}`}
                        kind="sectionLength"
                        value={row.width}
                        commit={(width) => set(i, { width: above(width) })}
                      />
                    </td>
                    <td className="w-24">
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
                <td className="w-24">
                  <QuantityField quiet label={`x of part ${i + 1}`} kind="sectionLength" value={row.x} commit={(x) => set(i, { x })} />
                </td>
                <td className="w-24">
                  <QuantityField quiet label={`z of part ${i + 1}`} kind="sectionLength" value={row.z} commit={(z) => set(i, { z })} />
                </td>
                {row.kind === 'hole' ? (
                  <td colSpan={2}>
                    <SelectField
                      quiet
                      label={`Part ${i + 1} is a hole in`}
                      value={row.holeIn}
                      commit={(holeIn) => set(i, { holeIn })}
                      options={input.parts
                        .filter((other) => other.kind !== 'hole')
                        .map(({ name }) => ({ value: name, label: `in ${name}` }))}
                    />
                  </td>
                ) : (
                  <>
                    <td className="w-24">
                      <QuantityField
                        quiet
                        label={`Yield strength of part ${i + 1}`}
                        kind="stress"
                        value={row.fy}
                        commit={(fy) => set(i, { fy: above(fy) })}
                      />
                    </td>
                    <td className="w-28">
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
                    onClick={() => change({ parts: input.parts.filter((_, j) => j !== i) })}
                  >
                    Take away
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="no-print mt-1 flex gap-4">
          <button type="button" className="btn-line" onClick={() => add('plate')}>
            Add a plate
          </button>
          <button type="button" className="btn-line" onClick={() => add('shape')}>
            Add a rolled shape
          </button>
          <button type="button" className="btn-line" onClick={() => add('hole')}>
            Add a hole
          </button>
        </p>
      </div>
      {typeof solved === 'string' ? null : <BuiltUpResult reply={solved.reply} axis={input.axis} units={units} />}
    </UnitsProvider>
  );
}

function BuiltUpResult({ reply, axis, units }: { reply: ToolReply; axis: Input['axis']; units: UnitSystem }) {
  const result = reply.result as { A: number; mass: number } & Record<'horizontal' | 'vertical', AxisResult>;
  const found = result[axis];
  const rows: readonly (readonly [string, string])[] = [
    ['Plastic moment', formatQuantity(found.plasticMoment, 'moment', units)],
    ['Plastic neutral axis', `${formatQuantity(found.plasticAxis, 'sectionLength', units)}, ${describePlace(found.plasticPlace)}`],
    ['Yield moment', `${formatQuantity(found.yieldMoment, 'moment', units)}, ${found.yieldsFirst} yields first`],
    ['Elastic neutral axis', formatQuantity(found.elasticAxis, 'sectionLength', units)],
    ['Shape factor', found.shapeFactor.toFixed(3)],
    ['Transformed second moment', formatQuantity(found.I, 'secondMoment', units)],
    ['Area, mass', `${formatQuantity(result.A, 'area', units)}, ${formatQuantity(result.mass, 'massPerLength', units)}`],
  ];
  const title = axis === 'horizontal' ? 'Bending about the horizontal axis' : 'Bending about the vertical axis';
  const entries = reply.steps.filter((entry) => entry.type !== 'scope' || entry.title === title);
  return (
    <aside aria-label="Result" className="panel w-[420px] shrink-0 overflow-y-auto border-l border-rule bg-panel px-4 py-3" tabIndex={0}>
      <dl className="grid grid-cols-[9rem_1fr] gap-y-1">
        {rows.map(([name, value], i) => (
          <div key={name} className="contents">
            <dt className="text-[13px] text-soft">{name}</dt>
            <dd className={i === 0 ? 'text-[20px] font-bold' : 'font-semibold'}>{value}</dd>
          </div>
        ))}
      </dl>
      {found.joints.length > 0 ? (
        <table className="grid-table mt-3" aria-label="Joints">
          <thead>
            <tr>
              <th>Joint</th>
              <th className="num">Flow</th>
              <th className="num">Throat, two runs</th>
              <th className="num">Leg</th>
            </tr>
          </thead>
          <tbody>
            {found.joints.map((joint) => (
              <tr key={joint.at}>
                <td>
                  {joint.above.join(', ')} on {joint.below.join(', ')}
                </td>
                <td className="num">{formatQuantity(joint.flow, 'lineLoad', units)}</td>
                <td className="num">{joint.throat === null ? '—' : formatQuantity(joint.throat, 'sectionLength', units)}</td>
                <td className="num">{joint.leg === null ? '—' : formatQuantity(joint.leg, 'sectionLength', units)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      <h2 className="label mt-4">Step by step</h2>
      <Suspense fallback={<p className="text-soft">Setting the formulas…</p>}>
        <SheetView entries={entries} units={units} />
      </Suspense>
    </aside>
  );
}
