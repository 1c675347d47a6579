import type { SteelAnnex } from '../annex';
import { EN1993_1_1 } from '../documents';
import type { Section } from '../../../section';
import type { SteelGrade } from '../../../material';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import type { MemberActions } from '../../standard';
import { bendingModulus, bendingResistance } from './bending';
import { torsionalFlexuralCritical } from './buckling';
import type { SectionClass } from './classification';
import { bendsInClass4 } from './effectiveTee';
import { segmentResistances } from './interaction';

const NAME = { id: 'bending-and-compression-of-the-member', name: 'Bending and compression of the member' } as const;
const CLAUSE = EN1993_1_1('6.3.1, 6.3.2, second order');

interface Input {
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly actions: MemberActions;
  readonly fy: number;
  readonly lengthY: number;
  readonly lengthZ: number;
  readonly lengthT: number;
  readonly untwisted: boolean;
  readonly sectionClass: SectionClass;
  /** Least resistance in compression, N; null when it is not proved. */
  readonly Nb: number | null;
  /** Least resistance about the minor axis, of the section or in buckling, Nmm; null when it is not proved. */
  readonly Mz: number | null;
}

/**
 * Bending and compression of channels, tees, angles and I of unequal flanges between restraints, for which 6.3.3 with Annex B is not written: the shares
 * of the least buckling resistances added up, the moments grown by the secant of elastic theory under the least critical force. On the safe
 * side: among forces and moments that do not buckle elastically every sum of two such sets is another (the region is convex), no diagram grows more than
 * a uniform one, and each resistance has its own imperfections.
 */
export function amplifiedSum(annex: SteelAnnex, input: Input, sheet?: Sheet): Check[] {
  const { section, grade, actions, fy, sectionClass, Nb } = input;
  const { combination, axial, major, minor } = actions;
  // in buckling of the member by gamma_M1, where that is the larger
  const Mz = input.Mz === null ? null : Math.min(input.Mz, (input.Mz * annex.gammaM0) / annex.gammaM1);
  const open = (reason: string) => [unproven(NAME, CLAUSE, 'instability', reason, sheet)];
  if (Nb === null) return open('compression alone is not proved');
  if (minor.peak !== 0 && Mz === null) return open('bending about the minor axis is not proved');
  if (sectionClass === 4 && major.peak !== 0 && !bendsInClass4(section, fy))
    return open('bending about the major axis of this shape of class 4 is not written');
  let bentMost = { peak: major.peak, My: Infinity };
  if (major.peak !== 0) {
    const W = bendingModulus(section, sectionClass, fy);
    const resistances = segmentResistances(annex, section, grade, actions.segments, W, fy, input.untwisted);
    if (typeof resistances === 'string') return open(resistances);
    const used = ({ peak, My }: { peak: number; My: number }) => Math.abs(peak) / My;
    // the stretch between restraints that is worst for its own moments, or the section under the largest of all
    bentMost = resistances
      .map(({ segment, MbRd }) => ({ peak: segment.peak, My: MbRd }))
      .reduce((a, b) => (used(b) > used(a) ? b : a), {
        peak: major.peak,
        My: Math.min(bendingResistance(annex, W, fy), (W * fy) / annex.gammaM1),
      });
  }
  const { My } = bentMost;
  const { Iy, Iz, Iv } = section.properties;
  const isAngle = section.shape.outline === 'angle';
  const { E, G } = grade;
  const lengths = { y: input.lengthY, z: input.lengthZ, T: input.lengthT };
  const euler = (I: number, L: number) => (Math.PI ** 2 * E * I) / L ** 2;
  const flexural = isAngle ? euler(Iv, Math.max(lengths.y, lengths.z)) : Math.min(euler(Iy, lengths.y), euler(Iz, lengths.z));
  const Ncr = Math.min(flexural, torsionalFlexuralCritical(section, lengths, E, G));
  const n = axial / Nb;
  const bent = Math.abs(bentMost.peak) / My + (minor.peak === 0 ? 0 : Math.abs(minor.peak) / Mz!);
  // at the critical force, which no buckling resistance reaches, the compression alone is too much and moments grow without bound
  if (axial >= Ncr) return open('the compression alone is beyond the elastic critical force');
  const k = 1 / Math.cos((Math.PI / 2) * Math.sqrt(axial / Ncr));
  const sum = n + k * bent;
  if (sheet) {
    sheet.note(
      '6.3.3 with Annex B is for doubly symmetric sections. Here the shares of the least resistances are added up and the moments grow by the secant of elastic theory, as a uniform moment would: on the safe side.',
    );
    sheet.given('N_Ed', axial, 'force', `design compression, ${combination}`);
    sheet.given('N_bRd', Nb, 'force', 'least resistance in compression, from above');
    sheet.given('N_crl', Ncr, 'force', 'least elastic critical force: flexural, torsional-flexural', '6.3.1');
    sheet.given('R_max', 1, 'ratio', 'at most');
    const terms: string[] = [];
    const inputs: Record<string, number> = {};
    if (major.peak !== 0) {
      sheet.given('M_y', bentMost.peak, 'moment', 'largest moment, major axis');
      sheet.given('M_bRd', My, 'moment', 'least resistance about the major axis, from above');
      terms.push('abs(M_y) / M_bRd');
      Object.assign(inputs, { M_y: bentMost.peak, M_bRd: My });
    }
    if (minor.peak !== 0) {
      sheet.given('M_z', minor.peak, 'moment', 'largest moment, minor axis');
      sheet.given('M_zRd', Mz!, 'moment', 'least resistance about the minor axis, from above');
      terms.push('abs(M_z) / M_zRd');
      Object.assign(inputs, { M_z: minor.peak, M_zRd: Mz! });
    }
    sheet.step(
      'k',
      '1 / cos(pi / 2 * sqrt(N_Ed / N_crl))',
      { N_Ed: axial, N_crl: Ncr },
      k,
      'ratio',
      'elastic theory',
      'growth of the moments',
    );
    sheet.step('R', `N_Ed / N_bRd + k * (${terms.join(' + ')})`, { N_Ed: axial, N_bRd: Nb, k, ...inputs }, sum, 'ratio', CLAUSE);
  }
  const compared = { demand: sum, demandSymbol: 'R', capacity: 1, capacitySymbol: 'R_max', combination };
  return [compare({ id: NAME.id, name: NAME.name, clause: CLAUSE, mode: 'instability', kind: 'ratio', ...compared }, sheet)];
}
