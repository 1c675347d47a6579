import type { Content, TableCell } from 'pdfmake/interfaces';
import {
  formatQuantity,
  markOf,
  measure,
  NATURE_LABEL,
  reactionsOf,
  unitLabel,
  type Building,
  type ProjectResult,
  type ReactionSchedule,
} from '@plinth/core';
import { heading, table } from './blocks';

/** Schedules of levels are printed with buildings up to so many rows in all; of larger ones they are read in Descent, or as CSV. */
const ROWS = 600;

function schedule({ purposes, rows, sum }: ReactionSchedule, { building, takedown }: ProjectResult): Content {
  const { units } = building.brief;
  const { cases } = takedown;
  const force = (value: number | undefined) => (value === undefined ? '—' : formatQuantity(value, 'force', units, { bare: true }));
  const lines = rows.map(({ mark, byCase, extremes: [strength, , standing] }): TableCell[] => [
    mark,
    ...cases.map(({ id }) => force(byCase[id] ?? 0)),
    force(strength?.most.value),
    force(strength?.least.value),
    ...(purposes[2] ? [force(standing?.most.value)] : []),
  ]);
  const total: TableCell[] = ['sum', ...cases.map(({ id }) => force(sum[id] ?? 0)), '', '', ...(purposes[2] ? [''] : [])];
  const columns = [...cases.map(({ name }) => name), 'strength, most', 'least', ...(purposes[2] ? [purposes[2]] : [])];
  const set = table(
    ['*', ...columns.map(() => 'auto' as const)],
    [`unfactored, ${unitLabel('force', units)}`, ...columns],
    [...lines, total],
    ['left', ...columns.map(() => 'right' as const)],
  );
  // many cases have to go on the width of a page
  return cases.length > 6 ? ({ ...(set as object), fontSize: 7 } as Content) : set;
}

/** What reaches the ground, by case and as extremes of the combinations: pads, strips, and what stands on nothing else. */
export function groundReactions(result: ProjectResult): Content[] {
  const found = reactionsOf(result, null);
  return [
    heading('Reactions at the ground, pads and backfill apart', 2),
    found.rows.length > 0 ? schedule(found, result) : { text: 'Nothing reaches the ground yet.' },
  ];
}

/** What goes through a cut just below each level, but the one where all that is left are the footings of the ground. */
export function levelReactions(result: ProjectResult): Content[] {
  const found = result.building.levels
    .map(({ id }) => reactionsOf(result, id))
    .filter(({ rows }) => rows.some(({ kind }) => kind !== 'footing' && kind !== 'stripFooting'));
  const count = found.reduce((sum, { rows }) => sum + rows.length, 0);
  if (count === 0) return [];
  if (count > ROWS)
    return [
      heading('Reactions of levels', 2),
      { text: `${count} rows, which are left out here: they stand in Descent under Reactions, to be printed or saved as CSV.` },
    ];
  return found.flatMap((one) => [heading(`Reactions through ${one.title}`, 2), schedule(one, result)]);
}

const levelName = ({ levels }: Building, id: string) => levels.find((level) => level.id === id)?.body.name ?? '';

/** Measurements that were kept, with what they were read off. */
export function thingsMeasured(building: Building): Content[] {
  const { measurements, brief } = building;
  if (measurements.length === 0) return [];
  const length = (value: number) => formatQuantity(value, 'length', brief.units);
  const rows = measurements.map(({ body }): TableCell[] => {
    const found = measure(body);
    return [
      body.name,
      levelName(building, body.level),
      `${length(found.length)}${body.pitch > 0 ? `; ${length(found.slope)} along the slope` : ''}`,
      found.area === null ? '' : formatQuantity(found.area, 'floorArea', brief.units),
      [body.source, body.note].filter(Boolean).join('; '),
    ];
  });
  return [heading('Measured', 2), table(['auto', 'auto', 'auto', 'auto', '*'], ['what', 'level', 'length', 'area', 'read off'], rows)];
}

/** Notes pinned to the plans. */
export function notesOnPlan(building: Building): Content[] {
  const { notes } = building;
  if (notes.length === 0) return [];
  const rows = notes.map(({ body }): TableCell[] => [levelName(building, body.level), body.on ? markOf(building, body.on) : '', body.text]);
  return [heading('Notes on the plans', 2), table(['auto', 'auto', '*'], ['level', 'about', 'note'], rows)];
}

/** The actions of the project beside the usual ones, with how their cases act. Nothing where there are none. */
export function actionsOf({ actions }: Building): Content[] {
  if (actions.size === 0) return [];
  return [
    heading('Actions', 2),
    table(
      ['26%', '*', 90, 160],
      ['action', 'cases', 'nature', 'act'],
      [...actions.values()].map(({ name, cases, nature, use, relation, direction }): TableCell[] => [
        name,
        cases.map((one) => one.name).join('; '),
        use ? `${NATURE_LABEL[nature]}, ${use}` : NATURE_LABEL[nature],
        `${relation === 'together' ? 'all together' : 'one at a time'}${direction === 'bothWays' ? ', either way' : ''}`,
      ]),
      ['left', 'left', 'left', 'left'],
    ),
  ];
}
