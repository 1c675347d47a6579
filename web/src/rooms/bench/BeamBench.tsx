import { lazy, Suspense, useMemo, useState } from 'react';
import {
  caseFromId,
  caseLabel,
  echoQuantity,
  findSection,
  formatQuantity,
  lightest,
  memberDiagrams,
  NATURE_LABEL,
  NATURES,
  parseQuantity,
  PlinthError,
  sectionDrawing,
  senseOf,
  STANDARDS,
  STEEL_GRADES,
  trySections,
  TYPED_BEAM,
  typedBeam,
  typedBeamSheet,
  unitLabel,
  USE_LABEL,
  USES,
  contextOf,
  type ProjectResult,
  type Standard,
  type TypedBeam,
  type TypedLoad,
} from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';
import { NumberField, QuantityField, SelectField, TextField } from '../../parts/fields';
import { Ladder } from '../../parts/Ladder';
import { UnitsProvider } from '../../project/context';
import { SectionInput } from './SectionInput';
import { useBenchInput } from './useBenchInput';

const SheetView = lazy(() => import('../../parts/SheetView'));

const FOOT = 304.8;
const KIP = 4448.2216152605;
const KLF = KIP / FOOT;

const STARTS: Record<Standard['id'], TypedBeam> = {
  european: {
    family: 'european',
    philosophy: '6.10ab',
    section: 'UB 406x178x54',
    grade: 'S355',
    length: 12_500,
    supports: [0, 6000, 11_000],
    hinges: [],
    restraint: 'floor',
    restraintPoints: [],
    loadHeight: 'centre',
    loads: [
      { name: 'floor', nature: 'permanent', use: 'B', type: 'line', at: 0, to: 12_500, value: 9 },
      { name: 'offices', nature: 'imposed', use: 'B', type: 'line', at: 0, to: 12_500, value: 12 },
      { name: 'plant', nature: 'permanent', use: 'B', type: 'point', at: 3000, to: 0, value: 25e3 },
    ],
    limitVariable: 360,
    limitTotal: 250,
  },
  american: {
    family: 'american',
    philosophy: 'LRFD',
    section: 'W16X36',
    grade: 'A992',
    length: 40 * FOOT,
    supports: [0, 20 * FOOT, 40 * FOOT],
    hinges: [],
    restraint: 'floor',
    restraintPoints: [],
    loadHeight: 'centre',
    loads: [
      { name: 'floor', nature: 'permanent', use: 'B', type: 'line', at: 0, to: 40 * FOOT, value: 0.6 * KLF },
      { name: 'offices', nature: 'imposed', use: 'B', type: 'line', at: 0, to: 40 * FOOT, value: 0.8 * KLF },
      { name: 'plant', nature: 'permanent', use: 'B', type: 'point', at: 10 * FOOT, to: 0, value: 5 * KIP },
    ],
    limitVariable: 360,
    limitTotal: 240,
  },
};

