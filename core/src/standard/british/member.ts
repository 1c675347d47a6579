import { BS5950 } from './documents';
import { compare, unproven, type Check, type Sheet } from '../../sheet';
import { momentAt, requireBasis, type MomentShape, type Philosophy, type SteelBeamInput, type SteelMemberInput } from '../standard';
import { bucklingMoment, shearAndBending } from './beam';
import { tension } from './column';
import { worstSegment } from './lateral';
import { leastCapacity, unity } from './ratios';
import { classOf, designStrength, E, rolledI, type BritishClass } from './section';
import { britishStrut } from './strut';

/** Steel beam about its major axis, BS 5950-1 4.2, 4.3; effects factored by table 2. @throws OutsideScope for other shapes than rolled I and H */
export function steelBeam(input: SteelBeamInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, actions } = input;
  requireBasis(actions.basis, philosophy.basis);
  const { combination, moment, shear } = actions;
  const { checks, found, py } = shearAndBending({ section, grade, combination, moment, shear }, sheet);
  if (found === null) return checks;
  const lateral = worstSegment(input, found, py, sheet?.scope('Lateral-torsional buckling'));
  return lateral ? [...checks, lateral] : checks;
}

/** Equivalent uniform moment factor for flexural buckling, BS 5950-1 table 26: signed quarter moments, not below 0.8 M24 / Mmax. */
export function flexuralMomentFactor(shape: MomentShape, symbol: string, sheet?: Sheet): number {
  const sign = Math.sign(shape.peak) || 1;
  const [M2, M3, M4] = [0.25, 0.5, 0.75].map((x) => sign * momentAt(shape, x)) as [number, number, number];
  const M = Math.abs(shape.peak);
  // the largest in the middle half, looked for at its ends, its middle, and where the parabola turns
  const a = 2 * shape.start - 4 * shape.middle + 2 * shape.end;
  const turn = a === 0 ? 0.5 : Math.min(0.75, Math.max(0.25, -(-3 * shape.start + 4 * shape.middle - shape.end) / (2 * a)));
  const M24 = Math.max(...[0.25, 0.5, 0.75, turn].map((x) => Math.abs(momentAt(shape, x))));
  const value = Math.max(0.2 + (0.1 * M2 + 0.6 * M3 + 0.1 * M4) / M, (0.8 * M24) / M);
  if (sheet) {
    const n = (name: string) => `${name}_${symbol}`;
    sheet.given(n('M2'), M2, 'moment', 'at a quarter, positive as the largest');
    sheet.given(n('M3'), M3, 'moment', 'at the middle');
    sheet.given(n('M4'), M4, 'moment', 'at three quarters');
    sheet.given(n('M24'), M24, 'moment', 'largest in the middle half');
    sheet.given(n('Mmax'), M, 'moment', 'largest');
    sheet.step(
      n('m'),
      `max(0.2 + (0.1 * ${n('M2')} + 0.6 * ${n('M3')} + 0.1 * ${n('M4')}) / ${n('Mmax')}, 0.8 * ${n('M24')} / ${n('Mmax')})`,
      { [n('M2')]: M2, [n('M3')]: M3, [n('M4')]: M4, [n('M24')]: M24, [n('Mmax')]: M },
      value,
      'ratio',
      'table 26',
    );
  }
  return value;
}

