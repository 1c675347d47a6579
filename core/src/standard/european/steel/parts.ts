import { unequalParts, type IShape, type Section, type UnequalIShape } from '../../../section';

/**
 * bending: about the major axis, either way; sagging, hogging: one way, of an I whose flanges are not alike; flange: of the flange parts alone, for
 * bending about the minor axis of an I.
 */
export type Stress = 'bending' | 'sagging' | 'hogging' | 'compression' | 'flange';

export interface Part {
  readonly name: string;
  readonly symbol: string;
  readonly ratio: number;
  readonly formula: string;
  readonly inputs: Record<string, number>;
  readonly limits: readonly [number, number, number];
  readonly squared: boolean;
  /** The limits as they are written, and what stands in them; left out: they are numbers. */
  readonly written?: { readonly limits: readonly [string, string, string]; readonly inputs: Record<string, number> };
}

const OUTSTAND = [9, 10, 14] as const;
const INTERNAL_COMPRESSION = [33, 38, 42] as const;
const INTERNAL_BENDING = [72, 83, 124] as const;
const TUBE = [50, 70, 90] as const;
/** Angles are used elastically here: class 3 at best, table 5.2 sheet 3. */
const ANGLE_LEG = [0, 0, 15] as const;
const ANGLE_BOTH = [0, 0, 11.5] as const;

/** Half a flange of an I or tee, clear of web and fillet. */
function outstandFlange({ b, tw, tf, r }: Pick<IShape, 'b' | 'tw' | 'tf' | 'r'>): Part {
  return {
    name: 'outstand flange',
    symbol: 'c_f / t_f',
    ratio: (b - tw - 2 * r) / 2 / tf,
    formula: '(b - t_w - 2 * r) / 2 / t_f',
    inputs: { b, t_w: tw, r, t_f: tf },
    limits: OUTSTAND,
    squared: false,
  };
}

/** The parts of an outline that may buckle on their own, with their limits of class 1, 2 and 3 as multiples of epsilon. */
export function parts({ shape, properties }: Section, stress: Stress): Part[] {
  const web = stress === 'bending' ? INTERNAL_BENDING : INTERNAL_COMPRESSION;
  switch (shape.outline) {
    case 'I': {
      const { h, tw, tf, r } = shape;
      return [
        outstandFlange(shape),
        {
          name: 'web',
          symbol: 'c_w / t_w',
          ratio: (h - 2 * tf - 2 * r) / tw,
          formula: '(h - 2 * t_f - 2 * r) / t_w',
          inputs: { h, t_f: tf, r, t_w: tw },
          limits: web,
          squared: false,
        },
      ];
    }
    case 'unequalI':
      return unequalIParts(shape, properties.cy, stress);
    case 'channel': {
      const { h, b, tw, tf, r } = shape;
      return [
        {
          name: 'outstand flange',
          symbol: 'c_f / t_f',
          ratio: (b - tw - r) / tf,
          formula: '(b - t_w - r) / t_f',
          inputs: { b, t_w: tw, r, t_f: tf },
          limits: OUTSTAND,
          squared: false,
        },
        {
          name: 'web',
          symbol: 'c_w / t_w',
          ratio: (h - 2 * tf - 2 * r) / tw,
          formula: '(h - 2 * t_f - 2 * r) / t_w',
          inputs: { h, t_f: tf, r, t_w: tw },
          limits: web,
          squared: false,
        },
      ];
    }
    case 'box': {
      const { h, b, t } = shape;
      return [
        {
          name: 'flange wall',
          symbol: 'c_f / t',
          ratio: (b - 3 * t) / t,
          formula: '(b - 3 * t) / t',
          inputs: { b, t },
          limits: INTERNAL_COMPRESSION,
          squared: false,
        },
        {
          name: 'web wall',
          symbol: 'c_w / t',
          ratio: (h - 3 * t) / t,
          formula: '(h - 3 * t) / t',
          inputs: { h, t },
          limits: web,
          squared: false,
        },
      ];
    }
    case 'tee': {
      const { h, tw, tf, r } = shape;
      return [
        outstandFlange(shape),
        {
          name: 'stem, taken as wholly in compression,',
          symbol: 'c_w / t_w',
          ratio: (h - tf - r) / tw,
          formula: '(h - t_f - r) / t_w',
          inputs: { h, t_f: tf, r, t_w: tw },
          limits: OUTSTAND,
          squared: false,
        },
      ];
    }
    case 'angle': {
      const { h, b, t } = shape;
      return [
        {
          name: 'longer leg',
          symbol: 'h / t',
          ratio: Math.max(h, b) / t,
          formula: 'max(h, b) / t',
          inputs: { h, b, t },
          limits: ANGLE_LEG,
          squared: false,
        },
        {
          name: 'both legs',
          symbol: '(b + h) / (2 t)',
          ratio: (b + h) / (2 * t),
          formula: '(b + h) / (2 * t)',
          inputs: { b, h, t },
          limits: ANGLE_BOTH,
          squared: false,
        },
      ];
    }
    case 'tube':
      return [
        {
          name: 'tube',
          symbol: 'd / t',
          ratio: shape.d / shape.t,
          formula: 'd / t',
          inputs: { d: shape.d, t: shape.t },
          limits: TUBE,
          squared: true,
        },
      ];
  }
}

