import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BARS, concrete, REINFORCEMENT } from '../material';
import { audit, Sheet } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { STANDARDS, type PadInput } from '.';
import cases from './expected/eccentric-pads.json' with { type: 'json' };

const input = (change: Partial<PadInput>): PadInput => ({
  width: 2400,
  length: 2400,
  thickness: 500,
  columnWidth: 300,
  columnDepth: 300,
  concrete: concrete('C30/37'),
  bar: BARS.find(({ id }) => id === '16')!,
  fy: REINFORCEMENT.B500B.fyk,
  cover: 50,
  factored: { force: 900e3, combination: 'trial' },
  ...change,
});
const FAMILIES = ['european', 'american'] as const;
const checksOf = (family: (typeof FAMILIES)[number], change: Partial<PadInput>, sheet?: Sheet) =>
  STANDARDS[family].concrete.pad(input(change), sheet).checks;
const demand = (checks: ReturnType<typeof checksOf>, id: string, part?: string) =>
  checks.find((check) => check.id === id && check.part === part)?.demand;

describe('a pad whose column stands off its middle', () => {
  describe.each(cases)('$N N on $B x $L, $ex and $ey off', ({ N, B, L, h, c1, c2, ex, ey, x, y, face, ring, edge, twoWay }) => {
    const pad: Partial<PadInput> = {
      width: B,
      length: L,
      thickness: h,
      columnWidth: c1,
      columnDepth: c2,
      off: { x: ex, y: ey },
      factored: { force: N, combination: 'trial' },
    };
    it('by EN 1992-1-1 is bent, sheared and punched as found apart', () => {
      const checks = checksOf('european', pad);
      for (const [part, { M, V }] of [
        ['x', x],
        ['y', y],
      ] as const) {
        expect(demand(checks, 'bending', part)! / M).toBeCloseTo(1, 4);
        expect(demand(checks, 'shear', part)! / V).toBeCloseTo(1, 3);
      }
      expect(demand(checks, 'punching-at-the-column')! / face).toBeCloseTo(1, 4);
      expect(demand(checks, 'punching')! / ring).toBeCloseTo(1, 4);
      // by a grid apart: a part in two hundred
      if (edge === null) expect(demand(checks, 'punching', 'edge')).toBeUndefined();
      else expect(Math.abs(demand(checks, 'punching', 'edge')! / edge - 1)).toBeLessThan(5e-3);
    });
    it('by ACI 318 too', () => {
      const checks = checksOf('american', pad);
      for (const [part, { M, V }] of [
        ['x', x],
        ['y', y],
      ] as const) {
        expect(demand(checks, 'flexure', part)! / M).toBeCloseTo(1, 4);
        expect(demand(checks, 'one-way-shear', part)! / V).toBeCloseTo(1, 3);
      }
      expect(demand(checks, 'two-way-shear')! / twoWay).toBeCloseTo(1, 4);
    });
  });
  it('without an offset is the pad that it was; a small one changes little; the side to which it stands does not matter; sheets re-evaluate', () => {
    const off = fc.integer({ min: -400, max: 400 });
    for (const family of FAMILIES) {
      expect(checksOf(family, { off: { x: 0, y: 0 } })).toEqual(checksOf(family, {}));
      const [tiny, none] = [checksOf(family, { off: { x: 1e-3, y: 0 } }), checksOf(family, {})];
      // beside an edge a row is added; the others are as they were
      none.forEach(({ id, part, demand: of }) => expect(demand(tiny, id, part)! / of!).toBeCloseTo(1, 4));
      fc.assert(
        fc.property(off, off, fc.constantFrom(0, 200, 700), (x, y, round) => {
          const pad = { ...(round ? { isRound: true, columnWidth: round, columnDepth: round } : {}), off: { x, y } };
          const sheet = new Sheet();
          const checks = checksOf(family, pad, sheet);
          expect(audit(sheet.entries, evaluate)).toEqual([]);
          const mirrored = checksOf(family, { ...pad, off: { x: -x, y: -y } });
          expect(mirrored).toEqual(checks);
          for (const { demand: of, utilisation } of checks) expect(Number.isNaN(of ?? 0) || Number.isNaN(utilisation ?? 0)).toBe(false);
        }),
        { numRuns: 40 },
      );
    }
  });
});
