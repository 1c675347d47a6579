import type { Section } from '../section';
import type { Pencil } from './drawing';

/** Letters of the axes through the centroid, by the region of a section: EN 1993-1-1 figure 1.1, or AISC 360. */
const LETTERS = {
  european: { horizontal: 'y', vertical: 'z', strong: 'u', weak: 'v' },
  american: { horizontal: 'x', vertical: 'y', strong: 'w', weak: 'z' },
} as const;

/** How far the axes reach beyond the outline, left and up, where dimensions stand, and right and down, where their letters do. */
const [NEAR, FAR] = [6, 15];

/**
 * Draws the axes through the centroid of a cross-section, those of an angle's principal bending too, and the shear centre where
 * it stands apart.
 * @param place from the middle of depth and width, mm right and down, to the picture
 * @param scale of the picture, per mm
 */
export function drawAxes(
  pencil: Pencil,
  section: Section,
  place: (points: readonly (readonly [number, number])[]) => [number, number][],
  scale: number,
): void {
  const { depth, width, cz, cy, shearCentre, shearCentreUp, principal } = section.properties;
  const letters = LETTERS[section.region === 'american' ? 'american' : 'european'];
  const centroid = { x: cz - width / 2, y: cy - depth / 2 };
  // below an I of unequal flanges stands a dimension too
  const below = section.shape.outline === 'unequalI' ? NEAR : FAR;
  const box = {
    left: -width / 2 - NEAR / scale,
    right: width / 2 + FAR / scale,
    top: -depth / 2 - NEAR / scale,
    bottom: depth / 2 + below / scale,
  };
  /** A line through the centroid, turned anticlockwise from the horizontal, cut at the box; its letter stands at its far end. */
  const axis = (turned: number, letter: string) => {
    const [dx, dy] = [Math.cos(turned), -Math.sin(turned)];
    const until = (dx: number, dy: number) =>
      Math.min(
        Math.abs(dx) < 1e-9 ? Infinity : ((dx > 0 ? box.right : box.left) - centroid.x) / dx,
        Math.abs(dy) < 1e-9 ? Infinity : ((dy > 0 ? box.bottom : box.top) - centroid.y) / dy,
      );
    const at = (along: number): [number, number] => [centroid.x + along * dx, centroid.y + along * dy];
    const ends = place([at(-until(-dx, -dy)), at(until(dx, dy))]);
    pencil.line(ends, 'soft', { width: 0.8, dash: [9, 2, 1.5, 2] });
    const [x, y] = ends[1]!;
    pencil.text(x + 7 * dx, y + 7 * dy + 4, letter, { size: 11, anchor: 'middle', halo: true });
  };
  axis(0, letters.horizontal);
  axis(-Math.PI / 2, letters.vertical);
  if (section.shape.outline === 'angle') {
    axis(principal, letters.strong);
    axis(principal - Math.PI / 2, letters.weak);
  }
  if (Math.hypot(shearCentre, shearCentreUp) * scale < 2) return;
  const [[x, y]] = place([[centroid.x + shearCentre, centroid.y - shearCentreUp]]) as [[number, number]];
  pencil.circle(x, y, 3, 'paper', 'accent');
  pencil.text(x, y - 6, 'S', { size: 11, anchor: 'middle', bold: true, pen: 'accent', halo: true });
}
