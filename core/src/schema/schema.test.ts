import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { ITEM_SCHEMAS } from '../building';
import { quantity } from '../quantity';
import { TOOLS } from '../tool';
import { fieldLabel, nearestKnown, readInput, text, type BadFields } from '.';

const faults = (schema: z.ZodType, raw: unknown) => {
  try {
    readInput(schema, raw);
  } catch (error) {
    return (error as BadFields).issues;
  }
  return [];
};

describe('what a schema says', () => {
  const schema = z.strictObject({
    netArea: quantity('area', 'net area', { above: 0 }).optional(),
    span: quantity('length', 'span', { min: 100, max: 200_000 }),
    loads: z.array(z.strictObject({ force: quantity('force', 'force'), kind: z.enum(['point', 'line']) })).max(2),
    name: text(8, 1),
  });
  const right = { span: '6 m', loads: [], name: 'B1' };

  it('is in words, at the field', () => {
    expect(faults(schema, { ...right, span: 1e30 })).toEqual([
      { field: 'span', message: 'Span must lie between 0.1 m and 200 m, got 1e+30 mm' },
    ]);
    expect(faults(schema, { ...right, span: undefined })).toEqual([{ field: 'span', message: 'Span is missing' }]);
    expect(faults(schema, { ...right, netarea: 3 })).toEqual([
      { field: 'netarea', message: '"netarea" is not a field here: did you mean "netArea"?' },
    ]);
    expect(faults(schema, { ...right, loads: [{ force: 1, kind: 'point', froce: 2 }] })).toEqual([
      { field: 'loads.0.froce', message: 'Loads 1: "froce" is not a field here: did you mean "force"?' },
    ]);
    expect(faults(schema, { ...right, loads: [{ force: 1, kind: 'area' }] })[0]!.message).toBe(
      'Loads 1, kind must be one of point, line, got "area"',
    );
    expect(faults(schema, { ...right, loads: [1] })[0]!.message).toContain('Loads 1 must be a group of fields in braces, got 1');
    expect(faults(schema, { ...right, name: 'ab\u0000' })[0]!.message).toBe('Name has characters that cannot be printed');
    expect(faults(schema, { ...right, name: '\ud800' })[0]!.message).toBe('Name has characters that cannot be printed');
    expect(faults(schema, { ...right, name: 'x'.repeat(9) })[0]!.message).toBe('Name must have at most 8 characters');
    expect(faults(schema, 'x')[0]!.message).toBe('What was sent must be a group of fields in braces, got "x"');
    expect(faults(schema, { ...right, span: `${'('.repeat(5000)}1` })[0]!.message).toContain('at most 120 characters');
  });

  it('keeps single letters and counts places from one', () => {
    expect(fieldLabel(['lengthY'])).toBe('Length Y');
    expect(fieldLabel(['supports', 2, 'stiffBearing'])).toBe('Supports 3, stiff bearing');
  });

  it('suggests a word only where one is like it', () => {
    expect(nearestKnown('netarea', ['netArea', 'axial'])).toBe('netArea');
    expect(nearestKnown('lenghtY', ['lengthZ', 'lengthY'])).toBe('lengthY');
    expect(nearestKnown('colour', ['axial', 'span'])).toBeNull();
  });
});

type Json = { readonly [key: string]: unknown };

/** Every place of a JSON Schema that has no limit where it needs one. */
function unbounded(schema: Json, path: string): string[] {
  const inner = (value: unknown, at: string) => unbounded(value as Json, at);
  const found: string[] = [];
  for (const key of ['anyOf', 'oneOf', 'allOf'] as const)
    for (const [i, part] of ((schema[key] as Json[] | undefined) ?? []).entries()) found.push(...inner(part, `${path}|${i}`));
  // a quantity says its limits beside its kind
  if (schema['kind'] !== undefined) {
    const [least, most] = [schema['least'], schema['most']] as [number, number];
    return Number.isFinite(least) && Number.isFinite(most) && least < most ? [] : [`${path}: no limits`];
  }
  if (schema['enum'] !== undefined || schema['const'] !== undefined) return found;
  const { type } = schema;
  if (type === 'string' && schema['maxLength'] === undefined && schema['pattern'] === undefined) found.push(`${path}: text of any length`);
  if ((type === 'number' || type === 'integer') && (schema['minimum'] === undefined || !((schema['maximum'] as number) < 2 ** 53 - 1)))
    found.push(`${path}: any number`);
  if (type === 'array') {
    if (schema['maxItems'] === undefined && schema['prefixItems'] === undefined) found.push(`${path}: a list of any length`);
    if (schema['items']) found.push(...inner(schema['items'], `${path}[]`));
  }
  if (type === 'object') {
    if (schema['additionalProperties'] !== false) found.push(`${path}: takes fields that it does not know`);
    for (const [key, value] of Object.entries((schema['properties'] as Json | undefined) ?? {}))
      found.push(...inner(value, `${path}.${key}`));
  }
  return found;
}

const json = (schema: z.ZodType) => z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any', reused: 'inline' }) as Json;

describe('every field of every item and tool', () => {
  it.each(Object.entries(ITEM_SCHEMAS))('%s is bounded and strict', (kind, schema) => {
    expect(unbounded(json(schema), kind)).toEqual([]);
  });
  it.each([...TOOLS.values()].map((tool) => [tool.id, tool.input] as const))('%s is bounded and strict', (id, schema) => {
    expect(unbounded(json(schema), id)).toEqual([]);
  });
});
