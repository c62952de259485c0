import { z } from 'zod';
import { personSchema } from '$core/corpus/person';
import { personaSchema } from '$core/persona/persona';
import { wordSetsSchema } from '$core/persona/word-set';

/** What a string being written is kept as. */
export const draftSchema = z.object({
  text: z.string().max(200_000),
  from: z.int().min(1).nullable().default(null).describe('The version that was taken up and is being changed')
});

/** The kinds of document a brief holds, with the schema of each. */
export const documentSchemas = {
  persona: personaSchema,
  wording: wordSetsSchema,
  draft: draftSchema,
  /** Known-goods: people who must be found. */
  known: z.array(personSchema).max(20_000)
} as const;
