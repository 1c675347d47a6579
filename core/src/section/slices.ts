/** Gauss-Legendre over the pieces of [0, end] between the breaks: enough for the smooth pieces it is given. */
export function integrate(f: (x: number) => number, end: number, breaks: readonly number[]): number {
  const nodes = [0.1834346424956498, 0.525532409916329, 0.7966664774136267, 0.9602898564975363];
  const weights = [0.362683783378362, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763];
  const points = [0, ...breaks, end].filter((x) => x >= 0 && x <= end).sort((a, b) => a - b);
  let sum = 0;
  for (let i = 1; i < points.length; i += 1) {
    const pieces = 6;
    const step = (points[i]! - points[i - 1]!) / pieces;
    for (let j = 0; j < pieces; j += 1) {
      const middle = points[i - 1]! + (j + 0.5) * step;
      nodes.forEach((node, k) => (sum += (weights[k]! * step * (f(middle - (node * step) / 2) + f(middle + (node * step) / 2))) / 2));
    }
  }
  return sum;
}

/**
 * Plastic modulus of an outline by slices: where half of the area lies to one side, and the first moments about that line.
 * widthAt: material across at a distance from one face, mm; breaks: where its law changes.
 */
export function plasticModulus(
  widthAt: (x: number) => number,
  depth: number,
  breaks: readonly number[],
): { axis: number; modulus: number } {
  const area = integrate(widthAt, depth, breaks);
  let [low, high] = [0, depth];
  for (let i = 0; i < 60 && high - low > 1e-9 * depth; i += 1) {
    const middle = (low + high) / 2;
    if (integrate(widthAt, middle, breaks) < area / 2) low = middle;
    else high = middle;
  }
  const axis = (low + high) / 2;
  return { axis, modulus: integrate((x) => Math.abs(x - axis) * widthAt(x), depth, [...breaks, axis]) };
}
