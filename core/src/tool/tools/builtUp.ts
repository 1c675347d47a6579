import { z } from 'zod';
import { BadInput } from '../../error';
import { quantity } from '../../quantity';
import {
  describePlace,
  fromTheSide,
  jointsOf,
  mustLieApart,
  readParts,
  solveElastic,
  solvePlastic,
  type Beyond,
  type Part,
} from '../../section';
import type { Sheet } from '../../sheet';
import { defineTool } from '../tool';
import { designation, text } from '../../schema';

const size = (description: string) => quantity('sectionLength', description, { above: 0 });

const partSchema = z
  .strictObject({
    name: text(40, 1, 'a part needs a name').describe('name'),
    width: size('of a plate: width').optional(),
    height: size('of a plate: height').optional(),
    section: designation().optional().describe('a shape of the catalogue, or an own one, in the place of a plate'),
    turned: z.boolean().default(false).describe('turned by a right angle, anticlockwise'),
    x: quantity('sectionLength', 'its middle, to the right of the datum').default(0),
    z: quantity('sectionLength', 'its middle, above the datum; left out where it lies on another part, and else 0').optional(),
    on: text(40).optional().describe('name of the part on whose top it lies'),
    under: text(40).optional().describe('name of the part under whose bottom it lies'),
    fy: quantity('stress', 'yield strength', { min: 20, max: 2000 }).optional(),
    E: quantity('stress', 'modulus of elasticity', { min: 100, max: 1e6 }).default(210_000),
    holeIn: designation().optional().describe('the part that this is a hole in; left out: material'),
  })
  .superRefine(({ section, width, height, holeIn, fy, z, on, under }, context) => {
    const refuse = (field: string, message: string) => context.addIssue({ code: 'custom', path: [field], message });
    const sizes = Object.entries({ width, height });
    if (section !== undefined) {
      for (const [field, value] of sizes) if (value !== undefined) refuse(field, 'is not used where the part is a section: leave one out');
    } else for (const [field, value] of sizes) if (value === undefined) refuse(field, 'is missing');
    if (on !== undefined && under !== undefined) refuse('under', 'is not used where the part lies on another: leave one out');
    if ((on ?? under) !== undefined && z !== undefined) refuse('z', 'is not used where the part lies on another, or under it: it follows');
    if (holeIn !== undefined && fy !== undefined) refuse('fy', 'is not used of a hole: it is that of the part that it is in');
  });

/** The first moment of what lies beyond a joint about the elastic neutral axis, transformed, mm3, from its parts. */
function recordFirstMoment(beyond: readonly Beyond[], axis: number, sheet: Sheet): number {
  sheet.given('z_e', axis, 'sectionLength', 'elastic neutral axis above the datum');
  const terms: string[] = [];
  const inputs: Record<string, number> = { z_e: axis };
  let sum = 0;
  beyond.forEach(({ name, area, middle, ratio }, i) => {
    const [A, z, n] = [`A_${i + 1}`, `z_${i + 1}`, `n_${i + 1}`];
    sheet.given(A, area, 'area', `of ${name}, as far as it lies beyond`);
    sheet.given(z, middle, 'sectionLength', 'its middle above the datum');
    sheet.given(n, ratio, 'ratio', 'its modular ratio');
    terms.push(`${n} * ${A} * (${z} - z_e)`);
    Object.assign(inputs, { [A]: area, [z]: middle, [n]: ratio });
    sum += ratio * area * (middle - axis);
  });
  const moment = Math.abs(sum);
  sheet.step('S', `abs(${terms.join(' + ')})`, inputs, moment, 'sectionModulus', 'statics', 'first moment of what lies beyond the joint');
  return moment;
}

