import type { AreaMark, BandMark, Drawing, Fill, Mark, Pen } from './drawing';

/** Colours of one theme. Patterns are made from them, so that every nature has a hue and a line pattern. */
export interface Palette {
  readonly pens: Record<Exclude<Pen, 'none'>, string>;
  readonly fills: Record<Exclude<Fill, 'none'>, string>;
}

/** For paper: graphite on white, one accent. */
export const PAPER: Palette = {
  pens: { ink: '#23262b', soft: '#63666b', faint: '#c9c6bd', accent: '#a3431f' },
  fills: {
    permanent: '#3b3e44',
    superimposed: '#a49c8e',
    imposed: '#5f7590',
    roofImposed: '#8fb3c4',
    snow: '#9cc4d8',
    wind: '#1f7a74',
    temperature: '#b0603a',
    seismic: '#6f3a63',
    accidental: '#8c7a1f',
    settlement: '#6b5a45',
    paper: '#ffffff',
    accentWash: '#f6e4db',
    concrete: '#ecebe6',
    steel: '#5c6068',
    ground: '#b7ab97',
    masonry: '#c98f6f',
    floor: '#f2efe7',
    ink: '#23262b',
    accent: '#a3431f',
  },
};

const round = (value: number) => String(Math.round(value * 100) / 100);

/** Escapes text for XML. */
function escapeXml(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
}

/** Outline of a band as an SVG path: two S-curves of equal horizontal width. */
export function bandPath({ x1, y1, x2, y2, width }: Pick<BandMark, 'x1' | 'y1' | 'x2' | 'y2' | 'width'>): string {
  const half = width / 2;
  const middle = (y1 + y2) / 2;
  const [a, b, c, d] = [x1 - half, x2 - half, x2 + half, x1 + half].map(round);
  const [top, mid, bottom] = [y1, middle, y2].map(round);
  return `M${a} ${top}C${a} ${mid} ${b} ${mid} ${b} ${bottom}L${c} ${bottom}C${c} ${mid} ${d} ${mid} ${d} ${top}Z`;
}

export const pointList = (points: AreaMark['points']) => points.map(([x, y]) => `${round(x)},${round(y)}`).join(' ');

/** How each nature is drawn: solid, or a hatch of lines or dots over a wash. `mark` is SVG inside an 8 x 8 tile. */
export const PATTERNS: Readonly<Partial<Record<Fill, { readonly wash: number; readonly mark: string }>>> = {
  superimposed: { wash: 0.28, mark: '<circle cx="2" cy="2" r="1.1"/><circle cx="6" cy="6" r="1.1"/>' },
  imposed: { wash: 0.3, mark: '<path d="M-2 2L2 -2M0 8L8 0M6 10L10 6" stroke-width="1.3"/>' },
  roofImposed: { wash: 0.3, mark: '<path d="M0 4H8" stroke-width="1.2"/>' },
  snow: { wash: 0.3, mark: '<circle cx="4" cy="4" r="1.2"/>' },
  wind: { wash: 0.25, mark: '<path d="M2 0V8M6 0V8" stroke-width="1"/>' },
  temperature: { wash: 0.25, mark: '<path d="M2 6L6 2" stroke-width="1"/><path d="M2 2L6 6" stroke-width="1"/>' },
  seismic: { wash: 0.25, mark: '<path d="M0 6L2 2L4 6L6 2L8 6" fill="none" stroke-width="1"/>' },
  accidental: { wash: 0.25, mark: '<path d="M1 1L4 4M4 1L1 4" stroke-width="1"/>' },
  settlement: { wash: 0.25, mark: '<path d="M4 0V8M2 5L4 8L6 5" fill="none" stroke-width="1"/>' },
  ground: { wash: 0.12, mark: '<path d="M-2 2L2 -2M0 8L8 0M6 10L10 6" stroke-width="0.8"/>' },
  masonry: { wash: 0.18, mark: '<path d="M-2 2L2 -2M0 8L8 0M6 10L10 6" stroke-width="0.7"/>' },
  concrete: { wash: 1, mark: '' },
};

