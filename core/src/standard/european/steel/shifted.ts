import type { AngleShape, Section } from '../../../section';
import type { Sheet } from '../../../sheet';
import { internalReduction, outstandReduction, plateSlenderness, printReduction } from './effective';

/**
 * Effective section of a class 4 shape in uniform compression whose centroid moves as its plates buckle: channel, tee, angle, I of unequal
 * flanges. The force stays at the gross centroid, EN 1993-1-1 6.2.2.5(4).
 */
export interface ShiftedSection {
  /** Effective area, mm2. */
  readonly area: number;
  /** Area over which the force would cause the stress of the most pressed fibre of the effective section, mm2: the effective area where nothing moves. */
  readonly atFibre: number;
}

/** The gross section is what is there less the strips that buckle: one strip, its area, its middle along the axis of the shift, its size along it. */
interface Strip {
  readonly symbol: string;
  readonly area: number;
  readonly areaFormula: string;
  /** From the gross centroid, mm: upward, or to the right of a channel. */
  readonly middle: number;
  readonly middleFormula: string;
  readonly size: number;
  readonly sizeFormula: string;
  readonly inputs: Readonly<Record<string, number>>;
}

/** Whether the effective section of class 4 in compression is written here. */
export function shifts({ shape }: Section): boolean {
  const { outline } = shape;
  return outline === 'channel' || outline === 'tee' || outline === 'angle' || outline === 'unequalI';
}

/** @param fy yield strength, MPa. Shapes for which `shifts` holds only. EN 1993-1-5 4.3, 4.4; EN 1993-1-1 6.2.2.5(4), 6.2.9.3. */
export function shiftedSection(section: Section, fy: number, sheet?: Sheet): ShiftedSection {
  const epsilon = Math.sqrt(235 / fy);
  sheet?.given('A', section.properties.A, 'area', 'gross area', section.designation);
  sheet?.step('epsilon', 'sqrt(235 / f_y)', { f_y: fy }, epsilon, 'ratio', 'table 5.2');
  return section.shape.outline === 'angle' ? shiftedAngle(section, epsilon, sheet) : shiftedAlongAxis(section, epsilon, sheet);
}

/** Part of a plate that is effective in uniform compression. name: what follows the symbols of its width, slenderness and reduction. */
function reduction(
  name: string,
  c: number,
  formula: string,
  t: readonly [symbol: string, value: number],
  inputs: Record<string, number>,
  epsilon: number,
  internal: boolean,
  sheet?: Sheet,
): number {
  const k = internal ? 4 : 0.43;
  const slenderness = plateSlenderness(c / t[1], epsilon, k);
  const rho = internal ? internalReduction(slenderness, 1) : outstandReduction(slenderness);
  if (sheet) {
    sheet.step(`c_${name}`, formula, inputs, c, 'sectionLength', 'EN 1993-1-5 4.4(2)', 'width of the part');
    sheet.step(
      `lambda_${name}`,
      `c_${name} / ${t[0]} / (28.4 * epsilon * sqrt(${k}))`,
      { [`c_${name}`]: c, [t[0]]: t[1], epsilon },
      slenderness,
      'ratio',
      'EN 1993-1-5 4.4(2)',
    );
    printReduction(`rho_${name}`, `lambda_${name}`, slenderness, rho, internal ? '0.055 * (3 + 1)' : '0.188', {}, sheet);
  }
  return rho;
}

/** Strips of a shape with one axis of symmetry, and its faces along it. */
interface Symmetric {
  readonly strips: readonly Strip[];
  /** Gross second moment about the axis that the shift bends. */
  readonly I: number;
  readonly symbol: 'I_y' | 'I_z';
  /** Distance of the effective section's faces from the gross centroid, mm: on the positive side, on the negative. */
  readonly faces: readonly [positive: Face, negative: Face];
}
interface Face {
  readonly distance: number;
  readonly formula: string;
  readonly inputs: Readonly<Record<string, number>>;
}

