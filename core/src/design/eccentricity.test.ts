import { describe, expect, it } from 'vitest';
import { item, newBeamConnection } from '../building';
import { findSection } from '../section';
import { bay } from './bay.test.data';
import { computeProject, sheetFor } from '.';
import { isCheck } from '../sheet';

const NAME = 'axial-force-and-nominal-moments';
const column = (items: ReturnType<typeof bay>, id = 'C1') => computeProject(items).designs.member(id)!;
const check = (design: ReturnType<typeof column>, name = NAME) => design.results[0]!.checks.find(isCheck(name));

/** A beam that ends at the other side of column C1, under a strip of 3 m. */
const beamWest = (buildUp: string) =>
  item('beam', 'B0', {
    mark: 'B0',
    level: 'L1',
    from: { x: -6000, y: 0 },
    to: { x: 0, y: 0 },
    section: 'UB 406x178x54',
    ownWeight: 0.4,
    supports: [
      { at: 0, by: 'F1', holdsDown: false },
      { at: 6000, by: 'C1', holdsDown: false },
    ],
    strips: [{ buildUp, from: 0, to: 6000, widthStart: 3000, widthEnd: 3000 }],
    restraint: 'floor',
  });

describe('columns in simple construction', () => {
  // the beam leaves the column eastward; not turned its depth lies along north: the web is met, tw 6.5, e = 3.25 + 100
  const floor = 1.5 * 3 + 0.541 * 0.980665;
  const w = 0.925 * 1.35 * floor + 1.5 * 9;
  const { Wplz, Wply } = findSection('UC 152x152x30').properties;

  it('a beam that meets the web bends it about the minor axis: R (tw / 2 + 100), by hand', () => {
    const design = column(bay());
    const compressed = Math.max(
      ...['flexural-buckling/major', 'flexural-buckling/minor', 'torsional-buckling'].map((name) => check(design, name)!.utilisation!),
    );
    const moment = w * 3 * 1e3 * 103.25;
    expect(check(design)!.demand!).toBeCloseTo(compressed + (1.5 * moment) / (Wplz * 355), 3);
    expect(design.assumptions.map(({ key }) => key)).toContain('nominal-moments');
    expect(design.verdict).toBe('carries');
  });
  it('turned by a right angle the flange is met: R (h / 2 + 100) about the major axis', () => {
    const design = column(bay({ column: { turn: Math.PI / 2 } }));
    const compressed = Math.max(
      ...['flexural-buckling/major', 'flexural-buckling/minor', 'torsional-buckling'].map((name) => check(design, name)!.utilisation!),
    );
    const moment = w * 3 * 1e3 * (157.6 / 2 + 100);
    // 3 m of this column hardly buckle sideways under a moment that falls to nothing: between all of Wpl fy and nine tenths of it
    const share = check(design)!.demand! - compressed;
    expect(share).toBeGreaterThan(moment / (Wply * 355) - 1e-9);
    expect(share).toBeLessThan(moment / (0.9 * Wply * 355));
  });
  it('the eccentricity that is specified for a connection takes the place of the nominal one', () => {
    const compressed = (design: ReturnType<typeof column>) =>
      Math.max(
        ...['flexural-buckling/major', 'flexural-buckling/minor', 'torsional-buckling'].map((name) => check(design, name)!.utilisation!),
      );
    const of = (eccentricity: number) => {
      const items = bay().map((entry) =>
        entry.id === 'B1' && entry.kind === 'beam'
          ? { ...entry, body: { ...entry.body, connections: [newBeamConnection({ to: 'C1', end: 'start', eccentricity })] } }
          : entry,
      );
      const design = column(items);
      return check(design)!.demand! - compressed(design);
    };
    // 1.5 R e over Wpl,z fy, by hand
    expect(of(60)).toBeCloseTo((1.5 * w * 3 * 1e3 * 60) / (Wplz * 355), 3);
    expect(of(120) / of(60)).toBeCloseTo(2, 6);
  });
  it('beams on both sides cancel; a column above shares the moment; central bearing has none', () => {
    const other = beamWest('floor');
    const balanced = column(bay({ extra: [other] }));
    expect(check(balanced)).toBeUndefined();
    const minor = (design: ReturnType<typeof column>) =>
      check(design)!.demand! -
      Math.max(...design.results[0]!.checks.filter(({ kind }) => kind === 'force').map(({ utilisation }) => utilisation!));
    const above = [
      item('level', 'L2', { name: 'Roof', elevation: 6000 }),
      item('column', 'C9', { mark: 'C9', at: { x: 0, y: 0 }, base: 'L1', top: 'L2', by: 'C1', section: 'UC 152x152x30', ownWeight: 0.3 }),
    ];
    expect(minor(column(bay({ extra: above }))) / minor(column(bay()))).toBeCloseTo(0.5, 6);
    const central = column(bay({ column: { beamsBear: 'central' } }));
    expect(check(central)).toBeUndefined();
    expect(central.assumptions.map(({ key }) => key)).toContain('concentric');
  });
  it('another use on the other side: without it the moment is larger, and governs with the axial force that goes with it', () => {
    const other = [
      item('buildUp', 'hall', {
        name: 'Hall',
        layers: [{ name: 'deck', load: '0.1 kN/m2' }],
        variable: [{ name: 'hall', load: '4 kN/m2', nature: 'imposed', use: 'C' }],
      }),
      beamWest('hall'),
    ];
    const design = column(bay({ extra: other, brief: { imposedReduction: 'none' } }));
    const found = check(design)!;
    expect(found.combination).toContain('without imposed, C');
    // by (6.10b), 3 m and 3 m of the beams: reactions of the office side and of the bare hall side, kN; own weight of 3 m of column
    const [office, bare] = [3 * w, 3 * 0.925 * 1.35 * (0.1 * 3 + 0.541 * 0.980665)];
    const axial = office + bare + 0.925 * 1.35 * 3 * 0.3;
    const struts = design.results[0]!.checks.filter(({ mode, kind }) => mode === 'instability' && kind === 'force');
    const least = Math.min(...struts.map(({ capacity }) => capacity!));
    const moment = (office - bare) * 1e3 * 103.25;
    expect(found.demand!).toBeCloseTo((axial * 1e3) / least + (1.5 * moment) / (Wplz * 355), 3);
  });
  it('American: 3 in off the face, and H1', () => {
    const design = column(bay({ family: 'american' }));
    expect(check(design, 'bending-and-axial-force')!.clause).toEqual({ document: 'AISC 360-16', number: 'H1.1' });
    const sheet = sheetFor(computeProject(bay({ family: 'american' })), 'C1')!;
    expect(JSON.stringify(sheet.entries)).toContain('Nominal moments of the beams');
  });
  it('a beam that turns about its end moves the moment although its reaction stays', async () => {
    const { ProjectEngine } = await import('.');
    const engine = new ProjectEngine();
    const items = bay();
    const first = engine.run(items).designs.member('C1')!;
    const turned = items.map((entry) =>
      entry.id === 'C2' || entry.id === 'F2'
        ? { ...entry, body: { ...entry.body, at: { x: 0, y: 6000 } } }
        : entry.id === 'B1'
          ? { ...entry, body: { ...entry.body, to: { x: 0, y: 6000 } } }
          : entry,
    ) as typeof items;
    const second = engine.run(turned).designs.member('C1')!;
    expect(check(first)!.demand).not.toBeCloseTo(check(second)!.demand!, 3);
    expect(second).toEqual(computeProject(turned).designs.member('C1'));
  });
});
