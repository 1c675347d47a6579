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
