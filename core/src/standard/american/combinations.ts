import { casesById, factorsFor, isPermanent, type Combination, type LoadCase, type LoadRules } from '../../load';
import type { Basis } from '../../sheet';
import type { Philosophy } from '../standard';

/** Factors of one ASCE 7-16 combination: dead, live, one of roof live or snow, wind, earthquake, an extraordinary event. */
interface Pattern {
  readonly id: string;
  /** Not of the standard: its words for it. */
  readonly office?: string;
  readonly D: number;
  readonly L?: number;
  /** Roof live load or snow, whichever is worse: each is tried. */
  readonly R?: number;
  readonly W?: number;
  readonly E?: number;
  readonly A?: number;
  readonly S?: number;
  readonly permanent?: Combination['permanent'];
  /** Where it stands, if not with the others. */
  readonly clause?: string;
}

/** ASCE 7 lowers dead load against wind and earthquake only: that it may be as low against live load is this product's own. */
const OFFICE = 'office rule: dead load that counteracts live load, as 2.3.1(5) and 2.4.1(7) take it against wind';

const EVENT = 'ASCE 7-16 2.5.2.1';

/** ASCE 7-16 2.3.1, 2.3.6 and 2.5.2.1. The exception that lets L be halved beside others is not used: conservative. */
const LRFD: readonly Pattern[] = [
  { id: '1', D: 1.4 },
  { id: '2', D: 1.2, L: 1.6, R: 0.5 },
  { id: '3a', D: 1.2, R: 1.6, L: 1 },
  { id: '3b', D: 1.2, R: 1.6, W: 0.5 },
  { id: '4', D: 1.2, W: 1, L: 1, R: 0.5 },
  { id: '5', D: 0.9, W: 1, permanent: 'favourable' },
  { id: '6', D: 1.2, E: 1, L: 1, S: 0.2 },
  { id: '7', D: 0.9, E: 1, permanent: 'favourable' },
  { id: '2.5-1', D: 1.2, A: 1, L: 0.5, S: 0.2, clause: EVENT },
  { id: '2.5-1 light', D: 0.9, A: 1, L: 0.5, S: 0.2, permanent: 'favourable', clause: EVENT },
  { id: '2 light', D: 0.9, L: 1.6, R: 0.5, permanent: 'favourable', office: OFFICE },
  { id: '3 light', D: 0.9, R: 1.6, L: 1, permanent: 'favourable', office: OFFICE },
];

/** ASCE 7-16 2.4.1 and 2.4.5: of extraordinary events (2.5) the standard looks at strength only. */
const ASD: readonly Pattern[] = [
  { id: '1', D: 1 },
  { id: '2', D: 1, L: 1 },
  { id: '3', D: 1, R: 1 },
  { id: '4', D: 1, L: 0.75, R: 0.75 },
  { id: '5', D: 1, W: 0.6 },
  { id: '6', D: 1, L: 0.75, W: 0.45, R: 0.75 },
  { id: '7', D: 0.6, W: 0.6, permanent: 'favourable' },
  { id: '8', D: 1, E: 0.7 },
  { id: '9', D: 1, E: 0.525, L: 0.75, S: 0.75 },
  { id: '10', D: 0.6, E: 0.7, permanent: 'favourable' },
  { id: '2 light', D: 0.6, L: 1, permanent: 'favourable', office: OFFICE },
  { id: '3 light', D: 0.6, R: 1, permanent: 'favourable', office: OFFICE },
  { id: '4 light', D: 0.6, L: 0.75, R: 0.75, permanent: 'favourable', office: OFFICE },
];

/** Those of the standard itself. */
const CODE_ASD = ASD.filter(({ office }) => !office);

const LETTER = {
  permanent: 'D',
  superimposed: 'D',
  imposed: 'L',
  roofImposed: 'Lr',
  snow: 'S',
  wind: 'W',
  temperature: 'T',
  seismic: 'E',
  accidental: 'Ak',
  settlement: 'T',
} as const;

