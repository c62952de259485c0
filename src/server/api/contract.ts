import { z } from 'zod';
import { personSchema, fields } from '$core/corpus';
import { sheetSchema } from '$core/dialect';
import { columnMappingSchema, pageFields } from '$core/formats';
import { namedSetSchema, setNameSchema, problemSchema, querySchema, scopes } from '$core/query';
import { estimateSchema, figuresSchema, foundSchema, searchAnswerSchema } from '$core/measure';
import { importOutcomeSchema, readingSchema } from '../services/imports/import-shapes';
import { faultsSchema } from '$sources/faults';
import { changeSchema, proposalKinds, lackingReasons } from '$core/suggest';
import { briefFileSchema, renderingSchema, upgradedBriefFile, versionSetsSchema } from './brief-file';
import { documentSchemas, houseListSchemas } from './documents';

/** One operation of the JSON API: where it is, what it takes and what it gives. */
export interface Operation<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType> {
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  /** Path with parameters in braces, as OpenAPI writes it. */
  path: string;
  summary: string;
  params: P;
  query: Q;
  body: B;
  response: R;
  /** Status of success; 204 has no content. */
  status: 200 | 201 | 202 | 204;
  /** Makes what was written in an older form what the body is now. */
  upgrade?: (raw: unknown) => unknown;
}
export type AnyOperation = Operation<z.ZodType, z.ZodType, z.ZodType, z.ZodType>;

const none = z.undefined();
type None = typeof none;

function operation<
  P extends z.ZodType = None,
  Q extends z.ZodType = None,
  B extends z.ZodType = None,
  R extends z.ZodType = None
>(
  method: AnyOperation['method'],
  path: string,
  summary: string,
  shapes: {
    params?: P;
    query?: Q;
    body?: B;
    response?: R;
    status?: AnyOperation['status'];
    upgrade?: (raw: unknown) => unknown;
  }
): Operation<P, Q, B, R> {
  return {
    method,
    path,
    summary,
    params: (shapes.params ?? none) as P,
    query: (shapes.query ?? none) as Q,
    body: (shapes.body ?? none) as B,
    response: (shapes.response ?? none) as R,
    status: shapes.status ?? (shapes.response ? 200 : 204),
    ...(shapes.upgrade && { upgrade: shapes.upgrade })
  };
}

const revision = z.int().min(1);
const name = z.string().trim().min(1, 'A brief needs a name.').max(200, 'A name has at most 200 characters.');
const brief = z.object({ id: z.uuid() });
const versionParams = brief.extend({ number: z.coerce.number().int().min(1) });
const text = z.string().max(200_000);
const interval = z.object({ low: z.number(), high: z.number() });
const verdict = z.enum(['fit', 'miss', 'unsure']);
const sourceId = z.string().min(1).max(100);

const briefHead = z.object({
  id: z.uuid(),
  name: z.string(),
  archived: z.boolean(),
  revision,
  createdAt: z.iso.datetime(),
  updatedAt: z.iso.datetime()
});
const briefDetail = briefHead.extend({
  sentence: z.string(),
  wordingsInUse: z.int(),
  versions: z.int(),
  judged: z.int().nullable().describe('People judged; null while it is not known yet who is who'),
  certainOnly: z.boolean().describe('Its screens count only those who are certain')
});
const versionSets = versionSetsSchema;
const version = z.object({
  number: z.int(),
  text: z.string(),
  name: z.string(),
  note: z.string(),
  parent: z.int().nullable().describe('The version it was made from'),
  sets: versionSets.describe('The named word sets it uses, as they were when it was kept'),
  createdAt: z.iso.datetime()
});

