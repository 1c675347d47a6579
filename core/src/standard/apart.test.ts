import { describe, expect, it } from 'vitest';
import { steelGrade } from '../material';
import { findSection } from '../section';
import type { Check } from '../sheet';
import { american } from './american';
import apart from './expected/apart.json';
import { european } from './european';
import type { BeamActions, Philosophy, Standard } from './standard';
import { isCheck } from '../sheet';

// written by docs/verification/apart.py. kNm, kN; kip-ft, kip
/** Section, grade, unbraced length mm, Mc,Rd kNm, Vpl,Rd kN, Mb,Rd kNm with C1 = 1. */
const EUROPEAN_BEAMS = apart.EUROPEAN_BEAMS as [string, string, number, number, number, number][];
/** Section, grade, effective lengths mm, Nb,y,Rd kN, Nb,z,Rd kN. */
const EUROPEAN_COLUMNS = apart.EUROPEAN_COLUMNS as [string, string, number, number, number, number][];
/** Section, unbraced length ft, Mp, Mn of lateral-torsional buckling with Cb = 1 (kip-ft), Vn (kip), A992. */
const AMERICAN_BEAMS = apart.AMERICAN_BEAMS as [string, number, number, number, number][];
/** Section, grade, effective length ft, Pn about x and about y, kip. */
const AMERICAN_COLUMNS = apart.AMERICAN_COLUMNS as [string, string, number, number, number][];

/** Slices of the outline and the clauses written again: what is left is rounding of the slices. */
const TOLERANCE = 0.002;
const KIP = 4448.2216152605;
const FT = 304.8;

const off = (got: number | null | undefined, expected: number) => Math.abs((got ?? Number.NaN) / expected - 1);
const capacity = (checks: readonly Check[], name: string) => checks.find(isCheck(name))?.capacity;

function beamChecks(standard: Standard, philosophy: Philosophy, name: string, grade: string, L: number): Check[] {
  const segments = [{ from: 0, to: L, peak: 1e6, quarters: [1e6, 1e6, 1e6] as const, freeTip: false, tensionFlangeHeld: false }];
  const actions: BeamActions = { basis: philosophy.basis, combination: 'apart', moment: 1e6, shear: 1e3, segments };
  return standard.steel.beam({ section: findSection(name), grade: steelGrade(grade), actions }, philosophy);
}

function columnChecks(standard: Standard, philosophy: Philosophy, name: string, grade: string, lengthY: number, lengthZ: number): Check[] {
  return standard.steel.column(
    {
      section: findSection(name),
      grade: steelGrade(grade),
      axial: 1e3,
      basis: philosophy.basis,
      combination: 'apart',
      lengthY,
      lengthZ,
      lengthT: lengthZ,
    },
    philosophy,
  );
}

describe('European steel, against values computed apart', () => {
  const [philosophy] = european.loads.philosophies as [Philosophy];
  it.each(EUROPEAN_BEAMS)('%s in %s, unbraced %i mm', (name, grade, L, McRd, VplRd, MbRd) => {
    const checks = beamChecks(european, philosophy, name, grade, L);
    expect(off(capacity(checks, 'bending'), McRd * 1e6)).toBeLessThan(TOLERANCE);
    expect(off(capacity(checks, 'shear'), VplRd * 1e3)).toBeLessThan(TOLERANCE);
    expect(off(capacity(checks, 'lateral-torsional-buckling'), MbRd * 1e6)).toBeLessThan(TOLERANCE);
  });
  it.each(EUROPEAN_COLUMNS)('%s in %s, %i and %i mm', (name, grade, lengthY, lengthZ, NbyRd, NbzRd) => {
    const checks = columnChecks(european, philosophy, name, grade, lengthY, lengthZ);
    expect(off(capacity(checks, 'flexural-buckling/major'), NbyRd * 1e3)).toBeLessThan(TOLERANCE);
    expect(off(capacity(checks, 'flexural-buckling/minor'), NbzRd * 1e3)).toBeLessThan(TOLERANCE);
  });
});

describe('American steel, against values computed apart', () => {
  const [lrfd, asd] = american.loads.philosophies as [Philosophy, Philosophy];
  it.each(AMERICAN_BEAMS)('%s, unbraced %d ft', (name, Lb, Mp, Mn, Vn) => {
    const [factored, allowable] = [beamChecks(american, lrfd, name, 'A992', Lb * FT), beamChecks(american, asd, name, 'A992', Lb * FT)];
    expect(off(capacity(factored, 'bending-yielding'), 0.9 * Mp * KIP * FT)).toBeLessThan(TOLERANCE);
    expect(off(capacity(allowable, 'bending-yielding'), (Mp * KIP * FT) / 1.67)).toBeLessThan(TOLERANCE);
    expect(off(capacity(factored, 'lateral-torsional-buckling'), 0.9 * Mn * KIP * FT)).toBeLessThan(TOLERANCE);
    expect(off(capacity(allowable, 'lateral-torsional-buckling'), (Mn * KIP * FT) / 1.67)).toBeLessThan(TOLERANCE);
    const shear = capacity(factored, 'shear')! / (Vn * KIP);
    // phi is 1.00 for the webs of G2.1(a), 0.90 for others
    expect(Math.min(Math.abs(shear - 1), Math.abs(shear - 0.9))).toBeLessThan(TOLERANCE);
  });
  it.each(AMERICAN_COLUMNS)('%s in %s, %d ft', (name, grade, L, Pnx, Pny) => {
    const checks = columnChecks(american, lrfd, name, grade, L * FT, L * FT);
    expect(off(capacity(checks, 'flexural-buckling/major'), 0.9 * Pnx * KIP)).toBeLessThan(TOLERANCE);
    expect(off(capacity(checks, 'flexural-buckling/minor'), 0.9 * Pny * KIP)).toBeLessThan(TOLERANCE);
  });
});
