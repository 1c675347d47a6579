import type { SteelAnnex } from '../annex';
import { EN1993_1_1 } from '../documents';
import { anglePrincipal, type Section } from '../../../section';
import { compare, unproven, type Check, type Sheet, type Clause } from '../../../sheet';
import type { MemberActions } from '../../standard';
import { classify, type SectionClass } from './classification';
import { effectiveArea, effectiveModulus, hasEffectiveSection } from './effective';
import { bentAngle } from './effectiveAngle';
import { effectiveMinorModulus } from './effectiveMinor';
import { bendsInClass4, teeEffectiveModulus } from './effectiveTee';
import { minorBendingResistance } from './minor';
import { shiftedSection, shifts } from './shifted';
import { unweakened, weakenedSection, type ShearTaken, type Weakened } from './weakened';

const CLAUSE = EN1993_1_1('6.2.9');
const NAME = { id: 'section-in-bending-and-axial-force', name: 'Section in bending and axial force' } as const;

interface Reduced {
  readonly MNy: number;
  readonly MNz: number;
  readonly alpha: number;
  readonly beta: number;
}

/**
 * Plastic moments beside an axial force and the exponents of biaxial bending, EN 1993-1-1 6.2.9.1(5), (6): I and H, boxes, tubes of class
 * 1 and 2. n: axial force over the plastic one, as a magnitude below 1; moments: Nmm.
 */
export function reducedPlasticMoments(
  section: Section,
  n: number,
  Mply: number,
  Mplz: number,
  sheet?: Sheet,
  { A, flanges, webs }: Pick<Weakened, 'A' | 'flanges' | 'webs'> = unweakened(section),
): Reduced {
  const { shape } = section;
  sheet?.given('A', A, 'area', 'area', section.designation);
  if (shape.outline === 'tube') {
    const MN = Mply * (1 - n ** 1.7);
    sheet?.step('M_NyRd', 'M_plyRd * (1 - n^1.7)', { M_plyRd: Mply, n }, MN, 'moment', '6.2.9.1(5)');
    sheet?.step('M_NzRd', 'M_plzRd * (1 - n^1.7)', { M_plzRd: Mplz, n }, Mplz * (1 - n ** 1.7), 'moment', '6.2.9.1(5)');
    sheet?.step('alpha', '2', {}, 2, 'ratio', '6.2.9.1(6)');
    sheet?.step('beta', '2', {}, 2, 'ratio', '6.2.9.1(6)');
    return { MNy: MN, MNz: Mplz * (1 - n ** 1.7), alpha: 2, beta: 2 };
  }
  if (shape.outline === 'box') {
    const aw = Math.min(0.5, (A - flanges) / A);
    const af = Math.min(0.5, (A - webs) / A);
    const MNy = Math.min(Mply, (Mply * (1 - n)) / (1 - 0.5 * aw));
    const MNz = Math.min(Mplz, (Mplz * (1 - n)) / (1 - 0.5 * af));
    const exponent = 1 - 1.13 * n ** 2 > 1.66 / 6 ? 1.66 / (1 - 1.13 * n ** 2) : 6;
    if (sheet) {
      sheet.given('A_b', flanges, 'area', 'walls across the depth, 2 b t', section.designation);
      sheet.given('A_h', webs, 'area', 'walls along the depth, 2 h t', section.designation);
      sheet.step('a_w', 'min(0.5, (A - A_b) / A)', { A, A_b: flanges }, aw, 'ratio', '6.2.9.1(5)');
      sheet.step('a_f', 'min(0.5, (A - A_h) / A)', { A, A_h: webs }, af, 'ratio', '6.2.9.1(5)');
      sheet.step('M_NyRd', 'min(M_plyRd, M_plyRd * (1 - n) / (1 - 0.5 * a_w))', { M_plyRd: Mply, n, a_w: aw }, MNy, 'moment', '(6.39)');
      sheet.step('M_NzRd', 'min(M_plzRd, M_plzRd * (1 - n) / (1 - 0.5 * a_f))', { M_plzRd: Mplz, n, a_f: af }, MNz, 'moment', '(6.40)');
      if (exponent === 6) sheet.step('alpha', '6', {}, 6, 'ratio', '6.2.9.1(6)', 'at most 6');
      else sheet.step('alpha', '1.66 / (1 - 1.13 * n^2)', { n }, exponent, 'ratio', '6.2.9.1(6)');
      sheet.step('beta', 'alpha', { alpha: exponent }, exponent, 'ratio', '6.2.9.1(6)');
    }
    return { MNy, MNz, alpha: exponent, beta: exponent };
  }
  const a = Math.min(0.5, (A - flanges) / A);
  const MNy = Math.min(Mply, (Mply * (1 - n)) / (1 - 0.5 * a));
  const MNz = n <= a ? Mplz : Mplz * (1 - ((n - a) / (1 - a)) ** 2);
  const beta = Math.max(1, 5 * n);
  if (sheet) {
    sheet.given('A_f', flanges, 'area', 'both flanges, 2 b t_f', section.designation);
    sheet.step('a', 'min(0.5, (A - A_f) / A)', { A, A_f: flanges }, a, 'ratio', '6.2.9.1(5)');
    sheet.step('M_NyRd', 'min(M_plyRd, M_plyRd * (1 - n) / (1 - 0.5 * a))', { M_plyRd: Mply, n, a }, MNy, 'moment', '(6.36)');
    if (n <= a) sheet.step('M_NzRd', 'M_plzRd', { M_plzRd: Mplz }, MNz, 'moment', '(6.37)', 'n is at most a');
    else sheet.step('M_NzRd', 'M_plzRd * (1 - ((n - a) / (1 - a))^2)', { M_plzRd: Mplz, n, a }, MNz, 'moment', '(6.38)');
    sheet.step('alpha', '2', {}, 2, 'ratio', '6.2.9.1(6)');
    sheet.step('beta', 'max(1, 5 * n)', { n }, beta, 'ratio', '6.2.9.1(6)');
  }
  return { MNy, MNz, alpha: 2, beta };
}

