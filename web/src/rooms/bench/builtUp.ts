import {
  findSection,
  findTool,
  isSection,
  PlinthError,
  readParts,
  runTool,
  type Part,
  type ToolReply,
  type UnitSystem,
} from '@plinth/core';

/** A row of the table of parts. */
export interface PartRow {
  readonly name: string;
  readonly kind: 'plate' | 'shape' | 'hole';
  readonly width: number;
  readonly height: number;
  readonly section: string;
  readonly turned: boolean;
  readonly x: number;
  readonly z: number;
  /** It lies on another part, or under it, by name; left out: placed by its middle. */
  readonly stacked?: { readonly side: 'on' | 'under'; readonly part: string } | undefined;
  readonly fy: number;
  readonly E: number;
  readonly holeIn: string;
}

export interface BuiltUpInput {
  readonly parts: readonly PartRow[];
  readonly shear: number;
  readonly weldStrength: number;
  readonly axis: 'horizontal' | 'vertical';
  readonly units: UnitSystem;
}

/** What a part begins with where it does not follow from others: in whole units of those that are shown. mm, MPa */
interface Usual {
  readonly section: string;
  readonly E: number;
  readonly fy: number;
  readonly plate: readonly [width: number, height: number];
  readonly hole: number;
}

const INCH = 25.4;
const KSI = 6.894757293168361;
const KIP = 4448.2216152605;

const USUAL: Readonly<Record<UnitSystem, Usual>> = {
  SI: { section: 'UB 305x165x40', E: 210_000, fy: 355, plate: [200, 20], hole: 22 },
  US: { section: 'W12X26', E: 29_000 * KSI, fy: 50 * KSI, plate: [8 * INCH, 0.75 * INCH], hole: 0.875 * INCH },
};

const plate = (name: string, width: number, height: number, z: number, fy: number, { section, E }: Usual): PartRow => ({
  name,
  kind: 'plate',
  width,
  height,
  section,
  turned: false,
  x: 0,
  z,
  fy,
  E,
  holeIn: '',
});

/** A welded girder of three plates, in whole units of either kind. */
export const STARTS: Readonly<Record<UnitSystem, BuiltUpInput>> = {
  SI: {
    parts: [
      { ...plate('top flange', 250, 25, 0, 345, USUAL.SI), stacked: { side: 'on', part: 'web' } },
      plate('web', 10, 800, 0, 275, USUAL.SI),
      { ...plate('bottom flange', 300, 30, 0, 345, USUAL.SI), stacked: { side: 'under', part: 'web' } },
    ],
    shear: 600e3,
    weldStrength: 233,
    axis: 'horizontal',
    units: 'SI',
  },
  US: {
    parts: [
      { ...plate('top flange', 10 * INCH, INCH, 0, 50 * KSI, USUAL.US), stacked: { side: 'on', part: 'web' } },
      plate('web', 0.375 * INCH, 32 * INCH, 0, 36 * KSI, USUAL.US),
      { ...plate('bottom flange', 12 * INCH, 1.25 * INCH, 0, 50 * KSI, USUAL.US), stacked: { side: 'under', part: 'web' } },
    ],
    shear: 135 * KIP,
    // 0.75 x 0.6 x 70 ksi
    weldStrength: 31.5 * KSI,
    axis: 'horizontal',
    units: 'US',
  },
};

/** The input in other units: what nobody has changed yet begins again with whole numbers of them. */
export function inUnits(input: BuiltUpInput, units: UnitSystem): BuiltUpInput {
  const isUntouched = JSON.stringify({ ...input, units: 'SI' }) === JSON.stringify({ ...STARTS[input.units], units: 'SI' });
  return isUntouched ? STARTS[units] : { ...input, units };
}

/** What stands on the bench: its parts, null where they cannot be drawn, and what was found of them or why nothing was. */
export type Solved =
  { readonly parts: readonly Part[]; readonly reply: ToolReply } | { readonly parts: readonly Part[] | null; readonly problem: string };

