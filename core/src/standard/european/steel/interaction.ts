import type { SteelAnnex } from '../annex';
import { EN1993_1_1 } from '../documents';
import type { Section } from '../../../section';
import type { SteelGrade } from '../../../material';
import { compare, unproven, type Check, type CheckName, type Sheet } from '../../../sheet';
import { bucklesSideways, type MemberActions, type MomentShape, type Segment } from '../../standard';
import { bendingModulus } from './bending';
import { bucklingCurve, reductionFactor } from './buckling';
import type { SectionClass } from './classification';
import { effectiveArea, hasEffectiveSection } from './effective';
import { checkedSegments, segmentBuckling } from './lateralTorsional';

const CLAUSE = EN1993_1_1('6.3.3, Annex B');

/**
 * Equivalent uniform moment factor of one diagram, EN 1993-1-1 table B.3, of the rows for distributed and for concentrated load the greater.
 * Never less than 0.4. The diagram is read at its ends and its middle.
 */
export function equivalentMomentFactor({ start, middle, end, peak }: MomentShape, symbol: string, sheet?: Sheet): number {
  if (Math.abs(peak) < 1e-3) {
    sheet?.step(symbol, '1', {}, 1, 'ratio', 'table B.3', 'no moment');
    return 1;
  }
  const [Mh, other] = Math.abs(start) >= Math.abs(end) ? [start, end] : [end, start];
  const straight = (start + end) / 2;
  if (sheet) {
    sheet.given('M_h', Mh, 'moment', 'at the end where it is larger');
    sheet.given('M_o', other, 'moment', 'at the other end');
    sheet.given('M_m', middle, 'moment', 'at the middle');
  }
  const isStraight = Math.abs(middle - straight) <= 1e-6 * Math.abs(peak);
  if (isStraight) {
    const psi = other / Mh;
    const C = Math.max(0.4, 0.6 + 0.4 * psi);
    sheet?.step('psi_m', 'M_o / M_h', { M_o: other, M_h: Mh }, psi, 'ratio', 'table B.3');
    sheet?.step(symbol, 'max(0.4, 0.6 + 0.4 * psi_m)', { psi_m: psi }, C, 'ratio', 'table B.3', 'straight diagram');
    return C;
  }
  if (Math.abs(Mh) < 1e-6 * Math.abs(middle)) {
    // no end moments: alpha_h = 0, 0.95 for a distributed load is the greater
    sheet?.step(symbol, '0.95', {}, 0.95, 'ratio', 'table B.3', 'no end moments; the row of distributed load, the greater');
    return 0.95;
  }
  const psi = other / Mh;
  sheet?.step('psi_m', 'M_o / M_h', { M_o: other, M_h: Mh }, psi, 'ratio', 'table B.3');
  let C: number;
  if (Math.abs(middle) <= Math.abs(Mh)) {
    const alpha = middle / Mh;
    sheet?.step('alpha_s', 'M_m / M_h', { M_m: middle, M_h: Mh }, alpha, 'ratio', 'table B.3');
    if (alpha >= 0) {
      C = Math.max(0.4, 0.2 + 0.8 * alpha);
      sheet?.step(symbol, 'max(0.4, 0.2 + 0.8 * alpha_s)', { alpha_s: alpha }, C, 'ratio', 'table B.3');
    } else if (psi >= 0) {
      C = Math.max(0.4, 0.1 - 0.8 * alpha, -0.8 * alpha);
      sheet?.step(symbol, 'max(0.4, 0.1 - 0.8 * alpha_s, -0.8 * alpha_s)', { alpha_s: alpha }, C, 'ratio', 'table B.3');
    } else {
      C = Math.max(0.4, 0.1 * (1 - psi) - 0.8 * alpha, -0.2 * psi - 0.8 * alpha);
      sheet?.step(
        symbol,
        'max(0.4, 0.1 * (1 - psi_m) - 0.8 * alpha_s, -0.2 * psi_m - 0.8 * alpha_s)',
        { psi_m: psi, alpha_s: alpha },
        C,
        'ratio',
        'table B.3',
      );
    }
    return C;
  }
  const alpha = Mh / middle;
  sheet?.step('alpha_h', 'M_h / M_m', { M_h: Mh, M_m: middle }, alpha, 'ratio', 'table B.3');
  if (alpha >= 0 || psi >= 0) {
    C = Math.max(0.4, 0.95 + 0.05 * alpha, 0.9 + 0.1 * alpha);
    sheet?.step(symbol, 'max(0.4, 0.95 + 0.05 * alpha_h, 0.90 + 0.10 * alpha_h)', { alpha_h: alpha }, C, 'ratio', 'table B.3');
  } else {
    C = Math.max(0.4, 0.95 + 0.05 * alpha * (1 + 2 * psi), 0.9 + 0.1 * alpha * (1 + 2 * psi));
    sheet?.step(
      symbol,
      'max(0.4, 0.95 + 0.05 * alpha_h * (1 + 2 * psi_m), 0.90 + 0.10 * alpha_h * (1 + 2 * psi_m))',
      { alpha_h: alpha, psi_m: psi },
      C,
      'ratio',
      'table B.3',
    );
  }
  return C;
}