interface Input {
  readonly section: Section;
  readonly actions: MemberActions;
  readonly sectionClass: SectionClass;
  /** Of the parts in compression when it bends about its minor axis. */
  readonly minorClass: SectionClass;
  readonly fy: number;
  /** What the shears take of their shear areas. */
  readonly taken: ShearTaken;
}

/**
 * Cross-section under bending about both axes and axial force together, EN 1993-1-1 6.2.9, and 6.2.10 with the shear areas weakened
 * where the shear is large. Classes 1 and 2 of I, H and hollow shapes: plastic; class 3 and other outlines: stresses
 * added up, 6.2.1(7). Axial force of either sign.
 */
export function sectionInteraction(
  annex: SteelAnnex,
  { section, actions, sectionClass, minorClass, fy, taken }: Input,
  sheet?: Sheet,
): Check {
  const { combination, axial, major, minor } = actions;
  const { outline } = section.shape;
  const isTee = outline === 'tee';
  if (sectionClass === 4 && !bendsInClass4(section, fy))
    return unproven(
      NAME,
      CLAUSE,
      'ductile',
      `${section.designation} is of class 4 in bending: its effective section is not written`,
      sheet,
    );
  const compared = (demand: number, clause: Clause = CLAUSE) =>
    compare(
      {
        id: NAME.id,
        name: NAME.name,
        clause,
        mode: 'ductile',
        kind: 'ratio',
        demand,
        demandSymbol: 'R',
        capacity: 1,
        capacitySymbol: 'R_max',
        combination,
      },
      sheet,
    );
  const N = Math.abs(axial);
  const left = weakenedSection(annex, section, fy, taken, sheet);
  if (left === null)
    return unproven(NAME, CLAUSE, 'ductile', 'the shear alone is more than the section resists: nothing is left beside it', sheet);
  const moves = axial > 0 && shifts(section) && classify(section, fy, 'compression') === 4;
  const worst = Math.max(taken.along, taken.across);
  // effective sections and angles lose the share of the whole, on the safe side
  const losesAll = worst > 0 && (sectionClass === 4 || outline === 'angle' || (isTee && minorClass === 4) || moves);
  const f = losesAll ? (1 - worst) * fy : fy;
  const { A, Wply, Wplz, Wely, Welz, flanges, webs } = losesAll ? unweakened(section) : left;
  if (sheet) {
    sheet.given('N_Ed', N, 'force', `axial force, ${combination}`);
    sheet.given('M_y', major.peak, 'moment', 'largest moment, major axis');
    sheet.given('M_z', minor.peak, 'moment', 'largest moment, minor axis');
    sheet.given(
      'f',
      f,
      'stress',
      f < fy ? 'yield strength reduced beside the shear, (1 - rho) f_y, 6.2.10' : 'yield strength',
      'EN 1993-1-1',
    );
    sheet.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
    sheet.given('R_max', 1, 'ratio', 'at most');
    sheet.note('The largest moments and the axial force are taken at one place.');
  }
  if (sectionClass === 4 && hasEffectiveSection(section))
    return compared(effectiveStresses(annex, { section, actions, minorClass, fy, f }, sheet), EN1993_1_1('6.2.9.3'));
  const area = moves ? atFibre(section, fy, sheet) : A;
  const Npl = (area * f) / annex.gammaM0;
  const isPlastic = sectionClass <= 2 && (outline === 'I' || outline === 'box' || outline === 'tube');
  if (!isPlastic) {
    const plastic = sectionClass <= 2 && outline !== 'angle';
    if (outline === 'angle' && (minor.peak !== 0 || actions.segments.length > 0))
      return compared(angleStresses(annex, { section, actions, fy, f }, area, sheet), EN1993_1_1('6.2.1(7)'));
    const isSlender = isTee && sectionClass === 4;
    const bent = outline === 'angle' ? bentAngle(section, fy, sheet).properties : { Wely, Welz };
    const Wy = plastic ? Wply : isSlender ? teeEffectiveModulus(section, fy, sheet?.scope('Effective modulus, major axis')) : bent.Wely;
    const isThin = isTee && minorClass === 4;
    const Wz = plastic ? Wplz : isThin ? effectiveMinorModulus(section, fy, sheet?.scope('Effective modulus, minor axis')) : bent.Welz;
    const sum = N / Npl + Math.abs(major.peak) / ((Wy * f) / annex.gammaM0) + Math.abs(minor.peak) / ((Wz * f) / annex.gammaM0);
    if (sheet) {
      if (area === A) sheet.given('A', A, 'area', 'area', section.designation);
      const kind = (isEffective: boolean) => (plastic ? 'plastic' : isEffective ? 'effective, from above' : 'elastic');
      sheet.given('W_y', Wy, 'sectionModulus', `${kind(isSlender)}, major axis`, section.designation);
      sheet.given('W_z', Wz, 'sectionModulus', `${kind(isThin)}, minor axis`, section.designation);
      sheet.step(
        'R',
        'gamma_M0 * (N_Ed / (A * f) + abs(M_y) / (W_y * f) + abs(M_z) / (W_z * f))',
        { gamma_M0: annex.gammaM0, N_Ed: N, A: area, f, M_y: major.peak, W_y: Wy, M_z: minor.peak, W_z: Wz },
        sum,
        'ratio',
        '(6.2)',
      );
    }
    return compared(sum, EN1993_1_1('6.2.1(7)'));
  }
  const n = N / Npl;
  const [Mply, Mplz] = [(Wply * f) / annex.gammaM0, (Wplz * f) / annex.gammaM0];
  if (sheet) {
    sheet.given('A', A, 'area', 'area', section.designation);
    sheet.given('W_ply', Wply, 'sectionModulus', 'plastic modulus, major axis', section.designation);
    sheet.given('W_plz', Wplz, 'sectionModulus', 'plastic modulus, minor axis', section.designation);
    sheet.step('M_plyRd', 'W_ply * f / gamma_M0', { W_ply: Wply, f, gamma_M0: annex.gammaM0 }, Mply, 'moment', '(6.13)');
    sheet.step('M_plzRd', 'W_plz * f / gamma_M0', { W_plz: Wplz, f, gamma_M0: annex.gammaM0 }, Mplz, 'moment', '(6.13)');
    sheet.step('n', 'gamma_M0 * N_Ed / (A * f)', { gamma_M0: annex.gammaM0, N_Ed: N, A, f }, n, 'ratio', '6.2.9.1(5)');
  }
  // beyond the plastic axial force nothing is left for moments: the axial force alone is short already
  if (n >= 1) {
    sheet?.step('R', 'n', { n }, n, 'ratio', CLAUSE, 'the axial force alone');
    return compared(n);
  }
  const { MNy, MNz, alpha, beta } = reducedPlasticMoments(section, n, Mply, Mplz, sheet, { A, flanges, webs });
  const [y, z] = [Math.abs(major.peak) / MNy, Math.abs(minor.peak) / MNz];
  if (minor.peak === 0 || major.peak === 0) {
    const [share, moment, capacity] = minor.peak === 0 ? [y, 'M_y', 'M_NyRd'] : [z, 'M_z', 'M_NzRd'];
    sheet?.step(
      'R',
      `abs(${moment}) / ${capacity}`,
      minor.peak === 0 ? { M_y: major.peak, M_NyRd: MNy } : { M_z: minor.peak, M_NzRd: MNz },
      share,
      'ratio',
      '(6.31)',
    );
    return compared(share);
  }
  const sum = y ** alpha + z ** beta;
  sheet?.step(
    'R',
    '(abs(M_y) / M_NyRd)^alpha + (abs(M_z) / M_NzRd)^beta',
    { M_y: major.peak, M_NyRd: MNy, M_z: minor.peak, M_NzRd: MNz, alpha, beta },
    sum,
    'ratio',
    '(6.41)',
  );
  return compared(sum);
}

