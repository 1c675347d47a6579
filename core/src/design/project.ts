import { Assembler, type Building, type Item } from '../building';
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
import { conclude } from './conclusion';
import { contextOf, type Context } from './context';
import { AssumptionBook } from './assumed';
import { designLooseEnds } from './designEnds';
import { Designs, type Design, type Designer } from './designer';
import { designerOf, designers } from './designers';
import { SurveyReader } from './looseEnds';
import { dismissalKey, type JudgedLooseEnd, type RecordedAssumption } from './result';
import { takedownSheet } from './takedownSheet';
import { stiffnessBy } from './stiffness';

/** Everything that follows from the items of a project: recomputed, never stored. */
export interface ProjectResult {
  readonly building: Building;
  readonly takedown: Takedown;
  readonly designs: Designs;
  /** Balance with the weight of pads and backfill on both sides. */
  readonly balance: readonly CaseBalance[];
  readonly looseEnds: readonly JudgedLooseEnd[];
  /** By the item that they are on; those of the whole under `project`. */
  readonly assumptions: ReadonlyMap<string, readonly RecordedAssumption[]>;
  readonly openAssumptions: number;
  /** What this result has otherwise than the one before. */
  readonly news: {
    readonly takedown: TakedownNews;
    /** Items whose design was made, or does not hold any more; null: all. */
    readonly redesigned: readonly string[] | null;
    /** Items whose assumptions are others; null: all. */
    readonly assumed: readonly string[] | null;
  };
  /** Items whose design is still to be made: they are missing above. */
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
  readonly id: string;
  readonly designer: Designer<unknown, Design>;
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
  private readonly designs = new Map<string, Design>();
  /** What design found missing on an item. */
  private readonly ends = new Map<string, LooseEnd>();
  /** Bodies of the kinds that depend on others of their kind, as they were last looked at. */
  private readonly looked = new Map<Designer<unknown, Design>, ReadonlyMap<string, unknown>>();
  private work: { readonly context: Context; readonly todo: Todo[] } | null = null;
  /** Items whose design was made or taken away since the news were read last; null: all. */
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

  /** Items whose design may not hold any more: those calculated, those not designed yet, and all of a kind that looks at its neighbours where any changed. */
  private idsToLookAt(building: Building, { fresh, gone }: TakedownNews): Set<string> {
    const ids = new Set(fresh);
    for (const id of gone) ids.add(id);
    for (const { id } of this.work?.todo ?? []) ids.add(id);
    for (const designer of designers) {
      const bodies = designer.bodies(building);
      if (designer.dependsOn && this.looked.get(designer) !== bodies) for (const id of bodies.keys()) ids.add(id);
    }
    return ids;
  }

  /** Drops designs that do not hold any more. @param ids where to look; null: everywhere @returns what is to be designed, the first last */
  private judge(building: Building, takedown: Takedown, ids: ReadonlySet<string> | null): Todo[] {
    for (const designer of designers) this.looked.set(designer, designer.bodies(building));
    if (!ids) this.redesigned = null;
    const todo: Todo[] = [];
    const look = (designer: Designer<unknown, Design>, id: string, body: unknown) => {
      const ledger = takedown.members.get(id)!;
      const old = this.kept.get(id);
      const around = designer.dependsOn?.(building, ledger, body) ?? NOTHING;
      const isSame = old && old.ledger === ledger && old.body === body && old.basis === this.basis;
      if (isSame && old.around.length === around.length && old.around.every((thing, i) => thing === around[i])) return;
      this.drop(id);
      todo.push({ designer, id, ledger, body, basis: this.basis, around });
    };
    if (!ids) {
      for (const id of this.kept.keys()) if (!designerOf(building, id)) this.drop(id);
      for (const designer of designers)
        designer.bodies(building).forEach((body, id) => {
          if (!designer.leavesOut?.(body)) look(designer, id, body);
        });
    } else
      for (const id of ids) {
        const designer = designerOf(building, id);
        if (designer) look(designer, id, designer.bodies(building).get(id));
        else this.drop(id);
      }
    return todo.reverse();
  }

  private drop(id: string): void {
    this.kept.delete(id);
    this.designs.delete(id);
    this.ends.delete(id);
    this.redesigned?.add(id);
  }

  /** Makes the designs that were left out, as far as there is time. @throws BadInput before the first run */
  goOn(isOver: () => boolean): ProjectResult {
    if (!this.work) throw new BadInput('nothing has been computed yet');
    const { context, todo } = this.work;
    while (todo.length > 0 && !isOver()) {
      const next = todo[todo.length - 1]!;
      const { designer, id, body } = next;
      const design = designer.design(context, id);
      this.designs.set(id, design);
      const end = designer.looseEnd(design, body);
      if (end) this.ends.set(id, end);
      this.kept.set(id, next);
      this.redesigned?.add(id);
      todo.pop();
    }
    return this.gather(context, todo.length);
  }

  private gather({ building, takedown }: Context, pending: number): ProjectResult {
    const { designs, redesigned } = this;
    this.book.read(building, designs, redesigned);
    this.redesigned = new Set();
    return {
      pending,
      building,
      takedown,
      designs: new Designs(designs),
      balance: withWeights(building, takedown.balance, designs),
      looseEnds: dismissed(building, [
        ...takedown.looseEnds,
        ...this.surveyed,
        ...designLooseEnds(
          building,
          designers.map(({ bodies }) => bodies(building)),
          this.ends,
        ),
      ]),
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
  const designer = designerOf(result.building, id);
  if (designer) return conclude(designer.sheet(context, id, philosophy));
  return result.takedown.members.has(id) ? takedownSheet(result.building, result.takedown, id) : null;
}

/** What design adds to permanent load, such as pads and backfill, goes straight into the ground where it lies. */
function withWeights(building: Building, balance: readonly CaseBalance[], designs: ReadonlyMap<string, Design>): CaseBalance[] {
  let [force, x, y] = [0, 0, 0];
  for (const { bodies, feedsBack } of designers) {
    if (!feedsBack) continue;
    bodies(building).forEach((body, id) => {
      const design = designs.get(id);
      if (!design) return;
      const { weight, at } = feedsBack(design, body);
      force += weight;
      x += weight * at.x;
      y += weight * at.y;
    });
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
