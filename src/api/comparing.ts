import * as z from 'zod';
import { personSchema } from '$core/people/person';
import { figuresSchema } from '$core/measure/figures-schema';
import { lackingReasons } from '$core/suggest/lacking-reasons';
import { documentSchemas } from './documents';
import { largest } from './limits';
import { behindKinds } from './behind-kinds';
import { keptDocument, operation } from './operation';
import { paths } from './paths';
import { brief, certain, interval, rendering, side, sides, sourceId, verdict, version } from './shapes';

const middled = interval.extend({ middle: z.number() });

const onlyHere = z.object({ people: z.int(), fits: z.int(), misses: z.int() });

const choice = keptDocument([paths.readChoice, paths.writeChoice], documentSchemas.choice, { params: brief });

/** Versions and sources measured against each other, and what is chosen. */
export const comparing = {
  compare: operation(paths.compare, {
    long: true,
    params: brief,
    query: z
      .object({
        versions: z
          .string()
          .regex(/^\d+(,\d+)*$/, 'Write version numbers with commas, as in 1,3.')
          .transform((list) => list.split(',').map(Number))
          .optional(),
        certain
      })
      .optional(),
    response: z.object({
      versions: z.array(version),
      /** People with a verdict, each once */
      judged: z.int(),
      /** People seen, each once */
      people: z.int(),
      cells: z.array(
        z.object({
          version: z.int(),
          sourceId,
          trialId: z.uuid(),
          said: z.array(z.int()),
          exactness: rendering.shape.exactness,
          searches: z.int(),
          figures: figuresSchema,
          /** People of the result that are compared */
          people: z.int(),
          sampled: z.int(),
          spent: z.object({ amount: z.number(), unit: z.string() }).nullable(),
          missesPerHundred: z.number().nullable(),
          known: z.object({ found: z.int(), inSource: z.int() }),
          /** People no other version finds at this source */
          onlyVersion: onlyHere,
          /** People no other source finds with this version */
          onlySource: onlyHere,
          priceOfFit: z.number().nullable(),
          /** Of all judged fits, those found */
          pooled: z.object({ found: z.int(), of: z.int() }),
          standing: z.discriminatedUnion('is', [
            z.object({ is: z.enum(['best', 'beaten', 'alone']) }),
            z.object({
              /** Not decided against the highest precision */
              is: z.literal('open'),
              against: z.int(),
              /** Verdicts more on each that would decide; null where all would not */
              decide: z.object({ here: z.int(), there: z.int() }).nullable()
            })
          ])
        })
      ),
      overlaps: z.array(
        z.object({
          version: z.int(),
          sourceIds: z.array(sourceId),
          /** People of these results, each once */
          people: z.int(),
          parts: z.array(
            z.object({
              /** Places in sourceIds: found by these and by no others */
              sets: z.array(z.int()),
              people: z.int(),
              fits: z.int(),
              misses: z.int()
            })
          ),
          /** How many fits there are, by Chapman’s estimate over each pair of sources */
          population: z.array(
            z.object({ first: sourceId, second: sourceId, judgedFits: z.int(), both: z.int(), fits: middled })
          )
        })
      )
    })
  }),
  behind: operation(paths.behind, {
    params: brief,
    query: z.object({
      version: z.coerce.number().int().min(1).max(largest),
      source: sourceId,
      kind: z.enum(behindKinds),
      /** Offset: 1,000 people are returned at a time */
      skip: z.coerce.number().int().min(0).max(largest).default(0),
      certain
    }),
    response: z.object({ count: z.int(), people: side.shape.sample })
  }),
  sideBySide: operation(paths.sideBySide, {
    long: true,
    params: brief,
    query: z.object({
      from: z.coerce.number().int().min(1).max(largest),
      to: z.coerce.number().int().min(1).max(largest),
      source: sourceId,
      size: z.coerce.number().int().min(1).max(200).default(20),
      certain
    }),
    response: sides
  }),
  sourcesSideBySide: operation(paths.sourcesSideBySide, {
    long: true,
    params: brief,
    query: z.object({
      version: z.coerce.number().int().min(1).max(largest),
      here: sourceId,
      there: sourceId,
      certain
    }),
    response: z.object({
      version: z.int(),
      here: sourceId,
      there: sourceId,
      found: z.int(),
      both: z.int(),
      lacking: z.int(),
      /** Those of the lacking who were looked into */
      looked: z.int(),
      people: z.array(
        z.object({
          person: personSchema,
          there: personSchema.nullable(),
          reason: z.enum(lackingReasons),
          verdict: verdict.nullable()
        })
      )
    })
  }),
  readChoice: choice.read,
  writeChoice: choice.write,
  chosen: operation(paths.chosen, {
    params: brief,
    response: z.array(
      z.object({
        source: z.string(),
        version: z.int(),
        name: z.string(),
        note: z.string(),
        figures: figuresSchema,
        certainOnly: z.boolean(),
        trialId: z.uuid()
      })
    )
  }),
  report: operation(paths.report, {
    long: true,
    params: brief,
    query: z.object({ certain: certain.optional() }).optional(),
    response: z.object({
      brief: z.string(),
      persona: z.string(),
      made: z.iso.datetime(),
      certainOnly: z.boolean(),
      people: z.int(),
      judged: z.int(),
      agreement: z.object({ judge: z.string(), judged: z.int(), kappa: z.number().nullable(), interval }).nullable(),
      entries: z.array(
        z.object({
          source: z.string(),
          version: z.int(),
          name: z.string(),
          note: z.string(),
          chosen: z.boolean(),
          text: z.string(),
          searches: z.array(z.string()),
          exactness: rendering.shape.exactness,
          leftOver: z.string().nullable(),
          figures: figuresSchema,
          known: z.object({ found: z.int(), inSource: z.int() }),
          spent: z.object({ amount: z.number(), unit: z.string() }).nullable(),
          run: z.iso.datetime(),
          standing: z.string()
        })
      )
    })
  })
};
