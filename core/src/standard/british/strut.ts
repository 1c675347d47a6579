import { BS5950 } from './documents';
import type { SteelGrade } from '../../material';
import type { Section } from '../../section';
import { compare, unproven, type Check, type Sheet } from '../../sheet';
import { classOf, designStrength, E, rolledI } from './section';

/** Robertson constants of the strut curves, BS 5950-1 Annex C.2. */
export const ROBERTSON = { a: 2, b: 3.5, c: 5.5, d: 8 } as const;
export type StrutCurve = keyof typeof ROBERTSON;

/** Strut curve, BS 5950-1 table 23: rolled I (deeper than 1.2 times their breadth) and H, hot-finished hollow sections. */
export function strutCurve({ shape }: Section, axis: 'x' | 'y'): StrutCurve {
  if (shape.outline !== 'I') return 'a';
  const isThick = shape.tf > 40;
  if (shape.h > 1.2 * shape.b) return axis === 'x' ? (isThick ? 'b' : 'a') : isThick ? 'c' : 'b';
  return axis === 'x' ? (isThick ? 'c' : 'b') : isThick ? 'd' : 'c';
}

/** Compressive strength pc, MPa, BS 5950-1 Annex C.1. */
export function compressiveStrength(lambda: number, py: number, curve: StrutCurve, sheet?: Sheet): number {
  const a = ROBERTSON[curve];
  const limit = 0.2 * Math.sqrt((Math.PI ** 2 * E) / py);
  const eta = Math.max(0, (a * (lambda - limit)) / 1000);
  const pE = (Math.PI ** 2 * E) / lambda ** 2;
  const phi = (py + (eta + 1) * pE) / 2;
  const pc = (pE * py) / (phi + Math.sqrt(phi ** 2 - pE * py));
  if (sheet) {
    sheet.lookup('a', a, 'ratio', 'table 23', `strut curve (${curve})`, 'C.2');
    sheet.step('lambda_0', '0.2 * sqrt(pi^2 * E / p_y)', { E, p_y: py }, limit, 'ratio', 'C.2', 'limiting slenderness');
    sheet.step('eta', 'max(0, a * (lambda - lambda_0) / 1000)', { a, lambda, lambda_0: limit }, eta, 'ratio', 'C.2', 'Perry factor');
    sheet.step('p_E', 'pi^2 * E / lambda^2', { E, lambda }, pE, 'stress', 'C.1', 'Euler strength');
    sheet.step('phi', '(p_y + (eta + 1) * p_E) / 2', { p_y: py, eta, p_E: pE }, phi, 'stress', 'C.1');
    sheet.step(
      'p_c',
      'p_E * p_y / (phi + sqrt(phi^2 - p_E * p_y))',
      { p_E: pE, p_y: py, phi },
      pc,
      'stress',
      'C.1',
      'compressive strength',
    );
  }
  return pc;
}

export interface BritishStrutInput {
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly combination: string;
  /** Factored compression, N, positive. */
  readonly axial: number;
  /** Effective lengths, mm. */
  readonly lengthX: number;
  readonly lengthY: number;
}

/** Strut under axial compression, BS 5950-1:2000 4.7: rolled I and H, hot-finished hollow sections that are not slender. */
export function britishStrut({ section, grade, combination, axial, lengthX, lengthY }: BritishStrutInput, sheet?: Sheet): Check[] {
  const { shape, properties } = section;
  const isHollow = (shape.outline === 'box' || shape.outline === 'tube') && section.region === 'european';
  if (!isHollow) rolledI(section, sheet);
  const py = designStrength(section, grade, sheet);
  sheet?.given('E', E, 'stress', "Young's modulus", '3.1.3');
  sheet?.given('P', axial, 'force', `axial compression, ${combination}`);
  const epsilon = Math.sqrt(275 / py);
  let isSlender: boolean;
  if (shape.outline === 'box') {
    const ratio = (Math.max(shape.h, shape.b) - 3 * shape.t) / shape.t;
    isSlender = ratio > 40 * epsilon;
    sheet?.given('D', Math.max(shape.h, shape.b), 'sectionLength', 'longer side', section.designation);
    sheet?.given('t', shape.t, 'sectionLength', 'wall', section.designation);
    sheet?.branch(
      '(D - 3 * t) / t > 40 * sqrt(275 / p_y)',
      { D: Math.max(shape.h, shape.b), t: shape.t, p_y: py },
      isSlender,
      'table 12',
      isSlender ? 'slender' : 'not slender',
    );
  } else if (shape.outline === 'tube') {
    isSlender = shape.d / shape.t > 80 * epsilon ** 2;
    sheet?.given('D', shape.d, 'sectionLength', 'outside diameter', section.designation);
    sheet?.given('t', shape.t, 'sectionLength', 'wall', section.designation);
    sheet?.branch(
      'D / t > 80 * 275 / p_y',
      { D: shape.d, t: shape.t, p_y: py },
      isSlender,
      'table 12',
      isSlender ? 'slender' : 'not slender',
    );
  } else isSlender = classOf(section, py, axial, sheet?.scope('Class of the section')) === 'slender';
  if (isSlender)
    return [
      unproven(
        { id: 'compression', name: 'Compression' },
        BS5950('3.6'),
        'instability',
        `${section.designation} is slender in compression: reduced strengths are not written`,
        sheet,
      ),
    ];
  const { A, iy: rx, iz: ry } = properties;
  return (
    [
      ['x', 'major', lengthX, rx],
      ['y', 'minor', lengthY, ry],
    ] as const
  ).map(([axis, title, LE, radius]) => {
    const inner = sheet?.scope(`Compression, ${title} axis`);
    inner?.given('A_g', A, 'area', 'gross area', section.designation);
    inner?.given('L_E', LE, 'length', 'effective length');
    inner?.given(`r_${axis}`, radius, 'sectionLength', 'radius of gyration', section.designation);
    const lambda = LE / radius;
    inner?.step('lambda', `L_E / r_${axis}`, { L_E: LE, [`r_${axis}`]: radius }, lambda, 'ratio', '4.7.2', 'slenderness');
    const pc = compressiveStrength(lambda, py, strutCurve(section, axis), inner);
    const Pc = A * pc;
    inner?.step('P_c', 'A_g * p_c', { A_g: A, p_c: pc }, Pc, 'force', '4.7.4', 'compression resistance');
    return compare(
      {
        id: 'compression',
        part: title,
        name: `Compression, ${title} axis`,
        clause: BS5950('4.7.4'),
        mode: 'instability',
        kind: 'force',
        demand: axial,
        demandSymbol: 'P',
        capacity: Pc,
        capacitySymbol: 'P_c',
        combination,
      },
      inner,
    );
  });
}
