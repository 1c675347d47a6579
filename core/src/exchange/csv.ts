import Papa from 'papaparse';
import { wordOf, levelNameOf, markOf } from '../building';
import { reactionsOf, type ProjectResult } from '../design';
import { DISPLAY, type Kind, type UnitSystem } from '../quantity';
import { findSection, isSection } from '../section';
import { clauseText } from '../sheet';
import { numbersOf } from '../takedown';

/** What a spreadsheet would run: a sign of a formula in front, or a minus that begins more than a number with a unit. */
const FORMULA = /^\s*[=+@＝＋＠\t\r]|^\s*-(?!\d[\d.,]*(e[+-]?\d+)?( [a-zA-Z0-9/²³^]+)?$)/i;

/** Rows as CSV text (RFC 4180). A cell of text that a spreadsheet would take for a formula is disarmed. */
export function writeCsv(rows: readonly (readonly (string | number)[])[]): string {
  return Papa.unparse(rows as (string | number)[][], { newline: '\r\n', escapeFormulae: FORMULA }) + '\r\n';
}

const header = (title: string, kind: Kind, system: UnitSystem) => {
  const { label } = DISPLAY[system][kind];
  return label ? `${title} [${label}]` : title;
};

const number = (value: number, kind: Kind, system: UnitSystem) => Number((value / DISPLAY[system][kind].factor).toPrecision(6));

/**
 * The reaction schedule of the ground or of a level as CSV: one column a case, unfactored, and the extremes of the combinations. Of the
 * ground with the weight of each pad and of its backfill, which are not in the reactions.
 */
export function reactionCsv(result: ProjectResult, level: string | null): string {
  const { building, takedown, designs } = result;
  const system = building.brief.units;
  const { purposes, rows, sum } = reactionsOf(result, level);
  const ground = level === null;
  const force = (value: number | undefined) => (value === undefined ? '' : number(value, 'force', system));
  const extremes = purposes.flatMap((purpose) => [
    header(`${purpose}, most`, 'force', system),
    'combination',
    header(`${purpose}, least`, 'force', system),
    'combination',
  ]);
  const head = [
    'order',
    'mark',
    'kind',
    header('x', 'position', system),
    header('y', 'position', system),
    header('length', 'length', system),
    ...takedown.cases.map((c) => header(c.name, 'force', system)),
    ...extremes,
    ...(ground ? [header('pad', 'force', system), header('backfill', 'force', system)] : []),
  ];
  const body = rows.map((row) => {
    const pad = designs.footing(row.member);
    return [
      row.number,
      row.mark,
      wordOf(building, { id: row.member, kind: row.kind }),
      number(row.at.x, 'position', system),
      number(row.at.y, 'position', system),
      number(row.length, 'length', system),
      ...takedown.cases.map((c) => force(row.byCase[c.id] ?? 0)),
      ...row.extremes.flatMap((found) => [
        force(found?.most.value),
        found?.most.combination ?? '',
        force(found?.least.value),
        found?.least.combination ?? '',
      ]),
      ...(ground ? [force(pad?.padWeight), force(pad?.backfillWeight)] : []),
    ];
  });
  const total = ['', 'sum', '', '', '', '', ...takedown.cases.map((c) => force(sum[c.id] ?? 0))];
  return writeCsv([head, ...body, total]);
}

/** Every member in the order of calculation: a member only after everything that lands on it. Loads unfactored, by case. */
export function orderCsv({ building, takedown }: ProjectResult): string {
  const system = building.brief.units;
  const numbers = numbersOf(takedown);
  const head = ['order', 'mark', 'kind', 'level', 'carried by', ...takedown.cases.map((c) => header(c.name, 'force', system))];
  const rows = takedown.order.map((id) => {
    const ledger = takedown.members.get(id)!;
    return [
      numbers.get(id)!,
      ledger.mark,
      `${ledger.transfer ? 'transfer ' : ''}${wordOf(building, ledger)}`,
      levelNameOf(building, id),
      [...new Set(ledger.leaves.map(({ to }) => (to === null ? 'nothing' : to === 'ground' ? 'ground' : markOf(building, to))))].join(' '),
      ...takedown.cases.map((c) => number(ledger.sum[c.id] ?? 0, 'force', system)),
    ];
  });
  return writeCsv([head, ...rows]);
}

/**
 * Beams and columns with their section, mass, governing check, utilisation and verdict: all in the order of calculation, or those that are named,
 * in the order in which they are named.
 */
export function memberSchedule(
  { building, takedown, designs }: Pick<ProjectResult, 'building' | 'takedown' | 'designs'>,
  ids: readonly string[] = takedown.order,
): string {
  const system = building.brief.units;
  const numbers = numbersOf(takedown);
  const rows = ids
    .flatMap((id) => designs.member(id) ?? [])
    .map((member) => {
      const { id } = member;
      const ledger = takedown.members.get(id)!;
      const { governing } = member;
      return [
        numbers.get(ledger.id)!,
        member.mark,
        member.kind,
        levelNameOf(building, id),
        ledger.transfer ? 'transfer' : '',
        member.section ?? '',
        member.grade ?? '',
        member.section && isSection(member.section) ? number(findSection(member.section).mass, 'massPerLength', system) : '',
        number(
          Object.values(ledger.sum).reduce((sum, value) => sum + value, 0),
          'force',
          system,
        ),
        governing?.name ?? '',
        governing?.combination ?? '',
        governing ? clauseText(governing.clause) : '',
        governing?.utilisation?.toFixed(3) ?? '',
        member.verdict,
        member.reason ?? '',
      ];
    });
  return writeCsv([
    [
      'order',
      'mark',
      'kind',
      'level',
      'transfer',
      'section',
      'grade',
      header('mass', 'massPerLength', system),
      header('load, unfactored', 'force', system),
      'governing check',
      'combination',
      'clause',
      'utilisation',
      'verdict',
      'remark',
    ],
    ...rows,
  ]);
}
