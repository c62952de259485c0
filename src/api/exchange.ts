import * as z from 'zod';
import { briefFileSchema } from './brief-file';
import { mebibyte, operation } from './operation';
import { paths } from './paths';
import { brief, briefHead, certain } from './shapes';

/** Files that briefs leave as and come from. */
export const exchange = {
  exportBrief: operation(paths.exportBrief, {
    params: brief,
    response: briefFileSchema
  }),
  importBrief: operation(paths.importBrief, {
    body: briefFileSchema,
    bodyLimit: 512 * mebibyte,
    response: briefHead.extend({
      objected: z.int().describe('Records left out because their people objected')
    }),
    status: 201
  }),
  exportQrels: operation(paths.exportQrels, {
    params: brief,
    response: z.object({ text: z.string() })
  }),
  importQrels: operation(paths.importQrels, {
    params: brief,
    bodyLimit: 24 * mebibyte,
    body: z.object({ text: z.string().max(20_000_000) }),
    response: z.object({
      added: z.int(),
      same: z.int(),
      /** Said otherwise here, and left so */
      otherwise: z.int(),
      /** On people of sources that are not here */
      elsewhere: z.int()
    })
  }),
  exportRuns: operation(paths.exportRuns, {
    params: brief,
    query: z.object({ certain }).optional(),
    response: z.object({ text: z.string() })
  }),
  importRuns: operation(paths.importRuns, {
    params: brief,
    bodyLimit: 72 * mebibyte,
    body: z.object({ text: z.string().max(60_000_000) }),
    response: z.object({
      added: z.int(),
      same: z.int(),
      /** People who are not in the source they are said to be from */
      unknown: z.int()
    })
  })
};
