import { EN1992_1_1 } from '../documents';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { pressureAtColumn } from '../../padSides';
import type { PadInput } from '../../standard';
import type { ConcreteAnnex } from '../annex';
import { openPerimeter } from './openPerimeter';
import { recordShearStrength, shearStrength } from './shearStrength';

/** A perimeter at a distance from the face of the column. */
interface Perimeter {
  readonly a: number;
  readonly u: number;
  readonly inside: number;
  readonly V: number;
  /** Factor on the mean shear stress for the moment that the uneven pressure inside hands to it. */
  readonly beta: number;
  readonly v: number;
  readonly vRd: number;
}

/** Coefficient k of EN 1992-1-1 table 6.1, between its values in proportion. ratio: column along the eccentricity over across it. */
function momentByShear(ratio: number): number {
  const table: readonly (readonly [number, number])[] = [
    [0.5, 0.45],
    [1, 0.6],
    [2, 0.7],
    [3, 0.8],
  ];
  if (ratio <= table[0]![0]) return table[0]![1];
  for (let i = 1; i < table.length; i += 1) {
    const [[r0, k0], [r1, k1]] = [table[i - 1]!, table[i]!];
    if (ratio <= r1) return k0 + ((k1 - k0) * (ratio - r0)) / (r1 - r0);
  }
  return table[table.length - 1]![1];
}

/** One way in which the pressure under the pad grows. c: column along it, and across. MPa/mm, mm */
interface Growth {
  readonly along: 'x' | 'y';
  readonly gradient: number;
  readonly c: number;
  readonly across: number;
}

/** W of a perimeter, (6.41) at any distance, of a round column (6.42); and the second moment of the area inside, of its bounding rectangle. mm2, mm4 */
function shearModuli({ c, across }: Growth, a: number, isRound: boolean | undefined): { W: number; I: number } {
  if (isRound) {
    const radius = c / 2 + a;
    return { W: 4 * radius ** 2, I: (Math.PI * radius ** 4) / 4 };
  }
  return { W: c ** 2 / 2 + c * across + 2 * across * a + 4 * a ** 2 + Math.PI * a * c, I: ((across + 2 * a) * (c + 2 * a) ** 3) / 12 };
}

