import { Fragment, useMemo } from 'react';
import {
  catalogue,
  FAMILIES,
  profileOf,
  chartConditions,
  echoQuantity,
  findSection,
  formatQuantity,
  longestSpan,
  parseQuantity,
  PlinthError,
  spanChart,
  STANDARDS,
  type Family,
  type FamilyProfile,
  gradesFor,
  unitLabel,
  usualFamilies,
  type ChartRow,
  type SpanChartInput,
  type Standard,
} from '@plinth/core';
import { NumberField, OptionalQuantityField, QuantityField, SelectField, TextField } from '../../parts/fields';
import { saveText } from '../../parts/saveText';
import { UnitsProvider } from '../../project/context';
import { SectionInput } from './SectionInput';
import { useBenchInput } from './useBenchInput';

interface Input extends SpanChartInput {
  readonly family: Standard['id'];
  readonly section: string;
}

const FOOT = 304.8;
const KLF = 14.593902937206366;

/** Spans and loads in whole numbers of each system of units. */
const LAID_OUT: Record<FamilyProfile['units'], Pick<Input, 'permanent' | 'spans' | 'imposed'>> = {
  SI: { permanent: 9, spans: [4000, 5000, 6000, 7000, 8000, 9000, 10_000, 12_000], imposed: [6, 9, 12, 15, 18, 24] },
  US: {
    permanent: 0.6 * KLF,
    spans: [14, 18, 22, 26, 30, 34, 40].map((feet) => feet * FOOT),
    imposed: [0.4, 0.6, 0.8, 1.0, 1.2, 1.6].map((klf) => klf * KLF),
  },
};

function start(family: Family): Input {
  const { units, rules, samples, brief, usualShapes } = profileOf(family);
  return {
    ...LAID_OUT[units],
    family,
    philosophy: rules[0],
    grade: brief.grade,
    families: [usualShapes.beam[0]],
    limitVariable: 360,
    limitTotal: 240,
    maxDepth: null,
    section: samples.beam,
  };
}

const STARTS = Object.fromEntries(FAMILIES.map((family) => [family, start(family)])) as Record<Family, Input>;

