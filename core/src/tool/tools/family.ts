import { z } from 'zod';
import { BadInput } from '../../error';
import { actionSchema, NATURES, groupOf, sensesOf, uncombined, unitOf, USES, type Combination } from '../../load';
import { askedOf, BEAM_INPUTS, fieldsOf, PAD_INPUTS, unreadOf } from '../../input';
import { BARS, concrete, REINFORCEMENT, steelGrade } from '../../material';
import { quantity } from '../../quantity';
import { findSection } from '../../section';
import { chartConditions, longestSpan, spanChart } from '../../design';
import { philosophyOf, type BeamActions, type Standard } from '../../standard';
import { casesTyped } from './typedCases';
import { figuresOf } from '../figures';
import { defineTool, type Tool } from '../tool';
import { effectsMethod, requireLargest } from './effects';
import { memberTools, noteAngle } from './familyMember';
import { designation, offered, text } from '../../schema';

/** The tools that every family offers, made from its `Standard`: ids are `family.topic.thing`. */
export function familyTools(standard: Standard): Tool[] {
  const { samples, brief, usualShapes, units } = standard.profile;
  const philosophyIds = standard.loads.philosophies.map((philosophy) => philosophy.id) as [string, ...string[]];
  const philosophy = z.enum(philosophyIds).default(philosophyIds[0]).describe('philosophy by which loads are combined');
  const method = effectsMethod(standard);
  const first = philosophyIds[0];
  const section = designation().describe('designation of the catalogue');
  const grade = designation().describe('steel grade');
  const effects = text(80).default('typed').describe('name of the combination');
  const twistUnread = standard.steel.unread.member.filter((field) => field === 'lengthT');
  /** Of a floor in an example, where the family asks for it. */
  const intensity = (value: string) => (standard.loads.unread.floors.includes('intensity') ? {} : { intensity: value });
  const named = (title: string) => `${title} (${standard.title})`;

  const combinations = defineTool({
    id: `${standard.id}.combinations`,
    title: named('Combinations'),
    summary:
      'Combinations for strength, service and lifting of the load cases given, and those of the cases that no combination for strength has.',
    input: z.strictObject({
      cases: z
        .array(z.strictObject({ nature: z.enum(NATURES), use: z.enum(USES).optional().describe('use of an imposed load') }))
        .max(100)
        .default([])
        .describe('cases that belong to no action: each nature, and each use, is an action of its own'),
      actions: z.array(actionSchema).max(40).default([]).describe('actions with cases of their own, known by their names'),
      philosophy,
    }),
    example: {
      cases: [{ nature: 'permanent' }, { nature: 'imposed', use: 'B' }, { nature: 'snow' }],
      actions: [
        {
          name: 'Wind',
          nature: 'wind',
          relation: 'alternatives',
          cases: [
            { id: 'W', name: 'from the west' },
            { id: 'E', name: 'from the east' },
          ],
        },
      ],
    },
    run: (input) => {
      const cases = casesTyped(input);
      const { rules } = philosophyOf(standard, input.philosophy);
      // the cases are those that were asked for
      const told = (list: readonly Combination[]) => list.map(({ cases: _, ...combination }) => combination);
      const [strength, [, ...others]] = [rules.strength(cases), rules.serviceLevels];
      return {
        result: {
          strength: told(strength),
          service: told(rules.service(cases)),
          ...Object.fromEntries(others.map((level) => [level, told(rules.service(cases, level))])),
          lifting: told(rules.lifting(cases)),
          // of those of one group one unit acts at a time, in one of its senses
          cases: cases.map((one) => ({ ...one, unit: unitOf(one), oneOf: groupOf(one) ?? null, senses: sensesOf(one) })),
          withoutStrength: uncombined(cases, strength).map(({ name }) => name),
        },
      };
    },
  });

  const beam = defineTool({
    id: `${standard.id}.steel.beam`,
    title: named('Rolled steel beam'),
    summary: 'Bending, shear and lateral-torsional buckling of one segment under effects that are already combined.',
    input: offered(
      {
        section,
        grade,
        philosophy: method,
        combination: effects,
        moment: quantity('moment', 'largest moment, sagging positive'),
        shear: quantity('force', 'largest shear'),
        unbraced: quantity('length', 'length between lateral restraints; 0: held along its length', { min: 0 }),
        quarters: z
          .tuple([quantity('moment', 'at a quarter'), quantity('moment', 'at the middle'), quantity('moment', 'at three quarters')])
          .optional()
          .describe('moments along the segment; left out: constant, which is conservative'),
        ...fieldsOf(BEAM_INPUTS),
      },
      unreadOf(BEAM_INPUTS, standard.steel.beamReads),
      standard.title,
    ),
    example: {
      section: samples.beam,
      grade: brief.grade,
      philosophy: first,
      moment: '210 kNm',
      shear: '140 kN',
      unbraced: '3 m',
      quarters: ['160 kNm', '210 kNm', '160 kNm'],
    },
    run: ({ moment, shear, unbraced, quarters, ...input }, sheet) => {
      requireLargest(moment, quarters);
      const chosen = philosophyOf(standard, input.philosophy);
      const actions: BeamActions = {
        basis: chosen.basis,
        combination: input.combination,
        moment,
        shear,
        range: [Math.min(moment, ...(quarters ?? [])), Math.max(moment, ...(quarters ?? []))],
        segments:
          unbraced === 0
            ? []
            : [
                {
                  from: 0,
                  to: unbraced,
                  peak: moment,
                  quarters: quarters ?? [moment, moment, moment],
                  freeTip: false,
                  tensionFlangeHeld: false,
                },
              ],
      };
      sheet?.assume(
        'load-height',
        'Load acts at the shear centre.',
        'Load on a free top flange would lower the resistance to lateral-torsional buckling.',
      );
      if (unbraced === 0) sheet?.assume('restraint', 'The compression flange is held along its length.', 'Typed: unbraced length 0.');
      const [shape, steel] = [findSection(input.section), steelGrade(input.grade)];
      const checks = standard.steel.beam({ section: shape, grade: steel, actions, asked: askedOf(BEAM_INPUTS, input) }, chosen, sheet);
      return { result: { localSlenderness: standard.steel.localSlenderness(shape, steel), figures: figuresOf(sheet) }, checks };
    },
  });

  const column = defineTool({
    id: `${standard.id}.steel.column`,
    title: named('Steel column in axial load'),
    summary: 'Cross-section, flexural and torsional buckling under a compression that is already combined.',
    input: offered(
      {
        section,
        grade,
        philosophy: method,
        combination: effects,
        axial: quantity('force', 'compression positive'),
        lengthY: quantity('length', 'effective length, major axis', { above: 0 }),
        lengthZ: quantity('length', 'effective length, minor axis', { above: 0 }),
        lengthT: quantity('length', 'length between restraints against twisting', { above: 0 }),
      },
      twistUnread,
      standard.title,
    ),
    example: {
      section: samples.column,
      grade: brief.grade,
      philosophy: first,
      axial: '600 kN',
      lengthY: '4 m',
      lengthZ: '4 m',
      ...(twistUnread.length > 0 ? {} : { lengthT: '4 m' }),
    },
    run: (input, sheet) => {
      const chosen = philosophyOf(standard, input.philosophy);
      noteAngle(input.section, input.axial > 0, sheet);
      const [shape, steel] = [findSection(input.section), steelGrade(input.grade)];
      const given = { ...input, lengthT: input.lengthT ?? input.lengthZ, basis: chosen.basis, section: shape, grade: steel };
      const checks = standard.steel.column(given, chosen, sheet);
      return { result: { localSlenderness: standard.steel.localSlenderness(shape, steel), figures: figuresOf(sheet) }, checks };
    },
  });

  const chart = defineTool({
    id: `${standard.id}.steel.spanChart`,
    title: named('Chart of beams by span and load'),
    summary:
      'The lightest section for each span and imposed load, with the floor holding its top flange and without, for a stated situation; and the longest span of one section.',
    input: z.strictObject({
      philosophy,
      grade,
      families: z.array(designation()).min(1, 'must name at least one').max(40).describe('families tried'),
      permanent: quantity('lineLoad', 'permanent load beside own weight', { min: 0 }),
      spans: z
        .array(quantity('length', 'span', { min: 500, max: 60_000 }))
        .min(1)
        .max(30)
        .describe('rows'),
      imposed: z
        .array(quantity('lineLoad', 'imposed load of a floor of use B', { above: 0 }))
        .min(1)
        .max(20)
        .describe('columns'),
      limitVariable: z.number().min(100).max(2000).default(360).describe('span over deflection under imposed load'),
      limitTotal: z.number().min(100).max(2000).default(240).describe('span over deflection under all service load'),
      maxDepth: quantity('sectionLength', 'no deeper than', { above: 0 }).optional(),
      section: section.optional().describe('a section whose longest span is wanted for each load'),
    }),
    kinds: { span: 'length', imposed: 'lineLoad', mass: 'massPerLength', held: 'length', free: 'length' },
    example: {
      grade: brief.grade,
      families: [usualShapes.beam[0]],
      permanent: '6 kN/m',
      spans: ['5 m', '8 m'],
      imposed: ['8 kN/m', '14 kN/m'],
      section: samples.beam,
    },
    run: ({ section: designation, maxDepth, ...input }, sheet) => {
      const given = { ...input, maxDepth: maxDepth ?? null };
      for (const condition of chartConditions(standard, given, units)) sheet?.note(condition);
      const rows = spanChart(standard, given);
      const shape = designation === undefined ? null : findSection(designation);
      const longest = shape
        ? input.imposed.map((imposed) => ({
            imposed,
            held: longestSpan(standard, shape, imposed, true, given),
            free: longestSpan(standard, shape, imposed, false, given),
          }))
        : null;
      return { result: { rows, longest } };
    },
  });

  const pad = defineTool({
    id: `${standard.id}.footing.pad`,
    title: named('Strength of a pad footing'),
    summary: 'Bars, anchorage, shear and punching of a concentrically loaded pad under a factored column load.',
    input: offered(
      {
        width: quantity('length', 'pad along x', { min: 100, max: 50_000 }),
        length: quantity('length', 'pad along y', { min: 100, max: 50_000 }),
        thickness: quantity('sectionLength', 'thickness', { min: 50, max: 10_000 }),
        columnWidth: quantity('sectionLength', 'column along x', { min: 10, max: 10_000 }),
        columnDepth: quantity('sectionLength', 'column along y', { min: 10, max: 10_000 }),
        round: z.boolean().default(false).describe('the column is round: both are its diameter'),
        concrete: designation().describe('concrete, such as C30/37 or 4000 psi'),
        reinforcement: z.enum(Object.keys(REINFORCEMENT) as [keyof typeof REINFORCEMENT]).describe('reinforcing steel'),
        bar: designation().describe('bar: 16, or #5'),
        cover: quantity('sectionLength', 'cover', { min: 10, max: 300 }),
        force: quantity('force', 'factored column load'),
        philosophy: effectsMethod(standard, 'factored'),
        combination: effects,
        ...fieldsOf(PAD_INPUTS),
      },
      unreadOf(PAD_INPUTS, standard.concrete.padReads),
      standard.title,
    ),
    kinds: { needed: 'area', provided: 'area', spacing: 'sectionLength' },
    example: {
      width: '1.8 m',
      length: '1.8 m',
      thickness: '450 mm',
      columnWidth: '254 mm',
      columnDepth: '254 mm',
      concrete: brief.concrete,
      reinforcement: brief.reinforcement,
      bar: samples.footingBar,
      cover: 50,
      philosophy: first,
      force: '680 kN',
    },
    run: (input, sheet) => {
      const bar = BARS.find((candidate) => candidate.id === input.bar && candidate.family === standard.profile.materials);
      if (!bar)
        throw new BadInput(
          `bar "${input.bar}" is not known; known are ${BARS.filter((b) => b.family === standard.profile.materials)
            .map((b) => b.id)
            .join(', ')}`,
          'bar',
        );
      if (input.round && input.columnWidth !== input.columnDepth)
        throw new BadInput('Column depth must be the diameter too where the column is round', 'columnDepth');
      const { force, combination, reinforcement, philosophy: by, round: isRound, ...rest } = input;
      sheet?.note(`Factored by ${philosophyOf(standard, by).title}.`);
      const { checks, bars } = standard.concrete.pad(
        {
          ...rest,
          isRound,
          bar,
          concrete: concrete(input.concrete),
          fy: REINFORCEMENT[reinforcement].fyk,
          asked: askedOf(PAD_INPUTS, input),
          factored: { force, combination },
        },
        sheet,
      );
      return { result: { bars }, checks };
    },
  });

  const reduction = defineTool({
    id: `${standard.id}.load.reduction`,
    title: named('Reduction of imposed load'),
    summary: 'Factors on the imposed floor load of one member, by the area and the storeys that it carries. It is never handed on.',
    input: z.strictObject({
      role: z.enum(['beam', 'cantilever', 'column', 'footing']).describe('what the member is'),
      floors: z
        .array(
          offered(
            {
              use: z.enum(USES).describe('use of the floor, EN 1991-1-1 table 6.1'),
              level: designation().describe('name of its storey'),
              area: quantity('floorArea', 'area that the member carries', { above: 0 }),
              intensity: quantity('areaLoad', 'imposed load', { above: 0 }),
            },
            standard.loads.unread.floors,
            standard.title,
          ),
        )
        .min(1, 'must name at least one floor')
        .max(500),
    }),
    example: {
      role: 'column',
      floors: [
        { use: 'B', level: 'storey 1', area: '54 m2', ...intensity('3 kN/m2') },
        { use: 'B', level: 'storey 2', area: '54 m2', ...intensity('3 kN/m2') },
        { use: 'E', level: 'storey 3', area: '54 m2', ...intensity('7.5 kN/m2') },
      ],
    },
    run: ({ floors, role }, sheet) => {
      const found = standard.loads.imposedReduction(
        // where the clauses do not ask how much it is, only that there is some counts
        floors.map(({ intensity = 1, ...floor }) => ({ ...floor, intensity, force: floor.area * intensity })),
        role,
        sheet,
      );
      if (found) sheet?.assume('reduction', found.assumption, found.clause);
      return { result: { factors: found?.factors ?? {}, reduced: found !== null, title: found?.title ?? 'nothing is reduced' } };
    },
  });

  return [combinations, beam, column, ...memberTools(standard), chart, pad, reduction];
}
