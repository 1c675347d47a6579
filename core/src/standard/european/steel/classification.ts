import { yieldStrength, type SteelGrade } from '../../../material';
import { unequalParts, type Section, type UnequalIShape } from '../../../section';
import type { Sheet } from '../../../sheet';
import { pressedFlanges, type BeamActions } from '../../standard';

export type SectionClass = 1 | 2 | 3 | 4;
/**
 * bending: about the major axis, either way; sagging, hogging: one way, of an I whose flanges are not alike; flange: of the flange parts alone, for
 * bending about the minor axis of an I.
 */
export type Stress = 'bending' | 'sagging' | 'hogging' | 'compression' | 'flange';

/** How a beam's moments bend a section: which way matters only where its flanges are not alike. */
export function bendingStress({ shape }: Section, actions: Pick<BeamActions, 'range'>): 'bending' | 'sagging' | 'hogging' {
  if (shape.outline !== 'unequalI') return 'bending';
  const [first, second] = pressedFlanges(actions);
  return second ? 'bending' : first === 'top' ? 'sagging' : 'hogging';
}

/** Thickness that decides the yield strength: the thickest part, EN 1993-1-1 table 3.1. mm */
export function governingThickness(section: Section): number {
  const { shape } = section;
  if (shape.outline === 'unequalI') return Math.max(shape.tf, shape.tfBottom, shape.tw);
  return 'tf' in shape ? Math.max(shape.tf, shape.tw) : shape.t;
}

/** Yield strength fy of a section in a grade, MPa, recorded on the sheet. */
export function sectionYield(section: Section, grade: SteelGrade, sheet?: Sheet): number {
  const t = governingThickness(section);
  const fy = yieldStrength(grade, t);
  sheet?.lookup('f_y', fy, 'stress', grade.standard, `${grade.id}, nominal thickness ${+t.toFixed(1)} mm`, 'EN 1993-1-1 3.2.1');
  return fy;
}

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

