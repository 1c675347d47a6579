import { planLength, wallHeight, type Building, type PlanPoint } from '../building';
import { findSection } from '../section';
import type { MemberLedger } from '../takedown';

/** A member as a box in space, m: x east, y north, z up. */
export interface ModelBox {
  readonly id: string;
  readonly kind: MemberLedger['kind'];
  readonly centre: readonly [x: number, y: number, z: number];
  /** Along its own axis (or east), across it, and up. */
  readonly size: readonly [along: number, across: number, up: number];
  /** rad, anticlockwise from east */
  readonly turn: number;
}

/** A panel as a face at its level, m. */
export interface ModelFace {
  readonly id: string;
  readonly outline: readonly (readonly [x: number, y: number])[];
  readonly openings: readonly (readonly (readonly [x: number, y: number])[])[];
  readonly z: number;
}

export interface Model {
  readonly boxes: readonly ModelBox[];
  readonly faces: readonly ModelFace[];
  readonly centre: readonly [number, number, number];
  /** Half of its greatest extent, m. */
  readonly reach: number;
}

const M = 1000;

/** Depth and width of a section, mm; of one that is not chosen what would be likely. */
function outlineOf(section: string | null, usual: readonly [number, number]): readonly [depth: number, width: number] {
  if (section === null) return usual;
  try {
    const { depth, width } = findSection(section).properties;
    return [depth, width];
  } catch {
    return usual;
  }
}

/** The frame in space: beams hang with their top at their level, panels lie on them, walls and posts stand between levels. */
export function modelOf(building: Building): Model {
  const { elevation } = building;
  const boxes: ModelBox[] = [];
  const along = ({ from, to }: { from: PlanPoint; to: PlanPoint }) => ({
    x: (from.x + to.x) / 2 / M,
    y: (from.y + to.y) / 2 / M,
    length: planLength({ from, to }) / M,
    turn: Math.atan2(to.y - from.y, to.x - from.x),
  });
  for (const [id, beam] of building.beams) {
    const [depth, width] = outlineOf(beam.section, building.trusses.has(id) ? [900, 200] : [300, 150]);
    const { x, y, length, turn } = along(beam);
    const top = elevation(beam.level) / M;
    boxes.push({ id, kind: 'beam', centre: [x, y, top - depth / 2 / M], size: [length, width / M, depth / M], turn });
  }
  for (const [id, wall] of building.walls) {
    const { x, y, length, turn } = along(wall);
    const foot = Math.min(elevation(wall.base), elevation(wall.top)) / M;
    const high = wallHeight(building, wall) / M;
    boxes.push({ id, kind: 'wall', centre: [x, y, foot + high / 2], size: [length, wall.thickness / M, high], turn });
  }
  for (const [id, column] of building.columns) {
    const [depth, width] = outlineOf(column.section, [250, 250]);
    const [foot, top] = [elevation(column.base) / M, elevation(column.top) / M];
    boxes.push({
      id,
      kind: 'column',
      centre: [column.at.x / M, column.at.y / M, (foot + top) / 2],
      size: [width / M, depth / M, Math.abs(top - foot)],
      turn: 0,
    });
  }
  for (const [id, hanger] of building.hangers) {
    const [foot, top] = [elevation(hanger.base) / M, elevation(hanger.top) / M];
    boxes.push({
      id,
      kind: 'hanger',
      centre: [hanger.at.x / M, hanger.at.y / M, (foot + top) / 2],
      size: [0.05, 0.05, Math.abs(top - foot)],
      turn: 0,
    });
  }
  for (const [id, pad] of building.footings) {
    const [width, length, thickness] = [pad.width ?? 1500, pad.length ?? 1500, pad.thickness ?? 500];
    const top = elevation(pad.level) / M;
    boxes.push({
      id,
      kind: 'footing',
      centre: [pad.at.x / M, pad.at.y / M, top - thickness / 2 / M],
      size: [width / M, length / M, thickness / M],
      turn: 0,
    });
  }
  for (const [id, strip] of building.stripFootings) {
    const { x, y, length, turn } = along(strip);
    const top = elevation(strip.level) / M;
    boxes.push({ id, kind: 'stripFooting', centre: [x, y, top - 0.2], size: [length, (strip.width ?? 600) / M, 0.4], turn });
  }
  const ring = (points: readonly PlanPoint[]) => points.map(({ x, y }) => [x / M, y / M] as const);
  const faces = [...building.panels].map(([id, panel]): ModelFace => ({
    id,
    outline: ring(panel.outline),
    openings: panel.openings.map((opening) => ring(opening.outline)),
    z: elevation(panel.level) / M,
  }));
  return { boxes, faces, ...extentOf(boxes, faces) };
}

function extentOf(boxes: readonly ModelBox[], faces: readonly ModelFace[]): Pick<Model, 'centre' | 'reach'> {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  const take = (p: readonly number[], half: readonly number[]) => {
    for (let i = 0; i < 3; i += 1) {
      low[i] = Math.min(low[i]!, p[i]! - half[i]!);
      high[i] = Math.max(high[i]!, p[i]! + half[i]!);
    }
  };
  for (const { centre, size, turn } of boxes) {
    const [c, s] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))];
    take(centre, [(size[0] * c + size[1] * s) / 2, (size[0] * s + size[1] * c) / 2, size[2] / 2]);
  }
  for (const { outline, z } of faces) for (const [x, y] of outline) take([x, y, z], [0, 0, 0]);
  if (low[0] === Infinity) return { centre: [0, 0, 0], reach: 1 };
  const middle = low.map((value, i) => (value + high[i]!) / 2) as [number, number, number];
  return { centre: middle, reach: Math.max(1, ...low.map((value, i) => (high[i]! - value) / 2)) };
}
