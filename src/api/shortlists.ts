import * as z from 'zod';
import { personSchema } from '$core/people/person';
import { joinedFields, leftOutReasons } from '$core/shortlist/list-fields';
import { largest } from './limits';
import { operation } from './operation';
import { paths } from './paths';
import { name, settings, short } from './shortlist-settings';
import { brief, interval, revision, sourceId, verdict } from './shapes';

const head = settings.pick({ name: true, purpose: true }).extend({
  id: z.uuid(),
  people: z.int(),
  createdAt: z.iso.datetime(),
  updatedAt: z.iso.datetime()
});
export const counts = z.array(z.object({ value: z.string(), people: z.int() }));
const mailRun = z.object({
  id: z.uuid(),
  state: z.enum(['waiting', 'running', 'paused', 'done', 'failed']),
  problem: z.string(),
  addresses: z.int(),
  checked: z.int(),
  good: z.int(),
  spent: z.number(),
  goesOnAt: z.iso.datetime().nullable()
});
const plan = z.object({ perDay: z.int().min(1).max(largest), perMonth: z.int().min(1).max(largest) });
const shortlist = head.extend({
  ...settings.shape,
  revision,
  /** How many there are of each, over all people of the list */
  counted: z.object({
    country: counts,
    company: counts,
    tag: counts,
    verdict: counts,
    mail: counts,
    leftOut: counts,
    rank: counts
  }),
  /** From the reported count to the exports, each person once */
  road: z.object({
    reported: interval.nullable(),
    gathered: z.int().nullable(),
    fits: z.int(),
    kept: z.int(),
    good: z.int(),
    taken: z.int()
  }),
  /** Share of it that fits, by those judged */
  precision: z.object({ fits: z.int(), judged: z.int(), interval }),
  undo: z.string().nullable(),
  mail: z.object({
    run: mailRun.nullable(),
    plan: plan.extend({ today: z.int(), month: z.int() }),
    /** Addresses that a check would ask about, and what it costs at most */
    open: z.int(),
    cost: z.number(),
    unit: z.string(),
    faults: z.object({ malformed: z.int(), duplicate: z.int(), role: z.int(), throwAway: z.int() })
  }),
  exports: z.array(z.object({ at: z.iso.datetime(), form: z.string(), people: z.int(), what: z.string() }))
});

