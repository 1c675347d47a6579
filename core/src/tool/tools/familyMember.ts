import { z } from 'zod';
import { actionsOf, forcedMember, FORCES_GIVEN, type ForcesGiven, type ThreeMoments } from '../../design';
import { BadInput } from '../../error';
import { NATURES, USES, usedAs, type Nature, type Use } from '../../load';
import { steelGrade } from '../../material';
import { quantity } from '../../quantity';
import { findSection, isSection } from '../../section';
import { governing, type Sheet } from '../../sheet';
import { philosophyOf, type Standard } from '../../standard';
import { figuresOf } from '../figures';
import { defineTool, type Tool } from '../tool';
import { designation, offered, text } from '../../schema';
import { effectsMethod } from './effects';

/** What any check of a member between its restraints takes for true. */
function noteMember(
  standard: Standard,
  { length, unbraced }: { readonly length: number; readonly unbraced: number },
  untwisted: boolean,
  sets: readonly { readonly major: ThreeMoments; readonly minor: ThreeMoments }[],
  sheet?: Sheet,
): void {
  sheet?.assume(
    'load-height',
    'Load acts at the shear centre.',
    'Load on a free top flange would lower the resistance to lateral-torsional buckling.',
  );
  sheet?.assume(
    'diagram',
    'Moments vary as a parabola through the three that are typed.',
    'Its own peak between them counts; point loads between them would give another.',
  );
  if (sets.some(({ major, minor }) => major.middle === undefined || minor.middle === undefined))
    sheet?.assume(
      'straight',
      'Where no moment in the middle is typed, the diagram is straight from end to end.',
      'No load acts between the ends there.',
    );
  if (unbraced > 0 && unbraced < length)
    sheet?.assume(
      'restraints',
      'Lateral restraints stand at their spacing from an end of the member.',
      'Each stretch between them is checked with its own moments.',
    );
  if (unbraced === 0) sheet?.assume('restraint', 'The compression flange is held along its length.', 'Typed: unbraced length 0.');
  if (untwisted)
    sheet?.assume(
      'untwisted',
      'Load passes through the shear centre, or the member is held against twisting.',
      'Typed; torsion is not calculated.',
    );
  for (const { key, text, reason } of standard.steel.memberAssumptions) sheet?.assume(key, text, reason);
}

/** A single angle in compression is rarely loaded through its centroid: whoever checks it so has to say so. */
export function noteAngle(designation: string, isCompressed: boolean, sheet?: Sheet): void {
  if (isCompressed && isSection(designation) && findSection(designation).shape.outline === 'angle')
    sheet?.assume(
      'concentric-angle',
      'The compression acts through the centroid of the angle.',
      'An angle that is connected by one leg is not loaded so: its own check is the tool for angle struts, or a moment has to be typed.',
    );
}

/**
 * Nature and use of a set of forces: of a load case both, and its action, are read, of forces that are already combined none.
 * @throws BadInput naming what is missing, or typed and not read
 */
function caseTyped(
  given: ForcesGiven,
  { nature, use, action }: { readonly nature?: Nature | undefined; readonly use?: Use | undefined; readonly action?: string | undefined },
  path: string,
): { readonly nature: Nature; readonly use?: Use | undefined } {
  if (given === 'cases') {
    if (nature === undefined) throw new BadInput(`Nature is missing: of forces by case it is ${NATURES.join(', ')}`, `${path}.nature`);
    return { nature, use: usedAs(nature, use, `${path}.use`) };
  }
  for (const [field, value] of Object.entries({ nature, use, action: action || undefined }))
    if (value !== undefined)
      throw new BadInput(
        'Nature, use and action are read of forces by load case only, and these are already combined: leave them out',
        `${path}.${field}`,
      );
  return { nature: 'permanent' };
}

interface TypedSet {
  readonly name: string;
  readonly nature?: Nature | undefined;
  readonly use?: Use | undefined;
  readonly action: string;
  readonly notionalOf: string;
}

