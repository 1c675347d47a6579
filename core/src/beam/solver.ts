import { BadInput, Unstable } from '../error';
import { firstMoment, totalForce, type BeamLoad, type DistributedLoad } from './load';
import { evaluate, rootsBetween } from './polynomial';

/** A support of a line beam. Fixed supports hold rotation; all supports hold both upward and downward. */
export interface BeamSupport {
  readonly at: number;
  readonly fixed?: boolean;
}

/** A straight beam of one flexural stiffness on unyielding supports. */
export interface LineBeam {
  /** mm */
  readonly length: number;
  /** E times I, Nmm2 */
  readonly EI: number;
  readonly supports: readonly BeamSupport[];
  /** Positions of internal hinges, mm. */
  readonly hinges?: readonly number[];
}

export interface Reaction {
  readonly at: number;
  /** N, upward positive. */
  readonly force: number;
  /** Nmm, anticlockwise positive (it opposes a clockwise load); 0 unless fixed. */
  readonly moment: number;
}

/** A stretch of beam without a break: polynomials in the distance from `from`. */
export interface Piece {
  readonly from: number;
  readonly to: number;
  /** N, positive when the part to the left pushes up. */
  readonly shear: readonly number[];
  /** Nmm, sagging positive. */
  readonly moment: readonly number[];
  /** rad, positive when falling to the right. */
  readonly slope: readonly number[];
  /** mm, downward positive. */
  readonly deflection: readonly number[];
}

export interface Extreme {
  readonly value: number;
  readonly at: number;
}

export interface Extremes {
  readonly max: Extreme;
  readonly min: Extreme;
}

export type Effect = 'shear' | 'moment' | 'deflection';

const MINIMUM_SPACING = 1;
const near = (a: number, b: number) => Math.abs(a - b) < 1e-9 * Math.max(1, Math.abs(a), Math.abs(b));

interface Node {
  readonly at: number;
  readonly supported: boolean;
  readonly fixed: boolean;
  /** Degree-of-freedom numbers; -1 where held. */
  readonly v: number;
  readonly left: number;
  readonly right: number;
}

/**
 * A beam with its stiffness matrix factorised, ready for any number of load sets.
 * Overhangs are taken by statics; between the outermost supports rotations (and sinking, at hinges) are the unknowns;
 * shears follow from each element's own equilibrium, so that reactions close with the loads to rounding.
 */
export class BeamSystem {
  private readonly nodes: Node[];
  private readonly lu: Float64Array;
  private readonly pivots: Int32Array;
  private readonly size: number;

  /** @throws BadInput for a zero span or supports off the beam; Unstable for a mechanism */
  constructor(readonly beam: LineBeam) {
    const { length, EI } = beam;
    if (!(length > 0)) throw new BadInput('the beam has no length: its span must be greater than 0', 'length');
    if (!(EI > 0)) throw new BadInput('the flexural stiffness EI must be greater than 0', 'EI');
    const supports = [...beam.supports].sort((a, b) => a.at - b.at);
    if (supports.length === 0) throw new Unstable('the beam has no support');
    for (const [i, support] of supports.entries()) {
      if (!(support.at >= -1e-9 * length && support.at <= length * (1 + 1e-9)))
        throw new BadInput(
          `a support at ${+(support.at / 1000).toFixed(3)} m lies off the beam, which is ${+(length / 1000).toFixed(3)} m long`,
          `supports.${beam.supports.indexOf(support)}.at`,
        );
      if (i > 0 && support.at - supports[i - 1]!.at < MINIMUM_SPACING)
        throw new BadInput(`two supports stand in the same place, at ${+(support.at / 1000).toFixed(3)} m`, 'supports');
    }
    const first = supports[0]!;
    const last = supports.at(-1)!;
    const hinges = [...(beam.hinges ?? [])].sort((a, b) => a - b);
    for (const hinge of hinges) {
      if (!(hinge > 0 && hinge < length)) throw new BadInput(`a hinge at ${+(hinge / 1000).toFixed(3)} m lies off the beam`, 'hinges');
      if (hinge < first.at || hinge > last.at) throw new Unstable('a hinge in an overhang lets the end fall: the beam is a mechanism');
    }
    const places = [...new Set([...supports.map((s) => s.at), ...hinges])].sort((a, b) => a - b);
    let dof = 0;
    this.nodes = places.map((at) => {
      const support = supports.find((s) => s.at === at);
      const hinged = hinges.includes(at);
      const fixed = support?.fixed ?? false;
      const v = support ? -1 : dof++;
      const left = fixed ? -1 : dof++;
      const right = fixed ? -1 : hinged ? dof++ : left;
      return { at, supported: Boolean(support), fixed, v, left, right };
    });
    this.size = dof;
    this.lu = new Float64Array(dof * dof);
    this.pivots = new Int32Array(dof);
    this.assemble();
    this.factorise();
  }