/** Perimeters between the face and 2d, round the corners, as far as they lie within the pad; the pressure inside helps. EN 1992-1-1 6.4.4(2), (6.51). */
export function punch(
  annex: ConcreteAnnex,
  input: PadInput,
  off: { readonly x: number; readonly y: number },
  mean: number,
  d: number,
  rho: number,
  combination: string,
  checks: Check[],
  sheet?: Sheet,
): void {
  const { width, length, columnWidth: c1, columnDepth: c2, isRound, concrete } = input;
  const fck = concrete.strength;
  const N = input.factored.force;
  const { pressure: p, alongX, alongY } = pressureAtColumn(mean, width, length, off);
  const growths: Growth[] = [
    { along: 'x' as const, gradient: alongX, c: c1, across: c2 },
    { along: 'y' as const, gradient: alongY, c: c2, across: c1 },
  ].filter(({ gradient }) => gradient > 0);
  const reach = Math.min(2 * d, (width - c1) / 2 - Math.abs(off.x), (length - c2) / 2 - Math.abs(off.y));
  const u0 = isRound ? Math.PI * c1 : 2 * (c1 + c2);
  const area = isRound ? (Math.PI * c1 ** 2) / 4 : c1 * c2;
  const at = (a: number): Perimeter => {
    const u = u0 + 2 * Math.PI * a;
    const inside = area + u0 * a + Math.PI * a ** 2;
    const V = Math.max(0, N - p * inside);
    let beta = 1;
    if (V > 0)
      for (const growth of growths) {
        const { W, I } = shearModuli(growth, a, isRound);
        beta += (momentByShear(isRound ? 1 : growth.c / growth.across) * growth.gradient * I * u) / (V * W);
      }
    const vRd = (shearStrength(annex, d, rho, fck) * 2 * d) / a;
    return { a, u, inside, V, beta, v: (beta * V) / (u * d), vRd };
  };
  let worst = at(reach);
  for (let i = 1; i <= 40; i += 1) {
    const trial = at((reach * i) / 40);
    if (trial.v / trial.vRd > worst.v / worst.vRd) worst = trial;
  }
  const nu = 0.6 * (1 - fck / 250);
  const fcd = fck / annex.gammaC;
  const vMax = annex.punchingAtColumn * nu * fcd;
  if (isRound) {
    sheet?.given('D_c', c1, 'sectionLength', 'diameter of the column');
    sheet?.step('u_0', 'pi * D_c', { D_c: c1 }, u0, 'sectionLength', '6.4.2', 'round the column');
    sheet?.step('A_0', 'pi * D_c^2 / 4', { D_c: c1 }, area, 'area', '6.4.4(2)');
  } else {
    sheet?.given('c_1', c1, 'sectionLength', 'column along x');
    sheet?.given('c_2', c2, 'sectionLength', 'column along y');
    sheet?.step('u_0', '2 * (c_1 + c_2)', { c_1: c1, c_2: c2 }, u0, 'sectionLength', '6.4.5(3)', 'round the column');
    sheet?.step('A_0', 'c_1 * c_2', { c_1: c1, c_2: c2 }, area, 'area', '6.4.4(2)');
  }
  sheet?.given('d', d, 'sectionLength', 'mean effective depth');
  sheet?.given('rho', rho, 'ratio', 'geometric mean of the bars both ways');
  if (growths.length > 0) recordPressure(sheet, mean, p, off, input);
  const face = sheet?.scope('At the face of the column');
  const there = at(0);
  const vFace = ((N - p * area) * there.beta) / (u0 * d);
  if (growths.length === 0)
    face?.step('v_Ed', '(N_Ed - p * A_0) / (u_0 * d)', { N_Ed: N, p, A_0: area, u_0: u0, d }, vFace, 'stress', '6.4.5(3)');
  else {
    face?.step('V_red', 'N_Ed - p * A_0', { N_Ed: N, p, A_0: area }, there.V, 'force', '(6.48)', 'the pressure inside is deducted');
    recordBeta(face, growths, { ...there, u: u0 }, input, 'u_0');
    face?.step('v_Ed', 'beta * V_red / (u_0 * d)', { beta: there.beta, V_red: there.V, u_0: u0, d }, vFace, 'stress', '6.4.5(3)');
  }
  face?.step('nu', '0.6 * (1 - f_ck / 250)', { f_ck: fck }, nu, 'ratio', '(6.6N)', 'f_ck in MPa');
  face?.step('f_cd', 'f_ck / gamma_C', { f_ck: fck, gamma_C: annex.gammaC }, fcd, 'stress', 'alpha_cc 1.0 in shear');
  face?.step('v_Rdmax', `${annex.punchingAtColumn} * nu * f_cd`, { nu, f_cd: fcd }, vMax, 'stress', annex.punchingSource);
  checks.push(
    compare(
      {
        id: 'punching-at-the-column',
        name: 'Punching at the column',
        clause: EN1992_1_1('6.4.5(3)'),
        mode: 'brittle',
        kind: 'stress',
        demand: vFace,
        demandSymbol: 'v_Ed',
        capacity: vMax,
        capacitySymbol: 'v_Rdmax',
        combination,
      },
      face,
    ),
  );
  const ring = sheet?.scope('On the governing perimeter');
  ring?.given('a', worst.a, 'sectionLength', 'distance from the face: the worst of 40 perimeters up to 2d within the pad');
  ring?.step('u', 'u_0 + 2 * pi * a', { u_0: u0, a: worst.a }, worst.u, 'sectionLength', '6.4.2');
  ring?.step(
    'A_i',
    'A_0 + u_0 * a + pi * a^2',
    { A_0: area, u_0: u0, a: worst.a },
    worst.inside,
    'area',
    '6.4.4(2)',
    'area inside the perimeter',
  );
  ring?.step(
    'V_red',
    'max(0, N_Ed - p * A_i)',
    { N_Ed: N, p, A_i: worst.inside },
    worst.V,
    'force',
    '(6.48)',
    'the pressure inside is deducted',
  );
  if (growths.length === 0) ring?.step('v_Ed', 'V_red / (u * d)', { V_red: worst.V, u: worst.u, d }, worst.v, 'stress', '(6.49)');
  else {
    recordBeta(ring, growths, worst, input, 'u');
    ring?.step('v_Ed', 'beta * V_red / (u * d)', { beta: worst.beta, V_red: worst.V, u: worst.u, d }, worst.v, 'stress', '(6.51)');
  }
  recordShearStrength(annex, ring, d, rho, fck);
  ring?.step('v_Rd', 'v_Rdc * 2 * d / a', { v_Rdc: shearStrength(annex, d, rho, fck), d, a: worst.a }, worst.vRd, 'stress', '(6.50)');
  checks.push(
    compare(
      {
        id: 'punching',
        name: 'Punching',
        clause: EN1992_1_1('6.4.4(2)'),
        mode: 'brittle',
        kind: 'stress',
        demand: worst.v,
        demandSymbol: 'v_Ed',
        capacity: worst.vRd,
        capacitySymbol: 'v_Rd',
        combination,
      },
      ring,
    ),
  );
  // with a column in the middle what lies beyond runs to two edges at once, and is shear at d; beside an edge it runs to one
  if (growths.length > 0 && reach < 2 * d)
    checks.push(
      besideEdge(
        annex,
        input,
        off,
        { p, alongX, alongY, reach, d, rho, N, combination },
        sheet?.scope('On the governing perimeter that runs to an edge'),
      ),
    );
}

