import { casesById, factorsFor, isPermanent, type Combination, type LoadCase, type LoadRules, type Nature } from '../../load';
import type { Philosophy } from '../standard';

/** Load factors of one combination, BS 5950-1 table 2 (without cranes). */
interface Pattern {
  readonly id: string;
  readonly clause: string;
  readonly dead: number;
  readonly imposed?: number;
  readonly wind?: number;
  /** Dead load that counteracts the effects of other loads counts once. */
  readonly permanent?: Combination['permanent'];
}

const STRENGTH: readonly Pattern[] = [
  { id: '1', clause: 'BS 5950-1 table 2', dead: 1.4, imposed: 1.6, permanent: 'unfavourable' },
  { id: '2', clause: 'BS 5950-1 table 2', dead: 1.4, wind: 1.4, permanent: 'unfavourable' },
  { id: '1 light', clause: 'BS 5950-1 table 2', dead: 1, imposed: 1.6, permanent: 'favourable' },
  { id: '2 light', clause: 'BS 5950-1 table 2', dead: 1, wind: 1.4, permanent: 'favourable' },
  { id: '3', clause: 'BS 5950-1 table 2', dead: 1.2, imposed: 1.2, wind: 1.2 },
];

/** BS 5950-1 2.5.1: of imposed and wind load together four fifths. */
const SERVICE: readonly Pattern[] = [
  { id: 'service', clause: 'BS 5950-1 2.5.1', dead: 1, imposed: 1 },
  { id: 'service', clause: 'BS 5950-1 2.5.1', dead: 1, wind: 1 },
  { id: 'service', clause: 'BS 5950-1 2.5.1', dead: 1, imposed: 0.8, wind: 0.8 },
];

const SYMBOL: Partial<Record<Nature, string>> = { imposed: 'Qi', roofImposed: 'Qr', snow: 'S', wind: 'W' };
/** Temperature, seismic and accidental actions, and settlements, have no combination here. */
const LEFT_OUT: ReadonlySet<Nature> = new Set(['temperature', 'seismic', 'accidental', 'settlement']);
const isLeftOut = (nature: Nature) => LEFT_OUT.has(nature);

const written = (factor: number) => +factor.toFixed(2);

/** Combinations of the patterns that the cases have loads for: on a roof access or snow, whichever is worse, so that each is tried. */
function expand(
  cases: readonly LoadCase[],
  patterns: readonly Pattern[],
  rest: Pick<Combination, 'basis' | 'purpose' | 'favourablePermanent'>,
): Combination[] {
  const has = (nature: Nature) => cases.some((c) => c.nature === nature);
  const roofs: readonly Nature[] = has('roofImposed') && has('snow') ? ['roofImposed', 'snow'] : has('snow') ? ['snow'] : ['roofImposed'];
  const seen = new Set<string>();
  const found: Combination[] = [];
  const byId = casesById(cases);
  for (const pattern of patterns) {
    if (pattern.wind && !has('wind')) continue;
    if (
      pattern.permanent === 'favourable' &&
      !pattern.wind &&
      !cases.some(({ nature }) => !isPermanent(nature) && nature !== 'wind' && !isLeftOut(nature))
    )
      continue;
    for (const roof of roofs) {
      const factors = factorsFor(cases, ({ nature }) => {
        if (isPermanent(nature)) return pattern.dead;
        if (nature === 'wind') return pattern.wind ?? 0;
        return nature === 'imposed' || nature === roof ? (pattern.imposed ?? 0) : 0;
      });
      const key = JSON.stringify(factors);
      if (seen.has(key)) continue;
      seen.add(key);
      const acting = cases.filter(({ id, nature }) => !isPermanent(nature) && factors[id]);
      const terms = new Set(acting.map(({ id, nature, use }) => `${written(factors[id]!)} ${SYMBOL[nature]}${use ? `(${use})` : ''}`));
      found.push({
        ...rest,
        id: `${pattern.id} ${found.length}`,
        name: `${pattern.id}: ${[`${written(pattern.dead)} Gk`, ...terms].join(' + ')}`,
        clause: pattern.clause,
        ...(pattern.permanent ? { permanent: pattern.permanent } : {}),
        factors,
        cases: byId,
      });
    }
  }
  return found;
}

const rules: LoadRules = {
  source: 'BS 5950-1 table 2',
  strength: (cases) => expand(cases, STRENGTH, { basis: 'factored', purpose: 'strength' }),
  serviceLevels: ['characteristic'],
  service: (cases) => expand(cases, SERVICE, { basis: 'service', purpose: 'service' }),
  // what helps against overturning or lifting counts once: table 2
  lifting: (cases) =>
    expand(
      cases,
      STRENGTH.filter(({ permanent }) => permanent !== 'favourable'),
      { basis: 'overturning', purpose: 'lifting', favourablePermanent: 1 },
    ),
};

export const BRITISH_PHILOSOPHIES: readonly Philosophy[] = [
  { id: 'BS5950', title: 'limit state, BS 5950-1 table 2', basis: 'factored', rules },
];
