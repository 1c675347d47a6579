import { lazy, Suspense, useMemo, useState } from 'react';
import {
  FAMILIES,
  findSection,
  findTool,
  gradesFor,
  memberElevation,
  middleOf,
  PlinthError,
  profileOf,
  runTool,
  sectionDrawing,
  STANDARDS,
  type Family,
  type FamilyProfile,
  type ForceSet,
  type ForcesGiven,
  type Standard,
  type ToolReply,
} from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';
import { QuantityField, SelectField } from '../../parts/fields';
import { Ladders } from '../../parts/Ladder';
import { UnitsProvider } from '../../project/context';
import { ForceSets } from './ForceSets';
import { methodOf, whyNothing } from './methods';
import { byOtherCodes } from './otherCodes';
import { SectionInput } from './SectionInput';
import { useBenchInput } from './useBenchInput';

const SheetView = lazy(() => import('../../parts/SheetView'));

interface MemberInput {
  readonly family: Standard['id'];
  readonly section: string;
  readonly grade: string;
  readonly given: ForcesGiven;
  readonly sets: readonly ForceSet[];
  /** Which set is drawn and typed. */
  readonly shown: number;
  readonly lengthY: number;
  readonly lengthZ: number;
  readonly lengthT: number;
  /** Over which the moments are given; 0: not known, the longest of the lengths. */
  readonly length: number;
  readonly unbraced: number;
  readonly throughShearCentre: boolean;
  /** Codes and method by which the effects were combined; empty: nobody has said. */
  readonly combinedBy: string;
}

const SET: ForceSet = {
  name: 'set 1',
  nature: 'permanent',
  use: 'B',
  axial: 620e3,
  major: { start: 38e6, middle: 19e6, end: 0 },
  minor: { start: 6e6, middle: 3e6, end: 0 },
  shear: 12e3,
  shearAcross: 0,
  torsion: 0,
};

/** Addresses from before these were asked. */
const OLDER = { length: 0, combinedBy: '' };

const KIP = 4448.2216152605;
const FOOT = 304.8;

/** A storey of a column with moments at its head, in whole numbers of each system of units. */
const LAID_OUT: Record<FamilyProfile['units'], { readonly set: typeof SET; readonly length: number }> = {
  SI: { set: SET, length: 3800 },
  US: {
    set: {
      ...SET,
      axial: 140 * KIP,
      major: { start: 30 * KIP * FOOT, middle: 15 * KIP * FOOT, end: 0 },
      minor: { start: 4 * KIP * FOOT, middle: 2 * KIP * FOOT, end: 0 },
      shear: 3 * KIP,
    },
    length: 12 * FOOT,
  },
};

/** What the bench begins with by a family, in whole units of it. */
function start(family: Family): MemberInput {
  const { units, rules, samples, brief } = profileOf(family);
  const { set, length } = LAID_OUT[units];
  return {
    family,
    section: samples.beamColumn,
    grade: brief.grade,
    given: 'sets',
    sets: [set],
    shown: 0,
    lengthY: length,
    lengthZ: length,
    lengthT: length,
    length,
    unbraced: length,
    throughShearCentre: false,
    combinedBy: methodOf(family, rules[0]),
  };
}

const INITIAL = start(FAMILIES[0]);
const STARTS = Object.fromEntries(FAMILIES.map((family) => [family, start(family)])) as Record<Family, MemberInput>;

const isRead = (family: Standard['id'], field: string) => !(STANDARDS[family].steel.unread.member as readonly string[]).includes(field);

function run({ family, shown: _, combinedBy: __, ...typed }: MemberInput, philosophy: string): ToolReply | string {
  try {
    // what these codes do not read stays typed for the others
    const input = Object.fromEntries(Object.entries(typed).filter(([field]) => isRead(family, field)));
    const sets = typed.sets.map(({ nature, use, action = '', bothWays = false, notionalOf, ...forces }) => {
      const isNotional = typed.given === 'cases' && Boolean(notionalOf);
      const ofCase = isNotional ? { notionalOf } : { nature, action, ...(nature === 'imposed' ? { use } : {}) };
      return {
        ...forces,
        // an envelope has its peaks of both signs, and a notional load acts to both sides
        bothWays: bothWays && typed.given !== 'envelope' && !isNotional,
        ...(typed.given === 'cases' ? ofCase : {}),
      };
    });
    return runTool(findTool(`${family}.steel.memberForces`), { ...input, sets, philosophy });
  } catch (error) {
    if (!(error instanceof PlinthError)) throw error;
    return error.message;
  }
}

/** A set that can be drawn and typed. */
function isForceSet(value: unknown): value is ForceSet {
  const { name, axial, major, minor, shear, shearAcross, torsion, nature, use, action = '', notionalOf = '' } = (value ?? {}) as ForceSet;
  const isThree = (moments: unknown) =>
    ['start', 'middle', 'end'].every((at) => {
      const value = (moments as Record<string, unknown> | null)?.[at];
      return Number.isFinite(value) || (at === 'middle' && value === undefined);
    });
  return (
    typeof name === 'string' &&
    typeof nature === 'string' &&
    typeof use === 'string' &&
    typeof action === 'string' &&
    typeof notionalOf === 'string' &&
    [axial, shear, shearAcross, torsion].every(Number.isFinite) &&
    isThree(major) &&
    isThree(minor)
  );
}

