import { yieldStrength } from '../../../material';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { requireBasis, type Philosophy, type SteelColumnInput } from '../../standard';
import { availableStrength, COMPRESSION } from './available';
import { isSlenderInCompression, partsInCompression, recordShape } from './slenderness';

/** Critical stress of columns without slender parts, MPa, AISC 360-16 (E3-2), (E3-3). Fe: elastic buckling stress. */
export function criticalStress(Fe: number, Fy: number, sheet?: Sheet): number {
  const inelastic = Fy / Fe <= 2.25;
  sheet?.branch('F_y / F_e <= 2.25', { F_y: Fy, F_e: Fe }, inelastic, 'E3', inelastic ? 'inelastic buckling' : 'elastic buckling');
  const Fcr = inelastic ? 0.658 ** (Fy / Fe) * Fy : 0.877 * Fe;
  if (inelastic) sheet?.step('F_cr', '0.658^(F_y / F_e) * F_y', { F_y: Fy, F_e: Fe }, Fcr, 'stress', '(E3-2)');
  else sheet?.step('F_cr', '0.877 * F_e', { F_e: Fe }, Fcr, 'stress', '(E3-3)');
  return Fcr;
}

/**
 * Steel column under axial compression, AISC 360-16 E3 (flexural) and E4 (torsional, doubly symmetric I).
 * axial: N, compression positive. Moments of beams that frame in are not written: a row says so.
 */
export function steelColumn(input: SteelColumnInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, axial, combination } = input;
  requireBasis(input.basis, philosophy.basis);
  const moments = unproven(
    'Moments from the beams',
    'AISC 360-16 H1',
    'instability',
    'moments of beams that frame in off-centre are not written yet; the column is proved in axial load only',
  );
  const withMoments = (checks: Check[]) => {
    sheet?.verdict(moments);
    return [...checks, moments];
  };
  if (axial < 0)
    return withMoments([
      unproven(
        'Compression',
        'AISC 360-16 E1',
        'ductile',
        `the column is in tension under ${combination}; tension is not written yet`,
        sheet,
      ),
    ]);
  const [E, G, Fy] = [grade.E, grade.G, yieldStrength(grade, 1)];
  const { A, Iy: Ix, Iz: Iy, It: J, Iw: Cw, iy: rx, iz: ry } = section.properties;
  const { outline } = section.shape;
  recordShape(section, sheet);
  sheet?.given('E', E, 'stress', 'modulus of elasticity', 'AISC 360-16');
  sheet?.given('F_y', Fy, 'stress', 'specified minimum yield stress', grade.standard);
  sheet?.given('P_r', axial, 'force', `required compressive strength, ${combination}`);
  sheet?.given('A_g', A, 'area', 'gross area', section.designation);
  const local = sheet?.scope('Local slenderness');
  const slender = partsInCompression(section).filter((part) => isSlenderInCompression(part, E, Fy, outline === 'tube', local));
  if (slender.length)
    return withMoments([
      unproven(
        'Flexural buckling',
        'AISC 360-16 E7',
        'instability',
        `${section.designation}: ${slender.map((part) => part.title).join(' and ')} slender in compression; effective areas are not written yet`,
        sheet,
      ),
    ]);
  const checks: Check[] = [];
  const strength = (name: string, clause: string, Fe: number, inner?: Sheet) => {
    const Pn = criticalStress(Fe, Fy, inner) * A;
    inner?.step('P_n', 'F_cr * A_g', { F_cr: Pn / A, A_g: A }, Pn, 'force', '(E3-1)', 'nominal compressive strength');
    const capacity = availableStrength(Pn, COMPRESSION, philosophy, { nominal: 'P_n', available: 'P_c' }, 'force', inner);
    checks.push(
      compare(
        {
          name,
          clause,
          mode: 'instability',
          kind: 'force',
          demand: axial,
          demandSymbol: 'P_r',
          capacity,
          capacitySymbol: 'P_c',
          combination,
        },
        inner,
      ),
    );
  };
  for (const [title, Lc, r] of [
    ['Flexural buckling, major axis', input.lengthY, rx],
    ['Flexural buckling, minor axis', input.lengthZ, ry],
  ] as const) {
    const inner = sheet?.scope(title);
    inner?.given('L_c', Lc, 'length', 'effective length');
    inner?.given('r', r, 'sectionLength', 'radius of gyration', section.designation);
    const Fe = (Math.PI ** 2 * E) / (Lc / r) ** 2;
    inner?.step('F_e', 'pi^2 * E / (L_c / r)^2', { E, L_c: Lc, r }, Fe, 'stress', '(E3-4)', 'elastic buckling stress');
    strength(title, 'AISC 360-16 E3', Fe, inner);
  }
  if (outline === 'I') {
    const inner = sheet?.scope('Torsional buckling');
    inner?.given('L_cz', input.lengthT, 'length', 'effective length for twisting');
    inner?.given('C_w', Cw, 'warpingConstant', 'warping constant', section.designation);
    inner?.given('J', J, 'torsionConstant', 'torsion constant', section.designation);
    inner?.given('G', G, 'stress', 'shear modulus', 'AISC 360-16');
    inner?.given('I_x', Ix, 'secondMoment', 'major axis', section.designation);
    inner?.given('I_y', Iy, 'secondMoment', 'minor axis', section.designation);
    const Fe = ((Math.PI ** 2 * E * Cw) / input.lengthT ** 2 + G * J) / (Ix + Iy);
    inner?.step(
      'F_e',
      '(pi^2 * E * C_w / L_cz^2 + G * J) / (I_x + I_y)',
      { E, C_w: Cw, L_cz: input.lengthT, G, J, I_x: Ix, I_y: Iy },
      Fe,
      'stress',
      '(E4-2)',
      'elastic torsional buckling stress',
    );
    strength('Torsional buckling', 'AISC 360-16 E4', Fe, inner);
  } else if (outline === 'channel')
    checks.push(
      unproven(
        'Flexural-torsional buckling',
        'AISC 360-16 E4',
        'instability',
        'flexural-torsional buckling of channels is not written yet',
        sheet,
      ),
    );
  return withMoments(checks);
}
