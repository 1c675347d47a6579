import { z } from 'zod';

/** Control characters but tab and line ends, and halves of surrogate pairs: no database, file or printer takes them. */
const UNPRINTABLE = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]|\p{Surrogate}/u;

/** True when text holds NUL, another control character or half a surrogate pair. */
export const isUnprintable = (text: string): boolean => UNPRINTABLE.test(text);

/** A Zod schema of words that a person writes: of bounded length, without characters that cannot be kept or printed. */
export function text(most: number, least = 0, whenEmpty = 'must not be empty') {
  return z
    .string()
    .trim()
    .min(least, whenEmpty)
    .max(most, `must have at most ${most} characters`)
    .refine((value) => !isUnprintable(value), 'has characters that cannot be printed');
}

/** A Zod schema of a name that is looked up, such as a designation, a grade or a philosophy. */
export const designation = (most = 80) => text(most, 1);
