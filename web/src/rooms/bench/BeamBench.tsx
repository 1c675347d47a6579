import { lazy, Suspense, useMemo, useState } from 'react';
import {
  FAMILIES,
  findSection,
  formatQuantity,
  gradesFor,
  lightest,
  memberDiagrams,
  PlinthError,
  sectionDrawing,
  senseOf,
  STANDARDS,
  trySections,
  TYPED_BEAM,
  typedBeam,
  typedBeamSheet,
  unitLabel,
  contextOf,
  type ProjectResult,
  type Standard,
  type TypedBeam,
  type SizingRequest,
} from '@plinth/core';
import { AskedFields } from '../../parts/AskedFields';
import { DrawingView } from '../../parts/DrawingView';
import { OptionalQuantityField, QuantityField, SelectField } from '../../parts/fields';
import { Ladders } from '../../parts/Ladder';
import { WithoutFloor } from '../../parts/WithoutFloor';
import { PlacesField } from '../../parts/PlacesField';
import { UnitsProvider } from '../../project/context';
import { BEAM_STARTS, beamStart } from './beamStarts';
import { byOtherCodes } from './otherCodes';
import { BeamLoads } from './BeamLoads';
import { DeflectionLimits, HeldAt } from './BeamHolds';
import { SectionInput } from './SectionInput';
import { useBenchInput } from './useBenchInput';

const SheetView = lazy(() => import('../../parts/SheetView'));

/** A steel beam of any number of spans: drawn with its diagrams, and every check at once. */
export function BeamBench() {
  const [input, change] = useBenchInput(beamStart(FAMILIES[0]));
  const [combination, setCombination] = useState('');
  const [shown, setShown] = useState(0);
  const standard = STANDARDS[input.family];
  const units = standard.profile.units;
  const result = useMemo<ProjectResult | string>(() => {
    try {
      return typedBeam(input);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      return error.message;
    }
  }, [input]);
  const design = typeof result === 'string' ? undefined : result.designs.member(TYPED_BEAM);
  const fault = typeof result === 'string' ? result : design?.reason;
  const section = findSection(input.section);
  return (
    <UnitsProvider units={units}>
      <aside
        aria-label="What is given"
        className="panel no-print w-[330px] shrink-0 space-y-3 overflow-y-auto border-r border-rule px-4 py-3"
      >
        <SelectField
          label="Codes"
          value={input.family}
          commit={(family) =>
            change({
              ...byOtherCodes(input, BEAM_STARTS, family as Standard['id'], ['philosophy', 'limitVariable', 'limitTotal']),
              // not every family has others
              deflectionCombination: 'characteristic',
            })
          }
          options={Object.values(STANDARDS).map(({ id, title }) => ({ value: id, label: title }))}
        />
        <SelectField
          label="Philosophy"
          value={input.philosophy}
          commit={(philosophy) => change({ philosophy })}
          options={standard.loads.philosophies.map(({ id, title }) => ({ value: id, label: title }))}
        />
        <SectionInput value={input.section} commit={(designation) => change({ section: designation })} />
        <div className="grid grid-cols-2 gap-2">
          <SelectField
            label="Grade"
            value={input.grade}
            commit={(grade) => change({ grade })}
            options={gradesFor(standard.profile.materials, section.product).map(({ id }) => ({ value: id, label: id }))}
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
        <PlacesField
          label="Supports, from the start"
          value={input.supports}
          most={input.length}
          empty={null}
          commit={(supports) => change({ supports })}
        />
        <div className="grid grid-cols-2 gap-2">
          <PlacesField label="Fixed at" value={input.fixed} most={input.length} commit={(fixed) => change({ fixed })} />
          <PlacesField label="Hinges" value={input.hinges} most={input.length} commit={(hinges) => change({ hinges })} />
        </div>
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
        <HeldAt input={input} change={change} />
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
        <AskedFields
          kind="beam"
          standard={STANDARDS[input.family]}
          outline={section.shape.outline}
          values={input}
          commit={(typed) => change(typed)}
        />
        <OptionalQuantityField
          label="Stiff length of its seats"
          kind="sectionLength"
          empty="connected through its web"
          value={input.seat}
          commit={(seat) => change({ seat })}
        />
        <DeflectionLimits input={input} change={change} />
        <BeamLoads input={input} change={change} />
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
            {design.results.length > 0 ? <Ladders results={design.results} units={units} /> : null}
            <WithoutFloor building={result.building} takedown={result.takedown} id={TYPED_BEAM} />
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
          {cases.map(({ id, name }) => (
            <th key={id} className="num">
              {name}
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
  const [found, setFound] = useState<{ best: string | null; unheld: string | null } | null>(null);
  const beam = result.building.beams.get(TYPED_BEAM)!;
  const sense = beam.section ? senseOf(beam, result.takedown.members.get(TYPED_BEAM)!, findSection(beam.section)) : null;
  const size = () => {
    const context = contextOf(result.building, result.takedown);
    const least = (request: SizingRequest) => lightest(trySections(context, TYPED_BEAM, request))?.designation ?? null;
    setFound({ best: least({}), unheld: beam.restraint === 'floor' ? least({ restraint: 'supports' }) : null });
  };
  return (
    <div>
      {sense ? (
        <p className={`text-[12px] ${sense.isUsual ? 'text-soft' : 'text-oxide'}`}>
          Span over depth {sense.ratio.toFixed(1)}, {sense.words} ({sense.low} to {sense.high}).
        </p>
      ) : null}
      <p className="mt-1 text-[13px]">
        {found === null ? (
          <button type="button" className="btn btn-main" onClick={size}>
            Size this beam
          </button>
        ) : found.best === null ? (
          'No shape of the usual families carries it.'
        ) : (
          <>
            Lightest that carries: <b>{found.best}</b>{' '}
            <button type="button" className="btn-line" onClick={() => take(found.best!)}>
              Take it
            </button>
          </>
        )}
      </p>
      {found && beam.restraint === 'floor' ? (
        <p className="text-[13px]">Without the floor: {found.unheld ?? 'no shape of the usual families'}</p>
      ) : null}
    </div>
  );
}
