import { formatQuantity, type UnitSystem } from '../quantity';
import { momentAt } from '../standard';
import { Pencil, type Drawing } from './drawing';

export interface MemberElevationInput {
  /** Between the supports, mm; length between lateral restraints, 0: held along it. */
  readonly length: number;
  readonly unbraced: number;
  /** N, compression positive. */
  readonly axial: number;
  readonly major: { readonly start: number; readonly middle: number; readonly end: number };
  readonly units: UnitSystem;
  readonly width: number;
  readonly height: number;
}

const LEFT = 70;
/** Restraints closer than this part of the length are drawn as one line. */
const MOST_MARKS = 100;

/** A member lying between its supports, its restraints, its axial force, and the moment about its major axis on the side of tension. */
export function memberElevation({ length, unbraced, axial, major, units, width, height }: MemberElevationInput): Drawing {
  const pencil = new Pencil();
  const [from, to] = [LEFT, width - LEFT];
  const scale = (to - from) / length;
  const y = height * 0.32;
  const depth = 9;
  pencil.rectangle(from, y - depth / 2, to - from, depth, 'steel', { pen: 'ink', width: 1 });
  for (const x of [from, to]) {
    pencil.line(
      [
        [x, y + depth / 2],
        [x - 7, y + depth / 2 + 12],
        [x + 7, y + depth / 2 + 12],
        [x, y + depth / 2],
      ],
      'ink',
    );
  }
  // restraints of the compression flange: where they are, or along it
  if (unbraced < length / MOST_MARKS) {
    for (let x = from + 6; x < to; x += 12)
      pencil.line(
        [
          [x, y - depth / 2 - 6],
          [x + 6, y - depth / 2],
        ],
        'soft',
      );
    pencil.text((from + to) / 2, y - depth / 2 - 10, 'held sideways along its length', { anchor: 'middle', size: 11, pen: 'soft' });
  } else {
    const places = [0, length];
    for (let n = 1; n * unbraced < length - 1; n++) places.push(n * unbraced);
    for (const place of places) {
      const x = from + place * scale;
      pencil.line(
        [
          [x - 4, y - depth / 2 - 9],
          [x + 4, y - depth / 2 - 1],
        ],
        'accent',
        { width: 1.5 },
      );
      pencil.line(
        [
          [x + 4, y - depth / 2 - 9],
          [x - 4, y - depth / 2 - 1],
        ],
        'accent',
        { width: 1.5 },
      );
    }
    pencil.dimension(
      from,
      from + Math.min(unbraced, length) * scale,
      y - depth / 2 - 18,
      formatQuantity(Math.min(unbraced, length), 'length', units),
    );
  }
  if (axial !== 0) {
    const inward = axial > 0;
    for (const [x, sign] of [
      [from, -1],
      [to, 1],
    ] as const) {
      const [near, far] = [x + sign * 12, x + sign * 48];
      pencil.line(
        inward
          ? [
              [far, y],
              [near, y],
            ]
          : [
              [near, y],
              [far, y],
            ],
        'ink',
        { width: 1.5, arrow: 'end' },
      );
    }
    pencil.text(from - 30, y - 8, formatQuantity(Math.abs(axial), 'force', units), { anchor: 'middle', size: 11, bold: true });
  }
  const peak = Math.max(Math.abs(major.start), Math.abs(major.middle), Math.abs(major.end));
  const base = height * 0.62;
  pencil.line(
    [
      [from, base],
      [to, base],
    ],
    'soft',
  );
  if (peak > 0) {
    const tall = Math.min(44, height * 0.19) / peak;
    const points = Array.from({ length: 41 }, (_, i): [number, number] => [
      from + ((to - from) * i) / 40,
      base + momentAt(major, i / 40) * tall,
    ]);
    pencil.area([[from, base], ...points, [to, base]], 'accentWash', { pen: 'accent' });
    const label = (x: number, value: number, anchor: 'start' | 'middle' | 'end') => {
      if (value === 0) return;
      const down = base + value * tall + (value > 0 ? 13 : -5);
      pencil.text(x, down, formatQuantity(value, 'moment', units), { anchor, size: 11, bold: Math.abs(value) === peak, halo: true });
    };
    label(from, major.start, 'start');
    label((from + to) / 2, major.middle, 'middle');
    label(to, major.end, 'end');
  } else pencil.text((from + to) / 2, base - 4, 'no moment about the major axis', { anchor: 'middle', size: 11, pen: 'soft' });
  if (unbraced < length) pencil.dimension(from, to, height - 8, formatQuantity(length, 'length', units));
  return {
    width,
    height,
    title: `Member of ${formatQuantity(length, 'length', units)} with its restraints, axial force and moment`,
    marks: pencil.marks,
  };
}
