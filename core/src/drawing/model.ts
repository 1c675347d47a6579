import { planLength, standing, STANDING_KINDS, wallHeight, type Body, type Building, type PlanPoint, type StandingKind } from '../building';
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

type Solid = Omit<ModelBox, 'id' | 'kind'>;

/** A box along a line on plan, mm: how wide, how deep, and the height of its top. */
function along({ from, to }: { from: PlanPoint; to: PlanPoint }, width: number, depth: number, top: number): Solid {
  return {
    centre: [(from.x + to.x) / 2 / M, (from.y + to.y) / 2 / M, (top - depth / 2) / M],
    size: [planLength({ from, to }) / M, width / M, depth / M],
    turn: Math.atan2(to.y - from.y, to.x - from.x),
  };
}

/** A box over a point on plan, mm. */
const over = ({ x, y }: PlanPoint, width: number, length: number, foot: number, top: number): Solid => ({
  centre: [x / M, y / M, (foot + top) / 2 / M],
  size: [width / M, length / M, Math.abs(top - foot) / M],
  turn: 0,
});

/** How what stands looks in space: beams hang with their top at their level, walls and posts stand between levels; panels are faces. mm */
const SOLIDS: { readonly [K in StandingKind]: ((building: Building, body: Body<K>) => Solid) | null } = {
  beam: ({ elevation }, beam) => {
    const [depth, width] = outlineOf(beam.section, [300, 150]);
    return along(beam, width, depth, elevation(beam.level));
  },
  truss: ({ elevation }, truss) => along(truss, 200, 900, elevation(truss.level)),
  wall: (building, wall) => {
    const high = wallHeight(building, wall);
    return along(wall, wall.thickness, high, Math.min(building.elevation(wall.base), building.elevation(wall.top)) + high);
  },
  column: ({ elevation }, { section, at, base, top }) => {
    const [depth, width] = outlineOf(section, [250, 250]);
    return over(at, width, depth, elevation(base), elevation(top));
  },
  hanger: ({ elevation }, { at, base, top }) => over(at, 50, 50, elevation(base), elevation(top)),
  footing: ({ elevation }, pad) => {
    const top = elevation(pad.level);
    return over(pad.at, pad.width ?? 1500, pad.length ?? 1500, top - (pad.thickness ?? 500), top);
  },
  stripFooting: ({ elevation }, strip) => along(strip, strip.width ?? 600, 400, elevation(strip.level)),
  panel: null,
};

/** The frame in space. */
export function modelOf(building: Building): Model {
  const { elevation, trusses } = building;
  const boxes: ModelBox[] = [];
  for (const kind of STANDING_KINDS)
    for (const [id, body] of standing(building, kind)) {
      const truss = trusses.get(id);
      const solid = SOLIDS[truss ? 'truss' : kind] as ((building: Building, body: object) => Solid) | null;
      if (solid) boxes.push({ id, kind: kind as ModelBox['kind'], ...solid(building, truss ?? body) });
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
