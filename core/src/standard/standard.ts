import type { Family, FamilyProfile } from '../family';
import { BadInput } from '../error';
import type { Basis } from '../sheet';
import type { ConcreteCapability, LoadsCapability, SteelCapability } from './capabilities';

export type * from './capabilities';
export * from './steelInput';
export type * from './padInput';

/** A family of standards as the program sees it: a set of capabilities. Everything above this interface is the same for all families. */
export interface Standard {
  readonly id: Family;
  readonly title: string;
  readonly profile: FamilyProfile;
  readonly editions: readonly string[];
  readonly loads: LoadsCapability;
  readonly steel: SteelCapability;
  readonly concrete: ConcreteCapability;
  readonly notCovered: readonly string[];
}

/**
 * Refuses effects of another basis than a resistance wants.
 * @throws BadInput naming both
 */
export function requireBasis(given: Basis, wanted: Basis): void {
  if (given !== wanted) throw new BadInput(`${given} effects were given to a resistance that wants ${wanted} ones`, 'basis');
}

/** Names of the two buckling axes, for sheets. */
export type Axis = 'y' | 'z';