/** Sets with their cases; a notional one has that of the set that causes it. @throws BadInput as `caseTyped` does */
function withCases<S extends TypedSet>(given: ForcesGiven, sets: readonly S[]) {
  const own = (set: S) => {
    const i = sets.indexOf(set);
    if (set.notionalOf === '') return caseTyped(given, set, `sets.${i}`);
    for (const field of ['nature', 'use'] as const)
      if (set[field] !== undefined)
        throw new BadInput('A notional load has the nature and use of the load that causes it: leave them out', `sets.${i}.${field}`);
    return null;
  };
  return sets.map((set) => {
    const cause = sets.find(({ name, notionalOf }) => name === set.notionalOf && notionalOf === '');
    return { ...set, ...(own(set) ?? (cause && own(cause)) ?? { nature: 'permanent' as const }) };
  });
}

const offers = (unread: readonly string[], field: string) => !unread.includes(field);

/** The tools of a family for any member under forces and moments: one set, or what an analysis gives. */
export function memberTools(standard: Standard): Tool[] {
  const { samples, brief } = standard.profile;
  const philosophy = effectsMethod(standard);
  const section = designation().describe('designation of the catalogue');
  const grade = designation().describe('steel grade');
  const { unread } = standard.steel;
  /** What its example says of twisting, where it is read. */
  const twisting = offers(unread.member, 'lengthT') ? { lengthT: '3.6 m' } : {};
  const effects = text(80).default('typed').describe('name of the combination');
  const named = (title: string) => `${title} (${standard.title})`;
  const along = (title: string) =>
    z
      .strictObject({
        start: quantity('moment', 'at the start'),
        middle: quantity('moment', 'at the middle; left out: the diagram is straight from end to end').optional(),
        end: quantity('moment', 'at the end'),
      })
      .default({ start: 0, middle: 0, end: 0 })
      .describe(`${title}, sagging positive, between its supports in that plane; left out: there is none`);
  const force = {
    axial: quantity('force', 'compression positive').default(0),
    major: along('moment about the major axis'),
    minor: along('moment about the minor axis'),
    shear: quantity('force', 'largest shear along the depth').default(0),
    shearAcross: quantity('force', 'largest shear across the depth').default(0),
    torsion: quantity('moment', 'torque; proved for hollow sections').default(0),
  };
  const restraint = {
    lengthY: quantity('length', 'effective length, major axis', { above: 0 }),
    lengthZ: quantity('length', 'effective length, minor axis', { above: 0 }),
    lengthT: quantity('length', 'length between restraints against twisting', { above: 0 }),
    length: quantity('length', 'length over which the moments are given, from start to end', { above: 0 }),
    unbraced: quantity('length', 'spacing of lateral restraints of the compression flange, from an end; 0: held along its length', {
      min: 0,
    }),
    netArea: quantity('area', 'net area at holes, shear lag within', { above: 0 }).optional(),
    throughShearCentre: z.boolean().default(false).describe('a channel is loaded through its shear centre, or held against twisting'),
  };
  const member = defineTool({
    id: `${standard.id}.steel.member`,
    title: named('Steel member under forces and moments'),
    summary:
      'Axial force of either sign, bending and shear in both planes, each alone and together, in the section and between restraints, under one set of effects that are already combined.',
    input: offered({ section, grade, philosophy, combination: effects, ...force, ...restraint }, unread.member, standard.title),
    example: {
      section: samples.column,
      grade: brief.grade,
      philosophy: standard.loads.philosophies[0]!.id,
      axial: '350 kN',
      major: { start: '24 kNm', middle: '12 kNm', end: 0 },
      minor: { start: '4 kNm', middle: '2 kNm', end: 0 },
      shear: '8 kN',
      lengthY: '3.6 m',
      lengthZ: '3.6 m',
      ...twisting,
      length: '3.6 m',
      unbraced: '3.6 m',
    },
    run: (input, sheet) => {
      const chosen = philosophyOf(standard, input.philosophy);
      noteMember(standard, input, input.throughShearCentre ?? false, [input], sheet);
      noteAngle(input.section, input.axial > 0, sheet);
      const checks = standard.steel.member(
        {
          section: findSection(input.section),
          grade: steelGrade(input.grade),
          lengthY: input.lengthY,
          lengthZ: input.lengthZ,
          lengthT: input.lengthT ?? input.lengthZ,
          netArea: input.netArea ?? null,
          untwisted: input.throughShearCentre ?? false,
          actions: actionsOf(input, input, chosen.basis, input.combination),
        },
        chosen,
        sheet,
      );
      const words = standard.steel.localSlenderness(findSection(input.section), steelGrade(input.grade));
      return { result: { governing: governing(checks)?.name ?? null, localSlenderness: words, figures: figuresOf(sheet) }, checks };
    },
  });

  const forces = defineTool({
    id: `${standard.id}.steel.memberForces`,
    title: named('Steel member under end forces of an analysis'),
    summary:
      'Sets that act at once and are already combined, an envelope of peaks, or unfactored sets by load case that are combined here; the worst of each check over all of them.',
    input: offered(
      {
        section,
        grade,
        philosophy,
        given: z
          .enum(FORCES_GIVEN)
          .default('sets')
          .describe('sets: combined, each at once; envelope: combined peaks; cases: unfactored, by load case'),
        sets: z
          .array(
            z.strictObject({
              name: text(60).default('').describe('what it is called'),
              nature: z.enum(NATURES).optional().describe('nature of its case, where sets are given by case'),
              use: z.enum(USES).optional().describe('use of an imposed load, where sets are given by case'),
              action: text(60)
                .default('')
                .describe(
                  'action that it is a part of, where sets are given by case: sets of one action are there all at once or not at all',
                ),
              notionalOf: text(60)
                .default('')
                .describe(
                  'name of the set whose vertical load causes it, where it is a notional load and sets are given by case; its nature and use are left out',
                ),
              bothWays: z.boolean().default(false).describe('it acts the other way as well, all its forces turned round together'),
              ...force,
            }),
          )
          .min(1, 'give at least one set of forces')
          .max(500, 'at most 500 sets')
          .describe('end forces'),
        ...restraint,
      },
      unread.member,
      standard.title,
    ),
    example: {
      section: samples.column,
      grade: brief.grade,
      philosophy: standard.loads.philosophies[0]!.id,
      given: 'cases',
      sets: [
        { name: 'dead', nature: 'permanent', axial: '180 kN', major: { start: '9 kNm', middle: '4 kNm', end: '-1 kNm' }, shear: '3 kN' },
        {
          name: 'floors',
          nature: 'imposed',
          use: 'B',
          axial: '120 kN',
          major: { start: '12 kNm', middle: '6 kNm', end: 0 },
          shear: '4 kN',
        },
        { name: 'wind', nature: 'wind', axial: '-30 kN', major: { start: '15 kNm', middle: 0, end: '-15 kNm' }, shear: '8 kN' },
      ],
      lengthY: '3.6 m',
      lengthZ: '3.6 m',
      ...twisting,
      length: '3.6 m',
      unbraced: '3.6 m',
    },
    run: (
      { section: designation, grade: gradeId, philosophy: chosen, given, sets, netArea, throughShearCentre = false, ...lengths },
      sheet,
    ) => {
      noteMember(standard, lengths, throughShearCentre, sets, sheet);
      noteAngle(
        designation,
        sets.some(({ axial }) => axial > 0),
        sheet,
      );
      const checks = forcedMember(
        standard,
        philosophyOf(standard, chosen),
        {
          ...lengths,
          lengthT: lengths.lengthT ?? lengths.lengthZ,
          section: findSection(designation),
          grade: steelGrade(gradeId),
          netArea: netArea ?? null,
          untwisted: throughShearCentre,
        },
        given,
        withCases(given, sets),
        sheet,
      );
      const worst = governing(checks);
      return { result: { governing: worst?.name ?? null, under: worst?.combination ?? null }, checks };
    },
  });
  const web = defineTool({
    id: `${standard.id}.steel.webForce`,
    title: named('Web of an I under a force through its flange'),
    summary:
      'Bearing, crippling and buckling of a web without stiffeners over a support or under a load, from one flange or both; sidesway where the flange may move.',
    input: offered(
      {
        section,
        grade,
        philosophy,
        combination: effects,
        force: quantity('force', 'compressive force', { above: 0 }),
        bearing: quantity('sectionLength', 'stiff length over which it enters', { min: 0 }),
        toEnd: quantity('length', 'from the middle of that length to the nearer end of the member', { min: 0 }),
        moment: quantity('moment', 'bending moment there').default(0),
        opposed: z.boolean().default(false).describe('a like force stands against it at the other flange'),
        unbraced: quantity(
          'length',
          'where the loaded flange may move sideways from the other: the longest unbraced length along either flange there; 0: it may not',
          {
            min: 0,
          },
        ).default(0),
        rotationHeld: z.boolean().default(false).describe('the loaded flange is held against turning'),
      },
      unread.webForce,
      standard.title,
    ),
    example: {
      section: samples.beam,
      grade: brief.grade,
      philosophy: standard.loads.philosophies[0]!.id,
      force: '150 kN',
      bearing: '100 mm',
      toEnd: '2 m',
      ...(offers(unread.webForce, 'moment') ? { moment: '80 kNm' } : {}),
      ...(offers(unread.webForce, 'opposed') ? { opposed: true } : {}),
      ...(offers(unread.webForce, 'unbraced') ? { unbraced: '5 m' } : {}),
    },
    run: (
      { section: designation, grade: gradeId, philosophy: chosen, moment = 0, unbraced = 0, rotationHeld = false, ...input },
      sheet,
    ) => {
      const by = philosophyOf(standard, chosen);
      const sidesway = unbraced > 0 ? { unbraced, rotationHeld } : undefined;
      if (!offers(unread.webForce, 'unbraced'))
        sheet?.assume(
          'flange-held',
          'The loaded flange cannot move sideways from the other where the force enters.',
          standard.steel.webClause,
        );
      const checks = standard.steel.webForce(
        { ...input, moment, section: findSection(designation), grade: steelGrade(gradeId), basis: by.basis, sidesway },
        by,
        sheet,
      );
      return { result: { governing: governing(checks)?.name ?? null }, checks };
    },
  });
  if (!standard.steel.angleStrut) return [member, forces, web];
  const { check, unread: strutUnread } = standard.steel.angleStrut;
  const angleFields = {
    section,
    grade,
    philosophy,
    combination: effects,
    axial: quantity('force', 'compression', { above: 0 }),
    length: quantity('length', 'system length, between the axes of what it is connected to', { above: 0 }),
    leg: z.enum(['long', 'short']).default('long').describe('the connected leg; of equal legs either'),
    fastening: z.enum(['boltsOrWeld', 'oneBolt']).describe('each end by two bolts or more in line, or by welds; or by one bolt'),
    arrangement: z.enum(['planar', 'space']).default('planar').describe('alone or in a planar truss, or in a space truss'),
  };
  const angle = defineTool({
    id: `${standard.id}.steel.angleStrut`,
    title: named('Single angle strut connected by one leg'),
    summary: 'Buckling of a single angle in compression that is connected by one leg: the eccentricity is in its effective slenderness.',
    input: offered(angleFields, strutUnread, standard.title),
    example: {
      ...samples.angle,
      philosophy: standard.loads.philosophies[0]!.id,
      axial: '120 kN',
      length: '2.4 m',
      fastening: 'boltsOrWeld',
    },
    run: (input, sheet) => {
      const by = philosophyOf(standard, input.philosophy);
      const { leg = 'long', arrangement = 'planar' } = input;
      const strut = { ...input, leg, arrangement, section: findSection(input.section), grade: steelGrade(input.grade), basis: by.basis };
      const checks = check(strut, by, sheet);
      return { result: { governing: governing(checks)?.name ?? null }, checks };
    },
  });
  return [member, forces, web, angle];
}
