import { z } from 'zod';
import { solveBeam, type BeamLoad } from '../../beam';
import { bearingPressure, ruleOfThumbPad, sizeByBearing, type Ground } from '../../design';
import { OutsideScope } from '../../error';
import { buildUpSchema, sumByCase } from '../../load';
import { KINDS, formatQuantity, parseQuantity, quantity, type Kind } from '../../quantity';
import { findSection, sectionProperties, type SectionProperties, type Shape } from '../../section';
import { byRule, compare, type Sheet } from '../../sheet';
import { defineTool } from '../tool';
import { designation } from '../../schema';

const PROPERTY_KINDS: Record<keyof SectionProperties, Kind> = {
  A: 'area',
  Iy: 'secondMoment',
  Iz: 'secondMoment',
  Iyz: 'secondMoment',
  Iu: 'secondMoment',
  Iv: 'secondMoment',
  principal: 'angle',
  Wely: 'sectionModulus',
  WelTop: 'sectionModulus',
  WelBottom: 'sectionModulus',
  Welz: 'sectionModulus',
  Wply: 'sectionModulus',
  Wplz: 'sectionModulus',
  iy: 'sectionLength',
  iz: 'sectionLength',
  iu: 'sectionLength',
  iv: 'sectionLength',
  It: 'torsionConstant',
  Iw: 'warpingConstant',
  cz: 'sectionLength',
  cy: 'sectionLength',
  shearCentre: 'sectionLength',
  shearCentreUp: 'sectionLength',
  zj: 'sectionLength',
  depth: 'sectionLength',
  width: 'sectionLength',
};

const size = (description: string) => quantity('sectionLength', description, { above: 0 });
const radius = (description: string) => quantity('sectionLength', description, { min: 0 }).default(0);

const shapeSchema = z.discriminatedUnion('outline', [
  z.strictObject({
    outline: z.literal('I'),
    h: size('overall depth'),
    b: size('flange width'),
    tw: size('web'),
    tf: size('flange'),
    r: radius('root radius'),
  }),
  z.strictObject({
    outline: z.literal('unequalI').describe('welded I of unequal flanges'),
    h: size('overall depth'),
    b: size('width of the top flange'),
    tf: size('thickness of the top flange'),
    bBottom: size('width of the bottom flange'),
    tfBottom: size('thickness of the bottom flange'),
    tw: size('web'),
  }),
  z.strictObject({
    outline: z.literal('channel'),
    h: size('overall depth'),
    b: size('flange width'),
    tw: size('web'),
    tf: size('flange'),
    r: radius('root radius'),
  }),
  z.strictObject({
    outline: z.literal('box'),
    h: size('overall depth'),
    b: size('overall width'),
    t: size('wall'),
    ro: radius('outer corner radius'),
    ri: radius('inner corner radius'),
  }),
  z.strictObject({
    outline: z.literal('tee').describe('flange on top'),
    h: size('overall depth'),
    b: size('flange width'),
    tw: size('stem'),
    tf: size('flange'),
    r: radius('root radius'),
  }),
  z.strictObject({
    outline: z.literal('angle').describe('corner at the lower left'),
    h: size('vertical leg'),
    b: size('horizontal leg'),
    t: size('thickness'),
    r: radius('root radius'),
    toe: radius('toe radius'),
  }),
  z.strictObject({ outline: z.literal('tube'), d: size('outside diameter'), t: size('wall') }),
]);

export const quantityRead = defineTool({
  id: 'quantity.read',
  title: 'Read a quantity',
  summary: 'Reads what a person types, such as 10\'6", 285 plf or 3*0.85, and shows it in both unit systems.',
  input: z.strictObject({
    text: designation().describe('what was typed'),
    kind: z.enum(KINDS).describe('kind of quantity'),
    system: z.enum(['SI', 'US']).describe('units of a bare number'),
  }),
  example: { text: `10'6"`, kind: 'length', system: 'US' },
  run: ({ text, kind, system }) => {
    const value = parseQuantity(text, kind, system);
    return {
      result: { value, SI: formatQuantity(value, kind, 'SI', { figures: 6 }), US: formatQuantity(value, kind, 'US', { figures: 6 }) },
    };
  },
});

export const sectionOf = defineTool({
  id: 'section.properties',
  title: 'Section properties from dimensions',
  summary:
    'Area, moduli, second moments, torsion and warping constants of an I, also of unequal flanges, channel, box, tee, angle or tube, root radii included.',
  input: z.strictObject({ shape: shapeSchema.describe('outline and dimensions') }),
  kinds: PROPERTY_KINDS,
  example: { shape: { outline: 'I', h: 300, b: 150, tw: 7.1, tf: '10.7 mm', r: 15 } },
  run: ({ shape }) => ({ result: sectionProperties(shape as Shape) }),
});

