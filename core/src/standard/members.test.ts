import { describe, expect, it } from 'vitest';
import { findSection } from '../section';
import { findTool, runTool } from '../tool';
import { checksOf, completed, measured } from './measured.test.data';
import { AMERICAN, AMERICAN_COMBINED, BRITISH, EUROPEAN, EUROPEAN_RECOMMENDED, type MemberCase } from './expected.test.data';

/** Outlines of many corners, and six digits. */
const TOLERANCE = 0.001;

const label = ({ input, expected }: MemberCase, i: number) =>
  [`${i + 1}: ${String(input['section'])}, ${Object.keys(expected).join(', ')}`, { input, expected }] as const;

describe.each([
  ['european', EUROPEAN],
  ['recommended', EUROPEAN_RECOMMENDED],
] as const)('European members, against values computed apart, %s', (family, cases) => {
  it.each(cases.map(label))('%s', (_, { input, expected }) => {
    const checks = checksOf(family, input);
    for (const [name, value] of Object.entries(expected))
      expect(Math.abs(measured(checks, name) / value - 1), `${name}: ${measured(checks, name)} for ${value}`).toBeLessThan(TOLERANCE);
  });
});

describe('American members, against values computed apart', () => {
  it.each(AMERICAN.map(label))('%s', (_, { input, expected }) => {
    const [lrfd, asd] = ['LRFD', 'ASD'].map((philosophy) => checksOf('american', { ...input, philosophy }));
    for (const [name, value] of Object.entries(expected)) {
      expect(Math.abs(measured(lrfd!, name) / 0.9 / value - 1), `${name}: ${measured(lrfd!, name) / 0.9} for ${value}`).toBeLessThan(
        TOLERANCE,
      );
      // one nominal strength, two philosophies
      expect(Math.abs((measured(asd!, name) * 1.67) / (measured(lrfd!, name) / 0.9) - 1)).toBeLessThan(1e-12);
    }
  });
  it.each(AMERICAN_COMBINED.map(label))('%s', (_, { input, expected }) => {
    const checks = checksOf('american', input);
    for (const [name, value] of Object.entries(expected)) expect(Math.abs(measured(checks, name) / value - 1)).toBeLessThan(TOLERANCE);
  });
});

describe('BS 5950-1 beams and struts', () => {
  it.each(BRITISH.map(label))('%s, against values computed apart', (_, { input, expected }) => {
    const { tool, ...rest } = input;
    const { checks } = runTool(findTool(String(tool)), {
      philosophy: 'BS5950',
      ...rest,
      ...(tool === 'british.steel.member' ? completed('british', rest) : {}),
    });
    for (const [name, value] of Object.entries(expected))
      expect(Math.abs(measured(checks, name) / value - 1), `${name}: ${measured(checks, name)} for ${value}`).toBeLessThan(TOLERANCE);
  });
  // a table of the standard, remembered
  it('strut curves a, b, c at a slenderness of 100, py 275: 157, 142, 126 MPa within 3 %', () => {
    const pc = (section: string, axis: 'major' | 'minor') => {
      const found = findSection(section).properties;
      const L = 100 * (axis === 'major' ? found.iy : found.iz);
      const { checks } = runTool(findTool('british.steel.strut'), {
        section,
        grade: 'S275',
        philosophy: 'BS5950',
        axial: 1,
        lengthX: L,
        lengthY: L,
      });
      return measured(checks, `compression/${axis}`) / found.A;
    };
    for (const [got, table] of [
      [pc('UB 305x165x40', 'major'), 157],
      [pc('UB 305x165x40', 'minor'), 142],
      [pc('UC 203x203x46', 'minor'), 126],
    ] as const)
      expect(Math.abs(got / table - 1)).toBeLessThan(0.03);
  });
  it('says what it is not written for', () => {
    expect(() =>
      runTool(findTool('british.steel.segment'), {
        section: 'PFC 200x90x30',
        grade: 'S275',
        philosophy: 'BS5950',
        moment: 1,
        shear: 1,
        effectiveLength: 0,
      }),
    ).toThrow('rolled I and H');
    expect(() =>
      runTool(findTool('british.steel.strut'), { section: 'W8X31', grade: 'A992', philosophy: 'BS5950', axial: 1, lengthX: 1, lengthY: 1 }),
    ).toThrow('BS 5950-1 is for steel');
  });
});
