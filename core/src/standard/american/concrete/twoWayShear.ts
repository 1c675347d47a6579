import { ACI318 } from '../documents';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { pressureAtColumn } from '../../padSides';
import type { PadInput } from '../../standard';
import { PHI_SHEAR, PSI, rootPsi } from './padCommon';

/** Two-way shear at d/2 from the column, ACI 318-19 22.6. */
export function twoWayShear(
  input: PadInput,
  off: { readonly x: number; readonly y: number },
  mean: number,
  d: number,
  combination: string,
  checks: Check[],
  sheet?: Sheet,
): void {
  const { columnWidth: c1, columnDepth: c2, isRound, width, length, concrete } = input;
  const root = rootPsi(concrete.strength);
  const [x, y] = [Math.abs(off.x), Math.abs(off.y)];
  const isOff = x + y > 0;
  if (isOff) {
    // one that runs to an edge must not be shorter than the closed one
    const nearest = [width / 2 - x - c1 / 2 - d / 2 - (c2 + d) / 2, length / 2 - y - c2 / 2 - d / 2 - (c1 + d) / 2];
    if (Math.min(...nearest) < 0) {
      checks.push(
        unproven(
          { id: 'two-way-shear', name: 'Two-way shear' },
          ACI318('22.6.4.1'),
          'brittle',
          'the column stands off the middle, so near an edge that a critical section which runs to it is shorter: that is not checked',
          sheet,
        ),
      );
      return;
    }
  }
  if (c1 + d > width || c2 + d > length) {
    sheet?.note('The critical perimeter lies outside the pad: the load is spread within its thickness.');
    return;
  }
  const inside = isRound ? (Math.PI * (c1 + d) ** 2) / 4 : (c1 + d) * (c2 + d);
  const { pressure: qu, alongX, alongY } = pressureAtColumn(mean, width, length, off);
  const Vu = input.factored.force - qu * inside;
  const b0 = isRound ? Math.PI * (c1 + d) : 2 * (c1 + d) + 2 * (c2 + d);
  const beta = Math.max(c1, c2) / Math.min(c1, c2);
  const vc = Math.min(4, 2 + 4 / beta, 2 + (40 * d) / b0) * root * PSI;
  const capacity = PHI_SHEAR * vc * b0 * d;
  const growths = [
    { along: 'x' as const, gradient: alongX, b1: c1 + d, b2: c2 + d },
    { along: 'y' as const, gradient: alongY, b1: c2 + d, b2: c1 + d },
  ].filter(({ gradient }) => gradient > 0);
  const moments = growths.map((growth) => ({ ...growth, ...momentOf(growth, d, isRound) }));
  const Ve = Vu + moments.reduce((sum, { stress }) => sum + stress, 0) * b0 * d;
  if (sheet) {
    if (isRound) sheet.given('D_c', c1, 'sectionLength', 'diameter of the column');
    else {
      sheet.given('c_1', c1, 'sectionLength', 'column along x');
      sheet.given('c_2', c2, 'sectionLength', 'column along y');
    }
    sheet.given('d', d, 'sectionLength', 'mean effective depth');
    if (isRound) sheet.step('A_i', 'pi * (D_c + d)^2 / 4', { D_c: c1, d }, inside, 'area', '22.6.4.1', 'inside the critical perimeter');
    else sheet.step('A_i', '(c_1 + d) * (c_2 + d)', { c_1: c1, c_2: c2, d }, inside, 'area', '22.6.4.1', 'inside the critical perimeter');
    if (isOff) {
      sheet.given('q_m', mean, 'bearing', 'mean factored pressure from the column alone, from above');
      sheet.given('e_x', x, 'sectionLength', 'the column off the middle, along x', 'takedown');
      sheet.given('e_y', y, 'sectionLength', 'the column off the middle, along y', 'takedown');
      sheet.step(
        'q_u',
        'q_m * (1 + 12 * e_x^2 / B_x^2 + 12 * e_y^2 / B_y^2)',
        { q_m: mean, e_x: x, e_y: y, B_x: width, B_y: length },
        qu,
        'bearing',
        'statics',
        'at the axis of the column',
      );
    }
    sheet.given('phi', PHI_SHEAR, 'ratio', 'strength reduction factor', 'ACI 318-19 table 21.2.1');
    sheet.step(
      'V_u',
      'P_u - q_u * A_i',
      { P_u: input.factored.force, q_u: qu, A_i: inside },
      Vu,
      'force',
      '13.2.7.2',
      'the pressure inside is deducted',
    );
    if (isRound) sheet.step('b_0', 'pi * (D_c + d)', { D_c: c1, d }, b0, 'sectionLength', '22.6.4.1');
    else sheet.step('b_0', '2 * (c_1 + d) + 2 * (c_2 + d)', { c_1: c1, c_2: c2, d }, b0, 'sectionLength', '22.6.4.1');
    if (isOff) recordMoments(sheet, moments, { mean, width, length, x, y, Vu, b0, d, Ve });
    if (isRound) sheet.step('beta', '1', {}, 1, 'ratio', '22.6.5.2', 'round');
    else sheet.step('beta', 'max(c_1, c_2) / min(c_1, c_2)', { c_1: c1, c_2: c2 }, beta, 'ratio', '22.6.5.2');
    sheet.step(
      'v_c',
      'min(4, 2 + 4 / beta, 2 + 40 * d / b_0) * s_c * psi',
      { beta, d, b_0: b0, s_c: root, psi: PSI },
      vc,
      'stress',
      'table 22.6.5.2',
      'size effect neglected, 13.2.6.2',
    );
    sheet.step('V_c', 'phi * v_c * b_0 * d', { phi: PHI_SHEAR, v_c: vc, b_0: b0, d }, capacity, 'force', '22.6.1.2', 'design strength');
  }
  checks.push(
    compare(
      {
        id: 'two-way-shear',
        name: 'Two-way shear',
        clause: ACI318('22.6'),
        mode: 'brittle',
        kind: 'force',
        demand: Ve,
        demandSymbol: isOff ? 'V_e' : 'V_u',
        capacity,
        capacitySymbol: 'V_c',
        combination,
      },
      sheet,
    ),
  );
}

