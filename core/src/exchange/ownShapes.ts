import Papa from 'papaparse';
import { BadInput, PlinthError } from '../error';
import { DISPLAY, parseQuantity, type UnitSystem } from '../quantity';
import { findSection } from '../section';
import { writeCsv } from './csv';

/** A shape of one's own: what it is called, and the designation that gives its dimensions. */
export interface OwnShape {
  readonly name: string;
  readonly designation: string;
}

export interface ReadOwnShapes {
  readonly shapes: readonly OwnShape[];
  /** Rows that cannot be read, in words; the header is row 1. */
  readonly faults: readonly { readonly row: number; readonly message: string }[];
}

/** Dimensions that each outline is written with, in the order of its designation. */
const DIMENSIONS: Record<string, readonly string[]> = {
  I: ['depth', 'width', 'web', 'flange'],
  C: ['depth', 'width', 'web', 'flange'],
  T: ['depth', 'width', 'web', 'flange'],
  L: ['depth', 'width', 'wall'],
  box: ['depth', 'width', 'wall'],
  tube: ['depth', 'wall'],
};
const COLUMNS = ['name', 'shape', 'depth', 'width', 'web', 'flange', 'bottom width', 'bottom flange', 'wall', 'radius'] as const;
const MOST = 500;

/**
 * Own shapes from CSV or cells of a spreadsheet: columns name, shape (I, C, T, L, box, tube), depth, width, web, flange, bottom width and bottom
 * flange (of an I whose flanges are unequal), wall, radius, in any order; a dimension is in mm or in, as the header says in brackets or the project has it, or carries its unit. A row that cannot be read stays
 * out and is told.
 */
export function readOwnShapes(text: string, units: UnitSystem): ReadOwnShapes {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const head = (data[0] ?? []).map((cell) => cell.trim().toLowerCase());
  const column = (name: string) => head.findIndex((title) => title.replace(/\s*\[.*\]$/, '') === name);
  if (column('shape') < 0)
    return {
      shapes: [],
      faults: [{ row: 1, message: `the first row names the columns: ${COLUMNS.join(', ')}; there is none called "shape"` }],
    };
  const shapes: OwnShape[] = [];
  const faults: { row: number; message: string }[] = [];
  data.slice(1).forEach((cells, i) => {
    const row = i + 2;
    const cell = (name: string) => (column(name) < 0 ? '' : (cells[column(name)] ?? '').trim());
    try {
      const kind = Object.keys(DIMENSIONS).find((name) => name.toLowerCase() === cell('shape').toLowerCase());
      if (!kind) throw new BadInput(`shape "${cell('shape')}" is none of ${Object.keys(DIMENSIONS).join(', ')}`);
      if (shapes.length >= MOST) throw new BadInput(`more than ${MOST} shapes`);
      const dimension = (name: string) => {
        if (!cell(name)) throw new BadInput(`${name} is missing`);
        const unit = /\[(mm|in)\]/.exec(head[column(name)]!)?.[1];
        const value = parseQuantity(unit && /^[\d.]+$/.test(cell(name)) ? `${cell(name)} ${unit}` : cell(name), 'sectionLength', units);
        if (!(value > 0)) throw new BadInput(`${name} must be greater than 0`);
        return +value.toFixed(3);
      };
      const isUnequal = kind === 'I' && [cell('bottom width'), cell('bottom flange')].some((value) => value !== '' && value !== '0');
      const bottom = isUnequal ? ` bottom ${dimension('bottom width')}x${dimension('bottom flange')}` : '';
      const radius = cell('radius') && cell('radius') !== '0' ? ` r${dimension('radius')}` : '';
      const designation = `own ${kind} ${DIMENSIONS[kind]!.map(dimension).join('x')}${bottom}${radius}`;
      findSection(designation);
      shapes.push({ name: cell('name') || designation, designation });
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      faults.push({ row, message: error.message });
    }
  });
  return { shapes, faults };
}

/** Own shapes as CSV: what is read back is the same. Dimensions in mm. */
export function ownShapesCsv(shapes: readonly OwnShape[]): string {
  const unit = DISPLAY.SI.sectionLength.label;
  const head = COLUMNS.map((name) => (name === 'name' || name === 'shape' ? name : `${name} [${unit}]`));
  const rows = shapes.map(({ name, designation }) => {
    const [, kind, sizes, bottomWidth, bottomFlange, radius] = /^own (\w+) ([\d.x]+)(?: bottom ([\d.]+)x([\d.]+))?(?: r([\d.]+))?$/.exec(
      designation,
    )!;
    const values = sizes!.split('x').map(Number);
    const of = (dimension: string) => values[DIMENSIONS[kind!]!.indexOf(dimension)] ?? '';
    return [name, kind!, ...['depth', 'width', 'web', 'flange'].map(of), bottomWidth ?? '', bottomFlange ?? '', of('wall'), radius ?? ''];
  });
  return writeCsv([head, ...rows]);
}
