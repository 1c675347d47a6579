import { type ItemKind, isOnLevel, planLength, pointAlong, type Building, type Panel, type PlanPoint, type Wall } from '../building';
import { formatQuantity, type UnitSystem } from '../quantity';
import { regionOf } from '../takedown';
import { Pencil, type Drawing } from './drawing';
import { drawLoads, drawMeasurements, drawNotes, type PlanSheet } from './planExtras';
import { dashOf, drawRemoved, statusLegend, type Status } from './planStatus';
import { Places, textWidth } from './places';
import { drawSupports } from './planSupports';
import { fitView, toScreen, type PlanView } from './planView';

export interface PlanInput {
  readonly building: Building;
  readonly level: string;
  readonly selected: string | null;
  /** More that are chosen, when several are. */
  readonly alsoSelected?: ReadonlySet<string>;
  readonly transfers: ReadonlySet<string>;
  /** What is shown; the whole building when not given. */
  readonly view?: PlanView;
  /** Levels whose members are drawn faintly behind, to see what continues. */
  readonly ghosts?: readonly string[];
  /** A drawing lies beneath: panels let it through. */
  readonly overDrawing?: boolean;
  readonly width: number;
  readonly height: number;
}

/** Round lengths for a scale bar, mm. */
const BARS: Record<UnitSystem, readonly number[]> = {
  SI: [500, 1000, 2000, 5000, 10_000, 20_000, 50_000],
  US: [5, 10, 20, 50, 100, 200].map((feet) => feet * 304.8),
};

/** Where along a member its mark may stand, the best place first. */
const ALONG = [0.42, 0.3, 0.58, 0.2, 0.7, 0.8, 0.12];

/** The marks of one level as they are drawn, kept apart from each other. */
class Plan implements PlanSheet {
  readonly pencil = new Pencil();
  readonly places = new Places();
  private readonly view: PlanView;
  private readonly scale: number;

  constructor(readonly input: PlanInput) {
    this.view = input.view ?? fitView(input.building, input.width, input.height);
    this.scale = this.view.scale;
  }

  readonly place = (p: PlanPoint): [number, number] => toScreen(this.view, this.input.width, this.input.height, p);

