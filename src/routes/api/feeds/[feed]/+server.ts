import { contract } from '$api';
import { rawEndpoint } from '$server/http/endpoint';
import { feedOf } from '$server/features/watches/feed';

export const GET = rawEndpoint(contract.watchFeed, async ({ params, query, event }) => {
  const { text, type } = await feedOf(params.feed, query?.form ?? 'atom', event.url.origin);
  return new Response(text, { headers: { 'content-type': type } });
});
