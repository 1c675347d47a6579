import type { PlanPoint } from '../../building';
import { segment } from '../support/line';
import type { Bearing, PanelShape } from './share';

/** Builders of the panel tests: points in mm, lines that bear, panels one way along x. */
export const P = (x: number, y: number): PlanPoint => ({ x, y });
export const line = (id: string, x1: number, y1: number, x2: number, y2: number, rank = 0): Bearing => ({
  id,
  rank,
  line: segment({ from: P(x1, y1), to: P(x2, y2) }),
});
export const rectangle = (x1: number, y1: number, x2: number, y2: number) => [P(x1, y1), P(x2, y1), P(x2, y2), P(x1, y2)];
export const panel = (outline: PlanPoint[], more: Partial<PanelShape> = {}): PanelShape => ({
  outline,
  openings: [],
  span: 'oneWay',
  direction: 0,
  continuity: 'simple',
  ...more,
});
