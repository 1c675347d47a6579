import { citing } from '../../sheet';

/** The documents that the American family cites. */
export const AISC360 = citing('AISC 360-16');
export const ACI318 = citing('ACI 318-19');
