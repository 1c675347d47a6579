import type { ConcreteAnnex } from '../annex';
import { EN1992_1_1 } from '../documents';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { spreadBars } from '../../bars';
import { checkAll } from '../../limitState';
import { CENTRAL } from '../../padInput';
import { evenPressure, recordPressure, recordProjection, sidesOf, worstSide, type PadSide } from '../../padSides';
import type { BarLayer, PadInput, PadStrength } from '../../standard';
import { faceOf, SIDE, type Direction } from './direction';
import { PAD_LIMIT_STATES } from './padLimitStates';

/** Bars are set out in steps of 25 mm. */
const SPACING_STEP = 25;
const CLOSEST = 75;

/**
 * Strength of a pad under a column load, in the middle or off it: bending at the column's face, bars and their anchorage, shear at d from
 * the face, punching on every perimeter up to 2d. EN 1992-1-1 6.1, 6.2.2, 6.4.4(2), 9.8.2. The pad's own weight and the
 * backfill press evenly and bend nothing. Off the middle each side is bent by the linear pressure on it.
 */
export function padStrength(annex: ConcreteAnnex, input: PadInput, sheet?: Sheet): PadStrength {
  const { width, length, thickness, columnWidth, columnDepth, concrete, bar, cover, fy } = input;
  const fck = concrete.strength;
  const N = input.factored.force;
  const { combination } = input.factored;
  const checks: Check[] = [];
  if (N <= 0)
    return {
      checks: [
        unproven(
          { id: 'bending', name: 'Bending' },
          EN1992_1_1('6.1'),
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
        unproven({ id: 'bending', name: 'Bending' }, EN1992_1_1('9.8.2'), 'ductile', 'the pad does not project beyond the column', sheet),
      ],
      bars: null,
    };
  const dOuter = thickness - cover - bar.diameter / 2;
  const dInner = dOuter - bar.diameter;
  if (dInner <= 0)
    return {
      checks: [
        unproven({ id: 'bending', name: 'Bending' }, EN1992_1_1('6.1'), 'ductile', 'cover and bars leave no effective depth', sheet),
      ],
      bars: null,
    };
  const p = N / (width * length);
  if (sheet) {
    sheet.given('N_Ed', N, 'force', `design load of the column, ${combination}`);
    sheet.given('B_x', width, 'length', 'pad along x');
    sheet.given('B_y', length, 'length', 'pad along y');
    sheet.given('h', thickness, 'sectionLength', 'thickness');
    sheet.given('c_nom', cover, 'sectionLength', 'cover');
    sheet.given('phi', bar.diameter, 'sectionLength', 'bar diameter', bar.id);
    sheet.given('f_ck', fck, 'stress', 'characteristic cylinder strength', concrete.id);
    sheet.given('f_yk', fy, 'stress', 'characteristic strength of the bars');
    sheet.given('gamma_C', annex.gammaC, 'ratio', 'partial factor, concrete', annex.partialFactors);
    sheet.given('gamma_S', annex.gammaS, 'ratio', 'partial factor, bars', annex.partialFactors);
    sheet.step(
      'p',
      'N_Ed / (B_x * B_y)',
      { N_Ed: N, B_x: width, B_y: length },
      p,
      'bearing',
      '9.8.2.1',
      'design pressure from the column alone',
    );
  }
  if (input.isRound) sheet?.note('The round column bends the pad as the square of equal area does; it punches as a circle.');
  const layers: (BarLayer | null)[] = [];
  const sided = (span: number, e: number) => ({ sides: sidesOf(span, e, p) });
  const directions: Direction[] = [
    { id: 'x', title: 'along x', span: width, across: length, column: faceOf(input, columnWidth), d: dOuter, ...sided(width, off.x) },
    { id: 'y', title: 'along y', span: length, across: width, column: faceOf(input, columnDepth), d: dInner, ...sided(length, off.y) },
  ];
  for (const direction of directions)
    layers.push(bend(annex, direction, input, combination, checks, sheet?.scope(`Bars ${direction.title}`)));
  const [alongX, alongY] = layers;
  if (!alongX || !alongY) return { checks, bars: null };
  const d = (dOuter + dInner) / 2;
  const rho = Math.sqrt((alongX.provided / (length * dOuter)) * (alongY.provided / (width * dInner)));
  checkAll(checks, PAD_LIMIT_STATES, { annex, input, off, p, d, rho, directions, layers: [alongX, alongY] }, sheet);
  return { checks, bars: { alongX, alongY } };
}

function bend(
  annex: ConcreteAnnex,
  direction: Direction,
  input: PadInput,
  combination: string,
  checks: Check[],
  sheet?: Sheet,
): BarLayer | null {
  const { concrete, bar, cover, fy, thickness } = input;
  const { span, across, column, d, sides } = direction;
  const fck = concrete.strength;
  const projection = ({ reach }: PadSide) => reach - column / 2;
  const side = worstSide(sides, (one) => evenPressure(one, projection(one), 'moment') * projection(one) ** 2);
  const a = projection(side);
  const p = evenPressure(side, a, 'moment');
  const M = (p * across * a ** 2) / 2;
  const fyd = fy / annex.gammaS;
  const fcd = (annex.alphaCC * fck) / annex.gammaC;
  const K = M / (across * d ** 2 * fcd);
  const name = { id: 'bending', part: direction.id, name: `Bending, bars ${direction.title}` };
  if (sheet) {
    sheet.given('L_b', span, 'length', 'pad along the bars');
    sheet.given('L_t', across, 'length', 'pad across the bars');
    sheet.given('c', column, 'sectionLength', 'column outline along the bars');
    sheet.given('d', d, 'sectionLength', 'effective depth');
    recordProjection(side, column, SIDE, sheet);
    recordPressure(side, { symbol: 'a', value: a }, 'moment', SIDE, sheet);
    sheet.step('M_Ed', 'p * L_t * a^2 / 2', { p, L_t: across, a }, M, 'moment', '9.8.2.1');
    sheet.step('f_cd', `${annex.alphaCC} * f_ck / gamma_C`, { f_ck: fck, gamma_C: annex.gammaC }, fcd, 'stress', '3.1.6(1)');
    sheet.step('f_yd', 'f_yk / gamma_S', { f_yk: fy, gamma_S: annex.gammaS }, fyd, 'stress', '3.2.7(2)');
    sheet.step('K', 'M_Ed / (L_t * d^2 * f_cd)', { M_Ed: M, L_t: across, d, f_cd: fcd }, K, 'ratio', '6.1');
  }
  // neutral axis at 0.45 d, 0.8 * 0.45 * (1 - 0.4 * 0.45): beyond it compression bars would be wanted
  const limit = 0.2952;
  sheet?.branch(`K <= ${limit}`, { K }, K <= limit, '5.5(4)', K <= limit ? 'single layer of bars is enough' : 'the section is too shallow');
  if (K > limit) {
    checks.push({
      id: name.id,
      part: name.part,
      name: name.name,
      clause: EN1992_1_1('6.1'),
      mode: 'brittle',
      kind: 'moment',
      demand: M,
      capacity: limit * across * d ** 2 * fcd,
      utilisation: K / limit,
      verdict: 'short',
      combination,
      reason: 'the pad is too thin for bars in one layer',
    });
    return null;
  }
  const z = Math.min(0.95 * d, (d / 2) * (1 + Math.sqrt(1 - 2 * K)));
  const required = M / (fyd * z);
  const fctm = concrete.fctm ?? 0;
  const least = Math.max((0.26 * fctm) / fy, 0.0013) * across * d;
  const needed = Math.max(required, least);
  if (sheet) {
    sheet.step(
      'z',
      'min(0.95 * d, d / 2 * (1 + sqrt(1 - 2 * K)))',
      { d, K },
      z,
      'sectionLength',
      '6.1',
      'lever arm, rectangular stress block',
    );
    sheet.step('A_s1', 'M_Ed / (f_yd * z)', { M_Ed: M, f_yd: fyd, z }, required, 'area', '6.1');
    sheet.lookup('f_ctm', fctm, 'stress', 'table 3.1', concrete.id, 'table 3.1');
    sheet.step(
      'A_smin',
      'max(0.26 * f_ctm / f_yk, 0.0013) * L_t * d',
      { f_ctm: fctm, f_yk: fy, L_t: across, d },
      least,
      'area',
      '9.2.1.1(1)',
      'least area',
    );
    sheet.step('A_sreq', 'max(A_s1, A_smin)', { A_s1: required, A_smin: least }, needed, 'area', '9.3.1.1');
  }
  const layer = spreadBars(across, needed, bar, cover, Math.min(3 * thickness, 400), CLOSEST, SPACING_STEP);
  if (!layer) {
    checks.push({
      id: name.id,
      part: name.part,
      name: name.name,
      clause: EN1992_1_1('6.1'),
      mode: 'ductile',
      kind: 'area',
      demand: needed,
      capacity: null,
      utilisation: null,
      verdict: 'short',
      combination,
      reason: `bars ${bar.id} at ${CLOSEST} mm do not give the area needed`,
    });
    return null;
  }
  const MRd = layer.provided * fyd * z;
  if (sheet) {
    sheet.given('n', layer.count, 'count', `bars ${bar.id} at ${Math.round(layer.spacing)} mm`);
    sheet.given('A_bar', bar.area, 'area', 'area of one bar', bar.id);
    sheet.step('A_s', 'n * A_bar', { n: layer.count, A_bar: bar.area }, layer.provided, 'area', 'bars chosen');
    sheet.step(
      'M_Rd',
      'A_s * f_yd * z',
      { A_s: layer.provided, f_yd: fyd, z },
      MRd,
      'moment',
      '6.1',
      'with the lever arm at the design moment',
    );
  }
  checks.push(
    compare(
      {
        id: name.id,
        part: name.part,
        name: name.name,
        clause: EN1992_1_1('6.1'),
        mode: 'ductile',
        kind: 'moment',
        demand: M,
        demandSymbol: 'M_Ed',
        capacity: MRd,
        capacitySymbol: 'M_Rd',
        combination,
      },
      sheet,
    ),
  );
  anchorage(annex, direction, input, layer, z, combination, checks, sheet?.scope('Anchorage of the bars'));
  return layer;
}

/** Straight bars to the edge: force at x = h/2 from the edge must be anchored in what is left, EN 1992-1-1 9.8.2.2(5), 8.4. */
function anchorage(
  annex: ConcreteAnnex,
  direction: Direction,
  input: PadInput,
  layer: BarLayer,
  z: number,
  combination: string,
  checks: Check[],
  sheet?: Sheet,
): void {
  const { concrete, bar, cover, thickness } = input;
  const { across, column, d, sides } = direction;
  const name = { id: 'anchorage', part: direction.id, name: `Anchorage, bars ${direction.title}` };
  const x = thickness / 2;
  const bent = sides.filter(({ reach }) => reach - column / 2 > x);
  if (bent.length === 0) {
    sheet?.note('The pad projects less than half its thickness: the bars are not needed for bending at their ends.');
    return;
  }
  const side = worstSide(bent, (one) => evenPressure(one, x, 'force') * (one.reach - column / 2 - x / 2 + 0.15 * column));
  const p = evenPressure(side, x, 'force');
  const a = side.reach - column / 2;
  const R = p * across * x;
  const ze = a - x / 2 + 0.15 * column;
  const zi = Math.min(z, 0.9 * d);
  const Fs = (R * ze) / zi;
  const fctd = (annex.alphaCT * 0.7 * (concrete.fctm ?? 0)) / annex.gammaC;
  const eta2 = bar.diameter <= 32 ? 1 : (132 - bar.diameter) / 100;
  const fbd = 2.25 * eta2 * fctd;
  const sigma = Fs / layer.provided;
  const lb = Math.max(((bar.diameter / 4) * sigma) / fbd, 10 * bar.diameter, 100);
  const available = x - cover;
  if (sheet) {
    sheet.given('A_s', layer.provided, 'area', 'bars chosen');
    if (side.kind !== 'even') recordProjection(side, column, SIDE, sheet);
    sheet.given('z', z, 'sectionLength', 'lever arm, from above');
    sheet.given('f_ctm', concrete.fctm ?? 0, 'stress', 'mean tensile strength', concrete.id);
    sheet.step('x', 'h / 2', { h: thickness }, x, 'sectionLength', '9.8.2.2(5)', 'distance from the edge');
    recordPressure(side, { symbol: 'x', value: x }, 'force', SIDE, sheet);
    sheet.step('R', 'p * L_t * x', { p, L_t: across, x }, R, 'force', '9.8.2.2(2)', 'pressure over x');
    sheet.step('z_e', 'a - x / 2 + 0.15 * c', { a, x, c: column }, ze, 'sectionLength', '9.8.2.2(2)', 'external lever arm');
    sheet.step('z_i', 'min(z, 0.9 * d)', { z, d }, zi, 'sectionLength', '9.8.2.2(3)');
    sheet.step('F_s', 'R * z_e / z_i', { R, z_e: ze, z_i: zi }, Fs, 'force', '(9.13)', 'force to be anchored');
    sheet.step(
      'f_ctd',
      `${annex.alphaCT === 1 ? '' : `${annex.alphaCT} * `}0.7 * f_ctm / gamma_C`,
      { f_ctm: concrete.fctm ?? 0, gamma_C: annex.gammaC },
      fctd,
      'stress',
      '3.1.6(2)',
    );
    sheet.given('eta_2', eta2, 'ratio', 'bar size', 'EN 1992-1-1 8.4.2(2)');
    sheet.step('f_bd', '2.25 * eta_2 * f_ctd', { eta_2: eta2, f_ctd: fctd }, fbd, 'stress', '(8.2)', 'bond strength, good conditions');
    sheet.step(
      'l_b',
      'max(phi / 4 * F_s / A_s / f_bd, 10 * phi, 100)',
      { phi: bar.diameter, F_s: Fs, A_s: layer.provided, f_bd: fbd },
      lb,
      'sectionLength',
      '8.4.3, (8.6)',
      'anchorage length, straight bars; 100 mm is the standard’s',
    );
    sheet.step('l_av', 'x - c_nom', { x, c_nom: cover }, available, 'sectionLength', '9.8.2.2(4)', 'length available');
  }
  checks.push(
    compare(
      {
        id: name.id,
        part: name.part,
        name: name.name,
        clause: EN1992_1_1('9.8.2.2'),
        mode: 'brittle',
        kind: 'sectionLength',
        demand: lb,
        demandSymbol: 'l_b',
        capacity: available,
        capacitySymbol: 'l_av',
        combination,
      },
      sheet,
    ),
  );
}
