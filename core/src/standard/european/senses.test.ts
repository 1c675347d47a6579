import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkKey, audit } from '../../sheet';
import { evaluate } from '../../sheet/evaluate.test.data';
import { findTool, runTool } from '../../tool';
import { checksOf, completed } from '../measured.test.data';

const plate = (min: number, max: number) => fc.integer({ min, max });
/** A tee, or an I of unequal flanges, as built up from plates; slender ones too. */
const unlike = fc
  .record({ h: plate(120, 900), b: plate(80, 400), b2: plate(80, 400), tw: plate(5, 16), tf: plate(8, 25), isTee: fc.boolean() })
  .map(({ h, b, b2, tw, tf, isTee }) =>
    isTee ? `own T ${Math.min(h, 400)}x${b}x${tw}x${tf}` : `own I ${h}x${b}x${tw}x${tf} bottom ${b2}x${tf + 2}`,
  );
const LENGTHS = { lengthY: 2000, lengthZ: 2000, lengthT: 2000, unbraced: 2000 };
const under = (section: string, axial: number, start: number, end: number) => ({
  section,
  grade: 'S355',
  axial,
  ...LENGTHS,
  major: { start, middle: (start + end) / 2, end },
});
const usesOf = (input: object) =>
  new Map(
    checksOf('european', input).map(({ verdict, utilisation, ...check }) => [
      checkKey(check),
      verdict === 'unproven' ? Infinity : utilisation!,
    ]),
  );

describe('shapes whose sides are not alike, under moments of both signs', () => {
  it('bend in the section as each sense does alone, with its own class: the worse of the two counts', () => {
    const differed = { most: 0 };
    fc.assert(
      fc.property(unlike, fc.constantFrom(0, 50e3, -50e3), plate(1, 60), plate(1, 60), (section, axial, sags, hogs) => {
        const [up, down] = [sags * 1e6, -hogs * 1e6];
        const both = usesOf(under(section, axial, up, down));
        // the largest moment of either sense is at an end: it is the same one where the other end bears none
        const sagging = usesOf(under(section, axial, up, 0));
        const hogging = usesOf(under(section, axial, 0, down));
        for (const name of ['bending', 'section-in-bending-and-axial-force']) {
          if (!both.has(name)) continue;
          const [one, other] = [sagging.get(name)!, hogging.get(name)!];
          const expected = Math.max(one, other);
          if (expected === Infinity) expect(both.get(name), `${section} ${name}`).toBe(Infinity);
          else expect(Math.abs(both.get(name)! / expected - 1), `${section} ${name}`).toBeLessThan(1e-9);
          if (one < Infinity && other < Infinity) differed.most = Math.max(differed.most, Math.abs(one * hogs - other * sags));
        }
      }),
      { numRuns: 500 },
    );
    expect(differed.most).toBeGreaterThan(0);
  });
  it('keep the figures of one sense while a moment of the other sense grows out of nothing', () => {
    fc.assert(
      fc.property(unlike, fc.constantFrom(0, 50e3, -50e3), fc.constantFrom(1, -1), (section, axial, sign) => {
        const alone = usesOf(under(section, axial, sign * 30e6, 0));
        for (const [name, use] of usesOf(under(section, axial, sign * 30e6, -sign * 1e3)))
          // what is not written for the class of the other sense stays open; EN 1993-1-5 8(1) is a limit of the plates alone, by whether the plastic moment is used in either sense
          if (name !== 'flange-induced-buckling' && use < Infinity && alone.has(name))
            expect(Math.abs(use - alone.get(name)!), `${section} ${name}`).toBeLessThan(1e-3 * Math.max(1, alone.get(name)!));
      }),
      { numRuns: 300 },
    );
  });
  it('show both senses on a sheet that re-evaluates', () => {
    let shown = 0;
    fc.assert(
      fc.property(unlike, fc.constantFrom(0, 50e3, -50e3), plate(1, 60), plate(1, 60), (section, axial, sags, hogs) => {
        const input = completed('european', under(section, axial, sags * 1e6, -hogs * 1e6));
        const { steps } = runTool(findTool('european.steel.member'), input);
        expect(audit(steps, evaluate)).toEqual([]);
        if (JSON.stringify(steps).includes('Where the moment hogs')) shown += 1;
      }),
      { numRuns: 200 },
    );
    expect(shown).toBeGreaterThan(10);
  });
});
