import { formatQuantity, type UnitSystem } from '../quantity';
import { shapeOutlines, type Section } from '../section';
import { Pencil, type Drawing } from './drawing';

/** A cross-section to scale with its depth and width. */
export function sectionDrawing(section: Section, units: UnitSystem, width: number, height: number): Drawing {
  const pencil = new Pencil();
  const { depth, width: breadth } = section.properties;
  const { shape } = section;
  const isUnequal = shape.outline === 'unequalI';
  const scale = Math.min((width - 60) / breadth, (height - (isUnequal ? 72 : 50)) / depth);
  const [cx, cy] = [width / 2 + 12, height / 2 + (isUnequal ? 0 : 8)];
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
  pencil.dimensionUp(cy - y, cy + y, cx - x - 10, formatQuantity(depth, 'sectionLength', units, { bare: true }));
  return {
    width,
    height,
    title: `Section ${section.designation}, ${formatQuantity(depth, 'sectionLength', units)} deep, ${formatQuantity(breadth, 'sectionLength', units)} wide`,
    marks: pencil.marks,
  };
}
