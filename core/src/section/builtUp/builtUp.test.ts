import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findSection, fromTheSide, jointsOf, mustLieApart, readParts, solveElastic, solvePlastic, type PartInput } from '..';

const plate = (name: string, width: number, height: number, z: number, fy = 355, more: Partial<PartInput> = {}): PartInput => ({
  name,
  plate: { width, height },
  turned: false,
  x: 0,
  z,
  fy,
  E: 210_000,
  holeIn: null,
  ...more,
});

describe('built-up sections, by hand', () => {
  it('a hybrid girder, the same above and below: flanges 200 x 20 of 355, web 8 x 400 of 275', () => {
    const parts = readParts([plate('top', 200, 20, 210), plate('web', 8, 400, 0, 275), plate('bottom', 200, 20, -210)]);
    const elastic = solveElastic(parts);
    const I = (200 * 440 ** 3 - 192 * 400 ** 3) / 12;
    expect(elastic.axis).toBeCloseTo(0, 9);
    expect(elastic.I / I).toBeCloseTo(1, 9);
    // the web's edge at 200 would yield under 275 I / 200, the flange's at 220 under 355 I / 220
    expect(elastic.yieldMoment / ((275 * I) / 200)).toBeCloseTo(1, 9);
    expect(elastic.yieldsFirst.part).toBe('web');
    const plastic = solvePlastic(parts);
    expect(plastic.axis).toBeCloseTo(0, 6);
    expect(plastic.place).toEqual({ kind: 'within', parts: ['web'] });
    expect(plastic.moment / (355 * 2 * 4000 * 210 + (275 * 8 * 400 ** 2) / 4)).toBeCloseTo(1, 9);
  });
  it('unlike flanges: the plastic axis moves to the stronger, the elastic one stays', () => {
    const same = readParts([plate('top', 200, 20, 210, 275), plate('web', 10, 400, 0, 275), plate('bottom', 200, 20, -210, 275)]);
    const strong = readParts([plate('top', 200, 20, 210, 275), plate('web', 10, 400, 0, 275), plate('bottom', 200, 20, -210, 355)]);
    expect(solveElastic(strong).axis).toBeCloseTo(solveElastic(same).axis, 9);
    // 4000 (355 - 275) = 320 kN more below: down by 320e3 / (2 * 10 * 275) = 58.18
    expect(solvePlastic(strong).axis).toBeCloseTo(-58.1818, 3);
  });
  it('falls exactly on a joint: 100 x 10 of 300 upon 100 x 12 of 250', () => {
    const parts = readParts([plate('upper', 100, 10, 5, 300), plate('lower', 100, 12, -6, 250)]);
    const plastic = solvePlastic(parts);
    expect(plastic.axis).toBeCloseTo(0, 9);
    expect(plastic.place).toEqual({ kind: 'joint', above: ['upper'], below: ['lower'] });
    expect(plastic.moment).toBeCloseTo(300 * 1000 * 5 + 250 * 1200 * 6, 3);
  });
  it('falls anywhere in a gap: two equal chords', () => {
    const parts = readParts([plate('upper', 100, 10, 205), plate('lower', 100, 10, -205)]);
    const plastic = solvePlastic(parts);
    expect(plastic.place).toEqual({ kind: 'gap', from: -200, to: 200 });
    expect(plastic.moment).toBeCloseTo(355 * 1000 * 410, 3);
  });
  it('a steel plate on timber: modular ratio 21', () => {
    const parts = readParts([plate('timber', 75, 225, 112.5, 24, { E: 10_000 }), plate('steel', 75, 12, -6, 275)]);
    // in timber units: 16875 at 112.5 and 21 * 900 at -6
    const axis = (16_875 * 112.5 - 21 * 900 * 6) / (16_875 + 21 * 900);
    const elastic = solveElastic(parts);
    expect(elastic.axis).toBeCloseTo(axis, 9);
    const I = (75 * 225 ** 3) / 12 + 16_875 * (112.5 - axis) ** 2 + 21 * ((75 * 12 ** 3) / 12 + 900 * (axis + 6) ** 2);
    expect(elastic.I / I).toBeCloseTo(1, 9);
    expect(elastic.yieldsFirst.part).toBe('timber');
  });
  it('a rolled shape alone has its own moduli; with a hole it has less', () => {
    const beam: PartInput = { name: 'beam', section: 'UB 457x191x67', turned: false, x: 0, z: 0, fy: 355, E: 210_000, holeIn: null };
    const { Wply, Iy, Iz, Wplz, Wely } = findSection('UB 457x191x67').properties;
    const parts = readParts([beam]);
    expect(solveElastic(parts).I / Iy).toBeCloseTo(1, 4);
    expect(solvePlastic(parts).moment / 355 / Wply).toBeCloseTo(1, 4);
    expect(solveElastic(parts).yieldMoment / 355 / Wely).toBeCloseTo(1, 4);
    const side = parts.map(fromTheSide);
    expect(solveElastic(side).I / Iz).toBeCloseTo(1, 4);
    expect(solvePlastic(side).moment / 355 / Wplz).toBeCloseTo(1, 4);
    const holed = readParts([beam, plate('service hole', 8.5, 200, 0, 0, { holeIn: 'beam', E: 0 })]);
    expect(solvePlastic(holed).moment).toBeCloseTo(solvePlastic(parts).moment - (355 * 8.5 * 200 ** 2) / 4, -2);
    const turned = readParts([{ ...beam, turned: true }]);
    expect(solveElastic(turned).I / Iz).toBeCloseTo(1, 4);
  });
  it('shear flow at the joints of flanges and web: V S / I', () => {
    const parts = readParts([plate('top', 200, 20, 210), plate('web', 8, 400, 0), plate('bottom', 200, 20, -210)]);
    const elastic = solveElastic(parts);
    const joints = jointsOf(parts, elastic);
    expect(joints.map(({ at }) => at)).toEqual([200, -200]);
    for (const { flowPerForce } of joints) expect(flowPerForce).toBeCloseTo((4000 * 210) / elastic.I, 12);
  });
  it('names what cannot be', () => {
    expect(() => readParts([])).toThrow('at least one plate');
    expect(() => readParts([plate('a', 10, 10, 0), plate('a', 10, 10, 10)])).toThrow('two parts are called "a"');
    expect(() => readParts([plate('a', 10, 10, 0), plate('h', 5, 5, 0, 1, { holeIn: 'b' })])).toThrow('which is not there');
    expect(() => readParts([plate('a', 0, 10, 0)])).toThrow('a width and a height');
  });
});

