import type { Building, Hanger, Item, PlacedKind, PlanPoint, StandingKind } from '../../building';
import { geometryOf, isOnLevel, item, placedItem, shortWay, standing, STANDING_KINDS } from '../../building';
import type { DxfDrawing, DxfText } from './read';
import { cutOut, type DrawnOpening, type DrawnPanel } from './openings';
import { writeDxf, type DxfSheet } from './write';

/** Layers of a plan as it is written, by kind of item; the same names are understood when a DXF is read as members. */
export const PLAN_LAYERS = {
  beam: 'PLINTH-BEAM',
  truss: 'PLINTH-TRUSS',
  wall: 'PLINTH-WALL',
  column: 'PLINTH-COLUMN',
  hanger: 'PLINTH-HANGER',
  footing: 'PLINTH-PAD',
  stripFooting: 'PLINTH-STRIP',
  panel: 'PLINTH-PANEL',
  gridline: 'PLINTH-GRID',
} as const satisfies Record<PlacedKind, string>;
export type PlanKind = PlacedKind;

const OPENINGS = `${PLAN_LAYERS.panel}-OPENING`;

const TEXT = 200;
const RADIUS = 150;

/** The members of a level as DXF: lines and circles on a layer a kind, each with its mark as text at its middle. mm. */
export function planDxf(building: Building, level: string): string {
  const lines: DxfSheet['lines'][number][] = [];
  const circles: NonNullable<DxfSheet['circles']>[number][] = [];
  const texts: NonNullable<DxfSheet['texts']>[number][] = [];
  const name = (kind: PlanKind, at: PlanPoint, text: string) => texts.push({ layer: PLAN_LAYERS[kind], at, height: TEXT, text });
  const line = (kind: PlanKind, { from, to }: { from: PlanPoint; to: PlanPoint }, mark: string) => {
    lines.push({ layer: PLAN_LAYERS[kind], points: [from, to] });
    name(kind, { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }, mark);
  };
  const point = (kind: PlanKind, at: PlanPoint, mark: string) => {
    circles.push({ layer: PLAN_LAYERS[kind], at, radius: RADIUS });
    name(kind, at, mark);
  };
  const isDrawn = (kind: StandingKind, body: object) =>
    kind === 'hanger' ? (body as Hanger).base === level : isOnLevel(building, body, level);
  for (const kind of STANDING_KINDS)
    for (const [id, body] of standing(building, kind)) {
      if (!isDrawn(kind, body)) continue;
      if ('from' in body) line(building.trusses.has(id) ? 'truss' : kind, body, body.mark);
      else if ('at' in body) point(kind, body.at, body.mark);
    }
  for (const panel of building.panels.values()) {
    if (panel.level !== level) continue;
    lines.push({ layer: PLAN_LAYERS.panel, points: panel.outline, closed: true });
    for (const { outline, label } of panel.openings) {
      lines.push({ layer: OPENINGS, points: outline, closed: true });
      if (label) texts.push({ layer: OPENINGS, at: middleOf(outline), height: TEXT, text: label });
    }
    name('panel', middleOf(panel.outline), panel.mark);
  }
  for (const { body } of building.gridlines) line('gridline', body, body.label);
  return writeDxf({ lines, circles, texts });
}

function middleOf(outline: readonly PlanPoint[]): PlanPoint {
  return {
    x: outline.reduce((sum, p) => sum + p.x, 0) / outline.length,
    y: outline.reduce((sum, p) => sum + p.y, 0) / outline.length,
  };
}

/** What the lines of a layer become: members, or openings that are cut out of the panels read with them. */
export type LayerKind = PlanKind | 'opening';

/** What a layer of a DXF becomes; a layer that is not named is left out. */
export type LayerKinds = Readonly<Record<string, LayerKind>>;

/** The kinds that layer names suggest: those of our own plans, and words such as BEAM, WALL or COLUMN in a name. */
export function suggestedKinds(layers: readonly string[]): Record<string, LayerKind> {
  const kinds: Record<string, LayerKind> = {};
  for (const layer of layers) {
    const own = (Object.keys(PLAN_LAYERS) as PlanKind[]).find((kind) => PLAN_LAYERS[kind] === layer);
    const word = WORDS.find(([pattern]) => pattern.test(layer));
    const kind = own ?? (/(wall|door|window).*opening/i.test(layer) ? undefined : word?.[1]);
    if (kind) kinds[layer] = kind;
  }
  return kinds;
}