  /** False for what lies wholly outside the picture: it is not drawn. */
  isSeen(...points: readonly PlanPoint[]): boolean {
    const { width, height } = this.input;
    let [left, right, top, foot] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const point of points) {
      const [x, y] = this.place(point);
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      foot = Math.max(foot, y);
    }
    return right > -20 && left < width + 20 && foot > -20 && top < height + 20;
  }

  look(id: string): { chosen: boolean; pen: 'accent' | 'ink' } {
    const chosen = id === this.input.selected || (this.input.alsoSelected?.has(id) ?? false);
    return { chosen, pen: chosen ? 'accent' : 'ink' };
  }

  gridlines(): void {
    for (const { id, body } of this.input.building.gridlines) {
      const [a, b] = [this.place(body.from), this.place(body.to)];
      const { pen } = this.look(id);
      this.pencil.line([a, b], pen === 'accent' ? 'accent' : 'faint', { width: 0.8, dash: [14, 3, 2, 3], item: id });
      this.pencil.circle(a[0], a[1], 11, 'paper', pen === 'accent' ? 'accent' : 'soft', id);
      this.pencil.text(a[0], a[1] + 4, body.label, { size: 11, anchor: 'middle', pen: pen === 'accent' ? 'accent' : 'soft', item: id });
    }
  }

  /** What stands on other levels, faintly: does it continue? */
  ghosts(): void {
    const { building, ghosts = [] } = this.input;
    for (const level of ghosts) {
      for (const beam of building.beams.values())
        if (beam.level === level && this.isSeen(beam.from, beam.to))
          this.pencil.line([this.place(beam.from), this.place(beam.to)], 'faint', { width: 2 });
      for (const wall of building.walls.values())
        if (isOnLevel(building, wall, level) && this.isSeen(wall.from, wall.to))
          this.pencil.area(this.band(wall, wall.thickness), 'none', { pen: 'faint', width: 0.8 });
      for (const column of building.columns.values())
        if (isOnLevel(building, column, level) && this.isSeen(column.at)) {
          const [x, y] = this.place(column.at);
          this.pencil.rectangle(x - 7, y - 7, 14, 14, 'none', { pen: 'faint', width: 1 });
        }
    }
  }

  /** The outline of something with a line and a width on plan. */
  private band(line: { from: PlanPoint; to: PlanPoint }, width: number, least = 3): [number, number][] {
    const [a, b] = [this.place(line.from), this.place(line.to)];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const half = Math.max(least, (width * this.scale) / 2);
    const [nx, ny] = [(-(b[1] - a[1]) / length) * half, ((b[0] - a[0]) / length) * half];
    return [
      [a[0] + nx, a[1] + ny],
      [b[0] + nx, b[1] + ny],
      [b[0] - nx, b[1] - ny],
      [a[0] - nx, a[1] - ny],
    ];
  }

  /** Panels with their openings and the arrow of their span. */
  panels(): void {
    const { building, level } = this.input;
    for (const [id, panel] of building.panels) {
      if (panel.level !== level || !this.isSeen(...panel.outline)) continue;
      const { chosen, pen } = this.look(id);
      this.pencil.area(panel.outline.map(this.place), 'floor', {
        pen: chosen ? pen : panel.status === 'existing' ? 'soft' : 'faint',
        width: chosen ? 2 : 0.6,
        dash: dashOf(panel),
        item: id,
        opacity: this.input.overDrawing ? 0.45 : undefined,
      });
      for (const { outline } of panel.openings) {
        const corners = outline.map(this.place);
        this.pencil.area(corners, 'paper', { pen: 'soft', width: 0.8, item: id });
        if (corners.length === 4) {
          this.pencil.line([corners[0]!, corners[2]!], 'faint', { width: 0.6 });
          this.pencil.line([corners[1]!, corners[3]!], 'faint', { width: 0.6 });
        }
      }
      this.spanArrow(id, panel, pen);
    }
  }

  private spanArrow(id: string, panel: Panel, pen: 'accent' | 'ink'): void {
    const { area, x, y } = regionOf(panel.outline);
    if (area === 0) return;
    const centre = { x: x / area, y: y / area };
    const reach = 0.3 * Math.sqrt(area);
    const arms = panel.span === 'twoWay' ? [panel.direction, panel.direction + Math.PI / 2] : [panel.direction];
    const ink = pen === 'accent' ? 'accent' : 'soft';
    for (const angle of arms) {
      const [dx, dy] = [Math.cos(angle) * reach, Math.sin(angle) * reach];
      const ends = [
        { x: centre.x - dx, y: centre.y - dy },
        { x: centre.x + dx, y: centre.y + dy },
      ].map(this.place);
      if (Math.hypot(ends[1]![0] - ends[0]![0], ends[1]![1] - ends[0]![1]) > 24)
        this.pencil.line(ends, ink, { width: 1, arrow: 'both', item: id });
    }
    const [px, py] = this.place(centre);
    const upright = Math.abs(Math.sin(panel.direction)) > 0.7;
    this.panelMarks.push({
      x: upright ? px + 6 : px - (6.4 * panel.mark.length) / 2,
      y: upright ? py + 4 : py - 5,
      text: panel.mark,
      id,
      pen: ink,
    });
  }

  private readonly panelMarks: { x: number; y: number; text: string; id: string; pen: 'accent' | 'soft' }[] = [];

  /** Marks of panels, where nothing else is written. */
  panelNames(): void {
    for (const { x, y, text, id, pen } of this.panelMarks) {
      if (!this.places.isFree(x, y - 10, textWidth(text), 12)) continue;
      this.places.take(x, y - 10, textWidth(text), 12);
      this.pencil.text(x, y, text, { size: 10.5, pen, halo: true, item: id });
    }
  }

  stripFootings(): void {
    const { building, level } = this.input;
    for (const [id, strip] of building.stripFootings) {
      if (strip.level !== level || !this.isSeen(strip.from, strip.to)) continue;
      const { chosen, pen } = this.look(id);
      this.pencil.area(this.band(strip, strip.width ?? 600, 6), 'concrete', {
        pen,
        width: chosen ? 2 : 1,
        dash: dashOf(strip),
        item: id,
      });
    }
  }

  /** Floor and roof strips as washes over both sides of their beam. */
  strips(): void {
    for (const beam of this.input.building.beams.values()) {
      if (beam.level !== this.input.level) continue;
      const length = planLength(beam) || 1;
      const [nx, ny] = [-(beam.to.y - beam.from.y) / length, (beam.to.x - beam.from.x) / length];
      for (const strip of beam.strips) {
        const [a, b] = [pointAlong(beam, strip.from), pointAlong(beam, Math.min(strip.to, length))];
        const beside = (p: PlanPoint, d: number) => this.place({ x: p.x + nx * d, y: p.y + ny * d });
        const outline = [
          beside(a, strip.widthStart / 2),
          beside(b, strip.widthEnd / 2),
          beside(b, -strip.widthEnd / 2),
          beside(a, -strip.widthStart / 2),
        ];
        this.pencil.area(outline, 'floor', { pen: 'faint', width: 0.5 });
      }
    }
  }

  /** Walls hatched where they start on this level, in outline where they end here. */
  walls(): void {
    const { building, level } = this.input;
    for (const [id, wall] of building.walls) {
      if (!isOnLevel(building, wall, level)) continue;
      // one that passes goes on above
      const starts = wall.top !== level;
      if (!this.isSeen(wall.from, wall.to)) continue;
      const { chosen, pen } = this.look(id);
      const fill = starts && wall.bears !== 'no' ? 'masonry' : 'none';
      const ink = chosen ? pen : wall.status === 'existing' ? 'soft' : 'ink';
      this.pencil.area(this.band(wall, wall.thickness), fill, { pen: ink, width: chosen ? 2 : 1, dash: dashOf(wall), item: id });
      this.openings(wall);
    }
  }

  /** Openings of a wall as gaps in it. */
  private openings(wall: Wall): void {
    for (const { from, to } of wall.openings)
      this.pencil.area(this.band({ from: pointAlong(wall, from), to: pointAlong(wall, to) }, wall.thickness), 'paper', {
        pen: 'soft',
        width: 0.6,
      });
  }

  beams(): void {
    const { building, level } = this.input;
    for (const [id, beam] of building.beams) {
      if (beam.level !== level || !this.isSeen(beam.from, beam.to)) continue;
      const { chosen, pen } = this.look(id);
      const isTruss = building.trusses.has(id);
      const dash = isTruss ? [9, 3] : beam.status === 'existing' ? [12, 2] : undefined;
      this.pencil.line([this.place(beam.from), this.place(beam.to)], pen, {
        width: chosen ? 4 : isTruss ? 2 : 3,
        dash,
        item: id,
      });
      drawSupports(this.pencil, (point) => this.place(point), beam, pen, id);
    }
  }

  /** Footings, posts and hangers. A hollow square starts here, a filled one comes up from below; both may stand in one place. */
  posts(): void {
    const { building, level } = this.input;
    const marks = new Map<string, string[]>();
    const note = (at: PlanPoint, mark: string) => {
      const key = `${Math.round(at.x)},${Math.round(at.y)}`;
      marks.set(key, [...(marks.get(key) ?? []), mark]);
    };
    const square = (post: { at: PlanPoint; status: Status }, half: number, full: 'ink' | 'paper' | 'concrete', id: string) => {
      const [x, y] = this.place(post.at);
      // a dash does not show on a black square: what is there already is grey
      const fill = full === 'ink' && post.status === 'existing' ? 'concrete' : full;
      const { chosen, pen } = this.look(id);
      this.pencil.rectangle(x - half, y - half, 2 * half, 2 * half, chosen && fill === 'ink' ? 'accent' : fill, {
        pen,
        width: chosen ? 2 : 1.2,
        dash: dashOf(post),
        item: id,
      });
    };
    for (const [id, footing] of building.footings) {
      if (footing.level !== level || !this.isSeen(footing.at)) continue;
      square(footing, Math.max(10, ((footing.width ?? 900) * this.scale) / 2), 'concrete', id);
      note(footing.at, footing.mark);
    }
    for (const starting of [true, false])
      for (const [id, column] of building.columns) {
        if ((starting ? column.base !== level : column.base === level) || !isOnLevel(building, column, level)) continue;
        if (!this.isSeen(column.at)) continue;
        square(column, starting ? 6 : 3.5, starting ? 'paper' : 'ink', id);
        note(column.at, column.mark);
      }
    for (const [id, hanger] of building.hangers) {
      if (!isOnLevel(building, hanger, level)) continue;
      this.pencil.circle(...this.place(hanger.at), 4, this.look(id).chosen ? 'accent' : 'paper', 'ink', id, dashOf(hanger));
      note(hanger.at, hanger.mark);
    }
    for (const [key, names] of marks) {
      const [x, y] = key.split(',').map(Number) as [number, number];
      const [px, py] = this.place({ x, y });
      const text = names.join(' · ');
      this.places.take(px - 8, py - 8, 16, 16);
      const width = textWidth(text);
      // right of the post, or left of it where that would be cut at the edge of the picture
      const x1 = px + 9 + width <= this.input.width ? px + 9 : px - 9 - width;
      if (!this.places.isFree(x1, py + 7, width, 13)) continue;
      this.places.take(x1, py + 7, width, 13);
      this.pencil.text(x1, py + 17, text, { size: 10.5, pen: 'soft', halo: true });
    }
  }

  /** Marks of beams and walls, each at the first place along it where nothing else is written. */
  lineMarks(): void {
    const { building, level, transfers } = this.input;
    for (const [id, strip] of building.stripFootings)
      if (strip.level === level && this.isSeen(strip.from, strip.to)) this.lineMark(id, strip, strip.mark, false);
    for (const [id, wall] of building.walls)
      if (isOnLevel(building, wall, level) && this.isSeen(wall.from, wall.to))
        this.lineMark(id, wall, wall.bears === 'open' ? `${wall.mark} carries?` : wall.mark, false);
    for (const [id, beam] of building.beams)
      if (beam.level === level && this.isSeen(beam.from, beam.to))
        this.lineMark(id, beam, transfers.has(id) ? `${beam.mark} transfer` : beam.mark, true);
  }

  private lineMark(id: string, line: { from: PlanPoint; to: PlanPoint }, text: string, bold: boolean): void {
    const [a, b] = [this.place(line.from), this.place(line.to)];
    const upright = Math.abs(b[1] - a[1]) > Math.abs(b[0] - a[0]);
    const width = textWidth(text);
    // beside the line on one side or the other, wherever along it nothing else is written
    const places = ALONG.flatMap((t) => {
      const [mx, my] = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
      return upright
        ? [
            { x: mx + 8, y: my - 7 },
            { x: mx - 8 - width, y: my - 7 },
          ]
        : [
            { x: mx - width / 2, y: my - 18 },
            { x: mx - width / 2, y: my + 5 },
          ];
    });
    const free = places.find((place) => this.places.isFree(place.x, place.y, width, 13));
    // where there is no room nearer sight will show it
    if (!free && !this.look(id).chosen) return;
    const { x, y } = free ?? places[0]!;
    this.places.take(x, y, width, 13);
    this.pencil.text(upright ? x : x + width / 2, y + 11, text, {
      size: 11.5,
      bold,
      anchor: upright ? 'start' : 'middle',
      pen: this.look(id).pen,
      item: id,
      halo: true,
    });
  }

  scaleBar(): void {
    const { units } = this.input.building.brief;
    const { width } = this.input;
    const bar = BARS[units].filter((length) => length * this.scale <= width / 3).at(-1) ?? BARS[units][0]!;
    const words = formatQuantity(bar, 'length', units, { figures: 3 });
    const [x, y] = [width - bar * this.scale - textWidth(words) - 24, 14];
    this.pencil.rectangle(x - 8, y - 9, bar * this.scale + 24 + textWidth(words), 18, 'paper', { opacity: 0.9 });
    this.pencil.line(
      [
        [x, y],
        [x + bar * this.scale, y],
      ],
      'ink',
      { width: 1.4 },
    );
    for (const t of [0, 0.5, 1])
      this.pencil.line(
        [
          [x + t * bar * this.scale, y - 4],
          [x + t * bar * this.scale, y + 4],
        ],
        'ink',
      );
    this.pencil.text(x + bar * this.scale + 8, y + 4, words, { size: 10.5, pen: 'soft' });
  }
}

