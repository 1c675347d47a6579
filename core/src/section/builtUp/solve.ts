import { BadInput } from '../../error';
import type { Sheet } from '../../sheet';
import { above, momentsOf } from './polygon';
import type { Part } from './parts';

export interface Elastic {
  /** Elastic neutral axis, mm up; the modulus to which all is transformed, MPa. */
  readonly axis: number;
  readonly reference: number;
  /** Bending stiffness, Nmm2, and transformed second moment, mm4. */
  readonly EI: number;
  readonly I: number;
  /** Moment at which the first fibre yields, Nmm, positive, and whose and where it is. */
  readonly yieldMoment: number;
  readonly yieldsFirst: { readonly part: string; readonly at: number };
}

/** Where the plastic neutral axis was found to lie. */
export type PlasticPlace =
  | { readonly kind: 'within'; readonly parts: readonly string[] }
  | { readonly kind: 'joint'; readonly above: readonly string[]; readonly below: readonly string[] }
  | { readonly kind: 'gap'; readonly from: number; readonly to: number };

export interface Plastic {
  readonly axis: number;
  readonly place: PlasticPlace;
  readonly moment: number;
  /** Force of everything above the axis, N, equal to that below. */
  readonly force: number;
}

const total = (parts: readonly Part[], f: (part: Part) => number) => parts.reduce((sum, part) => sum + f(part), 0);

/** Elastic axis, stiffness and first yield of parts of unlike modulus and strength: the transformed section. */
export function solveElastic(parts: readonly Part[], sheet?: Sheet): Elastic {
  const reference = parts[0]!.E;
  const EA = total(parts, ({ E, area }) => E * area);
  const axis = total(parts, ({ E, area, centroid }) => E * area * centroid) / EA;
  const EI = total(parts, ({ E, area, centroid, second }) => E * (second + area * (centroid - axis) ** 2));
  if (!(EA > 0) || !(EI > 0)) throw new BadInput('holes take more away than there is', 'parts');
  let yieldMoment = Infinity;
  let yieldsFirst = { part: '', at: 0 };
  for (const part of parts)
    if (!part.isHole)
      for (const at of [part.top, part.bottom]) {
        const M = (part.fy * EI) / (part.E * Math.abs(at - axis));
        if (M < yieldMoment) [yieldMoment, yieldsFirst] = [M, { part: part.name, at }];
      }
  if (sheet) {
    sheet.given('E_r', reference, 'stress', `modulus of reference: that of ${parts[0]!.name}`);
    const [S, A, I]: [string[], string[], string[]] = [[], [], []];
    const inputs: Record<string, number> = {};
    parts.forEach((part, i) => {
      const n = i + 1;
      sheet.given(`A_${n}`, part.area, 'area', `${part.name}${part.isHole ? ', a hole' : ''}`);
      sheet.given(`z_${n}`, part.centroid, 'sectionLength', 'its middle above the datum');
      sheet.given(`I_${n}`, part.second, 'secondMoment', 'about its own middle');
      if (part.E === reference) sheet.step(`n_${n}`, '1', {}, 1, 'ratio', 'transformed section');
      else {
        sheet.given(`E_${n}`, part.E, 'stress', 'its modulus');
        sheet.step(
          `n_${n}`,
          `E_${n} / E_r`,
          { [`E_${n}`]: part.E, E_r: reference },
          part.E / reference,
          'ratio',
          'transformed section',
          'modular ratio',
        );
      }
      Object.assign(inputs, { [`A_${n}`]: part.area, [`z_${n}`]: part.centroid, [`n_${n}`]: part.E / reference });
      A.push(`n_${n} * A_${n}`);
      S.push(`n_${n} * A_${n} * z_${n}`);
      I.push(`n_${n} * (I_${n} + A_${n} * (z_${n} - z_e)^2)`);
    });
    sheet.step('z_e', `(${S.join(' + ')}) / (${A.join(' + ')})`, inputs, axis, 'sectionLength', 'first moments', 'elastic neutral axis');
    const withI = { ...inputs, z_e: axis };
    parts.forEach((part, i) => Object.assign(withI, { [`I_${i + 1}`]: part.second }));
    sheet.step('I_e', I.join(' + '), withI, EI / reference, 'secondMoment', 'parallel axes', 'transformed second moment');
    const first = parts.find(({ name }) => name === yieldsFirst.part)!;
    sheet.given('f_1', first.fy, 'stress', `yield strength of ${first.name}, which yields first`);
    sheet.given('z_1y', yieldsFirst.at, 'sectionLength', 'the fibre that yields first');
    sheet.given('n_y', first.E / reference, 'ratio', 'its modular ratio');
    sheet.step(
      'M_y',
      'f_1 * I_e / (n_y * abs(z_1y - z_e))',
      { f_1: first.fy, I_e: EI / reference, n_y: first.E / reference, z_1y: yieldsFirst.at, z_e: axis },
      yieldMoment,
      'moment',
      'elastic bending',
      'yield moment',
    );
  }
  return { axis, reference, EI, I: EI / reference, yieldMoment, yieldsFirst };
}

