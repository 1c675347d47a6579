import { describe, expect, it } from 'vitest';
import { newBeamConnection, item } from '../building';
import type { Family } from '../family';
import { isCheck, audit } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { bay } from './bay.test.data';
import { computeProject, ProjectEngine, sheetFor } from '.';
import { FIXING } from './fixedEnds';

/** The column of a bay with a balcony beam of 1.5 m that is fixed to it, or not. */
const balcony = (fixed: boolean, family?: Family) =>
  bay({
    ...(family ? { family } : {}),
    extra: [
      item('beam', 'K1', {
        mark: 'K1',
        level: 'L1',
        from: { x: 0, y: 0 },
        to: { x: -1500, y: 0 },
        section: family === 'american' ? 'W8X31' : 'UC 152x152x30',
        ownWeight: 0.3,
        supports: [{ at: 0, by: 'C1', fixed }],
      }),
      item('load', 'rail', { label: 'rail', on: 'K1', type: 'point', nature: 'imposed', use: 'A', at: 1500, force: 4000 }),
    ],
  });

describe('a beam that is fixed to a column', () => {
  // own weight 30 kg/m; 6.10b unfavourable: 0.925 x 1.35 and 1.5
  const moment = 1.5 * 4 * 1.5 + (0.925 * 1.35 * 0.03 * 9.80665 * 1.5 ** 2) / 2;

  it('is designed for the moment that holds it, as an overhang, on a sheet that re-evaluates', () => {
    const project = computeProject(balcony(true));
    const { checks } = project.designs.member('K1')!.results[0]!;
    const bending = checks.find(isCheck('bending'))!;
    expect(bending.demand! / 1e6).toBeCloseTo(moment, 1);
    expect(checks.find(({ id }) => id.startsWith('deflection-total'))!.reason).toContain('overhang');
    expect(project.designs.member('K1')!.assumptions.map(({ key }) => key)).toContain('fixed-0');
    const sheet = sheetFor(project, 'K1')!;
    expect(audit(sheet.entries, evaluate)).toEqual([]);
    expect(JSON.stringify(sheet.entries)).toContain('"symbol":"J_1"');
  });
  it('what it is fixed to is not verified, and says how large the moment is', () => {
    for (const family of ['european', 'american', 'british'] as const) {
      const project = computeProject(balcony(true, family));
      const row = project.designs.member('C1')!.results[0]!.checks.find(isCheck(FIXING.id))!;
      expect(row.verdict).toBe('unproven');
      expect(row.reason).toContain('K1 is fixed to it and brings');
      if (family === 'european') expect(row.reason).toContain(`${moment.toFixed(2).slice(0, 4)}`);
      expect(project.designs.member('C1')!.verdict).toBe('unproven');
      expect(project.looseEnds.some(({ key }) => key === 'fixed:C1')).toBe(true);
      // the pad under it gets the force alone
      expect(project.designs.footing('F1')!.checks.some(isCheck(FIXING.id))).toBe(false);
    }
  });
  it('an edit of how it is held is seen by what carries it', () => {
    const engine = new ProjectEngine();
    const rows = (fixed: boolean) => engine.run(balcony(fixed)).designs.member('C1')!.results[0]!.checks.filter(isCheck(FIXING.id)).length;
    expect([rows(true), rows(false), rows(true)]).toEqual([1, 0, 1]);
  });
  it('supports that are found take how they are held from what is said of their connections', () => {
    const connections = [newBeamConnection({ to: 'C1', end: 'start', fixed: true })];
    const items = balcony(true).map((entry) =>
      entry.id === 'K1' && entry.kind === 'beam'
        ? { ...entry, body: { ...entry.body, supportsFound: true, supports: [], connections } }
        : entry,
    );
    const project = computeProject(items);
    expect(project.building.beams.get('K1')!.supports).toMatchObject([{ by: 'C1', fixed: true }]);
    expect(project.designs.member('K1')!.reason).toBeNull();
  });
});
