import { BadInput } from '../error';
import { isPermanent } from '../load';
import type { SteelGrade } from '../material';
import type { Section } from '../section';
import { type Check, type Sheet } from '../sheet';
import {
  momentAt,
  peakBetween,
  rangeOf,
  type MemberActions,
  type MomentShape,
  type Philosophy,
  type Segment,
  type Standard,
} from '../standard';
import { caseOfSet, casesOf, causeOf, combinedForces, type Weights } from './combinedForces';
import { middleOf, type Forces, type ForceSet, type NamedForces, type ThreeMoments } from './forces';
import { mergeWorst } from './result';
import { whyUncombined } from './uncombined';

/**
 * How end forces are given. sets: each already combined, its forces at once. envelope: already combined, the greatest and least of each over the
 * rows, which need not occur together. cases: unfactored, one set for each load case, combined here by the rules of the philosophy.
 */
export const FORCES_GIVEN = ['sets', 'envelope', 'cases'] as const;
export type ForcesGiven = (typeof FORCES_GIVEN)[number];

/** What the sheet says of each. */
export const GIVEN_WORDS: Record<ForcesGiven, { readonly title: string; readonly text: string; readonly reason: string }> = {
  sets: {
    title: 'sets that act at once, already combined',
    text: 'Each set of forces acts at once and is already combined.',
    reason: 'Typed from an analysis: its load factors and its second-order effects are not checked here.',
  },
  envelope: {
    title: 'an envelope of peaks, already combined',
    text: 'The forces are the peaks of an envelope, already factored; they are taken together though they need not occur together.',
    reason:
      'Every pairing of greatest and least is tried, each moment constant along the member at its largest: on the safe side, and often far on it.',
  },
  cases: {
    title: 'sets by load case, unfactored',
    text: 'Each set of forces is of one load case and unfactored; all of a case act at once.',
    reason:
      'They are combined by the rules named: the analysis has to be linear, for sums of second-order effects are not the effects of sums.',
  },
};

export interface ForcedMember {
  readonly section: Section;
  readonly grade: SteelGrade;
  /** Effective lengths, mm: major axis, minor axis, twisting. */
  readonly lengthY: number;
  readonly lengthZ: number;
  readonly lengthT: number;
  /** Over which its moments are given, mm. */
  readonly length: number;
  /** Between lateral restraints, mm; 0: held along its length. */
  readonly unbraced: number;
  readonly netArea: number | null;
  readonly untwisted: boolean;
}

const largest = (values: readonly number[]) => values.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);

function shaped(moments: ThreeMoments): MomentShape {
  const shape = { start: moments.start, middle: middleOf(moments), end: moments.end };
  return { ...shape, peak: peakBetween(shape) };
}

/** Restraints closer than this part of the length are taken for what they are: held along its length, and typed as such. */
const CLOSEST = 1 / 100;

/**
 * Stretches between lateral restraints, each with its own moments. Where restraints stand closer than the length, they stand at that spacing from
 * one end and, where the length is no multiple of it, from the other as well: the stretches of both are checked.
 * @throws BadInput when restraints stand so close that the member is held along its length
 */
function segmentsOf(major: MomentShape, length: number, unbraced: number): Segment[] {
  if (unbraced === 0 || major.peak === 0) return [];
  const segment = (from: number, to: number): Segment => {
    const [a, b] = [from / length, to / length];
    const at = (part: number) => momentAt(major, a + (b - a) * part);
    return {
      from,
      to,
      peak: peakBetween(major, a, b),
      quarters: [at(0.25), at(0.5), at(0.75)],
      ends: [at(0), at(1)],
      freeTip: false,
      tensionFlangeHeld: false,
    };
  };
  // held nowhere between its ends, or beyond them: the whole diagram, over the length that buckles
  if (unbraced >= length * (1 - 1e-9)) return [{ ...segment(0, length), to: unbraced }];
  if (unbraced < length * CLOSEST)
    throw new BadInput('lateral restraints closer than a hundredth of the length hold it along its length: type 0', 'unbraced');
  const spaces = Math.ceil(length / unbraced - 1e-9);
  const fromStart = Array.from({ length: spaces }, (_, n) => [n * unbraced, Math.min(length, (n + 1) * unbraced)] as const);
  const isMultiple = Math.abs(spaces * unbraced - length) <= 1e-9 * length;
  const fromEnd = isMultiple ? [] : fromStart.map(([from, to]) => [length - to, length - from] as const);
  return [...fromStart, ...fromEnd].map(([from, to]) => segment(from, to)).filter(({ peak }) => peak !== 0);
}