/** A steel beam of any number of spans: drawn with its diagrams, and every check at once. */
export function BeamBench() {
  const [input, change] = useBenchInput(STARTS.european);
  const [combination, setCombination] = useState('');
  const [shown, setShown] = useState(0);
  const standard = STANDARDS[input.family];
  const units = input.family === 'american' ? 'US' : 'SI';
  const result = useMemo<ProjectResult | string>(() => {
    try {
      return typedBeam(input);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      return error.message;
    }
  }, [input]);
  const design = typeof result === 'string' ? undefined : result.members.get(TYPED_BEAM);
  const fault = typeof result === 'string' ? result : design?.reason;
  const section = findSection(input.section);
  const list = (text: string, empty: boolean) => {
    const values = text
      .split(/[;\s]+/)
      .filter(Boolean)
      .map((part) => parseQuantity(part, 'length', units));
    if (!empty && values.length === 0) throw new Error('name at least one place');
    if (values.some((value) => value < 0 || value > input.length)) throw new Error('a place lies off the beam');
    return [...new Set(values)].sort((a, b) => a - b);
  };
  const places = (values: readonly number[]) => values.map((value) => echoQuantity(value, 'length', units)).join(' ');
  return (
    <UnitsProvider units={units}>
      <aside
        aria-label="What is given"
        className="panel no-print w-[330px] shrink-0 space-y-3 overflow-y-auto border-r border-rule px-4 py-3"
      >
        <SelectField
          label="Codes"
          value={input.family}
          commit={(family) => change(STARTS[family as Standard['id']])}
          options={Object.values(STANDARDS).map(({ id, title }) => ({ value: id, label: title }))}
        />
        <SelectField
          label="Philosophy"
          value={input.philosophy}
          commit={(philosophy) => change({ philosophy })}
          options={standard.philosophies.map(({ id, title }) => ({ value: id, label: title }))}
        />
        <SectionInput value={input.section} commit={(designation) => change({ section: designation })} />
        <div className="grid grid-cols-2 gap-2">
          <SelectField
            label="Grade"
            value={input.grade}
            commit={(grade) => change({ grade })}
            options={STEEL_GRADES.filter(
              ({ family, products }) =>
                family === input.family && products.includes(section.product === 'welded' ? 'rolled' : section.product),
            ).map(({ id }) => ({ value: id, label: id }))}
          />
          <QuantityField
            label="Length"
            kind="length"
            value={input.length}
            commit={(length) => {
              if (!(length > 0)) throw new Error('must be greater than 0');
              change({ length });
            }}
          />
        </div>
        <TextField
          label={`Supports, from the start [${unitLabel('length', units)}]`}
          value={places(input.supports)}
          commit={(text) => change({ supports: list(text, false) })}
        />
        <TextField
          label={`Hinges [${unitLabel('length', units)}]`}
          placeholder="none"
          value={places(input.hinges)}
          commit={(text) => change({ hinges: list(text, true) })}
        />
        <SelectField
          label="Compression flange held by"
          value={input.restraint}
          commit={(restraint) => change({ restraint: restraint as TypedBeam['restraint'] })}
          options={[
            { value: 'floor', label: 'the floor on its top flange (assumed)' },
            { value: 'supports', label: 'its supports only' },
            { value: 'points', label: 'points along it' },
          ]}
        />
        {input.restraint === 'points' ? (
          <TextField
            label={`Held at [${unitLabel('length', units)}]`}
            placeholder="supports only"
            value={places(input.restraintPoints)}
            commit={(text) => change({ restraintPoints: list(text, true) })}
          />
        ) : null}
        {input.restraint === 'floor' ? null : (
          <SelectField
            label="Load acts"
            value={input.loadHeight}
            commit={(loadHeight) => change({ loadHeight: loadHeight as TypedBeam['loadHeight'] })}
            options={[
              { value: 'centre', label: 'at mid-depth, or is held in place' },
              { value: 'top', label: 'on the top flange, and can move with it' },
            ]}
          />
        )}
        <div className="grid grid-cols-2 gap-2">
          <NumberField label="Variable: span over" value={input.limitVariable} commit={(limitVariable) => change({ limitVariable })} />
          <NumberField label="All load: span over" value={input.limitTotal} commit={(limitTotal) => change({ limitTotal })} />
        </div>
        <Loads input={input} change={change} />
      </aside>
      <div className="print-flow min-w-0 flex-1 overflow-y-auto px-6 py-3" tabIndex={0} role="region" aria-label="The beam and its sheet">
        {fault ? (
          <p role="alert" className="text-oxide">
            {fault}
          </p>
        ) : null}
        {typeof result === 'string' || !design || fault ? null : (
          <>
            <Diagrams result={result} combination={combination} setCombination={setCombination} />
            <Reactions result={result} />
            <section aria-label="Sheet" className="mt-3">
              <h2>
                {input.section} <span className="font-normal text-soft">{input.grade}, calculation sheet</span>
                {design.results.length > 1
                  ? design.results.map(({ philosophy }, i) => (
                      <button
                        key={philosophy}
                        type="button"
                        aria-pressed={i === shown}
                        className={`ml-3 text-[13px] ${i === shown ? 'font-bold' : 'text-oxide underline'}`}
                        onClick={() => setShown(i)}
                      >
                        {philosophy}
                      </button>
                    ))
                  : null}
              </h2>
              <Suspense fallback={<p className="text-soft">Setting the formulas…</p>}>
                <SheetView
                  entries={typedBeamSheet(result, design.results[Math.min(shown, design.results.length - 1)]!.philosophy).entries}
                  units={units}
                />
              </Suspense>
            </section>
          </>
        )}
      </div>
      <aside
        aria-label="Failure ladders"
        className="panel no-print w-[310px] shrink-0 space-y-4 overflow-y-auto border-l border-rule bg-panel px-4 py-3"
        tabIndex={0}
      >
        <DrawingView className="mx-auto w-[150px]" drawing={sectionDrawing(section, units, 150, 130)} />
        {typeof result === 'string' || !design || fault ? null : (
          <>
            <Choosing key={JSON.stringify(input)} result={result} take={(designation) => change({ section: designation })} />
            {design.results.map(({ philosophy, checks }) => (
              <Ladder
                key={philosophy}
                checks={checks}
                units={units}
                title={design.results.length > 1 ? `Ladder, ${philosophy}` : 'Failure ladder'}
              />
            ))}
          </>
        )}
      </aside>
    </UnitsProvider>
  );
}