interface BesideEdge {
  readonly p: number;
  readonly alongX: number;
  readonly alongY: number;
  readonly reach: number;
  readonly d: number;
  readonly rho: number;
  readonly N: number;
  readonly combination: string;
}

/** Perimeters beyond the nearest edge up to 2d, as far as they lie within the pad, EN 1992-1-1 6.4.2(4), (6.51). */
function besideEdge(
  annex: ConcreteAnnex,
  { width, length, columnWidth: c1, columnDepth: c2, isRound, concrete }: PadInput,
  off: { readonly x: number; readonly y: number },
  { p, alongX, alongY, reach, d, rho, N, combination }: BesideEdge,
  sheet?: Sheet,
): Check {
  const fck = concrete.strength;
  const [x, y] = [Math.abs(off.x), Math.abs(off.y)];
  const edges = { west: -(width / 2 + x), east: width / 2 - x, south: -(length / 2 + y), north: length / 2 - y };
  const k = { x: momentByShear(isRound ? 1 : c1 / c2), y: momentByShear(isRound ? 1 : c2 / c1) };
  const at = (a: number) => {
    const open = openPerimeter(N, { c1, c2, isRound: isRound ?? false, a }, edges, { p, gx: alongX, gy: alongY });
    if (!open) return null;
    const { u, V, along } = open;
    const share = (axis: 'x' | 'y') => (V === 0 || along[axis].W === 0 ? 0 : (k[axis] * along[axis].M * u) / (V * along[axis].W));
    const beta = 1 + share('x') + share('y');
    return { a, ...open, beta, v: (beta * V) / (u * d), vRd: (shearStrength(annex, d, rho, fck) * 2 * d) / a };
  };
  let worst: NonNullable<ReturnType<typeof at>> | null = null;
  for (let i = 1; i <= 20; i += 1) {
    const trial = at(reach + ((2 * d - reach) * i) / 20);
    if (trial && (!worst || trial.v / trial.vRd > worst.v / worst.vRd)) worst = trial;
  }
  const name = { id: 'punching', part: 'edge', name: 'Punching beside the edge' } as const;
  const clause = EN1992_1_1('6.4.2(4)');
  if (!worst) return unproven(name, clause, 'brittle', 'no perimeter lies within the pad', sheet);
  if (sheet) {
    const { a, u, V, along, beta, v, vRd } = worst;
    sheet.given('d', d, 'sectionLength', 'mean effective depth');
    sheet.given('a', a, 'sectionLength', 'distance from the face: the worst of 20 perimeters up to 2d that run to an edge');
    sheet.given('u', u, 'sectionLength', 'its length within the pad');
    sheet.given('V_red', V, 'force', 'N_Ed less the pressure inside, by integration over the area inside', 'EN 1992-1-1 (6.48)');
    const inputs: Record<string, number> = { V_red: V, u };
    const terms = (['x', 'y'] as const).flatMap((axis) => {
      const { M, W } = along[axis];
      if (M === 0 || W === 0 || V === 0) return [];
      sheet.given(
        `M_${axis}`,
        M,
        'moment',
        `of N_Ed and the pressure inside about the centroid of the perimeter, along ${axis}`,
        'statics',
      );
      sheet.given(`W_${axis}`, W, 'area', 'of the perimeter about its centroid', 'EN 1992-1-1 (6.40)');
      sheet.given(`k_${axis}`, k[axis], 'ratio', 'part of the moment that shear takes', 'table 6.1');
      Object.assign(inputs, { [`M_${axis}`]: M, [`W_${axis}`]: W, [`k_${axis}`]: k[axis] });
      return [`k_${axis} * M_${axis} * u / (V_red * W_${axis})`];
    });
    if (terms.length === 0) sheet.step('beta', '1', {}, 1, 'ratio', '(6.51)');
    else sheet.step('beta', `1 + ${terms.join(' + ')}`, inputs, beta, 'ratio', '(6.51)');
    sheet.step('v_Ed', 'beta * V_red / (u * d)', { beta, V_red: V, u, d }, v, 'stress', '(6.51)');
    recordShearStrength(annex, sheet, d, rho, fck);
    sheet.step('v_Rd', 'v_Rdc * 2 * d / a', { v_Rdc: shearStrength(annex, d, rho, fck), d, a }, vRd, 'stress', '(6.50)');
  }
  return compare(
    {
      ...name,
      clause,
      mode: 'brittle',
      kind: 'stress',
      demand: worst.v,
      demandSymbol: 'v_Ed',
      capacity: worst.vRd,
      capacitySymbol: 'v_Rd',
      combination,
    },
    sheet,
  );
}

