import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { PlinthError } from '../error';
import { BadFields } from '../schema';
import { TOOLS, runTool, type Tool } from '.';

type Json = { readonly [key: string]: unknown };

/** Shapes in which what is ignored by one is used by another. */
const SHAPES = {
  european: ['UB 457x191x67', 'UPN 200', 'L 100x100x10', 'SHS 150x150x8', 'own I 900x300x6x12'],
  american: ['W18X50', 'C10X20', 'L4X4X3/8', 'HSS6X6X3/8', 'WT6X20'],
};

/** Other values that a field could have, from its schema and from what it is. */
function others(schema: Json, now: unknown): unknown[] {
  if (schema['kind'] !== undefined) {
    const [least, most] = [schema['least'], schema['most']] as [number, number];
    const base = typeof now === 'number' && now !== 0 ? [now * 0.5, now * 1.7, -now] : [];
    const typed =
      typeof now === 'string'
        ? [now.replace(/^-?[\d.]+/, (n) => String(Number(n) * 0.5)), now.replace(/^-?[\d.]+/, (n) => String(Number(n) * 1.7))]
        : [];
    const middle = [1, 50, 120, 160, 190, 210, 260, 350, 400, 500, 3000, 20_000, 1e5, 1e6, 2e7, 1e8].filter((v) => v > least && v < most);
    return [...base, ...typed, ...middle, ...(least <= 0 && most >= 0 ? [0] : [])];
  }
  if (Array.isArray(schema['enum'])) return schema['enum'];
  if (Array.isArray(schema['anyOf'])) return (schema['anyOf'] as Json[]).flatMap((part) => others(part, now));
  if (schema['type'] === 'boolean') return [true, false];
  if (schema['type'] === 'number' || schema['type'] === 'integer')
    return [schema['minimum'], schema['maximum'], 1, 2, 3].filter((v) => v !== undefined);
  return [];
}

/** Every field that holds one value, with the ways to put another there. */
function* fields(schema: Json, value: unknown, path: (string | number)[]): Generator<{ path: (string | number)[]; others: unknown[] }> {
  const properties = schema['properties'] as Json | undefined;
  if (properties) {
    for (const [key, part] of Object.entries(properties)) yield* fields(part as Json, (value as Json | undefined)?.[key], [...path, key]);
    return;
  }
  if (Array.isArray(schema['prefixItems'])) {
    for (const [i, part] of (schema['prefixItems'] as Json[]).entries())
      yield* fields(part, (value as unknown[] | undefined)?.[i], [...path, i]);
    return;
  }
  if (schema['type'] === 'array' && schema['items']) {
    if (Array.isArray(value)) for (const [i, one] of value.entries()) yield* fields(schema['items'] as Json, one, [...path, i]);
    return;
  }
  yield { path, others: others(schema, value) };
}

function put(raw: unknown, path: (string | number)[], value: unknown): unknown {
  const [first, ...rest] = path;
  if (first === undefined) return value;
  const copy = (Array.isArray(raw) ? [...(raw as unknown[])] : { ...(raw as object) }) as Record<string | number, unknown>;
  copy[first] = put(copy[first], rest, value);
  return copy;
}

/** What it says, refusals by the calculation too; null where the input is none. */
const answer = (tool: Tool, raw: unknown): string | null => {
  try {
    const { result, checks, assumptions } = runTool(tool, raw);
    return JSON.stringify({ result, checks, assumptions });
  } catch (error) {
    if (error instanceof BadFields) return null;
    if (error instanceof PlinthError) return error.message;
    throw error;
  }
};

