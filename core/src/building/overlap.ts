import polygonClipping, { type MultiPolygon } from 'polygon-clipping';
import type { Panel, PlanPoint, WallOpening } from './item';
import { areaOf, pointsOf, ringOf } from './region';

/** Less than this two areas may share, mm2: a hundredth of a square metre, as drawn edges do. */
const LITTLE = 1e4;

type Outline = readonly PlanPoint[];

const boxOf = (outline: Outline) => ({
  west: Math.min(...outline.map(({ x }) => x)),
  east: Math.max(...outline.map(({ x }) => x)),
  south: Math.min(...outline.map(({ y }) => y)),
  north: Math.max(...outline.map(({ y }) => y)),
});

/** Area that two outlines have in common, mm2; nothing for what is no area. */
export function commonArea(a: Outline, b: Outline): number {
  const [one, other] = [boxOf(a), boxOf(b)];
  const width = Math.min(one.east, other.east) - Math.max(one.west, other.west);
  const height = Math.min(one.north, other.north) - Math.max(one.south, other.south);
  if (width <= 0 || height <= 0 || width * height <= LITTLE) return 0;
  try {
    return areaOf(polygonClipping.intersection(ringOf(a), ringOf(b)));
  } catch {
    return 0;
  }
}

/** Whether two outlines lie over each other by more than their edges. */
export const overlap = (a: Outline, b: Outline): boolean => commonArea(a, b) > LITTLE;

/** The first two openings of a panel that lie over each other, by their places; null when none do. */
export function overlappingOpenings({ openings }: Pick<Panel, 'openings'>): readonly [number, number] | null {
  for (let j = 1; j < openings.length; j++)
    for (let i = 0; i < j; i++) if (overlap(openings[i]!.outline, openings[j]!.outline)) return [i, j];
  return null;
}

/** The first two openings of a wall that lie over each other in its face, by their places; null when none do. One over the other is none. */
export function overlappingWallOpenings(openings: readonly WallOpening[]): readonly [number, number] | null {
  for (let j = 1; j < openings.length; j++)
    for (let i = 0; i < j; i++) {
      const [a, b] = [openings[i]!, openings[j]!];
      const wide = Math.min(a.to, b.to) - Math.max(a.from, b.from);
      const high = Math.min(a.head, b.head) - Math.max(a.sill, b.sill);
      if (wide > 1 && high > 1) return [i, j];
    }
  return null;
}

/** A panel whose openings are joined where they lie over each other, so that none is taken off twice; the same object where none do. */
export function withJoinedOpenings(panel: Panel): Panel {
  if (panel.openings.length < 2 || overlappingOpenings(panel) === null) return panel;
  let joined: MultiPolygon;
  try {
    const [first, ...rest] = panel.openings.map(({ outline }) => ringOf(outline));
    joined = polygonClipping.union(first!, ...rest);
  } catch {
    return panel;
  }
  return {
    ...panel,
    openings: joined.map(([outer]) => ({ label: '', outline: pointsOf(outer!), bridged: panel.openings.every(({ bridged }) => bridged) })),
  };
}
