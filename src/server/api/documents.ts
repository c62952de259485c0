import { z } from 'zod';
import { personSchema } from '$core/corpus';
import { consentSchema, regionsSchema } from '$core/people';
import { personaSchema, wordSetsSchema } from '$core/persona';

/** What a string being written is kept as. */
export const draftSchema = z.object({
  text: z.string().max(200_000),
  from: z.int().min(1).nullable().default(null).describe('The version that was taken up and is being changed')
});

/** What was chosen among the versions: one to measure the others against, and the one to use at each source. */
export const choiceSchema = z.object({
  certainOnly: z.boolean().default(false).describe('Every screen counts only those who are certain'),
  baseline: z.int().min(1).nullable(),
  winners: z
    .array(z.object({ sourceId: z.string().min(1).max(100), version: z.int().min(1), note: z.string().max(500) }))
    .max(100)
    .refine((winners) => new Set(winners.map(({ sourceId }) => sourceId)).size === winners.length, {
      error: 'Each source has one version chosen.'
    })
});
export type Choice = z.infer<typeof choiceSchema>;

/** The kinds of document a brief holds, with the schema of each. */
export const documentSchemas = {
  persona: personaSchema,
  wording: wordSetsSchema,
  draft: draftSchema,
  /** Known-goods: people who must be found. */
  known: z.array(personSchema).max(20_000),
  /** People already contacted: left out of what a trial shows. */
  contacted: z.array(personSchema).max(50_000),
  choice: choiceSchema
} as const;

/** Lists that the house keeps for all its briefs, with the schema of each. */
export const houseListSchemas = { regions: regionsSchema, consent: consentSchema } as const;
