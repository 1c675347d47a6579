/** Older British practice, BS 5950-1:2000: beams and struts under effects that are already factored by that code. Not a family of its own. */
export { britishBeam, type BritishBeamInput } from './beam';
export { britishStrut, type BritishStrutInput } from './strut';
