import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';

/** Effective width over width of a part held at both edges, EN 1993-1-5 (4.2). psi: ratio of edge stresses, compression positive. */
export function internalReduction(slenderness: number, psi: number): number {
  return slenderness <= 0.5 + Math.sqrt(0.085 - 0.055 * psi) ? 1 : Math.min(1, (slenderness - 0.055 * (3 + psi)) / slenderness ** 2);
}

/** Effective width over width of a part held at one edge, EN 1993-1-5 (4.3). */
export function outstandReduction(slenderness: number): number {
  return slenderness <= 0.748 ? 1 : Math.min(1, (slenderness - 0.188) / slenderness ** 2);
}

/** Plate buckling factor of an internal part, EN 1993-1-5 table 4.1. */
export function bucklingFactor(psi: number): number {
  if (psi >= 0) return 8.2 / (1.05 + psi);
  return psi > -1 ? 7.81 - 6.29 * psi + 9.78 * psi ** 2 : 5.98 * (1 - psi) ** 2;
}

/** What plate slenderness is made of: width over thickness, strength, buckling factor, EN 1993-1-5 4.4(2). */
export function plateSlenderness(ratio: number, epsilon: number, k: number): number {
  return ratio / (28.4 * epsilon * Math.sqrt(k));
}

interface Plates {
  /** One flange's parts: width of each, how many, thickness, whether both edges are held. */
  readonly flange: { readonly c: number; readonly count: number; readonly t: number; readonly internal: boolean };
  /** Clear depth of a web, how many, thickness. */
  readonly web: { readonly c: number; readonly count: number; readonly t: number };
  readonly h: number;
  readonly formulas: {
    readonly cf: string;
    readonly cw: string;
    readonly inputs: Record<string, number>;
    readonly tf: string;
    readonly tw: string;
  };
}

/** Plates of an I or box; null for shapes whose centroid would move under compression or that have none. */
function plates({ shape }: Section): Plates | null {
  if (shape.outline === 'I') {
    const { h, b, tw, tf, r } = shape;
    return {
      flange: { c: (b - tw - 2 * r) / 2, count: 2, t: tf, internal: false },
      web: { c: h - 2 * tf - 2 * r, count: 1, t: tw },
      h,
      formulas: {
        cf: '(b - t_w - 2 * r) / 2',
        cw: 'h - 2 * t_f - 2 * r',
        inputs: { b, t_w: tw, r, h, t_f: tf },
        tf: 't_f',
        tw: 't_w',
      },
    };
  }
  if (shape.outline === 'box') {
    const { h, b, t } = shape;
    return {
      flange: { c: b - 3 * t, count: 1, t, internal: true },
      web: { c: h - 3 * t, count: 2, t },
      h,
      formulas: { cf: 'b - 3 * t', cw: 'h - 3 * t', inputs: { b, h, t }, tf: 't', tw: 't' },
    };
  }
  return null;
}

/** Whether an effective section of class 4 is written for an outline: I and box, whose centroid stays under compression. */
export function hasEffectiveSection(section: Section): boolean {
  return section.shape.outline === 'I' || section.shape.outline === 'box';
}

function flangeReduction({ flange, formulas }: Plates, epsilon: number, sheet?: Sheet): number {
  const k = flange.internal ? 4 : 0.43;
  const slenderness = plateSlenderness(flange.c / flange.t, epsilon, k);
  const rho = flange.internal ? internalReduction(slenderness, 1) : outstandReduction(slenderness);
  if (sheet) {
    sheet.step(
      'c_f',
      formulas.cf,
      pick(formulas.inputs, formulas.cf),
      flange.c,
      'sectionLength',
      'table 5.2',
      'clear width of a flange part',
    );
    sheet.step(
      'lambda_f',
      `c_f / ${formulas.tf} / (28.4 * epsilon * sqrt(${k}))`,
      { c_f: flange.c, [formulas.tf]: flange.t, epsilon },
      slenderness,
      'ratio',
      'EN 1993-1-5 4.4(2)',
    );
    printReduction('rho_f', 'lambda_f', slenderness, rho, flange.internal ? '0.055 * (3 + 1)' : '0.188', {}, sheet);
  }
  return rho;
}

