import { BadInput } from '../error';
import { metricAngleCsv } from './catalogue/metricAngle.csv';
import { metricHollowCsv } from './catalogue/metricHollow.csv';
import { metricRolledCsv } from './catalogue/metricRolled.csv';
import { usAngleCsv } from './catalogue/usAngle.csv';
import { usHollowCsv } from './catalogue/usHollow.csv';
import { usOtherCsv } from './catalogue/usOther.csv';
import { usRolledCsv } from './catalogue/usRolled.csv';
import { OWN_EXAMPLE, ownShape } from './own';
import { sectionProperties } from './properties';
import type { Product, SectionProperties, Shape, Taper } from './shape';

/** One catalogued shape, with the properties computed from its dimensions. */
export interface Section {
  readonly designation: string;
  readonly family: string;
  /** Where it is rolled; own: made of dimensions that somebody wrote. */
  readonly region: 'european' | 'american' | 'own';
  readonly shape: Shape;
  readonly properties: SectionProperties;
  /** Published mass, kg/mm: what own weight is taken from. */
  readonly mass: number;
  /** How it is made: which buckling curves and grades apply. */
  readonly product: Product;
}

/** Density of steel, kg/mm3. */
export const STEEL_DENSITY = 7.85e-6;
const INCH = 25.4;
const POUND_PER_FOOT = 0.45359237 / 304.8;
/** Design wall of ASTM A500 hollow shapes over the nominal, AISC 360-16 B4.2. */
const DESIGN_WALL = 0.93;

/** A row of the catalogue. Few of its shapes are used in a project: the properties are computed when they are first asked for. */
class Listed implements Section {
  #properties: SectionProperties | undefined = undefined;

  constructor(
    readonly designation: string,
    readonly family: string,
    readonly region: Section['region'],
    readonly shape: Shape,
    readonly mass: number,
    readonly product: Product,
  ) {}

