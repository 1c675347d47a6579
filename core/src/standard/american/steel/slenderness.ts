import { unequalParts, type Section, type UnequalIShape } from '../../../section';
import type { Sheet } from '../../../sheet';

export type Compactness = 'compact' | 'noncompact' | 'slender';

/** Dimensions as givens, by AISC symbols. */
export function recordShape({ shape, designation, region }: Section, sheet: Sheet | undefined): void {
  if (!sheet) return;
  const give = (symbol: string, value: number, meaning: string) => sheet.given(symbol, value, 'sectionLength', meaning, designation);
  if ('tf' in shape) {
    give('d', shape.h, 'overall depth');
    give('b_f', shape.b, 'flange width');
    give('t_w', shape.tw, 'web thickness');
    give('t_f', shape.tf, 'flange thickness');
    if (shape.outline === 'unequalI') {
      give('b_fb', shape.bBottom, 'width of the bottom flange');
      give('t_fb', shape.tfBottom, 'thickness of the bottom flange');
    } else give('k', shape.tf + shape.r, 'outer face to toe of fillet');
  } else if (shape.outline === 'angle') {
    give('d', shape.h, 'vertical leg');
    give('b', shape.b, 'horizontal leg');
    give('t', shape.t, 'thickness');
  } else if (shape.outline === 'box') {
    give('H', shape.h, 'overall depth');
    give('B', shape.b, 'overall width');
    give('t', shape.t, region === 'american' ? 'design wall, 0.93 of the nominal' : 'design wall');
  } else {
    give('D', shape.d, 'outside diameter');
    give('t', shape.t, region === 'american' ? 'design wall, 0.93 of the nominal' : 'design wall');
  }
}

export interface Element {
  readonly symbol: string;
  readonly formula: string;
  readonly inputs: Record<string, number>;
  readonly ratio: number;
  readonly title: string;
  /** Limits as multiples of sqrt(E/Fy), or of E/Fy for round shapes. */
  readonly compact: number;
  readonly noncompact: number;
  readonly table: string;
}

/** A box put together of plates: its walls meet at sharp corners. */
export const isBuiltUpBox = ({ shape }: Section): boolean => shape.outline === 'box' && shape.ro === 0;

/**
 * Flat widths of a box, mm, AISC 360-16 B4.1b: of a built-up one the clear distance between its walls, (e); of a hollow structural section the outside
 * less three times the wall, (d). `off` is how many walls are taken off.
 */
export function boxWidths(section: Section): { readonly flange: number; readonly web: number; readonly off: 2 | 3 } {
  const { h, b, t } = section.shape as { h: number; b: number; t: number };
  const off = isBuiltUpBox(section) ? 2 : 3;
  return { flange: b - off * t, web: h - off * t, off };
}

/** The top and the bottom flange of a welded I of unequal flanges, AISC 360-16 table B4.1b case 11 with FL = 0.7 Fy. */
function unequalFlanges(shape: UnequalIShape): readonly [Element, Element] {
  const kc = flangeHold(unequalParts(shape).hw / shape.tw);
  const flange = (title: string, width: number, t: number, [w, f]: readonly [string, string]): Element => ({
    symbol: 'lambda_f',
    formula: `${w} / 2 / ${f}`,
    inputs: { [w]: width, [f]: t },
    ratio: width / 2 / t,
    title,
    compact: 0.38,
    noncompact: 0.95 * Math.sqrt(kc / 0.7),
    table: 'table B4.1b case 11',
  });
  return [
    flange('top flange', shape.b, shape.tf, ['b_f', 't_f']),
    flange('bottom flange', shape.bBottom, shape.tfBottom, ['b_fb', 't_fb']),
  ];
}