/** Prints a reduction: 1 where the part is stocky. */
export function printReduction(
  symbol: string,
  of: string,
  slenderness: number,
  rho: number,
  loss: string,
  inputs: Record<string, number>,
  sheet: Sheet,
): void {
  if (rho === 1) sheet.step(symbol, '1', {}, 1, 'ratio', 'EN 1993-1-5 4.4(2)', 'the part is fully effective');
  else
    sheet.step(symbol, `min(1, (${of} - ${loss}) / ${of}^2)`, { [of]: slenderness, ...inputs }, rho, 'ratio', 'EN 1993-1-5 (4.2), (4.3)');
}

const pick = (inputs: Record<string, number>, formula: string): Record<string, number> =>
  Object.fromEntries(Object.entries(inputs).filter(([name]) => new RegExp(`\\b${name}\\b`).test(formula)));

/** Effective area of an I or box of class 4 in uniform compression, mm2, EN 1993-1-5 4.3, 4.4: its centroid does not move. fy: MPa. */
export function effectiveArea(section: Section, fy: number, sheet?: Sheet): number {
  const found = plates(section)!;
  const { flange, web, formulas } = found;
  const { A } = section.properties;
  sheet?.given('A', A, 'area', 'gross area', section.designation);
  const epsilon = Math.sqrt(235 / fy);
  sheet?.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, epsilon, 'ratio', 'table 5.2');
  const rhoF = flangeReduction(found, epsilon, sheet);
  const slenderness = plateSlenderness(web.c / web.t, epsilon, 4);
  const rhoW = internalReduction(slenderness, 1);
  const lost = 2 * flange.count * (1 - rhoF) * flange.c * flange.t + web.count * (1 - rhoW) * web.c * web.t;
  if (sheet) {
    sheet.step('c_w', formulas.cw, pick(formulas.inputs, formulas.cw), web.c, 'sectionLength', 'table 5.2', 'clear depth of a web');
    sheet.step(
      'lambda_w',
      `c_w / ${formulas.tw} / (28.4 * epsilon * sqrt(4))`,
      { c_w: web.c, [formulas.tw]: web.t, epsilon },
      slenderness,
      'ratio',
      'EN 1993-1-5 4.4(2)',
    );
    printReduction('rho_w', 'lambda_w', slenderness, rhoW, '0.055 * (3 + 1)', {}, sheet);
    sheet.step(
      'A_eff',
      `A - ${2 * flange.count} * (1 - rho_f) * c_f * ${formulas.tf} - ${web.count} * (1 - rho_w) * c_w * ${formulas.tw}`,
      { A, rho_f: rhoF, c_f: flange.c, [formulas.tf]: flange.t, rho_w: rhoW, c_w: web.c, [formulas.tw]: web.t },
      A - lost,
      'area',
      'EN 1993-1-5 4.3',
      'effective area',
    );
  }
  return A - lost;
}

/**
 * Effective modulus of an I or box of class 4 bent about its major axis, mm3, EN 1993-1-5 4.3, 4.4: the compression flange first, then the
 * web under the stresses of that section; the gross section less what buckles. fy: MPa.
 */
