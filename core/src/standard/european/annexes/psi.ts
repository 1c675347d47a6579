import type { ActionsAnnex } from '../annex';

/** psi of the uses of floors that EN 1990 recommends, table A1.1. */
export const psiOfUse: ActionsAnnex['psiOfUse'] = {
  A: { psi0: 0.7, psi1: 0.5, psi2: 0.3 },
  B: { psi0: 0.7, psi1: 0.5, psi2: 0.3 },
  C: { psi0: 0.7, psi1: 0.7, psi2: 0.6 },
  D: { psi0: 0.7, psi1: 0.7, psi2: 0.6 },
  E: { psi0: 1, psi1: 0.9, psi2: 0.8 },
  F: { psi0: 0.7, psi1: 0.7, psi2: 0.6 },
  G: { psi0: 0.7, psi1: 0.5, psi2: 0.3 },
};
