import { BS5950 } from './documents';
import type { SteelGrade } from '../../material';
import type { IShape, Section } from '../../section';
import { compare, unproven, type Check, type Sheet } from '../../sheet';
import { classOf, designStrength, E, rolledI, type BritishClass } from './section';

export interface BritishBeamInput {
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly combination: string;
  /** Factored, Nmm and N. */
  readonly moment: number;
  readonly shear: number;
  /** Effective length for lateral-torsional buckling, mm; 0: held along its length. */
  readonly effectiveLength: number;
  /** Moments at the quarter points of the segment, Nmm. */
  readonly quarters: readonly [number, number, number];
  /** Load that moves with the top flange: m_LT is 1; its longer effective length (table 13) is to be typed. */
  readonly destabilising: boolean;
}

/** Equivalent uniform moment factor for lateral-torsional buckling, BS 5950-1 table 18, general case; never below 0.44. */
export function uniformMomentFactor(peak: number, [M2, M3, M4]: readonly [number, number, number], sheet?: Sheet): number {
  const M = Math.abs(peak);
  const m = Math.max(0.44, 0.2 + (0.15 * Math.abs(M2) + 0.5 * Math.abs(M3) + 0.15 * Math.abs(M4)) / M);
  if (sheet) {
    sheet.given('M_2', Math.abs(M2), 'moment', 'at a quarter');
    sheet.given('M_3', Math.abs(M3), 'moment', 'at the middle');
    sheet.given('M_4', Math.abs(M4), 'moment', 'at three quarters');
    sheet.step(
      'm_LT',
      'max(0.44, 0.2 + (0.15 * M_2 + 0.5 * M_3 + 0.15 * M_4) / M_x)',
      { M_2: Math.abs(M2), M_3: Math.abs(M3), M_4: Math.abs(M4), M_x: M },
      m,
      'ratio',
      'table 18',
    );
  }
  return m;
}

/** Bending strength pb of a rolled section, MPa, BS 5950-1 Annex B.2. lambda: equivalent slenderness, and its symbol on the sheet. */
export function bendingStrength(lambda: number, py: number, sheet?: Sheet, symbol: 'lambda_LT' | 'lambda_TB' = 'lambda_LT'): number {
  const limit = 0.4 * Math.sqrt((Math.PI ** 2 * E) / py);
  sheet?.step('lambda_L0', '0.4 * sqrt(pi^2 * E / p_y)', { E, p_y: py }, limit, 'ratio', 'B.2.2', 'limiting equivalent slenderness');
  if (lambda <= limit) {
    sheet?.branch(`${symbol} <= lambda_L0`, { [symbol]: lambda, lambda_L0: limit }, true, '4.3.6.6', 'the full design strength');
    sheet?.step('p_b', 'p_y', { p_y: py }, py, 'stress', '4.3.6.6');
    return py;
  }
  const pE = (Math.PI ** 2 * E) / lambda ** 2;
  const eta = (7 * (lambda - limit)) / 1000;
  const phi = (py + (eta + 1) * pE) / 2;
  const pb = (pE * py) / (phi + Math.sqrt(phi ** 2 - pE * py));
  if (sheet) {
    sheet.branch(
      `${symbol} <= lambda_L0`,
      { [symbol]: lambda, lambda_L0: limit },
      false,
      '4.3.6.6',
      'lateral-torsional buckling reduces it',
    );
    sheet.step('p_E', `pi^2 * E / ${symbol}^2`, { E, [symbol]: lambda }, pE, 'stress', 'B.2.1');
    sheet.step(
      'eta_LT',
      `7.0 * (${symbol} - lambda_L0) / 1000`,
      { [symbol]: lambda, lambda_L0: limit },
      eta,
      'ratio',
      'B.2.2',
      'rolled: a_LT is 7.0',
    );
    sheet.step('phi_LT', '(p_y + (eta_LT + 1) * p_E) / 2', { p_y: py, eta_LT: eta, p_E: pE }, phi, 'stress', 'B.2.1');
    sheet.step(
      'p_b',
      'p_E * p_y / (phi_LT + sqrt(phi_LT^2 - p_E * p_y))',
      { p_E: pE, p_y: py, phi_LT: phi },
      pb,
      'stress',
      'B.2.1',
      'bending strength',
    );
  }
  return pb;
}

