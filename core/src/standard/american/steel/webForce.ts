import { AISC360 } from '../documents';
import { yieldStrength } from '../../../material';
import { withThinnerFlange, type IShape } from '../../../section';
import { compare, unproven, type Check, type Sheet, type Clause } from '../../../sheet';
import { requireBasis, type Philosophy, type WebForceInput } from '../../standard';
import { availableStrength, WEB_COMPRESSION, WEB_CRIPPLING, WEB_SIDESWAY, WEB_YIELDING } from './available';
import { recordShape } from './slenderness';

/** Nominal strength of web local yielding, N, AISC 360-16 (J10-2), and at an end (J10-3). lb: mm. */
export function webYielding({ tw, tf, r }: IShape, Fy: number, lb: number, atEnd: boolean, sheet?: Sheet): number {
  const k = tf + r;
  const Rn = Fy * tw * ((atEnd ? 2.5 : 5) * k + lb);
  sheet?.step(
    'R_n',
    `F_y * t_w * (${atEnd ? 2.5 : 5} * k + l_b)`,
    { F_y: Fy, t_w: tw, k, l_b: lb },
    Rn,
    'force',
    atEnd ? '(J10-3)' : '(J10-2)',
  );
  return Rn;
}

/** Nominal strength of web local crippling, N, AISC 360-16 (J10-4), and at an end (J10-5a), (J10-5b). lb: mm. */
export function webCrippling({ h: d, tw, tf }: IShape, Fy: number, E: number, lb: number, atEnd: boolean, sheet?: Sheet): number {
  const root = Math.sqrt((E * Fy * tf) / tw);
  const inputs = { t_w: tw, l_b: lb, d, t_f: tf, E, F_y: Fy };
  if (!atEnd) {
    const Rn = 0.8 * tw ** 2 * (1 + 3 * (lb / d) * (tw / tf) ** 1.5) * root;
    sheet?.step('R_n', '0.80 * t_w^2 * (1 + 3 * l_b / d * (t_w / t_f)^1.5) * sqrt(E * F_y * t_f / t_w)', inputs, Rn, 'force', '(J10-4)');
    return Rn;
  }
  if (lb / d <= 0.2) {
    const Rn = 0.4 * tw ** 2 * (1 + 3 * (lb / d) * (tw / tf) ** 1.5) * root;
    sheet?.step('R_n', '0.40 * t_w^2 * (1 + 3 * l_b / d * (t_w / t_f)^1.5) * sqrt(E * F_y * t_f / t_w)', inputs, Rn, 'force', '(J10-5a)');
    return Rn;
  }
  const Rn = 0.4 * tw ** 2 * (1 + ((4 * lb) / d - 0.2) * (tw / tf) ** 1.5) * root;
  sheet?.step(
    'R_n',
    '0.40 * t_w^2 * (1 + (4 * l_b / d - 0.2) * (t_w / t_f)^1.5) * sqrt(E * F_y * t_f / t_w)',
    inputs,
    Rn,
    'force',
    '(J10-5b)',
  );
  return Rn;
}

/** Shape and material as the sideways buckling of a web wants them. */
interface Sidesway {
  /** Longest unbraced length along either flange at the force, mm. */
  readonly unbraced: number;
  readonly rotationHeld: boolean;
  /** The flanges yield under the moment there. */
  readonly yields: boolean;
}

/**
 * Nominal strength of web sidesway buckling, N, AISC 360-16 (J10-6), (J10-7); null where the limit state does not apply. h: clear of the fillets. Cr:
 * 960,000 ksi, half of it where the flange yields.
 */
export function webSidesway(
  { h: d, b: bf, tw, tf, r }: IShape,
  { unbraced, rotationHeld, yields }: Sidesway,
  sheet?: Sheet,
): number | null {
  const h = d - 2 * (tf + r);
  const KSI = 6.894757293168361;
  const Cr = (yields ? 480_000 : 960_000) * KSI;
  const x = h / tw / (unbraced / bf);
  const limit = rotationHeld ? 2.3 : 1.7;
  if (sheet) {
    sheet.given('L_b', unbraced, 'length', 'longest unbraced length along either flange at the force');
    sheet.step('h', 'd - 2 * k', { d, k: tf + r }, h, 'sectionLength', 'J10.4', 'clear of the fillets');
    sheet.step('x', 'h / t_w / (L_b / b_f)', { h, t_w: tw, L_b: unbraced, b_f: bf }, x, 'ratio', 'J10.4');
    sheet.branch(
      `x <= ${limit}`,
      { x },
      x <= limit,
      rotationHeld ? 'J10.4(a)' : 'J10.4(b)',
      x <= limit ? 'the web may buckle sideways' : 'sidesway buckling does not apply',
    );
  }
  if (x > limit) return null;
  const Rn = ((Cr * tw ** 3 * tf) / h ** 2) * ((rotationHeld ? 1 : 0) + 0.4 * x ** 3);
  sheet?.given('C_r', Cr, 'stress', yields ? 'the flange yields there: 480 000 ksi' : '960 000 ksi', 'J10.4');
  sheet?.step(
    'R_n',
    `C_r * t_w^3 * t_f / h^2 * (${rotationHeld ? '1 + ' : ''}0.4 * x^3)`,
    { C_r: Cr, t_w: tw, t_f: tf, h, x },
    Rn,
    'force',
    rotationHeld ? '(J10-6)' : '(J10-7)',
  );
  return Rn;
}

