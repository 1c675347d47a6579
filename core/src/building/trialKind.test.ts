import { expect, it, vi } from 'vitest';
import { z } from 'zod';
import {
  defaultBrief,
  geometryOf,
  isLineItem,
  item,
  itemName,
  itemSchema,
  liesInside,
  movedItem,
  readItem,
  requireConsistent,
  upgradeItem,
  type Item,
  type ItemKind,
} from '.';
import { ITEM_KINDS, referencesOf, STANDING } from './item';

// a kind is added by its schema alone: what it refers to, its defaults and its door follow from that
vi.mock('./itemSchemas', async (original) => {
  const { ITEM_SCHEMAS } = await original<{ ITEM_SCHEMAS: object }>();
  const { refersTo } = await import('../schema');
  const { mark, onLevel, pointSchema, status } = await import('./schema/common');
  const bolt = z.strictObject({ by: refersTo(['beam', 'column'], 'what it is bolted to').nullable().default(null) });
  const bracket = z.strictObject({
    mark,
    level: onLevel('level of the bracket'),
    at: pointSchema.default({ x: 0, y: 0 }),
    bolts: z.array(bolt).default([]),
    status,
    finish: z.string().default('painted'),
  });
  return { ITEM_SCHEMAS: { ...ITEM_SCHEMAS, bracket } };
});

const BRACKET = 'bracket' as ItemKind;
const bracket = (body: object) => item(BRACKET, 'BR1', body as never);
const project = (...more: Item[]) =>
  new Map(
    [
      item('brief', 'brief', defaultBrief('Shed', 'european')),
      item('level', 'L1', { name: 'Floor', elevation: 3000 }),
      item('level', 'L0', { name: 'Ground', elevation: 0 }),
      item('column', 'C1', { mark: 'C1', at: { x: 0, y: 0 }, base: 'L0', top: 'L1', by: null, ownWeight: 0 }),
      ...more,
    ].map((one) => [one.id, one]),
  );

it('is read, completed and listed like any other', () => {
  expect(ITEM_KINDS).toContain(BRACKET);
  expect(STANDING.has(BRACKET)).toBe(true);
  const whole = { mark: 'BR1', level: 'L1', at: { x: 0, y: 0 }, bolts: [{ by: 'C1' }], status: 'new', finish: 'painted' };
  expect(itemSchema.parse({ id: 'BR1', kind: BRACKET, body: { mark: 'BR1', level: 'L1', bolts: [{ by: 'C1' }] } })).toMatchObject({
    body: whole,
  });
  expect(upgradeItem({ id: 'BR1', kind: BRACKET, body: { mark: 'BR1', level: 'L1', bolts: [{ by: 'C1' }] } }, 1)).toMatchObject({
    body: whole,
  });
  expect(() => readItem({ id: 'BR1', kind: BRACKET, body: { mark: 'BR1', level: 'L1', colour: 'red' } })).toThrow();
  expect(referencesOf(bracket({ mark: 'BR1', level: 'L1', bolts: [{ by: 'C1' }, {}] })).map(({ field, id }) => `${field} ${id}`)).toEqual([
    'level L1',
    'bolts.0.by C1',
  ]);
});

it('has its references checked: that they are there, and of a kind that may stand there', () => {
  const check = (body: object) => () => requireConsistent(project(bracket({ mark: 'BR1', level: 'L1', ...body })));
  expect(check({ bolts: [{ by: 'C1' }] })).not.toThrow();
  expect(check({ level: 'L9' })).toThrow('BR1 refers to "L9", which is not in the project');
  expect(check({ level: 'C1' })).toThrow('C1 is a column, but a level is wanted here');
  expect(check({ bolts: [{}, { by: 'L0' }] })).toThrow('Ground is a level, but a beam or column is wanted here');
});

it('lies on plan as its schema says: it is moved, caught by a box and named like any other', () => {
  const one = bracket({ mark: 'BR1', level: 'L1', at: { x: 2000, y: 500 } });
  expect([geometryOf(BRACKET), isLineItem(one), itemName(one)]).toEqual(['point', false, 'BR1']);
  expect(movedItem(one, 100, -50).body).toEqual({ ...one.body, at: { x: 2100, y: 450 } });
  expect([liesInside(BRACKET, one.body, ({ x }) => x > 1000), liesInside(BRACKET, one.body, ({ x }) => x > 3000)]).toEqual([true, false]);
});
