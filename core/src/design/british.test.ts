import { describe, expect, it } from 'vitest';
import { caseIn, usualCases } from '../load';
import { findSection } from '../section';
import { steelGrade } from '../material';
import { isCheck, audit } from '../sheet';
import { philosophyOf, STANDARDS } from '../standard';
import { evaluate } from '../sheet/evaluate.test.data';
import { bay } from './bay.test.data';
import { computeProject, sheetFor } from './project';
import { trySections } from './sizing';
import { contextOf } from './context';

const { british } = STANDARDS;
const [philosophy] = british.loads.philosophies;
const project = (more: Parameters<typeof bay>[0] = {}) => computeProject(bay({ family: 'british', ...more }));
const named = (result: ReturnType<typeof computeProject>, id: string, name: string) =>
  result.designs.member(id)!.results[0]!.checks.find(isCheck(name))!;

describe('what BS 5950-1 does not read', () => {
  it('is kept with the beam, and named on its sheet as not used', () => {
    const items = bay({ family: 'british' }).map((item) =>
      item.kind === 'beam' ? { ...item, body: { ...item.body, untwisted: true } } : item,
    ) as ReturnType<typeof bay>;
    const result = computeProject(items);
    const beam = result.designs.members().find(({ id }) => result.building.beams.has(id))!;
    const notes = JSON.stringify(sheetFor(result, beam.id, philosophy!.id)!.entries);
    expect(notes).toContain('not used by BS 5950-1');
    expect(JSON.stringify([...result.assumptions.values()])).not.toContain('untwisted');
  });
});

describe('BS 5950-1 load factors', () => {
  const cases = ['permanent', 'imposed-B', 'roofImposed', 'snow', 'wind'].map((id) => caseIn(usualCases, id));
  const factors = (list: readonly { name: string; factors: Readonly<Record<string, number>> }[]) =>
    list.map((combination) => cases.map(({ id }) => combination.factors[id] ?? 0).join());
  it('are those of table 2, on a roof access or snow', () => {
    expect(factors(philosophy!.rules.strength(cases))).toEqual([
      '1.4,1.6,1.6,0,0',
      '1.4,1.6,0,1.6,0',
      '1.4,0,0,0,1.4',
      '1,1.6,1.6,0,0',
      '1,1.6,0,1.6,0',
      '1,0,0,0,1.4',
      '1.2,1.2,1.2,0,1.2',
      '1.2,1.2,0,1.2,1.2',
    ]);
  });
  it('of imposed and wind load together count four fifths in service', () => {
    expect(factors(philosophy!.rules.service(cases))).toEqual([
      '1,1,1,0,0',
      '1,1,0,1,0',
      '1,0,0,0,1',
      '1,0.8,0.8,0,0.8',
      '1,0.8,0,0.8,0.8',
    ]);
  });
  it('without wind leave that of table 2, and dead load once where it counteracts', () => {
    expect(philosophy!.rules.strength([caseIn(usualCases, 'permanent'), caseIn(usualCases, 'imposed-A')]).map(({ name }) => name)).toEqual([
      '1: 1.4 Gk + 1.6 Qi(A)',
      '1 light: 1 Gk + 1.6 Qi(A)',
    ]);
  });
});

describe('imposed load reduced, BS 6399-1', () => {
  const floors = (n: number, each: number) =>
    Array.from({ length: n }, (_, i) => ({ use: 'B' as const, force: 1, area: each * 1e6, level: `L${i}` }));
  it.each([
    ['beam, 40 m2: 4 %', floors(1, 40), 'beam', 0.96],
    ['beam, 400 m2: no more than 25 %', floors(1, 400), 'beam', 0.75],
    ['column, 3 floors: 20 %, more than 90 m2 give', floors(3, 30), 'column', 0.8],
    ['column, 2 floors of 120 m2: 24 % by area', floors(2, 120), 'column', 0.76],
    ['column, 12 floors: half', floors(12, 50), 'column', 0.5],
  ] as const)('%s', (_, given, role, left) => {
    const found = british.loads.imposedReduction(given as never, role);
    expect(found!.factors['B']).toBeCloseTo(left, 10);
  });
});

