import { expect, it } from 'vitest';
import { readShape, shapeInFull, shapeName } from '.';

const brief = { ownShapes: [{ name: 'PG1', designation: 'own I 600x250x10x20' }] };

it('an own shape goes by the name in the brief, all others by their designation', () => {
  expect(shapeName(brief, 'own I 600x250x10x20')).toBe('PG1');
  expect(shapeInFull(brief, 'own I 600x250x10x20')).toBe('PG1: own I 600x250x10x20');
  for (const of of [shapeName, shapeInFull]) {
    expect(of(brief, 'own I 700x250x10x20')).toBe('own I 700x250x10x20');
    expect(of(brief, 'UB 457x191x67')).toBe('UB 457x191x67');
  }
});

it('is found by its name, and a section of the catalogue however it is written', () => {
  expect(readShape(brief, ' pg1 ')).toBe('own I 600x250x10x20');
  expect(readShape(brief, 'ub 457x191x67')).toBe('UB 457x191x67');
  // a name cannot hide a section of the catalogue
  const sly = { ownShapes: [{ name: 'UB 457x191x67', designation: 'own I 600x250x10x20' }] };
  expect(readShape(sly, 'UB 457x191x67')).toBe('UB 457x191x67');
  expect(() => readShape(brief, 'PG9')).toThrow('section "PG9" is not in the catalogue');
});
