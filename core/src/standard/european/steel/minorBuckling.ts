import type { SteelAnnex } from '../annex';
import { EN1993_1_1 } from '../documents';
import { angleCriticalMoment, anglePrincipal, type Section } from '../../../section';
import type { SteelGrade } from '../../../material';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { bucklesSideways, type MemberActions } from '../../standard';
import { bentAngle } from './effectiveAngle';
import { addedUp, lateralTorsionalResistance } from './lateralTorsional';

const NAME = { id: 'lateral-torsional-buckling-minor-axis', name: 'Lateral-torsional buckling, minor axis' } as const;
const CLAUSE = EN1993_1_1('6.3.2');

interface Input {
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly fy: number;
  readonly minor: MemberActions['minor'];
  readonly combination: string;
  /** Bending resistance of the section about the minor axis, Nmm. */
  readonly Mcz: number;
  /** Length between restraints against twisting and against bending about the other axis, the longer, mm. */
  readonly L: number;
}

/** Whether there is anything to be checked here. */
export function mayBuckleAcross(section: Section): boolean {
  return section.shape.outline === 'angle' || bucklesSideways(section);
}

/**
 * Lateral-torsional buckling of a member bent about the axis called minor, where that is the stronger one (a tee of a broad flange), and of
 * angles, whose vertical axis is no principal axis, EN 1993-1-1 6.3.2. Uniform moment.
 */
export function minorBuckling(annex: SteelAnnex, input: Input, sheet?: Sheet): Check[] {
  const { section, minor, combination } = input;
  const { outline } = section.shape;
  const inner = sheet?.scope(NAME.name);
  if (outline === 'channel')
    return [unproven(NAME, CLAUSE, 'instability', 'of a channel whose vertical axis is the stronger one it is not written', inner)];
  inner?.given('M_z', minor.peak, 'moment', `largest moment, ${combination}`);
  const MbRd = outline === 'angle' ? angleBuckling(annex, input, inner) : symmetricBuckling(annex, input, inner);
  const demand = { demand: minor.peak, demandSymbol: 'M_z', capacity: MbRd, capacitySymbol: 'M_bRd', combination };
  return [compare({ id: NAME.id, name: NAME.name, clause: CLAUSE, mode: 'instability', kind: 'moment', ...demand }, inner)];
}

/** Of a shape that is the same on both sides of that axis: it leans over about the other one. */
function symmetricBuckling(annex: SteelAnnex, { section, grade, fy, Mcz, L }: Input, sheet?: Sheet): number {
  const { Iy, It, Iw } = section.properties;
  const { E, G } = grade;
  const Mcr = (Math.PI / L) * Math.sqrt(E * Iy * (G * It + (Math.PI ** 2 * E * Iw) / L ** 2));
  const W = (Mcz * annex.gammaM0) / fy;
  if (sheet) {
    sheet.note(
      'The axis called minor is the stronger one here: the member may buckle about the other. Uniform moment, load at the shear centre.',
    );
    sheet.given('I_y', Iy, 'secondMoment', 'about the other axis', section.designation);
    sheet.given('I_T', It, 'torsionConstant', 'torsion constant', section.designation);
    sheet.given('I_w', Iw, 'warpingConstant', 'warping constant', section.designation);
    sheet.given('E', E, 'stress', "Young's modulus", 'EN 1993-1-1 3.2.6');
    sheet.given('G', G, 'stress', 'shear modulus', 'EN 1993-1-1 3.2.6');
    sheet.given('L', L, 'length', 'the longer of the lengths for bending about the other axis and for twisting');
    sheet.given('W_y', W, 'sectionModulus', 'modulus that the bending resistance above has');
    sheet.step(
      'M_cr',
      'pi / L * sqrt(E * I_y * (G * I_T + pi^2 * E * I_w / L^2))',
      { L, E, I_y: Iy, G, I_T: It, I_w: Iw },
      Mcr,
      'moment',
      '6.3.2.2(2); elastic theory',
      'elastic critical moment',
    );
  }
  return lateralTorsionalResistance(annex, section, W, fy, Mcr, 1, sheet);
}

/** Of an angle: its part about the major principal axis may buckle, the ratios about both axes add up to 1. */
function angleBuckling(annex: SteelAnnex, { section, grade, fy, L }: Input, sheet?: Sheet): number {
  const { Wu, Wv, alongU, alongV } = anglePrincipal(bentAngle(section, fy, sheet));
  const Mcr = angleCriticalMoment(section, L, 1, grade.E);
  const inner = sheet?.scope('About the major principal axis');
  inner?.given('W_y', Wu, 'sectionModulus', 'elastic modulus, major principal axis');
  inner?.given('L', L, 'length', 'the longer of the lengths for bending and for twisting');
  inner?.given(
    'M_cr',
    Mcr,
    'moment',
    'elastic critical moment, uniform moment, the longer leg pressed',
    '6.3.2.2(2); elastic theory of single angles',
  );
  const MbU = lateralTorsionalResistance(annex, section, Wu, fy, Mcr, 1, inner);
  return addedUp(annex, MbU, Wv, fy, alongV, alongU, sheet);
}