/** Area at the most pressed fibre of a class 4 shape whose centroid moves, mm2, recorded as A, (6.44). */
function atFibre(section: Section, fy: number, sheet?: Sheet): number {
  const found = shiftedSection(section, fy, sheet?.scope('Effective area')).atFibre;
  sheet?.given('A', found, 'area', 'area at the most pressed fibre, from above', 'EN 1993-1-1 (6.44)');
  return found;
}

/** Stresses of a class 4 section added up, (6.44): effective area in compression, effective moduli in bending; the centroid of an I or box stays. */
function effectiveStresses(
  annex: SteelAnnex,
  { section, actions, minorClass, fy, f }: Pick<Input, 'section' | 'actions' | 'minorClass' | 'fy'> & { readonly f: number },
  sheet?: Sheet,
): number {
  const { axial, major, minor } = actions;
  const N = Math.abs(axial);
  const A = axial > 0 ? effectiveArea(section, fy, sheet?.scope('Effective area')) : section.properties.A;
  const Wy = effectiveModulus(section, fy, sheet?.scope('Effective modulus, major axis'));
  const beside = minorClass === 4 ? 4 : 3;
  const Wz =
    minor.peak === 0
      ? section.properties.Welz
      : (minorBendingResistance(annex, section, beside, fy, sheet?.scope('Minor axis'))! * annex.gammaM0) / fy;
  const sum = annex.gammaM0 * (N / (A * f) + Math.abs(major.peak) / (Wy * f) + Math.abs(minor.peak) / (Wz * f));
  if (sheet) {
    sheet.given('A_eff', A, 'area', axial > 0 ? 'effective area, from above' : 'area', section.designation);
    sheet.given('W_effy', Wy, 'sectionModulus', 'effective modulus, major axis, from above');
    const across = minor.peak !== 0;
    if (across) sheet.given('W_effz', Wz, 'sectionModulus', 'modulus, minor axis, from above');
    sheet.step(
      'R',
      `gamma_M0 * (N_Ed / (A_eff * f) + abs(M_y) / (W_effy * f)${across ? ' + abs(M_z) / (W_effz * f)' : ''})`,
      { gamma_M0: annex.gammaM0, N_Ed: N, A_eff: A, f, M_y: major.peak, W_effy: Wy, ...(across ? { M_z: minor.peak, W_effz: Wz } : {}) },
      sum,
      'ratio',
      '(6.44)',
    );
  }
  return sum;
}

