import { readHouseList, writeHouseList } from './house-lists';
import { writeLexicon } from './lexicon';
import { createWordSet, deleteWordSet, exportWordSets, importWordSets, listWordSets, writeWordSet } from './word-sets';
import type { Handlers } from '$server/http/handlers';

export const libraryRoutes = {
  readConsent: () => readHouseList('consent'),
  writeConsent: ({ body }) => writeHouseList('consent', body),
  readLexicon: () => readHouseList('lexicon'),
  writeLexicon: ({ body }) => writeLexicon(body),
  readRegions: () => readHouseList('regions'),
  writeRegions: ({ body }) => writeHouseList('regions', body),
  exportWordSets: ({ query }) => exportWordSets(query.format),
  importWordSets: ({ body }) => importWordSets(body.text),
  listWordSets: listWordSets,
  createWordSet: ({ body }) => createWordSet(body),
  writeWordSet: ({ params, body }) => writeWordSet(params.name, body),
  deleteWordSet: ({ params }) => deleteWordSet(params.name)
} satisfies Partial<Handlers>;