/** A steel member under the end forces of an analysis: drawn, and every limit state at once, by every philosophy. */
export function MemberBench() {
  const [read, change] = useBenchInput<MemberInput>(INITIAL, OLDER);
  // an address may hold anything
  const input = useMemo<MemberInput>(() => {
    const sets = read.sets.filter(isForceSet);
    return {
      ...read,
      sets: sets.length > 0 ? sets : [SET],
      length: read.length > 0 ? read.length : Math.max(read.lengthY, read.lengthZ, read.lengthT, read.unbraced),
      shown: Math.min(Math.max(0, Math.floor(read.shown)), Math.max(0, sets.length - 1)),
    };
  }, [read]);
  const set = input.sets[input.shown]!;
  const [shown, setShown] = useState(0);
  const standard = STANDARDS[input.family];
  const units = standard.profile.units;
  const isCombined = input.given !== 'cases';
  // what is combined already says nothing by another method; unfactored cases are combined by each that is shown
  const philosophies = useMemo(
    () =>
      isCombined
        ? standard.loads.philosophies.filter(({ id }) => methodOf(standard.id, id) === input.combinedBy)
        : standard.loads.compared(standard.loads.philosophies[0]!.id),
    [standard, isCombined, input.combinedBy],
  );
  const unanswered = philosophies.length > 0 ? null : whyNothing(input.combinedBy, standard);
  const replies = useMemo(() => philosophies.map(({ id }) => run(input, id)), [input, philosophies]);
  const section = findSection(input.section);
  const grades = gradesFor(standard.profile.materials, section.product);
  const ladders = replies.flatMap((reply, i) =>
    typeof reply === 'string' ? [] : [{ philosophy: philosophies[i]!.id, checks: reply.checks }],
  );
  const picked = unanswered ?? replies[Math.min(shown, replies.length - 1)]!;
  const length = (name: 'lengthY' | 'lengthZ' | 'lengthT' | 'length', label: string) => (
    <QuantityField
      label={label}
      kind="length"
      value={input[name]}
      commit={(value) => {
        if (!(value > 0)) throw new Error('must be greater than 0');
        change({ [name]: value } as Partial<MemberInput>);
      }}
    />
  );
  return (
    <UnitsProvider units={units}>
      <aside
        aria-label="What is given"
        className="panel no-print w-[300px] shrink-0 space-y-3 overflow-y-auto border-r border-rule px-4 py-3"
      >
        <SelectField
          label="Codes"
          value={input.family}
          commit={(family) => change(byOtherCodes(input, STARTS, family as Standard['id'], []))}
          options={Object.values(STANDARDS).map(({ id, title }) => ({ value: id, label: title }))}
        />
        <SectionInput value={input.section} commit={(designation) => change({ section: designation })} />
        <SelectField
          label="Grade"
          value={input.grade}
          commit={(grade) => change({ grade })}
          options={grades.map(({ id, standard: of }) => ({ value: id, label: `${id}, ${of}` }))}
        />
        <ForceSets given={input.given} sets={input.sets} shown={input.shown} combinedBy={input.combinedBy} change={change} units={units} />
        {length('length', 'Length over which the moments are given')}
        <fieldset>
          <legend className="label">Effective lengths</legend>
          <div className="grid grid-cols-3 gap-2">
            {length('lengthY', 'major')}
            {length('lengthZ', 'minor')}
            {isRead(input.family, 'lengthT') ? length('lengthT', 'twisting') : null}
          </div>
        </fieldset>
        <QuantityField
          label="Between lateral restraints; 0: held along it"
          kind="length"
          value={input.unbraced}
          commit={(unbraced) => {
            if (unbraced < 0) throw new Error('must be at least 0');
            change({ unbraced });
          }}
        />
        {section.shape.outline === 'channel' && isRead(input.family, 'throughShearCentre') ? (
          <label className="block text-[13px]">
            <input
              type="checkbox"
              className="accent-oxide"
              checked={input.throughShearCentre}
              onChange={(event) => change({ throughShearCentre: event.target.checked })}
            />{' '}
            loaded through the shear centre, or held against twisting
          </label>
        ) : null}
      </aside>
      <div className="print-flow min-w-0 flex-1 overflow-y-auto px-6 py-3" tabIndex={0} role="region" aria-label="The member and its sheet">
        <div className="flex items-start gap-4">
          <DrawingView
            className="min-w-0 flex-1"
            drawing={memberElevation({
              length: Math.max(input.length, 1),
              unbraced: input.unbraced,
              axial: set.axial,
              major: { ...set.major, middle: middleOf(set.major) },
              units,
              width: 430,
              height: 230,
            })}
          />
          <DrawingView className="w-[150px]" drawing={sectionDrawing(section, units, 150, 190)} />
        </div>
        {typeof picked === 'string' ? (
          <p role="alert" className="text-oxide">
            {picked}
          </p>
        ) : (
          <section aria-label="Sheet" className="mt-2">
            <h2>
              {section.designation} <span className="font-normal text-soft">{input.grade}, calculation sheet</span>
              {philosophies.length > 1
                ? philosophies.map(({ id }, i) => (
                    <button
                      key={id}
                      type="button"
                      aria-pressed={i === shown}
                      className={`ml-3 text-[13px] ${i === shown ? 'font-bold' : 'text-oxide underline'}`}
                      onClick={() => setShown(i)}
                    >
                      {id}
                    </button>
                  ))
                : null}
            </h2>
            <Suspense fallback={<p className="text-soft">Setting the formulas…</p>}>
              <SheetView entries={picked.steps} units={units} />
            </Suspense>
          </section>
        )}
      </div>
      <aside
        aria-label="Failure ladders"
        className="panel no-print w-[330px] shrink-0 space-y-4 overflow-y-auto border-l border-rule bg-panel px-4 py-3"
        tabIndex={0}
      >
        {unanswered ? <p className="text-[13px] text-oxide">Not verified: {unanswered}</p> : null}
        {ladders.length > 0 ? <Ladders results={ladders} units={units} /> : null}
      </aside>
    </UnitsProvider>
  );
}
