import { describe, expect, it } from 'vitest';
import { checksOf } from './measured.test.data';

/** Shapes of which one part grows thinner, to 0.3 of what it is at first. Every outline, every part. */
const THINNER: readonly (readonly [name: string, designation: (part: number) => string])[] = [
  ['I, web', (t) => `own I 800x300x${mm(16 * t)}x16`],
  ['I, flanges', (t) => `own I 500x300x10x${mm(22 * t)}`],
  ['I of unequal flanges, web', (t) => `own I 700x300x${mm(16 * t)}x18 bottom 200x14`],
  ['I of unequal flanges, top flange', (t) => `own I 600x300x10x${mm(24 * t)} bottom 200x15`],
  ['tee, stem', (t) => `own T 200x200x${mm(16 * t)}x14`],
  ['tee, flange', (t) => `own T 200x240x12x${mm(20 * t)}`],
  ['channel, web', (t) => `own C 300x90x${mm(14 * t)}x14`],
  ['channel, flanges', (t) => `own C 300x100x9x${mm(18 * t)}`],
  ['angle', (t) => `own L 120x120x${mm(16 * t)}`],
  ['angle of unequal legs', (t) => `own L 150x90x${mm(16 * t)}`],
  ['box', (t) => `own box 200x120x${mm(12 * t)}`],
  ['tube', (t) => `own tube 200x${mm(12 * t)}`],
];
const mm = (value: number) => value.toFixed(4);

/** Shapes that grow longer. */
const LONGER = [
  'own I 500x300x10x22',
  'own I 800x300x7x16',
  'own I 600x300x10x24 bottom 200x15',
  'own T 200x200x16x14',
  'own C 300x100x9x18',
  'own L 120x120x12',
  'own L 150x90x12',
  'own box 200x120x6',
  'own tube 200x6',
];
const ROLLED = ['UB 457x191x67', 'UC 203x203x60'];

const even = (moment: number) => ({ start: moment, end: moment });
const EFFECTS: readonly (readonly [name: string, effects: object])[] = [
  ['compression', { axial: 100e3 }],
  ['tension', { axial: -100e3 }],
  ['sagging', { major: even(10e6) }],
  ['hogging', { major: even(-10e6) }],
  ['minor axis', { minor: even(3e6) }],
  ['compression and major axis', { axial: 100e3, major: { start: 10e6, end: 5e6 } }],
  ['compression and minor axis', { axial: 100e3, minor: { start: 3e6, end: 1e6 } }],
  ['shear', { major: even(1e6), shear: 60e3, shearAcross: 20e3 }],
];

interface Jump {
  readonly family: string;
  readonly shape: string;
  readonly effects: string;
  readonly check: string;
  /** Change from one step to the next, as a part of the use before it. */
  readonly size: number;
}

interface OwnStep {
  /** Where the standard says so. */
  readonly clause: string;
  readonly is: (jump: Jump) => boolean;
  /** Largest fall and largest rise of the use, worked out from the clauses by docs/verification/steps.py; a step of the sweep itself adds a little. */
  readonly least: number;
  readonly most: number;
}

const of =
  (family: string, check: RegExp, more: (jump: Jump) => boolean = () => true) =>
  (jump: Jump): boolean =>
    jump.family === family && check.test(jump.check) && more(jump);

/**
 * Changes beyond 2.5 % that are twice those beside them. A check that comes or goes with a limit of the standard has none; uses beyond 2 lie near a
 * critical force, where moments grow without bound.
 */
function jumpsOf(curve: readonly (number | null)[]): number[] {
  const changes = curve.slice(1).map((value, i) => {
    const before = curve[i];
    return value === null || value === undefined || before === null || before === undefined || value > 2 ? null : value / before - 1;
  });
  return changes.filter((change, i): change is number => {
    if (change === null || Math.abs(change) <= 0.025) return false;
    const beside = Math.max(Math.abs(changes[i - 1] ?? 0), Math.abs(changes[i + 1] ?? 0));
    return Math.abs(change) > 2 * beside;
  });
}

function sweep(family: string, effects: object, inputs: readonly object[]): Map<string, (number | null)[]> {
  const curves = new Map<string, (number | null)[]>();
  inputs.forEach((input, i) => {
    for (const { name, utilisation } of checksOf(family, { ...input, ...effects })) {
      const curve = curves.get(name) ?? [];
      curve[i] = utilisation;
      curves.set(name, curve);
    }
  });
  return curves;
}

const lengths = (family: string, L: number) => ({
  lengthY: L,
  lengthZ: L,
  unbraced: L,
  ...(family === 'british' ? {} : { lengthT: L }),
});
const GRADES = { european: 'S355', american: 'A992', british: 'S275' } as const;

/** What one step of a sweep changes by itself, as a part of the use. */
const DRIFT = 0.025;

