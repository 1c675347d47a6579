import { z } from 'zod';
import { requireAsked, TYPED_BEAM, typedBeam, typedBeamSheet } from '../../design';
import { BEAM_INPUTS, fieldsOf } from '../../input';
import { BadInput } from '../../error';
import { LOAD_NATURES, SERVICE_LEVELS, USES, usedAs } from '../../load';
import { quantity } from '../../quantity';
import { FAMILIES, profileOf } from '../../family';
import { STANDARDS, philosophyOf } from '../../standard';
import { defineTool } from '../tool';
import { designation, text } from '../../schema';

const loadFields = {
  name: text(60).default('').describe('what it is'),
  nature: z.enum(LOAD_NATURES).describe('nature'),
  use: z.enum(USES).optional().describe('use of an imposed load, and of no other'),
};
const loadSchema = z.discriminatedUnion('type', [
  z.strictObject({
    ...loadFields,
    type: z.literal('point'),
    at: quantity('length', 'place', { min: 0 }),
    force: quantity('force', 'point load, downward'),
  }),
  z.strictObject({
    ...loadFields,
    type: z.literal('line'),
    at: quantity('length', 'start', { min: 0 }),
    to: quantity('length', 'end', { min: 0 }),
    intensity: quantity('lineLoad', 'line load, downward'),
  }),
]);

/** Restraints that are typed count only under the restraint that reads them. @throws BadInput for those that would not */
function requireRead(input: {
  readonly restraint: 'supports' | 'floor' | 'points';
  readonly restraintPoints: readonly number[];
  readonly topPoints: readonly number[];
  readonly bottomPoints: readonly number[];
}): void {
  const { restraint } = input;
  for (const field of ['restraintPoints', 'topPoints', 'bottomPoints'] as const) {
    const isRead = restraint === 'points' || (restraint === 'floor' && field === 'bottomPoints');
    if (input[field].length > 0 && !isRead)
      throw new BadInput(`Points of restraint are not used where restraint is "${restraint}": say "points", or leave them out`, field);
  }
}

const [family] = FAMILIES;
const { samples, brief } = profileOf(family);

export const steelBeamLine = defineTool({
  id: 'steel.beam.line',
  title: 'Steel beam of any number of spans',
  summary: 'Typed spans and unfactored loads: combinations, arrangements of variable load, every check, deflection and reactions by case.',
  input: z.strictObject({
    family: z.enum(FAMILIES).describe('family of codes'),
    philosophy: designation().optional().describe('philosophy; left out: the first of the family'),
    section: designation().describe('designation of the catalogue, or an own shape'),
    grade: designation().describe('steel grade'),
    length: quantity('length', 'length', { above: 0 }),
    supports: z
      .array(quantity('length', 'support, from the start', { min: 0 }))
      .min(1, 'name at least one support')
      .max(12)
      .describe('supports'),
    hinges: z
      .array(quantity('length', 'hinge, from the start', { min: 0 }))
      .max(12)
      .default([])
      .describe('hinges'),
    fixed: z
      .array(quantity('length', 'fixed support, from the start', { min: 0 }))
      .max(12)
      .default([])
      .describe('places of supports that hold it against turning'),
    restraint: z.enum(['supports', 'floor', 'points']).default('supports').describe('what holds the compression flange'),
    restraintPoints: z
      .array(quantity('length', 'restraint, from the start', { min: 0 }))
      .max(40)
      .default([])
      .describe('points that hold both flanges'),
    topPoints: z
      .array(quantity('length', 'restraint of the top flange, from the start', { min: 0 }))
      .max(40)
      .default([])
      .describe('points that hold only the top flange'),
    bottomPoints: z
      .array(quantity('length', 'restraint of the bottom flange, from the start', { min: 0 }))
      .max(40)
      .default([])
      .describe('points that hold only the bottom flange; also beside a floor'),
    loadHeight: z.enum(['centre', 'top']).default('centre').describe('where the load acts on a beam that no floor holds'),
    ...fieldsOf(BEAM_INPUTS),
    seat: quantity('sectionLength', 'stiff length on which it sits at each support; left out: connected through its web', { above: 0 })
      .nullable()
      .default(null),
    loads: z.array(loadSchema).max(60).describe('unfactored loads beside own weight'),
    deflectionCombination: z
      .enum(SERVICE_LEVELS)
      .default('characteristic')
      .describe('value of variable load under which deflection is looked at; of those that the family has'),
    limitVariable: z.number().min(100).max(2000).default(360).describe('span over deflection under variable load'),
    serves: z.enum(['floor', 'brittle', 'crane']).default('floor').describe('what its deflection must spare'),
    precamber: quantity('sectionLength', 'upward curve that it is made with, at the middle of its span', { min: 0 }).default(0),
    mostVariable: quantity('sectionLength', 'limit under variable load however long the span', { above: 0 }).nullable().default(null),
    mostTotal: quantity('sectionLength', 'limit under total load however long the span', { above: 0 }).nullable().default(null),
    limitTotal: z.number().min(100).max(2000).default(250).describe('span over deflection under all service load'),
  }),
  kinds: { at: 'length', value: 'force' },
  example: {
    family,
    section: samples.floorBeam,
    grade: brief.grade,
    length: '11 m',
    supports: [0, '6 m', '11 m'],
    restraint: 'floor',
    loads: [
      { name: 'floor', nature: 'permanent', type: 'line', at: 0, to: '11 m', intensity: '9 kN/m' },
      { name: 'offices', nature: 'imposed', use: 'B', type: 'line', at: 0, to: '11 m', intensity: '12 kN/m' },
      { name: 'plant', nature: 'permanent', type: 'point', at: '3 m', force: '25 kN' },
    ],
  },
  run: ({ loads, ...input }, sheet) => {
    requireRead(input);
    const standard = STANDARDS[input.family];
    requireAsked(standard, 'beam', input);
    if (input.loadHeight === 'top' && input.restraint === 'floor')
      throw new BadInput('The height of the load is not read where a floor holds the top flange: leave it out', 'loadHeight');
    const philosophy = philosophyOf(standard, input.philosophy ?? standard.loads.philosophies[0]!.id);
    const result = typedBeam({
      ...input,
      philosophy: philosophy.id,
      loads: loads.map((load, i) => {
        const { name, nature, type, at } = load;
        const use = usedAs(nature, load.use, `loads.${i}.use`);
        const of = { name, nature, use, type, at };
        return load.type === 'point' ? { ...of, to: load.at, value: load.force } : { ...of, to: load.to, value: load.intensity };
      }),
    });
    const design = result.designs.member(TYPED_BEAM)!;
    if (design.reason) throw new BadInput(design.reason, 'section');
    sheet?.entries.push(...typedBeamSheet(result, philosophy.id).entries);
    const { leaves } = result.takedown.members.get(TYPED_BEAM)!;
    return {
      result: {
        verdict: design.verdict,
        reactions: leaves.map(({ at, byCase }) => ({
          at,
          byCase: Object.entries(byCase).map(([loadCase, value]) => ({ loadCase, value })),
        })),
      },
      checks: design.results[0]!.checks,
    };
  },
});
