import { AISC360 } from '../documents';
import { yieldStrength } from '../../../material';
import { unproven, type Check, type Sheet } from '../../../sheet';
import { requireBasis, type MomentShape, type Philosophy, type SteelColumnInput } from '../../standard';
import { compression } from './compression';
import { recordShape } from './slenderness';
import { steelMember } from './member';
import { tension } from './tension';

/** A moment at one end that falls to nothing at the other. */
const fromOneEnd = (moment: number): MomentShape => ({ start: moment, middle: moment / 2, end: 0, peak: moment });

/**
 * Steel column of a frame without sway: axial strength, AISC 360-16 E, D, and the moments of beams that bear on it off its axis by H1.
 * axial: N, compression positive; lengths: effective, mm.
 */
export function steelColumn(input: SteelColumnInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, axial, combination, moments } = input;
  requireBasis(input.basis, philosophy.basis);
  if (moments && (moments.major !== 0 || moments.minor !== 0)) {
    const { major, minor } = moments;
    return steelMember(
      {
        ...input,
        netArea: null,
        untwisted: false,
        actions: {
          basis: input.basis,
          combination,
          axial,
          major: fromOneEnd(major),
          minor: fromOneEnd(minor),
          shear: 0,
          shearAcross: 0,
          segments:
            major === 0
              ? []
              : [
                  {
                    from: 0,
                    to: input.lengthT,
                    peak: major,
                    quarters: [0.75 * major, 0.5 * major, 0.25 * major],
                    freeTip: false,
                    tensionFlangeHeld: false,
                  },
                ],
        },
      },
      philosophy,
      sheet,
    );
  }
  const Fy = yieldStrength(grade, 1);
  recordShape(section, sheet);
  sheet?.given('E', grade.E, 'stress', 'modulus of elasticity', 'AISC 360-16');
  sheet?.given('F_y', Fy, 'stress', 'specified minimum yield stress', grade.standard);
  if (axial < 0) return tension(section, grade, Fy, -axial, null, combination, philosophy, sheet).checks;
  if (!(input.lengthY > 0 && input.lengthZ > 0))
    return [
      unproven({ id: 'flexural-buckling', name: 'Flexural buckling' }, AISC360('E2'), 'instability', 'the column has no length', sheet),
    ];
  return [...compression({ ...input, Fy }, philosophy, sheet).checks];
}
