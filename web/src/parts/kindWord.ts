import type { MemberLedger } from '@plinth/core';

/** Members as they are called in tables and lists. */
export const KIND_WORD: Record<MemberLedger['kind'], string> = {
  beam: 'beam',
  column: 'column',
  wall: 'wall',
  hanger: 'hanger',
  footing: 'pad',
  stripFooting: 'strip footing',
};
