import { findSection, isSection } from '../section';
import type { Standard } from '../standard';
import type { BeamStiffness } from '../takedown';
import { gradeFor } from './grade';

/** E times I of a beam about its major axis by a family, Nmm2; null while no section is chosen. */
export const stiffnessBy =
  (standard: Standard): BeamStiffness =>
  (building, beam) => {
    if (beam.section === null || !isSection(beam.section)) return null;
    const section = findSection(beam.section);
    return standard.steel.youngsModulus(gradeFor(building, beam, section)) * section.properties.Iy;
  };
