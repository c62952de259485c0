import * as z from 'zod';
import { personSchema } from '$core/people/person';
import { consentShape, regionsShape } from '$core/people/house-list-shapes';
import { ownLexiconShape } from '$core/titles/own-lexicon-shape';
import { personaShape } from '$core/persona/persona-shape';
import { wordSetsSchema } from '$core/persona/word-set';
import { draftSchema } from './draft';
import { largest } from './limits';

/** What was chosen among the versions: one to measure the others against, and the one to use at each source. */
export const choiceSchema = z.object({
  certainOnly: z.boolean().default(false).describe('Every screen counts only those who are certain'),
  leftOut: z.array(z.string().min(1).max(100)).max(1000).default([]).describe('Sources that strings are not run on'),
  baseline: z.int().min(1).max(largest).nullable(),
  winners: z
    .array(
      z.object({
        sourceId: z.string().min(1).max(100),
        version: z.int().min(1).max(largest),
        note: z.string().max(500)
      })
    )
    .max(100)
    .refine((winners) => new Set(winners.map(({ sourceId }) => sourceId)).size === winners.length, {
      error: 'Each source has one version chosen.'
    })
});
export type Choice = z.infer<typeof choiceSchema>;

/** The kinds of document a brief holds, with the schema of each. */
export const documentSchemas = {
  persona: personaShape,
  wording: wordSetsSchema,
  draft: draftSchema,
  /** Known-goods: people who must be found. */
  known: z.array(personSchema).max(20_000),
  /** People already contacted: left out of what a trial shows. */
  contacted: z.array(personSchema).max(50_000),
  choice: choiceSchema
} as const;

/** Lists that the house keeps for all its briefs, with the schema of each. */
export const houseListSchemas = { regions: regionsShape, consent: consentShape, lexicon: ownLexiconShape } as const;