/** Equivalent slenderness of a rolled I or H, BS 5950-1 4.3.6.7, Annex B.2.3. LE: mm; betaW: 1, or Zx/Sx when semi-compact. */
export function equivalentSlenderness(section: Section, LE: number, betaW: number, sheet?: Sheet): number {
  const { A, Iy: Ix, Iz: Iy, It: J, Wply: Sx, iz: ry } = section.properties;
  const { h: D, tf: T } = section.shape as IShape;
  const hs = D - T;
  const gamma = 1 - Iy / Ix;
  const u = ((4 * Sx ** 2 * gamma) / (A ** 2 * hs ** 2)) ** 0.25;
  const x = 0.566 * hs * Math.sqrt(A / J);
  const lambda = LE / ry;
  const v = 1 / (1 + 0.05 * (lambda / x) ** 2) ** 0.25;
  const value = u * v * lambda * Math.sqrt(betaW);
  if (sheet) {
    sheet.given('A_g', A, 'area', 'gross area', section.designation);
    sheet.given('I_x', Ix, 'secondMoment', 'major axis', section.designation);
    sheet.given('I_y', Iy, 'secondMoment', 'minor axis', section.designation);
    sheet.given('J', J, 'torsionConstant', 'torsion constant', section.designation);
    sheet.given('S_x', Sx, 'sectionModulus', 'plastic modulus', section.designation);
    sheet.given('r_y', ry, 'sectionLength', 'radius of gyration', section.designation);
    sheet.given('L_E', LE, 'length', 'effective length');
    sheet.given('beta_W', betaW, 'ratio', betaW === 1 ? 'plastic or compact' : 'semi-compact: Z_x / S_x', '4.3.6.9');
    sheet.step('h_s', 'D - T', { D, T }, hs, 'sectionLength', 'B.2.3');
    sheet.step('gamma', '1 - I_y / I_x', { I_y: Iy, I_x: Ix }, gamma, 'ratio', 'B.2.3');
    sheet.step(
      'u',
      '(4 * S_x^2 * gamma / (A_g^2 * h_s^2))^0.25',
      { S_x: Sx, gamma, A_g: A, h_s: hs },
      u,
      'ratio',
      'B.2.3',
      'buckling parameter',
    );
    sheet.step('x', '0.566 * h_s * sqrt(A_g / J)', { h_s: hs, A_g: A, J }, x, 'ratio', 'B.2.3', 'torsional index');
    sheet.step('lambda', 'L_E / r_y', { L_E: LE, r_y: ry }, lambda, 'ratio', '4.3.6.7');
    sheet.step('v', '1 / (1 + 0.05 * (lambda / x)^2)^0.25', { lambda, x }, v, 'ratio', '4.3.6.7', 'slenderness factor');
    sheet.step(
      'lambda_LT',
      'u * v * lambda * sqrt(beta_W)',
      { u, v, lambda, beta_W: betaW },
      value,
      'ratio',
      '4.3.6.7',
      'equivalent slenderness',
    );
  }
  return value;
}

/** What a rolled I or H makes of a moment beside a shear, with its class. */
export interface BendingOfI {
  readonly checks: Check[];
  /** Null: slender, which is not written. */
  readonly found: Exclude<BritishClass, 'slender'> | null;
  /** Moment capacity beside the shear, Nmm. */
  readonly capacity: number;
  /** MPa */
  readonly py: number;
}

