import * as z from 'zod';
import { documentSchemas } from './documents';
import { keptDocument, mebibyte, operation } from './operation';
import { paths } from './paths';
import { brief, briefHead, revision, sourceId } from './shapes';

const name = z.string().trim().min(1, 'A brief needs a name.').max(200, 'A name has at most 200 characters.');

const briefListed = briefHead.extend({
  sentence: z.string(),
  wordingsInUse: z.int(),
  versions: z.int(),
  /** Verdicts given, one for each record */
  verdicts: z.int(),
  /** People of the newest harvest; null where there is none */
  harvested: z.int().nullable(),
  /** People on its shortlists; null where there is none */
  shortlisted: z.int().nullable(),
  /** Its screens count only those who are certain */
  certainOnly: z.boolean(),
  /** Sources that its strings are not run on */
  leftOut: z.array(sourceId),
  chosen: z.array(
    z.object({
      sourceId,
      source: z.string(),
      version: z.int(),
      name: z.string(),
      note: z.string(),
      trialId: z.uuid()
    })
  )
});
const briefDetail = briefListed.extend({
  /** People judged; null while it is not known yet who is who */
  judged: z.int().nullable()
});

const known = keptDocument([paths.readKnown, paths.writeKnown], documentSchemas.known, {
  params: brief,
  bodyLimit: 16 * mebibyte
});
const contacted = keptDocument([paths.readContacted, paths.writeContacted], documentSchemas.contacted, {
  params: brief,
  bodyLimit: 48 * mebibyte
});

/** Briefs, and what belongs to one as a whole. */
export const briefs = {
  listBriefs: operation(paths.listBriefs, { response: z.array(briefListed) }),
  createBrief: operation(paths.createBrief, {
    body: z.object({ name }),
    response: briefHead,
    status: 201
  }),
  readBrief: operation(paths.readBrief, { params: brief, response: briefDetail }),
  changeBrief: operation(paths.changeBrief, {
    params: brief,
    body: z.object({ revision, name: name.optional(), archived: z.boolean().optional() }),
    response: briefHead
  }),
  deleteBrief: operation(paths.deleteBrief, {
    params: brief
  }),
  copyBrief: operation(paths.copyBrief, {
    params: brief,
    response: briefHead,
    status: 201
  }),
  resetDemo: operation(paths.resetDemo, { response: z.object({ id: z.uuid() }), status: 201 }),
  briefEvents: operation(paths.briefEvents, {
    params: brief,
    query: z.object({ seen: z.string().max(100).optional() }).optional(),
    streams: true,
    response: z.object({
      /** Another one whenever something of the brief is otherwise */
      mark: z.string(),
      /** Tables in which something has changed */
      what: z.array(z.string())
    })
  }),
  leaveOutSources: operation(paths.leaveOutSources, {
    params: brief,
    body: z.object({ leftOut: z.array(sourceId).max(1000) })
  }),
  countCertainOnly: operation(paths.countCertainOnly, { params: brief, body: z.object({ certainOnly: z.boolean() }) }),
  readContacted: contacted.read,
  writeContacted: contacted.write,
  readKnown: known.read,
  writeKnown: known.write,
  addKnown: operation(paths.addKnown, {
    params: brief,
    bodyLimit: 16 * mebibyte,
    body: z.object({ people: documentSchemas.known }),
    response: z.object({ added: z.int(), revision })
  })
};
