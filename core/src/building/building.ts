import type { ActionBody, BuildUp, LoadCases } from '../load';
import type { Beam, Body, Brief, Column, ExtraLoad, Footing, Hanger, Item, Panel, PlanPoint, StripFooting, Truss, Wall } from './item';

export interface Named<B> {
  readonly id: string;
  readonly body: B;
}

/** The model by kind: what takedown and design read. Items that are removed stay in the project, not in the building. */
export interface Building {
  readonly brief: Brief;
  readonly levels: readonly Named<Body<'level'>>[];
  readonly buildUps: ReadonlyMap<string, BuildUp>;
  readonly actions: ReadonlyMap<string, ActionBody>;
  /** Load cases: the usual ones, and those of the actions. */
  readonly cases: LoadCases;
  /** What is taken down as a beam: beams, and each truss as a simple beam that is not designed. */
  readonly beams: ReadonlyMap<string, Beam>;
  /** Which of them are trusses. */
  readonly trusses: ReadonlyMap<string, Truss>;
  readonly columns: ReadonlyMap<string, Column>;
  readonly hangers: ReadonlyMap<string, Hanger>;
  readonly walls: ReadonlyMap<string, Wall>;
  readonly footings: ReadonlyMap<string, Footing>;
  readonly stripFootings: ReadonlyMap<string, StripFooting>;
  readonly panels: ReadonlyMap<string, Panel>;
  readonly gridlines: readonly Named<Body<'gridline'>>[];
  readonly drawings: readonly Named<Body<'drawing'>>[];
  readonly measurements: readonly Named<Body<'measurement'>>[];
  readonly notes: readonly Named<Body<'note'>>[];
  readonly loads: readonly Named<ExtraLoad>[];
  /** What is to be taken away: drawn, and counted nowhere. */
  readonly removed: readonly Item[];
  readonly answers: ReadonlyMap<string, Body<'answer'>>;
  readonly elevation: (level: string) => number;
}

/** The stretches of a beam of another stiffness, as far as they lie on it: one that was shortened keeps what is left of them. */
export function stretchesOf(beam: Pick<Beam, 'from' | 'to' | 'stretches'>): Beam['stretches'] {
  if (beam.stretches.length === 0) return beam.stretches;
  const length = planLength(beam);
  return beam.stretches.flatMap((stretch) => (stretch.from < length ? [{ ...stretch, to: Math.min(stretch.to, length) }] : []));
}

export function planLength(line: { from: PlanPoint; to: PlanPoint }): number {
  const [dx, dy] = [line.to.x - line.from.x, line.to.y - line.from.y];
  return Math.sqrt(dx * dx + dy * dy);
}

/** The point at a distance along a line on plan. */
export function pointAlong(line: { from: PlanPoint; to: PlanPoint }, distance: number): PlanPoint {
  const length = planLength(line);
  const t = length === 0 ? 0 : distance / length;
  return { x: line.from.x + t * (line.to.x - line.from.x), y: line.from.y + t * (line.to.y - line.from.y) };
}

/** Distance along a line of the foot of the perpendicular from a point: may lie before its start or past its end. */
export function project(line: { from: PlanPoint; to: PlanPoint }, point: PlanPoint): number {
  const length = planLength(line);
  if (length === 0) return 0;
  return ((point.x - line.from.x) * (line.to.x - line.from.x) + (point.y - line.from.y) * (line.to.y - line.from.y)) / length;
}

/** From level to level of something that stands between two, mm. */
export function storeyOf({ elevation }: Pick<Building, 'elevation'>, { base, top }: { base: string; top: string }): number {
  return Math.abs(elevation(top) - elevation(base));
}

/** Height of a wall itself, mm: as it is typed, or from level to level. */
export function wallHeight(building: Pick<Building, 'elevation'>, wall: Pick<Wall, 'base' | 'top' | 'height'>): number {
  return wall.height ?? storeyOf(building, wall);
}

/** Height at which load lands on a wall, mm from its foot: what stands above its storey has nothing on it. */
export function landingHeight(building: Pick<Building, 'elevation'>, wall: Pick<Wall, 'base' | 'top' | 'height'>): number {
  return Math.min(wallHeight(building, wall), storeyOf(building, wall));
}

/** True when something of one level lies on it, or something that stands between levels starts, ends or passes there. */
export function isOnLevel({ elevation }: Pick<Building, 'elevation'>, member: object, level: string): boolean {
  const { level: own, base, top } = member as { readonly level?: string; readonly base?: string; readonly top?: string };
  if (own !== undefined) return own === level;
  if (base === undefined || top === undefined) return false;
  if (base === level || top === level) return true;
  const at = elevation(level);
  return elevation(base) < at && at < elevation(top);
}

/** Weight of the face of a wall, of the layers of its build-up or as typed, N/mm2. */
export function faceWeight({ buildUps }: Pick<Building, 'buildUps'>, { buildUp, weight }: Pick<Wall, 'buildUp' | 'weight'>): number {
  const layers = buildUp === null ? undefined : buildUps.get(buildUp)?.layers;
  return layers ? layers.reduce((sum, { load }) => sum + load, 0) : weight;
}
