import * as z from 'zod';
import { fields } from '$core/people/fields';
import { ownScopeSchema, scopeSchema } from '$core/language/scope-schema';
import { personSchema } from '$core/people/person';
import { estimateSchema, foundSchema } from '$core/measure/figures-schema';
import { problemSchema } from '$core/language/problem';
import { querySchema } from '$core/language/query-schema';
import { changeSchema } from '$core/suggest/change-schema';
import { proposalKinds } from '$core/suggest/proposal-kinds';
import { documentSchemas } from './documents';
import { keptDocument, operation, soon } from './operation';
import { paths } from './paths';
import {
  brief,
  interval,
  judgedCount,
  rendering,
  sides,
  sourceId,
  text,
  version,
  versionNumber,
  versionParams
} from './shapes';

const readText = z.object({
  query: querySchema.nullable(),
  problems: z.array(problemSchema),
  printed: z.string().nullable()
});

const sourceIds = z.array(sourceId).min(1).max(50);

const bothEstimates = z.object({ certain: estimateSchema, possible: estimateSchema });

const shareOf = interval.extend({ share: z.number() }).nullable();

const effect = z.object({
  sourceId,
  before: bothEstimates,
  after: bothEstimates,
  removed: z.int(),
  added: z.int(),
  /** Judged people who no longer come */
  gone: judgedCount,
  /** Judged people who are added */
  come: judgedCount,
  /** Judged people found before */
  judged: judgedCount,
  /** Share of the judged misses found that go */
  missesRemoved: shareOf,
  /** Share of the judged fits found that are lost */
  fitsLost: shareOf,
  precision: z.object({ before: z.number().nullable(), after: z.number().nullable() })
});

const partWorth = z.object({
  /** Index among the parts at each level; empty for the whole string */
  path: z.array(z.int()),
  excludes: z.boolean(),
  /** Estimated result of the part alone; null where it cannot be asked there */
  alone: estimateSchema.nullable(),
  /** Estimated result of the string without it; null where that cannot be asked */
  without: estimateSchema.nullable(),
  /** Judged people who come, or of an exclusion go, by this part alone */
  only: judgedCount,
  /** Judged people who answer this part */
  brings: judgedCount
});

const draft = keptDocument([paths.readDraft, paths.writeDraft], documentSchemas.draft, {
  params: brief
});

const ledgerAsked = z.object({ text, sourceId, order: z.array(z.int().min(0)).max(5000).optional() });
const ledgerShape = z.object({
  rendering,
  found: foundSchema,
  keptBack: z
    .object({ people: z.int(), share: z.number(), facts: z.array(scopeSchema) })
    .nullable()
    .describe(
      'People the source drops because a fact it was asked isn’t listed, and their share of all possible matches'
    ),
  rows: z.object({ certain: z.array(partWorth), possible: z.array(partWorth) }).nullable(),
  narrowing: z.array(z.object({ part: z.int(), estimated: bothEstimates.nullable() })),
  unfinished: z
    .boolean()
    .describe('Only the whole string was counted in the time there was; `ledgerAtLength` takes longer')
});

