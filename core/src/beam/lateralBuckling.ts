import { BadInput } from '../error';

/** A member symmetric about the plane in which it bends and may buckle sideways and twist. N, mm. */
export interface LateralMember {
  readonly length: number;
  /** Flexural rigidity about the minor axis, Nmm2; torsional rigidity, Nmm2; warping rigidity, Nmm4. */
  readonly EIz: number;
  readonly GIt: number;
  readonly EIw: number;
  /** Moment at a distance from the start, Nmm, sagging positive. */
  readonly moment: (x: number) => number;
  /** Places where the member is held sideways and against twisting, mm. */
  readonly held: readonly number[];
  /** Ends that are built in: neither turned sideways nor warped. */
  readonly builtIn?: { readonly start: boolean; readonly end: boolean };
  /** Of the held places those where it is not turned sideways either; it may warp there, mm. */
  readonly slopeHeld?: readonly number[] | undefined;
  /** Asymmetry of the outline above and below, mm: see `zj` of a section; left out: none. */
  readonly zj?: number;
  /** Height of transverse load above the shear centre, mm; it moves with the section. */
  readonly loadHeight?: number;
  /** A floor or roof holds the member sideways along its length so far above the shear centre, mm; left out: it does not. */
  readonly heldAlong?: number;
  /** Places where one line of the member is held sideways, so far above the shear centre (below: negative), mm; it may turn about that line. */
  readonly heldLines?: readonly { readonly at: number; readonly above: number }[];
  /** Places that must be nodes, beside the held ones: where the moment's diagram has corners. */
  readonly corners?: readonly number[];
}

/** A pivot so much smaller than its diagonal is nothing but rounding. */
const ZERO = 1e-9;

/** Degrees of freedom of a node: sideways, its slope, twist, its slope. */
const PER_NODE = 4;
const BAND = 2 * PER_NODE - 1;

/** Gauss points and weights of [0, 1], five of them: exact for the products of cubics and a moment of the second degree. */
const GAUSS = [
  [0.04691007703066802, 0.11846344252809454],
  [0.23076534494715845, 0.23931433524968324],
  [0.5, 0.28444444444444444],
  [0.7692346550528415, 0.23931433524968324],
  [0.9530899229693319, 0.11846344252809454],
] as const;

/** Hermite cubics of an element of length h at s in [0, 1], and their first and second derivatives. */
function shapes(s: number, h: number): { N: number[]; D: number[]; B: number[] } {
  return {
    N: [1 - 3 * s ** 2 + 2 * s ** 3, h * (s - 2 * s ** 2 + s ** 3), 3 * s ** 2 - 2 * s ** 3, h * (s ** 3 - s ** 2)],
    D: [(-6 * s + 6 * s ** 2) / h, 1 - 4 * s + 3 * s ** 2, (6 * s - 6 * s ** 2) / h, 3 * s ** 2 - 2 * s],
    B: [(-6 + 12 * s) / h ** 2, (-4 + 6 * s) / h, (6 - 12 * s) / h ** 2, (6 * s - 2) / h],
  };
}

/** Symmetric matrix by its lower band. */
class Band {
  readonly values: Float64Array;
  constructor(readonly size: number) {
    this.values = new Float64Array(size * (BAND + 1));
  }
  add(i: number, j: number, value: number): void {
    if (i >= j) this.values[i * (BAND + 1) + (i - j)]! += value;
  }
}

/** Nodes along the member: everything that must be one, and enough between. */
function nodes({ length, held, heldLines = [], corners = [] }: LateralMember): number[] {
  const places = [...new Set([0, length, ...held, ...heldLines.map(({ at }) => at), ...corners].filter((x) => x >= 0 && x <= length))].sort(
    (a, b) => a - b,
  );
  const longest = length / 16;
  const all: number[] = [];
  for (let i = 0; i + 1 < places.length; i += 1) {
    const [from, to] = [places[i]!, places[i + 1]!];
    if (to - from < 1e-6 * length) continue;
    const pieces = Math.max(2, Math.ceil((to - from) / longest));
    for (let j = 0; j < pieces; j += 1) all.push(from + ((to - from) * j) / pieces);
  }
  return [...all, length];
}

