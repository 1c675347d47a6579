import { MOMENT_GROWTHS, pickParts, type Pickable } from '../analysis';
import { areAlternatives, caseOf, isPermanent, type Combination, type LoadCase } from '../load';
import type { Sheet } from '../sheet';
import { middleOf, type ForceSet, type Forces, type NamedForces } from './forces';

/** Forces of a member one after the other: axial, moments about both axes at start, middle and end, shears, torque. */
const COMPONENTS: readonly { readonly symbol: string; readonly kind: 'force' | 'moment'; readonly of: (set: Forces) => number }[] = [
  { symbol: 'N', kind: 'force', of: ({ axial }) => axial },
  { symbol: 'M_ys', kind: 'moment', of: ({ major }) => major.start },
  { symbol: 'M_ym', kind: 'moment', of: ({ major }) => middleOf(major) },
  { symbol: 'M_ye', kind: 'moment', of: ({ major }) => major.end },
  { symbol: 'M_zs', kind: 'moment', of: ({ minor }) => minor.start },
  { symbol: 'M_zm', kind: 'moment', of: ({ minor }) => middleOf(minor) },
  { symbol: 'M_ze', kind: 'moment', of: ({ minor }) => minor.end },
  { symbol: 'V', kind: 'force', of: ({ shear }) => shear },
  { symbol: 'V_z', kind: 'force', of: ({ shearAcross }) => shearAcross },
  { symbol: 'T', kind: 'moment', of: ({ torsion }) => torsion },
];
/** Moments of which one axis of an interaction is read: at a place, or even along the member, under which it buckles most. */
const MAJOR = [[1], [2], [3], [1, 3]] as const;
const MINOR = [[4], [5], [6], [4, 6]] as const;

/** How much of a member a unit of axial force, of moment about either axis, uses by itself: weights of its interactions. */
export interface Weights {
  readonly axial: number;
  readonly major: number;
  readonly minor: number;
}

/** One set, or the sets of one action, which are there all at once; as typed or turned round, each with the notional loads that it causes. */
interface Part extends Pickable {
  readonly sets: readonly ForceSet[];
  readonly notional: readonly ForceSet[];
  readonly sign: 1 | -1;
  readonly caseId: string;
}

export const caseOfSet = ({ nature, use }: ForceSet): LoadCase => caseOf(nature, nature === 'imposed' ? use : undefined);

/** The load cases of sets, each once. */
export const casesOf = (sets: readonly ForceSet[]): LoadCase[] => [
  ...new Map(sets.map(caseOfSet).map((found) => [found.id, found])).values(),
];

/** The set that causes a notional one. */
export const causeOf = ({ notionalOf }: ForceSet, sets: readonly ForceSet[]): ForceSet | undefined =>
  sets.find((other) => !other.notionalOf && other.name === notionalOf);

function partsOf(sets: readonly ForceSet[]): Part[] {
  const groups = new Map<string, { readonly sets: ForceSet[]; readonly notional: ForceSet[] }>();
  for (const set of sets) {
    const cause = causeOf(set, sets) ?? set;
    const action = cause.action ? `action ${cause.action}` : `set ${sets.indexOf(cause)}`;
    const group = groups.get(action) ?? { sets: [], notional: [] };
    groups.set(action, group);
    (cause === set ? group.sets : group.notional).push(set);
  }
  return [...groups].flatMap(([action, group]) => {
    const { nature, bothWays } = group.sets[0]!;
    const of = {
      ...group,
      caseId: caseOfSet(group.sets[0]!).id,
      isPermanent: isPermanent(nature),
      oneOf: areAlternatives(nature) ? nature : bothWays ? action : undefined,
    };
    const signs = bothWays ? ([1, -1] as const) : ([1] as const);
    return signs.map((sign) => ({ ...of, sign, unit: `${action} ${sign}` }));
  });
}

/** Sums of forces by which sets are picked: each component by itself, and interactions with every pairing of signs and places. */
function functionals({ axial, major, minor }: Weights): number[][] {
  const row = (...entries: (readonly [number, number])[]) => {
    const found = COMPONENTS.map(() => 0);
    for (const [i, weight] of entries) found[i] = weight;
    return found;
  };
  const list = COMPONENTS.map((_, i) => row([i, 1]));
  const at = (places: readonly number[], weight: number) => places.map((place) => [place, weight / places.length] as const);
  const signs = [1, -1];
  for (const [gy, gz] of MOMENT_GROWTHS)
    for (const y of MAJOR)
      for (const z of minor === 0 ? MINOR.slice(0, 1) : MINOR)
        for (const a of signs)
          for (const b of minor === 0 ? [1] : signs) list.push(row([0, axial], ...at(y, a * gy * major), ...at(z, b * gz * minor)));
  return list;
}

const nameOf = (set: ForceSet, sets: readonly ForceSet[]) => set.name || `set ${sets.indexOf(set) + 1}`;

/**
 * Unfactored sets of one load case each, combined: for each combination the sums under which each force, and each interaction of axial force and
 * moments, is largest. Variable sets that take from it are left out, those of one action together, of several of wind, snow or earthquake one acts at a time, and one that acts both
 * ways may be turned round, all its forces together. A notional load goes with what causes it, each to the side on which it adds.
 */
