import { profileOf } from '../family';
import { planLength, type Beam, type Brief, type Column } from '../building';
import { isMadeIn, steelGrade } from '../material';
import { GRAVITY } from '../quantity';
import { catalogue, findSection, type Section } from '../section';
import { failureLadder, governing, type Check, type VerdictWord } from '../sheet';
import { PlinthError } from '../error';
import type { Standard } from '../standard';
import { withSums, type ByCase, type MemberLedger } from '../takedown';
import { checkBeam, withOwnWeight } from './beam';
import { type Context } from './context';
import { checkColumn, storeyHeight } from './column';
import { reducedArrivals, reductionOf } from './reduction';

/** One section tried for a member. */
export interface Candidate {
  readonly designation: string;
  readonly family: string;
  /** kg/mm, mm */
  readonly mass: number;
  readonly depth: number;
  readonly width: number;
  /** As kg of rolled steel of the same length, by the brief's prices of products; kg/mm. */
  readonly cost: number;
  readonly utilisation: number | null;
  /** Worst of what is proved; what no section can prove (rows that are not written) does not count against one of them. */
  readonly verdict: VerdictWord;
  readonly governing: Check | null;
}

export interface SizingRequest {
  /** Families allowed; all of the project's region when empty. */
  readonly families?: readonly string[];
  readonly maxDepth?: number;
  readonly maxWidth?: number;
  /** What if the compression flange were held otherwise, or the member made of another grade. */
  readonly restraint?: Beam['restraint'];
  readonly grade?: string;
  /** This section alone, whatever its family. */
  readonly only?: string;
}

/** The project's own shapes. */
const ownSections = ({ ownShapes }: Brief): Section[] => ownShapes.map(({ designation }) => findSection(designation));

/** What a kg of a product costs against a kg of rolled shapes. */
export function priceOf({ priceHollow, priceWelded }: Brief, product: Section['product']): number {
  return product === 'rolled' ? 1 : product === 'welded' ? priceWelded : priceHollow;
}

/** Families from which a member of this kind is usually chosen. */
export function usualFamilies(family: Standard['id'], kind: 'beam' | 'column'): readonly string[] {
  return profileOf(family).usualShapes[kind];
}

/**
 * Tries every allowed shape on a beam or column under all combinations, each with its own weight, by ascending mass. The
 * loads that land on the member stay as they are: they come from above.
 */
export function trySections(context: Context, id: string, request: SizingRequest = {}): Candidate[] {
  const { building, takedown, standard, philosophy } = context;
  const { restraint, grade } = request;
  const drawnBeam = building.beams.get(id);
  const beam: Beam | undefined =
    drawnBeam?.material === 'steel'
      ? { ...drawnBeam, restraint: restraint ?? drawnBeam.restraint, grade: grade ?? drawnBeam.grade }
      : undefined;
  const drawnColumn = building.columns.get(id);
  const column: Column | undefined = drawnColumn?.material === 'steel' ? { ...drawnColumn, grade: grade ?? drawnColumn.grade } : undefined;
  const ledger = takedown.members.get(id);
  if (!ledger || (!beam && !column)) return [];
  const families = request.families?.length ? request.families : usualFamilies(standard.id, beam ? 'beam' : 'column');
  const allowed = (request.only === undefined ? [...catalogue(), ...ownSections(building.brief)] : [findSection(request.only)]).filter(
    (section) =>
      request.only !== undefined ||
      ((section.region === standard.profile.materials || section.region === 'own') &&
        families.includes(section.family) &&
        (request.maxDepth === undefined || section.properties.depth <= request.maxDepth) &&
        (request.maxWidth === undefined || section.properties.width <= request.maxWidth) &&
        (grade === undefined || isMadeIn(steelGrade(grade), section.product))),
  );
  const reduction = reductionOf(context, id);
  const arrivals = beam ? reducedArrivals(context, id, reduction) : [];
  const tried = allowed.map((section): Candidate => {
    const base = {
      designation: section.designation,
      family: section.family,
      mass: section.mass,
      depth: section.properties.depth,
      width: section.properties.width,
      cost: section.mass * priceOf(building.brief, section.product),
    };
    let checks: Check[];
    try {
      checks = beam
        ? checkBeam(context, beam, ledger, withOwnWeight(arrivals, section, planLength(beam)), section, philosophy)
        : checkColumn(context, column!, columnWithOwnWeight(context, column!, ledger, section), section, philosophy, reduction);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      return { ...base, utilisation: null, verdict: 'unproven', governing: null };
    }
    return { ...base, ...summary(checks) };
  });
  return tried.sort((a, b) => a.mass - b.mass || a.depth - b.depth);
}

/** A column's ledger with its own weight changed to that of a section. */
function columnWithOwnWeight({ building }: Context, column: Column, ledger: MemberLedger, section: Section): MemberLedger {
  const own = ledger.arrivals.find((arrival) => arrival.source.type === 'ownWeight');
  const now = own?.byCase['permanent'] ?? 0;
  const change = section.mass * GRAVITY * storeyHeight(building, column) - now;
  const heavier = (values: ByCase): ByCase => ({ ...values, permanent: (values['permanent'] ?? 0) + change });
  return withSums(ledger, heavier(ledger.sum), heavier(ledger.adverse));
}

function summary(checks: readonly Check[]): Pick<Candidate, 'utilisation' | 'verdict' | 'governing'> {
  const top = governing(checks);
  const open = checks.some((check) => check.verdict === 'unproven');
  return {
    utilisation: top?.utilisation ?? null,
    verdict: open ? 'unproven' : (top?.verdict ?? 'unproven'),
    governing: failureLadder(checks)[0] ?? null,
  };
}

/** What is to be least of the section that is chosen. */
export type SizedBy = 'mass' | 'depth' | 'width' | 'cost';

/** Does it carry, however close? */
export function isEnough({ verdict }: Pick<Candidate, 'verdict'>): boolean {
  return verdict === 'carries' || verdict === 'tight';
}

/** Candidates with the least first; where that is alike, the lighter, then the shallower. */
export function inOrderOf(candidates: readonly Candidate[], by: SizedBy): Candidate[] {
  return [...candidates].sort((a, b) => a[by] - b[by] || a.mass - b.mass || a.depth - b.depth);
}

/** The least of the candidates that carries, or null. */
export function leastOf(candidates: readonly Candidate[], by: SizedBy): Candidate | null {
  return inOrderOf(candidates, by).find(isEnough) ?? null;
}

/** The lightest of the candidates that carries, or null. */
export function lightest(candidates: readonly Candidate[]): Candidate | null {
  return leastOf(candidates, 'mass');
}

/** The next that is less than the chosen, and short of something: what it is short of says why it was not chosen. Null where none is. */
export function nextLess(candidates: readonly Candidate[], chosen: Candidate, by: SizedBy): Candidate | null {
  const less = inOrderOf(candidates, by).filter((candidate) => candidate[by] < chosen[by]);
  return less.reverse().find(({ verdict, governing }) => verdict === 'short' && governing !== null) ?? null;
}
