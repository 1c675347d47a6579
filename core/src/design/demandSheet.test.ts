import { expect, it } from 'vitest';
import { item } from '../building';
import { findSection } from '../section';
import { bay } from './bay.test.data';
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
    // the sums themselves, not what each load adds
    .filter(({ symbol }) => ['N', 'M', 'V'].includes(symbol))
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
  for (const design of [...result.designs.members(), ...result.designs.footings()]) {
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

it('a simple span prints each load’s moment, shear and deflection as a formula of it, by hand for a beam of 8 m under 10 kN/m and 20 kN at 3 m', () => {
  const load = (id: string, more: object) => item('load', id, { label: id, on: 'B1', nature: 'imposed', use: 'B', ...more } as never);
  const items = [
    ...bay({ length: 8000, beam: { section: 'UB 457x191x67', strips: [], restraint: 'floor' } }).filter(({ kind }) => kind !== 'panel'),
    load('w', { type: 'line', from: 0, to: 8000, intensity: 10 }),
    load('P', { type: 'point', at: 3000, force: 20_000 }),
  ];
  const steps: Extract<Entry, { type: 'step' }>[] = [];
  const walk = (entries: readonly Entry[]) => {
    for (const entry of entries)
      if (entry.type === 'step') steps.push(entry);
      else if (entry.type === 'scope') walk(entry.entries);
  };
  walk(sheetFor(computeProject(items), 'B1')!.entries);
  const of = (effect: string, letter: string) =>
    steps.find(({ symbol, formula }) => symbol.startsWith(`${effect}_`) && formula.includes(`${letter}_`))!;
  // the imposed load along it is the second of two: its own weight comes first
  const imposed = (effect: string) => steps.filter(({ symbol, formula }) => symbol.startsWith(`${effect}_`) && formula.includes('w_'))[1]!;
  // right of the point load: 10 x (8 - x) / 2 and 20 x 3 (8 - x) / 8 kNm
  const at = 8 - of('M', 'P').inputs['y_M']! / 1000;
  expect(at).toBeGreaterThan(3);
  expect(of('M', 'P').value / 1e6).toBeCloseTo((20 * 3 * (8 - at)) / 8, 9);
  expect(imposed('M').value / 1e6).toBeCloseTo((10 * at * (8 - at)) / 2, 9);
  // at the start 10 x 4 and 20 x 5 / 8 kN
  expect(of('V', 'P').value / 1e3).toBeCloseTo(12.5, 9);
  expect(imposed('V').value / 1e3).toBeCloseTo(40, 9);
  const EI = 210_000 * findSection('UB 457x191x67').properties.Iy;
  const x = 8000 - of('d', 'P').inputs['y_d']!;
  expect(of('d', 'P').value).toBeCloseTo((20_000 * 3000 * (8000 - x) * (8000 ** 2 - 3000 ** 2 - (8000 - x) ** 2)) / (6 * 8000 * EI), 9);
});
