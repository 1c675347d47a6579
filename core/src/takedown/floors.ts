import type { Building } from '../building';
import { caseIdOfLoad, type BuildUp, type Use } from '../load';
import type { Arrival, MemberLedger, Takedown } from './ledger';
import { shapeForce } from './shape';

/** Imposed load of one use and load case that comes from the floors of one storey: what reductions by area or by storeys are reckoned from. */
export interface FloorLoad {
  readonly use: Use;
  readonly caseId: string;
  /** Level of the floor. */
  readonly level: string;
  /** Area of floor that the member carries, mm2, and the load on it, N, unreduced. An area that bears several uses is shared between them, so that none of it counts twice. */
  readonly area: number;
  readonly force: number;
  /** Greatest load per area of that use among these floors, N/mm2, whatever its case. */
  readonly intensity: number;
}

const known = new WeakMap<MemberLedger, readonly (readonly FloorLoad[])[]>();

/**
 * Imposed floor load that lands on a member, for each of its arrivals, traced up to the panels and strips it comes from. Typed loads are
 * not in it: a load that was determined for a purpose is never reduced.
 */
export function floorsByArrival(building: Building, takedown: Pick<Takedown, 'members'>, id: string): readonly (readonly FloorLoad[])[] {
  const ledger = takedown.members.get(id);
  if (!ledger || ledger.inLoop) return [];
  const held = known.get(ledger);
  if (held) return held;
  const found = ledger.arrivals.map((arrival) => floorsOf(building, takedown, ledger, arrival));
  known.set(ledger, found);
  return found;
}

/** All imposed floor load on a member, by use and storey. */
export function floorsOn(building: Building, takedown: Pick<Takedown, 'members'>, id: string): FloorLoad[] {
  const sum = new Sum();
  for (const list of floorsByArrival(building, takedown, id)) sum.add(list, 1);
  return sum.list();
}

function floorsOf(building: Building, takedown: Pick<Takedown, 'members'>, ledger: MemberLedger, arrival: Arrival): readonly FloorLoad[] {
  const { source, shape } = arrival;
  const whole = shapeForce(shape);
  switch (source.type) {
    case 'panel': {
      const panel = building.panels.get(source.panel);
      const buildUp = panel && building.buildUps.get(panel.buildUp);
      return buildUp ? imposedOn(buildUp, panel.level, whole) : [];
    }
    case 'strip': {
      const beam = building.beams.get(ledger.id);
      const buildUp = building.buildUps.get(source.buildUp);
      return beam && buildUp ? imposedOn(buildUp, beam.level, whole) : [];
    }
    case 'member': {
      const giver = takedown.members.get(source.member);
      if (!giver) return [];
      const lists = floorsByArrival(building, takedown, source.member);
      const sum = new Sum();
      if (source.through !== undefined) {
        // a wall passes each of its arrivals on by itself, in pieces
        const i = giver.arrivals.findIndex((candidate) => candidate.id === source.through);
        const passed = i < 0 ? 0 : shapeForce(giver.arrivals[i]!.shape);
        if (passed !== 0) sum.add(lists[i] ?? [], whole / passed);
      } else {
        const shares = giver.leaves[source.leave]?.shares ?? [];
        giver.arrivals.forEach((brought, i) => {
          const size = shapeForce(brought.shape);
          if (size !== 0) sum.add(lists[i] ?? [], (shares[i] ?? 0) / size);
        });
      }
      return sum.list();
    }
    case 'ownWeight':
    case 'load':
      return [];
  }
}

function imposedOn(buildUp: BuildUp, level: string, area: number): FloorLoad[] {
  const byCase = new Map<string, { use: Use; load: number }>();
  const byUse = new Map<Use, number>();
  let all = 0;
  for (const entry of buildUp.variable) {
    if (entry.nature !== 'imposed' || entry.load === 0) continue;
    const [id, use] = [caseIdOfLoad(entry), entry.use ?? 'A'];
    byCase.set(id, { use, load: (byCase.get(id)?.load ?? 0) + entry.load });
    byUse.set(use, (byUse.get(use) ?? 0) + entry.load);
    all += entry.load;
  }
  return [...byCase].map(([caseId, { use, load }]) => ({
    use,
    caseId,
    level,
    area: (area * load) / all,
    force: load * area,
    intensity: byUse.get(use)!,
  }));
}

class Sum {
  private readonly entries = new Map<string, FloorLoad>();

  add(list: readonly FloorLoad[], factor: number): void {
    if (factor === 0) return;
    for (const { use, caseId, level, area, force, intensity } of list) {
      const key = `${caseId}:${level}`;
      const old = this.entries.get(key);
      this.entries.set(key, {
        use,
        caseId,
        level,
        area: (old?.area ?? 0) + area * factor,
        force: (old?.force ?? 0) + force * factor,
        intensity: Math.max(old?.intensity ?? 0, intensity),
      });
    }
  }

  list(): FloorLoad[] {
    return [...this.entries.values()];
  }
}
