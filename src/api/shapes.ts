// Shapes that several resources of the API share.
import * as z from 'zod';
import { personSchema } from '$core/people/person';
import { estimateSchema } from '$core/measure/figures-schema';
import { renderingSchema, versionSetsSchema } from './brief-file';
import { largest } from './limits';

export const count = z.int().min(0).max(largest);

export const revision = z.int().min(1).max(largest);

export const versionNumber = z.int().min(1).max(largest);

export const brief = z.object({ id: z.uuid() });
export const versionParams = brief.extend({ number: z.coerce.number().int().min(1).max(largest) });

export const text = z.string().max(200_000);

export const interval = z.object({ low: z.number(), high: z.number() });

export const verdict = z.enum(['fit', 'miss', 'unsure']);

export const sourceId = z.string().min(1).max(100);

export const briefHead = z.object({
  id: z.uuid(),
  name: z.string(),
  archived: z.boolean(),
  /** Part of the demo, which can be reset */
  demo: z.boolean(),
  revision,
  createdAt: z.iso.datetime(),
  updatedAt: z.iso.datetime()
});

export const versionSets = versionSetsSchema;

export const version = z.object({
  number: z.int(),
  text: z.string(),
  name: z.string(),
  note: z.string(),
  /** The version it was made from */
  parent: z.int().nullable(),
  /** The named word sets it uses, as they were when it was kept */
  sets: versionSets,
  createdAt: z.iso.datetime()
});

export const rendering = renderingSchema;

export const judgedBy = z.enum(['person', 'rule']);

export const verdictShape = z.object({ verdict, reason: z.string(), by: judgedBy, revision });

export const judgedCount = z.object({ fits: z.int(), misses: z.int() });

export const side = z.object({
  count: estimateSchema,
  shown: z.int(),
  fits: z.object({ judged: z.int(), count: z.int(), misses: z.int(), interval }),
  sample: z.array(z.object({ rank: z.int(), person: personSchema, verdict: verdictShape.nullable() }))
});

export const sides = z.object({
  goes: side,
  comes: side,
  stays: side,
  /** McNemar’s exact test on the people only one of the two finds */
  test: z.object({
    /** Judged people only the first gets right */
    before: z.int(),
    /** The same of the second */
    after: z.int(),
    gone: judgedCount,
    come: judgedCount,
    p: z.number()
  })
});

/** Of query strings: only those who are certain. */
export const certain = z
  .enum(['true', 'false'])
  .default('false')
  .transform((given) => given === 'true')
  .describe('Only those who are certain, without the possible');

/** How far a slice of a harvest is */
export const sliceState = z.enum(['waiting', 'read', 'cut', 'stuck', 'left out']);
