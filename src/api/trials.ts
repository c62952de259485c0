import * as z from 'zod';
import { fieldSchema } from '$core/people/fields';
import { personSchema } from '$core/people/person';
import { pageFields } from '$core/formats/page-fields';
import { figuresSchema, foundSchema, searchAnswerSchema } from '$core/measure/figures-schema';
import { operation } from './operation';
import { paths } from './paths';
import {
  brief,
  count,
  rendering,
  revision,
  sourceId,
  text,
  verdictShape,
  verdict,
  version,
  versionNumber,
  versionSets
} from './shapes';

/** A range of whole people that a displayed count may represent. */
const countInterval = z
  .object({ low: count, high: count })
  .refine(({ low, high }) => low <= high, 'The lower end comes first.');

const trial = z.object({
  id: z.uuid(),
  version: z.int(),
  sourceId,
  rendering,
  answers: z.array(searchAnswerSchema),
  found: foundSchema,
  /** People of the result: the possible, without those contacted already */
  people: z.int(),
  /** People seen that the left-over part contradicts */
  filtered: z.int(),
  /** Possible people left out, as they were contacted already */
  contacted: z.int(),
  /** People found who look like one before them under another id */
  duplicates: z.int(),
  state: z.enum(['waiting', 'running', 'done', 'stopped', 'failed']),
  /** Why it failed */
  problem: z.string(),
  requests: z.int(),
  createdAt: z.iso.datetime()
});

const personVerdict = z.object({
  verdict,
  /** What was said of each record, newest first */
  records: z.array(verdictShape.extend({ sourceId, personId: z.string() })),
  /** Its records were judged differently: the newest counts */
  conflict: z.boolean()
});

const sampled = z.object({
  rank: z.int(),
  /** The page of the result they stood on, where pages were read by hand */
  page: z.int().nullable(),
  person: personSchema,
  values: z.array(z.object({ field: fieldSchema, text: z.string(), job: z.int().optional() })),
  marks: z.array(z.object({ value: z.int(), from: z.int(), to: z.int(), part: z.int() })),
  /** Parts of the string that this record leaves open; empty for who is certain */
  unlisted: z.array(z.string()),
  verdict: verdictShape.nullable(),
  /** The verdict that counts, on whichever record it was given */
  counts: personVerdict.nullable(),
  /** The same for records of one person; null while it is not known who is who */
  number: z.int().nullable(),
  note: z.object({ text: z.string(), revision }).nullable()
});

const trialDetail = trial.extend({
  sourceName: z.string(),
  progress: z.object({
    searches: z.int(),
    searchesDone: z.int(),
    pages: z.int(),
    rows: z.int(),
    /** Rows in all, by the counts so far; null before the first */
    rowsExpected: z.int().nullable()
  }),
  spent: z.object({ amount: z.number(), unit: z.string() }).nullable(),
  /** What went wrong on the way, and what was done about it */
  events: z.array(z.object({ at: z.iso.datetime(), search: z.int(), page: z.int(), what: z.string() })),
  shownCap: z.int().nullable(),
  text: z.string(),
  sets: versionSets,
  /** Null while the trial is not done */
  figures: figuresSchema.nullable(),
  /** People of the result who are certain */
  certain: z.int(),
  sample: z.array(sampled)
});

const trialParams = brief.extend({ trial: z.uuid() });

/** Versions run at sources. */
export const trials = {
  listTrials: operation(paths.listTrials, {
    params: brief,
    response: z.array(trial)
  }),
  runAtSources: operation(paths.runAtSources, {
    params: brief,
    body: z.object({
      text,
      parent: versionNumber.nullable().default(null),
      sourceIds: z.array(sourceId).min(1).max(50),
      sampleSize: z.int().min(1).max(500).default(40)
    }),
    response: z.object({ version, trials: z.array(z.object({ id: z.uuid(), sourceId })) }),
    status: 201
  }),
  runTrial: operation(paths.runTrial, {
    params: brief,
    body: z.object({
      version: versionNumber,
      sourceId,
      sampleSize: z.int().min(1).max(500).default(40),
      /** Seconds to wait for its end before answering */
      wait: z.number().min(0).max(120).default(60)
    }),
    response: trialDetail,
    status: 201
  }),
  readTrial: operation(paths.readTrial, {
    long: true,
    params: trialParams,
    response: trialDetail
  }),
  deleteTrial: operation(paths.deleteTrial, {
    params: trialParams
  }),
  stopTrial: operation(paths.stopTrial, {
    params: trialParams,
    response: trialDetail
  }),
  resumeTrial: operation(paths.resumeTrial, {
    params: trialParams,
    response: trialDetail
  }),
  judgeByRule: operation(paths.judgeByRule, {
    params: trialParams,
    response: z.array(verdictShape.extend({ sourceId, personId: z.string() }))
  }),
  takeBackRules: operation(paths.takeBackRules, {
    params: trialParams,
    response: z.object({ taken: z.array(z.string()) })
  }),
  drawAtOnce: operation(paths.drawAtOnce, {
    params: brief,
    body: z.object({
      draws: z
        .array(z.object({ trial: z.uuid(), size: z.int().min(1).max(2000).describe('People drawn in all') }))
        .min(1)
        .max(50)
    })
  }),
  drawMore: operation(paths.drawMore, {
    params: trialParams,
    body: z.object({ size: z.int().min(1).max(2000).describe('People drawn in all') }),
    response: trialDetail
  }),
  recordByHand: operation(paths.recordByHand, {
    params: brief,
    body: z.object({
      text,
      parent: versionNumber.nullable().default(null),
      sourceId,
      answers: z
        .array(
          z.object({
            said: count,
            interval: countInterval,
            rows: z.array(z.object({ values: z.partialRecord(z.enum(pageFields), z.string().max(2000)) })).max(5000)
          })
        )
        .min(1)
        .max(200)
    }),
    response: trialDetail,
    status: 201
  }),
  elsewhere: operation(paths.elsewhere, {
    body: z.object({ person: personSchema, except: sourceId }),
    response: z.array(z.object({ sourceId, sourceName: z.string(), person: personSchema }))
  })
};