function Diagrams({
  result,
  combination,
  setCombination,
}: {
  result: ProjectResult;
  combination: string;
  setCombination: (name: string) => void;
}) {
  const { drawings, combinations, shown } = memberDiagrams(
    result.building,
    result.takedown,
    TYPED_BEAM,
    ['moment', 'shear', 'deflection'],
    { width: 560, height: 128 },
    combination || undefined,
  );
  if (drawings.length === 0) return null;
  return (
    <section aria-label="Diagrams">
      <label className="no-print flex items-center gap-2 text-[12px] text-soft">
        Under
        <select className="field text-ink" value={shown ?? ''} onChange={(event) => setCombination(event.target.value)}>
          {combinations.map((name) => (
            <option key={name} value={name}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {drawings.map((drawing) => (
        <DrawingView key={drawing.title} drawing={drawing} className="w-full" />
      ))}
    </section>
  );
}

function Reactions({ result }: { result: ProjectResult }) {
  const { units } = result.building.brief;
  const { leaves } = result.takedown.members.get(TYPED_BEAM)!;
  const cases = result.takedown.cases;
  return (
    <table className="grid-table mt-2" aria-label="Reactions">
      <thead>
        <tr>
          <th>Reactions, unfactored [{unitLabel('force', units)}]</th>
          {cases.map(({ id }) => (
            <th key={id} className="num">
              {caseLabel(caseFromId(id))}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {leaves.map(({ at, byCase }) => (
          <tr key={at}>
            <td>at {formatQuantity(at, 'length', units)}</td>
            {cases.map(({ id }) => (
              <td key={id} className="num font-semibold">
                {formatQuantity(byCase[id] ?? 0, 'force', units, { bare: true })}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The lightest section, tried at a press; and whether the one chosen is of a usual depth. */
function Choosing({ result, take }: { result: ProjectResult; take: (designation: string) => void }) {
  const [best, setBest] = useState<string | null | undefined>(undefined);
  const beam = result.building.beams.get(TYPED_BEAM)!;
  const sense = beam.section ? senseOf(beam, result.takedown.members.get(TYPED_BEAM)!, findSection(beam.section)) : null;
  return (
    <div>
      {sense ? (
        <p className={`text-[12px] ${sense.isUsual ? 'text-soft' : 'text-oxide'}`}>
          Span over depth {sense.ratio.toFixed(1)}, {sense.words} ({sense.low} to {sense.high}).
        </p>
      ) : null}
      <p className="mt-1 text-[13px]">
        {best === undefined ? (
          <button
            type="button"
            className="btn btn-main"
            onClick={() => setBest(lightest(trySections(contextOf(result.building, result.takedown), TYPED_BEAM))?.designation ?? null)}
          >
            Size this beam
          </button>
        ) : best === null ? (
          'No shape of the usual families carries it.'
        ) : (
          <>
            Lightest that carries: <b>{best}</b>{' '}
            <button type="button" className="btn-line" onClick={() => take(best)}>
              Take it
            </button>
          </>
        )}
      </p>
    </div>
  );
}

/** The typed loads, each a row of its own. */
function Loads({ input, change }: { input: TypedBeam; change: (part: Partial<TypedBeam>) => void }) {
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
              value={load.nature === 'imposed' ? `imposed-${load.use}` : load.nature}
              commit={(value) => {
                const [nature, use] = value.split('-') as [TypedLoad['nature'], TypedLoad['use'] | undefined];
                set(i, { nature, use: use ?? load.use });
              }}
              options={NATURES.flatMap((nature) =>
                nature === 'imposed'
                  ? USES.map((use) => ({ value: `imposed-${use}`, label: `imposed ${use}, ${USE_LABEL[use]}` }))
                  : [{ value: nature, label: NATURE_LABEL[nature] }],
              )}
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