  /** The rotation unknowns are slope times this length, so that all entries of the matrix are of one order. */
  private get scale(): number {
    return this.beam.length;
  }

  private elementDofs(k: number): [number, number, number, number] {
    const [a, b] = [this.nodes[k]!, this.nodes[k + 1]!];
    return [a.v, a.right, b.v, b.left];
  }

  private elementStiffness(k: number): number[] {
    const L = this.nodes[k + 1]!.at - this.nodes[k]!.at;
    const s = 1 / this.scale;
    const c = this.beam.EI / L ** 3;
    const [p, q, r] = [6 * L * s, 4 * L * L * s * s, 2 * L * L * s * s];
    // unknowns: v (down), slope (falling to the right), at both ends
    return [12, p, -12, p, p, q, -p, r, -12, -p, 12, -p, p, r, -p, q].map((entry) => entry * c);
  }

  private assemble(): void {
    for (let k = 0; k + 1 < this.nodes.length; k += 1) {
      const dofs = this.elementDofs(k);
      const stiffness = this.elementStiffness(k);
      for (let i = 0; i < 4; i += 1)
        for (let j = 0; j < 4; j += 1)
          if (dofs[i]! >= 0 && dofs[j]! >= 0) this.lu[dofs[i]! * this.size + dofs[j]!]! += stiffness[4 * i + j]!;
    }
  }

  private factorise(): void {
    const { lu, size, pivots } = this;
    const original = new Float64Array(size);
    for (let i = 0; i < size; i += 1) original[i] = Math.abs(lu[i * size + i]!);
    const unstable = () =>
      new Unstable('the beam is a mechanism: its supports and hinges do not hold it (a single pinned support, or too many hinges)');
    if (this.nodes.length === 1 && !this.nodes[0]!.fixed) throw unstable();
    for (let k = 0; k < size; k += 1) {
      let p = k;
      for (let i = k + 1; i < size; i += 1) if (Math.abs(lu[i * size + k]!) > Math.abs(lu[p * size + k]!)) p = i;
      pivots[k] = p;
      if (p !== k)
        for (let j = 0; j < size; j += 1) {
          const swap = lu[k * size + j]!;
          lu[k * size + j] = lu[p * size + j]!;
          lu[p * size + j] = swap;
        }
      const pivot = lu[k * size + k]!;
      if (!(Math.abs(pivot) > 1e-11 * original[k]!)) throw unstable();
      for (let i = k + 1; i < size; i += 1) {
        const factor = lu[i * size + k]! / pivot;
        if (factor === 0) continue;
        lu[i * size + k] = factor;
        for (let j = k + 1; j < size; j += 1) lu[i * size + j]! -= factor * lu[k * size + j]!;
      }
    }
  }

  private backSubstitute(right: Float64Array): Float64Array {
    const { lu, size, pivots } = this;
    for (let k = 0; k < size; k += 1) {
      const p = pivots[k]!;
      const swap = right[k]!;
      right[k] = right[p]!;
      right[p] = swap;
    }
    for (let i = 1; i < size; i += 1) for (let j = 0; j < i; j += 1) right[i]! -= lu[i * size + j]! * right[j]!;
    for (let i = size - 1; i >= 0; i -= 1) {
      for (let j = i + 1; j < size; j += 1) right[i]! -= lu[i * size + j]! * right[j]!;
      right[i]! /= lu[i * size + i]!;
    }
    return right;
  }

