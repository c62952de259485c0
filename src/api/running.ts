import * as z from 'zod';
import { operation } from './operation';
import { paths } from './paths';
import { sourceId } from './shapes';

/** How the server itself is. */
export const running = {
  events: operation(paths.events, {
    query: z.object({ seen: z.string().max(100).optional() }).optional(),
    streams: true,
    response: z.object({
      sources: z.literal(true).optional(),
      imports: z.literal(true).optional(),
      watches: z.literal(true).optional()
    })
  }),
  live: operation(paths.live, {
    response: z.object({ live: z.literal(true) })
  }),
  ready: operation(paths.ready, {
    response: z.object({
      ready: z.boolean(),
      database: z.boolean(),
      /** Every migration of this release was made */
      schema: z.boolean(),
      /** Jobs are being worked on */
      queue: z.boolean(),
      /** The threads that count and translate answer */
      workers: z.boolean(),
      /** None of the sources has failed; they may still be prepared */
      sources: z.boolean(),
      threads: z.object({ threads: z.int(), running: z.int(), waiting: z.int() }),
      /** Longest stall in milliseconds, since this was last asked */
      stall: z.int(),
      sourceStates: z.array(z.object({ id: sourceId, state: z.string() }))
    })
  }),
  retention: operation(paths.retention, {
    response: z.array(
      z.object({
        kind: z.enum(['trialPages', 'trials', 'harvests', 'imports']),
        /** Kept for so many days; 0 for as long as nobody deletes them */
        days: z.int(),
        /** Rows of the database that are older */
        rows: z.int()
      })
    )
  })
};
