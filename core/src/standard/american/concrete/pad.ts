import { ACI318 } from '../documents';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { spreadBars } from '../../bars';
import type { BarLayer, PadInput, PadStrength } from '../../standard';

/** Strength reduction factors, ACI 318-19 table 21.2.1. */
const PHI_FLEXURE = 0.9;
const PHI_SHEAR = 0.75;
/** One psi in MPa: ACI's formulas with a bare square root of f'c are in psi, and are kept so. */
const PSI = 6.894757293168361e-3;
const INCH = 25.4;

interface Direction {
  readonly id: 'x' | 'y';
  readonly title: string;
  readonly span: number;
  readonly across: number;
  readonly column: number;
  readonly d: number;
}

/** Square root of f'c for shear, psi, not above 100 psi, ACI 318-19 22.5.3.1. fc: MPa. */
const rootPsi = (fc: number) => Math.min(100, Math.sqrt(fc / PSI));

/**
 * Strength of a pad under a concentric column load: flexure at the column's face, bars and their development, one-way shear
 * at d, two-way shear at d/2. ACI 318-19 13.2, 13.3, 22.5, 22.6, 25.4. Size effect neglected as 13.2.6.2 allows.
 */
export function padStrength(input: PadInput, sheet?: Sheet): PadStrength {
  const { width, length, thickness, columnWidth, columnDepth, concrete, bar, cover, fy } = input;
  const fc = concrete.strength;
  const { force: Pu, combination } = input.factored;
  const checks: Check[] = [];
  if (Pu <= 0)
    return {
      checks: [
        unproven(
          { id: 'flexure', name: 'Flexure' },
          ACI318('13.3'),
          'ductile',
          `no compression reaches the pad under ${combination}`,
          sheet,
        ),
      ],
      bars: null,
    };
  if (columnWidth >= width || columnDepth >= length)
    return {
      checks: [
        unproven({ id: 'flexure', name: 'Flexure' }, ACI318('13.2.7'), 'ductile', 'the pad does not project beyond the column', sheet),
      ],
      bars: null,
    };
  const dOuter = thickness - cover - bar.diameter / 2;
  const dInner = dOuter - bar.diameter;
  // bottom bars at least 6 in deep, 13.3.1.2
  if (dInner < 6 * INCH)
    return {
      checks: [
        unproven(
          { id: 'flexure', name: 'Flexure' },
          ACI318('13.3.1.2'),
          'ductile',
          'the bars must lie at least 6 in below the top of the pad',
          sheet,
        ),
      ],
      bars: null,
    };
  const qu = Pu / (width * length);
  if (sheet) {
    sheet.given('P_u', Pu, 'force', `factored column load, ${combination}`);
    sheet.given('B_x', width, 'length', 'pad along x');
    sheet.given('B_y', length, 'length', 'pad along y');
    sheet.given('h', thickness, 'sectionLength', 'thickness');
    sheet.given('c_c', cover, 'sectionLength', 'cover');
    sheet.given('d_b', bar.diameter, 'sectionLength', 'bar diameter', bar.id);
    sheet.given('f_c', fc, 'stress', 'specified compressive strength', concrete.id);
    sheet.given('f_y', fy, 'stress', 'yield strength of the bars');
    sheet.given('psi', PSI, 'stress', 'one pound per square inch');
    sheet.step('s_c', 'min(100, sqrt(f_c / psi))', { f_c: fc, psi: PSI }, rootPsi(fc), 'ratio', '22.5.3.1', "square root of f'c, in psi");
    sheet.step(
      'q_u',
      'P_u / (B_x * B_y)',
      { P_u: Pu, B_x: width, B_y: length },
      qu,
      'bearing',
      '13.2.6',
      'factored pressure from the column alone',
    );
  }
  if (input.isRound) sheet?.note('The round column counts as the square of equal area for flexure and one-way shear, 13.2.7.3.');
  const directions: Direction[] = [
    { id: 'x', title: 'along x', span: width, across: length, column: faceOf(input, columnWidth), d: dOuter },
    { id: 'y', title: 'along y', span: length, across: width, column: faceOf(input, columnDepth), d: dInner },
  ];
  const layers = directions.map((direction) => flexure(direction, input, qu, combination, checks, sheet?.scope(`Bars ${direction.title}`)));
  const [alongX, alongY] = layers;
  if (!alongX || !alongY) return { checks, bars: null };
  directions.forEach((direction, i) =>
    oneWayShear(
      direction,
      input,
      qu,
      layers[i]!.provided / (direction.across * direction.d),
      combination,
      checks,
      sheet?.scope(`One-way shear, ${direction.title}`),
    ),
  );
  twoWayShear(input, qu, (dOuter + dInner) / 2, combination, checks, sheet?.scope('Two-way shear'));
  return { checks, bars: { alongX, alongY } };
}

