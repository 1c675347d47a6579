import { BadInput } from '../../error';
import { findSection } from '../catalogue';
import { shapeOutlines } from '../outline';
import { momentsOf, type Corner } from './polygon';

/** One piece of a built-up section. Its middle at x to the right and z upward, mm. */
export interface PartInput {
  readonly name: string;
  /** A plate by its width and height, mm, or a shape of the catalogue. */
  readonly plate?: { readonly width: number; readonly height: number };
  readonly section?: string;
  /** Turned by a right angle, anticlockwise. */
  readonly turned: boolean;
  readonly x: number;
  readonly z: number;
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
 * @throws BadInput when a part has no size, no material, or cuts out of one that is not there
 */
export function readParts(inputs: readonly PartInput[]): Part[] {
  if (!inputs.some(({ holeIn }) => holeIn === null)) throw new BadInput('a built-up section needs at least one plate or shape', 'parts');
  const names = new Set<string>();
  for (const { name } of inputs) {
    if (names.has(name)) throw new BadInput(`two parts are called "${name}"`, 'parts');
    names.add(name);
  }
  return inputs.map((input) => {
    const host = input.holeIn === null ? input : inputs.find(({ name, holeIn }) => name === input.holeIn && holeIn === null);
    if (!host) throw new BadInput(`"${input.name}" is a hole in "${input.holeIn}", which is not there`, 'parts');
    if (!(host.fy > 0) || !(host.E > 0)) throw new BadInput(`"${host.name}" needs a yield strength and a modulus above 0`, 'parts');
    const isHole = input.holeIn !== null;
    const loops = outlines(input).map((corners, i) => ({
      corners: corners.map(([x, z]): Corner => (input.turned ? [input.x - z, input.z + x] : [input.x + x, input.z + z])),
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
