import * as z from 'zod';
import { personSchema } from '$core/people/person';
import { searchSchema } from '$core/dialect/search-schema';
import { namedFacts, numberFacts } from '$core/language/scopes';
import { largest } from './limits';
import { operation } from './operation';
import { paths } from './paths';
import { brief, certain, interval, sliceState, sourceId, verdict, versionNumber } from './shapes';

const most = z.int().min(1).max(largest).nullable();
export const budget = z.object({
  /** At each source */
  requestsPerDay: most,
  records: most,
  spend: z.number().min(0).max(1e9).nullable(),
  /** A search that cannot be cut is asked again with neutral words until a smaller share of the next rows should be new; null: never */
  newShare: z.number().min(0.001).max(1).nullable().optional()
});

const state = z.enum(['waiting', 'running', 'paused', 'done', 'failed']);
const head = z.object({
  id: z.uuid(),
  name: z.string(),
  state,
  /** Why it stands still */
  problem: z.string(),
  budget,
  goesOnAt: z.iso.datetime().nullable(),
  createdAt: z.iso.datetime(),
  updatedAt: z.iso.datetime(),
  /** Each once, over all sources; 0 until it is worked out who is who */
  people: z.int()
});

const cutBy = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('values'), scope: z.enum(namedFacts) }),
  z.object({ kind: z.literal('numbers'), scope: z.enum(numberFacts) }),
  z.object({ kind: z.literal('alternatives') }),
  z.object({ kind: z.literal('word'), word: z.string().max(200) }),
  z.object({ kind: z.literal('neutral') })
]);
/** A fact used for splitting, and about how many people are in no part because it isn't listed for them */
const lost = z.object({ scope: z.string(), expected: z.number() }).nullable();

const slice = z.object({
  id: z.uuid(),
  parent: z.uuid().nullable(),
  what: z.string(),
  /** Everyone the other parts leave out */
  rest: z.boolean(),
  state: sliceState,
  cutBy: cutBy.nullable(),
  lost,
  expected: z.number().nullable(),
  reported: interval.nullable(),
  rows: z.int(),
  /** Rows of people no earlier slice had found */
  fresh: z.int(),
  search: searchSchema,
  /** How it stands with neutral words, of a search that is asked with them */
  words: z
    .object({
      /** Counts a person once for each row */
      rows: z.int(),
      people: z.int(),
      /** Share of the next rows that should be new: Good 1953 */
      share: z.number(),
      /** People not seen: Chao 1984 */
      unseen: interval.extend({ middle: z.number() }),
      /** Why no word follows */
      end: z.enum(['few are new', 'enough words']).nullable()
    })
    .nullable()
});

const harvest = head.extend({
  events: z.array(z.object({ at: z.iso.datetime(), source: z.string(), what: z.string() })),
  certain: z.int(),
  /** People with records at more than one source */
  atSeveral: z.int(),
  /** What was learnt from verdicts about who fits; null while there are too few */
  learnt: z
    .object({
      judged: z.int(),
      fits: z.int(),
      /** How often a fit comes before a miss, by cross-validation */
      area: z.number().nullable(),
      strongest: z.array(z.object({ sign: z.string(), weight: z.number() }))
    })
    .nullable(),
  sources: z.array(
    z.object({
      sourceId,
      sourceName: z.string(),
      byHand: z.boolean(),
      version: z.int(),
      state: z.enum(['waiting', 'done', 'failed']),
      problem: z.string(),
      requests: z.int(),
      requestsToday: z.int(),
      spent: z.object({ amount: z.number(), unit: z.string() }).nullable(),
      shownCap: z.int().nullable(),
      searches: z.int(),
      /** Rows that the source says it has, all searches together; null until all were asked */
      reported: interval.nullable(),
      gathered: z.object({ rows: z.int(), certain: z.int(), possible: z.int() }),
      /** Rows that did not come */
      missing: interval,
      /** What they would cost; null where nothing does */
      restCost: interval.nullable(),
      slices: z.array(slice)
    })
  )
});

const harvestParams = brief.extend({ harvest: z.uuid() });
const sliceParams = harvestParams.extend({ slice: z.uuid() });
const filter = z.object({
  source: sourceId.optional(),
  country: z.string().max(100).optional(),
  verdict: z.enum(['fit', 'miss', 'unsure', 'none']).optional(),
  certain,
  words: z.string().trim().max(200).optional(),
  /** Only people without a record in this other harvest */
  notIn: z.uuid().optional()
});
const listedPerson = z.object({
  number: z.int(),
  name: z.string(),
  title: z.string(),
  company: z.string(),
  country: z.string(),
  place: z.string(),
  sources: z.array(sourceId),
  certain: z.boolean(),
  score: z.number().nullable(),
  verdict: verdict.nullable(),
  /** The record that a verdict is given on, and its revision */
  on: z.object({ sourceId, personId: z.string(), revision: z.int().min(0) })
});
const facet = z.array(z.object({ value: z.string(), people: z.int() }));

