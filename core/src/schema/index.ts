export { designation, isUnprintable, text } from './text';
export { nearestKnown } from './nearest';
export { BadFields, fieldLabel, readInput, told, type FieldIssue } from './read';