function markSvg(mark: Mark, { pens, fills }: Palette): string {
  const pen = (name: Pen | undefined) => (name === undefined || name === 'none' ? 'none' : pens[name]);
  // hatches are drawn as flat washes of their hue with an outline: readers of SVG in PDF do not all know patterns
  const fill = (name: Fill) =>
    name === 'none'
      ? 'fill="none"'
      : `fill="${fills[name]}"${PATTERNS[name] && PATTERNS[name].wash < 1 ? ` fill-opacity="${Math.min(1, PATTERNS[name].wash + 0.25)}"` : ''}`;
  const dash = 'dash' in mark && mark.dash ? ` stroke-dasharray="${mark.dash.join(' ')}"` : '';
  switch (mark.type) {
    case 'line':
      return `<polyline points="${pointList(mark.points)}" fill="none" stroke="${pen(mark.pen)}" stroke-width="${mark.width ?? 1}"${dash}/>${arrowHeads(mark, pen(mark.pen))}`;
    case 'area':
      return `<polygon points="${pointList(mark.points)}" ${fill(mark.fill)} stroke="${pen(mark.pen)}" stroke-width="${mark.width ?? 1}"${dash}${mark.opacity === undefined ? '' : ` opacity="${mark.opacity}"`}/>`;
    case 'band':
      return `<path d="${bandPath(mark)}" ${fill(mark.fill)}${mark.opacity === undefined ? '' : ` opacity="${mark.opacity}"`}/>`;
    case 'circle':
      return `<circle cx="${round(mark.x)}" cy="${round(mark.y)}" r="${round(mark.r)}" ${fill(mark.fill)} stroke="${pen(mark.pen ?? 'ink')}"${dash}/>`;
    case 'text': {
      const turn = mark.rotate ? ` transform="rotate(${mark.rotate} ${round(mark.x)} ${round(mark.y)})"` : '';
      const letters = (colour: string, more = '') =>
        `<text x="${round(mark.x)}" y="${round(mark.y)}" font-size="${mark.size ?? 11}" text-anchor="${mark.anchor ?? 'start'}" fill="${colour}"${more}${mark.bold ? ' font-weight="bold"' : ''}${turn}>${escapeXml(mark.text)}</text>`;
      // a clear ground behind letters on lines: written twice, for readers that know no paint order
      const ground = fills.paper;
      return (
        (mark.halo ? letters(ground, ` stroke="${ground}" stroke-width="3" stroke-linejoin="round"`) : '') + letters(pen(mark.pen ?? 'ink'))
      );
    }
  }
}

/** Small filled heads at the ends of a line that asks for them. */
export function arrowPoints(points: readonly (readonly [number, number])[], end: 'start' | 'end'): [number, number][] {
  const [tip, from] = end === 'end' ? [points.at(-1)!, points.at(-2)!] : [points[0]!, points[1]!];
  const length = Math.hypot(tip[0] - from[0], tip[1] - from[1]) || 1;
  const [ux, uy] = [(tip[0] - from[0]) / length, (tip[1] - from[1]) / length];
  const size = 5;
  return [
    [tip[0], tip[1]],
    [tip[0] - size * ux + size * 0.4 * uy, tip[1] - size * uy - size * 0.4 * ux],
    [tip[0] - size * ux - size * 0.4 * uy, tip[1] - size * uy + size * 0.4 * ux],
  ];
}

function arrowHeads(mark: Extract<Mark, { type: 'line' }>, colour: string): string {
  const ends = mark.arrow === 'both' ? (['start', 'end'] as const) : mark.arrow ? [mark.arrow] : [];
  return ends.map((end) => `<polygon points="${pointList(arrowPoints(mark.points, end))}" fill="${colour}"/>`).join('');
}

/** A drawing as an SVG document for paper and files. `font` is a family that the reader has. */
export function toSvg(drawing: Drawing, palette: Palette = PAPER, font = 'Source Sans 3, sans-serif'): string {
  const { width, height, title, marks } = drawing;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${round(width)} ${round(height)}" width="${round(width)}" height="${round(height)}" font-family="${font}"><title>${escapeXml(title)}</title>${marks.map((mark) => markSvg(mark, palette)).join('')}</svg>`;
}
