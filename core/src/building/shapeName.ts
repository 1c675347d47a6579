import { isSection, readDesignation } from '../section';
import type { Brief } from './item';

/** What a section is called in a project: an own shape by the name that the brief gives it, any other by its designation. */
export function shapeName({ ownShapes }: Pick<Brief, 'ownShapes'>, designation: string): string {
  return ownShapes.find((shape) => shape.designation === designation)?.name ?? designation;
}

/** Its name with its dimensions, for print: `PG1: own I 600x250x10x20`. */
export function shapeInFull(brief: Pick<Brief, 'ownShapes'>, designation: string): string {
  const name = shapeName(brief, designation);
  return name === designation ? name : `${name}: ${designation}`;
}

/**
 * The designation that somebody means in a project: an own shape by its name too.
 * @throws BadInput when there is no such section
 */
export function readShape({ ownShapes }: Pick<Brief, 'ownShapes'>, text: string): string {
  const typed = text.trim();
  if (isSection(typed)) return typed;
  return ownShapes.find(({ name }) => name.toLowerCase() === typed.toLowerCase())?.designation ?? readDesignation(typed);
}
