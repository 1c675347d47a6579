import Papa from 'papaparse';
import type { ForceSet } from '../design';
import { BadInput, PlinthError } from '../error';
import { NATURES, USES, type Nature, type Use } from '../load';
import { parseQuantity, type Kind, type UnitSystem } from '../quantity';

export interface ReadForceSets {
  readonly sets: readonly ForceSet[];
  readonly faults: readonly { readonly row: number; readonly message: string }[];
}

/** Columns of a table of end forces; only the name of one force is needed. */
export const FORCE_COLUMNS = [
  'name',
  'case',
  'action',
  'axial',
  'My start',
  'My middle',
  'My end',
  'Mz start',
  'Mz middle',
  'Mz end',
  'shear',
  'shear across',
  'torsion',
  'both ways',
  'notional of',
] as const;

/** Columns of which one is wanted: the forces. */
const FORCES = FORCE_COLUMNS.slice(3, -2);

const MOST = 500;

/** Whether a cell says yes. @throws BadInput where it says neither yes nor no */
function yesOrNo(text: string): boolean {
  const word = text.trim().toLowerCase();
  if (['yes', 'y', 'true', '1'].includes(word)) return true;
  if (['', 'no', 'n', 'false', '0'].includes(word)) return false;
  throw new BadInput(`both ways: "${text}" is neither yes nor no`, 'both ways');
}

/** A load case as people write it: permanent, imposed B, wind. A row without one is refused where others have theirs. */
function caseOfText(text: string, isWanted: boolean): { nature: Nature; use: Use } {
  const [word = '', use = ''] = text.trim().split(/[\s,-]+/);
  if (!text.trim() && isWanted) throw new BadInput('case is missing: other rows name theirs', 'case');
  if (!text.trim()) return { nature: 'permanent', use: 'B' };
  const nature = NATURES.find((name) => name.toLowerCase() === word.toLowerCase());
  if (!nature) throw new BadInput(`case "${text}" is none of ${NATURES.join(', ')}`, 'case');
  const found = USES.find((name) => name === use.toUpperCase());
  if (use && !found) throw new BadInput(`use "${use}" is none of ${USES.join(', ')}`, 'case');
  return { nature, use: found ?? 'B' };
}

/**
 * Sets of end forces from rows of a spreadsheet or CSV, a header first: see `FORCE_COLUMNS`. Bare numbers are in the units of force and moment shown;
 * an axis of which no moment is written has none; with one of them both ends are wanted, and a middle left out lies on the straight line. Rows
 * that cannot be read are told.
 */
export function readForceSets(text: string, units: UnitSystem): ReadForceSets {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const plain = (title: string) =>
    title
      .replace(/\[.*\]$/, '')
      .trim()
      .toLowerCase();
  const head = (data[0] ?? []).map(plain);
  const column = (name: (typeof FORCE_COLUMNS)[number]) => head.indexOf(name.toLowerCase());
  if (!FORCES.some((name) => column(name) >= 0))
    return {
      sets: [],
      faults: [{ row: 1, message: `the first row names the columns: ${FORCE_COLUMNS.join(', ')}; none of the forces is there` }],
    };
  const hasCases = data.slice(1).some((cells) => (cells[column('case')] ?? '').trim() !== '');
  const sets: ForceSet[] = [];
  const faults: { row: number; message: string }[] = [];
  data.slice(1).forEach((cells, i) => {
    const cell = (name: (typeof FORCE_COLUMNS)[number]) => (column(name) < 0 ? '' : (cells[column(name)] ?? '').trim());
    const value = (name: (typeof FORCE_COLUMNS)[number], kind: Kind) => {
      if (!cell(name)) return null;
      try {
        return parseQuantity(cell(name), kind, units);
      } catch (error) {
        if (!(error instanceof PlinthError)) throw error;
        throw new BadInput(`${name}: ${error.message}`, name);
      }
    };
    try {
      if (sets.length >= MOST) throw new BadInput(`more than ${MOST} sets`);
      const moments = (axis: 'My' | 'Mz') => {
        const [start, middle, end] = [value(`${axis} start`, 'moment'), value(`${axis} middle`, 'moment'), value(`${axis} end`, 'moment')];
        if (start === null && middle === null && end === null) return { start: 0, middle: 0, end: 0 };
        if (start === null || end === null)
          throw new BadInput(`${axis} ${start === null ? 'start' : 'end'} is missing: write 0 where there is no moment`, axis);
        return middle === null ? { start, end } : { start, middle, end };
      };
      sets.push({
        name: cell('name') || `row ${i + 2}`,
        ...caseOfText(cell('case'), hasCases && !cell('notional of')),
        axial: value('axial', 'force') ?? 0,
        major: moments('My'),
        minor: moments('Mz'),
        shear: value('shear', 'force') ?? 0,
        shearAcross: value('shear across', 'force') ?? 0,
        torsion: value('torsion', 'moment') ?? 0,
        ...(cell('action') ? { action: cell('action') } : {}),
        ...(yesOrNo(cell('both ways')) ? { bothWays: true } : {}),
        ...(cell('notional of') ? { notionalOf: cell('notional of') } : {}),
      });
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      faults.push({ row: i + 2, message: error.message });
    }
  });
  return { sets: sets.map((set) => withCaseOfCause(set, sets)), faults };
}

/** A notional set has the case of the set that causes it. */
function withCaseOfCause(set: ForceSet, sets: readonly ForceSet[]): ForceSet {
  const cause = set.notionalOf ? sets.find(({ name, notionalOf }) => name === set.notionalOf && !notionalOf) : undefined;
  return cause ? { ...set, nature: cause.nature, use: cause.use } : set;
}
