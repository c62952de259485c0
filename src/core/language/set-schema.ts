import * as z from 'zod';

/** How a named word set is called in a string: `@` and this. */
export const setNameSchema = z
  .string()
  .trim()
  .toLowerCase()
  .regex(
    /^[\p{L}\p{N}][\p{L}\p{N}_-]{0,59}$/u,
    'A name is one word of letters, digits and hyphens, such as never-interns.'
  );

const wording = z.string().trim().min(1).max(300);
const wordings = <W extends z.ZodType<string>>(one: W) =>
  z.array(one).min(1, 'A word set needs at least one wording.').max(2000);

/** What a named word set looks like, before its wordings are read as the notation has them. */
export const namedSetShape = z.object({
  name: setNameSchema,
  kind: z.enum(['wanted', 'unwanted']),
  wordings: wordings(wording),
  note: z.string().max(500).default('')
});

/** The same, with wordings that `isWording` takes. */
export const namedSetOf = (isWording: (text: string) => boolean) =>
  namedSetShape.extend({ wordings: wordings(wording.refine(isWording, 'needs a word or a phrase')) });
