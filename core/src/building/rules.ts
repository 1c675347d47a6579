import { requireStretches } from '../beam';
import { BadInput } from '../error';
import { actionFault, NATURE_LABEL, type LoadCaseReference } from '../load';
import { itemName, referencesOf, type Body, type Item } from './item';
import { overlappingOpenings, overlappingWallOpenings } from './overlap';
import { profileOf } from '../family';
import { KIND_WORD } from './words';

/** Least height between two levels, and between the ends of a member that runs from level to level, mm. */
const LEAST_HEIGHT = 1;

type Items = ReadonlyMap<string, Item>;

const levelOf = (items: Items, id: string) => items.get(id)?.body as Body<'level'> | undefined;

/** Every reference of an item leads to an item of a kind that may be referred to there. */
function requireReferences(items: Items, item: Item): void {
  for (const { field, id, kinds } of referencesOf(item)) {
    const target = items.get(id);
    if (!target)
      throw new BadInput(
        `${itemName(item)} refers to "${id}", which is not in the project (it may be in use elsewhere: free it first)`,
        field,
      );
    if (!kinds.includes(target.kind))
      throw new BadInput(
        `${itemName(item)}: ${itemName(target)} is a ${KIND_WORD[target.kind]}, but a ${kinds.map((kind) => KIND_WORD[kind as Item['kind']]).join(' or ')} is wanted here`,
        field,
      );
  }
}

/** A member that runs between two levels goes upwards, and what restrains it lies between its ends. */
function requireUpright(items: Items, item: Extract<Item, { kind: 'column' | 'hanger' | 'wall' }>): void {
  const [base, top] = [levelOf(items, item.body.base), levelOf(items, item.body.top)];
  // a level that is not there is for the check of references to say
  if (!base || !top) return;
  const height = top.elevation - base.elevation;
  if (height < LEAST_HEIGHT) throw new BadInput(`${itemName(item)}: its base (${base.name}) must lie below its top (${top.name})`, 'base');
  if (item.kind !== 'column') return;
  for (const field of ['heldY', 'heldZ'] as const)
    for (const [i, at] of item.body[field].entries())
      if (at > height)
        throw new BadInput(
          `${itemName(item)}: a restraint at ${at / 1000} m lies above its top, which is ${height / 1000} m above its base`,
          `${field}.${i}`,
        );
}

/** Combinations that belong to the family of the brief. */
function requireOwnRule({ body: { family, combinationRule, deflectionCombination } }: Extract<Item, { kind: 'brief' }>): void {
  const { title, rules: known, serviceLevels } = profileOf(family);
  if (!known.includes(combinationRule))
    throw new BadInput(
      `Combination rule must be ${known.join(' or ')}, which are those of ${title}, got "${combinationRule}"`,
      'combinationRule',
    );
  const levels: readonly string[] = serviceLevels;
  if (!levels.includes(deflectionCombination))
    throw new BadInput(
      `Deflection combination must be ${levels.join(' or ')} by ${title}, got "${deflectionCombination}"`,
      'deflectionCombination',
    );
}

function requireOwnElevation(items: Items, level: Extract<Item, { kind: 'level' }>): void {
  for (const other of items.values())
    if (other.kind === 'level' && other.id !== level.id && Math.abs(other.body.elevation - level.body.elevation) < LEAST_HEIGHT)
      throw new BadInput(`${level.body.name}: ${other.body.name} lies at the same elevation already`, 'elevation');
}

/** Stretches of another stiffness run along the beam, each by itself. */
function requireOwnStretches(item: Extract<Item, { kind: 'beam' | 'truss' }>): void {
  try {
    requireStretches({ stretches: item.body.stretches, length: Infinity });
  } catch (error) {
    if (error instanceof BadInput) throw new BadInput(`${itemName(item)}: ${error.message}`, error.field);
    throw error;
  }
}

/** Geometry that can only be a slip. */
function requireNoSlip(item: Item): void {
  if (item.kind === 'beam' || item.kind === 'truss') {
    requireOwnStretches(item);
    item.body.strips.forEach(({ from, to }, i) => {
      if (!(to > from)) throw new BadInput(`${itemName(item)}: strip ${i + 1} must end beyond its start`, `strips.${i}.to`);
    });
  }
  const pair =
    item.kind === 'wall' ? overlappingWallOpenings(item.body.openings) : item.kind === 'panel' ? overlappingOpenings(item.body) : null;
  if (pair)
    throw new BadInput(
      `${itemName(item)}: openings ${pair[0] + 1} and ${pair[1] + 1} lie over each other: draw one opening in their place`,
      `openings.${pair[1]}`,
    );
}