/** Forces of one set as a family's check wants them. length: over which the moments are given, mm; unbraced: between lateral restraints, mm. */
export function actionsOf(
  set: Forces,
  { length, unbraced }: Pick<ForcedMember, 'length' | 'unbraced'>,
  basis: MemberActions['basis'],
  combination: string,
): MemberActions {
  const major = shaped(set.major);
  return {
    basis,
    combination,
    axial: set.axial,
    major,
    minor: shaped(set.minor),
    shear: set.shear,
    shearAcross: set.shearAcross,
    torsion: set.torsion,
    segments: segmentsOf(major, length, unbraced),
  };
}

const constant = (value: number): ThreeMoments => ({ start: value, middle: value, end: value });

/** Steps from the greatest to the least axial force of an envelope: with n steps a smooth worst case is missed by some 0.3/n^2 of it at most. */
const BETWEEN = 64;

/**
 * Axial forces that an envelope is tried with, greatest first, N: its ends, steps between them, and those of the rows themselves. An interaction
 * need not be worst at an end of the range: the exponent 5n of EN 1993-1-1 6.2.9.1 grows with the axial force.
 */
function axialsOf(rows: readonly ForceSet[]): number[] {
  const own = rows.map(({ axial }) => axial);
  const [most, least] = [Math.max(...own), Math.min(...own)];
  const steps = Array.from({ length: BETWEEN + 1 }, (_, i) => most + ((least - most) * i) / BETWEEN);
  return [...new Set([...own, ...(most === least ? [] : steps)])].sort((a, b) => b - a);
}

/** Every pairing of axial forces between the greatest and the least with the greatest and least of both moments, with the largest shears. */
function corners(rows: readonly ForceSet[]): NamedForces[] {
  const signs = (of: (row: ForceSet) => ThreeMoments) => {
    const all = rows.flatMap((row) => rangeOf(shaped(of(row))));
    const found = [Math.max(0, ...all), Math.min(0, ...all)].filter((value) => value !== 0);
    return found.length > 0 ? found : [0];
  };
  const [shear, shearAcross, torsion] = (['shear', 'shearAcross', 'torsion'] as const).map((name) =>
    largest(rows.map((row) => row[name])),
  ) as [number, number, number];
  const axials = axialsOf(rows);
  const share = (axial: number) => `${Math.round((100 * (axials[0]! - axial)) / (axials[0]! - axials.at(-1)!))} % of the way to the least`;
  return axials.flatMap((axial, i) =>
    signs((row) => row.major).flatMap((major) =>
      signs((row) => row.minor).map((minor) => ({
        name: `envelope: ${i === 0 ? 'greatest' : i === axials.length - 1 ? 'least' : share(axial)} axial force, ${major < 0 ? 'hogging' : 'sagging'}${minor === 0 ? '' : `, minor axis ${minor < 0 ? 'negative' : 'positive'}`}`,
        clause: 'peaks taken together',
        forces: { axial, major: constant(major), minor: constant(minor), shear, shearAcross, torsion },
      })),
    ),
  );
}

