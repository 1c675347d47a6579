import { catalogue, findSection, lightestOf, rationalise, steelGrade, STANDARDS, type GroupMember, type SizingTask } from '../core/src';
import type { BeamActions, MemberActions } from '../core/src/standard';
import { figure, timeOf, type Figure } from './figure';

const european = STANDARDS.european;
const philosophy = european.loads.philosophies[0]!;

/** A drawn number that is the same in every run. */
function drawn(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return state / 2_147_483_648;
  };
}

const beamActions = (moment: number, L: number, name: string): BeamActions => ({
  basis: 'factored',
  combination: name,
  moment,
  shear: (4 * moment) / L,
  segments: [
    { from: 0, to: L / 2, peak: moment, quarters: [0.44 * moment, 0.75 * moment, 0.94 * moment], freeTip: false, tensionFlangeHeld: false },
    { from: L / 2, to: L, peak: moment, quarters: [0.94 * moment, 0.75 * moment, 0.44 * moment], freeTip: false, tensionFlangeHeld: false },
  ],
});

/** One silent check of one shape under one combination: a column with moments both ways, then what a beam asks for. */
export function steelCheck(): Figure {
  const section = findSection('UC 254x254x73');
  const grade = steelGrade('S355');
  const actions: MemberActions = {
    basis: 'factored',
    combination: 'bench',
    axial: 600e3,
    major: { start: 60e6, middle: 30e6, end: 0, peak: 60e6 },
    minor: { start: 12e6, middle: 6e6, end: 0, peak: 12e6 },
    shear: 20e3,
    shearAcross: 4e3,
    segments: [{ from: 0, to: 4000, peak: 60e6, quarters: [45e6, 30e6, 15e6], ends: [60e6, 0], freeTip: false, tensionFlangeHeld: false }],
  };
  const input = { section, grade, actions, lengthY: 4000, lengthZ: 4000, lengthT: 4000, netArea: null, untwisted: false };
  const numbers = Array.from({ length: 100 }, (_, i) => Math.sin(i * 12.9898));
  const sort = timeOf(() => [...numbers].sort((a, b) => a - b), 2000) * 1000;
  const value = timeOf(() => void european.steel.member(input, philosophy), 20_000) * 1000;
  return figure('steel.check', value, 'us', 5, `${(value / sort).toFixed(2)} times sorting 100 numbers`);
}

/** 1,000 beams over 300 shapes and 20 combinations. */
export function steelSizing(): Figure {
  const next = drawn(11);
  const sections = catalogue()
    .filter(({ shape, family }) => shape.outline !== 'angle' && shape.outline !== 'tee' && family !== 'M')
    .sort((a, b) => a.mass - b.mass)
    .slice(0, 300);
  // the properties of a shape are computed when they are first asked for: that is part of starting, `takedown.cold`, and not of sizing
  for (const { properties } of sections) if (!(properties.A > 0)) throw new Error('a shape without area');
  const tasks = Array.from({ length: 1000 }, (_, i): SizingTask => {
    const L = 3000 + 9000 * next();
    const base = 20e6 + 900e6 * next() ** 2;
    return {
      id: `m${i}`,
      grade: steelGrade('S355'),
      lengths: null,
      actions: Array.from({ length: 20 }, (_c, c) => beamActions(base * (0.5 + 0.5 * next()), L, `c${c}`)),
    };
  });
  const start = performance.now();
  const work = lightestOf(tasks, sections, european, philosophy);
  for (;;) {
    const step = work.next();
    if (!step.done) continue;
    const seconds = (performance.now() - start) / 1000;
    const tried = step.value.reduce((sum, { tried: n }) => sum + n, 0);
    return figure('steel.sizing', seconds, 's', 4, `${tried} checks of ${tasks.length * sections.length * 20}, ${sections.length} shapes`);
  }
}

/** 1,000 members of unlike strength, stiffness and room to at most 6 sizes. */
export function steelRationalise(): Figure {
  const next = drawn(5);
  const shapes = catalogue()
    .filter(({ family }) => ['UB', 'UC', 'HEA', 'HEB', 'IPE'].includes(family))
    .map(({ designation, mass, properties }) => ({ designation, mass, ...properties }));
  const members = Array.from({ length: 1000 }, (_, i): GroupMember => {
    const [W, I] = [2e5 + 3e6 * next() ** 2, 2e7 + 6e8 * next() ** 2];
    // a third of them have little room, and then little to carry
    const isLow = next() < 0.3;
    const options = shapes.filter(
      (shape) => shape.Wply >= (isLow ? W / 3 : W) && shape.Iy >= (isLow ? I / 4 : I) && shape.depth <= (isLow ? 370 : Infinity),
    );
    return {
      id: `m${i}`,
      mark: `m${i}`,
      length: 3000 + 6000 * next(),
      options,
    };
  });
  const start = performance.now();
  const sets = rationalise(members, 6, 0);
  return figure(
    'steel.rationalise',
    (performance.now() - start) / 1000,
    's',
    1,
    `${sets.map(({ mass }) => Math.round(mass / 1000)).join(', ')} t with 1 to 6 sizes`,
  );
}
