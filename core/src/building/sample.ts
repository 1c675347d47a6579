import { ITEM_SCHEMAS, RULES_OF_FAMILY, type Family, type Item, type ItemKind } from './item';
import type { z } from 'zod';

/** A brief with usual values for a family: what a new project starts from. */
export function defaultBrief(name: string, family: Family) {
  const european = family !== 'american';
  return {
    name,
    family,
    units: european ? 'SI' : 'US',
    combinationRule: RULES_OF_FAMILY[family][0],
    grade: family === 'european' ? 'S355' : family === 'american' ? 'A992' : 'S275',
    hollowGrade: european ? 'S355H' : 'A500C',
    roundGrade: european ? 'S355H' : 'A53B',
    concrete: european ? 'C30/37' : '4000 psi',
    reinforcement: european ? 'B500B' : 'Grade 60',
    bar: european ? '12' : '#5',
    cover: european ? 50 : 76.2,
    bearing: european ? 0.15 : '3 ksf',
    bearingBasis: 'gross',
    bearingSource: '',
    soilUnitWeight: european ? 18e-6 : '110 pcf',
    concreteUnitWeight: european ? 25e-6 : '150 pcf',
    foundingDepth: european ? 1000 : '3 ft',
    footingStep: european ? 50 : '6 in',
    deflectionVariable: 360,
    deflectionTotal: european ? 250 : 240,
    deflectionTransfer: 500,
    deflectionBrittle: 480,
    deflectionCrane: 600,
    deflectionCantilever: 180,
  } as const satisfies z.input<(typeof ITEM_SCHEMAS)['brief']>;
}

/** Writes an item by hand, as a person would type it: quantities may be text with units, defaults are filled in. */
export function item<K extends ItemKind>(kind: K, id: string, body: z.input<(typeof ITEM_SCHEMAS)[K]>): Item {
  return { id, kind, body: ITEM_SCHEMAS[kind].parse(body) } as Item;
}
