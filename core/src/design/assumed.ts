import { differenceOf, markOf, type Beam, type Building, type Column } from '../building';
import { panelAssumptions, wallAssumptions } from './assumptions';
import type { RecordedAssumption } from './result';
import { supportAssumptions } from './spanAssumptions';

interface Text {
  readonly key: string;
  readonly text: string;
  readonly reason: string;
}

const HANGER: Text = {
  key: 'not-designed',
  text: 'Hangers, their ends and what holds them are proved elsewhere.',
  reason: 'They are taken down here, not designed: tension, fixings and robustness need a check of their own.',
};
const STRIP: Text = {
  key: 'not-designed',
  text: 'The strip footing is proved elsewhere.',
  reason: 'Its load is taken down and listed; width, thickness and settlement are not checked here.',
};
const LOAD_ONLY: Text = {
  key: 'load-only',
  text: 'It is load only: designed and proved elsewhere.',
  reason: 'Its loads are taken down here and its own weight is what is typed; nothing about it is checked.',
};
const STABILITY: Text = {
  key: 'stability',
  text: 'Something resists wind and notional sway in each direction.',
  reason: 'Overall stability is not calculated here: name what resists it.',
};
const PROJECT = 'project';

/**
 * Every assumption of a project with its answer, by item, kept up to edits: what an item assumes is written again only when the item, its
 * design or the answers change. Overall stability is open until somebody answers it.
 */
export class AssumptionBook {
  readonly byItem = new Map<string, readonly RecordedAssumption[]>();
  /** How many stand unanswered. */
  open = 0;
  /** Items whose assumptions were written or taken away by the last reading; null: all. */
  news: Set<string> | null = null;
  private last: Building | null = null;

  /**
   * @param designs by item
   * @param redesigned those among them that may be others than the last time, or gone; null: all
   */
  read(
    building: Building,
    designs: ReadonlyMap<string, { readonly assumptions: readonly Text[] }>,
    redesigned: Iterable<string> | null,
  ): void {
    const { last } = this;
    this.last = building;
    this.news = new Set();
    if (!last || !redesigned || last.answers !== building.answers) {
      this.byItem.clear();
      this.open = 0;
      this.write(building, null, [STABILITY]);
      for (const id of building.hangers.keys()) this.write(building, id, [HANGER]);
      building.walls.forEach((wall, id) => this.write(building, id, wallAssumptions(wall, building.brief)));
      for (const id of building.stripFootings.keys()) this.write(building, id, [STRIP]);
      building.panels.forEach((panel, id) => this.write(building, id, panelAssumptions(panel, building.brief)));
      for (const members of [building.beams, building.columns])
        members.forEach((body: Beam | Column, id) => {
          if (isLoadOnly(building, id, body)) this.write(building, id, loadOnlyAssumptions(building, body));
        });
      designs.forEach(({ assumptions }, id) => this.write(building, id, assumptions));
      this.news = null;
      return;
    }
    const again = <B>(before: ReadonlyMap<string, B>, now: ReadonlyMap<string, B>, of: (body: B) => readonly Text[]) => {
      if (before === now) return;
      for (const id of differenceOf(before, now) ?? new Set([...before.keys(), ...now.keys()])) {
        const body = now.get(id);
        if (body !== undefined) this.write(building, id, of(body));
        else this.takeAway(id);
      }
    };
    again(last.hangers, building.hangers, () => [HANGER]);
    again(last.walls, building.walls, (wall) => wallAssumptions(wall, building.brief));
    again(last.stripFootings, building.stripFootings, () => [STRIP]);
    again(last.panels, building.panels, (panel) => panelAssumptions(panel, building.brief));
    for (const part of ['beams', 'columns'] as const) {
      const [before, now]: ReadonlyMap<string, Beam | Column>[] = [last[part], building[part]];
      if (before === now && last.brief === building.brief) continue;
      for (const id of (last.brief === building.brief && differenceOf(before!, now!)) || now!.keys()) {
        const body = now!.get(id);
        if (body && isLoadOnly(building, id, body)) this.write(building, id, loadOnlyAssumptions(building, body));
        else if (!designs.has(id)) this.takeAway(id);
      }
    }
    for (const id of redesigned) {
      const design = designs.get(id);
      if (design) this.write(building, id, design.assumptions);
      // not designed yet, or gone; items of other kinds keep theirs
      else if (!this.isWrittenAlone(building, id)) this.takeAway(id);
    }
  }

  /** Does it have assumptions without a design? */
  private isWrittenAlone(building: Building, id: string): boolean {
    const spanning = building.beams.get(id) ?? building.columns.get(id);
    if (spanning) return isLoadOnly(building, id, spanning);
    return building.hangers.has(id) || building.walls.has(id) || building.stripFootings.has(id) || building.panels.has(id);
  }

  private takeAway(id: string): void {
    this.open -= unanswered(this.byItem.get(id));
    if (this.byItem.delete(id)) this.news?.add(id);
  }

  private write(building: Building, item: string | null, texts: readonly Text[]): void {
    if (texts.length === 0) {
      this.takeAway(item ?? PROJECT);
      return;
    }
    this.news?.add(item ?? PROJECT);
    const mark = item === null ? PROJECT : markOf(building, item);
    const list = texts.map(({ key, text, reason }): RecordedAssumption => {
      const full = `${item ?? PROJECT}:${key}`;
      const answer = building.answers.get(full);
      return { item, key: full, mark, text, reason, answer: answer ? { reason: answer.reason, by: answer.by } : null };
    });
    this.open += unanswered(list) - unanswered(this.byItem.get(item ?? PROJECT));
    this.byItem.set(item ?? PROJECT, list);
  }
}

/** A truss is taken down as a beam that is load only, and has a design of its own. */
const isLoadOnly = ({ trusses }: Building, id: string, { material }: Beam | Column) => material === 'loadOnly' && !trusses.has(id);

const loadOnlyAssumptions = ({ brief: { units } }: Building, body: Beam | Column): readonly Text[] =>
  'supports' in body ? [LOAD_ONLY, ...supportAssumptions(body, units)] : [LOAD_ONLY];

function unanswered(list: readonly RecordedAssumption[] | undefined): number {
  let open = 0;
  for (const { answer } of list ?? []) if (!answer) open += 1;
  return open;
}

/** All assumptions in one list. */
export function allAssumptions(byItem: ReadonlyMap<string, readonly RecordedAssumption[]>): RecordedAssumption[] {
  return [...byItem.values()].flat();
}
