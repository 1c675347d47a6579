import type { SizeSet } from '../design';
import type { UnitSystem } from '../quantity';
import { Pencil, type Drawing } from './drawing';

/** Cost by number of distinct sizes: steel, and above it the charge for each size. The cheapest is marked; a chosen one is filled. */
export function costCurve(sets: readonly SizeSet[], chosen: number, units: UnitSystem, width: number, height: number): Drawing {
  const pencil = new Pencil();
  const [left, right, top, foot] = [16, width - 16, 22, height - 22];
  const most = Math.max(...sets.map(({ cost }) => cost));
  const least = Math.min(...sets.map(({ cost }) => cost));
  const step = (right - left) / sets.length;
  const scale = (foot - top) / most;
  pencil.line(
    [
      [left, foot],
      [right, foot],
    ],
    'soft',
  );
  sets.forEach(({ count, mass, cost }, i) => {
    const x = left + step * i + step * 0.2;
    const wide = step * 0.6;
    pencil.rectangle(x, foot - mass * scale, wide, mass * scale, count === chosen ? 'accentWash' : 'steel', {
      pen: count === chosen ? 'accent' : 'ink',
    });
    if (cost > mass) pencil.rectangle(x, foot - cost * scale, wide, (cost - mass) * scale, 'paper', { pen: 'soft' });
    pencil.text(x + wide / 2, foot + 14, String(count), { anchor: 'middle', size: 11, bold: cost === least });
    pencil.text(x + wide / 2, foot - cost * scale - 4, tonnes(cost, units), { anchor: 'middle', size: 10.5, bold: cost === least });
  });
  return {
    width,
    height,
    title: `Cost by number of sizes: ${sets.map(({ count, cost }) => `${count}: ${tonnes(cost, units)}`).join(', ')}`,
    marks: pencil.marks,
  };
}

/** Steel in tonnes, or short tons. */
export function tonnes(kg: number, units: UnitSystem): string {
  return units === 'SI' ? `${(kg / 1000).toFixed(2)} t` : `${(kg / 907.18474).toFixed(2)} ton`;
}
