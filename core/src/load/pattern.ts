/** Spans by their numbers, in words; the first is 0. */
export function spansInWords(spans: Iterable<number>): string {
  const numbers = [...spans].sort((a, b) => a - b).map((span) => span + 1);
  return `${numbers.length === 1 ? 'span' : 'spans'} ${numbers.join(', ')}`;
}
