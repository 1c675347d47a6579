import { levelOf, type Building } from '../building';
import { formatQuantity } from '../quantity';
import { addInto, type ByCase, type MemberLedger, type Takedown } from '../takedown';
import { Pencil, type Drawing } from './drawing';
import type { RiverInput } from './river';
import { byNature, drawStripes } from './stripes';

/** What members do at their level. */
export type Role = 'beams' | 'carrying beams' | 'columns' | 'walls' | 'hangers' | 'pads' | 'strips';

/** Members of one level and one role, taken together. */
export interface Gathering {
  /** `level|role` */
  readonly id: string;
  readonly level: string;
  readonly role: Role;
  readonly members: readonly string[];
  /** The member that carries most: what is opened when the gathering is. */
  readonly heaviest: string;
  /** All that the group takes in from outside it or first-hand, N by case. */
  readonly sum: ByCase;
  /** What it hands to other gatherings; to the ground; to nothing (empty id). */
  readonly flows: ReadonlyMap<string, ByCase>;
}

function roleOf({ kind, transfer }: MemberLedger): Role {
  switch (kind) {
    case 'beam':
      return transfer ? 'carrying beams' : 'beams';
    case 'column':
      return 'columns';
    case 'wall':
      return 'walls';
    case 'hanger':
      return 'hangers';
    case 'footing':
      return 'pads';
    case 'stripFooting':
      return 'strips';
  }
}

/** All members by level and role, with what passes between them. What a member hands to another of its own group stays inside. */
export function gather({ building, takedown }: { building: Building; takedown: Pick<Takedown, 'members'> }): Gathering[] {
  const groupOf = new Map<string, string>();
  for (const [id, ledger] of takedown.members) groupOf.set(id, `${levelOf(building, id)!}|${roleOf(ledger)}`);
  const groups = new Map<string, { members: string[]; heaviest: string; most: number; flows: Map<string, Record<string, number>> }>();
  for (const [id, ledger] of takedown.members) {
    const key = groupOf.get(id)!;
    let group = groups.get(key);
    if (!group) groups.set(key, (group = { members: [], heaviest: id, most: -Infinity, flows: new Map() }));
    group.members.push(id);
    let whole = 0;
    for (const caseId in ledger.sum) whole += Math.abs(ledger.sum[caseId]!);
    if (whole > group.most) [group.heaviest, group.most] = [id, whole];
    const { flows } = group;
    const pass = (target: string, byCase: ByCase, factor = 1) => {
      let flow = flows.get(target);
      if (!flow) flows.set(target, (flow = {}));
      addInto(flow, byCase, factor);
    };
    // what is not handed on is lost
    pass('', ledger.sum);
    for (const { to, byCase } of ledger.leaves) {
      const target = to === null ? '' : to === 'ground' ? 'ground' : (groupOf.get(to) ?? '');
      if (target === '') continue;
      pass('', byCase, -1);
      if (target !== key) pass(target, byCase);
    }
  }
  return [...groups].map(([id, { members, heaviest, flows }]) => {
    const sum: Record<string, number> = {};
    for (const flow of flows.values()) addInto(sum, flow);
    const [level, role] = id.split('|') as [string, Role];
    return { id, level, role, members, heaviest, sum, flows };
  });
}

/** Where each role stands across the picture, and how far below its level's line, in parts of a storey. */
const PLACE: Record<Role, { readonly x: number; readonly down: number }> = {
  beams: { x: 0.2, down: 0 },
  'carrying beams': { x: 0.36, down: 0.34 },
  columns: { x: 0.6, down: 0 },
  walls: { x: 0.8, down: 0 },
  hangers: { x: 0.92, down: 0 },
  pads: { x: 0.6, down: 0 },
  strips: { x: 0.8, down: 0 },
};
const NAMES: Record<Role, string> = {
  beams: 'beams',
  'carrying beams': 'beams that carry others',
  columns: 'columns',
  walls: 'walls',
  hangers: 'hangers',
  pads: 'pads',
  strips: 'strip footings',
};
const TOP = 30;
const FOOT = 50;
const LEFT = 12;