describe('joints', () => {
  it('the first moment of what lies beyond is that of its parts: a cover, a flange with a hole, by hand', () => {
    const parts = readParts([
      plate('top', 200, 20, 210),
      plate('web', 8, 400, 0, 275),
      plate('bottom', 200, 20, -210),
      plate('hole', 20, 20, 210, 355, { x: 60, holeIn: 'top' }),
    ]);
    const elastic = solveElastic(parts);
    const [upper, lower] = jointsOf(parts, elastic);
    expect(upper!.beyond).toEqual([
      { name: 'top', area: 4000, middle: 210, ratio: 1 },
      { name: 'hole', area: -400, middle: 210, ratio: 1 },
    ]);
    expect(upper!.flowPerForce).toBeCloseTo((3600 * (210 - elastic.axis)) / elastic.I, 12);
    for (const { beyond, flowPerForce } of [upper!, lower!]) {
      const moment = beyond.reduce((sum, { area, middle, ratio }) => sum + ratio * area * (middle - elastic.axis), 0);
      expect(Math.abs(moment) / elastic.I).toBeCloseTo(flowPerForce, 12);
    }
  });
});

describe('parts that lie on others', () => {
  const on = (part: string) => ({ stacked: { side: 'on' as const, part } });
  const under = (part: string) => ({ stacked: { side: 'under' as const, part } });
  const middles = (parts: readonly PartInput[]) =>
    Object.fromEntries(readParts(parts).map(({ name, top, bottom }) => [name, (top + bottom) / 2]));
  it('their middles follow, in whatever order they are named, turned or not', () => {
    const girder = [plate('cover', 180, 12, 0, 355, on('top')), plate('top', 250, 25, 0, 355, on('web')), plate('web', 10, 800, 40)];
    expect(middles([...girder, plate('bottom', 300, 30, 0, 355, under('web'))])).toEqual({ cover: 471, top: 452.5, web: 40, bottom: -375 });
    expect(middles([plate('web', 10, 800, 0), plate('top', 25, 250, 0, 355, { ...on('web'), turned: true })])).toMatchObject({
      top: 412.5,
    });
    // a channel on its back upon a beam: its back is below, its toes are up
    const beam: PartInput = { ...plate('beam', 1, 1, 0), plate: undefined, section: 'UB 305x165x40' } as never;
    const depth = findSection('UB 305x165x40').properties.depth;
    expect(middles([beam, plate('plate', 200, 20, 0, 355, on('beam'))])['plate']).toBeCloseTo(depth / 2 + 10, 9);
  });
  it('make the section that their middles would make, whatever the sizes', () => {
    const size = fc.integer({ min: 4, max: 400 });
    fc.assert(
      fc.property(size, size, size, size, size, size, (a, b, c, d, e, f) => {
        const stacked = readParts([
          plate('top', a, b, 0, 355, on('web')),
          plate('web', c, d, 0),
          plate('bottom', e, f, 0, 355, under('web')),
        ]);
        const placed = readParts([plate('top', a, b, (d + b) / 2), plate('web', c, d, 0), plate('bottom', e, f, -(d + f) / 2)]);
        expect(solveElastic(stacked).I).toBeCloseTo(solveElastic(placed).I, 6);
        mustLieApart(stacked);
      }),
    );
  });
  it('in a ring, or on what is not there, are refused', () => {
    expect(() => readParts([plate('a', 10, 10, 0, 355, on('b')), plate('b', 10, 10, 0, 355, on('a'))])).toThrow('lies on itself');
    expect(() => readParts([plate('a', 10, 10, 0, 355, on('c'))])).toThrow('lies on "c", which is not there');
  });
});

