import { yieldStrength, type SteelGrade } from '../../../material';
import { plasticHalves, unequalParts, type Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { pressedFlanges, type BeamActions } from '../../standard';
import { parts, type Part, type Stress } from './parts';

export type SectionClass = 1 | 2 | 3 | 4;

/** How a beam's moments bend a section: which way matters only where its flanges are not alike. */
export function bendingStress({ shape }: Section, actions: Pick<BeamActions, 'range'>): 'bending' | 'sagging' | 'hogging' {
  if (shape.outline !== 'unequalI' && shape.outline !== 'tee') return 'bending';
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
    if (shape.outline === 'tee') {
      give('z_c', properties.cy, 'centroid below the top face');
      give('z_p', plasticHalves(shape).axis, 'plastic neutral axis below the top face');
    }
  } else if (shape.outline === 'angle') {
    give('h', shape.h, 'vertical leg');
    give('b', shape.b, 'horizontal leg');
    give('t', shape.t, 'thickness');
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
 * shapes without such a web take the class of pure compression, which is never better; where that is 4, that of bending, elastic at best.
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
  if (shape.outline !== 'I' && shape.outline !== 'box') {
    const pressed = classify(section, fy, 'compression', sheet?.scope('In compression'));
    if (pressed < 4 || shape.outline === 'tube') return pressed;
    // (6.44): the effective area of compression alone beside the moduli of bending alone, elastic at best
    sheet?.note(
      'The section is of class 4 in compression: its effective area stands beside the moduli of bending alone, elastic at best, (6.44).',
    );
    return Math.max(3, classify(section, fy, stress, sheet?.scope('In bending'))) as SectionClass;
  }
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
