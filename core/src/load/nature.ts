import { BadInput } from '../error';

/** Natures of variable, seismic and accidental load: what the variable load of a build-up may be of. */
export const VARIABLE_NATURES = ['imposed', 'roofImposed', 'snow', 'wind', 'temperature', 'seismic', 'accidental'] as const;

/** What a load may be of. */
export const LOAD_NATURES = ['permanent', 'superimposed', ...VARIABLE_NATURES] as const;

export type LoadNature = (typeof LOAD_NATURES)[number];

/** Natures of actions, which decide how they may be combined: of loads, and of supports that sink, which are no load. */
export const NATURES = [...LOAD_NATURES, 'settlement'] as const;
export type Nature = (typeof NATURES)[number];

export const NATURE_LABEL: Record<Nature, string> = {
  permanent: 'permanent',
  superimposed: 'superimposed',
  imposed: 'imposed',
  roofImposed: 'roof imposed',
  snow: 'snow',
  wind: 'wind',
  temperature: 'temperature',
  seismic: 'seismic',
  accidental: 'accidental',
  settlement: 'settlement',
};

export function isPermanent(nature: Nature): boolean {
  return nature === 'permanent' || nature === 'superimposed';
}

/** Use categories of imposed load, named as in EN 1991-1-1 table 6.1; other families map their own occupancies onto these. */
export const USES = ['A', 'B', 'C', 'D', 'E', 'F', 'G'] as const;
export type Use = (typeof USES)[number];
export const USE_LABEL: Record<Use, string> = {
  A: 'domestic and residential',
  B: 'offices',
  C: 'where people gather',
  D: 'shops',
  E: 'storage',
  F: 'light vehicles',
  G: 'heavier vehicles',
};

/**
 * The use of a load that is typed by itself: an imposed load has one, no other load has.
 * @throws BadInput at `field` where it is missing, or typed and not read
 */
export function usedAs(nature: Nature, use: Use | undefined, field: string): Use | undefined {
  if (nature === 'imposed' && use === undefined)
    throw new BadInput(`Use is missing: an imposed load is of use ${USES.slice(0, -1).join(', ')} or ${USES.at(-1)}`, field);
  if (nature !== 'imposed' && use !== undefined)
    throw new BadInput(`Use is read of imposed loads only, and this one is ${NATURE_LABEL[nature]}: leave it out`, field);
  return use;
}
