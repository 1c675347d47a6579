import type { Nature } from '../load';

/** Pens and fills by what they mean; the renderer decides on colours, so one drawing serves both themes and paper. */
export type Pen = 'ink' | 'soft' | 'faint' | 'accent' | 'none';
export type Fill = Nature | 'paper' | 'accentWash' | 'concrete' | 'steel' | 'ground' | 'masonry' | 'floor' | 'ink' | 'accent' | 'none';

interface Common {
  /** Item that the stroke belongs to: a renderer may make it selectable. */
  readonly item?: string;
}

export interface LineMark extends Common {
  readonly type: 'line';
  readonly points: readonly (readonly [number, number])[];
  readonly pen: Pen;
  readonly width?: number;
  readonly dash?: readonly number[];
  readonly arrow?: 'start' | 'end' | 'both';
}

export interface AreaMark extends Common {
  readonly type: 'area';
  readonly points: readonly (readonly [number, number])[];
  readonly fill: Fill;
  readonly pen?: Pen;
  readonly width?: number;
  readonly dash?: readonly number[];
  readonly opacity?: number;
}

/** A band between two curves: from (x1, y1) with width w1 to (x2, y2) with width w2, leaving and arriving vertically. */
export interface BandMark extends Common {
  readonly type: 'band';
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly width: number;
  readonly fill: Fill;
  readonly opacity?: number;
  readonly title?: string;
}

export interface CircleMark extends Common {
  readonly type: 'circle';
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly fill: Fill;
  readonly pen?: Pen;
  readonly dash?: readonly number[];
}

export interface TextMark extends Common {
  readonly type: 'text';
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly size?: number;
  readonly anchor?: 'start' | 'middle' | 'end';
  readonly pen?: Pen;
  readonly bold?: boolean;
  readonly rotate?: number;
  /** A clear ground behind the letters, where they stand on lines. */
  readonly halo?: boolean;
}

export type Mark = LineMark | AreaMark | BandMark | CircleMark | TextMark;

/** Marks in points of a page or pixels of a screen, y downward; shapes within are to the scale stated. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly title: string;
  readonly marks: readonly Mark[];
}

/** Width of a letter of a caption, and height of its lines, px. */
const CAPTION_LETTER = 4.9;
const CAPTION_LINE = 12;

/** Collects marks; the small vocabulary that all drawings share. */
export class Pencil {
  readonly marks: Mark[] = [];

  line(points: LineMark['points'], pen: Pen = 'ink', more: Partial<LineMark> = {}): void {
    this.marks.push({ type: 'line', points, pen, ...more });
  }

  area(points: AreaMark['points'], fill: Fill, more: Partial<AreaMark> = {}): void {
    this.marks.push({ type: 'area', points, fill, ...more });
  }

  rectangle(x: number, y: number, width: number, height: number, fill: Fill, more: Partial<AreaMark> = {}): void {
    this.area(
      [
        [x, y],
        [x + width, y],
        [x + width, y + height],
        [x, y + height],
      ],
      fill,
      more,
    );
  }

  circle(x: number, y: number, r: number, fill: Fill, pen: Pen = 'ink', item?: string, dash?: readonly number[]): void {
    this.marks.push({ type: 'circle', x, y, r, fill, pen, item, dash });
  }

  /**
   * Soft words over a drawing, in as many lines as they need.
   * @param width room for a line
   * @returns how much further down the drawing begins than under one line
   */
  caption(x: number, y: number, text: string, width: number): number {
    const most = Math.max(20, Math.floor(width / CAPTION_LETTER));
    const lines: string[] = [];
    for (const word of text.split(' ')) {
      const last = lines.at(-1);
      if (last !== undefined && last.length + 1 + word.length <= most) lines[lines.length - 1] = `${last} ${word}`;
      else lines.push(word);
    }
    lines.forEach((line, i) => this.text(x, y + i * CAPTION_LINE, line, { size: 10, pen: 'soft' }));
    return (lines.length - 1) * CAPTION_LINE;
  }

  text(x: number, y: number, text: string, more: Partial<TextMark> = {}): void {
    this.marks.push({ type: 'text', x, y, text, ...more });
  }

  band(band: Omit<BandMark, 'type'>): void {
    this.marks.push({ type: 'band', ...band });
  }

  /** A horizontal dimension line with ticks and its figure above. */
  dimension(x1: number, x2: number, y: number, text: string): void {
    this.line(
      [
        [x1, y],
        [x2, y],
      ],
      'soft',
      { width: 0.6 },
    );
    for (const x of [x1, x2]) {
      this.line(
        [
          [x, y - 4],
          [x, y + 4],
        ],
        'soft',
        { width: 0.6 },
      );
      this.line(
        [
          [x - 2.5, y + 2.5],
          [x + 2.5, y - 2.5],
        ],
        'ink',
        { width: 0.9 },
      );
    }
    this.text((x1 + x2) / 2, y - 4, text, { size: 10, anchor: 'middle', pen: 'soft' });
  }

  /** A vertical dimension line, figure turned along it at its left. */
  dimensionUp(y1: number, y2: number, x: number, text: string): void {
    this.line(
      [
        [x, y1],
        [x, y2],
      ],
      'soft',
      { width: 0.6 },
    );
    for (const y of [y1, y2]) {
      this.line(
        [
          [x - 4, y],
          [x + 4, y],
        ],
        'soft',
        { width: 0.6 },
      );
      this.line(
        [
          [x - 2.5, y + 2.5],
          [x + 2.5, y - 2.5],
        ],
        'ink',
        { width: 0.9 },
      );
    }
    this.text(x - 5, (y1 + y2) / 2, text, { size: 10, anchor: 'middle', pen: 'soft', rotate: -90 });
  }

  /** A support drawn as a triangle whose tip touches (x, y). */
  support(x: number, y: number, size = 7): void {
    this.area(
      [
        [x, y],
        [x - size * 0.7, y + size],
        [x + size * 0.7, y + size],
      ],
      'paper',
      { pen: 'ink', width: 1 },
    );
  }

  /** What holds a member against turning at x: a line across it from y1 to y2 with hatching, to one side at an end and to both between. */
  built(x: number, y1: number, y2: number, side: 'left' | 'right' | 'both'): void {
    this.line(
      [
        [x, y1],
        [x, y2],
      ],
      'ink',
      { width: 2 },
    );
    for (const way of side === 'both' ? [-1, 1] : [side === 'left' ? -1 : 1])
      for (let y = y1 + 1; y < y2 - 2; y += 5)
        this.line(
          [
            [x, y],
            [x + way * 5, y + 4],
          ],
          'ink',
          { width: 0.8 },
        );
  }
}

/** To which side of a fixed support a member of such a length does not go on. */
export const sideOf = (at: number, length: number): 'left' | 'right' | 'both' => (at < 1 ? 'left' : at > length - 1 ? 'right' : 'both');
