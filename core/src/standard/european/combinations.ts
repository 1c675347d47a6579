import type { Combination, LoadCase, LoadRules, Nature, ServiceLevel } from '../../load';
import { casesById, factorsFor, isPermanent, SERVICE_LEVELS } from '../../load';
import type { Philosophy } from '../standard';
import { psiOf, type ActionsAnnex, type Psi } from './annex';

/** Of what settlements bring, worked out by elastic theory: table A2.4(B), for want of one for buildings; none where it helps. */
const GAMMA_SETTLEMENT = 1.2;

const LABEL: Readonly<Record<Nature, string>> = {
  permanent: 'G',
  superimposed: 'G',
  imposed: 'Q',
  roofImposed: 'Q(roof)',
  snow: 'S',
  wind: 'W',
  temperature: 'T',
  seismic: 'E',
  accidental: 'A',
  settlement: 'G(set)',
};
const label = ({ nature, use }: LoadCase) => (nature === 'imposed' ? `Q(${use})` : LABEL[nature]);

/** Actions of an event: one of them has combinations of its own, in which no partial factor is above 1. */
const isEvent = (nature: Nature): nature is 'seismic' | 'accidental' => nature === 'seismic' || nature === 'accidental';
const isVariable = ({ nature }: LoadCase) => !isPermanent(nature) && !isEvent(nature) && nature !== 'settlement';

/**
 * Sets of variable cases that may act together: imposed load on a roof is not combined with snow or wind, EN 1991-1-1 3.3.2(1).
 */
function variableSets(cases: readonly LoadCase[]): LoadCase[][] {
  const variable = cases.filter(isVariable);
  const without = variable.filter((c) => c.nature !== 'roofImposed');
  if (without.length === variable.length) return [variable];
  const withRoof = variable.filter((c) => c.nature !== 'snow' && c.nature !== 'wind');
  return without.some((c) => c.nature === 'snow' || c.nature === 'wind') ? [without, withRoof] : [withRoof];
}

interface Pattern {
  readonly id: string;
  readonly clause: string;
  readonly basis: Combination['basis'];
  readonly purpose: Combination['purpose'];
  readonly permanent: number;
  readonly permanentIs?: Combination['permanent'];
  /** Factor of settlement; left out: 1. */
  readonly settlement?: number;
  readonly favourablePermanent?: number;
  /** Factor of a variable action that no psi reduces; left out: 1. */
  readonly full?: number;
  /** Factor of what leads; left out: nothing leads. */
  readonly leading?: (psi: Psi) => number;
  /** Factor of what accompanies. */
  readonly others: (psi: Psi) => number;
  /** The event beside which all this acts, with its design value. */
  readonly event?: 'seismic' | 'accidental';
}

/**
 * What leads together: all imposed load is one action beside the others, EN 1991-1-1 3.3.1(2)P, so that all its uses lead, or each accompanies with its
 * own psi0; of the others all cases of one action.
 */
function leadersOf(set: readonly LoadCase[]): LoadCase[][] {
  const isImposed = ({ nature }: LoadCase) => nature === 'imposed' || nature === 'roofImposed';
  const imposed = set.filter(isImposed);
  const others = new Map<string, LoadCase[]>();
  for (const one of set) if (!isImposed(one)) others.set(one.action, [...(others.get(one.action) ?? []), one]);
  return [...(imposed.length > 0 ? [imposed] : []), ...others.values()];
}

/** Each variable action leads in turn, the others of its set accompany it; nothing where an event is wanted and none is there. */
function expand(annex: ActionsAnnex, cases: readonly LoadCase[], pattern: Pattern): Combination[] {
  const result: Combination[] = [];
  const { leading: leads, others, event, full = 1 } = pattern;
  if (event && !cases.some(({ nature }) => nature === event)) return result;
  const byId = casesById(cases);
  const seen = new Set<string>();
  for (const set of variableSets(cases)) {
    const leaders: (readonly LoadCase[])[] = !leads || set.length === 0 ? [[]] : leadersOf(set);
    for (const leading of leaders) {
      const factors = factorsFor(cases, (c) => {
        if (isPermanent(c.nature)) return pattern.permanent;
        if (c.nature === 'settlement') return pattern.settlement ?? 1;
        if (c.nature === event) return 1;
        if (!set.includes(c)) return 0;
        return (leads && leading.includes(c) ? leads : others)(psiOf(annex, c));
      });
      const key = JSON.stringify(factors);
      if (seen.has(key)) continue;
      seen.add(key);
      const acting = cases.filter((c) => !isPermanent(c.nature) && factors[c.id]);
      // cases of one action, and alternatives, have one factor
      const terms = new Set(acting.map((c) => `${+factors[c.id]!.toFixed(3)} ${label(c)}`));
      const name = `${pattern.id}: ${[...(pattern.permanent ? [`${+pattern.permanent.toFixed(3)} G`] : []), ...terms].join(' + ')}`;
      result.push({
        id: `${pattern.id}${leading.map(({ id }) => ` ${id}`).join('')}${result.length}`,
        name,
        basis: pattern.basis,
        clause: pattern.clause,
        factors,
        cases: byId,
        favourablePermanent: pattern.favourablePermanent,
        ...(pattern.permanentIs ? { permanent: pattern.permanentIs } : {}),
        purpose: pattern.purpose,
        accompanying: set.filter((c) => (factors[c.id] ?? 0) < full).map((c) => c.id),
      });
    }
  }
  return result;
}

