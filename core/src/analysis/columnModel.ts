import { caseIn, groupOf, isPermanent, sensesOf, unitOf, type Combination, type LoadCase, type LoadCases } from '../load';
import type { MemberLedger } from '../takedown';
import { extremeSets, NO_FORCES, type EndSet } from './endForces';
import { distinctFor, namedLoadings, type Loading } from './loading';
import type { NamedPart } from './loadingName';
import { hasAlternatives, MOMENT_GROWTHS, pickParts } from './pick';

/** A beam that bears off the axis of a column. */
export interface OffAxisBearing {
  /** Number of its arrival in the column's ledger. */
  readonly arrival: number;
  /** The level at which it bears. */
  readonly level: string;
  /** The axis about which it bends the column. */
  readonly axis: 'major' | 'minor';
  /** Moment in this length of the column by a unit of its reaction, mm, signed. */
  readonly arm: number;
}

/** Moments of beams that bear off the axis, Nmm, signed: about each axis the largest of any level. */
export interface EndMoments {
  readonly major: number;
  readonly minor: number;
}

/** Forces of a column under a loading. */
export interface ColumnForces {
  /** Compression positive, N. */
  readonly axial: number;
  /** Left out where nothing bears off the axis. */
  readonly moments?: EndMoments;
}

/** How much of a column a newton of compression, of tension, and a newton-millimetre about either axis use by itself. */
export interface ColumnWeights {
  readonly pressed: number;
  readonly drawn: number;
  readonly major: number;
  readonly minor: number;
}

/** What is there or not as a whole: what presses, or what relieves, of the cases that act together; of permanent load both. */
export interface ColumnPart extends NamedPart {
  /** Unfactored, N, compression positive. */
  readonly axial: number;
  /** What a reduction of imposed load takes from `axial` for the column itself, by case, N. */
  readonly less: readonly { readonly caseId: string; readonly force: number }[];
  /** Reaction of each bearing, N, pressing positive. */
  readonly reactions: readonly number[];
}

/** What a reduction of imposed load takes from a column, as `design` works it out. */
export interface LessAxial {
  readonly less: Readonly<Record<string, number>>;
  /** Not where a psi reduces the case. */
  readonly notWithPsi: boolean;
}

/** A moment about an axis at a level, by part. */
interface LevelMoment {
  readonly axis: 'major' | 'minor';
  readonly level: string;
  readonly values: readonly number[];
}

/** A part of the sum of what acts below which a value is rounding. */
const ROUNDING = 1e-9;

/** A column, and all that lands on it, under any combination: its axial force with the moments of beams that bear off its axis, at once. */
export class ColumnModel {
  readonly parts: readonly ColumnPart[];
  private readonly moments: readonly LevelMoment[];
  /** Everything presses and bends one way at each level: all of it adds to everything. */
  private readonly addsUp: boolean;

  /**
   * @param bearings beams that bear off the axis
   * @param cases the load cases of the project
   */
  constructor(
    ledger: MemberLedger,
    readonly bearings: readonly OffAxisBearing[],
    cases: LoadCases,
    private readonly reduction: LessAxial | null,
  ) {
    this.parts = partsOf(ledger, bearings, cases, reduction);
    this.moments = levelMoments(bearings, this.parts);
    this.addsUp =
      this.parts.length > 0 &&
      this.parts.every(({ axial }) => axial >= 0) &&
      !hasAlternatives(this.parts) &&
      this.moments.every(({ values }) => values.every((value) => value >= 0) || values.every((value) => value <= 0));
  }

  /** The combinations that differ in what this column feels. */
  distinct(combinations: readonly Combination[]): Combination[] {
    const cases = [...new Set(this.parts.map(({ loadCase }) => loadCase.id))];
    return distinctFor(cases, combinations, this.reduction?.notWithPsi ? Object.keys(this.reduction.less) : []);
  }

  /** Unfactored axial force of a part as a combination sees it, N. */
  axialOf({ axial, less }: ColumnPart, { accompanying }: Combination): number {
    let force = axial;
    for (const { caseId, force: taken } of less) if (!(this.reduction!.notWithPsi && accompanying?.includes(caseId))) force -= taken;
    return force;
  }

  /** The parts that act under a loading, each with its factor. */
  partsUnder({ combination, present }: Loading): { readonly part: ColumnPart; readonly factor: number }[] {
    return this.parts.flatMap((part, i) => {
      const factor = combination.factors[part.loadCase.id] ?? 0;
      return factor === 0 || !present[i] ? [] : [{ part, factor }];
    });
  }