function flexure(direction: Direction, input: PadInput, qu: number, combination: string, checks: Check[], sheet?: Sheet): BarLayer | null {
  const { concrete, bar, cover, fy, thickness } = input;
  const { span, across, column, d } = direction;
  const fc = concrete.strength;
  const a = (span - column) / 2;
  const Mu = (qu * across * a ** 2) / 2;
  const name = { id: 'flexure', part: direction.id, name: `Flexure, bars ${direction.title}` };
  const clause = ACI318('13.2.7, 22.3');
  // the area that just gives phi Mn = Mu, by the rectangular stress block
  const R = Mu / (PHI_FLEXURE * across * d ** 2 * 0.85 * fc);
  if (sheet) {
    sheet.given('L_b', span, 'length', 'pad along the bars');
    sheet.given('L_t', across, 'length', 'pad across the bars');
    sheet.given('c', column, 'sectionLength', 'column outline along the bars');
    sheet.given('d', d, 'sectionLength', 'effective depth');
    sheet.given('phi', PHI_FLEXURE, 'ratio', 'strength reduction factor', 'ACI 318-19 table 21.2.1');
    sheet.step('a_p', '(L_b - c) / 2', { L_b: span, c: column }, a, 'length', '13.2.7.1', 'projection beyond the face of the column');
    sheet.step('M_u', 'q_u * L_t * a_p^2 / 2', { q_u: qu, L_t: across, a_p: a }, Mu, 'moment', '13.2.6.5');
    sheet.step(
      'R_u',
      'M_u / (phi * L_t * d^2 * 0.85 * f_c)',
      { M_u: Mu, phi: PHI_FLEXURE, L_t: across, d, f_c: fc },
      R,
      'ratio',
      '22.2.2.4',
    );
  }
  // tension-controlled: strain of the bars at least fy/Es + 0.003 = 0.00507, so c/d at most 0.3718; a/d with beta1 at its lowest, 0.65
  const limit = 0.2125;
  sheet?.branch(`R_u <= ${limit}`, { R_u: R }, R <= limit, '21.2.2', R <= limit ? 'tension-controlled' : 'the section is too shallow');
  if (R > limit) {
    checks.push({
      id: name.id,
      part: name.part,
      name: name.name,
      clause,
      mode: 'brittle',
      kind: 'moment',
      demand: Mu,
      capacity: (Mu * limit) / R,
      utilisation: R / limit,
      verdict: 'short',
      combination,
      reason: 'the pad is too thin for bars in one layer',
    });
    return null;
  }
  const required = (0.85 * fc * across * d * (1 - Math.sqrt(1 - 2 * R))) / fy;
  const least = 0.0018 * across * thickness;
  const needed = Math.max(required, least);
  const layer = spreadBars(across, needed, bar, cover, Math.min(3 * thickness, 18 * INCH), 3 * INCH, INCH / 2);
  if (sheet) {
    sheet.step(
      'A_s1',
      '0.85 * f_c * L_t * d * (1 - sqrt(1 - 2 * R_u)) / f_y',
      { f_c: fc, L_t: across, d, R_u: R, f_y: fy },
      required,
      'area',
      '22.2.2.4',
    );
    sheet.step('A_smin', '0.0018 * L_t * h', { L_t: across, h: thickness }, least, 'area', '13.3.3.1, 8.6.1.1', 'least area');
    sheet.step('A_sreq', 'max(A_s1, A_smin)', { A_s1: required, A_smin: least }, needed, 'area', '13.3.3.1');
  }
  if (!layer) {
    checks.push({
      id: name.id,
      part: name.part,
      name: name.name,
      clause,
      mode: 'ductile',
      kind: 'area',
      demand: needed,
      capacity: null,
      utilisation: null,
      verdict: 'short',
      combination,
      reason: `bars ${bar.id} at 3 in do not give the area needed`,
    });
    return null;
  }
  const block = (layer.provided * fy) / (0.85 * fc * across);
  const capacity = PHI_FLEXURE * layer.provided * fy * (d - block / 2);
  if (sheet) {
    sheet.given('n', layer.count, 'count', `bars ${bar.id}`);
    sheet.given('A_b', bar.area, 'area', 'area of one bar', bar.id);
    sheet.step('A_s', 'n * A_b', { n: layer.count, A_b: bar.area }, layer.provided, 'area', 'bars chosen');
    sheet.step(
      'a_s',
      'A_s * f_y / (0.85 * f_c * L_t)',
      { A_s: layer.provided, f_y: fy, f_c: fc, L_t: across },
      block,
      'sectionLength',
      '22.2.2.4.1',
      'depth of the stress block',
    );
    sheet.step(
      'M_c',
      'phi * A_s * f_y * (d - a_s / 2)',
      { phi: PHI_FLEXURE, A_s: layer.provided, f_y: fy, d, a_s: block },
      capacity,
      'moment',
      '22.3',
      'design strength',
    );
  }
  checks.push(
    compare(
      {
        id: name.id,
        part: name.part,
        name: name.name,
        clause,
        mode: 'ductile',
        kind: 'moment',
        demand: Mu,
        demandSymbol: 'M_u',
        capacity,
        capacitySymbol: 'M_c',
        combination,
      },
      sheet,
    ),
  );
  development(direction, input, { required, provided: layer.provided }, combination, checks, sheet?.scope('Development of the bars'));
  return layer;
}

