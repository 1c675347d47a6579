import { AISC360 } from '../documents';
import type { Section } from '../../../section';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import type { Philosophy } from '../../standard';
import { availableStrength, type Safety } from './available';

const TORSION: Safety = { phi: 0.9, omega: 1.67 };

/** Torsional constant C of a hollow section, mm3, AISC 360-16 H3.1 user note; null for other shapes. */
export function torsionConstantC({ shape }: Section, sheet?: Sheet): number | null {
  if (shape.outline === 'tube') {
    const C = (Math.PI * (shape.d - shape.t) ** 2 * shape.t) / 2;
    sheet?.step('C', 'pi * (D - t)^2 * t / 2', { D: shape.d, t: shape.t }, C, 'sectionModulus', 'H3.1');
    return C;
  }
  if (shape.outline !== 'box') return null;
  const { h: H, b: B, t } = shape;
  const C = 2 * (B - t) * (H - t) * t - 4.5 * (4 - Math.PI) * t ** 3;
  sheet?.step('C', '2 * (B - t) * (H - t) * t - 4.5 * (4 - pi) * t^3', { B, t, H }, C, 'sectionModulus', 'H3.1');
  return C;
}

/** Critical stress of torsion, MPa, AISC 360-16 (H3-2) to (H3-5). L: length of the member, mm; null beyond h/t of 260. */
export function torsionStress({ shape }: Section, L: number, E: number, Fy: number, sheet?: Sheet): number | null {
  if (shape.outline === 'tube') {
    const { d: D, t } = shape;
    const long = (1.23 * E) / (Math.sqrt(L / D) * (D / t) ** 1.25);
    const short = (0.6 * E) / (D / t) ** 1.5;
    const Fcr = Math.min(Math.max(long, short), 0.6 * Fy);
    sheet?.given('L', L, 'length', 'length of the member');
    sheet?.step(
      'F_cr',
      'min(max(1.23 * E / (sqrt(L / D) * (D / t)^1.25), 0.60 * E / (D / t)^1.5), 0.6 * F_y)',
      { E, L, D, t, F_y: Fy },
      Fcr,
      'stress',
      '(H3-2a), (H3-2b)',
    );
    return Fcr;
  }
  if (shape.outline !== 'box') return null;
  const ratio = (Math.max(shape.h, shape.b) - 3 * shape.t) / shape.t;
  const root = Math.sqrt(E / Fy);
  sheet?.step('s_h', '(max(H, B) - 3 * t) / t', { H: shape.h, B: shape.b, t: shape.t }, ratio, 'ratio', 'B4.1b', 'flat of the longer side');
  if (ratio <= 2.45 * root) {
    sheet?.step('F_cr', '0.6 * F_y', { F_y: Fy }, 0.6 * Fy, 'stress', '(H3-3)');
    return 0.6 * Fy;
  }
  if (ratio <= 3.07 * root) {
    const Fcr = (0.6 * Fy * 2.45 * root) / ratio;
    sheet?.step('F_cr', '0.6 * F_y * 2.45 * sqrt(E / F_y) / s_h', { F_y: Fy, E, s_h: ratio }, Fcr, 'stress', '(H3-4)');
    return Fcr;
  }
  if (ratio > 260) return null;
  const Fcr = (0.458 * Math.PI ** 2 * E) / ratio ** 2;
  sheet?.step('F_cr', '0.458 * pi^2 * E / s_h^2', { E, s_h: ratio }, Fcr, 'stress', '(H3-5)');
  return Fcr;
}

/** Ratios of required to available strength of everything else, to be taken with the torsion. */
interface Beside {
  readonly torque: number;
  readonly length: number;
  /** Axial, both moments, and the larger of both shears; null: not proved. */
  readonly axial: number | null;
  readonly bending: number | null;
  readonly shear: number;
  readonly combination: string;
}

/** Torsion of hollow sections, AISC 360-16 H3.1, and with everything else, H3.2. Open shapes are unproven (H3.3). The sheet must know E and F_y. */
export function torsionChecks(section: Section, E: number, Fy: number, beside: Beside, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { torque, length, axial, bending, shear, combination } = beside;
  if (torque === 0) return [];
  const { shape } = section;
  if (sheet && shape.outline === 'tube') sheet.given('D', shape.d, 'sectionLength', 'outside diameter', section.designation);
  if (sheet && shape.outline === 'box') {
    sheet.given('H', shape.h, 'sectionLength', 'depth', section.designation);
    sheet.given('B', shape.b, 'sectionLength', 'width', section.designation);
  }
  if (sheet && (shape.outline === 'tube' || shape.outline === 'box'))
    sheet.given('t', shape.t, 'sectionLength', 'design wall', section.designation);
  const C = torsionConstantC(section, sheet);
  if (C === null)
    return [
      unproven(
        { id: 'torsion', name: 'Torsion' },
        AISC360('H3.3'),
        'ductile',
        'torsion of open shapes brings warping stresses, which are not written',
        sheet,
      ),
    ];
  const Fcr = torsionStress(section, length, E, Fy, sheet);
  if (Fcr === null)
    return [unproven({ id: 'torsion', name: 'Torsion' }, AISC360('H3.1'), 'instability', 'the wall is beyond h/t of 260', sheet)];
  sheet?.step('T_n', 'F_cr * C', { F_cr: Fcr, C }, Fcr * C, 'moment', '(H3-1)', 'nominal torsional strength');
  const Tc = availableStrength(Fcr * C, TORSION, philosophy, { nominal: 'T_n', available: 'T_c' }, 'moment', sheet);
  sheet?.given('T_r', torque, 'moment', `required torsional strength, ${combination}`);
  const checks = [
    compare(
      {
        id: 'torsion',
        name: 'Torsion',
        clause: AISC360('H3.1'),
        mode: 'ductile',
        kind: 'moment',
        demand: torque,
        demandSymbol: 'T_r',
        capacity: Tc,
        capacitySymbol: 'T_c',
        combination,
      },
      sheet,
    ),
  ];
  const isSmall = torque <= 0.2 * Tc;
  sheet?.branch(
    'T_r <= 0.2 * T_c',
    { T_r: torque, T_c: Tc },
    isSmall,
    'H3.2',
    isSmall ? 'torsion is neglected beside the rest' : 'torsion counts with the rest',
  );
  if (isSmall || (axial === 0 && bending === 0 && shear === 0)) return checks;
  const name = { id: 'torsion-with-the-rest', name: 'Torsion with the rest' } as const;
  if (axial === null || bending === null)
    return [...checks, unproven(name, AISC360('H3.2'), 'ductile', 'one of the parts is not proved alone', sheet)];
  const R = axial + bending + (shear + torque / Tc) ** 2;
  const inner = sheet?.scope(name.name);
  if (inner) {
    inner.given('p_r', axial, 'ratio', 'axial force over its available strength, from above');
    inner.given('m_r', bending, 'ratio', 'moments over theirs, both axes added up');
    inner.given('v_r', shear, 'ratio', 'shear over its own, the larger of both directions');
    inner.step(
      'R',
      'p_r + m_r + (v_r + T_r / T_c)^2',
      { p_r: axial, m_r: bending, v_r: shear, T_r: torque, T_c: Tc },
      R,
      'ratio',
      '(H3-6)',
    );
    inner.given('R_max', 1, 'ratio', 'at most');
  }
  checks.push(
    compare(
      {
        id: name.id,
        name: name.name,
        clause: AISC360('H3.2'),
        mode: 'ductile',
        kind: 'ratio',
        demand: R,
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
