import { BadInput, Unstable } from '../error';
import { fixedEndForces, loadsWithin, near, overhang, requireOnBeam, type ElementLoads } from './elementLoads';
import { march, marchOverhang } from './integrate';
import type { BeamLoad } from './load';
import type { BeamStretch, BeamSupport, LineBeam, Piece, Reaction } from './model';
import { BeamSolution } from './solution';
import { evenParts, factorAt, requireStretches } from './stretches';

/** Supports nearer to each other than this stand in one place, mm. */
const MINIMUM_SPACING = 1;

interface Node {
  readonly at: number;
  readonly supported: boolean;
  /** Its number among the supports as the beam names them; -1: it is none. */
  readonly support: number;
  readonly fixed: boolean;
  readonly spring: number;
  readonly rotationSpring: number;
  /** How far its support is sunk, mm. */
  readonly settlement: number;
  /** Degree-of-freedom numbers; -1 where held. */
  readonly v: number;
  readonly left: number;
  readonly right: number;
}

/** @throws BadInput for a spring that is none, one that turns beside a fixed end or at a hinge, or a settlement that is no number */
function requireYielding(support: BeamSupport, { supports, hinges = [] }: LineBeam): void {
  const { fixed, spring, rotationSpring, settlement = 0 } = support;
  const place = `support at ${+(support.at / 1000).toFixed(3)} m`;
  const field = (name: string) => `supports.${supports.indexOf(support)}.${name}`;
  for (const [name, value] of Object.entries({ spring, rotationSpring }))
    if (value !== undefined && !(value > 0 && Number.isFinite(value)))
      throw new BadInput(`the ${place} has a spring of no stiffness: leave it out where the support does not yield`, field(name));
  if (rotationSpring !== undefined && fixed)
    throw new BadInput(`the ${place} is fixed, and cannot turn under a spring as well`, field('rotationSpring'));
  if (rotationSpring !== undefined && hinges.some((hinge) => near(hinge, support.at)))
    throw new BadInput(`the ${place} has a hinge: a spring there would hold neither side`, field('rotationSpring'));
  if (!Number.isFinite(settlement)) throw new BadInput(`the settlement of the ${place} is not a finite number`, field('settlement'));
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
  private readonly stretches: readonly BeamStretch[] | undefined;
  /** E times I of each element, Nmm2. */
  private readonly EI: readonly number[];

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
    for (const support of supports) requireYielding(support, beam);
    const hinges = [...(beam.hinges ?? [])].sort((a, b) => a - b);
    for (const hinge of hinges) {
      if (!(hinge > 0 && hinge < length)) throw new BadInput(`a hinge at ${+(hinge / 1000).toFixed(3)} m lies off the beam`, 'hinges');
      if (hinge < first.at || hinge > last.at) throw new Unstable('a hinge in an overhang lets the end fall: the beam is a mechanism');
    }
    requireStretches(beam);
    // where the stiffness changes a node stands too, unless one stands there already
    const held = [...supports.map((s) => s.at), ...hinges];
    const changes: number[] = [];
    const snap = (at: number) => {
      const near = [...held, ...changes, 0, length].find((other) => Math.abs(other - at) < MINIMUM_SPACING);
      if (near === undefined) changes.push(at);
      return near ?? at;
    };
    this.stretches = beam.stretches?.map((stretch) => ({ ...stretch, from: snap(stretch.from), to: snap(stretch.to) }));
    const places = [...new Set([...held, ...changes.filter((at) => at > first.at && at < last.at)])].sort((a, b) => a - b);
    let dof = 0;
    this.nodes = places.map((at) => {
      const support = supports.find((s) => s.at === at);
      const hinged = hinges.includes(at);
      const fixed = support?.fixed ?? false;
      const { spring = 0, rotationSpring = 0, settlement = 0 } = support ?? {};
      const v = support && spring === 0 ? -1 : dof++;
      const left = fixed ? -1 : dof++;
      const right = fixed ? -1 : hinged ? dof++ : left;
      return {
        at,
        supported: Boolean(support),
        support: support ? beam.supports.indexOf(support) : -1,
        fixed,
        spring,
        rotationSpring,
        settlement,
        v,
        left,
        right,
      };
    });
    this.size = dof;
    this.EI = this.nodes.slice(1).map(({ at }, k) => EI * factorAt({ stretches: this.stretches }, (this.nodes[k]!.at + at) / 2));
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
    const c = this.EI[k]! / L ** 3;
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
    for (const { v, right, spring, rotationSpring } of this.nodes) {
      if (spring > 0) this.lu[v * this.size + v]! += spring;
      if (rotationSpring > 0) this.lu[right * this.size + right]! += rotationSpring / this.scale ** 2;
    }
  }

  private factorise(): void {
    const { lu, size, pivots } = this;
    const original = new Float64Array(size);
    for (let i = 0; i < size; i += 1) original[i] = Math.abs(lu[i * size + i]!);
    const unstable = () =>
      new Unstable('the beam is a mechanism: its supports and hinges do not hold it (a single pinned support, or too many hinges)');
    if (this.nodes.length === 1 && !this.nodes[0]!.fixed && this.nodes[0]!.rotationSpring === 0) throw unstable();
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

  /**
   * Reactions and exact internal forces for one set of loads.
   * @param sunk how far each support is sunk, mm, in the order in which the beam names them; left out: as the beam says
   * @throws BadInput for loads off the beam
   */
  solve(loads: readonly BeamLoad[], sunk?: readonly number[]): BeamSolution {
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
    // a support that is sunk bends what is tied to it, or the foot of its spring draws it down
    const sinks = ({ support, settlement }: Node) => (sunk && support >= 0 ? sunk[support]! : settlement);
    nodes.forEach((node, i) => {
      const by = sinks(node);
      if (by === 0) return;
      if (node.v >= 0) right[node.v]! += node.spring * by;
      else
        for (const [k, own] of [
          [i - 1, 2],
          [i, 0],
        ] as const) {
          if (k < 0 || k + 1 >= nodes.length) continue;
          const stiffness = this.elementStiffness(k);
          this.elementDofs(k).forEach((dof, row) => {
            if (dof >= 0) right[dof]! -= stiffness[4 * row + own]! * by;
          });
        }
    });
    if (nodes.length === 1 && first.v >= 0)
      for (const load of loads) if (load.type === 'point' && near(load.at, first.at)) right[first.v]! += load.force;
    if (first.v >= 0) right[first.v]! += leftEnd.force;
    if (last.v >= 0) right[last.v]! += rightEnd.force;
    // what the overhangs turn the outermost nodes by; a slope falling to the right is clockwise
    if (first.right >= 0) right[first.right]! -= leftEnd.hogging / this.scale;
    if (last.left >= 0) right[last.left]! += rightEnd.hogging / this.scale;
    const u = this.backSubstitute(right);

    const displacement = (dof: number) => (dof < 0 ? 0 : u[dof]!);
    const down = (node: Node) => (node.v < 0 ? sinks(node) : u[node.v]!);
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
      const dofs = this.elementDofs(k);
      const q = [down(a), displacement(dofs[1]), down(b), displacement(dofs[3])];
      const end = (i: number) =>
        stiffness[4 * i]! * q[0]! + stiffness[4 * i + 1]! * q[1]! + stiffness[4 * i + 2]! * q[2]! + stiffness[4 * i + 3]! * q[3]!;
      // clockwise end moments on the element; sagging moment is clockwise at the left end, anticlockwise at the right
      let M0 = end(1) * this.scale - fixedEnd[k]![1]!;
      let M1 = -(end(3) * this.scale - fixedEnd[k]![3]!);
      // what statics knows exactly is taken from statics: hinges, and simply supported outer nodes
      if (a.left !== a.right) M0 = 0;
      else if (k === 0 && !a.fixed && a.rotationSpring === 0) M0 = momentLeft[0]!;
      if (b.left !== b.right) M1 = 0;
      else if (k + 2 === nodes.length && !b.fixed && b.rotationSpring === 0) M1 = momentRight[nodes.length - 1]!;
      const span = spans[k]!;
      const V0 = (M1 - M0 + span.momentAboutRight) / L;
      momentRight[k] = M0;
      momentLeft[k + 1] = M1;
      force[k]! += V0;
      force[k + 1]! += span.total - V0;
      march(pieces, span.loads, this.EI[k]!, { from: a.at, to: b.at, V: V0, M: M0, slope: q[1]! / this.scale, v: q[0]! });
    }
    const ends = (node: Node, side: 'left' | 'right') => ({ slope: displacement(node[side]) / this.scale, v: down(node) });
    const parts = (from: number, to: number) => evenParts({ stretches: this.stretches, EI: this.beam.EI }, from, to);
    const { length } = this.beam;
    if (first.at > 0) marchOverhang(pieces, loads, parts(0, first.at), ends(first, 'right'), -1);
    if (last.at < length) marchOverhang(pieces, loads, parts(last.at, length), ends(last, 'left'), 1);
    pieces.sort((p, r) => p.from - r.from);
    const reactions: Reaction[] = [];
    nodes.forEach((node, i) => {
      if (node.supported)
        reactions.push({
          at: node.at,
          force: force[i]!,
          moment: node.fixed || node.rotationSpring > 0 ? momentLeft[i]! - momentRight[i]! : 0,
        });
    });
    return new BeamSolution(this.beam.length, order(this.beam.supports, reactions), pieces);
  }
}

function order(supports: readonly BeamSupport[], reactions: readonly Reaction[]): Reaction[] {
  return supports.map((support) => reactions.find((reaction) => reaction.at === support.at)!);
}

/** Solves one beam for one set of loads. For many sets on one beam keep a `BeamSystem`. */
export function solveBeam(beam: LineBeam, loads: readonly BeamLoad[]): BeamSolution {
  return new BeamSystem(beam).solve(loads);
}
