import { lazy, Suspense } from 'react';
import { describePlace, formatQuantity, type PlasticPlace, type ToolReply, type UnitSystem } from '@plinth/core';
import type { BuiltUpInput } from './builtUp';

const SheetView = lazy(() => import('../../parts/SheetView'));

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

/** Moments and axes first, then the joints, then the solution step by step. */
export function BuiltUpResult({ reply, axis, units }: { reply: ToolReply; axis: BuiltUpInput['axis']; units: UnitSystem }) {
  const result = reply.result as { A: number; mass: number } & Record<'horizontal' | 'vertical', AxisResult>;
  const found = result[axis];
  const rows: readonly (readonly [string, string])[] = [
    ['Plastic moment', formatQuantity(found.plasticMoment, 'moment', units)],
    ['Plastic neutral axis', `${formatQuantity(found.plasticAxis, 'sectionLength', units)}, ${describePlace(found.plasticPlace)}`],
    ['Yield moment', `${formatQuantity(found.yieldMoment, 'moment', units)}, ${found.yieldsFirst} yields first`],
    ['Elastic neutral axis', formatQuantity(found.elasticAxis, 'sectionLength', units)],
    ['Shape factor', found.shapeFactor.toFixed(3)],
    ['Transformed second moment', formatQuantity(found.I, 'secondMoment', units)],
    ['Area, mass as steel', `${formatQuantity(result.A, 'area', units)}, ${formatQuantity(result.mass, 'massPerLength', units)}`],
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
