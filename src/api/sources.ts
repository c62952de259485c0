import * as z from 'zod';
import { faultsSchema } from '$core/dialect/faults-schema';
import { sheetSchema } from '$core/dialect/sheet';
import { operation } from './operation';
import { paths } from './paths';
import { revision, sourceId } from './shapes';

const readiness = z.discriminatedUnion('state', [
  z.object({
    state: z.literal('preparing'),
    done: z.int().optional().describe('Indexes ready so far'),
    of: z.int().optional()
  }),
  z.object({ state: z.literal('ready') }),
  z.object({ state: z.literal('failed'), reason: z.string() })
]);

const source = z.object({
  id: sourceId,
  kind: z.enum(['stand-in', 'file', 'by-hand']),
  name: z.string(),
  about: z.string(),
  people: z.int().nullable(),
  sheet: sheetSchema,
  revision,
  hidden: z.boolean().describe('No brief is offered it any more'),
  faults: faultsSchema.nullable().describe('What goes wrong at a stand-in; null for others'),
  readiness
});

/** Places that find people. */
export const sources = {
  listSources: operation(paths.listSources, {
    response: z.array(source)
  }),
  createByHand: operation(paths.createByHand, {
    body: z.object({ sheet: sheetSchema }),
    response: source,
    status: 201
  }),
  arrangeSources: operation(paths.arrangeSources, {
    body: z.object({
      order: z.array(sourceId).max(1000),
      hidden: z.array(sourceId).max(1000)
    }),
    response: z.array(source)
  }),
  readSource: operation(paths.readSource, {
    params: z.object({ source: sourceId }),
    response: source
  }),
  writeSheet: operation(paths.writeSheet, {
    params: z.object({ source: sourceId }),
    body: z.object({ sheet: sheetSchema, revision }),
    response: source
  }),
  switchFaults: operation(paths.switchFaults, {
    params: z.object({ source: sourceId }),
    body: faultsSchema,
    response: source
  }),
  deleteSource: operation(paths.deleteSource, {
    params: z.object({ source: sourceId })
  })
};