const rendering = renderingSchema;
const trial = z.object({
  id: z.uuid(),
  version: z.int(),
  sourceId,
  rendering,
  answers: z.array(searchAnswerSchema),
  found: foundSchema,
  people: z.int().describe('People of the result: the possible, without those contacted already'),
  filtered: z.int().describe('Seen people whom the left-over part contradicts'),
  contacted: z.int().describe('Possible people who were contacted already, and so left out of the list and the sample'),
  duplicates: z.int().describe('People found who look like one before them under another id'),
  state: z.enum(['waiting', 'running', 'done', 'stopped', 'failed']),
  problem: z.string().describe('Why it failed'),
  requests: z.int(),
  createdAt: z.iso.datetime()
});
const judgedBy = z.enum(['person', 'rule']);
const toldVerdict = z.object({ verdict, reason: z.string(), by: judgedBy, revision });
const personVerdict = z.object({
  verdict,
  records: z
    .array(toldVerdict.extend({ sourceId, personId: z.string() }))
    .describe('What was said of each record, newest first'),
  conflict: z.boolean().describe('Records of one person were judged differently: the newest counts')
});
const sampled = z.object({
  rank: z.int(),
  person: personSchema,
  values: z.array(z.object({ field: z.enum(fields), text: z.string(), job: z.int().optional() })),
  marks: z.array(z.object({ value: z.int(), from: z.int(), to: z.int(), part: z.int() })),
  untold: z.array(z.string()).describe('Parts of the string that this record leaves open; empty for who is certain'),
  verdict: toldVerdict.nullable(),
  counts: personVerdict
    .nullable()
    .describe('The verdict that counts for this person, whichever record it was given on'),
  number: z.int().nullable().describe('The same for records of one person; null while it is not known who is who'),
  note: z.object({ text: z.string(), revision }).nullable()
});
const trialDetail = trial.extend({
  sourceName: z.string(),
  progress: z.object({
    searches: z.int(),
    searchesDone: z.int(),
    pages: z.int(),
    rows: z.int(),
    rowsExpected: z.int().nullable().describe('Rows in all, by the counts said so far; null before the first')
  }),
  spent: z.object({ amount: z.number(), unit: z.string() }).nullable(),
  events: z
    .array(z.object({ at: z.iso.datetime(), search: z.int(), page: z.int(), what: z.string() }))
    .describe('What went wrong on the way, and what was done about it'),
  shownCap: z.int().nullable(),
  text: z.string(),
  sets: versionSets,
  figures: figuresSchema.nullable().describe('Null while the trial is not done'),
  certain: z.int().describe('People of the result who are certain'),
  sample: z.array(sampled)
});
const trialParams = brief.extend({ trial: z.uuid() });
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
  faults: faultsSchema.nullable().describe('What goes wrong at a stand-in; null for others'),
  readiness
});
const importShape = z.object({
  id: z.uuid(),
  fileName: z.string(),
  bytes: z.int(),
  reading: readingSchema,
  state: z.enum(['ready', 'running', 'done', 'refused', 'stopped']),
  outcome: importOutcomeSchema.nullable(),
  sourceId: sourceId.nullable()
});
const readText = z.object({
  query: querySchema.nullable(),
  problems: z.array(problemSchema),
  printed: z.string().nullable()
});
const wordSet = namedSetSchema.extend({
  revision,
  usedIn: z.array(z.object({ id: z.uuid(), name: z.string() })).describe('Briefs whose string uses it')
});
const wordSetParams = z.object({ name: setNameSchema });
const houseWording = z.object({ wording: z.string(), taken: z.boolean() });
const importParams = z.object({ id: z.uuid() });

const sourceIds = z.array(sourceId).min(1).max(50);
const bothEstimates = z.object({ certain: estimateSchema, possible: estimateSchema });
const judgedCount = z.object({ fits: z.int(), misses: z.int() });
const shareOf = interval.extend({ share: z.number() }).nullable();
const effect = z.object({
  sourceId,
  before: bothEstimates,
  after: bothEstimates,
  removed: z.int(),
  added: z.int(),
  gone: judgedCount.describe('Judged people who no longer come'),
  come: judgedCount.describe('Judged people who come anew'),
  missesRemoved: shareOf.describe('Share of the judged misses found that go'),
  fitsLost: shareOf.describe('Share of the judged fits found that are lost'),
  precision: z.object({ before: z.number().nullable(), after: z.number().nullable() })
});
const side = z.object({
  count: estimateSchema,
  shown: z.int(),
  fits: z.object({ judged: z.int(), count: z.int(), misses: z.int(), interval }),
  sample: z.array(z.object({ rank: z.int(), person: personSchema, verdict: toldVerdict.nullable() }))
});

const sides = z.object({
  goes: side,
  comes: side,
  stays: side,
  test: z
    .object({
      before: z.int().describe('Judged people whom only the first treats rightly: finds a fit, or leaves a miss'),
      after: z.int().describe('Judged people whom only the second treats rightly'),
      gone: judgedCount,
      come: judgedCount,
      p: z.number()
    })
    .describe('McNemar’s exact test on the judged people in whom the two differ')
});
const middled = interval.extend({ middle: z.number() });
const onlyHere = z.object({ people: z.int(), fits: z.int(), misses: z.int() });
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
  by: judgedBy.default('person').describe('A rule never overwrites what a person said'),
  revision: z.int().min(0).describe('The revision last seen; 0 when there was none')
});