/** Any rolled I or H under one set of forces and moments, BS 5950-1 4.6 to 4.8. Axial: compression positive. @throws OutsideScope for other shapes */
export function steelMember(input: SteelMemberInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, actions } = input;
  requireBasis(actions.basis, philosophy.basis);
  const { axial, major, minor, shear, shearAcross, combination } = actions;
  const checks: Check[] = [];
  rolledI(section, sheet);
  const py = designStrength(section, grade, sheet);
  sheet?.given('E', E, 'stress', "Young's modulus", '3.1.3');
  const strut =
    axial > 0
      ? britishStrut({ section, grade, combination, axial, lengthX: input.lengthY, lengthY: input.lengthZ }, sheet?.scope('Compression'))
      : [];
  checks.push(...strut);
  let Pt: number | null = null;
  if (axial < 0) {
    const found = tension({ section, grade, combination }, -axial, input.netArea, sheet?.scope('Tension'));
    checks.push(found);
    Pt = found.capacity;
  }
  if (actions.torsion)
    checks.push(unproven({ id: 'torsion', name: 'Torsion' }, BS5950(''), 'ductile', 'torsion is not written for this standard', sheet));
  const isBent = major.peak !== 0 || shear !== 0;
  if (!isBent && minor.peak === 0 && shearAcross === 0) return checks;
  const inBending = sheet?.scope('Bending about the major axis');
  const bending = shearAndBending({ section, grade, combination, moment: major.peak, shear }, inBending);
  if (isBent) checks.push(...bending.checks);
  const { found } = bending;
  if (found === null) return isBent ? checks : [...checks, ...bending.checks];
  const lateral = isBent
    ? worstSegment(
        { section, grade, actions: { basis: actions.basis, combination, moment: major.peak, shear, segments: actions.segments } },
        found,
        py,
        sheet?.scope('Lateral-torsional buckling'),
      )
    : null;
  if (lateral) checks.push(lateral);
  const { A, Wplz: Sy, Welz: Zy, Wely: Zx } = section.properties;
  const across = minor.peak !== 0 || shearAcross !== 0 ? sheet?.scope('Bending about the minor axis') : undefined;
  const isPlastic = found === 'plastic' || found === 'compact';
  const Mcy = Math.min(py * (isPlastic ? Sy : Zy), 1.2 * py * Zy);
  if (minor.peak !== 0) {
    across?.given('M_y', Math.abs(minor.peak), 'moment', `largest moment, ${combination}`);
    across?.given('S_y', Sy, 'sectionModulus', 'plastic modulus', section.designation);
    across?.given('Z_y', Zy, 'sectionModulus', 'elastic modulus', section.designation);
    across?.step(
      'M_cy',
      isPlastic ? 'min(p_y * S_y, 1.2 * p_y * Z_y)' : 'min(p_y * Z_y, 1.2 * p_y * Z_y)',
      isPlastic ? { p_y: py, S_y: Sy, Z_y: Zy } : { p_y: py, Z_y: Zy },
      Mcy,
      'moment',
      '4.2.5.1',
      'moment capacity',
    );
    checks.push(
      compare(
        {
          id: 'bending-minor-axis',
          name: 'Bending, minor axis',
          clause: BS5950('4.2.5'),
          mode: 'ductile',
          kind: 'moment',
          demand: Math.abs(minor.peak),
          demandSymbol: 'M_y',
          capacity: Mcy,
          capacitySymbol: 'M_cy',
          combination,
        },
        across,
      ),
    );
  }
  if (shearAcross !== 0) {
    const { b: B, tf: T } = section.shape as { b: number; tf: number };
    const Pvy = 0.6 * py * 0.9 * 2 * B * T;
    across?.given('F_vy', Math.abs(shearAcross), 'force', `shear across, ${combination}`);
    across?.given('B', B, 'sectionLength', 'breadth', section.designation);
    across?.given('T', T, 'sectionLength', 'flange thickness', section.designation);
    across?.step('P_vy', '0.6 * p_y * 0.9 * 2 * B * T', { p_y: py, B, T }, Pvy, 'force', '4.2.3', 'shear capacity of the flanges');
    checks.push(
      compare(
        {
          id: 'shear-minor-axis',
          name: 'Shear, minor axis',
          clause: BS5950('4.2.3'),
          mode: 'ductile',
          kind: 'force',
          demand: Math.abs(shearAcross),
          demandSymbol: 'F_vy',
          capacity: Pvy,
          capacitySymbol: 'P_vy',
          combination,
        },
        across,
      ),
    );
    if (Math.abs(shearAcross) > 0.6 * Pvy && minor.peak !== 0)
      checks.push(
        unproven(
          { id: 'bending-beside-shear-minor-axis', name: 'Bending beside shear, minor axis' },
          BS5950('4.2.6'),
          'ductile',
          'more than 0.6 of the shear capacity across is used: not written',
          across,
        ),
      );
  }
  const kinds = Number(axial !== 0) + Number(major.peak !== 0) + Number(minor.peak !== 0);
  if (kinds < 2) return checks;
  const [Mx, My] = [Math.abs(major.peak), Math.abs(minor.peak)];
  const together = sheet?.scope('Axial force and bending, capacity of the section');
  const N = Math.abs(axial);
  const whole = classOf(section, py, axial > 0 ? axial : null);
  if (axial > 0 && whole === 'slender')
    return [
      ...checks,
      unproven(
        { id: 'compression-and-bending', name: 'Compression and bending' },
        BS5950('4.8.3'),
        'instability',
        `${section.designation} is slender beside this compression`,
        together,
      ),
    ];
  const Pz = Pt ?? A * py;
  const local = N / Pz + Mx / bending.capacity + My / Mcy;
  if (together) {
    if (Pt === null) {
      together.given('A_g', A, 'area', 'gross area', section.designation);
      together.step('P_z', 'A_g * p_y', { A_g: A, p_y: py }, Pz, 'force', '4.8.3.2');
    } else together.given('P_z', Pt, 'force', 'tension capacity, from above');
    together.given('F', N, 'force', `${axial > 0 ? 'compression' : 'tension'}, ${combination}`);
    together.given('M_x', Mx, 'moment', 'major axis');
    together.given('M_y', My, 'moment', 'minor axis');
    together.given('M_cx', bending.capacity, 'moment', 'moment capacity, major axis');
    together.given('M_cy', Mcy, 'moment', 'moment capacity, minor axis');
    together.step(
      'R',
      'F / P_z + M_x / M_cx + M_y / M_cy',
      { F: N, P_z: Pz, M_x: Mx, M_cx: bending.capacity, M_y: My, M_cy: Mcy },
      local,
      'ratio',
      axial > 0 ? '4.8.3.2' : '4.8.2.2',
    );
  }
  checks.push(
    unity(
      { id: 'axial-force-and-bending-section', name: 'Axial force and bending, section' },
      axial > 0 ? BS5950('4.8.3.2') : BS5950('4.8.2.2'),
      local,
      combination,
      together,
    ),
  );
  if (axial > 0)
    checks.push(memberBuckling(input, strut, found, py, Zx, Zy, sheet?.scope('Compression and bending, buckling of the member')));
  return checks;
}

