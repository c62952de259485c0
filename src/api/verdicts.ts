import * as z from 'zod';
import { personSchema } from '$core/people/person';
import { operation } from './operation';
import { paths } from './paths';
import { brief, count, interval, judgedBy, revision, sourceId, verdictShape, verdict } from './shapes';

/** The revision last seen; 0 when there was none. */
const seenRevision = count.describe('The revision last seen; 0 when there was none');

const recordName = z.object({ sourceId, personId: z.string().min(1).max(300) });

const recordPair = z.object({
  first: recordName,
  second: recordName,
  people: z.tuple([personSchema, personSchema])
});

const judgeParams = brief.extend({ judge: z.string().trim().min(1, 'A judge needs a name.').max(60) });

const saidVerdict = z.object({ verdict, reason: z.string() });

const givenVerdict = z.object({
  sourceId,
  personId: z.string().min(1).max(300),
  verdict: verdict.nullable(),
  reason: z.string().max(500).default(''),
  /** A rule never overwrites what a person said */
  by: judgedBy.default('person'),
  revision: seenRevision
});

/** What people say of people, and who is the same person. */
export const verdicts = {
  judgeMany: operation(paths.judgeMany, {
    params: brief,
    body: z.object({ verdicts: z.array(givenVerdict).min(1).max(500) }),
    /** In the order given */
    response: z.array(verdictShape.nullable())
  }),
  giveVerdict: operation(paths.giveVerdict, {
    params: brief,
    body: givenVerdict,
    response: verdictShape.nullable()
  }),
  settleConflict: operation(paths.settleConflict, {
    params: brief,
    body: z.object({
      sourceId,
      personId: z.string().min(1).max(300),
      verdict,
      reason: z.string().max(500).default('')
    })
  }),
  writeNote: operation(paths.writeNote, {
    params: brief,
    body: z.object({
      sourceId,
      personId: z.string().min(1).max(300),
      text: z.string().max(2000),
      revision: seenRevision
    }),
    response: z.object({ text: z.string(), revision }).nullable()
  }),
  listPairs: operation(paths.listPairs, {
    params: brief,
    response: z.object({
      doubtful: z.array(recordPair.extend({ why: z.string() })),
      decided: z.array(recordPair.extend({ same: z.boolean() }))
    })
  }),
  recordsNamed: operation(paths.recordsNamed, {
    params: brief,
    query: z.object({ name: z.string().trim().min(2, 'Write two letters of the name or more.').max(100) }),
    response: z.array(
      z.object({
        /** The same for records of one person */
        number: z.int(),
        sourceId,
        person: personSchema
      })
    )
  }),
  decidePair: operation(paths.decidePair, {
    body: z.object({ first: recordName, second: recordName, same: z.boolean().nullable() })
  }),
  listJudges: operation(paths.listJudges, {
    params: brief,
    response: z.array(z.object({ judge: z.string(), judged: z.int() }))
  }),
  readJudgements: operation(paths.readJudgements, {
    params: judgeParams,
    query: z.object({ source: sourceId }),
    response: z.array(verdictShape.extend({ personId: z.string() }))
  }),
  giveJudgement: operation(paths.giveJudgement, {
    params: judgeParams,
    body: givenVerdict.omit({ by: true }),
    response: verdictShape.nullable()
  }),
  agreement: operation(paths.agreement, {
    params: judgeParams,
    response: z.object({
      judge: z.string(),
      judged: z.int(),
      agreed: z.int(),
      observed: z.number(),
      expected: z.number(),
      kappa: z.number().nullable(),
      interval,
      /** First judge down, second across; fit, miss, unsure */
      table: z.array(z.array(z.int())),
      differences: z.array(
        z.object({
          sourceId,
          person: personSchema,
          first: saidVerdict,
          second: saidVerdict,
          settled: saidVerdict.nullable(),
          revision
        })
      )
    })
  }),
  settle: operation(paths.settle, {
    params: judgeParams,
    body: z.object({ sourceId, personId: z.string().min(1).max(300), verdict, revision })
  })
};
