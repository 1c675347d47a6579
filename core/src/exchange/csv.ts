import type { ProjectResult } from '../design';
import { caseLabel } from '../load';
import { DISPLAY, type Kind, type UnitSystem } from '../quantity';
import { numbersOf } from '../takedown';

/** Rows as CSV text (RFC 4180): cells with commas, quotes or line breaks are quoted. */
export function writeCsv(rows: readonly (readonly (string | number)[])[]): string {
  const cell = (value: string | number) => {
    const text = String(value);
    // a cell that a spreadsheet would take for a formula is disarmed
    const safe = typeof value === 'string' && /^[=+\-@\t]/.test(text) ? `'${text}` : text;
    return /[",\n\r]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
  };
  return rows.map((row) => row.map(cell).join(',')).join('\r\n') + '\r\n';
}

const header = (title: string, kind: Kind, system: UnitSystem) => {
  const { label } = DISPLAY[system][kind];
  return label ? `${title} [${label}]` : title;
};

const number = (value: number, kind: Kind, system: UnitSystem) => Number((value / DISPLAY[system][kind].factor).toPrecision(6));

/** Unfactored reactions of every footing, one column a case: what the ground gets, pad and backfill apart. */
export function reactionSchedule({ building, takedown, footings }: ProjectResult): string {
  const system = building.brief.units;
  const head = [
    'footing',
    header('x', 'position', system),
    header('y', 'position', system),
    ...takedown.cases.map((c) => header(caseLabel(c), 'force', system)),
    header('pad', 'force', system),
    header('backfill', 'force', system),
  ];
  const rows = [...building.footings].map(([id, footing]) => {
    const { sum } = takedown.members.get(id)!;
    const design = footings.get(id)!;
    return [
      footing.mark,
      number(footing.at.x, 'position', system),
      number(footing.at.y, 'position', system),
      ...takedown.cases.map((c) => number(sum[c.id] ?? 0, 'force', system)),
      number(design.padWeight, 'force', system),
      number(design.backfillWeight, 'force', system),
    ];
  });
  return writeCsv([head, ...rows]);
}

/** Every beam and column with its section, governing check, utilisation and verdict. */
export function memberSchedule({ takedown, members }: ProjectResult): string {
  const numbers = numbersOf(takedown);
  const rows = takedown.order
    .filter((id) => members.has(id))
    .map((id) => {
      const member = members.get(id)!;
      const ledger = takedown.members.get(id)!;
      return [
        numbers.get(ledger.id)!,
        member.mark,
        member.kind,
        ledger.transfer ? 'transfer' : '',
        member.section ?? '',
        member.grade ?? '',
        member.governing?.name ?? '',
        member.governing?.clause ?? '',
        member.governing?.utilisation?.toFixed(3) ?? '',
        member.verdict,
        member.reason ?? '',
      ];
    });
  return writeCsv([
    ['order', 'mark', 'kind', 'transfer', 'section', 'grade', 'governing check', 'clause', 'utilisation', 'verdict', 'remark'],
    ...rows,
  ]);
}
