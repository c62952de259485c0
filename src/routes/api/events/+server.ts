import { contract } from '$api';
import { rawEndpoint } from '$server/http/endpoint';
import { eventStream } from '$server/http/event-stream';
import { watchAll } from '$server/features/briefs/events';

export const GET = rawEndpoint(contract.events, async ({ query, event: { request } }) =>
  eventStream(request.signal, (send) => watchAll(request.headers.get('last-event-id') ?? query?.seen ?? null, send))
);
