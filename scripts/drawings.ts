import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { EBBWICK_PAPER, ebbwickSheets, writeDxf, type ArchitectSheet } from '../core/src/exchange/dxf';
import { writePdf } from '../server/src/package/render';
import { main, ROOT } from './system';

/** A sheet as SVG on its paper, in points. */
function svgOf({ lines, texts = [] }: ArchitectSheet): string {
  const { width, height, ratio, originX, originY } = EBBWICK_PAPER;
  const pt = (mm: number) => (mm / 25.4) * 72;
  const x = (mm: number) => pt(originX + mm / ratio).toFixed(2);
  const y = (mm: number) => pt(height - originY - mm / ratio).toFixed(2);
  const paths = lines.map(
    ({ layer, points, closed }) =>
      `<path d="M${points.map((p) => `${x(p.x)} ${y(p.y)}`).join('L')}${closed ? 'Z' : ''}" fill="none" stroke="#222" stroke-width="${layer === 'WALLS' ? 1 : 0.5}"/>`,
  );
  const words = texts.map(
    ({ at, height: size, text, angle = 0 }) =>
      `<text x="${x(at.x)}" y="${y(at.y)}" transform="rotate(${(-angle * 180) / Math.PI} ${x(at.x)} ${y(at.y)})" font-family="Source Sans 3" font-size="${(pt(size / ratio) * 1.35).toFixed(2)}">${text}</text>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${pt(width)}" height="${pt(height)}" viewBox="0 0 ${pt(width)} ${pt(height)}">${paths.join('')}${words.join('')}</svg>`;
}

/** Writes the architect's sheets that ship with the demonstration building. Run once after they are changed: npx tsx scripts/drawings.ts */
main(async () => {
  const folder = join(ROOT, 'server', 'demonstration');
  mkdirSync(folder, { recursive: true });
  for (const sheet of ebbwickSheets()) {
    const path = join(folder, sheet.file);
    if (sheet.format === 'dxf') writeFileSync(path, writeDxf(sheet));
    else
      writeFileSync(
        path,
        await writePdf({
          pageSize: 'A3',
          pageOrientation: 'landscape',
          pageMargins: 0,
          defaultStyle: { font: 'SourceSans' },
          content: [{ svg: svgOf(sheet) }],
        }),
      );
    console.log(path.slice(ROOT.length + 1));
  }
});
