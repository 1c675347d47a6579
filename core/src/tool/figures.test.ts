import { describe, expect, it } from 'vitest';
import { findSection } from '../section';
import { findTool, runTool } from '.';
import type { Figure } from './figures';

const figures = (tool: string, input: object) => (runTool(findTool(tool), input).result as { figures: Figure[] }).figures;
const of = (list: readonly Figure[], symbol: string, part = '') =>
  list.find((figure) => figure.symbol === symbol && figure.of.includes(part))!.value;

describe('figures beside the checks', () => {
  it('a beam by the Eurocode: C_1 of uniform moment, M_cr and the slenderness by hand', () => {
    const found = figures('european.steel.beam', {
      section: 'UB 457x191x67',
      grade: 'S275',
      philosophy: '6.10',
      moment: '200 kNm',
      shear: 0,
      unbraced: '5 m',
    });
    const { Iz, It, Iw, Wply } = findSection('UB 457x191x67').properties;
    const euler = (Math.PI ** 2 * 210_000 * Iz) / 5000 ** 2;
    const Mcr = euler * Math.sqrt(Iw / Iz + (81_000 * It) / euler);
    expect(of(found, 'C_1')).toBeCloseTo(1, 9);
    expect(of(found, 'M_cr') / Mcr).toBeCloseTo(1, 9);
    expect(of(found, 'lambda_LT')).toBeCloseTo(Math.sqrt((Wply * 275) / Mcr), 9);
    expect(of(found, 'chi_LT')).toBeLessThan(1);
  });
  it('a column: slenderness and chi of each axis, told apart by their part', () => {
    const found = figures('european.steel.column', {
      section: 'UC 203x203x46',
      grade: 'S275',
      philosophy: '6.10',
      axial: '600 kN',
      lengthY: '4 m',
      lengthZ: '3 m',
      lengthT: '3 m',
    });
    const { A, Iy, Iz } = findSection('UC 203x203x46').properties;
    const slenderness = (I: number, L: number) => Math.sqrt((A * 275) / ((Math.PI ** 2 * 210_000 * I) / L ** 2));
    expect(of(found, 'lambda', 'major')).toBeCloseTo(slenderness(Iy, 4000), 9);
    expect(of(found, 'lambda', 'minor')).toBeCloseTo(slenderness(Iz, 3000), 9);
    expect(found.filter(({ symbol }) => symbol === 'chi').length).toBeGreaterThanOrEqual(2);
  });
  it('by AISC 360 C_b, L_p, L_r and F_cr; by BS 5950-1 m_LT, lambda_LT and p_b; local slenderness in words', () => {
    for (const [tool, symbols] of [
      ['american.steel.beam', ['C_b', 'L_p', 'L_r']],
      ['american.steel.column', ['F_e', 'F_cr']],
      ['british.steel.beam', ['m_LT', 'lambda_LT', 'p_b']],
      ['british.steel.column', ['lambda', 'p_c']],
    ] as const) {
      const reply = runTool(findTool(tool), findTool(tool).example);
      const result = reply.result as { figures: Figure[]; localSlenderness: { bending: string } };
      const found = result.figures.map(({ symbol }) => symbol);
      for (const symbol of symbols) expect(found, tool).toContain(symbol);
      expect(result.localSlenderness.bending).not.toBe('');
      for (const { value, kind } of result.figures) expect([Number.isFinite(value), typeof kind]).toEqual([true, 'string']);
    }
  });
});
