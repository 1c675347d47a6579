import { z } from 'zod';
import { BadInput } from '../../error';
import type { Philosophy, Standard } from '../../standard';

/**
 * Field that says by which method of a family typed effects were combined. It is never taken for granted: effects of one method say nothing under
 * another, and characteristic or service effects are no demand of strength.
 */
export function effectsMethod(standard: Standard, basis?: Philosophy['basis']) {
  const ids = standard.loads.philosophies.filter((philosophy) => !basis || philosophy.basis === basis).map(({ id }) => id);
  return z.enum(ids as [string, ...string[]]).describe('method by which the effects were combined');
}

/** @throws BadInput when a moment along a segment is larger than the one that is said to be the largest. Nmm. */
export function requireLargest(moment: number, quarters: readonly number[] | undefined): void {
  if (quarters?.some((value) => Math.abs(value) > Math.abs(moment) * (1 + 1e-9)))
    throw new BadInput('Moment must be the largest along the segment, but one at a quarter point is larger', 'moment');
}
