import { Assembler, markOf, type Building, type Column, type Item } from '../building';
import { BadInput } from '../error';
import type { Sheet } from '../sheet';
import { STANDARDS, philosophyOf, type Philosophy } from '../standard';
import { TakedownEngine, withFoundSupports, type MemberLedger, type CaseBalance, type LooseEnd, type Takedown } from '../takedown';
import { beamSheet, designBeam } from './beam';
import { contextOf, type Context } from './context';
import { columnSheet, designColumn } from './column';
import { columnSurroundings } from './eccentricity';
import { designFooting, type FootingDesign } from './footing';
import { panelAssumptions, wallAssumptions } from './assumptions';
import { surveyLooseEnds } from './looseEnds';
import { dismissalKey, type JudgedLooseEnd, type MemberDesign, type RecordedAssumption } from './result';
import { takedownSheet } from './takedownSheet';

/** Everything that follows from the items of a project: recomputed, never stored. */
export interface ProjectResult {
  readonly building: Building;
  readonly takedown: Takedown;
  readonly members: ReadonlyMap<string, MemberDesign>;
  readonly footings: ReadonlyMap<string, FootingDesign>;
  /** Balance with the weight of pads and backfill on both sides. */
  readonly balance: readonly CaseBalance[];
  readonly looseEnds: readonly JudgedLooseEnd[];
  readonly assumptions: readonly RecordedAssumption[];
  /** Members and footings whose design is still to be made: they are missing above. */
  readonly pending: number;
}

/** Takes down and designs a whole project. @throws BadInput when it has no brief, or a philosophy that its family has not */
export function computeProject(items: readonly Item[]): ProjectResult {
  return new ProjectEngine().run(items);
}

/** A design with all that it was made of: as long as that is the same, so is the design. */
interface Kept<D> {
  readonly ledger: MemberLedger;
  readonly body: unknown;
  readonly basis: object;
  /** What else it looked at. */
  readonly around: readonly unknown[];
  readonly design: D;
}

const NOTHING: readonly unknown[] = [];

/** A design that is to be made. */
interface Todo {
  readonly kind: 'beam' | 'column' | 'footing';
  readonly id: string;
  readonly ledger: MemberLedger;
  readonly body: unknown;
  readonly around: readonly unknown[];
}

/**
 * Computes a project again and again as it is edited: members whose ledger, body and basis have not changed keep their design.
 * Items are compared by identity of their bodies.
 */
export class ProjectEngine {
  private readonly assembler = new Assembler();
  private takedown: { readonly philosophy: Philosophy; readonly engine: TakedownEngine } | null = null;
  private basis: { readonly brief: unknown; readonly levels: string; readonly cases: string } = { brief: null, levels: '', cases: '' };
  private members = new Map<string, Kept<MemberDesign>>();
  private footings = new Map<string, Kept<FootingDesign>>();

  private work: { readonly context: Context; readonly todo: Todo[] } | null = null;

  /**
   * @param isOver says when there is no time left: designs that are not made then are left out, and made by `goOn`
   * @throws BadInput when the project has no brief, or a philosophy that its family has not
   */
  run(items: readonly Item[], isOver: () => boolean = () => false): ProjectResult {
    const drawn = this.assembler.assemble(items);
    const philosophy = philosophyOf(STANDARDS[drawn.brief.family], drawn.brief.combinationRule);
    if (this.takedown?.philosophy !== philosophy) this.takedown = { philosophy, engine: new TakedownEngine(philosophy.rules.lifting) };
    const takedown = this.takedown.engine.run(drawn);
    const building = withFoundSupports(drawn, takedown);
    const context = contextOf(building, takedown);
    const cases = takedown.cases.map(({ id }) => id).join();
    const levels = building.levels.map(({ id, body }) => `${id}:${body.elevation}`).join();
    if (this.basis.brief !== building.brief || this.basis.cases !== cases || this.basis.levels !== levels)
      this.basis = { brief: building.brief, levels, cases };
    const todo: Todo[] = [];
    const keep = <D>(
      kind: Todo['kind'],
      before: ReadonlyMap<string, Kept<D>>,
      bodies: ReadonlyMap<string, unknown>,
      now: Map<string, Kept<D>>,
    ) => {
      for (const [id, body] of bodies) {
        const ledger = takedown.members.get(id)!;
        const old = before.get(id);
        const around = kind === 'column' ? columnSurroundings(building, ledger, body as Column) : NOTHING;
        const isSame = old && old.ledger === ledger && old.body === body && old.basis === this.basis;
        if (isSame && old.around.length === around.length && old.around.every((thing, i) => thing === around[i])) now.set(id, old);
        else todo.push({ kind, id, ledger, body, around });
      }
    };
    const members = new Map<string, Kept<MemberDesign>>();
    keep('beam', this.members, building.beams, members);
    keep('column', this.members, building.columns, members);
    const footings = new Map<string, Kept<FootingDesign>>();
    keep('footing', this.footings, building.footings, footings);
    this.members = members;
    this.footings = footings;
    // the last is taken first
    this.work = { context, todo: todo.reverse() };
    return this.goOn(isOver);
  }

