import { z } from 'zod';
import { designation } from '../../schema';

/** What a member is made of. Load only: it is taken down here and designed elsewhere. */
export const MATERIALS = ['steel', 'concrete', 'loadOnly'] as const;

/** Of what a member is made, with the fields that such a member has; those of another are null. */
export type Made =
  | { readonly material: 'steel'; readonly section: string | null; readonly grade: string | null }
  | { readonly material: 'concrete' | 'loadOnly'; readonly section: null; readonly grade: null };

const made = {
  material: z.enum(MATERIALS).default('steel').describe('steel, concrete, or load only: taken down here and not designed'),
  section: designation().nullable().default(null).describe('of steel: designation of the catalogue; null: not chosen'),
  grade: designation().nullable().default(null).describe('of steel; null: the grade of the brief'),
};

/** A member with what it is made of. A field of a material that it is not made of is refused. */
export function madeOf<Shape extends z.ZodRawShape>(shape: Shape) {
  return z.strictObject({ ...shape, ...made }).superRefine((body, context) => {
    const { material, section, grade } = body as { material: string; section: string | null; grade: string | null };
    if (material === 'steel') return;
    for (const [field, value] of Object.entries({ section, grade }))
      if (value !== null)
        context.addIssue({
          code: 'custom',
          path: [field],
          message: `a ${field} of steel is chosen, and it is ${material === 'concrete' ? 'of concrete' : 'load only'}: take the ${field} away, or make it steel`,
        });
  });
}
