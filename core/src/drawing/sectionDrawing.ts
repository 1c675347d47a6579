import { formatQuantity, type UnitSystem } from '../quantity';
import type { Section, Shape } from '../section';
import { Pencil, type Drawing } from './drawing';

/** A quarter circle round a centre, from one angle to another, as points. Angles in degrees, y downward. */
function arc(cx: number, cy: number, r: number, from: number, to: number): [number, number][] {
  if (r <= 0) return [[cx, cy]];
  return Array.from({ length: 7 }, (_, i) => {
    const angle = ((from + ((to - from) * i) / 6) * Math.PI) / 180;
    return [cx + r * Math.cos(angle), cy + r * Math.sin(angle)];
  });
}

/** Outlines of a shape in mm round its centre, y downward: the outer one first, then the hole. */
export function shapeOutlines(shape: Shape): [number, number][][] {
  switch (shape.outline) {
    case 'I': {
      const { h, b, tw, tf, r } = shape;
      const [x, y, w, f] = [b / 2, h / 2, tw / 2, h / 2 - tf];
      return [
        [
          [-x, -y],
          [x, -y],
          [x, -f],
          ...arc(w + r, -f + r, r, 270, 180),
          ...arc(w + r, f - r, r, 180, 90),
          [x, f],
          [x, y],
          [-x, y],
          [-x, f],
          ...arc(-w - r, f - r, r, 90, 0),
          ...arc(-w - r, -f + r, r, 0, -90),
          [-x, -f],
        ],
      ];
    }
    case 'channel': {
      const { h, b, tw, tf, r } = shape;
      const [x, y, f] = [b / 2, h / 2, h / 2 - tf];
      const web = -x + tw;
      return [
        [[-x, -y], [x, -y], [x, -f], ...arc(web + r, -f + r, r, 270, 180), ...arc(web + r, f - r, r, 180, 90), [x, f], [x, y], [-x, y]],
      ];
    }
    case 'tee': {
      const { h, b, tw, tf, r } = shape;
      const [x, y, w] = [b / 2, h / 2, tw / 2];
      const f = -y + tf;
      return [[[-x, -y], [x, -y], [x, f], ...arc(w + r, f + r, r, 270, 180), [w, y], [-w, y], ...arc(-w - r, f + r, r, 0, -90), [-x, f]]];
    }
    case 'angle': {
      const { h, b, t, r, toe } = shape;
      const [x, y] = [b / 2, h / 2];
      return [
        [
          [-x, -y],
          ...arc(-x + t - toe, -y + toe, toe, -90, 0),
          ...arc(-x + t + r, y - t - r, r, 180, 90),
          ...arc(x - toe, y - t + toe, toe, -90, 0),
          [x, y],
          [-x, y],
        ],
      ];
    }
    case 'box': {
      const rounded = (b: number, h: number, r: number): [number, number][] => [
        ...arc(b / 2 - r, -h / 2 + r, r, -90, 0),
        ...arc(b / 2 - r, h / 2 - r, r, 0, 90),
        ...arc(-b / 2 + r, h / 2 - r, r, 90, 180),
        ...arc(-b / 2 + r, -h / 2 + r, r, 180, 270),
      ];
      return [rounded(shape.b, shape.h, shape.ro), rounded(shape.b - 2 * shape.t, shape.h - 2 * shape.t, shape.ri)];
    }
    case 'tube': {
      const circle = (r: number): [number, number][] =>
        Array.from({ length: 48 }, (_, i) => [r * Math.cos((i * Math.PI) / 24), r * Math.sin((i * Math.PI) / 24)]);
      return [circle(shape.d / 2), circle(shape.d / 2 - shape.t)];
    }
  }
}

/** A cross-section to scale with its depth and width. */
export function sectionDrawing(section: Section, units: UnitSystem, width: number, height: number): Drawing {
  const pencil = new Pencil();
  const { depth, width: breadth } = section.properties;
  const scale = Math.min((width - 60) / breadth, (height - 50) / depth);
  const [cx, cy] = [width / 2 + 12, height / 2 + 8];
  const place = (points: readonly (readonly [number, number])[]): [number, number][] =>
    points.map(([x, y]) => [cx + x * scale, cy + y * scale]);
  const [outer, hole] = shapeOutlines(section.shape);
  pencil.area(place(outer!), 'steel', { pen: 'ink', width: 1 });
  if (hole) pencil.area(place(hole), 'paper', { pen: 'ink', width: 1 });
  const [x, y] = [(breadth * scale) / 2, (depth * scale) / 2];
  pencil.dimension(cx - x, cx + x, cy - y - 10, formatQuantity(breadth, 'sectionLength', units, { bare: true }));
  pencil.dimensionUp(cy - y, cy + y, cx - x - 10, formatQuantity(depth, 'sectionLength', units, { bare: true }));
  return {
    width,
    height,
    title: `Section ${section.designation}, ${formatQuantity(depth, 'sectionLength', units)} deep, ${formatQuantity(breadth, 'sectionLength', units)} wide`,
    marks: pencil.marks,
  };
}
