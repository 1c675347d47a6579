/** Older British practice, BS 5950-1:2000: a family of its own, and its beams and struts under effects that are already factored. */
export { britishBeam, type BritishBeamInput } from './beam';
export { britishStrut, type BritishStrutInput } from './strut';
export { british } from './standard';