export const sectionCatalogued = defineTool({
  id: 'section.catalogued',
  title: 'Catalogued section',
  summary: 'Dimensions, mass and properties of a catalogued shape.',
  input: z.strictObject({ section: designation().describe('designation, such as UB 457x191x82 or W16X31') }),
  kinds: { ...PROPERTY_KINDS, mass: 'massPerLength' },
  example: { section: 'UB 457x191x82' },
  run: ({ section }) => {
    const { properties, shape, mass, family } = findSection(section);
    return { result: { designation: section, family, mass, shape, ...properties } };
  },
});

export const buildUpSum = defineTool({
  id: 'load.buildUp',
  title: 'Load build-up',
  summary: 'Sums the layers and variable loads of a build-up by case, per area on plan; layers act per area of slope.',
  input: z.strictObject({ buildUp: buildUpSchema, pitch: quantity('angle', 'pitch of the plane', { min: 0, max: 1.4 }).default(0) }),
  example: {
    buildUp: {
      name: 'Roof',
      layers: [
        { name: 'slates', load: '0.6 kN/m2' },
        { name: 'battens and felt', load: '0.1 kN/m2' },
      ],
      variable: [{ name: 'snow', load: '0.6 kN/m2', nature: 'snow' }],
    },
    pitch: '35 deg',
  },
  run: ({ buildUp, pitch }, sheet) => ({ result: { byCase: Object.fromEntries(sumByCase(buildUp, pitch, sheet)) } }),
});

const loadSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('point'), at: quantity('length', 'from the left end'), force: quantity('force', 'downward') }),
  z.strictObject({
    type: z.literal('distributed'),
    from: quantity('length', 'start'),
    to: quantity('length', 'end'),
    start: quantity('lineLoad', 'at the start, downward'),
    end: quantity('lineLoad', 'at the end, downward'),
  }),
  z.strictObject({ type: z.literal('moment'), at: quantity('length', 'from the left end'), moment: quantity('moment', 'clockwise') }),
]);

export const beamLine = defineTool({
  id: 'beam.line',
  title: 'Line beam',
  summary:
    'Exact reactions and extremes of moment, shear and deflection of a beam of any number of spans, with cantilevers, hinges and stretches of other stiffness.',
  input: z.strictObject({
    length: quantity('length', 'length of the beam', { above: 0 }),
    EI: quantity('stiffness', 'flexural stiffness', { above: 0 }),
    supports: z
      .array(
        z.strictObject({
          at: quantity('length', 'from the left end'),
          fixed: z.boolean().default(false).describe('holds rotation'),
          spring: quantity('lineLoad', 'force per length under which it goes down; left out: it does not', { above: 0 }).optional(),
          rotationSpring: quantity('moment', 'moment per radian under which it turns; left out: it turns freely', { above: 0 }).optional(),
          settlement: quantity('sectionLength', 'how far it sinks, downward; of a support on a spring its foot').default(0),
        }),
      )
      .min(1, 'a beam needs a support')
      .max(100),
    hinges: z.array(quantity('length', 'from the left end')).max(100).default([]),
    stretches: z
      .array(
        z.strictObject({
          from: quantity('length', 'start, from the left end'),
          to: quantity('length', 'end, from the left end'),
          factor: z.number().min(0.001).max(1000).describe('its EI as a multiple of that of the beam'),
        }),
      )
      .max(50)
      .default([])
      .describe('stretches of another stiffness'),
    loads: z.array(loadSchema).max(500).default([]),
  }),
  kinds: { force: 'force', moment: 'moment', at: 'length', shear: 'force', deflection: 'sectionLength' },
  example: {
    length: '10 m',
    EI: '42000 kN*m^2',
    supports: [{ at: 0 }, { at: '4 m' }, { at: '10 m' }],
    loads: [
      { type: 'distributed', from: 0, to: '10 m', start: '12 kN/m', end: '12 kN/m' },
      { type: 'point', at: '7 m', force: '40 kN' },
    ],
  },
  run: ({ loads, ...beam }) => {
    const solution = solveBeam(beam, loads as BeamLoad[]);
    const [moment, shear, deflection] = (['moment', 'shear', 'deflection'] as const).map((effect) => solution.extremes(effect));
    return { result: { reactions: solution.reactions, moment, shear, deflection, contraflexures: solution.contraflexures() } };
  },
});

