import { BS5950 } from './documents';
import { compare, unproven, type Check, type CheckName, type Sheet, type Clause } from '../../sheet';
import { requireBasis, type Philosophy, type SteelColumnInput } from '../standard';
import { bendingStrength } from './beam';
import { leastCapacity, unity } from './ratios';
import { classOf, designStrength, E } from './section';
import { britishStrut } from './strut';

/** Tension on the gross section, BS 5950-1 4.6.1, without holes. axial: N, tension positive. */
export function tension(
  input: Pick<SteelColumnInput, 'section' | 'grade' | 'combination'>,
  force: number,
  netArea: number | null,
  sheet?: Sheet,
): Check {
  const { section, grade, combination } = input;
  const py = designStrength(section, grade, sheet);
  const { A } = section.properties;
  // Ae of table 4: Ke is 1.2 for S275 and 1.1 for S355, at most the gross area
  const Ke = grade.id.startsWith('S275') ? 1.2 : grade.id.startsWith('S355') ? 1.1 : Math.max(1, (0.83 * grade.fu) / py);
  const Ae = netArea === null ? A : Math.min(A, Ke * netArea);
  const Pt = py * Ae;
  if (sheet) {
    sheet.given('F_t', force, 'force', `tension, ${combination}`);
    sheet.given('A_g', A, 'area', 'gross area', section.designation);
    if (netArea === null) sheet.step('A_e', 'A_g', { A_g: A }, A, 'area', '3.4.3', 'no holes');
    else {
      sheet.given('a_net', netArea, 'area', 'net area, as typed');
      sheet.given('K_e', Ke, 'ratio', `${grade.id}`, 'BS 5950-1 3.4.3');
      sheet.step('A_e', 'min(A_g, K_e * a_net)', { A_g: A, K_e: Ke, a_net: netArea }, Ae, 'area', '3.4.3', 'effective area');
    }
    sheet.step('P_t', 'p_y * A_e', { p_y: py, A_e: Ae }, Pt, 'force', '4.6.1', 'tension capacity');
  }
  return compare(
    {
      id: 'tension',
      name: 'Tension',
      clause: BS5950('4.6.1'),
      mode: 'ductile',
      kind: 'force',
      demand: force,
      demandSymbol: 'F_t',
      capacity: Pt,
      capacitySymbol: 'P_t',
      combination,
    },
    sheet,
  );
}

/** Column in a simple structure, BS 5950-1 4.7.7: compression with the nominal moments of 4.7.6. Axial: N, compression positive; moments Nmm. */
export function steelColumn(input: SteelColumnInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, axial, combination } = input;
  requireBasis(input.basis, philosophy.basis);
  const { major = 0, minor = 0 } = input.moments ?? {};
  const isBent = major !== 0 || minor !== 0;
  if (axial <= 0) {
    const checks = axial < 0 ? [tension(input, -axial, null, sheet?.scope('Tension'))] : [];
    if (isBent)
      checks.push(
        unproven(
          { id: 'axial-force-and-nominal-moments', name: 'Axial force and nominal moments' },
          BS5950('4.7.7'),
          'ductile',
          'nominal moments in a column that is lifted are not written',
          sheet,
        ),
      );
    return checks;
  }
  const checks = britishStrut({ section, grade, combination, axial, lengthX: input.lengthY, lengthY: input.lengthZ }, sheet);
  if (!isBent) return checks;
  const name = { id: 'compression-and-nominal-moments', name: 'Compression and nominal moments' } as const;
  const clause = BS5950('4.7.7');
  if (section.shape.outline !== 'I') return [...checks, ...hollowNominal(input, checks, name, clause, sheet?.scope(name.name))];
  const inner = sheet?.scope(name.name);
  const py = designStrength(section, grade, inner);
  const found = classOf(section, py, null);
  const Pc = leastCapacity(checks);
  if (Pc === null || found === 'slender')
    return [...checks, unproven(name, clause, 'instability', `${section.designation} is slender`, inner)];
  const { Wply: S, Wely: Z, Welz: Zy, iz: ry } = section.properties;
  // 4.7.7: lambda_LT = 0.5 L / ry, L between floors
  const lambda = (0.5 * input.lengthT) / ry;
  const { Mbs } = simpleBuckling(lambda, py, found === 'semi-compact' ? Z : S, input.lengthT, ry, inner);
  const My = py * Zy;
  const sum = axial / Pc + Math.abs(major) / Mbs + Math.abs(minor) / My;
  if (inner) {
    inner.given('F_c', axial, 'force', `compression, ${combination}`);
    inner.given('P_c', Pc, 'force', 'the lesser compression resistance, from above');
    inner.given('M_x', Math.abs(major), 'moment', 'nominal, major axis');
    inner.given('M_y', Math.abs(minor), 'moment', 'nominal, minor axis');
    inner.given('Z_y', Zy, 'sectionModulus', 'elastic modulus, minor axis', section.designation);
    inner.step(
      'R',
      'F_c / P_c + M_x / M_bs + M_y / (p_y * Z_y)',
      { F_c: axial, P_c: Pc, M_x: Math.abs(major), M_bs: Mbs, M_y: Math.abs(minor), p_y: py, Z_y: Zy },
      sum,
      'ratio',
      '4.7.7',
    );
  }
  return [...checks, unity(name, clause, sum, combination, inner)];
}

