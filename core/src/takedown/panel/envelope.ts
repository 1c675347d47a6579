/** A polynomial of the second degree at most: its coefficients from the constant on. */
export type Poly = readonly [number, number, number];

/** Where two polynomials are equal; none where they are the same, or never meet. */
export function differenceRoots(p: Poly, q: Poly): number[] {
  const [c, b, a] = [p[0] - q[0], p[1] - q[1], p[2] - q[2]];
  const scale = Math.max(Math.abs(a), Math.abs(b), 1e-300);
  if (Math.abs(a) < 1e-14 * scale || a === 0) return Math.abs(b) < 1e-12 ? [] : [-c / b];
  const inside = b * b - 4 * a * c;
  if (inside < 0) return [];
  // the larger root first, the other from the product: no digits are lost
  const q1 = -(b + Math.sign(b || 1) * Math.sqrt(inside)) / 2;
  return q1 === 0 ? [0] : [q1 / a, c / q1];
}

/** Where any of some polynomials meets any of others. */
export function crossings(some: readonly Poly[], others: readonly Poly[]): number[] {
  const places: number[] = [];
  some.forEach((p, i) => {
    others.forEach((q, j) => {
      if (j < some.length && others[i] === p && j <= i) return;
      for (const root of differenceRoots(p, q)) places.push(root);
    });
  });
  return places;
}
