import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { audit } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { findTool, runTool } from '.';

const plate = (min: number, max: number) => fc.integer({ min, max });
const moment = plate(-90_000_000, 90_000_000);

describe('welded I of unequal flanges, of any plates', () => {
  it.each([
    ['european', 'S355', ['6.10']],
    ['european', 'S275', ['6.10ab']],
    ['american', 'A572-50', ['LRFD', 'ASD']],
  ] as const)(
    '%s %s: under moments and forces of either sign its sheets re-evaluate, and no resistance is no number',
    (family, grade, philosophies) => {
      fc.assert(
        fc.property(
          fc.record({ h: plate(250, 1500), b: plate(120, 600), tw: plate(5, 20), tf: plate(8, 50), b2: plate(120, 600), t2: plate(8, 50) }),
          fc.tuple(moment, moment, moment),
          fc.constantFrom(0, -500_000, 500_000),
          fc.constantFrom(...philosophies),
          plate(1000, 12_000),
          plate(-800_000, 800_000),
          ({ h, b, tw, tf, b2, t2 }, [start, middle, end], axial, philosophy, L, shear) => {
            const section = `own I ${h}x${b}x${tw}x${tf} bottom ${b2}x${t2}`;
            const member = runTool(findTool(`${family}.steel.member`), {
              section,
              grade,
              philosophy,
              axial,
              shear,
              shearAcross: 1000,
              major: { start, middle, end },
              minor: { start: 0, middle: 100_000, end: 0 },
              lengthY: L,
              lengthZ: L,
              lengthT: L,
              length: L,
              unbraced: L,
            });
            const force = { force: 100_000, bearing: 100, toEnd: 0.7 * h, moment: 10_000_000 };
            const web = runTool(findTool(`${family}.steel.webForce`), { section, grade, philosophy, ...force });
            for (const { steps, checks } of [member, web]) {
              expect(audit(steps, evaluate)).toEqual([]);
              for (const { capacity, name } of checks)
                if (capacity !== null) expect(Number.isFinite(capacity) && capacity >= 0, name).toBe(true);
            }
          },
        ),
        { numRuns: 120 },
      );
    },
  );
  it('BS 5950-1 says that it is not written for it', () => {
    const { example } = findTool('british.steel.member');
    const input = { ...(example as object), section: 'own I 600x300x12x20 bottom 180x15', grade: 'S355' };
    expect(() => runTool(findTool('british.steel.member'), input)).toThrow('rolled I and H');
  });
});