/** Nominal moments in a hollow column: 4.7.7 with the moment capacities about both axes, which do not buckle sideways. */
function hollowNominal(input: SteelColumnInput, strut: readonly Check[], name: CheckName, clause: Clause, sheet?: Sheet): Check[] {
  const { section, grade, axial, combination } = input;
  const { major, minor } = input.moments!;
  const Pc = leastCapacity(strut);
  if (Pc === null) return [unproven(name, clause, 'instability', 'compression alone is not proved', sheet)];
  const py = designStrength(section, grade, sheet);
  const { Wely: Zx, Welz: Zy } = section.properties;
  const sum = axial / Pc + Math.abs(major) / (py * Zx) + Math.abs(minor) / (py * Zy);
  if (sheet) {
    sheet.given('F_c', axial, 'force', `compression, ${combination}`);
    sheet.given('P_c', Pc, 'force', 'the lesser compression resistance, from above');
    sheet.given('M_x', Math.abs(major), 'moment', 'nominal, major axis');
    sheet.given('M_y', Math.abs(minor), 'moment', 'nominal, minor axis');
    sheet.given('Z_x', Zx, 'sectionModulus', 'elastic modulus', section.designation);
    sheet.given('Z_y', Zy, 'sectionModulus', 'elastic modulus', section.designation);
    sheet.step(
      'R',
      'F_c / P_c + M_x / (p_y * Z_x) + M_y / (p_y * Z_y)',
      { F_c: axial, P_c: Pc, M_x: Math.abs(major), M_y: Math.abs(minor), p_y: py, Z_x: Zx, Z_y: Zy },
      sum,
      'ratio',
      '4.7.7',
      'elastic capacities: conservative',
    );
  }
  return [unity(name, clause, sum, combination, sheet)];
}

/** Mbs of 4.7.7, Nmm. */
function simpleBuckling(lambda: number, py: number, W: number, L: number, ry: number, sheet?: Sheet): { Mbs: number } {
  sheet?.given('E', E, 'stress', "Young's modulus", '3.1.3');
  sheet?.given('L', L, 'length', 'between floors');
  sheet?.given('r_y', ry, 'sectionLength', 'radius of gyration, minor axis');
  sheet?.step('lambda_LT', '0.5 * L / r_y', { L, r_y: ry }, lambda, 'ratio', '4.7.7', 'equivalent slenderness');
  const pb = bendingStrength(lambda, py, sheet);
  sheet?.given('W_x', W, 'sectionModulus', 'modulus of its class');
  const Mbs = pb * W;
  sheet?.step('M_bs', 'p_b * W_x', { p_b: pb, W_x: W }, Mbs, 'moment', '4.7.7');
  return { Mbs };
}
