import { defaultBrief, item, type Beam, type Brief, type Item } from '../building';
import { BadInput } from '../error';
import { askedOf, BEAM_INPUTS, type AskedOfBeam } from '../input';
import type { LoadNature, Use } from '../load';
import { STANDARDS, type Standard } from '../standard';
import { computeProject, sheetFor, type ProjectResult } from './project';

/** A load that somebody types on a beam; mm, N, N/mm, downward. */
export interface TypedLoad {
  readonly name: string;
  readonly nature: LoadNature;
  /** Use of an imposed load. */
  readonly use?: Use | undefined;
  readonly type: 'point' | 'line';
  /** Of a point load its place; of a line load its start and end. */
  readonly at: number;
  readonly to: number;
  readonly value: number;
}

/** A beam of any number of spans without a building. */
export interface TypedBeam extends Partial<AskedOfBeam> {
  readonly family: Standard['id'];
  readonly philosophy: string;
  readonly section: string;
  readonly grade: string;
  readonly length: number;
  /** From the start, mm. */
  readonly supports: readonly number[];
  readonly hinges: readonly number[];
  /** Places of those supports that hold it against turning, mm; left out: none does. */
  readonly fixed?: readonly number[];
  readonly restraint: Beam['restraint'];
  readonly restraintPoints: readonly number[];
  /** Places that hold one flange only. */
  readonly topPoints?: readonly number[];
  readonly bottomPoints?: readonly number[];
  readonly loadHeight: Beam['loadHeight'];
  /** Stiff length of its seats, mm; left out or null: connected through its web. */
  readonly seat?: number | null;
  /** What its deflection spares, and how it is made; left out: a floor, straight. */
  readonly serves?: Beam['serves'];
  readonly precamber?: number;
  readonly loads: readonly TypedLoad[];
  /** Value of variable load under which deflection is looked at; left out: characteristic. */
  readonly deflectionCombination?: Brief['deflectionCombination'];
  readonly limitVariable: number;
  readonly limitTotal: number;
  /** Limits however long the span, mm; left out or null: none. */
  readonly mostVariable?: number | null;
  readonly mostTotal?: number | null;
}

export const TYPED_BEAM = 'beam';

/**
 * A typed beam as the smallest project: one level, one beam, its loads. What designs a beam of a building then designs it.
 * @throws BadInput when a support or a load lies off the beam
 */
export function typedBeamItems(input: TypedBeam): Item[] {
  const { family, length } = input;
  if (!(length > 0)) throw new BadInput('a beam has a length above 0', 'length');
  if (input.supports.length === 0) throw new BadInput('a beam rests on something: name at least one support', 'supports');
  const off = (at: number) => at < -1e-6 || at > length + 1e-6;
  if (input.supports.some(off)) throw new BadInput('a support lies off the beam', 'supports');
  const levels: readonly string[] = STANDARDS[family].loads.philosophies[0]!.rules.serviceLevels;
  const level = input.deflectionCombination ?? 'characteristic';
  if (!levels.includes(level))
    throw new BadInput(
      `Deflection is looked at under ${levels.join(' or ')} load by these codes, not under ${level}`,
      'deflectionCombination',
    );
  const isFixed = (place: number) => (input.fixed ?? []).some((at) => Math.abs(at - place) < 1);
  const astray = (input.fixed ?? []).find((at) => !input.supports.some((place) => Math.abs(at - place) < 1));
  if (astray !== undefined) throw new BadInput(`nothing supports it at ${+(astray / 1000).toFixed(3)} m, where it is to be fixed`, 'fixed');
  for (const load of input.loads) {
    if (off(load.at) || (load.type === 'line' && off(load.to))) throw new BadInput(`"${load.name}" lies off the beam`, 'loads');
    if (load.type === 'line' && load.to <= load.at) throw new BadInput(`"${load.name}" ends before it starts`, 'loads');
  }
  const places = input.supports.map((at) => Math.min(length, Math.max(0, at)));
  return [
    item('brief', 'brief', {
      ...defaultBrief('Bench', family),
      combinationRule: input.philosophy as 'LRFD',
      deflectionVariable: input.limitVariable,
      deflectionTotal: input.limitTotal,
      deflectionMostVariable: input.mostVariable ?? null,
      deflectionMostTotal: input.mostTotal ?? null,
      deflectionCombination: level,
    }),
    item('level', 'level', { name: 'Bench', elevation: 0 }),
    // what it rests on is somebody else's to design: each support is a pad, so that its reaction arrives
    ...places.map((at, i) => item('footing', `support${i}`, { mark: `support ${i + 1}`, at: { x: at, y: 0 }, level: 'level' })),
    item('beam', TYPED_BEAM, {
      mark: 'Beam',
      level: 'level',
      from: { x: 0, y: 0 },
      to: { x: length, y: 0 },
      section: input.section,
      grade: input.grade,
      ownWeight: 0,
      supports: places.map((at, i) => ({ at, by: `support${i}`, fixed: isFixed(at) })),
      hinges: [...input.hinges],
      restraint: input.restraint,
      restraintPoints: [...input.restraintPoints],
      topPoints: [...(input.topPoints ?? [])],
      bottomPoints: [...(input.bottomPoints ?? [])],
      loadHeight: input.loadHeight,
      ...askedOf(BEAM_INPUTS, input),
      seat: input.seat ?? null,
      serves: input.serves ?? 'floor',
      precamber: input.precamber ?? 0,
    }),
    ...input.loads.map((load, i) =>
      item('load', `load${i}`, {
        label: load.name || `load ${i + 1}`,
        on: TYPED_BEAM,
        nature: load.nature,
        ...(load.nature === 'imposed' ? { use: load.use } : {}),
        ...(load.type === 'point'
          ? { type: 'point' as const, at: load.at, force: load.value }
          : { type: 'line' as const, from: load.at, to: load.to, intensity: load.value }),
      }),
    ),
  ];
}

/** A typed beam taken down and designed. @throws BadInput as `typedBeamItems`, or as the project does */
export function typedBeam(input: TypedBeam): ProjectResult {
  return computeProject(typedBeamItems(input));
}

/** Its sheet by a philosophy. */
export function typedBeamSheet(result: ProjectResult, philosophy: string) {
  return sheetFor(result, TYPED_BEAM, philosophy)!;
}