/** The load river of a large building, its members gathered by level and role; each band is as wide as its force. */
export function gatheredRiver({ building, takedown, selected, factor, width, height }: RiverInput): Drawing {
  const pencil = new Pencil();
  const units = building.brief.units;
  const groups = gather({ building, takedown });
  const { levels } = building;
  const pitch = (height - TOP - FOOT) / Math.max(1, levels.length - 1);
  const row = new Map(levels.map(({ id }, i) => [id, TOP + i * pitch]));
  const total = (byCase: ByCase) => byNature(byCase, factor, building.cases).reduce((sum, [, value]) => sum + value, 0);
  const heaviest = Math.max(1, ...groups.map(({ sum }) => Math.abs(total(sum))));
  const scale = (0.16 * width) / heaviest;
  const at = ({ level, role }: Gathering) => ({ x: PLACE[role].x * width, y: (row.get(level) ?? TOP) + PLACE[role].down * pitch });
  const byId = new Map(groups.map((group) => [group.id, group]));
  const bar = Math.min(7, 0.3 * pitch);
  const small = pitch < 26;

  levels.forEach(({ body }, i) => {
    const y = TOP + i * pitch;
    pencil.line(
      [
        [LEFT, y],
        [width - LEFT, y],
      ],
      'faint',
      { width: 0.7, dash: [2, 4] },
    );
    pencil.text(LEFT, y - 3, body.name, { size: small ? 9 : 10.5, pen: 'soft' });
  });
  for (const group of groups) {
    const from = at(group);
    const upright = group.role === 'columns' || group.role === 'walls' || group.role === 'hangers';
    for (const [target, byCase] of group.flows) {
      const to = byId.get(target);
      const style = {
        item: group.id,
        title: `${NAMES[group.role]}${to ? ` to ${NAMES[to.role]}` : target === 'ground' ? ' to the ground' : ' to nothing'}: ${formatQuantity(total(byCase), 'force', units)}`,
        opacity: selected === null || selected === group.id ? 1 : 0.5,
      };
      if (target === '') continue;
      const end = to ? at(to) : { x: from.x, y: from.y + FOOT / 2 };
      drawStripes(pencil, byNature(byCase, factor, building.cases), scale, [from.x, from.y + (upright ? 0 : bar), end.x, end.y], style);
    }
  }
  for (const group of groups) {
    const { x, y } = at(group);
    const chosen = group.id === selected;
    const pen = chosen ? 'accent' : 'ink';
    const force = formatQuantity(total(group.sum), 'force', units, { figures: 3 });
    const lost = group.flows.get('');
    const words = `${group.members.length} ${NAMES[group.role]}, ${force}`;
    const half = Math.max(16, (Math.abs(total(group.sum)) * scale) / 2 + 4);
    const fill = chosen
      ? 'accent'
      : group.role === 'walls'
        ? 'masonry'
        : group.role === 'pads' || group.role === 'strips'
          ? 'concrete'
          : 'paper';
    pencil.rectangle(x - half, y, 2 * half, bar, fill, { pen, width: 1.1, item: group.id });
    if (!small || group.role === 'columns')
      // beside the columns there is no room on their side
      pencil.text(group.role === 'carrying beams' ? x - half - 5 : x + half + 5, y + bar, small ? force : words, {
        anchor: group.role === 'carrying beams' ? 'end' : 'start',
        size: small ? 9 : 10.5,
        pen: chosen ? 'accent' : 'soft',
        halo: true,
        item: group.id,
      });
    if (lost && Math.abs(total(lost)) > 1)
      pencil.text(x - half - 5, y + bar, `${formatQuantity(total(lost), 'force', units, { figures: 3 })} lands nowhere`, {
        size: 10.5,
        pen: 'accent',
        anchor: 'end',
        halo: true,
        item: group.id,
      });
  }
  pencil.rectangle(LEFT, TOP + (levels.length - 1) * pitch + FOOT / 2, width - 2 * LEFT, 5, 'ground');
  return {
    width,
    height,
    title: 'Load river, members gathered by level and role; band widths are proportional to force',
    marks: pencil.marks,
  };
}
