import { yieldStrength, type SteelGrade } from '../../../material';
import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';

export type SectionClass = 1 | 2 | 3 | 4;
export type Stress = 'bending' | 'compression';

/** Thickness that decides the yield strength: the thickest part, EN 1993-1-1 table 3.1. mm */
export function governingThickness(section: Section): number {
  const { shape } = section;
  return shape.outline === 'I' || shape.outline === 'channel' ? Math.max(shape.tf, shape.tw) : shape.t;
}

/** Yield strength fy of a section in a grade, MPa, recorded on the sheet. */
export function sectionYield(section: Section, grade: SteelGrade, sheet?: Sheet): number {
  const t = governingThickness(section);
  const fy = yieldStrength(grade, t);
  sheet?.lookup('f_y', fy, 'stress', grade.standard, `${grade.id}, nominal thickness ${+t.toFixed(1)} mm`, 'EN 1993-1-1 3.2.1');
  return fy;
}

interface Part {
  readonly name: string;
  readonly symbol: string;
  readonly ratio: number;
  readonly formula: string;
  readonly inputs: Record<string, number>;
  readonly limits: readonly [number, number, number];
  readonly squared: boolean;
}

const OUTSTAND = [9, 10, 14] as const;
const INTERNAL_COMPRESSION = [33, 38, 42] as const;
const INTERNAL_BENDING = [72, 83, 124] as const;
const TUBE = [50, 70, 90] as const;

function parts({ shape }: Section, stress: Stress): Part[] {
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

/** Dimensions of a shape as givens, so that every formula that uses them stands on something. */
export function recordShape({ shape, designation }: Section, sheet: Sheet | undefined): void {
  if (!sheet) return;
  const give = (symbol: string, value: number, meaning: string) => sheet.given(symbol, value, 'sectionLength', meaning, designation);
  if (shape.outline === 'I' || shape.outline === 'channel') {
    give('h', shape.h, 'overall depth');
    give('b', shape.b, 'flange width');
    give('t_w', shape.tw, 'web thickness');
    give('t_f', shape.tf, 'flange thickness');
    give('r', shape.r, 'root radius');
  } else if (shape.outline === 'box') {
    give('h', shape.h, 'overall depth');
    give('b', shape.b, 'overall width');
    give('t', shape.t, 'wall thickness');
  } else {
    give('d', shape.d, 'outside diameter');
    give('t', shape.t, 'wall thickness');
  }
}

/** Class of a cross-section in pure bending about its major axis or in pure compression, EN 1993-1-1 5.5 and table 5.2. fy: MPa. */
export function classify(section: Section, fy: number, stress: Stress, sheet?: Sheet): SectionClass {
  const epsilon = Math.sqrt(235 / fy);
  sheet?.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, epsilon, 'ratio', 'table 5.2');
  let worst: SectionClass = 1;
  parts(section, stress).forEach((part, i) => {
    const scale = part.squared ? epsilon ** 2 : epsilon;
    const index = part.limits.findIndex((limit) => part.ratio <= limit * scale);
    const found = (index < 0 ? 4 : index + 1) as SectionClass;
    if (sheet) {
      const symbol = `s_${i + 1}`;
      sheet.step(symbol, part.formula, part.inputs, part.ratio, 'ratio', 'table 5.2', `${part.name}, ${part.symbol}`);
      const power = part.squared ? 'epsilon^2' : 'epsilon';
      const limit = part.limits[Math.min(found, 3) - 1]!;
      sheet.branch(
        `${symbol} <= ${limit} * ${power}`,
        { [symbol]: part.ratio, epsilon },
        found <= 3,
        'table 5.2',
        `${part.name} in ${stress}: class ${found}`,
      );
    }
    if (found > worst) worst = found;
  });
  return worst;
}