const kept = <T extends z.ZodType>(body: T) => z.object({ body, revision });

const partWorth = z.object({
  path: z.array(z.int()).describe('Index among the parts at each level; empty for the whole string'),
  excludes: z.boolean(),
  alone: estimateSchema.nullable().describe('Estimated result of the part alone; null where it cannot be asked there'),
  without: estimateSchema
    .nullable()
    .describe('Estimated result of the string without it; null where that cannot be asked'),
  only: judgedCount.describe('Judged people who come, or of an exclusion go, by this part alone'),
  brings: judgedCount.describe('Judged people who answer this part')
});

/** Of query strings: only those who are certain. */
const certain = z
  .enum(['true', 'false'])
  .default('false')
  .transform((given) => given === 'true')
  .describe('Only those who are certain, without the possible');

/** What the people behind a figure of the board are: all found, judged so, known-goods, or those nobody else finds. */
export const behindKinds = ['found', 'fits', 'misses', 'known', 'onlyVersion', 'onlySource'] as const;
export type BehindKind = (typeof behindKinds)[number];

/** Every operation of the API, by name. The OpenAPI document is made from this. */
export const contract = {
  listBriefs: operation('GET', '/api/briefs', 'All briefs, newest change first', { response: z.array(briefDetail) }),
  createBrief: operation('POST', '/api/briefs', 'Make a brief', {
    body: z.object({ name }),
    response: briefHead,
    status: 201
  }),
  readBrief: operation('GET', '/api/briefs/{id}', 'One brief', { params: brief, response: briefDetail }),
  changeBrief: operation('PATCH', '/api/briefs/{id}', 'Rename, archive or bring back a brief', {
    params: brief,
    body: z.object({ revision, name: name.optional(), archived: z.boolean().optional() }),
    response: briefHead
  }),
  deleteBrief: operation('DELETE', '/api/briefs/{id}', 'Delete an archived brief with all that belongs to it', {
    params: brief
  }),
  copyBrief: operation('POST', '/api/briefs/{id}/copy', 'A new brief with the same persona, wording and string', {
    params: brief,
    response: briefHead,
    status: 201
  }),
  readPersona: operation('GET', '/api/briefs/{id}/persona', 'The persona of a brief', {
    params: brief,
    response: kept(documentSchemas.persona)
  }),
  writePersona: operation(
    'PUT',
    '/api/briefs/{id}/persona',
    'Write the persona; refused with 409 if it was changed since `revision`',
    {
      params: brief,
      body: kept(documentSchemas.persona),
      response: z.object({ revision })
    }
  ),
  readWording: operation('GET', '/api/briefs/{id}/wording', 'The word sets of a brief', {
    params: brief,
    response: kept(documentSchemas.wording)
  }),
  writeWording: operation(
    'PUT',
    '/api/briefs/{id}/wording',
    'Write the word sets; refused with 409 if they were changed since `revision`',
    {
      params: brief,
      body: kept(documentSchemas.wording),
      response: z.object({ revision })
    }
  ),
  readDraft: operation('GET', '/api/briefs/{id}/draft', 'The string being written', {
    params: brief,
    response: kept(documentSchemas.draft)
  }),
  writeDraft: operation(
    'PUT',
    '/api/briefs/{id}/draft',
    'Keep the string being written; refused with 409 if it was changed since `revision`',
    {
      params: brief,
      body: kept(documentSchemas.draft),
      response: z.object({ revision })
    }
  ),
  readKnown: operation('GET', '/api/briefs/{id}/known', 'The known-goods of a brief: people who must be found', {
    params: brief,
    response: kept(documentSchemas.known)
  }),
  writeKnown: operation(
    'PUT',
    '/api/briefs/{id}/known',
    'Write the known-goods; refused with 409 if they were changed since `revision`',
    {
      params: brief,
      body: kept(documentSchemas.known),
      response: z.object({ revision })
    }
  ),
  readContacted: operation('GET', '/api/briefs/{id}/contacted', 'People of a brief who were contacted already', {
    params: brief,
    response: kept(documentSchemas.contacted)
  }),
  writeContacted: operation(
    'PUT',
    '/api/briefs/{id}/contacted',
    'Write the people contacted already; refused with 409 if they were changed since `revision`',
    {
      params: brief,
      body: kept(documentSchemas.contacted),
      response: z.object({ revision })
    }
  ),
  readRegions: operation('GET', '/api/house-lists/regions', 'Regions as the house speaks of them', {
    response: kept(houseListSchemas.regions)
  }),
  writeRegions: operation(
    'PUT',
    '/api/house-lists/regions',
    'Write the regions; refused with 409 if they were changed since `revision`',
    { body: kept(houseListSchemas.regions), response: z.object({ revision }) }
  ),
  readConsent: operation('GET', '/api/house-lists/consent', 'Countries whose mail rules ask prior consent', {
    response: kept(houseListSchemas.consent)
  }),
  writeConsent: operation(
    'PUT',
    '/api/house-lists/consent',
    'Write the countries that ask consent; refused with 409 if they were changed since `revision`',
    { body: kept(houseListSchemas.consent), response: z.object({ revision }) }
  ),
  buildString: operation('GET', '/api/briefs/{id}/built-string', 'The string that persona and wording make', {
    params: brief,
    response: z.object({ text: z.string() })
  }),
  listVersions: operation('GET', '/api/briefs/{id}/versions', 'Kept versions of the string, newest first', {
    params: brief,
    response: z.array(version)
  }),
  keepVersion: operation(
    'POST',
    '/api/briefs/{id}/versions',
    'Keep a string as a version; a text kept before is that version',
    {
      params: brief,
      body: z.object({ text, parent: z.int().min(1).nullable().default(null) }),
      response: version,
      status: 201
    }
  ),
  nameVersion: operation('PATCH', '/api/briefs/{id}/versions/{number}', 'Give a version a name, a note, or both', {
    params: versionParams,
    body: z.object({ name: z.string().trim().max(100).optional(), note: z.string().max(500).optional() }),
    response: version
  }),
  listTrials: operation('GET', '/api/briefs/{id}/trials', 'The newest trial of each version at each source', {
    params: brief,
    response: z.array(trial)
  }),
  runTrial: operation('POST', '/api/briefs/{id}/trials', 'Run a version at a source, in the background', {
    params: brief,
    body: z.object({
      version: z.int().min(1),
      sourceId,
      sampleSize: z.int().min(1).max(500).default(40),
      wait: z.number().min(0).max(120).default(60).describe('Seconds to wait for its end before answering')
    }),
    response: trialDetail,
    status: 201
  }),
  readTrial: operation('GET', '/api/briefs/{id}/trials/{trial}', 'A trial with its sample, marked words and verdicts', {
    params: trialParams,
    response: trialDetail
  }),
  writeNote: operation(
    'PUT',
    '/api/briefs/{id}/notes',
    'Write the note on a person; with nothing in it, take it away',
    {
      params: brief,
      body: z.object({
        sourceId,
        personId: z.string().min(1).max(300),
        text: z.string().max(2000),
        revision: z.int().min(0).describe('The revision last seen; 0 when there was none')
      }),
      response: z.object({ text: z.string(), revision }).nullable()
    }
  ),
  elsewhere: operation('POST', '/api/elsewhere', 'What other sources say of the same person', {
    body: z.object({ person: personSchema, except: sourceId }),
    response: z.array(z.object({ sourceId, sourceName: z.string(), person: personSchema }))
  }),
  recordByHand: operation(
    'POST',
    '/api/briefs/{id}/hand-results',
    'Keep what came back from a place run by hand, one answer for each search, as a trial',
    {
      params: brief,
      body: z.object({
        text,
        parent: z.int().min(1).nullable().default(null),
        sourceId,
        answers: z
          .array(
            z.object({
              said: z.int().min(0).max(2_000_000_000),
              interval: interval.refine(({ low, high }) => low <= high, 'The lower end comes first.'),
              rows: z.array(z.object({ values: z.partialRecord(z.enum(pageFields), z.string().max(2000)) })).max(5000)
            })
          )
          .min(1)
          .max(200)
      }),
      response: trialDetail,
      status: 201
    }
  ),
  stopTrial: operation('POST', '/api/briefs/{id}/trials/{trial}/stop', 'Stop a trial where it is', {
    params: trialParams,
    response: trialDetail
  }),
  resumeTrial: operation('POST', '/api/briefs/{id}/trials/{trial}/resume', 'Let a stopped or failed trial go on', {
    params: trialParams,
    response: trialDetail
  }),
  drawMore: operation('POST', '/api/briefs/{id}/trials/{trial}/sample', 'Draw more people of a result', {
    params: trialParams,
    body: z.object({ size: z.int().min(1).max(2000).describe('People drawn in all') }),
    response: trialDetail
  }),
  giveVerdict: operation('PUT', '/api/briefs/{id}/verdicts', 'Give, change or (with null) take back a verdict', {
    params: brief,
    body: givenVerdict,
    response: toldVerdict.nullable()
  }),
  settleConflict: operation(
    'POST',
    '/api/briefs/{id}/verdict-conflicts',
    'Give every record of a person the same verdict, where they were judged differently',
    {
      params: brief,
      body: z.object({
        sourceId,
        personId: z.string().min(1).max(300),
        verdict,
        reason: z.string().max(500).default('')
      })
    }
  ),
  compare: operation('GET', '/api/briefs/{id}/compare', 'Versions at sources, measured', {
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
      judged: z.int().describe('People with a verdict, each once'),
      people: z.int().describe('People seen, each once'),
      cells: z.array(
        z.object({
          version: z.int(),
          sourceId,
          trialId: z.uuid(),
          said: z.array(z.int()),
          exactness: rendering.shape.exactness,
          searches: z.int(),
          figures: figuresSchema,
          people: z.int().describe('People of the result that are compared'),
          sampled: z.int(),
          spent: z.object({ amount: z.number(), unit: z.string() }).nullable(),
          missesPerHundred: z.number().nullable(),
          known: z.object({ found: z.int(), inSource: z.int() }),
          onlyVersion: onlyHere.describe('Whom no other version finds at this source'),
          onlySource: onlyHere.describe('Whom no other source finds with this version'),
          priceOfFit: z.number().nullable(),
          pooled: z.object({ found: z.int(), of: z.int() }).describe('Of all judged fits, those found'),
          standing: z.discriminatedUnion('is', [
            z.object({ is: z.enum(['best', 'beaten', 'alone']) }),
            z.object({
              is: z.literal('open').describe('Not told apart from the highest precision, or the nearest to it'),
              against: z.int(),
              decide: z
                .object({ here: z.int(), there: z.int() })
                .nullable()
                .describe('Verdicts more on each that would tell them apart; null where all would not')
            })
          ])
        })
      ),
      overlaps: z.array(
        z.object({
          version: z.int(),
          sourceIds: z.array(sourceId),
          people: z.int().describe('People of these results, each once'),
          parts: z.array(
            z.object({
              sets: z.array(z.int()).describe('Places in sourceIds: found by these and by no others'),
              people: z.int(),
              fits: z.int(),
              misses: z.int()
            })
          ),
          population: z
            .array(z.object({ first: sourceId, second: sourceId, judgedFits: z.int(), both: z.int(), fits: middled }))
            .describe('How many fits there are, by Chapman’s estimate over each pair of sources')
        })
      )
    })
  }),
  behind: operation('GET', '/api/briefs/{id}/behind', 'The people behind a figure of the board', {
    params: brief,
    query: z.object({
      version: z.coerce.number().int().min(1),
      source: sourceId,
      kind: z.enum(behindKinds),
      certain
    }),
    response: z.object({ count: z.int(), people: side.shape.sample })
  }),
  sideBySide: operation(
    'GET',
    '/api/briefs/{id}/side-by-side',
    'Two versions at a source: who was removed, added and kept, with samples of just these',
    {
      params: brief,
      query: z.object({
        from: z.coerce.number().int().min(1),
        to: z.coerce.number().int().min(1),
        source: sourceId,
        size: z.coerce.number().int().min(1).max(200).default(20),
        certain
      }),
      response: sides
    }
  ),
  sourcesSideBySide: operation(
    'GET',
    '/api/briefs/{id}/sources-side-by-side',
    'One version at two sources: whom one finds and the other lacks, and why',
    {
      params: brief,
      query: z.object({ version: z.coerce.number().int().min(1), here: sourceId, there: sourceId, certain }),
      response: z.object({
        version: z.int(),
        here: sourceId,
        there: sourceId,
        found: z.int(),
        both: z.int(),
        lacking: z.int(),
        looked: z.int().describe('Those of the lacking who were looked into'),
        people: z.array(
          z.object({
            person: personSchema,
            there: personSchema.nullable(),
            reason: z.enum(lackingReasons),
            verdict: verdict.nullable()
          })
        )
      })
    }
  ),
  readChoice: operation('GET', '/api/briefs/{id}/choice', 'The baseline, and the version chosen for each source', {
    params: brief,
    response: kept(documentSchemas.choice)
  }),
  countCertainOnly: operation(
    'PUT',
    '/api/briefs/{id}/certain-only',
    'Count only those who are certain, on every screen of the brief, or all possible',
    { params: brief, body: z.object({ certainOnly: z.boolean() }) }
  ),
  writeChoice: operation(
    'PUT',
    '/api/briefs/{id}/choice',
    'Write what was chosen; refused with 409 if it was changed since `revision`',
    { params: brief, body: kept(documentSchemas.choice), response: z.object({ revision }) }
  ),
  mark: operation('GET', '/api/briefs/{id}/mark', 'A mark that changes whenever something of the brief does', {
    params: brief,
    response: z.object({ mark: z.string() })
  }),
  report: operation(
    'GET',
    '/api/briefs/{id}/report',
    'What to share: the version for each source, and what speaks for it',
    {
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
    }
  ),
  chosen: operation('GET', '/api/briefs/{id}/chosen', 'The version chosen for each source, measured', {
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
  exportBrief: operation('GET', '/api/briefs/{id}/file', 'The whole brief as one file', {
    params: brief,
    response: briefFileSchema
  }),
  importBrief: operation('POST', '/api/brief-files', 'A new brief out of a file, all or nothing', {
    body: briefFileSchema,
    upgrade: upgradedBriefFile,
    response: briefHead,
    status: 201
  }),
  exportQrels: operation('GET', '/api/briefs/{id}/qrels', 'The verdicts as TREC qrels', {
    params: brief,
    response: z.object({ text: z.string() })
  }),
  importQrels: operation('POST', '/api/briefs/{id}/qrels', 'Take verdicts out of TREC qrels; none is overwritten', {
    params: brief,
    body: z.object({ text: z.string().max(20_000_000) }),
    response: z.object({
      added: z.int(),
      same: z.int(),
      otherwise: z.int().describe('Said otherwise here, and left so'),
      elsewhere: z.int().describe('On people of sources that are not here')
    })
  }),
  exportRuns: operation('GET', '/api/briefs/{id}/runs', 'The newest results as TREC runs', {
    params: brief,
    query: z.object({ certain }).optional(),
    response: z.object({ text: z.string() })
  }),
  importRuns: operation('POST', '/api/briefs/{id}/runs', 'Take results out of TREC runs', {
    params: brief,
    body: z.object({ text: z.string().max(60_000_000) }),
    response: z.object({
      added: z.int(),
      same: z.int(),
      unknown: z.int().describe('People who are not in the source they are said to be from')
    })
  }),
  listPairs: operation('GET', '/api/briefs/{id}/same-people', 'Records that may be of one person, and those decided', {
    params: brief,
    response: z.object({
      doubtful: z.array(recordPair.extend({ why: z.string() })),
      decided: z.array(recordPair.extend({ same: z.boolean() }))
    })
  }),
  recordsNamed: operation(
    'GET',
    '/api/briefs/{id}/records',
    'Records with a name like this, and which are of one person',
    {
      params: brief,
      query: z.object({ name: z.string().trim().min(2, 'Write two letters of the name or more.').max(100) }),
      response: z.array(
        z.object({
          number: z.int().describe('The same for records of one person'),
          sourceId,
          person: personSchema
        })
      )
    }
  ),
  decidePair: operation(
    'PUT',
    '/api/same-people',
    'Say of two records that they are of one person or not; with null, forget what was said',
    { body: z.object({ first: recordName, second: recordName, same: z.boolean().nullable() }) }
  ),
  listJudges: operation('GET', '/api/briefs/{id}/judges', 'Judges besides the first', {
    params: brief,
    response: z.array(z.object({ judge: z.string(), judged: z.int() }))
  }),
  readJudgements: operation('GET', '/api/briefs/{id}/judges/{judge}', 'What a judge said of people of a source', {
    params: judgeParams,
    query: z.object({ source: sourceId }),
    response: z.array(toldVerdict.extend({ personId: z.string() }))
  }),
  giveJudgement: operation(
    'PUT',
    '/api/briefs/{id}/judges/{judge}',
    'Give, change or (with null) take back what a second judge says',
    { params: judgeParams, body: givenVerdict.omit({ by: true }), response: toldVerdict.nullable() }
  ),
  agreement: operation(
    'GET',
    '/api/briefs/{id}/judges/{judge}/agreement',
    'How far a judge agrees with the first, and whom they see otherwise',
    {
      params: judgeParams,
      response: z.object({
        judge: z.string(),
        judged: z.int(),
        agreed: z.int(),
        observed: z.number(),
        expected: z.number(),
        kappa: z.number().nullable(),
        interval,
        table: z.array(z.array(z.int())).describe('First judge down, second across; fit, miss, unsure'),
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
    }
  ),
  settle: operation(
    'POST',
    '/api/briefs/{id}/judges/{judge}/settle',
    'Settle a difference: the brief goes by this verdict, and what each said is kept',
    {
      params: judgeParams,
      body: z.object({ sourceId, personId: z.string().min(1).max(300), verdict, revision })
    }
  ),
  parse: operation('POST', '/api/parse', 'Read a string', {
    body: z.object({ text }),
    response: readText
  }),
  render: operation('POST', '/api/render', 'Translate a string for a source', {
    body: z.object({ text, sourceId }),
    response: rendering.extend({ problems: z.array(problemSchema) })
  }),
  read: operation('POST', '/api/read', 'Read a text copied from a source by that source’s rules', {
    body: z.object({ text, sourceId }),
    response: readText
  }),
  count: operation(
    'POST',
    '/api/counts',
    'How many people each of some strings finds at a source; null where it cannot be asked',
    {
      body: z.object({ sourceId, texts: z.array(z.string().max(1000)).max(1000) }),
      response: z.object({ counts: z.array(bothEstimates.nullable()), people: z.int().nullable() })
    }
  ),
  foundTitles: operation(
    'GET',
    '/api/briefs/{id}/found-titles',
    'Titles that people judged fit carry and no wording in use covers',
    {
      params: brief,
      response: z.array(
        z.object({ title: z.string(), people: z.array(z.object({ name: z.string(), company: z.string() })) })
      )
    }
  ),
  houseWordings: operation('GET', '/api/house-wordings', 'What the house took and refused for a title', {
    query: z.object({ title: z.string().max(300) }),
    response: z.array(houseWording)
  }),
  rememberWordings: operation('PUT', '/api/house-wordings', 'Remember wordings of a title as taken or refused', {
    body: z.object({
      title: z.string().min(1).max(300),
      wordings: z.array(z.string().max(300)).max(1000),
      taken: z.boolean()
    }),
    response: z.array(houseWording)
  }),
  listWordSets: operation('GET', '/api/word-sets', 'The library of named word sets, each with the briefs that use it', {
    response: z.array(wordSet)
  }),
  createWordSet: operation('POST', '/api/word-sets', 'Add a word set to the library', {
    body: namedSetSchema,
    response: wordSet,
    status: 201
  }),
  writeWordSet: operation(
    'PUT',
    '/api/word-sets/{name}',
    'Change a word set; refused with 409 if it was changed since `revision`, or if a brief not in `seen` uses it',
    {
      params: wordSetParams,
      body: namedSetSchema.omit({ name: true }).extend({
        revision,
        seen: z.array(z.uuid()).max(10_000).default([]).describe('Briefs that are known to change with it')
      }),
      response: wordSet
    }
  ),
  deleteWordSet: operation('DELETE', '/api/word-sets/{name}', 'Delete a word set that no string uses', {
    params: wordSetParams
  }),
  exportWordSets: operation('GET', '/api/word-set-files', 'All word sets as a file', {
    query: z.object({ format: z.enum(['json', 'csv']) }),
    response: z.object({ text: z.string() })
  }),
  importWordSets: operation('POST', '/api/word-set-files', 'Take word sets out of a JSON or CSV file, all or none', {
    body: z.object({ text: z.string().max(4_000_000) }),
    response: z.object({ added: z.int(), extended: z.int(), unchanged: z.int(), wordings: z.int() })
  }),
  ledger: operation(
    'POST',
    '/api/briefs/{id}/ledger',
    'What each part of a string is worth at a source, and how the count falls part by part',
    {
      params: brief,
      body: z.object({ text, sourceId, order: z.array(z.int().min(0)).max(5000).optional() }),
      response: z.object({
        rendering,
        found: foundSchema,
        keptBack: z
          .object({ people: z.int(), share: z.number(), facts: z.array(z.enum(scopes)) })
          .nullable()
          .describe(
            'People whom the source itself drops for want of a fact it was asked, and their share of all who could meet the string'
          ),
        rows: z.object({ certain: z.array(partWorth), possible: z.array(partWorth) }).nullable(),
        narrowing: z.array(z.object({ part: z.int(), estimated: bothEstimates.nullable() }))
      })
    }
  ),
  proposals: operation(
    'POST',
    '/api/briefs/{id}/proposals',
    'Changes of a string that verdicts speak for, each measured at every source, best first',
    {
      params: brief,
      body: z.object({ text, sourceIds }),
      response: z.array(
        z.object({
          kind: z.enum(proposalKinds),
          says: z.string(),
          changes: z.array(changeSchema),
          text: z.string(),
          gain: z.number(),
          costly: z.boolean(),
          effects: z.array(effect)
        })
      )
    }
  ),
  jointEffect: operation(
    'POST',
    '/api/briefs/{id}/joint-effect',
    'A string with several changes made, and what they do together',
    {
      params: brief,
      body: z.object({ text, changes: z.array(changeSchema).max(100), sourceIds }),
      response: z.object({ text: z.string(), effects: z.array(effect) })
    }
  ),
  whoGoes: operation(
    'POST',
    '/api/briefs/{id}/who-goes',
    'A sample of just those who go, who come and who stay when a string is changed',
    {
      params: brief,
      body: z.object({
        from: text,
        to: text,
        sourceId,
        size: z.int().min(1).max(200).default(30),
        certain: z.boolean().default(false)
      }),
      response: sides
    }
  ),
  knownAt: operation(
    'POST',
    '/api/briefs/{id}/known-at',
    'Each known-good at a source: there or not, found or not, and what would let them in',
    {
      params: brief,
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
                  by: z.array(z.object({ term: z.string(), fields: z.array(z.enum([...fields, 'fact'])) })),
                  untold: z.array(z.string())
                })
              ),
              letIn: z
                .object({ changes: z.array(changeSchema), text: z.string(), says: z.array(z.string()) })
                .nullable()
            })
            .nullable()
        })
      )
    }
  ),
  senses: operation(
    'POST',
    '/api/senses',
    'What the ambiguous words of a string mean among the people it finds at a source, and what telling them apart would do',
    {
      body: z.object({ text, sourceId }),
      response: z.object({
        estimated: bothEstimates,
        words: z.array(
          z.object({
            word: z.string(),
            people: z.int().describe('People shown that have the word'),
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
                    kept: z.int().describe('People shown with this meaning, after the change'),
                    othersLeft: z.int().describe('People shown with another meaning, after the change')
                  })
                )
              })
            )
          })
        )
      })
    }
  ),
  listSources: operation('GET', '/api/sources', 'All sources with their capability sheets', {
    response: z.array(source)
  }),
  createByHand: operation('POST', '/api/sources', 'Add a place that is run by hand, described by a sheet', {
    body: z.object({ sheet: sheetSchema }),
    response: source,
    status: 201
  }),
  readSource: operation('GET', '/api/sources/{source}', 'One source with its capability sheet', {
    params: z.object({ source: sourceId }),
    response: source
  }),
  writeSheet: operation(
    'PUT',
    '/api/sources/{source}',
    'Write the sheet of a place run by hand; refused with 409 if it was changed since `revision`',
    {
      params: z.object({ source: sourceId }),
      body: z.object({ sheet: sheetSchema, revision }),
      response: source
    }
  ),
  switchFaults: operation('PUT', '/api/sources/{source}/faults', 'Switch what goes wrong at a stand-in', {
    params: z.object({ source: sourceId }),
    body: faultsSchema,
    response: source
  }),
  deleteSource: operation(
    'DELETE',
    '/api/sources/{source}',
    'Delete an imported file with its people, or a place run by hand',
    {
      params: z.object({ source: sourceId })
    }
  ),
  receiveFile: operation(
    'POST',
    '/api/imports',
    'Upload a file of people (the body is the file) and see how it would be read',
    {
      query: z.object({ name: z.string().trim().min(1).max(300) }),
      response: importShape,
      status: 201
    }
  ),
  readImport: operation('GET', '/api/imports/{id}', 'How far an import is', {
    params: importParams,
    response: importShape
  }),
  startImport: operation('POST', '/api/imports/{id}/start', 'Import an uploaded file in the background', {
    params: importParams,
    body: z.object({
      name: z.string().trim().min(1, 'A source needs a name.').max(100),
      mapping: columnMappingSchema,
      skipBadRows: z.boolean().default(false),
      into: sourceId.nullable().default(null).describe('An imported file whose people these take the place of, by key')
    }),
    response: importShape,
    status: 202
  }),
  stopImport: operation('DELETE', '/api/imports/{id}', 'Stop a running import, or throw an uploaded file away', {
    params: importParams
  })
};

export type Contract = typeof contract;
export type Answer<K extends keyof Contract> = z.output<Contract[K]['response']>;