/** The parts of an outline that may buckle on their own, with their limits of class 1, 2 and 3 as multiples of epsilon. */
export function parts({ shape, properties }: Section, stress: Stress): Part[] {
  const web = stress === 'bending' ? INTERNAL_BENDING : INTERNAL_COMPRESSION;
  switch (shape.outline) {
    case 'I': {
      const { h, b, tw, tf, r } = shape;
      return [
        {
          name: 'outstand flange',
          symbol: 'c_f / t_f',
          ratio: (b - tw - 2 * r) / 2 / tf,
          formula: '(b - t_w - 2 * r) / 2 / t_f',
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
      const { h, b, tw, tf, r } = shape;
      return [
        {
          name: 'outstand flange',
          symbol: 'c_f / t_f',
          ratio: (b - tw - 2 * r) / 2 / tf,
          formula: '(b - t_w - 2 * r) / 2 / t_f',
          inputs: { b, t_w: tw, r, t_f: tf },
          limits: OUTSTAND,
          squared: false,
        },
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

/** Dimensions of a shape as givens, so that every formula that uses them stands on something. */
export function recordShape({ shape, properties, designation }: Section, sheet: Sheet | undefined): void {
  if (!sheet) return;
  const give = (symbol: string, value: number, meaning: string) => sheet.given(symbol, value, 'sectionLength', meaning, designation);
  if ('tf' in shape) {
    give('h', shape.h, 'overall depth');
    give('b', shape.b, 'flange width');
    give('t_w', shape.tw, 'web thickness');
    give('t_f', shape.tf, 'flange thickness');
    if (shape.outline === 'unequalI') {
      give('b_b', shape.bBottom, 'width of the bottom flange');
      give('t_fb', shape.tfBottom, 'thickness of the bottom flange');
      give('z_c', properties.cy, 'centroid below the top face');
      give('z_p', unequalParts(shape).plasticAxis, 'plastic neutral axis below the top face');
    } else give('r', shape.r, 'root radius');
  } else if (shape.outline === 'angle') {
    give('h', shape.h, 'vertical leg');
    give('b', shape.b, 'horizontal leg');
    give('t', shape.t, 'thickness');
  } else if (shape.outline === 'box') {
    give('h', shape.h, 'overall depth');
    give('b', shape.b, 'overall width');
    give('t', shape.t, 'wall thickness');
  } else {
    give('d', shape.d, 'outside diameter');
    give('t', shape.t, 'wall thickness');
  }
}

/** Classes of a section by the strength they were last asked for: what a sizing run asks again and again. */
const known = new WeakMap<Section, { readonly fy: number; readonly classes: Partial<Record<Stress, SectionClass>> }>();

/** Class of a cross-section in pure bending about its major axis or in pure compression, EN 1993-1-1 5.5 and table 5.2. fy: MPa. */
export function classify(section: Section, fy: number, stress: Stress, sheet?: Sheet): SectionClass {
  if (sheet) return findClass(section, fy, stress, sheet);
  let last = known.get(section);
  if (last?.fy !== fy) known.set(section, (last = { fy, classes: {} }));
  return (last.classes[stress] ??= findClass(section, fy, stress));
}

function findClass(section: Section, fy: number, stress: Stress, sheet?: Sheet): SectionClass {
  const epsilon = Math.sqrt(235 / fy);
  sheet?.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, epsilon, 'ratio', 'table 5.2');
  let worst: SectionClass = 1;
  const all = parts(section, stress);
  (stress === 'flange' ? all.slice(0, 1) : all).forEach((part, i) => {
    const scale = part.squared ? epsilon ** 2 : epsilon;
    const index = part.limits.findIndex((limit) => part.ratio <= limit * scale);
    const found = (index < 0 ? 4 : index + 1) as SectionClass;
    if (sheet) {
      const symbol = `s_${i + 1}`;
      sheet.step(symbol, part.formula, part.inputs, part.ratio, 'ratio', 'table 5.2', `${part.name}, ${part.symbol}`);
      const power = part.squared ? 'epsilon^2' : 'epsilon';
      const index = Math.min(found, 3) - 1;
      const limit = part.written?.limits[index] ?? part.limits[index]!;
      sheet.branch(
        `${symbol} <= ${limit === Infinity ? 1e9 : limit} * ${power}`,
        { [symbol]: part.ratio, epsilon, ...part.written?.inputs },
        found <= 3,
        'table 5.2',
        `${part.name} in ${stress}: class ${found}`,
      );
    }
    if (found > worst) worst = found;
  });
  return worst;
}

/** The class of a part by its three limits. */
const within = (ratio: number, first: number, second: number, third: number): SectionClass =>
  ratio <= first ? 1 : ratio <= second ? 2 : ratio <= third ? 3 : 4;

const compressed = new WeakMap<Section, readonly [Part, Part]>();

function compressedParts(section: Section): readonly [Part, Part] {
  let found = compressed.get(section);
  if (!found) compressed.set(section, (found = parts(section, 'compression') as [Part, Part]));
  return found;
}

/**
 * Class of an I, H or box bent about its major axis beside a compression, EN 1993-1-1 table 5.2: the web's limits lie between those
 * of bending and of compression, by the part of it that is compressed. N: compression positive (a tension helps and is left out);
 * shapes without such a web take the class of pure compression, which is never better.
 */
export function classifyBesideCompression(
  section: Section,
  fy: number,
  N: number,
  sheet?: Sheet,
  stress: 'bending' | 'sagging' | 'hogging' = 'bending',
): SectionClass {
  const { shape, properties } = section;
  if (N <= 0) return classify(section, fy, stress, sheet);
  if (shape.outline !== 'I' && shape.outline !== 'box') return classify(section, fy, 'compression', sheet);
  const epsilon = Math.sqrt(235 / fy);
  const [flange, web] = compressedParts(section);
  const c = shape.outline === 'I' ? shape.h - 2 * shape.tf - 2 * shape.r : shape.h - 3 * shape.t;
  const t = shape.outline === 'I' ? shape.tw : 2 * shape.t;
  const alpha = Math.min(1, 0.5 * (1 + N / (c * t * fy)));
  const psi = Math.max(-1, Math.min(1, (2 * N) / (properties.A * fy) - 1));
  const first = alpha > 0.5 ? 396 / (13 * alpha - 1) : 36 / alpha;
  const second = alpha > 0.5 ? 456 / (13 * alpha - 1) : 41.5 / alpha;
  const third = psi > -1 ? 42 / (0.67 + 0.33 * psi) : 124;
  const webClass = within(web.ratio, first * epsilon, second * epsilon, third * epsilon);
  const [one, two, three] = flange.limits;
  const flangeClass = within(flange.ratio, one * epsilon, two * epsilon, three * epsilon);
  if (sheet) {
    sheet.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, epsilon, 'ratio', 'table 5.2');
    sheet.step('s_1', flange.formula, flange.inputs, flange.ratio, 'ratio', 'table 5.2', `${flange.name}, ${flange.symbol}`);
    const limit = flange.limits[Math.min(flangeClass, 3) - 1]!;
    sheet.branch(
      `s_1 <= ${limit} * epsilon`,
      { s_1: flange.ratio, epsilon },
      flangeClass <= 3,
      'table 5.2',
      `${flange.name} in compression: class ${flangeClass}`,
    );
    sheet.step('s_2', web.formula, web.inputs, web.ratio, 'ratio', 'table 5.2', `${web.name}, ${web.symbol}`);
    const [depth, inputs] =
      shape.outline === 'I'
        ? ['(h - 2 * t_f - 2 * r) * t_w', { h: shape.h, t_f: shape.tf, r: shape.r, t_w: shape.tw }]
        : ['(h - 3 * t) * 2 * t', { h: shape.h, t: shape.t }];
    sheet.step(
      'alpha_c',
      `min(1, 0.5 * (1 + N_Ed / (${depth} * f_y)))`,
      { N_Ed: N, ...inputs, f_y: fy } as Record<string, number>,
      alpha,
      'ratio',
      'table 5.2',
      'part of the web in compression, plastic',
    );
    sheet.given('A', properties.A, 'area', 'area', section.designation);
    sheet.step(
      'psi_c',
      'max(-1, min(1, 2 * N_Ed / (A * f_y) - 1))',
      { N_Ed: N, A: properties.A, f_y: fy },
      psi,
      'ratio',
      'table 5.2',
      'ratio of edge stresses, elastic',
    );
    const names = [
      alpha > 0.5 ? '396 / (13 * alpha_c - 1)' : '36 / alpha_c',
      alpha > 0.5 ? '456 / (13 * alpha_c - 1)' : '41.5 / alpha_c',
      psi > -1 ? '42 / (0.67 + 0.33 * psi_c)' : '124',
    ];
    sheet.branch(
      `s_2 <= ${names[Math.min(webClass, 3) - 1]} * epsilon`,
      { s_2: web.ratio, epsilon, alpha_c: alpha, psi_c: psi },
      webClass <= 3,
      'table 5.2',
      `${web.name}: class ${webClass}`,
    );
  }
  return Math.max(webClass, flangeClass) as SectionClass;
}

/** Classes in words, for a section's page. @throws BadInput when the grade is not made so thick */
export function localSlenderness(section: Section, grade: SteelGrade): { bending: string; compression: string } {
  const fy = sectionYield(section, grade);
  return { bending: `class ${classify(section, fy, 'bending')}`, compression: `class ${classify(section, fy, 'compression')}` };
}