/** Whole results, gathered slice by slice. */
export const harvests = {
  listHarvests: operation(paths.listHarvests, { params: brief, response: z.array(head) }),
  startHarvest: operation(paths.startHarvest, {
    params: brief,
    body: z.object({
      name: z.string().trim().min(1).max(200),
      from: z
        .array(z.object({ sourceId, version: versionNumber }))
        .min(1)
        .max(50),
      budget
    }),
    response: harvest,
    status: 201
  }),
  readHarvest: operation(paths.readHarvest, { params: harvestParams, response: harvest }),
  deleteHarvest: operation(paths.deleteHarvest, { params: harvestParams }),
  stopHarvest: operation(paths.stopHarvest, { params: harvestParams, response: harvest }),
  goOnWithHarvest: operation(paths.goOnWithHarvest, {
    params: harvestParams,
    body: z.object({ budget: budget.optional() }),
    response: harvest
  }),
  orderHarvest: operation(paths.orderHarvest, { params: harvestParams }),
  cutsOfSlice: operation(paths.cutsOfSlice, {
    params: sliceParams,
    response: z.array(
      z.object({
        by: cutBy,
        name: z.string(),
        parts: z.array(z.object({ what: z.string(), expected: z.number(), rest: z.boolean() })),
        lost
      })
    )
  }),
  wordsOfSlice: operation(paths.wordsOfSlice, {
    params: sliceParams,
    response: z.array(z.object({ word: z.string(), expected: z.number(), fresh: z.number() }))
  }),
  changeSlice: operation(paths.changeSlice, {
    params: sliceParams,
    body: z.discriminatedUnion('do', [
      z.object({ do: z.enum(['leave out', 'take in', 'join', 'end', 'reopen']) }),
      z.object({ do: z.literal('cut'), by: cutBy }),
      z.object({ do: z.literal('ask with'), word: z.string().trim().min(2).max(100) })
    ]),
    response: harvest
  }),
  listHarvestPeople: operation(paths.listHarvestPeople, {
    long: true,
    params: harvestParams,
    query: filter
      .extend({
        /** The page goes on behind this person */
        after: z.coerce.number().int().min(0).max(largest).optional(),
        /** Their score; left out where they have none */
        score: z.coerce.number().optional()
      })
      .optional(),
    response: z.object({
      people: z.array(listedPerson),
      /** How many there are by the filter; null behind the first page */
      of: z.int().nullable(),
      last: z.boolean()
    })
  }),
  nextDrawn: operation(paths.nextDrawn, {
    params: harvestParams,
    response: z.object({ next: listedPerson.nullable() })
  }),
  readingOfHarvest: operation(paths.readingOfHarvest, {
    params: harvestParams,
    response: z.object({
      people: z.int(),
      judged: z.int(),
      fits: z.int(),
      misses: z.int(),
      /** Judged people who are a random sample of all */
      sampled: z.int(),
      /** Fits there are, by the sample; null while nobody of it is judged */
      there: interval.nullable(),
      /** Share of them that was read */
      recall: interval.nullable(),
      /** The share read at least, which is true in 95% of cases */
      atLeast: z.number().nullable(),
      /** Fits found after this many verdicts since it started: in judging order, and in source order */
      curve: z.array(z.object({ verdicts: z.int(), fits: z.int(), asTheyCame: z.int() }))
    })
  }),
  harvestFacets: operation(paths.harvestFacets, {
    params: harvestParams,
    response: z.object({ countries: facet, verdicts: facet })
  }),
  readHarvestPerson: operation(paths.readHarvestPerson, {
    params: harvestParams.extend({ number: z.coerce.number().int().min(0).max(largest) }),
    response: z.object({
      evidence: z
        .array(z.object({ words: z.string(), speaksFor: z.boolean() }))
        .describe('What moved the likelihood most, strongest first'),
      records: z.array(
        z.object({
          sourceId,
          sourceName: z.string(),
          person: personSchema,
          reading: z.enum(['met', 'unknown']),
          unlisted: z.array(z.string()),
          slices: z.array(z.string()),
          seenAt: z.iso.datetime()
        })
      )
    })
  }),
  exportHarvest: operation(paths.exportHarvest, {
    params: harvestParams,
    query: filter.extend({ format: z.enum(['csv', 'jsonl', 'xlsx', 'trec']) })
  })
};
