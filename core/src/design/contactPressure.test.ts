import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contactPressure } from './contactPressure';
import expected from './contactPressure.expected.json' with { type: 'json' };

describe('pressure under a base whose load stands off its middle', () => {
  it.each(expected)('$force N on $width x $length, $x and $y off, as found apart', ({ force, width, length, x, y, most, contact }) => {
    const found = contactPressure(width, length, { force, x, y })!;
    expect(found.most / most).toBeCloseTo(1, 4);
    expect(found.contact / contact).toBeCloseTo(1, 3);
  });
  it('is in equilibrium with its load, wherever that lies, pulls nowhere, and mirrors', () => {
    const off = fc.double({ min: -0.49, max: 0.49, noNaN: true });
    fc.assert(
      fc.property(off, off, fc.integer({ min: 500, max: 20_000 }), fc.integer({ min: 500, max: 20_000 }), (ex, ey, width, length) => {
        const [x, y, force] = [ex * width, ey * length, 1e6];
        const found = contactPressure(width, length, { force, x, y })!;
        // strips along x, each integrated along y where it is pressed
        const n = 2000;
        let [sum, sumX, sumY] = [0, 0, 0];
        for (let i = 0; i < n; i += 1) {
          const at = width * ((i + 0.5) / n - 0.5);
          const low = found.mean + found.alongX * at - (found.alongY * length) / 2;
          const high = low + found.alongY * length;
          const part = low >= 0 && high >= 0 ? 1 : low < 0 && high < 0 ? 0 : Math.max(low, high) / Math.abs(high - low);
          const [p0, p1] = [Math.max(0, low), Math.max(0, high)];
          const run = part * length;
          const start = high >= low ? length / 2 - run : -length / 2;
          const line = ((p0 + p1) / 2) * run * (width / n);
          sum += line;
          sumX += line * at;
          sumY += (width / n) * run * ((p0 + p1) / 2) * start + (width / n) * run * run * (p0 / 6 + p1 / 3);
        }
        expect(Math.abs(sum / force - 1)).toBeLessThan(1e-2);
        expect(Math.abs(sumX / force - x)).toBeLessThan(0.01 * width);
        expect(Math.abs(sumY / force - y)).toBeLessThan(0.01 * length);
        const mirrored = contactPressure(width, length, { force, x: -x, y })!;
        expect(mirrored.most / found.most).toBeCloseTo(1, 6);
        const turned = contactPressure(length, width, { force, x: y, y: x })!;
        expect(turned.most / found.most).toBeCloseTo(1, 6);
        expect(found.contact).toBeGreaterThan(0);
        expect(found.contact).toBeLessThanOrEqual(1 + 1e-12);
      }),
    );
  });
  it('grows with the offset, and has no step where contact is lost', () => {
    let last = 0;
    for (let e = 0; e < 0.49; e += 0.002) {
      const { most } = contactPressure(2000, 3000, { force: 1e6, x: e * 2000, y: 0.3 * e * 3000 })!;
      expect(most).toBeGreaterThan(last);
      if (last > 0 && e < 0.3) expect(most / last).toBeLessThan(1.05);
      last = most;
    }
  });
  it('is none where nothing presses, and where the load lies off the base', () => {
    expect(contactPressure(2000, 2000, { force: 0, x: 0, y: 0 })).toBeNull();
    expect(contactPressure(2000, 2000, { force: -5, x: 0, y: 0 })).toBeNull();
    expect(contactPressure(2000, 2000, { force: 1e5, x: 1000, y: 0 })).toBeNull();
  });
});
