import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STANDARDS } from '../standard';
import { catalogue, findSection } from '../section';
import { steelGrade } from '../material';
import { worstVerdict } from '../sheet';
import { chartChecks, longestSpan, spanChart, type SpanChartInput } from '.';

const european = STANDARDS.european;
const input: SpanChartInput = {
  philosophy: '6.10',
  grade: 'S355',
  families: ['UB'],
  permanent: 6,
  spans: [4000, 6000, 9000],
  imposed: [6, 12, 24],
  limitVariable: 360,
  limitTotal: 240,
  maxDepth: null,
};

describe('charts of beams by span and load', () => {
  it('6 m under 6 + 12 kN/m, by hand: 1.35 (6 + own) + 1.5 x 12, held: deflection wants I, the lightest that has it', () => {
    const cell = spanChart(european, input)[1]!.cells[1]!.held!;
    // 5 q L4 / (384 E I) <= L / 360: I >= 5 * 12 * 6000^3 * 360 / (384 * 210000) = 5786 cm4; and for all of it 5 * 18.3 * 6000^3 * 240 / (...) = 5882 cm4
    const { Iy, Wply } = findSection(cell.section).properties;
    expect(Iy / 1e4).toBeGreaterThan(5882);
    expect(Wply * 355).toBeGreaterThan(((1.35 * 6.3 + 18) * 6000 ** 2) / 8);
    const lighter = catalogue().filter(
      ({ family, mass, properties }) => family === 'UB' && mass < findSection(cell.section).mass && properties.Iy > 5.95e7,
    );
    expect(lighter).toEqual([]);
  });
  it('never lighter for more load or more span, nor when the floor does not hold it', () => {
    const rows = spanChart(european, input);
    const mass = (row: number, column: number, way: 'held' | 'free') => rows[row]!.cells[column]![way]?.mass ?? Infinity;
    for (const way of ['held', 'free'] as const)
      for (let r = 0; r < 3; r += 1)
        for (let c = 0; c < 3; c += 1) {
          if (r > 0) expect(mass(r, c, way)).toBeGreaterThanOrEqual(mass(r - 1, c, way));
          if (c > 0) expect(mass(r, c, way)).toBeGreaterThanOrEqual(mass(r, c - 1, way));
          expect(mass(r, c, 'free')).toBeGreaterThanOrEqual(mass(r, c, 'held'));
        }
  });
  it('the longest span carries, and a millimetre more does not', () => {
    const limits = { variable: 360, total: 240 };
    const shapes = catalogue().filter(({ family }) => family === 'UB' || family === 'IPE');
    fc.assert(
      fc.property(fc.constantFrom(...shapes), fc.double({ min: 3, max: 40, noNaN: true }), fc.boolean(), (section, imposed, isHeld) => {
        const longest = longestSpan(european, section, imposed, isHeld, input);
        const verdict = (span: number) =>
          worstVerdict(
            chartChecks(european, european.loads.philosophies[0]!, steelGrade('S355'), section, span, 6, imposed, isHeld, limits),
          );
        if (longest > 0) expect(['carries', 'tight']).toContain(verdict(longest));
        expect(['short', 'unproven']).toContain(verdict(longest + 2));
      }),
      { numRuns: 60 },
    );
  });
  it('says which families there are none of', () => {
    expect(() => spanChart(european, { ...input, families: ['W'] })).toThrow('the family is not one of Eurocodes');
    expect(() => spanChart(european, { ...input, maxDepth: 50 })).toThrow('no shape of "UB" is that shallow');
  });
});