const WORDS: readonly (readonly [RegExp, LayerKind])[] = [
  // those of walls are none in a floor
  [/^(?!.*(wall|door|window)).*(opening|void|hole)/i, 'opening'],
  [/strip/i, 'stripFooting'],
  [/footing|pad|found/i, 'footing'],
  [/truss/i, 'truss'],
  [/beam|girder/i, 'beam'],
  [/wall/i, 'wall'],
  [/column|post/i, 'column'],
  [/hanger|rod/i, 'hanger'],
  [/panel|slab|floor/i, 'panel'],
  [/grid|axis/i, 'gridline'],
];

export interface MembersOfDxf {
  readonly items: readonly Item[];
  /** What was left out, in words. */
  readonly left: readonly string[];
}

/**
 * The lines of a DXF as members of a level: a straight line is a beam, a wall, a strip footing or a gridline; a circle is a column, a
 * hanger or a pad; a closed outline is a panel, or an opening in the panels read with it. A text of its layer at its middle is its mark.
 * @param scale mm to a drawing unit
 * @param fresh gives a new id and, for a kind whose text is missing or taken, a new mark
 */
export function membersOfDxf(
  dxf: DxfDrawing,
  kinds: LayerKinds,
  scale: number,
  { building, level }: { readonly building: Pick<Building, 'brief' | 'levels' | 'buildUps'>; readonly level: string },
  fresh: { readonly id: (kind: PlanKind) => string; readonly mark: (kind: PlanKind, wanted: string | null) => string },
): MembersOfDxf {
  const items: Item[] = [];
  const left: string[] = [];
  const mm = ({ x, y }: PlanPoint): PlanPoint => ({ x: x * scale, y: y * scale });
  const texts = new Map<string, DxfText[]>();
  for (const text of dxf.texts) {
    const list = texts.get(text.layer);
    if (list) list.push(text);
    else texts.set(text.layer, [text]);
  }
  const textAt = (layer: string, at: PlanPoint): string | null =>
    texts.get(layer)?.find((text) => Math.hypot(text.at.x * scale - at.x, text.at.y * scale - at.y) < 1)?.text ?? null;
  let skipped = 0;
  const panels: DrawnPanel[] = [];
  const openings: DrawnOpening[] = [];
  for (const { layer, points, closed, centre } of dxf.lines) {
    const kind = kinds[layer];
    if (!kind) continue;
    const round = kind !== 'opening' && geometryOf(kind) === 'point';
    if (kind === 'panel' || kind === 'opening') {
      const outline = points.map(mm);
      const text = textAt(layer, middleOf(outline));
      if (!closed || outline.length < 3 || outline.length > 200 || building.buildUps.size === 0) skipped += 1;
      else if (kind === 'opening') openings.push({ label: text?.slice(0, 40) ?? '', outline });
      else panels.push({ mark: fresh.mark(kind, text), outline, openings: [] });
      continue;
    }
    if (round) {
      // a post is drawn as a circle, or as the outline of its section
      const at = centre ? mm(centre) : closed ? mm(middleOf(points)) : null;
      if (!at) {
        skipped += 1;
        continue;
      }
      const mark = fresh.mark(kind, textAt(layer, at));
      const id = fresh.id(kind);
      items.push(placedItem(building, kind, id, mark, level, [at]));
      continue;
    }
    for (let i = 0; i + 1 < points.length + (closed ? 1 : 0); i += 1) {
      const [from, to] = [mm(points[i]!), mm(points[(i + 1) % points.length]!)];
      if (Math.hypot(to.x - from.x, to.y - from.y) < 1) continue;
      const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
      const mark = fresh.mark(kind, points.length === 2 ? textAt(layer, middle) : null);
      const id = fresh.id(kind);
      items.push(placedItem(building, kind, id, kind === 'gridline' ? mark.slice(0, 8) : mark, level, [from, to]));
    }
  }
  const beside = cutOut(panels, openings);
  for (const panel of panels)
    items.push(
      item('panel', fresh.id('panel'), {
        ...panel,
        level,
        buildUp: building.buildUps.keys().next().value!,
        direction: shortWay(panel.outline),
      }),
    );
  if (beside > 0) left.push(`openings that lie beside the panels read with them, wholly or in part: ${beside}`);
  if (skipped > 0) left.push(`${skipped} shapes that are not what their layer should hold`);
  const other = dxf.layers.map(({ name }) => name).filter((name) => !kinds[name]);
  if (other.length > 0) left.push(`layers ${other.join(', ')}`);
  for (const [kind, count] of Object.entries(dxf.unread)) left.push(`${count} of ${kind}`);
  return { items, left };
}