  /** Axial force and moments that act at once under a loading. */
  forces(loading: Loading): ColumnForces {
    const acting = this.partsUnder(loading);
    const axial = acting.reduce((sum, { part, factor }) => sum + factor * this.axialOf(part, loading.combination), 0);
    if (this.bearings.length === 0) return { axial };
    const factors = this.factorsUnder(loading);
    const largest = (wanted: 'major' | 'minor') => {
      let found = 0;
      for (const { axis, values } of this.moments)
        if (axis === wanted) {
          const sum = values.reduce((total, value, i) => total + factors[i]! * value, 0);
          if (Math.abs(sum) > Math.abs(found)) found = sum;
        }
      // rounding of two equal reactions is no moment
      return Math.abs(found) < 1 ? 0 : found;
    };
    return { axial, moments: { major: largest('major'), minor: largest('minor') } };
  }

  private factorsUnder({ combination, present }: Loading): number[] {
    return this.parts.map(({ loadCase }, i) => (present[i] ? (combination.factors[loadCase.id] ?? 0) : 0));
  }

  /**
   * The loadings of a combination under which the column is pressed most, lifted most, or used most by axial force and moments together, of either sign and of
   * any level: variable parts that take from it are left out of each, of alternatives one acts. None where a combination counts permanent load as the opposite
   * of what it is to all of these.
   * @param weights asked only where a part adds to one force and takes from another
   */
  loadings(combination: Combination, weights: () => ColumnWeights): Loading[] {
    const factors = this.parts.map(({ loadCase }) => combination.factors[loadCase.id] ?? 0);
    if (this.addsUp) {
      const isAny = combination.permanent !== 'favourable' && factors.some((factor) => factor !== 0);
      return isAny ? [{ combination, present: this.parts.map(() => true) }] : [];
    }
    const axials = this.parts.map((part, i) => factors[i]! * this.axialOf(part, combination));
    const nothing = ROUNDING * axials.reduce((sum, value) => sum + Math.abs(value), 0);
    const found = new Map<string, boolean[]>();
    const pick = (values: readonly number[], small: number) => {
      const picked = pickParts(this.parts, values, combination.permanent, small);
      if (picked) found.set(picked.map(Number).join(''), picked);
      return picked;
    };
    pick(axials, nothing);
    const lifted = axials.map((value) => -value);
    const lifts = pick(lifted, nothing) !== null;
    const moments = this.moments.map(({ axis, values }) => ({ axis, values: values.map((value, i) => factors[i]! * value) }));
    for (const pair of pairs(moments))
      for (const senses of sensesOfPair(pair))
        for (const pressed of lifts ? [true, false] : [true]) {
          const axial = pressed ? axials : lifted;
          const turned = pair.map(({ values }, k) => values.map((value) => senses[k]! * value));
          // what adds to all, or takes from all, is chosen whatever the weights
          let [agrees, variableAgrees] = [true, true];
          for (let i = 0; i < this.parts.length; i += 1) {
            let [rises, falls] = [axial[i]! > 0, axial[i]! < 0];
            for (const values of turned) {
              if (values[i]! > 0) rises = true;
              else if (values[i]! < 0) falls = true;
            }
            if (!(rises && falls)) continue;
            agrees = false;
            if (!this.parts[i]!.isPermanent) variableAgrees = false;
          }
          const { pressed: n, drawn: t, major, minor } = agrees ? EVEN : weights();
          for (const [growMajor, growMinor] of variableAgrees ? ONE_GROWTH : MOMENT_GROWTHS) {
            const values = this.parts.map((_, i) =>
              pair.reduce(
                (sum, { axis }, k) => sum + (axis === 'major' ? growMajor * major : growMinor * minor) * turned[k]![i]!,
                (pressed ? n : t) * axial[i]!,
              ),
            );
            pick(values, ROUNDING * values.reduce((sum, value) => sum + Math.abs(value), 0));
          }
        }
    return namedLoadings(combination, this.parts, factors, found.values(), 1);
  }

  /**
   * Sets of forces at its foot under which the force is largest in either sense, imposed load unreduced. Nominal moments of beams that bear beside its axis have
   * died out there, and nothing produces a shear.
   */
  footSets(combinations: readonly Combination[]): EndSet[] {
    const alone = this.parts.map(({ axial }) => ({ ...NO_FORCES, N: axial }));
    return extremeSets(this.parts, alone, this.distinct(combinations), 1);
  }

  /** Every loading of combinations under which something is largest; of a column without load the first combination. */
  everyLoading(combinations: readonly Combination[], weights: () => ColumnWeights): readonly Loading[] {
    const distinct = this.distinct(combinations);
    let known: ColumnWeights | undefined;
    const found = distinct.flatMap((combination) => this.loadings(combination, () => (known ??= weights())));
    return found.length > 0 ? found : distinct.slice(0, 1).map((combination) => ({ combination, present: this.parts.map(() => true) }));
  }
}

