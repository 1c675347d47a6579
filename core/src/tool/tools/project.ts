import { z } from 'zod';
import { defaultBrief, itemSchema, requireConsistent, type Item } from '../../building';
import { FAMILIES, profileOf } from '../../family';
import {
  allAssumptions,
  computeProject,
  contextOf,
  groupMember,
  inOrderOf,
  leastOf,
  nextLess,
  notDesigned,
  rationalise,
  trySections,
  waysOf,
  whatIf,
  type Candidate,
} from '../../design';
import { BadInput } from '../../error';
import { quantity } from '../../quantity';
import { numbersOf, totalOf } from '../../takedown';
import { defineTool } from '../tool';
import { designation } from '../../schema';

const itemsSchema = z.strictObject({ items: z.array(itemSchema).min(1).max(20_000).describe('items of a project file') });

/** What was computed of typed items. @throws BadInput when they do not hang together, as for a project file */
function projectOf(items: readonly unknown[]) {
  const list = items as readonly Item[];
  const known = new Map(list.map((item) => [item.id, item]));
  const twice = list.find((item) => known.get(item.id) !== item);
  if (twice) throw new BadInput(`two items have the id "${twice.id}"`, 'items');
  requireConsistent(known);
  return computeProject(list);
}

const { samples } = profileOf(FAMILIES[0]);

/** One bay of a floor by the first family. */
const smallBuilding = {
  items: [
    {
      id: 'brief',
      kind: 'brief',
      body: defaultBrief('One bay', FAMILIES[0]),
    },
    { id: 'L1', kind: 'level', body: { name: 'Floor', elevation: '3 m' } },
    { id: 'L0', kind: 'level', body: { name: 'Ground', elevation: 0 } },
    {
      id: 'floor',
      kind: 'buildUp',
      body: {
        name: 'Floor',
        layers: [{ name: 'deck', load: '1.2 kN/m2' }],
        variable: [{ name: 'office', load: '3 kN/m2', nature: 'imposed', use: 'B' }],
      },
    },
    { id: 'F1', kind: 'footing', body: { mark: 'F1', at: { x: 0, y: 0 }, level: 'L0' } },
    { id: 'F2', kind: 'footing', body: { mark: 'F2', at: { x: '6 m', y: 0 }, level: 'L0' } },
    {
      id: 'C1',
      kind: 'column',
      body: { mark: 'C1', at: { x: 0, y: 0 }, base: 'L0', top: 'L1', by: 'F1', section: samples.column, ownWeight: '0.3 kN/m' },
    },
    {
      id: 'C2',
      kind: 'column',
      body: { mark: 'C2', at: { x: '6 m', y: 0 }, base: 'L0', top: 'L1', by: 'F2', section: samples.column, ownWeight: '0.3 kN/m' },
    },
    {
      id: 'B1',
      kind: 'beam',
      body: {
        mark: 'B1',
        level: 'L1',
        from: { x: 0, y: 0 },
        to: { x: '6 m', y: 0 },
        section: samples.floorBeam,
        ownWeight: '0.4 kN/m',
        supports: [
          { at: 0, by: 'C1' },
          { at: '6 m', by: 'C2' },
        ],
        strips: [{ buildUp: 'floor', from: 0, to: '6 m', widthStart: '3 m', widthEnd: '3 m' }],
        restraint: 'floor',
      },
    },
  ],
};

export const takedownBuilding = defineTool({
  id: 'takedown.building',
  title: 'Load takedown of a building',
  summary: 'Takes every case down to the ground, unfactored: reactions, balance and loose ends.',
  input: itemsSchema,
  example: smallBuilding,
  run: ({ items }) => {
    const { takedown, balance, looseEnds } = projectOf(items);
    const numbers = numbersOf(takedown);
    const members = takedown.order.map((id) => {
      const ledger = takedown.members.get(id)!;
      return {
        id,
        mark: ledger.mark,
        kind: ledger.kind,
        order: numbers.get(id)!,
        transfer: ledger.transfer,
        sum: ledger.sum,
        leaves: ledger.leaves.map(({ to, at, byCase }) => ({ to, at, byCase })),
      };
    });
    return { result: { cases: takedown.cases, members, balance, looseEnds } };
  },
});

export const designProject = defineTool({
  id: 'design.project',
  title: 'Design of a whole project',
  summary: 'Takedown and every check of every member and footing.',
  input: itemsSchema,
  example: smallBuilding,
  run: ({ items }) => {
    const result = projectOf(items);
    const members = result.designs.members().map(({ id, mark, section, verdict, governing, results, reason }) => ({
      id,
      mark,
      section,
      verdict,
      governing,
      results,
      reason,
    }));
    const footings = result.designs
      .footings()
      .map(({ id, mark, width, length, thickness, pressure, allowable, verdict, governing, checks, reason }) => ({
        id,
        mark,
        width,
        length,
        thickness,
        pressure,
        allowable,
        verdict,
        governing,
        checks,
        reason,
      }));
    return {
      result: {
        members,
        footings,
        notDesigned: notDesigned(result.building),
        looseEnds: result.looseEnds,
        assumptions: allAssumptions(result.assumptions),
        load: result.balance.map((line) => ({
          case: line.loadCase.id,
          applied: line.applied.force,
          delivered: line.delivered.force,
          lost: line.lost.force,
        })),
        total: totalOf(Object.fromEntries(result.balance.map((line) => [line.loadCase.id, line.applied.force]))),
      },
    };
  },
});

