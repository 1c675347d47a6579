import type { Content, TableCell } from 'pdfmake/interfaces';

export const SANS = 'SourceSans';

export function heading(text: string, level: 1 | 2 | 3, more: object = {}): Content {
  return { text, style: `h${level}`, ...more };
}

/** A table whose head comes again on every page that it reaches. */
export function table(widths: (string | number)[], head: string[], rows: TableCell[][], align: ('left' | 'right')[] = []): Content {
  const cell = (text: TableCell, i: number): TableCell =>
    typeof text === 'string' ? { text, alignment: align[i] ?? 'left', font: SANS } : text;
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths,
      body: [head.map((text, i) => ({ text, style: 'th', alignment: align[i] ?? 'left' })), ...rows.map((row) => row.map(cell))],
    },
    layout: {
      hLineWidth: (i, node) => (i === 0 || i === node.table.body.length ? 0.8 : 0.3),
      vLineWidth: () => 0,
      hLineColor: () => '#9a968b',
      paddingTop: () => 2,
      paddingBottom: () => 2,
      paddingLeft: () => 0,
      paddingRight: () => 8,
    },
    margin: [0, 2, 0, 10],
  };
}