/** Runs the tool on the rows; parts that make no section are still there to be drawn. */
export function solveBuiltUp(input: BuiltUpInput): Solved {
  const rows = input.parts.map((row) => ({
    name: row.name,
    ...(row.kind === 'shape' ? { section: row.section } : { width: row.width, height: row.height }),
    turned: row.turned,
    x: row.x,
    ...(row.stacked ? { [row.stacked.side]: row.stacked.part } : { z: row.z }),
    ...(row.kind === 'hole' ? { holeIn: row.holeIn } : { fy: row.fy, E: row.E }),
  }));
  let parts: readonly Part[] | null = null;
  try {
    parts = readParts(
      input.parts.map((row) => {
        const host = row.kind === 'hole' ? input.parts.find(({ name, kind }) => kind !== 'hole' && name === row.holeIn) : row;
        return {
          name: row.name,
          ...(row.kind === 'shape' ? { section: row.section } : { plate: { width: row.width, height: row.height } }),
          turned: row.turned,
          x: row.x,
          z: row.z,
          stacked: row.stacked,
          fy: host?.fy ?? 0,
          E: host?.E ?? 0,
          holeIn: row.kind === 'hole' ? row.holeIn : null,
        };
      }),
    );
    const reply = runTool(findTool('section.builtUp'), {
      parts: rows,
      shear: input.axis === 'horizontal' ? input.shear : 0,
      shearAcross: input.axis === 'vertical' ? input.shear : 0,
      weld: { strength: input.weldStrength, runs: 2 },
    });
    return { parts, reply };
  } catch (error) {
    if (!(error instanceof PlinthError)) throw error;
    return { parts, problem: error.message };
  }
}

/** A part to begin with: material upon what is there, a hole in the middle of the first part that is a plate or has a web. */
export function newPart(kind: PartRow['kind'], { parts: rows, units }: BuiltUpInput, drawn: readonly Part[] | null): PartRow {
  const names = new Set(rows.map(({ name }) => name));
  let n = rows.length + 1;
  while (names.has(`${kind} ${n}`)) n += 1;
  const usual = USUAL[units];
  const last = rows.filter((row) => row.kind !== 'hole').at(-1);
  const { fy, E } = last ?? usual;
  const host = kind === 'hole' ? rows.find((row) => row.kind !== 'hole') : undefined;
  if (host) {
    const shape = host.kind === 'shape' && isSection(host.section) ? findSection(host.section).shape : null;
    const across = shape === null ? host.width : 'tw' in shape ? shape.tw : 10;
    const high = shape === null ? host.height : usual.hole;
    return {
      ...plate(
        `${kind} ${n}`,
        Math.min(usual.hole, across),
        Math.min(usual.hole, high),
        middlesOf(drawn).get(host.name) ?? host.z,
        fy,
        usual,
      ),
      x: host.x,
      turned: host.turned,
      kind,
      holeIn: host.name,
    };
  }
  const blank: PartRow = { ...plate(`${kind} ${n}`, ...usual.plate, 0, fy, usual), E, kind };
  const highest = drawn?.filter(({ isHole }) => !isHole).reduce<Part | null>((a, b) => (a && a.top >= b.top ? a : b), null);
  return highest ? { ...blank, stacked: { side: 'on', part: highest.name } } : blank;
}

/** How high the middles of parts are, by name, mm. */
export const middlesOf = (parts: readonly Part[] | null): ReadonlyMap<string, number> =>
  new Map((parts ?? []).map(({ name, top, bottom }) => [name, (top + bottom) / 2]));

/** The rows without one: what lay on it stays where it is. */
export function withoutPart(rows: readonly PartRow[], i: number, middles: ReadonlyMap<string, number>): PartRow[] {
  const { name } = rows[i]!;
  return rows
    .filter((_, j) => j !== i)
    .map((row) => (row.stacked?.part === name ? { ...row, stacked: undefined, z: middles.get(row.name) ?? row.z } : row));
}
