import type { SteelAnnex } from '../annex';
import { EN1993_1_1 } from '../documents';
import type { Section } from '../../../section';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import type { MemberActions } from '../../standard';
import { shearArea, shearAreaAcross, shearResistance } from './shear';

const CLAUSE = EN1993_1_1('6.2.7');

/** Torsional modulus of a hollow section, mm3: torque over the shear stress that it makes in the wall, EN 10210-2 annex A; null for open shapes. */
export function torsionModulus({ shape, properties }: Section, sheet?: Sheet): number | null {
  if (shape.outline === 'tube') {
    const Wt = 2 * properties.Wely;
    sheet?.given('W_el', properties.Wely, 'sectionModulus', 'elastic modulus');
    sheet?.step('W_t', '2 * W_el', { W_el: properties.Wely }, Wt, 'sectionModulus', 'EN 10210-2 annex A', 'torsional modulus');
    return Wt;
  }
  if (shape.outline !== 'box') return null;
  const { h, b, t, ro, ri } = shape;
  const rc = (ro + ri) / 2;
  const Ah = (b - t) * (h - t) - rc ** 2 * (4 - Math.PI);
  const u = 2 * (b + h - 2 * t) - 2 * rc * (4 - Math.PI);
  const Wt = properties.It / (t + (2 * Ah) / u);
  if (sheet) {
    sheet.given('r_c', rc, 'sectionLength', 'corner radius of the middle of the wall');
    sheet.given('I_T', properties.It, 'torsionConstant', 'torsion constant');
    sheet.step(
      'A_h',
      '(b - t) * (h - t) - r_c^2 * (4 - pi)',
      { b, t, h, r_c: rc },
      Ah,
      'area',
      'EN 10210-2 annex A',
      'within the middle of the wall',
    );
    sheet.step(
      'u',
      '2 * (b + h - 2 * t) - 2 * r_c * (4 - pi)',
      { b, h, t, r_c: rc },
      u,
      'sectionLength',
      'EN 10210-2 annex A',
      'along the middle of the wall',
    );
    sheet.step(
      'W_t',
      'I_T / (t + 2 * A_h / u)',
      { I_T: properties.It, t, A_h: Ah, u },
      Wt,
      'sectionModulus',
      'EN 10210-2 annex A',
      'torsional modulus',
    );
  }
  return Wt;
}

/**
 * Torsion of a hollow section by the flow of shear around it, alone, beside shear (6.28), and with the stresses of everything else by the elastic
 * criterion (6.1), which is on the safe side; warping of closed sections is neglected, 6.2.7(7). Open shapes are unproven.
 */
