import { compare, unproven, verdictOf, type Check, type Sheet } from '../../../sheet';
import { type SteelGrade } from '../../../material';
import type { Section } from '../../../section';
import { requireBasis, type Philosophy, type SteelColumnInput } from '../../standard';
import { GAMMA_M0 } from './bending';
import { bucklingCurve, flexuralBuckling, torsionalBuckling, torsionalFlexuralBuckling } from './buckling';
import { classify, recordShape, sectionYield } from './classification';
import { effectiveArea, hasEffectiveSection } from './effective';
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

/** Compression of the section and its buckling, EN 1993-1-1 6.2.4, 6.3.1: flexural, torsional, torsional-flexural; class 4 of I and box. */
export function compression(input: CompressionInput, sheet?: Sheet): Compression {
  return sheet ? compressionOnSheet(input, sheet) : compressionAgain(input);
}

/** A strut's resistances as they were last asked for: they do not depend on the combination. */
interface Strut {
  readonly grade: SteelGrade;
  readonly fy: number;
  readonly lengthY: number;
  readonly lengthZ: number;
  readonly lengthT: number;
  readonly found: Compression;
}
const struts = new WeakMap<Section, Strut>();

function compressionAgain(input: CompressionInput): Compression {
  const { section, grade, fy, lengthY, lengthZ, lengthT, axial, combination } = input;
  let last = struts.get(section);
  if (!last || last.grade !== grade || last.fy !== fy || last.lengthY !== lengthY || last.lengthZ !== lengthZ || last.lengthT !== lengthT) {
    last = { grade, fy, lengthY, lengthZ, lengthT, found: compressionOnSheet(input) };
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
    const { name, clause, mode, kind, capacity, reason } = check;
    const utilisation = axial / capacity;
    checks.push({ name, clause, mode, kind, demand: axial, capacity, utilisation, verdict: verdictOf(utilisation), reason, combination });
  }
  return { checks, A: found.A, resistances: found.resistances };
}

function compressionOnSheet({ section, grade, fy, axial, combination, ...lengths }: CompressionInput, sheet?: Sheet): Compression {
  const sectionClass = classify(section, fy, 'compression', sheet?.scope('Class in compression'));
  if (sectionClass === 4 && !hasEffectiveSection(section))
    return {
      A: null,
      resistances: null,
      checks: [
        unproven(
          'Flexural buckling',
          'EN 1993-1-1 6.3.1',
          'instability',
          `${section.designation} is of class 4 in compression in ${grade.id}: its effective area would move the centroid, which is not written`,
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
  if (sectionClass === 4) {
    A = effectiveArea(section, fy, sheet?.scope('Effective area'));
    // what follows is written with the effective area in the place of A
    sheet?.given('A', A, 'area', 'effective area, from above', 'EN 1993-1-1 (6.11), (6.48)');
  }
  const row = (name: string, clause: string, mode: Check['mode'], capacity: number, capacitySymbol: string, inner?: Sheet) =>
    checks.push(
      compare({ name, clause, mode, kind: 'force', demand: axial, demandSymbol: 'N_Ed', capacity, capacitySymbol, combination }, inner),
    );

  const squash = sheet?.scope('Cross-section');
  squash?.given('gamma_M0', GAMMA_M0, 'ratio', 'partial factor', 'EN 1993-1-1 NA.2.15');
  const NcRd = (A * fy) / GAMMA_M0;
  squash?.step('N_cRd', 'A * f_y / gamma_M0', { A, f_y: fy, gamma_M0: GAMMA_M0 }, NcRd, 'force', sectionClass === 4 ? '(6.11)' : '(6.10)');
  row('Compression of the section', 'EN 1993-1-1 6.2.4', 'ductile', NcRd, 'N_cRd', squash);

  const flexural = (axis: 'y' | 'z', I: number, Lcr: number, title: string) => {
    const inner = sheet?.scope(title);
    const NbRd = flexuralBuckling({ A, I, Lcr, E, fy, curve: bucklingCurve(section, axis) }, inner);
    row(title, 'EN 1993-1-1 6.3.1', 'instability', NbRd, 'N_bRd', inner);
    return NbRd;
  };
  const isAngle = section.shape.outline === 'angle';
  let y: number;
  let z: number;
  if (isAngle) {
    // an angle bends about its own weakest axis, whatever it is held by
    y = z = flexural('z', section.properties.Iv, Math.max(lengths.lengthY, lengths.lengthZ), 'Flexural buckling, weakest axis');
  } else {
    y = flexural('y', Iy, lengths.lengthY, 'Flexural buckling, major axis');
    z = flexural('z', Iz, lengths.lengthZ, 'Flexural buckling, minor axis');
  }
  let least = Math.min(y, z);
  const { outline } = section.shape;
  if (outline === 'I') {
    const inner = sheet?.scope('Torsional buckling');
    const NbRd = torsionalBuckling(section, lengths.lengthT, E, G, fy, inner, A);
    row('Torsional buckling', 'EN 1993-1-1 6.3.1.4', 'instability', NbRd, 'N_bRd', inner);
    least = Math.min(least, NbRd);
  } else if (outline === 'channel' || outline === 'tee' || outline === 'angle' || outline === 'unequalI') {
    const inner = sheet?.scope('Torsional-flexural buckling');
    const NbRd = torsionalFlexuralBuckling(section, { y: lengths.lengthY, z: lengths.lengthZ, T: lengths.lengthT }, E, G, fy, inner);
    row('Torsional-flexural buckling', 'EN 1993-1-1 6.3.1.4', 'instability', NbRd, 'N_bRd', inner);
    least = Math.min(least, NbRd);
  }
  return { checks, A, resistances: { y, z, least } };
}

/**
 * Steel column in simple construction: compression or tension, and the nominal moments of beams that bear on it off its axis.
 * EN 1993-1-1 6.2.3, 6.2.4, 6.3.1; the interaction of the UK's simple construction. axial: N, compression positive.
 */
export function steelColumn(input: SteelColumnInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, axial, combination } = input;
  requireBasis(input.basis, philosophy.basis);
  recordShape(section, sheet);
  const fy = sectionYield(section, grade, sheet);
  if (axial < 0) {
    const checks = tensionChecks(section, grade, fy, -axial, null, combination, sheet?.scope('Tension'));
    return input.moments ? [...checks, ...nominalMoments({ ...input, fy, axial: 0, Nb: null, tension: -axial }, sheet)] : checks;
  }
  const pressed = compression({ ...input, fy }, sheet);
  if (!input.moments) return [...pressed.checks];
  return [...pressed.checks, ...nominalMoments({ ...input, fy, Nb: pressed.resistances?.least ?? null, tension: 0 }, sheet)];
}
