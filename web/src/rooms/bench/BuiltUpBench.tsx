import { useMemo } from 'react';
import { builtUpDrawing, fromTheSide, solveElastic, solvePlastic, type UnitSystem } from '@plinth/core';
import { DrawingView } from '../../parts/DrawingView';
import { QuantityField, SelectField } from '../../parts/fields';
import { UnitsProvider } from '../../project/context';
import { inUnits, middlesOf, newPart, solveBuiltUp, STARTS, type BuiltUpInput, type PartRow } from './builtUp';
import { above, BuiltUpParts } from './BuiltUpParts';
import { BuiltUpResult } from './BuiltUpResult';
import { useBenchInput } from './useBenchInput';

/** Plates, rolled shapes and holes put together on a scaled drawing. */
export function BuiltUpBench() {
  const [input, change] = useBenchInput(STARTS.SI);
  const { units } = input;
  const solved = useMemo(() => solveBuiltUp(input), [input]);
  const add = (kind: PartRow['kind']) => change({ parts: [...input.parts, newPart(kind, input, solved.parts)] });
  const shown = solved.parts && (input.axis === 'vertical' ? solved.parts.map(fromTheSide) : solved.parts);
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
              commit={(axis) => change({ axis: axis as BuiltUpInput['axis'] })}
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
              commit={(next) => change(inUnits(input, next as UnitSystem))}
              options={[
                { value: 'SI', label: 'SI' },
                { value: 'US', label: 'US' },
              ]}
            />
          </div>
        </div>
        {'problem' in solved ? (
          <p role="alert" className="mt-3 text-oxide">
            {solved.problem}
          </p>
        ) : null}
        {shown ? (
          <DrawingView
            className="mt-1 w-full max-w-[820px]"
            drawing={builtUpDrawing({
              parts: shown,
              solution: 'reply' in solved ? { elastic: solveElastic(shown), plastic: solvePlastic(shown) } : null,
              units,
              width: 760,
              height: 330,
            })}
          />
        ) : null}
        <BuiltUpParts parts={input.parts} middles={middlesOf(solved.parts)} units={units} commit={(parts) => change({ parts })} />
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
      {'reply' in solved ? <BuiltUpResult reply={solved.reply} axis={input.axis} units={units} /> : null}
    </UnitsProvider>
  );
}
