import type { Section } from '../../../section';
import type { Sheet } from '../../../sheet';

export type Compactness = 'compact' | 'noncompact' | 'slender';

/** Dimensions as givens, by AISC symbols. */
export function recordShape({ shape, designation }: Section, sheet: Sheet | undefined): void {
  if (!sheet) return;
  const give = (symbol: string, value: number, meaning: string) => sheet.given(symbol, value, 'sectionLength', meaning, designation);
  if (shape.outline === 'I' || shape.outline === 'channel') {
    give('d', shape.h, 'overall depth');
    give('b_f', shape.b, 'flange width');
    give('t_w', shape.tw, 'web thickness');
    give('t_f', shape.tf, 'flange thickness');
    give('k', shape.tf + shape.r, 'outer face to toe of fillet');
  } else if (shape.outline === 'box') {
    give('H', shape.h, 'overall depth');
    give('B', shape.b, 'overall width');
    give('t', shape.t, 'design wall, 0.93 of the nominal');
  } else {
    give('D', shape.d, 'outside diameter');
    give('t', shape.t, 'design wall, 0.93 of the nominal');
  }
}

interface Element {
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

/** Flange of an I or channel in flexure, AISC 360-16 table B4.1b case 10; of a box, case 17; of a tube, case 20. */
export function flangeInFlexure({ shape }: Section): Element {
  if (shape.outline === 'I')
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
  if (shape.outline === 'box')
    return {
      symbol: 'lambda_f',
      formula: '(B - 3 * t) / t',
      inputs: { B: shape.b, t: shape.t },
      ratio: (shape.b - 3 * shape.t) / shape.t,
      title: 'flange wall',
      compact: 1.12,
      noncompact: 1.4,
      table: 'table B4.1b case 17',
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
export function webInFlexure({ shape }: Section): Element | null {
  if (shape.outline === 'tube') return null;
  if (shape.outline === 'box')
    return {
      symbol: 'lambda_w',
      formula: '(H - 3 * t) / t',
      inputs: { H: shape.h, t: shape.t },
      ratio: (shape.h - 3 * shape.t) / shape.t,
      title: 'web wall',
      compact: 2.42,
      noncompact: 5.7,
      table: 'table B4.1b case 19',
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

/** Parts in uniform compression and their limit, AISC 360-16 table B4.1a cases 1, 5, 6, 9. */
export function partsInCompression(section: Section): Element[] {
  const flange = flangeInFlexure(section);
  const web = webInFlexure(section);
  const { outline } = section.shape;
  if (outline === 'tube') return [{ ...flange, noncompact: 0.11, table: 'table B4.1a case 9' }];
  if (outline === 'box')
    return [
      { ...flange, noncompact: 1.4, table: 'table B4.1a case 6' },
      { ...web!, noncompact: 1.4, table: 'table B4.1a case 6' },
    ];
  return [
    { ...flange, noncompact: 0.56, table: 'table B4.1a case 1' },
    { ...web!, noncompact: 1.49, table: 'table B4.1a case 5' },
  ];
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
