import type { Building } from '../building';
import { steelGrade, type SteelGrade } from '../material';
import type { Section } from '../section';

/** The grade of a member: its own, or that of the brief for such a product; welded shapes are made of the plates of rolled grades. */
export function gradeFor(building: Building, member: { grade: string | null }, section: Section): SteelGrade {
  const { brief } = building;
  return steelGrade(
    member.grade ?? (section.product === 'hollow' ? brief.hollowGrade : section.product === 'round' ? brief.roundGrade : brief.grade),
  );
}
