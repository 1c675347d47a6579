import type { PlanPoint } from '../../building';
import type { Region } from './polygon';
import type { Bearing } from './share';

/** A line on plan in the panel's own axes: u along the span, v across it. u = u0 + slope * v between v1 and v2. */
export interface Sloped {
  readonly u0: number;
  readonly slope: number;
  readonly v1: number;
  readonly v2: number;
}

/** Gauss points and weights on [-1, 1], exact for polynomials up to the ninth power. */
export const GAUSS = [
  [-0.906179845938664, 0.236926885056189],
  [-0.538469310105683, 0.478628670499366],
  [0, 0.568888888888889],
  [0.538469310105683, 0.478628670499366],
  [0.906179845938664, 0.236926885056189],
] as const;

/** A panel's own axes: u along its span, v across it. */
export class Axes {
  private readonly c: number;
  private readonly s: number;

  constructor(direction: number) {
    // a right angle is meant to be one
    this.c = Math.abs(Math.cos(direction)) < 1e-9 ? 0 : Math.cos(direction);
    this.s = Math.abs(Math.sin(direction)) < 1e-9 ? 0 : Math.sin(direction);
  }

  u(p: PlanPoint): number {
    return p.x * this.c + p.y * this.s;
  }

  v(p: PlanPoint): number {
    return p.y * this.c - p.x * this.s;
  }

  /** How far along a line, from its start, a place lies. */
  alongLine({ from, dx, dy }: Bearing['line'], u: number, v: number): number {
    return (u * this.c - v * this.s - from.x) * dx + (u * this.s + v * this.c - from.y) * dy;
  }

  point(u: number, v: number): PlanPoint {
    return { x: u * this.c - v * this.s, y: u * this.s + v * this.c };
  }

  sloped(p: PlanPoint, q: PlanPoint): Sloped {
    let [a, b, v1, v2] = [p, q, this.v(p), this.v(q)];
    if (v1 > v2) [a, b, v1, v2] = [q, p, v2, v1];
    const slope = v2 - v1 < 1e-6 ? 0 : (this.u(b) - this.u(a)) / (v2 - v1);
    return { u0: this.u(a) - slope * v1, slope, v1, v2: v2 - v1 < 1e-6 ? v1 : v2 };
  }

  /** The region between two lines over a band. */
  trapezium(from: Sloped, to: Sloped, v1: number, v2: number): Region {
    let [area, us, vs] = [0, 0, 0];
    for (const [x, weight] of GAUSS) {
      const v = (v1 + v2) / 2 + (x * (v2 - v1)) / 2;
      const w = (weight * (v2 - v1)) / 2;
      const [a, b] = [at(from, v), at(to, v)];
      area += w * (b - a);
      us += (w * (b * b - a * a)) / 2;
      vs += w * (b - a) * v;
    }
    const moment = this.point(us, vs);
    return { area, x: moment.x, y: moment.y };
  }
}

export function at(line: Sloped, v: number): number {
  return line.u0 + line.slope * v;
}
