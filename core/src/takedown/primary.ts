import {
  overlappingWallOpenings,
  storeyOf,
  wallHeight,
  type Building,
  type ExtraLoad,
  type Made,
  type Named,
  type Wall,
} from '../building';
import { caseIdOfLoad } from '../load';
import { GRAVITY } from '../quantity';
import { findSection } from '../section';
import { BookKeeper, resultantOf, type BalanceBook } from './balance';
import { withOneMore } from './few';
import { carriedOf, permanentOf, type Carried } from './carried';
import { Brought, type Landed } from './landed';
import { scaled, type LooseEnd, type Source } from './ledger';
import { type ArrivalShape } from './shape';
import { intensityOf, weightOfLayers } from './intensity';
import { lengthIn } from './inUnits';
import { LooseEnds } from './looseEnd';
import type { Node } from './node';
import { clipShape } from './shape';

/** Loads that act on a member first-hand, before anything that other members bring. */
export interface Primary {
  readonly arrivals: readonly Landed[];
  readonly book: BalanceBook;
  readonly looseEnds: readonly LooseEnd[];
}

/** Uniform own weight, N/mm: of the chosen section, or the visible allowance; what is not of steel weighs what is typed. */
function ownWeight(member: Made & { readonly ownWeight: number }): { weight: number; allowance: boolean } {
  if (member.material !== 'steel') return { weight: member.ownWeight, allowance: false };
  if (member.section === null) return { weight: member.ownWeight, allowance: true };
  try {
    return { weight: findSection(member.section).mass * GRAVITY, allowance: false };
  } catch {
    return { weight: member.ownWeight, allowance: true };
  }
}

export function primaryLoads(building: Building, node: Node, loads: readonly Named<ExtraLoad>[], panels: readonly Landed[]): Primary {
  return new PrimaryLoads(building, node).all(loads, panels);
}

/** Own weight of a section, and as an allowance. */
const OWN = [
  { label: 'own weight', source: { type: 'ownWeight', allowance: false } },
  { label: 'own weight, allowance', source: { type: 'ownWeight', allowance: true } },
] as const;

const wholes = new Map<number, ArrivalShape>();

/** All along a member, evenly: members of one length share it. */
function wholeLength(length: number): ArrivalShape {
  let known = wholes.get(length);
  if (!known) {
    if (wholes.size > 4000) wholes.clear();
    wholes.set(length, (known = { type: 'distributed', from: 0, to: length, start: 1, end: 1 }));
  }
  return known;
}

const AT_POINT: ArrivalShape = { type: 'point', at: 0 };

/** Length that stretches cover together, mm, where they lie over each other once. */
function unionLength(stretches: readonly (readonly [number, number])[]): number {
  let [covered, end] = [0, -Infinity];
  for (const [from, to] of [...stretches].sort((a, b) => a[0] - b[0])) {
    covered += Math.max(0, to - Math.max(from, end));
    end = Math.max(end, to);
  }
  return covered;
}

class PrimaryLoads {
  private arrivals: readonly Landed[] = [];
  private readonly book = new BookKeeper();
  private readonly ends: LooseEnds;

  constructor(
    private readonly building: Building,
    private readonly node: Node,
  ) {
    this.ends = new LooseEnds(node.id);
  }

  all(loads: readonly Named<ExtraLoad>[], panels: readonly Landed[]): Primary {
    this.own();
    if (this.node.kind === 'beam') this.strips(this.node.body.strips);
    for (const landing of panels) this.land(landing);
    for (const load of loads) this.extra(load);
    return { arrivals: this.arrivals, book: this.book.book, looseEnds: this.ends.list };
  }

  /** Applied to the balance, and laid on the member as far as the member reaches. */
  private apply(key: string, label: string, source: Source, shape: ArrivalShape, carried: Carried): void {
    if (carried.isNothing) return;
    const { node } = this;
    this.book.add('applied', carried, resultantOf(node.place, shape));
    const { inside, outside } = node.length === 0 ? { inside: shape, outside: [] } : clipShape(shape, node.length + 1e-6);
    for (const part of outside) {
      const lost = resultantOf(node.place, part);
      this.book.add('lost', carried, lost);
      this.ends.add(
        'past-end',
        key,
        `${label} reaches past the end of ${node.mark}`,
        'The part beyond the end lands on nothing.',
        `Shorten the load, or lengthen ${node.mark}.`,
        scaled(carried.byCase, lost.force),
      );
    }
    if (inside) this.land(new Brought(node.id, key, '', label, source, inside, carried));
  }

  private land(arrival: Landed): void {
    this.arrivals = withOneMore(this.arrivals, arrival);
  }

  private own(): void {
    const { node } = this;
    switch (node.kind) {
      case 'beam': {
        const { weight, allowance } = ownWeight(node.body);
        const { label, source } = OWN[+allowance]!;
        if (node.length > 0) this.apply('own', label, source, wholeLength(node.length), permanentOf(weight));
        break;
      }
      case 'column': {
        const { weight, allowance } = ownWeight(node.body);
        this.apply(
          'own',
          OWN[+allowance]!.label,
          OWN[+allowance]!.source,
          AT_POINT,
          permanentOf(weight * storeyOf(this.building, node.body)),
        );
        break;
      }
      case 'hanger': {
        const weight = node.body.ownWeight * storeyOf(this.building, node.body);
        this.apply('own', OWN[0].label, OWN[0].source, AT_POINT, permanentOf(weight));
        break;
      }
      case 'wall': {
        this.face(node.body, wallHeight(this.building, node.body));
        break;
      }
      case 'footing':
      case 'stripFooting':
        break;
    }
  }

