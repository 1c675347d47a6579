import { formatQuantity, type UnitSystem } from '../quantity';
import type { Elastic, Part, Plastic } from '../section';
import { Pencil, type Drawing } from './drawing';

export interface BuiltUpDrawingInput {
  readonly parts: readonly Part[];
  /** What was found of it; null while the parts make no section. */
  readonly solution: { readonly elastic: Elastic; readonly plastic: Plastic } | null;
  readonly units: UnitSystem;
  readonly width: number;
  readonly height: number;
}

/**
 * A built-up section to scale with both neutral axes, and beside it strain and stress at first yield and the plastic stress blocks, each part at
 * its own strength. Compression is drawn to the left of each line.
 */
export function builtUpDrawing({ parts, solution, units, width, height }: BuiltUpDrawingInput): Drawing {
  const pencil = new Pencil();
  const top = Math.max(...parts.map((part) => part.top));
  const bottom = Math.min(...parts.map((part) => part.bottom));
  const left = Math.min(...parts.map((part) => part.left));
  const right = Math.max(...parts.map((part) => part.right));
  const own = width * 0.46;
  const scale = Math.min((own - 150) / (right - left), (height - 70) / (top - bottom));
  const foot = height - 30;
  const y = (z: number) => foot - (z - bottom) * scale;
  // right of it stand the names of the axes
  const middle = 45 + (own - 120) / 2;
  const x = (at: number) => middle + (at - (left + right) / 2) * scale;
  for (const part of parts)
    for (const { corners, sign } of part.loops)
      pencil.area(
        corners.map(([a, b]): [number, number] => [x(a), y(b)]),
        sign > 0 ? 'steel' : 'paper',
        { pen: 'ink', width: 1 },
      );
  pencil.dimension(x(left), x(right), y(top) - 12, formatQuantity(right - left, 'sectionLength', units, { bare: true }));
  pencil.dimensionUp(y(top), y(bottom), x(left) - 16, formatQuantity(top - bottom, 'sectionLength', units, { bare: true }));
  const title = 'Built-up section to scale, with elastic and plastic neutral axes, strain and stresses';
  if (!solution) return { width, height, title: 'Built-up section to scale', marks: pencil.marks };
  const { elastic, plastic } = solution;

  // strain, elastic stress, plastic stress: three columns on the same heights
  const columns = [0.53, 0.69, 0.85].map((share) => share * width);
  const half = width * 0.058;
  for (const at of columns)
    pencil.line(
      [
        [at, y(top)],
        [at, y(bottom)],
      ],
      'soft',
    );
  const titles = ['strain', 'stress, first yield', 'stress, plastic'];
  columns.forEach((at, i) => pencil.text(at, y(top) - 12, titles[i]!, { anchor: 'middle', size: 11, pen: 'soft' }));
  const far = Math.max(top - elastic.axis, elastic.axis - bottom);
  const strain = (z: number) => ((elastic.axis - z) / far) * half;
  pencil.area(
    [
      [columns[0]!, y(top)],
      [columns[0]! + strain(top), y(top)],
      [columns[0]! + strain(bottom), y(bottom)],
      [columns[0]!, y(bottom)],
    ],
    'accentWash',
    { pen: 'accent' },
  );
  const strongest = Math.max(...parts.map(({ fy }) => fy));
  const curvature = elastic.yieldMoment / elastic.EI;
  const solid = parts.filter(({ isHole }) => !isHole);
  for (const part of solid) {
    const stress = (z: number) => ((curvature * part.E * (elastic.axis - z)) / strongest) * half;
    const line = columns[1]!;
    pencil.area(
      [
        [line, y(part.top)],
        [line + stress(part.top), y(part.top)],
        [line + stress(part.bottom), y(part.bottom)],
        [line, y(part.bottom)],
      ],
      'accentWash',
      { pen: 'ink' },
    );
    const block = (part.fy / strongest) * half;
    const plasticLine = columns[2]!;
    const cut = Math.min(part.top, Math.max(part.bottom, plastic.axis));
    if (part.top > cut) pencil.rectangle(plasticLine - block, y(part.top), block, (part.top - cut) * scale, 'accentWash', { pen: 'ink' });
    if (cut > part.bottom) pencil.rectangle(plasticLine, y(cut), block, (cut - part.bottom) * scale, 'accentWash', { pen: 'ink' });
  }
  const labelled = new Set<number>();
  for (const { fy, top: z, bottom: low } of solid) {
    if (labelled.has(fy)) continue;
    labelled.add(fy);
    const at = y((z + low) / 2);
    // above an axis that would run through it
    const crossed = [elastic.axis, plastic.axis].map(y).filter((line) => Math.abs(line - at) < 9);
    pencil.text(columns[2]! + half + 4, crossed.length > 0 ? Math.min(...crossed) - 5 : at + 4, formatQuantity(fy, 'stress', units), {
      size: 10,
      pen: 'soft',
      halo: true,
    });
  }
  // the axes, across everything; when they lie close their names keep apart
  const close = Math.abs(y(elastic.axis) - y(plastic.axis)) < 14;
  const name = (at: number, text: string, above: boolean) =>
    pencil.text(own - 6, y(at) + (above ? -4 : 12), text, { anchor: 'end', size: 11, bold: true, halo: true });
  pencil.line(
    [
      [x(left) - 8, y(elastic.axis)],
      [width - 8, y(elastic.axis)],
    ],
    'ink',
    { dash: [8, 3, 2, 3] },
  );
  pencil.line(
    [
      [x(left) - 8, y(plastic.axis)],
      [width - 8, y(plastic.axis)],
    ],
    'accent',
    { dash: [6, 4] },
  );
  const elasticAbove = elastic.axis >= plastic.axis;
  name(elastic.axis, 'elastic axis', close ? elasticAbove : true);
  name(plastic.axis, 'plastic axis', close ? !elasticAbove : true);
  return {
    width,
    height,
    title,
    marks: pencil.marks,
  };
}
