/** The computation: everything that is true of structures, with no interface code. */
export * from './error';
export { BadFields, nearestKnown, readInput, text, type FieldIssue } from './schema';
export * from './quantity';
export * from './sheet';
export * from './material';
export * from './section';
export * from './input';
export * from './load';
export * from './family';
export * from './beam';
export * from './building';
export * from './takedown';
export * from './analysis';
export * from './standard';
export * from './design';
export * from './drawing';
export * from './exchange';
export * from './tool';