/** Strings: the one being written, its versions, and what they would find. */
export const strings = {
  readDraft: draft.read,
  writeDraft: draft.write,
  buildString: operation(paths.buildString, {
    params: brief,
    response: z.object({ text: z.string() })
  }),
  listVersions: operation(paths.listVersions, {
    params: brief,
    response: z.array(version)
  }),
  keepVersion: operation(paths.keepVersion, {
    params: brief,
    within: soon,
    body: z.object({ text, parent: versionNumber.nullable().default(null) }),
    response: version,
    status: 201
  }),
  takeChanges: operation(paths.takeChanges, {
    params: brief,
    within: soon,
    body: z.object({
      text,
      parent: versionNumber.nullable().default(null),
      /** What the changes make of it */
      changed: text,
      note: z.string().max(500).default('')
    }),
    response: z.object({ before: version, version }),
    status: 201
  }),
  nameVersion: operation(paths.nameVersion, {
    params: versionParams,
    body: z.object({ name: z.string().trim().max(100).optional(), note: z.string().max(500).optional() }),
    response: version
  }),
  parse: operation(paths.parse, {
    within: soon,
    body: z.object({ text }),
    response: readText
  }),
  render: operation(paths.render, {
    within: soon,
    body: z.object({ text, sourceId }),
    response: rendering.extend({ problems: z.array(problemSchema) })
  }),
  read: operation(paths.read, {
    within: soon,
    body: z.object({ text, sourceId }),
    response: readText
  }),
  count: operation(paths.count, {
    body: z.object({ sourceId, texts: z.array(z.string().max(1000)).max(1000) }),
    response: z.object({ counts: z.array(bothEstimates.nullable()), people: z.int().nullable() })
  }),
  ledger: operation(paths.ledger, { params: brief, within: soon, body: ledgerAsked, response: ledgerShape }),
  ledgerAtLength: operation(paths.ledgerAtLength, { params: brief, body: ledgerAsked, response: ledgerShape }),
  proposals: operation(paths.proposals, {
    params: brief,
    within: 2 * soon,
    body: z.object({
      text,
      sourceIds,
      from: z.int().min(0).optional().describe('Candidates that earlier answers have measured; 0 by default')
    }),
    response: z.object({
      proposals: z.array(
        z.object({
          kind: z.enum(proposalKinds),
          says: z.string(),
          changes: z.array(changeSchema),
          text: z.string(),
          gain: z.number(),
          costly: z.boolean(),
          effects: z.array(effect)
        })
      ),
      measured: z.int().describe('Candidates measured by now, of `of`: ask again from there for the rest'),
      of: z.int()
    })
  }),
  jointEffect: operation(paths.jointEffect, {
    params: brief,
    within: soon,
    body: z.object({ text, changes: z.array(changeSchema).max(100), sourceIds }),
    response: z.object({ text: z.string(), effects: z.array(effect) })
  }),
  whoGoes: operation(paths.whoGoes, {
    params: brief,
    within: soon,
    body: z.object({
      from: text,
      to: text,
      sourceId,
      size: z.int().min(1).max(200).default(30),
      certain: z.boolean().default(false)
    }),
    response: sides
  }),
  knownAt: operation(paths.knownAt, {
    params: brief,
    within: soon,
    body: z.object({ text, sourceId }),
    response: z.array(
      z.object({
        id: z.string(),
        name: z.string(),
        company: z.string(),
        person: personSchema.nullable(),
        explanation: z
          .object({
            found: z.boolean(),
            parts: z.array(
              z.object({
                part: z.int(),
                excludes: z.boolean(),
                met: z.boolean(),
                by: z.array(
                  z.object({
                    term: z.string(),
                    fields: z.array(z.union([z.enum([...fields, 'fact']), ownScopeSchema]))
                  })
                ),
                unlisted: z.array(z.string())
              })
            ),
            letIn: z.object({ changes: z.array(changeSchema), text: z.string(), says: z.array(z.string()) }).nullable()
          })
          .nullable()
      })
    )
  }),
  senses: operation(paths.senses, {
    within: soon,
    body: z.object({ text, sourceId }),
    response: z.object({
      estimated: bothEstimates,
      /** Changes left out, as there was no time to measure them */
      unmeasured: z.int(),
      words: z.array(
        z.object({
          word: z.string(),
          /** People shown that have the word */
          people: z.int(),
          senses: z.array(
            z.object({
              name: z.string(),
              people: z.int(),
              interval,
              changes: z.array(
                z.object({
                  how: z.enum(['asking', 'excluding']),
                  text,
                  estimated: bothEstimates,
                  /** People shown with this meaning, after the change */
                  kept: z.int(),
                  /** People shown with another meaning, after the change */
                  othersLeft: z.int()
                })
              )
            })
          )
        })
      )
    })
  })
};