/** Area and first moment of a part above a level, holes negative. */
function upper(part: Part, level: number): { area: number; first: number } {
  let [area, first] = [0, 0];
  for (const { corners, sign } of part.loops) {
    const piece = above(corners, level);
    if (piece.length < 3) continue;
    const moments = momentsOf(piece);
    area += sign * moments.area;
    first += sign * moments.first;
  }
  return { area, first };
}

/** Force above a level less force below it, every part at its own yield strength, N. */
function unbalance(parts: readonly Part[], level: number): number {
  return total(parts, (part) => part.fy * (2 * upper(part, level).area - part.area));
}

const names = (parts: readonly Part[]) => parts.map(({ name }) => name);

/**
 * Plastic neutral axis by equal force above and below, and the plastic moment part by part, each with its own strength. The band between two
 * edges of parts in which the axis lies is assumed, solved and checked from the top down; that it falls on a joint, or anywhere within a
 * gap, is named.
 */
export function solvePlastic(parts: readonly Part[], sheet?: Sheet): Plastic {
  const levels = [...new Set(parts.flatMap(({ top, bottom }) => [top, bottom]).map((z) => Math.round(z * 1e6) / 1e6))].sort(
    (a, b) => b - a,
  );
  const whole = total(parts, ({ fy, area }) => fy * area);
  const tolerance = 1e-9 * whole;
  if (sheet) {
    const inputs: Record<string, number> = {};
    parts.forEach(({ name, fy, area, isHole }, i) => {
      sheet.given(`f_${i + 1}`, fy, 'stress', `yield strength of ${name}`);
      sheet.given(`A_${i + 1}`, area, 'area', `area of ${name}${isHole ? ', a hole' : ''}`);
      Object.assign(inputs, { [`f_${i + 1}`]: fy, [`A_${i + 1}`]: area });
    });
    const sum = parts.map((_, i) => `f_${i + 1} * A_${i + 1}`).join(' + ');
    sheet.step('F_h', `(${sum}) / 2`, inputs, whole / 2, 'force', 'equal force', 'half of the force of all parts at yield');
  }
  let axis = Number.NaN;
  let place: PlasticPlace | null = null;
  for (let i = 0; i + 1 < levels.length && !place; i += 1) {
    const [high, low] = [levels[i]!, levels[i + 1]!];
    const here = parts.filter(({ top, bottom }) => top > low + 1e-6 && bottom < high - 1e-6);
    const material = here.filter(({ isHole }) => !isHole);
    const [atHigh, atLow] = [unbalance(parts, high), unbalance(parts, low)];
    const inner = sheet?.scope(
      material.length ? `Assume that it lies in ${names(material).join(' and ')}` : 'Assume that it lies in the gap',
    );
    const upperForce = (whole + atHigh) / 2;
    if (material.length === 0) {
      const holds = Math.abs(atLow) <= tolerance;
      inner?.given('F_a', upperForce, 'force', 'force of the parts above');
      inner?.branch(
        'abs(F_a - F_h) <= 0.000000001 * F_h',
        { F_a: upperForce, F_h: whole / 2 },
        Math.abs(upperForce - whole / 2) <= (1e-9 * whole) / 2,
        'equal force',
        holds ? 'the forces balance anywhere in the gap' : 'the assumption is wrong',
      );
      if (holds) [axis, place] = [(high + low) / 2, { kind: 'gap', from: low, to: high }];
      continue;
    }
    const breadths = here.every(({ breadth }) => breadth !== null);
    const perLength = total(here, ({ breadth, fy }) => (breadth ?? 0) * fy);
    let found: number;
    if (breadths) {
      // (F_h - force above) over the force of the band per mm of height, down from its top
      found = high - (whole / 2 - upperForce) / perLength;
      if (inner) {
        inner.given('z_t', high, 'sectionLength', 'top of the band');
        inner.given('z_b', low, 'sectionLength', 'foot of the band');
        inner.given('F_a', upperForce, 'force', 'force of all that lies above the band');
        const inputs: Record<string, number> = { z_t: high, F_h: whole / 2, F_a: upperForce };
        const terms = here.map((part) => {
          const n = parts.indexOf(part) + 1;
          inner.given(`b_${n}`, part.breadth!, 'sectionLength', `breadth of ${part.name}`);
          Object.assign(inputs, { [`b_${n}`]: part.breadth!, [`f_${n}`]: part.fy });
          return `b_${n} * f_${n}`;
        });
        inner.step(
          'z_p',
          `z_t - (F_h - F_a) / (${terms.join(' + ')})`,
          inputs,
          found,
          'sectionLength',
          'equal force',
          'plastic neutral axis, if so',
        );
      }
    } else {
      let [top, foot] = [high, low];
      for (let k = 0; k < 100 && top - foot > 1e-12 * (high - low); k += 1) {
        const middle = (top + foot) / 2;
        if (unbalance(parts, middle) < 0) top = middle;
        else foot = middle;
      }
      found = atHigh <= tolerance && atLow >= -tolerance ? (top + foot) / 2 : atHigh > tolerance ? high + 1 : low - 1;
      if (inner && found <= high && found >= low) {
        inner.given('z_t', high, 'sectionLength', 'top of the band');
        inner.given('z_b', low, 'sectionLength', 'foot of the band');
        inner.given('z_p', found, 'sectionLength', 'plastic neutral axis by halving: a curved outline');
        inner.given('F_u', (whole + unbalance(parts, found)) / 2, 'force', 'force of all that lies above it');
        inner.branch(
          'abs(F_u - F_h) <= 0.000001 * F_h',
          { F_u: (whole + unbalance(parts, found)) / 2, F_h: whole / 2 },
          true,
          'equal force',
          'the forces balance',
        );
      } else inner?.note('The forces above and below do not balance within this band.');
    }
    const holds = found <= high + 1e-9 && found >= low - 1e-9;
    if (inner && breadths) {
      inner.branch(
        'z_p <= z_t + 0.000000001',
        { z_p: found, z_t: high },
        found <= high + 1e-9,
        'check',
        found <= high + 1e-9 ? 'not above the band' : 'above the band: the assumption is wrong',
      );
      inner.branch(
        'z_p >= z_b - 0.000000001',
        { z_p: found, z_b: low },
        found >= low - 1e-9,
        'check',
        found >= low - 1e-9 ? 'not below the band' : 'below the band: the assumption is wrong',
      );
    }
    if (!holds) continue;
    axis = found;
    const edge = Math.abs(found - low) < 1e-6 ? low : Math.abs(found - high) < 1e-6 ? high : null;
    if (edge !== null) {
      const [over, under] = [
        parts.filter(({ bottom, isHole }) => !isHole && Math.abs(bottom - edge) < 1e-6),
        parts.filter(({ top, isHole }) => !isHole && Math.abs(top - edge) < 1e-6),
      ];
      // nothing on the other side: a gap begins here
      const next = levels[levels.indexOf(edge) + (edge === low ? 1 : -1)];
      const beyond =
        next === undefined
          ? []
          : parts.filter(({ top, bottom, isHole }) => !isHole && top > Math.min(edge, next) + 1e-6 && bottom < Math.max(edge, next) - 1e-6);
      if (next !== undefined && beyond.length === 0) {
        axis = (edge + next) / 2;
        place = { kind: 'gap', from: Math.min(edge, next), to: Math.max(edge, next) };
      } else
        place =
          over.length && under.length
            ? { kind: 'joint', above: names(over), below: names(under) }
            : { kind: 'within', parts: names(material) };
    } else place = { kind: 'within', parts: names(material) };
  }
  if (!place) throw new BadInput('no plastic neutral axis was found: holes take more away than there is', 'parts');
  // every part at its own strength, by its own lever, above and below
  let [moment, force] = [0, 0];
  const levers: { name: string; fy: number; first: number }[] = [];
  for (const part of parts) {
    const up = upper(part, axis);
    const first = up.first - up.area * axis - (part.area * part.centroid - up.first - (part.area - up.area) * axis);
    moment += part.fy * first;
    force += part.fy * up.area;
    levers.push({ name: part.name, fy: part.fy, first });
  }
  if (sheet) {
    const inner = sheet.scope('Plastic moment, part by part');
    inner.given('z_p', axis, 'sectionLength', 'plastic neutral axis', describePlace(place));
    const inputs: Record<string, number> = {};
    levers.forEach(({ name, first, fy }, i) => {
      inner.given(`Q_${i + 1}`, first, 'sectionModulus', `area times lever about the axis, ${name}`);
      Object.assign(inputs, { [`f_${i + 1}`]: fy, [`Q_${i + 1}`]: first });
    });
    inner.step(
      'M_p',
      levers.map((_, i) => `f_${i + 1} * Q_${i + 1}`).join(' + '),
      inputs,
      moment,
      'moment',
      'each part at its own yield strength',
      'plastic moment',
    );
  }
  return { axis, place, moment, force };
}