function axisResult(parts: readonly Part[], shear: number, weld: { strength: number; runs: number } | undefined, sheet?: Sheet) {
  const elastic = solveElastic(parts, sheet?.scope('Elastic'));
  const plastic = solvePlastic(parts, sheet?.scope('Plastic'));
  const joints = jointsOf(parts, elastic).map((joint) => {
    const flow = Math.abs(shear) * joint.flowPerForce;
    const inner = sheet?.scope(`Joint of ${joint.above.join(' and ')} with ${joint.below.join(' and ')}`);
    let throat: number | null = null;
    if (inner && shear !== 0) {
      inner.given('V', Math.abs(shear), 'force', 'shear');
      const moment = recordFirstMoment(joint.beyond, elastic.axis, inner);
      inner.given('I_e', elastic.I, 'secondMoment', 'transformed second moment');
      const inputs = { V: Math.abs(shear), S: moment, I_e: elastic.I };
      inner.step('q', 'V * S / I_e', inputs, flow, 'lineLoad', 'V S / I', 'longitudinal shear');
    }
    if (weld && shear !== 0) {
      throat = flow / (weld.runs * weld.strength);
      inner?.given('n_w', weld.runs, 'count', 'runs of weld that share it');
      inner?.given('f_w', weld.strength, 'stress', 'design shear strength of the weld');
      inner?.step(
        'a_w',
        'q / (n_w * f_w)',
        { q: flow, n_w: weld.runs, f_w: weld.strength },
        throat,
        'sectionLength',
        'longitudinal shear',
        'throat that each run needs',
      );
    }
    return { at: joint.at, above: joint.above, below: joint.below, flow, throat, leg: throat === null ? null : throat * Math.SQRT2 };
  });
  return {
    elasticAxis: elastic.axis,
    I: elastic.I,
    yieldMoment: elastic.yieldMoment,
    yieldsFirst: elastic.yieldsFirst.part,
    plasticAxis: plastic.axis,
    plasticPlace: plastic.place,
    plasticMoment: plastic.moment,
    shapeFactor: plastic.moment / elastic.yieldMoment,
    joints,
  };
}

export const builtUpSection = defineTool({
  id: 'section.builtUp',
  title: 'Built-up section',
  summary:
    'Plates, rolled shapes and holes of unlike strength and modulus: elastic and plastic neutral axes about both axes, yield and plastic moment, shear flow at the joints and the weld that it asks for.',
  input: z.strictObject({
    parts: z.array(partSchema).min(1, 'name at least one part').max(40),
    shear: quantity('force', 'shear along the height, for the joints').default(0),
    shearAcross: quantity('force', 'shear across, for the joints of the other axis').default(0),
    weld: z
      .strictObject({
        strength: quantity('stress', 'design shear strength of the weld metal on its throat', { min: 10, max: 1500 }),
        runs: z.number().int().min(1).max(4).default(2).describe('runs that share the flow of a joint'),
      })
      .optional()
      .describe('weld at the joints'),
  }),
  kinds: {
    elasticAxis: 'sectionLength',
    I: 'secondMoment',
    yieldMoment: 'moment',
    plasticAxis: 'sectionLength',
    plasticMoment: 'moment',
    at: 'sectionLength',
    flow: 'lineLoad',
    throat: 'sectionLength',
    leg: 'sectionLength',
    mass: 'massPerLength',
    A: 'area',
  },
  example: {
    parts: [
      { name: 'top flange', width: 250, height: 25, on: 'web', fy: 345 },
      { name: 'web', width: 10, height: 800, z: 0, fy: 275 },
      { name: 'bottom flange', width: 300, height: 30, under: 'web', fy: 345 },
    ],
    shear: '600 kN',
    weld: { strength: 233, runs: 2 },
  },
  run: (input, sheet) => {
    const parts = readParts(
      input.parts.map((part) => {
        const host = part.holeIn === undefined ? part : input.parts.find(({ name }) => name === part.holeIn);
        if (host?.fy === undefined) throw new BadInput(`"${host?.name ?? part.holeIn}" needs a yield strength`, 'parts');
        return {
          name: part.name,
          ...(part.section === undefined ? { plate: { width: part.width ?? 0, height: part.height ?? 0 } } : { section: part.section }),
          turned: part.turned,
          x: part.x,
          z: part.z ?? 0,
          stacked:
            part.on !== undefined
              ? { side: 'on' as const, part: part.on }
              : part.under !== undefined
                ? { side: 'under' as const, part: part.under }
                : null,
          fy: host.fy,
          E: host.E,
          holeIn: part.holeIn ?? null,
        };
      }),
    );
    mustLieApart(parts);
    sheet?.note('Parts act as one: the joints hold the shear between them. Local buckling is not looked at.');
    const upright = axisResult(parts, input.shear, input.weld, sheet?.scope('Bending about the horizontal axis'));
    const across = axisResult(parts.map(fromTheSide), input.shearAcross, input.weld, sheet?.scope('Bending about the vertical axis'));
    sheet?.note(`Plastic neutral axis of bending about the horizontal axis: ${describePlace(upright.plasticPlace)}.`);
    const A = parts.reduce((sum, { area }) => sum + area, 0);
    return { result: { A, mass: A * 7.85e-6, horizontal: upright, vertical: across } };
  },
});