/** Stresses of an angle that bends freely: both moments about both principal axes, the largest of each added up. A: mm2, in class 4 that at the most pressed corner. */
function angleStresses(
  annex: SteelAnnex,
  { section, actions, fy, f }: Pick<Input, 'section' | 'actions' | 'fy'> & { readonly f: number },
  A: number,
  sheet?: Sheet,
): number {
  const { Wu, Wv, alongU, alongV } = anglePrincipal(bentAngle(section, fy, sheet));
  const [N, My, Mz] = [Math.abs(actions.axial), Math.abs(actions.major.peak), Math.abs(actions.minor.peak)];
  const [Mu, Mv] = [My * alongU + Mz * alongV, My * alongV + Mz * alongU];
  const sum = annex.gammaM0 * (N / (A * f) + Mu / (Wu * f) + Mv / (Wv * f));
  if (sheet) {
    if (A === section.properties.A) sheet.given('A', A, 'area', 'area', section.designation);
    sheet.given('W_u', Wu, 'sectionModulus', 'elastic modulus, major principal axis');
    sheet.given('W_v', Wv, 'sectionModulus', 'elastic modulus, minor principal axis');
    sheet.given(
      'c_u',
      alongU,
      'ratio',
      'part of a moment about the horizontal axis that bends it about the major principal axis',
      'statics',
    );
    sheet.given('c_v', alongV, 'ratio', 'part about the minor', 'statics');
    const inputs = { M_y: actions.major.peak, M_z: actions.minor.peak, c_u: alongU, c_v: alongV };
    sheet.step('M_u', 'abs(M_y) * c_u + abs(M_z) * c_v', inputs, Mu, 'moment', 'statics');
    sheet.step('M_v', 'abs(M_y) * c_v + abs(M_z) * c_u', inputs, Mv, 'moment', 'statics');
    sheet.step(
      'R',
      'gamma_M0 * (N_Ed / (A * f) + M_u / (W_u * f) + M_v / (W_v * f))',
      { gamma_M0: annex.gammaM0, N_Ed: N, A, f, M_u: Mu, W_u: Wu, M_v: Mv, W_v: Wv },
      sum,
      'ratio',
      '(6.2)',
    );
  }
  return sum;
}
