import type { Kind } from '../../../quantity';
import type { Check, Sheet } from '../../../sheet';
import type { Philosophy } from '../../standard';

/** Resistance factor and safety factor of one limit state. */
export interface Safety {
  readonly phi: number;
  readonly omega: number;
}

export const FLEXURE: Safety = { phi: 0.9, omega: 1.67 };
export const COMPRESSION: Safety = { phi: 0.9, omega: 1.67 };
export const YIELDING_TENSION: Safety = { phi: 0.9, omega: 1.67 };
export const RUPTURE_TENSION: Safety = { phi: 0.75, omega: 2.0 };
export const WEB_YIELDING: Safety = { phi: 1.0, omega: 1.5 };
export const WEB_CRIPPLING: Safety = { phi: 0.75, omega: 2.0 };
export const WEB_SIDESWAY: Safety = { phi: 0.85, omega: 1.76 };
export const WEB_COMPRESSION: Safety = { phi: 0.9, omega: 1.67 };
export const SHEAR: Safety = { phi: 0.9, omega: 1.67 };
/** Webs of rolled I-shapes within 2.24 sqrt(E/Fy), AISC 360-16 G2.1(a). */
export const SHEAR_STOCKY_WEB: Safety = { phi: 1.0, omega: 1.5 };

/** Available strength of a philosophy from a nominal strength: phi Rn (LRFD), or Rn / Omega (ASD), AISC 360-16 B3. */
export function availableStrength(
  nominal: number,
  safety: Safety,
  philosophy: Philosophy,
  symbols: { nominal: string; available: string },
  kind: Kind,
  sheet?: Sheet,
): number {
  if (philosophy.basis === 'factored') {
    sheet?.given('phi', safety.phi, 'ratio', 'resistance factor');
    sheet?.step(
      symbols.available,
      `phi * ${symbols.nominal}`,
      { phi: safety.phi, [symbols.nominal]: nominal },
      safety.phi * nominal,
      kind,
      'B3.1',
      'design strength, LRFD',
    );
    return safety.phi * nominal;
  }
  sheet?.given('Omega', safety.omega, 'ratio', 'safety factor');
  sheet?.step(
    symbols.available,
    `${symbols.nominal} / Omega`,
    { Omega: safety.omega, [symbols.nominal]: nominal },
    nominal / safety.omega,
    kind,
    'B3.2',
    'allowable strength, ASD',
  );
  return nominal / safety.omega;
}

/** Bending about the major axis, limit state by limit state. */
export interface Flexure {
  readonly checks: readonly Check[];
  /** The least available moment, Nmm; null when a limit state is not proved. */
  readonly available: number | null;
}