export const listParams = brief.extend({ list: z.uuid() });
const number = z.int().min(0).max(largest);
const personParams = listParams.extend({ number: z.coerce.number().int().min(0).max(largest) });
export const keptFilter = z.object({
  words: z.string().trim().max(200).optional(),
  country: short.optional(),
  company: short.optional(),
  tag: short.optional(),
  rank: short.optional(),
  verdict: z.enum(['fit', 'miss', 'unsure', 'none']).optional(),
  mail: z.enum(['good', 'uncertain', 'bad', 'unanswered', 'unchecked', 'none']).optional(),
  /** A reason, or `in` for those who are not left out, or `out` for those who are */
  leftOut: z.enum([...leftOutReasons, 'in', 'out']).optional(),
  /** With a next step that is due until this day */
  due: z.iso.date().optional()
});
const cell = z.union([z.string().max(2000), z.number(), z.boolean()]).nullable();
const kept = z.object({
  number,
  name: z.string(),
  title: z.string(),
  company: z.string(),
  country: z.string(),
  place: z.string(),
  mail: z.string(),
  mailState: z.string(),
  mailWhy: z.string(),
  phone: z.string(),
  headcount: z.number().nullable(),
  greeting: z.string(),
  firmSaid: z.string(),
  tidyTitle: z.string(),
  own: z.record(z.string(), cell),
  tags: z.array(z.string()),
  priority: z.int().nullable(),
  nextStep: z.string(),
  nextOn: z.string().nullable(),
  note: z.string(),
  likelihood: z.number().nullable(),
  verdict: verdict.nullable(),
  sources: z.array(sourceId),
  keptAt: z.iso.datetime(),
  keptFrom: z.string(),
  keptWhy: z.string(),
  keptBy: z.string(),
  leftOut: z.array(z.enum(leftOutReasons)),
  takenAt: z.iso.datetime().nullable()
});
/** Some people of the list by number, or everyone the filter finds */
const which = z.union([z.object({ numbers: z.array(number).min(1).max(100_000) }), z.object({ filter: keptFilter })]);
const done = z.object({ people: z.int() });
/** People on a shortlist: merged, cleaned, checked, excluded and exported. */
export const shortlists = {
  listShortlists: operation(paths.listShortlists, { params: brief, response: z.array(head) }),
  createShortlist: operation(paths.createShortlist, {
    params: brief,
    body: z.object({ name, purpose: z.string().trim().max(500).default('') }),
    response: z.object({ id: z.uuid() }),
    status: 201
  }),
  readShortlist: operation(paths.readShortlist, { params: listParams, response: shortlist }),
  changeShortlist: operation(paths.changeShortlist, {
    params: listParams,
    body: settings.partial().extend({ revision }),
    response: z.object({ revision })
  }),
  deleteShortlist: operation(paths.deleteShortlist, { params: listParams }),
  keepPeople: operation(paths.keepPeople, {
    params: listParams,
    body: z.object({
      why: short.default(''),
      /** Who keeps them, as they call themselves */
      by: z.string().trim().max(100).default(''),
      from: z.discriminatedUnion('kind', [
        z.object({
          kind: z.literal('records'),
          records: z
            .array(z.object({ sourceId, personId: z.string().min(1).max(300) }))
            .min(1)
            .max(5000)
        }),
        z.object({
          kind: z.literal('harvest'),
          harvest: z.uuid(),
          verdict: z.enum(['fit', 'miss', 'unsure', 'none']).optional(),
          certain: z.boolean().default(false),
          source: sourceId.optional(),
          country: short.optional(),
          words: short.optional(),
          likelyFrom: z.number().min(0).max(1).optional(),
          numbers: z.array(number).max(100_000).optional()
        }),
        z.object({ kind: z.literal('fits') }),
        z.object({ kind: z.literal('news'), ids: z.array(number).min(1).max(1000) }),
        z.object({
          kind: z.literal('people'),
          people: z.array(personSchema).min(1).max(20_000),
          own: z.array(z.record(z.string(), cell)).max(20_000).optional()
        })
      ])
    }),
    bodyLimit: 32 * 1024 * 1024,
    response: z.object({ kept: z.int(), there: z.int(), joined: z.int(), objected: z.int() })
  }),
  listKept: operation(paths.listKept, {
    long: true,
    params: listParams,
    query: keptFilter
      .extend({
        from: z.coerce.number().int().min(0).max(largest).default(0),
        /** Columns, the first leading; with a minus for descending; `own.` before one of the list's own */
        sort: z.string().max(500).default('')
      })
      .optional(),
    response: z.object({ people: z.array(kept), of: z.int() })
  }),
  readKept: operation(paths.readKept, {
    params: personParams,
    response: z.object({
      person: kept,
      written: z.array(z.enum(['greeting', 'firm', 'title'])),
      cleaned: z.object({ greeting: z.string(), sure: z.boolean(), firm: z.string(), title: z.string() }),
      fields: z.array(
        z.object({
          field: z.enum(joinedFields),
          value: z.string(),
          from: z.int().nullable(),
          why: z.string(),
          listed: z.array(z.string())
        })
      ),
      records: z.array(z.object({ sourceId, sourceName: z.string(), seenAt: z.iso.datetime(), person: personSchema })),
      guess: z.object({ address: z.string(), pattern: z.string(), seen: z.int(), of: z.int() }).nullable()
    })
  }),
  changeKept: operation(paths.changeKept, {
    params: listParams,
    body: z.object({
      which,
      change: z.object({
        addTags: z.array(z.string().max(60)).max(20).optional(),
        removeTags: z.array(z.string().max(60)).max(20).optional(),
        priority: z.int().min(1).max(5).nullable().optional(),
        nextStep: short.optional(),
        nextOn: z.iso.date().nullable().optional(),
        note: z.string().max(2000).optional(),
        own: z.record(z.string(), cell).optional(),
        /** Left out by hand, with why; null takes them in again */
        leaveOut: short.nullable().optional(),
        /** Taken off the list */
        drop: z.literal(true).optional(),
        /** Which record leads a field, or a text of one’s own; null as Eave would */
        choice: z
          .partialRecord(
            z.enum(joinedFields),
            z.union([z.object({ record: z.int() }), z.object({ text: short })]).nullable()
          )
          .optional(),
        /** How it is written in a letter; null as Eave would */
        written: z.partialRecord(z.enum(['greeting', 'firm', 'title']), short.nullable()).optional()
      }),
      /** The value before the edit, for a single person: refused if it has changed since */
      was: z
        .object({
          nextStep: short.optional(),
          nextOn: z.iso.date().nullable().optional(),
          note: z.string().max(2000).optional(),
          own: z.record(z.string(), cell).optional()
        })
        .optional()
    }),
    bodyLimit: 4 * 1024 * 1024,
    response: done
  }),
  joinKept: operation(paths.joinKept, {
    params: listParams,
    body: z.object({ numbers: z.array(number).min(2).max(50) }),
    response: done
  }),
  splitKept: operation(paths.splitKept, {
    params: personParams,
    body: z.object({ record: z.int().min(0) }),
    response: done
  }),
  doubtfulKept: operation(paths.doubtfulKept, {
    params: listParams,
    response: z.array(z.object({ numbers: z.tuple([number, number]), why: z.string(), people: z.tuple([kept, kept]) }))
  }),
  undoKept: operation(paths.undoKept, { params: listParams, response: z.object({ what: z.string() }) }),
  moreLike: operation(paths.moreLike, {
    params: listParams,
    body: z.object({ numbers: z.array(number).min(2).max(5000) }),
    response: z.object({
      text: z.string().nullable(),
      traits: z.array(
        z.object({ text: z.string(), good: z.int(), ofGood: z.int(), rest: z.int(), ofRest: z.int(), lift: z.number() })
      ),
      /** Of the judged people it finds */
      precision: z.object({ fits: z.int(), judged: z.int(), interval }),
      /** Of those seen in the brief and not on the list */
      adds: z.object({ people: z.int(), some: z.array(personSchema) }),
      firms: z.array(z.object({ company: z.string(), people: z.int(), shared: z.int(), listed: z.int() }))
    })
  }),
  checkMail: operation(paths.checkMail, {
    params: listParams,
    body: z.object({ do: z.enum(['check', 'stop', 'go on']), plan: plan.optional() }),
    response: mailRun.nullable()
  })
};
