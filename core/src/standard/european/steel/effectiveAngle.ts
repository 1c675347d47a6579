import { sectionProperties, type AngleShape, type Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { classify } from './classification';
import { outstandReduction, plateSlenderness, printReduction } from './effective';

const known = new WeakMap<Section, { readonly fy: number; readonly bent: Section }>();

/**
 * The angle that bends: itself up to class 3, in class 4 one whose legs are as long as they are effective in uniform compression, which no bending exceeds,
 * EN 1993-1-5 4.4 (its width is that of the whole leg). fy: MPa. The sheet gets the lengths of its legs.
 */
export function bentAngle(section: Section, fy: number, sheet?: Sheet): Section {
  if (classify(section, fy, 'bending') < 4) return section;
  const { h, b, t, r } = section.shape as AngleShape;
  const epsilon = Math.sqrt(235 / fy);
  const slendernesses = [h, b].map((leg) => plateSlenderness(leg / t, epsilon, 0.43)) as [number, number];
  const [rhoH, rhoB] = slendernesses.map(outstandReduction) as [number, number];
  const inner = sheet?.scope('Effective legs');
  if (inner) {
    inner.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, epsilon, 'ratio', 'table 5.2');
    for (const [name, leg, slenderness, rho] of [
      ['h', h, slendernesses[0], rhoH],
      ['b', b, slendernesses[1], rhoB],
    ] as const) {
      inner.step(
        `lambda_${name}`,
        `${name} / t / (28.4 * epsilon * sqrt(0.43))`,
        { [name]: leg, t, epsilon },
        slenderness,
        'ratio',
        'EN 1993-1-5 4.4(2)',
      );
      printReduction(`rho_${name}`, `lambda_${name}`, slenderness, rho, '0.188', {}, inner);
      inner.step(
        `${name}_eff`,
        `rho_${name} * ${name}`,
        { [`rho_${name}`]: rho, [name]: leg },
        rho * leg,
        'sectionLength',
        'EN 1993-1-5 4.4',
        'effective length of the leg: the moduli below are those of an angle with such legs',
      );
    }
  }
  const last = known.get(section);
  if (last?.fy === fy) return last.bent;
  const shape: AngleShape = { outline: 'angle', h: rhoH * h, b: rhoB * b, t, r, toe: 0 };
  const bent: Section = { ...section, shape, properties: sectionProperties(shape) };
  known.set(section, { fy, bent });
  return bent;
}
