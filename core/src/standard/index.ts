import { BadInput } from '../error';
import type { Philosophy, Standard } from './standard';

export { STANDARDS } from './list';
export type {
  AngleStrutInput,
  BarLayer,
  BeamActions,
  MemberActions,
  MomentShape,
  PadInput,
  PadStrength,
  Philosophy,
  Segment,
  Standard,
  SteelBeamInput,
  SteelColumnInput,
  SteelMemberInput,
  WebForceInput,
} from './standard';
export { momentAt, peakBetween, rangeOf, requireBasis } from './standard';

/** The philosophy by which a project works. @throws BadInput when the family has no such philosophy */
export function philosophyOf(standard: Standard, id: string): Philosophy {
  const found = standard.loads.philosophies.find((philosophy) => philosophy.id === id);
  if (!found)
    throw new BadInput(
      `${standard.title} has no philosophy "${id}"; it has ${standard.loads.philosophies.map((p) => p.id).join(', ')}`,
      'combinationRule',
    );
  return found;
}

export { britishBeam, britishStrut, type BritishBeamInput, type BritishStrutInput } from './british';
