import { describe, expect, it } from 'vitest';
import { bay } from './bay.test.data';
import { findSection } from '../section';
import { effectiveLength } from './effectiveLength';
import { computeProject, sheetFor } from './project';
import { senseOfColumn } from './senseCheck';
import { isCheck, audit } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import type { Column } from '../building';

const column = (change: Partial<Column>) =>
  ({ endsY: 'number', endsZ: 'number', factorY: 1, factorZ: 1, heldY: [], heldZ: [], ...change }) as unknown as Column;
const length = (change: Partial<Column>, family: 'european' | 'american' | 'british' = 'european') =>
  effectiveLength(column(change), 'Z', 6000, family);

describe('effective length of a column', () => {
  it.each([
    ['pinnedPinned', 6000, 6000],
    ['fixedPinned', 5100, 4800],
    ['fixedFixed', 4200, 3900],
    ['fixedFree', 12_000, 12_600],
    ['fixedSway', 7200, 7200],
    ['pinnedSway', 12_000, 12_000],
  ] as const)('%s: %i mm by BS 5950-1 table 22, %i mm by AISC 360 table C-A-7.1', (endsZ, british, american) => {
    expect(length({ endsZ }).length).toBeCloseTo(british, 6);
    expect(length({ endsZ }, 'british').length).toBeCloseTo(british, 6);
    expect(length({ endsZ }, 'american').length).toBeCloseTo(american, 6);
  });
  it('a factor that is typed holds for the storey, and for each piece between places that hold it', () => {
    expect(length({ factorZ: 0.9 }).length).toBeCloseTo(5400, 6);
    expect(length({ factorZ: 0.9, heldZ: [2000] })).toMatchObject({ from: 2000, to: 6000, length: 3600 });
  });
  it('a piece of several has the factor 1, but the top one of a column that sways sways', () => {
    expect(length({ endsZ: 'fixedFixed', heldZ: [3500] })).toMatchObject({ from: 0, to: 3500, factor: 1, length: 3500 });
    expect(length({ endsZ: 'fixedFree', heldZ: [3500] })).toMatchObject({ from: 3500, to: 6000, factor: 2, length: 5000 });
  });
  it('what lies above the column holds nothing', () => expect(length({ heldZ: [7000, 6000] }).length).toBe(6000));
  it('raises the resistance in a building, and stands on its sheet', () => {
    const capacity = (change: object) => {
      const result = computeProject(bay({ column: change }));
      expect(audit(sheetFor(result, 'C1')!.entries, evaluate)).toEqual([]);
      return result.designs.member('C1')!.results[0]!.checks.find(isCheck('flexural-buckling/minor'))!.capacity!;
    };
    const plain = capacity({});
    expect(capacity({ heldZ: [1500] })).toBeGreaterThan(1.3 * plain);
    expect(capacity({ heldY: [1500] })).toBeCloseTo(plain, 6);
    expect(capacity({ endsZ: 'fixedFree' })).toBeLessThan(0.5 * plain);
  });
});

describe('slenderness as a rule of thumb', () => {
  const section = findSection('UC 152x152x30');
  const sense = (height: number, change: Partial<Column> = {}) => senseOfColumn(column(change), section, height, 'european');
  it('is that of the weaker axis, and says what is unusual', () => {
    const { iz } = section.properties;
    expect(sense(3000)!.ratio).toBeCloseTo(3000 / iz, 9);
    expect(sense(3000)!.words).toBe('usual for a steel column');
    expect(sense(6000)!.words).toContain('more slender');
    expect(sense(900)!.words).toContain('stockier');
    expect(sense(6000, { heldZ: [3000] })!.ratio).toBeLessThan(sense(6000)!.ratio);
    expect(sense(0)).toBeNull();
  });
});
