import { AISC360 } from '../documents';
import { yieldStrength } from '../../../material';
import type { AngleShape } from '../../../section';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { requireBasis, type AngleStrutInput, type Philosophy } from '../../standard';
import { availableStrength, COMPRESSION } from './available';
import { criticalStress, effectiveArea } from './compression';
import { isSlenderInCompression, partsInCompression, recordShape } from './slenderness';

const NAME = { id: 'single-angle-loaded-through-one-leg', name: 'Single angle loaded through one leg' } as const;
const CLAUSE = AISC360('E5');

/**
 * A single angle in compression loaded at its ends through the same leg, AISC 360-16 E5: the eccentricity is in the effective slenderness. Of individual
 * members and webs of planar trusses, (a), or of space trusses, (b). Axial: compression, N; length: between work points, mm.
 */
export function angleStrut(input: AngleStrutInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, axial, length, fastening, leg, arrangement = 'planar', basis, combination } = input;
  requireBasis(basis, philosophy.basis);
  const open = (reason: string) => [unproven(NAME, CLAUSE, 'instability', reason, sheet)];
  if (section.shape.outline !== 'angle') return open(`${section.designation} is no angle`);
  if (fastening === 'oneBolt') return open('E5(2) wants welds or at least two bolts at each end: check it as a member with its moments');
  const shape = section.shape as AngleShape;
  const [long, short] = [Math.max(shape.h, shape.b), Math.min(shape.h, shape.b)];
  if (long / short >= 1.7)
    return open('the long leg is 1.7 times the short one or more: E5(5) leaves such angles to H2 with their moments');
  const [E, Fy] = [grade.E, yieldStrength(grade, 1)];
  const { A, iy, iz, iv } = section.properties;
  // about the axis parallel to the connected leg: the horizontal leg lies along y, the vertical one along z
  const connected = leg === 'long' ? long : short;
  const isHorizontal = shape.b === connected;
  const ra = isHorizontal ? iy : iz;
  const ratio = length / ra;
  const isSpace = arrangement === 'space';
  const limit = isSpace ? 75 : 80;
  const isShort = ratio <= limit;
  const [base, slope] = isSpace ? (isShort ? [60, 0.8] : [45, 1]) : isShort ? [72, 0.75] : [32, 1.25];
  const byShortLeg = leg === 'short' && long > short;
  const added = byShortLeg ? (isSpace ? 6 : 4) * ((long / short) ** 2 - 1) : 0;
  const least = (isSpace ? 0.82 : 0.95) * (length / iv);
  const plain = base! + slope! * ratio + added;
  const slenderness = byShortLeg ? Math.max(plain, least) : plain;
  if (slenderness > 200) return open(`L_c/r is ${slenderness.toFixed(0)}: E5(4) ends at 200`);
  recordShape(section, sheet);
  if (sheet) {
    sheet.given('P_r', axial, 'force', `required compressive strength, ${combination}`);
    sheet.given('A_g', A, 'area', 'gross area', section.designation);
    sheet.given('E', E, 'stress', 'modulus of elasticity', 'AISC 360-16');
    sheet.given('F_y', Fy, 'stress', 'specified minimum yield stress', grade.standard);
    sheet.given('L', length, 'length', 'between work points');
    sheet.given('r_a', ra, 'sectionLength', 'radius of gyration about the axis parallel to the connected leg', section.designation);
    sheet.branch(
      `L / r_a <= ${limit}`,
      { L: length, r_a: ra },
      isShort,
      'E5',
      isSpace ? 'space truss, (b)' : 'planar truss or single member, (a)',
    );
    if (byShortLeg) {
      sheet.given('b_l', long, 'sectionLength', 'longer leg');
      sheet.given('b_s', short, 'sectionLength', 'shorter leg, connected');
      sheet.given('r_z', iv, 'sectionLength', 'radius of gyration, minor principal axis', section.designation);
      sheet.step(
        'l_c',
        `max(${base} + ${slope} * L / r_a + ${isSpace ? 6 : 4} * ((b_l / b_s)^2 - 1), ${isSpace ? 0.82 : 0.95} * L / r_z)`,
        { L: length, r_a: ra, b_l: long, b_s: short, r_z: iv },
        slenderness,
        'ratio',
        isSpace ? 'E5(b)' : 'E5(a)',
        'effective slenderness',
      );
    } else
      sheet.step(
        'l_c',
        `${base} + ${slope} * L / r_a`,
        { L: length, r_a: ra },
        slenderness,
        'ratio',
        isSpace ? (isShort ? '(E5-3)' : '(E5-4)') : isShort ? '(E5-1)' : '(E5-2)',
        'effective slenderness',
      );
  }
  const Fe = (Math.PI ** 2 * E) / slenderness ** 2;
  sheet?.step('F_e', 'pi^2 * E / l_c^2', { E, l_c: slenderness }, Fe, 'stress', '(E3-4)', 'elastic buckling stress');
  const slender = partsInCompression(section).filter((part) =>
    isSlenderInCompression(part, E, Fy, false, sheet?.scope('Local slenderness')),
  );
  const Fcr = criticalStress(Fe, Fy, sheet);
  const Ae = effectiveArea(section, slender, Fcr, E, Fy, sheet);
  const Pn = Fcr * Ae;
  if (slender.length) sheet?.step('P_n', 'F_cr * A_e', { F_cr: Fcr, A_e: Ae }, Pn, 'force', '(E7-1)', 'nominal compressive strength');
  else sheet?.step('P_n', 'F_cr * A_g', { F_cr: Fcr, A_g: A }, Pn, 'force', '(E3-1)', 'nominal compressive strength');
  return [
    compare(
      {
        id: NAME.id,
        name: NAME.name,
        clause: CLAUSE,
        mode: 'instability',
        kind: 'force',
        demand: axial,
        demandSymbol: 'P_r',
        capacity: availableStrength(Pn, COMPRESSION, philosophy, { nominal: 'P_n', available: 'P_c' }, 'force', sheet),
        capacitySymbol: 'P_c',
        combination,
      },
      sheet,
    ),
  ];
}