function symmetric(section: Section, epsilon: number, sheet?: Sheet): Symmetric {
  const { shape, properties } = section;
  const part = (
    name: string,
    c: number,
    formula: string,
    t: readonly [string, number],
    inputs: Record<string, number>,
    internal = false,
  ): [lost: number, inputs: Record<string, number>] => {
    const rho = reduction(name, c, formula, t, inputs, epsilon, internal, sheet);
    return [(1 - rho) * c, { [`rho_${name}`]: rho, [`c_${name}`]: c }];
  };
  if (shape.outline === 'channel') {
    const { h, b, tw, tf, r } = shape;
    const y = properties.cz;
    sheet?.given('y_c', y, 'sectionLength', 'centroid from the back of the web', section.designation);
    const [f, fIn] = part('f', b - tw - r, 'b - t_w - r', ['t_f', tf], { b, t_w: tw, r });
    const [w, wIn] = part('w', h - 2 * tf - 2 * r, 'h - 2 * t_f - 2 * r', ['t_w', tw], { h, t_f: tf, r }, true);
    const tip = '(1 - rho_f) * c_f';
    return {
      I: properties.Iz,
      symbol: 'I_z',
      strips: [
        {
          symbol: 'f',
          area: 2 * f * tf,
          areaFormula: `2 * ${tip} * t_f`,
          middle: b - y - f / 2,
          middleFormula: `b - y_c - ${tip} / 2`,
          size: f,
          sizeFormula: tip,
          inputs: { ...fIn, t_f: tf, b, y_c: y },
        },
        {
          symbol: 'w',
          area: w * tw,
          areaFormula: '(1 - rho_w) * c_w * t_w',
          middle: tw / 2 - y,
          middleFormula: 't_w / 2 - y_c',
          size: tw,
          sizeFormula: 't_w',
          inputs: { ...wIn, t_w: tw, y_c: y },
        },
      ],
      faces: [
        { distance: b - y - f, formula: `b - y_c - ${tip}`, inputs: { b, y_c: y, ...fIn } },
        { distance: y, formula: 'y_c', inputs: { y_c: y } },
      ],
    };
  }
  const z = properties.cy;
  sheet?.given('z_c', z, 'sectionLength', 'centroid below the top face', section.designation);
  const flange = (name: string, lost: readonly [number, Record<string, number>], t: readonly [string, number], isTop: boolean): Strip => {
    const { h } = shape as { h: number };
    return {
      symbol: name,
      area: 2 * lost[0] * t[1],
      areaFormula: `2 * (1 - rho_${name}) * c_${name} * ${t[0]}`,
      middle: isTop ? z - t[1] / 2 : -(h - z) + t[1] / 2,
      middleFormula: isTop ? `z_c - ${t[0]} / 2` : `${t[0]} / 2 - (h - z_c)`,
      size: t[1],
      sizeFormula: t[0],
      inputs: { ...lost[1], [t[0]]: t[1], z_c: z, ...(isTop ? {} : { h }) },
    };
  };
  const top: Face = { distance: z, formula: 'z_c', inputs: { z_c: z } };
  if (shape.outline === 'tee') {
    const { h, b, tw, tf, r } = shape;
    const f = part('f', (b - tw - 2 * r) / 2, '(b - t_w - 2 * r) / 2', ['t_f', tf], { b, t_w: tw, r });
    const [s, sIn] = part('s', h - tf - r, 'h - t_f - r', ['t_w', tw], { h, t_f: tf, r });
    const tip = '(1 - rho_s) * c_s';
    return {
      I: properties.Iy,
      symbol: 'I_y',
      strips: [
        flange('f', f, ['t_f', tf], true),
        {
          symbol: 's',
          area: s * tw,
          areaFormula: `${tip} * t_w`,
          middle: s / 2 - (h - z),
          middleFormula: `${tip} / 2 - (h - z_c)`,
          size: s,
          sizeFormula: tip,
          inputs: { ...sIn, t_w: tw, h, z_c: z },
        },
      ],
      faces: [top, { distance: h - z - s, formula: `h - z_c - ${tip}`, inputs: { h, z_c: z, ...sIn } }],
    };
  }
  if (shape.outline !== 'unequalI') throw new Error(`the effective section of ${section.designation} does not shift`);
  const { h, b, tf, bBottom, tfBottom, tw } = shape;
  const hw = h - tf - tfBottom;
  const f = part('f', (b - tw) / 2, '(b - t_w) / 2', ['t_f', tf], { b, t_w: tw });
  const g = part('g', (bBottom - tw) / 2, '(b_b - t_w) / 2', ['t_fb', tfBottom], { b_b: bBottom, t_w: tw });
  const [w, wIn] = part('w', hw, 'h - t_f - t_fb', ['t_w', tw], { h, t_f: tf, t_fb: tfBottom }, true);
  return {
    I: properties.Iy,
    symbol: 'I_y',
    strips: [
      flange('f', f, ['t_f', tf], true),
      flange('g', g, ['t_fb', tfBottom], false),
      {
        symbol: 'w',
        area: w * tw,
        areaFormula: '(1 - rho_w) * c_w * t_w',
        middle: z - tf - hw / 2,
        middleFormula: 'z_c - t_f - c_w / 2',
        size: w,
        sizeFormula: '(1 - rho_w) * c_w',
        inputs: { ...wIn, t_w: tw, z_c: z, t_f: tf },
      },
    ],
    faces: [top, { distance: h - z, formula: 'h - z_c', inputs: { h, z_c: z } }],
  };
}

