import { catalogue, findSection, isSection } from './catalogue';

/** Letters and numbers of a designation, whatever stands first, in capitals, without blanks: how it is looked up. */
function keyOf(text: string): string {
  const plain = text.toUpperCase().replace(/[×*]/g, 'X').replace(/\s+/g, '');
  const turned = /^([\d.X/]+?)([A-Z]+)$/.exec(plain);
  return turned ? `${turned[2]}${turned[1]}` : plain;
}

let byKey: Map<string, string> | undefined;

/**
 * The designation that somebody means: `ub 457 x 191 x 67`, `457×191×67 UB` and `w16x31` are those of the catalogue; an own shape is written with `own`.
 * @throws BadInput when there is no such section
 */
export function readDesignation(text: string): string {
  const typed = text.trim();
  if (isSection(typed)) return typed;
  byKey ??= new Map(catalogue().map(({ designation }) => [keyOf(designation), designation]));
  const known = byKey.get(keyOf(typed));
  if (known) return known;
  const own = /^own\s/i.test(typed) ? readOwn(typed) : typed;
  findSection(own);
  return own;
}

/**
 * The designation of an own shape, where `own` may be left out and blanks stand between dimensions: `I 600 x 250 x 10 x 20` is `own I 600x250x10x20`.
 * @throws BadInput when it gives no shape
 */
export function readOwnDesignation(text: string): string {
  const own = readOwn(text.trim());
  findSection(own);
  return own;
}

function readOwn(typed: string): string {
  const dimensions = typed
    .replace(/[×*]/g, 'x')
    .replace(/\s*x\s*(?=\d)/gi, 'x')
    .replace(/\s+/g, ' ')
    .replace(/^own /i, '');
  return `own ${dimensions}`;
}