  /** Reactions and exact internal forces for one set of loads. @throws BadInput for loads off the beam */
  solve(loads: readonly BeamLoad[]): BeamSolution {
    for (const [i, load] of loads.entries()) requireOnBeam(load, this.beam.length, i);
    const { nodes } = this;
    const first = nodes[0]!;
    const last = nodes.at(-1)!;
    const spans: ElementLoads[] = [];
    for (let k = 0; k + 1 < nodes.length; k += 1) spans.push(loadsWithin(loads, nodes[k]!.at, nodes[k + 1]!.at, k + 2 === nodes.length));
    const leftEnd = overhang(loads, first.at, -1);
    const rightEnd = overhang(loads, last.at, 1);

    const right = new Float64Array(this.size);
    const fixedEnd = spans.map((span) => fixedEndForces(span));
    fixedEnd.forEach((forces, k) => {
      const dofs = this.elementDofs(k);
      forces.forEach((force, i) => {
        if (dofs[i]! >= 0) right[dofs[i]!]! += i % 2 === 1 ? force / this.scale : force;
      });
    });
    // what the overhangs turn the outermost nodes by; a slope falling to the right is clockwise
    if (first.right >= 0) right[first.right]! -= leftEnd.hogging / this.scale;
    if (last.left >= 0) right[last.left]! += rightEnd.hogging / this.scale;
    const u = this.backSubstitute(right);

    const displacement = (dof: number) => (dof < 0 ? 0 : u[dof]!);
    const pieces: Piece[] = [];
    const force = new Float64Array(nodes.length);
    const momentLeft = new Float64Array(nodes.length);
    const momentRight = new Float64Array(nodes.length);
    momentLeft[0] = -leftEnd.hogging;
    momentRight[nodes.length - 1] = -rightEnd.hogging;
    force[0]! += leftEnd.force;
    force[nodes.length - 1]! += rightEnd.force;
    if (nodes.length === 1) for (const load of loads) if (load.type === 'point' && near(load.at, first.at)) force[0]! += load.force;
    for (let k = 0; k + 1 < nodes.length; k += 1) {
      const [a, b] = [nodes[k]!, nodes[k + 1]!];
      const L = b.at - a.at;
      const stiffness = this.elementStiffness(k);
      const q = this.elementDofs(k).map(displacement);
      const end = (i: number) =>
        stiffness[4 * i]! * q[0]! + stiffness[4 * i + 1]! * q[1]! + stiffness[4 * i + 2]! * q[2]! + stiffness[4 * i + 3]! * q[3]!;
      // clockwise end moments on the element; sagging moment is clockwise at the left end, anticlockwise at the right
      let M0 = end(1) * this.scale - fixedEnd[k]![1]!;
      let M1 = -(end(3) * this.scale - fixedEnd[k]![3]!);
      // what statics knows exactly is taken from statics: hinges, and simply supported outer nodes
      if (a.left !== a.right) M0 = 0;
      else if (k === 0 && !a.fixed) M0 = momentLeft[0]!;
      if (b.left !== b.right) M1 = 0;
      else if (k + 2 === nodes.length && !b.fixed) M1 = momentRight[nodes.length - 1]!;
      const span = spans[k]!;
      const V0 = (M1 - M0 + span.momentAboutRight) / L;
      momentRight[k] = M0;
      momentLeft[k + 1] = M1;
      force[k]! += V0;
      force[k + 1]! += span.total - V0;
      march(pieces, span.loads, this.beam.EI, { from: a.at, to: b.at, V: V0, M: M0, slope: q[1]! / this.scale, v: q[0]! });
    }
    const slopeAt = (node: Node, side: 'left' | 'right') => displacement(node[side]) / this.scale;
    if (first.at > 0) marchOverhang(pieces, loads, this.beam.EI, first.at, slopeAt(first, 'right'), this.beam.length, -1);
    if (last.at < this.beam.length) marchOverhang(pieces, loads, this.beam.EI, last.at, slopeAt(last, 'left'), this.beam.length, 1);
    pieces.sort((p, r) => p.from - r.from);
    const reactions: Reaction[] = [];
    nodes.forEach((node, i) => {
      if (node.supported) reactions.push({ at: node.at, force: force[i]!, moment: node.fixed ? momentLeft[i]! - momentRight[i]! : 0 });
    });
    return new BeamSolution(this.beam.length, order(this.beam.supports, reactions), pieces);
  }
}

function order(supports: readonly BeamSupport[], reactions: readonly Reaction[]): Reaction[] {
  return supports.map((support) => reactions.find((reaction) => reaction.at === support.at)!);
}

function requireOnBeam(load: BeamLoad, length: number, index: number): void {
  const slack = 1e-9 * length;
  const off = (x: number) => !(x >= -slack && x <= length + slack);
  const [from, to] = load.type === 'distributed' ? [load.from, load.to] : [load.at, load.at];
  if (off(from) || off(to))
    throw new BadInput(`load ${index + 1} lies off the beam, which is ${+(length / 1000).toFixed(3)} m long`, `loads.${index}`);
  if (from > to) throw new BadInput(`load ${index + 1} ends before it starts`, `loads.${index}`);
  const values = load.type === 'distributed' ? [load.start, load.end] : [load.type === 'point' ? load.force : load.moment];
  if (!values.every(Number.isFinite)) throw new BadInput(`load ${index + 1} is not a finite number`, `loads.${index}`);
}

