import type { BeamLoad } from '../beam';
import { caseFromId, isPermanent } from '../load';
import { piecesOn, type Arrival, type ArrivalShape } from '../takedown';

/** A load of a part: a shape on the beam times a value, N or N/mm. */
export interface PartLoad {
  readonly arrival: Arrival;
  readonly shape: ArrivalShape;
  readonly value: number;
}

/** What is there or not as a whole: the load of one case, of imposed load and snow on one span and in one sense. */
export interface Part {
  readonly caseId: string;
  readonly isPermanent: boolean;
  /** The span on which it lies, and without which it may be; null: it is there on all of them or not at all. */
  readonly span: number | null;
  /** Whether it presses down, where that tells it from another part of its case. */
  readonly presses: boolean;
  readonly loads: readonly PartLoad[];
}

/** Load that may lie on one span and not on the next: wind and earthquake come over the whole. */
const isFree = (caseId: string): boolean => {
  const { nature } = caseFromId(caseId);
  return nature === 'imposed' || nature === 'roofImposed' || nature === 'snow';
};

/** The parts of what lands on a beam. */
export function partsOf(arrivals: readonly Arrival[], spans: readonly { readonly from: number; readonly to: number }[]): Part[] {
  const parts = new Map<string, Part & { readonly loads: PartLoad[] }>();
  const add = (caseId: string, span: number | null, presses: boolean, load: PartLoad) => {
    if (load.value === 0) return;
    const key = `${caseId} ${span} ${presses}`;
    const found = parts.get(key);
    if (found) found.loads.push(load);
    else parts.set(key, { caseId, isPermanent: isPermanent(caseFromId(caseId).nature), span, presses, loads: [load] });
  };
  for (const arrival of arrivals) {
    const { shape, byCase, adverse } = arrival;
    for (const caseId in byCase) {
      const value = byCase[caseId]!;
      if (!isFree(caseId)) {
        add(caseId, null, true, { arrival, shape, value });
        continue;
      }
      // what a member above hands on may press or relieve, each without the other
      const pressing = adverse[caseId] ?? 0;
      for (const piece of piecesOn(spans, shape)) {
        add(caseId, piece.span, true, { arrival, shape: piece.shape, value: pressing });
        add(caseId, piece.span, false, { arrival, shape: piece.shape, value: value - pressing });
      }
    }
  }
  return [...parts.values()];
}

/** Loads on the beam, N and N/mm, each times a factor. */
export function beamLoads(loads: readonly PartLoad[], factor: number, length: number): BeamLoad[] {
  return loads.map(({ shape, value }): BeamLoad => {
    const times = value * factor;
    return shape.type === 'point'
      ? { type: 'point', at: Math.min(shape.at, length), force: times }
      : { type: 'distributed', from: shape.from, to: Math.min(shape.to, length), start: shape.start * times, end: shape.end * times };
  });
}
