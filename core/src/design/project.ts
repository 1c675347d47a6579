import { Assembler, type Building, type Column, type Item } from '../building';
import { BadInput } from '../error';
import type { Sheet } from '../sheet';
import { STANDARDS, philosophyOf, type Philosophy } from '../standard';
import {
  SupportPlacer,
  TakedownEngine,
  type CaseBalance,
  type LooseEnd,
  type MemberLedger,
  type Takedown,
  type TakedownNews,
} from '../takedown';
import { beamSheet, designBeam } from './beam';
import { conclude } from './conclusion';
import { contextOf, type Context } from './context';
import { columnSheet, designColumn } from './column';
import { columnSurroundings } from './eccentricity';
import { designFooting, type FootingDesign } from './footing';
import { AssumptionBook } from './assumed';
import { designLooseEnds, footingEnd, memberEnd } from './designEnds';
import { SurveyReader } from './looseEnds';
import { dismissalKey, type JudgedLooseEnd, type MemberDesign, type RecordedAssumption } from './result';
import { takedownSheet } from './takedownSheet';
import { stiffnessBy } from './stiffness';

/** Everything that follows from the items of a project: recomputed, never stored. */
export interface ProjectResult {
  readonly building: Building;
  readonly takedown: Takedown;
  readonly members: ReadonlyMap<string, MemberDesign>;
  readonly footings: ReadonlyMap<string, FootingDesign>;
  /** Balance with the weight of pads and backfill on both sides. */
  readonly balance: readonly CaseBalance[];
  readonly looseEnds: readonly JudgedLooseEnd[];
  /** By the item that they are on; those of the whole under `project`. */
  readonly assumptions: ReadonlyMap<string, readonly RecordedAssumption[]>;
  readonly openAssumptions: number;
  /** What this result has otherwise than the one before. */
  readonly news: {
    readonly takedown: TakedownNews;
    /** Members and footings whose design was made, or does not hold any more; null: all. */
    readonly redesigned: readonly string[] | null;
    /** Items whose assumptions are others; null: all. */
    readonly assumed: readonly string[] | null;
  };
  /** Members and footings whose design is still to be made: they are missing above. */
  readonly pending: number;
}

/** Takes down and designs a whole project. @throws BadInput when it has no brief, or a philosophy that its family has not */
export function computeProject(items: readonly Item[]): ProjectResult {
  return new ProjectEngine().run(items);
}

/** A design with all that it was made of: as long as that is the same, so is the design. */
interface Kept {
  readonly ledger: MemberLedger;
  readonly body: unknown;
  readonly basis: object;
  /** What else it looked at. */
  readonly around: readonly unknown[];
}

const NOTHING: readonly unknown[] = [];

/** A design that is to be made. */
interface Todo extends Kept {
  readonly kind: 'beam' | 'column' | 'footing';
  readonly id: string;
}

/**
 * Computes a project again and again as it is edited: members whose ledger, body and basis have not changed keep their design.
 * Items are compared by identity of their bodies. What it gives is alive: it holds until the next run.
 */
export class ProjectEngine {
  private readonly assembler = new Assembler();
  private takedown: { readonly philosophy: Philosophy; readonly engine: TakedownEngine } | null = null;
  private basis: { readonly brief: unknown; readonly levels: string; readonly cases: string } = { brief: null, levels: '', cases: '' };
  private readonly placer = new SupportPlacer();
  private readonly survey = new SurveyReader();
  private readonly book = new AssumptionBook();
  private readonly kept = new Map<string, Kept>();
  private readonly members = new Map<string, MemberDesign>();
  private readonly footings = new Map<string, FootingDesign>();
  /** What design found missing on a member or pad. */
  private readonly ends = new Map<string, LooseEnd>();
  private columns: Building['columns'] | null = null;
  private work: { readonly context: Context; readonly todo: Todo[] } | null = null;
  /** Members and footings whose design was made or taken away since the news were read last; null: all. */
  private redesigned: Set<string> | null = null;
  private surveyed: readonly LooseEnd[] = [];
  /** A run has begun and not come to its end: what it touched is not known. */
  private broken = false;

  /**
   * @param isOver says when there is no time left: designs that are not made then are left out, and made by `goOn`
   * @throws BadInput when the project has no brief, or a philosophy that its family has not
   */
  run(items: readonly Item[], isOver: () => boolean = () => false): ProjectResult {
    const drawn = this.assembler.assemble(items);
    const standard = STANDARDS[drawn.brief.family];
    const philosophy = philosophyOf(standard, drawn.brief.combinationRule);
    if (this.takedown?.philosophy !== philosophy)
      this.takedown = { philosophy, engine: new TakedownEngine(philosophy.rules.lifting, stiffnessBy(standard)) };
    const wasBroken = this.broken;
    this.broken = true;
    const takedown = this.takedown.engine.run(drawn);
    const { news } = this.takedown.engine;
    const all = news.all || wasBroken;
    const building = this.placer.place(drawn, takedown, all ? null : news.fresh);
    // how cases are combined is known from their actions
    const cases = JSON.stringify(takedown.cases);
    const levels = building.levels.map(({ id, body }) => `${id}:${body.elevation}`).join();
    const sameBasis = this.basis.brief === building.brief && this.basis.cases === cases && this.basis.levels === levels;
    if (!sameBasis) this.basis = { brief: building.brief, levels, cases };
    const ids = all || !sameBasis ? null : this.idsToLookAt(building, news);
    this.work = { context: contextOf(building, takedown), todo: this.judge(building, takedown, ids) };
    this.surveyed = this.survey.read(building, takedown, !all && news.fresh.length === 0 && news.panels.length === 0);
    this.broken = false;
    return this.goOn(isOver);
  }