interface ElementLoads {
  readonly length: number;
  /** Positions from the element's left end. */
  readonly loads: readonly BeamLoad[];
  readonly total: number;
  /** Sum of force times distance to the right end, less clockwise moments: what the left shear must balance. */
  readonly momentAboutRight: number;
}

/** The part of each load between two places. A point load on a node belongs to the element at its right, but for the last. */
function loadsWithin(loads: readonly BeamLoad[], from: number, to: number, isLast: boolean): ElementLoads {
  const inside: BeamLoad[] = [];
  let [total, momentAboutRight] = [0, 0];
  const L = to - from;
  for (const load of loads) {
    if (load.type === 'distributed') {
      const [a, b] = [Math.max(load.from, from), Math.min(load.to, to)];
      if (b <= a) continue;
      const part = clip(load, a, b);
      inside.push({ ...part, from: a - from, to: b - from });
      total += totalForce(part);
      momentAboutRight += totalForce(part) * to - firstMoment(part);
    } else if (near(load.at, to) ? isLast : (load.at >= from || near(load.at, from)) && load.at < to) {
      const at = Math.min(L, Math.max(0, load.at - from));
      inside.push({ ...load, at });
      if (load.type === 'point') {
        total += load.force;
        momentAboutRight += load.force * (L - at);
      } else momentAboutRight -= load.moment;
    }
  }
  return { length: L, loads: inside, total, momentAboutRight };
}

const GAUSS: readonly (readonly [number, number])[] = [
  [-Math.sqrt(0.6), 5 / 9],
  [0, 8 / 9],
  [Math.sqrt(0.6), 5 / 9],
];

/** Work-equivalent forces of the loads on the four end displacements, by the cubic shape functions: exact for line beams. */
function fixedEndForces({ length: L, loads }: ElementLoads): [number, number, number, number] {
  const forces: [number, number, number, number] = [0, 0, 0, 0];
  const addPoint = (x: number, P: number) => {
    const s = x / L;
    forces[0] += P * (1 - 3 * s ** 2 + 2 * s ** 3);
    forces[1] += P * L * (s - 2 * s ** 2 + s ** 3);
    forces[2] += P * (3 * s ** 2 - 2 * s ** 3);
    forces[3] += P * L * (s ** 3 - s ** 2);
  };
  for (const load of loads) {
    if (load.type === 'point') addPoint(load.at, load.force);
    else if (load.type === 'moment') {
      const s = load.at / L;
      forces[0] += (load.moment / L) * (-6 * s + 6 * s ** 2);
      forces[1] += load.moment * (1 - 4 * s + 3 * s ** 2);
      forces[2] += (load.moment / L) * (6 * s - 6 * s ** 2);
      forces[3] += load.moment * (3 * s ** 2 - 2 * s);
    } else {
      const half = (load.to - load.from) / 2;
      for (const [node, weight] of GAUSS) {
        const x = load.from + half * (1 + node);
        addPoint(x, weight * half * (load.start + ((load.end - load.start) * (1 + node)) / 2));
      }
    }
  }
  return forces;
}

/** Force that an overhang puts on its support, and the hogging moment there. side -1: what lies left of `at`; 1: right. */
function overhang(loads: readonly BeamLoad[], at: number, side: -1 | 1): { force: number; hogging: number } {
  let [force, hogging] = [0, 0];
  for (const load of overhanging(loads, at, side)) {
    force += totalForce(load);
    hogging += side * (firstMoment(load) - totalForce(load) * at);
  }
  return { force, hogging };
}

/** The loads, or the parts of loads, beyond a support. */
function overhanging(loads: readonly BeamLoad[], at: number, side: -1 | 1): BeamLoad[] {
  const beyond: BeamLoad[] = [];
  for (const load of loads) {
    if (load.type !== 'distributed') {
      if (!near(load.at, at) && load.at > at === side > 0) beyond.push(load);
      continue;
    }
    const [from, to] = side < 0 ? [load.from, Math.min(load.to, at)] : [Math.max(load.from, at), load.to];
    if (to > from) beyond.push(clip(load, from, to));
  }
  return beyond;
}

/** The part of a distributed load between two places on it. */
function clip(load: DistributedLoad, from: number, to: number): DistributedLoad {
  const rate = (load.end - load.start) / (load.to - load.from);
  return { type: 'distributed', from, to, start: load.start + rate * (from - load.from), end: load.start + rate * (to - load.from) };
}