/** Parts of a welded I of unequal flanges: either flange may be the one that is pressed, and the web is looked at both ways. cy: mm. */
function unequalIParts(shape: UnequalIShape, cy: number, stress: Stress): Part[] {
  const { h, b, tf, bBottom, tfBottom, tw } = shape;
  const { hw, plasticAxis } = unequalParts(shape);
  const flange = (name: string, width: number, t: number, [w, f]: readonly [string, string]): Part => ({
    name,
    symbol: `c_f / ${f}`,
    ratio: (width - tw) / 2 / t,
    formula: `(${w} - t_w) / 2 / ${f}`,
    inputs: { [w]: width, t_w: tw, [f]: t },
    limits: OUTSTAND,
    squared: false,
  });
  const flanges = [
    flange('outstand of the top flange', b, tf, ['b', 't_f']),
    flange('outstand of the bottom flange', bBottom, tfBottom, ['b_b', 't_fb']),
  ];
  const web = {
    symbol: 'c_w / t_w',
    ratio: hw / tw,
    formula: '(h - t_f - t_fb) / t_w',
    inputs: { h, t_f: tf, t_fb: tfBottom, t_w: tw },
    squared: false,
  };
  if (stress === 'compression' || stress === 'flange') return [...flanges, { ...web, name: 'web', limits: INTERNAL_COMPRESSION }];
  const sides = [
    ['top', plasticAxis - tf, cy - tf, '(z_p - t_f)', '(h - t_fb - z_c) / (z_c - t_f)'],
    ['bottom', h - tfBottom - plasticAxis, h - tfBottom - cy, '(h - t_fb - z_p)', '(z_c - t_f) / (h - t_fb - z_c)'],
  ] as const;
  const inputs = { h, t_f: tf, t_fb: tfBottom, z_p: plasticAxis, z_c: cy };
  const webs = sides.map(([side, plastic, elastic, part, edges]): Part => {
    const alpha = Math.min(1, Math.max(0, plastic / hw));
    // an axis within the pressed flange leaves no web in compression
    const psi = elastic > 0 ? -(hw - elastic) / elastic : -Infinity;
    const share = `min(1, max(0, ${part} / (h - t_f - t_fb)))`;
    const ratio = `(${edges})`;
    return {
      ...web,
      name: `web, ${side} flange pressed`,
      limits: [
        alpha > 0.5 ? 396 / (13 * alpha - 1) : 36 / alpha,
        alpha > 0.5 ? 456 / (13 * alpha - 1) : 41.5 / alpha,
        psi > -1 ? 42 / (0.67 + 0.33 * psi) : 62 * (1 - psi) * Math.sqrt(-psi),
      ],
      ...(alpha === 0 || psi === -Infinity
        ? {}
        : {
            written: {
              limits: [
                alpha > 0.5 ? `396 / (13 * ${share} - 1)` : `36 / ${share}`,
                alpha > 0.5 ? `456 / (13 * ${share} - 1)` : `41.5 / ${share}`,
                psi > -1 ? `42 / (0.67 - 0.33 * ${ratio})` : `62 * (1 + ${ratio}) * sqrt(${ratio})`,
              ],
              inputs,
            },
          }),
    };
  });
  if (stress === 'bending') return [...flanges, ...webs];
  const i = stress === 'sagging' ? 0 : 1;
  return [flanges[i]!, webs[i]!];
}
