import type { LateralTorsionalCurves, SteelAnnex } from '../annex';
import { angleCriticalMoment, anglePrincipal, type AngleShape, type Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { heldFlangeFactor } from '../../heldFlange';
import { bySense, type Segment } from '../../standard';
import type { SteelGrade } from '../../../material';
import { bentAngle } from './effectiveAngle';
import { IMPERFECTION, type Curve } from './curve';
import { correctionFactor, generalCorrection } from './diagramCorrection';

/** A moment smaller than this, Nmm, has no diagram worth reading. */
const NOTHING = 1e-3;

/**
 * Moment gradient factor of a segment held at both ends, from the moments at its quarter points
 * (Serna, Lopez, Puente and Yong, J. Constr. Steel Res. 62 (2006), with k = 1); loads at the shear centre. The sheet must know M_s.
 */
export function momentGradientFactor(segment: Segment, sheet?: Sheet): number {
  const M = segment.tensionFlangeHeld ? (segment.largest ?? Math.abs(segment.peak)) : Math.abs(segment.peak);
  const [M2, M3, M4] = segment.quarters;
  if (Math.abs(segment.peak) < NOTHING || segment.freeTip) {
    sheet?.step('C_1', '1', {}, 1, 'ratio', 'conservative', 'moment gradient factor');
    return 1;
  }
  const free = Math.sqrt((35 * M ** 2) / (M ** 2 + 9 * M2 ** 2 + 16 * M3 ** 2 + 9 * M4 ** 2));
  // holding the tension flange never lowers what the segment carries when free, nor what it carries under its peak all along
  const C1 = segment.tensionFlangeHeld ? Math.max(1, (free * Math.abs(segment.peak)) / M) : free;
  if (sheet) {
    sheet.given('M_max', M, 'moment', segment.tensionFlangeHeld ? 'largest moment of either sign' : 'largest moment in the segment');
    sheet.given('M_2', M2, 'moment', 'at a quarter');
    sheet.given('M_3', M3, 'moment', 'at the middle');
    sheet.given('M_4', M4, 'moment', 'at three quarters');
    const formula = 'sqrt(35 * M_max^2 / (M_max^2 + 9 * M_2^2 + 16 * M_3^2 + 9 * M_4^2))';
    const inputs = { M_max: M, M_2: M2, M_3: M3, M_4: M4 };
    if (segment.tensionFlangeHeld) {
      sheet.note(
        'The held flange can only help: the factor of the segment without it, for the moment that presses the free flange; at least 1.',
      );
      sheet.step(
        'C_1',
        `max(1, ${formula} * abs(M_s) / M_max)`,
        { ...inputs, M_s: segment.peak },
        C1,
        'ratio',
        'Serna et al. 2006',
        'moment gradient factor',
      );
    } else sheet.step('C_1', formula, inputs, C1, 'ratio', 'Serna et al. 2006', 'moment gradient factor');
  }
  return C1;
}

/** Moments that are known along a segment, Nmm; with nothing said of its ends, none there. */
const momentsOf = ({ quarters, ends = [0, 0] }: Segment): readonly number[] => [...quarters, ...ends];

/** Elastic critical moment of a doubly symmetric I, a channel or a box between two fork supports, Nmm; loads at the shear centre, k = kw = 1. L: mm. */
export function criticalMoment(section: Section, L: number, C1: number, E: number, G: number, sheet?: Sheet, symbol = 'C_1'): number {
  const { Iz, It, Iw } = section.properties;
  const Mcr = ((C1 * Math.PI ** 2 * E * Iz) / L ** 2) * Math.sqrt(Iw / Iz + (L ** 2 * G * It) / (Math.PI ** 2 * E * Iz));
  if (sheet) {
    sheet.given('I_z', Iz, 'secondMoment', 'minor axis', section.designation);
    sheet.given('I_T', It, 'torsionConstant', 'torsion constant', section.designation);
    sheet.given('I_w', Iw, 'warpingConstant', 'warping constant', section.designation);
    sheet.given('E', E, 'stress', "Young's modulus", 'EN 1993-1-1 3.2.6');
    sheet.given('G', G, 'stress', 'shear modulus', 'EN 1993-1-1 3.2.6');
    sheet.given('L', L, 'length', 'length between lateral restraints');
    sheet.step(
      'M_cr',
      `${symbol} * pi^2 * E * I_z / L^2 * sqrt(I_w / I_z + L^2 * G * I_T / (pi^2 * E * I_z))`,
      { [symbol]: C1, E, I_z: Iz, L, I_w: Iw, G, I_T: It },
      Mcr,
      'moment',
      '6.3.2.2(2); elastic theory',
      'elastic critical moment',
    );
  }
  return Mcr;
}

/**
 * Elastic critical moment of a tee, or of a welded I of unequal flanges, between two fork supports under its peak moment all along, Nmm, for one sense
 * of bending: where the moment changes its sign, the other one is another case (`bySense`). The help of a larger flange in compression counts as far as
 * the least moment of that sense along the segment, which is on the safe side: none where the moment goes to nothing. E, G: MPa.
 */
export function criticalMomentAsymmetric(section: Section, segment: Segment, E: number, G: number, sheet?: Sheet): number {
  const { Iz, It, Iw, zj } = section.properties;
  const { from, to, peak } = segment;
  const L = to - from;
  // zj is that of a flange on top in compression: sagging
  const pressed = peak >= 0 ? zj : -zj;
  const least = Math.max(0, Math.min(...momentsOf(segment).map((value) => value / peak)));
  const side = pressed > 0 ? least * pressed : pressed;
  const isTee = section.shape.outline === 'tee';
  const Ncr = (Math.PI ** 2 * E * Iz) / L ** 2;
  const Mcr = Ncr * (Math.sqrt(Iw / Iz + (G * It) / Ncr + side ** 2) + side);
  if (sheet) {
    sheet.given('I_z', Iz, 'secondMoment', 'minor axis', section.designation);
    sheet.given('I_T', It, 'torsionConstant', 'torsion constant', section.designation);
    sheet.given('I_w', Iw, 'warpingConstant', 'warping constant', section.designation);
    sheet.given(
      'z_j',
      side,
      'sectionLength',
      side > 0
        ? `asymmetry of the outline, the ${isTee ? 'flange' : 'larger flange'} in compression`
        : side < 0
          ? `asymmetry of the outline, the ${isTee ? 'stem' : 'smaller flange'} in compression`
          : 'the help of the flange in compression is left out',
      section.designation,
    );
    sheet.given('E', E, 'stress', "Young's modulus", 'EN 1993-1-1 3.2.6');
    sheet.given('G', G, 'stress', 'shear modulus', 'EN 1993-1-1 3.2.6');
    sheet.given('L', L, 'length', 'length between lateral restraints');
    sheet.step('N_z', 'pi^2 * E * I_z / L^2', { E, I_z: Iz, L }, Ncr, 'force', 'elastic theory');
    sheet.step(
      'M_cr',
      'N_z * (sqrt(I_w / I_z + G * I_T / N_z + z_j^2) + z_j)',
      { N_z: Ncr, I_w: Iw, I_z: Iz, G, I_T: It, z_j: side },
      Mcr,
      'moment',
      '6.3.2.2(2); elastic theory',
      'elastic critical moment, uniform moment',
    );
  }
  return Mcr;
}

/** Curves, plateau and beta of lateral-torsional buckling, as the annex says. Catalogued hollow shapes are hot-finished, own ones taken as cold-formed. */
function curvesOf({ lateralTorsional }: SteelAnnex, { shape, product, region }: Section): LateralTorsionalCurves {
  const { rolledI, weldedI, hotHollow, coldHollow, other, otherWelded } = lateralTorsional;
  if (shape.outline === 'unequalI') return weldedI;
  if (shape.outline !== 'I' && shape.outline !== 'box') return product === 'welded' ? otherWelded : other;
  if (product === 'welded') return weldedI;
  if (product === 'hollow') return region === 'own' ? coldHollow : hotHollow;
  return rolledI;
}

/** The curve of a section among those that its annex has for its like, by h/b; of unequal flanges the narrower one tells. */
export function lateralTorsionalCurve(annex: SteelAnnex, section: Section): Curve {
  const { byRatio } = curvesOf(annex, section);
  const { shape } = section;
  const ratio =
    shape.outline === 'unequalI'
      ? shape.h / Math.min(shape.b, shape.bBottom)
      : shape.outline === 'I' || shape.outline === 'box'
        ? shape.h / shape.b
        : 0;
  // sizing comes through here millions of times: nothing is made
  let i = 0;
  while (ratio > byRatio[i]![0]) i += 1;
  return byRatio[i]![1];
}

/**
 * Lateral-torsional buckling resistance, Nmm, EN 1993-1-1 6.3.2.3, or 6.3.2.2 where the annex leads there. W: mm3 by class; fy: MPa; Mcr: Nmm.
 * @param C1 of the diagram, as far as the critical moment does not hold it otherwise
 * @param diagram the moments of the segment; left out: uniform, or within the critical moment
 */
export function lateralTorsionalResistance(
  annex: SteelAnnex,
  section: Section,
  W: number,
  fy: number,
  Mcr: number,
  C1: number,
  sheet?: Sheet,
  diagram?: Segment,
): number {
  const { plateau, beta, isGeneral } = curvesOf(annex, section);
  const curve = lateralTorsionalCurve(annex, section);
  const lateral = annex.lateralTorsional;
  const alpha = IMPERFECTION[curve];
  const lambda = Math.sqrt((W * fy) / Mcr);
  sheet?.step(
    'lambda_LT',
    'sqrt(W_y * f_y / M_cr)',
    { W_y: W, f_y: fy, M_cr: Mcr },
    lambda,
    'ratio',
    '6.3.2.2(1)',
    'non-dimensional slenderness',
  );
  sheet?.lookup(
    'alpha_LT',
    alpha,
    'ratio',
    'table 6.3',
    `curve ${curve}${isGeneral ? ', table 6.4, other cross-sections' : ''}`,
    isGeneral ? '6.3.2.2' : lateral.source,
  );
  sheet?.given('lambda_LT0', plateau, 'ratio', 'plateau', isGeneral ? '6.3.2.2(1)' : lateral.source);
  sheet?.given('beta', beta, 'ratio', 'beta', isGeneral ? '6.3.2.2(1)' : lateral.source);
  const stocky = lambda <= plateau;
  sheet?.branch(
    'lambda_LT <= lambda_LT0',
    { lambda_LT: lambda, lambda_LT0: plateau },
    stocky,
    '6.3.2.2(4)',
    stocky ? 'lateral-torsional buckling need not be considered' : 'lateral-torsional buckling reduces the resistance',
  );
  let chi = 1;
  if (stocky) sheet?.step('chi_LT', '1', {}, 1, 'ratio', '6.3.2.2(4)');
  else {
    const Phi = 0.5 * (1 + alpha * (lambda - plateau) + beta * lambda ** 2);
    sheet?.step(
      'Phi_LT',
      '0.5 * (1 + alpha_LT * (lambda_LT - lambda_LT0) + beta * lambda_LT^2)',
      { alpha_LT: alpha, lambda_LT: lambda, lambda_LT0: plateau, beta },
      Phi,
      'ratio',
      '6.3.2.3(1)',
    );
    const plain = Math.min(1, 1 / lambda ** 2, 1 / (Phi + Math.sqrt(Phi ** 2 - beta * lambda ** 2)));
    sheet?.step(
      'chi_1',
      'min(1, 1 / lambda_LT^2, 1 / (Phi_LT + sqrt(Phi_LT^2 - beta * lambda_LT^2)))',
      { lambda_LT: lambda, Phi_LT: Phi, beta },
      plain,
      'ratio',
      '(6.57)',
    );
    const kc = isGeneral ? generalCorrection(sheet) : correctionFactor(annex, C1, diagram, sheet);
    const f = Math.min(1, 1 - 0.5 * (1 - kc) * (1 - 2 * (lambda - 0.8) ** 2));
    sheet?.step(
      'f',
      'min(1, 1 - 0.5 * (1 - k_c) * (1 - 2 * (lambda_LT - 0.8)^2))',
      { k_c: kc, lambda_LT: lambda },
      f,
      'ratio',
      '6.3.2.3(2)',
    );
    chi = Math.min(1, 1 / lambda ** 2, plain / f);
    sheet?.step('chi_LT', 'min(1, 1 / lambda_LT^2, chi_1 / f)', { lambda_LT: lambda, chi_1: plain, f }, chi, 'ratio', '(6.58)');
  }
  sheet?.given('gamma_M1', annex.gammaM1, 'ratio', 'partial factor', annex.partialFactors);
  const MbRd = (chi * W * fy) / annex.gammaM1;
  sheet?.step(
    'M_bRd',
    'chi_LT * W_y * f_y / gamma_M1',
    { chi_LT: chi, W_y: W, f_y: fy, gamma_M1: annex.gammaM1 },
    MbRd,
    'moment',
    '(6.55)',
    'buckling resistance moment',
  );
  return MbRd;
}

/**
 * Moment about the horizontal axis that an angle bears where nothing holds it along its length, Nmm: it bends about both principal axes, elastically, and may
 * buckle about the major one under uniform moment with the longer leg pressed; the ratios about both add up to 1. EN 1993-1-1 6.2.1(5), 6.3.2; fy: MPa.
 */
function angleResistance(annex: SteelAnnex, section: Section, segment: Segment, E: number, fy: number, sheet?: Sheet): number {
  const L = segment.to - segment.from;
  const { beta } = anglePrincipal(section);
  const { Wu, Wv, alongU, alongV } = anglePrincipal(bentAngle(section, fy, sheet));
  const Mcr = angleCriticalMoment(section, L, 1, E);
  const inner = sheet?.scope('About the major principal axis');
  if (sheet && inner) {
    sheet.note(`Segment ${placeOf(segment)}: an angle bends about both of its principal axes where nothing holds it along its length.`);
    sheet.given('M_s', segment.peak, 'moment', 'largest moment in the segment');
    const { A, iv } = section.properties;
    const { t } = section.shape as AngleShape;
    inner.given('W_y', Wu, 'sectionModulus', 'elastic modulus, major principal axis');
    inner.given('A', A, 'area', 'area', section.designation);
    inner.given('i_v', iv, 'sectionLength', 'radius of gyration, minor principal axis', section.designation);
    inner.given('beta_w', beta, 'sectionLength', 'of unequal legs, the longer one pressed: counted against it');
    inner.given('E', E, 'stress', "Young's modulus", 'EN 1993-1-1 3.2.6');
    inner.given('L', L, 'length', 'length between lateral restraints');
    const w = (4.4 * beta * iv) / (L * t);
    inner.step('w', '4.4 * beta_w * i_v / (L * t)', { beta_w: beta, i_v: iv, L, t }, w, 'ratio', 'elastic theory');
    inner.step(
      'M_cr',
      '9 * E * A * i_v * t / (8 * L) / (sqrt(1 + w^2) + w)',
      { E, A, i_v: iv, t, L, w },
      Mcr,
      'moment',
      '6.3.2.2(2); elastic theory of single angles',
      'elastic critical moment, uniform moment',
    );
  }
  const MbU = lateralTorsionalResistance(annex, section, Wu, fy, Mcr, 1, inner);
  return addedUp(annex, MbU, Wv, fy, alongU, alongV, sheet);
}

/**
 * Moment of which parts cu and cv bend an angle about its principal axes, where the ratios about both add up to 1, Nmm, EN 1993-1-1 6.2.1(7). MbU: resistance about the
 * major one, Nmm; Wv: elastic modulus about the minor one, mm3; fy: MPa.
 */
export function addedUp(annex: SteelAnnex, MbU: number, Wv: number, fy: number, cu: number, cv: number, sheet?: Sheet): number {
  const MV = (Wv * fy) / annex.gammaM0;
  const MbRd = 1 / (cu / MbU + cv / MV);
  if (sheet) {
    sheet.given('M_bu', MbU, 'moment', 'buckling resistance, major principal axis, from above');
    sheet.given('W_v', Wv, 'sectionModulus', 'elastic modulus, minor principal axis');
    sheet.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
    sheet.step('M_v', 'W_v * f_y / gamma_M0', { W_v: Wv, f_y: fy, gamma_M0: annex.gammaM0 }, MV, 'moment', '6.2.5(2)');
    sheet.given('c_u', cu, 'ratio', 'part of the moment about the major principal axis', 'statics');
    sheet.given('c_v', cv, 'ratio', 'part about the minor', 'statics');
    sheet.step(
      'M_bRd',
      '1 / (c_u / M_bu + c_v / M_v)',
      { c_u: cu, M_bu: MbU, c_v: cv, M_v: MV },
      MbRd,
      'moment',
      '6.2.1(7)',
      'the ratios about both axes add up to 1',
    );
  }
  return MbRd;
}

/** A resistance, or the words why there is none. */
export type BendingBuckling = { readonly MbRd: number } | { readonly reason: string };

/**
 * Resistance of one segment to lateral-torsional buckling, Nmm, with the critical moment that its shape, its moments and the height of its
 * load have: closed form for loads at the shear centre of a segment held at both ends, the numerical solution for the others.
 * W: mm3; fy: MPa.
 */
export function segmentBuckling(
  annex: SteelAnnex,
  section: Section,
  grade: SteelGrade,
  segment: Segment,
  W: number,
  fy: number,
  untwisted: boolean,
  sheet?: Sheet,
): BendingBuckling {
  if (sheet) return findBuckling(annex, section, grade, segment, W, fy, untwisted, sheet);
  // several checks of one member ask for the same segments; sizing asks for one segment with one section after the other
  const last = latest?.segment === segment ? latest : asked.get(segment);
  if (
    last &&
    last.annex === annex &&
    last.section === section &&
    last.grade === grade &&
    last.W === W &&
    last.fy === fy &&
    last.untwisted === untwisted
  )
    return last.found;
  const found = findBuckling(annex, section, grade, segment, W, fy, untwisted);
  if (latest !== null && latest.segment !== segment) asked.set(latest.segment, latest);
  latest = { segment, annex, section, grade, W, fy, untwisted, found };
  return found;
}

interface Asked {
  readonly segment: Segment;
  readonly annex: SteelAnnex;
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly W: number;
  readonly fy: number;
  readonly untwisted: boolean;
  readonly found: BendingBuckling;
}
/** What was asked last of the segment asked last, and of the others. */
let latest: Asked | null = null;
const asked = new WeakMap<Segment, Asked>();

/**
 * Segments as they are checked: those of tees and I of unequal flanges once for each sense of bending in them, each with its own largest moment, but
 * where a numerical solution of the whole member is at hand.
 */
export const checkedSegments = ({ shape }: Section, segments: readonly Segment[]): readonly Segment[] =>
  shape.outline === 'tee' || shape.outline === 'unequalI'
    ? segments.flatMap((segment) => (segment.critical || segment.peak === 0 ? [segment] : bySense(segment)))
    : segments;

/** A segment's place in words, with its flange where the other one is held elsewhere. */
export const placeOf = ({ from, to, flange }: Segment): string =>
  `${flange ? `${flange} flange ` : ''}from ${Math.round(from / 10) / 100} m to ${Math.round(to / 10) / 100} m`;

/** What holds the ends of a segment, in words. */
export const heldEnds = ({ flange }: Segment): string =>
  flange ? 'whose flange in compression is held sideways at both ends' : 'held sideways and against twisting at both ends';

function findBuckling(
  annex: SteelAnnex,
  section: Section,
  grade: SteelGrade,
  segment: Segment,
  W: number,
  fy: number,
  untwisted: boolean,
  sheet?: Sheet,
): BendingBuckling {
  const { shape } = section;
  const { outline } = shape;
  const L = segment.to - segment.from;
  const given = () => {
    sheet?.given('M_s', segment.peak, 'moment', 'largest moment in the segment');
    sheet?.given('W_y', W, 'sectionModulus', 'section modulus, from above');
  };
  if (outline === 'tube' || (outline === 'box' && shape.h <= shape.b)) {
    given();
    sheet?.note('A hollow shape no deeper than wide is not susceptible to lateral-torsional buckling.');
    sheet?.given('gamma_M1', annex.gammaM1, 'ratio', 'partial factor', annex.partialFactors);
    const MbRd = (W * fy) / annex.gammaM1;
    sheet?.step('M_bRd', 'W_y * f_y / gamma_M1', { W_y: W, f_y: fy, gamma_M1: annex.gammaM1 }, MbRd, 'moment', '6.3.2.1(2)');
    return { MbRd };
  }
  if (outline === 'angle') return { MbRd: angleResistance(annex, section, segment, grade.E, fy, sheet) };
  if (outline === 'channel' && !untwisted)
    return { reason: 'a channel twists unless it is loaded through its shear centre or held against twisting; torsion is not written' };
  const isHigh = segment.loadOnTop ?? false;
  if (segment.freeTip && !segment.critical)
    return { reason: `the overhang ${placeOf(segment)} has a tip that nothing holds sideways, and no solution of its buckling is at hand` };
  if (isHigh && !segment.critical)
    return { reason: `load above the shear centre ${placeOf(segment)}, and no solution of its buckling is at hand` };
  let Mcr: number;
  let C1 = 1;
  let diagram: Segment | undefined;
  const isAsymmetric = outline === 'tee' || outline === 'unequalI';
  if (isAsymmetric && !segment.critical) {
    sheet?.note(`Segment ${placeOf(segment)}, ${heldEnds(segment)}; load at the shear centre.`);
    given();
    Mcr = criticalMomentAsymmetric(section, segment, grade.E, grade.G, sheet);
  } else if (segment.critical && outline !== 'box' && (segment.freeTip || isHigh || isAsymmetric)) {
    if (outline !== 'I' && !isAsymmetric)
      return { reason: 'an overhang or a load above the shear centre is written for I, H and tees only' };
    given();
    const factor = segment.critical(section, grade.E, grade.G);
    sheet?.note(
      `Segment ${placeOf(segment)}. The critical moment comes from a numerical solution of the whole member with its restraints, its moments and load ${isHigh ? 'on the top flange' : 'at the shear centre'}.`,
    );
    sheet?.given(
      'mu_cr',
      factor,
      'ratio',
      'all moments times this: elastic buckling',
      'finite elements, lateral bending and warping torsion',
    );
    Mcr = factor * Math.abs(segment.peak);
    sheet?.step('M_cr', 'mu_cr * abs(M_s)', { mu_cr: factor, M_s: segment.peak }, Mcr, 'moment', '6.3.2.2(2)', 'elastic critical moment');
  } else {
    sheet?.note(`Segment ${placeOf(segment)}, ${heldEnds(segment)}; load at the shear centre.`);
    given();
    C1 = momentGradientFactor(segment, sheet);
    diagram = segment;
    const held = outline === 'I' ? heldFlangeFactor(segment) : null;
    if (held !== null && held > C1) {
      heldFlangeFactor(segment, sheet);
      // f of 6.3.2.3(2) keeps to the diagram alone; the restraint of the tension flange counts in the critical moment
      Mcr = criticalMoment(section, L, held, grade.E, grade.G, sheet, 'C_h');
    } else Mcr = criticalMoment(section, L, C1, grade.E, grade.G, sheet);
  }
  return { MbRd: lateralTorsionalResistance(annex, section, W, fy, Mcr, C1, sheet, diagram) };
}
