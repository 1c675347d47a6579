import type { BeamLoad } from '../beam';
import { caseIn, groupOf, isPermanent, sensesOf, unitOf, type LoadCase, type LoadCases, type Nature } from '../load';
import { piecesOn, type Arrival, type ArrivalShape } from '../takedown';

/** A load of a part: a shape on the beam times a value, N or N/mm. */
export interface PartLoad {
  readonly arrival: Arrival;
  readonly shape: ArrivalShape;
  readonly value: number;
}

/** What is there or not as a whole: the load of the cases that act together, of imposed load and snow on one span and in one sense. */
export interface LoadPart {
  /** Its load case; of several that act together the first. */
  readonly loadCase: LoadCase;
  readonly isPermanent: boolean;
  /** Whether it acts as it is given, or turned round. */
  readonly sense: 1 | -1;
  /** Group of alternatives, and which of them: one of a group is there at a time, or none. */
  readonly oneOf: string | undefined;
  readonly unit: string;
  /** The span on which it lies, and without which it may be; null: it is there on all of them or not at all. */
  readonly span: number | null;
  /** Whether it presses down, where that tells it from another part of its case. */
  readonly presses: boolean;
  readonly loads: readonly PartLoad[];
}

/** Load that may lie on one span and not on the next, and what a settlement elsewhere brings; wind and earthquake come over the whole. */
const FREE: ReadonlySet<Nature> = new Set(['imposed', 'roofImposed', 'snow', 'settlement']);
const isFree = ({ nature }: LoadCase): boolean => FREE.has(nature);

/** The parts of what lands on a beam. @param cases the load cases of the project */
export function partsOf(
  arrivals: readonly Arrival[],
  spans: readonly { readonly from: number; readonly to: number }[],
  cases: LoadCases,
): LoadPart[] {
  const parts = new Map<string, LoadPart & { readonly loads: PartLoad[] }>();
  const add = (loadCase: LoadCase, sense: 1 | -1, span: number | null, presses: boolean, load: PartLoad, own = '') => {
    if (load.value === 0) return;
    const unit = `${unitOf(loadCase)} ${sense}`;
    const key = `${unit} ${span} ${presses} ${own}`;
    const found = parts.get(key);
    if (found) found.loads.push(load);
    else
      parts.set(key, {
        loadCase,
        isPermanent: isPermanent(loadCase.nature),
        sense,
        oneOf: groupOf(loadCase),
        unit,
        span,
        presses,
        loads: [load],
      });
  };
  for (const arrival of arrivals) {
    const { shape, byCase, adverse } = arrival;
    for (const caseId in byCase) {
      const loadCase = caseIn(cases, caseId);
      for (const sense of sensesOf(loadCase)) {
        const value = sense * byCase[caseId]!;
        // each of its supports may sink or not, which no other part tells
        if (arrival.source.type === 'settlement') {
          add(loadCase, sense, null, true, { arrival, shape, value }, arrival.id);
          continue;
        }
        if (!isFree(loadCase)) {
          add(loadCase, sense, null, true, { arrival, shape, value });
          continue;
        }
        // what a member above hands on may press or relieve, each without the other
        const pressing = sense * (adverse[caseId] ?? 0);
        for (const piece of piecesOn(spans, shape)) {
          add(loadCase, sense, piece.span, true, { arrival, shape: piece.shape, value: pressing });
          add(loadCase, sense, piece.span, false, { arrival, shape: piece.shape, value: value - pressing });
        }
      }
    }
  }
  return [...parts.values()];
}

/** Whether it is no load but a support that sinks. */
export const isSettlement = ({ arrival }: PartLoad): boolean => arrival.source.type === 'settlement';

/** Loads on the beam, N and N/mm, each times a factor. */
export function beamLoads(loads: readonly PartLoad[], factor: number, length: number): BeamLoad[] {
  return loads.flatMap((load): BeamLoad[] => {
    if (isSettlement(load)) return [];
    const { shape, value } = load;
    const times = value * factor;
    return [
      shape.type === 'point'
        ? { type: 'point', at: Math.min(shape.at, length), force: times }
        : { type: 'distributed', from: shape.from, to: Math.min(shape.to, length), start: shape.start * times, end: shape.end * times },
    ];
  });
}
