import type { Building, PlanPoint } from '../building';
import { planLength, pointAlong } from '../building';
import { formatQuantity, type UnitSystem } from '../quantity';
import { Pencil, type Drawing } from './drawing';

export interface PlanInput {
  readonly building: Building;
  readonly level: string;
  readonly selected: string | null;
  readonly transfers: ReadonlySet<string>;
  readonly width: number;
  readonly height: number;
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** Round lengths for a scale bar, mm. */
const BARS: Record<UnitSystem, readonly number[]> = {
  SI: [500, 1000, 2000, 5000, 10_000, 20_000, 50_000],
  US: [5, 10, 20, 50, 100, 200].map((feet) => feet * 304.8),
};

function extent(building: Building): Box {
  const points: PlanPoint[] = [];
  for (const members of [building.beams, building.walls]) for (const member of members.values()) points.push(member.from, member.to);
  for (const members of [building.columns, building.hangers, building.footings])
    for (const member of members.values()) points.push(member.at);
  if (points.length === 0) return { left: 0, right: 10_000, low: 0, high: 8000 };
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return { left, right: Math.max(right, left + 1000), low, high: Math.max(high, low + 1000) };
}

/** Keeps marks apart: a place is free when no mark and no post stands in it. */
class Places {
  private readonly taken: [x1: number, y1: number, x2: number, y2: number][] = [];

  take(x: number, y: number, width: number, height: number): void {
    this.taken.push([x, y, x + width, y + height]);
  }

  isFree(x: number, y: number, width: number, height: number): boolean {
    return this.taken.every(([x1, y1, x2, y2]) => x + width <= x1 || x >= x2 || y + height <= y1 || y >= y2);
  }
}

/** About as wide as a mark is written. */
const textWidth = (text: string) => 6.4 * text.length;

/** Where along a member its mark may stand, the best place first. */
const ALONG = [0.42, 0.3, 0.58, 0.2, 0.7, 0.8, 0.12];

/** The marks of one level as they are drawn, kept apart from each other. */
class Plan {
  readonly pencil = new Pencil();
  private readonly places = new Places();
  private readonly scale: number;
  private readonly x0: number;
  private readonly y0: number;
  private readonly box: Box;

  constructor(private readonly input: PlanInput) {
    const { building, width, height } = input;
    const box = extent(building);
    const margin = 64;
    this.scale = Math.min((width - 2 * margin) / (box.right - box.left), (height - 2 * margin) / (box.high - box.low));
    this.x0 = (width - (box.right - box.left) * this.scale) / 2;
    this.y0 = (height - 20 + (box.high - box.low) * this.scale) / 2;
    this.box = box;
  }

  private readonly place = ({ x, y }: PlanPoint): [number, number] => [
    this.x0 + (x - this.box.left) * this.scale,
    this.y0 - (y - this.box.low) * this.scale,
  ];

  private look(id: string): { chosen: boolean; pen: 'accent' | 'ink' } {
    const chosen = id === this.input.selected;
    return { chosen, pen: chosen ? 'accent' : 'ink' };
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
      const starts = wall.base === level;
      if (!starts && wall.top !== level) continue;
      const [a, b] = [this.place(wall.from), this.place(wall.to)];
      const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
      const half = Math.max(3, (215 * this.scale) / 2);
      const [nx, ny] = [(-(b[1] - a[1]) / length) * half, ((b[0] - a[0]) / length) * half];
      const outline: [number, number][] = [
        [a[0] + nx, a[1] + ny],
        [b[0] + nx, b[1] + ny],
        [b[0] - nx, b[1] - ny],
        [a[0] - nx, a[1] - ny],
      ];
      const { chosen, pen } = this.look(id);
      this.pencil.area(outline, starts ? 'masonry' : 'none', { pen, width: chosen ? 2 : 1, item: id });
    }
  }

