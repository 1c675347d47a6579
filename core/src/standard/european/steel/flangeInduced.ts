import { EN1993_1_5 } from '../documents';
import type { IShape, UnequalIShape } from '../../../section';
import { compare, type Check, type Sheet } from '../../../sheet';
import type { SteelBeamInput } from '../../standard';
import type { SectionClass } from './classification';

/** The web of a welded I keeps its flange from buckling into it, EN 1993-1-5 8: a limit on its slenderness. */
export function flangeInducedBuckling(
  { section, grade, actions }: SteelBeamInput,
  fy: number,
  sectionClass: SectionClass,
  sheet?: Sheet,
): Check {
  const shape = section.shape as IShape | UnequalIShape;
  const { h, tw } = shape;
  // of unequal flanges the larger one leans harder on the web
  const isUnequal = shape.outline === 'unequalI';
  const lower = isUnequal ? shape.tfBottom : shape.tf;
  const isBottom = isUnequal && shape.bBottom * shape.tfBottom > shape.b * shape.tf;
  const [b, tf] = isBottom ? [shape.bBottom, shape.tfBottom] : [shape.b, shape.tf];
  const [width, thickness] = isBottom ? ['b_b', 't_fb'] : ['b', 't_f'];
  const hw = h - shape.tf - lower;
  const k = sectionClass <= 2 ? 0.4 : 0.55;
  const ratio = hw / tw;
  const limit = ((k * grade.E) / fy) * Math.sqrt((hw * tw) / (b * tf));
  if (sheet) {
    sheet.given('E', grade.E, 'stress', "Young's modulus", 'EN 1993-1-1 3.2.6');
    sheet.given('k', k, 'ratio', sectionClass <= 2 ? 'the plastic moment is used' : 'the elastic moment is used', 'EN 1993-1-5 8(1)');
    if (isUnequal) sheet.step('h_w', 'h - t_f - t_fb', { h, t_f: shape.tf, t_fb: lower }, hw, 'sectionLength', 'EN 1993-1-5 8(1)');
    else sheet.step('h_w', 'h - 2 * t_f', { h, t_f: tf }, hw, 'sectionLength', 'EN 1993-1-5 8(1)');
    sheet.step('s_w', 'h_w / t_w', { h_w: hw, t_w: tw }, ratio, 'ratio', 'EN 1993-1-5 8(1)', 'slenderness of the web');
    sheet.step(
      's_max',
      `k * E / f_y * sqrt(h_w * t_w / (${width} * ${thickness}))`,
      { k, E: grade.E, f_y: fy, h_w: hw, t_w: tw, [width]: b, [thickness]: tf },
      limit,
      'ratio',
      'EN 1993-1-5 (8.1)',
    );
  }
  return compare(
    {
      id: 'flange-induced-buckling',
      name: 'Flange-induced buckling',
      clause: EN1993_1_5('8'),
      mode: 'instability',
      kind: 'ratio',
      demand: ratio,
      demandSymbol: 's_w',
      capacity: limit,
      capacitySymbol: 's_max',
      combination: actions.combination,
    },
    sheet,
  );
}