/** How much of the member a unit of each force uses by itself, measured by the largest of it that the sets have together. */
function weightsOf(sets: readonly ForceSet[], check: (forces: Forces) => readonly Check[]): Weights {
  const none: ThreeMoments = { start: 0, middle: 0, end: 0 };
  const still: Forces = { axial: 0, major: none, minor: none, shear: 0, shearAcross: 0, torsion: 0 };
  const used = (unit: number, forces: Partial<Forces>) => {
    if (unit === 0) return 0;
    const uses = check({ ...still, ...forces }).map(({ utilisation }) => utilisation ?? 0);
    return Math.max(0, ...uses) / unit;
  };
  const total = (of: (set: ForceSet) => number) => sets.reduce((sum, set) => sum + Math.abs(of(set)), 0);
  const moment = (of: (set: ForceSet) => ThreeMoments) =>
    Math.max(...[(m: ThreeMoments) => m.start, middleOf, (m: ThreeMoments) => m.end].map((at) => total((set) => at(of(set)))));
  const [axial, major, minor] = [total((set) => set.axial), moment((set) => set.major), moment((set) => set.minor)];
  return {
    axial: used(axial, { axial }),
    major: used(major, { major: constant(major) }),
    minor: used(minor, { minor: constant(minor) }),
  };
}

/** Sets that are combined already; one that acts both ways is looked at turned round as well. */
function asGiven(sets: readonly ForceSet[]): NamedForces[] {
  const opposite = (value: number) => (value === 0 ? 0 : -value);
  const turned = (moments: ThreeMoments): ThreeMoments => ({
    start: opposite(moments.start),
    middle: opposite(middleOf(moments)),
    end: opposite(moments.end),
  });
  return sets.flatMap((set, i) => {
    const { axial, major, minor, shear, shearAcross, torsion } = set;
    const name = set.name || `set ${i + 1}`;
    const one: NamedForces = { name, clause: 'as typed', forces: { axial, major, minor, shear, shearAcross, torsion } };
    if (!set.bothWays) return [one];
    const forces = {
      axial: opposite(axial),
      major: turned(major),
      minor: turned(minor),
      shear: opposite(shear),
      shearAcross: opposite(shearAcross),
      torsion: opposite(torsion),
    };
    return [one, { name: `${name}, the other way`, clause: 'as typed, all its forces turned round', forces }];
  });
}

/** @throws BadInput where a notional set names no cause, or says of itself what follows from its cause */
function requireCauses(given: ForcesGiven, sets: readonly ForceSet[]): void {
  for (const [i, set] of sets.entries()) {
    if (!set.notionalOf) continue;
    const path = `sets.${i}`;
    if (given !== 'cases')
      throw new BadInput(
        'Notional loads are told from others where forces are given by load case: these are already combined',
        `${path}.notionalOf`,
      );
    const causes = sets.filter(({ name, notionalOf }) => name === set.notionalOf && !notionalOf);
    if (causes.length === 0)
      throw new BadInput(`No set is called "${set.notionalOf}", or it is a notional one itself`, `${path}.notionalOf`);
    if (causes.length > 1) throw new BadInput(`${causes.length} sets are called "${set.notionalOf}"`, `${path}.notionalOf`);
    if (set.bothWays) throw new BadInput('A notional load acts to both sides as it is', `${path}.bothWays`);
    if (set.action) throw new BadInput('A notional load is there with its vertical load: it has no action of its own', `${path}.action`);
    const cause = causeOf(set, sets)!;
    if (caseOfSet(set).id !== caseOfSet(cause).id) throw new BadInput(`It is of the load case of ${cause.name}`, `${path}.nature`);
  }
}

/**
 * Everything that sets of end forces make a member carry, by one philosophy: the worst of each check over all sets, pairings or combinations. On
 * the sheet all that govern some check are printed, after how the forces were given.
 * @throws BadInput without a set, or when no combination has a factor for one of the cases given
 */
