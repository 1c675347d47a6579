/** The edges of a pad seen from the axis of its column, mm: west and south negative. */
export interface PadEdges {
  readonly west: number;
  readonly east: number;
  readonly south: number;
  readonly north: number;
}

/** Pressure from the column alone p + gx x + gy y, x and y from its axis. MPa, MPa/mm */
export interface LinearPressure {
  readonly p: number;
  readonly gx: number;
  readonly gy: number;
}

/** A control perimeter that runs to the edges of a pad. */
export interface OpenPerimeter {
  /** Its length within the pad, mm. */
  readonly u: number;
  /** The column's force less the pressure inside, N, not negative. */
  readonly V: number;
  /** Moments of both about the centroid of the perimeter, along x and y, Nmm, and W of the perimeter about it, (6.40), mm2. */
  readonly along: { readonly x: { readonly M: number; readonly W: number }; readonly y: { readonly M: number; readonly W: number } };
}

type Point = readonly [x: number, y: number];

/** Segments of a quarter circle: inscribed, so that perimeter and area come out a little small. */
const SEGMENTS = 24;
/** Within this of an edge of the pad a segment lies on it, mm. */
const ON_EDGE = 1e-6;

/** The outline at a distance from the face of a column, anticlockwise about its axis. c1, c2, a: mm */
function outline(c1: number, c2: number, isRound: boolean, a: number): Point[] {
  const [hx, hy, radius] = isRound ? [0, 0, c1 / 2 + a] : [c1 / 2, c2 / 2, a];
  const corners: readonly Point[] = [
    [hx, hy],
    [-hx, hy],
    [-hx, -hy],
    [hx, -hy],
  ];
  return corners.flatMap(([x, y], corner) =>
    Array.from({ length: SEGMENTS + 1 }, (_, i): Point => {
      const angle = ((corner + i / SEGMENTS) * Math.PI) / 2;
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    }),
  );
}

/** A polygon as far as it lies on one side of a line: where `inside` is not negative. */
function clip(points: readonly Point[], inside: (point: Point) => number): Point[] {
  return points.flatMap((point, i): Point[] => {
    const next = points[(i + 1) % points.length]!;
    const [here, there] = [inside(point), inside(next)];
    const kept: Point[] = here >= 0 ? [point] : [];
    if (here >= 0 !== there >= 0) {
      const part = here / (here - there);
      kept.push([point[0] + part * (next[0] - point[0]), point[1] + part * (next[1] - point[1])]);
    }
    return kept;
  });
}

/**
 * The control perimeter at a distance from the face of a column as far as it lies within the pad, with the shear that crosses it and its moment: the force of
 * the column at its axis, less the pressure inside. EN 1992-1-1 6.4.2(4), (6.40), (6.48). Null: nothing of it lies within the pad.
 * @param N force of the column, N. c1, c2: along x and y, mm; of a round one both its diameter. a: mm
 */
export function openPerimeter(
  N: number,
  { c1, c2, isRound, a }: { readonly c1: number; readonly c2: number; readonly isRound: boolean; readonly a: number },
  { west, east, south, north }: PadEdges,
  { p, gx, gy }: LinearPressure,
): OpenPerimeter | null {
  let points = outline(c1, c2, isRound, a);
  for (const inside of [([x]: Point) => east - x, ([x]: Point) => x - west, ([, y]: Point) => north - y, ([, y]: Point) => y - south])
    points = clip(points, inside);
  const lines = points.flatMap((from, i) => {
    const to = points[(i + 1) % points.length]!;
    const onEdge = (axis: 0 | 1, edge: number) => Math.abs(from[axis] - edge) < ON_EDGE && Math.abs(to[axis] - edge) < ON_EDGE;
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    return length === 0 || onEdge(0, east) || onEdge(0, west) || onEdge(1, north) || onEdge(1, south) ? [] : [{ from, to, length }];
  });
  const u = lines.reduce((sum, { length }) => sum + length, 0);
  if (u < 1) return null;
  const centroid = (axis: 0 | 1) => lines.reduce((sum, { from, to, length }) => sum + (length * (from[axis] + to[axis])) / 2, 0) / u;
  const [xc, yc] = [centroid(0), centroid(1)];
  // area inside and its moments about the axis of the column
  let [A, X, Y, XX, XY, YY] = [0, 0, 0, 0, 0, 0];
  points.forEach(([x1, y1], i) => {
    const [x2, y2] = points[(i + 1) % points.length]!;
    const cross = x1 * y2 - x2 * y1;
    A += cross / 2;
    X += ((x1 + x2) * cross) / 6;
    Y += ((y1 + y2) * cross) / 6;
    XX += ((x1 * x1 + x1 * x2 + x2 * x2) * cross) / 12;
    YY += ((y1 * y1 + y1 * y2 + y2 * y2) * cross) / 12;
    XY += ((x1 * y2 + 2 * x1 * y1 + 2 * x2 * y2 + x2 * y1) * cross) / 24;
  });
  const inside = p * A + gx * X + gy * Y;
  const about = (axis: 0 | 1, centre: number, first: number) => ({
    M: Math.abs(-centre * (N - inside) - first),
    W: lines.reduce((sum, line) => sum + absoluteMoment(line, axis, centre), 0),
  });
  return {
    u,
    V: Math.max(0, N - inside),
    along: { x: about(0, xc, p * X + gx * XX + gy * XY), y: about(1, yc, p * Y + gx * XY + gy * YY) },
  };
}

/** Integral along a line of the distance from an axis, whatever its sign. */
function absoluteMoment(
  { from, to, length }: { readonly from: Point; readonly to: Point; readonly length: number },
  axis: 0 | 1,
  centre: number,
): number {
  const [e1, e2] = [from[axis] - centre, to[axis] - centre];
  if (e1 * e2 >= 0) return (length * (Math.abs(e1) + Math.abs(e2))) / 2;
  return (length * (e1 * e1 + e2 * e2)) / (2 * (Math.abs(e1) + Math.abs(e2)));
}
