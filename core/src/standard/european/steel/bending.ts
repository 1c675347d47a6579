import type { SteelAnnex } from '../annex';
import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import type { SectionClass } from './classification';
import { effectiveModulus } from './effective';
import { bentAngle } from './effectiveAngle';
import { teeEffectiveModulus } from './effectiveTee';

/**
 * Section modulus for bending about the major axis, mm3: plastic in classes 1 and 2, elastic in class 3, effective in class 4.
 * Class 4 is written for I, box, angles and tees of slender stem only. fy: MPa.
 */
export function bendingModulus(section: Section, sectionClass: SectionClass, fy: number, sheet?: Sheet): number {
  const { outline } = section.shape;
  if (sectionClass === 4 && outline === 'angle') {
    const W = bentAngle(section, fy, sheet).properties.Wely;
    sheet?.given('W_y', W, 'sectionModulus', 'elastic, of the angle with effective legs', 'EN 1993-1-5 4.3');
    return W;
  }
  if (sectionClass === 4) return outline === 'tee' ? teeEffectiveModulus(section, fy, sheet) : effectiveModulus(section, fy, sheet);
  const { Wply, Wely } = section.properties;
  const W = sectionClass <= 2 ? Wply : Wely;
  sheet?.given(
    'W_y',
    W,
    'sectionModulus',
    sectionClass <= 2 ? 'plastic section modulus, class 1 or 2' : 'elastic section modulus, class 3',
    section.designation,
  );
  return W;
}

/** Bending resistance of the cross-section about its major axis, Nmm, EN 1993-1-1 6.2.5(2). W: mm3; fy: MPa. */
export function bendingResistance(annex: SteelAnnex, W: number, fy: number, sheet?: Sheet): number {
  sheet?.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
  const McRd = (W * fy) / annex.gammaM0;
  sheet?.step(
    'M_cRd',
    'W_y * f_y / gamma_M0',
    { W_y: W, f_y: fy, gamma_M0: annex.gammaM0 },
    McRd,
    'moment',
    '6.2.5(2)',
    'bending resistance of the section',
  );
  return McRd;
}

/**
 * Bending resistance beside a large shear, Nmm, EN 1993-1-1 6.2.8: fy of the shear area is reduced when the shear exceeds
 * half the plastic shear resistance. I and H of classes 1 and 2, (6.30); other shapes by a reduced yield strength throughout.
 */
export function bendingResistanceWithShear(
  annex: SteelAnnex,
  section: Section,
  McRd: number,
  fy: number,
  VEd: number,
  VplRd: number,
  sheet?: Sheet,
): number {
  const V = Math.abs(VEd);
  const low = V <= 0.5 * VplRd;
  sheet?.branch(
    'abs(V_Ed) <= 0.5 * V_plRd',
    { V_Ed: VEd, V_plRd: VplRd },
    low,
    '6.2.8(2)',
    low ? 'shear does not reduce the bending resistance' : 'shear reduces the bending resistance',
  );
  if (low) {
    sheet?.step('M_vRd', 'M_cRd', { M_cRd: McRd }, McRd, 'moment', '6.2.8(2)');
    return McRd;
  }
  const rho = ((2 * V) / VplRd - 1) ** 2;
  sheet?.step('rho', '(2 * abs(V_Ed) / V_plRd - 1)^2', { V_Ed: VEd, V_plRd: VplRd }, rho, 'ratio', '6.2.8(3)');
  const { shape } = section;
  if (shape.outline === 'I') {
    const hw = shape.h - 2 * shape.tf;
    const Aw = hw * shape.tw;
    sheet?.step('A_w', '(h - 2 * t_f) * t_w', { h: shape.h, t_f: shape.tf, t_w: shape.tw }, Aw, 'area', '6.2.8(5)');
    const reduced = McRd - (rho * Aw ** 2 * fy) / (4 * shape.tw * annex.gammaM0);
    sheet?.step(
      'M_vRd',
      'M_cRd - rho * A_w^2 * f_y / (4 * t_w * gamma_M0)',
      { M_cRd: McRd, rho, A_w: Aw, f_y: fy, t_w: shape.tw, gamma_M0: annex.gammaM0 },
      reduced,
      'moment',
      '(6.30)',
    );
    return reduced;
  }
  const reduced = Math.max(0, 1 - rho) * McRd;
  sheet?.step('M_vRd', 'max(0, 1 - rho) * M_cRd', { rho, M_cRd: McRd }, reduced, 'moment', '(6.29)');
  return reduced;
}
