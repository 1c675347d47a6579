import { loadsWithin, overhang, overhanging } from './elementLoads';
import type { BeamLoad } from './load';
import type { Piece } from './model';
import { evaluate } from './polynomial';
import type { EvenPart } from './stretches';

/** Shear, moment, slope and deflection at a place. */
interface State {
  readonly V: number;
  readonly M: number;
  readonly slope: number;
  readonly v: number;
}

interface Start extends State {
  readonly from: number;
  readonly to: number;
}

/** Integrates from the left end of a stretch to its right, a piece between any two breaks of load. */
export function march(pieces: Piece[], loads: readonly BeamLoad[], EI: number, start: Start): State {
  const L = start.to - start.from;
  const breaks = new Set<number>([0, L]);
  for (const load of loads) {
    if (load.type === 'distributed') breaks.add(load.from).add(load.to);
    else breaks.add(load.at);
  }
  const marks = [...breaks].filter((x) => x >= 0 && x <= L).sort((a, b) => a - b);
  let { V, M, slope, v } = start;
  for (let i = 0; i < marks.length; i += 1) {
    const x = marks[i]!;
    for (const load of loads) {
      if (load.type === 'distributed' || load.at !== x) continue;
      if (load.type === 'point') V -= load.force;
      else M += load.moment;
    }
    if (i + 1 === marks.length) break;
    const length = marks[i + 1]! - x;
    let [w, rate] = [0, 0];
    const middle = x + length / 2;
    for (const load of loads) {
      if (load.type !== 'distributed' || load.from > middle || load.to < middle) continue;
      const k = (load.end - load.start) / (load.to - load.from);
      w += load.start + k * (x - load.from);
      rate += k;
    }
    const piece: Piece = {
      from: start.from + x,
      to: start.from + marks[i + 1]!,
      shear: [V, -w, -rate / 2],
      moment: [M, V, -w / 2, -rate / 6],
      slope: [slope, -M / EI, -V / (2 * EI), w / (6 * EI), rate / (24 * EI)],
      deflection: [v, slope, -M / (2 * EI), -V / (6 * EI), w / (24 * EI), rate / (120 * EI)],
    };
    pieces.push(piece);
    V = evaluate(piece.shear, length);
    M = evaluate(piece.moment, length);
    slope = evaluate(piece.slope, length);
    v = evaluate(piece.deflection, length);
  }
  return { V, M, slope, v };
}

/** Integrates through parts of a beam one after the other. @param loads where they lie on the beam */
function marchThrough(pieces: Piece[], loads: readonly BeamLoad[], parts: readonly EvenPart[], start: State): State {
  const [only, ...others] = parts;
  if (only && others.length === 0) {
    const { from, to, EI } = only;
    const within = (x: number) => Math.min(to, Math.max(from, x)) - from;
    const shifted = loads.map((load): BeamLoad =>
      load.type === 'distributed' ? { ...load, from: within(load.from), to: within(load.to) } : { ...load, at: within(load.at) },
    );
    return march(pieces, shifted, EI, { ...start, from, to });
  }
  let state = start;
  parts.forEach(({ from, to, EI }, i) => {
    state = march(pieces, loadsWithin(loads, from, to, i === parts.length - 1).loads, EI, { ...state, from, to });
  });
  return state;
}

/**
 * An overhang starts at its free tip, where shear and moment are nothing; its slope and how far it is down are known at the support.
 * @param parts of it, each of one stiffness, from left to right
 */
export function marchOverhang(
  pieces: Piece[],
  all: readonly BeamLoad[],
  parts: readonly EvenPart[],
  { slope, v }: { readonly slope: number; readonly v: number },
  side: -1 | 1,
): void {
  const [from, to] = [parts[0]!.from, parts.at(-1)!.to];
  const at = side < 0 ? to : from;
  const loads = overhanging(all, at, side);
  if (side > 0) {
    const tip = overhang(all, at, 1);
    marchThrough(pieces, loads, parts, { V: tip.force, M: -tip.hogging, slope, v });
    return;
  }
  // from the left tip with no slope and no sag; then turned and lowered to meet the support
  const trial: Piece[] = [];
  const end = marchThrough(trial, loads, parts, { V: 0, M: 0, slope: 0, v: 0 });
  const turn = slope - end.slope;
  const sink = v - end.v - turn * (to - from);
  for (const piece of trial) {
    const slopes = [...piece.slope];
    slopes[0]! += turn;
    const deflections = [...piece.deflection];
    deflections[0]! += sink + turn * (piece.from - from);
    deflections[1]! += turn;
    pieces.push({ ...piece, slope: slopes, deflection: deflections });
  }
}
