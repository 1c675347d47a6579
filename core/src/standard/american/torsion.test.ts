import { describe, expect, it } from 'vitest';
import { findSection } from '../../section';
import { findTool, runTool } from '../../tool';
import { torsionConstantC, torsionStress } from './steel/torsion';
import { isCheck } from '../../sheet';

const [E, Fy] = [200_000, 317];

describe('torsion of hollow sections, AISC 360-16 H3.1, by hand', () => {
  it('tubes: the greater of (H3-2a) and (H3-2b), at most 0.6 Fy', () => {
    // D/t 150: 0.6 E / 150^1.5 = 65.32; 1.23 E / (sqrt(L/D) 150^1.25) = 468.6 / sqrt(L/D)
    const tube = findSection('own tube 600x4');
    expect(torsionStress(tube, 600 * 100, E, Fy)!).toBeCloseTo(65.32, 1);
    expect(torsionStress(tube, 600 * 16, E, Fy)!).toBeCloseTo(468.6 / 4, 0);
    expect(torsionStress(findSection('own tube 200x10'), 3000, E, Fy)!).toBeCloseTo(0.6 * Fy, 9);
    expect(torsionConstantC(tube)!).toBeCloseTo((Math.PI * 596 ** 2 * 4) / 2, 3);
  });
  it('boxes: yielding, inelastic and elastic buckling meet at their limits; none beyond 260', () => {
    const root = Math.sqrt(E / Fy);
    const at = (ratio: number) => torsionStress(findSection(`own box ${(ratio + 3) * 4}x200x4`), 3000, E, Fy);
    for (const limit of [2.45, 3.07]) {
      const ratio = limit * root;
      expect(Math.abs(at(+(ratio - 0.01).toFixed(2))! / at(+(ratio + 0.01).toFixed(2))! - 1)).toBeLessThan(0.02);
    }
    expect(at(100)!).toBeCloseTo((0.458 * Math.PI ** 2 * E) / 1e4, 6);
    expect(at(261)).toBeNull();
  });
  it('open shapes are unproven in torsion, by every family', () => {
    for (const [family, section, grade] of [
      ['american', 'W8X31', 'A992'],
      ['european', 'UC 203x203x60', 'S355'],
      ['british', 'UC 203x203x60', 'S275'],
    ] as const) {
      const { checks } = runTool(findTool(`${family}.steel.member`), {
        philosophy: { american: 'LRFD', european: '6.10', british: 'BS5950' }[family],
        length: 3000,
        section,
        grade,
        torsion: 1e6,
        lengthY: 3000,
        lengthZ: 3000,
        ...(family === 'british' ? {} : { lengthT: 3000 }),
        unbraced: 0,
      });
      expect(checks.find(isCheck('torsion'))!.verdict).toBe('unproven');
    }
  });
});