/** Rolled I or H, BS 5950-1:2000 4.2.3, 4.2.5: shear, and bending about the major axis beside it. Records the shape. */
export function shearAndBending(
  { section, grade, combination, moment, shear }: Pick<BritishBeamInput, 'section' | 'grade' | 'combination' | 'moment' | 'shear'>,
  sheet?: Sheet,
): BendingOfI {
  const { h: D, tw: t, tf: T, r } = rolledI(section, sheet);
  const py = designStrength(section, grade, sheet);
  sheet?.given('E', E, 'stress', "Young's modulus", '3.1.3');
  sheet?.given('M_x', Math.abs(moment), 'moment', `largest moment, ${combination}`);
  sheet?.given('F_v', Math.abs(shear), 'force', `largest shear, ${combination}`);
  const found = classOf(section, py, null, sheet?.scope('Class of the section'));
  if (found === 'slender')
    return {
      checks: [
        unproven(
          { id: 'bending', name: 'Bending' },
          BS5950('3.6'),
          'instability',
          `${section.designation} is slender in bending: not written`,
          sheet,
        ),
      ],
      found: null,
      capacity: 0,
      py,
    };
  const { Wply: S, Wely: Z } = section.properties;
  const checks: Check[] = [];

  const inShear = sheet?.scope('Shear');
  const Pv = 0.6 * py * t * D;
  inShear?.step('P_v', '0.6 * p_y * t * D', { p_y: py, t, D }, Pv, 'force', '4.2.3', 'shear capacity');
  checks.push(
    compare(
      {
        id: 'shear',
        name: 'Shear',
        clause: BS5950('4.2.3'),
        mode: 'ductile',
        kind: 'force',
        demand: Math.abs(shear),
        demandSymbol: 'F_v',
        capacity: Pv,
        capacitySymbol: 'P_v',
        combination,
      },
      inShear,
    ),
  );
  if ((D - 2 * T - 2 * r) / t > 70 * Math.sqrt(275 / py))
    checks.push(
      unproven(
        { id: 'shear-buckling', name: 'Shear buckling' },
        BS5950('4.4.5'),
        'instability',
        'the web is slenderer than 70 epsilon: shear buckling is not written',
        inShear,
      ),
    );

  const bending = sheet?.scope('Bending');
  bending?.given('S', S, 'sectionModulus', 'plastic modulus', section.designation);
  bending?.given('Z', Z, 'sectionModulus', 'elastic modulus', section.designation);
  bending?.given('P_v', Pv, 'force', 'shear capacity, from above');
  const isPlastic = found !== 'semi-compact';
  const isLow = Math.abs(shear) <= 0.6 * Pv;
  bending?.branch('F_v <= 0.6 * P_v', { F_v: Math.abs(shear), P_v: Pv }, isLow, '4.2.5', isLow ? 'low shear' : 'high shear');
  let Mc: number;
  if (isLow) {
    Mc = Math.min(isPlastic ? py * S : py * Z, 1.2 * py * Z);
    bending?.step(
      'M_c',
      `min(p_y * ${isPlastic ? 'S' : 'Z'}, 1.2 * p_y * Z)`,
      isPlastic ? { p_y: py, S, Z } : { p_y: py, Z },
      Mc,
      'moment',
      '4.2.5.2, 4.2.5.1',
      'moment capacity',
    );
  } else {
    const rho = ((2 * Math.abs(shear)) / Pv - 1) ** 2;
    const Sv = (t * D ** 2) / 4;
    bending?.step('rho', '(2 * F_v / P_v - 1)^2', { F_v: Math.abs(shear), P_v: Pv }, rho, 'ratio', '4.2.5.3');
    bending?.step('S_v', 't * D^2 / 4', { t, D }, Sv, 'sectionModulus', '4.2.5.3', 'plastic modulus of the shear area');
    if (isPlastic) {
      Mc = Math.min(py * (S - rho * Sv), 1.2 * py * Z);
      bending?.step(
        'M_c',
        'min(p_y * (S - rho * S_v), 1.2 * p_y * Z)',
        { p_y: py, S, rho, S_v: Sv, Z },
        Mc,
        'moment',
        '4.2.5.3',
        'moment capacity',
      );
    } else {
      Mc = py * (Z - (rho * Sv) / 1.5);
      bending?.step('M_c', 'p_y * (Z - rho * S_v / 1.5)', { p_y: py, Z, rho, S_v: Sv }, Mc, 'moment', '4.2.5.3', 'moment capacity');
    }
  }
  checks.push(
    compare(
      {
        id: 'bending',
        name: 'Bending',
        clause: BS5950('4.2.5'),
        mode: 'ductile',
        kind: 'moment',
        demand: Math.abs(moment),
        demandSymbol: 'M_x',
        capacity: Mc,
        capacitySymbol: 'M_c',
        combination,
      },
      bending,
    ),
  );
  return { checks, found, capacity: Mc, py };
}