function shiftedAlongAxis(section: Section, epsilon: number, sheet?: Sheet): ShiftedSection {
  const { strips, I, symbol, faces } = symmetric(section, epsilon, sheet);
  const gross = section.properties.A;
  const area = strips.reduce((sum, strip) => sum - strip.area, gross);
  const e = strips.reduce((sum, strip) => sum - strip.area * strip.middle, 0) / area;
  const effective = strips.reduce((sum, { area: a, middle, size }) => sum - a * (middle ** 2 + size ** 2 / 12), I) - area * e ** 2;
  // the force stays where the centroid was: it presses the face on that side more
  const face = faces[e > 0 ? 1 : 0];
  const distance = face.distance + Math.abs(e);
  const W = effective / distance;
  const atFibre = 1 / (1 / area + Math.abs(e) / W);
  if (sheet) {
    const written: Record<string, number> = {};
    for (const strip of strips) {
      const { symbol: s } = strip;
      sheet.step(
        `A_${s}`,
        strip.areaFormula,
        used(strip.inputs, strip.areaFormula),
        strip.area,
        'area',
        'EN 1993-1-5 4.4',
        'not effective',
      );
      sheet.step(
        `m_${s}`,
        strip.middleFormula,
        used(strip.inputs, strip.middleFormula),
        strip.middle,
        'sectionLength',
        'EN 1993-1-5 4.3',
        'its middle from the gross centroid',
      );
      sheet.step(`d_${s}`, strip.sizeFormula, used(strip.inputs, strip.sizeFormula), strip.size, 'sectionLength', 'EN 1993-1-5 4.3');
      Object.assign(written, { [`A_${s}`]: strip.area, [`m_${s}`]: strip.middle, [`d_${s}`]: strip.size });
    }
    const sum = (of: (s: string) => string) => strips.map(({ symbol: s }) => of(s)).join('');
    const areas = Object.fromEntries(strips.map((strip) => [`A_${strip.symbol}`, strip.area]));
    sheet.step('A_eff', `A${sum((s) => ` - A_${s}`)}`, { A: gross, ...areas }, area, 'area', 'EN 1993-1-5 4.3', 'effective area');
    const moments = used(
      written,
      sum((s) => ` A_${s} m_${s}`),
    );
    sheet.step(
      'e_N',
      `(0${sum((s) => ` - A_${s} * m_${s}`)}) / A_eff`,
      { ...moments, A_eff: area },
      e,
      'sectionLength',
      'EN 1993-1-1 6.2.2.5(4)',
      'shift of the centroid',
    );
    sheet.given(symbol, I, 'secondMoment', 'gross, about the axis that the shift bends', section.designation);
    sheet.step(
      'I_eff',
      `${symbol}${sum((s) => ` - A_${s} * (m_${s}^2 + d_${s}^2 / 12)`)} - A_eff * e_N^2`,
      { [symbol]: I, ...written, A_eff: area, e_N: e },
      effective,
      'secondMoment',
      'EN 1993-1-5 4.3',
    );
    sheet.step(
      'W_N',
      `I_eff / (${face.formula} + abs(e_N))`,
      { I_eff: effective, ...face.inputs, e_N: e },
      W,
      'sectionModulus',
      'EN 1993-1-5 4.3',
      'of the face that the shift presses',
    );
    sheet.step(
      'A_N',
      '1 / (1 / A_eff + abs(e_N) / W_N)',
      { A_eff: area, e_N: e, W_N: W },
      atFibre,
      'area',
      'EN 1993-1-1 (6.44)',
      'N / A_N is the stress of that face',
    );
  }
  return { area, atFibre };
}

