import type { OffAxisBearing } from '../analysis';
import { contactsOf, endsAt, planLength, saidOf, type Beam, type BeamConnection, type Building, type Column } from '../building';
import { LEAST_OFFSET } from './neglectedOffset';
import type { Section } from '../section';
import type { Standard } from '../standard';
import type { MemberLedger, Takedown } from '../takedown';

/** A beam that ends at a column's side, or a column that stands off its axis: where it bears, and which way it bends the column. */
export interface SideBeam extends OffAxisBearing {
  readonly mark: string;
  /** What stands or ends there. */
  readonly kind: 'beam' | 'column';
  /** +1 or -1: towards which face. */
  readonly side: number;
  /** From the column's axis, mm. */
  readonly eccentricity: number;
  /** Part of the moment that this length of the column takes; the rest goes into the length above or below. */
  readonly share: number;
}

/**
 * Beams that end at a column's side and bear off its axis, for a section of that column. A beam that runs on over it bears centrally;
 * so does everything where the column says so.
 */
export function sideBeams(building: Building, takedown: Takedown, standard: Standard, id: string, section: Section): readonly SideBeam[] {
  const column = building.columns.get(id)!;
  const ledger = takedown.members.get(id)!;
  const found: SideBeam[] = [];
  ledger.arrivals.forEach((arrival, index) => {
    const { source } = arrival;
    if (source.type !== 'member') return;
    const above = building.columns.get(source.member);
    if (above) found.push(...postBearings(building, column, above, index));
    if (column.beamsBear === 'central') return;
    const beam = building.beams.get(source.member);
    const leave = takedown.members.get(source.member)?.leaves[source.leave];
    if (!beam || !leave) return;
    const [dx, dy] = [beam.to.x - beam.from.x, beam.to.y - beam.from.y];
    const length = Math.hypot(dx, dy);
    if (length === 0 || !endsAt(leave.at, length)) return;
    const atStart = leave.at < length / 2;
    // from the column along the beam
    const sign = atStart ? 1 : -1;
    const [ux, uy] = [(sign * dx) / length, (sign * dy) / length];
    const [sin, cos] = [Math.sin(column.turn), Math.cos(column.turn)];
    // not turned, the depth lies along north
    const alongDepth = -ux * sin + uy * cos;
    const acrossDepth = ux * cos + uy * sin;
    const intoFlange = Math.abs(alongDepth) >= Math.abs(acrossDepth);
    const side = Math.sign(intoFlange ? alongDepth : acrossDepth);
    const said = connectionSaid(beam, source.leave);
    const eccentricity = said?.eccentricity ?? faceDistance(section, intoFlange) + standard.steel.nominalEccentricity.beyondFace;
    const share = shareBelow(building, column, id, beam.level);
    found.push({
      arrival: index,
      mark: beam.mark,
      kind: 'beam',
      level: beam.level,
      axis: intoFlange ? 'major' : 'minor',
      side,
      eccentricity,
      share,
      arm: side * share * eccentricity,
    });
  });
  return found;
}

/**
 * A column that stands on this one, off its axis by more than the construction tolerance: its whole force acts there, and bends this length alone. A beam's
 * sign: towards the face to which it stands.
 */
function postBearings({ brief }: Building, column: Column, above: Column, arrival: number): SideBeam[] {
  const [dx, dy] = [above.at.x - column.at.x, above.at.y - column.at.y];
  if (Math.hypot(dx, dy) <= brief.constructionTolerance) return [];
  const [sin, cos] = [Math.sin(column.turn), Math.cos(column.turn)];
  const along = { major: -dx * sin + dy * cos, minor: dx * cos + dy * sin } as const;
  return (['major', 'minor'] as const).flatMap((axis): SideBeam[] => {
    const off = along[axis];
    if (Math.abs(off) < LEAST_OFFSET) return [];
    const side = Math.sign(off);
    return [{ arrival, mark: above.mark, kind: 'column', level: column.top, axis, side, eccentricity: Math.abs(off), share: 1, arm: off }];
  });
}

/** What is said of the connection of a beam at one of its supports. */
function connectionSaid(beam: Beam, support: number): BeamConnection | undefined {
  if (beam.connections.length === 0) return undefined;
  const { by } = beam.supports[support]!;
  return saidOf(beam.connections, by, contactsOf(beam.supports, planLength(beam))[support]!);
}

/** From the axis to the face that a beam meets, mm: the flange's outer face, the web of an open shape, the wall of a hollow one. */
function faceDistance({ shape, properties }: Section, intoFlange: boolean): number {
  if (intoFlange) return properties.depth / 2;
  return 'tw' in shape ? shape.tw / 2 : properties.width / 2;
}

/**
 * Part of the moment at a level that this column's length takes. Where a column stands on it there, or it runs on, both lengths share it
 * evenly: so it is done while their stiffnesses are within 1.5 of each other.
 */
function shareBelow(building: Building, column: Column, id: string, level: string): number {
  const height = building.elevation(level);
  if (building.elevation(column.top) > height + 1) return 0.5;
  return standsOn(building, column, id, level) ? 0.5 : 1;
}

const byBase = new WeakMap<Building['columns'], Map<string, (readonly [string, Column])[]>>();

/** Whether a column stands on this one at a level. */
function standsOn({ columns }: Building, column: Column, id: string, level: string): boolean {
  let bases = byBase.get(columns);
  if (!bases) {
    bases = new Map();
    for (const entry of columns) {
      const list = bases.get(entry[1].base);
      if (list) list.push(entry);
      else bases.set(entry[1].base, [entry]);
    }
    byBase.set(columns, bases);
  }
  return (bases.get(level) ?? []).some(
    ([other, body]) => other !== id && Math.hypot(body.at.x - column.at.x, body.at.y - column.at.y) < 50,
  );
}

/** What a column's moments depend on beside its own body and its ledger: the beams and columns that land on it, and whether a column stands on it. */
export function columnSurroundings(building: Building, ledger: MemberLedger, column: Column): readonly unknown[] {
  const around: unknown[] = [standsOn(building, column, ledger.id, column.top)];
  for (const { source } of ledger.arrivals)
    if (source.type === 'member') around.push(building.beams.get(source.member) ?? building.columns.get(source.member)?.at);
  return around;
}
