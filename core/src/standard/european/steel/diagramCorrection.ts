import type { Sheet } from '../../../sheet';
import type { Segment } from '../../standard';
import type { SteelAnnex } from '../annex';

/** The general case knows no correction for the moment diagram: k_c is 1, and f with it. */
export function generalCorrection(sheet?: Sheet): number {
  sheet?.given('k_c', 1, 'ratio', 'the general case knows no correction for the diagram', '6.3.2.2');
  return 1;
}

/** k_c of 6.3.2.3(2), from C_1 or, where the annex keeps to table 6.6, from the diagrams that the table has; 1 for all others. */
export function correctionFactor({ lateralTorsional }: SteelAnnex, C1: number, diagram: Segment | undefined, sheet?: Sheet): number {
  const { correction, correctionSource } = lateralTorsional;
  if (correction === 'C1') {
    if (C1 === 1) sheet?.given('C_1', 1, 'ratio', 'uniform moment, or the diagram is within the critical moment');
    const kc = 1 / Math.sqrt(C1);
    sheet?.step('k_c', '1 / sqrt(C_1)', { C_1: C1 }, kc, 'ratio', correctionSource);
    return kc;
  }
  const psi = diagram ? endMomentRatio(diagram) : null;
  if (psi !== null) {
    const kc = 1 / (1.33 - 0.33 * psi);
    sheet?.given('psi_m', psi, 'ratio', 'ratio of the end moments, straight between them');
    sheet?.step('k_c', '1 / (1.33 - 0.33 * psi_m)', { psi_m: psi }, kc, 'ratio', correctionSource);
    return kc;
  }
  const isParabola = diagram !== undefined && risesFromNothing(diagram);
  const kc = isParabola ? 0.94 : 1;
  const row = isParabola
    ? 'a parabola between ends without moment'
    : diagram
      ? 'not a diagram of the table: on the safe side'
      : 'uniform, or within the critical moment';
  sheet?.lookup('k_c', kc, 'ratio', 'table 6.6', row, correctionSource);
  return kc;
}

/** Ratio of the smaller end moment to the larger, from -1 to 1, where the moments run straight between the ends; null: they do not, or the ends are not known. */
function endMomentRatio({ ends, quarters, peak }: Segment): number | null {
  if (!ends || peak === 0) return null;
  const [start, end] = ends;
  const little = 1e-6 * Math.abs(peak);
  const isStraight = quarters.every((moment, i) => Math.abs(moment - start - ((end - start) * (i + 1)) / 4) <= little);
  if (!isStraight) return null;
  return Math.abs(start) >= Math.abs(end) ? end / start : start / end;
}

/** A parabola from nothing at one end to nothing at the other, as of an even load between simple supports. */
function risesFromNothing({ ends, quarters, peak }: Segment): boolean {
  if (!ends) return false;
  const [first, middle, last] = quarters;
  const little = 1e-6 * Math.abs(peak);
  return [...ends, first - 0.75 * middle, last - 0.75 * middle, middle - peak].every((gap) => Math.abs(gap) <= little);
}
