import { profileOf, type Family } from '../family';
import { byRule, unproven, type Check, type Sheet } from '../sheet';
import type { ConcreteCapability, LoadsCapability, SteelCapability } from './capabilities';
import { effectiveLengths } from './effectiveLengths';
import type { Standard } from './standard';

/** A family as it is declared: loads it must have; what else it does not have is not verified. */
export interface FamilyDeclaration {
  readonly editions: readonly string[];
  readonly loads: LoadsCapability;
  readonly steel?: SteelCapability;
  readonly concrete?: ConcreteCapability;
  readonly notCovered: readonly string[];
}

/** The one answer to a check that a family does not have. */
function notVerified(title: string, what: string, sheet?: Sheet): Check[] {
  return [unproven({ id: 'strength', name: 'Strength' }, byRule('not written'), 'ductile', `${title}: ${what} is not written here`, sheet)];
}

function withoutSteel(title: string): SteelCapability {
  const open = (_input: unknown, _philosophy: unknown, sheet?: Sheet) => notVerified(title, 'strength of steel', sheet);
  return {
    youngsModulus: ({ E }) => E,
    beamReads: [],
    beam: open,
    column: open,
    member: open,
    localSlenderness: () => ({ bending: 'not written', compression: 'not written' }),
    angleStrut: null,
    webForce: open,
    webClause: 'not written',
    memberAssumptions: [],
    effectiveLengths: effectiveLengths('theory', {
      pinnedPinned: 1,
      fixedPinned: 0.7,
      fixedFixed: 0.5,
      fixedFree: 2,
      fixedSway: 1,
      pinnedSway: 2,
    }),
    nominalEccentricity: { beyondFace: 100, source: 'office rule' },
    unread: { member: [], webForce: [] },
  };
}

function withoutConcrete(title: string, { compared }: LoadsCapability): ConcreteCapability {
  return {
    padReads: [],
    pad: (_input, sheet) => ({ checks: notVerified(title, 'strength of concrete', sheet), bars: null }),
    padThickness: { step: 50, least: 250, leastOfThumb: 150 },
    philosophy: (chosen) => compared(chosen)[0]!,
  };
}

/** A family of standards from what it declares: its name and title from its profile, and every capability, where none is declared one that proves nothing. */
export function createFamily(id: Family, { editions, loads, steel, concrete, notCovered }: FamilyDeclaration): Standard {
  const profile = profileOf(id);
  const { title } = profile;
  return {
    id,
    title,
    profile,
    editions,
    loads,
    steel: steel ?? withoutSteel(title),
    concrete: concrete ?? withoutConcrete(title, loads),
    notCovered: [...(steel ? [] : ['strength of steel']), ...(concrete ? [] : ['strength of concrete']), ...notCovered],
  };
}
