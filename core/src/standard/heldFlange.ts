import type { Sheet } from '../sheet';
import type { Segment } from './standard';

/**
 * Moment gradient factor of a segment that hogs while its top flange is braced along its length, as under a floor: on the moment of the end where the
 * bottom flange is compressed most, between ends where both flanges are held. Commentary to AISC 360-16 F1, (C-F1-5), from elastic solutions of beams
 * under gravity load; an inflection point is no brace. Null where it does not apply: no end hogs, or the largest hogging moment is not at an end.
 */
export function heldFlangeFactor(segment: Segment, sheet?: Sheet): number | null {
  const { tensionFlangeHeld, freeTip, ends, quarters, peak } = segment;
  if (!tensionFlangeHeld || freeTip || !ends) return null;
  const [M0, M1] = ends[0] <= ends[1] ? ends : [ends[1], ends[0]];
  if (M0 >= 0 || Math.abs(peak - M0) > 1e-6 * Math.abs(M0)) return null;
  const middle = quarters[1];
  const star = M1 > 0 ? M0 : M0 + M1;
  const factor = 3 - (2 / 3) * (M1 / M0) - (8 / 3) * (middle / star);
  if (sheet) {
    sheet.given('M_0', M0, 'moment', 'at the end that hogs most');
    sheet.given('M_1', M1, 'moment', 'at the other end');
    sheet.given('M_CL', middle, 'moment', 'at the middle');
    sheet.step(
      'C_h',
      M1 > 0 ? '3 - 2 / 3 * M_1 / M_0 - 8 / 3 * M_CL / M_0' : '3 - 2 / 3 * M_1 / M_0 - 8 / 3 * M_CL / (M_0 + M_1)',
      { M_0: M0, M_1: M1, M_CL: middle },
      factor,
      'ratio',
      'AISC 360-16 commentary (C-F1-5)',
      'moment gradient factor with the tension flange held along its length',
    );
  }
  return factor;
}