export function forcedMember(
  standard: Standard,
  philosophy: Philosophy,
  member: ForcedMember,
  given: ForcesGiven,
  sets: readonly ForceSet[],
  sheet?: Sheet,
): Check[] {
  if (sets.length === 0) throw new BadInput('give at least one set of forces', 'sets');
  requireCauses(given, sets);
  const { text, reason } = GIVEN_WORDS[given];
  sheet?.assume(`forces-${given}`, text, reason);
  const turned = sets.findIndex(({ bothWays }) => bothWays);
  if (given === 'envelope' && turned >= 0)
    throw new BadInput('An envelope has its peaks of both signs: type them, no set acts both ways', `sets.${turned}.bothWays`);
  // permanent load is there in one sense: both at once would cancel
  const still = given === 'cases' ? sets.findIndex(({ bothWays, nature }) => bothWays && isPermanent(nature)) : -1;
  if (still >= 0)
    throw new BadInput('Permanent load acts one way: a case that is turned round is no permanent one', `sets.${still}.bothWays`);
  for (const [i, set] of sets.entries()) {
    const first = set.action ? sets.find(({ action }) => action === set.action)! : set;
    const differs = (['nature', 'use', 'bothWays'] as const).find((field) => (first[field] || undefined) !== (set[field] || undefined));
    if (differs)
      throw new BadInput(
        `Sets of the action ${set.action} are there all at once: they have one nature and use, and all of them act both ways or none`,
        `sets.${i}.${differs}`,
      );
  }
  if (sets.some(({ notionalOf }) => notionalOf))
    sheet?.note(
      'A notional load is there whenever its vertical load is, in every combination and with the same factor, and acts to the side on which it adds, each for itself: on the safe side where the standard takes one direction at a time, or none beside wind.',
    );
  if (turned >= 0)
    sheet?.note(
      'A set that acts both ways is looked at as typed and turned round: its axial force, shears, moments and torque change their sign together.',
    );
  const run = ({ name, forces }: Pick<NamedForces, 'name' | 'forces'>, inner?: Sheet) => {
    const { unbraced, length, ...rest } = member;
    return standard.steel.member({ ...rest, actions: actionsOf(forces, { length, unbraced }, philosophy.basis, name) }, philosophy, inner);
  };
  if (given === 'cases')
    sheet?.note(
      'Variable load that takes from a force, or from an interaction of forces, is left out of it; sets of one action all together. Of several cases of wind, of snow or of earthquake one acts at a time.',
    );
  const strength = given === 'cases' ? philosophy.rules.strength(casesOf(sets)) : [];
  if (given === 'cases')
    for (const [i, set] of sets.entries()) {
      const why = whyUncombined([caseOfSet(set)], strength, philosophy.rules.source);
      if (why !== null) throw new BadInput(why, `sets.${i}.nature`);
    }
  const all =
    given === 'sets'
      ? asGiven(sets)
      : given === 'envelope'
        ? corners(sets)
        : combinedForces(
            sets,
            strength,
            weightsOf(sets, (forces) => run({ name: '', forces })),
          );
  const check = (entry: NamedForces, inner?: Sheet) => {
    if (inner) entry.record?.(inner);
    return run(entry, inner);
  };
  const worst = new Map<string, Check>();
  // a set that does not govern by name is not printed: sets of one name are told apart by their place
  const named = all.map((entry, i) => ({
    ...entry,
    name: all.findIndex(({ name }) => name === entry.name) === i ? entry.name : `${entry.name} (${i + 1})`,
  }));
  for (const entry of named) mergeWorst(worst, check(entry));
  if (sheet) {
    const governs = new Set([...worst.values()].map(({ combination }) => combination));
    const printed = named.filter(({ name }) => governs.has(name));
    for (const entry of printed.length > 0 ? printed : named.slice(0, 1)) check(entry, sheet.scope(`${entry.name} (${entry.clause})`));
  }
  return [...worst.values()];
}