/**
 * Buckling resistance moment of a rolled I or H, BS 5950-1 4.3.6, before it is divided by the factor of uniform moment.
 * @param LE effective length, mm
 * @param gain of the critical moment where the tension flange is held along the segment (`heldFlangeFactor`); its root divides the slenderness, as the factors
 *   of Annex G do
 * @returns strength, MPa, and the modulus that it acts on, mm3: Mb = pb W
 */
export function bucklingMoment(
  section: Section,
  found: Exclude<BritishClass, 'slender'>,
  LE: number,
  py: number,
  sheet?: Sheet,
  gain: number | null = null,
): { readonly pb: number; readonly W: number } {
  const { Wply: S, Wely: Z } = section.properties;
  const isPlastic = found !== 'semi-compact';
  const free = equivalentSlenderness(section, LE, isPlastic ? 1 : Z / S, sheet);
  const lambda = gain === null ? free : free / Math.sqrt(gain);
  if (gain !== null)
    sheet?.step(
      'lambda_TB',
      'lambda_LT / sqrt(C_h)',
      { lambda_LT: free, C_h: gain },
      lambda,
      'ratio',
      'elastic theory',
      'slenderness with the tension flange held along the segment',
    );
  const pb = bendingStrength(lambda, py, sheet, gain === null ? 'lambda_LT' : 'lambda_TB');
  const W = isPlastic ? S : Z;
  sheet?.given('W_x', W, 'sectionModulus', isPlastic ? 'plastic modulus' : 'elastic modulus', section.designation);
  return { pb, W };
}

/** Rolled I or H beam, BS 5950-1:2000 4.2.3, 4.2.5, 4.3: shear, bending beside it, lateral-torsional buckling. Effects are factored by that code. */
export function britishBeam(input: BritishBeamInput, sheet?: Sheet): Check[] {
  const { section, combination, moment } = input;
  const { checks, found, py } = shearAndBending(input, sheet);
  if (found === null) return checks;
  if (input.effectiveLength > 0 && moment !== 0) {
    const inner = sheet?.scope('Lateral-torsional buckling');
    const { pb, W } = bucklingMoment(section, found, input.effectiveLength, py, inner);
    let m = 1;
    if (input.destabilising) inner?.step('m_LT', '1', {}, 1, 'ratio', '4.3.6.6', 'destabilising load');
    else m = uniformMomentFactor(moment, input.quarters, inner);
    const Mb = (pb * W) / m;
    inner?.step('M_b', 'p_b * W_x / m_LT', { p_b: pb, W_x: W, m_LT: m }, Mb, 'moment', '4.3.6.2', 'buckling resistance over m_LT');
    checks.push(
      compare(
        {
          id: 'lateral-torsional-buckling',
          name: 'Lateral-torsional buckling',
          clause: BS5950('4.3.6'),
          mode: 'instability',
          kind: 'moment',
          demand: Math.abs(moment),
          demandSymbol: 'M_x',
          capacity: Mb,
          capacitySymbol: 'M_b',
          combination,
        },
        inner,
      ),
    );
  }
  return checks;
}