/** Stiffness, and what the moments and the height of the load take from it per unit of the load. */
function matrices(member: LateralMember, at: readonly number[], free: Int32Array): { K: Band; G: Band } {
  const size = free.reduce((most, index) => Math.max(most, index + 1), 0);
  const [K, G] = [new Band(size), new Band(size)];
  const height = member.loadHeight ?? 0;
  const zj = member.zj ?? 0;
  const loadOn = new Float64Array(at.length);
  for (let e = 0; e + 1 < at.length; e += 1) {
    const h = at[e + 1]! - at[e]!;
    const index = (node: number, dof: number) => free[(e + node) * PER_NODE + dof]!;
    const v = [index(0, 0), index(0, 1), index(1, 0), index(1, 1)];
    const t = [index(0, 2), index(0, 3), index(1, 2), index(1, 3)];
    for (const [s, weight] of GAUSS) {
      const { N, D, B } = shapes(s, h);
      const w = weight * h;
      const M = member.moment(at[e]! + s * h);
      for (let i = 0; i < 4; i += 1)
        for (let j = 0; j < 4; j += 1) {
          if (v[i]! >= 0 && v[j]! >= 0) K.add(v[i]!, v[j]!, member.EIz * B[i]! * B[j]! * w);
          if (t[i]! >= 0 && t[j]! >= 0) K.add(t[i]!, t[j]!, (member.EIw * B[i]! * B[j]! + member.GIt * D[i]! * D[j]!) * w);
          // an outline that is larger where it is pressed resists twisting more: Wagner
          if (zj !== 0 && t[i]! >= 0 && t[j]! >= 0) G.add(t[i]!, t[j]!, -2 * zj * M * D[i]! * D[j]! * w);
          if (v[i]! >= 0 && t[j]! >= 0) {
            const cross = M * B[i]! * N[j]! * w;
            G.add(Math.max(v[i]!, t[j]!), Math.min(v[i]!, t[j]!), cross);
          }
        }
    }
    if (height !== 0) {
      // what acts within the element, and between it and the next, as forces at its ends: from the change of shear
      const shear = (member.moment(at[e + 1]! - 1e-9 * h) - member.moment(at[e]! + 1e-9 * h)) / h;
      loadOn[e]! -= shear;
      loadOn[e + 1]! += shear;
    }
  }
  // stiff springs against the movement of a line: with the signs here a point above the shear centre moves by v less height times twist
  const stiffness = (1e5 * member.EIz) / (member.length / at.length) ** 3;
  const hold = (node: number, above: number) => {
    const [v, twist] = [free[node * PER_NODE]!, free[node * PER_NODE + 2]!];
    if (v >= 0) K.add(v, v, stiffness);
    if (twist >= 0) K.add(twist, twist, stiffness * above ** 2);
    if (v >= 0 && twist >= 0) K.add(Math.max(v, twist), Math.min(v, twist), -stiffness * above);
  };
  if (member.heldAlong !== undefined) for (let node = 0; node < at.length; node += 1) hold(node, member.heldAlong);
  for (const line of member.heldLines ?? []) {
    const node = at.findIndex((x) => Math.abs(x - line.at) < 1e-6 * member.length);
    if (node >= 0) hold(node, line.above);
  }
  if (height !== 0)
    at.forEach((_, node) => {
      const twist = free[node * PER_NODE + 2]!;
      // a force at a held place does no work, and the ends of the member carry reactions
      if (twist < 0 || (node === 0 && !isFree(member, 0)) || (node === at.length - 1 && !isFree(member, member.length))) return;
      G.add(twist, twist, loadOn[node]! * height);
    });
  return { K, G };
}

const isFree = ({ held, builtIn }: LateralMember, at: number): boolean =>
  !held.some((place) => Math.abs(place - at) < 1e-6) && !(at === 0 ? builtIn?.start : builtIn?.end);

/** Whether K - factor G is positive definite: the member does not buckle under so much of its load. Cholesky within the band. */
function stands(K: Band, G: Band, factor: number, work: Float64Array): boolean {
  const width = BAND + 1;
  for (let i = 0; i < work.length; i += 1) work[i] = K.values[i]! - factor * G.values[i]!;
  for (let i = 0; i < K.size; i += 1) {
    const from = Math.max(0, i - BAND);
    for (let j = from; j <= i; j += 1) {
      let sum = work[i * width + (i - j)]!;
      for (let k = Math.max(from, j - BAND); k < j; k += 1) sum -= work[i * width + (i - k)]! * work[j * width + (j - k)]!;
      if (i === j) {
        if (!(sum > ZERO * K.values[i * width]!)) return false;
        work[i * width] = Math.sqrt(sum);
      } else work[i * width + (i - j)] = sum / work[j * width]!;
    }
  }
  return true;
}

/**
 * What all moments must be multiplied by for the member to buckle sideways with twisting, by finite elements of the energy
 * (bending about the minor axis, St Venant and warping torsion; Vlasov). Infinity when the moments cannot make it buckle.
 * @throws BadInput when nothing keeps the member from turning over without any load
 */
export function lateralBucklingFactor(member: LateralMember): number {
  const at = nodes(member);
  const free = new Int32Array(at.length * PER_NODE);
  let next = 0;
  at.forEach((x, node) => {
    const isHeld = member.held.some((place) => Math.abs(place - x) < 1e-6);
    const isBuiltIn = (node === 0 && member.builtIn?.start) || (node === at.length - 1 && member.builtIn?.end);
    const turnsNot = (member.slopeHeld ?? []).some((place) => Math.abs(place - x) < 1e-6);
    for (let dof = 0; dof < PER_NODE; dof += 1) {
      const isFixed = isBuiltIn || (isHeld && (dof % 2 === 0 || (dof === 1 && turnsNot)));
      free[node * PER_NODE + dof] = isFixed ? -1 : next;
      if (!isFixed) next += 1;
    }
  });
  if (next === 0) return Infinity;
  const { K, G } = matrices(member, at, free);
  const work = new Float64Array(K.values.length);
  if (!stands(K, G, 0, work))
    throw new BadInput('nothing keeps the member from turning over: hold it at two places, or build in an end', 'held');
  if (G.values.every((value) => value === 0)) return Infinity;
  // a moment of the order of pi sqrt(EIz GIt) / L makes a member buckle
  const peak = at.reduce((most, x) => Math.max(most, Math.abs(member.moment(x))), 0);
  let high = (0.05 * Math.PI * Math.sqrt(member.EIz * member.GIt)) / member.length / peak;
  let low = 0;
  for (let i = 0; i < 60 && stands(K, G, high, work); i += 1) [low, high] = [high, 2 * high];
  if (low > 0 && stands(K, G, high, work)) return Infinity;
  for (let i = 0; i < 60 && high - low > 1e-8 * high; i += 1) {
    const middle = (low + high) / 2;
    if (stands(K, G, middle, work)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
