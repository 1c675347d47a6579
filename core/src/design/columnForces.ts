import type { ColumnModel, ColumnPart, Loading } from '../analysis';
import { actingName } from '../load';
import { formatQuantity, type UnitSystem } from '../quantity';
import type { Sheet } from '../sheet';
import { recordTerms } from './axialSheet';
import type { SideBeam } from './eccentricity';

/** What of cases that act together is there under a loading: what presses, what relieves, or both. */
interface Acting {
  readonly factor: number;
  readonly parts: ColumnPart[];
}

function actingUnits(model: ColumnModel, loading: Loading): Acting[] {
  const units = new Map<string, Acting>();
  for (const { part, factor } of model.partsUnder(loading)) {
    const found = units.get(part.unit);
    if (found) found.parts.push(part);
    else units.set(part.unit, { factor, parts: [part] });
  }
  return [...units.values()];
}

/** Least and greatest of the parts of a unit, in words, where they may lie in part. */
function rangeOf(model: ColumnModel, unit: string, value: (part: ColumnPart) => number, say: (value: number) => string): string {
  const of = model.parts.filter((part) => part.unit === unit && value(part) !== 0);
  if (of.length < 2) return '';
  const values = of.map(value);
  const sum = (sign: 1 | -1) => values.filter((one) => sign * one > 0).reduce((total, one) => total + one, 0);
  return `: from ${say(sum(-1))} to ${say(sum(1))} by where it lies`;
}

/** The axial force of a column under a loading, from the force of each case with its factor, and how the beams at its sides bend it. */
export function recordColumnForces(
  model: ColumnModel,
  loading: Loading,
  beams: readonly SideBeam[],
  units: UnitSystem,
  sheet: Sheet,
): void {
  const { combination } = loading;
  const say = (value: number) => formatQuantity(value, 'force', units);
  const acting = actingUnits(model, loading);
  const title = ({ parts: [first] }: Acting) => actingName(first!.loadCase, first!.sense);
  const axial = (part: ColumnPart) => model.axialOf(part, combination);
  const sum = (parts: readonly ColumnPart[], value: (part: ColumnPart) => number) => parts.reduce((total, part) => total + value(part), 0);
  recordTerms(
    acting
      .map((one) => ({
        factor: one.factor,
        value: sum(one.parts, axial),
        text: `${title(one)}${rangeOf(model, one.parts[0]!.unit, axial, say)}`,
      }))
      .filter(({ value }) => value !== 0),
    combination,
    sheet.scope('Axial force'),
  );
  if (beams.length === 0) return;
  const scope = sheet.scope('Nominal moments of the beams');
  const used = acting.filter(({ parts }) => parts.some(({ reactions }) => reactions.some((value) => value !== 0)));
  used.forEach((one, i) => scope.given(`gamma_${i + 1}`, one.factor, 'ratio', `factor of ${title(one)}`, combination.clause));
  let given = 0;
  const moments = beams.map(({ mark, axis, level, side, eccentricity, share, arm }, b) => {
    const n = b + 1;
    const reaction = (part: ColumnPart) => part.reactions[b]!;
    const inputs: Record<string, number> = {};
    const terms: string[] = [];
    let total = 0;
    used.forEach((one, i) => {
      const value = sum(one.parts, reaction);
      if (value === 0) return;
      given += 1;
      scope.given(
        `F_${given}`,
        value,
        'force',
        `reaction of ${mark}, ${title(one)}${rangeOf(model, one.parts[0]!.unit, reaction, say)}`,
        'takedown',
      );
      Object.assign(inputs, { [`gamma_${i + 1}`]: one.factor, [`F_${given}`]: value });
      terms.push(`gamma_${i + 1} * F_${given}`);
      total += one.factor * value;
    });
    const meaning = `reaction of ${mark}, bends about the ${axis} axis, ${side > 0 ? 'one side' : 'the other side'}`;
    if (terms.length === 0) scope.given(`R_${n}`, 0, 'force', `${meaning}: nothing`);
    else scope.step(`R_${n}`, terms.join(' + '), inputs, total, 'force', combination.name, meaning);
    scope.given(`e_${n}`, eccentricity, 'sectionLength', 'off the column’s axis');
    const moment = arm * total;
    scope.step(
      `M_${n}`,
      `${side < 0 ? '-' : ''}${share === 1 ? '' : `${share} * `}e_${n} * R_${n}`,
      { [`e_${n}`]: eccentricity, [`R_${n}`]: total },
      moment,
      'moment',
      'simple construction',
    );
    return { n, axis, level, moment };
  });
  for (const axis of ['major', 'minor'] as const) {
    const levels = new Map<string, typeof moments>();
    for (const one of moments) if (one.axis === axis) levels.set(one.level, [...(levels.get(one.level) ?? []), one]);
    const sums = [...levels.values()].map((list) => ({ list, total: list.reduce((all, { moment }) => all + moment, 0) }));
    if (sums.length === 0) continue;
    const { list, total } = sums.reduce((a, b) => (Math.abs(b.total) > Math.abs(a.total) ? b : a));
    scope.step(
      axis === 'major' ? 'M_y' : 'M_z',
      list.map(({ n }) => `M_${n}`).join(' + '),
      Object.fromEntries(list.map(({ n, moment }) => [`M_${n}`, moment])),
      total,
      'moment',
      'simple construction',
      `about the ${axis} axis${levels.size > 1 ? ', of the level where it is largest' : ''}`,
    );
  }
}
