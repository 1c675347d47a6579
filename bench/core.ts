import { computeProject, ebbwickSailLoft, solveBeam, type BeamLoad } from '../core/src';
import { figure, timeOf, type Figure } from './figure';

/** Five spans with twenty loads, solved from nothing, with the exact extremes of all three effects. */
export function beamSolve(): Figure {
  const supports = [0, 5000, 10_000, 15_000, 20_000, 25_000].map((at) => ({ at }));
  const loads: BeamLoad[] = [
    ...Array.from({ length: 15 }, (_, i): BeamLoad => ({ type: 'point', at: 800 + 1600 * i, force: 10_000 + i })),
    ...Array.from({ length: 5 }, (_, i): BeamLoad => ({ type: 'distributed', from: 5000 * i, to: 5000 * i + 3000, start: 10, end: 14 })),
  ];
  const solve = () => {
    const solution = solveBeam({ length: 25_000, EI: 2e13, supports }, loads);
    for (const effect of ['moment', 'shear', 'deflection'] as const) solution.extremes(effect);
  };
  const numbers = Array.from({ length: 1000 }, (_, i) => Math.sin(i * 12.9898));
  const sort = timeOf(() => [...numbers].sort((a, b) => a - b), 200);
  const value = timeOf(solve, 400);
  return figure('beam.solve', value, 'ms', 0.2, `${(value / sort).toFixed(2)} times sorting 1000 numbers`);
}

/** Takedown and every check of the demonstration building, as the worker does it on an edit. */
export function projectCompute(): Figure {
  const items = ebbwickSailLoft();
  return figure(
    'project.compute',
    timeOf(() => void computeProject(items), 10),
    'ms',
    50,
  );
}
