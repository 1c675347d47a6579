export { designation, isUnprintable, text } from './text';
export { nearestKnown } from './nearest';
export { offered } from './offered';
export { BadFields, fieldLabel, readInput, told, type FieldIssue } from './read';
