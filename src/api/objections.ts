import * as z from 'zod';
import { operation } from './operation';
import { paths } from './paths';
import { short } from './shortlist-settings';
import { sourceId } from './shapes';

/** People who objected: erased, and never taken in again. */
export const objections = {
  object: operation(paths.object, {
    body: z.union([
      z.object({ sourceId, personId: z.string().min(1).max(300) }),
      z.object({
        person: z.object({ name: short, company: short.default(''), contact: z.array(short).max(20).default([]) })
      })
    ]),
    response: z.object({
      erased: z.array(z.object({ what: z.string(), rows: z.int() })).describe('How much was erased, by what it was'),
      left: z
        .array(
          z.object({
            what: z.string(),
            brief: z.object({ id: z.uuid(), name: z.string() }).nullable(),
            rows: z.int()
          })
        )
        .describe('Where free text still names the person, for somebody to settle by hand')
    })
  }),
  countObjections: operation(paths.countObjections, { response: z.object({ people: z.int() }) })
};