function expand(
  cases: readonly LoadCase[],
  patterns: readonly Pattern[],
  title: string,
  clause: string,
  basis: Basis,
  purpose: Combination['purpose'],
  favourablePermanent?: number,
): Combination[] {
  const present = (nature: LoadCase['nature']) => cases.some((c) => c.nature === nature);
  const result: Combination[] = [];
  const byId = casesById(cases);
  const seen = new Set<string>();
  for (const pattern of patterns) {
    // a combination that is named after wind, earthquake or an event says nothing where there is none
    if ((pattern.W && !present('wind')) || (pattern.E && !present('seismic')) || (pattern.A && !present('accidental'))) continue;
    if (pattern.office && !(pattern.L && present('imposed')) && !(pattern.R && (present('roofImposed') || present('snow')))) continue;
    const roofs = pattern.R ? (['roofImposed', 'snow'] as const).filter(present) : [null];
    for (const roof of roofs.length ? roofs : [null]) {
      const factors = factorsFor(cases, (c) => {
        if (isPermanent(c.nature)) return pattern.D;
        if (c.nature === 'imposed') return pattern.L ?? 0;
        if (c.nature === 'wind') return pattern.W ?? 0;
        // 2.3.4, 2.4.4: the factor of self-straining force is the engineer's
        if (c.nature === 'temperature' || c.nature === 'settlement') return 0;
        if (c.nature === 'seismic') return pattern.E ?? 0;
        if (c.nature === 'accidental') return pattern.A ?? 0;
        return (c.nature === roof ? (pattern.R ?? 0) : 0) + (c.nature === 'snow' ? (pattern.S ?? 0) : 0);
      });
      const key = JSON.stringify(factors);
      if (seen.has(key)) continue;
      seen.add(key);
      const terms = new Map<string, number>();
      for (const c of cases) if (factors[c.id]) terms.set(LETTER[c.nature], factors[c.id]!);
      const sum = [...terms].map(([letter, factor]) => `${factor === 1 ? '' : +factor.toFixed(3)}${letter}`).join(' + ');
      result.push({
        id: `${title} ${pattern.id}${roof ? ` ${LETTER[roof]}` : ''}`,
        name: `${title} ${pattern.id}: ${sum || 'nothing'}`,
        basis,
        clause: pattern.office ?? pattern.clause ?? clause,
        factors,
        cases: byId,
        purpose,
        favourablePermanent,
        ...(pattern.permanent ? { permanent: pattern.permanent } : {}),
      });
    }
  }
  return result;
}

const lifting = (title: 'LRFD' | 'ASD') => (cases: readonly LoadCase[]) =>
  title === 'LRFD'
    ? expand(
        cases,
        LRFD.filter((p) => p.id !== '1' && !p.office),
        'lifting, LRFD',
        'ASCE 7-16 2.3.1',
        'overturning',
        'lifting',
        0.9,
      )
    : expand(cases, CODE_ASD, 'lifting, ASD', 'ASCE 7-16 2.4.1', 'overturning', 'lifting', 0.6);

const rules = (title: 'LRFD' | 'ASD'): LoadRules => ({
  source: title === 'LRFD' ? 'ASCE 7-16 2.3 and 2.5' : 'ASCE 7-16 2.4',
  strength: (cases) =>
    title === 'LRFD'
      ? expand(cases, LRFD, title, 'ASCE 7-16 2.3.1', 'factored', 'strength')
      : expand(cases, ASD, title, 'ASCE 7-16 2.4.1', 'allowable', 'strength'),
  serviceLevels: ['characteristic'],
  // all of them, wind and earthquake too: soil and deflection feel what is there
  service: (cases) => expand(cases, CODE_ASD, 'service', 'ASCE 7-16 2.4.1', 'service', 'service'),
  lifting: lifting(title),
});

export const AMERICAN_PHILOSOPHIES: readonly Philosophy[] = [
  { id: 'LRFD', title: 'resistance factors (LRFD)', basis: 'factored', rules: rules('LRFD') },
  { id: 'ASD', title: 'allowable strength (ASD)', basis: 'allowable', rules: rules('ASD') },
];
