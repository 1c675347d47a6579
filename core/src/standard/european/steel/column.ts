import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import { requireBasis, type Philosophy, type SteelColumnInput } from '../../standard';
import { GAMMA_M0 } from './bending';
import { bucklingCurve, flexuralBuckling, torsionalBuckling } from './buckling';
import { classify, recordShape, sectionYield } from './classification';

/**
 * Steel column under axial compression: cross-section, flexural buckling about both axes, torsional buckling of I shapes.
 * EN 1993-1-1 6.2.4, 6.3.1. axial: N, compression positive. The moments of beams that frame in are not written: a row says so.
 */
export function steelColumn(input: SteelColumnInput, philosophy: Philosophy, sheet?: Sheet): Check[] {
  const { section, grade, axial, combination } = input;
  requireBasis(input.basis, philosophy.basis);
  const moments = (inner?: Sheet) =>
    unproven(
      'Moments from the beams',
      'EN 1993-1-1 6.3.3',
      'instability',
      'nominal moments of beams that frame in off-centre are not written yet; the column is proved in axial load only',
      inner,
    );
  if (axial < 0)
    return [
      unproven(
        'Compression',
        'EN 1993-1-1 6.2.3',
        'ductile',
        `the column is in tension under ${combination}; tension is not written yet`,
        sheet,
      ),
      moments(sheet),
    ];
  recordShape(section, sheet);
  const fy = sectionYield(section, grade, sheet);
  const sectionClass = classify(section, fy, 'compression', sheet?.scope('Class of the section'));
  if (sectionClass === 4)
    return [
      unproven(
        'Flexural buckling',
        'EN 1993-1-1 6.3.1',
        'instability',
        `${section.designation} is of class 4 in compression in ${grade.id}: effective areas are not written yet`,
        sheet,
      ),
      moments(sheet),
    ];
  const { A, Iy, Iz } = section.properties;
  const { E, G } = grade;
  sheet?.given('N_Ed', axial, 'force', `design compression, ${combination}`);
  sheet?.given('A', A, 'area', 'area', section.designation);
  sheet?.given('E', E, 'stress', "Young's modulus", 'EN 1993-1-1 3.2.6');
  const checks: Check[] = [];

  const squash = sheet?.scope('Cross-section');
  squash?.given('gamma_M0', GAMMA_M0, 'ratio', 'partial factor', 'EN 1993-1-1 NA.2.15');
  const NcRd = (A * fy) / GAMMA_M0;
  squash?.step('N_cRd', 'A * f_y / gamma_M0', { A, f_y: fy, gamma_M0: GAMMA_M0 }, NcRd, 'force', '(6.10)');
  checks.push(
    compare(
      {
        name: 'Compression of the section',
        clause: 'EN 1993-1-1 6.2.4',
        mode: 'ductile',
        kind: 'force',
        demand: axial,
        demandSymbol: 'N_Ed',
        capacity: NcRd,
        capacitySymbol: 'N_cRd',
        combination,
      },
      squash,
    ),
  );

  for (const [axis, I, Lcr, title] of [
    ['y', Iy, input.lengthY, 'Flexural buckling, major axis'],
    ['z', Iz, input.lengthZ, 'Flexural buckling, minor axis'],
  ] as const) {
    const inner = sheet?.scope(title);
    const NbRd = flexuralBuckling({ A, I, Lcr, E, fy, curve: bucklingCurve(section, axis) }, inner);
    checks.push(
      compare(
        {
          name: title,
          clause: 'EN 1993-1-1 6.3.1',
          mode: 'instability',
          kind: 'force',
          demand: axial,
          demandSymbol: 'N_Ed',
          capacity: NbRd,
          capacitySymbol: 'N_bRd',
          combination,
        },
        inner,
      ),
    );
  }
  if (section.shape.outline === 'I') {
    const inner = sheet?.scope('Torsional buckling');
    const NbRd = torsionalBuckling(section, input.lengthT, E, G, fy, inner);
    checks.push(
      compare(
        {
          name: 'Torsional buckling',
          clause: 'EN 1993-1-1 6.3.1.4',
          mode: 'instability',
          kind: 'force',
          demand: axial,
          demandSymbol: 'N_Ed',
          capacity: NbRd,
          capacitySymbol: 'N_bRd',
          combination,
        },
        inner,
      ),
    );
  } else if (section.shape.outline === 'channel')
    checks.push(
      unproven(
        'Torsional-flexural buckling',
        'EN 1993-1-1 6.3.1.4',
        'instability',
        'torsional-flexural buckling of channels is not written yet',
        sheet,
      ),
    );
  checks.push(moments(sheet));
  return checks;
}