/** Nominal strength of a web pressed from both flanges, N, AISC 360-16 (J10-8); half of it nearer to an end than half the depth. */
export function webCompression({ h: d, tw, tf, r }: IShape, Fy: number, E: number, nearEnd: boolean, sheet?: Sheet): number {
  const h = d - 2 * (tf + r);
  const Rn = ((24 * tw ** 3 * Math.sqrt(E * Fy)) / h) * (nearEnd ? 0.5 : 1);
  sheet?.step('h', 'd - 2 * k', { d, k: tf + r }, h, 'sectionLength', 'J10.5', 'clear of the fillets');
  sheet?.step(
    'R_n',
    `${nearEnd ? '0.5 * ' : ''}24 * t_w^3 * sqrt(E * F_y) / h`,
    { t_w: tw, E, F_y: Fy, h },
    Rn,
    'force',
    nearEnd ? '(J10-8), near an end' : '(J10-8)',
  );
  return Rn;
}

/**
 * Web of an I under a compressive force through one flange, or both, without stiffeners, AISC 360-16 J10.2 to J10.5. Sidesway buckling counts where
 * the flange may move.
 */
export function webUnderForce(input: WebForceInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, force, bearing, toEnd, combination } = input;
  requireBasis(input.basis, philosophy.basis);
  const name = { id: 'web-under-a-force-through-its-flange', name: 'Web under a force through its flange' } as const;
  const shape = withThinnerFlange(section.shape);
  if (shape.outline !== 'I')
    return [unproven(name, AISC360('J10'), 'instability', 'forces through the flange are written for webs of I shapes only', sheet)];
  recordShape(section, sheet);
  if (section.shape.outline === 'unequalI' && sheet) {
    sheet.note('The lesser width and thickness of the two flanges count for both: the force may come through either.');
    sheet.given('d', shape.h, 'sectionLength', 'depth of such an I with the same web');
    sheet.given('b_f', shape.b, 'sectionLength', 'lesser width of the flanges');
    sheet.given('t_f', shape.tf, 'sectionLength', 'lesser thickness of the flanges');
    sheet.given('k', shape.tf, 'sectionLength', 'outer face to the web');
  }
  const Fy = yieldStrength(grade, 1);
  sheet?.given('F_y', Fy, 'stress', 'specified minimum yield stress', grade.standard);
  sheet?.given('E', grade.E, 'stress', 'modulus of elasticity', 'AISC 360-16');
  sheet?.given('l_b', bearing, 'sectionLength', 'length of bearing');
  sheet?.given('R_u', force, 'force', `force through the flange, ${combination}`);
  const row = (part: string, clause: Clause, mode: Check['mode'], capacity: number, inner?: Sheet) =>
    compare(
      {
        id: name.id,
        part,
        name: `${name.name}: ${part}`,
        clause,
        mode,
        kind: 'force',
        demand: force,
        demandSymbol: 'R_u',
        capacity,
        capacitySymbol: 'R_c',
        combination,
      },
      inner,
    );
  const yielding = sheet?.scope('Web local yielding');
  const Ry = webYielding(shape, Fy, bearing, toEnd <= shape.h, yielding);
  const crippling = sheet?.scope('Web local crippling');
  const Rc = webCrippling(shape, Fy, grade.E, bearing, toEnd < shape.h / 2, crippling);
  const symbols = { nominal: 'R_n', available: 'R_c' };
  const checks = [
    row('yielding', AISC360('J10.2'), 'ductile', availableStrength(Ry, WEB_YIELDING, philosophy, symbols, 'force', yielding), yielding),
    row(
      'crippling',
      AISC360('J10.3'),
      'instability',
      availableStrength(Rc, WEB_CRIPPLING, philosophy, symbols, 'force', crippling),
      crippling,
    ),
  ];
  if (input.sidesway) {
    const inner = sheet?.scope('Web sidesway buckling');
    const My = Fy * section.properties.Wely;
    const factor = philosophy.basis === 'factored' ? 1 : 1.6;
    const yields = factor * Math.abs(input.moment) >= My;
    if (inner) {
      inner.given('alpha', factor, 'ratio', factor === 1 ? 'LRFD' : 'ASD', 'J10.4');
      inner.given('M_a', Math.abs(input.moment), 'moment', 'moment at the force');
      inner.given('S_x', section.properties.Wely, 'sectionModulus', 'elastic modulus', section.designation);
      inner.branch(
        'alpha * M_a >= F_y * S_x',
        { alpha: factor, M_a: Math.abs(input.moment), F_y: Fy, S_x: section.properties.Wely },
        yields,
        'J10.4',
        yields ? 'the flange yields there' : 'the flange does not yield there',
      );
    }
    const Rn = webSidesway(shape, { ...input.sidesway, yields }, inner);
    if (Rn !== null)
      checks.push(
        row('sidesway', AISC360('J10.4'), 'instability', availableStrength(Rn, WEB_SIDESWAY, philosophy, symbols, 'force', inner), inner),
      );
  }
  if (input.opposed) {
    const inner = sheet?.scope('Web compression buckling');
    const Rn = webCompression(shape, Fy, grade.E, toEnd < shape.h / 2, inner);
    checks.push(
      row(
        'compression',
        AISC360('J10.5'),
        'instability',
        availableStrength(Rn, WEB_COMPRESSION, philosophy, symbols, 'force', inner),
        inner,
      ),
    );
  }
  return checks;
}
