import * as z from 'zod';
import { documentSchemas, type houseListSchemas } from '$api/documents';
import { consentSchema, regionsSchema } from '$core/people';
import { ownLexiconShape } from '$core/titles';
import { personaSchema } from '$core/persona';
import { check } from '$server/platform/check';

// What is kept is checked against more than its shape, which is all that the contract checks: countries and industries must be some.
const documents = { ...documentSchemas, persona: personaSchema };
const houseLists = { regions: regionsSchema, consent: consentSchema, lexicon: ownLexiconShape } satisfies Record<
  keyof typeof houseListSchemas,
  z.ZodType
>;
const schemas = { ...documents, ...houseLists };

/** What is to be kept of a document or list that was sent; refused with a sentence where it cannot be. */
export const keepable = (kind: keyof typeof schemas, body: unknown): unknown =>
  check(z.object({ body: schemas[kind] as z.ZodType }), { body }, 'what was sent').body;
