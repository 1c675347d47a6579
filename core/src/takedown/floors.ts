import type { Building } from '../building';
import { caseIdOfLoad, type BuildUp, type Use } from '../load';
import type { Arrival, MemberLedger, Takedown } from './ledger';
import { shapeForce } from './shape';

/** Imposed load of one load case that comes from the floors, or roofs, of one storey: what reductions by area or by storeys are reckoned from. */
export interface FloorLoad {
  readonly nature: 'imposed' | 'roofImposed';
  /** Use of a floor; of a roof none. */
  readonly use: Use | null;
  /** Pitch of a roof, rad. */
  readonly pitch: number;
  readonly caseId: string;
  /** Level of the floor. */
  readonly level: string;
  /**
   * Area on plan that the member carries, mm2, and the load on it, N, unreduced. An area that bears several uses is shared between them, so that none of it
   * counts twice.
   */
  readonly area: number;
  readonly force: number;
  /** Greatest load per area of that use among these floors, N/mm2, whatever its case. */
  readonly intensity: number;
}

const known = new WeakMap<MemberLedger, readonly (readonly FloorLoad[])[]>();

/**
 * Imposed load of floors and roofs that lands on a member, for each of its arrivals, traced up to the panels and strips it comes from. Typed loads are
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

/** All imposed load of floors and roofs on a member, by case, pitch and storey. */
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
      return buildUp ? imposedOn(buildUp, panel.level, panel.pitch, whole) : [];
    }
    case 'strip': {
      const beam = building.beams.get(ledger.id);
      const buildUp = building.buildUps.get(source.buildUp);
      const pitch = beam?.strips[source.index]?.pitch ?? 0;
      return beam && buildUp ? imposedOn(buildUp, beam.level, pitch, whole) : [];
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
    case 'settlement':
      return [];
  }
}

function imposedOn(buildUp: BuildUp, level: string, pitch: number, area: number): FloorLoad[] {
  const byCase = new Map<string, { nature: FloorLoad['nature']; use: Use | null; load: number }>();
  // load of one use, or of a roof, whatever its case; and of all floors, and all roofs
  const together = new Map<Use | null, number>();
  const all = { imposed: 0, roofImposed: 0 };
  for (const entry of buildUp.variable) {
    const { nature, load } = entry;
    if ((nature !== 'imposed' && nature !== 'roofImposed') || load === 0) continue;
    const [id, use] = [caseIdOfLoad(entry), nature === 'imposed' ? (entry.use ?? 'A') : null];
    byCase.set(id, { nature, use, load: (byCase.get(id)?.load ?? 0) + load });
    together.set(use, (together.get(use) ?? 0) + load);
    all[nature] += load;
  }
  return [...byCase].map(([caseId, { nature, use, load }]) => ({
    nature,
    use,
    pitch: nature === 'roofImposed' ? pitch : 0,
    caseId,
    level,
    area: (area * load) / all[nature],
    force: load * area,
    intensity: together.get(use)!,
  }));
}

class Sum {
  private readonly entries = new Map<string, FloorLoad>();

  add(list: readonly FloorLoad[], factor: number): void {
    if (factor === 0) return;
    for (const entry of list) {
      const key = `${entry.caseId}:${entry.level}:${entry.pitch}`;
      const old = this.entries.get(key);
      this.entries.set(key, {
        ...entry,
        area: (old?.area ?? 0) + entry.area * factor,
        force: (old?.force ?? 0) + entry.force * factor,
        intensity: Math.max(old?.intensity ?? 0, entry.intensity),
      });
    }
  }

  list(): FloorLoad[] {
    return [...this.entries.values()];
  }
}
