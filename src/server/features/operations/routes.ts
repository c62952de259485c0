import { eventStream } from '$server/http/event-stream';
import { watchAll } from '$server/features/briefs/events';
import { readiness } from './health';
import { countObjections, objectTo } from '$server/records/objections/erase';
import { wouldGo } from './retention';
import type { Handlers } from '$server/http/handlers';

export const operationRoutes = {
  events: {
    raw: async ({ query, event: { request } }) =>
      eventStream(request.signal, (send) => watchAll(request.headers.get('last-event-id') ?? query?.seen ?? null, send))
  },
  live: async () => ({ live: true as const }),
  ready: {
    raw: async () => {
      const state = await readiness();
      return Response.json(state, { status: state.ready ? 200 : 503 });
    }
  },
  countObjections: () => countObjections(),
  object: ({ body }) => objectTo(body),
  retention: wouldGo
} satisfies Partial<Handlers>;