/** What is drawn on a plan, the lowest first. */
const PASSES = {
  ghosts: (plan) => plan.ghosts(),
  panels: (plan) => plan.panels(),
  strips: (plan) => plan.strips(),
  gridlines: (plan) => plan.gridlines(),
  removed: drawRemoved,
  stripFootings: (plan) => plan.stripFootings(),
  walls: (plan) => plan.walls(),
  beams: (plan) => plan.beams(),
  posts: (plan) => plan.posts(),
  notes: drawNotes,
  loads: drawLoads,
  lineMarks: (plan) => plan.lineMarks(),
  panelNames: (plan) => plan.panelNames(),
  measurements: drawMeasurements,
  scaleBar: (plan) => plan.scaleBar(),
} as const satisfies Readonly<Record<string, (plan: Plan) => void>>;

/** By which of them items of a kind are drawn; null: they have no place on a plan, or lie beneath it. */
export const DRAWN_BY: { readonly [K in ItemKind]: keyof typeof PASSES | null } = {
  brief: null,
  level: null,
  action: null,
  buildUp: null,
  beam: 'beams',
  truss: 'beams',
  column: 'posts',
  hanger: 'posts',
  wall: 'walls',
  footing: 'posts',
  stripFooting: 'stripFootings',
  panel: 'panels',
  gridline: 'gridlines',
  drawing: null,
  load: 'loads',
  measurement: 'measurements',
  note: 'notes',
  answer: null,
};

/** A level on plan, to scale, with everything that stands, starts or ends on it. */
export function planDrawing(input: PlanInput): Drawing {
  const plan = new Plan(input);
  for (const draw of Object.values(PASSES)) draw(plan);
  statusLegend(plan, input.width, input.height);
  const name = input.building.levels.find((entry) => entry.id === input.level)?.body.name ?? '';
  return { width: input.width, height: input.height, title: `Plan of ${name}, to scale`, marks: plan.pencil.marks };
}
