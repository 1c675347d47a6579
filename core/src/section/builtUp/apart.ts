import polygonClipping, { type MultiPolygon } from 'polygon-clipping';
import { BadInput } from '../../error';
import { momentsOf, type Corner } from './polygon';
import type { Part } from './parts';

/** Share of the smaller of two parts that may be common to both: what is left by rounded dimensions. */
const ROUNDING = 0.002;

/** What a part fills: its outline without what is cut out of it. */
function filled({ loops }: Part): MultiPolygon {
  const [outer, ...inner] = loops.map(({ corners }) => corners.map(([x, z]): [number, number] => [x, z]));
  return [[outer!, ...inner]];
}

function areaOf(regions: MultiPolygon): number {
  const areas = regions.map(([outer, ...holes]) => [outer!, ...holes].map((ring) => momentsOf(ring as Corner[]).area));
  return areas.reduce((sum, [outer, ...holes]) => sum + outer! - holes.reduce((inner, hole) => inner + hole, 0), 0);
}

const meet = (one: Part, other: Part) =>
  one.left < other.right && other.left < one.right && one.bottom < other.top && other.bottom < one.top;

/**
 * Parts lie beside each other, and holes within what they are cut out of: else material would count twice, or be taken away where there is none.
 * @throws BadInput naming the two parts and the area, mm2
 */
export function mustLieApart(parts: readonly Part[]): void {
  const solid = parts.filter(({ isHole }) => !isHole);
  const holes = parts.filter(({ isHole }) => isHole);
  const common = (one: Part, other: Part) => (meet(one, other) ? areaOf(polygonClipping.intersection(filled(one), filled(other))) : 0);
  const pairs = (list: readonly Part[]) => list.flatMap((one, i) => list.slice(i + 1).map((other) => [one, other] as const));
  for (const [one, other] of [...pairs(solid), ...pairs(holes)]) {
    const area = common(one, other);
    if (area <= ROUNDING * Math.min(Math.abs(one.area), Math.abs(other.area))) continue;
    const what = one.isHole ? 'would be cut out twice' : 'would count twice';
    throw new BadInput(`"${one.name}" and "${other.name}" lie over each other: ${Math.round(area)} mm² ${what}; move one of them`, 'parts');
  }
  for (const hole of holes) {
    const host = solid.find(({ name }) => name === hole.holeIn)!;
    const outside = Math.abs(hole.area) - common(hole, host);
    if (outside > ROUNDING * Math.abs(hole.area))
      throw new BadInput(
        `${Math.round(outside)} mm² of the hole "${hole.name}" lie outside "${host.name}", which it is cut out of`,
        'parts',
      );
  }
}
