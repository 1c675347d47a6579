import { BadInput } from '../error';
import type { LineBeam } from './model';

/** A part of a beam with one flexural stiffness, Nmm2. */
export interface EvenPart {
  readonly from: number;
  readonly to: number;
  readonly EI: number;
}

/** @throws BadInput for a stretch off the beam, without length, of no stiffness, or over another */
export function requireStretches({ stretches = [], length }: Pick<LineBeam, 'stretches' | 'length'>): void {
  const m = (x: number) => `${+(x / 1000).toFixed(3)} m`;
  stretches.forEach(({ from, to, factor }, i) => {
    if (!(factor > 0 && Number.isFinite(factor)))
      throw new BadInput('a stretch needs a stiffness greater than 0, as a multiple of that of the beam', `stretches.${i}.factor`);
    if (!(from < to)) throw new BadInput(`the stretch from ${m(from)} ends before it starts`, `stretches.${i}.to`);
    if (!(from >= 0 && to <= length * (1 + 1e-9)))
      throw new BadInput(
        `the stretch from ${m(from)} to ${m(to)} lies off the beam, which is ${m(length)} long`,
        `stretches.${i}.${from < 0 ? 'from' : 'to'}`,
      );
    const over = stretches.findIndex((other, j) => j < i && other.from < to && other.to > from);
    if (over >= 0) throw new BadInput(`the stretch from ${m(from)} to ${m(to)} lies over another`, `stretches.${i}.from`);
  });
}

/** Factor on EI at a place, off the ends of the stretches. */
export function factorAt({ stretches = [] }: Pick<LineBeam, 'stretches'>, at: number): number {
  return stretches.find(({ from, to }) => at >= from && at <= to)?.factor ?? 1;
}

/** A part of the beam cut where its stiffness changes. */
export function evenParts(beam: Pick<LineBeam, 'stretches' | 'EI'>, from: number, to: number): EvenPart[] {
  const cuts = (beam.stretches ?? []).flatMap((stretch) => [stretch.from, stretch.to]).filter((at) => at > from && at < to);
  const places = [...new Set([from, ...cuts, to])].sort((a, b) => a - b);
  return places.slice(1).map((end, i) => ({ from: places[i]!, to: end, EI: beam.EI * factorAt(beam, (places[i]! + end) / 2) }));
}
