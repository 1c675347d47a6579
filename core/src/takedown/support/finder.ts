import type { PlanPoint } from '../../building';
import type { OnPoint } from './levelPlan';
import type { Segment } from './line';

const EMPTY: readonly never[] = [];
/** Up to so many boxes are looked through one after the other, which is as quick as a grid and makes nothing. */
const LOOKED_THROUGH = 32;
/** A box that lies in more cells than this is looked at with every search. */
const LARGE = 64;

/** What a search hits, in a list that is used again and again. */
const hits = { at: [] as number[], count: 0 };

function noteHit(index: number): void {
  hits.at[hits.count] = index;
  hits.count += 1;
}

/** A handful of numbers each time: sorted where they stand. */
function sortHits(): void {
  const { at, count } = hits;
  for (let i = 1; i < count; i += 1) {
    const number = at[i]!;
    let j = i - 1;
    for (; j >= 0 && at[j]! > number; j -= 1) at[j + 1] = at[j]!;
    at[j + 1] = number;
  }
}

/** The cells of a grid that a box touches. */
const cells = { west: 0, south: 0, east: 0, north: 0 };

/**
 * Boxes by the cells of a grid in which they lie. Members of a storey lie about evenly on plan, so that a cell has a handful of them however
 * large the plan is: a search takes as long in a large building as in a small one, which it does not in a tree.
 */
class Grid {
  private readonly west: number;
  private readonly south: number;
  private readonly columns: number;
  private readonly rows: number;
  private readonly perX: number;
  private readonly perY: number;
  /** Where the list of each cell begins among the names, and where the last ends. */
  private readonly starts: Int32Array;
  private readonly inCells: Int32Array;
  private readonly large: readonly number[];
  /** The search that met each box last: a box in several cells is met once. */
  private readonly met: Int32Array;
  private search = 0;

  /** @param boxes west, south, east, north of each */
  constructor(private readonly boxes: Float64Array) {
    const count = boxes.length / 4;
    let [west, south, east, north] = [Infinity, Infinity, -Infinity, -Infinity];
    for (let i = 0; i < boxes.length; i += 4) {
      west = Math.min(west, boxes[i]!);
      south = Math.min(south, boxes[i + 1]!);
      east = Math.max(east, boxes[i + 2]!);
      north = Math.max(north, boxes[i + 3]!);
    }
    const [width, height] = [Math.max(1, east - west), Math.max(1, north - south)];
    const columns = Math.max(1, Math.min(count, Math.round(Math.sqrt((count * width) / height))));
    const rows = Math.max(1, Math.round(count / columns));
    this.west = west;
    this.south = south;
    this.columns = columns;
    this.rows = rows;
    this.perX = columns / width;
    this.perY = rows / height;
    this.met = new Int32Array(count);
    const starts = new Int32Array(columns * rows + 1);
    const large: number[] = [];
    for (let n = 0; n < count; n += 1) {
      this.cellsOf(boxes[4 * n]!, boxes[4 * n + 1]!, boxes[4 * n + 2]!, boxes[4 * n + 3]!);
      if (isLarge()) large.push(n);
      else
        for (let y = cells.south; y <= cells.north; y += 1) for (let x = cells.west; x <= cells.east; x += 1) starts[y * columns + x]! += 1;
    }
    for (let i = 1; i < starts.length; i += 1) starts[i]! += starts[i - 1]!;
    const inCells = new Int32Array(starts[starts.length - 1]!);
    // filled from the back, so that the starts end up where the lists begin
    for (let n = count - 1; n >= 0; n -= 1) {
      this.cellsOf(boxes[4 * n]!, boxes[4 * n + 1]!, boxes[4 * n + 2]!, boxes[4 * n + 3]!);
      if (isLarge()) continue;
      for (let y = cells.south; y <= cells.north; y += 1)
        for (let x = cells.west; x <= cells.east; x += 1) inCells[(starts[y * columns + x]! -= 1)] = n;
    }
    this.starts = starts;
    this.inCells = inCells;
    this.large = large;
  }