/** What of a slenderness the interaction factors are made of. */
export interface InteractionInput {
  readonly isHollow: boolean;
  readonly isPlastic: boolean;
  /** The shape can twist: lateral-torsional buckling is possible between restraints. */
  readonly canTwist: boolean;
  readonly lambdaY: number;
  readonly lambdaZ: number;
  /** Axial force over buckling resistance, about y and z. */
  readonly ny: number;
  readonly nz: number;
  readonly Cmy: number;
  readonly Cmz: number;
  readonly CmLT: number;
}

export interface InteractionFactors {
  readonly kyy: number;
  readonly kyz: number;
  readonly kzy: number;
  readonly kzz: number;
}

/** Interaction factors of Annex B, tables B.1 and B.2. */
export function interactionFactors(input: InteractionInput, sheet?: Sheet): InteractionFactors {
  const { isHollow, isPlastic, canTwist, lambdaY, lambdaZ, ny, nz, Cmy, Cmz, CmLT } = input;
  const y = { C_my: Cmy, lambda_y: lambdaY, n_y: ny };
  const z = { C_mz: Cmz, lambda_z: lambdaZ, n_z: nz };
  let kyy: number;
  let kzz: number;
  if (isPlastic) {
    kyy = Math.min(Cmy * (1 + (lambdaY - 0.2) * ny), Cmy * (1 + 0.8 * ny));
    sheet?.step('k_yy', 'min(C_my * (1 + (lambda_y - 0.2) * n_y), C_my * (1 + 0.8 * n_y))', y, kyy, 'ratio', 'table B.1');
    if (isHollow) {
      kzz = Math.min(Cmz * (1 + (lambdaZ - 0.2) * nz), Cmz * (1 + 0.8 * nz));
      sheet?.step('k_zz', 'min(C_mz * (1 + (lambda_z - 0.2) * n_z), C_mz * (1 + 0.8 * n_z))', z, kzz, 'ratio', 'table B.1');
    } else {
      kzz = Math.min(Cmz * (1 + (2 * lambdaZ - 0.6) * nz), Cmz * (1 + 1.4 * nz));
      sheet?.step('k_zz', 'min(C_mz * (1 + (2 * lambda_z - 0.6) * n_z), C_mz * (1 + 1.4 * n_z))', z, kzz, 'ratio', 'table B.1');
    }
  } else {
    kyy = Math.min(Cmy * (1 + 0.6 * lambdaY * ny), Cmy * (1 + 0.6 * ny));
    sheet?.step('k_yy', 'min(C_my * (1 + 0.6 * lambda_y * n_y), C_my * (1 + 0.6 * n_y))', y, kyy, 'ratio', 'table B.1');
    kzz = Math.min(Cmz * (1 + 0.6 * lambdaZ * nz), Cmz * (1 + 0.6 * nz));
    sheet?.step('k_zz', 'min(C_mz * (1 + 0.6 * lambda_z * n_z), C_mz * (1 + 0.6 * n_z))', z, kzz, 'ratio', 'table B.1');
  }
  const kyz = isPlastic ? 0.6 * kzz : kzz;
  if (isPlastic) sheet?.step('k_yz', '0.6 * k_zz', { k_zz: kzz }, kyz, 'ratio', 'table B.1');
  else sheet?.step('k_yz', 'k_zz', { k_zz: kzz }, kyz, 'ratio', 'table B.1');
  let kzy: number;
  if (!canTwist) {
    kzy = (isPlastic ? 0.6 : 0.8) * kyy;
    sheet?.step('k_zy', `${isPlastic ? 0.6 : 0.8} * k_yy`, { k_yy: kyy }, kzy, 'ratio', 'table B.1');
  } else {
    const share = isPlastic ? 0.1 : 0.05;
    const inputs = { lambda_z: lambdaZ, n_z: nz, C_mLT: CmLT };
    if (isPlastic && lambdaZ < 0.4) {
      kzy = Math.min(0.6 + lambdaZ, 1 - (0.1 * lambdaZ * nz) / (CmLT - 0.25));
      sheet?.step('k_zy', 'min(0.6 + lambda_z, 1 - 0.1 * lambda_z * n_z / (C_mLT - 0.25))', inputs, kzy, 'ratio', 'table B.2');
    } else {
      kzy = Math.max(1 - (share * lambdaZ * nz) / (CmLT - 0.25), 1 - (share * nz) / (CmLT - 0.25));
      sheet?.step(
        'k_zy',
        `max(1 - ${share} * lambda_z * n_z / (C_mLT - 0.25), 1 - ${share} * n_z / (C_mLT - 0.25))`,
        inputs,
        kzy,
        'ratio',
        'table B.2',
      );
    }
  }
  return { kyy, kyz, kzy, kzz };
}

