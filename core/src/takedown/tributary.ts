import type { Building } from '../building';
import type { Arrival, Takedown } from './ledger';
import { shapeForce } from './shape';

/** Area of floors or roofs of one level whose load a member takes, mm2 on plan. */
export interface TributaryArea {
  readonly level: string;
  readonly area: number;
}

/**
 * The area of panels and strips whose load a member takes, level by level from the top: what lands on it, and of what is handed to it the part that it
 * is handed. Of a beam over several supports it is the part of its reactions, which is not half the way to the next support.
 */
export function tributaryArea(building: Building, takedown: Pick<Takedown, 'members'>, id: string): TributaryArea[] {
  const areas = new Areas(building, takedown).of(id, null);
  return building.levels.flatMap(({ id: level }) => {
    const area = areas.get(level) ?? 0;
    return Math.abs(area) > 1 ? [{ level, area }] : [];
  });
}

type ByLevel = ReadonlyMap<string, number>;

class Areas {
  /** What a member hands on at a place, once each: columns below columns ask for it again and again. */
  private readonly known = new Map<string, ByLevel>();

  constructor(
    private readonly building: Building,
    private readonly takedown: Pick<Takedown, 'members'>,
  ) {}

  /** Of all that a member carries (null), or of what it hands on at one of its places. */
  of(id: string, leave: number | null): ByLevel {
    const key = `${id} ${leave}`;
    const held = this.known.get(key);
    if (held) return held;
    const sum = new Map<string, number>();
    const ledger = this.takedown.members.get(id);
    if (ledger && !ledger.inLoop) {
      const shares = leave === null ? null : ledger.leaves[leave]?.shares;
      ledger.arrivals.forEach((arrival, i) => this.add(sum, id, arrival, shares ? shares[i]! : shapeForce(arrival.shape)));
    }
    this.known.set(key, sum);
    return sum;
  }

  /** @param share of the arrival: of a panel or strip its area, mm2 */
  private add(sum: Map<string, number>, id: string, { source, shape }: Arrival, share: number): void {
    const put = (level: string, area: number) => sum.set(level, (sum.get(level) ?? 0) + area);
    if (source.type === 'panel') put(this.building.panels.get(source.panel)!.level, share);
    else if (source.type === 'strip') put(this.building.beams.get(id)!.level, share);
    else if (source.type === 'member') {
      const giver = this.takedown.members.get(source.member);
      // a wall passes each of its arrivals on by itself
      const through = giver?.arrivals.find((candidate) => candidate.id === source.through);
      if (through) {
        this.add(sum, source.member, through, share);
        return;
      }
      const whole = shapeForce(shape);
      if (whole !== 0) this.of(source.member, source.leave).forEach((area, level) => put(level, (area * share) / whole));
    }
  }
}