const used = (inputs: Readonly<Record<string, number>>, formula: string): Record<string, number> =>
  Object.fromEntries(Object.entries(inputs).filter(([name]) => new RegExp(`\\b${name}\\b`).test(formula)));

/** Both legs lose a strip at their toes; the force then bends what is left about both of its axes. */
function shiftedAngle(section: Section, epsilon: number, sheet?: Sheet): ShiftedSection {
  const { h, b, t } = section.shape as AngleShape;
  const { A, Iy, Iz, Iyz, cz, cy } = section.properties;
  const up = h - cy;
  sheet?.given('y_c', cz, 'sectionLength', 'centroid from the heel, along the horizontal leg', section.designation);
  sheet?.given('z_c', up, 'sectionLength', 'centroid from the heel, along the vertical leg', section.designation);
  const rhoH = reduction('h', h, 'h', ['t', t], { h }, epsilon, false, sheet);
  const rhoB = reduction('b', b, 'b', ['t', t], { b }, epsilon, false, sheet);
  const [lostH, lostB] = [(1 - rhoH) * h, (1 - rhoB) * b];
  const [aH, aB] = [lostH * t, lostB * t];
  // middles of the strips from the gross centroid
  const [yH, zH] = [t / 2 - cz, h - up - lostH / 2];
  const [yB, zB] = [b - cz - lostB / 2, t / 2 - up];
  const area = A - aH - aB;
  const ey = -(aH * yH + aB * yB) / area;
  const ez = -(aH * zH + aB * zB) / area;
  const IyEff = Iy - aH * (zH ** 2 + lostH ** 2 / 12) - aB * (zB ** 2 + t ** 2 / 12) - area * ez ** 2;
  const IzEff = Iz - aH * (yH ** 2 + t ** 2 / 12) - aB * (yB ** 2 + lostB ** 2 / 12) - area * ey ** 2;
  const IyzEff = Iyz - aH * yH * zH - aB * yB * zB - area * ey * ez;
  const determinant = IyEff * IzEff - IyzEff ** 2;
  // the force lies at (-ey, -ez) from the effective centroid; the stress at a corner over N / A_eff, less 1
  const more = (y: number, z: number) =>
    (area * ((-ey * IyEff + ez * IyzEff) * (y - cz - ey) + (-ez * IzEff + ey * IyzEff) * (z - up - ez))) / determinant;
  const corners = [
    ['0', '0', 0, 0, 'heel'],
    ['c_b * rho_b', '0', b - lostB, 0, 'toe of the horizontal leg, outside'],
    ['c_b * rho_b', 't', b - lostB, t, 'toe of the horizontal leg, inside'],
    ['0', 'c_h * rho_h', 0, h - lostH, 'toe of the vertical leg, outside'],
    ['t', 'c_h * rho_h', t, h - lostH, 'toe of the vertical leg, inside'],
  ] as const;
  const shares = corners.map(([, , y, z]) => more(y, z));
  const atFibre = area / (1 + Math.max(0, ...shares));
  if (sheet) {
    const clause = 'EN 1993-1-5 4.3';
    const legs = { rho_h: rhoH, c_h: h, rho_b: rhoB, c_b: b };
    const step = (symbol: string, formula: string, inputs: Record<string, number>, value: number, kind: Kind, of = clause, meaning = '') =>
      sheet.step(symbol, formula, used(inputs, formula), value, kind, of, meaning);
    type Kind = 'area' | 'sectionLength' | 'secondMoment' | 'ratio';
    step('A_h', '(1 - rho_h) * c_h * t', { ...legs, t }, aH, 'area', 'EN 1993-1-5 4.4', 'not effective');
    step('A_b', '(1 - rho_b) * c_b * t', { ...legs, t }, aB, 'area', 'EN 1993-1-5 4.4', 'not effective');
    step('A_eff', 'A - A_h - A_b', { A, A_h: aH, A_b: aB }, area, 'area', clause, 'effective area');
    const places = { ...legs, y_c: cz, z_c: up, t };
    step('y_h', 't / 2 - y_c', places, yH, 'sectionLength', clause, 'middle of the strip of the vertical leg');
    step('z_h', 'c_h - z_c - (1 - rho_h) * c_h / 2', places, zH, 'sectionLength');
    step('y_b', 'c_b - y_c - (1 - rho_b) * c_b / 2', places, yB, 'sectionLength', clause, 'middle of the strip of the horizontal leg');
    step('z_b', 't / 2 - z_c', places, zB, 'sectionLength');
    const strips = { A_h: aH, A_b: aB, y_h: yH, z_h: zH, y_b: yB, z_b: zB, A_eff: area };
    step(
      'e_y',
      '-(A_h * y_h + A_b * y_b) / A_eff',
      strips,
      ey,
      'sectionLength',
      'EN 1993-1-1 6.2.2.5(4)',
      'shift of the centroid to the right',
    );
    step('e_z', '-(A_h * z_h + A_b * z_b) / A_eff', strips, ez, 'sectionLength', 'EN 1993-1-1 6.2.2.5(4)', 'and upward');
    sheet.given('I_y', Iy, 'secondMoment', 'gross, horizontal axis', section.designation);
    sheet.given('I_z', Iz, 'secondMoment', 'gross, vertical axis', section.designation);
    sheet.given('I_yz', Iyz, 'secondMoment', 'gross, product', section.designation);
    const all = { ...strips, ...legs, t, e_y: ey, e_z: ez, I_y: Iy, I_z: Iz, I_yz: Iyz };
    step(
      'I_effy',
      'I_y - A_h * (z_h^2 + ((1 - rho_h) * c_h)^2 / 12) - A_b * (z_b^2 + t^2 / 12) - A_eff * e_z^2',
      all,
      IyEff,
      'secondMoment',
    );
    step(
      'I_effz',
      'I_z - A_h * (y_h^2 + t^2 / 12) - A_b * (y_b^2 + ((1 - rho_b) * c_b)^2 / 12) - A_eff * e_y^2',
      all,
      IzEff,
      'secondMoment',
    );
    step('I_effyz', 'I_yz - A_h * y_h * z_h - A_b * y_b * z_b - A_eff * e_y * e_z', all, IyzEff, 'secondMoment');
    const tensor = { A_eff: area, e_y: ey, e_z: ez, I_effy: IyEff, I_effz: IzEff, I_effyz: IyzEff, y_c: cz, z_c: up, t, ...legs };
    corners.forEach(([y, z, , , meaning], i) =>
      step(
        `r_${i + 1}`,
        `A_eff * ((e_z * I_effyz - e_y * I_effy) * (${y} - y_c - e_y) + (e_y * I_effyz - e_z * I_effz) * (${z} - z_c - e_z)) / (I_effy * I_effz - I_effyz^2)`,
        tensor,
        shares[i]!,
        'ratio',
        'elastic theory',
        `bending stress over N / A_eff, ${meaning}`,
      ),
    );
    const r = Object.fromEntries(shares.map((value, i) => [`r_${i + 1}`, value]));
    step(
      'A_N',
      'A_eff / (1 + max(0, r_1, r_2, r_3, r_4, r_5))',
      { A_eff: area, ...r },
      atFibre,
      'area',
      'EN 1993-1-1 (6.44)',
      'N / A_N is the stress of the most pressed corner',
    );
  }
  return { area, atFibre };
}
