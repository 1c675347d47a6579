/** Keeps marks apart: a place is free when no mark and no post stands in it. */
export class Places {
  private readonly taken: [x1: number, y1: number, x2: number, y2: number][] = [];

  take(x: number, y: number, width: number, height: number): void {
    this.taken.push([x, y, x + width, y + height]);
  }

  isFree(x: number, y: number, width: number, height: number): boolean {
    return this.taken.every(([x1, y1, x2, y2]) => x + width <= x1 || x >= x2 || y + height <= y1 || y >= y2);
  }
}

/** About as wide as a mark is written. */
export const textWidth = (text: string): number => 6.4 * text.length;
