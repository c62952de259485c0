import * as z from 'zod';
import { faultsSchema } from '$core/dialect/faults-schema';
import { sheetSchema } from '$core/dialect/sheet';
import { scopeSchema } from '$core/language/scope-schema';
import { operation } from './operation';
import { paths } from './paths';
import { revision, sourceId } from './shapes';
import { sourceKinds } from './source-kinds';

const readiness = z.discriminatedUnion('state', [
  z.object({
    state: z.literal('preparing'),
    /** Indexes ready so far */
    done: z.int().optional(),
    of: z.int().optional()
  }),
  z.object({ state: z.literal('ready') }),
  z.object({ state: z.literal('failed'), reason: z.string() })
]);

const source = z.object({
  id: sourceId,
  kind: z.enum(sourceKinds),
  name: z.string(),
  about: z.string(),
  people: z.int().nullable(),
  sheet: sheetSchema,
  revision,
  /** No brief is offered it any more */
  hidden: z.boolean(),
  /** What goes wrong at a stand-in; null for others */
  faults: faultsSchema.nullable(),
  readiness
});

/** The world of the stand-ins: days since its first, and the date of its calendar. */
const world = z.object({ day: z.int(), date: z.iso.date(), isLast: z.boolean() });

const address = z.string().trim().min(1, 'give the address').max(2000);
const key = z
  .string()
  .min(1)
  .max(4000)
  .regex(/^[\x21-\x7e]+$/, 'holds a sign that no key has, such as a space');
const connection = z.object({
  address: z.string(),
  /** Whether a key is kept; the key itself is never told */
  hasKey: z.boolean(),
  /** When its sheet was taken last */
  checkedAt: z.iso.datetime()
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
  connectService: operation(paths.connectService, {
    body: z.object({ address, key: key.nullable() }),
    response: source,
    status: 201
  }),
  readConnection: operation(paths.readConnection, {
    params: z.object({ source: sourceId }),
    response: connection
  }),
  reconnect: operation(paths.reconnect, {
    params: z.object({ source: sourceId }),
    body: z.object({
      address: address.optional(),
      /** Left out: as it is; null: none */
      key: key.nullable().optional()
    }),
    response: connection
  }),
  readSource: operation(paths.readSource, {
    params: z.object({ source: sourceId }),
    response: source
  }),
  /** Values of a scope that most people there have, where they are here: for completion */
  readValues: operation(paths.readValues, {
    params: z.object({ source: sourceId }),
    query: z.object({ scope: scopeSchema, begins: z.string().max(100).default('') }),
    response: z.array(z.object({ text: z.string(), people: z.int() }))
  }),
  writeSheet: operation(paths.writeSheet, {
    params: z.object({ source: sourceId }),
    body: z.object({ sheet: sheetSchema, revision }),
    response: source
  }),
  readWorld: operation(paths.readWorld, {
    response: world
  }),
  moveWorld: operation(paths.moveWorld, {
    body: z.object({
      /** The day that it was at, so that it is not moved twice */
      from: z.int().min(0).max(100_000),
      step: z.enum(['day', 'week', 'month', 'first day'])
    }),
    response: world
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
