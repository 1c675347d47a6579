import { ACI318 } from '../documents';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { spreadBars } from '../../bars';
import { checkAll } from '../../limitState';
import type { BarLayer, PadInput, PadStrength } from '../../standard';
import { CENTRAL } from '../../padInput';
import { evenPressure, recordPressure, recordProjection, sidesOf, worstSide, type PadSide } from '../../padSides';
import { PHI_FLEXURE, PSI, INCH, rootPsi, faceOf, SIDE, type Direction } from './padCommon';
import { PAD_LIMIT_STATES } from './padLimitStates';

/**
 * Strength of a pad under a column load, in the middle or off it: flexure at the column's face, bars and their development, one-way shear
 * at d, two-way shear at d/2. ACI 318-19 13.2, 13.3, 22.5, 22.6, 25.4. Size effect neglected as 13.2.6.2 allows.
 * Off the middle each side is bent by the linear pressure on it.
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
  const off = input.off ?? CENTRAL;
  if (columnWidth / 2 + Math.abs(off.x) >= width / 2 || columnDepth / 2 + Math.abs(off.y) >= length / 2)
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
  const sided = (span: number, e: number) => ({ sides: sidesOf(span, e, qu) });
  const directions: Direction[] = [
    { id: 'x', title: 'along x', span: width, across: length, column: faceOf(input, columnWidth), d: dOuter, ...sided(width, off.x) },
    { id: 'y', title: 'along y', span: length, across: width, column: faceOf(input, columnDepth), d: dInner, ...sided(length, off.y) },
  ];
  const layers = directions.map((direction) => flexure(direction, input, combination, checks, sheet?.scope(`Bars ${direction.title}`)));
  const [alongX, alongY] = layers;
  if (!alongX || !alongY) return { checks, bars: null };
  const d = (dOuter + dInner) / 2;
  checkAll(checks, PAD_LIMIT_STATES, { input, off, qu, d, directions, layers: [alongX, alongY] }, sheet);
  return { checks, bars: { alongX, alongY } };
}

function flexure(direction: Direction, input: PadInput, combination: string, checks: Check[], sheet?: Sheet): BarLayer | null {
  const { concrete, bar, cover, fy, thickness } = input;
  const { span, across, column, d, sides } = direction;
  const fc = concrete.strength;
  const projection = ({ reach }: PadSide) => reach - column / 2;
  const side = worstSide(sides, (one) => evenPressure(one, projection(one), 'moment') * projection(one) ** 2);
  const a = projection(side);
  const qu = evenPressure(side, a, 'moment');
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
    recordProjection(side, column, SIDE, sheet);
    recordPressure(side, { symbol: 'a_p', value: a }, 'moment', SIDE, sheet);
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
  // bars run to both edges: what is left beyond the nearer face counts
  const side = worstSide(direction.sides, ({ reach }) => -reach);
  const a = side.reach - direction.column / 2;
  const available = a - cover;
  if (sheet) {
    if (side.kind !== 'even') recordProjection(side, direction.column, SIDE, sheet);
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
    sheet.step('l_av', 'a_p - c_c', { a_p: a, c_c: cover }, available, 'sectionLength', '13.2.8.3', 'length beyond the face');
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
