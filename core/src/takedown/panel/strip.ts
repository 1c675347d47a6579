/**
 * Reactions of one strip of floor under one unit of load per length.
 * @param from start of the loaded strip, mm
 * @param to end of the loaded strip
 * @param supports positions in rising order; one takes all, and is twisted; of more the first may lie before the strip's start or after it (overhang)
 * @param continuous over inner supports (three-moment equation), or one simple span after another with the overhangs at the ends
 * @returns reaction at each support, mm of loaded length; they sum to `to - from` and keep its first moment
 */
export function stripReactions(from: number, to: number, supports: readonly number[], continuous: boolean): number[] {
  const n = supports.length;
  if (n === 1) return [to - from];
  const reactions = new Array<number>(n).fill(0);
  const moments = continuous && n > 2 ? supportMoments(from, to, supports) : endMoments(from, to, supports);
  for (let i = 0; i + 1 < n; i += 1) {
    const [a, b] = [supports[i]!, supports[i + 1]!];
    const span = b - a;
    // the very tip of a corner, where two supports meet: nothing is left between them
    if (span < 1e-6) continue;
    const [p, q] = [Math.max(a, from), Math.min(b, to)];
    const load = Math.max(0, q - p);
    const right = load === 0 ? 0 : (load * ((p + q) / 2 - a)) / span;
    // hogging over a support is negative: it presses the near reaction up when it grows towards it
    const fromMoments = (moments[i + 1]! - moments[i]!) / span;
    reactions[i]! += load - right + fromMoments;
    reactions[i + 1]! += right - fromMoments;
  }
  reactions[0]! += Math.max(0, Math.min(supports[0]!, to) - from);
  reactions[n - 1]! += Math.max(0, to - Math.max(supports[n - 1]!, from));
  return reactions;
}

/** Moments over the supports from the overhangs alone, unit load: negative is hogging. */
function endMoments(from: number, to: number, supports: readonly number[]): number[] {
  const moments = new Array<number>(supports.length).fill(0);
  const [first, last] = [supports[0]!, supports.at(-1)!];
  // what lies on an overhang, which may be loaded in part
  moments[0] = -(Math.max(0, first - from) ** 2 - Math.max(0, first - to) ** 2) / 2;
  moments[supports.length - 1] = -(Math.max(0, to - last) ** 2 - Math.max(0, from - last) ** 2) / 2;
  return moments;
}

/** Three-moment equation with equal stiffness throughout; spans may be loaded in part at the ends. */
function supportMoments(from: number, to: number, supports: readonly number[]): number[] {
  const n = supports.length;
  const moments = endMoments(from, to, supports);
  const spans = Array.from({ length: n - 1 }, (_, i) => supports[i + 1]! - supports[i]!);
  // 6 A a / l of the simple moment diagram about the left and the right end of each span
  const left: number[] = [];
  const right: number[] = [];
  spans.forEach((l, i) => {
    const p = Math.min(l, Math.max(0, from - supports[i]!));
    const q = Math.min(l, Math.max(0, to - supports[i]!));
    left.push(aboutRight(l - q, l - p, l));
    right.push(aboutRight(p, q, l));
  });
  const inner = n - 2;
  const [diagonal, rhs] = [new Array<number>(inner), new Array<number>(inner)];
  for (let k = 0; k < inner; k += 1) {
    diagonal[k] = 2 * (spans[k]! + spans[k + 1]!);
    rhs[k] = -(right[k]! + left[k + 1]!);
  }
  rhs[0]! -= spans[0]! * moments[0]!;
  rhs[inner - 1]! -= spans[n - 2]! * moments[n - 1]!;
  for (let k = 1; k < inner; k += 1) {
    const factor = spans[k]! / diagonal[k - 1]!;
    diagonal[k]! -= factor * spans[k]!;
    rhs[k]! -= factor * rhs[k - 1]!;
  }
  for (let k = inner - 1; k >= 0; k -= 1) moments[k + 1] = (rhs[k]! - (k + 1 < inner ? spans[k + 1]! * moments[k + 2]! : 0)) / diagonal[k]!;
  return moments;
}

/** Load term of the three-moment equation, 6 A a / l, for unit load from p to q on a span l: integral of x (l^2 - x^2) / l. */
function aboutRight(p: number, q: number, l: number): number {
  const at = (x: number) => (l * x * x) / 2 - x ** 4 / (4 * l);
  return at(q) - at(p);
}
