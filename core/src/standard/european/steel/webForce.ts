import type { SteelAnnex } from '../annex';
import { EN1993_1_5 } from '../documents';
import { withThinnerFlange, type IShape } from '../../../section';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { requireBasis, type Philosophy, type WebForceInput } from '../../standard';
import { bendingModulus } from './bending';
import { classify, recordShape, sectionYield } from './classification';
import { hasEffectiveSection } from './effective';

const NAME = { id: 'web-under-a-force-through-its-flange', name: 'Web under a force through its flange' } as const;
const WITH_BENDING = { id: NAME.id, part: 'with-bending', name: `${NAME.name}, with bending` } as const;

/** What (6.10) to (6.14) make of a patch load. mm, N. */
export interface PatchResistance {
  /** Effective loaded length and reduction factor. */
  readonly ly: number;
  readonly chi: number;
  readonly resistance: number;
}

/**
 * Resistance of an unstiffened web of an I or H to a force through one flange, N, EN 1993-1-5 6.2 to 6.5: (a) away from the ends, (c) at a
 * free end, or (b) away from the ends with a like force at the other flange. ss: stiff bearing length, at most hw; c: from the end of that length to the member's end, mm; null when far.
 */
export function patchResistance(
  annex: SteelAnnex,
  shape: IShape,
  fy: number,
  E: number,
  ss: number,
  c: number | null,
  sheet?: Sheet,
  opposed = false,
): PatchResistance {
  const { h, b, tw, tf } = shape;
  const hw = h - 2 * tf;
  const s = Math.min(ss, hw);
  const atEnd = c !== null;
  const through = opposed ? 3.5 : 6;
  const kF = atEnd ? Math.min(through, 2 + (6 * (s + c)) / hw) : through;
  const Fcr = (0.9 * kF * E * tw ** 3) / hw;
  const m1 = b / tw;
  const length = (m2: number) => {
    const long = s + 2 * tf * (1 + Math.sqrt(m1 + m2));
    if (!atEnd) return long;
    const le = Math.min((kF * E * tw ** 2) / (2 * fy * hw), s + c);
    return Math.min(long, le + tf * Math.sqrt(m1 / 2 + (le / tf) ** 2 + m2), le + tf * Math.sqrt(m1 + m2));
  };
  // m2 counts where the slenderness found with it is above 0.5
  const slender = 0.02 * (hw / tf) ** 2;
  const slenderness = (ly: number) => Math.sqrt((ly * tw * fy) / Fcr);
  const m2 = slenderness(length(slender)) > 0.5 ? slender : 0;
  const ly = length(m2);
  const lambda = slenderness(ly);
  const chi = Math.min(1, 0.5 / lambda);
  const resistance = (chi * ly * tw * fy) / annex.gammaM1;
  if (sheet) {
    sheet.given('s_s', s, 'sectionLength', 'stiff bearing length, at most the depth of the web', 'EN 1993-1-5 6.3');
    sheet.step('h_w', 'h - 2 * t_f', { h, t_f: tf }, hw, 'sectionLength', 'EN 1993-1-5 6.2');
    if (atEnd) {
      sheet.given('c_e', c, 'sectionLength', 'from the stiff length to the end of the member');
      sheet.step(
        'k_F',
        `min(${through}, 2 + 6 * (s_s + c_e) / h_w)`,
        { s_s: s, c_e: c, h_w: hw },
        kF,
        'ratio',
        'EN 1993-1-5 figure 6.1 (c)',
      );
    } else
      sheet.step('k_F', String(through), {}, through, 'ratio', `EN 1993-1-5 figure 6.1 (${opposed ? 'b' : 'a'})`, 'no stiffeners near');
    sheet.step('F_cr', '0.9 * k_F * E * t_w^3 / h_w', { k_F: kF, E, t_w: tw, h_w: hw }, Fcr, 'force', 'EN 1993-1-5 (6.5)');
    sheet.step('m_1', 'b / t_w', { b, t_w: tw }, m1, 'ratio', 'EN 1993-1-5 (6.8)', 'one grade throughout');
    if (m2 === 0) sheet.step('m_2', '0', {}, 0, 'ratio', 'EN 1993-1-5 (6.9)', 'slenderness at most 0.5');
    else sheet.step('m_2', '0.02 * (h_w / t_f)^2', { h_w: hw, t_f: tf }, m2, 'ratio', 'EN 1993-1-5 (6.9)');
    const inputs = { s_s: s, t_f: tf, m_1: m1, m_2: m2 };
    if (!atEnd)
      sheet.step(
        'l_y',
        's_s + 2 * t_f * (1 + sqrt(m_1 + m_2))',
        inputs,
        ly,
        'sectionLength',
        'EN 1993-1-5 (6.10)',
        'effective loaded length',
      );
    else {
      const le = Math.min((kF * E * tw ** 2) / (2 * fy * hw), s + c);
      sheet.step(
        'l_e',
        'min(k_F * E * t_w^2 / (2 * f_y * h_w), s_s + c_e)',
        { k_F: kF, E, t_w: tw, f_y: fy, h_w: hw, s_s: s, c_e: c },
        le,
        'sectionLength',
        'EN 1993-1-5 (6.13)',
      );
      sheet.step(
        'l_y',
        'min(s_s + 2 * t_f * (1 + sqrt(m_1 + m_2)), l_e + t_f * sqrt(m_1 / 2 + (l_e / t_f)^2 + m_2), l_e + t_f * sqrt(m_1 + m_2))',
        { ...inputs, l_e: le },
        ly,
        'sectionLength',
        'EN 1993-1-5 (6.10) to (6.12)',
        'effective loaded length',
      );
    }
    sheet.step('lambda_F', 'sqrt(l_y * t_w * f_y / F_cr)', { l_y: ly, t_w: tw, f_y: fy, F_cr: Fcr }, lambda, 'ratio', 'EN 1993-1-5 (6.4)');
    sheet.step('chi_F', 'min(1, 0.5 / lambda_F)', { lambda_F: lambda }, chi, 'ratio', 'EN 1993-1-5 (6.3)');
    sheet.given('gamma_M1', annex.gammaM1, 'ratio', 'partial factor', annex.partialFactors);
    sheet.step(
      'F_Rd',
      'chi_F * l_y * t_w * f_y / gamma_M1',
      { chi_F: chi, l_y: ly, t_w: tw, f_y: fy, gamma_M1: annex.gammaM1 },
      resistance,
      'force',
      'EN 1993-1-5 (6.1)',
    );
  }
  return { ly, chi, resistance };
}

