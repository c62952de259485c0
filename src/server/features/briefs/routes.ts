import { copyBrief, countCertainOnly, findBrief, leaveOutSources, readDocument, writeDocument } from './briefs';
import { eventStream } from '$server/http/event-stream';
import { watchBrief } from './events';
import { addKnown } from './people-lists';
import type { Handlers } from '$server/http/handlers';

export const briefRoutes = {
  countCertainOnly: ({ params, body }) => countCertainOnly(params.id, body.certainOnly),
  readChoice: ({ params }) => readDocument(params.id, 'choice'),
  writeChoice: ({ params, body }) => writeDocument(params.id, 'choice', body),
  readContacted: ({ params }) => readDocument(params.id, 'contacted'),
  writeContacted: ({ params, body }) => writeDocument(params.id, 'contacted', body),
  copyBrief: ({ params }) => copyBrief(params.id),
  readDraft: ({ params }) => readDocument(params.id, 'draft'),
  writeDraft: ({ params, body }) => writeDocument(params.id, 'draft', body),
  briefEvents: {
    raw: async ({ params, query, event: { request } }) => {
      await findBrief(params.id);
      const seen = request.headers.get('last-event-id') ?? query?.seen ?? null;
      return eventStream(request.signal, (send) => watchBrief(params.id, seen, send));
    }
  },
  readKnown: ({ params }) => readDocument(params.id, 'known'),
  writeKnown: ({ params, body }) => writeDocument(params.id, 'known', body),
  addKnown: ({ params, body }) => addKnown(params.id, body.people),
  leaveOutSources: ({ params, body }) => leaveOutSources(params.id, body.leftOut),
  readPersona: ({ params }) => readDocument(params.id, 'persona'),
  writePersona: ({ params, body }) => writeDocument(params.id, 'persona', body),
  readWording: ({ params }) => readDocument(params.id, 'wording'),
  writeWording: ({ params, body }) => writeDocument(params.id, 'wording', body)
} satisfies Partial<Handlers>;