interface Input {
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly actions: MemberActions;
  readonly fy: number;
  readonly lengthY: number;
  readonly lengthZ: number;
  readonly sectionClass: SectionClass;
  /** Bending resistance about the minor axis, Nmm; null when it is not proved. */
  readonly Mcz: number | null;
}

/** Whether 6.3.3 with Annex B is written for an outline: doubly symmetric sections. */
export function hasAnnexB({ shape }: Section): boolean {
  return shape.outline === 'I' || shape.outline === 'box' || shape.outline === 'tube';
}

/** (6.61) about the major axis, (6.62) about the minor one. */
const ABOUT = {
  y: { id: 'bending-and-compression', part: 'major', name: 'Bending and compression, major axis' },
  z: { id: 'bending-and-compression', part: 'minor', name: 'Bending and compression, minor axis' },
} as const satisfies Record<string, CheckName>;

/** Members in bending and compression, EN 1993-1-1 6.3.3 with Annex B: (6.61) and (6.62), for I, H and rectangular hollow shapes. */
export function bendingAndCompression(annex: SteelAnnex, input: Input, sheet?: Sheet): Check[] {
  const { section, grade, actions, fy, sectionClass } = input;
  const { combination, axial, major, minor } = actions;
  // the rows of 6.3.3 divide by gamma_M1 throughout
  const Mcz = input.Mcz === null ? null : (input.Mcz * annex.gammaM0) / annex.gammaM1;
  const open = (reason: string) => [unproven(ABOUT.y, CLAUSE, 'instability', reason, sheet)];
  const { outline } = section.shape;
  if (sectionClass === 4 && !hasEffectiveSection(section)) return open('class 4 in bending and compression is written for I and box only');
  if (minor.peak !== 0 && bucklesSideways(section))
    return open('the axis called minor is the stronger one: 6.3.3 is written for members that buckle about the other');
  if (minor.peak !== 0 && Mcz === null) return open('bending about the minor axis is not proved');
  const { Iy, Iz } = section.properties;
  // table 6.7, class 4: of a doubly symmetric section the centroid stays, so that no moment is added
  const A = sectionClass === 4 ? effectiveArea(section, fy, sheet?.scope('Effective area')) : section.properties.A;
  const { E } = grade;
  const slenderness = (I: number, L: number) => Math.sqrt((A * fy) / ((Math.PI ** 2 * E * I) / L ** 2));
  const [lambdaY, lambdaZ] = [slenderness(Iy, input.lengthY), slenderness(Iz, input.lengthZ)];
  const [chiY, chiZ] = [reductionFactor(lambdaY, bucklingCurve(section, 'y')), reductionFactor(lambdaZ, bucklingCurve(section, 'z'))];
  const [NbyRd, NbzRd] = [(chiY * A * fy) / annex.gammaM1, (chiZ * A * fy) / annex.gammaM1];
  const [ny, nz] = [axial / NbyRd, axial / NbzRd];
  const W = bendingModulus(section, sectionClass, fy, sectionClass === 4 ? sheet?.scope('Effective modulus') : undefined);
  const resistances = segmentResistances(annex, section, grade, actions.segments, W, fy);
  if (typeof resistances === 'string') return open(resistances);
  // an open section that is not held along its length is susceptible to torsional deformation, however stiff it is
  const canTwist = outline === 'I' && resistances.length > 0;
  const McRd = (W * fy) / annex.gammaM1;
  const whole: Stretch = { segment: null, peak: major.peak, Mb: McRd };
  const stretches: Stretch[] = resistances.map(({ segment, MbRd }) => ({ segment, peak: segment.peak, Mb: Math.min(MbRd, McRd) }));
  const used = ({ peak, Mb }: Stretch) => Math.abs(peak) / Mb;
  const worst = stretches.reduce((a, b) => (used(b) > used(a) ? b : a), stretches[0] ?? whole);
  if (sheet) {
    sheet.given('N_Ed', axial, 'force', `design compression, ${combination}`);
    sheet.given('N_byRd', NbyRd, 'force', 'flexural buckling, major axis, from above');
    sheet.given('N_bzRd', NbzRd, 'force', 'flexural buckling, minor axis, from above');
    sheet.given('lambda_y', lambdaY, 'ratio', 'slenderness, major axis, from above');
    sheet.given('lambda_z', lambdaZ, 'ratio', 'slenderness, minor axis, from above');
    sheet.step('n_y', 'N_Ed / N_byRd', { N_Ed: axial, N_byRd: NbyRd }, ny, 'ratio', '(6.61)');
    sheet.step('n_z', 'N_Ed / N_bzRd', { N_Ed: axial, N_bzRd: NbzRd }, nz, 'ratio', '(6.62)');
  }
  const Cmy = equivalentMomentFactor(major, 'C_my', sheet?.scope('Moment about y between supports'));
  const Cmz = equivalentMomentFactor(minor, 'C_mz', sheet?.scope('Moment about z between supports'));
  // of the stretches between restraints, each with its own moments, the one that is worst in the row
  const factorsOf = (stretch: Stretch, inner?: Sheet) => {
    const { segment } = stretch;
    const CmLT = segment?.ends
      ? equivalentMomentFactor(ofSegment(segment), 'C_mLT', inner?.scope('Moment about y between lateral restraints'))
      : 1;
    inner?.given('C_my', Cmy, 'ratio', 'from above', 'table B.3');
    inner?.given('C_mz', Cmz, 'ratio', 'from above', 'table B.3');
    inner?.given('C_mLT', CmLT, 'ratio', segment?.ends ? 'from above' : 'taken as 1', 'table B.3');
    const slendernesses = { lambdaY, lambdaZ, ny, nz, Cmy, Cmz, CmLT };
    return interactionFactors({ isHollow: outline !== 'I', isPlastic: sectionClass <= 2, canTwist, ...slendernesses }, inner);
  };
  const mz = minor.peak === 0 ? 0 : Math.abs(minor.peak) / Mcz!;
  const lean = (stretch: Stretch) => factorsOf(stretch).kzy * used(stretch);
  const leaning = stretches.reduce((a, b) => (lean(b) > lean(a) ? b : a), worst);
  const row = (axis: 'y' | 'z', stretch: Stretch, clause: string) => {
    const inner = sheet?.scope(ABOUT[axis].name);
    const { kyy, kyz, kzy, kzz } = factorsOf(stretch, inner);
    const [n, k, kz] = axis === 'y' ? [ny, kyy, kyz] : [nz, kzy, kzz];
    const sum = n + k * used(stretch) + kz * mz;
    const { segment, peak, Mb } = stretch;
    if (inner) {
      const place = segment && stretches.length > 1 ? `, from ${toMetres(segment.from)} to ${toMetres(segment.to)} m` : '';
      inner.given('M_bRd', Mb, 'moment', `buckling resistance moment${place}, from above, at most that of the section`);
      inner.given('M_y', peak, 'moment', `largest moment, major axis${place}`);
      if (mz > 0) {
        inner.given('M_z', minor.peak, 'moment', 'largest moment, minor axis');
        inner.given(
          'M_czRd',
          Mcz!,
          'moment',
          `bending resistance, minor axis, ${sectionClass === 3 ? 'elastic: the section is of class 3' : 'from above'}${annex.gammaM0 === annex.gammaM1 ? '' : ', with gamma_M1'}`,
        );
      }
      inner.given('R_max', 1, 'ratio', 'at most');
      inner.step(
        'R',
        `n_${axis} + k_${axis}y * abs(M_y) / M_bRd${mz > 0 ? ` + k_${axis}z * abs(M_z) / M_czRd` : ''}`,
        {
          [`n_${axis}`]: n,
          [`k_${axis}y`]: k,
          M_y: peak,
          M_bRd: Mb,
          ...(mz > 0 ? { M_z: minor.peak, M_czRd: Mcz!, [`k_${axis}z`]: kz } : {}),
        },
        sum,
        'ratio',
        clause,
      );
    }
    return compare(
      {
        id: ABOUT[axis].id,
        part: ABOUT[axis].part,
        name: ABOUT[axis].name,
        clause: EN1993_1_1(clause),
        mode: 'instability',
        kind: 'ratio',
        demand: sum,
        demandSymbol: 'R',
        capacity: 1,
        capacitySymbol: 'R_max',
        combination,
      },
      inner,
    );
  };
  return [row('y', worst, '(6.61)'), row('z', leaning, '(6.62)')];
}

/** A stretch between lateral restraints, or the whole member where it is held along its length: its largest moment and what it resists, Nmm. */
interface Stretch {
  readonly segment: Segment | null;
  readonly peak: number;
  readonly Mb: number;
}

const toMetres = (length: number) => +(length / 1000).toFixed(2);

function ofSegment(segment: Segment): MomentShape {
  return { start: segment.ends![0], end: segment.ends![1], middle: segment.quarters[1], peak: segment.peak };
}

/** Buckling resistance of each segment, Nmm; in words, when one is not proved. */
export function segmentResistances(
  annex: SteelAnnex,
  section: Section,
  grade: SteelGrade,
  segments: readonly Segment[],
  W: number,
  fy: number,
  untwisted = false,
): readonly { readonly segment: Segment; readonly MbRd: number }[] | string {
  const list: { segment: Segment; MbRd: number }[] = [];
  for (const segment of checkedSegments(section, segments)) {
    const found = segmentBuckling(annex, section, grade, segment, W, fy, untwisted);
    if ('reason' in found) return found.reason;
    list.push({ segment, MbRd: found.MbRd });
  }
  return list;
}
