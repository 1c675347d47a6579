import { areaLoads, type BuildUp } from '../load';
import type { Building } from '../building';
import { formatQuantity } from '../quantity';
import { scaled, type ByCase, type Takedown } from './ledger';
import { shapeForce } from './shape';

/** A branch of the tree behind a number: what it is, how much of it, and what stands behind that. */
export interface Cause {
  readonly label: string;
  readonly detail: string;
  readonly member: string | null;
  readonly byCase: ByCase;
  readonly causes: readonly Cause[];
}

/**
 * The tree behind what a member hands on at one support (or behind its whole load, with `leave` null), down to the layers
 * of the build-ups. The values of the branches of a node add up to the node.
 * @param depth how many members to open; deeper ones stay closed
 */
export function why(building: Building, takedown: Takedown, member: string, leave: number | null, depth = 12, factor = 1): Cause[] {
  const ledger = takedown.members.get(member);
  if (!ledger) return [];
  const outgoing = leave === null ? undefined : ledger.leaves[leave];
  return ledger.arrivals.map((arrival, i) => {
    const whole = shapeForce(arrival.shape);
    const share = (outgoing ? outgoing.shares[i]! : whole) * factor;
    const byCase = scaled(arrival.byCase, share);
    const { source } = arrival;
    const base = { label: arrival.label, member: null, byCase, causes: [] as Cause[] };
    if (source.type === 'member') {
      const detail = `${((share / (whole || 1)) * 100).toFixed(1)} % of what ${source.through === undefined ? arrival.label : 'it'} brings`;
      if (depth <= 0) return { ...base, detail, member: source.member };
      const giver = takedown.members.get(source.member);
      // a wall passes on each of its arrivals by itself: open just that one
      const through = giver?.arrivals.findIndex((candidate) => candidate.id === source.through) ?? -1;
      if (through < 0) {
        const part = whole === 0 ? 0 : share / whole;
        return { ...base, detail, member: source.member, causes: why(building, takedown, source.member, source.leave, depth - 1, part) };
      }
      const passed = shapeForce(giver!.arrivals[through]!.shape);
      const inner = why(building, takedown, source.member, null, depth - 1, passed === 0 ? 0 : share / passed)[through];
      return { ...base, detail, member: source.member, causes: inner ? inner.causes : [] };
    }
    if (source.type === 'panel') {
      const panel = building.panels.get(source.panel)!;
      return {
        ...base,
        detail: `${formatQuantity(share, 'floorArea', building.brief.units, { figures: 3 })} of ${panel.mark}`,
        causes: layersOf(building.buildUps.get(panel.buildUp)!, panel.pitch, share),
      };
    }
    if (source.type === 'strip') {
      const strip = building.beams.get(member)!.strips[source.index]!;
      const buildUp = building.buildUps.get(source.buildUp)!;
      return { ...base, detail: `strip of ${buildUp.name}`, causes: layersOf(buildUp, strip.pitch, share) };
    }
    return {
      ...base,
      detail:
        source.type === 'ownWeight'
          ? source.allowance
            ? 'allowance: no section is chosen'
            : 'from the section or the face'
          : source.type === 'settlement'
            ? 'no load: what the beam takes from one support to another'
            : 'typed load',
    };
  });
}

/** The layers of a build-up on an area, mm2. */
function layersOf(buildUp: BuildUp, pitch: number, area: number): Cause[] {
  return areaLoads(buildUp, pitch).map((part) => ({
    label: part.name,
    detail: part.allowance ? 'layer, an allowance' : 'layer or load',
    member: null,
    byCase: { [part.caseId]: part.intensity * area },
    causes: [],
  }));
}
