import { z } from 'zod';
import { personaSchema } from '$core/persona/persona';
import { wordSetsSchema } from '$core/persona/word-set';

/** What a string being written is kept as. */
export const draftSchema = z.object({ text: z.string().max(200_000) });

/** The kinds of document a brief holds, with the schema of each. */
export const documentSchemas = { persona: personaSchema, wording: wordSetsSchema, draft: draftSchema } as const;