/** Web of an I or H under a force through its flange, alone and with the bending moment there, EN 1993-1-5 6, 7.2. */
export function webUnderForce(annex: SteelAnnex, input: WebForceInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, force, bearing, toEnd, moment, combination } = input;
  requireBasis(input.basis, philosophy.basis);
  const shape = withThinnerFlange(section.shape);
  if (shape.outline !== 'I')
    return [unproven(NAME, EN1993_1_5('6'), 'instability', 'forces through the flange are written for webs of I and H only', sheet)];
  recordShape(section, sheet);
  if (section.shape.outline === 'unequalI' && sheet) {
    sheet.note('The lesser width and thickness of the two flanges count for both: the force may come through either.');
    sheet.given('h', shape.h, 'sectionLength', 'depth of such an I with the same web');
    sheet.given('b', shape.b, 'sectionLength', 'lesser width of the flanges');
    sheet.given('t_f', shape.tf, 'sectionLength', 'lesser thickness of the flanges');
  }
  const fy = sectionYield(section, grade, sheet);
  sheet?.given('E', grade.E, 'stress', "Young's modulus", 'EN 1993-1-1 3.2.6');
  const hw = shape.h - 2 * shape.tf;
  const c = toEnd - bearing / 2;
  // (a) wants the load away from the end; nearer than the depth of the web it is read as at a free end
  const { resistance } = patchResistance(annex, shape, fy, grade.E, bearing, c < hw ? Math.max(0, c) : null, sheet, input.opposed);
  sheet?.given('F_Ed', force, 'force', `force through the flange, ${combination}`);
  const checks = [
    compare(
      {
        id: NAME.id,
        name: NAME.name,
        clause: EN1993_1_5('6.2'),
        mode: 'instability',
        kind: 'force',
        demand: force,
        demandSymbol: 'F_Ed',
        capacity: resistance,
        capacitySymbol: 'F_Rd',
        combination,
      },
      sheet,
    ),
  ];
  if (moment === 0) return checks;
  const inner = sheet?.scope('With the bending moment');
  // 7.2 with 4.6: by the class of the section, effective in class 4
  const sectionClass = classify(section, fy, 'bending');
  if (sectionClass === 4 && !hasEffectiveSection(section)) {
    const reason = `${section.designation} is of class 4 in bending: its effective section is not written`;
    return [...checks, unproven(WITH_BENDING, EN1993_1_5('7.2'), 'instability', reason, inner)];
  }
  const W = bendingModulus(section, sectionClass, fy, inner?.scope('Modulus'));
  const Mpl = (W * fy) / annex.gammaM0;
  const sum = (force / resistance + (0.8 * Math.abs(moment)) / Mpl) / 1.4;
  inner?.given('M_Ed', Math.abs(moment), 'moment', 'largest moment of the member');
  inner?.given('W_y', W, 'sectionModulus', `modulus of class ${sectionClass}`, section.designation);
  inner?.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
  inner?.step('M_cRd', 'W_y * f_y / gamma_M0', { W_y: W, f_y: fy, gamma_M0: annex.gammaM0 }, Mpl, 'moment', 'EN 1993-1-5 4.6, 7.2');
  inner?.step(
    'R',
    '(F_Ed / F_Rd + 0.8 * M_Ed / M_cRd) / 1.4',
    { F_Ed: force, F_Rd: resistance, M_Ed: Math.abs(moment), M_cRd: Mpl },
    sum,
    'ratio',
    'EN 1993-1-5 (7.2)',
  );
  inner?.given('R_max', 1, 'ratio', 'at most');
  checks.push(
    compare(
      {
        id: WITH_BENDING.id,
        part: WITH_BENDING.part,
        name: WITH_BENDING.name,
        clause: EN1993_1_5('7.2'),
        mode: 'instability',
        kind: 'ratio',
        demand: sum,
        demandSymbol: 'R',
        capacity: 1,
        capacitySymbol: 'R_max',
        combination,
      },
      inner,
    ),
  );
  return checks;
}