  /** Members whose design may not hold any more: those calculated, those not designed yet, and columns where any changed. */
  private idsToLookAt(building: Building, { fresh, gone }: TakedownNews): Set<string> {
    const ids = new Set(fresh);
    for (const id of gone) ids.add(id);
    for (const { id } of this.work?.todo ?? []) ids.add(id);
    // whether a column stands on another is seen from the plan
    if (building.columns !== this.columns) for (const id of building.columns.keys()) ids.add(id);
    return ids;
  }

  /** Drops designs that do not hold any more. @param ids where to look; null: everywhere @returns what is to be designed, the first last */
  private judge(building: Building, takedown: Takedown, ids: ReadonlySet<string> | null): Todo[] {
    this.columns = building.columns;
    if (!ids) this.redesigned = null;
    const todo: Todo[] = [];
    const look = (kind: Todo['kind'], id: string, body: unknown) => {
      const ledger = takedown.members.get(id)!;
      const old = this.kept.get(id);
      const around = kind === 'column' ? columnSurroundings(building, ledger, body as Column) : NOTHING;
      const isSame = old && old.ledger === ledger && old.body === body && old.basis === this.basis;
      if (isSame && old.around.length === around.length && old.around.every((thing, i) => thing === around[i])) return;
      this.drop(id);
      todo.push({ kind, id, ledger, body, basis: this.basis, around });
    };
    const { beams, columns, footings } = building;
    if (!ids) {
      for (const id of this.kept.keys()) if (!beams.has(id) && !columns.has(id) && !footings.has(id)) this.drop(id);
      beams.forEach((body, id) => look('beam', id, body));
      columns.forEach((body, id) => look('column', id, body));
      footings.forEach((body, id) => look('footing', id, body));
    } else
      for (const id of ids) {
        const [beam, column, footing] = [beams.get(id), columns.get(id), footings.get(id)];
        if (beam) look('beam', id, beam);
        else if (column) look('column', id, column);
        else if (footing) look('footing', id, footing);
        else this.drop(id);
      }
    return todo.reverse();
  }

  private drop(id: string): void {
    this.kept.delete(id);
    this.members.delete(id);
    this.footings.delete(id);
    this.ends.delete(id);
    this.redesigned?.add(id);
  }

  /** Makes the designs that were left out, as far as there is time. @throws BadInput before the first run */
  goOn(isOver: () => boolean): ProjectResult {
    if (!this.work) throw new BadInput('nothing has been computed yet');
    const { context, todo } = this.work;
    while (todo.length > 0 && !isOver()) {
      const next = todo[todo.length - 1]!;
      const { kind, id } = next;
      let end: LooseEnd | null;
      if (kind === 'footing') {
        const { design } = designFooting(context, id);
        this.footings.set(id, design);
        end = footingEnd(id, design);
      } else {
        const design = kind === 'beam' ? designBeam(context, id) : designColumn(context, id);
        this.members.set(id, design);
        // trusses are proved elsewhere, and that is an assumption of theirs
        end = context.building.beams.get(id)?.role === 'truss' ? null : memberEnd(design);
      }
      if (end) this.ends.set(id, end);
      this.kept.set(id, next);
      this.redesigned?.add(id);
      todo.pop();
    }
    return this.gather(context, todo.length);
  }

  private gather({ building, takedown }: Context, pending: number): ProjectResult {
    const { members, footings, redesigned } = this;
    this.book.read(building, [members, footings], redesigned);
    this.redesigned = new Set();
    return {
      pending,
      building,
      takedown,
      members,
      footings,
      balance: withPads(building, takedown.balance, footings),
      looseEnds: dismissed(building, [...takedown.looseEnds, ...this.surveyed, ...designLooseEnds(building, this.ends)]),
      assumptions: this.book.byItem,
      openAssumptions: this.book.open,
      news: {
        takedown: this.takedown!.engine.news,
        redesigned: redesigned && [...redesigned],
        assumed: this.book.news && [...this.book.news],
      },
    };
  }
}

/** The sheet of any member, wall, hanger or footing of a project. Null when there is no such item. */
export function sheetFor(result: ProjectResult, id: string, philosophyId?: string): Sheet | null {
  const context: Context = contextOf(result.building, result.takedown);
  const philosophy = philosophyId ? philosophyOf(context.standard, philosophyId) : context.philosophy;
  if (result.building.beams.has(id)) return conclude(beamSheet(context, id, philosophy));
  if (result.building.columns.has(id)) return conclude(columnSheet(context, id, philosophy));
  if (result.building.footings.has(id)) return conclude(designFooting(context, id, true).sheet);
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

/** Loose ends with the reason for which somebody dismissed them. The reason is kept under the key of the loose end. */
function dismissed(building: Building, ends: readonly LooseEnd[]): JudgedLooseEnd[] {
  return ends.map((end) => {
    const answer = building.answers.get(dismissalKey(end));
    return { ...end, dismissed: answer ? { reason: answer.reason, by: answer.by } : null };
  });
}