describe('parts lie apart', () => {
  const beam = (z: number, section = 'UB 305x165x40'): PartInput => ({
    name: 'beam',
    section,
    turned: false,
    x: 0,
    z,
    fy: 355,
    E: 210_000,
    holeIn: null,
  });
  const check =
    (...inputs: PartInput[]) =>
    () =>
      mustLieApart(readParts(inputs));
  it('may touch, and stand between the flanges of a shape or in a hollow one', () => {
    check(beam(0), plate('cover', 200, 20, 151.7 + 10))();
    check(beam(0), plate('stiffener', 50, 250, 0, 355, { x: 50 }))();
    check(beam(0, 'SHS 150x150x8'), plate('inlay', 100, 100, 0))();
    check(beam(0, 'L 100x100x10'), plate('on the leg', 80, 80, 0, 355, { x: 5, z: 5 }))();
  });
  it('name each other and the area when they do not', () => {
    expect(check(beam(0), plate('cover', 200, 20, 151.7))).toThrow('"beam" and "cover" lie over each other: 1650 mm²');
    expect(check(plate('a', 100, 10, 0), plate('b', 10, 100, 0))).toThrow('"a" and "b" lie over each other: 100 mm²');
    expect(check(plate('a', 100, 10, 0), plate('b', 10, 100, 0, 355, { turned: true, z: 9 }))).toThrow('100 mm²');
    expect(check(beam(0, 'SHS 150x150x8'), plate('inlay', 134, 140, 0))).toThrow('lie over each other');
  });
  it('a hole lies within its part, and holes apart', () => {
    const hole = (name: string, z: number, x = 0) => plate(name, 20, 20, z, 0, { holeIn: 'web', E: 0, x });
    const web = plate('web', 40, 400, 0);
    check(web, hole('h1', 0), hole('h2', 20))();
    check(web, hole('h1', 190))();
    expect(check(web, hole('h1', 195))).toThrow('100 mm² of the hole "h1" lie outside "web"');
    expect(check(web, hole('h1', 300))).toThrow('400 mm² of the hole "h1"');
    expect(check(web, hole('h1', 0), hole('h2', 10, 5))).toThrow('"h1" and "h2" lie over each other: 150 mm² would be cut out twice');
    expect(check(beam(0, 'SHS 150x150x8'), plate('h', 20, 20, 0, 0, { holeIn: 'beam' }))).toThrow('400 mm² of the hole');
  });
});

describe('laws', () => {
  const parts = fc.array(
    fc.tuple(fc.integer({ min: 20, max: 400 }), fc.integer({ min: 5, max: 300 }), fc.constantFrom(235, 275, 355, 460)),
    { minLength: 1, maxLength: 6 },
  );
  /** Plates stacked upon each other. */
  const stack = (sizes: readonly (readonly [number, number, number])[], datum = 0) => {
    let z = datum;
    return readParts(
      sizes.map(([b, h, fy], i) => {
        z += h;
        return plate(`p${i}`, b, h, z - h / 2, fy);
      }),
    );
  };
  it('equal force on both sides; moves with the datum; the plastic moment is not below the yield moment; twice the strength, twice the moment', () => {
    fc.assert(
      fc.property(parts, fc.integer({ min: -500, max: 500 }), (sizes, datum) => {
        const [one, moved] = [stack(sizes), stack(sizes, datum)];
        const [plastic, other] = [solvePlastic(one), solvePlastic(moved)];
        const whole = one.reduce((sum, { fy, area }) => sum + fy * area, 0);
        expect(Math.abs(plastic.force / (whole / 2) - 1)).toBeLessThan(1e-9);
        expect(other.axis - plastic.axis).toBeCloseTo(datum, 5);
        expect(plastic.moment).toBeGreaterThanOrEqual(solveElastic(one).yieldMoment * (1 - 1e-9));
        const twice = solvePlastic(stack(sizes.map(([b, h, fy]) => [b, h, 2 * fy] as const)));
        expect(twice.moment / plastic.moment).toBeCloseTo(2, 9);
        expect(twice.axis).toBeCloseTo(plastic.axis, 6);
      }),
      { numRuns: 200 },
    );
  });
});
