import { contract } from '$api';
import { rawEndpoint } from '$server/http/endpoint';
import { eventStream } from '$server/http/event-stream';
import { findBrief } from '$server/features/briefs/briefs';
import { watchBrief } from '$server/features/briefs/events';

export const GET = rawEndpoint(contract.briefEvents, async ({ params, query, event: { request } }) => {
  await findBrief(params.id);
  const seen = request.headers.get('last-event-id') ?? query?.seen ?? null;
  return eventStream(request.signal, (send) => watchBrief(params.id, seen, send));
});
