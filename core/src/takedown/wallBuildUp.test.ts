import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, type Item } from '../building';
import { computeProject, ProjectEngine } from '../design';
import { takeDown } from '.';

const layers = (...loads: readonly (readonly [load: string, nature?: string])[]) =>
  item('buildUp', 'cavity', {
    name: 'Cavity wall',
    layers: loads.map(([load, nature = 'permanent'], i) => ({ name: `layer ${i + 1}`, load, nature: nature as 'permanent' })),
  });
const items = (buildUp: Item | null, wall: object = {}): Item[] => [
  item('brief', 'brief', defaultBrief('Trial', 'european')),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  ...(buildUp ? [buildUp] : []),
  item('wall', 'W', {
    mark: 'W',
    from: { x: 0, y: 0 },
    to: { x: 4000, y: 0 },
    base: 'L0',
    top: 'L1',
    by: null,
    supportsFound: true,
    weight: '4 kN/m2',
    buildUp: buildUp?.id ?? null,
    bears: 'yes',
    ...wall,
  }),
  item('stripFooting', 'S', { mark: 'S', from: { x: 0, y: 0 }, to: { x: 4000, y: 0 }, level: 'L0', width: 600 }),
];
const reaches = (list: Item[]) => takeDown(assemble(list), () => []).members.get('S')!.sum;

describe('a wall with a build-up', () => {
  // two leaves and plaster, the plaster superimposed
  const cavity = layers(['2 kN/m2'], ['1.9 kN/m2'], ['0.25 kN/m2', 'superimposed']);
  it('weighs what its layers weigh, each in its own case, less its openings', () => {
    expect(reaches(items(cavity))).toEqual({ permanent: expect.closeTo(3.9e3 * 12, 3), superimposed: expect.closeTo(0.25e3 * 12, 3) });
    const openings = [{ from: 1000, to: 2000, head: 2000 }];
    const open = reaches(items(cavity, { openings }));
    expect(open['permanent']).toBeCloseTo(3.9e3 * 10, 3);
    expect(open['superimposed']).toBeCloseTo(0.25e3 * 10, 3);
    expect(reaches(items(null))).toEqual({ permanent: expect.closeTo(4e3 * 12, 3) });
  });
  it('follows its layers when they are edited, and back; what was typed returns without them', () => {
    const engine = new ProjectEngine();
    const at = (list: Item[]) => engine.run(list).takedown.members.get('S')!.sum;
    // the wall stays the very same: only what it is made of is edited
    const same = items(cavity);
    for (const build of [cavity, layers(['3 kN/m2']), cavity])
      expect(at(same.map((entry) => (entry.kind === 'buildUp' ? build : entry)))).toEqual(reaches(items(build)));
    for (const build of [layers(['3 kN/m2']), null, cavity]) {
      const wanted = reaches(items(build));
      expect(at(items(build))).toEqual(wanted);
    }
  });
  it('with variable load says that it is left out; one without weight too; nobody is asked for a weight that layers give', () => {
    const roof = item('buildUp', 'roof', {
      name: 'Roof',
      layers: [{ name: 'tiles', load: '0.8 kN/m2' }],
      variable: [{ name: 'snow', load: '0.6 kN/m2', nature: 'snow' }],
    });
    const project = computeProject(items(roof, { weightGiven: false }));
    expect(reaches(items(roof))).toEqual({ permanent: expect.closeTo(0.8e3 * 12, 3) });
    expect(project.looseEnds.map(({ key }) => key)).toContain('wall-variable:W');
    expect(JSON.stringify(project.assumptions)).not.toContain('a usual weight that nobody has typed');
    expect(computeProject(items(layers())).looseEnds.map(({ key }) => key)).toContain('no-weight:W');
  });
});
