import { citing } from '../../sheet';

/** The document that the British family cites. */
export const BS5950 = citing('BS 5950-1');