  /** Makes the designs that were left out, as far as there is time. @throws BadInput before the first run */
  goOn(isOver: () => boolean): ProjectResult {
    if (!this.work) throw new BadInput('nothing has been computed yet');
    const { context, todo } = this.work;
    while (todo.length > 0 && !isOver()) {
      const { kind, id, ledger, body, around } = todo.pop()!;
      const { basis } = this;
      if (kind === 'footing') this.footings.set(id, { ledger, body, basis, around, design: designFooting(context, id).design });
      else
        this.members.set(id, {
          ledger,
          body,
          basis,
          around,
          design: kind === 'beam' ? designBeam(context, id) : designColumn(context, id),
        });
    }
    return gather(context.building, context.takedown, designsOf(this.members), designsOf(this.footings), todo.length);
  }
}

function designsOf<D>(kept: ReadonlyMap<string, Kept<D>>): Map<string, D> {
  return new Map([...kept].map(([id, { design }]) => [id, design]));
}

function gather(
  building: Building,
  takedown: Takedown,
  members: ReadonlyMap<string, MemberDesign>,
  footings: ReadonlyMap<string, FootingDesign>,
  pending: number,
): ProjectResult {
  return {
    pending,
    building,
    takedown,
    members,
    footings,
    balance: withPads(building, takedown.balance, footings),
    looseEnds: dismissed(building, [
      ...takedown.looseEnds,
      ...surveyLooseEnds(building, takedown),
      ...designLooseEnds(building, members, footings),
    ]),
    assumptions: assumptionsOf(building, members, footings),
  };
}

/** The sheet of any member, wall, hanger or footing of a project. Null when there is no such item. */
export function sheetFor(result: ProjectResult, id: string, philosophyId?: string): Sheet | null {
  const context: Context = contextOf(result.building, result.takedown);
  const philosophy = philosophyId ? philosophyOf(context.standard, philosophyId) : context.philosophy;
  if (result.building.beams.has(id)) return beamSheet(context, id, philosophy);
  if (result.building.columns.has(id)) return columnSheet(context, id, philosophy);
  if (result.building.footings.has(id)) return designFooting(context, id, true).sheet;
  return result.takedown.members.has(id) ? takedownSheet(result.building, result.takedown, id) : null;
}

/** Pads and backfill are permanent load that goes straight into the ground where it lies. */
function withPads(building: Building, balance: readonly CaseBalance[], footings: ReadonlyMap<string, FootingDesign>): CaseBalance[] {
  let [force, x, y] = [0, 0, 0];
  for (const [id, { padWeight, backfillWeight }] of footings) {
    const { at } = building.footings.get(id)!;
    const weight = padWeight + backfillWeight;
    force += weight;
    x += weight * at.x;
    y += weight * at.y;
  }
  return balance.map((line) => {
    if (line.loadCase.id !== 'permanent' || force === 0) return line;
    const add = (book: CaseBalance['applied']) => ({ force: book.force + force, aboutX: book.aboutX + y, aboutY: book.aboutY + x });
    return { ...line, applied: add(line.applied), delivered: add(line.delivered) };
  });
}

