import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import {
  clauseText,
  compareMethods,
  methodsInWords,
  caseIdOfLoad,
  caseIn,
  allAssumptions,
  contextOf,
  failureLadder,
  footingDrawing,
  lesserAlternatives,
  memberDiagrams,
  formatNumber,
  formatQuantity,
  isClosedMoment,
  notDesignedByWhat,
  numbersOf,
  planDrawing,
  riverDrawing,
  sheetFor,
  STANDARDS,
  toSvg,
  unitLabel,
  type Check,
  type Kind,
  type ProjectResult,
  type RecordedAssumption,
  type UnitSystem,
  type Brief,
  shapeInFull,
} from '@plinth/core';
import { heading, SANS, table } from './blocks';
import { actionsOf, groundReactions, levelReactions, notesOnPlan, thingsMeasured } from './records';
import { sheetLines, word } from './sheetLines';

export interface PackageOptions {
  readonly paper: 'A4' | 'LETTER';
  readonly version: number;
}

export const CAUTION =
  'Design aid. Every number in this package must be confirmed by a licensed engineer against the codes in force where the building stands. Loads, ground and connections must be verified before anything is built, altered or taken away.';

/** Assumptions of one wording together, with all places where they are made. */
/** The limits of the brief in one line; ratios of overhangs are of their own length. */
function deflectionLimits(brief: Brief, units: UnitSystem): string {
  const most = (value: number | null, load: string) =>
    value === null ? [] : [`${load} at most ${formatQuantity(value, 'sectionLength', units)}`];
  return [
    `variable L/${brief.deflectionVariable}`,
    `total L/${brief.deflectionTotal}`,
    `transfer L/${brief.deflectionTransfer}`,
    `brittle finishes L/${brief.deflectionBrittle}`,
    `crane runway L/${brief.deflectionCrane}`,
    `overhang L/${brief.deflectionCantilever}`,
    ...most(brief.deflectionMostVariable, 'variable'),
    ...most(brief.deflectionMostTotal, 'total'),
  ].join(', ');
}

function grouped(list: readonly RecordedAssumption[]): { marks: string[]; text: string; reason: string }[] {
  const groups = new Map<string, { marks: string[]; text: string; reason: string }>();
  for (const { mark, text, reason } of list) {
    const group = groups.get(text) ?? { marks: [], text, reason };
    group.marks.push(mark);
    groups.set(text, group);
  }
  return [...groups.values()];
}

function ladder(checks: readonly Check[], units: 'SI' | 'US'): Content {
  const value = (number: number | null, kind: Kind) =>
    number === null ? '—' : kind === 'ratio' ? formatNumber(number) : formatQuantity(number, kind, units);
  return table(
    ['*', 118, 66, 66, 74],
    ['limit state', 'clause', 'demand', 'capacity', 'utilisation'],
    failureLadder(checks).map((check) => [
      { text: [check.name, check.reason ? { text: `  ${check.reason}`, color: '#63666b', fontSize: 8 } : ''] },
      clauseText(check.clause),
      value(check.demand, check.kind),
      value(check.capacity, check.kind),
      word(check),
    ]),
    ['left', 'left', 'right', 'right', 'right'],
  );
}