interface Start {
  readonly from: number;
  readonly to: number;
  readonly V: number;
  readonly M: number;
  readonly slope: number;
  readonly v: number;
}

/** Integrates from the left end of a stretch to its right, a piece between any two breaks of load. */
function march(pieces: Piece[], loads: readonly BeamLoad[], EI: number, start: Start): { slope: number; v: number } {
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
  return { slope, v };
}

/** An overhang starts at its free tip, where shear and moment are nothing; its slope is known at the support. */
function marchOverhang(
  pieces: Piece[],
  all: readonly BeamLoad[],
  EI: number,
  at: number,
  slope: number,
  length: number,
  side: -1 | 1,
): void {
  const [from, to] = side < 0 ? [0, at] : [at, length];
  const within = (x: number) => Math.min(to, Math.max(from, x)) - from;
  const loads = overhanging(all, at, side).map((load): BeamLoad =>
    load.type === 'distributed' ? { ...load, from: within(load.from), to: within(load.to) } : { ...load, at: within(load.at) },
  );
  if (side > 0) {
    const tip = overhang(all, at, 1);
    march(pieces, loads, EI, { from, to, V: tip.force, M: -tip.hogging, slope, v: 0 });
    return;
  }
  // from the left tip with no slope and no sag; then turned and lowered to meet the support
  const trial: Piece[] = [];
  const end = march(trial, loads, EI, { from, to, V: 0, M: 0, slope: 0, v: 0 });
  const turn = slope - end.slope;
  const sink = -end.v - turn * (to - from);
  for (const piece of trial) {
    const slopes = [...piece.slope];
    slopes[0]! += turn;
    const deflections = [...piece.deflection];
    deflections[0]! += sink + turn * (piece.from - from);
    deflections[1]! += turn;
    pieces.push({ ...piece, slope: slopes, deflection: deflections });
  }
}

const ORDER_DOWN: Record<Effect, keyof Pick<Piece, 'shear' | 'moment' | 'slope'> | 'load'> = {
  shear: 'load',
  moment: 'shear',
  deflection: 'slope',
};

/** What a beam does under one set of loads: exact, as polynomials. */
export class BeamSolution {
  constructor(
    readonly length: number,
    /** In the order of the beam's supports. */
    readonly reactions: readonly Reaction[],
    readonly pieces: readonly Piece[],
  ) {}

  /** Value of an effect at x; at a break the value just left (`side` -1) or right of it. */
  at(effect: Effect | 'slope', x: number, side: -1 | 1 = 1): number {
    const { pieces } = this;
    let found = pieces[0]!;
    for (const piece of pieces) if (piece.from < x || (side > 0 && piece.from <= x)) found = piece;
    return evaluate(found[effect], Math.min(x, found.to) - found.from);
  }

  /** The largest and the smallest value of an effect over [from, to]: exact, at breaks and at roots of the next lower effect. */
  extremes(effect: Effect, from = 0, to = this.length): Extremes {
    let max: Extreme = { value: -Infinity, at: from };
    let min: Extreme = { value: Infinity, at: from };
    for (const piece of this.pieces) {
      if (piece.to < from || piece.from > to) continue;
      const [a, b] = [Math.max(0, from - piece.from), Math.min(piece.to, to) - piece.from];
      const lower = ORDER_DOWN[effect];
      const turning = lower === 'load' ? [piece.shear[1]!, 2 * piece.shear[2]!] : piece[lower];
      for (const x of [a, ...rootsBetween(turning, a, b), b]) {
        const value = evaluate(piece[effect], x);
        if (value > max.value) max = { value, at: piece.from + x };
        if (value < min.value) min = { value, at: piece.from + x };
      }
    }
    return { max, min };
  }

  /** Places where the moment changes sign, ascending: the ends of hogging zones. */
  contraflexures(): number[] {
    const found: number[] = [];
    for (const piece of this.pieces)
      for (const x of rootsBetween(piece.moment, 0, piece.to - piece.from))
        if (x > 0 && piece.from + x < this.length) found.push(piece.from + x);
    return [...new Set(found)].sort((a, b) => a - b);
  }
}

/** Solves one beam for one set of loads. For many sets on one beam keep a `BeamSystem`. */
export function solveBeam(beam: LineBeam, loads: readonly BeamLoad[]): BeamSolution {
  return new BeamSystem(beam).solve(loads);
}
