import type { PlanPoint } from '../../building';
import { Axes } from './axes';
import { shareOneWay } from './oneWay';
import { contains, crossesItself, meets, regionOf, sumRegions, tidyRing, type Region } from './polygon';
import { shapeForce } from '../shape';
import type { Bearing, PanelDoubt, PanelShape, PanelSharing } from './share';
import { shareTwoWay } from './twoWay';

/**
 * Shares a panel between what it lies on. All areas of shares and orphans together are the panel less its openings.
 * @param bearings beams and walls of its level that are near it
 * @param reach how near counts as touching, mm
 */
export function sharePanel(panel: PanelShape, bearings: readonly Bearing[], reach: number): PanelSharing {
  const ring = tidyRing(panel.outline);
  if (ring.length < 3 || crossesItself(ring)) return { whole: { area: 0, x: 0, y: 0 }, shares: [], orphans: [], doubts: [badOutline()] };
  const doubts: PanelDoubt[] = [];
  const openings: PlanPoint[][] = [];
  const unbridged: PlanPoint[][] = [];
  for (const opening of panel.openings) {
    const hole = tidyRing(opening.outline);
    if (hole.length >= 3 && !crossesItself(hole) && hole.every((corner) => isWithin(ring, corner))) {
      openings.push(hole);
      if (!opening.bridged) unbridged.push(hole);
    } else
      doubts.push({
        kind: 'outline',
        text: `${opening.label || 'an opening'} reaches past the panel or crosses itself, and is not taken out`,
      });
  }
  const solid = regionOf(ring);
  const whole = openings.length === 0 ? solid : sumRegions([solid, ...openings.map((hole) => sumRegions([regionOf(hole)], -1))]);
  if (panel.span === 'twoWay') {
    if (panel.cantilevers || unbridged.length < openings.length)
      doubts.push({ kind: 'shape', text: 'it is said to cantilever, or to bridge an opening, which is read of one-way panels only' });
    const two = shareTwoWay(ring, openings, bearings, reach);
    return complete(whole, two, [...doubts, ...two.doubts]);
  }
  // strips run on over an opening that they bridge, and carry what is left of them
  const isBridged = unbridged.length < openings.length;
  const one = isBridged
    ? shareOneWay(panel, [ring, ...unbridged], bearings, reach, [ring, ...openings], false)
    : shareOneWay(panel, [ring, ...openings], bearings, reach);
  return complete(whole, one, doubts.length === 0 ? one.doubts : [...doubts, ...one.doubts]);
}

/**
 * Shares a load on a part of a panel between what the panel lies on, strip by strip as the panel itself does. What lies beside the
 * panel or over an opening has nothing beneath it; over one that is bridged it is carried as if the panel were whole there.
 * @param outline of the loaded part
 */
export function sharePatch(panel: PanelShape, outline: readonly PlanPoint[], bearings: readonly Bearing[], reach: number): PanelSharing {
  const ring = tidyRing(panel.outline);
  const patch = tidyRing(outline);
  const nothing = { whole: { area: 0, x: 0, y: 0 }, shares: [], orphans: [], doubts: [badOutline()] };
  if (patch.length < 3 || crossesItself(patch) || ring.length < 3 || crossesItself(ring)) return nothing;
  const whole = regionOf(patch);
  if (panel.span === 'twoWay') {
    const holes = panel.openings.map((opening) => tidyRing(opening.outline)).filter((hole) => hole.length >= 3);
    if (!patch.every((corner) => isWithin(ring, corner)) || holes.some((hole) => meets(hole, patch)))
      return {
        whole,
        shares: [],
        orphans: [{ region: whole, reason: 'no support' }],
        doubts: [{ kind: 'shape', text: 'on a two-way panel a load on a part must lie inside it and beside its openings' }],
      };
    return complete(whole, shareTwoWay(ring, holes, bearings, reach, patch), []);
  }
  const openings = panel.openings.filter(({ bridged }) => !bridged).map((opening) => tidyRing(opening.outline));
  const holes = openings.filter((hole) => hole.length >= 3);
  return complete(whole, shareOneWay(panel, [ring, ...holes], bearings, reach, [patch]), []);
}

/**
 * Shares and orphans that together are the whole area to the last digit. Slivers too narrow for a strip of their own, a hundredth of a
 * millimetre wide, are spread over all; more than that would be an error and stays to be seen in the balance.
 */
function complete(
  whole: Region,
  { shares, orphans }: Pick<PanelSharing, 'shares' | 'orphans'>,
  doubts: readonly PanelDoubt[],
): PanelSharing {
  const { area } = whole;
  let found = 0;
  for (const { shape } of shares) found += shapeForce(shape);
  for (const { region } of orphans) found += region.area;
  const missing = Math.abs(area - found);
  if (missing <= 1e-12 * area || missing > 1e-6 * area) return { whole, shares, orphans, doubts };
  const factor = area / found;
  return {
    whole,
    shares: shares.map(({ member, shape }) => ({
      member,
      shape: shape.type === 'point' ? shape : { ...shape, start: shape.start * factor, end: shape.end * factor },
    })),
    orphans: orphans.map(({ region, reason }) => ({ reason, region: sumRegions([region], factor) })),
    doubts,
  };
}

function badOutline(): PanelDoubt {
  return { kind: 'outline', text: 'its outline crosses itself or has no area' };
}

/**
 * Area of floor whose load the strips beside a bridged opening take over: of the strips that it cuts, from edge to edge of the panel, what is left of them.
 * Each side takes half of it, mm2.
 */
export function trimmedArea({ direction, outline }: Pick<PanelShape, 'direction' | 'outline'>, opening: readonly PlanPoint[]): number {
  const axes = new Axes(direction);
  const across = opening.map((corner) => axes.v(corner));
  const [low, high] = [Math.min(...across), Math.max(...across)];
  // the panel between both sides of the opening, by its lengths at places across
  const n = 16;
  let area = 0;
  for (let i = 0; i < n; i += 1) {
    const v = low + ((i + 0.5) / n) * (high - low);
    const crossed = outline.flatMap((p, k) => {
      const q = outline[(k + 1) % outline.length]!;
      const [a, b] = [axes.v(p), axes.v(q)];
      return a <= v !== b <= v ? [axes.u(p) + ((v - a) / (b - a)) * (axes.u(q) - axes.u(p))] : [];
    });
    const places = crossed.sort((a, b) => a - b);
    for (let k = 0; k + 1 < places.length; k += 2) area += ((places[k + 1]! - places[k]!) * (high - low)) / n;
  }
  return Math.max(0, area - Math.abs(regionOf(opening).area));
}

/** Inside the ring or, to a millimetre, on its edge. */
function isWithin(ring: readonly PlanPoint[], p: PlanPoint): boolean {
  if (contains(ring, p)) return true;
  return ring.some((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    const t = Math.min(1, Math.max(0, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / (length * length)));
    return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y)) <= 1;
  });
}