const factored = (factor: number) => ({
  full: factor,
  settlement: factor > 1 ? GAMMA_SETTLEMENT : 1,
  leading: () => factor,
  others: ({ psi0 }: Psi) => factor * psi0,
});
const quasiPermanent = ({ psi2 }: Psi) => psi2;
/** The frequent value leads, what accompanies is quasi-permanent. */
const frequent = { leading: ({ psi1 }: Psi) => psi1, others: quasiPermanent };

/** Combinations of events: of an accident the frequent value of the main variable action acts beside it (A1.3.2; the annexes here keep to the frequent one). */
const events = (annex: ActionsAnnex, cases: readonly LoadCase[], common: Pick<Pattern, 'basis' | 'purpose'>): Combination[] => [
  ...expand(annex, cases, { ...common, ...frequent, id: '6.11b', clause: 'EN 1990 (6.11b)', permanent: 1, event: 'accidental' }),
  ...expand(annex, cases, { ...common, others: quasiPermanent, id: '6.12b', clause: 'EN 1990 (6.12b)', permanent: 1, event: 'seismic' }),
];

const SERVICE = { basis: 'service', purpose: 'service', permanent: 1 } as const;
const SERVICE_PATTERNS: Readonly<Record<ServiceLevel, Pattern>> = {
  characteristic: { ...SERVICE, ...factored(1), id: 'characteristic', clause: 'EN 1990 (6.14b)' },
  frequent: { ...SERVICE, ...frequent, id: 'frequent', clause: 'EN 1990 (6.15b)' },
  quasiPermanent: { ...SERVICE, others: quasiPermanent, id: 'quasi-permanent', clause: 'EN 1990 (6.16b)' },
};

const rules = (annex: ActionsAnnex, rule: '6.10' | '6.10ab'): LoadRules => ({
  source: 'EN 1990',
  strength: (cases) => {
    const common = { ...factored(annex.gammaQ), basis: 'factored', purpose: 'strength', permanentIs: 'unfavourable' } as const;
    const heavy: Combination[] =
      rule === '6.10'
        ? expand(annex, cases, { ...common, id: '6.10', clause: 'EN 1990 (6.10)', permanent: annex.gammaG })
        : [
            ...expand(annex, cases, { ...common, id: '6.10a', clause: 'EN 1990 (6.10a)', permanent: annex.gammaG, leading: undefined }),
            ...expand(annex, cases, { ...common, id: '6.10b', clause: 'EN 1990 (6.10b)', permanent: annex.xi * annex.gammaG }),
          ];
    // permanent load is of one source: where it helps, all of it counts once (table A1.2(B), note 3), beside every leading action
    const light = cases.some((c) => isVariable(c) || c.nature === 'settlement')
      ? expand(annex, cases, {
          ...common,
          id: `${rule === '6.10' ? '6.10' : '6.10b'} light`,
          clause: rule === '6.10' ? 'EN 1990 (6.10)' : 'EN 1990 (6.10b)',
          permanent: 1,
          permanentIs: 'favourable',
        })
      : [];
    return [...heavy, ...light, ...events(annex, cases, { basis: 'factored', purpose: 'strength' })];
  },
  serviceLevels: SERVICE_LEVELS,
  service: (cases, level = 'characteristic') => expand(annex, cases, SERVICE_PATTERNS[level]),
  lifting: (cases) => [
    ...expand(annex, cases, {
      ...factored(annex.gammaQ),
      id: 'EQU',
      clause: annex.equilibrium.source,
      basis: 'overturning',
      purpose: 'lifting',
      permanent: annex.equilibrium.unfavourable,
      favourablePermanent: annex.equilibrium.favourable,
    }),
    ...events(annex, cases, { basis: 'overturning', purpose: 'lifting' }),
  ],
});

/** The two ways of combining that EN 1990 leaves to the annex, both offered. */
export const philosophiesOf = (annex: ActionsAnnex): readonly Philosophy[] => [
  { id: '6.10', title: 'limit state, expression 6.10', basis: 'factored', rules: rules(annex, '6.10') },
  { id: '6.10ab', title: 'limit state, expressions 6.10a and 6.10b', basis: 'factored', rules: rules(annex, '6.10ab') },
];