export function torsionChecks(annex: SteelAnnex, section: Section, fy: number, actions: MemberActions, sheet?: Sheet): Check[] {
  const T = Math.abs(actions.torsion ?? 0);
  if (T === 0) return [];
  const { combination, axial, major, minor, shear, shearAcross } = actions;
  const Wt = torsionModulus(section, sheet);
  if (Wt === null)
    return [
      unproven(
        { id: 'torsion', name: 'Torsion' },
        CLAUSE,
        'ductile',
        'torsion of open shapes brings warping stresses, which are not written',
        sheet,
      ),
    ];
  const { A, Wely, Welz } = section.properties;
  sheet?.given('T_Ed', T, 'moment', `torque, ${combination}`);
  sheet?.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
  const TRd = (Wt * fy) / Math.sqrt(3) / annex.gammaM0;
  const tau = T / Wt;
  sheet?.step(
    'T_Rd',
    'W_t * f_y / (sqrt(3) * gamma_M0)',
    { W_t: Wt, f_y: fy, gamma_M0: annex.gammaM0 },
    TRd,
    'moment',
    '6.2.7(1)',
    'torsional resistance',
  );
  sheet?.step('tau_t', 'T_Ed / W_t', { T_Ed: T, W_t: Wt }, tau, 'stress', '6.2.7(2)', 'shear stress of the torque');
  const checks = [
    compare(
      {
        id: 'torsion',
        name: 'Torsion',
        clause: CLAUSE,
        mode: 'ductile',
        kind: 'moment',
        demand: T,
        demandSymbol: 'T_Ed',
        capacity: TRd,
        capacitySymbol: 'T_Rd',
        combination,
      },
      sheet,
    ),
  ];
  const ways = [
    ['major', 'Shear beside torsion', shear, (inner?: Sheet) => shearArea(annex, section, fy, inner)],
    ['minor', 'Shear beside torsion, minor axis', shearAcross, (inner?: Sheet) => shearAreaAcross(section, inner)],
  ] as const;
  let worstShear = 0;
  for (const [part, name, V, area] of ways) {
    if (V === 0) continue;
    const inner = sheet?.scope(name);
    inner?.given('V_Ed', Math.abs(V), 'force', `largest shear, ${combination}`);
    const Av = area(inner);
    const Vpl = shearResistance(annex, Av, fy, inner);
    const left = Math.max(0, 1 - tau / (fy / Math.sqrt(3) / annex.gammaM0));
    inner?.step(
      'V_plTRd',
      'max(0, 1 - tau_t / (f_y / sqrt(3) / gamma_M0)) * V_plRd',
      { tau_t: tau, f_y: fy, gamma_M0: annex.gammaM0, V_plRd: Vpl },
      left * Vpl,
      'force',
      '(6.28)',
    );
    worstShear = Math.max(worstShear, Math.abs(V) / Av);
    checks.push(
      compare(
        {
          id: 'shear-beside-torsion',
          part,
          name,
          clause: EN1993_1_1('6.2.7(9)'),
          mode: 'ductile',
          kind: 'force',
          demand: Math.abs(V),
          demandSymbol: 'V_Ed',
          capacity: left * Vpl,
          capacitySymbol: 'V_plTRd',
          combination,
        },
        inner,
      ),
    );
  }
  const inner = sheet?.scope('Stresses together');
  const sigma = Math.abs(axial) / A + Math.abs(major.peak) / Wely + Math.abs(minor.peak) / Welz;
  const both = tau + worstShear;
  const R = Math.sqrt((sigma * annex.gammaM0) ** 2 + 3 * (both * annex.gammaM0) ** 2) / fy;
  if (inner) {
    inner.note('Elastic stresses of the gross section, the largest of each taken at one place: conservative.');
    inner.given('N_Ed', Math.abs(axial), 'force', 'axial force');
    inner.given('M_y', Math.abs(major.peak), 'moment', 'largest moment, major axis');
    inner.given('M_z', Math.abs(minor.peak), 'moment', 'largest moment, minor axis');
    inner.given('A', A, 'area', 'area', section.designation);
    inner.given('W_ely', Wely, 'sectionModulus', 'elastic modulus, major axis', section.designation);
    inner.given('W_elz', Welz, 'sectionModulus', 'elastic modulus, minor axis', section.designation);
    inner.given('tau_V', worstShear, 'stress', 'mean shear stress of the larger of both shears');
    inner.step(
      'sigma',
      'N_Ed / A + M_y / W_ely + M_z / W_elz',
      { N_Ed: Math.abs(axial), A, M_y: Math.abs(major.peak), W_ely: Wely, M_z: Math.abs(minor.peak), W_elz: Welz },
      sigma,
      'stress',
      '6.2.1(5)',
    );
    inner.step(
      'R',
      'gamma_M0 * sqrt(sigma^2 + 3 * (tau_t + tau_V)^2) / f_y',
      { gamma_M0: annex.gammaM0, sigma, tau_t: tau, tau_V: worstShear, f_y: fy },
      R,
      'ratio',
      '(6.1)',
    );
    inner.given('R_max', 1, 'ratio', 'at most');
  }
  checks.push(
    compare(
      {
        id: 'stresses-with-torsion',
        name: 'Stresses with torsion',
        clause: EN1993_1_1('6.2.1(5)'),
        mode: 'ductile',
        kind: 'ratio',
        demand: R,
        demandSymbol: 'R',
        capacity: 1,
        capacitySymbol: 'R_max',
        combination,
      },
      inner,
    ),
  );
  return checks;
}
