import type { z } from 'zod';
import { BadInput } from '../error';
import { nearestKnown } from './nearest';
import { unreadBy } from './offered';

/** One field that is wrong, in words. */
export interface FieldIssue {
  readonly field: string;
  readonly message: string;
}

/** Input that a schema refuses: every fault at its field. */
export class BadFields extends BadInput {
  constructor(readonly issues: readonly FieldIssue[]) {
    super(issues.map((issue) => issue.message).join('; '), issues[0]?.field);
  }
}

/** At most so many faults are told of one input. */
const MOST_FAULTS = 30;

/** A field's name as words: `buildUp` is "build up", `lengthY` "length Y". */
function words(key: string): string {
  return key
    .replace(/([a-z0-9])([A-Z])(?=[a-z])/g, (_, before: string, after: string) => `${before} ${after.toLowerCase()}`)
    .replace(/([a-z0-9])([A-Z])/g, '$1 $2')
    .replace(/_/g, ' ');
}

/** What a person calls a place in the input: `loads.1.force` is "Loads 2, force". */
export function fieldLabel(path: readonly PropertyKey[]): string {
  let label = '';
  for (const key of path) label += typeof key === 'number' ? ` ${key + 1}` : `${label ? ', ' : ''}${words(String(key).slice(0, 60))}`;
  return label.charAt(0).toUpperCase() + label.slice(1);
}

const article = (noun: string) => (/^[aeiou]/.test(noun) ? `an ${noun}` : `a ${noun}`);

const NOUNS: Readonly<Record<string, string>> = {
  number: 'number',
  int: 'whole number',
  string: 'text',
  boolean: 'yes or no (true or false)',
  object: 'group of fields in braces',
  record: 'group of fields in braces',
  array: 'list in brackets',
  tuple: 'list in brackets',
};

const wanted = (expected: string) =>
  expected === 'string' || expected === 'boolean' ? NOUNS[expected]! : article(NOUNS[expected] ?? expected);

/** A value as it is told back: short, never a whole body. */
export function told(value: unknown): string {
  if (typeof value === 'string') return `"${value.length > 40 ? `${value.slice(0, 40)}…` : value}"`;
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  if (value === null) return 'nothing (null)';
  if (value === undefined) return 'nothing';
  return Array.isArray(value) ? 'a list' : 'a group of fields';
}

const choices = (values: readonly unknown[]) =>
  values.length > 12 ? `one of ${values.slice(0, 12).join(', ')} and ${values.length - 12} more` : values.join(', ');

type RawIssue = z.core.$ZodRawIssue;

/** Says in an engineer's words what Zod found; what a schema says itself goes first and is not asked here. */
function describe(issue: RawIssue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined ? 'is missing' : `must be ${wanted(String(issue.expected))}, got ${told(issue.input)}`;
    case 'invalid_value':
      return issue.input === undefined ? 'is missing' : `must be one of ${choices(issue.values as unknown[])}, got ${told(issue.input)}`;
    case 'too_small':
    case 'too_big': {
      const most = issue.code === 'too_big';
      const limit = String(most ? issue.maximum : issue.minimum);
      if (issue.origin === 'string') return `must have at ${most ? 'most' : 'least'} ${limit} characters`;
      if (issue.origin === 'array') return `must have at ${most ? 'most' : 'least'} ${limit} entries`;
      if (!most && !issue.inclusive) return `must be greater than ${limit}, got ${told(issue.input)}`;
      return `must be at ${most ? 'most' : 'least'} ${limit}, got ${told(issue.input)}`;
    }
    case 'invalid_format':
      return 'is not written as it should be';
    case 'invalid_union':
      return issue.input === undefined
        ? 'is missing'
        : 'discriminator' in issue && issue.discriminator
          ? `${words(String(issue.discriminator))} is missing or is none of those that are known`
          : `cannot be ${told(issue.input)}`;
    case 'unrecognized_keys': {
      const shape = (issue.inst as { _zod?: { def?: { shape?: object } } } | undefined)?._zod?.def?.shape;
      const known = Object.keys(shape ?? {});
      return (issue.keys as string[])
        .slice(0, 5)
        .map((key) => {
          const by = unreadBy(issue.inst, key);
          if (by) return `${told(key)} is not used by ${by}: leave it out`;
          const near = nearestKnown(key, known);
          return `${told(key)} is not a field here${near ? `: did you mean "${near}"?` : known.length > 0 ? `; fields are ${known.join(', ')}` : ''}`;
        })
        .join('; ');
    }
    default:
      return 'is not as it should be';
  }
}

/** A predicate ("must be…") continues the label; a sentence of its own follows it. */
function sentence(path: readonly PropertyKey[], message: string): string {
  if (path.length === 0) return /^(must|is|has|cannot)\b/.test(message) ? `What was sent ${message}` : message;
  return /^(must|is missing|is not|is none|has|cannot be)\b/.test(message)
    ? `${fieldLabel(path)} ${message}`
    : `${fieldLabel(path)}: ${message}`;
}

/** The faults of an input in words, each at its field; a union tells of the alternative that fits best. */
export function faultsOf(error: z.core.$ZodError): FieldIssue[] {
  return error.issues.slice(0, MOST_FAULTS).map((issue) => {
    const keys = issue.code === 'unrecognized_keys' ? [...issue.path, issue.keys[0]!] : issue.path;
    return { field: keys.map((key) => String(key).slice(0, 60)).join('.'), message: sentence(issue.path, issue.message) };
  });
}

/**
 * Reads input by a schema.
 * @throws BadFields with every fault at its field, in words
 */
export function readInput<S extends z.ZodType>(schema: S, raw: unknown): z.output<S> {
  const parsed = schema.safeParse(raw, { error: describe });
  if (parsed.success) return parsed.data;
  throw new BadFields(faultsOf(parsed.error));
}
