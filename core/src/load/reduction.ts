import type { Use } from './nature';

/** What a member is, as codes on imposed load see it: beams by the area they carry, posts and what is under them by storeys too. */
export type ReductionRole = 'beam' | 'cantilever' | 'column' | 'footing';

/** What a reduction is reckoned from: imposed floor load on the member by use and storey. mm2, N, N/mm2. */
export interface ReducibleFloor {
  readonly use: Use;
  readonly level: string;
  readonly area: number;
  readonly force: number;
  readonly intensity: number;
}

/** Imposed load of a roof on a member, by pitch. rad, mm2, N, N/mm2 */
export interface ReducibleRoof {
  readonly pitch: number;
  readonly area: number;
  readonly force: number;
  readonly intensity: number;
}

/** Factors on the imposed load of roofs on a member: belongs to that member's design alone and is never handed on. */
export interface RoofReduction {
  /** One for each roof, in their order; at most 1. */
  readonly factors: readonly number[];
  readonly title: string;
  readonly clause: string;
  /** What has to be true for it. */
  readonly assumption: string;
}

/** Factors on the imposed floor load of a member: belongs to that member's design alone and is never handed on. */
export interface ImposedReduction {
  /** By use, below 1; a use that is not there is not reduced. */
  readonly factors: Readonly<Partial<Record<Use, number>>>;
  /** In a few words: symbol, value and what it was reckoned from. */
  readonly title: string;
  readonly clause: string;
  /** True when it may not be used on a case that a combination reduces already as accompanying. */
  readonly notWithPsi: boolean;
  /** What has to be true for it. */
  readonly assumption: string;
}
