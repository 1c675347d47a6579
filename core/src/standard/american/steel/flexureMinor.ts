import { AISC360 } from '../documents';
import type { Section } from '../../../section';
import type { Sheet, Clause } from '../../../sheet';
import { bucklesSideways } from '../../standard';
import { angleGeometricMoment, anglePrincipalMoments } from './flexureAngle';
import { boxWidths, compactness, flangeInFlexure, isBuiltUpBox, type Compactness, type Element } from './slenderness';

/** Flanges of I and channels bent about their minor axis, AISC 360-16 table B4.1b case 13: rolled and welded alike, the more slender of two. */
function flangeAboutMinor(section: Section): Element {
  return { ...flangeInFlexure(section), compact: 0.38, noncompact: 1.0, table: 'table B4.1b case 13' };
}

/**
 * Nominal moment about the minor axis, Nmm, AISC 360-16 F6 (I, channels), F7 (boxes, as if turned), F8 (tubes), F12 (tees); a reason where it is
 * not written; of angles about both principal axes. E, G, Fy: MPa. Lb: mm, read for angles and tees only.
 */
export function minorMoment(
  section: Section,
  E: number,
  G: number,
  Fy: number,
  Lb: number,
  sheet?: Sheet,
): { readonly Mn: number; readonly clause: Clause } | { readonly reason: string } {
  const { shape, properties } = section;
  const { Wplz: Zy, Welz: Sy } = properties;
  if (shape.outline === 'tee') return { Mn: teeMinorMoment(section, E, G, Fy, Lb, sheet), clause: AISC360('F12') };
  if (shape.outline === 'angle') {
    const principal = anglePrincipalMoments(section, Lb, 1, E, Fy, sheet);
    return { Mn: angleGeometricMoment(section, 'vertical', principal, sheet), clause: AISC360('F10, H2') };
  }
  if (bucklesSideways(section))
    return { reason: 'its axis called minor is the stronger one: lateral-torsional buckling about the other is not written' };
  const round = shape.outline === 'tube';
  const element = round || shape.outline === 'box' ? flangeInFlexure(section) : flangeAboutMinor(section);
  if (shape.outline === 'box') {
    // turned: the deep wall is the flange, the other one the web
    const { flange: across, web: deep, off } = boxWidths(section);
    const [flange, web] = [deep / shape.t, across / shape.t];
    const root = Math.sqrt(E / Fy);
    if (flange > 1.12 * root || web > 2.42 * root) return { reason: 'its walls are not compact about this axis, which is not written' };
    sheet?.branch(
      `(H - ${off} * t) / t <= 1.12 * sqrt(E / F_y)`,
      { H: shape.h, t: shape.t, E, F_y: Fy },
      true,
      isBuiltUpBox(section) ? 'table B4.1b case 21' : 'table B4.1b case 17',
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
    return { Mn: Mp, clause: AISC360('F7') };
  }
  const state: Compactness = compactness(element, E, Fy, round, sheet);
  if (state === 'compact') {
    sheet?.step('M_n', 'M_p', { M_p: Mp }, Mp, 'moment', round ? 'F8' : 'F6.1');
    return { Mn: Mp, clause: round ? AISC360('F8') : AISC360('F6') };
  }
  if (round) return { reason: 'the wall is not compact, which is written for the major axis only' };
  const lambda = element.ratio;
  if (state === 'noncompact') {
    const root = Math.sqrt(E / Fy);
    const [p, r] = [element.compact * root, element.noncompact * root];
    const Mn = Math.min(Mp, Mp - (Mp - 0.7 * Fy * Sy) * ((lambda - p) / (r - p)));
    sheet?.given('l_r', element.noncompact, 'ratio', 'noncompact limit as a multiple of sqrt(E / F_y)', element.table);
    sheet?.step(
      'M_n',
      'min(M_p, M_p - (M_p - 0.7 * F_y * S_y) * (lambda_f - 0.38 * sqrt(E / F_y)) / ((l_r - 0.38) * sqrt(E / F_y)))',
      { M_p: Mp, F_y: Fy, S_y: Sy, lambda_f: lambda, E, l_r: element.noncompact },
      Mn,
      'moment',
      '(F6-2)',
    );
    return { Mn, clause: AISC360('F6.2') };
  }
  const Mn = Math.min(Mp, ((0.69 * E) / lambda ** 2) * Sy);
  sheet?.step('M_n', 'min(M_p, 0.69 * E / lambda_f^2 * S_y)', { M_p: Mp, E, lambda_f: lambda, S_y: Sy }, Mn, 'moment', '(F6-3), (F6-4)');
  return { Mn, clause: AISC360('F6.2') };
}

/**
 * Tee bent across its stem, nominal moment, Nmm, AISC 360-16 F12: the least stress of yielding, lateral-torsional buckling (where that is the stronger axis)
 * and local buckling of the flange (the stress of F6.2), times the elastic modulus. Lb: mm.
 */
function teeMinorMoment(section: Section, E: number, G: number, Fy: number, Lb: number, sheet?: Sheet): number {
  const { Welz: Sy, Iy: Ix, It: J, Iw: Cw } = section.properties;
  sheet?.given('S_y', Sy, 'sectionModulus', 'elastic modulus, minor axis', section.designation);
  let Fn = Fy;
  const limits = ['F_y'];
  const inputs: Record<string, number> = { F_y: Fy };
  if (bucklesSideways(section)) {
    const Fcr = ((Math.PI / Lb) * Math.sqrt(E * Ix * (G * J + (Math.PI ** 2 * E * Cw) / Lb ** 2))) / Sy;
    if (sheet) {
      sheet.note(
        'The axis across the stem is the stronger one here: the tee may buckle about the other. Uniform moment, load at the shear centre.',
      );
      sheet.given('I_x', Ix, 'secondMoment', 'about the axis along the flange', section.designation);
      sheet.given('J', J, 'torsionConstant', 'torsion constant', section.designation);
      sheet.given('C_w', Cw, 'warpingConstant', 'warping constant', section.designation);
      sheet.given('G', G, 'stress', 'shear modulus');
      sheet.given('L_b', Lb, 'length', 'length between restraints against twisting');
      sheet.step(
        'F_cr',
        'pi / L_b * sqrt(E * I_x * (G * J + pi^2 * E * C_w / L_b^2)) / S_y',
        { L_b: Lb, E, I_x: Ix, G, J, C_w: Cw, S_y: Sy },
        Fcr,
        'stress',
        'F12.2; elastic theory',
        'lateral-torsional buckling',
      );
    }
    Fn = Math.min(Fn, Fcr);
    limits.push('F_cr');
    inputs['F_cr'] = Fcr;
  }
  const element = flangeInFlexure(section);
  const state = compactness(element, E, Fy, false, sheet);
  if (state !== 'compact') {
    const lambda = element.ratio;
    const root = Math.sqrt(E / Fy);
    const slender = (0.69 * E) / lambda ** 2;
    const local =
      state === 'slender' ? slender : Fy - (0.3 * Fy * (lambda - element.compact * root)) / ((element.noncompact - element.compact) * root);
    sheet?.step(
      'F_l',
      state === 'slender' ? '0.69 * E / lambda_f^2' : 'F_y - 0.3 * F_y * (lambda_f - 0.38 * sqrt(E / F_y)) / (0.62 * sqrt(E / F_y))',
      state === 'slender' ? { E, lambda_f: lambda } : { F_y: Fy, lambda_f: lambda, E },
      local,
      'stress',
      'F12.3; F6.2',
      'local buckling of the flange',
    );
    Fn = Math.min(Fn, local);
    limits.push('F_l');
    inputs['F_l'] = local;
  }
  sheet?.step(
    'M_n',
    `${limits.length > 1 ? `min(${limits.join(', ')})` : 'F_y'} * S_y`,
    { ...inputs, S_y: Sy },
    Fn * Sy,
    'moment',
    '(F12-1)',
  );
  return Fn * Sy;
}