/** One way in which the pressure under the pad grows, with the critical section along it and across. MPa/mm, mm */
interface Growth {
  readonly along: 'x' | 'y';
  readonly gradient: number;
  readonly b1: number;
  readonly b2: number;
}

interface UnbalancedMoment {
  readonly I: number;
  readonly M: number;
  readonly share: number;
  /** Of the critical section over its distance to the axis, J_c / c_AB, mm3. */
  readonly modulus: number;
  readonly stress: number;
}

/** The moment that the uneven pressure inside the critical section hands to it, and its shear stress, ACI 318-19 8.4.4.2. */
function momentOf({ gradient, b1, b2 }: Growth, d: number, isRound: boolean | undefined): UnbalancedMoment {
  const I = isRound ? (Math.PI * b1 ** 4) / 64 : (b2 * b1 ** 3) / 12;
  const M = gradient * I;
  const share = 1 - 1 / (1 + (2 / 3) * Math.sqrt(b1 / b2));
  const modulus = isRound ? (Math.PI * b1 ** 2 * d) / 4 : (d * b1 ** 3 + b1 * d ** 3 + 3 * d * b2 * b1 ** 2) / 6 / (b1 / 2);
  return { I, M, share, modulus, stress: (share * M) / modulus };
}

function recordMoments(
  sheet: Sheet,
  moments: readonly (Growth & UnbalancedMoment)[],
  {
    mean,
    width,
    length,
    x,
    y,
    Vu,
    b0,
    d,
    Ve,
  }: Readonly<Record<'mean' | 'width' | 'length' | 'x' | 'y' | 'Vu' | 'b0' | 'd' | 'Ve', number>>,
): void {
  const inputs: Record<string, number> = { V_u: Vu, b_0: b0, d };
  const terms = moments.map(({ along, gradient, I, M, share, modulus }) => {
    const [g, e, B] = [`g_${along}`, `e_${along}`, `B_${along}`];
    sheet.step(
      g,
      `12 * q_m * ${e} / ${B}^2`,
      { q_m: mean, [e]: along === 'x' ? x : y, [B]: along === 'x' ? width : length },
      gradient,
      'unitWeight',
      'statics',
      `growth of the pressure along ${along}`,
    );
    sheet.given(`I_${along}`, I, 'secondMoment', `second moment of the area inside the critical section about its middle, along ${along}`);
    sheet.step(
      `M_${along}`,
      `${g} * I_${along}`,
      { [g]: gradient, [`I_${along}`]: I },
      M,
      'moment',
      '8.4.2.2.1',
      'of the uneven pressure inside',
    );
    sheet.given(`gamma_${along}`, share, 'ratio', 'part of the moment that shear takes', 'ACI 318-19 8.4.4.2.2');
    sheet.given(`Z_${along}`, modulus, 'sectionModulus', 'J_c over c_AB of the critical section', 'ACI 318-19 8.4.4.2.3');
    Object.assign(inputs, { [`gamma_${along}`]: share, [`M_${along}`]: M, [`Z_${along}`]: modulus });
    return `gamma_${along} * M_${along} / Z_${along}`;
  });
  sheet.step('V_e', `V_u + (${terms.join(' + ')}) * b_0 * d`, inputs, Ve, 'force', '8.4.4.2.3', 'with the shear of the moment');
}
