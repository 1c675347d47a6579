export type Curve = 'a0' | 'a' | 'b' | 'c' | 'd';

/** Imperfection factors alpha, EN 1993-1-1 table 6.1. */
export const IMPERFECTION: Record<Curve, number> = { a0: 0.13, a: 0.21, b: 0.34, c: 0.49, d: 0.76 };