  beams(): void {
    const { building, level } = this.input;
    for (const [id, beam] of building.beams) {
      if (beam.level !== level) continue;
      const { chosen, pen } = this.look(id);
      const dash = beam.role === 'truss' ? [9, 3] : beam.status === 'existing' ? [12, 2] : undefined;
      this.pencil.line([this.place(beam.from), this.place(beam.to)], pen, {
        width: chosen ? 4 : beam.role === 'truss' ? 2 : 3,
        dash,
        item: id,
      });
      for (const support of beam.supports)
        this.pencil.circle(...this.place(pointAlong(beam, support.at)), 2.4, support.by ? 'paper' : 'accent', pen, id);
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
    const square = (at: PlanPoint, half: number, fill: 'ink' | 'paper' | 'concrete', id: string) => {
      const [x, y] = this.place(at);
      const { chosen, pen } = this.look(id);
      this.pencil.rectangle(x - half, y - half, 2 * half, 2 * half, chosen && fill === 'ink' ? 'accent' : fill, {
        pen,
        width: chosen ? 2 : 1.2,
        item: id,
      });
    };
    for (const [id, footing] of building.footings) {
      if (footing.level !== level) continue;
      square(footing.at, Math.max(10, ((footing.width ?? 900) * this.scale) / 2), 'concrete', id);
      note(footing.at, footing.mark);
    }
    for (const starting of [true, false])
      for (const [id, column] of building.columns) {
        if ((starting ? column.base : column.top) !== level) continue;
        square(column.at, starting ? 6 : 3.5, starting ? 'paper' : 'ink', id);
        note(column.at, column.mark);
      }
    for (const [id, hanger] of building.hangers) {
      if (hanger.top !== level && hanger.base !== level) continue;
      this.pencil.circle(...this.place(hanger.at), 4, this.look(id).chosen ? 'accent' : 'paper', 'ink', id);
      note(hanger.at, hanger.mark);
    }
    for (const [key, names] of marks) {
      const [x, y] = key.split(',').map(Number) as [number, number];
      const [px, py] = this.place({ x, y });
      const text = names.join(' · ');
      this.places.take(px - 8, py - 8, 16, 16);
      this.places.take(px + 9, py + 7, textWidth(text), 13);
      this.pencil.text(px + 9, py + 17, text, { size: 10.5, pen: 'soft', halo: true });
    }
  }

  /** Marks of beams and walls, each at the first place along it where nothing else is written. */
  lineMarks(): void {
    const { building, level, transfers } = this.input;
    for (const [id, wall] of building.walls) if (wall.base === level || wall.top === level) this.lineMark(id, wall, wall.mark, false);
    for (const [id, beam] of building.beams)
      if (beam.level === level) this.lineMark(id, beam, transfers.has(id) ? `${beam.mark} transfer` : beam.mark, true);
  }

  private lineMark(id: string, line: { from: PlanPoint; to: PlanPoint }, text: string, bold: boolean): void {
    const [a, b] = [this.place(line.from), this.place(line.to)];
    const upright = Math.abs(b[1] - a[1]) > Math.abs(b[0] - a[0]);
    const width = textWidth(text);
    const at = (t: number) => {
      const [mx, my] = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
      return upright ? { x: mx + 8, y: my - 7 } : { x: mx - width / 2, y: my - 18 };
    };
    const t = ALONG.find((candidate) => this.places.isFree(at(candidate).x, at(candidate).y, width, 13)) ?? ALONG[0]!;
    const { x, y } = at(t);
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
    const { width, height } = this.input;
    const bar = BARS[units].filter((length) => length * this.scale <= width / 3).at(-1) ?? BARS[units][0]!;
    const [x, y] = [24, height - 14];
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
    this.pencil.text(x + bar * this.scale + 8, y + 4, formatQuantity(bar, 'length', units, { figures: 3 }), { size: 10.5, pen: 'soft' });
  }
}

/** A level on plan, to scale, with everything that stands, starts or ends on it. */
export function planDrawing(input: PlanInput): Drawing {
  const plan = new Plan(input);
  plan.strips();
  plan.walls();
  plan.beams();
  plan.posts();
  plan.lineMarks();
  plan.scaleBar();
  const name = input.building.levels.find((entry) => entry.id === input.level)?.body.name ?? '';
  return { width: input.width, height: input.height, title: `Plan of ${name}, to scale`, marks: plan.pencil.marks };
}
