import type { SteelAnnex } from '../annex';
import { EN1993_1_1 } from '../documents';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { requireBasis, type AngleStrutInput, type Philosophy } from '../../standard';
import { reductionFactor } from './buckling';
import { classify, recordShape, sectionYield } from './classification';

const NAME = { id: 'angle-strut-connected-by-one-leg', name: 'Angle strut connected by one leg' } as const;
const CLAUSE = EN1993_1_1('BB.1.2');

/**
 * A single angle as a strut connected by one leg with two bolts or more in line, or by welds, to chords that restrain its ends, EN 1993-1-1 BB.1.2: the
 * eccentricity is in the effective slenderness. Axial: compression, N; length: of the system, mm. Effects must be factored.
 */
export function angleStrut(annex: SteelAnnex, input: AngleStrutInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, axial, length, fastening, basis, combination } = input;
  requireBasis(basis, philosophy.basis);
  const open = (reason: string) => [unproven(NAME, CLAUSE, 'instability', reason, sheet)];
  if (section.shape.outline !== 'angle') return open(`${section.designation} is no angle`);
  if (fastening === 'oneBolt')
    return open(
      'with one bolt the eccentricity counts in full, by 6.2.9 with the system length, BB.1.2(2): check it as a member with its moments',
    );
  recordShape(section, sheet);
  const fy = sectionYield(section, grade, sheet);
  if (classify(section, fy, 'compression', sheet?.scope('Class in compression')) === 4)
    return open(`${section.designation} is of class 4 in compression: BB.1.2 with effective legs is not written`);
  const { A, iy, iz, iv } = section.properties;
  const { E } = grade;
  sheet?.assume(
    'chords',
    'The chords restrain the ends of the angle, and its ends are fixed to them.',
    'BB.1.2(1) takes that for granted.',
  );
  if (sheet) {
    sheet.given('N_Ed', axial, 'force', `design compression, ${combination}`);
    sheet.given('A', A, 'area', 'area', section.designation);
    sheet.given('E', E, 'stress', "Young's modulus", 'EN 1993-1-1 3.2.6');
    sheet.given('L', length, 'length', 'system length');
    sheet.given('gamma_M1', annex.gammaM1, 'ratio', 'partial factor', annex.partialFactors);
    sheet.step('lambda_1', 'pi * sqrt(E / f_y)', { E, f_y: fy }, Math.PI * Math.sqrt(E / fy), 'ratio', '6.3.1.3(1)');
  }
  const lambda1 = Math.PI * Math.sqrt(E / fy);
  const axes = [
    { id: 'minor-principal', radius: iv, base: 0.35, title: 'minor principal axis' },
    { id: 'horizontal-leg', radius: iy, base: 0.5, title: 'axis parallel to the horizontal leg' },
    { id: 'vertical-leg', radius: iz, base: 0.5, title: 'axis parallel to the vertical leg' },
  ] as const;
  return axes.map(({ id: part, radius, base, title }) => {
    const inner = sheet?.scope(`About the ${title}`);
    const slenderness = length / radius / lambda1;
    const effective = base + 0.7 * slenderness;
    inner?.given('i', radius, 'sectionLength', `radius of gyration, ${title}`, section.designation);
    inner?.step('lambda_n', 'L / i / lambda_1', { L: length, i: radius, lambda_1: lambda1 }, slenderness, 'ratio', '6.3.1.3(1)');
    inner?.step('lambda', `${base} + 0.7 * lambda_n`, { lambda_n: slenderness }, effective, 'ratio', '(BB.1)', 'effective slenderness');
    const chi = reductionFactor(effective, 'b', inner);
    const NbRd = (chi * A * fy) / annex.gammaM1;
    inner?.step(
      'N_bRd',
      'chi * A * f_y / gamma_M1',
      { chi, A, f_y: fy, gamma_M1: annex.gammaM1 },
      NbRd,
      'force',
      '(6.47)',
      'buckling resistance',
    );
    return compare(
      {
        id: 'flexural-buckling',
        part,
        name: `Flexural buckling, ${title}`,
        clause: CLAUSE,
        mode: 'instability',
        kind: 'force',
        demand: axial,
        demandSymbol: 'N_Ed',
        capacity: NbRd,
        capacitySymbol: 'N_bRd',
        combination,
      },
      inner,
    );
  });
}
