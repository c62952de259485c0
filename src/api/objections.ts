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
    /** How much was erased, by what it was */
    response: z.object({ erased: z.array(z.object({ what: z.string(), rows: z.int() })) })
  }),
  countObjections: operation(paths.countObjections, { response: z.object({ people: z.int() }) })
};
