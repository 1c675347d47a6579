import { item, onPlan, type Item, type PlanPoint } from '../../building';
import type { DxfSheet } from '../dxf/write';

/** A sheet of the made-up architect of Ebbwick Sail Loft, mm on plan: what an engineer is given to survey from. */
export interface ArchitectSheet extends DxfSheet {
  readonly name: string;
  readonly level: string;
  readonly format: 'pdf' | 'dxf';
  /** File under which it ships. */
  readonly file: string;
}

/** Collects lines and text of one sheet. */
class Draughtsman {
  readonly lines: DxfSheet['lines'][number][] = [];
  readonly texts: NonNullable<DxfSheet['texts']>[number][] = [];

  line(layer: string, ...points: readonly (readonly [number, number])[]): void {
    this.lines.push({ layer, points: points.map(([x, y]) => ({ x, y })) });
  }

  box(layer: string, x1: number, y1: number, x2: number, y2: number): void {
    const corners = [
      { x: x1, y: y1 },
      { x: x2, y: y1 },
      { x: x2, y: y2 },
      { x: x1, y: y2 },
    ];
    this.lines.push({ layer, points: corners, closed: true });
  }

  text(x: number, y: number, text: string, height = 220): void {
    this.texts.push({ layer: 'TEXT', at: { x, y }, height, text });
  }

  /** A run of wall along x or y as its two faces, with gaps for openings. */
  wall(x1: number, y1: number, x2: number, y2: number, thickness: number, gaps: readonly (readonly [number, number])[] = []): void {
    const along = x1 === x2 ? 'y' : 'x';
    const [start, end] = along === 'x' ? [x1, x2] : [y1, y2];
    const places = [start, ...gaps.flat(), end];
    for (let i = 0; i < places.length; i += 2) {
      const [a, b] = [places[i]!, places[i + 1]!];
      if (along === 'x') this.box('WALLS', a, y1 - thickness / 2, b, y1 + thickness / 2);
      else this.box('WALLS', x1 - thickness / 2, a, x1 + thickness / 2, b);
    }
  }

  /** A door leaf and the quarter circle that it sweeps. @param turn quarter turns of the leaf's direction */
  door(x: number, y: number, width: number, turn: number): void {
    const place = (angle: number): readonly [number, number] => [x + width * Math.cos(angle), y + width * Math.sin(angle)];
    const start = (turn * Math.PI) / 2;
    this.line('DOORS', [x, y], place(start + Math.PI / 2));
    this.line('DOORS', ...Array.from({ length: 10 }, (_, i) => place(start + (i * Math.PI) / 18)));
  }

  /** A chain of dimensions along x at a height, or along y beside the plan. */
  chain(along: 'x' | 'y', at: number, places: readonly number[]): void {
    for (const [i, place] of places.entries()) {
      const next = places[i + 1];
      const tick = 120;
      if (along === 'x') this.line('DIMENSIONS', [place - tick, at - tick], [place + tick, at + tick]);
      else this.line('DIMENSIONS', [at - tick, place - tick], [at + tick, place + tick]);
      if (next === undefined) continue;
      const label = String(Math.round(next - place));
      if (along === 'x') {
        this.line('DIMENSIONS', [place, at], [next, at]);
        this.texts.push({ layer: 'DIMENSIONS', at: { x: (place + next) / 2 - 300, y: at + 90 }, height: 200, text: label });
      } else {
        this.line('DIMENSIONS', [at, place], [at, next]);
        this.texts.push({
          layer: 'DIMENSIONS',
          at: { x: at - 90, y: (place + next) / 2 - 300 },
          height: 200,
          text: label,
          angle: Math.PI / 2,
        });
      }
    }
  }