/** Every step is one of the standard's own, of its size; every one that is listed is still met. */
function judge(jumps: readonly Jump[], own: readonly OwnStep[]): void {
  const strange: string[] = [];
  const sizes = own.map(() => [0, 0] as [number, number]);
  for (const jump of jumps) {
    const found = own.findIndex(({ is }) => is(jump));
    if (found < 0) strange.push(`${jump.family}, ${jump.shape}, ${jump.effects}, ${jump.check}: ${(jump.size * 100).toFixed(1)} %`);
    else sizes[found] = [Math.min(sizes[found]![0], jump.size), Math.max(sizes[found]![1], jump.size)];
  }
  expect(strange).toEqual([]);
  own.forEach(({ clause, least, most }, i) => {
    const [fall, rise] = sizes[i]!;
    expect(Math.abs(fall - least), `${clause}: the largest fall, ${fall}`).toBeLessThan(DRIFT);
    expect(Math.abs(rise - most) / (1 + most), `${clause}: the largest rise, ${rise}`).toBeLessThan(DRIFT);
  });
}

describe('uses over thickness and length have no step but those of the standards', () => {
  it('parts that grow thinner by a two hundredth at a time, every outline under every effect', () => {
    const jumps: Jump[] = [];
    for (const family of ['european', 'american'] as const)
      for (const [shape, designation] of THINNER) {
        const inputs = Array.from({ length: 141 }, (_, i) => ({
          section: designation(1 - i / 200),
          grade: GRADES[family],
          ...lengths(family, 3000),
        }));
        for (const [effects, forces] of EFFECTS)
          for (const [check, curve] of sweep(family, forces, inputs))
            for (const size of jumpsOf(curve)) jumps.push({ family, shape, effects, check, size });
      }
    judge(jumps, [
      {
        clause: 'EN 1993-1-5 8(1): k is 0.4 where the plastic moment is used, 0.55 where the elastic one is',
        is: of('european', /^Flange-induced/),
        least: -0.273,
        most: 0.375,
      },
      {
        clause: 'EN 1993-1-1 table 3.1: f_y above 16 mm',
        is: of('european', /./, ({ size }) => size < 0 && size > -0.03),
        least: -0.028,
        most: 0,
      },
      {
        clause: 'EN 1993-1-1 6.2.9.1 to 6.2.9.2: M_N to the sum of stresses',
        is: of('european', /^Section in bending and axial/),
        least: 0,
        most: 2.378,
      },
      {
        clause: 'EN 1993-1-1 6.3.3: W_pl to W_el, table B.1 or B.2 by class',
        is: of('european', /^Bending and compression, /),
        least: 0,
        most: 0.305,
      },
      {
        clause: 'EN 1993-1-1 6.2.5: W_pl to W_el in the sum of shares where 6.3.3 is not written',
        is: of('european', /^Bending and compression of the member/),
        least: 0,
        most: 0.304,
      },
      {
        clause: 'EN 1993-1-1 table 5.2: walls whole up to 42 epsilon; EN 1993-1-5 4.4: reduced from 38.2',
        is: of('european', /^(Compression of|Flexural)/),
        least: 0,
        most: 0.031,
      },
      {
        clause: 'EN 1993-1-1 6.2.5: W_pl to W_el, and back where the part that grows thinner is in tension',
        is: of('european', /^(Bending|Lateral)/),
        least: -0.179,
        most: 0.798,
      },
      {
        clause: 'AISC 360-16 (H1-1a) to (H1-1b): 0.1 of the whole where P_r is 0.2 of P_c',
        is: of('american', /^Bending and axial/),
        least: 0,
        most: 0.264,
      },
      {
        clause: 'AISC 360-16 F4.2: I_yc/I_y of 0.23',
        is: of('american', /./, ({ shape }) => shape.startsWith('I of unequal')),
        least: -0.2,
        most: 0,
      },
      {
        clause: 'AISC 360-16 F2 to F4: J and r_ts to r_t',
        is: of('american', /^Lateral/, ({ shape }) => shape === 'I, web'),
        least: 0,
        most: 0.055,
      },
    ]);
  });
  it('members that grow longer by a fiftieth at a time', () => {
    const jumps: Jump[] = [];
    for (const family of ['european', 'american', 'british'] as const)
      for (const section of family === 'british' ? ROLLED : LONGER) {
        const inputs = Array.from({ length: 150 }, (_, i) => ({
          section,
          grade: GRADES[family],
          ...lengths(family, 600 * 1.02 ** i),
        }));
        for (const [effects, forces] of EFFECTS)
          for (const [check, curve] of sweep(family, forces, inputs))
            for (const size of jumpsOf(curve)) jumps.push({ family, shape: section, effects, check, size });
      }
    judge(jumps, [
      {
        clause: 'AISC 360-16 (H1-1a) to (H1-1b): 0.1 of the whole where P_r is 0.2 of P_c',
        is: of('american', /^Bending and axial/),
        least: 0,
        most: 0.667,
      },
    ]);
  });
});
