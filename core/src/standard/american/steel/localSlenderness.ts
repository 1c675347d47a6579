import { yieldStrength, type SteelGrade } from '../../../material';
import type { Section } from '../../../section';
import { unequalCompactness } from './unequalStrengths';
import { compactness, flangeInFlexure, isSlenderInCompression, partsInCompression, webInFlexure, type Compactness } from './slenderness';

function inFlexure(section: Section, E: number, Fy: number): readonly Compactness[] {
  const { outline } = section.shape;
  if (outline === 'unequalI') return unequalCompactness(section, E, Fy);
  const web = webInFlexure(section);
  return [compactness(flangeInFlexure(section), E, Fy, outline === 'tube'), web ? compactness(web, E, Fy, false) : 'compact'];
}

/** Compactness in words, for a section's page. */
export function localSlenderness(section: Section, grade: SteelGrade): { bending: string; compression: string } {
  const [E, Fy] = [grade.E, yieldStrength(grade, 1)];
  const states = inFlexure(section, E, Fy);
  const isSlender = partsInCompression(section).some((part) => isSlenderInCompression(part, E, Fy, section.shape.outline === 'tube'));
  return {
    bending: states.includes('slender') ? 'slender' : states.includes('noncompact') ? 'noncompact' : 'compact',
    compression: isSlender ? 'slender' : 'nonslender',
  };
}
