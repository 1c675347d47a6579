import { BadInput } from '../../error';
import { findSection } from '../catalogue';
import { shapeOutlines } from '../outline';
import { momentsOf, type Corner } from './polygon';

/** Sides of another part on which one may lie: on its top, or under its bottom. */
export const STACKED = ['on', 'under'] as const;

/** One piece of a built-up section. Its middle at x to the right and z upward, mm. */
export interface PartInput {
  readonly name: string;
  /** A plate by its width and height, mm, or a shape of the catalogue. */
  readonly plate?: { readonly width: number; readonly height: number };
  readonly section?: string;
  /** Turned by a right angle, anticlockwise. */
  readonly turned: boolean;
  readonly x: number;
  /** Not read where it lies on another part, or under it. */
  readonly z: number;
  /** The part on whose top, or under whose bottom, it lies; left out, or null: it is placed by its middle. */
  readonly stacked?: { readonly side: (typeof STACKED)[number]; readonly part: string } | null | undefined;
  /** Yield strength and modulus, MPa. A hole has those of the part that it is cut out of. */
  readonly fy: number;
  readonly E: number;
  /** The part that this is a hole in; null for material. */
  readonly holeIn: string | null;
}

export interface Part {
  readonly name: string;
  /** Outlines: positive material, then what is cut out of it. */
  readonly loops: readonly { readonly corners: readonly Corner[]; readonly sign: 1 | -1 }[];
  readonly fy: number;
  readonly E: number;
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
  /** Own area, middle, second moment about it; negative for a hole. */
  readonly area: number;
  readonly centroid: number;
  readonly second: number;
  readonly isHole: boolean;
  /** The part that it is cut out of; null for material. */
  readonly holeIn: string | null;
  /** Breadth, where it is the same at every height. */
  readonly breadth: number | null;
}

/** Corners of arcs: enough for a millionth of a rolled shape's area. */
const PIECES = 40;

/**
 * Parts as polygons.
 * @throws BadInput when a part has no size, no material, cuts out of one or lies on one that is not there, or when parts lie on each other in a ring
 */
export function readParts(inputs: readonly PartInput[]): Part[] {
  if (!inputs.some(({ holeIn }) => holeIn === null)) throw new BadInput('a built-up section needs at least one plate or shape', 'parts');
  const names = new Set<string>();
  for (const { name } of inputs) {
    if (names.has(name)) throw new BadInput(`two parts are called "${name}"`, 'parts');
    names.add(name);
  }
  const middles = middlesOf(inputs);
  return inputs.map((input, i) => {
    const z = middles[i]!;
    const host = input.holeIn === null ? input : inputs.find(({ name, holeIn }) => name === input.holeIn && holeIn === null);
    if (!host) throw new BadInput(`"${input.name}" is a hole in "${input.holeIn}", which is not there`, 'parts');
    if (!(host.fy > 0) || !(host.E > 0)) throw new BadInput(`"${host.name}" needs a yield strength and a modulus above 0`, 'parts');
    const isHole = input.holeIn !== null;
    const loops = outlines(input).map((corners, i) => ({
      corners: corners.map(([x, up]): Corner => (input.turned ? [input.x - up, z + x] : [input.x + x, z + up])),
      sign: ((i === 0) === !isHole ? 1 : -1) as 1 | -1,
    }));
    const all = loops.flatMap(({ corners }) => corners);
    const [zs, xs] = [all.map(([, z]) => z), all.map(([x]) => x)];
    let [area, first, second] = [0, 0, 0];
    for (const { corners, sign } of loops) {
      const moments = momentsOf(corners);
      area += sign * moments.area;
      first += sign * moments.first;
      second += sign * moments.second;
    }
    const centroid = first / area;
    return {
      name: input.name,
      loops,
      fy: host.fy,
      E: host.E,
      top: Math.max(...zs),
      bottom: Math.min(...zs),
      left: Math.min(...xs),
      right: Math.max(...xs),
      area,
      centroid,
      second: second - area * centroid ** 2,
      isHole,
      holeIn: input.holeIn,
      breadth: input.plate ? (input.turned ? input.plate.height : input.plate.width) * (isHole ? -1 : 1) : null,
    };
  });
}

/** How far a part reaches below and above its middle, mm. */
function reachOf(input: PartInput): { readonly below: number; readonly above: number } {
  const ups = outlines(input)
    .flat()
    .map(([x, up]) => (input.turned ? x : up));
  return { below: -Math.min(...ups), above: Math.max(...ups) };
}

/** Heights of the middles of parts, some of which lie on others. */
function middlesOf(inputs: readonly PartInput[]): number[] {
  const found = new Map<PartInput, number>();
  const waiting = new Set<PartInput>();
  const middle = (input: PartInput): number => {
    const { stacked, name, z } = input;
    if (!stacked) return z;
    const known = found.get(input);
    if (known !== undefined) return known;
    const under = inputs.find((other) => other.name === stacked.part && other.holeIn === null);
    if (!under) throw new BadInput(`"${name}" lies ${stacked.side} "${stacked.part}", which is not there`, 'parts');
    if (waiting.has(input)) throw new BadInput(`"${name}" lies on itself, by way of the parts between`, 'parts');
    waiting.add(input);
    const [base, there, own] = [middle(under), reachOf(under), reachOf(input)];
    const at = stacked.side === 'on' ? base + there.above + own.below : base - there.below - own.above;
    found.set(input, at);
    return at;
  };
  return inputs.map(middle);
}

/** Outlines round the middle of the part, z upward. */
function outlines(input: PartInput): Corner[][] {
  if (input.plate) {
    const { width, height } = input.plate;
    if (!(width > 0) || !(height > 0)) throw new BadInput(`"${input.name}" needs a width and a height above 0`, 'parts');
    const [x, z] = [width / 2, height / 2];
    return [
      [
        [-x, -z],
        [x, -z],
        [x, z],
        [-x, z],
      ],
    ];
  }
  if (!input.section) throw new BadInput(`"${input.name}" is neither a plate nor a shape`, 'parts');
  return shapeOutlines(findSection(input.section).shape, PIECES).map((loop) => loop.map(([x, down]): Corner => [x, -down]));
}

/** The same parts seen from the side: what was right is up, for the other axis. */
export function fromTheSide(part: Part): Part {
  const loops = part.loops.map(({ corners, sign }) => ({ sign, corners: corners.map(([x, z]): Corner => [-z, x]) }));
  let [area, first, second] = [0, 0, 0];
  for (const { corners, sign } of loops) {
    const moments = momentsOf(corners);
    area += sign * moments.area;
    first += sign * moments.first;
    second += sign * moments.second;
  }
  const centroid = first / area;
  const isPlate = part.breadth !== null;
  return {
    ...part,
    loops,
    area,
    centroid,
    second: second - area * centroid ** 2,
    top: part.right,
    bottom: part.left,
    left: -part.top,
    right: -part.bottom,
    breadth: isPlate ? (part.top - part.bottom) * (part.isHole ? -1 : 1) : null,
  };
}