  private cellsOf(west: number, south: number, east: number, north: number): void {
    const { columns, rows, perX, perY } = this;
    cells.west = within(Math.floor((west - this.west) * perX), columns);
    cells.east = within(Math.floor((east - this.west) * perX), columns);
    cells.south = within(Math.floor((south - this.south) * perY), rows);
    cells.north = within(Math.floor((north - this.south) * perY), rows);
  }

  /** Notes every box that the box touches, in order. */
  find(west: number, south: number, east: number, north: number): void {
    const { columns, starts, inCells, met, large } = this;
    this.search += 1;
    this.cellsOf(west, south, east, north);
    for (let y = cells.south; y <= cells.north; y += 1)
      for (let x = cells.west; x <= cells.east; x += 1) {
        const cell = y * columns + x;
        for (let i = starts[cell]!; i < starts[cell + 1]!; i += 1) {
          const n = inCells[i]!;
          if (met[n] === this.search) continue;
          met[n] = this.search;
          if (touches(this.boxes, n, west, south, east, north)) noteHit(n);
        }
      }
    for (const n of large) if (touches(this.boxes, n, west, south, east, north)) noteHit(n);
    sortHits();
  }
}

function isLarge(): boolean {
  return (cells.east - cells.west + 1) * (cells.north - cells.south + 1) > LARGE;
}

function within(n: number, count: number): number {
  return n < 0 ? 0 : n >= count ? count - 1 : n;
}

function touches(boxes: Float64Array, n: number, west: number, south: number, east: number, north: number): boolean {
  const at = 4 * n;
  return boxes[at]! <= east && boxes[at + 2]! >= west && boxes[at + 1]! <= north && boxes[at + 3]! >= south;
}

/** Finds members near a box on plan. */
export class Finder<T> {
  private readonly grid: Grid | null;
  /** West, south, east, north of each entry. */
  private readonly boxes: Float64Array;

  constructor(
    private readonly entries: readonly T[],
    box: (entry: T, boxes: Float64Array, at: number) => void,
  ) {
    const boxes = new Float64Array(4 * entries.length);
    for (let i = 0; i < entries.length; i += 1) box(entries[i]!, boxes, 4 * i);
    this.boxes = boxes;
    this.grid = entries.length > LOOKED_THROUGH ? new Grid(boxes) : null;
  }

  /** Entries whose box comes within reach of the box, in the order of the entries. */
  near(x1: number, y1: number, x2: number, y2: number, reach: number): readonly T[] {
    const { entries, boxes, grid } = this;
    if (entries.length === 0) return EMPTY;
    const west = Math.min(x1, x2) - reach;
    const south = Math.min(y1, y2) - reach;
    const east = Math.max(x1, x2) + reach;
    const north = Math.max(y1, y2) + reach;
    hits.count = 0;
    if (grid) grid.find(west, south, east, north);
    else for (let n = 0; n < entries.length; n += 1) if (touches(boxes, n, west, south, east, north)) noteHit(n);
    const { at, count } = hits;
    if (count === 0) return EMPTY;
    const found: T[] = new Array<T>(count);
    for (let i = 0; i < count; i += 1) found[i] = entries[at[i]!]!;
    return found;
  }
}

export function lineFinder<B extends { readonly line: Segment }>(entries: readonly B[]): Finder<B> {
  return new Finder(entries, ({ line: { from, to } }, boxes, at) => {
    boxes[at] = Math.min(from.x, to.x);
    boxes[at + 1] = Math.min(from.y, to.y);
    boxes[at + 2] = Math.max(from.x, to.x);
    boxes[at + 3] = Math.max(from.y, to.y);
  });
}

export function pointFinder<B extends { readonly at: PlanPoint }>(entries: readonly OnPoint<B>[]): Finder<OnPoint<B>> {
  return new Finder(entries, ({ body }, boxes, at) => {
    boxes[at] = boxes[at + 2] = body.at.x;
    boxes[at + 1] = boxes[at + 3] = body.at.y;
  });
}