const requestFields = {
  families: z.array(designation()).max(40).default([]).describe('families allowed; none named: the usual ones'),
  maxDepth: quantity('sectionLength', 'greatest depth', { above: 0 }).optional(),
  maxWidth: quantity('sectionLength', 'greatest width', { above: 0 }).optional(),
};

/** A member by its mark or its name. @throws BadInput when there is none that can be sized */
function memberOf(result: Pick<ReturnType<typeof computeProject>, 'building'>, asked: string, field: string): string {
  const { beams, columns } = result.building;
  if (beams.has(asked) || columns.has(asked)) return asked;
  for (const members of [beams, columns]) for (const [id, { mark }] of members) if (mark === asked) return id;
  throw new BadInput(`there is no beam or column "${asked}"`, field);
}

function row({ designation, mass, depth, width, cost, utilisation, verdict, governing }: Candidate) {
  return {
    designation,
    mass,
    depth,
    width,
    cost,
    utilisation,
    verdict,
    governs: governing?.name ?? null,
    under: governing?.combination ?? null,
  };
}

const CANDIDATE_KINDS = { mass: 'massPerLength', cost: 'massPerLength', depth: 'sectionLength', width: 'sectionLength' } as const;

export const sizeMember = defineTool({
  id: 'design.size',
  title: 'Size a beam or column',
  summary:
    'Every allowed shape tried on a member of a project under all combinations: the least that carries, and why the next less does not.',
  input: itemsSchema.extend({
    member: designation().describe('mark of the beam or column'),
    by: z.enum(['mass', 'depth', 'width', 'cost']).default('mass').describe('what is to be least'),
    ...requestFields,
  }),
  kinds: CANDIDATE_KINDS,
  example: { ...smallBuilding, member: 'B1', by: 'mass', families: ['UB'], maxDepth: '320 mm' },
  run: ({ items, member, by, families, maxDepth, maxWidth }) => {
    const project = projectOf(items);
    const id = memberOf(project, member, 'member');
    const tried = trySections(contextOf(project.building, project.takedown), id, { families, maxDepth, maxWidth });
    const chosen = leastOf(tried, by);
    const less = chosen && nextLess(tried, chosen, by);
    return { result: { chosen: chosen && row(chosen), nextLess: less && row(less), tried: inOrderOf(tried, by).map(row) } };
  },
});

export const rationaliseMembers = defineTool({
  id: 'design.rationalise',
  title: 'Few sizes for a group of members',
  summary: 'For each number of distinct sizes the set that weighs least, exactly, with what it costs when a size more is worth some steel.',
  input: itemsSchema.extend({
    members: z.array(designation()).min(1).max(2000).describe('marks of beams and columns'),
    most: z.number().int().min(1).max(12).default(3).describe('how many distinct sizes at most'),
    charge: z.number().min(0).max(1e6).default(0).describe('kg of steel that one more distinct size is worth'),
    ...requestFields,
  }),
  example: { ...smallBuilding, members: ['B1', 'C1', 'C2'], most: 2, charge: 50, families: ['UB', 'UC'] },
  run: ({ items, members, most, charge, families, maxDepth, maxWidth }) => {
    const project = projectOf(items);
    const context = contextOf(project.building, project.takedown);
    const ids = [...new Set(members.map((asked, i) => memberOf(project, asked, `members.${i}`)))];
    const sets = rationalise(
      ids.map((id) => groupMember(context, id, { families, maxDepth, maxWidth })),
      most,
      charge,
    );
    return {
      result: {
        sets: sets.map(({ count, sizes, chosen, mass, cost }) => ({ count, sizes, chosen: Object.fromEntries(chosen), steel: mass, cost })),
      },
    };
  },
});

export const whatIfMember = defineTool({
  id: 'design.whatIf',
  title: 'What if a beam or column were otherwise',
  summary:
    'Held otherwise, of other grades, by other rules of combination and by other codes: the present section and the lightest that carries, side by side.',
  input: itemsSchema.extend({ member: designation().describe('mark of the beam or column') }),
  kinds: CANDIDATE_KINDS,
  example: { ...smallBuilding, member: 'B1' },
  run: ({ items, member }) => {
    const { building, takedown } = projectOf(items);
    const id = memberOf({ building }, member, 'member');
    const ways = waysOf(building, id).map((way) => {
      const { title, kind, family, philosophy, present, lightest: best } = whatIf(building, takedown, id, way);
      return { title, kind, family, philosophy, present: present && row(present), lightest: best && row(best) };
    });
    return { result: { ways } };
  },
});
