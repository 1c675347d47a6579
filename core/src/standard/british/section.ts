import { yieldStrength, type SteelGrade } from '../../material';
import { OutsideScope } from '../../error';
import type { IShape, Section } from '../../section';
import type { Sheet } from '../../sheet';

/** BS 5950-1:2000 3.1.3. */
export const E = 205_000;

export type BritishClass = 'plastic' | 'compact' | 'semi-compact' | 'slender';

/** Design strength py, MPa, BS 5950-1 table 9: by the thickest part. @throws OutsideScope for grades that are not of EN 10025 or EN 10210 */
export function designStrength(section: Section, grade: SteelGrade, sheet?: Sheet): number {
  if (grade.family !== 'european') throw new OutsideScope(`BS 5950-1 is for steel to EN 10025 and EN 10210; ${grade.id} is not`);
  const { shape } = section;
  const t = 'tf' in shape ? Math.max(shape.tf, shape.tw) : shape.t;
  const py = yieldStrength(grade, t);
  sheet?.lookup('p_y', py, 'stress', 'table 9', `${grade.id}, thickness ${+t.toFixed(1)} mm`, '3.1.1');
  return py;
}

/** Dimensions by the symbols of BS 5950-1. @throws OutsideScope for outlines that are not written */
export function rolledI(section: Section, sheet?: Sheet): IShape {
  const { shape } = section;
  if (shape.outline !== 'I' || section.product !== 'rolled' || shape.taper)
    throw new OutsideScope(
      'BS 5950-1 is written for rolled I and H sections with parallel flanges, and for struts of hot-finished hollow sections',
    );
  const give = (symbol: string, value: number, meaning: string) =>
    sheet?.given(symbol, value, 'sectionLength', meaning, section.designation);
  give('D', shape.h, 'depth');
  give('B', shape.b, 'breadth');
  give('t', shape.tw, 'web thickness');
  give('T', shape.tf, 'flange thickness');
  give('r_t', shape.r, 'root radius');
  return shape;
}

const ORDER: readonly BritishClass[] = ['plastic', 'compact', 'semi-compact', 'slender'];

/** Class of a rolled I or H, BS 5950-1 3.5.2, table 11: in bending about the major axis, or (Fc, N, above 0) in axial compression alone. py: MPa. */
export function classOf(section: Section, py: number, compression: number | null, sheet?: Sheet): BritishClass {
  const { h: D, b: B, tw: t, tf: T, r } = section.shape as IShape;
  const epsilon = Math.sqrt(275 / py);
  const flange = B / 2 / T;
  const web = (D - 2 * T - 2 * r) / t;
  const within = (ratio: number, limits: readonly number[]) => {
    const at = limits.findIndex((limit) => ratio <= limit);
    return at < 0 ? 3 : at;
  };
  const flangeAt = within(flange, [9 * epsilon, 10 * epsilon, 15 * epsilon]);
  let webAt: number;
  let limit: string;
  let inputs: Record<string, number> = {};
  if (compression === null) {
    webAt = within(web, [80 * epsilon, 100 * epsilon, 120 * epsilon]);
    limit = `${[80, 100, 120, 120][webAt]} * epsilon`;
  } else {
    const r2 = compression / (section.properties.A * py);
    webAt = web <= Math.max(40 * epsilon, (120 * epsilon) / (1 + 2 * r2)) ? 2 : 3;
    limit = 'max(40 * epsilon, 120 * epsilon / (1 + 2 * r_2))';
    inputs = { r_2: r2 };
    sheet?.given('A_g', section.properties.A, 'area', 'gross area', section.designation);
    sheet?.given('F_c', compression, 'force', 'axial compression');
    sheet?.step('r_2', 'F_c / (A_g * p_y)', { F_c: compression, A_g: section.properties.A, p_y: py }, r2, 'ratio', '3.5.5');
  }
  if (sheet) {
    sheet.step('epsilon', 'sqrt(275 / p_y)', { p_y: py }, epsilon, 'ratio', 'table 11');
    sheet.step('s_f', 'B / 2 / T', { B, T }, flange, 'ratio', 'table 11', 'outstand of the flange');
    sheet.branch(
      `s_f <= ${[9, 10, 15, 15][flangeAt]} * epsilon`,
      { s_f: flange, epsilon },
      flangeAt < 3,
      'table 11',
      `flange: ${ORDER[flangeAt]}`,
    );
    sheet.step('s_w', '(D - 2 * T - 2 * r_t) / t', { D, T, r_t: r, t }, web, 'ratio', 'table 11', 'web');
    sheet.branch(`s_w <= ${limit}`, { s_w: web, epsilon, ...inputs }, webAt < 3, 'table 11', `web: ${ORDER[webAt]}`);
  }
  return ORDER[Math.max(flangeAt, webAt)]!;
}
