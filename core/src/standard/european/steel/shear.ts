import type { SteelAnnex } from '../annex';
import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';

/** Depth of a web over its thickness; 0: the shape has no web that buckles in shear. A number and no object: sizing asks for it millions of times. */
function webRatio({ shape }: Section): number {
  switch (shape.outline) {
    case 'I':
    case 'channel':
      return (shape.h - 2 * shape.tf) / shape.tw;
    case 'box':
      return (shape.h - 3 * shape.t) / shape.t;
    case 'unequalI':
      return (shape.h - shape.tf - shape.tfBottom) / shape.tw;
    default:
      return 0;
  }
}

/**
 * eta of EN 1993-1-5 5.1(2): that of the annex; 1, as 6.2.6(3) allows, for a web that needs no check of shear buckling with 1 and would need one with
 * more. fy: MPa.
 */
function etaOf(annex: SteelAnnex, section: Section, fy: number): number {
  if (annex.eta <= 1) return annex.eta;
  const epsilon = Math.sqrt(235 / fy);
  const ratio = webRatio(section);
  return ratio > (72 * epsilon) / annex.eta && ratio <= 72 * epsilon ? 1 : annex.eta;
}

function recordEta(annex: SteelAnnex, eta: number, sheet?: Sheet): void {
  if (eta === annex.eta) sheet?.given('eta', eta, 'ratio', 'eta', annex.etaSource);
  else sheet?.given('eta', eta, 'ratio', 'on the safe side: with it the web needs no check of shear buckling', 'EN 1993-1-1 6.2.6(3)');
}

/** Shear area for load along the depth, mm2, EN 1993-1-1 6.2.6(3); rolled shapes. fy: MPa. */
export function shearArea(annex: SteelAnnex, section: Section, fy: number, sheet?: Sheet): number {
  const { shape, properties } = section;
  const { A } = properties;
  const eta = etaOf(annex, section, fy);
  sheet?.given('A', A, 'area', 'area', section.designation);
  switch (shape.outline) {
    case 'I': {
      const { h, b, tw, tf, r } = shape;
      if (section.product === 'welded') {
        const web = eta * (h - 2 * tf) * tw;
        recordEta(annex, eta, sheet);
        sheet?.step('A_v', 'eta * (h - 2 * t_f) * t_w', { eta, h, t_f: tf, t_w: tw }, web, 'area', '6.2.6(3)d');
        return web;
      }
      const Av = Math.max(A - 2 * b * tf + (tw + 2 * r) * tf, eta * (h - 2 * tf) * tw);
      recordEta(annex, eta, sheet);
      sheet?.step(
        'A_v',
        'max(A - 2 * b * t_f + (t_w + 2 * r) * t_f, eta * (h - 2 * t_f) * t_w)',
        { A, b, t_f: tf, t_w: tw, r, eta, h },
        Av,
        'area',
        '6.2.6(3)a',
      );
      return Av;
    }
    case 'unequalI': {
      const { h, tw, tf, tfBottom } = shape;
      const web = eta * (h - tf - tfBottom) * tw;
      recordEta(annex, eta, sheet);
      sheet?.step('A_v', 'eta * (h - t_f - t_fb) * t_w', { eta, h, t_f: tf, t_fb: tfBottom, t_w: tw }, web, 'area', '6.2.6(3)d');
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
export function shearResistance(annex: SteelAnnex, Av: number, fy: number, sheet?: Sheet): number {
  const VplRd = (Av * (fy / Math.sqrt(3))) / annex.gammaM0;
  sheet?.step(
    'V_plRd',
    'A_v * (f_y / sqrt(3)) / gamma_M0',
    { A_v: Av, f_y: fy, gamma_M0: annex.gammaM0 },
    VplRd,
    'force',
    '(6.18)',
    'plastic shear resistance',
  );
  return VplRd;
}

/** Whether the web is stocky enough to need no shear buckling check, EN 1993-1-1 6.2.6(6): hw/tw at most 72 epsilon / eta. */
export function isWebStocky(annex: SteelAnnex, section: Section, fy: number, sheet?: Sheet): boolean {
  const ratio = webRatio(section);
  if (ratio === 0) return true;
  const epsilon = Math.sqrt(235 / fy);
  const eta = etaOf(annex, section, fy);
  const stocky = ratio <= (72 * epsilon) / eta;
  if (sheet) {
    const { shape } = section;
    const isBox = shape.outline === 'box';
    const tw = isBox ? shape.t : (shape as Exclude<typeof shape, { outline: 'box' | 'tube' | 'angle' | 'tee' }>).tw;
    const hw = ratio * tw;
    if (shape.outline === 'box') sheet.step('h_w', 'h - 3 * t', { h: shape.h, t: shape.t }, hw, 'sectionLength', '6.2.6(6)');
    else if (shape.outline === 'unequalI')
      sheet.step('h_w', 'h - t_f - t_fb', { h: shape.h, t_f: shape.tf, t_fb: shape.tfBottom }, hw, 'sectionLength', '6.2.6(6)');
    else if (shape.outline === 'I' || shape.outline === 'channel')
      sheet.step('h_w', 'h - 2 * t_f', { h: shape.h, t_f: shape.tf }, hw, 'sectionLength', '6.2.6(6)');
    // of the others it stands on the sheet with the shear area
    if (isBox || shape.outline === 'channel') recordEta(annex, eta, sheet);
    const thickness = isBox ? 't' : 't_w';
    sheet.branch(
      `h_w / ${thickness} <= 72 * epsilon / eta`,
      { h_w: hw, [thickness]: tw, epsilon, eta },
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
export function shearBucklingResistance(annex: SteelAnnex, hw: number, tw: number, fy: number, sheet?: Sheet): number {
  const epsilon = Math.sqrt(235 / fy);
  const slenderness = hw / (86.4 * tw * epsilon);
  const limit = 0.83 / annex.eta;
  const chi = slenderness < limit ? annex.eta : 0.83 / slenderness;
  const VbwRd = (chi * fy * hw * tw) / (Math.sqrt(3) * annex.gammaM1);
  if (sheet) {
    sheet.given('gamma_M1', annex.gammaM1, 'ratio', 'partial factor', annex.partialFactors);
    sheet.step(
      'lambda_w',
      'h_w / (86.4 * t_w * epsilon)',
      { h_w: hw, t_w: tw, epsilon },
      slenderness,
      'ratio',
      'EN 1993-1-5 (5.5)',
      'slenderness of the web',
    );
    sheet.step(
      'chi_w',
      'min(eta, 0.83 / lambda_w)',
      { eta: annex.eta, lambda_w: slenderness },
      Math.min(annex.eta, chi),
      'ratio',
      'EN 1993-1-5 table 5.1',
    );
    sheet.step(
      'V_bRd',
      'chi_w * f_y * h_w * t_w / (sqrt(3) * gamma_M1)',
      { chi_w: chi, f_y: fy, h_w: hw, t_w: tw, gamma_M1: annex.gammaM1 },
      VbwRd,
      'force',
      'EN 1993-1-5 (5.2)',
      'shear buckling resistance, web alone',
    );
  }
  return VbwRd;
}