/** What design finds missing, beside what the takedown found. */
function designLooseEnds(
  building: Building,
  members: ReadonlyMap<string, MemberDesign>,
  footings: ReadonlyMap<string, FootingDesign>,
): LooseEnd[] {
  const ends: LooseEnd[] = [];
  for (const [id, member] of members) {
    const isTruss = building.beams.get(id)?.role === 'truss';
    if (member.section === null && !isTruss)
      ends.push({
        key: `no-section:${id}`,
        item: id,
        title: `${member.mark} has no section`,
        why: 'It is taken down with an allowance for its own weight, and nothing about it is proved.',
        remedy: 'Size it, or choose a section.',
        byCase: {},
      });
    else if (member.reason && !isTruss)
      ends.push({
        key: `not-designed:${id}`,
        item: id,
        title: `${member.mark} could not be checked`,
        why: member.reason,
        remedy: 'Put right what the message names.',
        byCase: {},
      });
  }
  for (const [id, footing] of footings)
    if (footing.reason)
      ends.push({
        key: `no-pad:${id}`,
        item: id,
        title: `${footing.mark}: ${footing.reason}`,
        why: 'The pad cannot be sized.',
        remedy: 'Put right what the message names.',
        byCase: {},
      });
  if (building.beams.size + building.columns.size > 0 && building.footings.size === 0)
    ends.push({
      key: 'no-footing',
      item: 'brief',
      title: 'There is no footing',
      why: 'No load reaches the ground.',
      remedy: 'Add a footing under each column.',
      byCase: {},
    });
  return ends;
}

/** Loose ends with the reason for which somebody dismissed them. The reason is kept under the key of the loose end. */
function dismissed(building: Building, ends: readonly LooseEnd[]): JudgedLooseEnd[] {
  return ends.map((end) => {
    const answer = building.answers.get(dismissalKey(end));
    return { ...end, dismissed: answer ? { reason: answer.reason, by: answer.by } : null };
  });
}

const recorded = new WeakMap<object, { readonly item: string; readonly answers: unknown; readonly list: readonly RecordedAssumption[] }>();

/** Every assumption of the project with its answer, keyed by item. Overall stability is open until somebody answers it. */
function assumptionsOf(
  building: Building,
  members: ReadonlyMap<string, MemberDesign>,
  footings: ReadonlyMap<string, FootingDesign>,
): RecordedAssumption[] {
  const list: RecordedAssumption[] = [];
  const { answers } = building;
  const write = (item: string | null, key: string, text: string, reason: string): RecordedAssumption => {
    const full = `${item ?? 'project'}:${key}`;
    const answer = answers.get(full);
    return {
      item,
      key: full,
      mark: item === null ? 'project' : markOf(building, item),
      text,
      reason,
      answer: answer ? { reason: answer.reason, by: answer.by } : null,
    };
  };
  const add = (...of: Parameters<typeof write>) => list.push(write(...of));
  /** Those of one body or design: the very same objects as long as it and the answers are. */
  const addAll = (item: string, source: object, taken: () => readonly { key: string; text: string; reason: string }[]) => {
    let known = recorded.get(source);
    if (known?.answers !== answers || known.item !== item)
      recorded.set(source, (known = { item, answers, list: taken().map(({ key, text, reason }) => write(item, key, text, reason)) }));
    for (const assumption of known.list) list.push(assumption);
  };
  add(
    null,
    'stability',
    'Something resists wind and notional sway in each direction.',
    'Overall stability is not calculated here: name what resists it.',
  );
  for (const id of building.hangers.keys())
    add(
      id,
      'not-designed',
      'Hangers, their ends and what holds them are proved elsewhere.',
      'They are taken down here, not designed: tension, fixings and robustness need a check of their own.',
    );
  for (const [id, wall] of building.walls) addAll(id, wall, () => wallAssumptions(wall));
  for (const id of building.stripFootings.keys())
    add(
      id,
      'not-designed',
      'The strip footing is proved elsewhere.',
      'Its load is taken down and listed; width, thickness and settlement are not checked here.',
    );
  for (const [id, panel] of building.panels) addAll(id, panel, () => panelAssumptions(panel));
  for (const source of [members, footings]) for (const [id, design] of source) addAll(id, design, () => design.assumptions);
  return list;
}
