import type { Shape } from './shape';

/** A quarter circle round a centre, from one angle to another, as points. Angles in degrees, y downward. */
function arc(cx: number, cy: number, r: number, from: number, to: number, pieces: number): [number, number][] {
  if (r <= 0) return [[cx, cy]];
  return Array.from({ length: pieces + 1 }, (_, i) => {
    const angle = ((from + ((to - from) * i) / pieces) * Math.PI) / 180;
    return [cx + r * Math.cos(angle), cy + r * Math.sin(angle)];
  });
}

/** Outlines of a shape in mm round the middle of its depth and width, y downward: the outer one first, then the hole. Arcs in so many pieces. */
export function shapeOutlines(shape: Shape, pieces = 6): [number, number][][] {
  const bend = (cx: number, cy: number, r: number, from: number, to: number) => arc(cx, cy, r, from, to, pieces);
  switch (shape.outline) {
    case 'I': {
      const { h, b, tw, tf, r, taper } = shape;
      const [x, y, w, f] = [b / 2, h / 2, tw / 2, h / 2 - tf];
      if (taper) {
        const thick = (at: number) => y - tf - taper.slope * (taper.at - at);
        const [tip, root] = [thick(x), thick(w)];
        return [
          [
            [-x, -y],
            [x, -y],
            [x, -tip],
            [w, -root],
            [w, root],
            [x, tip],
            [x, y],
            [-x, y],
            [-x, tip],
            [-w, root],
            [-w, -root],
            [-x, -tip],
          ],
        ];
      }
      return [
        [
          [-x, -y],
          [x, -y],
          [x, -f],
          ...bend(w + r, -f + r, r, 270, 180),
          ...bend(w + r, f - r, r, 180, 90),
          [x, f],
          [x, y],
          [-x, y],
          [-x, f],
          ...bend(-w - r, f - r, r, 90, 0),
          ...bend(-w - r, -f + r, r, 0, -90),
          [-x, -f],
        ],
      ];
    }
    case 'unequalI': {
      const { h, b, tf, bBottom, tfBottom, tw } = shape;
      const [x, y, w, under] = [b / 2, h / 2, tw / 2, bBottom / 2];
      const [upper, lower] = [-y + tf, y - tfBottom];
      return [
        [
          [-x, -y],
          [x, -y],
          [x, upper],
          [w, upper],
          [w, lower],
          [under, lower],
          [under, y],
          [-under, y],
          [-under, lower],
          [-w, lower],
          [-w, upper],
          [-x, upper],
        ],
      ];
    }
    case 'channel': {
      const { h, b, tw, tf, r, taper } = shape;
      const [x, y, f] = [b / 2, h / 2, h / 2 - tf];
      const web = -x + tw;
      if (taper) {
        const thick = (at: number) => y - tf - taper.slope * (taper.at - at);
        const [tip, root] = [thick(b), thick(tw)];
        return [
          [
            [-x, -y],
            [x, -y],
            [x, -tip],
            [web, -root],
            [web, root],
            [x, tip],
            [x, y],
            [-x, y],
          ],
        ];
      }
      return [
        [[-x, -y], [x, -y], [x, -f], ...bend(web + r, -f + r, r, 270, 180), ...bend(web + r, f - r, r, 180, 90), [x, f], [x, y], [-x, y]],
      ];
    }
    case 'tee': {
      const { h, b, tw, tf, r } = shape;
      const [x, y, w] = [b / 2, h / 2, tw / 2];
      const f = -y + tf;
      return [[[-x, -y], [x, -y], [x, f], ...bend(w + r, f + r, r, 270, 180), [w, y], [-w, y], ...bend(-w - r, f + r, r, 0, -90), [-x, f]]];
    }
    case 'angle': {
      const { h, b, t, r, toe } = shape;
      const [x, y] = [b / 2, h / 2];
      return [
        [
          [-x, -y],
          ...bend(-x + t - toe, -y + toe, toe, -90, 0),
          ...bend(-x + t + r, y - t - r, r, 180, 90),
          ...bend(x - toe, y - t + toe, toe, -90, 0),
          [x, y],
          [-x, y],
        ],
      ];
    }
    case 'box': {
      const rounded = (b: number, h: number, r: number): [number, number][] => [
        ...bend(b / 2 - r, -h / 2 + r, r, -90, 0),
        ...bend(b / 2 - r, h / 2 - r, r, 0, 90),
        ...bend(-b / 2 + r, h / 2 - r, r, 90, 180),
        ...bend(-b / 2 + r, -h / 2 + r, r, 180, 270),
      ];
      return [rounded(shape.b, shape.h, shape.ro), rounded(shape.b - 2 * shape.t, shape.h - 2 * shape.t, shape.ri)];
    }
    case 'tube': {
      const circle = (r: number): [number, number][] =>
        Array.from({ length: 8 * pieces }, (_, i) => [
          r * Math.cos((i * Math.PI) / (4 * pieces)),
          r * Math.sin((i * Math.PI) / (4 * pieces)),
        ]);
      return [circle(shape.d / 2), circle(shape.d / 2 - shape.t)];
    }
  }
}
