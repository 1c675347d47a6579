import { assemble, itemName, type Item, type ItemKind } from '../building';
import { caseIn, isPermanent, lesserAlternatives, type LoadCases } from '../load';
import { philosophyOf, STANDARDS } from '../standard';
import { takeDown, type ByCase } from '../takedown';
import { stiffnessBy } from './stiffness';

/** An item that two revisions do not have alike. */
export interface ItemDifference {
  readonly id: string;
  readonly kind: ItemKind;
  readonly name: string;
  readonly change: 'added' | 'removed' | 'changed';
  /** Of a changed item the fields that differ, with both values in short. */
  readonly fields: readonly { readonly field: string; readonly before: string; readonly after: string }[];
}

/** A reaction that moved: what a member hands to one other, permanent and variable apart, unfactored, N. */
export interface ReactionDifference {
  readonly member: string;
  readonly mark: string;
  /** Mark of what takes it; the ground; nothing. */
  readonly to: string;
  readonly before: { readonly permanent: number; readonly variable: number };
  readonly after: { readonly permanent: number; readonly variable: number };
  /** The greater of the two changes, as a part of what was there; null when there was nothing. */
  readonly moved: number | null;
}

export interface Comparison {
  readonly items: readonly ItemDifference[];
  readonly reactions: readonly ReactionDifference[];
  /** Reactions that were looked at. */
  readonly looked: number;
}

/** Less than this is no change, N. */
const NOTHING = 1;

/**
 * What two revisions of a project do not have alike: items, and reactions that moved by more than a part of themselves.
 * @param part 0.05 for five in a hundred
 */
export function compareRevisions(before: readonly Item[], after: readonly Item[], part: number): Comparison {
  const [was, is] = [reactionsBetween(before), reactionsBetween(after)];
  const keys = new Set([...was.keys(), ...is.keys()]);
  const reactions: ReactionDifference[] = [];
  for (const key of keys) {
    const [a, b] = [was.get(key), is.get(key)];
    const [old, now] = [a?.value ?? NONE, b?.value ?? NONE];
    const moved = Math.max(movedBy(old.permanent, now.permanent), movedBy(old.variable, now.variable));
    if (moved > part) {
      const { member, mark, to } = (b ?? a)!;
      reactions.push({ member, mark, to, before: old, after: now, moved: Number.isFinite(moved) ? moved : null });
    }
  }
  const size = ({ moved }: ReactionDifference) => moved ?? Infinity;
  reactions.sort((a, b) => size(b) - size(a) || a.mark.localeCompare(b.mark, 'en', { numeric: true }));
  return { items: differences(before, after), reactions, looked: keys.size };
}

const NONE = { permanent: 0, variable: 0 };

function movedBy(before: number, after: number): number {
  const change = Math.abs(after - before);
  if (change <= NOTHING) return 0;
  return Math.abs(before) <= NOTHING ? Infinity : change / Math.abs(before);
}

interface Handed {
  readonly member: string;
  readonly mark: string;
  readonly to: string;
  readonly value: { permanent: number; variable: number };
}

function reactionsBetween(items: readonly Item[]): Map<string, Handed> {
  const building = assemble(items);
  const standard = STANDARDS[building.brief.family];
  const { rules } = philosophyOf(standard, building.brief.combinationRule);
  const takedown = takeDown(building, rules.lifting, stiffnessBy(standard));
  const found = new Map<string, Handed>();
  for (const [id, { mark, leaves }] of takedown.members)
    for (const leave of leaves) {
      const key = `${id}>${leave.to ?? ''}`;
      const to = leave.to === null ? 'nothing' : leave.to === 'ground' ? 'the ground' : (takedown.members.get(leave.to)?.mark ?? leave.to);
      let entry = found.get(key);
      if (!entry) found.set(key, (entry = { member: id, mark, to, value: { permanent: 0, variable: 0 } }));
      addSplit(entry.value, leave.byCase, building.cases);
    }
  return found;
}

function addSplit(sum: { permanent: number; variable: number }, byCase: ByCase, cases: LoadCases): void {
  const lesser = lesserAlternatives(byCase, cases);
  for (const id in byCase) if (!lesser.has(id)) sum[isPermanent(caseIn(cases, id).nature) ? 'permanent' : 'variable'] += byCase[id]!;
}

function differences(before: readonly Item[], after: readonly Item[]): ItemDifference[] {
  const was = new Map(before.map((item) => [item.id, item]));
  const is = new Map(after.map((item) => [item.id, item]));
  const list: ItemDifference[] = [];
  for (const item of after) {
    const old = was.get(item.id);
    const base = { id: item.id, kind: item.kind, name: itemName(item) };
    if (!old) list.push({ ...base, change: 'added', fields: [] });
    else {
      const fields = fieldsThatDiffer(old.body, item.body);
      if (fields.length > 0) list.push({ ...base, change: 'changed', fields });
    }
  }
  for (const item of before)
    if (!is.has(item.id)) list.push({ id: item.id, kind: item.kind, name: itemName(item), change: 'removed', fields: [] });
  return list.sort((a, b) => a.kind.localeCompare(b.kind) || a.name.localeCompare(b.name, 'en', { numeric: true }));
}

function fieldsThatDiffer(before: object, after: object): ItemDifference['fields'] {
  const [a, b] = [before as Record<string, unknown>, after as Record<string, unknown>];
  return [...new Set([...Object.keys(a), ...Object.keys(b)])]
    .filter((field) => JSON.stringify(a[field]) !== JSON.stringify(b[field]))
    .map((field) => ({ field, before: short(a[field]), after: short(b[field]) }));
}

function short(value: unknown): string {
  if (value === null || value === undefined) return 'none';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > 80 ? `${text.slice(0, 79)}…` : text;
}
