import type { FootingDesign } from '../design';
import { formatQuantity, type UnitSystem } from '../quantity';
import { Pencil, type Drawing } from './drawing';

/** A pad in section and in plan, both to one scale, with its bars, founding depth and sizes. */
export function footingDrawing(design: FootingDesign, foundingDepth: number, units: UnitSystem, width: number, height: number): Drawing {
  const pencil = new Pencil();
  if (design.width === 0) {
    pencil.text(width / 2, height / 2, design.reason ?? 'not sized', { anchor: 'middle', pen: 'soft' });
    return { width, height, title: `${design.mark}: not sized`, marks: pencil.marks };
  }
  const half = width / 2;
  const depthShown = Math.max(foundingDepth, design.thickness);
  const scale = Math.min((half - 90) / design.width, (height - 70) / Math.max(design.length, depthShown + 300));
  const size = (value: number) => formatQuantity(value, 'length', units, { figures: 3 });
  const barText = (layer: { count: number; spacing: number }) =>
    `${layer.count} bars ${units === 'SI' ? `ø${design.barId}` : design.barId} at ${formatQuantity(layer.spacing, 'sectionLength', units, { figures: 3 })}`;

  // section: ground line, backfill, pad, column, bars
  const ground = 44;
  const base = ground + depthShown * scale;
  const top = base - design.thickness * scale;
  const [x1, x2] = [half / 2 + 14 - (design.width * scale) / 2, half / 2 + 14 + (design.width * scale) / 2];
  const { column } = design;
  const middle = (x1 + x2) / 2 + column.offset.x * scale;
  const columnHalf = (column.width * scale) / 2;
  pencil.rectangle(x1 - 22, base, x2 - x1 + 44, 8, 'ground');
  pencil.rectangle(x1, top, x2 - x1, base - top, 'concrete', { pen: 'ink', width: 1.4 });
  pencil.rectangle(middle - columnHalf, ground - 16, 2 * columnHalf, top - ground + 16, 'steel', { pen: 'ink' });
  pencil.line(
    [
      [x1 - 26, ground],
      [middle - columnHalf, ground],
    ],
    'soft',
    { width: 1 },
  );
  pencil.line(
    [
      [middle + columnHalf, ground],
      [x2 + 26, ground],
    ],
    'soft',
    { width: 1 },
  );
  if (design.bars) {
    const cover = Math.max(4, 0.12 * (base - top));
    pencil.line(
      [
        [x1 + 5, base - cover],
        [x2 - 5, base - cover],
      ],
      'accent',
      { width: 1.6 },
    );
    const { count } = design.bars.alongY;
    for (let i = 0; i < count; i += 1)
      pencil.circle(x1 + 7 + ((x2 - x1 - 14) * i) / Math.max(1, count - 1), base - cover - 3, 1.6, 'accent', 'none');
  }
  pencil.dimensionUp(top, base, x1 - 12, formatQuantity(design.thickness, 'sectionLength', units, { figures: 3 }));
  if (depthShown > design.thickness + 1) pencil.dimensionUp(ground, base, x1 - 34, size(depthShown));
  pencil.dimension(x1, x2, base + 24, size(design.width));
  pencil.text((x1 + x2) / 2, 14, 'section', { size: 10, anchor: 'middle', pen: 'soft' });

  // plan
  const px = half + half / 2 + 10;
  const py = 34 + (height - 90) / 2;
  const [w, l] = [design.width * scale, design.length * scale];
  pencil.rectangle(px - w / 2, py - l / 2, w, l, 'concrete', { pen: 'ink', width: 1.4 });
  if (design.bars) {
    const { alongX, alongY } = design.bars;
    for (let i = 0; i < alongX.count; i += 1) {
      const y = py - l / 2 + 5 + ((l - 10) * i) / Math.max(1, alongX.count - 1);
      pencil.line(
        [
          [px - w / 2 + 5, y],
          [px + w / 2 - 5, y],
        ],
        'accent',
        { width: 0.8 },
      );
    }
    for (let i = 0; i < alongY.count; i += 1) {
      const x = px - w / 2 + 5 + ((w - 10) * i) / Math.max(1, alongY.count - 1);
      pencil.line(
        [
          [x, py - l / 2 + 5],
          [x, py + l / 2 - 5],
        ],
        'accent',
        { width: 0.8 },
      );
    }
  }
  const [cx, cy] = [px + column.offset.x * scale, py - column.offset.y * scale];
  if (column.isRound) pencil.circle(cx, cy, columnHalf, 'steel', 'ink');
  else pencil.rectangle(cx - columnHalf, cy - (column.depth * scale) / 2, 2 * columnHalf, column.depth * scale, 'steel', { pen: 'ink' });
  pencil.dimension(px - w / 2, px + w / 2, py + l / 2 + 22, size(design.width));
  pencil.dimensionUp(py - l / 2, py + l / 2, px - w / 2 - 12, size(design.length));
  pencil.text(px, 14, 'plan', { size: 10, anchor: 'middle', pen: 'soft' });
  if (design.bars)
    pencil.text(half, height - 6, `${barText(design.bars.alongX)} along x, ${barText(design.bars.alongY)} along y, bottom`, {
      size: 10.5,
      anchor: 'middle',
    });
  return {
    width,
    height,
    title: `${design.mark}: pad ${size(design.width)} by ${size(design.length)}, ${formatQuantity(design.thickness, 'sectionLength', units)} thick`,
    marks: pencil.marks,
  };
}
