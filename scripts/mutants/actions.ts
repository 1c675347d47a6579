import type { Mutant } from './mutant';

const core = (path: string) => `core/src/${path}`;

/** What acts, and in which combinations. */
export const ACTIONS: readonly Mutant[] = [
  {
    point: 'loads',
    fault: 'load that no combination has is left out without a word',
    file: core('design/uncombined.ts'),
    now: '  if (left.length === 0) return [];',
    wrong: '  if (left.length >= 0) return [];',
    test: 'core/src/design/uncombined.test.ts',
  },
  {
    point: 'loads',
    fault: 'superimposed load is not drawn on a beam',
    file: core('drawing/beamElevation.ts'),
    now: 'values: NATURES.map((nature)',
    wrong: "values: NATURES.filter((nature) => nature !== 'superimposed').map((nature)",
    test: 'core/src/drawing/drawing.test.ts',
  },
];
