import { findSection, gradesFor, STANDARDS, type Standard } from '@plinth/core';

interface OnBench {
  readonly family: Standard['id'];
  readonly section: string;
  readonly grade: string;
}

const isEqual = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/**
 * What stands on a bench, by other codes. As it began, it begins by them, in whole units; once something was typed everything typed stays,
 * and only what the codes decide changes: the grade, and of the fields named those that were not touched.
 * @param decided fields whose first value belongs to the codes, as a philosophy or a limit
 */
export function byOtherCodes<T extends OnBench>(
  input: T,
  starts: Readonly<Record<Standard['id'], T>>,
  family: Standard['id'],
  decided: readonly (keyof T)[],
): T {
  const [from, to] = [starts[input.family], starts[family]];
  if ((Object.keys(from) as (keyof T)[]).every((name) => isEqual(input[name], from[name]))) return to;
  const grades = gradesFor(STANDARDS[family].profile.materials, findSection(input.section).product).map(({ id }) => id);
  const changed: Partial<T> = {};
  for (const name of decided) if (isEqual(input[name], from[name])) changed[name] = to[name];
  return { ...input, ...changed, family, grade: grades.includes(to.grade) ? to.grade : (grades[0] ?? to.grade) };
}
