import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { onPlan } from '../../building';
import { readDxf, writeDxf } from '../dxf';
import { ebbwickSheets, laidSheet } from './ebbwickDrawings';

describe('the sheets that ship with Ebbwick', () => {
  const sheets = ebbwickSheets();
  it.each(sheets.filter(({ format }) => format === 'dxf').map((sheet) => [sheet.file, sheet] as const))(
    '%s is as it is drawn here, and lies where it was drawn',
    (file, sheet) => {
      const text = readFileSync(new URL(`../../../../server/demonstration/${file}`, import.meta.url), 'utf8');
      expect(text).toBe(writeDxf(sheet));
      const dxf = readDxf(text);
      const { body } = laidSheet(sheet, '0'.repeat(64)) as { body: { at: { x: number; y: number }; scale: number; turn: number } };
      // the first corner of the first wall, read from the file and laid, is where the architect drew it
      const [p] = dxf.lines[0]!.points;
      const middle = { x: (dxf.box.left + dxf.box.right) / 2, y: (dxf.box.low + dxf.box.high) / 2 };
      const laid = onPlan(body, { x: p!.x - middle.x, y: p!.y - middle.y });
      expect(laid.x).toBeCloseTo(sheet.lines[0]!.points[0]!.x, 6);
      expect(laid.y).toBeCloseTo(sheet.lines[0]!.points[0]!.y, 6);
    },
  );
  it('the PDF lies to scale: a point of paper is 1/72 inch times fifty', () => {
    const { body } = laidSheet(
      sheets.find(({ format }) => format === 'pdf')!,
      '0'.repeat(64),
    ) as {
      body: { scale: number; width: number; at: { x: number; y: number } };
    };
    expect(body.scale).toBeCloseTo((25.4 / 72) * 50, 9);
    // its left edge is 60 mm of paper, 3 m, left of the origin
    expect(body.at.x - (body.width * body.scale) / 2).toBeCloseTo(-3000, 6);
  });
});
