import { describe, expect, it } from 'vitest';
import { BARS } from '../material';
import { spreadBars } from './bars';

const bar12 = BARS.find((bar) => bar.id === '12')!;

describe('bars spread over a width', () => {
  it('are the fewest that give the area within the greatest spacing, by hand', () => {
    // 2000 wide, cover 50: 1888 between outer bars; 1000 mm2 wants 9 bars of 113.1; 225 mm gives ceil(1888/225) + 1 = 10, 250 gives 9
    const layer = spreadBars(2000, 1000, bar12, 50, 400, 75, 25)!;
    expect(layer.count).toBe(9);
    expect(layer.provided).toBeCloseTo(9 * 113.1, 0);
    expect(layer.spacing).toBeCloseTo(1888 / 8, 9);
  });
  it('keep to the greatest spacing where little is needed', () => {
    const layer = spreadBars(2000, 1, bar12, 50, 300, 75, 25)!;
    expect(layer.spacing).toBeLessThanOrEqual(300);
    expect(layer.count).toBe(8);
  });
  it('are refused where even the closest spacing gives too little, or nothing fits', () => {
    expect(spreadBars(2000, 10_000, bar12, 50, 300, 75, 25)).toBeNull();
    expect(spreadBars(100, 10, bar12, 50, 300, 75, 25)).toBeNull();
  });
});