const groundFields = {
  depth: quantity('length', 'founding depth', { min: 0, max: 50_000 }),
  concrete: quantity('unitWeight', 'unit weight of concrete', { min: 10e-6, max: 60e-6 }).default(25e-6),
  soil: quantity('unitWeight', 'unit weight of soil', { min: 5e-6, max: 40e-6 }).default(18e-6),
  allowable: quantity('bearing', 'allowable bearing', { min: 0.005, max: 50 }),
  basis: z.enum(['gross', 'net']).describe('what the allowable bearing is stated for'),
};

/** Pressure under a pad against what is allowed, with its sheet. */
function bearingCheck(load: number, width: number, length: number, thickness: number, ground: Ground, sheet?: Sheet) {
  const { allowable, basis } = ground;
  const pressure = bearingPressure(load, width, length, thickness, ground, sheet);
  sheet?.given('q_a', allowable, 'bearing', `allowable bearing, ${basis}`);
  const check = compare(
    {
      id: 'bearing',
      name: 'Bearing',
      clause: byRule(`allowable bearing, ${basis}`),
      mode: 'service',
      kind: 'bearing',
      demand: pressure,
      demandSymbol: basis === 'gross' ? 'q' : 'q_n',
      capacity: allowable,
      capacitySymbol: 'q_a',
    },
    sheet,
  );
  return { pressure, check };
}

export const footingBearing = defineTool({
  id: 'footing.bearing',
  title: 'Bearing pressure of a pad',
  summary: 'Gross or net pressure under a concentrically loaded pad with its own weight and backfill, against an allowable value.',
  input: z.strictObject({
    serviceLoad: quantity('force', 'load of the column in service, no factored one', { above: 0 }),
    width: quantity('length', 'pad along x', { min: 100, max: 50_000 }),
    length: quantity('length', 'pad along y', { min: 100, max: 50_000 }),
    thickness: quantity('sectionLength', 'thickness', { min: 50, max: 10_000 }),
    ...groundFields,
  }),
  kinds: { pressure: 'bearing' },
  example: {
    serviceLoad: '320 kN',
    width: '1.6 m',
    length: '1.6 m',
    thickness: '400 mm',
    depth: '1.2 m',
    allowable: '150 kPa',
    basis: 'gross',
  },
  run: ({ serviceLoad: load, width, length, thickness, ...ground }, sheet) => {
    const { pressure, check } = bearingCheck(load, width, length, thickness, ground, sheet);
    return { result: { pressure }, checks: [check] };
  },
});

export const footingSize = defineTool({
  id: 'footing.size',
  title: 'Least pad by bearing',
  summary: 'The least square pad, or the least missing side, whose pressure under a service load is allowed, rounded up to a step.',
  input: z.strictObject({
    serviceLoad: quantity('force', 'load of the column in service, no factored one', { above: 0 }),
    width: quantity('length', 'pad along x, when it is given', { min: 100, max: 50_000 }).optional(),
    length: quantity('length', 'pad along y, when it is given', { min: 100, max: 50_000 }).optional(),
    thickness: quantity('sectionLength', 'thickness', { min: 50, max: 10_000 }),
    step: quantity('sectionLength', 'sides are a multiple of this', { min: 5, max: 1000 }).default(50),
    ...groundFields,
  }),
  kinds: { width: 'length', length: 'length', pressure: 'bearing' },
  example: { serviceLoad: '320 kN', thickness: '400 mm', depth: '1.2 m', allowable: '150 kPa', basis: 'net' },
  run: ({ serviceLoad: load, width, length, thickness, step, ...ground }, sheet) => {
    const size = sizeByBearing(load, { width: width ?? null, length: length ?? null }, step, thickness, ground);
    if (!size) throw new OutsideScope('the soil cannot carry it: even the largest pad that is tried presses harder than allowed');
    const { pressure, check } = bearingCheck(load, size.width, size.length, thickness, ground, sheet);
    return { result: { ...size, pressure }, checks: [check] };
  },
});

export const footingRuleOfThumb = defineTool({
  id: 'footing.ruleOfThumb',
  title: 'Plain pad of a small house',
  summary: 'Thickness of a plain concrete pad by 45 degree spread; a rule of thumb with stated limits.',
  input: z.strictObject({
    serviceLoad: quantity('force', 'load in service, no factored one', { above: 0 }),
    width: quantity('length', 'larger side of the pad', { min: 100, max: 50_000 }),
    column: quantity('sectionLength', 'smaller side of the column', { min: 10, max: 10_000 }),
    thickness: quantity('sectionLength', 'thickness', { min: 50, max: 10_000 }),
  }),
  example: { serviceLoad: '60 kN', width: '0.75 m', column: 150, thickness: 300 },
  run: ({ serviceLoad: load, ...input }, sheet) => ({ result: {}, checks: ruleOfThumbPad({ load, ...input }, sheet) }),
});
