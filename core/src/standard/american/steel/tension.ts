import { AISC360 } from '../documents';
import type { SteelGrade } from '../../../material';
import type { Section } from '../../../section';
import { compare, type Check, type Sheet } from '../../../sheet';
import type { Philosophy } from '../../standard';
import { availableStrength, RUPTURE_TENSION, YIELDING_TENSION } from './available';

/** Tension, AISC 360-16 D2: the gross section yields, or the effective net section breaks. netArea: Ae, mm2, shear lag within; null: no holes. */
export function tension(
  section: Section,
  grade: SteelGrade,
  Fy: number,
  required: number,
  netArea: number | null,
  combination: string,
  philosophy: Philosophy,
  sheet?: Sheet,
): { checks: Check[]; available: number } {
  const { A } = section.properties;
  sheet?.given('P_r', required, 'force', `required tensile strength, ${combination}`);
  sheet?.given('A_g', A, 'area', 'gross area', section.designation);
  const base = { kind: 'force', demand: required, demandSymbol: 'P_r', capacitySymbol: 'P_c', combination } as const;
  const yielding = sheet?.scope('Yielding of the gross section');
  yielding?.step('P_n', 'F_y * A_g', { F_y: Fy, A_g: A }, Fy * A, 'force', '(D2-1)');
  const gross = availableStrength(Fy * A, YIELDING_TENSION, philosophy, { nominal: 'P_n', available: 'P_c' }, 'force', yielding);
  const checks = [
    compare(
      { ...base, id: 'tension-yielding', name: 'Tension, yielding', clause: AISC360('D2(a)'), mode: 'ductile', capacity: gross },
      yielding,
    ),
  ];
  if (netArea === null) return { checks, available: gross };
  const rupture = sheet?.scope('Rupture of the net section');
  rupture?.given('A_e', netArea, 'area', 'effective net area');
  rupture?.given('F_u', grade.fu, 'stress', 'specified minimum tensile strength', grade.standard);
  rupture?.step('P_n', 'F_u * A_e', { F_u: grade.fu, A_e: netArea }, grade.fu * netArea, 'force', '(D2-2)');
  const net = availableStrength(grade.fu * netArea, RUPTURE_TENSION, philosophy, { nominal: 'P_n', available: 'P_c' }, 'force', rupture);
  checks.push(
    compare(
      { ...base, id: 'tension-net-section', name: 'Tension, net section', clause: AISC360('D2(b)'), mode: 'brittle', capacity: net },
      rupture,
    ),
  );
  return { checks, available: Math.min(gross, net) };
}