/** Flange of an I or channel in flexure, AISC 360-16 table B4.1b case 10; of a hollow section, case 17; of a built-up box, case 21; of a tube, case 20. */
export function flangeInFlexure(section: Section): Element {
  const { shape, product } = section;
  if (shape.outline === 'unequalI') {
    const [top, bottom] = unequalFlanges(shape);
    return top.ratio >= bottom.ratio ? top : bottom;
  }
  if (shape.outline === 'I') {
    const isWelded = product === 'welded';
    const web = (shape.h - 2 * (shape.tf + shape.r)) / shape.tw;
    return {
      symbol: 'lambda_f',
      formula: 'b_f / 2 / t_f',
      inputs: { b_f: shape.b, t_f: shape.tf },
      ratio: shape.b / 2 / shape.tf,
      title: 'flange',
      compact: 0.38,
      // case 11: 0.95 sqrt(kc E / FL) with FL = 0.7 Fy
      noncompact: isWelded ? 0.95 * Math.sqrt(flangeHold(web) / 0.7) : 1.0,
      table: isWelded ? 'table B4.1b case 11' : 'table B4.1b case 10',
    };
  }
  if (shape.outline === 'channel')
    return {
      symbol: 'lambda_f',
      formula: 'b_f / t_f',
      inputs: { b_f: shape.b, t_f: shape.tf },
      ratio: shape.b / shape.tf,
      title: 'flange',
      compact: 0.38,
      noncompact: 1.0,
      table: 'table B4.1b case 10',
    };
  if (shape.outline === 'box') {
    const { flange, off } = boxWidths(section);
    const isBuiltUp = isBuiltUpBox(section);
    return {
      symbol: 'lambda_f',
      formula: `(B - ${off} * t) / t`,
      inputs: { B: shape.b, t: shape.t },
      ratio: flange / shape.t,
      title: 'flange wall',
      compact: 1.12,
      noncompact: isBuiltUp ? 1.49 : 1.4,
      table: isBuiltUp ? 'table B4.1b case 21' : 'table B4.1b case 17',
    };
  }
  if (shape.outline === 'tee')
    return {
      symbol: 'lambda_f',
      formula: 'b_f / 2 / t_f',
      inputs: { b_f: shape.b, t_f: shape.tf },
      ratio: shape.b / 2 / shape.tf,
      title: 'flange',
      compact: 0.38,
      noncompact: 1.0,
      table: 'table B4.1b case 10',
    };
  if (shape.outline === 'angle')
    return {
      symbol: 'lambda_f',
      formula: 'b / t',
      inputs: { b: shape.b, t: shape.t },
      ratio: shape.b / shape.t,
      title: 'horizontal leg',
      compact: 0.54,
      noncompact: 0.91,
      table: 'table B4.1b case 12',
    };
  return {
    symbol: 'lambda_f',
    formula: 'D / t',
    inputs: { D: shape.d, t: shape.t },
    ratio: shape.d / shape.t,
    title: 'round wall',
    compact: 0.07,
    noncompact: 0.31,
    table: 'table B4.1b case 20',
  };
}

/** Web in flexure, AISC 360-16 table B4.1b case 15; of a box, case 19. Null for tubes. */
export function webInFlexure(section: Section): Element | null {
  const { shape } = section;
  if (shape.outline === 'tube') return null;
  if (shape.outline === 'box') {
    const { web, off } = boxWidths(section);
    return {
      symbol: 'lambda_w',
      formula: `(H - ${off} * t) / t`,
      inputs: { H: shape.h, t: shape.t },
      ratio: web / shape.t,
      title: 'web wall',
      compact: 2.42,
      noncompact: 5.7,
      table: 'table B4.1b case 19',
    };
  }
  if (shape.outline === 'tee')
    return {
      symbol: 'lambda_w',
      formula: 'd / t_w',
      inputs: { d: shape.h, t_w: shape.tw },
      ratio: shape.h / shape.tw,
      title: 'stem',
      compact: 0.84,
      noncompact: 1.52,
      table: 'table B4.1b case 14',
    };
  if (shape.outline === 'angle')
    return {
      symbol: 'lambda_w',
      formula: 'd / t',
      inputs: { d: shape.h, t: shape.t },
      ratio: shape.h / shape.t,
      title: 'vertical leg',
      compact: 0.54,
      noncompact: 0.91,
      table: 'table B4.1b case 12',
    };
  if (shape.outline === 'unequalI')
    return {
      symbol: 'lambda_w',
      formula: '(d - t_f - t_fb) / t_w',
      inputs: { d: shape.h, t_f: shape.tf, t_fb: shape.tfBottom, t_w: shape.tw },
      ratio: unequalParts(shape).hw / shape.tw,
      title: 'web',
      compact: 3.76,
      noncompact: 5.7,
      table: 'table B4.1b case 15',
    };
  const k = shape.tf + shape.r;
  return {
    symbol: 'lambda_w',
    formula: '(d - 2 * k) / t_w',
    inputs: { d: shape.h, k, t_w: shape.tw },
    ratio: (shape.h - 2 * k) / shape.tw,
    title: 'web',
    compact: 3.76,
    noncompact: 5.7,
    table: 'table B4.1b case 15',
  };
}

/** Coefficient of a slender flange's hold on its web, AISC 360-16 table B4.1 note [a]. */
export function flangeHold(depthOverThickness: number): number {
  return Math.min(0.76, Math.max(0.35, 4 / Math.sqrt(depthOverThickness)));
}

/** A part that may buckle in uniform compression, with what its effective width is made of. */
export interface CompressionPart extends Element {
  /** Width and thickness, mm, and how many of them. */
  readonly width: number;
  readonly thickness: number;
  readonly count: number;
  /** Imperfection factors c1 and c2, AISC 360-16 table E7.1. */
  readonly c1: number;
  readonly c2: number;
}

const STIFFENED = { c1: 0.18, c2: 1.31 };
const WALL = { c1: 0.2, c2: 1.38 };
const OTHER = { c1: 0.22, c2: 1.49 };