describe('a building by BS 5950-1', () => {
  it('is checked whole, and its sheets re-evaluate', () => {
    const result = project();
    for (const id of ['B1', 'C1']) {
      const design = result.designs.member(id)!;
      expect(design.reason).toBeNull();
      expect(design.verdict).not.toBe('unproven');
      expect(audit(sheetFor(result, id)!.entries, evaluate)).toEqual([]);
    }
    expect(result.designs.footing('F1')!.verdict).not.toBe('unproven');
  });
  it('by hand: 1.4 and 1.6, and deflection with 205 GPa', () => {
    const result = project();
    const own = 0.0541 * 9.80665;
    // floor 1.5 and 3 kN/m2 over 3 m, span 6 m
    expect(named(result, 'B1', 'bending').demand! / 1e6).toBeCloseTo(((1.4 * (4.5 + own) + 1.6 * 9) * 36) / 8, 2);
    const { Iy } = findSection('UB 406x178x54').properties;
    expect(named(result, 'B1', 'deflection-variable').demand).toBeCloseTo((5 * 9 * 6000 ** 4) / (384 * 205_000 * Iy), 4);
  });
  it('a column with nominal moments: 4.7.7 by hand', () => {
    const result = project();
    const check = named(result, 'C1', 'compression-and-nominal-moments');
    const { A, iy, iz, Welz } = findSection('UC 152x152x30').properties;
    const own = 0.0541 * 9.80665;
    const R = ((1.4 * (4.5 + own) + 1.6 * 9) * 6000) / 2;
    const F = R + 1.4 * findSection('UC 152x152x30').mass * 9.80665 * 3000;
    const strut = (lambda: number, a: number) => {
      const pE = (Math.PI ** 2 * 205_000) / lambda ** 2;
      const eta = (a * (lambda - 0.2 * Math.sqrt((Math.PI ** 2 * 205_000) / 275))) / 1000;
      const phi = (275 + (eta + 1) * pE) / 2;
      return (pE * 275) / (phi + Math.sqrt(phi ** 2 - pE * 275));
    };
    const Pc = A * Math.min(strut(3000 / iy, 3.5), strut(3000 / iz, 5.5));
    // the depth lies along north and the beam comes from the east: it bears 100 mm off the web, and nothing goes on above
    const byHand = F / Pc + (R * (6.5 / 2 + 100)) / (275 * Welz);
    expect(check.demand! / byHand).toBeCloseTo(1, 3);
  });
  it('sizes from British shapes and lets no other effects in', () => {
    const result = project();
    const tried = trySections(contextOf(result.building, result.takedown), 'B1');
    expect(new Set(tried.map(({ family }) => family))).toEqual(new Set(['UB', 'UC']));
    expect(tried.some(({ verdict }) => verdict === 'carries')).toBe(true);
    const section = findSection('UB 406x178x54');
    const actions = { basis: 'service' as const, combination: '', moment: 1, shear: 1, segments: [] };
    expect(() => british.steel.beam({ section, grade: steelGrade('S275'), actions }, philosophy!)).toThrow('service');
  });
  it('a beam that nothing holds is weaker, load on its top flange weaker still; a free overhang has table 14', () => {
    const use = (beam: object) => named(project({ beam }), 'B1', 'lateral-torsional-buckling').capacity!;
    const [free, top] = [use({ restraint: 'supports' }), use({ restraint: 'supports', loadHeight: 'top' })];
    expect(top).toBeLessThan(free);
    const tip = named(
      project({
        beam: {
          restraint: 'supports',
          supports: [
            { at: 0, by: 'C1' },
            { at: 2000, by: 'C2' },
          ],
        },
      }),
      'B1',
      'lateral-torsional-buckling',
    );
    expect(tip.verdict).not.toBe('unproven');
  });
  it('is chosen in the brief', () => {
    expect(() => philosophyOf(british, '6.10')).toThrow('BS 5950-1, older British practice has no philosophy "6.10"');
  });
});

describe('a web under a force, BS 5950-1 4.5', () => {
  const section = findSection('UB 457x191x67');
  const { h, tw, tf, r } = { h: 453.4, tw: 8.5, tf: 12.7, r: 10.2 };
  const check = (toEnd: number) =>
    british.steel.webForce(
      { section, grade: steelGrade('S275'), force: 100e3, bearing: 80, toEnd, moment: 0, basis: 'factored', combination: 'x' },
      philosophy!,
    );
  const k = tf + r;
  const d = h - 2 * k;
  it('away from the ends: n is 5', () => {
    const [bearing, buckling] = check(2000);
    const Pbw = (80 + 5 * k) * tw * 275;
    expect(bearing!.capacity! / Pbw).toBeCloseTo(1, 6);
    expect(buckling!.capacity! / (((25 * tw) / Math.sqrt((80 + 5 * k) * d)) * Pbw)).toBeCloseTo(1, 6);
  });
  it('at an end: n is 2 and the buckling resistance falls', () => {
    const [bearing, buckling] = check(40);
    const Pbw = (80 + 2 * k) * tw * 275;
    expect(bearing!.capacity! / Pbw).toBeCloseTo(1, 6);
    const full = ((25 * tw) / Math.sqrt((80 + 2 * k) * d)) * Pbw;
    expect(buckling!.capacity! / ((full * (40 + 0.7 * d)) / (1.4 * d))).toBeCloseTo(1, 6);
  });
});
