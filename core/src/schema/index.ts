export { designation, isUnprintable, text } from './text';
export { nearestKnown } from './nearest';
export { offered } from './offered';
export { id, idsAt, isLoose, mayBeGone, referenceFields, refersTo, type ReferenceField } from './reference';
export { BadFields, fieldLabel, readInput, told, type FieldIssue } from './read';