  /** A wall's own weight by the height of its face, less its openings, stretch by stretch. */
  private face(wall: Wall, height: number): void {
    const { length } = this.node;
    const buildUp = wall.buildUp === null ? undefined : this.building.buildUps.get(wall.buildUp);
    const weight = buildUp ? weightOfLayers(buildUp) : permanentOf(wall.weight);
    wall.openings.forEach(({ to, head }, i) => {
      if (to <= length + 1 && head <= height + 1) return;
      this.ends.add(
        'opening',
        i,
        `Opening ${i + 1} of ${this.node.mark} reaches out of the wall`,
        `The wall is ${lengthIn(length)} long and ${lengthIn(height)} high; only the part inside it is taken off the weight.`,
        'Type where the opening starts and ends, measured from the start of the wall and from its foot.',
      );
    });
    const clear = wall.openings
      .map(({ from, to, sill, head }) => ({ from, to: Math.min(to, length), bottom: sill, top: Math.min(head, height) }))
      .filter(({ from, to, bottom, top }) => to > from && top > bottom);
    const pair = overlappingWallOpenings(wall.openings);
    if (pair)
      this.ends.add(
        'openings-overlap',
        '',
        `Openings ${pair[0] + 1} and ${pair[1] + 1} of ${this.node.mark} lie over each other`,
        'They are counted as one: what lies in both is taken off once.',
        'Draw one opening in their place, or move them apart.',
      );
    const cuts = [...new Set([0, length, ...clear.flatMap(({ from, to }) => [from, to])])].sort((a, b) => a - b);
    for (let i = 0; i + 1 < cuts.length; i += 1) {
      const [from, to] = [cuts[i]!, cuts[i + 1]!];
      const open = unionLength(clear.filter((opening) => opening.from < to && opening.to > from).map(({ bottom, top }) => [bottom, top]));
      const solid = Math.max(0, height - open);
      const label = open > 0 ? 'own weight at an opening' : 'own weight';
      const shape: ArrivalShape = { type: 'distributed', from, to, start: solid, end: solid };
      if (solid > 0) this.apply(`own${i || ''}`, label, OWN[0].source, shape, weight);
    }
  }

  private strips(strips: Extract<Node, { kind: 'beam' }>['body']['strips']): void {
    strips.forEach((strip, index) => {
      const buildUp = this.building.buildUps.get(strip.buildUp);
      if (!buildUp) return;
      if (!(strip.to > strip.from)) {
        // what it would weigh the right way round is applied, and reaches nothing until somebody puts it right
        const carried = intensityOf(buildUp, strip.pitch);
        const shape: ArrivalShape = { type: 'distributed', from: strip.to, to: strip.from, start: strip.widthEnd, end: strip.widthStart };
        const whole = resultantOf(this.node.place, shape);
        this.book.add('applied', carried, whole);
        this.book.add('lost', carried, whole);
        this.ends.add(
          'strip-reversed',
          index,
          `Strip ${index + 1} of ${this.node.mark} ends before its start`,
          'Nothing of it lands on the beam.',
          'Type where it starts and ends, measured from the start of the beam.',
          scaled(carried.byCase, whole.force),
        );
        return;
      }
      this.apply(
        `strip${index}`,
        strip.label || buildUp.name,
        { type: 'strip', buildUp: strip.buildUp, index },
        { type: 'distributed', from: strip.from, to: strip.to, start: strip.widthStart, end: strip.widthEnd },
        intensityOf(buildUp, strip.pitch),
      );
    });
  }

  private extra({ id, body }: Named<ExtraLoad>): void {
    const { node } = this;
    const caseId = caseIdOfLoad(body);
    const isPoint = body.type === 'point' || node.length === 0;
    if (!isPoint && !(body.to > body.from)) {
      this.ends.add(
        'no-length',
        id,
        `${body.label} on ${node.mark} has no length`,
        'A line load needs an end beyond its start.',
        'Type where it starts and ends.',
        carriedOf({ [caseId]: body.intensity * (body.from - body.to) }).byCase,
      );
      const whole = resultantOf(node.place, { type: 'distributed', from: body.to, to: body.from, start: 1, end: 1 });
      const carried = carriedOf({ [caseId]: body.type === 'line' ? body.intensity : 0 });
      this.book.add('applied', carried, whole);
      this.book.add('lost', carried, whole);
      return;
    }
    const shape: ArrivalShape = isPoint
      ? { type: 'point', at: node.length === 0 ? 0 : body.at }
      : { type: 'distributed', from: body.from, to: body.to, start: 1, end: 1 };
    const value = !isPoint ? body.intensity : body.type === 'line' ? body.intensity * (body.to - body.from) : body.force;
    this.apply(id, body.label, { type: 'load', load: id }, shape, carriedOf({ [caseId]: value }));
  }
}
