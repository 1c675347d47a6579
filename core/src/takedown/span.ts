import { shapeForce, type ArrivalShape } from './shape';
import { cut } from './wall/foot';

/** Stretches of a beam between its ends and supports, in order: overhangs and spans. mm. */
export function spansBetween(supports: readonly number[], length: number): { from: number; to: number }[] {
  const places = [0, ...[...supports].sort((a, b) => a - b), length].map((at) => Math.min(length, Math.max(0, at)));
  const spans: { from: number; to: number }[] = [];
  for (let i = 0; i + 1 < places.length; i += 1) if (places[i + 1]! - places[i]! > 1) spans.push({ from: places[i]!, to: places[i + 1]! });
  return spans;
}

/** A part of an arrival that lies on one span. */
export interface SpanPiece {
  readonly span: number;
  readonly shape: ArrivalShape;
}

/** An arrival cut at the supports: what may be there on one span and not on the next. Its total and first moment are kept. */
export function piecesOn(spans: readonly { from: number; to: number }[], shape: ArrivalShape): SpanPiece[] {
  if (shape.type === 'point') {
    const span = spans.findIndex(({ to }) => shape.at <= to);
    return [{ span: span < 0 ? spans.length - 1 : span, shape }];
  }
  const pieces: SpanPiece[] = [];
  let rest: ArrivalShape | null = shape;
  for (let i = 0; i < spans.length && rest; i += 1) {
    if (i === spans.length - 1) {
      pieces.push({ span: i, shape: rest });
      break;
    }
    const parts: { before: ArrivalShape | null; within: ArrivalShape | null; after: ArrivalShape | null } = cut(
      rest,
      -Infinity,
      spans[i]!.to,
    );
    if (parts.within && shapeForce(parts.within) !== 0) pieces.push({ span: i, shape: parts.within });
    rest = parts.after;
  }
  return pieces;
}
