import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { GAMMA_M0, GAMMA_M1 } from './bending';

/** eta of EN 1993-1-5 5.1, UK annex NA.2.4. */
const ETA = 1.0;

/** Shear area for load along the depth, mm2, EN 1993-1-1 6.2.6(3); rolled shapes. */
export function shearArea(section: Section, sheet?: Sheet): number {
  const { shape, properties } = section;
  const { A } = properties;
  sheet?.given('A', A, 'area', 'area', section.designation);
  switch (shape.outline) {
    case 'I': {
      const { h, b, tw, tf, r } = shape;
      if (section.product === 'welded') {
        const web = ETA * (h - 2 * tf) * tw;
        sheet?.given('eta', ETA, 'ratio', 'eta', 'EN 1993-1-5 NA.2.4');
        sheet?.step('A_v', 'eta * (h - 2 * t_f) * t_w', { eta: ETA, h, t_f: tf, t_w: tw }, web, 'area', '6.2.6(3)d');
        return web;
      }
      const Av = Math.max(A - 2 * b * tf + (tw + 2 * r) * tf, ETA * (h - 2 * tf) * tw);
      sheet?.given('eta', ETA, 'ratio', 'eta', 'EN 1993-1-5 NA.2.4');
      sheet?.step(
        'A_v',
        'max(A - 2 * b * t_f + (t_w + 2 * r) * t_f, eta * (h - 2 * t_f) * t_w)',
        { A, b, t_f: tf, t_w: tw, r, eta: ETA, h },
        Av,
        'area',
        '6.2.6(3)a',
      );
      return Av;
    }
    case 'unequalI': {
      const { h, tw, tf, tfBottom } = shape;
      const web = ETA * (h - tf - tfBottom) * tw;
      sheet?.given('eta', ETA, 'ratio', 'eta', 'EN 1993-1-5 NA.2.4');
      sheet?.step('A_v', 'eta * (h - t_f - t_fb) * t_w', { eta: ETA, h, t_f: tf, t_fb: tfBottom, t_w: tw }, web, 'area', '6.2.6(3)d');
      return web;
    }
    case 'channel': {
      const { b, tw, tf, r } = shape;
      const Av = A - 2 * b * tf + (tw + r) * tf;
      sheet?.step('A_v', 'A - 2 * b * t_f + (t_w + r) * t_f', { A, b, t_f: tf, t_w: tw, r }, Av, 'area', '6.2.6(3)b');
      return Av;
    }
    case 'tee': {
      const { h, b, tw, tf, r } = shape;
      if (section.product === 'welded') {
        const stem = tw * (h - tf / 2);
        sheet?.step('A_v', 't_w * (h - t_f / 2)', { t_w: tw, h, t_f: tf }, stem, 'area', '6.2.6(3)c');
        return stem;
      }
      const Av = A - b * tf + ((tw + 2 * r) * tf) / 2;
      sheet?.step('A_v', 'A - b * t_f + (t_w + 2 * r) * t_f / 2', { A, b, t_f: tf, t_w: tw, r }, Av, 'area', '6.2.6(3)c');
      return Av;
    }
    case 'angle': {
      // stress of a rectangle at its middle is 1.5 times the mean: elastic, 6.2.6(4)
      const Av = (shape.h * shape.t) / 1.5;
      sheet?.step('A_v', 'h * t / 1.5', { h: shape.h, t: shape.t }, Av, 'area', '6.2.6(4), one leg, elastic');
      return Av;
    }
    case 'box': {
      const { h, b } = shape;
      const Av = (A * h) / (b + h);
      sheet?.step('A_v', 'A * h / (b + h)', { A, h, b }, Av, 'area', '6.2.6(3)f');
      return Av;
    }
    case 'tube': {
      const Av = (2 * A) / Math.PI;
      sheet?.step('A_v', '2 * A / pi', { A }, Av, 'area', '6.2.6(3)g');
      return Av;
    }
  }
}

/** Shear area for load across the depth, parallel to the flanges, mm2, EN 1993-1-1 6.2.6(3). */
export function shearAreaAcross(section: Section, sheet?: Sheet): number {
  const { shape, properties } = section;
  const { A } = properties;
  sheet?.given('A', A, 'area', 'area', section.designation);
  switch (shape.outline) {
    case 'I':
    case 'channel': {
      const Av = A - (shape.h - 2 * shape.tf) * shape.tw;
      sheet?.step('A_v', 'A - (h - 2 * t_f) * t_w', { A, h: shape.h, t_f: shape.tf, t_w: shape.tw }, Av, 'area', '6.2.6(3)e');
      return Av;
    }
    case 'unequalI': {
      const { h, tw, tf, tfBottom } = shape;
      const Av = A - (h - tf - tfBottom) * tw;
      sheet?.step('A_v', 'A - (h - t_f - t_fb) * t_w', { A, h, t_f: tf, t_fb: tfBottom, t_w: tw }, Av, 'area', '6.2.6(3)e');
      return Av;
    }
    case 'tee': {
      const Av = shape.b * shape.tf;
      sheet?.step('A_v', 'b * t_f', { b: shape.b, t_f: shape.tf }, Av, 'area', '6.2.6(3)e');
      return Av;
    }
    case 'angle': {
      const Av = (shape.b * shape.t) / 1.5;
      sheet?.step('A_v', 'b * t / 1.5', { b: shape.b, t: shape.t }, Av, 'area', '6.2.6(4), one leg, elastic');
      return Av;
    }
    case 'box': {
      const Av = (A * shape.b) / (shape.b + shape.h);
      sheet?.step('A_v', 'A * b / (b + h)', { A, b: shape.b, h: shape.h }, Av, 'area', '6.2.6(3)f');
      return Av;
    }
    case 'tube': {
      const Av = (2 * A) / Math.PI;
      sheet?.step('A_v', '2 * A / pi', { A }, Av, 'area', '6.2.6(3)g');
      return Av;
    }
  }
}

