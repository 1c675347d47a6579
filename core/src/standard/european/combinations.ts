import type { LoadCase, LoadRules, Combination, Nature, Use } from '../../load';
import { casesById, factorsFor, isPermanent } from '../../load';
import type { Philosophy } from '../standard';

/** Partial factors of EN 1990 table NA.A1.2(B), and of table A1.2(A) for equilibrium. */
export const GAMMA_G = 1.35;
export const GAMMA_Q = 1.5;
/** Reduction of unfavourable permanent load in 6.10b, UK annex. */
export const XI = 0.925;
const EQU_UNFAVOURABLE = 1.1;
const EQU_FAVOURABLE = 0.9;

/** Combination factor psi0, EN 1990 UK annex table NA.A1.1. */
const PSI0_USE: Record<Use, number> = { A: 0.7, B: 0.7, C: 0.7, D: 0.7, E: 1.0, F: 0.7, G: 0.7 };
const PSI0: Record<Exclude<Nature, 'permanent' | 'superimposed' | 'imposed' | 'seismic'>, number> = {
  roofImposed: 0.7,
  snow: 0.5,
  wind: 0.5,
};
/** Quasi-permanent factor psi2, same table. */
const PSI2_USE: Record<Use, number> = { A: 0.3, B: 0.3, C: 0.6, D: 0.6, E: 0.8, F: 0.6, G: 0.3 };

/** psi0 of a case; permanent load is not combined, seismic load has combinations of its own. */
export function psi0(loadCase: LoadCase): number {
  if (loadCase.nature === 'imposed') return PSI0_USE[loadCase.use ?? 'A'];
  return loadCase.nature === 'roofImposed' || loadCase.nature === 'snow' || loadCase.nature === 'wind' ? PSI0[loadCase.nature] : 1;
}

export function psi2(loadCase: LoadCase): number {
  return loadCase.nature === 'imposed' ? PSI2_USE[loadCase.use ?? 'A'] : 0;
}

const label = (loadCase: LoadCase) =>
  ({ permanent: 'G', superimposed: 'G', imposed: `Q(${loadCase.use})`, roofImposed: 'Q(roof)', snow: 'S', wind: 'W', seismic: 'E' })[
    loadCase.nature
  ];

/**
 * Sets of variable cases that may act together: imposed load on a roof is not combined with snow or wind, EN 1991-1-1 3.3.2(1).
 */
function variableSets(cases: readonly LoadCase[]): LoadCase[][] {
  const variable = cases.filter((c) => !isPermanent(c.nature) && c.nature !== 'seismic');
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
  readonly favourablePermanent?: number;
  readonly variable: number;
  /** Every variable case is reduced by psi0 and none leads (6.10a). */
  readonly noneLeads?: boolean;
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

/** Each variable action leads in turn, the others of its set accompany it with psi0. */
function expand(cases: readonly LoadCase[], pattern: Pattern): Combination[] {
  const result: Combination[] = [];
  const byId = casesById(cases);
  const seen = new Set<string>();
  for (const set of variableSets(cases)) {
    const leaders: (readonly LoadCase[])[] = pattern.noneLeads || set.length === 0 ? [[]] : leadersOf(set);
    for (const leading of leaders) {
      const factors = factorsFor(cases, (c) => {
        if (isPermanent(c.nature)) return pattern.permanent;
        if (!set.includes(c)) return 0;
        return pattern.variable * (leading.includes(c) ? 1 : psi0(c));
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
        accompanying: set.filter((c) => !leading.includes(c) && psi0(c) < 1).map((c) => c.id),
      });
    }
  }
  return result;
}

function seismic(cases: readonly LoadCase[]): Combination[] {
  if (!cases.some((c) => c.nature === 'seismic')) return [];
  const factors = factorsFor(cases, (c) => (isPermanent(c.nature) || c.nature === 'seismic' ? 1 : psi2(c)));
  const common = { basis: 'factored', clause: 'EN 1990 (6.12b)', purpose: 'strength', cases: casesById(cases) } as const;
  return [{ ...common, id: '6.12b', name: '6.12b: G + E + psi2 Q', factors }];
}

const rules = (rule: '6.10' | '6.10ab'): LoadRules => ({
  strength: (cases) => {
    const common = { basis: 'factored', purpose: 'strength', variable: GAMMA_Q, permanentIs: 'unfavourable' } as const;
    const heavy: Combination[] =
      rule === '6.10'
        ? expand(cases, { ...common, id: '6.10', clause: 'EN 1990 (6.10)', permanent: GAMMA_G })
        : [
            ...expand(cases, { ...common, id: '6.10a', clause: 'EN 1990 (6.10a)', permanent: GAMMA_G, noneLeads: true }),
            ...expand(cases, { ...common, id: '6.10b', clause: 'EN 1990 (6.10b)', permanent: XI * GAMMA_G }),
          ];
    // permanent load is of one source: where it helps, all of it counts once (table A1.2(B), note 3), beside every leading action
    const light = cases.some((c) => !isPermanent(c.nature) && c.nature !== 'seismic')
      ? expand(cases, {
          ...common,
          id: `${rule === '6.10' ? '6.10' : '6.10b'} light`,
          clause: rule === '6.10' ? 'EN 1990 (6.10)' : 'EN 1990 (6.10b)',
          permanent: 1,
          permanentIs: 'favourable',
        })
      : [];
    return [...heavy, ...light, ...seismic(cases)];
  },
  service: (cases) =>
    expand(cases, { id: 'characteristic', clause: 'EN 1990 (6.14b)', basis: 'service', purpose: 'service', permanent: 1, variable: 1 }),
  lifting: (cases) =>
    expand(cases, {
      id: 'EQU',
      clause: 'EN 1990 table NA.A1.2(A)',
      basis: 'overturning',
      purpose: 'lifting',
      permanent: EQU_UNFAVOURABLE,
      favourablePermanent: EQU_FAVOURABLE,
      variable: GAMMA_Q,
    }),
});

export const EUROPEAN_PHILOSOPHIES: readonly Philosophy[] = [
  { id: '6.10', title: 'limit state, expression 6.10', basis: 'factored', rules: rules('6.10') },
  { id: '6.10ab', title: 'limit state, expressions 6.10a and 6.10b', basis: 'factored', rules: rules('6.10ab') },
];
