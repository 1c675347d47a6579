import { BadInput } from '../error';
import { american } from './american';
import { british } from './british';
import { european } from './european';
import type { Philosophy, Standard } from './standard';

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

export const STANDARDS: Readonly<Record<Standard['id'], Standard>> = { european, american, british };

/** The philosophy by which a project works. @throws BadInput when the family has no such philosophy */
export function philosophyOf(standard: Standard, id: string): Philosophy {
  const found = standard.philosophies.find((philosophy) => philosophy.id === id);
  if (!found)
    throw new BadInput(
      `${standard.title} has no philosophy "${id}"; it has ${standard.philosophies.map((p) => p.id).join(', ')}`,
      'combinationRule',
    );
  return found;
}

export { britishBeam, britishStrut, type BritishBeamInput, type BritishStrutInput } from './british';