  get properties(): SectionProperties {
    return (this.#properties ??= sectionProperties(this.shape));
  }
}

type Row = Record<string, string>;

function readCsv(text: string): Row[] {
  const [header, ...lines] = text.trim().split('\n');
  const names = header!.split(',');
  return lines.map((line) => Object.fromEntries(line.split(',').map((cell, i) => [names[i]!, cell])));
}

const num = (row: Row, name: string) => Number(row[name]);

function hollowShape(row: Row, unit: number, wall: number, outerRadius: number, innerRadius: number): Shape {
  const t = wall * unit;
  if (row['outline'] === 'tube') return { outline: 'tube', d: num(row, 'h') * unit, t };
  return { outline: 'box', h: num(row, 'h') * unit, b: num(row, 'b') * unit, t, ro: outerRadius * t, ri: innerRadius * t };
}

function section(row: Row, region: Section['region'], shape: Shape, mass: number): Section {
  const product = shape.outline === 'box' ? 'hollow' : shape.outline === 'tube' ? 'round' : 'rolled';
  return new Listed(row['designation']!, row['family']!, region, shape, mass, product);
}

const TAPERED = new Set(['S', 'C', 'MC', 'UPN']);

/** Taper of the families that have one: as thick as tf in the middle of the flange's outstand, UPN in the middle of its width. */
function taperOf(row: Row, unit: number, b: number, slope: number): { taper?: Taper } {
  if (!TAPERED.has(row['family']!)) return {};
  const tw = num(row, 'tw');
  const at = row['family'] === 'UPN' ? b / 2 : row['outline'] === 'I' ? (b / 2 + tw / 2) / 2 : (b + tw) / 2;
  return { taper: { slope, at: at * unit } };
}

/** An I or channel in inches. */
function usRolled(row: Row): Section {
  const shape: Shape = {
    outline: outlineOf(row),
    h: num(row, 'd') * INCH,
    b: num(row, 'bf') * INCH,
    tw: num(row, 'tw') * INCH,
    tf: num(row, 'tf') * INCH,
    r: (num(row, 'kdes') - num(row, 'tf')) * INCH,
    ...taperOf(row, INCH, num(row, 'bf'), 1 / 6),
  };
  return section(row, 'american', shape, num(row, 'mass') * POUND_PER_FOOT);
}

/** The tee that is half of a W: W18X50 gives WT9X25. */
function halved(whole: Section): Section[] {
  const named = /^W([\d.]+)X([\d.]+)$/.exec(whole.designation);
  if (!named || whole.shape.outline !== 'I') return [];
  const { h, b, tw, tf, r } = whole.shape;
  const shape: Shape = { outline: 'tee', h: h / 2, b, tw, tf, r };
  return [new Listed(`WT${Number(named[1]) / 2}X${Number(named[2]) / 2}`, 'WT', whole.region, shape, whole.mass / 2, whole.product)];
}

function angleRow(row: Row, region: 'european' | 'american', unit: number, mass: number): Section {
  const shape: Shape = {
    outline: 'angle',
    h: num(row, 'h') * unit,
    b: num(row, 'b') * unit,
    t: num(row, 't') * unit,
    r: num(row, 'r') * unit,
    toe: num(row, 'toe') * unit,
  };
  return section(row, region, shape, num(row, 'mass') * mass);
}

const outlineOf = (row: Row) => row['outline'] as 'I' | 'channel';

function build(): Section[] {
  const wide = readCsv(usRolledCsv).map(usRolled);
  return [
    ...readCsv(metricRolledCsv).map((row) =>
      section(
        row,
        'european',
        {
          outline: outlineOf(row),
          h: num(row, 'h'),
          b: num(row, 'b'),
          tw: num(row, 'tw'),
          tf: num(row, 'tf'),
          r: num(row, 'r'),
          ...taperOf(row, 1, num(row, 'b'), 0.08),
        },
        num(row, 'mass') / 1000,
      ),
    ),
    ...readCsv(metricAngleCsv).map((row) => angleRow(row, 'european', 1, 1 / 1000)),
    ...readCsv(metricHollowCsv).map((row) => section(row, 'european', hollowShape(row, 1, num(row, 't'), 1.5, 1), num(row, 'mass') / 1000)),
    ...wide,
    ...readCsv(usOtherCsv).map(usRolled),
    ...readCsv(usAngleCsv).map((row) => angleRow(row, 'american', INCH, POUND_PER_FOOT)),
    ...wide.flatMap(halved),
    // corners of A500: outside radius twice, inside once the design wall
    ...readCsv(usHollowCsv).map((row) =>
      section(row, 'american', hollowShape(row, INCH, DESIGN_WALL * num(row, 'tnom'), 2, 1), num(row, 'mass') * POUND_PER_FOOT),
    ),
  ];
}

let all: Section[] | undefined;
let byDesignation: Map<string, Section> | undefined;
/** Own shapes met so far. */
const own = new Map<string, Section>();

/** Every catalogued shape, in the order of the catalogue's files. */
export function catalogue(): readonly Section[] {
  return (all ??= build());
}

/** @throws BadInput when there is no such designation */
export function findSection(designation: string): Section {
  byDesignation ??= new Map(catalogue().map((entry) => [entry.designation, entry]));
  const found = byDesignation.get(designation) ?? own.get(designation);
  if (found) return found;
  const written = ownShape(designation);
  if (!written)
    throw new BadInput(
      `section "${designation}" is not in the catalogue; write it as UB 457x191x82, SHS 150x150x8 or W16X31, or a shape of your own as ${OWN_EXAMPLE}`,
      'section',
    );
  const properties = sectionProperties(written.shape);
  const made: Section = { designation, family: 'own', region: 'own', ...written, properties, mass: properties.A * STEEL_DENSITY };
  own.set(designation, made);
  return made;
}

/**
 * Mass over that of area times density, for the check that every row must pass. American hollow shapes are published by
 * nominal wall, so their area is taken with the nominal wall here.
 */
export function massRatio(entry: Section): number {
  let shape = entry.shape;
  if (entry.region === 'american' && shape.outline === 'box') {
    const t = shape.t / DESIGN_WALL;
    shape = { ...shape, t, ro: 2 * t, ri: t };
  } else if (entry.region === 'american' && shape.outline === 'tube') shape = { ...shape, t: shape.t / DESIGN_WALL };
  return entry.mass / (sectionProperties(shape).A * STEEL_DENSITY);
}

/** Whether a designation is one of the catalogue, or gives a shape of one's own. */
export function isSection(designation: string): boolean {
  try {
    return Boolean(findSection(designation));
  } catch (error) {
    if (error instanceof BadInput) return false;
    throw error;
  }
}