/** Buckling under compression and moments, BS 5950-1 4.8.3.3.1, the simplified method: the worse of its two expressions. */
function memberBuckling(
  { section, actions, lengthT }: SteelMemberInput,
  strut: readonly Check[],
  found: Exclude<BritishClass, 'slender'>,
  py: number,
  Zx: number,
  Zy: number,
  sheet?: Sheet,
): Check {
  const { axial, major, minor, segments, combination } = actions;
  const name = { id: 'compression-and-bending-buckling', name: 'Compression and bending, buckling' } as const;
  const clause = BS5950('4.8.3.3.1');
  const Pc = leastCapacity(strut);
  const Pcy = strut.find(({ part }) => part === 'minor')?.capacity ?? null;
  if (Pc === null || Pcy === null) return unproven(name, clause, 'instability', 'compression alone is not proved', sheet);
  const mx = major.peak === 0 ? 1 : flexuralMomentFactor(major, 'x', sheet);
  const my = minor.peak === 0 ? 1 : flexuralMomentFactor(minor, 'y', sheet);
  // m_LT is 1 here: the moment of the whole length against the resistance of its longest segment
  const LE = segments.reduce((most, { from, to }) => Math.max(most, to - from), 0);
  const buckling =
    LE > 0
      ? bucklingMoment(section, found, LE, py, sheet?.scope('Resistance of the segment'))
      : {
          pb: py,
          W: Math.min(found === 'semi-compact' ? section.properties.Wely : section.properties.Wply, 1.2 * section.properties.Wely),
        };
  const Mb = buckling.pb * buckling.W;
  const [Mx, My] = [Math.abs(major.peak), Math.abs(minor.peak)];
  const first = axial / Pc + (mx * Mx) / (py * Zx) + (my * My) / (py * Zy);
  const second = axial / Pcy + Mx / Mb + (my * My) / (py * Zy);
  if (sheet) {
    sheet.given('L_T', lengthT, 'length', 'between restraints against twisting');
    sheet.given('F_c', axial, 'force', `compression, ${combination}`);
    sheet.given('P_c', Pc, 'force', 'the lesser compression resistance, from above');
    sheet.given('P_cy', Pcy, 'force', 'compression resistance, minor axis, from above');
    sheet.given('M_x', Mx, 'moment', 'major axis');
    sheet.given('M_y', My, 'moment', 'minor axis');
    sheet.given('Z_x', Zx, 'sectionModulus', 'elastic modulus', section.designation);
    sheet.given('Z_y', Zy, 'sectionModulus', 'elastic modulus', section.designation);
    sheet.given(
      'M_b',
      Mb,
      'moment',
      LE > 0 ? 'p_b times its modulus; m_LT taken as 1: conservative' : 'held along its length: the moment capacity',
    );
    if (major.peak === 0) sheet.step('m_x', '1', {}, 1, 'ratio', 'no moment');
    if (minor.peak === 0) sheet.step('m_y', '1', {}, 1, 'ratio', 'no moment');
    const inputs = { F_c: axial, M_x: Mx, M_y: My, p_y: py, Z_y: Zy, m_y: my };
    sheet.step(
      'R_1',
      'F_c / P_c + m_x * M_x / (p_y * Z_x) + m_y * M_y / (p_y * Z_y)',
      { ...inputs, P_c: Pc, m_x: mx, Z_x: Zx },
      first,
      'ratio',
      '4.8.3.3.1',
    );
    sheet.step('R_2', 'F_c / P_cy + M_x / M_b + m_y * M_y / (p_y * Z_y)', { ...inputs, P_cy: Pcy, M_b: Mb }, second, 'ratio', '4.8.3.3.1');
    sheet.step('R', 'max(R_1, R_2)', { R_1: first, R_2: second }, Math.max(first, second), 'ratio', '4.8.3.3.1');
  }
  return unity(name, clause, Math.max(first, second), combination, sheet);
}
