import type { SteelAnnex } from '../annex';
import { EN1993_1_1 } from '../documents';
import { compare, unproven, verdictOf, type Check, type CheckName, type Sheet, type Clause } from '../../../sheet';
import { type SteelGrade } from '../../../material';
import type { Section } from '../../../section';
import { requireBasis, type Philosophy, type SteelColumnInput } from '../../standard';
import { bucklingCurve, flexuralBuckling, torsionalBuckling, torsionalFlexuralBuckling } from './buckling';
import { classify, recordShape, sectionYield } from './classification';
import { effectiveArea, hasEffectiveSection } from './effective';
import { shiftedSection, shifts } from './shifted';
import { nominalMoments } from './simpleConstruction';
import { tensionChecks } from './tension';

export interface CompressionInput {
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly fy: number;
  /** Compression, N, positive. */
  readonly axial: number;
  readonly combination: string;
  readonly lengthY: number;
  readonly lengthZ: number;
  readonly lengthT: number;
}

export interface Compression {
  readonly checks: readonly Check[];
  /** Gross area, or effective in class 4; null when nothing is proved. mm2 */
  readonly A: number | null;
  /** Buckling resistances about y, z and in torsion, N; null when nothing is proved. */
  readonly resistances: { readonly y: number; readonly z: number; readonly least: number } | null;
}

/** Compression of the section and its buckling, EN 1993-1-1 6.2.4, 6.3.1: flexural, torsional, torsional-flexural; class 4 of all but tubes. */
export function compression(annex: SteelAnnex, input: CompressionInput, sheet?: Sheet): Compression {
  return sheet ? compressionOnSheet(annex, input, sheet) : compressionAgain(annex, input);
}

/** A strut's resistances as they were last asked for: they do not depend on the combination. */
interface Strut {
  readonly annex: SteelAnnex;
  readonly grade: SteelGrade;
  readonly fy: number;
  readonly lengthY: number;
  readonly lengthZ: number;
  readonly lengthT: number;
  readonly found: Compression;
}
const struts = new WeakMap<Section, Strut>();

function compressionAgain(annex: SteelAnnex, input: CompressionInput): Compression {
  const { section, grade, fy, lengthY, lengthZ, lengthT, axial, combination } = input;
  let last = struts.get(section);
  if (
    !last ||
    last.annex !== annex ||
    last.grade !== grade ||
    last.fy !== fy ||
    last.lengthY !== lengthY ||
    last.lengthZ !== lengthZ ||
    last.lengthT !== lengthT
  ) {
    last = { annex, grade, fy, lengthY, lengthZ, lengthT, found: compressionOnSheet(annex, input) };
    struts.set(section, last);
  }
  const { found } = last;
  // written out: a sizing run comes through here millions of times, and spreading is slow
  const checks: Check[] = [];
  for (const check of found.checks) {
    if (check.capacity === null) {
      checks.push(check);
      continue;
    }
    const { id, part, name, clause, mode, kind, capacity, reason } = check;
    const utilisation = axial / capacity;
    checks.push({
      id,
      part,
      name,
      clause,
      mode,
      kind,
      demand: axial,
      capacity,
      utilisation,
      verdict: verdictOf(utilisation),
      reason,
      combination,
    });
  }
  return { checks, A: found.A, resistances: found.resistances };
}

