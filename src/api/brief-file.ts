import * as z from 'zod';
import { personSchema } from '$core/people/person';
import { searchSchema } from '$core/dialect/search-schema';
import { sheetSchema } from '$core/dialect/sheet';
import { searchAnswerSchema } from '$core/measure/figures-schema';
import { querySchema } from '$core/language/query-schema';
import { namedSetShape } from '$core/language/set-schema';
import { documentSchemas } from './documents';
import { largest } from './limits';

const sourceId = z.string().min(1).max(100);
const personId = z.string().min(1).max(300);
const number = z.int().min(0).max(largest);
const verdict = z.enum(['fit', 'miss', 'unsure']);
const moment = z.iso.datetime();
/** A person by place in the list `people` of the file. */
const place = number.describe('Place in the list of people');

/** A list in which nothing comes twice by its name. */
const once = <S extends z.ZodType>(item: S, what: string, nameOf: (one: z.output<S>) => unknown) =>
  z.array(item).superRefine((list, context) => {
    const seen = new Set<string>();
    list.forEach((one, i) => {
      const name = JSON.stringify(nameOf(one));
      if (seen.has(name)) context.addIssue({ code: 'custom', path: [i], message: `${what} ${name} is there twice.` });
      seen.add(name);
    });
  });
const recordOf = ({ sourceId: source, personId: person }: { sourceId: string; personId: string }) => [source, person];

/** Shared by the file and the API: what a string becomes at a source. */
export const renderingSchema = z.object({
  searches: z.array(searchSchema),
  exactness: z.enum(['exact', 'wider', 'impossible']),
  leftover: querySchema.nullable(),
  notes: z.array(z.string()),
  limit: z.string().optional().describe('The limit that makes several searches of it, or none'),
  use: z.object({ characters: z.int(), words: z.int(), operators: z.int(), nesting: z.int() })
});
export const versionSetsSchema = z.array(z.object({ name: z.string(), wordings: z.array(z.string()) }));

/** A whole brief as one JSON file: what it says, every version, run, verdict and choice. It holds no key of any database. */
export const briefFileSchema = z.object({
  format: z.literal('eave-brief', { error: 'this is no brief that Eave wrote' }),
  formatVersion: z.literal(2, { error: 'this file was written by a newer Eave' }),
  name: z.string().trim().min(1).max(200),
  documents: z.object(documentSchemas),
  wordSets: once(namedSetShape, 'The word set', ({ name }) => name).describe(
    'Word sets of the library that the string being written uses'
  ),
  sources: once(
    z.object({ id: sourceId, name: z.string().min(1).max(100), sheet: sheetSchema }),
    'The source',
    ({ id }) => id
  ),
  people: z.array(personSchema),
  versions: once(
    z.object({
      number: z.int().min(1).max(largest),
      text: z.string().max(200_000),
      name: z.string(),
      note: z.string(),
      parent: z.int().min(1).max(largest).nullable(),
      sets: versionSetsSchema,
      createdAt: moment
    }),
    'Version',
    (one) => one.number
  ),
  trials: z.array(
    z.object({
      version: z.int().min(1).max(largest),
      sourceId,
      seed: z.string(),
      rendering: renderingSchema,
      answers: z.array(searchAnswerSchema),
      filtered: number,
      contacted: number,
      duplicates: number,
      requests: number,
      sampleSize: number,
      events: z.array(z.object({ at: z.string(), search: number, page: number, what: z.string() })),
      found: z.array(personId),
      open: z.array(personId).describe('Those found who are possible and not certain'),
      pages: once(
        z.object({ search: number, page: number, said: number, last: z.boolean(), people: z.array(place) }),
        'The page',
        (page) => [page.search, page.page]
      ),
      sample: once(z.object({ rank: z.int().min(1).max(largest), person: place }), 'Rank', ({ rank }) => rank),
      createdAt: moment
    })
  ),
  verdicts: once(
    z.object({ sourceId, personId, verdict, reason: z.string().max(500), by: z.enum(['person', 'rule']), at: moment }),
    'The verdict on',
    recordOf
  ),
  judgements: once(
    z.object({ sourceId, personId, judge: z.string().max(60), verdict, reason: z.string().max(500), at: moment }),
    'The verdict on',
    (one) => [...recordOf(one), one.judge]
  ),
  notes: once(z.object({ sourceId, personId, text: z.string().max(2000) }), 'The note on', recordOf),
  samePeople: z.array(
    z.object({
      first: z.object({ sourceId, personId }),
      second: z.object({ sourceId, personId }),
      same: z.boolean()
    })
  )
});
export type BriefFile = z.output<typeof briefFileSchema>;
