import { z } from 'zod';
import { COMBINATION_RULES, FAMILIES, profileOf } from '../../family';
import { SERVICE_LEVELS } from '../../load';
import { quantity } from '../../quantity';
import { isSection } from '../../section';
import { designation, text } from '../../schema';

/** The rules of each family in words. */
const RULES_IN_WORDS = FAMILIES.map((family) => `${profileOf(family).title}: ${profileOf(family).rules.join(' or ')}`).join('; ');

export const briefSchema = z.strictObject({
  name: text(80, 1, 'the project needs a name').describe('name of the building'),
  family: z.enum(FAMILIES).describe('code family'),
  units: z.enum(['SI', 'US']).describe('units in which the project is shown and typed'),
  combinationRule: z.enum(COMBINATION_RULES).describe(`rule by which loads are combined. ${RULES_IN_WORDS}`),
  grade: designation().describe('steel grade of rolled shapes'),
  hollowGrade: designation().describe('steel grade of rectangular hollow shapes'),
  roundGrade: designation().describe('steel grade of circular hollow shapes'),
  concrete: designation().describe('concrete of footings'),
  reinforcement: z.enum(['B500B', 'Grade 60']).describe('reinforcing steel'),
  bar: designation().describe('bar of footings'),
  cover: quantity('sectionLength', 'cover to the bars of footings', { min: 10, max: 300 }),
  bearing: quantity('bearing', 'allowable bearing pressure', { min: 0.005, max: 50 }),
  bearingBasis: z.enum(['gross', 'net']).describe('gross: on all that presses on the soil; net: on what exceeds the soil taken out'),
  bearingSource: text(200).default('').describe('where the bearing pressure comes from'),
  soilUnitWeight: quantity('unitWeight', 'unit weight of soil and backfill', { min: 5e-6, max: 40e-6 }),
  concreteUnitWeight: quantity('unitWeight', 'unit weight of reinforced concrete', { min: 10e-6, max: 60e-6 }),
  foundingDepth: quantity('length', 'underside of footings below ground', { min: 0, max: 50_000 }),
  footingStep: quantity('sectionLength', 'footing sizes are rounded up to a multiple of this', { min: 5, max: 1000 }),
  imposedReduction: z
    .enum(['none', 'code'])
    .default('none')
    .describe('reduction of imposed load, and of that of roofs, in the design of members: none, or as the code allows'),
  reach: quantity('length', 'how near counts as touching when supports are found', { min: 1, max: 1000 }).default(200),
  constructionTolerance: quantity(
    'sectionLength',
    'how far off its axis a load may stand and be taken to stand on it; beyond, the offset has to be designed for',
    { min: 0, max: 100 },
  ).default(25),
  transferRule: z
    .enum(['posts', 'members'])
    .default('posts')
    .describe('a transfer beam carries: a column, post or wall from above; or any member, other beams too'),
  deflectionCombination: z
    .enum(SERVICE_LEVELS)
    .default('characteristic')
    .describe('combination under which deflection is looked at; bearing on the ground is always looked at under the characteristic one'),
  deflectionVariable: z.number().min(50).max(2000).describe('span over this: limit under variable load'),
  deflectionTotal: z.number().min(50).max(2000).describe('span over this: limit under total load'),
  deflectionTransfer: z.number().min(50).max(2000).describe('span over this: limit of beams that carry another member'),
  deflectionBrittle: z
    .number()
    .min(50)
    .max(2000)
    .default(480)
    .describe('span over this: limit under variable load of beams that carry brittle finishes'),
  deflectionCrane: z.number().min(50).max(2000).default(600).describe('span over this: limit under variable load of crane runway beams'),
  deflectionCantilever: z
    .number()
    .min(50)
    .max(2000)
    .default(180)
    .describe('own length over this: limit under variable load of overhangs and cantilevers'),
  ownShapes: z
    .array(
      z.strictObject({
        name: text(40, 1, 'a shape needs a name'),
        designation: text(60).refine(
          (text) => text.startsWith('own ') && isSection(text),
          'write an own shape by its dimensions, such as own I 600x250x10x20',
        ),
      }),
    )
    .max(500, 'at most 500 own shapes')
    .default([])
    .describe('shapes of one’s own that members may be sized from'),
  priceHollow: z.number().min(0.2).max(20).default(1.3).describe('price of a kg of hollow sections over that of a kg of rolled shapes'),
  priceWelded: z.number().min(0.2).max(20).default(1.6).describe('price of a kg of welded shapes over that of a kg of rolled shapes'),
  deflectionMostVariable: quantity('sectionLength', 'limit under variable load however long the span', { above: 0 })
    .nullable()
    .default(null),
  deflectionMostTotal: quantity('sectionLength', 'limit under total load however long the span', { above: 0 }).nullable().default(null),
});
