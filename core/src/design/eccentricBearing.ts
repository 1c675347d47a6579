import { actingName } from '../load';
import type { Sheet } from '../sheet';
import { contactPressure, type ContactPressure } from './contactPressure';
import { leastPad, NET_PRESSURE, recordWeights, weightOf, type Ground } from './padBearing';
import type { PadSet } from './padLoads';

/** What an eccentric pad does to the ground under one set of loads. */
export interface EccentricBearing {
  readonly set: PadSet;
  readonly contact: ContactPressure;
  /** Largest, as the bearing is allowed: gross or net, MPa. */
  readonly pressure: number;
}

/** Pad and backfill press in the middle, the set where it lies. Null: the resultant lies off the pad. */
export function eccentricBearing(set: PadSet, width: number, length: number, thickness: number, ground: Ground): EccentricBearing | null {
  const { padWeight: pad, backfill } = weightOf(width, length, thickness, ground);
  const { force, x, y } = set.resultant;
  const total = force + pad + backfill;
  if (total <= 0) return null;
  const contact = contactPressure(width, length, { force: total, x: (force * x) / total, y: (force * y) / total });
  return contact && { set, contact, pressure: contact.most - (ground.basis === 'net' ? ground.depth * ground.soil : 0) };
}

/** Whether the whole base presses on the ground under a set. */
export const isInFullContact = (bearing: EccentricBearing | null): boolean => bearing !== null && bearing.contact.contact > 1 - 1e-9;

/** Of a base at least so much is to be in contact, whatever its largest pressure. */
export const LEAST_CONTACT = 0.5;

/**
 * Least pad on a grid of sizes whose pressure is allowed under every set, with at least half of it in contact, and all of it under the sets for strength:
 * its concrete is designed so.
 * @returns sides in mm; null when the soil can never carry it
 */
export function sizeEccentric(
  sets: (width: number, length: number) => { readonly service: readonly PadSet[]; readonly strength: readonly PadSet[] },
  given: { readonly width: number | null; readonly length: number | null },
  step: number,
  thickness: number,
  ground: Ground,
): { width: number; length: number } | null {
  return leastPad(given, step, (width, length) => {
    const { service, strength } = sets(width, length);
    return (
      service.every((set) => {
        const bearing = eccentricBearing(set, width, length, thickness, ground);
        return bearing !== null && bearing.pressure <= ground.allowable && bearing.contact.contact >= LEAST_CONTACT;
      }) && strength.every((set) => isInFullContact(eccentricBearing(set, width, length, thickness, ground)))
    );
  });
}

/** The pressure under an eccentric pad on its sheet, from the forces of each case at their places. */
export function recordEccentric(
  bearing: EccentricBearing,
  width: number,
  length: number,
  thickness: number,
  ground: Ground,
  sheet?: Sheet,
): void {
  if (!sheet) return;
  recordResultant(bearing.set, sheet);
  const { padWeight: pad, backfill } = weightOf(width, length, thickness, ground);
  const { force, x, y } = bearing.set.resultant;
  recordWeights(width, length, thickness, ground, sheet);
  const total = force + pad + backfill;
  const [ex, ey] = [(force * x) / total, (force * y) / total];
  sheet.step(
    'N_t',
    'N + W_p + W_b',
    { N: force, W_p: pad, W_b: backfill },
    total,
    'force',
    'statics',
    'pad and backfill press in its middle',
  );
  sheet.step('e_tx', 'abs(N * e_x) / N_t', { N: force, e_x: x, N_t: total }, Math.abs(ex), 'sectionLength', 'statics', 'of all, along x');
  sheet.step('e_ty', 'abs(N * e_y) / N_t', { N: force, e_y: y, N_t: total }, Math.abs(ey), 'sectionLength', 'statics', 'of all, along y');
  const { contact, most } = bearing.contact;
  const places = { N_t: total, B_x: width, B_y: length, e_tx: Math.abs(ex), e_ty: Math.abs(ey) };
  const one = Math.abs(ey) < 1e-9 ? 'x' : Math.abs(ex) < 1e-9 ? 'y' : null;
  if (isInFullContact(bearing))
    sheet.step(
      'q',
      'N_t / (B_x * B_y) * (1 + 6 * e_tx / B_x + 6 * e_ty / B_y)',
      places,
      most,
      'bearing',
      'statics',
      'largest, the whole base in contact',
    );
  else if (one)
    sheet.step(
      'q',
      `2 * N_t / (3 * (B_${one} / 2 - e_t${one}) * B_${one === 'x' ? 'y' : 'x'})`,
      places,
      most,
      'bearing',
      'statics',
      'largest, a triangle three times as long as the load is from the edge',
    );
  else
    sheet.given(
      'q',
      most,
      'bearing',
      'largest, at a corner: linear over the part in contact, in equilibrium with N_t at e_tx and e_ty, found by iteration',
      'statics',
    );
  sheet.given('c_b', contact, 'ratio', 'part of the base in contact', 'statics');
  if (ground.basis === 'net')
    sheet.step(
      'q_n',
      'q - D * gamma_s',
      { q: most, D: ground.depth, gamma_s: ground.soil },
      bearing.pressure,
      'bearing',
      'statics',
      NET_PRESSURE,
    );
}

/** The resultant of a set on its sheet: each force of a case with its factor and place. */
export function recordResultant({ combination, forces, resultant }: PadSet, sheet: Sheet): void {
  const inputs: Record<string, number> = {};
  forces.forEach(({ term, load, force }, n) => {
    const i = n + 1;
    sheet.given(`N_${i}`, force, 'force', `${load.mark}: ${actingName(term.loadCase, term.sense)}`, 'takedown');
    sheet.given(`gamma_${i}`, term.factor, 'ratio', 'its factor', combination.clause);
    sheet.given(`x_${i}`, load.x, 'position', 'its place from the middle, along x', 'plan');
    sheet.given(`y_${i}`, load.y, 'position', 'its place from the middle, along y', 'plan');
    Object.assign(inputs, { [`N_${i}`]: force, [`gamma_${i}`]: term.factor, [`x_${i}`]: load.x, [`y_${i}`]: load.y });
  });
  const sum = (place: string) =>
    forces.map((_, n) => `gamma_${n + 1} * N_${n + 1}${place === '' ? '' : ` * ${place}_${n + 1}`}`).join(' + ');
  sheet.step('N', sum(''), inputs, resultant.force, 'force', combination.name);
  sheet.step(
    'e_x',
    `(${sum('x')}) / N`,
    { ...inputs, N: resultant.force },
    resultant.x,
    'position',
    'statics',
    'of the resultant, along x',
  );
  sheet.step(
    'e_y',
    `(${sum('y')}) / N`,
    { ...inputs, N: resultant.force },
    resultant.y,
    'position',
    'statics',
    'of the resultant, along y',
  );
}
