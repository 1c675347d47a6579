import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { angleGeometricMoment, anglePrincipalMoments } from './flexureAngle';
import { flangeInFlexure, compactness, type Compactness } from './slenderness';

/**
 * Nominal moment about the minor axis, Nmm, AISC 360-16 F6 (I, channels), F7 (boxes, as if turned), F8 (tubes); null where it is not
 * written; of angles about both principal axes. E, Fy: MPa. Lb: mm, read for angles only.
 */
export function minorMoment(
  section: Section,
  E: number,
  Fy: number,
  Lb: number,
  sheet?: Sheet,
): { readonly Mn: number; readonly clause: string } | null {
  const { shape, properties } = section;
  const { Wplz: Zy, Welz: Sy } = properties;
  if (shape.outline === 'tee') return null;
  if (shape.outline === 'angle') {
    const principal = anglePrincipalMoments(section, Lb, 1, E, Fy, sheet);
    return { Mn: angleGeometricMoment(section, 'vertical', principal, sheet), clause: 'AISC 360-16 F10, H2' };
  }
  const round = shape.outline === 'tube';
  const element = flangeInFlexure(section);
  if (shape.outline === 'box') {
    // turned: the deep wall is the flange, the other one the web
    const [flange, web] = [(shape.h - 3 * shape.t) / shape.t, (shape.b - 3 * shape.t) / shape.t];
    const root = Math.sqrt(E / Fy);
    if (flange > 1.12 * root || web > 2.42 * root) return null;
    sheet?.branch(
      '(H - 3 * t) / t <= 1.12 * sqrt(E / F_y)',
      { H: shape.h, t: shape.t, E, F_y: Fy },
      true,
      'table B4.1b case 17',
      'the walls are compact about this axis',
    );
  }
  sheet?.given('Z_y', Zy, 'sectionModulus', 'plastic modulus, minor axis', section.designation);
  sheet?.given('S_y', Sy, 'sectionModulus', 'elastic modulus, minor axis', section.designation);
  const Mp = shape.outline === 'box' || round ? Fy * Zy : Math.min(Fy * Zy, 1.6 * Fy * Sy);
  if (shape.outline === 'box' || round) sheet?.step('M_p', 'F_y * Z_y', { F_y: Fy, Z_y: Zy }, Mp, 'moment', round ? '(F8-1)' : '(F7-1)');
  else sheet?.step('M_p', 'min(F_y * Z_y, 1.6 * F_y * S_y)', { F_y: Fy, Z_y: Zy, S_y: Sy }, Mp, 'moment', '(F6-1)');
  if (shape.outline === 'box') {
    sheet?.step('M_n', 'M_p', { M_p: Mp }, Mp, 'moment', '(F7-1)');
    return { Mn: Mp, clause: 'AISC 360-16 F7' };
  }
  const state: Compactness = compactness(element, E, Fy, round, sheet);
  if (state === 'compact') {
    sheet?.step('M_n', 'M_p', { M_p: Mp }, Mp, 'moment', round ? 'F8' : 'F6.1');
    return { Mn: Mp, clause: round ? 'AISC 360-16 F8' : 'AISC 360-16 F6' };
  }
  if (round) return null;
  const lambda = element.ratio;
  if (state === 'noncompact') {
    const root = Math.sqrt(E / Fy);
    const [p, r] = [element.compact * root, element.noncompact * root];
    const Mn = Mp - (Mp - 0.7 * Fy * Sy) * ((lambda - p) / (r - p));
    sheet?.given('l_r', element.noncompact, 'ratio', 'noncompact limit as a multiple of sqrt(E / F_y)', element.table);
    sheet?.step(
      'M_n',
      'M_p - (M_p - 0.7 * F_y * S_y) * (lambda_f - 0.38 * sqrt(E / F_y)) / ((l_r - 0.38) * sqrt(E / F_y))',
      { M_p: Mp, F_y: Fy, S_y: Sy, lambda_f: lambda, E, l_r: element.noncompact },
      Mn,
      'moment',
      '(F6-2)',
    );
    return { Mn, clause: 'AISC 360-16 F6.2' };
  }
  const Mn = ((0.69 * E) / lambda ** 2) * Sy;
  sheet?.step('M_n', '0.69 * E / lambda_f^2 * S_y', { E, lambda_f: lambda, S_y: Sy }, Mn, 'moment', '(F6-3), (F6-4)');
  return { Mn, clause: 'AISC 360-16 F6.2' };
}
