import Papa from 'papaparse';
import { itemName, readItem, type Building, type Item } from '../../building';
import { BadInput, PlinthError } from '../../error';
import { DISPLAY } from '../../quantity';
import { writeCsv } from '../csv';
import { COLUMNS, SCHEDULED, type Body, type Column, type Names, type ScheduledKind } from './columns';

export { SCHEDULED, type ScheduledKind } from './columns';

/** A cell, or a row, that cannot be read, in words. Rows count from 1, the header included. */
export interface ScheduleFault {
  readonly row: number;
  readonly column: string;
  readonly message: string;
}

export interface ReadSchedule {
  /** New and changed items, ready to be put. */
  readonly items: readonly Item[];
  readonly added: number;
  readonly changed: number;
  /** Rows that say what is there already. */
  readonly same: number;
  readonly faults: readonly ScheduleFault[];
  /** Headers that no column of the schedule has. */
  readonly unknown: readonly string[];
}

/** What a new row starts from. */
export interface ScheduleDefaults {
  /** A new item of the kind, without a name. */
  readonly make: () => Item;
}

const MOST_ROWS = 50_000;

const titleOf = ({ title, kind }: Column, names: Pick<Names, 'units'>) => {
  const label = kind ? DISPLAY[names.units][kind].label : '';
  return label ? `${title} [${label}]` : title;
};

function namesFor(building: Building, items: readonly Item[]): Names {
  const members = new Map(items.filter(({ kind }) => kind !== 'load' && kind !== 'gridline').map((item) => [itemName(item), item.id]));
  return { building, units: building.brief.units, member: (mark) => members.get(mark) };
}

/** The schedule of one kind as rows of cells, its header first. */
export function scheduleRows(building: Building, items: readonly Item[], kind: ScheduledKind): (string | number)[][] {
  const names = namesFor(building, items);
  const columns = COLUMNS[kind];
  const rows = items
    .filter((item) => item.kind === kind)
    .sort((a, b) => itemName(a).localeCompare(itemName(b), 'en', { numeric: true }))
    .map((item) => columns.map((column) => (column.title === 'id' ? item.id : column.write(item.body as Body, names))));
  return [columns.map((column) => titleOf(column, names)), ...rows];
}

/** The schedule of one kind as CSV: what is read back changes nothing. */
export function scheduleCsv(building: Building, items: readonly Item[], kind: ScheduledKind): string {
  return writeCsv(scheduleRows(building, items, kind));
}

/** Cells of CSV, or of what a spreadsheet puts on the clipboard. */
export function cellsOf(source: string): string[][] {
  const delimiter = source.split(/\r?\n/, 1)[0]!.includes('\t') ? '\t' : '';
  return Papa.parse<string[]>(source.replace(/^\uFEFF/, ''), { delimiter, skipEmptyLines: 'greedy' }).data.map((row) =>
    // our own files disarm a cell that begins like a formula
    row.map((cell) => cell.trim().replace(/^'(?=\s*[=+@＝＋＠\t\r-])/, '')),
  );
}

interface Heading {
  readonly column: Column;
  readonly unit: string | null;
}

/** The columns that a first row names; null when it is no header. */
function headerOf(row: readonly string[], columns: readonly Column[]): { heads: (Heading | null)[]; unknown: string[] } | null {
  const unknown: string[] = [];
  const heads = row.map((cell): Heading | null => {
    const [, title = '', unit] = /^(.*?)\s*(?:[[(](.*)[\])])?$/.exec(cell) ?? [];
    const column = columns.find((candidate) => candidate.title === title.trim().toLowerCase());
    if (column) return { column, unit: unit?.trim() || null };
    if (cell !== '') unknown.push(cell);
    return null;
  });
  return heads.filter((head) => head !== null).length >= 2 || heads[0]?.column === columns[0] ? { heads, unknown } : null;
}

/**
 * Reads a schedule of one kind. A row whose name is there already changes that item, cell by cell; another makes a new one. Without a
 * header the cells stand in the order of the columns. Nothing is changed here: the caller puts the items, all or none.
 * @throws BadInput when it holds no row, or too many
 */
export function readSchedule(
  building: Building,
  items: readonly Item[],
  kind: ScheduledKind,
  rows: readonly (readonly string[])[],
  defaults: ScheduleDefaults,
): ReadSchedule {
  const columns = COLUMNS[kind];
  const header = rows[0] ? headerOf(rows[0], columns) : null;
  const heads = header?.heads ?? columns.map((column): Heading => ({ column, unit: null }));
  const body = header ? rows.slice(1) : rows;
  if (body.length === 0) throw new BadInput('there is no row to read');
  if (body.length > MOST_ROWS) throw new BadInput(`there are ${body.length} rows; ${MOST_ROWS} at most are read at once`);
  const nameAt = heads.findIndex((head) => head?.column === columns[0]);
  if (nameAt < 0) throw new BadInput(`a column "${columns[0]!.title}" is needed: it names each row`);
  const names = namesFor(building, items);
  const ofKind = items.filter((item) => item.kind === kind);
  const idAt = heads.findIndex((head) => head?.column.title === 'id');
  const known = new Map(idAt >= 0 ? ofKind.map((item) => [item.id, item]) : ofKind.map((item) => [itemName(item), item]));
  const seen = new Map<string, number>();
  const found: Item[] = [];
  const faults: ScheduleFault[] = [];
  let [added, changed, same] = [0, 0, 0];
  body.forEach((cells, i) => {
    const row = i + (header ? 2 : 1);
    const name = cells[nameAt] ?? '';
    const fault = (column: string, message: string) => faults.push({ row, column, message });
    if (name === '') return void fault(columns[0]!.title, 'the row has no name');
    // without a name of its own a load is known by its label, and may be there twice
    const key = idAt >= 0 ? (cells[idAt] ?? '') : name;
    if (key !== '' && seen.has(key)) return void fault(columns[0]!.title, `${name} stands in row ${seen.get(key)} already`);
    seen.set(key, row);
    const old = known.get(key);
    const start = old ?? defaults.make();
    const next: Body = { ...(start.body as Body) };
    const before = faults.length;
    heads.forEach((head, j) => {
      const cell = cells[j];
      if (!head || cell === undefined) return;
      try {
        head.column.read(cell, next, names, head.unit);
      } catch (error) {
        if (!(error instanceof PlinthError)) throw error;
        fault(head.column.title, error.message);
      }
    });
    if (faults.length > before) return;
    try {
      const item = readItem({ id: start.id, kind, body: next });
      if (!old) added += 1;
      else if (equal(item.body, old.body)) {
        same += 1;
        return;
      } else changed += 1;
      found.push(item);
    } catch (error) {
      if (!(error instanceof BadInput)) throw error;
      fault(error.field?.replace(/^body\./, '') ?? '', error.message);
    }
  });
  return { items: found, added, changed, same, faults, unknown: header?.unknown ?? [] };
}

/** Equal to nine figures: what a file rounds is no change. */
function equal(a: unknown, b: unknown): boolean {
  if (typeof a === 'number' && typeof b === 'number') return Math.abs(a - b) <= 1e-8 * Math.max(1e-6, Math.abs(a), Math.abs(b));
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return a === b;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) => equal((a as Body)[key], (b as Body)[key]));
}

export function isScheduled(kind: string): kind is ScheduledKind {
  return (SCHEDULED as readonly string[]).includes(kind);
}
