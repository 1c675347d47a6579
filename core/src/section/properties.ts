import { BadInput } from '../error';
import { angle } from './angle';
import { fillet } from './fillet';
import { about } from './principal';
import { integrate } from './slices';
import type { BoxShape, ChannelShape, IShape, SectionProperties, Shape, TubeShape } from './shape';
import { tapered } from './tapered';
import { tee } from './tee';
import { unequalI } from './unequalI';

function requirePositive(shape: Record<string, unknown>, names: readonly string[]): void {
  for (const name of names) if (!((shape[name] as number) > 0)) throw new BadInput(`${name} must be greater than 0 mm`, name);
}

function iSection({ h, b, tw, tf, r }: IShape): SectionProperties {
  const hw = h - 2 * tf;
  const f = fillet(r);
  const yFillet = hw / 2 - f.centroid;
  const zFillet = tw / 2 + f.centroid;
  const A = 2 * b * tf + hw * tw + 4 * f.area;
  const Iy = (b * h ** 3 - (b - tw) * hw ** 3) / 12 + 4 * (f.second + f.area * yFillet ** 2);
  const Iz = (2 * tf * b ** 3 + hw * tw ** 3) / 12 + 4 * (f.second + f.area * zFillet ** 2);
  const Wply = b * tf * (h - tf) + (tw * hw ** 2) / 4 + 4 * f.area * yFillet;
  const Wplz = (tf * b ** 2) / 2 + (hw * tw ** 2) / 4 + 4 * f.area * zFillet;
  // flange-to-web junctions thicken the section: El Darwish and Johnston's correction
  const alpha = -0.042 + 0.2204 * (tw / tf) + 0.1355 * (r / tf) - 0.0865 * ((r * tw) / tf ** 2) - 0.0725 * (tw / tf) ** 2;
  const D = ((tf + r) ** 2 + (r + 0.25 * tw) * tw) / (2 * r + tf);
  const It = (2 / 3) * b * tf ** 3 + (hw * tw ** 3) / 3 + 2 * alpha * D ** 4 - 0.42 * tf ** 4;
  const Iw = (Iz * (h - tf) ** 2) / 4;
  return about({
    A,
    Iy,
    Iz,
    Wely: Iy / (h / 2),
    Welz: Iz / (b / 2),
    Wply,
    Wplz,
    iy: Math.sqrt(Iy / A),
    iz: Math.sqrt(Iz / A),
    It,
    Iw,
    cz: b / 2,
    shearCentre: 0,
    depth: h,
    width: b,
  });
}

function channel({ h, b, tw, tf, r }: ChannelShape): SectionProperties {
  const hw = h - 2 * tf;
  const f = fillet(r);
  const yFillet = hw / 2 - f.centroid;
  const xFillet = tw + f.centroid;
  const A = 2 * b * tf + hw * tw + 2 * f.area;
  const cz = (b * b * tf + (hw * tw * tw) / 2 + 2 * f.area * xFillet) / A;
  const Iy = (b * h ** 3 - (b - tw) * hw ** 3) / 12 + 2 * (f.second + f.area * yFillet ** 2);
  const Iz =
    2 * ((tf * b ** 3) / 12 + b * tf * (b / 2 - cz) ** 2) +
    (hw * tw ** 3) / 12 +
    hw * tw * (tw / 2 - cz) ** 2 +
    2 * (f.second + f.area * (xFillet - cz) ** 2);
  const Wply = b * tf * (h - tf) + (tw * hw ** 2) / 4 + 2 * f.area * yFillet;
  const Wplz = channelMinorPlasticModulus({ outline: 'channel', h, b, tw, tf, r }, A);
  const alpha = -0.0908 + 0.2621 * (tw / tf) + 0.1231 * (r / tf) - 0.0752 * ((tw * r) / tf ** 2) - 0.0945 * (tw / tf) ** 2;
  const D = 2 * (3 * r + tw + tf - Math.sqrt(2 * (2 * r + tw) * (2 * r + tf)));
  const It = (2 / 3) * b * tf ** 3 + (hw * tw ** 3) / 3 + 2 * alpha * D ** 4 - 0.42 * tf ** 4;
  // thin-walled middle lines for the shear centre and warping
  const b0 = b - tw / 2;
  const h0 = h - tf;
  const e0 = (3 * b0 ** 2 * tf) / (6 * b0 * tf + h0 * tw);
  const Iw = ((h0 ** 2 * b0 ** 3 * tf) / 12) * ((2 * h0 * tw + 3 * b0 * tf) / (h0 * tw + 6 * b0 * tf));
  return about({
    A,
    Iy,
    Iz,
    Wely: Iy / (h / 2),
    Welz: Iz / (b - cz),
    Wply,
    Wplz,
    iy: Math.sqrt(Iy / A),
    iz: Math.sqrt(Iz / A),
    It,
    Iw,
    cz,
    shearCentre: -(cz - tw / 2 + e0),
    depth: h,
    width: b,
  });
}

