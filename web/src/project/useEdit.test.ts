import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item } from '@plinth/core';
import { supportOptions } from '../rooms/survey/place';
import { nextMark } from './useEdit';

describe('nextMark', () => {
  it('goes on after the largest number of the prefix, and leaves other marks alone', () => {
    expect(nextMark('B', ['B1', 'B7', 'TB9', 'B2a', 'C3'])).toBe('B8');
    expect(nextMark('B', [])).toBe('B1');
  });
});

describe('what may take a member', () => {
  const building = assemble([
    item('brief', 'brief', defaultBrief('Trial', 'european')),
    item('level', 'L1', { name: 'Floor', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    item('column', 'C1', { mark: 'C1', at: { x: 100, y: 0 }, base: 'L0', top: 'L1', by: null, ownWeight: 0 }),
    item('beam', 'B1', { mark: 'B1', level: 'L1', from: { x: 0, y: 200 }, to: { x: 5000, y: 200 }, ownWeight: 0, supports: [] }),
    item('footing', 'F1', { mark: 'F1', at: { x: 0, y: 0 }, level: 'L0' }),
  ]);
  it('is offered by name with "nothing" first', () => {
    expect(supportOptions(building, 'B1', ['beam', 'column', 'footing']).map((option) => option.label)).toEqual([
      'nothing',
      'C1 (column)',
      'F1 (pad)',
    ]);
  });
});
