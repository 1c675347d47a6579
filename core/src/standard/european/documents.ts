import { citing } from '../../sheet';

/** The documents that the European family cites. */
export const EN1992_1_1 = citing('EN 1992-1-1');
export const EN1993_1_1 = citing('EN 1993-1-1');
export const EN1993_1_5 = citing('EN 1993-1-5');