/**
 * Development length of bottom bars without hooks, ACI 318-19 25.4.2.3 (clear spacing at least 2 db, cover at least db),
 * reduced for bars in excess of what flexure asks (25.4.10), never under 12 in.
 */
function development(
  direction: Direction,
  input: PadInput,
  area: { required: number; provided: number },
  combination: string,
  checks: Check[],
  sheet?: Sheet,
): void {
  const { bar, concrete, cover, fy } = input;
  const divisor = bar.diameter > 0.8 * INCH ? 20 : 25;
  const excess = area.required / area.provided;
  const ld = Math.max((((fy / PSI) * bar.diameter) / (divisor * rootPsi(concrete.strength))) * excess, 12 * INCH);
  const available = (direction.span - direction.column) / 2 - cover;
  if (sheet) {
    sheet.lookup(
      'k_d',
      divisor,
      'ratio',
      'table 25.4.2.3',
      bar.diameter > 0.8 * INCH ? 'No. 7 and larger' : 'No. 6 and smaller',
      '25.4.2.3',
    );
    sheet.given('l_min', 12 * INCH, 'sectionLength', 'least development length', '25.4.2.1(b)');
    sheet.step(
      'r_e',
      'A_s1 / A_s',
      { A_s1: area.required, A_s: area.provided },
      excess,
      'ratio',
      '25.4.10.1',
      'bars needed over bars given',
    );
    sheet.step(
      'l_d',
      'max(f_y / psi * d_b / (k_d * s_c) * r_e, l_min)',
      { f_y: fy, psi: PSI, d_b: bar.diameter, k_d: divisor, s_c: rootPsi(concrete.strength), r_e: excess, l_min: 12 * INCH },
      ld,
      'sectionLength',
      '25.4.2.1, 25.4.2.3',
      'development length',
    );
    sheet.step(
      'l_av',
      'a_p - c_c',
      { a_p: (direction.span - direction.column) / 2, c_c: cover },
      available,
      'sectionLength',
      '13.2.8.3',
      'length beyond the face',
    );
  }
  checks.push(
    compare(
      {
        id: 'development',
        part: direction.id,
        name: `Development, bars ${direction.title}`,
        clause: ACI318('25.4.2'),
        mode: 'brittle',
        kind: 'sectionLength',
        demand: ld,
        demandSymbol: 'l_d',
        capacity: available,
        capacitySymbol: 'l_av',
        combination,
      },
      sheet,
    ),
  );
}

