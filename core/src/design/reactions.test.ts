import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import { ebbwickSailLoft, quillfernToolLibrary } from '../exchange';
import { computeProject, reactionsOf } from '.';

/** A post on a pad, and a rod that hangs from a beam on two posts; everything by typed loads. */
function post(rule: '6.10' | '6.10ab', loads: readonly { nature: string; use?: string; force: string; on?: string }[]): Item[] {
  return [
    item('brief', 'brief', { ...defaultBrief('Trial', 'european'), combinationRule: rule }),
    item('level', 'L1', { name: 'Top', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    item('column', 'C', { mark: 'C1', at: { x: 1000, y: 2000 }, base: 'L0', top: 'L1', by: 'F', ownWeight: 0 }),
    item('footing', 'F', { mark: 'F1', at: { x: 1000, y: 2000 }, level: 'L0' }),
    ...loads.map((load, i) => item('load', `q${i}`, { label: `q${i}`, on: load.on ?? 'C', type: 'point', ...load } as never)),
  ];
}

describe('reaction schedule', () => {
  it('has the extremes of EN 1990 (6.10): what presses and what relieves are never together', () => {
    const result = computeProject(
      post('6.10', [
        { nature: 'permanent', force: '100 kN' },
        { nature: 'imposed', use: 'B', force: '40 kN' },
        { nature: 'wind', force: '-30 kN' },
      ]),
    );
    const { rows, sum } = reactionsOf(result, null);
    expect(rows.length).toBe(1);
    expect(rows[0]).toMatchObject({ mark: 'F1', kind: 'footing', at: { x: 1000, y: 2000 }, length: 0, number: 2 });
    expect(sum).toEqual({ permanent: 100e3, 'imposed-B': 40e3, wind: -30e3 });
    // 1.35 x 100 + 1.5 x 40
    expect(rows[0]!.extremes[0]!.most.value).toBeCloseTo(195e3, 6);
    // EQU: 0.9 x 100 - 1.5 x 30
    expect(rows[0]!.extremes[0]!.least.value).toBeCloseTo(45e3, 6);
    expect(rows[0]!.extremes[0]!.least.combination).toBe('EQU: 0.9 times permanent load that presses, variable load only where it lifts');
    // characteristic: 100 + 40, and 100 - 30
    expect(rows[0]!.extremes[1]!.most.value).toBeCloseTo(140e3, 6);
    expect(rows[0]!.extremes[1]!.least.value).toBeCloseTo(70e3, 6);
  });
  it('takes the heavier of (6.10a) and (6.10b)', () => {
    const of = (permanent: string, imposed: string) =>
      reactionsOf(
        computeProject(
          post('6.10ab', [
            { nature: 'permanent', force: permanent },
            { nature: 'imposed', use: 'B', force: imposed },
          ]),
        ),
        null,
      ).rows[0]!.extremes[0]!.most;
    // a: 1.35 x 400 + 1.5 x 0.7 x 20 = 561; b: 0.925 x 1.35 x 400 + 1.5 x 20 = 529.5
    expect(of('400 kN', '20 kN').value).toBeCloseTo(561e3, 3);
    expect(of('400 kN', '20 kN').combination).toContain('6.10a');
    // a: 1.35 x 100 + 1.5 x 0.7 x 100 = 240; b: 0.925 x 1.35 x 100 + 150 = 274.875
    expect(of('100 kN', '100 kN').value).toBeCloseTo(274.875e3, 3);
  });
  it.each([
    ['Ebbwick', ebbwickSailLoft],
    ['Quillfern', quillfernToolLibrary],
  ])('of %s has at each level the sum of the plumb, and at the ground that of the balance', (_, items) => {
    const result = computeProject(items());
    for (const cut of result.takedown.plumb) {
      const { sum } = reactionsOf(result, cut.level);
      for (const id of new Set([...Object.keys(sum), ...Object.keys(cut.byCase)])) expect(sum[id] ?? 0).toBeCloseTo(cut.byCase[id] ?? 0, 3);
    }
    const ground = reactionsOf(result, null);
    for (const line of result.takedown.balance) expect(ground.sum[line.loadCase.id] ?? 0).toBeCloseTo(line.delivered.force, 3);
    for (const row of ground.rows) {
      expect(row.extremes[0]!.most.value).toBeGreaterThanOrEqual(row.extremes[0]!.least.value);
      expect(row.extremes[1]!.most.value).toBeGreaterThanOrEqual(row.extremes[1]!.least.value);
    }
  });
  it('counts a hanger against the cut', () => {
    const { rows } = reactionsOf(computeProject(ebbwickSailLoft()), 'roof');
    const hangers = rows.filter((row) => row.kind === 'hanger');
    expect(hangers.map((row) => row.mark)).toEqual(['R1', 'R2', 'R3', 'R4']);
    for (const row of hangers) {
      expect(row.byCase['permanent']).toBeLessThan(0);
      // what pulls most on what is above the cut presses least below it
      expect(row.extremes[0]!.least.value).toBeLessThan(row.extremes[0]!.most.value);
    }
  });
});