/** Width-wise slices of a channel: where half the area lies to the left, then first moments about that line. */
function channelMinorPlasticModulus({ h, b, tw, tf, r }: ChannelShape, A: number): number {
  const hw = h - 2 * tf;
  // material in height at distance x from the back of the web
  const filletDepth = (x: number) => (x >= tw && x <= tw + r ? r - Math.sqrt(r * r - (tw + r - x) ** 2) : 0);
  const areaLeft = (x: number) => {
    if (x <= tw) return h * x;
    const s = Math.min(x - tw, r);
    // integral of r - sqrt(r^2 - (r - s)^2) from 0 to s
    const u = r - s;
    const circle = r === 0 ? 0 : (r * r * (Math.PI / 2 - Math.asin(u / r)) - u * Math.sqrt(Math.max(0, r * r - u * u))) / 2;
    return h * tw + 2 * tf * (x - tw) + 2 * (r * s - circle);
  };
  let [low, high] = [0, b];
  for (let i = 0; i < 200; i += 1) {
    const middle = (low + high) / 2;
    if (areaLeft(middle) < A / 2) low = middle;
    else high = middle;
  }
  const axis = (low + high) / 2;
  // both halves' first moments about the axis: by the exact first moment of the whole and of what lies left of it
  const f = fillet(r);
  const firstWhole = b * b * tf + (hw * tw * tw) / 2 + 2 * f.area * (tw + f.centroid);
  const firstLeft =
    axis <= tw
      ? (h * axis * axis) / 2
      : integrate((x) => x * (x < tw ? h : 2 * tf + 2 * filletDepth(x)), axis, [tw, Math.min(axis, tw + r)]);
  const left = (axis * A) / 2 - firstLeft;
  const right = firstWhole - firstLeft - (axis * A) / 2;
  return left + right;
}

/** Area, second moment and half-section first moment about the horizontal axis of a rounded rectangle b wide, h deep. */
function roundedRectangle(b: number, h: number, r: number): { A: number; I: number; Wpl: number } {
  const f = fillet(r);
  const y = h / 2 - f.centroid;
  return { A: b * h - 4 * f.area, I: (b * h ** 3) / 12 - 4 * (f.second + f.area * y ** 2), Wpl: (b * h ** 2) / 4 - 4 * f.area * y };
}

function box({ h, b, t, ro, ri }: BoxShape): SectionProperties {
  const outer = roundedRectangle(b, h, ro);
  const inner = roundedRectangle(b - 2 * t, h - 2 * t, ri);
  const outerZ = roundedRectangle(h, b, ro);
  const innerZ = roundedRectangle(h - 2 * t, b - 2 * t, ri);
  const A = outer.A - inner.A;
  const Iy = outer.I - inner.I;
  const Iz = outerZ.I - innerZ.I;
  // Bredt with the middle line, plus the wall's own torsion (EN 10210-2 annex A)
  const rc = (ro + ri) / 2;
  const enclosed = (b - t) * (h - t) - rc ** 2 * (4 - Math.PI);
  const perimeter = 2 * (b - t + (h - t)) - 2 * rc * (4 - Math.PI);
  const It = (t ** 3 * perimeter) / 3 + (4 * enclosed ** 2 * t) / perimeter;
  return about({
    A,
    Iy,
    Iz,
    Wely: Iy / (h / 2),
    Welz: Iz / (b / 2),
    Wply: outer.Wpl - inner.Wpl,
    Wplz: outerZ.Wpl - innerZ.Wpl,
    iy: Math.sqrt(Iy / A),
    iz: Math.sqrt(Iz / A),
    It,
    Iw: 0,
    cz: b / 2,
    shearCentre: 0,
    depth: h,
    width: b,
  });
}