/** Where the plastic neutral axis lies, in words. */
export function describePlace(place: PlasticPlace): string {
  if (place.kind === 'within') return `in ${place.parts.join(' and ')}`;
  if (place.kind === 'joint') return `exactly on the joint between ${place.above.join(' and ')} and ${place.below.join(' and ')}`;
  return `anywhere in the gap from ${+place.from.toFixed(2)} to ${+place.to.toFixed(2)} mm; its middle is taken`;
}

/** What of a part lies beyond a joint: its area, mm2, negative of a hole, and the middle of it above the datum, mm. */
export interface Beyond {
  readonly name: string;
  readonly area: number;
  readonly middle: number;
  /** Its modulus over that of reference. */
  readonly ratio: number;
}

/** A plane between parts above and parts below that touch each other. */
export interface Joint {
  readonly at: number;
  readonly above: readonly string[];
  readonly below: readonly string[];
  readonly beyond: readonly Beyond[];
  /** Shear flow per N of shear, 1/mm: E-weighted first moment of what lies above over the stiffness. */
  readonly flowPerForce: number;
}

/** Joints at which plates or shapes meet face to face, with the longitudinal shear per unit of shear force: V E S / (E I). */
export function jointsOf(parts: readonly Part[], { axis, EI }: Elastic): Joint[] {
  const solid = parts.filter(({ isHole }) => !isHole);
  const levels = [...new Set(solid.map(({ bottom }) => Math.round(bottom * 1e6) / 1e6))].sort((a, b) => b - a);
  return levels.flatMap((at): Joint[] => {
    const over = solid.filter(({ bottom }) => Math.abs(bottom - at) < 1e-6);
    const under = solid.filter(({ top }) => Math.abs(top - at) < 1e-6);
    const touching = under.filter((low) => over.some((high) => high.left < low.right - 1e-6 && high.right > low.left + 1e-6));
    // something that passes the plane carries the flow as well: not a joint alone
    const passes = solid.some(({ top, bottom }) => bottom < at - 1e-6 && top > at + 1e-6);
    if (touching.length === 0 || passes) return [];
    const first = total(parts, (part) => {
      const up = upper(part, at);
      return part.E * (up.first - up.area * axis);
    });
    const beyond = parts.flatMap((part): Beyond[] => {
      const up = upper(part, at);
      return up.area === 0 ? [] : [{ name: part.name, area: up.area, middle: up.first / up.area, ratio: part.E / parts[0]!.E }];
    });
    return [{ at, above: names(over), below: names(touching), beyond, flowPerForce: Math.abs(first) / EI }];
  });
}
