import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { GAMMA_M0 } from './bending';
import type { SectionClass } from './classification';

/**
 * Bending resistance about the minor axis, Nmm, EN 1993-1-1 6.2.5: plastic in classes 1 and 2, elastic in class 3 and for angles.
 * The class is that of the outstand in compression, which is never better than that under a stress gradient. Null in class 4. fy: MPa.
 */
export function minorBendingResistance(section: Section, sectionClass: SectionClass, fy: number, sheet?: Sheet): number | null {
  if (sectionClass === 4) return null;
  const { Wplz, Welz } = section.properties;
  const isPlastic = sectionClass <= 2 && section.shape.outline !== 'angle';
  const W = isPlastic ? Wplz : Welz;
  sheet?.given('W_z', W, 'sectionModulus', isPlastic ? 'plastic modulus, minor axis' : 'elastic modulus, minor axis', section.designation);
  sheet?.given('gamma_M0', GAMMA_M0, 'ratio', 'partial factor', 'EN 1993-1-1 NA.2.15');
  const McRd = (W * fy) / GAMMA_M0;
  sheet?.step(
    'M_czRd',
    'W_z * f_y / gamma_M0',
    { W_z: W, f_y: fy, gamma_M0: GAMMA_M0 },
    McRd,
    'moment',
    '6.2.5(2)',
    'bending resistance, minor axis',
  );
  return McRd;
}