export function effectiveModulus(section: Section, fy: number, sheet?: Sheet): number {
  const found = plates(section)!;
  const { flange, web, h, formulas } = found;
  const { A, Iy } = section.properties;
  const epsilon = Math.sqrt(235 / fy);
  sheet?.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, epsilon, 'ratio', 'table 5.2');
  const rhoF = flangeReduction(found, epsilon, sheet);
  const lostF = flange.count * (1 - rhoF) * flange.c * flange.t;
  const zF = h / 2 - flange.t / 2;
  const shift = (lostF * zF) / (A - lostF);
  const psi = -(web.c / 2 - shift) / (web.c / 2 + shift);
  const k = bucklingFactor(psi);
  const slenderness = plateSlenderness(web.c / web.t, epsilon, k);
  const rhoW = internalReduction(slenderness, psi);
  const pressed = web.c / (1 - psi);
  const gap = (1 - rhoW) * pressed;
  const zW = web.c / 2 - 0.4 * rhoW * pressed - gap / 2;
  const lostW = web.count * gap * web.t;
  const Aeff = A - lostF - lostW;
  const e = (lostF * zF + lostW * zW) / Aeff;
  const Ieff = Iy - lostF * (zF ** 2 + flange.t ** 2 / 12) - lostW * (zW ** 2 + gap ** 2 / 12) - Aeff * e ** 2;
  const Weff = Ieff / (h / 2 + e);
  if (sheet) {
    const { tf, tw } = formulas;
    sheet.given('A', A, 'area', 'area', section.designation);
    sheet.given('I_y', Iy, 'secondMoment', 'second moment, gross', section.designation);
    sheet.step(
      'A_f',
      `${flange.count} * (1 - rho_f) * c_f * ${tf}`,
      { rho_f: rhoF, c_f: flange.c, [tf]: flange.t },
      lostF,
      'area',
      'EN 1993-1-5 4.4',
      'of the compression flange, not effective',
    );
    sheet.step(
      'e_f',
      `A_f * (h / 2 - ${tf} / 2) / (A - A_f)`,
      { A_f: lostF, h, [tf]: flange.t, A },
      shift,
      'sectionLength',
      'EN 1993-1-5 4.4(3)',
      'shift of the axis by the flange alone',
    );
    sheet.step('c_w', formulas.cw, pick(formulas.inputs, formulas.cw), web.c, 'sectionLength', 'table 5.2', 'clear depth of a web');
    sheet.step('psi', '-(c_w / 2 - e_f) / (c_w / 2 + e_f)', { c_w: web.c, e_f: shift }, psi, 'ratio', 'EN 1993-1-5 table 4.1');
    sheet.step(
      'k_sigma',
      psi > -1 ? '7.81 - 6.29 * psi + 9.78 * psi^2' : '5.98 * (1 - psi)^2',
      { psi },
      k,
      'ratio',
      'EN 1993-1-5 table 4.1',
    );
    sheet.step(
      'lambda_w',
      `c_w / ${tw} / (28.4 * epsilon * sqrt(k_sigma))`,
      { c_w: web.c, [tw]: web.t, epsilon, k_sigma: k },
      slenderness,
      'ratio',
      'EN 1993-1-5 4.4(2)',
    );
    printReduction('rho_w', 'lambda_w', slenderness, rhoW, '0.055 * (3 + psi)', { psi }, sheet);
    sheet.step('b_c', 'c_w / (1 - psi)', { c_w: web.c, psi }, pressed, 'sectionLength', 'EN 1993-1-5 table 4.1', 'web in compression');
    sheet.step(
      'g',
      '(1 - rho_w) * b_c',
      { rho_w: rhoW, b_c: pressed },
      gap,
      'sectionLength',
      'EN 1993-1-5 table 4.1',
      'length that is not effective',
    );
    sheet.step(
      'z_w',
      'c_w / 2 - 0.4 * rho_w * b_c - g / 2',
      { c_w: web.c, rho_w: rhoW, b_c: pressed, g: gap },
      zW,
      'sectionLength',
      'EN 1993-1-5 table 4.1',
      'its middle above mid-depth',
    );
    sheet.step('A_w', `${web.count} * g * ${tw}`, { g: gap, [tw]: web.t }, lostW, 'area', 'EN 1993-1-5 4.4', 'of the webs, not effective');
    sheet.step('A_eff', 'A - A_f - A_w', { A, A_f: lostF, A_w: lostW }, Aeff, 'area', 'EN 1993-1-5 4.3');
    sheet.step(
      'e',
      `(A_f * (h / 2 - ${tf} / 2) + A_w * z_w) / A_eff`,
      { A_f: lostF, h, [tf]: flange.t, A_w: lostW, z_w: zW, A_eff: Aeff },
      e,
      'sectionLength',
      'EN 1993-1-5 4.3',
      'shift of the axis',
    );
    sheet.step(
      'I_eff',
      `I_y - A_f * ((h / 2 - ${tf} / 2)^2 + ${tf}^2 / 12) - A_w * (z_w^2 + g^2 / 12) - A_eff * e^2`,
      { I_y: Iy, A_f: lostF, h, [tf]: flange.t, A_w: lostW, z_w: zW, g: gap, A_eff: Aeff, e },
      Ieff,
      'secondMoment',
      'EN 1993-1-5 4.3',
    );
    sheet.step('W_y', 'I_eff / (h / 2 + e)', { I_eff: Ieff, h, e }, Weff, 'sectionModulus', 'EN 1993-1-5 4.3', 'effective section modulus');
  }
  return Weff;
}