function tube({ d, t }: TubeShape): SectionProperties {
  const di = d - 2 * t;
  const A = (Math.PI / 4) * (d ** 2 - di ** 2);
  const I = (Math.PI / 64) * (d ** 4 - di ** 4);
  const Wpl = (d ** 3 - di ** 3) / 6;
  const Wel = I / (d / 2);
  const i = Math.sqrt(I / A);
  return about({
    A,
    Iy: I,
    Iz: I,
    Wely: Wel,
    Welz: Wel,
    Wply: Wpl,
    Wplz: Wpl,
    iy: i,
    iz: i,
    It: 2 * I,
    Iw: 0,
    cz: d / 2,
    shearCentre: 0,
    depth: d,
    width: d,
  });
}

/**
 * Properties of a shape from its dimensions, root radii included, mm units.
 * @throws BadInput when a dimension is not positive or the parts do not fit into each other
 */
export function sectionProperties(shape: Shape): SectionProperties {
  switch (shape.outline) {
    case 'I':
    case 'channel': {
      requirePositive(shape as unknown as Record<string, unknown>, ['h', 'b', 'tw', 'tf']);
      if (!(shape.r >= 0)) throw new BadInput('r must be at least 0 mm', 'r');
      if (shape.h - 2 * shape.tf - 2 * shape.r <= 0) throw new BadInput('flanges and root radii are deeper than the section', 'h');
      const sides = shape.outline === 'I' ? 2 : 1;
      if (shape.b <= shape.tw + sides * shape.r) throw new BadInput('web and root radii are wider than the flange', 'b');
      if (shape.taper) return tapered(shape);
      return shape.outline === 'I' ? iSection(shape) : channel(shape);
    }
    case 'unequalI':
      requirePositive(shape as unknown as Record<string, unknown>, ['h', 'b', 'tf', 'bBottom', 'tfBottom', 'tw']);
      if (shape.h <= shape.tf + shape.tfBottom) throw new BadInput('flanges are deeper than the section', 'h');
      if (Math.min(shape.b, shape.bBottom) <= shape.tw) throw new BadInput('the web is wider than a flange', 'b');
      return unequalI(shape);
    case 'tee':
      requirePositive(shape as unknown as Record<string, unknown>, ['h', 'b', 'tw', 'tf']);
      if (!(shape.r >= 0)) throw new BadInput('r must be at least 0 mm', 'r');
      if (shape.h <= shape.tf + shape.r) throw new BadInput('flange and root radius are deeper than the section', 'h');
      if (shape.b <= shape.tw + 2 * shape.r) throw new BadInput('web and root radii are wider than the flange', 'b');
      return tee(shape);
    case 'angle':
      requirePositive(shape as unknown as Record<string, unknown>, ['h', 'b', 't']);
      if (!(shape.r >= 0 && shape.toe >= 0 && shape.toe <= shape.t)) throw new BadInput('radii do not fit the legs', 'r');
      if (Math.min(shape.h, shape.b) <= shape.t + shape.r + shape.toe)
        throw new BadInput('leg and radii are longer than the other leg', 't');
      return angle(shape);
    case 'box':
      requirePositive(shape as unknown as Record<string, unknown>, ['h', 'b', 't']);
      if (2 * shape.t >= Math.min(shape.h, shape.b)) throw new BadInput('two walls are thicker than the section', 't');
      if (!(shape.ro >= 0 && shape.ri >= 0 && shape.ri <= shape.ro) || 2 * shape.ro > Math.min(shape.h, shape.b))
        throw new BadInput('corner radii do not fit the section', 'ro');
      return box(shape);
    case 'tube':
      requirePositive(shape as unknown as Record<string, unknown>, ['d', 't']);
      if (2 * shape.t >= shape.d) throw new BadInput('two walls are thicker than the diameter', 't');
      return tube(shape);
  }
}
