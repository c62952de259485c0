import * as z from 'zod';
import { watchedFields } from '$core/changes/watched-fields';
import { largest } from './limits';
import { operation } from './operation';
import { paths } from './paths';
import { brief, sourceId, verdict, versionNumber } from './shapes';
import { budget } from './harvests';
import { sourceKinds } from './source-kinds';

const name = z.string().trim().min(1).max(200);
const rhythm = z.object({
  /** A rule of RFC 5545, as FREQ=WEEKLY;BYDAY=MO */
  rule: z.string().max(500),
  from: z.iso.date(),
  hour: z.int().min(0).max(23),
  /** Of the IANA database */
  zone: z.string().max(100)
});
const rules = z
  .array(z.object({ name: z.string().trim().min(1).max(100), rule: z.string().trim().min(1).max(2000) }))
  .max(30);
/** By how many per cent a field must change to be reported; null where it never is. */
const thresholds = z.partialRecord(z.enum(watchedFields), z.number().min(0).max(1000).nullable());
const kinds = z.enum(['new', 'back', 'changed', 'left']);
const run = z.object({
  id: z.uuid(),
  /** `due`: somebody is to look at a place run by hand */
  state: z.enum(['due', 'running', 'done', 'failed']),
  problem: z.string(),
  dueAt: z.iso.datetime(),
  endedAt: z.iso.datetime().nullable(),
  people: z.int(),
  counts: z.partialRecord(kinds, z.int()),
  /** What was otherwise than at the run before: a break in the series */
  breaks: z.array(z.string())
});
const watch = z.object({
  id: z.uuid(),
  briefId: z.uuid(),
  briefName: z.string(),
  name: z.string(),
  rhythm,
  budget,
  active: z.boolean(),
  nextAt: z.iso.datetime().nullable(),
  /** The secret part of the address of its feed */
  feed: z.string(),
  /** The version that is watched at each; null where people are */
  sources: z.array(
    z.object({ sourceId, sourceName: z.string(), kind: z.enum(sourceKinds), version: z.int().nullable() })
  ),
  /** The shortlist whose people are watched, and when one of them is news */
  list: z.object({ id: z.uuid(), name: z.string() }).nullable(),
  rules,
  thresholds,
  unread: z.int(),
  lastRun: run.nullable(),
  /** Whether the share of fits among the newly come has fallen */
  drift: z.object({ says: z.enum(['goes on', 'as before', 'worse']), judged: z.int(), fits: z.int() }).nullable(),
  /** Whether it finds fewer or more from run to run, beyond chance */
  reach: z.enum(['goes on', 'fewer', 'more'])
});
const news = z.object({
  id: z.int(),
  watchId: z.uuid(),
  kind: kinds,
  at: z.iso.datetime(),
  facts: z.partialRecord(z.enum(['title', 'company', 'country', 'place', 'headcount', 'mail', 'name']), z.string()),
  changes: z.array(z.object({ field: z.string(), before: z.string().nullable(), now: z.string().nullable() })),
  why: z.string(),
  read: z.boolean(),
  /** The record that a verdict is given on */
  on: z.object({ sourceId: z.string(), personId: z.string(), revision: z.int().min(0) }),
  verdict: verdict.nullable(),
  /** What is known of them already */
  known: z.array(z.enum(['contacted', 'on a shortlist']))
});
const settings = { name, rhythm, budget, thresholds: thresholds.optional() };
const watchParams = z.object({ watch: z.uuid() });

/** Searches that go on working. */
export const watches = {
  listWatches: operation(paths.listWatches, { response: z.array(watch) }),
  watchNameFor: operation(paths.watchNameFor, { params: brief, response: z.object({ name: z.string() }) }),
  createWatch: operation(paths.createWatch, {
    params: brief,
    body: z.union([
      z.object({
        ...settings,
        from: z
          .array(z.object({ sourceId, version: versionNumber }))
          .min(1)
          .max(50)
      }),
      z.object({
        ...settings,
        people: z.object({ list: z.uuid(), sources: z.array(sourceId).min(1).max(50), rules: rules.min(1) })
      })
    ]),
    response: z.object({ id: z.uuid() }),
    status: 201
  }),
  changeWatch: operation(paths.changeWatch, {
    params: watchParams,
    body: z.object({
      name: name.optional(),
      rhythm: rhythm.optional(),
      active: z.boolean().optional(),
      rules: rules.min(1).optional(),
      thresholds: thresholds.optional(),
      /** Another secret address: the one before no longer answers */
      renewFeed: z.literal(true).optional()
    })
  }),
  deleteWatch: operation(paths.deleteWatch, { params: watchParams }),
  runWatch: operation(paths.runWatch, { params: watchParams }),
  runsOfWatch: operation(paths.runsOfWatch, { params: watchParams, response: z.array(run) }),
  listNews: operation(paths.listNews, {
    query: z
      .object({
        watch: z.uuid().optional(),
        unread: z.enum(['true', 'false']).default('true'),
        kind: kinds.optional(),
        /** Those before this one */
        before: z.coerce.number().int().min(0).max(largest).optional()
      })
      .optional(),
    response: z.object({ news: z.array(news), last: z.boolean() })
  }),
  readNews: operation(paths.readNews, {
    body: z.union([
      z.object({ ids: z.array(z.int().min(0).max(largest)).min(1).max(1000), read: z.boolean() }),
      z.object({ watch: z.uuid() })
    ])
  }),
  watchFeed: operation(paths.watchFeed, {
    params: z.object({ feed: z.string().max(100) }),
    query: z.object({ form: z.enum(['atom', 'json', 'ics']).default('atom') }).optional()
  })
};
