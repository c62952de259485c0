import { z } from 'zod';
import { personSchema } from '$core/corpus';
import { searchSchema, sheetSchema, upgradedSheet } from '$core/dialect';
import { searchAnswerSchema } from '$core/measure';
import { namedSetSchema, querySchema } from '$core/query';
import { documentSchemas } from './documents';

const sourceId = z.string().min(1).max(100);
const personId = z.string().min(1).max(300);
const number = z.int().min(0);
const verdict = z.enum(['fit', 'miss', 'unsure']);
const moment = z.iso.datetime();
/** A person by place in the list `people` of the file. */
const place = number.describe('Place in the list of people');

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
  wordSets: z.array(namedSetSchema).describe('Word sets of the library that the string being written uses'),
  sources: z.array(z.object({ id: sourceId, name: z.string().min(1).max(100), sheet: sheetSchema })),
  people: z.array(personSchema),
  versions: z.array(
    z.object({
      number: z.int().min(1),
      text: z.string().max(200_000),
      name: z.string(),
      note: z.string(),
      parent: z.int().min(1).nullable(),
      sets: versionSetsSchema,
      createdAt: moment
    })
  ),
  trials: z.array(
    z.object({
      version: z.int().min(1),
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
      pages: z.array(
        z.object({ search: number, page: number, said: number, last: z.boolean(), people: z.array(place) })
      ),
      sample: z.array(z.object({ rank: z.int().min(1), person: place })),
      createdAt: moment
    })
  ),
  verdicts: z.array(
    z.object({ sourceId, personId, verdict, reason: z.string().max(500), by: z.enum(['person', 'rule']), at: moment })
  ),
  judgements: z.array(
    z.object({ sourceId, personId, judge: z.string().max(60), verdict, reason: z.string().max(500), at: moment })
  ),
  notes: z.array(z.object({ sourceId, personId, text: z.string().max(2000) })),
  samePeople: z.array(
    z.object({
      first: z.object({ sourceId, personId }),
      second: z.object({ sourceId, personId }),
      same: z.boolean()
    })
  )
});
export type BriefFile = z.output<typeof briefFileSchema>;

/**
 * A file of the first format as the second has it: sheets say which texts are told, and the people found count as certain,
 * shared among the searches in order. Anything else comes back as it is.
 */
export function upgradedBriefFile(raw: unknown): unknown {
  const read = firstFormat.safeParse(raw);
  if (!read.success) return raw;
  const { sources, trials, ...rest } = read.data;
  return {
    ...rest,
    formatVersion: 2,
    sources: sources.map(({ sheet, ...source }) => ({ ...source, sheet: upgradedSheet(sheet) })),
    trials: trials.map(({ answers, contacted, found, ...trial }) => {
      let left = found.length + contacted;
      return {
        ...trial,
        found,
        contacted,
        open: [],
        answers: answers.map(({ said, interval, shown: rows }) => {
          const stay = Math.min(rows, left);
          left -= stay;
          return { said, interval, shown: rows, certain: stay, possible: stay, complete: interval.high <= rows };
        })
      };
    })
  };
}
const firstFormat = z.looseObject({
  format: z.literal('eave-brief'),
  formatVersion: z.literal(1),
  sources: z.array(z.looseObject({ sheet: z.unknown() })),
  trials: z.array(
    z.looseObject({
      answers: z.array(
        z.object({ said: number, interval: z.object({ low: z.number(), high: z.number() }), shown: number })
      ),
      contacted: number,
      found: z.array(personId)
    })
  )
});
