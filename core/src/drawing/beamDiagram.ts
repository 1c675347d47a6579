import type { BeamSolution, Effect } from '../beam';
import { evaluatePolynomial } from '../beam';
import { formatQuantity, type Kind, type UnitSystem } from '../quantity';
import { Pencil, sideOf, type Drawing } from './drawing';

const KIND: Record<Effect, Kind> = { moment: 'moment', shear: 'force', deflection: 'sectionLength' };
const TITLE: Record<Effect, string> = { moment: 'moment', shear: 'shear', deflection: 'deflection' };

export interface BeamDiagramInput {
  readonly mark: string;
  readonly solution: BeamSolution;
  readonly supports: readonly { readonly at: number; readonly fixed: boolean }[];
  readonly effect: Effect;
  readonly combination: string;
  readonly units: UnitSystem;
  readonly width: number;
  readonly height: number;
}

/**
 * Moment, shear or deflection drawn on the beam itself, to scale along it. Sagging moment and downward deflection hang
 * below the beam (moment on the tension side); shear stands above where positive. Largest values are written at their place.
 */
export function beamDiagram({ mark, solution, supports, effect, combination, units, width, height: least }: BeamDiagramInput): Drawing {
  const pencil = new Pencil();
  const lower = pencil.caption(8, 10, `${TITLE[effect]}, ${combination}`, width - 16);
  const height = least + lower;
  const { max, min } = solution.extremes(effect);
  const [left, right, top, bottom] = [28, width - 28, 26 + lower, height - 20];
  const scaleX = (right - left) / solution.length;
  const down = effect === 'shear' ? -1 : 1;
  const [low, high] = [Math.min(0, down * max.value, down * min.value), Math.max(0, down * max.value, down * min.value)];
  const scaleY = (bottom - top) / Math.max(high - low, 1e-12);
  const axis = top - low * scaleY;
  const X = (x: number) => left + x * scaleX;
  const Y = (value: number) => axis + down * value * scaleY;
  const outline: [number, number][] = [[X(0), axis]];
  for (const piece of solution.pieces) {
    const n = effect === 'shear' ? 8 : 24;
    for (let i = 0; i <= n; i += 1) {
      const s = ((piece.to - piece.from) * i) / n;
      outline.push([X(piece.from + s), Y(evaluatePolynomial(piece[effect], s))]);
    }
  }
  outline.push([X(solution.length), axis]);
  pencil.area(outline, 'accentWash', { pen: 'accent', width: 1.1 });
  pencil.line(
    [
      [X(0), axis],
      [X(solution.length), axis],
    ],
    'ink',
    { width: 2 },
  );
  for (const { at, fixed } of supports)
    if (fixed) pencil.built(X(at), axis - 9, axis + 9, sideOf(at, solution.length));
    else pencil.support(X(at), axis + 1);
  const peaks = Math.abs(max.value) >= Math.abs(min.value) ? [max, min] : [min, max];
  const significant = peaks.filter((peak) => Math.abs(peak.value) > 0.02 * Math.abs(peaks[0]!.value) && peak.value !== 0);
  for (const peak of significant) {
    const y = Y(peak.value);
    const below = y > axis;
    const anchor = X(peak.at) < left + 60 ? 'start' : X(peak.at) > right - 60 ? 'end' : 'middle';
    pencil.text(
      X(peak.at),
      below ? Math.min(height - 4, y + 13) : Math.max(22 + lower, y - 4),
      `${formatQuantity(peak.value, KIND[effect], units)} at ${formatQuantity(peak.at, 'length', units, { figures: 3 })}`,
      { size: 11, bold: true, anchor, pen: 'accent', halo: true },
    );
  }
  return {
    width,
    height,
    title: `${mark}: ${TITLE[effect]} diagram, ${combination}; ${significant.map((peak) => formatQuantity(peak.value, KIND[effect], units)).join(' and ') || 'nothing'}`,
    marks: pencil.marks,
  };
}
