/** Real polynomials as coefficient lists, lowest power first. */

export function evaluate(coefficients: readonly number[], x: number): number {
  let value = 0;
  for (let i = coefficients.length - 1; i >= 0; i -= 1) value = value * x + coefficients[i]!;
  return value;
}

function derivative(coefficients: readonly number[]): number[] {
  const result: number[] = [];
  for (let i = 1; i < coefficients.length; i += 1) result.push(i * coefficients[i]!);
  return result;
}

/** Root of a polynomial between two places where it has unlike signs: bisection that Newton hurries. */
function bracketed(coefficients: readonly number[], slope: readonly number[], a: number, b: number, fa: number): number {
  let [low, high] = [a, b];
  let x = (low + high) / 2;
  for (let i = 0; i < 100; i += 1) {
    const value = evaluate(coefficients, x);
    if (value === 0 || high - low <= 1e-15 * Math.max(Math.abs(low), Math.abs(high))) return x;
    if (value > 0 === fa > 0) low = x;
    else high = x;
    const newton = x - value / evaluate(slope, x);
    const next = newton > low && newton < high ? newton : (low + high) / 2;
    if (Math.abs(next - x) <= 1e-15 * Math.abs(x)) return next;
    x = next;
  }
  return x;
}

/**
 * Every real root in [a, b], ascending: between two neighbouring roots of the derivative a polynomial is monotonic, so
 * one change of sign holds one root. Identically zero polynomials have none to report.
 */
export function rootsBetween(coefficients: readonly number[], a: number, b: number): number[] {
  let degree = coefficients.length - 1;
  while (degree >= 0 && coefficients[degree] === 0) degree -= 1;
  if (degree <= 0) return [];
  if (degree === 1) {
    const root = -coefficients[0]! / coefficients[1]!;
    return root >= a && root <= b ? [root] : [];
  }
  const trimmed = coefficients.slice(0, degree + 1);
  const slope = derivative(trimmed);
  const turns = rootsBetween(slope, a, b);
  const marks = [a, ...turns, b];
  const roots: number[] = [];
  let fa = evaluate(trimmed, a);
  for (let i = 0; i + 1 < marks.length; i += 1) {
    const fb = evaluate(trimmed, marks[i + 1]!);
    if (fa === 0 && roots.at(-1) !== marks[i]) roots.push(marks[i]!);
    else if (fa !== 0 && fb !== 0 && fa > 0 !== fb > 0) roots.push(bracketed(trimmed, slope, marks[i]!, marks[i + 1]!, fa));
    fa = fb;
  }
  if (fa === 0 && roots.at(-1) !== b) roots.push(b);
  return roots;
}