const ONE_GROWTH = MOMENT_GROWTHS.slice(0, 1);

/** Any weights will do where all that a part brings has one sign. */
const EVEN: ColumnWeights = { pressed: 1, drawn: 1, major: 1, minor: 1 };

function partsOf(
  ledger: MemberLedger,
  bearings: readonly OffAxisBearing[],
  cases: LoadCases,
  reduction: LessAxial | null,
): readonly ColumnPart[] {
  const parts = new Map<string, ColumnPart & { axial: number; less: { caseId: string; force: number }[]; reactions: number[] }>();
  const add = (loadCase: LoadCase, sense: 1 | -1, presses: boolean, axial: number, reactions: readonly number[], less: number) => {
    if (axial === 0 && reactions.every((value) => value === 0)) return;
    const unit = `${unitOf(loadCase)} ${sense}`;
    const key = `${unit} ${presses}`;
    let part = parts.get(key);
    if (!part)
      parts.set(
        key,
        (part = {
          loadCase,
          isPermanent: isPermanent(loadCase.nature),
          sense,
          oneOf: groupOf(loadCase),
          unit,
          span: null,
          presses,
          axial: 0,
          less: [],
          reactions: bearings.map(() => 0),
        }),
      );
    part.axial += axial;
    reactions.forEach((value, b) => (part.reactions[b]! += value));
    if (less !== 0) part.less.push({ caseId: loadCase.id, force: less });
  };
  for (const caseId in ledger.sum) {
    const loadCase = caseIn(cases, caseId);
    const at = (of: 'byCase' | 'adverse') => bearings.map(({ arrival }) => ledger.arrivals[arrival]![of][caseId] ?? 0);
    const net = at('byCase');
    if (isPermanent(loadCase.nature)) {
      add(loadCase, 1, true, ledger.sum[caseId]!, net, 0);
      continue;
    }
    const adverse = at('adverse');
    // what is left of a difference of equal numbers relieves nothing
    const relief = (whole: number, presses: number) => (Math.abs(whole - presses) <= ROUNDING * Math.abs(presses) ? 0 : whole - presses);
    const relieves = relief(ledger.sum[caseId]!, ledger.adverse[caseId] ?? 0);
    const relievesAt = net.map((value, b) => relief(value, adverse[b]!));
    const pressing = { axial: ledger.adverse[caseId] ?? 0, reactions: adverse };
    const relieving = { axial: relieves, reactions: relievesAt };
    for (const sense of sensesOf(loadCase)) {
      // turned round, what relieves presses
      const [presses, lifts] = sense > 0 ? [pressing, relieving] : [relieving, pressing];
      const turned = ({ axial, reactions }: typeof pressing) => [sense * axial, reactions.map((value) => sense * value)] as const;
      add(loadCase, sense, true, ...turned(presses), sense > 0 ? (reduction?.less[caseId] ?? 0) : 0);
      add(loadCase, sense, false, ...turned(lifts), 0);
    }
  }
  return [...parts.values()];
}

function levelMoments(bearings: readonly OffAxisBearing[], parts: readonly ColumnPart[]): LevelMoment[] {
  const found = new Map<string, LevelMoment & { values: number[] }>();
  bearings.forEach(({ level, axis, arm }, b) => {
    const key = `${axis} ${level}`;
    let moment = found.get(key);
    if (!moment) found.set(key, (moment = { axis, level, values: parts.map(() => 0) }));
    parts.forEach(({ reactions }, i) => (moment.values[i]! += arm * reactions[b]!));
  });
  return [...found.values()];
}

type Moment = Pick<LevelMoment, 'axis' | 'values'>;

/** Moments that an interaction takes together: each by itself, and one about each axis, of any level. */
function pairs(moments: readonly Moment[]): (readonly Moment[])[] {
  const [major, minor] = (['major', 'minor'] as const).map((wanted) =>
    moments.filter(({ axis, values }) => axis === wanted && values.some((value) => value !== 0)),
  ) as [Moment[], Moment[]];
  if (major.length === 0 || minor.length === 0) return [...major, ...minor].map((moment) => [moment]);
  return major.flatMap((y) => minor.map((z) => [y, z]));
}

/** Signs that each moment of a pair can have: one where all parts bend one way, for the other then adds to nothing. */
function sensesOfPair(pair: readonly Moment[]): (readonly (1 | -1)[])[] {
  const senses = pair.map(({ values }): readonly (1 | -1)[] => {
    const [up, down] = [values.some((value) => value > 0), values.some((value) => value < 0)];
    return up && down ? [1, -1] : [up ? 1 : -1];
  });
  return senses.reduce<(readonly (1 | -1)[])[]>((all, some) => all.flatMap((one) => some.map((sense) => [...one, sense])), [[]]);
}
