import type { SteelAnnex } from '../annex';
import { EN1993_1_1 } from '../documents';
import type { Section } from '../../../section';
import type { SteelGrade } from '../../../material';
import { compare, type Check, type Sheet } from '../../../sheet';

/**
 * Tension resistance, EN 1993-1-1 6.2.3: the gross area yields, or the net area breaks. netArea: mm2, null where there are no holes.
 * axial: N, tension as a magnitude; fy: MPa.
 */
export function tensionChecks(
  annex: SteelAnnex,
  section: Section,
  grade: SteelGrade,
  fy: number,
  tension: number,
  netArea: number | null,
  combination: string,
  sheet?: Sheet,
): Check[] {
  const { A } = section.properties;
  sheet?.given('N_t', tension, 'force', `design tension, ${combination}`);
  sheet?.given('A', A, 'area', 'gross area', section.designation);
  sheet?.given('gamma_M0', annex.gammaM0, 'ratio', 'partial factor', annex.partialFactors);
  const NplRd = (A * fy) / annex.gammaM0;
  sheet?.step(
    'N_plRd',
    'A * f_y / gamma_M0',
    { A, f_y: fy, gamma_M0: annex.gammaM0 },
    NplRd,
    'force',
    '(6.6)',
    'yielding of the gross section',
  );
  const base = { kind: 'force', demand: tension, demandSymbol: 'N_t', combination } as const;
  const checks = [
    compare(
      {
        ...base,
        id: 'tension-yielding',
        name: 'Tension, yielding',
        clause: EN1993_1_1('6.2.3(2)a'),
        mode: 'ductile',
        capacity: NplRd,
        capacitySymbol: 'N_plRd',
      },
      sheet,
    ),
  ];
  if (netArea !== null) {
    const NuRd = (0.9 * netArea * grade.fu) / annex.gammaM2;
    sheet?.given('A_net', netArea, 'area', 'net area at the holes');
    sheet?.given('f_u', grade.fu, 'stress', 'ultimate strength', grade.standard);
    sheet?.given('gamma_M2', annex.gammaM2, 'ratio', 'partial factor', annex.partialFactors);
    sheet?.step(
      'N_uRd',
      '0.9 * A_net * f_u / gamma_M2',
      { A_net: netArea, f_u: grade.fu, gamma_M2: annex.gammaM2 },
      NuRd,
      'force',
      '(6.7)',
      'rupture of the net section',
    );
    checks.push(
      compare(
        {
          ...base,
          id: 'tension-net-section',
          name: 'Tension, net section',
          clause: EN1993_1_1('6.2.3(2)b'),
          mode: 'brittle',
          capacity: NuRd,
          capacitySymbol: 'N_uRd',
        },
        sheet,
      ),
    );
  }
  return checks;
}
