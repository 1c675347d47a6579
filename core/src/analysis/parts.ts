import type { BeamLoad } from '../beam';
import { caseIn, groupOf, isPermanent, sensesOf, unitOf, type LoadCase, type LoadCases } from '../load';
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

/** Load that may lie on one span and not on the next: wind and earthquake come over the whole. */
const isFree = ({ nature }: LoadCase): boolean => nature === 'imposed' || nature === 'roofImposed' || nature === 'snow';

/** The parts of what lands on a beam. @param cases the load cases of the project */
export function partsOf(
  arrivals: readonly Arrival[],
  spans: readonly { readonly from: number; readonly to: number }[],
  cases: LoadCases,
): LoadPart[] {
  const parts = new Map<string, LoadPart & { readonly loads: PartLoad[] }>();
  const add = (loadCase: LoadCase, sense: 1 | -1, span: number | null, presses: boolean, load: PartLoad) => {
    if (load.value === 0) return;
    const unit = `${unitOf(loadCase)} ${sense}`;
    const key = `${unit} ${span} ${presses}`;
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

/** Loads on the beam, N and N/mm, each times a factor. */
export function beamLoads(loads: readonly PartLoad[], factor: number, length: number): BeamLoad[] {
  return loads.map(({ shape, value }): BeamLoad => {
    const times = value * factor;
    return shape.type === 'point'
      ? { type: 'point', at: Math.min(shape.at, length), force: times }
      : { type: 'distributed', from: shape.from, to: Math.min(shape.to, length), start: shape.start * times, end: shape.end * times };
  });
}
