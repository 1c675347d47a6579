import { PlinthError } from '../error';
import type { Sheet } from '../sheet';

/**
 * Makes checks for a sheet. What cannot be checked (an unknown section or grade, a mechanism, a beam without supports) stands on the sheet
 * as not verified with its reason, in the place of the checks: a sheet of an unfinished building is made all the same.
 */
export function noteRefusal(sheet: Sheet, check: () => void): void {
  try {
    check();
  } catch (error) {
    if (!(error instanceof PlinthError)) throw error;
    sheet.note(`Not verified: ${error.message}.`);
  }
}
