import { expect, it } from 'vitest';
import { ebbwickSailLoft, tallowWharf } from '../exchange';
import type { Entry } from '../sheet';
import { computeProject, sheetFor } from '.';

type Scope = Extract<Entry, { type: 'scope' }>;

/** Scopes that sum a demand up from its cases. */
const SUMS = ['Axial force', 'Largest moment and shear'];

/** The demands that are summed up from their cases, each with the forces and moments that stand in the scope around it. */
function sums(entries: readonly Entry[]): { sum: number; beside: number[] }[] {
  const own = entries.filter((entry): entry is Scope => entry.type === 'scope');
  const found = own
    .filter(({ title }) => SUMS.includes(title))
    .flatMap((scope) => scope.entries.filter((entry): entry is Extract<Entry, { type: 'step' }> => entry.type === 'step'))
    .map(({ value }) => value);
  const givens = (list: readonly Entry[]): number[] =>
    list.flatMap((entry) =>
      entry.type === 'given' && (entry.kind === 'force' || entry.kind === 'moment')
        ? [entry.value]
        : entry.type === 'scope' && !SUMS.includes(entry.title)
          ? givens(entry.entries)
          : [],
    );
  return [...found.map((sum) => ({ sum, beside: givens(entries) })), ...own.flatMap((scope) => sums(scope.entries))];
}

it('a sheet says its verdict and what governs at its top and at its end', () => {
  const result = computeProject(ebbwickSailLoft());
  let count = 0;
  for (const design of [...result.members.values(), ...result.footings.values()]) {
    if (!design.governing) continue;
    const { entries } = sheetFor(result, design.id)!;
    const [first, last] = [entries[0]!, entries.at(-1)!].map((entry) => (entry.type === 'conclusion' ? entry.text : ''));
    expect(first).toBe(last);
    expect(first).toContain(`Verdict: ${design.verdict}`);
    expect(first).toContain(`${design.governing.name} governs, ${design.governing.utilisation!.toFixed(2)}`);
    count += 1;
  }
  expect(count).toBeGreaterThan(30);
});

it('the axial force of pads and columns, the moment and shear of beams are the sums of their cases that the sheet prints', () => {
  let count = 0;
  for (const items of [ebbwickSailLoft(), tallowWharf({ baysX: 2, baysY: 2, storeys: 3, irregularity: 1 })]) {
    const result = computeProject(items);
    for (const id of [...result.building.footings.keys(), ...result.building.columns.keys(), ...result.building.beams.keys()])
      for (const { sum, beside } of sums(sheetFor(result, id)!.entries)) {
        count += 1;
        expect(
          beside.some((value) => Math.abs(Math.abs(value) - Math.abs(sum)) < 1e-6 * Math.abs(sum) + 1e-3),
          `${id}: ${sum} among ${beside.join()}`,
        ).toBe(true);
      }
  }
  expect(count).toBeGreaterThan(40);
});
