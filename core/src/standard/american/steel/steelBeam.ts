import { yieldStrength } from '../../../material';
import type { Check, Sheet } from '../../../sheet';
import { checkAll } from '../../limitState';
import { requireBasis, type Philosophy, type SteelBeamInput } from '../../standard';
import { BEAM_LIMIT_STATES } from './beamLimitStates';
import { recordShape } from './slenderness';

/**
 * Steel beam about its major axis, AISC 360-16 chapters F and G: yielding, lateral-torsional buckling, local buckling, shear; by
 * resistance factors or by allowable strength as the philosophy says. Actions must be of its basis.
 */
export function steelBeam(input: SteelBeamInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, actions } = input;
  requireBasis(actions.basis, philosophy.basis);
  recordShape(section, sheet);
  const [E, Fy] = [grade.E, yieldStrength(grade, 1)];
  sheet?.given('E', E, 'stress', 'modulus of elasticity', 'AISC 360-16');
  sheet?.given('F_y', Fy, 'stress', 'specified minimum yield stress', grade.standard);
  return checkAll([], BEAM_LIMIT_STATES, { input, philosophy }, sheet);
}
