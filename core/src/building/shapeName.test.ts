import { expect, it } from 'vitest';
import { shapeInFull, shapeName } from '.';

it('an own shape goes by the name in the brief, all others by their designation', () => {
  const brief = { ownShapes: [{ name: 'PG1', designation: 'own I 600x250x10x20' }] };
  expect(shapeName(brief, 'own I 600x250x10x20')).toBe('PG1');
  expect(shapeInFull(brief, 'own I 600x250x10x20')).toBe('PG1: own I 600x250x10x20');
  for (const of of [shapeName, shapeInFull]) {
    expect(of(brief, 'own I 700x250x10x20')).toBe('own I 700x250x10x20');
    expect(of(brief, 'UB 457x191x67')).toBe('UB 457x191x67');
  }
});
