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

const plate = (name: string, width: number, height: number, z: number, fy: number): PartRow => ({
  name,
  kind: 'plate',
  width,
  height,
  section: 'UB 305x165x40',
  turned: false,
  x: 0,
  z,
  fy,
  E: 210_000,
  holeIn: '',
});

export const BUILT_UP: BuiltUpInput = {
  parts: [plate('top flange', 250, 25, 412.5, 345), plate('web', 10, 800, 0, 275), plate('bottom flange', 300, 30, -415, 345)],
  shear: 600e3,
  weldStrength: 233,
  axis: 'horizontal',
  units: 'SI',
};

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
    z: row.z,
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
export function newPart(kind: PartRow['kind'], { parts: rows }: BuiltUpInput, drawn: readonly Part[] | null): PartRow {
  const names = new Set(rows.map(({ name }) => name));
  let n = rows.length + 1;
  while (names.has(`${kind} ${n}`)) n += 1;
  const fy = rows.filter((row) => row.kind !== 'hole').at(-1)?.fy ?? 355;
  const host = kind === 'hole' ? rows.find((row) => row.kind !== 'hole') : undefined;
  if (host) {
    const shape = host.kind === 'shape' && isSection(host.section) ? findSection(host.section).shape : null;
    const across = shape === null ? host.width : 'tw' in shape ? shape.tw : 10;
    const high = shape === null ? host.height : 22;
    return {
      ...plate(`${kind} ${n}`, Math.min(22, across), Math.min(22, high), host.z, fy),
      x: host.x,
      turned: host.turned,
      kind,
      holeIn: host.name,
    };
  }
  const top = drawn && drawn.length > 0 ? Math.max(...drawn.map((part) => part.top)) : 0;
  const blank = plate(`${kind} ${n}`, 200, 20, 0, fy);
  const height = kind === 'shape' ? findSection(blank.section).properties.depth : blank.height;
  return { ...blank, kind, z: top + height / 2 };
}