  /** A dashed line, as short strokes. */
  dashed(layer: string, x1: number, y1: number, x2: number, y2: number): void {
    const length = Math.hypot(x2 - x1, y2 - y1);
    for (let s = 0; s < length; s += 400) {
      const [a, b] = [s / length, Math.min(1, (s + 250) / length)];
      this.line(layer, [x1 + (x2 - x1) * a, y1 + (y2 - y1) * a], [x1 + (x2 - x1) * b, y1 + (y2 - y1) * b]);
    }
  }

  frame(title: string, sheet: string): void {
    this.chain('x', -2600, [0, 5400, 10_800, 16_200]);
    this.chain('y', -2600, [0, 4500, 9000]);
    this.text(0, -3700, `EBBWICK SAIL LOFT   ${title}   1:50   ${sheet}`, 300);
    this.text(0, -4200, 'Made up for demonstration. Do not scale for setting out.', 180);
  }
}

function outerWalls(
  d: Draughtsman,
  openWest: readonly (readonly [number, number])[],
  openEast: readonly (readonly [number, number])[],
): void {
  d.wall(-150, 0, 16_350, 0, 300, [
    [1800, 3600],
    [7200, 9000],
  ]);
  d.wall(-150, 9000, 16_350, 9000, 300, [[12_600, 14_400]]);
  d.wall(0, 150, 0, 8850, 300, openWest);
  d.wall(16_200, 150, 16_200, 8850, 300, openEast);
}

function slip(): Draughtsman {
  const d = new Draughtsman();
  outerWalls(d, [[4800, 8600]], [[4700, 5600]]);
  for (const x of [0, 10_800, 16_200]) for (const y of [0, 4500, 9000]) d.box('COLUMNS', x - 102, y - 102, x + 102, y + 102);
  // a hull on the slip
  d.line('FITTINGS', [900, 6000], [2600, 5350], [6800, 5350], [9600, 6700], [6800, 8050], [2600, 8050], [900, 7400], [900, 6000]);
  d.dashed('FITTINGS', -1800, 6200, 10_200, 6200);
  d.dashed('FITTINGS', -1800, 7200, 10_200, 7200);
  d.wall(10_800, 4600, 10_800, 8850, 150, [[5200, 6200]]);
  d.door(10_800, 5200, 1000, 0);
  d.door(16_200, 4700, 900, 1);
  for (let x = 13_200; x <= 16_050; x += 285) d.line('STAIRS', [x, 1000], [x, 2100]);
  d.box('STAIRS', 13_200, 1000, 16_050, 2100);
  d.text(3300, 6600, 'BOAT BAY', 300);
  d.text(12_200, 6600, 'WORKSHOP', 300);
  d.text(2200, 2200, 'STORE', 300);
  d.text(13_500, 2300, 'STAIR UP', 180);
  d.frame('SLIP LEVEL', 'A-101');
  return d;
}

function loft(): Draughtsman {
  const d = new Draughtsman();
  outerWalls(d, [[900, 2700]], [[6200, 7100]]);
  for (const x of [0, 5400, 10_800, 16_200]) for (const y of [0, 9000]) d.box('COLUMNS', x - 75, y - 75, x + 75, y + 75);
  for (const [x1, y1, x2, y2] of [
    [0, 4500, 10_800, 4500],
    [10_800, 4500, 10_800, 7800],
    [10_800, 7800, 0, 7800],
    [0, 7800, 0, 4500],
    [0, 4500, 10_800, 7800],
    [0, 7800, 10_800, 4500],
  ] as const)
    d.dashed('VOID', x1, y1, x2, y2);
  // the brick stair enclosure, and the screen to the void
  d.wall(13_200, 600, 13_200, 4400, 215, [[2000, 2900]]);
  d.door(13_200, 2000, 900, 1);
  d.wall(13_300, 4500, 16_000, 4500, 215);
  d.wall(1200, 4500, 5000, 4500, 120);
  for (let x = 13_500; x <= 16_050; x += 285) d.line('STAIRS', [x, 1000], [x, 2100]);
  d.box('STAIRS', 13_300, 900, 16_050, 3400);
  d.box('LANDING', 16_350, 6100, 18_600, 7900);
  d.line('FITTINGS', [3400, 6550], [3800, 6950]);
  d.line('FITTINGS', [3400, 6950], [3800, 6550]);
  d.text(3950, 6650, 'HOIST 2 t', 180);
  d.text(3000, 2000, 'SAIL FLOOR', 300);
  d.text(6300, 6000, 'VOID OVER BOAT BAY', 220);
  d.text(12_000, 7400, 'WORKSHOP LOFT', 260);
  d.text(16_500, 6900, 'LANDING', 220);
  d.text(13_700, 2500, 'STAIR', 180);
  d.frame('LOFT LEVEL', 'A-102');
  return d;
}