/** The lightest beam for each span and load of a stated situation, and how far one section reaches. */
export function ChartBench() {
  const [input, change] = useBenchInput(start(FAMILIES[0]));
  const standard = STANDARDS[input.family];
  const units = standard.profile.units;
  const found = useMemo<{ rows: ChartRow[]; reach: { held: number; free: number }[] } | string>(() => {
    try {
      const section = findSection(input.section);
      return {
        rows: spanChart(standard, input),
        reach: input.imposed.map((imposed) => ({
          held: longestSpan(standard, section, imposed, true, input),
          free: longestSpan(standard, section, imposed, false, input),
        })),
      };
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      return error.message;
    }
  }, [standard, input]);
  const families = useMemo(() => {
    const there = new Set(catalogue().map((entry) => `${entry.region}:${entry.family}`));
    return [...new Set(catalogue().map(({ family }) => family))].filter((family) => there.has(`${input.family}:${family}`));
  }, [input.family]);
  const list = (text: string, kind: 'length' | 'lineLoad') => {
    const values = text
      .split(/[;\s]+/)
      .filter(Boolean)
      .map((part) => parseQuantity(part, kind, units));
    if (values.length === 0 || values.some((value) => !(value > 0))) throw new Error('write values above 0, with spaces between');
    if (values.length > 20) throw new Error('at most 20 values');
    return values.sort((a, b) => a - b);
  };
  const shown = (values: readonly number[], kind: 'length' | 'lineLoad') =>
    values.map((value) => echoQuantity(value, kind, units)).join(' ');
  const csv = () =>
    typeof found === 'string'
      ? ''
      : [
          ['span', 'imposed', 'held by the floor', 'free'].join(','),
          ...found.rows.flatMap(({ span, cells }) =>
            cells.map(({ imposed, held, free }) =>
              [
                formatQuantity(span, 'length', units),
                formatQuantity(imposed, 'lineLoad', units),
                held?.section ?? '',
                free?.section ?? '',
              ].join(','),
            ),
          ),
        ].join('\n');
  return (
    <UnitsProvider units={units}>
      <aside
        aria-label="What is given"
        className="panel no-print w-[300px] shrink-0 space-y-3 overflow-y-auto border-r border-rule px-4 py-3"
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
          options={standard.loads.philosophies.map(({ id, title }) => ({ value: id, label: title }))}
        />
        <div className="grid grid-cols-2 gap-2">
          <SelectField
            label="Family"
            value={input.families.join()}
            commit={(families) => change({ families: families.split(',') })}
            options={[
              ...families.map((family) => ({ value: family, label: family })),
              { value: usualFamilies(input.family, 'beam').join(), label: 'all usual' },
            ]}
          />
          <SelectField
            label="Grade"
            value={input.grade}
            commit={(grade) => change({ grade })}
            options={gradesFor(standard.profile.materials, 'rolled').map(({ id }) => ({
              value: id,
              label: id,
            }))}
          />
        </div>
        <QuantityField
          label="Permanent load beside own weight"
          kind="lineLoad"
          value={input.permanent}
          commit={(permanent) => {
            if (permanent < 0) throw new Error('must be at least 0');
            change({ permanent });
          }}
        />
        <TextField
          label={`Spans [${unitLabel('length', units)}]`}
          value={shown(input.spans, 'length')}
          commit={(text) => change({ spans: list(text, 'length') })}
        />
        <TextField
          label={`Imposed loads [${unitLabel('lineLoad', units)}]`}
          value={shown(input.imposed, 'lineLoad')}
          commit={(text) => change({ imposed: list(text, 'lineLoad') })}
        />
        <div className="grid grid-cols-2 gap-2">
          <NumberField
            label="Imposed: span over"
            value={input.limitVariable}
            commit={(limitVariable) => change({ limitVariable: atLeast(limitVariable) })}
          />
          <NumberField
            label="All load: span over"
            value={input.limitTotal}
            commit={(limitTotal) => change({ limitTotal: atLeast(limitTotal) })}
          />
        </div>
        <OptionalQuantityField
          label="No deeper than"
          kind="sectionLength"
          value={input.maxDepth}
          empty="any depth"
          commit={(maxDepth) => change({ maxDepth })}
        />
        <SectionInput label="How far does this reach" value={input.section} commit={(section) => change({ section })} />
      </aside>
      <div className="print-flow min-w-0 flex-1 overflow-auto px-6 py-3" tabIndex={0} role="region" aria-label="Chart">
        {typeof found === 'string' ? (
          <p role="alert" className="text-oxide">
            {found}
          </p>
        ) : (
          <>
            <div className="flex items-baseline gap-4">
              <h1 className="text-[17px] font-bold">The lightest beam</h1>
              <span className="text-[12.5px] text-soft">
                <b className="text-ink">held by the floor</b>, and beneath it free between its supports
              </span>
              <span className="flex-1" />
              <button type="button" className="btn-line no-print" onClick={() => saveText('span-chart.csv', 'text/csv', csv())}>
                CSV
              </button>
              <button type="button" className="btn-line no-print" onClick={() => window.print()}>
                Print
              </button>
            </div>
            <table className="grid-table mt-2" aria-label="Lightest beams">
              <thead>
                <tr>
                  <th className="num">Span [{unitLabel('length', units)}]</th>
                  {input.imposed.map((imposed) => (
                    <th key={imposed}>
                      {formatQuantity(imposed, 'lineLoad', units, { bare: true })} {unitLabel('lineLoad', units)}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {found.rows.map(({ span, cells }) => (
                  <tr key={span}>
                    <th className="num">{formatQuantity(span, 'length', units, { bare: true })}</th>
                    {cells.map(({ imposed, held, free }) => (
                      <td key={imposed} title={held ? `held: ${held.governing}${free ? `; free: ${free.governing}` : ''}` : undefined}>
                        <span className="block font-semibold">{held?.section ?? 'none'}</span>
                        <span className="block text-[12.5px] text-soft">{free?.section ?? 'none'}</span>
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
              <tfoot>
                <tr>
                  <th className="num">{input.section} reaches</th>
                  {found.reach.map(({ held, free }, i) => (
                    <Fragment key={input.imposed[i]}>
                      <td>
                        <span className="block font-semibold">{held > 0 ? formatQuantity(held, 'length', units) : 'nothing'}</span>
                        <span className="block text-[12.5px] text-soft">
                          {free > 0 ? formatQuantity(free, 'length', units) : 'nothing'}
                        </span>
                      </td>
                    </Fragment>
                  ))}
                </tr>
              </tfoot>
            </table>
            <ul className="mt-3 max-w-3xl list-disc pl-5 text-[12.5px] text-soft">
              {chartConditions(standard, input, units).map((condition) => (
                <li key={condition}>{condition}</li>
              ))}
            </ul>
          </>
        )}
      </div>
    </UnitsProvider>
  );
}

function atLeast(value: number): number {
  if (value < 100 || value > 2000) throw new Error('between 100 and 2000');
  return value;
}
