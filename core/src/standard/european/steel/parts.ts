import {
  plasticHalves,
  unequalParts,
  type AngleShape,
  type IShape,
  type Section,
  type TeeShape,
  type UnequalIShape,
} from '../../../section';

/**
 * bending: about the major axis, either way; sagging, hogging: one way, of a tee or an I whose flanges are not alike; flange: of the flange parts
 * alone, for bending about the minor axis of an I or tee.
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
/** Angles are used elastically here: class 3 at best. In compression table 5.2 sheet 3, in bending the outstands of sheet 2. */
const ANGLE_BENT = [0, 0, 14] as const;
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
    case 'tee':
      return teeParts(shape, properties.cy, stress);
    case 'angle':
      return angleParts(shape, stress);
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

/** Parts of an angle: its legs under compression, or either leg as an outstand that is pressed all over, which no bending exceeds. */
function angleParts({ h, b, t, r }: AngleShape, stress: Stress): Part[] {
  if (stress !== 'compression') {
    const longer = Math.max(h, b);
    return [
      {
        name: 'longer leg',
        symbol: 'c / t',
        ratio: (longer - t - r) / t,
        formula: '(max(h, b) - t - r) / t',
        inputs: { h, b, t, r },
        limits: ANGLE_BENT,
        squared: false,
      },
    ];
  }
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

/**
 * Parts of a tee, flange on top. Sagging presses the flange, and of the stem what lies above the neutral axis: an outstand whose tip is in tension.
 * Hogging presses the tip. Table 5.2 sheet 2 with the buckling factors of EN 1993-1-5 table 4.2. cy: mm.
 */
function teeParts(shape: TeeShape, cy: number, stress: Stress): Part[] {
  const { h, tw, tf, r } = shape;
  const c = h - tf - r;
  const stem = { symbol: 'c_w / t_w', ratio: c / tw, formula: '(h - t_f - r) / t_w', inputs: { h, t_f: tf, r, t_w: tw }, squared: false };
  const flange = outstandFlange(shape);
  if (stress === 'compression') return [flange, { ...stem, name: 'stem', limits: OUTSTAND }];
  if (stress === 'flange') return [flange];
  const axis = plasticHalves(shape).axis;
  const inputs = { h, t_f: tf, r, z_p: axis, z_c: cy };
  const sagging = (): Part[] => {
    const alpha = Math.min(1, (axis - tf - r) / c);
    // ratio of edge stresses, of the tip to the root, where the root is pressed
    const isPressed = cy > tf + r;
    const psi = isPressed ? Math.max(-1, -(h - cy) / (cy - tf - r)) : -1;
    const k = psi >= 0 ? 0.578 / (psi + 0.34) : 1.7 - 5 * psi + 17.1 * psi ** 2;
    const part = '(z_p - t_f - r) / (h - t_f - r)';
    const written = 'max(-1, -(h - z_c) / (z_c - t_f - r))';
    const plastic = (limit: number) => (alpha > 0 ? limit / alpha ** 1.5 : Infinity);
    return [
      flange,
      {
        ...stem,
        name: 'stem, flange pressed',
        limits: [plastic(9), plastic(10), isPressed ? 21 * Math.sqrt(k) : Infinity],
        ...(alpha > 0 && isPressed
          ? {
              written: {
                limits: [`9 / (${part})^1.5`, `10 / (${part})^1.5`, `21 * sqrt(1.7 - 5 * ${written} + 17.1 * ${written}^2)`] as const,
                inputs,
              },
            }
          : {}),
      },
    ];
  };
  const hogging = (): Part => {
    const alpha = Math.min(1, (h - axis) / c);
    const psi = Math.max(-3, -(cy - tf - r) / (h - cy));
    const part = 'min(1, (h - z_p) / (h - t_f - r))';
    const written = 'max(-3, -(z_c - t_f - r) / (h - z_c))';
    return {
      ...stem,
      name: 'stem, its tip pressed',
      limits: [9 / alpha, 10 / alpha, 21 * Math.sqrt(0.57 - 0.21 * psi + 0.07 * psi ** 2)],
      written: { limits: [`9 / ${part}`, `10 / ${part}`, `21 * sqrt(0.57 - 0.21 * ${written} + 0.07 * ${written}^2)`], inputs },
    };
  };
  if (stress === 'sagging') return sagging();
  if (stress === 'hogging') return [hogging()];
  return [...sagging(), hogging()];
}