/** The whole package: basis, loads, load path, schedules, sheets, assumptions, loose ends. */
export function packageDocument(result: ProjectResult, { paper, version }: PackageOptions): TDocumentDefinitions {
  const { building, takedown, designs, balance, looseEnds } = result;
  const without = notDesignedByWhat(building);
  const assumptions = allAssumptions(result.assumptions);
  const { brief } = building;
  const units = brief.units;
  const standard = STANDARDS[brief.family];
  const context = contextOf(building, takedown);
  const moment = (value: number) => formatQuantity(value, 'moment', units, { bare: true });
  const force = (value: number) => formatQuantity(value, 'force', units, { bare: true });
  const open = assumptions.filter((assumption) => !assumption.answer);
  const drawn = 515;
  // of alternatives the river shows the largest
  const lesser = lesserAlternatives(
    Object.fromEntries(balance.map(({ loadCase, applied }) => [loadCase.id, applied.force])),
    building.cases,
  );
  const content: Content[] = [
    { text: brief.name, style: 'title' },
    {
      text: `Calculation package · journal entry ${version} · ${standard.title} · ${context.philosophy.title}`,
      color: '#63666b',
      margin: [0, 0, 0, 10],
    },
    {
      table: { widths: ['*'], body: [[{ text: CAUTION, margin: [6, 4, 6, 4] }]] },
      layout: { hLineColor: () => '#a3431f', vLineColor: () => '#a3431f', hLineWidth: () => 0.8, vLineWidth: () => 0.8 },
      margin: [0, 0, 0, 12],
    },
    heading('Basis', 2),
    table(
      ['30%', '*'],
      ['', ''],
      [
        ['Codes', standard.editions.join(', ')],
        ['Steel', `${brief.grade}; hollow ${brief.hollowGrade}, ${brief.roundGrade}`],
        ['Concrete and bars', `${brief.concrete}, ${brief.reinforcement}, cover ${formatQuantity(brief.cover, 'sectionLength', units)}`],
        [
          'Ground',
          `${formatQuantity(brief.bearing, 'bearing', units)} ${brief.bearingBasis}${brief.bearingSource ? `; ${brief.bearingSource}` : '; no source given'}`,
        ],
        ['Deflection', deflectionLimits(brief, units)],
        ['Not covered', standard.notCovered.join('; ')],
      ],
    ),
    ...actionsOf(building),
    heading('Load build-ups', 2),
    table(
      ['26%', '*', 90, 90],
      ['build-up', 'layer or load', 'nature', `load [${unitLabel('areaLoad', units)}]`],
      [...building.buildUps.values()].flatMap((buildUp) => [
        ...buildUp.layers.map((layer, i): TableCell[] => [
          i === 0 ? buildUp.name : '',
          `${layer.name}${layer.allowance ? ' (allowance)' : ''}${layer.carriedBy === 'joists' ? ', hangs on the joists' : ''}`,
          layer.nature,
          formatQuantity(layer.load, 'areaLoad', units, { bare: true }),
        ]),
        ...buildUp.variable.map((load): TableCell[] => [
          '',
          load.name,
          caseIn(building.cases, caseIdOfLoad(load)).name,
          formatQuantity(load.load, 'areaLoad', units, { bare: true }),
        ]),
      ]),
      ['left', 'left', 'left', 'right'],
    ),
    heading('Load path', 2, { pageBreak: 'before' }),
    {
      svg: toSvg(riverDrawing({ building, takedown, selected: null, factor: (id) => (lesser.has(id) ? 0 : 1), width: 760, height: 520 })),
      width: drawn,
    },
    heading('Balance', 2),
    table(
      ['*', 80, 80, 80, 80],
      [`case, ${unitLabel('force', units)}`, 'applied', 'to the ground', 'lands nowhere', 'gap'],
      balance.map((line) => [
        line.loadCase.name,
        force(line.applied.force),
        force(line.delivered.force),
        force(line.lost.force),
        force(Math.abs(line.gap.force) < 1 ? 0 : line.gap.force),
      ]),
      ['left', 'right', 'right', 'right', 'right'],
    ),
    table(
      ['*', 62, 62, 62, 62, 62, 62],
      [`moment, ${unitLabel('moment', units)}`, 'about x', 'moved', 'gap', 'about y', 'moved', 'gap'],
      balance.map((line) => [
        line.loadCase.name,
        ...(['aboutX', 'aboutY'] as const).flatMap((axis) => [
          moment(line.applied[axis]),
          moment(line.offsets[axis]),
          moment(isClosedMoment(line, axis) ? 0 : line.gap[axis]),
        ]),
      ]),
      ['left', 'right', 'right', 'right', 'right', 'right', 'right'],
    ),
    ...groundReactions(result),
  ];
  for (const level of building.levels) {
    const holds =
      [...building.beams.values()].some((beam) => beam.level === level.id) ||
      [...building.footings.values()].some((footing) => footing.level === level.id);
    if (holds)
      content.push({
        stack: [
          heading(`Plan: ${level.body.name}`, 2),
          {
            svg: toSvg(
              planDrawing({
                building,
                level: level.id,
                selected: null,
                transfers: new Set([...takedown.members.values()].filter((m) => m.transfer).map((m) => m.id)),
                width: 720,
                height: 420,
              }),
            ),
            width: drawn,
          },
        ],
        unbreakable: true,
      } as unknown as Content);
  }
  content.push(...levelReactions(result), ...thingsMeasured(building), ...notesOnPlan(building));
  content.push(
    heading('Schedule of members', 2, { pageBreak: 'before' }),
    table(
      [28, 56, 106, '*', 60, 60],
      ['order', 'mark', 'section', 'governing check', 'utilisation', 'state'],
      takedown.order
        .flatMap((id) => designs.member(id) ?? [])
        .map((member) => {
          return [
            String(numbersOf(takedown).get(member.id) || '—'),
            member.mark,
            member.section ? shapeInFull(building.brief, member.section) : '—',
            member.governing?.name ?? member.reason ?? '',
            member.governing?.utilisation?.toFixed(2) ?? '—',
            member.verdict,
          ];
        }),
      ['right', 'left', 'left', 'left', 'right', 'left'],
    ),
    heading('Taken down, not designed here', 2),
    without.length === 0
      ? { text: 'Every member is designed here.' }
      : table(
          [120, '*'],
          ['what', 'marks'],
          without.map(({ what, members }) => [what, members.map(({ mark }) => mark).join(', ')]),
        ),
    heading('Assumptions still open', 2),
    open.length === 0
      ? { text: 'None.' }
      : table(
          ['*', '*', '*'],
          ['where', 'assumption', 'why it matters'],
          grouped(open).map(({ marks, text, reason }) => [marks.join(', '), text, reason]),
        ),
    heading('Assumptions confirmed', 2),
    open.length === assumptions.length
      ? { text: 'None.' }
      : table(
          [60, '*', '*', 70],
          ['where', 'assumption', 'reason', 'by'],
          assumptions.filter((a) => a.answer).map((a) => [a.mark, a.text, a.answer!.reason, a.answer!.by]),
        ),
    heading('Loose ends', 2),
    looseEnds.length === 0
      ? { text: 'None.' }
      : table(
          ['*', '*', '*'],
          ['what', 'why', 'what to do, or why it was dismissed'],
          looseEnds.map((end) => [
            end.title,
            end.why,
            end.dismissed ? `Dismissed by ${end.dismissed.by}: ${end.dismissed.reason}` : end.remedy,
          ]),
        ),
  );
  for (const id of takedown.order) {
    const member = designs.member(id);
    const footing = designs.footing(id);
    if (!member && !footing) continue;
    const sheet = sheetFor(result, id);
    if (!sheet) continue;
    content.push(
      heading(
        `${(member ?? footing)!.mark}${member?.section ? `  ${shapeInFull(building.brief, member.section)} ${member.grade ?? ''}` : ''}`,
        2,
        { pageBreak: 'before' },
      ),
    );
    if (member && building.beams.get(id)?.section && member.results.length)
      for (const drawing of memberDiagrams(building, takedown, id, ['moment', 'shear', 'deflection'], { width: 520, height: 110 }).drawings)
        content.push({ svg: toSvg(drawing), width: drawn });
    if (footing) content.push({ svg: toSvg(footingDrawing(footing, footing.foundingDepth, units, 520, 230)), width: drawn });
    for (const philosophy of member?.results ?? []) content.push(heading(philosophy.title, 3), ladder(philosophy.checks, units));
    const methods = member && compareMethods(standard, member.results, takedown.members.get(id)!.sum, building.cases);
    if (methods) content.push({ text: methodsInWords(methods), color: '#63666b', margin: [0, 2, 0, 4] });
    if (footing) content.push(ladder(footing.checks, units));
    content.push(heading('Sheet', 3), ...sheetLines(sheet.entries, units, new Map()));
  }
  return {
    pageSize: paper,
    pageMargins: [40, 46, 40, 46],
    info: { title: `${brief.name}: calculation package` },
    header: { text: brief.name, alignment: 'right', margin: [40, 20, 40, 0], fontSize: 8, color: '#63666b', font: SANS },
    footer: (page, pages) => ({
      columns: [
        { text: 'To be confirmed by a licensed engineer', fontSize: 8, color: '#63666b', font: SANS },
        { text: `${page} of ${pages}`, alignment: 'right', fontSize: 8, color: '#63666b', font: SANS },
      ],
      margin: [40, 12, 40, 0],
    }),
    content,
    defaultStyle: { font: 'SourceSerif', fontSize: 9.5, color: '#23262b', lineHeight: 1.1 },
    styles: {
      title: { fontSize: 22, bold: true, font: SANS, margin: [0, 0, 0, 2] },
      h1: { fontSize: 18, bold: true, font: SANS },
      h2: { fontSize: 13, bold: true, font: SANS, margin: [0, 12, 0, 4] },
      h3: { fontSize: 10.5, bold: true, font: SANS, margin: [0, 8, 0, 2] },
      scope: { bold: true, font: SANS, fontSize: 9.5 },
      th: { fontSize: 8, color: '#63666b', font: SANS },
      clause: { fontSize: 8, color: '#63666b', font: SANS },
    },
  };
}