/** Inputs beside a tool's example in which what the example leaves idle counts. */
const ALSO: readonly (readonly [tool: RegExp, patch: Json])[] = [
  [/steel\.member$/, { axial: '-200 kN', netArea: '1500 mm2', minor: { start: '4 kNm', middle: '1 kNm', end: '2 kNm' } }],
  [
    /steel\.memberForces$/,
    { given: 'sets', sets: [{ axial: '-200 kN', minor: { start: '4 kNm', end: '2 kNm', middle: '1 kNm' } }], netArea: '1500 mm2' },
  ],
  [
    /steel\.memberForces$/,
    {
      sets: ['wind', 'imposed', 'imposed'].map((nature, i) => ({
        nature,
        ...(nature === 'imposed' ? { use: 'A' } : {}),
        axial: '90 kN',
        minor: { start: `${4 + i} kNm`, middle: '1 kNm', end: '2 kNm' },
      })),
    },
  ],
  [/angleStrut$/, { section: 'L 150x75x10' }],
  [/angleStrut$/, { section: 'L6X4X1/2' }],
  [/webForce$/, { opposed: false, force: '400 kN' }],
  [/webForce$/, { opposed: false, force: '400 kN', moment: '500 kNm', unbraced: '8 m', rotationHeld: true }],
  [
    /load\.reduction$/,
    {
      role: 'column',
      floors: [1, 2, 3, 4, 5, 6, 7, 8].map((i) => ({ use: 'B', level: `${i}`, area: '10 m2' })),
    },
  ],
  [/load\.reduction$/, { role: 'beam', floors: [{ use: 'B', level: '1', area: '60 m2' }] }],
  [/^quantity\.read$/, { text: '10' }],
  [
    /^load\.buildUp$/,
    { buildUp: { name: 'Floor', layers: [], variable: [{ name: 'offices', load: '3 kN/m2', nature: 'imposed', use: 'A' }] } },
  ],
  [
    /^section\.builtUp$/,
    {
      parts: [
        { name: 'a', width: 100, height: 300, x: -50, fy: 275 },
        { name: 'b', width: 100, height: 300, x: 50, fy: 355 },
      ],
      shearAcross: '100 kN',
    },
  ],
  [
    /^steel\.beam\.line$/,
    {
      length: '6 m',
      supports: [0, '6 m'],
      restraint: 'supports',
      loads: [{ nature: 'permanent', type: 'line', at: 0, to: '6 m', intensity: '9 kN/m' }],
    },
  ],
  [
    /combinations$/,
    {
      cases: ['imposed', 'permanent', 'imposed', 'imposed'].map((nature, i) => ({
        nature,
        ...(nature === 'imposed' ? { use: i > 1 ? 'E' : 'A' } : {}),
      })),
    },
  ],
];

/** Fields that do not change numbers, and why. */
const IDLE: readonly (readonly [tool: RegExp, field: RegExp])[] = [
  // says by which method effects were combined: of the same resistance, or the only one
  [/^(european|recommended|british)\./, /^philosophy$/],
  [/^american\.footing/, /^philosophy$/],
  // the exception by which ASCE 7 halves some imposed loads beside others is not used; the use keeps cases apart
  [/^american\.steel\.memberForces$/, /use$/],
  // of a build-up in a building: who carries a layer, and that it is an allowance nobody confirmed
  [/^load\.buildUp$/, /^buildUp\.layers/],
];

describe('every field of every tool', () => {
  for (const tool of TOOLS.values()) {
    it(`counts somewhere: ${tool.id}`, () => {
      const schema = z.toJSONSchema(tool.input, { io: 'input', unrepresentable: 'any', reused: 'inline' }) as Json;
      const example = tool.example as Json;
      const shapes = tool.id.startsWith('american') ? SHAPES.american : SHAPES.european;
      const bases = [
        example,
        ...ALSO.filter(([of]) => of.test(tool.id)).map(([, patch]) => ({ ...example, ...patch })),
        ...('section' in example ? shapes.map((section) => ({ ...example, section })) : []),
      ];
      const counts = new Map<string, boolean>();
      for (const base of bases) {
        const before = answer(tool, base);
        if (before === null) continue;
        for (const { path, others } of fields(schema, base, [])) {
          // the same field of any entry of a list is one field
          const name = path.map((key) => (typeof key === 'number' ? '*' : key)).join('.');
          if (others.length === 0 || counts.get(name)) continue;
          const changed = others.some((other) => ![null, before].includes(answer(tool, put(base, path, other))));
          counts.set(name, changed);
        }
      }
      const silent = [...counts].filter(([name, isUsed]) => !isUsed && !IDLE.some(([of, field]) => of.test(tool.id) && field.test(name)));
      expect(silent.map(([name]) => name)).toEqual([]);
    });
  }
});
