import { describe, expect, it } from 'vitest';
import { findTool, runTool } from '../tool';
import { isCheck, type Check } from '../sheet';
import { checksOf, completed, measured } from './measured.test.data';
import { AMERICAN, AMERICAN_COMBINED, BRITISH, EUROPEAN, EUROPEAN_RECOMMENDED, type MemberCase } from './expected.test.data';

interface Group {
  readonly title: string;
  readonly cases: readonly MemberCase[];
  readonly checks: (input: Readonly<Record<string, unknown>>) => readonly Check[];
  /** What is compared is this part of what the tool gives. */
  readonly nominal?: number;
}

const GROUPS: readonly Group[] = [
  { title: 'Eurocodes with the UK annexes, N and Nmm, or sums of ratios', cases: EUROPEAN, checks: (input) => checksOf('european', input) },
  {
    title: 'Eurocodes by their recommended values, N and Nmm, or sums of ratios',
    cases: EUROPEAN_RECOMMENDED,
    checks: (input) => checksOf('recommended', input),
  },
  {
    title: 'American, nominal strengths, N and Nmm (LRFD over 0.90)',
    cases: AMERICAN,
    checks: (input) => checksOf('american', { ...input, philosophy: 'LRFD' }),
    nominal: 0.9,
  },
  { title: 'American, sums of H1 with B1', cases: AMERICAN_COMBINED, checks: (input) => checksOf('american', input) },
  {
    title: 'BS 5950-1, N and Nmm',
    cases: BRITISH,
    checks: ({ tool, ...input }) =>
      runTool(findTool(String(tool)), {
        philosophy: 'BS5950',
        ...input,
        ...(tool === 'british.steel.member' ? completed('british', input) : {}),
      }).checks,
  },
];

/** An input in a line: what it is of, and what is not nothing. */
function inLine(input: Readonly<Record<string, unknown>>): string {
  const parts = Object.entries(input).flatMap(([name, value]) => {
    if (name === 'section' || value === 0 || value === null) return [];
    return [`${name} ${typeof value === 'object' ? Object.values(value as object).join('/') : String(value)}`];
  });
  return `${String(input['section'])}; ${parts.join(', ')}`;
}

const digits = (value: number) => String(Number(value.toPrecision(6)));

/** Every value computed apart beside what the program gives. */
function record(): string {
  const lines = [
    '# Steel members: every value computed apart, and what the program gives',
    '',
    'Source of what is expected: `docs/verification/members.py`, which takes properties from outlines as polygons and writes the clauses again. Written by',
    '`core/src/standard/record.test.ts`, which fails when this page is not what the program gives; `npx vitest run core/src/standard/record.test.ts -u` renews it.',
    'N, mm, Nmm.',
  ];
  for (const { title, cases, checks, nominal = 1 } of GROUPS) {
    const rows: string[] = [];
    let worst = 0;
    for (const { input, expected } of cases) {
      const found = checks(input);
      for (const [name, value] of Object.entries(expected)) {
        const got = measured(found, name) / nominal;
        worst = Math.max(worst, Math.abs(got / value - 1));
        rows.push(
          `| ${inLine(input)} | ${found.find(isCheck(name))!.name} | ${digits(value)} | ${digits(got)} | ${(100 * (got / value - 1)).toFixed(3)} % |`,
        );
      }
    }
    lines.push('', `## ${title}`, `${rows.length} values; the largest deviation is ${(100 * worst).toFixed(3)} %.`, '');
    lines.push('| case | quantity | expected | got | deviation |', '|---|---|---|---|---|', ...rows);
  }
  return `${lines.join('\n')}\n`;
}

describe('the record of steel members', () => {
  it('is what the program gives, within a thousandth of what is expected', async () => {
    const text = record();
    for (const [, percent] of text.matchAll(/ (-?[\d.]+) % \|$/gm)) expect(Math.abs(Number(percent))).toBeLessThan(0.1);
    await expect(text).toMatchFileSnapshot('../../../docs/verification/members.md');
  });
});
