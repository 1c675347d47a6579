import type { Beam, Column, Footing, Hanger, StripFooting, Wall } from '../../building';
import { lineFinder, pointFinder, type Finder } from './finder';
import type { LevelPlan, OnLine, OnPoint } from './levelPlan';

/** Searches over one level. */
export interface LevelFinders {
  readonly beams: Finder<OnLine<Beam>>;
  readonly wallsBelow: Finder<OnLine<Wall>>;
  readonly columnsBelow: Finder<OnPoint<Column>>;
  readonly hangersBelow: Finder<OnPoint<Hanger>>;
  readonly footings: Finder<OnPoint<Footing>>;
  readonly stripFootings: Finder<OnLine<StripFooting>>;
}

export function levelFinders(plan: LevelPlan): LevelFinders {
  return {
    beams: lineFinder(plan.beams),
    wallsBelow: lineFinder(plan.wallsBelow),
    columnsBelow: pointFinder(plan.columnsBelow),
    hangersBelow: pointFinder(plan.hangersBelow),
    footings: pointFinder(plan.footings),
    stripFootings: lineFinder(plan.stripFootings),
  };
}