function oneWayShear(
  direction: Direction,
  input: PadInput,
  qu: number,
  rho: number,
  combination: string,
  checks: Check[],
  sheet?: Sheet,
): void {
  const { span, across, column, d } = direction;
  const fc = input.concrete.strength;
  const root = rootPsi(fc);
  const beyond = Math.max(0, (span - column) / 2 - d);
  const Vu = qu * across * beyond;
  const vc = Math.min(8 * rho ** (1 / 3) * root, 5 * root) * PSI;
  const capacity = PHI_SHEAR * vc * across * d;
  if (sheet) {
    sheet.given('L_b', span, 'length', 'pad along the bars');
    sheet.given('L_t', across, 'length', 'pad across the bars');
    sheet.given('c', column, 'sectionLength', 'column outline along the bars');
    sheet.given('d', d, 'sectionLength', 'effective depth');
    sheet.given('rho_w', rho, 'ratio', 'bars over concrete area');
    sheet.given('phi', PHI_SHEAR, 'ratio', 'strength reduction factor', 'ACI 318-19 table 21.2.1');
    sheet.step('a_v', 'max(0, (L_b - c) / 2 - d)', { L_b: span, c: column, d }, beyond, 'length', '13.2.7.2', 'pad beyond d from the face');
    sheet.step('V_u', 'q_u * L_t * a_v', { q_u: qu, L_t: across, a_v: beyond }, Vu, 'force', '13.2.7.2');
    sheet.step(
      'v_c',
      'min(8 * rho_w^(1/3) * s_c, 5 * s_c) * psi',
      { rho_w: rho, s_c: root, psi: PSI },
      vc,
      'stress',
      'table 22.5.5.1(c), 22.5.5.1.1',
      'size effect neglected, 13.2.6.2',
    );
    sheet.step('V_c', 'phi * v_c * L_t * d', { phi: PHI_SHEAR, v_c: vc, L_t: across, d }, capacity, 'force', '22.5.5.1', 'design strength');
  }
  checks.push(
    compare(
      {
        id: 'one-way-shear',
        part: direction.id,
        name: `One-way shear, ${direction.title}`,
        clause: ACI318('22.5'),
        mode: 'brittle',
        kind: 'force',
        demand: Vu,
        demandSymbol: 'V_u',
        capacity,
        capacitySymbol: 'V_c',
        combination,
      },
      sheet,
    ),
  );
}

/** Width of a column to whose face the pad bends, mm: of a round one that of the square of equal area, ACI 318-19 13.2.7.3. */
const faceOf = ({ isRound }: PadInput, width: number) => (isRound ? Math.sqrt(Math.PI / 4) * width : width);

function twoWayShear(input: PadInput, qu: number, d: number, combination: string, checks: Check[], sheet?: Sheet): void {
  const { columnWidth: c1, columnDepth: c2, isRound, width, length, concrete } = input;
  const root = rootPsi(concrete.strength);
  if (c1 + d > width || c2 + d > length) {
    sheet?.note('The critical perimeter lies outside the pad: the load is spread within its thickness.');
    return;
  }
  const inside = isRound ? (Math.PI * (c1 + d) ** 2) / 4 : (c1 + d) * (c2 + d);
  const Vu = input.factored.force - qu * inside;
  const b0 = isRound ? Math.PI * (c1 + d) : 2 * (c1 + d) + 2 * (c2 + d);
  const beta = Math.max(c1, c2) / Math.min(c1, c2);
  const vc = Math.min(4, 2 + 4 / beta, 2 + (40 * d) / b0) * root * PSI;
  const capacity = PHI_SHEAR * vc * b0 * d;
  if (sheet) {
    if (isRound) sheet.given('D_c', c1, 'sectionLength', 'diameter of the column');
    else {
      sheet.given('c_1', c1, 'sectionLength', 'column along x');
      sheet.given('c_2', c2, 'sectionLength', 'column along y');
    }
    sheet.given('d', d, 'sectionLength', 'mean effective depth');
    if (isRound) sheet.step('A_i', 'pi * (D_c + d)^2 / 4', { D_c: c1, d }, inside, 'area', '22.6.4.1', 'inside the critical perimeter');
    else sheet.step('A_i', '(c_1 + d) * (c_2 + d)', { c_1: c1, c_2: c2, d }, inside, 'area', '22.6.4.1', 'inside the critical perimeter');
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
        demand: Vu,
        demandSymbol: 'V_u',
        capacity,
        capacitySymbol: 'V_c',
        combination,
      },
      sheet,
    ),
  );
}