function compressionOnSheet(
  annex: SteelAnnex,
  { section, grade, fy, axial, combination, ...lengths }: CompressionInput,
  sheet?: Sheet,
): Compression {
  const sectionClass = classify(section, fy, 'compression', sheet?.scope('Class in compression'));
  if (sectionClass === 4 && !hasEffectiveSection(section) && !shifts(section))
    return {
      A: null,
      resistances: null,
      checks: [
        unproven(
          { id: 'flexural-buckling', name: 'Flexural buckling' },
          EN1993_1_1('6.3.1'),
          'instability',
          `${section.designation} is of class 4 in compression in ${grade.id}: EN 1993-1-1 leaves such a tube to EN 1993-1-6, shells, which is not written`,
          sheet,
        ),
      ],
    };
  const { Iy, Iz } = section.properties;
  const { E, G } = grade;
  sheet?.given('N_Ed', axial, 'force', `design compression, ${combination}`);
  sheet?.given('A', section.properties.A, 'area', 'area', section.designation);
  sheet?.given('E', E, 'stress', "Young's modulus", 'EN 1993-1-1 3.2.6');
  const checks: Check[] = [];
  let A = section.properties.A;
  /** Area at the most pressed fibre, where the effective centroid is not that of the gross section. */
  let atFibre = A;
  if (sectionClass === 4) {
    const inner = sheet?.scope('Effective area');
    if (hasEffectiveSection(section)) atFibre = A = effectiveArea(section, fy, inner);
    else ({ area: A, atFibre } = shiftedSection(section, fy, inner));
    // what follows is written with the effective area in the place of A
    sheet?.given('A', A, 'area', 'effective area, from above', 'EN 1993-1-1 (6.11), (6.48)');
  }
  const row = (name: CheckName, clause: Clause, mode: Check['mode'], capacity: number, capacitySymbol: string, inner?: Sheet) =>
    checks.push(
      compare(
        {
          id: name.id,
          part: name.part,
          name: name.name,
          clause,
          mode,
          kind: 'force',
          demand: axial,
          demandSymbol: 'N_Ed',
          capacity,
          capacitySymbol,
          combination,
        },
        inner,
      ),
    );

  const squash = sheet?.scope('Cross-section');
  squash?.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
  const NcRd = (A * fy) / annex.gammaM0;
  squash?.step(
    'N_cRd',
    'A * f_y / gamma_M0',
    { A, f_y: fy, gamma_M0: annex.gammaM0 },
    NcRd,
    'force',
    sectionClass === 4 ? '(6.11)' : '(6.10)',
  );
  row({ id: 'compression-of-the-section', name: 'Compression of the section' }, EN1993_1_1('6.2.4'), 'ductile', NcRd, 'N_cRd', squash);

  const flexural = (axis: 'y' | 'z', I: number, Lcr: number, part: 'major' | 'minor' | 'weakest') => {
    const title = `Flexural buckling, ${part} axis`;
    const inner = sheet?.scope(title);
    const NbRd = flexuralBuckling(annex, { A, I, Lcr, E, fy, curve: bucklingCurve(section, axis) }, inner);
    row({ id: 'flexural-buckling', part, name: title }, EN1993_1_1('6.3.1'), 'instability', NbRd, 'N_bRd', inner);
    return NbRd;
  };
  const isAngle = section.shape.outline === 'angle';
  let y: number;
  let z: number;
  if (isAngle) {
    // an angle bends about its own weakest axis, whatever it is held by
    y = z = flexural('z', section.properties.Iv, Math.max(lengths.lengthY, lengths.lengthZ), 'weakest');
  } else {
    y = flexural('y', Iy, lengths.lengthY, 'major');
    z = flexural('z', Iz, lengths.lengthZ, 'minor');
  }
  let least = Math.min(y, z);
  const { outline } = section.shape;
  if (outline === 'I') {
    const inner = sheet?.scope('Torsional buckling');
    const NbRd = torsionalBuckling(annex, section, lengths.lengthT, E, G, fy, inner, A);
    row({ id: 'torsional-buckling', name: 'Torsional buckling' }, EN1993_1_1('6.3.1.4'), 'instability', NbRd, 'N_bRd', inner);
    least = Math.min(least, NbRd);
  } else if (outline === 'channel' || outline === 'tee' || outline === 'angle' || outline === 'unequalI') {
    const inner = sheet?.scope('Torsional-flexural buckling');
    const NbRd = torsionalFlexuralBuckling(
      annex,
      section,
      { y: lengths.lengthY, z: lengths.lengthZ, T: lengths.lengthT },
      E,
      G,
      fy,
      inner,
      A,
    );
    row(
      { id: 'torsional-flexural-buckling', name: 'Torsional-flexural buckling' },
      EN1993_1_1('6.3.1.4'),
      'instability',
      NbRd,
      'N_bRd',
      inner,
    );
    least = Math.min(least, NbRd);
  }
  if (atFibre < A * (1 - 1e-9)) {
    const squashed = sheet?.scope('Compression beside the shift of the centroid');
    squashed?.given('A_N', atFibre, 'area', 'area at the most pressed fibre, from above', 'EN 1993-1-1 (6.44)');
    squashed?.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
    const NeRd = (atFibre * fy) / annex.gammaM0;
    squashed?.step('N_eRd', 'A_N * f_y / gamma_M0', { A_N: atFibre, f_y: fy, gamma_M0: annex.gammaM0 }, NeRd, 'force', '(6.44)');
    row(
      { id: 'compression-beside-the-shift-of-the-centroid', name: 'Compression beside the shift of the centroid' },
      EN1993_1_1('6.2.9.3'),
      'ductile',
      NeRd,
      'N_eRd',
      squashed,
    );
    const bent = sheet?.scope('Buckling beside the shift of the centroid');
    const [I, L] = isAngle
      ? [section.properties.Iv, Math.max(lengths.lengthY, lengths.lengthZ)]
      : outline === 'channel'
        ? [Iz, lengths.lengthZ]
        : [Iy, lengths.lengthY];
    least = bucklingBesideShift(annex, { A, atFibre, I, L, E, fy, Nb: least }, bent);
    row(
      { id: 'buckling-beside-the-shift-of-the-centroid', name: 'Buckling beside the shift of the centroid' },
      EN1993_1_1('6.3.1.1(2)'),
      'instability',
      least,
      'N_R',
      bent,
    );
  }
  return { checks, A, resistances: { y, z, least } };
}

