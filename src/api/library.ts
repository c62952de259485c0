import * as z from 'zod';
import { namedSetShape, setNameSchema } from '$core/language/set-schema';
import { houseListSchemas } from './documents';
import { keptDocument, mebibyte, operation } from './operation';
import { paths } from './paths';
import { revision } from './shapes';

const wordSet = namedSetShape.extend({
  revision,
  /** Briefs whose string uses it */
  usedIn: z.array(z.object({ id: z.uuid(), name: z.string() }))
});

const wordSetParams = z.object({ name: setNameSchema });

const regions = keptDocument([paths.readRegions, paths.writeRegions], houseListSchemas.regions);
const consent = keptDocument([paths.readConsent, paths.writeConsent], houseListSchemas.consent);

const lexicon = keptDocument([paths.readLexicon, paths.writeLexicon], houseListSchemas.lexicon);

/** What is kept for all briefs. */
export const library = {
  readRegions: regions.read,
  writeRegions: regions.write,
  readConsent: consent.read,
  writeConsent: consent.write,
  readLexicon: lexicon.read,
  writeLexicon: lexicon.write,
  listWordSets: operation(paths.listWordSets, {
    response: z.array(wordSet)
  }),
  createWordSet: operation(paths.createWordSet, {
    body: namedSetShape,
    response: wordSet,
    status: 201
  }),
  writeWordSet: operation(paths.writeWordSet, {
    params: wordSetParams,
    body: namedSetShape.omit({ name: true }).extend({
      revision,
      /** Briefs that are known to change with it */
      seen: z.array(z.uuid()).max(10_000).default([])
    }),
    response: wordSet
  }),
  deleteWordSet: operation(paths.deleteWordSet, {
    params: wordSetParams
  }),
  exportWordSets: operation(paths.exportWordSets, {
    query: z.object({ format: z.enum(['json', 'csv']) }),
    response: z.object({ text: z.string() })
  }),
  importWordSets: operation(paths.importWordSets, {
    bodyLimit: 6 * mebibyte,
    body: z.object({ text: z.string().max(4_000_000) }),
    response: z.object({ added: z.int(), extended: z.int(), unchanged: z.int(), wordings: z.int() })
  })
};
