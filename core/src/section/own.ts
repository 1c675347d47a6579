import type { Product, Shape } from './shape';

/** How an own shape is written: what it is, its dimensions in mm, and its root radius where it has one. */
export const OWN_EXAMPLE = 'own I 600x250x10x20';

const PATTERN =
  /^own (I|C|T|L|box|tube) (\d+(?:\.\d+)?(?:x\d+(?:\.\d+)?)*)(?: bottom (\d+(?:\.\d+)?)x(\d+(?:\.\d+)?))?(?: r(\d+(?:\.\d+)?))?$/;
const COUNT = { I: 4, C: 4, T: 4, L: 3, box: 3, tube: 2 } as const;

/**
 * Shape of a designation that gives dimensions, mm: `own I 600x250x10x20` (depth, width, web, flange), `own C 200x80x8x12 r10`,
 * `own I 900x300x12x20 bottom 200x15` (another bottom flange: width, thickness), `own T 150x150x8x12`, `own L 100x75x10 r8` (legs, thickness), `own box 300x200x10`, `own tube 200x8`. Without a radius an I is
 * welded, and box corners are sharp. Null when it is written otherwise.
 */
export function ownShape(designation: string): { shape: Shape; product: Product } | null {
  const match = PATTERN.exec(designation);
  if (!match) return null;
  const kind = match[1] as keyof typeof COUNT;
  const sizes = match[2]!.split('x').map(Number);
  const r = Number(match[5] ?? 0);
  if (sizes.length !== COUNT[kind] || (match[3] && (kind !== 'I' || r > 0))) return null;
  const [a, b = 0, c = 0, d = 0] = sizes as [number, ...number[]];
  switch (kind) {
    case 'I':
      if (match[3]) {
        const [bBottom, tfBottom] = [Number(match[3]), Number(match[4])];
        // flanges that are alike after all are those of an I
        if (bBottom !== b || tfBottom !== d)
          return { shape: { outline: 'unequalI', h: a, b, tf: d, bBottom, tfBottom, tw: c }, product: 'welded' };
      }
      return { shape: { outline: 'I', h: a, b, tw: c, tf: d, r }, product: r > 0 ? 'rolled' : 'welded' };
    case 'C':
      return { shape: { outline: 'channel', h: a, b, tw: c, tf: d, r }, product: r > 0 ? 'rolled' : 'welded' };
    case 'T':
      return { shape: { outline: 'tee', h: a, b, tw: c, tf: d, r }, product: r > 0 ? 'rolled' : 'welded' };
    case 'L':
      return { shape: { outline: 'angle', h: a, b, t: c, r, toe: Math.min(c, r / 2) }, product: 'rolled' };
    case 'box':
      return { shape: { outline: 'box', h: a, b, t: c, ro: r, ri: Math.max(0, r - c) }, product: 'hollow' };
    case 'tube':
      return { shape: { outline: 'tube', d: a, t: b }, product: 'round' };
  }
}