/** Loads of an item with their fields. */
function* loadsOf(item: Item): Generator<{ readonly load: LoadCaseReference; readonly name: string; readonly field: string }> {
  if (item.kind === 'load') yield { load: item.body, name: itemName(item), field: '' };
  if (item.kind === 'buildUp')
    for (const [i, load] of item.body.variable.entries()) yield { load, name: `${item.body.name}, ${load.name}`, field: `variable.${i}.` };
}

/** A load that belongs to an action has its nature and use, and one of its cases; one that belongs to none has no case. */
function requireOwnCase(
  items: Items,
  { load, name, field }: { readonly load: LoadCaseReference; readonly name: string; readonly field: string },
): void {
  if (load.action === null) {
    if (load.loadCase !== '')
      throw new BadInput(`${name}: a load case belongs to an action: name the action too, or leave the case out`, `${field}loadCase`);
    return;
  }
  const action = items.get(load.action);
  // an action that is not there is for the check of references to say
  if (action?.kind !== 'action') return;
  const { name: called, nature, use, cases } = action.body;
  const said = (one: LoadCaseReference['nature'], of: LoadCaseReference['use']) =>
    `${NATURE_LABEL[one]}${one === 'imposed' ? `, use ${of ?? 'A'}` : ''}`;
  if (load.nature !== nature || (nature === 'imposed' && (load.use ?? 'A') !== (use ?? 'A')))
    throw new BadInput(`${name} is ${said(load.nature, load.use)}, and the action ${called} is ${said(nature, use)}`, `${field}nature`);
  if (!cases.some(({ id }) => id === load.loadCase))
    throw new BadInput(
      `${name}: the action ${called} has ${load.loadCase === '' ? 'cases, of which one must be named' : `no case "${load.loadCase}"`}: ${cases.map(({ id }) => id).join(', ')}`,
      `${field}loadCase`,
    );
}

/** An action that can be meant. */
function requireOwnAction({ body }: Extract<Item, { kind: 'action' }>): void {
  const fault = actionFault(body);
  if (fault) throw new BadInput(fault.message, fault.field);
}

/**
 * Checks that a project still hangs together after some of its items were written or deleted: one brief, every reference found and of a
 * kind that may be referred to.
 * @param touched ids that were written or deleted; left out: all
 * @throws BadInput naming the item and the field
 */
export function requireWhole(items: Items, touched?: ReadonlySet<string>): void {
  let briefs = 0;
  for (const item of items.values()) {
    if (item.kind === 'brief') briefs += 1;
    if (!touched || touched.has(item.id) || referencesOf(item).some(({ id }) => touched.has(id))) requireReferences(items, item);
  }
  if (briefs !== 1) throw new BadInput(briefs === 0 ? 'a project needs a brief' : 'a project has one brief, not two');
}

/**
 * Checks of what was written that it can be built: ends in order, restraints within the member, combinations of the family. What was stored
 * before such a rule stays until somebody writes it again.
 * @param touched ids that were written or deleted; left out: all
 * @throws BadInput naming the item and the field
 */
export function requireBuildable(items: Items, touched?: ReadonlySet<string>): void {
  const isTouched = (id: string) => !touched || touched.has(id);
  for (const item of items.values()) {
    if (item.kind === 'column' || item.kind === 'hanger' || item.kind === 'wall') {
      if (isTouched(item.id) || isTouched(item.body.base) || isTouched(item.body.top)) requireUpright(items, item);
      if (isTouched(item.id)) requireNoSlip(item);
    } else if (item.kind === 'load' || item.kind === 'buildUp') {
      for (const one of loadsOf(item))
        if (isTouched(item.id) || (one.load.action !== null && isTouched(one.load.action))) requireOwnCase(items, one);
    } else if (!isTouched(item.id)) continue;
    else if (item.kind === 'action') requireOwnAction(item);
    else if (item.kind === 'beam' || item.kind === 'truss' || item.kind === 'panel') requireNoSlip(item);
    else if (item.kind === 'brief') requireOwnRule(item);
    else if (item.kind === 'level') requireOwnElevation(items, item);
  }
}

/** Both: what every door asks of a project, or of what is written to it. @throws BadInput naming the item and the field */
export function requireConsistent(items: Items, touched?: ReadonlySet<string>): void {
  requireWhole(items, touched);
  requireBuildable(items, touched);
}
