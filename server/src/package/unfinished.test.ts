import { describe, expect, it } from 'vitest';
import { computeProject, defaultBrief, item, memberSchedule, orderCsv, reactionCsv, type Item } from '@plinth/core';
import { packageDocument } from './document';

const at = (x: number) => ({ x, y: 0 });
const brief = (more: object = {}) => item('brief', 'brief', { ...defaultBrief('A shed', 'european'), ...more });
const base = [
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('footing', 'F', { mark: 'F', at: at(0), level: 'L0' }),
  item('column', 'C', { mark: 'C', at: at(0), base: 'L0', top: 'L1', by: 'F', ownWeight: 0.3, section: 'UC 152x152x23' }),
];
const held = [
  { at: 0, by: 'C' },
  { at: 6000, by: null },
];
const beam = (body: object): Item =>
  item('beam', 'B', {
    mark: 'B',
    level: 'L1',
    from: at(0),
    to: at(6000),
    ownWeight: 0.4,
    supports: held,
    section: 'UB 356x127x33',
    ...body,
  });
const ring = ['B1', 'B2'].map((id, i) => {
  const by = `B${2 - i}`;
  const supports = [
    { at: 0, by },
    { at: 6000, by },
  ];
  return item('beam', id, { mark: id, level: 'L1', from: at(0), to: at(6000), ownWeight: 0.4, section: 'UB 356x127x33', supports });
});

describe('a building that is not finished, or cannot stand', () => {
  it.each<readonly [string, readonly Item[], string | null]>([
    ['nothing in it', [brief()], null],
    ['a beam without supports', [brief(), ...base, beam({ supports: [] })], 'no support'],
    ['a beam on one support', [brief(), ...base, beam({ supports: held.slice(0, 1) })], 'mechanism'],
    ['a beam with a hinge too many', [brief(), ...base, beam({ hinges: [3000] })], 'mechanism'],
    ['a beam without length', [brief(), ...base, beam({ to: at(0) })], 'no length'],
    ['two beams on each other', [brief(), ...base, ...ring], null],
    ['an unknown section', [brief(), ...base, beam({ section: 'UB 999' })], 'not in the catalogue'],
    ['an unknown grade', [brief(), ...base, beam({ grade: 'S999' })], 'not known'],
    ['unknown grades in the brief', [brief({ concrete: 'C999', bar: '99', grade: 'Q' }), ...base, beam({})], 'not known'],
  ])('has its package all the same: %s', (_, items, reason) => {
    const result = computeProject(items);
    const text = JSON.stringify(packageDocument(result, { paper: 'A4', version: 1 }));
    if (reason) expect(text).toMatch(new RegExp(`Not verified: [^{}]*${reason}`));
    for (const csv of [memberSchedule(result), orderCsv(result), reactionCsv(result, null)])
      expect(csv).not.toMatch(/NaN|undefined|Infinity/);
  });
});