export function combinedForces(sets: readonly ForceSet[], combinations: readonly Combination[], weights: Weights): NamedForces[] {
  const parts = partsOf(sets);
  const rowOf = (set: ForceSet) => COMPONENTS.map(({ of }) => of(set));
  const table = parts.map(({ sets: members, sign }) => COMPONENTS.map(({ of }) => sign * members.reduce((sum, set) => sum + of(set), 0)));
  const notional = parts.map((part) => part.notional.map(rowOf));
  const wanted = functionals(weights);
  return combinations.flatMap((combination) => {
    const factors = parts.map(({ caseId }) => combination.factors[caseId] ?? 0);
    const found = new Map<string, { readonly present: boolean[]; readonly sides: (1 | -1)[][] }>();
    for (const functional of wanted) {
      const by = (row: readonly number[]) => row.reduce((sum, value, k) => sum + functional[k]! * value, 0);
      const own = table.map((row, i) => factors[i]! * by(row));
      const leaning = notional.map((rows, i) => rows.map((row) => factors[i]! * by(row)));
      const added = leaning.map((values) => values.reduce((sum, value) => sum + Math.abs(value), 0));
      const nothing = 1e-9 * own.reduce((sum, value, i) => sum + Math.abs(value) + added[i]!, 0);
      for (const sense of [1, -1]) {
        const picked = pickParts(
          parts,
          own.map((value, i) => sense * value + added[i]!),
          combination.permanent,
          nothing,
        );
        const present = picked?.map((is, i) => is && factors[i] !== 0);
        if (!present) continue;
        const sides = leaning.map((values, i) => (present[i] ? values.map((value) => (sense * value < 0 ? -1 : 1)) : []));
        found.set(`${present.map(Number).join('')} ${sides.flat().join('')}`, { present, sides });
      }
    }
    return [...found.values()].map(({ present, sides }) => {
      const acting = parts.flatMap(({ sets: members, notional: caused, sign }, i) => {
        if (!present[i]) return [];
        const one = (set: ForceSet, side: 1 | -1) => ({ set, sign: side, factor: factors[i]! * side });
        return [...members.map((set) => one(set, sign)), ...caused.map((set, n) => one(set, sides[i]![n]!))];
      });
      const sum = (value: (set: ForceSet) => number) => acting.reduce((total, { set, factor }) => total + factor * value(set), 0);
      const three = (of: (set: ForceSet) => ForceSet['major']) => ({
        start: sum((set) => of(set).start),
        middle: sum((set) => middleOf(of(set))),
        end: sum((set) => of(set).end),
      });
      const absent = sets.filter((set) => combination.factors[caseOfSet(set).id] && !acting.some((one) => one.set === set));
      const turned = acting.filter(({ sign }) => sign < 0);
      const said = [
        ...(absent.length > 0 ? [`without ${absent.map((set) => nameOf(set, sets)).join(', ')}`] : []),
        ...turned.map(({ set }) => `${nameOf(set, sets)} the other way`),
      ];
      return {
        name: [combination.name, ...said].join(', '),
        clause: combination.clause,
        forces: {
          axial: sum((set) => set.axial),
          major: three((set) => set.major),
          minor: three((set) => set.minor),
          shear: sum((set) => set.shear),
          shearAcross: sum((set) => set.shearAcross),
          torsion: sum((set) => set.torsion),
        },
        record: (sheet: Sheet) => recordSum(acting, sets, sheet),
      };
    });
  });
}

const numbered = (symbol: string, i: number) => `${symbol}${symbol.includes('_') ? '' : '_'}${i + 1}`;

/** Every force from the forces of its cases, each with its factor. */
function recordSum(acting: readonly { readonly set: ForceSet; readonly factor: number }[], sets: readonly ForceSet[], sheet: Sheet): void {
  const scope = sheet.scope('Forces');
  acting.forEach(({ set, factor }, i) => scope.given(`gamma_${i + 1}`, factor, 'ratio', `factor of ${nameOf(set, sets)}`));
  for (const { symbol, kind, of } of COMPONENTS) {
    const terms = acting.map(({ set, factor }, i) => ({ set, factor, i, value: of(set) })).filter(({ value }) => value !== 0);
    if (terms.length === 0) continue;
    const inputs: Record<string, number> = {};
    for (const { set, factor, i, value } of terms) {
      const name = numbered(symbol, i);
      scope.given(name, value, kind, `${SAID[symbol]}, ${nameOf(set, sets)}`, 'analysis');
      Object.assign(inputs, { [`gamma_${i + 1}`]: factor, [name]: value });
    }
    scope.step(
      symbol,
      terms.map(({ i }) => `gamma_${i + 1} * ${numbered(symbol, i)}`).join(' + '),
      inputs,
      terms.reduce((sum, { factor, value }) => sum + factor * value, 0),
      kind,
      'combination',
      SAID[symbol],
    );
  }
}

const SAID: Readonly<Record<string, string>> = {
  N: 'axial force, compression positive',
  M_ys: 'moment about the major axis, start',
  M_ym: 'moment about the major axis, middle',
  M_ye: 'moment about the major axis, end',
  M_zs: 'moment about the minor axis, start',
  M_zm: 'moment about the minor axis, middle',
  M_ze: 'moment about the minor axis, end',
  V: 'shear along the depth',
  V_z: 'shear across the depth',
  T: 'torque',
};