function gallery(): Draughtsman {
  const d = new Draughtsman();
  outerWalls(d, [], []);
  d.box('FLOOR', 10_800, 2200, 16_050, 6800);
  d.box('BALUSTRADE', 10_860, 2260, 15_990, 6740);
  for (const x of [10_800, 16_050])
    for (const y of [2500, 6500]) {
      d.line('RODS', [x - 90, y], [x + 90, y]);
      d.line('RODS', [x, y - 90], [x, y + 90]);
    }
  for (const x of [0, 5400, 10_800, 16_200]) d.dashed('TRUSSES OVER', x, 0, x, 9000);
  d.text(11_900, 4400, 'SAILMAKERS GALLERY', 260);
  d.text(3000, 4400, 'OPEN TO LOFT BELOW', 260);
  d.text(5550, 600, 'truss over', 160);
  d.text(11_000, 6100, 'rod from truss', 160);
  d.frame('GALLERY LEVEL', 'A-103');
  return d;
}

/** The three sheets that ship with Ebbwick: one as PDF, two as DXF. */
export function ebbwickSheets(): ArchitectSheet[] {
  const sheet = (name: string, level: string, format: 'pdf' | 'dxf', { lines, texts }: Draughtsman): ArchitectSheet => ({
    name,
    level,
    format,
    file: `ebbwick-${level}.${format}`,
    lines,
    texts,
  });
  return [
    sheet('A-101 slip level', 'slip', 'dxf', slip()),
    sheet('A-102 loft level', 'loft', 'pdf', loft()),
    sheet('A-103 gallery level', 'gallery', 'dxf', gallery()),
  ];
}

/** Paper of the PDF sheet: A3, mm, at 1:50; the plan's origin lies so far from its lower left corner. */
export const EBBWICK_PAPER = { width: 420, height: 297, ratio: 50, originX: 60, originY: 95 } as const;

/** The sheet laid under its level. @param hash of its file */
export function laidSheet(sheet: ArchitectSheet, hash: string): Item {
  const common = { name: sheet.name, level: sheet.level, file: hash, format: sheet.format, opacity: 0.45, locked: true };
  if (sheet.format === 'pdf') {
    const { width, height, ratio, originX, originY } = EBBWICK_PAPER;
    const points = (mm: number) => (mm / 25.4) * 72;
    const scale = (ratio * width) / points(width);
    return item('drawing', `sheet-${sheet.level}`, {
      ...common,
      width: points(width),
      height: points(height),
      at: { x: (width / 2 - originX) * ratio, y: (height / 2 - originY) * ratio },
      scale,
      scaleSource: `1:${ratio} on ${width} mm of paper`,
    });
  }
  const all: PlanPoint[] = sheet.lines.flatMap(({ points }) => points);
  const xs = all.map((p) => p.x);
  const ys = all.map((p) => p.y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return item('drawing', `sheet-${sheet.level}`, {
    ...common,
    width: right - left,
    height: high - low,
    at: onPlan({ at: { x: (left + right) / 2, y: (low + high) / 2 }, scale: 1, turn: 0 }, { x: 0, y: 0 }),
    scale: 1,
    scaleSource: 'as drawn: a unit is 1 mm',
  });
}
