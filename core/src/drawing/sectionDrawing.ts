import { formatQuantity, type UnitSystem } from '../quantity';
import { shapeOutlines, type Section } from '../section';
import { Pencil, type Drawing } from './drawing';
import { drawAxes } from './sectionAxes';

/**
 * A cross-section to scale with its depth and width.
 * @param axes the axes through the centroid, and the shear centre (S) where it stands apart, are drawn too
 */
export function sectionDrawing(section: Section, units: UnitSystem, width: number, height: number, { axes = false } = {}): Drawing {
  const pencil = new Pencil();
  const { depth, width: breadth } = section.properties;
  const { shape } = section;
  const isUnequal = shape.outline === 'unequalI';
  // room for the letters of the axes, right and below
  const letters = axes ? 24 : 0;
  const scale = Math.min((width - 60 - letters) / breadth, (height - (isUnequal ? 72 : 50) - letters) / depth);
  const [cx, cy] = [(width - letters) / 2 + 12, (height - letters) / 2 + (isUnequal ? 0 : 8)];
  const place = (points: readonly (readonly [number, number])[]): [number, number][] =>
    points.map(([x, y]) => [cx + x * scale, cy + y * scale]);
  const [outer, hole] = shapeOutlines(section.shape);
  pencil.area(place(outer!), 'steel', { pen: 'ink', width: 1 });
  if (hole) pencil.area(place(hole), 'paper', { pen: 'ink', width: 1 });
  const [x, y] = [(breadth * scale) / 2, (depth * scale) / 2];
  const across = (length: number, at: number) => {
    const half = (length * scale) / 2;
    pencil.dimension(cx - half, cx + half, at, formatQuantity(length, 'sectionLength', units, { bare: true }));
  };
  across(isUnequal ? shape.b : breadth, cy - y - 10);
  // a dimension has its number above its line
  if (isUnequal) across(shape.bBottom, cy + y + 22);
  // left of a shear centre that stands outside
  const { cz, shearCentre } = section.properties;
  const outside = axes ? Math.max(0, 6 - (cz + shearCentre) * scale) : 0;
  pencil.dimensionUp(cy - y, cy + y, cx - x - 10 - outside, formatQuantity(depth, 'sectionLength', units, { bare: true }));
  if (axes) drawAxes(pencil, section, place, scale);
  return {
    width,
    height,
    title: `Section ${section.designation}, ${formatQuantity(depth, 'sectionLength', units)} deep, ${formatQuantity(breadth, 'sectionLength', units)} wide`,
    marks: pencil.marks,
  };
}
