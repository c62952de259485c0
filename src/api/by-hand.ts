import * as z from 'zod';
import { pageFields } from '$core/formats/page-fields';
import { mebibyte, operation } from './operation';
import { paths } from './paths';
import { brief, count, rendering, revision, sliceState, sourceId, version, versionParams } from './shapes';

const row = z.object({
  id: z.string().max(60).optional(),
  values: z.partialRecord(z.enum(pageFields), z.string().max(2000)),
  doubtful: z.array(z.enum(pageFields)).default([])
});
const seen = z.object({
  /** The count as it was seen; empty where none was */
  said: z.string().max(400).default(''),
  page: z.int().min(1).max(100_000).nullable().default(null),
  rows: z.array(row).max(5000).default([])
});
const entry = seen.extend({
  id: z.uuid(),
  search: z.int(),
  seenAt: z.iso.datetime(),
  /** `open`: so many or more */
  count: z.object({ said: count, interval: z.object({ low: count, high: count }), open: z.boolean() }).nullable(),
  /** Of its rows, those that an earlier entry had */
  known: z.int(),
  takenBack: z.boolean(),
  revision
});
const diary = z.object({
  version,
  sourceId,
  rendering,
  /** The newest first */
  entries: z.array(entry),
  searches: z.array(
    z.object({
      /** Of a harvest */
      slice: z
        .object({
          id: z.uuid(),
          what: z.string(),
          state: sliceState,
          rest: z.boolean(),
          expected: z.number().nullable()
        })
        .nullable(),
      entries: z.int(),
      rows: z.int(),
      pagesRead: z.array(z.int()),
      /** By the newest count */
      pages: z.int().nullable(),
      /** Pages to open, drawn through the depth */
      drawn: z.array(z.int())
    })
  ),
  trialId: z.uuid().nullable(),
  /** Whose slices the searches are */
  harvest: z.object({ id: z.uuid(), name: z.string() }).nullable()
});
const place = versionParams.extend({ source: sourceId });

/** Places run by hand. */
export const byHand = {
  readDiary: operation(paths.readDiary, {
    params: place,
    query: z.object({ harvest: z.uuid().optional() }).optional(),
    response: diary
  }),
  addEntry: operation(paths.addEntry, {
    params: place,
    bodyLimit: 8 * mebibyte,
    body: seen.extend({
      search: z.int().min(0).max(199),
      /** The slice of a harvest that was run, in place of a search */
      slice: z.uuid().optional(),
      /** Now, where it is not said */
      seenAt: z.iso.datetime().optional()
    }),
    response: diary,
    status: 201
  }),
  changeEntry: operation(paths.changeEntry, {
    params: brief.extend({ entry: z.uuid() }),
    bodyLimit: 8 * mebibyte,
    body: seen.extend({
      takenBack: z.boolean().default(false),
      revision,
      /** The harvest whose slices are returned */
      harvest: z.uuid().optional()
    }),
    response: diary
  })
};
