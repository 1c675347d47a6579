import type { Family } from '../family';
import { american } from './american';
import { british } from './british';
import { european, recommended } from './european';
import type { Standard } from './standard';

/** The clauses of each family that `family/list.ts` names. */
export const STANDARDS: Readonly<Record<Family, Standard>> = { european, recommended, american, british };
