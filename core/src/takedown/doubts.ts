import { textInUnits } from './inUnits';
import type { LooseEnd } from './ledger';
import type { SupportDoubt } from './support/found';

/** A doubt about supports as a loose end. It names no load: what is lost, if anything, stands with the member that loses it. */
export function doubtEnd({ kind, item, title, why, remedy }: SupportDoubt): LooseEnd {
  return { key: `${kind}:${item}:${textInUnits(title, 'SI')}`.slice(0, 140), item, title, why, remedy, byCase: {} };
}