/** Plastic shear resistance along the depth, N, EN 1993-1-1 (6.18). Av: mm2; fy: MPa. */
export function shearResistance(Av: number, fy: number, sheet?: Sheet): number {
  const VplRd = (Av * (fy / Math.sqrt(3))) / GAMMA_M0;
  sheet?.step(
    'V_plRd',
    'A_v * (f_y / sqrt(3)) / gamma_M0',
    { A_v: Av, f_y: fy, gamma_M0: GAMMA_M0 },
    VplRd,
    'force',
    '(6.18)',
    'plastic shear resistance',
  );
  return VplRd;
}

/** Whether the web is stocky enough to need no shear buckling check, EN 1993-1-1 6.2.6(6): hw/tw at most 72 epsilon / eta. */
export function isWebStocky(section: Section, fy: number, sheet?: Sheet): boolean {
  const { shape } = section;
  // a free leg or stem is no web between two flanges
  if (shape.outline === 'tube' || shape.outline === 'angle' || shape.outline === 'tee') return true;
  const epsilon = Math.sqrt(235 / fy);
  const isBox = shape.outline === 'box';
  const isUnequal = shape.outline === 'unequalI';
  const hw = isBox ? shape.h - 3 * shape.t : isUnequal ? shape.h - shape.tf - shape.tfBottom : shape.h - 2 * shape.tf;
  const tw = isBox ? shape.t : shape.tw;
  const stocky = hw / tw <= (72 * epsilon) / ETA;
  if (sheet) {
    if (isBox) sheet.step('h_w', 'h - 3 * t', { h: shape.h, t: shape.t }, hw, 'sectionLength', '6.2.6(6)');
    else if (isUnequal)
      sheet.step('h_w', 'h - t_f - t_fb', { h: shape.h, t_f: shape.tf, t_fb: shape.tfBottom }, hw, 'sectionLength', '6.2.6(6)');
    else sheet.step('h_w', 'h - 2 * t_f', { h: shape.h, t_f: shape.tf }, hw, 'sectionLength', '6.2.6(6)');
    const web = isBox ? 't' : 't_w';
    sheet.branch(
      `h_w / ${web} <= 72 * epsilon / 1.0`,
      { h_w: hw, [web]: tw, epsilon },
      stocky,
      '6.2.6(6)',
      stocky ? 'the web does not buckle in shear' : 'shear buckling must be checked',
    );
  }
  return stocky;
}

/**
 * Shear buckling resistance of an unstiffened web with a non-rigid end post, N, EN 1993-1-5 5.2, 5.3, table 5.1; the flanges'
 * share is left out. Stiffeners at the supports are required (5.1(2)). hw, tw: mm; fy: MPa.
 */
export function shearBucklingResistance(hw: number, tw: number, fy: number, sheet?: Sheet): number {
  const epsilon = Math.sqrt(235 / fy);
  const slenderness = hw / (86.4 * tw * epsilon);
  const limit = 0.83 / ETA;
  const chi = slenderness < limit ? ETA : 0.83 / slenderness;
  const VbwRd = (chi * fy * hw * tw) / (Math.sqrt(3) * GAMMA_M1);
  if (sheet) {
    sheet.given('gamma_M1', GAMMA_M1, 'ratio', 'partial factor', 'EN 1993-1-1 NA.2.15');
    sheet.step(
      'lambda_w',
      'h_w / (86.4 * t_w * epsilon)',
      { h_w: hw, t_w: tw, epsilon },
      slenderness,
      'ratio',
      'EN 1993-1-5 (5.5)',
      'slenderness of the web',
    );
    sheet.step('chi_w', 'min(1.0, 0.83 / lambda_w)', { lambda_w: slenderness }, Math.min(ETA, chi), 'ratio', 'EN 1993-1-5 table 5.1');
    sheet.step(
      'V_bRd',
      'chi_w * f_y * h_w * t_w / (sqrt(3) * gamma_M1)',
      { chi_w: chi, f_y: fy, h_w: hw, t_w: tw, gamma_M1: GAMMA_M1 },
      VbwRd,
      'force',
      'EN 1993-1-5 (5.2)',
      'shear buckling resistance, web alone',
    );
  }
  return VbwRd;
}
