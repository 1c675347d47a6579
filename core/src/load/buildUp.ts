import { z } from 'zod';
import { quantity } from '../quantity';
import type { Sheet } from '../sheet';
import { caseFields, caseIdOfLoad, caseOf, usualCases, type LoadCases } from './action';
import { USES, VARIABLE_NATURES } from './nature';
import { text } from '../schema';

/** What a layer hangs on or lies on: ceilings and ducts load the joists, never the deck above them. */
export const CARRIERS = ['deck', 'joists'] as const;

export const layerSchema = z.strictObject({
  name: text(80, 1, 'a layer needs a name').describe('what the layer is'),
  load: quantity('areaLoad', 'weight per area', { min: 0, max: 1 }),
  nature: z
    .enum(['permanent', 'superimposed'])
    .default('permanent')
    .describe('permanent, or superimposed: finishes and services that may be taken away'),
  carriedBy: z.enum(CARRIERS).default('deck').describe('deck: lies on the deck; joists: hangs below and loads the joists only'),
  allowance: z.boolean().default(false).describe('prudence for what may be added later, shown as such'),
});

export const variableLoadSchema = z.strictObject({
  name: text(80, 1, 'a load needs a name').describe('what the load is'),
  load: quantity('areaLoad', 'load per area on plan', { min: 0, max: 1 }),
  nature: z.enum(VARIABLE_NATURES).describe('imposed, roofImposed, snow, wind, temperature, seismic or accidental'),
  use: z.enum(USES).optional().describe('use category of an imposed load, EN 1991-1-1 table 6.1'),
  ...caseFields,
});

/** A floor, roof or wall build-up: layers of weight and the variable loads it bears. */
export const buildUpSchema = z.strictObject({
  name: text(80, 1, 'a build-up needs a name').describe('name'),
  layers: z.array(layerSchema).max(60).describe('permanent layers, top to bottom'),
  variable: z.array(variableLoadSchema).max(40).default([]).describe('variable loads'),
});

export type Layer = z.output<typeof layerSchema>;
export type BuildUp = z.output<typeof buildUpSchema>;

/** One part of a build-up as a load in one case, N/mm2 on plan. */
export interface AreaLoadPart {
  readonly name: string;
  /** Load case in which it acts. */
  readonly caseId: string;
  readonly intensity: number;
  /** For a layer: its weight per area of its own plane, N/mm2; null for variable load. */
  readonly perPlane: number | null;
  readonly allowance: boolean;
}

/**
 * The loads that a build-up puts on a member, part by part, per area of plan.
 * On a pitch the layers act per area of slope, variable load per area of plan.
 * @param pitch rad; 0 for a floor
 * @param target what is being loaded: the deck does not bear what hangs on the joists
 */
export function areaLoads(buildUp: BuildUp, pitch = 0, target: (typeof CARRIERS)[number] = 'joists'): AreaLoadPart[] {
  const slope = 1 / Math.cos(pitch);
  const layers = buildUp.layers
    .filter((layer) => target === 'joists' || layer.carriedBy === 'deck')
    .map((layer) => ({
      name: layer.name,
      caseId: caseOf(layer.nature).id,
      intensity: layer.load * slope,
      perPlane: layer.load,
      allowance: layer.allowance,
    }));
  const variable = buildUp.variable.map((load) => ({
    name: load.name,
    caseId: caseIdOfLoad(load),
    intensity: load.load,
    perPlane: null,
    allowance: false,
  }));
  return [...layers, ...variable].filter((part) => part.intensity !== 0);
}

/** All variable load of a build-up, N/mm2 on plan. */
export function variableTotal(buildUp: BuildUp): number {
  return buildUp.variable.reduce((sum, { load }) => sum + load, 0);
}

/**
 * The sum of a build-up per case, N/mm2 on plan; written line by line on the sheet.
 * @param cases the load cases of the project, for their names on the sheet
 */
export function sumByCase(buildUp: BuildUp, pitch = 0, sheet?: Sheet, cases: LoadCases = usualCases): Map<string, number> {
  const sums = new Map<string, number>();
  const parts = areaLoads(buildUp, pitch);
  const symbols = new Map<string, string[]>();
  if (pitch !== 0) sheet?.given('theta', pitch, 'angle', 'pitch of the plane on which the layers lie');
  parts.forEach((part, i) => {
    const id = part.caseId;
    sums.set(id, (sums.get(id) ?? 0) + part.intensity);
    if (!sheet) return;
    const symbol = `g_${i + 1}`;
    if (part.perPlane !== null && pitch !== 0) {
      sheet.given(`w_${i + 1}`, part.perPlane, 'areaLoad', `${part.name}${part.allowance ? ' (allowance)' : ''}, per area of its plane`);
      sheet.step(
        symbol,
        `w_${i + 1} / cos(theta)`,
        { [`w_${i + 1}`]: part.perPlane, theta: pitch },
        part.intensity,
        'areaLoad',
        'geometry',
        'per area on plan',
      );
    } else sheet.given(symbol, part.intensity, 'areaLoad', `${part.name}${part.allowance ? ' (allowance)' : ''}, per area on plan`);
    symbols.set(id, [...(symbols.get(id) ?? []), symbol]);
  });
  if (sheet) {
    let n = 0;
    for (const [id, names] of symbols) {
      n += 1;
      const inputs = Object.fromEntries(names.map((name) => [name, parts[Number(name.slice(2)) - 1]!.intensity]));
      sheet.step(`q_${n}`, names.join(' + '), inputs, sums.get(id)!, 'areaLoad', 'sum', cases.get(id)?.name ?? id);
    }
  }
  return sums;
}
