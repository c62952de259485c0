import { contract } from '$api';
import { changeShortlist, createShortlist, deleteShortlist, listShortlists, readShortlist } from './shortlists';
import { doubtfulKept, joinKept, splitKept } from './who-is-who';
import { readJsonBody } from '$server/http/read-body';
import { check } from '$server/platform/check';
import { exportShortlist, mergeInto, previewExport } from './export-shortlist';
import { checkMail } from './mail-run';
import { moreLikeThese } from './more-like-these';
import { changeKept } from './change-kept';
import { keepPeople } from './keep';
import { listKept, readKept } from './list-kept';
import { processingRecord } from './processing-record';
import { undo } from './steps';
import { deleteProfile, listProfiles, writeProfile } from './column-profiles';
import type { Handlers } from '$server/http/handlers';

export const shortlistRoutes = {
  listShortlists: ({ params }) => listShortlists(params.id),
  createShortlist: ({ params, body }) => createShortlist(params.id, body),
  readShortlist: ({ params }) => readShortlist(params.id, params.list),
  changeShortlist: ({ params, body }) => changeShortlist(params.id, params.list, body),
  deleteShortlist: ({ params }) => deleteShortlist(params.id, params.list),
  doubtfulKept: ({ params }) => doubtfulKept(params.id, params.list),
  exportShortlist: {
    raw: async ({ params, event }) => {
      const leaving = check(
        contract.exportShortlist.body,
        await readJsonBody(event.request, contract.exportShortlist.bodyLimit),
        'what was sent'
      );
      const { bytes, type, ending } = await exportShortlist(params.id, params.list, leaving);
      return new Response(bytes, {
        headers: { 'content-type': type, 'content-disposition': `attachment; filename="shortlist.${ending}"` }
      });
    }
  },
  joinKept: ({ params, body }) => joinKept(params.id, params.list, body.numbers),
  checkMail: ({ params, body }) => checkMail(params.id, params.list, body),
  mergePreview: ({ params, body }) => mergeInto(params.id, params.list, body.leaving, body.there),
  moreLike: ({ params, body }) => moreLikeThese(params.id, params.list, body.numbers),
  listKept: ({ params, query }) => listKept(params.id, params.list, query ?? {}),
  keepPeople: ({ params, body }) => keepPeople({ briefId: params.id, id: params.list, ...body }),
  changeKept: ({ params, body }) => changeKept(params.id, params.list, body.which, body.change, body.was),
  readKept: ({ params }) => readKept(params.id, params.list, params.number),
  splitKept: ({ params, body }) => splitKept(params.id, params.list, params.number, body.record),
  previewExport: ({ params, body }) => previewExport(params.id, params.list, body),
  processingRecord: {
    raw: async ({ params }) =>
      new Response(await processingRecord(params.id, params.list), {
        headers: { 'content-type': 'text/plain; charset=utf-8' }
      })
  },
  undoKept: ({ params }) => undo(params.id, params.list),
  listProfiles: () => listProfiles(),
  writeProfile: ({ params, body }) => writeProfile(params.name, body),
  deleteProfile: ({ params }) => deleteProfile(params.name)
} satisfies Partial<Handlers>;