/** The pressure at the axis of a column that stands off the middle, and how it grows. */
function recordPressure(
  sheet: Sheet | undefined,
  mean: number,
  atAxis: number,
  { x, y }: { readonly x: number; readonly y: number },
  { width, length }: PadInput,
): void {
  if (!sheet) return;
  const { alongX, alongY } = pressureAtColumn(mean, width, length, { x, y });
  sheet.given('p_m', mean, 'bearing', 'mean pressure from the column alone, from above');
  sheet.given('e_x', Math.abs(x), 'sectionLength', 'the column off the middle, along x', 'takedown');
  sheet.given('e_y', Math.abs(y), 'sectionLength', 'the column off the middle, along y', 'takedown');
  const inputs = { p_m: mean, e_x: Math.abs(x), e_y: Math.abs(y), B_x: width, B_y: length };
  sheet.step('p', 'p_m * (1 + 12 * e_x^2 / B_x^2 + 12 * e_y^2 / B_y^2)', inputs, atAxis, 'bearing', 'statics', 'at the axis of the column');
  if (alongX > 0)
    sheet.step(
      'g_x',
      '12 * p_m * e_x / B_x^2',
      { p_m: mean, e_x: Math.abs(x), B_x: width },
      alongX,
      'unitWeight',
      'statics',
      'growth along x',
    );
  if (alongY > 0)
    sheet.step(
      'g_y',
      '12 * p_m * e_y / B_y^2',
      { p_m: mean, e_y: Math.abs(y), B_y: length },
      alongY,
      'unitWeight',
      'statics',
      'growth along y',
    );
}

/** beta of a perimeter, (6.51), from the moment of the uneven pressure inside it. */
function recordBeta(
  sheet: Sheet | undefined,
  growths: readonly Growth[],
  { a, u, V, beta }: Pick<Perimeter, 'a' | 'u' | 'V' | 'beta'>,
  { isRound }: PadInput,
  symbol: 'u' | 'u_0',
): void {
  if (!sheet) return;
  if (V === 0) {
    sheet.step('beta', '1', {}, 1, 'ratio', '(6.51)', 'nothing is left to punch');
    return;
  }
  const inputs: Record<string, number> = { V_red: V, [symbol]: u };
  const terms = growths.map((growth) => {
    const { along, gradient, c, across } = growth;
    const { W, I } = shearModuli(growth, a, isRound);
    const M = gradient * I;
    const k = momentByShear(isRound ? 1 : c / across);
    sheet.given(
      `I_${along}`,
      I,
      'secondMoment',
      `second moment of the area inside about its middle, along ${along}${isRound ? '' : ': of the rectangle round it'}`,
    );
    sheet.step(
      `M_${along}`,
      `g_${along} * I_${along}`,
      { [`g_${along}`]: gradient, [`I_${along}`]: I },
      M,
      'moment',
      '6.4.4(2)',
      'of the uneven pressure inside',
    );
    sheet.given(`k_${along}`, k, 'ratio', 'part of the moment that shear takes', 'table 6.1');
    sheet.given(`W_${along}`, W, 'area', `of the perimeter, ${isRound ? '4 r^2 of its radius' : '(6.41) at this distance'}`);
    Object.assign(inputs, { [`k_${along}`]: k, [`M_${along}`]: M, [`W_${along}`]: W });
    return `k_${along} * M_${along} * ${symbol} / (V_red * W_${along})`;
  });
  sheet.step('beta', `1 + ${terms.join(' + ')}`, inputs, beta, 'ratio', '(6.51)');
}
