import type { Check, Sheet } from '../sheet';
import type { Philosophy } from '../standard';
import type { MemberLedger } from '../takedown';
import type { Context } from './context';
import { fixedEndChecks } from './fixedEnds';
import { eccentricChecks, supportChecks } from './offAxis';
import { uncombinedChecks } from './uncombined';

/**
 * Rows of a member that say what is missing between its loads and its checks: load off its axis, load that no combination has, a support that is
 * missing. None where all is well.
 * @param missing what is not designed for where something stands off the axis
 */
export function loadPathChecks(context: Context, ledger: MemberLedger, philosophy: Philosophy, missing: string, sheet?: Sheet): Check[] {
  const { building, takedown, combinations } = context;
  const { source } = philosophy.rules;
  const purpose = { source, purpose: 'strength', what: 'checks of strength' } as const;
  return [
    ...eccentricChecks(building, takedown.panels, ledger, combinations(philosophy).strength, missing, sheet),
    ...fixedEndChecks(context, ledger, philosophy, sheet),
    ...uncombinedChecks(ledger, combinations(philosophy).strength, takedown.cases, purpose, sheet),
    ...supportChecks(ledger, building.brief.units, sheet),
  ];
}
