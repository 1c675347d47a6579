import polygonClipping from 'polygon-clipping';
import { areaOf, pointsOf, ringOf, type PlanPoint } from '../../building';

/** An opening as it is drawn on a plan, mm. */
export interface DrawnOpening {
  readonly label: string;
  readonly outline: readonly PlanPoint[];
}

/** A panel as it is drawn on a plan, mm, with the openings that were found to lie in it. */
export interface DrawnPanel {
  readonly mark: string;
  readonly outline: PlanPoint[];
  readonly openings: { label: string; outline: PlanPoint[] }[];
}

/** Smaller than this, mm2, is no opening but what drawing to the millimetre leaves. */
const NOTHING = 1000;

/**
 * Cuts openings out of the panels that they lie in; one that lies over the edge between two is cut out of each as far as it reaches.
 * @returns how many openings lie in no panel, or partly beside all of them
 */
export function cutOut(panels: readonly DrawnPanel[], openings: readonly DrawnOpening[]): number {
  let beside = 0;
  for (const { label, outline } of openings) {
    const hole = ringOf(outline);
    const whole = areaOf(polygonClipping.union(hole));
    let found = 0;
    for (const panel of panels) {
      const common = polygonClipping.intersection(ringOf(panel.outline), hole);
      const area = areaOf(common);
      if (area < NOTHING) continue;
      found += area;
      // one that lies within keeps its corners as they are drawn
      if (area > whole - NOTHING) panel.openings.push({ label, outline: [...outline] });
      else for (const [outer] of common) panel.openings.push({ label, outline: pointsOf(outer!) });
    }
    if (whole < NOTHING || found < whole - NOTHING) beside += 1;
  }
  return beside;
}