/** Parts in uniform compression and their limits, AISC 360-16 table B4.1a cases 1 to 6, 9. */
export function partsInCompression(section: Section): CompressionPart[] {
  const flange = flangeInFlexure(section);
  const web = webInFlexure(section);
  const { shape, product } = section;
  switch (shape.outline) {
    case 'tube':
      return [{ ...flange, noncompact: 0.11, table: 'table B4.1a case 9', width: shape.d, thickness: shape.t, count: 1, ...OTHER }];
    case 'box': {
      const widths = boxWidths(section);
      const common = isBuiltUpBox(section)
        ? { noncompact: 1.49, table: 'table B4.1a case 8', thickness: shape.t, count: 2, ...STIFFENED }
        : { noncompact: 1.4, table: 'table B4.1a case 6', thickness: shape.t, count: 2, ...WALL };
      return [
        { ...flange, ...common, width: widths.flange },
        { ...web!, ...common, width: widths.web },
      ];
    }
    case 'angle':
      return [
        { ...flange, noncompact: 0.45, table: 'table B4.1a case 3', width: shape.b, thickness: shape.t, count: 1, ...OTHER },
        { ...web!, noncompact: 0.45, table: 'table B4.1a case 3', width: shape.h, thickness: shape.t, count: 1, ...OTHER },
      ];
    case 'unequalI': {
      const noncompact = 0.64 * Math.sqrt(flangeHold(web!.ratio));
      const [top, bottom] = unequalFlanges(shape);
      const common = { noncompact, table: 'table B4.1a case 2', count: 2, ...OTHER };
      return [
        { ...top, ...common, width: shape.b / 2, thickness: shape.tf },
        { ...bottom, ...common, width: shape.bBottom / 2, thickness: shape.tfBottom },
        {
          ...web!,
          noncompact: 1.49,
          table: 'table B4.1a case 5',
          width: unequalParts(shape).hw,
          thickness: shape.tw,
          count: 1,
          ...STIFFENED,
        },
      ];
    }
    case 'tee':
      return [
        { ...flange, noncompact: 0.56, table: 'table B4.1a case 1', width: shape.b / 2, thickness: shape.tf, count: 2, ...OTHER },
        { ...web!, noncompact: 0.75, table: 'table B4.1a case 4', width: shape.h, thickness: shape.tw, count: 1, ...OTHER },
      ];
    case 'I':
    case 'channel': {
      const sides = shape.outline === 'I' ? 2 : 1;
      const k = shape.tf + shape.r;
      // case 2: 0.64 sqrt(kc E / Fy)
      const limit = product === 'welded' ? 0.64 * Math.sqrt(flangeHold(web!.ratio)) : 0.56;
      return [
        {
          ...flange,
          noncompact: limit,
          table: product === 'welded' ? 'table B4.1a case 2' : 'table B4.1a case 1',
          width: shape.b / sides,
          thickness: shape.tf,
          count: 2 * sides,
          ...OTHER,
        },
        { ...web!, noncompact: 1.49, table: 'table B4.1a case 5', width: shape.h - 2 * k, thickness: shape.tw, count: 1, ...STIFFENED },
      ];
    }
  }
}

/** Compactness of a part in flexure. E, Fy: MPa. */
export function compactness(element: Element, E: number, Fy: number, isRound: boolean, sheet?: Sheet): Compactness {
  const root = isRound ? E / Fy : Math.sqrt(E / Fy);
  const found: Compactness =
    element.ratio <= element.compact * root ? 'compact' : element.ratio <= element.noncompact * root ? 'noncompact' : 'slender';
  if (sheet) {
    const scale = isRound ? 'E / F_y' : 'sqrt(E / F_y)';
    const { symbol, ratio } = element;
    sheet.step(symbol, element.formula, element.inputs, ratio, 'ratio', element.table, element.title);
    const limit = found === 'compact' ? element.compact : element.noncompact;
    sheet.branch(
      `${symbol} <= ${limit} * ${scale}`,
      { [symbol]: ratio, E, F_y: Fy },
      found !== 'slender',
      element.table,
      `${element.title} is ${found}`,
    );
  }
  return found;
}

/** Whether a part is slender in uniform compression. */
export function isSlenderInCompression(element: Element, E: number, Fy: number, isRound: boolean, sheet?: Sheet): boolean {
  const root = isRound ? E / Fy : Math.sqrt(E / Fy);
  const slender = element.ratio > element.noncompact * root;
  if (sheet) {
    const { symbol, ratio } = element;
    sheet.step(symbol, element.formula, element.inputs, ratio, 'ratio', element.table, element.title);
    sheet.branch(
      `${symbol} > ${element.noncompact} * ${isRound ? 'E / F_y' : 'sqrt(E / F_y)'}`,
      { [symbol]: ratio, E, F_y: Fy },
      slender,
      element.table,
      `${element.title} is ${slender ? 'slender' : 'nonslender'}`,
    );
  }
  return slender;
}