interface ShiftedStrut {
  /** Effective area and that at the most pressed fibre, mm2. */
  readonly A: number;
  readonly atFibre: number;
  /** Gross second moment, mm4, and buckling length, mm, of bending by the shift; of an angle those of its weakest axis. */
  readonly I: number;
  readonly L: number;
  readonly E: number;
  readonly fy: number;
  /** Least buckling resistance without the shift, N. */
  readonly Nb: number;
}

/**
 * Buckling resistance of a class 4 strut whose effective centroid is not that of the gross section, N, EN 1993-1-1 6.3.1.1(2). The moment N e_N is the same all along
 * and grows by the secant of elastic second-order theory; it is added to the share of the buckling resistance, which has the member's imperfections.
 */
export function bucklingBesideShift(annex: SteelAnnex, { A, atFibre, I, L, E, fy, Nb }: ShiftedStrut, sheet?: Sheet): number {
  const Ncr = (Math.PI ** 2 * E * I) / L ** 2;
  const share = (N: number) => N / Nb + (N * (1 / atFibre - 1 / A) * annex.gammaM1) / (fy * Math.cos((Math.PI / 2) * Math.sqrt(N / Ncr)));
  let [low, high] = [0, Math.min(Nb, Ncr)];
  // it grows with N from nothing to 1 or beyond
  for (let i = 0; i < 200 && high - low > 1e-13 * high; i += 1) {
    const middle = (low + high) / 2;
    if (share(middle) < 1) low = middle;
    else high = middle;
  }
  if (sheet) {
    sheet.note(
      'The factors of 6.3.3 are written for doubly symmetric shapes. Here the moment of the shift, the same all along the length, grows by the secant of elastic theory and is added to the share of the least buckling resistance: on the safe side. The force is taken to act at the centroid of the gross section.',
    );
    sheet.given('N_bRd', Nb, 'force', 'least buckling resistance, from above');
    sheet.given('A_N', atFibre, 'area', 'area at the most pressed fibre, from above', 'EN 1993-1-1 (6.44)');
    sheet.given('I', I, 'secondMoment', 'gross, about the axis that the shift bends');
    sheet.given('L_cr', L, 'length', 'buckling length about that axis');
    sheet.given('gamma_M1', annex.gammaM1, 'ratio', 'partial factor', annex.partialFactors);
    sheet.step('N_cr', 'pi^2 * E * I / L_cr^2', { E, I, L_cr: L }, Ncr, 'force', '6.3.1.2(1)', 'elastic critical force');
    sheet.given('N_R', low, 'force', 'force with which the equation below is fulfilled', '6.3.1.1(2)');
    sheet.branch(
      'abs(N_R / N_bRd + N_R * (1 / A_N - 1 / A) * gamma_M1 / (f_y * cos(pi / 2 * sqrt(N_R / N_cr))) - 1) <= 0.000001',
      { N_R: low, N_bRd: Nb, A_N: atFibre, A, gamma_M1: annex.gammaM1, f_y: fy, N_cr: Ncr },
      true,
      '6.3.1.1(2)',
      'buckling and the moment of the shift together are used in full',
    );
  }
  return low;
}

/**
 * Steel column in simple construction: compression or tension, and the nominal moments of beams that bear on it off its axis.
 * EN 1993-1-1 6.2.3, 6.2.4, 6.3.1; the interaction of the UK's simple construction. axial: N, compression positive.
 */
export function steelColumn(annex: SteelAnnex, input: SteelColumnInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, axial, combination } = input;
  requireBasis(input.basis, philosophy.basis);
  recordShape(section, sheet);
  const fy = sectionYield(section, grade, sheet);
  if (axial < 0) {
    const checks = tensionChecks(annex, section, grade, fy, -axial, null, combination, sheet?.scope('Tension'));
    return input.moments ? [...checks, ...nominalMoments(annex, { ...input, fy, axial: 0, Nb: null, tension: -axial }, sheet)] : checks;
  }
  const pressed = compression(annex, { ...input, fy }, sheet);
  if (!input.moments) return [...pressed.checks];
  return [...pressed.checks, ...nominalMoments(annex, { ...input, fy, Nb: pressed.resistances?.least ?? null, tension: 0 }, sheet)];
}
