import { contract } from '$api';
import { rawEndpoint } from '$server/api/endpoint';
import { feedOf } from '$server/services/watches/feed';

export const GET = rawEndpoint(contract.watchFeed, async ({ params, query, event }) => {
  const { text, type } = await feedOf(params.feed, query?.form ?? 'atom', event.url.origin);
  return new Response(text, { headers: { 'content-type': type } });
});
