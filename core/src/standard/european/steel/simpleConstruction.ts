import type { SteelAnnex } from '../annex';
import { EN1993_1_1 } from '../documents';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import type { SteelColumnInput } from '../../standard';
import { bendingModulus, bendingResistance } from './bending';
import { classify, classifyBesideCompression } from './classification';
import { segmentBuckling } from './lateralTorsional';
import { minorBendingResistance } from './minor';

interface NominalInput extends SteelColumnInput {
  readonly fy: number;
  /** The least buckling resistance in compression, N; null when it is not proved, or when the column is in tension. */
  readonly Nb: number | null;
  /** Tension, N, as a magnitude; 0 in compression. */
  readonly tension: number;
}

const CLAUSE = EN1993_1_1('6.3.3; simple construction (SN048)');
const NAME = { id: 'axial-force-and-nominal-moments', name: 'Axial force and nominal moments' } as const;

/**
 * Compression with the nominal moments of beams that bear on a column off its axis, for I, H and hollow shapes in simple construction:
 * N/Nb + My/Mb + 1.5 Mz/Mcz <= 1 (SN048, a simplification of EN 1993-1-1 6.3.3 with Annex B). Moments: Nmm, at the end of the length
 * where they are largest and falling to nothing or less at the other.
 */
export function nominalMoments(annex: SteelAnnex, input: NominalInput, sheet?: Sheet): Check[] {
  const { section, grade, fy, axial, combination, Nb } = input;
  const { major, minor } = input.moments!;
  if (major === 0 && minor === 0) return [];
  const { outline } = section.shape;
  if (outline !== 'I' && outline !== 'box' && outline !== 'tube')
    return [unproven(NAME, CLAUSE, 'instability', 'compression with bending is written for I, H and hollow shapes only (6.3.3(1))', sheet)];
  if (Nb === null && axial > 0) return [unproven(NAME, CLAUSE, 'instability', 'compression alone is not proved', sheet)];
  const inner = sheet?.scope('Nominal moments of simple construction');
  const sectionClass = classifyBesideCompression(section, fy, axial, axial > 0 ? inner?.scope('Class of the section') : undefined);
  const minorClass = classify(section, fy, outline === 'I' ? 'flange' : 'compression');
  const Mc = minorBendingResistance(annex, section, minorClass, fy, minor === 0 ? undefined : inner);
  // beside compression that buckles the member the moment about the minor axis is divided by gamma_M1 too
  const Mz = Mc === null ? null : Math.min(Mc, (Mc * annex.gammaM0) / annex.gammaM1);
  if (sectionClass === 4 || (minor !== 0 && Mz === null))
    return [unproven(NAME, CLAUSE, 'instability', `${section.designation} is of class 4 beside this compression`, inner)];
  const W = bendingModulus(section, sectionClass, fy, inner);
  const McRd = bendingResistance(annex, W, fy, inner);
  // the moment falls from its end to nothing
  const segment = {
    from: 0,
    to: input.lengthT,
    peak: major,
    quarters: [0.75 * major, 0.5 * major, 0.25 * major] as const,
    freeTip: false,
    tensionFlangeHeld: false,
  };
  const buckling =
    major === 0 ? null : segmentBuckling(annex, section, grade, segment, W, fy, false, inner?.scope('Lateral-torsional buckling'));
  const Mb = buckling && 'MbRd' in buckling ? Math.min(McRd, buckling.MbRd) : McRd;
  const compressed = axial > 0 && Nb !== null ? axial / Nb : 0;
  const bent = Math.abs(major) / Mb;
  const across = Mz === null ? 0 : (1.5 * Math.abs(minor)) / Mz;
  const Npl = (section.properties.A * fy) / annex.gammaM0;
  const drawn = input.tension / Npl;
  const sum = compressed + drawn + bent + across;
  const terms: string[] = [];
  const inputs: Record<string, number> = {};
  if (inner) {
    if (compressed > 0) {
      inner.given('N_c', axial, 'force', `design compression, ${combination}`);
      inner.given('N_bmin', Nb!, 'force', 'least buckling resistance, from above');
      terms.push('N_c / N_bmin');
      Object.assign(inputs, { N_c: axial, N_bmin: Nb! });
    }
    if (drawn > 0) {
      inner.given('N_t', input.tension, 'force', `design tension, ${combination}`);
      inner.given('N_plRd', Npl, 'force', 'yielding of the gross section, from above');
      terms.push('N_t / N_plRd');
      Object.assign(inputs, { N_t: input.tension, N_plRd: Npl });
    }
    if (major !== 0) {
      inner.given('M_y', Math.abs(major), 'moment', 'nominal moment, major axis');
      inner.given('M_b', Mb, 'moment', 'buckling resistance moment, from above, at most that of the section');
      terms.push('M_y / M_b');
      Object.assign(inputs, { M_y: Math.abs(major), M_b: Mb });
    }
    if (minor !== 0) {
      inner.given('M_z', Math.abs(minor), 'moment', 'nominal moment, minor axis');
      const isDearer = Mz! < Mc!;
      if (isDearer) {
        const factors = { M_czRd: Mc!, gamma_M0: annex.gammaM0, gamma_M1: annex.gammaM1 };
        inner.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
        inner.given('gamma_M1', annex.gammaM1, 'ratio', 'partial factor', annex.partialFactors);
        inner.step('M_czb', 'M_czRd * gamma_M0 / gamma_M1', factors, Mz!, 'moment', CLAUSE, 'beside buckling');
      }
      terms.push(`1.5 * M_z / ${isDearer ? 'M_czb' : 'M_czRd'}`);
      Object.assign(inputs, { M_z: Math.abs(minor), [isDearer ? 'M_czb' : 'M_czRd']: Mz! });
    }
    inner.step('R', terms.join(' + '), inputs, sum, 'ratio', CLAUSE, 'sum of the parts');
    inner.given('R_max', 1, 'ratio', 'at most');
  }
  return [
    compare(
      {
        id: NAME.id,
        name: NAME.name,
        clause: CLAUSE,
        mode: 'instability',
        kind: 'ratio',
        demand: sum,
        demandSymbol: 'R',
        capacity: 1,
        capacitySymbol: 'R_max',
        combination,
      },
      inner,
    ),
  ];
}
